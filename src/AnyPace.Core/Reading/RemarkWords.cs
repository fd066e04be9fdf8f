using System.Collections.Frozen;

namespace AnyPace.Core.Reading;

/// <summary>
/// Groups of words that count alike ("husband", "nan"; "oven", "train"): the lists of <c>remark-words.yaml</c>, and those by which stories are known (<c>stories.yaml</c>).
/// </summary>
internal sealed class RemarkWords
{
    public static readonly RemarkWords Default = new();

    private readonly FrozenDictionary<string, int[]> _groups;

    private RemarkWords()
    {
        var lists = ReadingFiles.WordLists("remark-words.yaml").Concat(ReadingFiles.WordLists("stories.yaml").Select(l => KeyValuePair.Create("story " + l.Key, l.Value))).ToList();
        Names = [.. lists.Select(l => l.Key)];
        _groups = lists.Index().SelectMany(l => l.Item.Value.Select(w => (Word: w, Group: l.Index))).GroupBy(p => p.Word, p => p.Group)
            .ToFrozenDictionary(g => g.Key, g => g.Distinct().ToArray());
    }

    public IReadOnlyList<string> Names { get; }

    /// <summary>The groups of a word as it is spoken, by their place in <see cref="Names"/>.</summary>
    public int[] Of(string word) => _groups.GetValueOrDefault(word, []);
}
