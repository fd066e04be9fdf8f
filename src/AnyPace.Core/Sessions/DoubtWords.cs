namespace AnyPace.Core.Sessions;

/// <summary>Why a bout is doubtful, in words for the person who is asked about it.</summary>
public static class DoubtWords
{
    /// <summary>More than so many reasons nobody reads.</summary>
    private const int Most = 3;

    /// <summary>One sentence; empty where no single thing speaks against the bout.</summary>
    /// <param name="nameOf">The name of a move by its id.</param>
    public static string Of(Bout bout, Func<string, string> nameOf)
    {
        var reasons = string.Join("; ", bout.Doubts.Take(Most).Select(d => Reason(d, nameOf)));
        return reasons.Length == 0 ? "" : $"{char.ToUpperInvariant(reasons[0])}{reasons[1..]}.";
    }

    private static string Reason(Doubt doubt, Func<string, string> nameOf) => doubt.Kind switch
    {
        DoubtKind.NeverNamed => "nobody says its name in this class",
        DoubtKind.NotNamedHere => "nobody says its name in these seconds",
        DoubtKind.TalkedAbout => "its name is said, but hardly as something to do now",
        DoubtKind.OtherNamed => $"{(doubt.MoveId is { } id ? nameOf(id).ToLowerInvariant() : "another move")} is named here",
        DoubtKind.Silent => "hardly a word is said in it",
        DoubtKind.OutOfPlace => "it is unlike what is done before and after",
        DoubtKind.NoStart => "nobody calls its start or counts along",
        DoubtKind.Short => "it is much shorter than most",
        DoubtKind.Long => "it is much longer than most",
        _ => throw new ArgumentOutOfRangeException(nameof(doubt)),
    };
}
