using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Three sets of each, thirty on thirty off, and only then do we move on": the places of one move follow each other at the beat, so many as sets are said. All groups of places
/// are chosen at once, where they agree best with what was read; within a group a place that was not read is filled, and one that was read as a move only talked of is put right.
/// </summary>
/// <remarks>The weights below are ours, set on our own captions; they have no source outside the project.</remarks>
internal static class LaidSets
{
    /// <summary>Seconds by which a place may come early or late.</summary>
    private const double Near = 8;

    private const double Agrees = 1;
    private const double Differs = 0.6;
    private const double Unread = 0.1;

    /// <summary>What a bout that belongs to no group takes away, and a group of a move that had one.</summary>
    private const double LeftOut = 0.5;
    private const double HadItsSets = 2;
    private const double LeastScore = -0.5;

    /// <summary>How sure: the place in the sets is all there is to go by.</summary>
    private const double Confidence = 0.45;

    public static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, SaidDose dose, MoveLexicon lexicon, double end)
    {
        if (dose is not { WorkSeconds: >= 15 and { } work, RestSeconds: { } rest, Sets: >= 2 and { } sets, Ladder: false, Supersets: false, Tabata: false, Rounds: null })
        {
            return bouts;
        }

        var places = LaterRounds.Places([.. bouts.Where(b => !lexicon[b.MoveId].IsGentle)], work);
        var groups = Groups(places, sets, work, work + rest);
        if (groups.Count < 2)
        {
            return bouts;
        }

        var laid = groups.SelectMany(g => Enumerable.Range(0, sets).Select(k => (Like: places[g.First], At: g.At[k], g.Places[k]))).ToList();
        var wrong = new HashSet<Bout>();
        var added = new List<Bout>();
        foreach (var (like, at, read) in laid)
        {
            if (read is { } there && there[0].MoveId == like[0].MoveId)
            {
                continue;
            }

            wrong.UnionWith(bouts.Where(b => b.MoveId != like[0].MoveId && b.Span.Start.Value > at - (0.5 * work) && b.Span.Start.Value < at + (0.7 * work)));
            added.AddRange(LaterRounds.MovedTo(like, at, Math.Min(end, at + work), 'e', Confidence));
        }

        // What was read before a place ends where that begins, and a place where the next that was read begins.
        return LaterRounds.OneByOne(bouts.Where(b => !wrong.Contains(b)).Concat(added));
    }

    /// <summary>The places of one move: the first, which was read, when each begins, and what was read there.</summary>
    private sealed record Group(int First, double[] At, List<Bout>?[] Places, double Score)
    {
        /// <summary>The first of the places that were read after this group.</summary>
        public int Next { get; init; }
    }

    /// <summary>The groups that agree best with all that was read, in time order.</summary>
    private static List<Group> Groups(List<List<Bout>> places, int sets, double work, double beat)
    {
        var best = new (double Score, Group? Group, int Next)[places.Count + 1];
        for (var first = places.Count - 1; first >= 0; first--)
        {
            best[first] = (best[first + 1].Score - LeftOut, null, first + 1);
            var group = From(places, first, sets, work, beat);
            var had = Enumerable.Range(0, first).Any(i => places[i][0].MoveId == places[first][0].MoveId && group.At[0] - places[i][0].Span.Start.Value < ((sets * 2) * beat) && group.At[0] - places[i][0].Span.Start.Value > beat + Near);
            var score = group.Score - (had ? HadItsSets : 0) + best[group.Next].Score;
            if (group.Score > LeastScore && score > best[first].Score)
            {
                best[first] = (score, group, group.Next);
            }
        }

        var groups = new List<Group>();
        for (var at = 0; at < places.Count; at = best[at].Next)
        {
            if (best[at].Group is { } group)
            {
                groups.Add(group);
            }
        }

        // A move of the warm-up that happens to begin at the beat has no sets.
        return [.. groups.SkipWhile(g => g.Places.Count(p => p?[0].MoveId == places[g.First][0].MoveId) < 2)];
    }

    private static Group From(List<List<Bout>> places, int first, int sets, double work, double beat)
    {
        var (at, read, score) = (new double[sets], new List<Bout>?[sets], Agrees);
        (at[0], read[0]) = (places[first][0].Span.Start.Value, places[first]);
        var next = first + 1;
        for (var k = 1; k < sets; k++)
        {
            at[k] = at[k - 1] + beat;
            while (next < places.Count && places[next][0].Span.Start.Value < at[k] - Near)
            {
                // Read within a place or its rest: of no account.
                score -= places[next][0].Span.Start.Value > at[k] - (0.5 * work) ? Differs : LeftOut;
                next++;
            }

            if (next < places.Count && Math.Abs(places[next][0].Span.Start.Value - at[k]) <= Near)
            {
                read[k] = places[next];
                score += places[next][0].MoveId == places[first][0].MoveId ? Agrees : -Differs;
                at[k] = places[next][0].Span.Start.Value;
                next++;
            }
            else
            {
                score -= Unread;
            }
        }

        while (next < places.Count && places[next][0].Span.Start.Value < at[^1] + (0.5 * work))
        {
            score -= LeftOut;
            next++;
        }

        return new Group(first, at, read, score) { Next = next };
    }
}
