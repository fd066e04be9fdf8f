using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>A correction that can't be made; the message says what and why, for the person who typed it.</summary>
public sealed class TimelineEditException(string field, string message) : Exception(message)
{
    /// <summary>Which part of the correction is at fault: move, start, end, reps, bout, edge.</summary>
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
        return WithBouts(timeline, timeline.Bouts.Replace(bout, bout with
        {
            MoveId = moveId,
            Span = Checked(timeline, span),
            Side = side,
            Reps = Checked(reps),
            Confidence = 1,
        }));
    }

    /// <exception cref="TimelineEditException">The values can't stand.</exception>
    public static Timeline AddBout(Timeline timeline, string moveId, Span span, Side side, CountRange? reps)
    {
        var number = timeline.Bouts.Select(b => int.TryParse(b.Id.AsSpan(1), out var n) ? n : 0).DefaultIfEmpty(0).Max() + 1;
        return WithBouts(timeline, timeline.Bouts.Add(Bout.Confirmed($"b{number}", moveId, Checked(timeline, span), side, Checked(reps))));
    }

    /// <exception cref="TimelineEditException">No such bout.</exception>
    public static Timeline RemoveBout(Timeline timeline, string boutId) => WithBouts(timeline, timeline.Bouts.Remove(Find(timeline, boutId)));

    /// <summary>Says that a proposal is right as it stands.</summary>
    /// <exception cref="TimelineEditException">No such bout.</exception>
    public static Timeline ConfirmBout(Timeline timeline, string boutId)
    {
        var bout = Find(timeline, boutId);
        return timeline with { Bouts = timeline.Bouts.Replace(bout, bout with { Confidence = 1 }) };
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

    private static Bout Find(Timeline timeline, string id) =>
        timeline.Bouts.FirstOrDefault(b => b.Id == id) ?? throw new TimelineEditException("bout", "That bout is no longer there.");

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
