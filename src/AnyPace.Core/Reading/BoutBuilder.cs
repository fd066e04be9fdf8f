using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Turns segments into bouts: sides, repetitions, evidence, confidence.</summary>
internal static partial class BoutBuilder
{
    public static ImmutableArray<Bout> Build(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Segment> segments, SaidDose dose)
    {
        var bouts = new List<Bout>();
        Bout? previous = null;
        var turns = SideTurns.Find(marks);
        var alternating = segments.Where(s => s.Move.Sides == MoveSides.Alternating && SideTurns.SaysAlternating(speech, s.Start, s.End)).Select(s => s.Move.Id).ToHashSet();
        for (var i = 0; i < segments.Count; i++)
        {
            var segment = ToOtherSide(ByTheClock(segments[i], dose), i + 1 < segments.Count ? segments[i + 1].Start : speech.End.Value, marks, turns);
            var paired = (i > 0 && IsPair(segments[i - 1], segment)) || (i + 1 < segments.Count && IsPair(segment, segments[i + 1]));
            foreach (var (start, end, side) in paired && SideOf(segment, marks) is { } one ? [(segment.Start, segment.End, one)] : Split(speech, segment, marks, turns, previous, alternating.Contains(segment.Move.Id)))
            {
                var bout = new Bout(
                    $"b{bouts.Count + 1}",
                    segment.Move.Id,
                    Span.Of(Math.Round(start, 1), Math.Round(end, 1)),
                    side,
                    RepsSaid(speech, segment) ?? (dose.Timed ? null : RepsCounted(speech, start, end)),
                    Confidence(segment, dose),
                    [.. segment.Mentions.Take(4).Select(m => new Evidence(new Seconds(Math.Round(m.At, 1)), speech.Around(m.Token)))]);
                if (previous is { Side: Side.Both } && side == Side.Left && ContinuesUnsaid(marks, previous, segment))
                {
                    bouts[^1] = previous with { Side = Side.Right };
                }

                if (previous is { Side: not Side.Both } && previous.MoveId == bout.MoveId && previous.Side == bout.Side && (bout.Span.Start - previous.Span.End).Value < 1 && !IsAnotherSet(marks, start))
                {
                    bouts[^1] = previous with { Span = new Span(previous.Span.Start, bout.Span.End), Evidence = [.. previous.Evidence.Concat(bout.Evidence).Take(4)] };
                    previous = bouts[^1];
                    continue;
                }

                bouts.Add(bout);
                previous = bout;
            }
        }

        return [.. bouts];
    }

    /// <summary>True where a set or a round is called at a border: what follows is another bout, though of the same side.</summary>
    private static bool IsAnotherSet(IReadOnlyList<Mark> marks, double at) =>
        Clocked.Between(marks, at - 8, at + 4).Any(m => m.Kind is MarkKind.Again or MarkKind.Round);

    /// <summary>True where a mark says which side is lain on, not which one works.</summary>
    private static bool IsLainOn(Speech speech, Mark mark) => LyingOn().IsMatch(speech.Around(mark.Token, 6, 3));

    /// <summary>"Stand on your left leg and take the right one out": the first is not the one that works.</summary>
    private static bool IsStoodOn(Speech speech, Mark mark) => StoodOn().IsMatch(speech.Around(mark.Token, 6, 1));

