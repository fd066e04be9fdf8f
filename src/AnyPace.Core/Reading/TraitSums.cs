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

    /// <summary>The logarithm of the odds of each kind, in hundredths.</summary>
    public int[] Of(HashSet<string> traits)
    {
        int[] sums = [.. _base];
        foreach (var trait in traits)
        {
            if (_weights.TryGetValue(trait, out var weights))
            {
                for (var k = 0; k < sums.Length; k++)
                {
                    sums[k] += weights[k];
                }
            }
        }

        return sums;
    }
}
