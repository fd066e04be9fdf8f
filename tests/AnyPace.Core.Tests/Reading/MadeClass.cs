using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Whole classes made from lists of lines, always the same for the same seed: moves that are named, and a coach who talks all the time.</summary>
internal sealed class MadeClass(int seed)
{
    private const double Work = 40;
    private const double Rest = 20;
    private const double First = 40;

    private static readonly (string Said, string Move)[] Moves =
    [
        ("squats", "squat"), ("reverse lunges", "reverse-lunge"), ("push ups", "push-up"), ("mountain climbers", "mountain-climber"), ("glute bridges", "glute-bridge"),
        ("jumping jacks", "jumping-jack"), ("high knees", "high-knees"), ("plank shoulder taps", "plank-shoulder-tap"), ("bent over rows", "bent-over-row"),
        ("bicep curls", "biceps-curl"), ("shoulder press", "overhead-press"), ("tricep kickbacks", "triceps-kickback"), ("lateral raises", "lateral-raise"),
        ("curtsy lunges", "curtsy-lunge"), ("burpees", "burpee"), ("russian twists", "russian-twist"), ("side lunges", "side-lunge"), ("hammer curls", "hammer-curl"),
        ("chest press", "chest-press"), ("flutter kicks", "flutter-kick"), ("butt kicks", "butt-kick"), ("calf raises", "calf-raise"), ("squat jumps", "squat-jump"),
        ("upright rows", "upright-row"), ("bear crawls", "bear-crawl"), ("donkey kicks", "donkey-kick"), ("skull crushers", "skull-crusher"), ("v ups", "v-up"),
    ];

    private static readonly string[] Talk =
    [
        "keep that core nice and tight for me", "you're doing so well stay with me", "nice big range of movement if you can", "think about the quality not the speed",
        "shoulders down away from the ears", "i know it burns that's a good thing", "you've got this come on", "if you need a break take one and jump back in",
        "chest stays proud", "one more than you thought", "let's see that smile", "find your rhythm and stick with it", "almost there nearly done", "soft knees",
        "oh my goodness this is spicy today", "remember why you started", "make sure you're breathing", "we are nearly at the end of this one", "push through this last bit",
    ];

    private static readonly string[] Starts = ["three two one go", "in three two one", "and go", "let's go", "here we go", "ready and begin", "off we go"];

    private readonly Random _random = new(seed);
    private readonly List<(double At, string Said)> _lines = [(0, "hello everyone and welcome back")];
    private readonly List<(double Start, string Move)> _done = [];

    /// <summary>Whether the end of each bout is called.</summary>
    public bool CallsRest { get; set; } = true;

    /// <summary>What was done, with when it began.</summary>
    public IReadOnlyList<(double Start, string Move)> Done => _done;

    public (string Said, string Move)[] Pick(int count) => [.. Moves.OrderBy(_ => _random.Next()).Take(count)];

    public void Say(double at, string words) => _lines.Add((at, words));

    /// <summary>One bout in its turn; the coach talks through it and calls the rest.</summary>
    /// <param name="announce">Words with their times from its start.</param>
    public double Bout((string Said, string Move) move, params IEnumerable<(double Offset, string Words)> announce)
    {
        var start = First + (_done.Count * (Work + Rest));
        _done.Add((start, move.Move));
        foreach (var (offset, words) in announce)
        {
            Say(start + offset, words.Replace("X", move.Said, StringComparison.Ordinal));
        }

        for (var at = start + 9; at < start + Work - 4; at += 5)
        {
            Say(at, Talk[_random.Next(Talk.Length)]);
        }

        if (CallsRest)
        {
            Say(start + Work, "and rest");
        }

        return start;
    }

    public (double, string) Start() => (-2, Starts[_random.Next(Starts.Length)]);

    public Timeline Read() => Make.Read(
        _lines.Append((First + (_done.Count * (Work + Rest)) + 3, "and that is it well done everybody thank you so much see you next time")));

    /// <summary>How many of the bouts are read within 15 s.</summary>
    public int Found(Timeline read)
    {
        var open = read.Bouts.ToList();
        return _done.Count(d => open.Find(b => b.MoveId == d.Move && Math.Abs(b.Span.Start.Value - d.Start) <= 15) is { } bout && open.Remove(bout));
    }
}
