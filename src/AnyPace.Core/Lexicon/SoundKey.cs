using System.Text;

namespace AnyPace.Core.Lexicon;

/// <summary>
/// How a word sounds, roughly: what a captioning machine mishears ("dead buck", "leg rays", "reverse lunch") keeps its consonants and little else.
/// Voiced and unvoiced consonants fall together, vowels count only at the start.
/// </summary>
public static class SoundKey
{
    public static string Of(string word)
    {
        var w = word.ToLowerInvariant();
        var key = new StringBuilder(w.Length);
        for (var i = 0; i < w.Length; i++)
        {
            var next = i + 1 < w.Length ? w[i + 1] : '\0';
            var soft = next is 'e' or 'i' or 'y';
            var sound = (w[i], next) switch
            {
                ('p', 'h') => 'f',
                ('c', 'h') or ('t', 'c') => 'j',
                ('s', 'h') => 'x',
                ('g', 'h') => '\0',
                ('k', 'n') when i == 0 => '\0',
                ('w', 'r') when i == 0 => '\0',
                ('d', 'g') => '\0',
                ('c', 'k') => '\0',
                ('c', _) => soft ? 's' : 'k',
                ('g', _) => soft ? 'j' : 'k',
                ('q', _) or ('k', _) => 'k',
                ('x', _) => 'k',
                ('z', _) or ('s', _) => 's',
                ('d', _) or ('t', _) => 't',
                ('b', _) or ('p', _) => 'p',
                ('v', _) or ('f', _) => 'f',
                ('j', _) => 'j',
                ('l' or 'm' or 'n' or 'r', _) => w[i],
                ('a' or 'e' or 'i' or 'o' or 'u', _) when i == 0 => 'a',
                _ => '\0',
            };
            if (sound != '\0' && (key.Length == 0 || key[^1] != sound))
            {
                key.Append(sound);
            }

            // The second letter of a pair was heard with the first.
            if ((w[i], next) is ('p', 'h') or ('c', 'h') or ('s', 'h') or ('g', 'h'))
            {
                i++;
            }
        }

        return key.ToString();
    }

    /// <summary>Letters to change, add or drop to make one word of the other; stops counting above <paramref name="most"/>.</summary>
    public static int Distance(string a, string b, int most)
    {
        if (Math.Abs(a.Length - b.Length) > most)
        {
            return most + 1;
        }

        Span<int> row = stackalloc int[b.Length + 1];
        for (var j = 0; j <= b.Length; j++)
        {
            row[j] = j;
        }

        for (var i = 1; i <= a.Length; i++)
        {
            var diagonal = row[0];
            row[0] = i;
            var least = i;
            for (var j = 1; j <= b.Length; j++)
            {
                var replaced = diagonal + (a[i - 1] == b[j - 1] ? 0 : 1);
                diagonal = row[j];
                row[j] = Math.Min(replaced, Math.Min(row[j], row[j - 1]) + 1);
                least = Math.Min(least, row[j]);
            }

            if (least > most)
            {
                return most + 1;
            }
        }

        return row[b.Length];
    }
}
