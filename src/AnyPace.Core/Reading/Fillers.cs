using System.Collections.Frozen;

namespace AnyPace.Core.Reading;

/// <summary>Words that say nothing and stand anywhere, even inside a dose or a name: "forty, you know, seconds", "kind of lunges".</summary>
internal static class Fillers
{
    /// <summary>After these "kind of" and "basically" compare, "you know" is meant, and "actually" takes something back.</summary>
    private static readonly FrozenSet<string> MeantAfter = Set(
        "is are was it's that's this that which what who any some a an the same every these those no another different each other 1 2 3 do don't did didn't if let as once when because i how so wait really just not or and but to");

    /// <summary>Before these "you know" is meant: "you know how this goes".</summary>
    private static readonly FrozenSet<string> Known = Set("how what where when that the this these it if who why i you we me your which a there they he she my them him her exactly already");

    /// <summary>Before these "actually" takes something back.</summary>
    private static readonly FrozenSet<string> TakenBack = Set("no not let's it's make we're i");

    private static FrozenSet<string> Set(string words) => words.Split(' ').ToFrozenSet();

    /// <summary>How many words from this one on say nothing; 0 where it is meant.</summary>
    public static int Length(string before, string word, string next, string afterNext) => (word, next) switch
    {
        _ when MeantAfter.Contains(before) => 0,
        ("you", "know") => Known.Contains(afterNext) ? 0 : 2,
        ("kind" or "sort", "of") => 2,
        ("actually", _) => TakenBack.Contains(next) ? 0 : 1,
        ("basically" or "literally", _) => 1,
        ("like", [>= '4' and <= '9'] or [>= '1' and <= '9', _]) => 1,
        _ => 0,
    };
}
