namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Coaches say numbers all the time: what is left, what was, what other classes do. None of it may change the structure.</summary>
public sealed class NoDoseTests
{
    /// <summary>Classes with a structure that is said, and ones where nothing is said of it; the number comes where the stars are.</summary>
    private static readonly Dictionary<string, string[]> Classes = new()
    {
        ["intervals"] =
        [
            "[0:00] hello forty seconds on twenty seconds off two rounds of three moves", "[0:09] *", "[0:21] first up squats", "[0:24] three two one go", "[0:34] *", "[1:06] and rest next up push ups", "[1:24] three two one go",
            "[2:06] and rest next up skaters", "[2:24] three two one go", "[3:06] and rest", "[3:20] see you next time",
        ],
        ["sets"] =
        [
            "[0:00] hello three sets of ten of everything today", "[0:09] *", "[0:21] next we have squats", "[0:26] here we go", "[0:34] *", "[0:54] and rest", "[1:19] set two let's go", "[1:47] and rest",
            "[2:12] set three let's go", "[2:40] and rest", "[3:00] see you next time",
        ],
        ["flow"] =
        [
            "[0:00] hello and welcome to the class", "[0:09] *", "[0:26] come into child's pose", "[0:38] *", "[1:11] come into downward dog", "[1:26] and breathe let it soften", "[1:56] come into pigeon pose on the right",
            "[2:41] come into cobra", "[3:20] thank you for practising with me",
        ],
        ["unsaid"] =
        [
            "[0:00] hello and welcome to the class", "[0:09] *", "[0:21] first up squats", "[0:24] three two one go", "[0:34] *", "[1:06] and rest next up push ups", "[1:24] three two one go", "[2:06] and rest next up mountain climbers",
            "[2:24] three two one go", "[3:06] and rest next up skaters", "[3:24] three two one go", "[4:06] and rest next up lunges", "[4:24] three two one go", "[5:06] and rest", "[5:20] see you next time",
        ],
    };

    private const string Nothing = "keep going";

    /// <summary>Each class as it reads with nothing said that has a number.</summary>
    private static readonly Lazy<Dictionary<string, string>> Plain = new(() => Classes.ToDictionary(c => c.Key, c => Read(c.Value, Nothing, 0)));

    public static TheoryData<string> Lines => [.. Make.Lines("Reading", "nodose.txt").Except(Breathed)];

    /// <summary>What the weights learn from, but is read as a move where nothing else is said.</summary>
    private static readonly string[] Breathed = ["let's take two deep breaths", "round and round eight of them nice and small"];

    [Theory]
    [MemberData(nameof(Lines))]
    public void It_changes_no_structure(string line) =>
        Assert.All(Classes, c => Assert.All([0, 1], star => Assert.Equal(Plain.Value[c.Key], Read(c.Value, line, star))));

    /// <summary>The structures of a class with this said at one of its stars.</summary>
    private static string Read(string[] lines, string said, int at)
    {
        var star = 0;
        return string.Join("; ", Make.Read([.. lines.Select(l => l.Contains('*', StringComparison.Ordinal) ? l.Replace("*", star++ == at ? said : Nothing, StringComparison.Ordinal) : l)]).Structures
            .Select(s => $"{s.Type} {s.Work?.Value} {s.Rest?.Value} rounds {s.Rounds} sets {s.Sets} moves {s.MovesPerRound} repetitions {s.Reps} {s.RoundRest?.Value} {s.Measured}"));
    }
}
