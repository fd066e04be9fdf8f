using System.Collections.Frozen;
using System.Collections.Immutable;

namespace AnyPace.Core.Reading;

/// <summary>A table of weights, ready to be added up for the traits of some words.</summary>
internal sealed class TraitSums
{
    private readonly int[] _base;
    private readonly FrozenDictionary<string, int[]> _weights;

    /// <param name="kinds">What the weights have to be of.</param>
    /// <param name="what">What is judged, for the message.</param>
    /// <exception cref="FormatException">Weights of other kinds.</exception>
    public TraitSums(TraitWeights table, ImmutableArray<string> kinds, string what)
    {
        if (!table.Kinds.SequenceEqual(kinds))
        {
            throw new FormatException($"The weights of {what} are of {string.Join(", ", table.Kinds)}, not of {string.Join(", ", kinds)}.");
        }

        (_base, _weights) = (table.Base, table.Weights.ToFrozenDictionary(w => w.Trait, w => w.Weights));
    }

    /// <summary>The logarithm of the odds of each kind, in hundredths, for traits as they are told.</summary>
    public int[] Of(Action<TraitSink> tell)
    {
        var sum = new Sum(this);
        tell(sum);
        return sum.Odds;
    }

    private sealed class Sum(TraitSums table) : TraitSink
    {
        private readonly FrozenDictionary<string, int[]>.AlternateLookup<ReadOnlySpan<char>> _find = table._weights.GetAlternateLookup<ReadOnlySpan<char>>();

        /// <summary>The weights that are added already: a few dozen at most.</summary>
        private readonly List<int[]> _added = [];

        public int[] Odds { get; } = [.. table._base];

        public override void Add(ReadOnlySpan<char> trait)
        {
            if (!_find.TryGetValue(trait, out var weights) || _added.Contains(weights))
            {
                return;
            }

            _added.Add(weights);
            for (var k = 0; k < Odds.Length; k++)
            {
                Odds[k] += weights[k];
            }
        }
    }
}
