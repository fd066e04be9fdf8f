namespace AnyPace.Core.Reading;

/// <summary>Looking things up by their time in lists that are in time order, so that a long recording costs no more a minute than a short one.</summary>
internal static class Clocked
{
    /// <summary>Index of the first item whose key is at or after a value; the items are in the order of their keys.</summary>
    public static int From<T>(IReadOnlyList<T> items, double at, Func<T, double> key)
    {
        var (low, high) = (0, items.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = key(items[middle]) < at ? (middle + 1, high) : (low, middle);
        }

        return low;
    }

    /// <summary>Index of the first word said at or after a time.</summary>
    public static int From(IReadOnlyList<Token> words, double at) => From(words, at, static w => w.At);

    /// <summary>Index of the first mark at or after a time.</summary>
    public static int From(IReadOnlyList<Mark> marks, double at) => From(marks, at, static m => m.At);

    /// <summary>Index of the first mention named at or after a time.</summary>
    public static int From(List<Mention> mentions, double at) => From(mentions, at, static m => m.At);

    /// <summary>Marks from a time up to and with another.</summary>
    public static IEnumerable<Mark> Between(IReadOnlyList<Mark> marks, double from, double to)
    {
        for (var i = From(marks, from); i < marks.Count && marks[i].At <= to; i++)
        {
            yield return marks[i];
        }
    }

    /// <summary>Mentions named from a time up to and with another.</summary>
    public static IEnumerable<Mention> Between(List<Mention> mentions, double from, double to)
    {
        for (var i = From(mentions, from); i < mentions.Count && mentions[i].At <= to; i++)
        {
            yield return mentions[i];
        }
    }
}