    [GeneratedRegex(@"\b(stand(ing)?|balanc(e|ing)|weight)( (just|tall|up|now|all))* (on|onto|in|into|over)( (your|the|that))?( (left|right))?$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex StoodOn();

    /// <summary>The side that a mark says a move is done on: who lies on the left side lifts the right leg.</summary>
    private static Side SideAt(Speech speech, Mark mark, Move move) =>
        move.Positions.Contains("side-lying") && move.Prime.Any(Vocabulary.LowerBody.Contains) && IsLainOn(speech, mark) ? SideTurns.Opposite(SideTurns.SideOf(mark.Kind)) : SideTurns.SideOf(mark.Kind);

    /// <summary>Two bouts of one alternating move side by side, as long as each other: each of them is a side, where sides are named.</summary>
    private static bool IsPair(Segment a, Segment b)
    {
        const double near = 35;
        const double asLong = 0.6;
        var (one, other) = (a.End - a.Start, b.End - b.Start);
        return a.Move.Id == b.Move.Id && a.Move.Sides == MoveSides.Alternating && b.Start - a.End < near && Math.Min(one, other) > asLong * Math.Max(one, other);
    }

    /// <summary>The one side that is named at the start of a segment and not taken back in it, or null.</summary>
    private static Side? SideOf(Segment segment, IReadOnlyList<Mark> marks)
    {
        var named = Clocked.Between(marks, segment.Start - 8, segment.End - 8).Where(m => m.Kind is MarkKind.Left or MarkKind.Right && (m.At > segment.Start - 3 || m.At <= segment.Start)).ToList();
        var within = named.Where(m => m.At >= segment.Start - 4).Select(m => m.Kind).Distinct().ToList();
        return within is [var only] ? SideTurns.SideOf(only) : null;
    }

    /// <summary>Where work and rest are by the clock, nobody works on through the next rests: what seems to last so long is the work that was heard, and others that were not.</summary>
    private static Segment ByTheClock(Segment segment, SaidDose dose)
    {
        const double least = 5;
        const double beats = 1.6;
        return dose is { KeepsTime: true, Beats.Count: 1, WorkSeconds: { } work, RestSeconds: >= least and { } rest } && !segment.Move.IsGentle && segment.End - segment.Start > beats * (work + rest)
            ? segment with { End = segment.Start + work } : segment;
    }

    /// <summary>
    /// "Right arm across, pull it in ... and breathe ... other arm": a one-sided stretch goes on to its second side, though a word between may have looked like its end.
    /// </summary>
    private static Segment ToOtherSide(Segment segment, double next, IReadOnlyList<Mark> marks, IReadOnlyList<Mark> turns)
    {
        const double longestSide = 40;
        const double nextIsNear = 5;
        if (!segment.Move.IsStretch || segment.Move.Sides != MoveSides.Each || next - segment.End < nextIsNear)
        {
            return segment;
        }

        var (from, to) = (segment.Start + Edge, Math.Min(next - nextIsNear, segment.End + longestSide));
        var turn = Clocked.Between(marks, from, to).Where(m => m.Kind == MarkKind.SwitchSide).Concat(Clocked.Between(turns, from, to)).Select(m => m.At).DefaultIfEmpty(0).Min();
        return turn == 0 || turn < segment.End - (2 * Edge) || Clocked.Between(marks, from, turn).Any(m => m.Kind is MarkKind.SignOff or MarkKind.Break)
            ? segment : segment with { End = Math.Max(segment.End, Math.Min(next, turn + longestSide)) };
    }

    /// <summary>Seconds a side lasts at least.</summary>
    private const int Edge = 8;

    /// <summary>One-sided moves are cut where the coach changes sides, and carry the side that is said.</summary>
    private static IEnumerable<(double Start, double End, Side Side)> Split(Speech speech, Segment segment, IReadOnlyList<Mark> marks, IReadOnlyList<Mark> turns, Bout? previous, bool alternates)
    {
        var least = segment.Move.Sides == MoveSides.Each ? 0 : 0.9;
        var switches = Clocked.Between(marks, segment.Start, segment.End)
            .Where(m => m.Kind == MarkKind.SwitchSide && m.Strength >= least && !SideTurns.IsOtherDirection(m, segment.Move) && !(segment.Move.Sides == MoveSides.Alternating && SideTurns.IsInTurn(speech, m)) && m.At > segment.Start + Edge && m.At < segment.End - Edge)
            .Select(m => m.At)
            .ToList();
        switches = [.. switches.Where((at, i) => i == 0 || at - switches[i - 1] > Edge)];

        if (segment.Move.Sides != MoveSides.Both && switches.Count == 0 && SideNamedLater(segment, marks, turns) is { } named)
        {
            switches.Add(named);
        }

        if (IsWhole(speech, segment, switches, alternates))
        {
            yield return (segment.Start, segment.End, Side.Both);
            yield break;
        }

        var said = Clocked.Between(marks, segment.Start - 15, segment.Start + 15).FirstOrDefault(m => m.Kind is MarkKind.Left or MarkKind.Right && !IsStoodOn(speech, m));
        var side = said.Kind switch
        {
            MarkKind.Left or MarkKind.Right when said.At > 0 => SideAt(speech, said, segment.Move),
            _ => Side.Both,
        };
        if (previous is { Side: not Side.Both } && previous.MoveId == segment.Move.Id && IsTurnedTo(marks, previous, segment))
        {
            // "Other side, clams on the left": what is said counts, whatever was read before.
            var now = Clocked.Between(marks, segment.Start - 1, segment.Start + Edge).FirstOrDefault(m => m.Kind is MarkKind.Left or MarkKind.Right);
            side = now.At > 0 && !IsLainOn(speech, now) ? SideTurns.SideOf(now.Kind) : SideTurns.Opposite(previous.Side);
        }
        else if (side == Side.Both && previous is { Side: not Side.Both } && previous.MoveId == segment.Move.Id && segment.Start - previous.Span.End.Value < 1)
        {
            // Named again with no change of sides: it goes on.
            side = previous.Side;
        }
        else if (side == Side.Both && previous is not null && ContinuesUnsaid(marks, previous, segment))
        {
            side = Side.Left;
        }
        else if (side == Side.Both && switches.Count > 0)
        {
            // Nobody says which comes first, only "other side". Right first is our reading order; the cataloguer corrects both at once.
            side = Side.Right;
        }

        var start = segment.Start;
        foreach (var at in switches)
        {
            yield return (start, at, side);
            start = at;
            side = SideTurns.Opposite(side);
        }

        yield return (start, segment.End, side);
    }

    /// <summary>True where both sides are done together or in turn; alternating moves are done one side at a time only where the coach says so.</summary>
    private static bool IsWhole(Speech speech, Segment segment, List<double> switches, bool alternates) => segment.Move.Sides switch
    {
        MoveSides.Each => segment.Mentions.Any(m => !m.Weak && SideTurns.Alternate(speech, m)),
        MoveSides.Alternating => alternates || switches.Count != 1 || !IsHalfWay(segment, switches[0]) || segment.Mentions.Any(m => SideTurns.Alternate(speech, m)),
        _ => segment.Move.Sides == MoveSides.Both,
    };

    /// <summary>What is done on one side and then the other is about as long on both.</summary>
    private static bool IsHalfWay(Segment segment, double at)
    {
        const double least = 0.3;
        var share = (at - segment.Start) / (segment.End - segment.Start);
        return share is >= least and <= 1 - least;
    }

    /// <summary>Where the second side is named inside the segment, as in "right knee ... left knee"; a side named for the move before is none of its first.</summary>
    private static double? SideNamedLater(Segment segment, IReadOnlyList<Mark> marks, IReadOnlyList<Mark> turns)
    {
        const double before = 15;
        var second = Clocked.Between(turns, segment.Start + Edge, segment.End - Edge).FirstOrDefault();
        return second.At > 0 && Clocked.Between(marks, segment.Start - before, second.At - 1).Any(m => m.Kind is MarkKind.Left or MarkKind.Right && m.Kind != second.Kind) ? second.At : null;
    }

    /// <summary>The same one-sided move again after "other side", where the first side was never named.</summary>
    private static bool ContinuesUnsaid(IReadOnlyList<Mark> marks, Bout previous, Segment segment) =>
        segment.Move.Sides == MoveSides.Each && previous.MoveId == segment.Move.Id && previous.Side == Side.Both && IsTurnedTo(marks, previous, segment);

    /// <summary>True where the side is changed on the way into a bout, or so soon in it that it is not cut there.</summary>
    private static bool IsTurnedTo(IReadOnlyList<Mark> marks, Bout previous, Segment segment) =>
        Clocked.Between(marks, Math.Max(previous.Span.Start.Value + 4, segment.Start - 15), segment.Start + Edge).Any(m => m.Kind == MarkKind.SwitchSide);

    [GeneratedRegex(@"\b(lie|lying|lay|laying|roll\w*|over|come|flip|turn)( \w+){0,3} (on|onto|to) (your |the )?(left|right)\b|\b(left|right) side down\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex LyingOn();

    private static CountRange? RepsSaid(Speech speech, Segment segment)
    {
        foreach (var mention in segment.Mentions)
        {
            if (DoseReader.RepsIn(speech.Around(mention.Token, 5, 12)) is { } reps)
            {
                return reps;
            }
        }

        return null;
    }

    /// <summary>Counted aloud once through, "one, two ... nine and ten"; counts that begin again and again are of beats, and counts down are of seconds.</summary>
    private static CountRange? RepsCounted(Speech speech, double start, double end)
    {
        const int fewest = 6;
        const int most = 30;
        const int furthestApart = 5;
        const int heard = 3;
        var (top, numbers, last) = (0, 0, false);
        for (var t = Clocked.From(speech.Tokens, start); t < speech.Tokens.Count && speech.At(t) < end; t++)
        {
            if (speech.Tokens[t].Number is not { } number || (t + 1 < speech.Tokens.Count && Unit().IsMatch(speech.Tokens[t + 1].Text)))
            {
                continue;
            }

            if (number > top && (numbers == 0 || number - top <= furthestApart) && number <= most)
            {
                (top, numbers, last) = (number, numbers + 1, t > 0 && speech.Tokens[t - 1].Text == "and");
            }
            else if (number < top && number <= heard)
            {
                return null;
            }
        }

        return top >= fewest && (numbers >= heard || (last && top is 8 or 10 or 12 or 15 or 16 or 20)) ? new CountRange(top, top) : null;
    }

    [GeneratedRegex(@"^(seconds?|minutes?|more|left|to|each|rounds?|sets?|of|leg|arm|legs|arms|hands?|foot|side|time|times|st|nd|inch|inches|degrees?)$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Unit();

    /// <summary>
    /// From points to a share that is right: a line near the shares of bouts found within 15 s in those of our own marked classes that nobody tunes on
    /// (<c>bench reading</c> prints them by band).
    /// </summary>
    private const double Floor = 0.49;
    private const double Slope = 0.38;

    /// <summary>How sure: named more than once, in strong words, with an edge that was said, uncontested.</summary>
    private static double Confidence(Segment segment, SaidDose dose)
    {
        var strong = segment.Mentions.Any(m => !m.Weak && m.Weight >= 0.8);
        var score = 0.36
            + (strong ? 0.28 : 0)
            + (0.07 * Math.Min(3, segment.Mentions.Count - 1))
            + (segment.StartMarked ? 0.12 : 0)
            + (segment.EndMarked ? 0.06 : 0)
            + (dose.WorkSeconds is { } work && Math.Abs(segment.End - segment.Start - work) < 6 ? 0.12 : 0)
            - (0.15 * Math.Min(2, segment.Contest));
        return Math.Round(Math.Clamp(Floor + (Slope * Math.Clamp(score, 0, 1)), 0.05, 0.95), 2);
    }
}
