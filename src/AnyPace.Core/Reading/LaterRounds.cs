using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "Same five again": a round that nobody names move by move. Where a new round is said and its starts come at the said beat, each start that no bout was
/// read for is the move that stood at its place in the round before.
/// </summary>
internal static class LaterRounds
{
    /// <summary>A start this close to a bout that was read is that bout's own.</summary>
    private const double Near = 12;

    /// <summary>Share of the beat by which starts may come early or late.</summary>
    private const double Loose = 0.35;

    /// <summary>How sure: the place in the round is all there is to go by.</summary>
    private const double Confidence = 0.58;

    /// <summary>All places that can be filled, filled one way after the other.</summary>
    public static ImmutableArray<Bout> FillAll(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> mentions, SaidDose dose, MoveLexicon lexicon)
    {
        bouts = FillSets(bouts, marks, dose);
        bouts = FillListed(bouts, marks, mentions, dose);
        bouts = FillHoles(Fill(bouts, marks, dose), dose);
        bouts = FillUnnamed(bouts, marks, dose);
        return dose.Timed ? FillOver(bouts, dose, lexicon) : bouts;
    }

    /// <summary>Holes between two bouts of work in which a stretch was read: "fold over", before a row, takes no place of the beat and gives way.</summary>
    private static ImmutableArray<Bout> FillOver(ImmutableArray<Bout> bouts, SaidDose dose, MoveLexicon lexicon)
    {
        var work = bouts.Where(b => !lexicon[b.MoveId].IsGentle).ToImmutableArray();
        var added = FillHoles(work, dose).Except(work).ToList();
        return added.Count == 0 ? bouts : [.. bouts.Where(b => !added.Exists(a => a.Span.Overlap(b.Span).Value > 0)).Concat(added).OrderBy(b => b.Span.Start)];
    }

