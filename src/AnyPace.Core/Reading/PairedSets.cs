using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Second set, and pull": of two moves done in turn without a clock the first is called again and the second is not. Where the first seems to go on far longer than the first time,
/// the second begins after as long as it did then. Where a set is called and only the second is named in it, the first fills the time before it.
/// </summary>
internal static class PairedSets
{
    /// <summary>So much longer than the first time, as a share of it, a bout holds more than its own move.</summary>
    private const double Longer = 1.5;

    /// <summary>Seconds between two moves that are done in turn.</summary>
    private const double Between = 12;

    /// <summary>How sure: only the first set tells when they begin.</summary>
    private const double Confidence = 0.45;

    public static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, Speech speech, IReadOnlyList<Mark> marks, SaidDose dose, MoveLexicon lexicon)
    {
        if (!dose.Supersets || dose.WorkSeconds is not null)
        {
            return bouts;
        }

        var filled = new List<Bout>(bouts.Length);
        var pairs = new List<Pair>();
        for (var i = 0; i < bouts.Length; i++)
        {
            var bout = bouts[i];
            var next = i + 1 < bouts.Length ? bouts[i + 1] : null;
            if (pairs.Find(p => p.First.MoveId == bout.MoveId) is { } pair && bout.Span.Length.Value > Longer * pair.Turn && next?.MoveId != pair.Second.MoveId
                && !IsCounted(speech, bout.Span.Start.Value + pair.Turn))
            {
                var turn = Math.Round(bout.Span.Start.Value + pair.Turn, 1);
                filled.Add(bout with { Span = Span.Of(bout.Span.Start.Value, turn) });
                filled.Add(Again(pair.Second, turn, Math.Min(bout.Span.End.Value, turn + pair.Second.Span.Length.Value)));
                continue;
            }

            if (pairs.FindLast(p => p.Second.MoveId == bout.MoveId) is { } missed && i > 0 && bouts[i - 1].MoveId != missed.First.MoveId
                && SetCalled(marks, bouts[i - 1].Span.End.Value, bout.Span.Start.Value, missed.Turn) is { } called)
            {
                filled.Add(Again(missed.First, called, bout.Span.Start.Value));
            }

            filled.Add(bout);
            if (next is not null && next.MoveId != bout.MoveId && !lexicon[bout.MoveId].IsGentle && !lexicon[next.MoveId].IsGentle && (next.Span.Start - bout.Span.End).Value < Between
                && !pairs.Exists(p => p.First.MoveId == bout.MoveId && p.Second.MoveId == next.MoveId))
            {
                pairs.Add(new Pair(bout, (next.Span.Start - bout.Span.Start).Value, next));
            }
        }

        return [.. filled];
    }

    /// <summary>Two moves done in turn.</summary>
    /// <param name="Turn">Seconds from the start of the first to that of the second.</param>
    private sealed record Pair(Bout First, double Turn, Bout Second);

    private static Bout Again(Bout bout, double from, double to) => LaterRounds.LaidAt(bout, from, to, 'p', Confidence);

    /// <summary>
    /// "Set two ... up you get, and row": when the set that a second move ends was called, or its work started; null where nobody did, or where the first would have gone on for much less or
    /// much more than the first time.
    /// </summary>
    private static double? SetCalled(IReadOnlyList<Mark> marks, double from, double until, double turn)
    {
        const double sure = 0.9;
        const double shorter = 0.5;
        const double longer = 2;
        return Clocked.Between(marks, from, until).Where(m => m is { Kind: MarkKind.Round or MarkKind.Again or MarkKind.Start, Strength: >= sure } && (until - m.At) / turn is >= shorter and <= longer)
            .Select(m => (double?)m.At).LastOrDefault();
    }

    /// <summary>In the middle of a set that is counted aloud no other begins.</summary>
    private static bool IsCounted(Speech speech, double at)
    {
        const double just = 3;
        return speech.Counts.Any(r => r is { Step: 1 } && speech.At(r.Token) < at - just && speech.At(r.LastToken) > at);
    }
}
