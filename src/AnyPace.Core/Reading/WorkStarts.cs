using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Moves bouts that begin where their move is named on to where its work begins: a move is often set up at length before the first repetition.
/// A class against the clock says when it starts, so this is for those that count or flow.
/// </summary>
internal static partial class WorkStarts
{
    /// <summary>A set-up takes at least and at most so many seconds; a shorter one changes nothing that is felt.</summary>
    private const double ShortestSetUp = 7;
    private const double LongestSetUp = 45;

    /// <summary>What is left of a bout, in seconds, is still a bout.</summary>
    private const double LeastWork = 8;

    public static IReadOnlyList<Segment> Settle(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Segment> segments, SaidDose dose) =>
        dose.KeepsTime ? segments : [.. segments.Select(s => s.StartMarked || BeginsAt(speech, marks, s) is not { } at ? s : s with { Start = at })];

    /// <summary>"We're going to walk a mile today": what is named before the class opens, and goes on after, begins when it opens.</summary>
    /// <param name="opening">When the class proper begins, in seconds.</param>
    public static IReadOnlyList<Segment> AfterOpening(IReadOnlyList<Segment> segments, double opening) =>
        [.. segments.Select(s => s.Start < opening && s.End > opening + LeastWork ? s with { Start = opening } : s)];

    /// <summary>When the first repetition of a segment is called; null where that is at its start, or where it is under way when one is.</summary>
    private static double? BeginsAt(Speech speech, IReadOnlyList<Mark> marks, Segment segment)
    {
        const double just = 3;
        var until = Math.Min(segment.End - LeastWork, segment.Start + LongestSetUp);
        for (var i = Clocked.From(speech.Tokens, segment.Start - just); i < speech.Tokens.Count && speech.At(i) <= until; i++)
        {
            if (IsFirst(speech, i, segment.Move.IsHeld))
            {
                var at = speech.At(i);
                return at > segment.Start + ShortestSetUp && Named(segment, at) < UnderWayFrom && !Clocked.Between(marks, segment.Start + 1, at - 0.5).Any(IsUnderWay) ? at : null;
            }
        }

        return null;
    }

    /// <summary>Named so often again before a start is called, a move is under way.</summary>
    private const int UnderWayFrom = 2;

    /// <summary>How often the move of a segment is named as done between its start and a moment.</summary>
    private static int Named(Segment segment, double until) => segment.Mentions.Count(m => m is { Weak: false, Role: Role.Doing } && m.At > segment.Start + 1 && m.At < until - 1);

    private static bool IsUnderWay(Mark mark) => mark is { Kind: MarkKind.Doing, Strength: >= 1 } or { Kind: MarkKind.Stop or MarkKind.SwitchSide or MarkKind.Again, Strength: >= 0.9 };

    /// <param name="held">True for what is held: there breaths and seconds are counted, of which the first is not its start.</param>
    private static bool IsFirst(Speech speech, int token, bool held) => (!held && CountsOn(speech, token)) || First().IsMatch(speech.Next(token, Opens));

    /// <summary>The words in which a first repetition is called.</summary>
    private const int Opens = 6;

    /// <summary>"One and two".</summary>
    private static bool CountsOn(Speech speech, int token)
    {
        const int apart = 11;
        const double soon = 9;
        if (speech.Tokens[token].Number != 1 || (token > 0 && NotCounted.Contains(speech.Tokens[token - 1].Text)))
        {
            return false;
        }

        var next = Enumerable.Range(token + 1, apart).FirstOrDefault(t => t < speech.Tokens.Count && speech.Tokens[t].Number is not null);
        return next > 0 && speech.Tokens[next].Number == 2 && speech.At(next) - speech.At(token) < soon;
    }

    /// <summary>"This one", "the other one" count nothing.</summary>
    private static readonly HashSet<string> NotCounted = ["this", "that", "the", "each", "next", "last", "other", "which", "first", "another", "on", "with", "of", "into", "in", "for", "to", "a", "your", "my", "right", "left", "every", "no", "only", "just", "exercise", "number", "move", "round", "set", "part", "block", "is"];

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    /// <summary>"Down we go", "ready and press", "here's the first".</summary>
    [GeneratedRegex(@"^((here|off|in|down|up|away|over|round) (we|you) go\b|(and|okay|alright|right|ready|so) (we'll |we )?(begin|go|start)\b|ready (and |to )?(\d|down|up|press|lift|curl|push|squat|row|pull|hike|swing|step|kick|lunge|hinge|clean|snatch|jump|punch|lower|dip|sit|stand|raise|bend)\b|(we're|we are) (off|working|moving)\b|let's (work|go|get moving|start|begin)\b|starts? now\b|(moving|starting) now\b|(your )?(time|clock)('s| is)? (starts|on|running|going)|first (rep|1)\b|set (number )?\d (and|down|up|go|press|here)\b|here's (number 1|the first|1)|hit it\b|crack on\b|go for it\b)", Options)]
    private static partial Regex First();
}
