using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>A correction that can't be made; the message says what and why, for the person who typed it.</summary>
public sealed class TimelineEditException(string field, string message) : Exception(message)
{
    /// <summary>Which part of the correction is at fault: move, start, end, reps, bout, edge, item, count, load, instead, remark, type, at, text, again.</summary>
    public string Field { get; } = field;
}

/// <summary>Corrections to a timeline. Each returns a new timeline; none changes the old one.</summary>
public static class TimelineEdit
{
    /// <summary>Shortest bout that can be marked: anything under is a slip of the hand.</summary>
    public static readonly Seconds ShortestBout = new(2);

    /// <summary>Puts new values in a bout; it counts as confirmed from then on.</summary>
    /// <exception cref="TimelineEditException">No such bout, or the values can't stand.</exception>
    public static Timeline CorrectBout(Timeline timeline, string boutId, string moveId, Span span, Side side, CountRange? reps)
    {
        var bout = Find(timeline, boutId);
        return WithBouts(timeline, timeline.Bouts.Replace(bout, bout.Sure() with
        {
            MoveId = moveId,
            Span = Checked(timeline, span),
            Side = side,
            Reps = Checked(reps),
        }));
    }

    /// <exception cref="TimelineEditException">The values can't stand.</exception>
    public static Timeline AddBout(Timeline timeline, string moveId, Span span, Side side, CountRange? reps)
    {
        return WithBouts(timeline, timeline.Bouts.Add(Bout.Confirmed($"b{LastNumber(timeline.Bouts) + 1}", moveId, Checked(timeline, span), side, Checked(reps))));
    }

    /// <exception cref="TimelineEditException">No such bout.</exception>
    public static Timeline RemoveBout(Timeline timeline, string boutId) => WithBouts(timeline, timeline.Bouts.Remove(Find(timeline, boutId)));

    /// <summary>Says that a bout is of another move, done then and on that side.</summary>
    /// <exception cref="TimelineEditException">No such bout.</exception>
    public static Timeline RenameBout(Timeline timeline, string boutId, string moveId)
    {
        var bout = Find(timeline, boutId);
        return timeline with { Bouts = timeline.Bouts.Replace(bout, bout.Sure() with { MoveId = moveId }) };
    }

    /// <summary>The other doubtful bouts that were read as the same move: what is said of one of them is mostly true of all.</summary>
    /// <exception cref="TimelineEditException">No such bout.</exception>
    public static ImmutableArray<Bout> Likewise(Timeline timeline, string boutId)
    {
        var bout = Find(timeline, boutId);
        return [.. timeline.Bouts.Where(b => b.Doubtful && b.MoveId == bout.MoveId && b.Id != bout.Id)];
    }

    /// <summary>Says that a proposal is right as it stands.</summary>
    /// <exception cref="TimelineEditException">No such bout.</exception>
    public static Timeline ConfirmBout(Timeline timeline, string boutId)
    {
        var bout = Find(timeline, boutId);
        return timeline with { Bouts = timeline.Bouts.Replace(bout, bout.Sure()) };
    }

    /// <summary>Puts the bouts of a new reading in place of those that nobody has confirmed, cut where they meet one that somebody has. Phases, kit and remarks stay, for nobody knows who put them there.</summary>
    /// <exception cref="TimelineEditException">The reading proposes nothing else.</exception>
    public static Timeline ReadAgain(Timeline timeline, Timeline reading)
    {
        ImmutableArray<Bout> kept = [.. timeline.Bouts.Where(b => b.Confidence == 1)];
        var number = LastNumber(kept);
        var read = reading.Bouts.Select(b => b with { Span = Beside(kept, b.Span) }).Where(b => b.Span.Length >= ShortestBout).Select(b => b with { Id = $"b{++number}" }).ToList();
        var changed = WithBouts(timeline, [.. kept, .. read]);
        static (string, Span, Side, CountRange?, double) Says(Bout bout) => (bout.MoveId, bout.Span, bout.Side, bout.Reps, bout.Confidence);
        return changed.Bouts.Select(Says).SequenceEqual(timeline.Bouts.Select(Says))
            ? throw new TimelineEditException("again", "Read again, the captions say nothing else.")
            : changed;
    }

    /// <summary>What is left of a span between bouts that stay; nothing where one of them holds its middle.</summary>
    private static Span Beside(ImmutableArray<Bout> kept, Span span)
    {
        var middle = (span.Start.Value + span.End.Value) / 2;
        var (start, end) = (span.Start, span.End);
        foreach (var bout in kept.Where(b => b.Span.Overlap(span).Value > 0))
        {
            if (bout.Span.End.Value < middle)
            {
                start = bout.Span.End > start ? bout.Span.End : start;
            }
            else if (bout.Span.Start.Value > middle)
            {
                end = bout.Span.Start < end ? bout.Span.Start : end;
            }
            else
            {
                return new Span(span.Start, span.Start);
            }
        }

        return new Span(start, end);
    }

