using System.Collections.Frozen;
using System.Globalization;

namespace AnyPace.Core.Reading;

/// <summary>
/// Judges how likely the move of each mention is done there, by all its traits together: a logistic regression over the marked classes that are tuned on.
/// The rules say what the words do; how much each of their findings is worth beside the others is counted, not guessed.
/// </summary>
/// <remarks>The weights are in <c>mention-weights.csv</c>, one line a trait and value; <see cref="MentionFit"/> makes them anew.</remarks>
internal sealed class MentionJudge
{
    /// <summary>What a mention that is surely right counts in the division of the recording. Ours, set on our own captions.</summary>
    private const double Surely = 1.4;

    private static readonly Lazy<MentionJudge> Shipped = new(() => new MentionJudge(MentionWeightTable.Parse(ReadingFiles.Text("mention-weights.csv"))));

    private readonly FrozenDictionary<TraitValue, double> _weights;
    private readonly double _base;
    private readonly double _faintBase;

    public MentionJudge(MentionWeightTable table) =>
        (_weights, _base, _faintBase) = (table.Weights.ToFrozenDictionary(), table.Base, table.FaintBase);

    public static MentionJudge Default => Shipped.Value;

    /// <summary>The mentions, those only faintly heard too, with the weight that their likelihood gives them.</summary>
    public List<Mention> Judge(Speech speech, MentionsHeard heard)
    {
        var traits = new MentionTraits(speech, heard);
        return [.. heard.All.Select(m => m.Weight > 0 || m.Faint ? m with { Weight = Surely * Likelihood(m.Faint, traits.Of(m)) } : m)];
    }

    private double Likelihood(bool faint, List<TraitValue> traits)
    {
        var sum = faint ? _faintBase : _base;
        foreach (var trait in traits)
        {
            sum += _weights.GetValueOrDefault(trait);
        }

        return LogisticFit.Share(sum);
    }
}

/// <summary>What each value of each trait adds to the logarithm of the odds that a mention is right.</summary>
/// <param name="Base">Where they begin.</param>
/// <param name="FaintBase">Where they begin for what is only faintly heard.</param>
public sealed record MentionWeightTable(IReadOnlyDictionary<TraitValue, double> Weights, double Base, double FaintBase)
{
    private const string Head = "trait,faint,a,b,c,weight";
    private const string BaseName = "Base";

    /// <exception cref="FormatException">Not such a table; says which line.</exception>
    public static MentionWeightTable Parse(string text)
    {
        var (weights, start, faintStart) = (new Dictionary<TraitValue, double>(), 0.0, 0.0);
        foreach (var (i, line) in text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Index().Skip(1))
        {
            var cells = line.Split(',');
            if (cells is not [var name, var faint, var a, var b, var c, var value] || !double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var weight))
            {
                throw new FormatException($"Line {i + 1} of the weights, '{line}', is not '{Head}'.");
            }

            if (name == BaseName)
            {
                (start, faintStart) = faint == "1" ? (start, weight) : (weight, faintStart);
                continue;
            }

            if (!Enum.TryParse<Trait>(name, out var trait))
            {
                throw new FormatException($"Line {i + 1} of the weights: there is no trait '{name}'.");
            }

            byte Cell(string text) => byte.Parse(text, CultureInfo.InvariantCulture);
            weights[new TraitValue(trait, faint == "1", Cell(a), Cell(b), Cell(c))] = weight;
        }

        return new MentionWeightTable(weights, start, faintStart);
    }

    /// <summary>The table as text, in the order of the traits.</summary>
    public string Write()
    {
        static string Line(string trait, bool faint, int a, int b, int c, double weight) => string.Create(CultureInfo.InvariantCulture, $"{trait},{(faint ? 1 : 0)},{a},{b},{c},{weight:0.##}");
        return string.Join('\n',
        [
            Head,
            Line(BaseName, false, 0, 0, 0, Base),
            Line(BaseName, true, 0, 0, 0, FaintBase),
            .. Weights.OrderBy(w => w.Key.Faint).ThenBy(w => w.Key.Trait).ThenBy(w => w.Key.A).ThenBy(w => w.Key.B).ThenBy(w => w.Key.C)
                .Select(w => Line(w.Key.Trait.ToString(), w.Key.Faint, w.Key.A, w.Key.B, w.Key.C, w.Value)),
            string.Empty,
        ]);
    }
}
