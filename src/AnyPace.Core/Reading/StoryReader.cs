namespace AnyPace.Core.Reading;

/// <summary>
/// Finds talk beside the class by its words: somebody tells ("i", "my", "she") and close by stands a word that no class is about ("oven", "train"), or somebody did something ("I burnt", "my sister bought") and close by
/// stands a word of everyday life ("kitchen", "last night").
/// </summary>
internal static class StoryReader
{
    /// <summary>Words before and after the telling in which the other word stands.</summary>
    private const int Before = 8;
    private const int After = 12;

    /// <summary>Seconds without a word after which something else is said.</summary>
    private const double Silence = 3;

    private static readonly Words Known = Load();

    /// <summary>Words as <c>stories.yaml</c> has them.</summary>
    private sealed record Words(HashSet<string> Far, HashSet<string> Near, HashSet<string> Tellers, HashSet<string> Past);

    private static Words Load()
    {
        var lists = ReadingFiles.WordLists("stories.yaml");
        HashSet<string> Of(string list) => [.. lists[list]];
        return new Words(Of("far"), Of("near"), Of("tellers"), Of("past"));
    }

    /// <summary>Where each story is told: the token of who tells.</summary>
    public static IEnumerable<int> Find(Speech speech)
    {
        for (var i = 0; i < speech.Tokens.Count; i++)
        {
            if (Known.Tellers.Contains(speech.Tokens[i].Text) && IsStory(speech, i))
            {
                yield return i;
            }
        }
    }

    private static bool IsStory(Speech speech, int token)
    {
        var (from, to) = (token, token + 1);
        while (from > Math.Max(0, token - Before) && !Ends(speech, from - 1))
        {
            from--;
        }

        while (to < Math.Min(speech.Tokens.Count, token + After) && !Ends(speech, to - 1))
        {
            to++;
        }

        bool Any(HashSet<string> words, int first, int last) => Enumerable.Range(first, Math.Max(0, last - first)).Any(t => words.Contains(speech.Tokens[t].Text));
        const int tells = 4;
        return Any(Known.Far, from, to) || (Any(Known.Past, token + 1, Math.Min(to, token + tells)) && Any(Known.Near, from, to));
    }

    private static bool Ends(Speech speech, int word) => speech.Tokens[word].Stops || speech.SilentAfter(word, Silence);
}
