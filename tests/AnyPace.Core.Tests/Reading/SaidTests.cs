using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>The sentences of <c>said.txt</c>, each put into a small class and read.</summary>
public sealed class SaidTests
{
    private static List<(string Said, string Meant)> Lines(string kind) =>
    [
        .. File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Reading", "said.txt")).Where(l => l.StartsWith(kind, StringComparison.Ordinal))
            .Select(l => l.Split('|')).Select(p => (p[1].Trim(), p[2].Trim())),
    ];

    private static void AllRead(string kind, Func<string, string> read)
    {
        var lines = Lines(kind);
        var wrong = lines.Where(l => read(l.Said) != l.Meant).Select(l => $"{l.Said} | {l.Meant} | but read {read(l.Said)}").ToList();
        Assert.NotEmpty(lines);
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    [Fact]
    public void Doses_said_before_the_class()
    {
        var wrong = new List<string>();
        foreach (var (said, meant) in Lines("dose"))
        {
            var read = Make.Read(
                "[0:00] hello and welcome", $"[0:05] {said}", "[0:30] let's get started squats here we go", "[0:50] chest up", "[1:20] lunges", "[1:50] push ups",
                "[2:30] well done").Structures[0];
            var parts = new[]
            {
                $"{read.Work?.Value}", $"{read.Rest?.Value}", $"r{Range(read.Rounds)}", $"s{read.Sets}", $"x{Range(read.Reps)}", $"m{read.MovesPerRound}",
            };
            if (!meant.Split(' ').All(parts.Contains))
            {
                wrong.Add($"{said} | {meant} | but read {string.Join(' ', parts)}");
            }
        }

        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    private static string Range(CountRange? range) => range is { } r ? r.Low == r.High ? $"{r.Low}" : $"{r.Low}-{r.High}" : "";

    [Fact]
    public void Remarks_made_during_a_move() => AllRead("remark", said =>
    {
        var read = RemarkTests.During(said);
        return string.Join(", ", read.Options.Select(o => $"option {o.Direction.ToString().ToLowerInvariant()}")
            .Concat(read.Cautions.Select(c => $"caution {c.Topic}")).Concat(read.Claims.Select(c => $"promise {c.Type}"))
            .Concat(read.Outside.Select(o => $"outside {o.Type}")).Distinct().Order(StringComparer.Ordinal));
    });
}