    /// <summary>Moves the edge between a phase and the one after it; both keep at least a second.</summary>
    /// <param name="index">Index of the phase that ends at the edge.</param>
    /// <exception cref="TimelineEditException">No such edge, or it would swallow a phase.</exception>
    public static Timeline MovePhaseEdge(Timeline timeline, int index, Seconds at)
    {
        if (index < 0 || index >= timeline.Phases.Length - 1)
        {
            throw new TimelineEditException("edge", "That phase has no edge to move.");
        }

        var (left, right) = (timeline.Phases[index], timeline.Phases[index + 1]);
        var (low, high) = (left.Span.Start + new Seconds(1), right.Span.End - new Seconds(1));
        if (at < low || at > high)
        {
            throw new TimelineEditException("edge", $"The edge must lie between {low} and {high}, not at {at}.");
        }

        return timeline with
        {
            Phases = timeline.Phases
                .SetItem(index, left with { Span = new Span(left.Span.Start, at), Confidence = 1 })
                .SetItem(index + 1, right with { Span = new Span(at, right.Span.End), Confidence = 1 }),
        };
    }

    /// <summary>Adds an item of kit, or puts new values in the one of that name. When it is first needed and what was said of it stay.</summary>
    /// <param name="instead">For a substitute: what it stands in for, another item of this class.</param>
    /// <exception cref="TimelineEditException">The values can't stand.</exception>
    public static Timeline PutKit(Timeline timeline, string item, KitNeed need, int? count, string? load, string? instead)
    {
        const int longest = 40;
        const int most = 50;
        var name = item.Trim().ToLowerInvariant();
        if (name.Length is 0 or > longest)
        {
            throw new TimelineEditException("item", $"An item has a name of 1 to {longest} characters.");
        }

        if (count is < 1 or > most)
        {
            throw new TimelineEditException("count", $"How many is a number from 1 to {most}, or nothing.");
        }

        if (load?.Trim().Length > longest)
        {
            throw new TimelineEditException("load", $"A load has at most {longest} characters, such as \"8 kg\" or \"heavy\".");
        }

        var other = need == KitNeed.Substitute ? instead?.Trim().ToLowerInvariant() ?? "" : null;
        if (other is not null && !timeline.Kit.Any(k => k.Item == other && k.Item != name && k.Need != KitNeed.Substitute))
        {
            throw new TimelineEditException("instead", other.Length == 0 ? "Say what it stands in for." : $"\"{other}\" is not in this class's kit, so nothing can stand in for it.");
        }

        var old = timeline.Kit.FirstOrDefault(k => k.Item == name);
        var put = new KitItem(name, need, count, string.IsNullOrWhiteSpace(load) ? null : load.Trim(), other, old?.FirstNeeded, old?.Evidence ?? []);
        return timeline with { Kit = old is null ? timeline.Kit.Add(put) : timeline.Kit.Replace(old, put) };
    }

    /// <summary>Takes an item out of the kit; what stood in for it then stands in for nothing and goes with it.</summary>
    /// <exception cref="TimelineEditException">No such item.</exception>
    public static Timeline RemoveKit(Timeline timeline, string item) => timeline.Kit.Any(k => k.Item == item)
        ? timeline with { Kit = timeline.Kit.RemoveAll(k => k.Item == item || k.For == item) }
        : throw new TimelineEditException("item", $"\"{item}\" is no longer in the kit.");

