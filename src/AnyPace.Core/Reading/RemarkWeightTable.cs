using System.Collections.Immutable;
using System.Globalization;

namespace AnyPace.Core.Reading;

/// <summary>What each trait of some words adds to the logarithm of the odds that they are a remark of each kind, in hundredths.</summary>
/// <param name="Base">Where the odds of each kind begin.</param>
public sealed record RemarkWeightTable(ImmutableArray<string> Kinds, int[] Base, IReadOnlyList<(string Trait, int[] Weights)> Weights)
{
    private const string BaseName = "(base)";

    /// <exception cref="FormatException">Not such a table; says which line.</exception>
    public static RemarkWeightTable Parse(string text)
    {
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        ImmutableArray<string> kinds = lines.Length == 0 ? [] : [.. lines[0].Split(',').Skip(1)];
        var rows = lines.Skip(1).Select((line, i) => Row(line, i + 2, kinds.Length)).ToList();
        return rows is [(BaseName, var start), ..]
            ? new RemarkWeightTable(kinds, start, rows[1..])
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
