using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <param name="Fit">0..1.</param>
/// <param name="For">What speaks for it, in plain words.</param>
/// <param name="Against">What speaks against it, or is to be watched.</param>
public sealed record Suggestion(SessionRow Session, Pace Pace, double Fit, ImmutableArray<string> For, ImmutableArray<string> Against);

/// <summary>Something from the library that gives a session what it lacks.</summary>
/// <param name="What">"warm-up" or "cool-down".</param>
public sealed record Completion(string What, SessionRow Session, Seconds Length);

/// <summary>Why a session is not suggested, or how it stands.</summary>
/// <param name="Place">Its place among all that keep the limits, from 1; null where it keeps them at no pace.</param>
/// <param name="Pace">The pace at which it fits best, or breaks least.</param>
public sealed record Standing(int? Place, int Of, Pace Pace, ImmutableArray<string> Breaks, ImmutableArray<string> Against);

/// <summary>Sessions for a member: hard limits first, then a weighted fit, then variety.</summary>
public static class Matcher
{
    /// <summary>Maximal marginal relevance: this much for the fit, the rest for being unlike what is listed already (measures sheet).</summary>
    private const float Relevance = 0.7f;

    /// <summary>Only so many of the best are looked through for variety.</summary>
    private const int Looked = 120;

    private static readonly Pace[] Order = [Pace.AsLed, Pace.Eased, Pace.Pushed];

    /// <summary>A term under this is said against a session.</summary>
    private const float Weak = 0.5f;

    /// <summary>A class that is stretches for more than this share (in 255ths) cools down; one that is loosening moves and easy steps warms up. Ours.</summary>
    private const byte Mostly = 128;

    public static ImmutableArray<Suggestion> Suggest(CatalogueSnapshot catalogue, Wishes wishes, int count = 5)
    {
        var open = Best(catalogue, wishes, Looked);
        var chosen = new List<(SessionRow Row, Pace Pace, float Fit)>();
        while (chosen.Count < count && open.Count > 0)
        {
            var next = open.MaxBy(s => (Relevance * s.Fit) - ((1 - Relevance) * chosen.Select(c => Likeness(c.Row, s.Row)).DefaultIfEmpty(0).Max()));
            chosen.Add(next);
            open.Remove(next);
        }

        return [.. chosen.Select(c => Say(c.Row, wishes, c.Pace, c.Fit))];
    }

    /// <summary>How well a row fits at one pace, for sorting; less than 0 where it breaks a limit.</summary>
    public static float FitAt(SessionRow row, Wishes wishes, Pace pace) =>
        Limits.Breaks(row, wishes, pace).Count > 0 ? Weighing.Of(row, wishes, pace).Fit - 1 : Weighing.Of(row, wishes, pace).Fit;

    /// <summary>"Why not this one?"</summary>
    public static Standing Stand(CatalogueSnapshot catalogue, Wishes wishes, SessionRow row)
    {
        var paces = Paces.All.Select(p => (Pace: p, Breaks: Limits.Breaks(row, wishes, p), Weighing.Of(row, wishes, p).Fit)).ToList();
        var best = paces.OrderBy(p => p.Breaks.Count).ThenByDescending(p => p.Fit).First();
        var against = Say(row, wishes, best.Pace, best.Fit).Against;
        if (best.Breaks.Count > 0)
        {
            return new Standing(null, 0, best.Pace, [.. best.Breaks], against);
        }

        var (before, all) = (0, 0);
        foreach (var (segment, live) in catalogue.Parts)
        {
            var (any, at) = Keeping(segment, live, wishes);
            all += Bits.Count(any);
            foreach (var r in Bits.Rows(any))
            {
                before += BestPace(new SessionRow(segment, r), at, wishes, best.Fit).Fit >= 0 ? 1 : 0;
            }
        }

        return new Standing(before + 1, all, best.Pace, [], against);
    }

