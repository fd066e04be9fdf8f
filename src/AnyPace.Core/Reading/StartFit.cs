using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Counts in marked classes by what it is known when a bout begins (<see cref="StartChoice"/>). The same classes give the same trees.</summary>
public static class StartFit
{
    /// <summary>A moment is right if the marked bout begins within so many seconds of it.</summary>
    private const double Within = 5;

    /// <summary>A bout is a marked one if they overlap, or begin within so many seconds of each other.</summary>
    private const double Same = 15;

    /// <summary>What the traits are called, in the order a moment tells them.</summary>
    public static IReadOnlyList<string> Traits => StartTraits.Names;

    /// <summary>
    /// What is told of the moments at which each bout may begin that is read as the move that is marked there, each class read as one that nobody marked.
    /// <see cref="MentionFit.Fit(IReadOnlyList{MentionFit.Examples})"/> grows trees from them.
    /// </summary>
    /// <param name="choice">What the move of a stretch is chosen by.</param>
    public static IReadOnlyList<MentionFit.Examples> Moments(ReadByOthers others, BoostedTrees choice) => Moments(others, _ => choice);

    /// <param name="choices">For each part of the classes what the move is chosen by.</param>
    internal static IReadOnlyList<MentionFit.Examples> Moments(ReadByOthers others, Func<int, BoostedTrees> choices) => others.OfEach((marked, part) =>
    {
        var reading = others.Reading(part, ReadingTrees.Shipped with { Choice = choices(part) });
        var speech = new Speech(marked.Captions.Cues);
        var (heard, _, bouts) = reading.Bouts(speech);
        var choice = new StartChoice(speech, heard, others.Lexicons[part], bouts);
        var examples = new List<(byte[] Told, bool Right)>();
        foreach (var (i, bout) in bouts.Index())
        {
            if (MarkedAs(marked.Gold, bout) is { } of)
            {
                var (moments, told) = choice.Asked(i);
                examples.AddRange(moments.Zip(told, (at, tells) => (tells, Math.Abs(at - of.Span.Start.Value) <= Within)));
            }
        }

        return new MentionFit.Examples(examples);
    });

    private static Bout? MarkedAs(GoldReading gold, Bout bout) =>
        gold.Bouts.Where(b => b.MoveId == bout.MoveId && (b.Side == bout.Side || b.Side == Side.Both || bout.Side == Side.Both)
                && (b.Span.Overlap(bout.Span).Value > 0 || Math.Abs((b.Span.Start - bout.Span.Start).Value) < Same))
            .MinBy(b => Math.Abs((b.Span.Start - bout.Span.Start).Value));
}
