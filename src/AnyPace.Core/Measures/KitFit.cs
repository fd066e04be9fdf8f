using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>How much of the work can be done with what is at hand; the four shares sum to 1.</summary>
/// <param name="Missing">Required items that are neither at hand nor stood in for.</param>
public sealed record KitFitFigures(double AsLed, double WithSubstitute, double WithOption, double NotAtAll, ImmutableArray<string> Missing);

/// <summary>Kit lists held against a session.</summary>
public static class KitFit
{
    public static KitFitFigures Of(Timeline timeline, MoveLexicon lexicon, IReadOnlySet<string> kit)
    {
        var required = timeline.Kit.Where(k => k.Need == KitNeed.Required).Select(k => k.Item).ToHashSet();
        var main = timeline.BoutsOf(PhaseKind.Work).ToList();
        var work = main.Sum(b => b.Span.Length.Value);
        var (led, substitute, option) = (0.0, 0.0, 0.0);
        foreach (var bout in main)
        {
            var lacking = lexicon[bout.MoveId].Kit.Where(k => required.Contains(k) && !kit.Contains(k)).ToList();
            var seconds = bout.Span.Length.Value;
            if (lacking.Count == 0)
            {
                led += seconds;
            }
            else if (lacking.All(k => StandIn(timeline, k, kit)))
            {
                substitute += seconds;
            }
            else if (HasWay(timeline, lexicon, bout, kit))
            {
                option += seconds;
            }
        }

        // Without work there is nothing that could not be done.
        return work == 0
            ? new KitFitFigures(1, 0, 0, 0, Missing(timeline, kit))
            : new KitFitFigures(led / work, substitute / work, option / work, Math.Max(0, 1 - ((led + substitute + option) / work)), Missing(timeline, kit));
    }

    private static ImmutableArray<string> Missing(Timeline timeline, IReadOnlySet<string> kit) =>
        [.. timeline.Kit.Where(k => k.Need == KitNeed.Required && !kit.Contains(k.Item) && !StandIn(timeline, k.Item, kit)).Select(k => k.Item)];

    private static bool StandIn(Timeline timeline, string item, IReadOnlySet<string> kit) =>
        timeline.Kit.Any(k => k.Need == KitNeed.Substitute && k.For == item && kit.Contains(k.Item));

    /// <summary>An easier way that needs none of it: another move, or "without the weights".</summary>
    private static bool HasWay(Timeline timeline, MoveLexicon lexicon, Bout bout, IReadOnlySet<string> kit) => timeline.Options.Any(o =>
        o.MoveId == bout.MoveId && o.Direction == OptionDirection.Easier
        && (lexicon.Find(o.Instead) is { } other ? other.Kit.All(kit.Contains) : o.Text.Contains("without", StringComparison.Ordinal) || o.Text.Contains("bodyweight", StringComparison.Ordinal)));
}
