namespace AnyPace.Core.Reading;

/// <summary>What some words in a row say of the kind of remark they are: each word, two words in a row, the groups the words are of, and groups that come close together.</summary>
internal static class RemarkTraits
{
    /// <summary>Words within which two groups come together.</summary>
    public const int Near = 8;

    /// <summary>Runs of words without so long a silence, in seconds, between; each from one word up to another.</summary>
    public static IEnumerable<(int From, int To)> Breaths(Speech speech, int from, int to, double silence)
    {
        for (var i = from; i < to; i++)
        {
            if (i + 1 == to || speech.SilentAfter(i, silence))
            {
                yield return (from, i + 1);
                from = i + 1;
            }
        }
    }

    public static string Pair(string stem, string next) => $"{stem} {next}";

    /// <summary>The same where there is room for it.</summary>
    /// <returns>How long it is; 0 where it has no room, which no words that are weighed are.</returns>
    public static int Pair(Span<char> room, string stem, string next) => room.TryWrite($"{stem} {next}", out var length) ? length : 0;

    public static string Group(string name) => $"#{name}";

    /// <summary>In the order of their places, so that it is one trait whichever is said first.</summary>
    public static string Together(IReadOnlyList<string> names, int a, int b) => $"#{names[Math.Min(a, b)]}&{names[Math.Max(a, b)]}";

    /// <summary>The groups that a trait is of; none for words.</summary>
    public static string[] GroupsIn(string trait) => trait.StartsWith('#') ? trait[1..].Split('&') : [];

    /// <summary>The traits of the words from one up to another, without it.</summary>
    public static HashSet<string> Of(Speech speech, int from, int to, WordGroups words)
    {
        var traits = new HashSet<string>();
        for (var i = from; i < to; i++)
        {
            traits.Add(speech.Stems[i]);
            if (i + 1 < to)
            {
                traits.Add(Pair(speech.Stems[i], speech.Stems[i + 1]));
            }

            foreach (var group in words.Of(speech.Texts[i]))
            {
                traits.Add(Group(words.Names[group]));
                for (var k = i + 1; k < Math.Min(to, i + Near + 1); k++)
                {
                    traits.UnionWith(words.Of(speech.Texts[k]).Select(other => Together(words.Names, group, other)));
                }
            }
        }

        return traits;
    }
}
