using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Parts what is done on one side and then on the other, wherever a bout came from: later rounds and sets that nobody names are laid out whole, and a stretch is held for a few
/// seconds only on each side.
/// </summary>
internal static partial class SecondSides
{
    /// <summary>How sure a call of the other side has to be. Ours: "the other one" is as sure as that, "other way" is not.</summary>
    private const double Sure = 0.9;

    /// <summary>Seconds a side is held at least. Ours: a breath or two of a stretch.</summary>
    private const double HeldLeast = 4;

    /// <summary>Seconds a side is worked at least. Ours: three slow repetitions.</summary>
    private const double WorkedLeast = 6;

    /// <summary>Seconds by which the border between two sides that were laid out moves to where the change is called.</summary>
    private const double Moves = 10;

    /// <summary>Words looked at on either side.</summary>
    private const int Words = 4;

    public static ImmutableArray<Bout> Part(ImmutableArray<Bout> bouts, Speech speech, IReadOnlyList<Mark> marks, MoveLexicon lexicon)
    {
        var turns = SideTurns.Find(marks);
        var inTurn = bouts.Where(b => b.Side == Side.Both && lexicon[b.MoveId].Sides == MoveSides.Each && IsInTurn(speech, b)).Select(b => b.MoveId).ToHashSet();
        var parted = new List<Bout>();
        foreach (var bout in bouts)
        {
            var rest = bout;
            while (!inTurn.Contains(bout.MoveId) && lexicon[bout.MoveId] is { Sides: MoveSides.Each } move && TurnIn(rest, move, speech, marks, turns, IsAlone(bouts, bout)) is { } turn)
            {
                var at = new Seconds(Math.Round(turn.At, 1));
                if (parted is [.., var first] && IsOtherSide(first, rest) && turn.At - rest.Span.Start.Value < Moves && (turn.To ?? rest.Side) == rest.Side)
                {
                    parted[^1] = first with { Span = new Span(first.Span.Start, at) };
                    rest = rest with { Span = new Span(at, rest.Span.End) };
                    continue;
                }

                // Of no side named, the left one is the second: right first is our reading order.
                var second = turn.To ?? (rest.Side == Side.Both ? Side.Left : SideTurns.Opposite(rest.Side));
                parted.Add(rest with { Span = new Span(rest.Span.Start, at), Side = SideTurns.Opposite(second) });
                rest = rest with { Span = new Span(at, rest.Span.End), Side = second, Reps = null };
            }

            parted.Add(rest);
        }

        return [.. parted.Select((b, i) => b with { Id = $"b{i + 1}" })];
    }

    /// <summary>True for a bout that has no second side beside it.</summary>
    private static bool IsAlone(ImmutableArray<Bout> bouts, Bout bout) => !bouts.Any(b => b.MoveId == bout.MoveId && b.Side == SideTurns.Opposite(bout.Side) && Math.Min(
        Math.Abs((b.Span.Start - bout.Span.End).Value), Math.Abs((bout.Span.Start - b.Span.End).Value)) < Ahead);

    /// <summary>True for two sides of one move, one right after the other.</summary>
    private static bool IsOtherSide(Bout first, Bout second) =>
        first.MoveId == second.MoveId && first.Side != Side.Both && second.Side == SideTurns.Opposite(first.Side) && (second.Span.Start - first.Span.End).Value < 1;

    /// <summary>Seconds in which an instruction is said, however slowly. Ours.</summary>
    private const double Slowly = 9;

    /// <summary>True where the other side is named a few words before, however slowly they are said: "right hand to the floor, left arm over".</summary>
    private static bool IsOfOneInstruction(Mark mark, IReadOnlyList<Mark> marks) =>
        marks.Any(m => m.Kind is MarkKind.Left or MarkKind.Right && m.Kind != mark.Kind && m.Token < mark.Token && mark.Token - m.Token <= SideTurns.OneInstruction && mark.At - m.At < Slowly);

    /// <summary>Seconds before a bout in which the side is named that it begins with; a second side begins as soon after the first. Ours.</summary>
    private const double Ahead = 15;

    /// <summary>A second side is begun in this share of a bout: what is named earlier sets it up. Ours.</summary>
    private const double Midst = 0.4;

    /// <summary>A side that is first named in the midst of a bout is its second: "drop your ear to your shoulder ... and now to the left".</summary>
    private static double? NamedInTheMidst(Bout bout, IReadOnlyList<Mark> marks)
    {
        var (from, to) = (bout.Span.Start.Value + (Midst * bout.Span.Length.Value), bout.Span.End.Value - (Midst * bout.Span.Length.Value));
        var first = Clocked.Between(marks, bout.Span.Start.Value - Ahead, to).FirstOrDefault(m => m.Kind is MarkKind.Left or MarkKind.Right);
        return first.At >= from && SideTurns.SideOf(first.Kind) == bout.Side ? first.At : null;
    }

