using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Second set, and pull": of two moves done in turn without a clock the first is called again and the second is not. Where the first seems to go on far longer than the first time,
/// the second begins after as long as it did then.
/// </summary>
internal static class PairedSets
{
    /// <summary>So much longer than the first time, as a share of it, a bout holds more than its own move.</summary>
    private const double Longer = 1.5;

    /// <summary>Seconds between two moves that are done in turn.</summary>
    private const double Between = 12;

    /// <summary>How sure: only the first set tells when it begins.</summary>
    private const double Confidence = 0.45;

    public static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, Speech speech, SaidDose dose, MoveLexicon lexicon)
    {
        if (!dose.Supersets || dose.WorkSeconds is not null)
        {
            return bouts;
        }

        var filled = new List<Bout>(bouts.Length);
        var pairs = new Dictionary<string, (double First, Bout Second)>();
        for (var i = 0; i < bouts.Length; i++)
        {
            var bout = bouts[i];
            var next = i + 1 < bouts.Length ? bouts[i + 1] : null;
            if (pairs.TryGetValue(bout.MoveId, out var pair) && bout.Span.Length.Value > Longer * pair.First && next?.MoveId != pair.Second.MoveId
                && !IsCounted(speech, bout.Span.Start.Value + pair.First))
            {
                var turn = Math.Round(bout.Span.Start.Value + pair.First, 1);
                filled.Add(bout with { Span = Span.Of(bout.Span.Start.Value, turn) });
                filled.Add(pair.Second with
                {
                    Id = $"{pair.Second.MoveId}p{turn:0}",
                    Span = Span.Of(turn, Math.Min(bout.Span.End.Value, turn + pair.Second.Span.Length.Value)),
                    Confidence = Confidence,
                });
                continue;
            }

            filled.Add(bout);
            if (next is not null && next.MoveId != bout.MoveId && !lexicon[bout.MoveId].IsGentle && !lexicon[next.MoveId].IsGentle && (next.Span.Start - bout.Span.End).Value < Between)
            {
                pairs.TryAdd(bout.MoveId, ((next.Span.Start - bout.Span.Start).Value, next));
            }
        }

        return [.. filled];
    }

    /// <summary>In the middle of a set that is counted aloud no other begins.</summary>
    private static bool IsCounted(Speech speech, double at)
    {
        const double just = 3;
        return speech.Counts.Any(r => r is { Step: 1 } && speech.At(r.Token) < at - just && speech.At(r.LastToken) > at);
    }
}
