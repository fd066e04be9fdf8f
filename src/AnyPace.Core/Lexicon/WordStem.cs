using System.Text;

namespace AnyPace.Core.Lexicon;

/// <summary>
/// A light suffix stripper for the trade's own words, so that lunge, lunges and lunging meet. It need not be a linguist's stem:
/// aliases and captions go through the same function, so it only has to send alike words to one form and unlike ones to two.
/// </summary>
public static class WordStem
{
    /// <summary>Number words that occur in move names; captions are read with numbers as digits.</summary>
    private static readonly Dictionary<string, string> Numbers = new()
    {
        ["one"] = "1",
        ["two"] = "2",
        ["three"] = "3",
        ["four"] = "4",
        ["ninety"] = "90",
    };

    public static string Of(string word)
    {
        var w = Fold(word);
        if (Numbers.TryGetValue(w, out var digits))
        {
            return digits;
        }

        if (w.Length <= 3)
        {
            // "push ups", "sit ups", but not "his", "bus", "yes".
            return w.Length == 3 && w[2] == 's' && w[1] is not ('s' or 'u' or 'i' or 'e') ? w[..2] : w;
        }

        if (w.EndsWith("ies", StringComparison.Ordinal) || w.EndsWith("ied", StringComparison.Ordinal))
        {
            w = w[..^3] + "y";
        }
        else if (w.EndsWith("ing", StringComparison.Ordinal) && w.Length > 5)
        {
            w = w[..^3];
        }
        else if (w.EndsWith("es", StringComparison.Ordinal) && w.Length > 4)
        {
            w = w[..^2];
        }
        else if (w.EndsWith("ed", StringComparison.Ordinal) && w.Length > 5)
        {
            w = w[..^2];
        }
        else if (w[^1] == 's' && w[^2] != 's' && w[^2] != 'u' && w[^2] != 'i')
        {
            w = w[..^1];
        }

        if (w.Length > 3 && w[^1] == 'e')
        {
            w = w[..^1];
        }

        return w.Length > 3 && w[^1] == w[^2] ? w[..^1] : w;
    }

    /// <summary>Lower case, accents and apostrophes removed.</summary>
    private static string Fold(string word)
    {
        if (word.All(char.IsAsciiLetterLower))
        {
            return word;
        }

        var builder = new StringBuilder(word.Length);
        foreach (var c in word)
        {
            var lower = char.ToLowerInvariant(c);
            switch (lower)
            {
                case '\'' or '’':
                    break;
                case 'é' or 'è' or 'ê':
                    builder.Append('e');
                    break;
                case 'à' or 'â' or 'á':
                    builder.Append('a');
                    break;
                default:
                    builder.Append(lower);
                    break;
            }
        }

        return builder.ToString();
    }
}
