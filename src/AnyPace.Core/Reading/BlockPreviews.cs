using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Next block is squat jumps and plank jacks: squat jumps, you sit down and explode, plank jacks, hands on the floor. Three, two, one": what is told of a block
/// before it starts is not done yet, and its start begins the first of its moves.
/// </summary>
internal static partial class BlockPreviews
{
    /// <summary>Seconds in which a block is told. Ours, as all that follow.</summary>
    private const double Longest = 75;

    /// <summary>A block of more moves than this is a list, which is known as such.</summary>
    private const int MostMoves = 4;

    /// <summary>What was told before and is called again so short before the start is what starts.</summary>
    private const double CalledAgain = 6;

    private const double Sure = 0.9;

    public static void Settle(Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions)
    {
        foreach (var cue in speech.Find(Block()))
        {
            var from = speech.At(speech.TokenAt(cue.Index));
            var edge = Clocked.Between(marks, from, from + Longest).FirstOrDefault(m => m is { Kind: MarkKind.Start, Strength: >= Sure } or { Kind: MarkKind.Doing, Strength: >= 1 });
            if (edge is { Kind: MarkKind.Start, Strength: >= Sure } || IsFirstCounted(speech, edge))
            {
                Settle(speech, mentions, from, edge);
            }
        }
    }

    /// <summary>Where nobody calls a start, the first repetition that is counted is one.</summary>
    private static bool IsFirstCounted(Speech speech, Mark edge) => edge is { Kind: MarkKind.Doing, Strength: >= 1 } && speech.Tokens[edge.Token].Number == 1;

    /// <summary>What is told from a moment until the start.</summary>
    private static void Settle(Speech speech, List<Mention> mentions, double from, Mark edge)
    {
        var start = edge.At;
        var (first, end) = (Clocked.From(mentions, from), Clocked.From(mentions, start));
        var told = mentions[first..end].FindAll(m => m is { Weak: false, Role: Role.Doing or Role.Announced or Role.Previewed or Role.Told });
        var moves = told.Select(m => m.Move.Id).ToHashSet();
        if (moves.Count is < 2 or > MostMoves)
        {
            return;
        }

        var begins = Begins(speech, told, edge);
        var last = told.FindLast(m => m.Move.Id == begins)!;
        for (var i = first; i < end; i++)
        {
            var m = mentions[i];
            if (ReferenceEquals(m, last))
            {
                mentions[i] = m with { Role = Role.Announced, EffectiveAt = start, Weight = Math.Max(m.Weight, MentionFinder.Base(Role.Announced)) };
            }
            else if (moves.Contains(m.Move.Id))
            {
                // How the first is done sets it up; the rest waits.
                mentions[i] = m.Weak && m.Move.Id == begins ? m with { EffectiveAt = start } : m with { Role = Role.Previewed, EffectiveAt = m.At, Weight = 0 };
            }
        }
    }

    /// <summary>Which of the moves told is done first: the one whose repetitions are counted right after its name, that it is said to start with, or that is called once more right before the start, else the one told first.</summary>
    private static string Begins(Speech speech, List<Mention> told, Mark edge)
    {
        const int before = 6;
        var last = told[^1];
        var calledAgain = edge.At - last.At < CalledAgain && told.Count(m => m.Move.Id == last.Move.Id) > 1;
        var counted = IsFirstCounted(speech, edge) ? told.Find(m => m.Token + m.Length == edge.Token) : null;
        return (counted ?? told.FindLast(m => First().IsMatch(speech.Before(m.Token, before))) ?? (calledAgain ? last : told[0])).Move.Id;
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b(let me (just |quickly )?(show|tell|talk|take|walk|run) you (quickly )?(through )?(the|these|our|your|all( the)?)( \d+)? (things|moves|exercises|movements|stations)\b|(here|these) are (the|our|your|all the) (\d+ )?(moves|exercises|movements)\b|here's what (we've got|we got|we have|we're doing|you've got|you got|you're doing|it is)|(next|first|second|third|fourth|last|final|new|this) (block|pair|superset|circuit|couplet)\b|(?<!\b(that's|that was|end of|done with|finished) )(block|pair|superset|circuit|couplet|round (?=(number )?\d+( now)? (is|we|we've|we're|we'll)\b)) ?(number )?\d+\b(?! (is |are )?(done|down|over|complete|finished)))", Options)]
    private static partial Regex Block();

    [GeneratedRegex(@"\b(start(ing)?( off| out)? (with|on)|first up|we start|begin with|first (move|exercise|1)( is)?)( (a|an|the|your|our|some|those|these))?$", Options)]
    private static partial Regex First();
}