    /// <summary>True where both sides are done in turn: what is said so once holds for every round.</summary>
    private static bool IsInTurn(Speech speech, Bout bout) =>
        bout.Evidence.Any(e => SideTurns.Alternate(e.Text)) || SideTurns.SaysAlternating(speech, bout.Span.Start.Value, bout.Span.End.Value);

    /// <summary>The first change of sides far enough from both ends of a bout, with the side it is to where that is said.</summary>
    /// <param name="alone">True for a bout that has no second side beside it.</param>
    private static (double At, Side? To)? TurnIn(Bout bout, Move move, Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mark> turns, bool alone)
    {
        var least = move.IsStretch ? HeldLeast : WorkedLeast;
        var (from, to) = (bout.Span.Start.Value + least, bout.Span.End.Value - least);
        var called = Clocked.Between(marks, from, to).Where(m => m.Kind == MarkKind.SwitchSide && m.Strength >= Sure && !SideTurns.IsOtherDirection(m, move)).Select(m => (m.At, To: (Side?)null));
        var named = Clocked.Between(turns, from, to).Where(m => !IsOfOneInstruction(m, marks)).Select(m => (m.At, To: (Side?)SideTurns.SideOf(m.Kind))).Where(m => m.To != bout.Side);
        IEnumerable<(double At, Side? To)> first = alone && NamedInTheMidst(bout, marks) is { } at && at >= from && at <= to ? [(at, bout.Side)] : [];
        return called.Concat(named).Concat(first).Concat(ToldIn(speech, from, to)).Concat(NamedIn(speech, bout.Side, from, to)).OrderBy(m => m.At).Select(m => ((double, Side?)?)m).FirstOrDefault();
    }

    /// <summary>In the midst of a move that is done on one side, the other needs hardly more than its name: "and left", "left, one, two", "the left one".</summary>
    private static IEnumerable<(double At, Side? To)> NamedIn(Speech speech, Side side, double from, double to)
    {
        if (side == Side.Both)
        {
            yield break;
        }

        var other = side == Side.Left ? "right" : "left";
        for (var t = Clocked.From(speech.Tokens, from); t < speech.Tokens.Count && speech.At(t) < to; t++)
        {
            if (speech.Tokens[t].Text == other && IsTurn(speech.Before(t, Words), speech.After(t + 1, Words)))
            {
                yield return (speech.At(t), SideTurns.Opposite(side));
            }
        }

        static bool IsTurn(string before, string after) => TurnedTo().IsMatch(before) || (OneOf().IsMatch(after) && !LeftOver().IsMatch(before));
    }

    /// <summary>"Left, one, two", "the left one".</summary>
    [GeneratedRegex(@"^1\b(?! (more|rep|second|minute|to|of))", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex OneOf();

    /// <summary>"Only two left", "ten seconds left": how much remains. Of a count, "three, four, left", nothing does.</summary>
    [GeneratedRegex(@"(\b(seconds?|minutes?|reps?|more|few|time|that's|all|you've|have|got|are|is)|(^|[a-z'] )\d+)$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex LeftOver();

    /// <summary>"And gently over to the", "now round to the".</summary>
    [GeneratedRegex(@"\b(and|then|now)( (come|gently|slowly|over|round|around|turn|lean|go|back|up|all|the|way|on|down))* to the$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex TurnedTo();

    /// <summary>In the midst of a one-sided move fewer words tell that the other side comes.</summary>
    private static IEnumerable<(double At, Side? To)> ToldIn(Speech speech, double from, double to)
    {
        for (var t = Clocked.From(speech.Tokens, from); t < speech.Tokens.Count && speech.At(t) < to; t++)
        {
            if (speech.Tokens[t].Text is "change" or "swap" or "switch" or "and" or "then" or "now" or "let" or "t'other" && Told().IsMatch(speech.Around(t, 0, Words)) && !SideChanges.IsNotYet(speech, t))
            {
                yield return (speech.At(t), null);
            }
        }
    }

    /// <summary>"Change and one", "and the other calf", "swap, other heel", "let the other ear come down".</summary>
    [GeneratedRegex(@"^((change|swap|switch)( (and|over|now))* (1|go|other|same|the other)\b|(and|then|now) (do |on )?(the |your |t )?other (1|side|calf|hamstring|glute|quad|hip|ear|heel|knee|leg|arm|shoulder)\b|t'other\b|let the other (ear|side|arm|leg|knee)\b|(switch|swap|change) (knees|elbows|hips|ankles|heels)\b)", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Told();
}
