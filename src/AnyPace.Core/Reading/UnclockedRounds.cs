using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Right arm, eight ... left arm ... and round we go": rounds by repetitions, of which the first is told and the later ones are hardly named. Where a move seems to go on far longer than it did in a round
/// before, and the next that was read came there after others, those others fill the time here too, each for its share.
/// </summary>
/// <remarks>The figures below are ours, set on our own captions; they have no source outside the project.</remarks>
internal static class UnclockedRounds
{
    /// <summary>So much longer than in the round before, as a share of it, a bout holds more than its own move.</summary>
    private const double Longer = 1.5;

    /// <summary>A round may be so much quicker and slower than the one before. People slow down and rest more; none is done in half the time.</summary>
    private const double Quicker = 0.55;
    private const double Slower = 1.9;

    /// <summary>Moves that may be missing between two that were read.</summary>
    private const int MostMissing = 5;

    /// <summary>Seconds between two moves of one round.</summary>
    private const double Between = 40;

    /// <summary>Seconds around the share of a move in which a start, a count or a change of sides is its own; its side, where it is named, is its own wherever that is.</summary>
    private const double Near = 6;

    /// <summary>A bout, in seconds, has at least this left.</summary>
    private const double Shortest = 4;

    /// <summary>How sure: the round before is all there is to go by.</summary>
    private const double Confidence = 0.45;

    public static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, List<Mention> mentions, SaidDose dose, MoveLexicon lexicon)
    {
        if (dose.WorkSeconds is not null || dose.Ladder || !(dose.Rounds is { High: >= 2 } || dose.AsMany || dose.Supersets || marks.Any(m => m.Kind == MarkKind.Round)))
        {
            return bouts;
        }

        var filled = bouts.Where(b => !lexicon[b.MoveId].IsGentle).OrderBy(b => b.Span.Start).ToList();
        var gentle = bouts.Where(b => lexicon[b.MoveId].IsGentle).ToList();
        for (var i = 1; i < filled.Count; i++)
        {
            var next = i + 1 < filled.Count ? filled[i + 1] : null;
            var until = (next?.Span.Start ?? filled[i].Span.End).Value;
            if (Missing(filled, i, next, until, mentions) is { Count: > 0 } missing)
            {
                var laid = Laid(filled[i], missing, until, marks);
                filled.RemoveAt(i);
                filled.InsertRange(i, laid);
                i += laid.Count - 1;
            }
        }

        return [.. filled.Concat(gentle).OrderBy(b => b.Span.Start)];
    }

    /// <summary>What came in a round before between the moves of a bout and of the next, with the bout of the round before first and the next last; empty where nothing is missing.</summary>
    /// <param name="next">Null for the last bout.</param>
    /// <param name="until">When the next begins, or the last is over, in seconds.</param>
    private static List<Bout> Missing(List<Bout> bouts, int i, Bout? next, double until, List<Mention> mentions)
    {
        var bout = bouts[i];
        var best = new List<Bout>();
        var off = double.PositiveInfinity;
        for (var j = 0; j + 1 < i; j++)
        {
            if (!IsLike(bouts[j], bout))
            {
                continue;
            }

            var turn = (bouts[j + 1].Span.Start - bouts[j].Span.Start).Value;
            if (bout.Span.Length.Value < Longer * turn || NamedLate(mentions, bout, turn))
            {
                return [];
            }

            for (var k = j + 1; k <= j + MostMissing + 1 && k <= i && (bouts[k].Span.Start - bouts[k - 1].Span.End).Value < Between && !(k > j + 1 && IsLike(bouts[k - 1], bout)); k++)
            {
                var isEnd = next is null || IsLike(bouts[k], next);
                var ratio = (until - bout.Span.Start.Value) / (bouts[k].Span.Start - bouts[j].Span.Start).Value;
                if (isEnd && k > j + 1 && ratio is > Quicker and < Slower && Math.Abs(Math.Log(ratio)) < off)
                {
                    (best, off) = (bouts[j..(k + 1)], Math.Abs(Math.Log(ratio)));
                }
            }
        }

        return best;
    }

    private static bool IsLike(Bout one, Bout other) => one.MoveId == other.MoveId && (one.Side == other.Side || one.Side == Side.Both || other.Side == Side.Both);

    /// <summary>True where the move of a bout is named again when it should be over: then it is not.</summary>
    private static bool NamedLate(List<Mention> mentions, Bout bout, double turn) =>
        mentions.Exists(m => m is { Weak: false, Weight: >= 0.5 } && m.Move.Id == bout.MoveId && m.At > bout.Span.Start.Value + (Longer * turn) && m.At < bout.Span.End.Value);

    /// <summary>A bout cut short, and after it the moves that are missing, each with its share of the time and begun where a start is heard near by.</summary>
    private static List<Bout> Laid(Bout bout, List<Bout> round, double until, IReadOnlyList<Mark> marks)
    {
        var (from, end) = (bout.Span.Start.Value, round[^1].Span.Start.Value);
        var starts = new List<double> { from };
        for (var n = 1; n + 1 < round.Count; n++)
        {
            // What is left of the round takes what is left of the time.
            var (before, place) = (round[n - 1].Span.Start.Value, round[n]);
            var due = starts[^1] + ((place.Span.Start.Value - before) * (until - starts[^1]) / (end - before));
            var within = Clocked.Between(marks, starts[^1] + Shortest, until - Shortest).ToList();
            var said = Nearest(within.Where(m => m.Kind is MarkKind.Left or MarkKind.Right && SideTurns.SideOf(m.Kind) == place.Side), due)
                ?? Nearest(within.Where(m => Math.Abs(m.At - due) < Near && m is { Kind: MarkKind.Start or MarkKind.Doing, Strength: >= 0.9 } or { Kind: MarkKind.SwitchSide }), due);
            starts.Add(Math.Round(said ?? due, 1));
        }

        var laid = new List<Bout> { bout with { Span = Span.Of(from, starts[1]) } };
        laid.AddRange(round.Skip(1).SkipLast(1).Select((b, n) =>
            LaterRounds.LaidAt(b, starts[n + 1], n + 2 < starts.Count ? starts[n + 2] : Math.Max(starts[n + 1] + Shortest, bout.Span.End.Value), 'v', Confidence)));
        return [.. laid.Where(b => b.Span.Length.Value > 0)];
    }

    private static double? Nearest(IEnumerable<Mark> marks, double due) => marks.Select(m => (double?)m.At).MinBy(t => Math.Abs(t!.Value - due));
}
