using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>How far a proposed reading agrees with a marked one. All values 0..1.</summary>
/// <param name="MovesF1">Of the distinct moves done.</param>
/// <param name="BoutsFound">Share of marked bouts with a proposed bout of the same move whose start is within 15 s.</param>
/// <param name="PhaseOverlap">Share of the seconds that carry the same phase.</param>
/// <param name="EquipmentF1">Of item with need.</param>
/// <param name="Proposals">Each proposed bout: how sure, and whether a marked bout of the move starts within 15 s. For calibration.</param>
public sealed record ReadingScore(
    double MovesF1, double BoutsFound, double PhaseOverlap, double EquipmentF1, bool WarmUpRight, bool CoolDownRight,
    ImmutableArray<string> Missed, ImmutableArray<string> Extra, ImmutableArray<(double Confidence, bool Right)> Proposals)
{
    private const double Within = 15;

    public static ReadingScore Of(Timeline proposed, GoldReading gold)
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

        bool Has(Timeline timeline, PhaseKind kind) => timeline.Phases.Any(p => p.Kind == kind);
        return new ReadingScore(
            F1(found, marked),
            gold.Bouts.IsEmpty ? 1 : hits / (double)gold.Bouts.Length,
            all == 0 ? 1 : same / all,
            F1(proposed.Kit.Select(k => $"{k.Item} {k.Need.ToString().ToLowerInvariant()}").ToHashSet(), [.. gold.Kit]),
            Has(proposed, PhaseKind.WarmUp) == Has(marking, PhaseKind.WarmUp),
            Has(proposed, PhaseKind.CoolDown) == Has(marking, PhaseKind.CoolDown),
            [.. marked.Except(found).Order()],
            [.. found.Except(marked).Order()],
            [.. proposed.Bouts.Select(b => (b.Confidence, gold.Bouts.Any(g => g.MoveId == b.MoveId && Math.Abs((g.Span.Start - b.Span.Start).Value) <= Within)))]);
    }

    private static double F1(HashSet<string> found, HashSet<string> marked)
    {
        if (found.Count + marked.Count == 0)
        {
            return 1;
        }

        return 2.0 * found.Intersect(marked).Count() / (found.Count + marked.Count);
    }
}
