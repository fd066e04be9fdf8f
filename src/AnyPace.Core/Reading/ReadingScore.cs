using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Hits, false alarms and misses, so that figures of several recordings can be added before they are divided.</summary>
public readonly record struct Tally(int Hits, int Extra, int Missed)
{
    public double Precision => Hits + Extra == 0 ? 1 : Hits / (double)(Hits + Extra);

    public double Recall => Hits + Missed == 0 ? 1 : Hits / (double)(Hits + Missed);

    public double F1 => Hits + Extra + Missed == 0 ? 1 : 2.0 * Hits / ((2 * Hits) + Extra + Missed);

    public static Tally operator +(Tally a, Tally b) => new(a.Hits + b.Hits, a.Extra + b.Extra, a.Missed + b.Missed);
}

/// <summary>How far a proposed reading agrees with a marked one. All shares 0..1; null where nobody marked that part.</summary>
/// <param name="MovesF1">Of the distinct moves done.</param>
/// <param name="BoutsFound">Share of marked bouts with a proposed bout of the same move whose start is within 15 s.</param>
/// <param name="PhaseOverlap">Share of the seconds that carry the same phase.</param>
/// <param name="WarmUp">Whether there is one: a hit where both say the same.</param>
/// <param name="StructureExact">Share of the marked structures of which every said part is proposed.</param>
/// <param name="Equipment">Of item with need.</param>
/// <param name="EquipmentItems">Of items, whatever their need.</param>
/// <param name="ImpactExact">The highest class, measured from the proposed bouts, is that of the marked ones.</param>
/// <param name="MusclesTopFive">Share of the five most worked muscle groups that both have.</param>
/// <param name="LevelWithinOne">The levels measured from both differ by at most one.</param>
/// <param name="Proposals">Each proposed bout: how sure, and whether a marked bout of the move starts within 15 s. For calibration.</param>
public sealed record ReadingScore(
    double MovesF1, double BoutsFound, double PhaseOverlap, Tally WarmUp, Tally CoolDown, double? StructureExact, Tally Equipment, Tally EquipmentItems, bool ImpactExact,
    double MusclesTopFive, bool LevelWithinOne, Tally? Options, Tally? Cautions, Tally? Claims, Tally? Outside,
    ImmutableArray<string> Missed, ImmutableArray<string> Extra, ImmutableArray<(double Confidence, bool Right)> Proposals)
{
    private const double Within = 15;

    public static ReadingScore Of(Timeline proposed, GoldReading gold, MoveLexicon lexicon)
    {
        var found = proposed.Bouts.Select(b => b.MoveId).ToHashSet();
        var marked = gold.Bouts.Select(b => b.MoveId).ToHashSet();
        var open = proposed.Bouts.ToList();
        var hits = 0;
        foreach (var bout in gold.Bouts)
        {
            var match = open.FirstOrDefault(b => b.MoveId == bout.MoveId && Math.Abs((b.Span.Start - bout.Span.Start).Value) <= Within);
            if (match is not null)
            {
                hits++;
                open.Remove(match);
            }
        }

        var marking = proposed with { Phases = gold.Phases };
        var end = gold.Phases.IsEmpty ? 0 : gold.Phases[^1].Span.End.Value;
        double same = 0, all = 0;
        for (double t = 0.5; t < end; t++)
        {
            all++;
            same += proposed.PhaseAt(new Seconds(t)) == marking.PhaseAt(new Seconds(t)) ? 1 : 0;
        }

        var measured = Measure.All(proposed, lexicon).AsLed;
        var corrected = gold.Correct(proposed);
        var measuredGold = Measure.All(corrected, lexicon).AsLed;
        var top = measuredGold.Muscles.Take(5).Select(m => m.Muscle).ToHashSet();
        return new ReadingScore(
            Sets(found, marked).F1,
            gold.Bouts.IsEmpty ? 1 : hits / (double)gold.Bouts.Length,
            all == 0 ? 1 : same / all,
            Presence(proposed, marking, PhaseKind.WarmUp),
            Presence(proposed, marking, PhaseKind.CoolDown),
            gold.Structures is { Length: > 0 } structures ? structures.Average(s => proposed.Structures.Any(p => Fits(p, s)) ? 1.0 : 0) : null,
            Sets([.. proposed.Kit.Select(k => $"{k.Item} {k.Need.ToString().ToLowerInvariant()}")], [.. gold.Kit]),
            Sets([.. proposed.Kit.Select(k => k.Item)], [.. corrected.Kit.Select(k => k.Item)]),
            measured.Impact.Highest == measuredGold.Impact.Highest,
            top.Count == 0 ? 1 : measured.Muscles.Take(5).Count(m => top.Contains(m.Muscle)) / (double)top.Count,
            Math.Abs(measured.Difficulty.Level - measuredGold.Difficulty.Level) <= 1,
            Remarks(proposed.Options.Select(o => new GoldRemark(o.At.Value, o.Direction.ToString().ToLowerInvariant())), gold.Options),
            Remarks(proposed.Cautions.Select(c => new GoldRemark(c.At.Value, c.Topic)), gold.Cautions),
            Remarks(proposed.Claims.Select(c => new GoldRemark(c.At.Value, c.Type)), gold.Claims),
            Remarks(proposed.Outside.Select(o => new GoldRemark(o.At.Value, o.Type)), gold.Outside),
            [.. marked.Except(found).Order()],
            [.. found.Except(marked).Order()],
            [.. proposed.Bouts.Select(b => (b.Confidence, IsRight(b, gold)))]);
    }

    /// <summary>True where a marked bout of the move begins within 15 s.</summary>
    public static bool IsRight(Bout proposed, GoldReading gold) => gold.Bouts.Any(g => g.MoveId == proposed.MoveId && Math.Abs((g.Span.Start - proposed.Span.Start).Value) <= Within);

    /// <summary>True where every part that was marked as said is proposed as said.</summary>
    private static bool Fits(Structure proposed, GoldStructure gold) =>
        proposed.Type == gold.Type
        && (gold.Work is null || proposed.Work?.Value == gold.Work)
        && (gold.Rest is null || (proposed.Rest?.Value ?? 0) == gold.Rest)
        && (gold.Rounds is null || proposed.Rounds == gold.Rounds)
        && (gold.Sets is null || proposed.Sets == gold.Sets)
        && (gold.Reps is null || proposed.Reps == gold.Reps)
        && (gold.Moves is null || proposed.MovesPerRound == gold.Moves);

    /// <summary>Pairs remarks of one kind within 15 s of each other, each at most once.</summary>
    private static Tally? Remarks(IEnumerable<GoldRemark> proposed, ImmutableArray<GoldRemark>? gold)
    {
        if (gold is not { } marked)
        {
            return null;
        }

        var open = proposed.ToList();
        var extra = open.Count;
        var hits = 0;
        foreach (var remark in marked)
        {
            var match = open.Where(p => p.Kind == remark.Kind && Math.Abs(p.At - remark.At) <= Within).MinBy(p => Math.Abs(p.At - remark.At));
            if (match is not null)
            {
                hits++;
                open.Remove(match);
            }
        }

        return new Tally(hits, extra - hits, marked.Length - hits);
    }

    /// <summary>A phase proposed and marked is a hit; one that neither has counts as one too.</summary>
    private static Tally Presence(Timeline proposed, Timeline marked, PhaseKind kind)
    {
        bool Has(Timeline timeline) => timeline.Phases.Any(p => p.Kind == kind);
        return (Has(proposed), Has(marked)) switch
        {
            (true, false) => new Tally(0, 1, 0),
            (false, true) => new Tally(0, 0, 1),
            _ => new Tally(1, 0, 0),
        };
    }

    private static Tally Sets(HashSet<string> found, HashSet<string> marked)
    {
        var hits = found.Count(marked.Contains);
        return new Tally(hits, found.Count - hits, marked.Count - hits);
    }
}