    /// <summary>Sessions that break fewest limits, where none keeps them all.</summary>
    public static ImmutableArray<(SessionRow Session, Pace Pace, IReadOnlyList<string> Breaks)> Nearest(CatalogueSnapshot catalogue, Wishes wishes, int count) =>
    [
        .. catalogue.Rows.Take(2000)
            .Select(r => (Row: r, Least: Paces.All.Select(p => (Pace: p, Breaks: Limits.Breaks(r, wishes, p))).MinBy(x => x.Breaks.Count)))
            .OrderBy(x => x.Least.Breaks.Count)
            .ThenByDescending(x => Weighing.Of(x.Row, wishes, x.Least.Pace).Fit)
            .Take(count)
            .Select(x => (x.Row, x.Least.Pace, x.Least.Breaks)),
    ];

    /// <summary>A warm-up or cool-down from the library for what a session lacks, one that keeps the limits and moves the same muscles.</summary>
    public static ImmutableArray<Completion> Complete(CatalogueSnapshot catalogue, Wishes wishes, SessionRow row, Pace pace)
    {
        var lacks = row.At(pace).Lacks[row.Row];
        var made = ImmutableArray.CreateBuilder<Completion>();
        foreach (var (bit, what, cools) in new[] { (Segment.LacksWarmUp, "warm-up", false), (Segment.LacksCoolDown, "cool-down", true) })
        {
            if ((lacks & bit) == 0)
            {
                continue;
            }

            (SessionRow Row, float Score)? best = null;
            foreach (var (segment, live) in catalogue.Parts)
            {
                var columns = segment.Columns[(int)Pace.AsLed];
                foreach (var r in segment.ShortAndLight)
                {
                    if (!Bits.Has(live, r) || segment.Ids[r] == row.Id || (cools ? columns.Stretching : columns.Loosening)[r] <= Mostly)
                    {
                        continue;
                    }

                    var at = new SessionRow(segment, r);
                    var score = MusclesShared(at, row);
                    if ((best is null || score > best.Value.Score) && Limits.Breaks(at, wishes, Pace.AsLed).Count == 0)
                    {
                        best = (at, score);
                    }
                }
            }

            if (best is { } found)
            {
                made.Add(new Completion(what, found.Row, new Seconds(found.Row.At(Pace.AsLed).Needed[found.Row.Row])));
            }
        }

        return made.ToImmutable();
    }

    /// <summary>The rows that keep the limits, at some pace and at each.</summary>
    private static (ulong[] Any, ulong[][] At) Keeping(Segment segment, ulong[] live, Wishes wishes)
    {
        var at = Paces.All.Select(p => Limits.Keeping(segment, live, wishes, p)).ToArray();
        ulong[] any = [.. at[0]];
        Bits.Or(any, at[1]);
        Bits.Or(any, at[2]);
        return (any, at);
    }

    /// <summary>The pace at which a row fits best, as far as it may fit better than <paramref name="above"/>; a fit below 0 where it does not.</summary>
    private static (Pace Pace, float Fit) BestPace(SessionRow row, ulong[][] keeping, Wishes wishes, float above)
    {
        var best = (Pace: Pace.AsLed, Fit: -1f);

        // As led first: another pace must be clearly better to be worth the change; one at which the session is no other is not looked at.
        foreach (var pace in Order)
        {
            if (!Bits.Has(keeping[(int)pace], row.Row) || (best.Fit >= 0 && row.At(pace).Score[row.Row] == row.At(Pace.AsLed).Score[row.Row]))
            {
                continue;
            }

            var floor = Math.Max(above, best.Fit + 0.001f);
            if (Weighing.AtMost(row, wishes, pace) > floor && Weighing.Of(row, wishes, pace).Fit is var fit && fit > floor)
            {
                best = (pace, fit);
            }
        }

        return best;
    }

