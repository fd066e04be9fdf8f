using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// How sure each bout of a finished reading is: the share of those marked classes' bouts right of which as much is told. What laid a bout knows little of the rest of the class; that its move
/// is never named again, that what is said in it is said of another, or that it is a stretch amid jumps, tells more.
/// </summary>
/// <remarks>What was counted is in <c>sure-trees.csv</c>; <see cref="SureFit"/> makes it anew. The numbers below are ours.</remarks>
internal static class HowSure
{
    /// <summary>
    /// By so much less are the odds of a bout in a class that nobody saw, as a natural logarithm: classes held back in turn are like those the rules were written for. Set on the sum of the
    /// classes nobody tunes on.
    /// </summary>
    private const double Unseen = 0.4;

    /// <summary>Nothing that nobody confirmed is ever quite sure, or out of the question.</summary>
    private const double Least = 0.02;
    private const double Most = 0.98;

    /// <summary>The bouts, each as sure as it is likely to be right.</summary>
    public static ImmutableArray<Bout> Told(ImmutableArray<Bout> bouts, SureTraits traits, BoostedTrees trees)
    {
        var likely = trees.Likelihoods([.. bouts.Select((_, i) => traits.Of(i))]);
        return [.. bouts.Zip(likely, (bout, sure) => bout with { Confidence = Math.Round(Math.Clamp(AsUnseen(sure), Least, Most), 2) })];
    }

    private static double AsUnseen(double likely) => likely / (likely + ((1 - likely) * Math.Exp(Unseen)));
}
