using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>Doses without a clock: rounds, sets, supersets and ladders, known by the order of their moves.</summary>
public static partial class Expected
{
    /// <summary>A bout under this share of the usual length of its move in the block is short.</summary>
    private const double ShortShare = 0.6;

    /// <summary>Lengths are compared from this on: of a few repetitions the captions' clock is too coarse.</summary>
    private static readonly Seconds Comparable = new(15);

    /// <summary>
    /// The first pass through a group of moves says what every later pass owes; a ladder's n-th step owes the first n moves. No due times: nobody said any.
    /// Empty for structures without rounds, sets or steps, and where only one move was read.
    /// </summary>
    public static ImmutableArray<ExpectedBout> InOrder(Structure structure, Timeline timeline)
    {
        var times = structure.Rounds?.Low ?? structure.Sets ?? 1;
        var ladder = structure.Type == StructureType.Ladder;
        if (structure.Measured || (!ladder && times < 2) || structure.Type is StructureType.Choreography or StructureType.Flow or StructureType.Hold)
        {
            return [];
        }

        var bouts = OneATime([.. timeline.Bouts
            .Where(b => structure.Span.Contains(b.Span.Middle) && timeline.PhaseOf(b) == PhaseKind.Work)
            .OrderBy(b => b.Span.Start)]);
        if (bouts.Select(b => b.MoveId).Distinct().Count() < 2)
        {
            return [];
        }

        var rows = ladder ? Steps(bouts) : Passes(bouts, times);
        return [.. rows.Select(r => r.Bout is { } b && r.Fit == Fit.Fits && IsShort(b, bouts) ? r with { Fit = Fit.Short } : r)];
    }

    /// <summary>Both sides of a move, one after the other, are one time through it.</summary>
    private static List<Bout> OneATime(List<Bout> bouts)
    {
        var joined = new List<Bout>();
        foreach (var bout in bouts)
        {
            if (joined.Count > 0 && joined[^1].MoveId == bout.MoveId)
            {
                joined[^1] = joined[^1] with { Span = new Span(joined[^1].Span.Start, Seconds.Max(joined[^1].Span.End, bout.Span.End)) };
            }
            else
            {
                joined.Add(bout);
            }
        }

        return joined;
    }

    private static List<ExpectedBout> Steps(List<Bout> bouts)
    {
        var rows = new List<ExpectedBout>();
        var first = bouts[0].MoveId;
        var known = new List<string>();
        var at = 0;
        for (var step = 1; at < bouts.Count; step++)
        {
            var end = bouts.FindIndex(at + 1, b => b.MoveId == first) is >= 0 and var next ? next : bouts.Count;
            var done = bouts[at..end];
            known.AddRange(done.Select(b => b.MoveId).Where(m => !known.Contains(m)).Distinct().Take(Math.Max(0, step - known.Count)));
            rows.AddRange(Row(known, done, step));
            at = end;
        }

        // What stands between the steps again and again is the filler.
        var fillers = rows.Where(r => r.Fit == Fit.Extra).GroupBy(r => r.MoveId).Where(g => g.Count() > 1).Select(g => g.Key).ToHashSet();
        return [.. rows.Select(r => r.Fit == Fit.Extra && fillers.Contains(r.MoveId) ? r with { Fit = Fit.Fits } : r)];
    }

    private static List<ExpectedBout> Passes(List<Bout> bouts, int times)
    {
        var rows = new List<ExpectedBout>();
        var at = 0;
        while (at < bouts.Count)
        {
            // The group: moves up to the first that comes back.
            var group = new List<string>();
            for (var i = at; i < bouts.Count && !group.Contains(bouts[i].MoveId); i++)
            {
                group.Add(bouts[i].MoveId);
            }

            var pass = 0;
            while (at < bouts.Count && pass < times)
            {
                var end = at + 1;
                var last = group.IndexOf(bouts[at].MoveId);
                while (end < bouts.Count && group.IndexOf(bouts[end].MoveId) is var here && (here > last || (here < 0 && ComesBack(bouts, end, group))))
                {
                    last = Math.Max(last, here);
                    end++;
                }

                rows.AddRange(Row(group, bouts[at..end], ++pass));
                at = end;
                if (at < bouts.Count && !group.Contains(bouts[at].MoveId))
                {
                    break;
                }
            }

            // Beyond what is said only a finisher is left; a group that never came back owes no rounds.
            for (var round = pass + 1; pass > 1 && round <= times; round++)
            {
                rows.AddRange(group.Select(m => new ExpectedBout(null, null, Fit.Missing, m, round)));
            }
        }

        return rows;
    }

    /// <summary>A strange move inside a pass is extra where the group goes on after it, else the next group begins with it.</summary>
    private static bool ComesBack(List<Bout> bouts, int at, List<string> group) => at + 1 < bouts.Count && group.Contains(bouts[at + 1].MoveId);

    private static IEnumerable<ExpectedBout> Row(List<string> owed, List<Bout> done, int round) => done
        .Select(b => new ExpectedBout(null, b, owed.Contains(b.MoveId) ? Fit.Fits : Fit.Extra, b.MoveId, round))
        .Concat(owed.Where(m => done.TrueForAll(b => b.MoveId != m)).Select(m => new ExpectedBout(null, null, Fit.Missing, m, round)));

    private static bool IsShort(Bout bout, List<Bout> bouts)
    {
        var lengths = bouts.Where(b => b.MoveId == bout.MoveId).Select(b => b.Span.Length).Order().ToList();
        var usual = lengths[lengths.Count / 2];
        return lengths.Count > 1 && usual >= Comparable && bout.Span.Length.Value < ShortShare * usual.Value;
    }
}
