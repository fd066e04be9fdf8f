using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Tells by all the words about a piece of kit whether it must be there: for each need a logistic regression over marked sentences and over what is said in marked classes.
/// It knows what nobody wrote a phrase for; the phrases of <see cref="KitReader"/> know what is sure.
/// </summary>
/// <remarks>The weights are in <c>kit-weights.csv</c>, one line a trait; <see cref="KitFit"/> makes them anew.</remarks>
public sealed class KitJudge
{
    private static readonly Lazy<KitJudge> Shipped = new(() => new KitJudge(TraitWeights.Parse(ReadingFiles.Text("kit-weights.csv"))));

    private readonly TraitSums _sums;

    /// <exception cref="FormatException">Weights of other needs.</exception>
    public KitJudge(TraitWeights table) => _sums = new TraitSums(table, KitFit.Kinds, "kit");

    public static KitJudge Default => Shipped.Value;

    /// <summary>How likely a mention says each need, 0..1. The needs are judged one by one: shares need not add up to 1.</summary>
    public readonly struct Judged(int[] odds)
    {
        public double Of(KitNeed need) => LogisticFit.Share(odds[(int)need] / 100.0);

        /// <summary>The likeliest need.</summary>
        public KitNeed Need { get; } = (KitNeed)Array.IndexOf(odds, odds.Max());

        /// <summary>How likely it is that the item is not to be had at all, 0..1.</summary>
        public double OfNone => 1 - Of(Need);
    }

    internal Judged Judge(Speech speech, KitMention mention, IReadOnlyCollection<KitMention> all) => new(_sums.Of(sink => KitTraits.Tell(sink, speech, mention, all)));
}
