namespace AnyPace.Core.Reading;

/// <summary>Looking things up by their time in lists that are in time order, so that a long recording costs no more a minute than a short one.</summary>
internal static class Clocked
{
    /// <summary>Index of the first mark at or after a time.</summary>
    public static int From(IReadOnlyList<Mark> marks, double at)
    {
        var (low, high) = (0, marks.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = marks[middle].At < at ? (middle + 1, high) : (low, middle);
        }

        return low;
    }

    /// <summary>Index of the first mention named at or after a time.</summary>
    public static int From(List<Mention> mentions, double at)
    {
        var (low, high) = (0, mentions.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = mentions[middle].At < at ? (middle + 1, high) : (low, middle);
        }

        return low;
    }

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
