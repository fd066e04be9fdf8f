using System.Collections.Frozen;

namespace AnyPace.Core.Reading;

/// <summary>Groups of words that count alike ("husband", "nan"; "rest", "breather").</summary>
internal sealed class WordGroups
{
    /// <summary>Those by which remarks are known: the lists of <c>remark-words.yaml</c>, and those of stories (<c>stories.yaml</c>).</summary>
    public static readonly WordGroups Remarks =
        new(ReadingFiles.WordLists("remark-words.yaml").Concat(ReadingFiles.WordLists("stories.yaml").Select(l => KeyValuePair.Create("story " + l.Key, l.Value))));

    /// <summary>Those by which cautions, easier and harder ways are known.</summary>
    public static readonly WordGroups Care = new(ReadingFiles.WordLists("care-words.yaml"));

    /// <summary>Those by which it is known what a number is for.</summary>
    public static readonly WordGroups Numbers = new(ReadingFiles.WordLists("number-words.yaml"));

    /// <summary>Those by which it is known whether kit must be there.</summary>
    public static readonly WordGroups Kit = new(ReadingFiles.WordLists("kit-words.yaml"));

    private readonly FrozenDictionary<string, int[]> _groups;

    private WordGroups(IEnumerable<KeyValuePair<string, string[]>> groups)
    {
        var lists = groups.ToList();
        Names = [.. lists.Select(l => l.Key)];
        _groups = lists.Index().SelectMany(l => l.Item.Value.Select(w => (Word: w, Group: l.Index))).GroupBy(p => p.Word, p => p.Group)
            .ToFrozenDictionary(g => g.Key, g => g.Distinct().ToArray());
    }

    public IReadOnlyList<string> Names { get; }

    /// <summary>The groups of a word as it is spoken, by their place in <see cref="Names"/>.</summary>
    public int[] Of(string word) => _groups.GetValueOrDefault(word, []);

    /// <summary>The group of a word with # before it, or the word itself where it is of none.</summary>
    public string NameOr(string word) => Of(word) is [var group, ..] ? "#" + Names[group] : word;
}
