using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Third go: one, two, three": where work has no clock, counting repetitions aloud from one after a rest is another set of the move, however it is called, or if it is not. In a round
/// after the first it is the move that followed in the first.
/// </summary>
internal static class CountedSets
{
    /// <summary>Numbers counted at the least.</summary>
    private const int Shortest = 4;

    /// <summary>Seconds before the first number, and after it, in which its set may begin.</summary>
    private const double Before = 15;
    private const double After = 4;

    /// <summary>Seconds without a count between two sets of one move; the other side comes sooner.</summary>
    private const double ShortestRest = 15;

    /// <summary>Seconds from one set to the next at the most: later it is not told of which move.</summary>
    private const double LongestRest = 150;

    /// <summary>Seconds between two moves of a round at the most.</summary>
    private const double LongestChange = 60;

    /// <summary>A move that is named as clearly as this between two sets is what is counted next.</summary>
    private const double Named = 0.5;

    /// <summary>Seconds of the last repetition, after its number.</summary>
    private const double LastRepetition = 2;

    /// <summary>Seconds about a count in which a side is called for it.</summary>
    private const double SideNear = 6;

    /// <summary>How sure: it is counted, and of the moves only the one before is known.</summary>
    private const double Confidence = 0.6;

    /// <param name="judged">Mentions with what they weigh.</param>
    public static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> judged, SaidDose dose, MoveLexicon lexicon)
    {
        if (dose.KeepsTime)
        {
            return bouts;
        }

        var followers = dose is { Rounds: not null, Sets: null } ? Followers(bouts, lexicon) : [];
        var filled = bouts.ToList();
        var counted = double.NegativeInfinity;
        foreach (var run in speech.Counts.Where(r => r is { First: 1, Step: 1, Length: >= Shortest }))
        {
            var (at, end) = (speech.At(run.Token), speech.At(run.LastToken) + LastRepetition);
            var last = counted;
            counted = end;
            var before = filled.FindLastIndex(b => b.Span.Start.Value <= at + After);
            if (before < 0)
            {
                continue;
            }

            // Where the same move was begun before, this is a later round of it.
            var set = filled[before];
            var later = filled.FindIndex(b => b.MoveId == set.MoveId) < before;
            var like = later && followers.TryGetValue(set.MoveId, out var next) && !IsOtherSide(marks, at) ? next : set;
            var own = set.Span.Start.Value >= at - Before && (like == set || last < set.Span.Start.Value);
            var rested = like != set || at - last >= ShortestRest;
            if (own || !rested || at - Math.Max(last, set.Span.Start.Value) > LongestRest
                || judged.Any(m => m.Weight >= Named && m.Move.Id != like.MoveId && m.At > Math.Min(at - After, Math.Max(last, set.Span.Start.Value + Before)) && m.At < at + After))
            {
                continue;
            }

            // It was read as going on all through the rest.
            var start = Math.Round(at, 1);
            var went = set.Span.End.Value > at;
            if (went)
            {
                if (last < set.Span.Start.Value)
                {
                    continue;
                }

                filled[before] = set with { Span = Span.Of(set.Span.Start.Value, Math.Round(Math.Min(at, last), 1)) };
            }

            var until = Math.Min(before + 1 < filled.Count ? filled[before + 1].Span.Start.Value : speech.End.Value, went ? Math.Clamp(set.Span.End.Value, end, end + Before) : end);
            filled.Insert(before + 1, like with
            {
                Id = $"{like.MoveId}c{start:0}",
                Span = Span.Of(start, Math.Round(until, 1)),
                Confidence = Confidence,
                Evidence = [new Evidence(new Seconds(start), speech.Around(run.Token))],
            });
        }

        return [.. filled.Where(b => b.Span.Length.Value > 0)];
    }

    /// <summary>For each move of the first round the bout that followed it there.</summary>
    private static Dictionary<string, Bout> Followers(ImmutableArray<Bout> bouts, MoveLexicon lexicon)
    {
        var followers = new Dictionary<string, Bout>();
        var seen = new HashSet<string>();
        for (var i = 0; i + 1 < bouts.Length; i++)
        {
            var (one, other) = (bouts[i], bouts[i + 1]);
            if (seen.Add(one.MoveId) && !seen.Contains(other.MoveId) && !lexicon[one.MoveId].IsGentle && !lexicon[other.MoveId].IsGentle && (other.Span.Start - one.Span.End).Value < LongestChange)
            {
                followers[one.MoveId] = other;
            }
        }

        return followers;
    }

    private static bool IsOtherSide(IReadOnlyList<Mark> marks, double at) =>
        Clocked.Between(marks, at - SideNear, at + SideNear).Any(m => m.Kind is MarkKind.SwitchSide or MarkKind.Left or MarkKind.Right);
}