    private static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, SaidDose dose)
    {
        if (dose is not { WorkSeconds: { } work, RestSeconds: { } rest } || rest <= 0 || bouts.Length < 3)
        {
            return bouts;
        }

        var beat = Beat(dose);
        foreach (var round in marks.Where(m => m.Kind == MarkKind.Round))
        {
            var before = Before(bouts, round.At, beat);
            var starts = Starts(marks, round.At, work, rest, before.Count);
            if (before.Count < 3 || starts.Count < before.Count - 1)
            {
                continue;
            }

            var until = starts[^1] + work;
            var read = bouts.Where(b => b.Span.Start.Value > round.At - Near && b.Span.Start.Value < until).ToList();
            if (read.Count * 2 > before.Count)
            {
                continue;
            }

            var added = starts
                .Select((at, i) => (At: at, Move: before[Math.Min(i, before.Count - 1)]))
                .Where(s => !read.Exists(b => b.Span.Start.Value < s.At + work - Near && b.Span.End.Value > s.At + Near))
                .Select((s, i) => new Bout($"{s.Move.Id}r{round.At:0}-{i}", s.Move.MoveId, Span.Of(Math.Round(s.At, 1), Math.Round(s.At + work, 1)), s.Move.Side, s.Move.Reps, Confidence, s.Move.Evidence));
            bouts = OneByOne(bouts.Concat(added));
        }

        return bouts;
    }

    /// <summary>
    /// "Second set", "again", and nothing named: where every move is done so many times before the next, or a new set is called at the beat, the place
    /// is that of the move just done.
    /// </summary>
    private static ImmutableArray<Bout> FillSets(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, SaidDose dose)
    {
        const double late = 6;
        return FillPlaces(bouts, dose, marks, 's', (places, i, after, due) =>
        {
            var called = Clocked.Between(marks, due - Early(dose), due + late).Any(m => m.Kind == MarkKind.Again);
            return called || Run(places, i, dose) + after <= dose.Sets ? (StartNear(marks, dose, due, 0) ?? due, places[i][0]) : null;
        });
    }

    /// <summary>
    /// "Number one step-ups, number two dips, number three ...": the moves of a round named in their order before it begins. A place that is started or
    /// stopped at the beat and not named is that of the next on the list.
    /// </summary>
    private static ImmutableArray<Bout> FillListed(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> mentions, SaidDose dose)
    {
        List<List<Mention>>? lists = null;
        return FillPlaces(bouts, dose, marks, 'l', (places, i, after, due) =>
        {
            lists ??= Lists(marks, mentions);
            var list = lists.LastOrDefault(l => l[^1].At < places[i][0].Span.Start.Value + Near);
            var at = list?.FindIndex(m => m.Move.Id == places[i][0].MoveId) ?? -1;
            if (at < 0 || at + after >= list!.Count)
            {
                return null;
            }

            var named = list[at + after];
            return BegunAt(marks, dose, due) is { } start
                ? (start, new Bout("", named.Move.Id, places[i][0].Span, Side.Both, null, Confidence, [new Evidence(new Seconds(Math.Round(named.At, 1)), named.Move.Name)]))
                : null;
        });
    }

    /// <summary>
    /// "Five moves, three rounds", and from the second round on nobody names them: a place that is started or stopped at the beat and not named is that of
    /// the move a round before. Where only the rounds are said, a round is all that was done at the beat until the first place without a name.
    /// </summary>
    private static ImmutableArray<Bout> FillUnnamed(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, SaidDose dose)
    {
        const int fewest = 3;
        if (dose is not ({ MovesPerRound: >= 2 } or { Rounds: { High: >= 2 } }) || dose.Sets is not null || dose.Ladder)
        {
            return bouts;
        }

        var filled = FillPlaces(bouts, dose, marks, 'u', (places, i, after, due) =>
        {
            var run = RunUpTo(places, i, dose);
            var moves = dose.MovesPerRound ?? Period(run);
            if (moves < (dose.MovesPerRound is null ? fewest : 2) || run.Count < moves || run.Count + after > moves * dose.Rounds?.High)
            {
                return null;
            }

            return BegunAt(marks, dose, due) is { } start ? (start, run[run.Count - moves + ((after - 1) % moves)][0]) : null;
        });

        // A hole that is filled joins what stood before it to what stands after.
        return filled.Length == bouts.Length ? filled : FillUnnamed(filled, marks, dose);
    }

    /// <summary>After how many places a run begins again: all of it where no move has come twice, 0 where they come twice in another order.</summary>
    private static int Period(List<List<Bout>> run)
    {
        var second = run.FindIndex(p => run.Find(o => o[0].MoveId == p[0].MoveId) != p);
        if (second < 0)
        {
            return run.Count;
        }

        var period = second - run.FindIndex(p => p[0].MoveId == run[second][0].MoveId);
        return Enumerable.Range(second, run.Count - second).All(i => run[i][0].MoveId == run[i - period][0].MoveId) ? period : 0;
    }

    /// <summary>The places that follow each other at the beat, up to this one.</summary>
    private static List<List<Bout>> RunUpTo(List<List<Bout>> places, int i, SaidDose dose)
    {
        var first = i;
        while (first > 0 && Math.Abs((places[first][0].Span.Start - places[first - 1][0].Span.Start).Value - Beat(dose)) < Loose * Beat(dose))
        {
            first--;
        }

        return places[first..(i + 1)];
    }

    /// <summary>Starts are looked for this many seconds around the beat.</summary>
    private static double Early(SaidDose dose) => Math.Min(10, (dose.WorkSeconds ?? 0) / 3);

    /// <summary>The start that is said nearest to a beat, or null.</summary>
    private static double? StartNear(IReadOnlyList<Mark> marks, SaidDose dose, double due, double strength) =>
        Clocked.Between(marks, due - Early(dose), due + Early(dose)).Where(m => m.Kind == MarkKind.Start && m.Strength >= strength).Select(m => (double?)m.At).MinBy(t => Math.Abs(t!.Value - due));

    /// <summary>When the place that is due begins: at the start said near it, else on the beat where its stop is called. Null where neither is said.</summary>
    private static double? BegunAt(IReadOnlyList<Mark> marks, SaidDose dose, double due)
    {
        var stop = due + (dose.WorkSeconds ?? 0);
        var stopped = Clocked.Between(marks, stop - Early(dose), stop + Early(dose)).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 });
        return StartNear(marks, dose, due, 0.5) ?? (stopped ? due : null);
    }

    /// <summary>How many sets of its move a place is the last of.</summary>
    private static int Run(List<List<Bout>> places, int i, SaidDose dose)
    {
        var sets = 1;
        for (; i > 0 && places[i - 1][0].MoveId == places[i][0].MoveId && (places[i][0].Span.Start - places[i - 1][0].Span.Start).Value < (1 + Loose) * Beat(dose); i--)
        {
            sets++;
        }

        return sets;
    }

    private static double Beat(SaidDose dose) => (dose.WorkSeconds ?? 0) + (dose.RestSeconds ?? 0);

    /// <summary>Fills free places at the beat after each place that was read, for as long as it is known when the next starts and what it is.</summary>
    /// <param name="sign">Stands in the ids of the bouts that are added.</param>
    /// <param name="known">Of the places, one of them, how many places after it and when that is due: when it starts and a bout like it; null where that is not known.</param>
    private static ImmutableArray<Bout> FillPlaces(
        ImmutableArray<Bout> bouts, SaidDose dose, IReadOnlyList<Mark> marks, char sign, Func<List<List<Bout>>, int, int, double, (double Start, Bout Like)?> known)
    {
        if (dose is not { WorkSeconds: >= 15 and { } work, RestSeconds: not null })
        {
            return bouts;
        }

        var least = Math.Max(work - Near, work / 2);
        var places = Places(bouts, work);
        var last = marks.Count > 0 ? marks[^1].At : 0;
        var added = new List<Bout>();
        for (var i = 0; i < places.Count; i++)
        {
            var next = i + 1 < places.Count ? places[i + 1][0].Span.Start.Value : last;
            var free = places[i].Max(b => b.Span.End.Value);
            var due = places[i][0].Span.Start.Value + Beat(dose);
            for (var after = 1; free < due + Near && next >= Math.Max(free, due) + least && known(places, i, after, due) is { } found; after++)
            {
                var from = Math.Max(free, found.Start);
                free = Math.Min(next, from + work);
                added.Add(LaidAt(found.Like, from, free, sign, Confidence));
                due = from + Beat(dose);
            }
        }

        return added.Count == 0 ? bouts : [.. bouts.Concat(added).OrderBy(b => b.Span.Start)];
    }

    /// <summary>Three and more different moves named one after the other with no start between them.</summary>
    private static List<List<Mention>> Lists(IReadOnlyList<Mark> marks, IReadOnlyList<Mention> mentions)
    {
        const double apart = 15;
        const int fewest = 3;
        const int most = 10;
        var lists = new List<List<Mention>>();
        var list = new List<Mention>();
        foreach (var mention in mentions.Where(m => !m.Move.IsGentle && m.Role is Role.Previewed or Role.Announced or Role.Doing && m is not { Role: Role.Doing, Weak: true, Weight: < 0.2 }))
        {
            if (list.Count > 0 && (mention.At - list[^1].At > apart || Clocked.Between(marks, list[^1].At, mention.At).Any(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 })))
            {
                Close();
            }

            if (!list.Exists(m => m.Move.Id == mention.Move.Id))
            {
                list.Add(mention);
            }
        }

        Close();
        return lists;

        void Close()
        {
            if (list.Count is >= fewest and <= most)
            {
                lists.Add(list);
            }

            list = [];
        }
    }

    /// <summary>
    /// Fills the place of a bout that was not read, between two that were, a whole number of beats apart: where the same two stand elsewhere with as
    /// many between them, those are what was done here too.
    /// </summary>
    private static ImmutableArray<Bout> FillHoles(ImmutableArray<Bout> bouts, SaidDose dose)
    {
        const double onBeat = 0.2;
        const int longestHole = 3;
        if (dose is not { WorkSeconds: >= 15 and { } work })
        {
            return bouts;
        }

        var beat = Beat(dose);
        var places = Places(bouts, work);
        int Between(int i)
        {
            var beats = (places[i + 1][0].Span.Start.Value - places[i][0].Span.Start.Value) / beat;
            return Math.Abs(beats - Math.Round(beats)) < onBeat ? (int)Math.Round(beats) - 1 : -1;
        }

        static int InTurn(int k, int period) => ((k - 1) % period) + 1;

        // "A, B, A, B", then two that nobody names, then A: moves that take turns go on in turn.
        int Turn(int i, int missing)
        {
            const int longest = 6;
            for (var period = 2; period <= longest && i - period >= 0; period++)
            {
                if (places[i - period][0].MoveId == places[i][0].MoveId && places[i - 1][0].MoveId != places[i][0].MoveId && Enumerable.Range(i - period, period).All(k => Between(k) == 0)
                    && places[i - period + InTurn(missing + 1, period)][0].MoveId == places[i + 1][0].MoveId)
                {
                    return period;
                }
            }

            return 0;
        }

        var added = new List<Bout>();
        for (var i = 0; i + 1 < places.Count; i++)
        {
            var missing = Between(i);
            if (missing is < 1 or > longestHole || places[i][0].Span.Length.Value > 1.4 * work)
            {
                continue;
            }

            var like = Enumerable.Range(0, Math.Max(0, places.Count - missing - 1))
                .Where(j => j != i && places[j][0].MoveId == places[i][0].MoveId && places[j + missing + 1][0].MoveId == places[i + 1][0].MoveId
                    && Enumerable.Range(j, missing + 1).All(k => Between(k) == 0))
                .OrderBy(j => Math.Abs(j - i)).Cast<int?>().FirstOrDefault();
            var period = like is null ? Turn(i, missing) : 0;
            for (var k = 1; (like is not null || period > 0) && k <= missing; k++)
            {
                var at = places[i][0].Span.Start.Value + (k * beat);
                var until = k < missing ? at + beat : places[i + 1][0].Span.Start.Value;
                var place = like is { } j ? places[j + k] : places[i - period + InTurn(k, period)];
                added.AddRange(MovedTo(place, at, until, 'h', Confidence));
            }
        }

        return added.Count == 0 ? bouts : [.. bouts.Concat(added).OrderBy(b => b.Span.Start)];
    }

    /// <summary>A bout as it was done before, at another time.</summary>
    /// <param name="from">In seconds, as is <paramref name="to"/>; both are rounded to tenths.</param>
    /// <param name="sign">Stands in its id.</param>
    internal static Bout LaidAt(Bout like, double from, double to, char sign, double confidence) =>
        like with { Id = $"{like.MoveId}{sign}{from:0}", Span = Span.Of(Math.Round(from, 1), Math.Round(to, 1)), Confidence = confidence };

    /// <summary>The bouts of a place, both sides of it, as they would be done at another time.</summary>
    /// <param name="at">When the place begins there, in seconds.</param>
    /// <param name="until">When it is over at the latest; a side that would begin later is left out.</param>
    /// <param name="sign">Stands in the ids of the bouts.</param>
    internal static IEnumerable<Bout> MovedTo(List<Bout> place, double at, double until, char sign, double confidence)
    {
        double Here(Seconds there) => at + (there - place[0].Span.Start).Value;
        return place.Where(b => Here(b.Span.Start) < until).Select((b, n) => b with
        {
            Id = $"{b.MoveId}{sign}{at:0}-{n}",
            Span = Span.Of(Math.Round(Here(b.Span.Start), 1), Math.Round(Math.Min(until, Here(b.Span.End)), 1)),
            Confidence = confidence,
        });
    }

    /// <summary>The bouts in time order, each ended where the next begins; those of which nothing is left are dropped.</summary>
    internal static ImmutableArray<Bout> OneByOne(IEnumerable<Bout> bouts)
    {
        var all = bouts.OrderBy(b => b.Span.Start).ToList();
        return [.. all.Select((b, i) => i + 1 < all.Count && all[i + 1].Span.Start < b.Span.End ? b with { Span = new Span(b.Span.Start, all[i + 1].Span.Start) } : b).Where(b => b.Span.Length.Value > 0)];
    }

    /// <summary>The bouts by their places in the beat: the two sides of one move share a place.</summary>
    internal static List<List<Bout>> Places(ImmutableArray<Bout> bouts, double work)
    {
        const double slack = 6;
        var places = new List<List<Bout>>();
        foreach (var bout in bouts)
        {
            if (places.Count > 0 && places[^1][0].MoveId == bout.MoveId && bout.Side != Side.Both && (bout.Span.Start - places[^1][0].Span.Start).Value <= work - slack)
            {
                places[^1].Add(bout);
            }
            else
            {
                places.Add([bout]);
            }
        }

        return places;
    }

    /// <summary>The bouts of the round that ends here: those that follow each other at the beat, back to the first that does not.</summary>
    private static List<Bout> Before(ImmutableArray<Bout> bouts, double at, double beat)
    {
        const double onBeat = 0.25;
        var found = new List<Bout>();
        foreach (var bout in bouts.Where(b => b.Span.Start.Value < at).Reverse())
        {
            // One bout that was not read leaves a hole of one beat.
            var beats = found.Count == 0 ? 1 : (found[^1].Span.Start.Value - bout.Span.Start.Value) / beat;
            if (found.Count == 0 ? at - bout.Span.Start.Value > 2.4 * beat : Math.Abs(beats - Math.Round(beats)) > onBeat || Math.Round(beats) is < 1 or > 2)
            {
                break;
            }

            found.Add(bout);
        }

        found.Reverse();
        return found;
    }

    /// <summary>
    /// When the bouts of the new round start: at the said starts where there are any, else a beat after the one before. Empty where fewer than half of
    /// them are borne out by a start or a stop that is said.
    /// </summary>
    private static List<double> Starts(IReadOnlyList<Mark> marks, double from, double work, double rest, int count)
    {
        var beat = work + rest;
        var starts = new List<double>();
        var start = marks.FirstOrDefault(m => m.Kind == MarkKind.Start && m.At > from).At;
        var stop = marks.FirstOrDefault(m => m.Kind == MarkKind.Stop && m.At - work > from - Near).At;

        // A stop before any start ends a bout whose start nobody said.
        var first = stop > 0 && (start == 0 || stop < start) ? stop - work : start;
        if (first == 0 || first - from > 2 * beat)
        {
            return starts;
        }

        var (due, heard) = (first, 0);
        var last = marks.Count > 0 ? marks[^1].At : 0;
        for (var i = 0; i < count && due <= last + Near; i++)
        {
            var said = Clocked.Between(marks, due - (Loose * beat), due + (Loose * beat)).Where(m => m.Kind == MarkKind.Start).Select(m => m.At).DefaultIfEmpty(-1).MinBy(t => Math.Abs(t - due));
            var stopped = Clocked.Between(marks, due + work - Near, due + work + Near).Any(m => m.Kind == MarkKind.Stop);
            heard += said >= 0 || stopped ? 1 : 0;
            starts.Add(said >= 0 ? said : due);
            due = starts[^1] + beat;
        }

        return heard * 2 >= count ? starts : [];
    }
}
