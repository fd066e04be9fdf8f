using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Where the side that is named changes: "right leg ... and left leg". Both sides in one breath ("right ankle over left knee") are no change.</summary>
internal static partial class SideTurns
{
    /// <summary>Words between two sides that belong to one instruction.</summary>
    internal const int OneInstruction = 7;

    /// <summary>Seconds in which an instruction is said.</summary>
    private const double OneBreath = 6;

    /// <summary>Longer ago than this, in seconds, the side named before says nothing.</summary>
    internal const double Forgotten = 150;

    /// <summary>The side that a mark of a side names.</summary>
    public static Side SideOf(MarkKind kind) => kind == MarkKind.Left ? Side.Left : Side.Right;

    public static Side Opposite(Side side) => side switch
    {
        Side.Left => Side.Right,
        Side.Right => Side.Left,
        _ => Side.Both,
    };

    /// <summary>True for "other way" after a circle: the same leg draws it.</summary>
    public static bool IsOtherDirection(Mark mark, Move move) =>
        mark is { Kind: MarkKind.SwitchSide, Strength: < 0.5 } && move.Name.Split(' ', '-').Any(w => w is "circle" or "circles" or "roll" or "Halo" or "rotation");

    /// <summary>True where a move is said to be done on both sides in turn.</summary>
    public static bool Alternate(Speech speech, Mention mention) => Alternate(speech.Around(mention.Token, 4, 10));

    /// <summary>The same of some words.</summary>
    public static bool Alternate(string words) => Alternating().IsMatch(words);

    /// <summary>"Switch legs the whole time, alternating": said while a move is done, or as it is set up.</summary>
    public static bool SaysAlternating(Speech speech, double from, double to)
    {
        const double setUp = 12;
        for (var t = Clocked.From(speech.Tokens, from - setUp); t < speech.Tokens.Count && speech.At(t) < to; t++)
        {
            if (speech.Tokens[t].Text.StartsWith("alternat", StringComparison.Ordinal))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>"Come back to the middle and other side", "and down, other side": one repetition each.</summary>
    public static bool IsInTurn(Speech speech, Mark mark) => BetweenRepetitions().IsMatch(speech.Before(mark.Token, 6));

    [GeneratedRegex(@"\b((to|through) the (middle|centre|center)|(go|push|come) back|(and|lower|put it) down)( and| then| now)*$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex BetweenRepetitions();

    [GeneratedRegex(@"\b(alternat\w*|each leg in turn|left right|right left|side to side|1 then the other)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Alternating();

    /// <summary>The marks at which the side changes, in time order.</summary>
    public static IReadOnlyList<Mark> Find(IReadOnlyList<Mark> marks)
    {
        var turns = new List<Mark>();
        Mark? held = null;
        Mark? before = null;
        foreach (var mark in marks.Where(m => m.Kind is MarkKind.Left or MarkKind.Right))
        {
            var oneBreath = before is { } b && mark.Token - b.Token <= OneInstruction && mark.At - b.At < OneBreath;
            before = mark;
            if (oneBreath)
            {
                continue;
            }

            if (held is { } h && h.Kind != mark.Kind && mark.At - h.At < Forgotten)
            {
                turns.Add(mark);
            }

            held = mark;
        }

        return turns;
    }
}
