namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Who leads a class talks all the time: praise, cues, stories, jokes. None of it may add a move, take one away or move one.</summary>
public sealed class SmallTalkTests
{
    /// <summary>Classes whose moves are named; the talk comes where the stars are.</summary>
    private static readonly Dictionary<string, string[]> Classes = new()
    {
        ["standing"] =
        [
            "[0:00] hello forty seconds on twenty seconds off let's get started", "[0:08] first up squats", "[0:14] three two one go", "[0:24] *", "[0:54] and rest", "[1:02] next is reverse lunges",
            "[1:14] go", "[1:26] *", "[1:54] and rest", "[2:02] last one is jumping jacks", "[2:14] and go", "[2:26] *", "[2:54] and rest", "[3:02] see you next time",
        ],
        ["floor"] =
        [
            "[0:00] hello lie down on your mat let's get started with some glute bridges", "[0:16] lift and lower", "[0:26] *", "[0:46] now bicycle crunches", "[0:56] twist and twist", "[1:06] *", "[1:26] and flip over for a forearm plank",
            "[1:40] *", "[2:00] and rest", "[2:10] see you next time",
        ],
        ["weights"] =
        [
            "[0:00] hello grab your dumbbells let's get started", "[0:08] twelve biceps curls here we go", "[0:20] *", "[0:44] and now overhead press", "[0:56] *", "[1:20] okay deadlifts next", "[1:32] *", "[1:54] and rest", "[2:04] see you next time",
        ],
    };

    public static TheoryData<string> Lines => [.. File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Reading", "smalltalk.txt"))];

    [Theory]
    [MemberData(nameof(Lines))]
    public void Talk_changes_no_move(string line)
    {
        foreach (var (name, lines) in Classes)
        {
            static string Of(IEnumerable<string> said) => string.Join(", ", Make.Read([.. said]).Bouts.Select(b => $"{b.MoveId} {Math.Round(b.Span.Start.Value / 5) * 5}"));
            Assert.Equal($"{name}: {Of(lines.Select(l => l.Replace("*", "keep going", StringComparison.Ordinal)))}", $"{name}: {Of(lines.Select(l => l.Replace("*", line, StringComparison.Ordinal)))}");
        }
    }
}