    /// <summary>Adds a remark, or puts another in the place of one that was read. What is known of it besides (a figure, how long it goes on, the move) stays where its kind does.</summary>
    /// <param name="key">The remark to change; null for a new one.</param>
    /// <exception cref="TimelineEditException">The values can't stand, or the remark to change is gone.</exception>
    public static Timeline PutRemark(Timeline timeline, string? key, Remark remark)
    {
        const int longest = 200;
        if (!Remark.Types(remark.Kind).Contains(remark.Type))
        {
            throw new TimelineEditException("type", $"\"{remark.Type}\" is no type of {remark.Kind.ToString().ToLowerInvariant()}.");
        }

        if (remark.At < Seconds.Zero || remark.At > timeline.Recorded)
        {
            throw new TimelineEditException("at", $"{remark.At} does not lie in the recording, which ends at {timeline.Recorded}.");
        }

        if (remark.Text.Length is 0 or > longest)
        {
            throw new TimelineEditException("text", $"Write what is said, in at most {longest} characters.");
        }

        var all = Remark.Of(timeline);
        if (remark.Key != key && all.Any(r => r.Key == remark.Key))
        {
            throw new TimelineEditException("at", $"There is a remark of that type at {remark.At} already.");
        }

        var rest = key is null ? timeline : RemoveRemark(timeline, key);
        var old = all.FirstOrDefault(r => r.Key == key);
        bool IsOld(RemarkKind kind, Seconds at, string type) => old is not null && (old.Kind, old.At, old.Type) == (kind, at, type);
        switch (remark.Kind)
        {
            case RemarkKind.Promise:
                var figure = timeline.Claims.FirstOrDefault(c => IsOld(RemarkKind.Promise, c.At, c.Type))?.Figure;
                return rest with { Claims = [.. rest.Claims.Append(new Claim(remark.At, remark.Type, figure, remark.Text)).OrderBy(c => c.At)] };
            case RemarkKind.Aside:
                var until = timeline.Outside.FirstOrDefault(o => IsOld(RemarkKind.Aside, o.At, o.Type))?.Until;
                return rest with { Outside = [.. rest.Outside.Append(new Outside(remark.At, remark.Type, remark.Text, until > remark.At ? until : null)).OrderBy(o => o.At)] };
            case RemarkKind.Caution:
                return rest with { Cautions = [.. rest.Cautions.Append(new Caution(remark.At, remark.Type, remark.Text)).OrderBy(c => c.At)] };
            default:
                var direction = remark.Type == "easier" ? OptionDirection.Easier : OptionDirection.Harder;
                var option = timeline.Options.FirstOrDefault(o => old is { Kind: RemarkKind.Option } && o.At == old.At)
                    ?? new Option(remark.At, direction, timeline.Bouts.LastOrDefault(b => b.Span.Start <= remark.At)?.MoveId, null, remark.Text);
                return rest with { Options = [.. rest.Options.Append(option with { At = remark.At, Direction = direction, Text = remark.Text }).OrderBy(o => o.At)] };
        }
    }

    /// <exception cref="TimelineEditException">No such remark.</exception>
    public static Timeline RemoveRemark(Timeline timeline, string key) => Remark.Of(timeline).FirstOrDefault(r => r.Key == key) switch
    {
        null => throw new TimelineEditException("remark", "That remark is no longer there."),
        { Kind: RemarkKind.Promise } r => timeline with { Claims = timeline.Claims.RemoveAll(c => c.At == r.At && c.Type == r.Type) },
        { Kind: RemarkKind.Aside } r => timeline with { Outside = timeline.Outside.RemoveAll(o => o.At == r.At && o.Type == r.Type) },
        { Kind: RemarkKind.Caution } r => timeline with { Cautions = timeline.Cautions.RemoveAll(c => c.At == r.At && c.Topic == r.Type) },
        { } r => timeline with { Options = timeline.Options.RemoveAll(o => o.At == r.At && o.Direction.ToString().Equals(r.Type, StringComparison.OrdinalIgnoreCase)) },
    };

    private static Bout Find(Timeline timeline, string id) =>
        timeline.Bouts.FirstOrDefault(b => b.Id == id) ?? throw new TimelineEditException("bout", "That bout is no longer there.");

    /// <summary>The highest number in an id; 0 where there is none.</summary>
    private static int LastNumber(ImmutableArray<Bout> bouts) => bouts.Select(b => int.TryParse(b.Id.AsSpan(1), out var n) ? n : 0).DefaultIfEmpty(0).Max();

    private static Timeline WithBouts(Timeline timeline, ImmutableArray<Bout> bouts) =>
        timeline with { Bouts = [.. bouts.OrderBy(b => b.Span.Start).ThenBy(b => b.Span.End)] };

    private static Span Checked(Timeline timeline, Span span)
    {
        if (span.Start >= timeline.Recorded)
        {
            throw new TimelineEditException("start", $"The start {span.Start} lies after the end of the recording, {timeline.Recorded}.");
        }

        if (span.End > timeline.Recorded + new Seconds(1))
        {
            throw new TimelineEditException("end", $"The end {span.End} lies after the end of the recording, {timeline.Recorded}.");
        }

        return span.Length >= ShortestBout
            ? span
            : throw new TimelineEditException("end", $"The end {span.End} must be at least {ShortestBout.Value:0} seconds after the start {span.Start}.");
    }

    private static CountRange? Checked(CountRange? reps) =>
        reps is { } r && (r.Low < 1 || r.High > 500 || r.High < r.Low)
            ? throw new TimelineEditException("reps", "Repetitions are one number, or a range such as 12-15, from 1 to 500.")
            : reps;
}
