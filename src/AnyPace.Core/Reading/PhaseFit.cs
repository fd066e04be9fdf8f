using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Counts in marked classes by what it is known where the warm-up ends and the cool-down begins (<see cref="PhaseChoice"/>). The same classes give the same trees.</summary>
public static class PhaseFit
{
    /// <summary>What the traits are called, in the order a border tells them.</summary>
    public static IReadOnlyList<string> Traits => PhaseTraits.Names;

    /// <summary>What is told of the borders of each class, read as one that nobody marked, and which of them is the end of its marked warm-up.</summary>
    /// <param name="choice">What the move of a stretch is chosen by.</param>
    /// <param name="starts">What the start of a bout is chosen by.</param>
    public static (IReadOnlyList<MentionFit.Examples> WarmUp, IReadOnlyList<MentionFit.Examples> CoolDown) Borders(ReadByOthers others, BoostedTrees choice, BoostedTrees starts) =>
        Borders(others, _ => choice, _ => starts);

    internal static (IReadOnlyList<MentionFit.Examples> WarmUp, IReadOnlyList<MentionFit.Examples> CoolDown) Borders(ReadByOthers others, Func<int, BoostedTrees> choices, Func<int, BoostedTrees> starts)
    {
        var borders = others.OfEach((marked, part) =>
        {
            var speech = new Speech(marked.Captions.Cues);
            var (heard, _, bouts, kind) = others.Reading(part, ReadingTrees.Shipped with { Choice = choices(part), Starts = starts(part) }).Done(speech);
            if (bouts.IsEmpty)
            {
                return (new MentionFit.Examples([]), new MentionFit.Examples([]));
            }

            var (traits, _) = PhaseFinder.Asked(speech, heard, bouts, others.Lexicons[part], kind);
            var warm = marked.Gold.Phases.LastOrDefault(p => p.Kind == PhaseKind.WarmUp) is { } up ? bouts.Count(b => b.Span.Middle <= up.Span.End) : 0;
            var cool = marked.Gold.Phases.FirstOrDefault(p => p.Kind == PhaseKind.CoolDown) is { } down ? bouts.Count(b => b.Span.Middle < down.Span.Start) : bouts.Length;
            MentionFit.Examples Of(IEnumerable<int> asked, int right) => new([.. asked.Select(b => (traits.Of(b), b == right))]);
            return (Of(PhaseChoice.WarmUpEnds(traits), warm), Of(PhaseChoice.CoolDownBegins(traits), cool));
        });
        return ([.. borders.Select(b => b.Item1)], [.. borders.Select(b => b.Item2)]);
    }

    /// <summary>Grows the trees.</summary>
    public static PhaseTrees Fit(ReadByOthers others, BoostedTrees choice, BoostedTrees starts)
    {
        var (warm, cool) = Borders(others, choice, starts);
        return new PhaseTrees(MentionFit.Fit(warm), MentionFit.Fit(cool));
    }
}