    private static List<(SessionRow Row, Pace Pace, float Fit)> Best(CatalogueSnapshot catalogue, Wishes wishes, int count)
    {
        var queue = new PriorityQueue<(SessionRow Row, Pace Pace, float Fit), float>(count + 1);
        foreach (var (segment, live) in catalogue.Parts)
        {
            var (any, at) = Keeping(segment, live, wishes);
            foreach (var r in Bits.Rows(any))
            {
                var row = new SessionRow(segment, r);
                var full = queue.Count == count;
                var least = full && queue.TryPeek(out _, out var lowest) ? lowest : -0.5f;
                if (BestPace(row, at, wishes, least) is { Fit: >= 0 } best)
                {
                    if (full)
                    {
                        queue.EnqueueDequeue((row, best.Pace, best.Fit), best.Fit);
                    }
                    else
                    {
                        queue.Enqueue((row, best.Pace, best.Fit), best.Fit);
                    }
                }
            }
        }

        return [.. queue.UnorderedItems.Select(i => i.Element).OrderByDescending(s => s.Fit).ThenBy(s => s.Row.Title, StringComparer.Ordinal)];
    }

    private static Suggestion Say(SessionRow row, Wishes wishes, Pace pace, float fit)
    {
        var (profile, c, r) = (wishes.Profile, row.At(pace), row.Row);
        var terms = Weighing.Of(row, wishes, pace);
        var speaksFor = ImmutableArray.CreateBuilder<string>();
        var against = ImmutableArray.CreateBuilder<string>();
        var needed = new Seconds(c.Needed[r]);
        if (profile.Minutes is { } minutes)
        {
            (terms.Time >= 0.75f ? speaksFor : against).Add(terms.Time >= 0.75f ? $"{needed} of your {minutes} min" : $"takes only {needed} of your {minutes} min");
        }

        if (wishes.Level is { } wanted)
        {
            var off = c.Level[r] - (int)Math.Round(wanted);
            var source = profile.Level is null || Math.Abs(wanted - profile.Level.Value) > 0.3 ? "what your log suits" : "yours";
            (off == 0 ? speaksFor : against).Add(off == 0 ? $"level {c.Level[r]} at {pace.Word()}, like {source}" : $"level {c.Level[r]} at {pace.Word()}, {(off > 0 ? "above" : "below")} {source}");
        }

        if (profile.Goals.Count > 0 && terms.Goal >= 0.5f)
        {
            speaksFor.Add(GoalReason(c, r, profile.Goals.MaxBy(g => Weighing.GoalFit(c, r, g))!));
        }
        else if (profile.Goals.Count > 0 && terms.Goal < 0.3f)
        {
            against.Add($"little for {string.Join(" or ", profile.Goals)}");
        }

        if (profile.MaxImpact is not null)
        {
            speaksFor.Add(c.Jumps[r] > 0 ? $"{((Impact)c.Highest[r]).Word()} at the most" : "feet stay on the floor");
        }

        var kit = row.Kit.Where(k => k.Item != "mat").Select(k => profile.Kit.Contains(k.Item) ? k.Item : k.StandIns.FirstOrDefault(profile.Kit.Contains) ?? k.Item).ToList();
        speaksFor.Add(kit.Count > 0 ? $"uses your {string.Join(" and ", kit)}" : row.Kit.IsEmpty ? "needs no kit" : "needs no kit but a soft floor");
        foreach (var strain in profile.Spare)
        {
            var seconds = c.Strains[(r * Segment.StrainCount) + Vocabulary.Strains.IndexOf(strain)];
            speaksFor.Add(seconds == 0 ? $"spares {Limits.Named(strain)}" : $"only {seconds} s on {Limits.Named(strain)}");
        }

        if (wishes.HasHistory && Tiring(c, r, wishes) is { Count: > 0 } tired)
        {
            against.Add($"{string.Join(" and ", tired)} worked in the last two days");
        }
        else if (wishes.HasHistory && terms.Due >= 0.9f)
        {
            speaksFor.Add($"{Names(c, r, 2)} are due");
        }

        if (profile.LikedCoaches.Contains(row.Coach))
        {
            speaksFor.Add($"with {row.Coach}, whom you like");
        }

        if (profile.DislikedCoaches.Contains(row.Coach))
        {
            against.Add($"with {row.Coach}");
        }

        if (!profile.LikedMoves.IsEmpty && row.Segment.Does(r, profile.LikedMoves))
        {
            speaksFor.Add("has moves you like");
        }

        if (!profile.DislikedMoves.IsEmpty && row.Segment.Does(r, profile.DislikedMoves))
        {
            against.Add("has moves you don't like");
        }

        if (!wishes.Models.IsEmpty && terms.Taste > 0.75f)
        {
            speaksFor.Add("like what you asked for more of");
        }

        if (wishes.DaysSince.TryGetValue(row.Id, out var days) && terms.Fresh < Weak)
        {
            against.Add(days < 1 ? "done today" : $"done {days:0} {(Math.Round(days) == 1 ? "day" : "days")} ago");
        }

        if ((c.Lacks[r] & Segment.LacksWarmUp) != 0)
        {
            against.Add(c.WarmUp[r] > 0 ? $"short warm-up, {new Seconds(c.WarmUp[r])}" : "starts without a warm-up");
        }

        if ((c.Lacks[r] & Segment.LacksCoolDown) != 0)
        {
            against.Add("ends without a full cool-down");
        }

        return new Suggestion(row, pace, Math.Round(fit, 4), speaksFor.ToImmutable(), against.ToImmutable());
    }

