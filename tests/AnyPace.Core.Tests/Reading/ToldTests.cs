using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Moves that nobody names: "grab your foot behind you and pull your heel to your bum". Six at a time in the part of a class where they are done.</summary>
public sealed class ToldTests
{
    private const double Within = 12;
    private const int Seeds = 3;

    private static readonly string[] Led = ["X", "okay X", "now X", "good and X", "and X", "lovely now X", "right let's X", "and then X", "we're going to X"];
    private static readonly string[] Easy = ["nice and easy to start", "keep breathing", "good and keep it going", "nothing crazy just getting moving", "beautiful", "hold it there", "just relax into it"];

    private sealed record Told(string Part, string[] Moves, string Words);

    private static readonly Told[] All = [.. Make.Lines("Reading", "told.txt").Select(l => l.Split('|')).Select(p => new Told(p[0], p[1].Split('/'), p[2]))];

    /// <summary>The shares are what is read today less a little: they may rise, not fall.</summary>
    [Theory]
    [InlineData("warm-up", 0.82)]
    [InlineData("stretches", 0.80)]
    [InlineData("work", 0.80)]
    public void What_is_told_and_not_named_is_read(string part, double atLeast)
    {
        var (found, all) = (0, 0);
        for (var seed = 0; seed < Seeds; seed++)
        {
            var random = new Random(seed);
            foreach (var six in All.Where(t => t.Part == part).OrderBy(_ => random.Next()).Chunk(6))
            {
                var lines = new List<(double At, string Words)> { (0, "hi everyone and welcome"), (7, "today we've got forty seconds on and twenty seconds off") };
                var done = part == "work" ? Working(lines, six) : part == "stretches" ? Stretching(lines, six, random) : Warming(lines, six, random);
                var open = Read(lines).Bouts.ToList();
                found += done.Count(d => open.Find(b => d.Told.Moves.Contains(b.MoveId) && Math.Abs(b.Span.Start.Value - d.At) <= Within) is { } bout && open.Remove(bout));
                all += six.Length;
            }
        }

        Assert.InRange(found, atLeast * all, all);
    }

    [Fact]
    public void Every_move_that_is_told_is_in_the_lexicon() =>
        Assert.All(All.SelectMany(t => t.Moves).SelectMany(m => m.Split('+')), m => Assert.NotNull(MoveLexicon.Default.Find(m)));

    private static List<(double At, Told Told)> Warming(List<(double At, string Words)> lines, Told[] six, Random random)
    {
        lines.Add((15, "let's get warmed up"));
        var done = Easing(lines, six, 20, random);
        var over = done[^1].At + 27;
        lines.AddRange([(over, "okay now we're warm let's get into the workout"), (over + 12, "next up squats"), (over + 18, "three two one go"), (over + 58, "and rest")]);
        return done;
    }

    private static List<(double At, Told Told)> Stretching(List<(double At, string Words)> lines, Told[] six, Random random)
    {
        string[] worked = ["squats", "push ups", "high knees", "reverse lunges"];
        foreach (var (i, move) in worked.Index())
        {
            lines.AddRange([(34 + (i * 58), $"next up {move}"), (40 + (i * 58), "three two one go"), (65 + (i * 58), "push through"), (80 + (i * 58), "and rest")]);
        }

        lines.Add((268, "and we're done let's cool down and stretch"));
        return Easing(lines, six, 278, random);
    }

    private static List<(double At, Told Told)> Easing(List<(double At, string Words)> lines, Told[] six, double from, Random random)
    {
        var done = new List<(double, Told)>();
        foreach (var (i, told) in six.Index())
        {
            var at = from + (i * 27);
            lines.AddRange([(at, Led[random.Next(Led.Length)].Replace("X", told.Words, StringComparison.Ordinal)), (at + 9, Easy[random.Next(Easy.Length)]), (at + 18, Easy[random.Next(Easy.Length)])]);
            done.Add((at, told));
        }

        return done;
    }

    private static List<(double At, Told Told)> Working(List<(double At, string Words)> lines, Told[] six)
    {
        var done = new List<(double, Told)>();
        foreach (var (i, told) in six.Index())
        {
            var at = 40.0 + (i * 60);
            lines.AddRange([(at - 14, "okay next one"), (at - 1, "three two one go"), (at + 3, told.Words), (at + 14, "keep breathing you're doing great"), (at + 26, "don't stop now"), (at + 40, "and rest")]);
            done.Add((at, told));
        }

        return done;
    }

    private static Timeline Read(List<(double At, string Words)> lines) => Make.Read(lines.Append((lines.Max(l => l.At) + 20, "thank you so much see you next time")));
}
