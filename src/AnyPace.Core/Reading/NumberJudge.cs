namespace AnyPace.Core.Reading;

/// <summary>What a number in speech is for.</summary>
public enum NumberRole
{
    Work,
    Rest,

    /// <summary>Rest between rounds or sets.</summary>
    RoundRest,
    Rounds,
    Sets,
    Repetitions,
    Moves,
}

/// <summary>
/// Tells what a number in speech is for by all the words about it: for each role a logistic regression over marked sentences, and over what is said in marked classes that is no dose. It knows what nobody wrote a
/// phrase for; the phrases of <see cref="DoseReader"/> know what is sure.
/// </summary>
/// <remarks>The weights are in <c>number-weights.csv</c>, one line a trait; <see cref="NumberFit"/> makes them anew.</remarks>
public sealed class NumberJudge
{
    private static readonly Lazy<NumberJudge> Shipped = new(() => new NumberJudge(TraitWeights.Parse(ReadingFiles.Text("number-weights.csv"))));

    private readonly TraitSums _sums;

    public NumberJudge(TraitWeights table) => _sums = new TraitSums(table, NumberFit.Kinds, "numbers");

    public static NumberJudge Default => Shipped.Value;

    /// <summary>A number with what it is most likely for.</summary>
    public readonly struct Judged(SaidNumber number, int[] odds)
    {
        public SaidNumber Number => number;

        public NumberRole Role { get; } = (NumberRole)Array.IndexOf(odds, odds.Max());

        /// <summary>How likely that is, 0..1.</summary>
        public double Share => Of(Role);

        /// <summary>How likely it is for something, 0..1. The roles are judged one by one: shares need not add up to 1.</summary>
        public double Of(NumberRole role) => LogisticFit.Share(odds[(int)role] / 100.0);
    }

    /// <summary>Every number with its likeliest role.</summary>
    public IReadOnlyList<Judged> Judge(Speech speech) => [.. SaidNumbers.Find(speech).Select(n => Judge(speech, n))];

    internal Judged Judge(Speech speech, SaidNumber number) => new(number, _sums.Of(sink => SaidNumbers.Tell(sink, speech, number)));
}