    private static List<string> Tiring(PaceColumns c, int row, Wishes wishes) =>
    [
        .. Vocabulary.Muscles
            .Select((m, i) => (Muscle: m, Load: c.Shares[(row * Segment.Muscles) + i] / 255f, Tired: wishes.Tired[i]))
            .Where(x => x is { Load: >= 0.1f, Tired: >= Weak })
            .OrderByDescending(x => x.Load * x.Tired)
            .Take(2)
            .Select(x => x.Muscle),
    ];

    private static string Names(PaceColumns c, int row, int count) => string.Join(" and ", Vocabulary.Muscles
        .Select((m, i) => (Muscle: m, Load: c.Shares[(row * Segment.Muscles) + i]))
        .OrderByDescending(x => x.Load)
        .Take(count)
        .Select(x => x.Muscle));

    private static string GoalReason(PaceColumns c, int row, string goal) => goal switch
    {
        "strength" => $"strength work for {Names(c, row, 2)}",
        "stamina" => $"{(c.Vigorous[row] + c.Moderate[row]) * 100 / 255} % of it at moderate effort or above",
        "mobility" => $"{c.Light[row] * 100 / 255} % of it light, easy movement",
        "balance" => "a good share on one leg",
        _ => "gentle enough to come back to tomorrow",
    };

    /// <summary>How alike two sessions are, 0..1: shared muscle load, coach, structure.</summary>
    public static float Likeness(SessionRow a, SessionRow b) =>
        (0.6f * MusclesShared(a, b)) + (a.Coach == b.Coach ? 0.2f : 0) + ((a.Segment.Structures[a.Row] & b.Segment.Structures[b.Row]) != 0 ? 0.2f : 0);

    private static float MusclesShared(SessionRow a, SessionRow b)
    {
        var x = a.At(Pace.AsLed).Shares.AsSpan(a.Row * Segment.Muscles, Segment.Muscles);
        var y = b.At(Pace.AsLed).Shares.AsSpan(b.Row * Segment.Muscles, Segment.Muscles);
        var sum = 0;
        for (var m = 0; m < x.Length; m++)
        {
            sum += Math.Min(x[m], y[m]);
        }

        return sum / 255f;
    }
}
