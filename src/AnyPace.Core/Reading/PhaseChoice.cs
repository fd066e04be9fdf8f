namespace AnyPace.Core.Reading;

/// <summary>What the end of a warm-up and the beginning of a cool-down are chosen by.</summary>
public sealed record PhaseTrees(BoostedTrees WarmUp, BoostedTrees CoolDown)
{
    private static readonly Lazy<PhaseTrees> ShippedTrees = new(() => new(Of("warm-up-trees.csv"), Of("cool-down-trees.csv")));

    /// <summary>Those shipped with the program; <see cref="PhaseFit"/> makes them anew.</summary>
    internal static PhaseTrees Shipped => ShippedTrees.Value;

    private static BoostedTrees Of(string file) => BoostedTrees.Parse(ReadingFiles.Text(file), PhaseTraits.Names);
}

/// <summary>
/// Where the warm-up ends and the cool-down begins: rules weigh bout by bout what speaks for each; of all borders between two bouts, and of having none, the likeliest is taken if it is
/// clearly likelier than theirs.
/// </summary>
/// <remarks>The numbers below are ours.</remarks>
internal static class PhaseChoice
{
    /// <summary>How much likelier another border has to be.</summary>
    private const double Clearly = 0.2;

    /// <summary>Of fewer bouts nobody can tell: they are hardly a class.</summary>
    private const int Fewest = 8;

    /// <summary>A warm-up ends in this first share of the bouts, a cool-down begins in this last one.</summary>
    private const double Half = 0.6;

    /// <param name="count">How many bouts there are.</param>
    /// <param name="read">The first bout of the work and of the cool-down by rules.</param>
    public static (int Work, int Cool) Choose(PhaseTraits traits, int count, (int Work, int Cool) read, PhaseTrees trees)
    {
        if (count < Fewest)
        {
            return read;
        }

        var (work, cool) = (Likeliest(traits, WarmUpEnds(count, read.Work), read.Work, trees.WarmUp), Likeliest(traits, CoolDownBegins(count, read.Cool), read.Cool, trees.CoolDown));
        return work <= cool ? (work, cool) : read;
    }

    /// <summary>Where a warm-up may end; none at 0.</summary>
    public static IEnumerable<int> WarmUpEnds(int count, int read) => Enumerable.Range(0, Math.Min(count, Math.Max(read, (int)Math.Ceiling(Half * count))) + 1);

    /// <summary>Where a cool-down may begin; none after the last bout.</summary>
    public static IEnumerable<int> CoolDownBegins(int count, int read) => Math.Min(read, (int)((1 - Half) * count)) is var first ? Enumerable.Range(first, count - first + 1) : [];

    private static int Likeliest(PhaseTraits traits, IEnumerable<int> borders, int read, BoostedTrees trees)
    {
        var asked = borders.ToList();
        var likely = trees.Likelihoods(asked.ConvertAll(traits.Of));
        var best = Array.IndexOf(likely, likely.Max());
        return likely[best] > likely[asked.IndexOf(read)] + Clearly ? asked[best] : read;
    }
}
