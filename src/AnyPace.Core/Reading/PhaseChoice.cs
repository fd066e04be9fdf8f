namespace AnyPace.Core.Reading;

/// <summary>What the end of a warm-up and the beginning of a cool-down are chosen by.</summary>
public sealed record PhaseTrees(BoostedTrees WarmUp, BoostedTrees CoolDown);

/// <summary>
/// Where the warm-up ends and the cool-down begins: rules weigh bout by bout what speaks for each; of all borders between two bouts, and of having none, the likeliest is taken if it is
/// clearly likelier than theirs.
/// </summary>
/// <remarks>What was counted is in <c>warm-up-trees.csv</c> and <c>cool-down-trees.csv</c>; <see cref="PhaseFit"/> makes them anew. The numbers below are ours.</remarks>
internal static class PhaseChoice
{
    /// <summary>How much likelier another border has to be.</summary>
    private const double Clearly = 0.2;

    /// <summary>Of fewer bouts nobody can tell: they are hardly a class.</summary>
    private const int Fewest = 8;

    /// <summary>A warm-up ends in this first share of the bouts, a cool-down begins in this last one.</summary>
    private const double Half = 0.6;

    /// <returns>The first bout of the work and of the cool-down.</returns>
    public static (int Work, int Cool) Choose(PhaseTraits traits, PhaseTrees trees)
    {
        if (traits.Count < Fewest)
        {
            return traits.Read;
        }

        var (work, cool) = (Likeliest(traits, WarmUpEnds(traits), traits.Read.Work, trees.WarmUp), Likeliest(traits, CoolDownBegins(traits), traits.Read.Cool, trees.CoolDown));
        return work <= cool ? (work, cool) : traits.Read;
    }

    /// <summary>Where a warm-up may end; none at 0.</summary>
    public static IEnumerable<int> WarmUpEnds(PhaseTraits traits) => Enumerable.Range(0, Math.Min(traits.Count, Math.Max(traits.Read.Work, (int)Math.Ceiling(Half * traits.Count))) + 1);

    /// <summary>Where a cool-down may begin; none after the last bout.</summary>
    public static IEnumerable<int> CoolDownBegins(PhaseTraits traits)
    {
        var first = Math.Min(traits.Read.Cool, (int)((1 - Half) * traits.Count));
        return Enumerable.Range(first, traits.Count - first + 1);
    }

    private static int Likeliest(PhaseTraits traits, IEnumerable<int> borders, int read, BoostedTrees trees)
    {
        var asked = borders.ToList();
        var likely = trees.Likelihoods(asked.ConvertAll(traits.Of));
        var best = Array.IndexOf(likely, likely.Max());
        return likely[best] > likely[asked.IndexOf(read)] + Clearly ? asked[best] : read;
    }
}
