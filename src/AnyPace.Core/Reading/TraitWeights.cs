using System.Collections.Immutable;
using System.Globalization;

namespace AnyPace.Core.Reading;

/// <summary>What each trait of some words adds to the logarithm of the odds that they are of each kind, in hundredths.</summary>
/// <param name="Base">Where the odds of each kind begin.</param>
public sealed record TraitWeights(ImmutableArray<string> Kinds, int[] Base, IReadOnlyList<(string Trait, int[] Weights)> Weights)
{
    private const string BaseName = "(base)";

    /// <summary>For each kind a logistic regression over examples.</summary>
    /// <param name="examples">The places of what each is among the kinds, and its traits.</param>
    /// <param name="least">A trait is weighed if so many examples of a kind have it.</param>
    /// <param name="ridge">What a weight costs: the larger, the less a trait that is seldom seen may say.</param>
    /// <param name="leastWeight">A smaller weight, in hundredths, is left out: it keeps the table short and changes nothing that is found.</param>
    internal static TraitWeights Fit(ImmutableArray<string> kinds, IReadOnlyList<(int[] Kinds, HashSet<string> Traits)> examples, int least, double ridge, int leastWeight)
    {
        var known = examples.Where(e => e.Kinds.Length > 0).SelectMany(e => e.Traits).CountBy(t => t).Where(t => t.Value >= least).Select(t => t.Key).Order(StringComparer.Ordinal).ToList();
        var features = LogisticFit.Numbered(examples.Select(e => e.Traits), known);
        var fits = kinds.Index().AsParallel().AsOrdered()
            .Select(k => LogisticFit.Fit(features, [.. examples.Select(e => e.Kinds.Contains(k.Index))], known.Count, ridge)).ToList();
        static int Hundredths(double weight) => (int)Math.Round(weight * 100);
        return new TraitWeights(
            kinds,
            [.. fits.Select(f => Hundredths(f[^1]))],
            [
                .. known.Index()
                    .Select(t => (Trait: t.Item, Weights: fits.Select(f => Hundredths(f[t.Index])).Select(w => Math.Abs(w) < leastWeight ? 0 : w).ToArray()))
                    .Where(t => t.Weights.Any(w => w != 0)),
            ]);
    }

    /// <exception cref="FormatException">Not such a table; says which line.</exception>
    public static TraitWeights Parse(string text)
    {
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        ImmutableArray<string> kinds = lines.Length == 0 ? [] : [.. lines[0].Split(',').Skip(1)];
        var rows = lines.Skip(1).Select((line, i) => Row(line, i + 2, kinds.Length)).ToList();
        return rows is [(BaseName, var start), ..]
            ? new TraitWeights(kinds, start, rows[1..])
            : throw new FormatException($"The second line of the weights is not '{BaseName}'.");
    }

    private static (string Trait, int[] Weights) Row(string line, int number, int kinds)
    {
        var cells = line.Split(',');
        var weights = new int[kinds];
        for (var k = 0; k < kinds; k++)
        {
            if (cells.Length != kinds + 1 || !int.TryParse(cells[k + 1] is "" ? "0" : cells[k + 1], NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out weights[k]))
            {
                throw new FormatException($"Line {number} of the weights, '{line}', is not a trait and {kinds} whole numbers.");
            }
        }

        return (cells[0], weights);
    }

    /// <summary>The table as text; a weight of nothing is left empty.</summary>
    public string Write() => string.Join('\n',
    [
        "trait," + string.Join(',', Kinds),
        Line(BaseName, Base),
        .. Weights.OrderBy(w => w.Trait, StringComparer.Ordinal).Select(w => Line(w.Trait, w.Weights)),
        string.Empty,
    ]);

    private static string Line(string trait, int[] weights) =>
        $"{trait},{string.Join(',', weights.Select(w => w == 0 ? "" : w.ToString(CultureInfo.InvariantCulture)))}";
}
