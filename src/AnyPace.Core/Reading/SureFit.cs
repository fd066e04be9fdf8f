namespace AnyPace.Core.Reading;

/// <summary>Counts in marked classes by what it is known that a bout is right (<see cref="HowSure"/>). The same classes give the same trees.</summary>
public static class SureFit
{
    /// <summary>What the traits are called, in the order a bout tells them.</summary>
    public static IReadOnlyList<string> Traits => SureTraits.Names;

    /// <summary>
    /// What is told of each bout of each class, read as one that nobody marked, and whether it is right: a marked one of its move begins within 15 seconds.
    /// <see cref="MentionFit.Fit(IReadOnlyList{MentionFit.Examples})"/> grows trees from them.
    /// </summary>
    public static IReadOnlyList<MentionFit.Examples> Bouts(ReadByOthers others) => Bouts(others, others.AllTrees());

    /// <param name="trees">For each part of the classes what it is judged by.</param>
    internal static IReadOnlyList<MentionFit.Examples> Bouts(ReadByOthers others, IReadOnlyList<ReadingTrees> trees) => others.OfEach((marked, part) =>
    {
        var (read, _, traits) = others.Reading(part, trees[part]).Divided(new Speech(marked.Captions.Cues));
        return new MentionFit.Examples([.. read.Bouts.Select((b, i) => (traits.Of(i), ReadingScore.IsRight(b, marked.Gold)))]);
    });
}
