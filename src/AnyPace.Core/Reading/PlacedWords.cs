namespace AnyPace.Core.Reading;

/// <summary>What the words on one side of something say: each by itself and with how near it stands, and the groups they are of.</summary>
internal static class PlacedWords
{
    /// <summary>Words whose place counts.</summary>
    private const int Placed = 4;

    /// <param name="kinds">What stands there; words say something else of each kind.</param>
    /// <param name="words">From the nearest on.</param>
    /// <param name="group">The group of a word, or the word itself where it is of none.</param>
    public static void Add(TraitSink traits, IEnumerable<string> kinds, char side, IReadOnlyList<string> words, Func<string, string> group)
    {
        string[] groups = [.. words.Select(group)];
        foreach (var kind in kinds)
        {
            for (var k = 0; k < words.Count; k++)
            {
                traits.Add($"{kind}{side} {words[k]}");
                traits.Add($"{kind}{side} {groups[k]}");
                if (k >= Placed)
                {
                    continue;
                }

                traits.Add($"{kind}{side}{k} {words[k]}");
                traits.Add($"{kind}{side}{k} {groups[k]}");
                if (k + 1 < Math.Min(words.Count, Placed))
                {
                    traits.Add($"{kind}{side}{k} {words[k]} {words[k + 1]}");
                    traits.Add($"{kind}{side}{k} {groups[k]} {groups[k + 1]}");
                }
            }
        }
    }
}
