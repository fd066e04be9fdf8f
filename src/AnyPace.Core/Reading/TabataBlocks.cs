using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Twenty-ten blocks: the moves are told before a block, and in its four minutes hardly anyone names them again. Where enough starts and stops keep the beat of a block,
/// its eight places are those of the moves told, in turn.
/// </summary>
internal static class TabataBlocks
{
    private const double Work = 20;
    private const double Rest = 10;
    private const double Period = Work + Rest;
    private const int Places = 8;

    /// <summary>Four moves fill a block twice over.</summary>
    private const int Four = 4;

    /// <summary>A start or stop speaks for a place within so many seconds.</summary>
    private const double Tolerance = 3.5;

    /// <summary>What has to speak for a block: so many of its starts and stops.</summary>
    private const double Needed = 3.5;

    /// <summary>The moves of a block are told in the last so many seconds before it.</summary>
    private const double TellsWithin = 70;

    /// <summary>Seconds into a block in which its first move may still be told.</summary>
    private const double Just = 6;

    /// <summary>How sure: the place in the block is all there is to go by; surer where the move is named in it.</summary>
    private const double Unnamed = 0.6;
    private const double Named = 0.8;

    private sealed record Block(double Start, double Score, string[] Turns)
    {
        public double End => EndOf(Start);
    }

    /// <summary>When a block is over: after its last work, without the rest.</summary>
    private static double EndOf(double start) => start + (Places * Period) - Rest;

    public static ImmutableArray<Bout> Fill(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, List<Mention> mentions, SaidDose dose, double end)
    {
        if (dose.Beats.FirstOrDefault(b => b.Work == Work && (b.Rest ?? (dose.Tabata ? Rest : 0)) == Rest) is not { } beat)
        {
            return bouts;
        }

        // A finisher begins where it is told.
        var told = beat == dose.Beats[0] ? 0 : beat.At;
        var free = told;
        foreach (var block in Blocks(marks, mentions, end).Where(b => b.Start >= told))
        {
            bouts = With(bouts, mentions, block, free);
            free = block.End;
        }

        return bouts;
    }

    /// <summary>The blocks for which most speaks, none over another, in time order.</summary>
    private static List<Block> Blocks(IReadOnlyList<Mark> marks, List<Mention> mentions, double end)
    {
        List<Mark> beats = [.. marks.Where(m => m is { Kind: MarkKind.Start or MarkKind.Stop, Strength: >= 0.5 })];
        var starts = beats
            .Select(m => m.Kind == MarkKind.Start ? m.At : m.At - Work)
            .SelectMany(t => Enumerable.Range(0, Places).Select(k => t - (k * Period)))
            .Where(t => t > 0 && EndOf(t) < end)
            .Distinct();
        var likely = new List<Block>();
        foreach (var start in starts)
        {
            if (Score(marks, beats, start) is >= Needed and var score && Turns(mentions, start, Told(marks, mentions, start - TellsWithin, start + Just)) is var (turns, agreement))
            {
                likely.Add(new Block(start, score + agreement, turns));
            }
        }

        var chosen = new List<Block>();
        foreach (var block in likely.OrderByDescending(b => b.Score).ThenBy(b => b.Start))
        {
            if (!chosen.Exists(c => c.Start < block.End + Rest && block.Start < c.End + Rest))
            {
                chosen.Add(block);
            }
        }

        return [.. chosen.OrderBy(b => b.Start)];
    }

    /// <summary>What speaks for a block that begins at a moment: the starts and stops at its beat, less those beside it, and what is said at its ends.</summary>
    /// <param name="beats">Of the marks, the clear starts and stops.</param>
    private static double Score(IReadOnlyList<Mark> marks, List<Mark> beats, double start)
    {
        const double beside = 0.4;
        const double inside = 1.5;
        const double around = 14;
        const double atEnds = 0.6;
        const double bothEnds = 1.4;
        var (score, end) = (0.0, EndOf(start));
        for (var k = 0; k < Places; k++)
        {
            var at = start + (k * Period);
            var (begun, stopped, off) = (0.0, 0.0, 0.0);
            foreach (var beat in Clocked.Between(beats, at - Tolerance, at + Period - Tolerance))
            {
                // A plain loop: it is asked for eight places of every block that there might be.
                var isStart = beat.Kind == MarkKind.Start;
                var from = isStart ? beat.At - at : Math.Abs(beat.At - at - Work);
                if (from <= Tolerance)
                {
                    (begun, stopped) = isStart ? (Math.Max(begun, beat.Strength), stopped) : (begun, Math.Max(stopped, beat.Strength));
                }

                if (beat.Strength >= 0.9 && (isStart ? from is > Tolerance and < Period - (2 * Tolerance) : from > 2 * Tolerance))
                {
                    off = Math.Max(off, beat.Strength);
                }
            }

            score += begun + stopped - (beside * off);
        }

        var breaks = Clocked.Between(marks, start + Period, end - Period).Count(m => m.Kind == MarkKind.Break);
        var over = Clocked.Between(marks, end - Tolerance, end + around).Any(m => m.Kind is MarkKind.Break or MarkKind.Round or MarkKind.CoolDown or MarkKind.SignOff);
        var begins = Clocked.Between(beats, start - Tolerance, start + Tolerance).Any(m => m.Kind == MarkKind.Start);
        return score - (inside * breaks) + (over ? atEnds : 0) + (begins ? atEnds : 0) + (over && begins ? bothEnds : 0);
    }

    /// <summary>The moves told before a block, in the order they are told: from where the block is announced, if two or more are told after that.</summary>
    private static List<string> Told(IReadOnlyList<Mark> marks, List<Mention> mentions, double from, double to)
    {
        List<string> Since(double at) =>
            [.. Clocked.Between(mentions, at, to).Where(m => !m.Weak && !m.Move.IsGentle && m.Role is Role.Announced or Role.Doing or Role.Previewed).Select(m => m.Move.Id).Distinct()];
        return Clocked.Between(marks, from, to).Where(m => m.Kind is MarkKind.Round or MarkKind.WarmUpOver or MarkKind.Break).Reverse().Select(m => Since(m.At)).FirstOrDefault(told => told.Count >= 2) ?? Since(from);
    }

    /// <summary>Which move each place is of: one all through, two in turn, four twice over, or two that change half way; whatever the names within agree with most.</summary>
    /// <returns>The moves, and how far the names within agree with them; null where they are none of a block.</returns>
    private static (string[] Turns, double Agreement)? Turns(List<Mention> mentions, double start, List<string> told)
    {
        const int most = 6;
        const double agrees = 1;
        const double order = 0.02;
        if (told.Count is 0 or > most)
        {
            return null;
        }

        var heard = Enumerable.Range(0, Places).Select(k => HeardAt(mentions, start + (k * Period), k == 0 ? Just : Rest + 1)).ToList();

        // Moves that are named loud and clear and were never told: this is no block of those told.
        if (heard.Count(h => h.Any(m => m.Value >= agrees && !told.Contains(m.Key))) > 2)
        {
            return null;
        }

        // A second move that was not told before the block is named as the first is.
        List<string> moves = [.. told, .. heard.SelectMany(h => h.Where(m => m.Value >= agrees).Select(m => m.Key)).GroupBy(m => m).Where(g => g.Count() > 1).Select(g => g.Key).Except(told)];
        var candidates = new List<string[]>();
        foreach (var a in moves)
        {
            if (moves.Count == 1)
            {
                candidates.Add([a]);
            }

            foreach (var b in moves)
            {
                if (a != b)
                {
                    candidates.Add([a, b]);
                    candidates.Add([a, a, a, a, b, b, b, b]);
                }
            }
        }

        if (told.Count == Four)
        {
            candidates.Add([.. told]);
        }

        // Named in another order than they were told, or told too long ago: what is heard at each of four places.
        var turn = Enumerable.Range(0, Four).Select(r => heard.Where((_, k) => k % Four == r).SelectMany(h => h).GroupBy(h => h.Key).OrderByDescending(g => g.Sum(h => h.Value)).FirstOrDefault()?.Key).ToList();
        if (turn.TrueForAll(m => m is not null) && turn.Distinct().Count() == Four)
        {
            candidates.Add([.. turn.Select(m => m!)]);
        }

        // Of each place the names that agree most, so that every candidate is asked by looking these up.
        var strongest = heard.ConvertAll(h => h.Select(m => (m.Key, Value: Math.Min(agrees, m.Value))).OrderByDescending(m => m.Value).Take(2).ToArray());
        double Beside(int place, string move)
        {
            foreach (var (other, value) in strongest[place])
            {
                if (other != move)
                {
                    return value;
                }
            }

            return 0;
        }

        double Agreement(string[] turns)
        {
            var sum = 0.0;
            for (var k = 0; k < Places; k++)
            {
                var move = turns[k % turns.Length];
                sum += Math.Min(agrees, heard[k].GetValueOrDefault(move)) - Beside(k, move);
            }

            return sum - (order * (moves.IndexOf(turns[0]) + moves.IndexOf(turns[^1]))) - (turns.Length == Places ? agrees : 0);
        }

        var best = candidates.MaxBy(Agreement)!;
        var agreement = Agreement(best);

        // One move all through is named now and then.
        return best.Length == 1 && agreement < agrees ? null : ([.. Enumerable.Range(0, Places).Select(k => best[k % best.Length])], agreement);
    }

    /// <summary>What is named in a place or in the seconds before it, with how strongly; before the first place all moves of the block are told.</summary>
    private static Dictionary<string, double> HeardAt(List<Mention> mentions, double at, double before) =>
        Clocked.Between(mentions, at - before, at + Work - Tolerance)
            .Where(m => m.Role is Role.Announced or Role.Doing && m.Weight >= 0.25)
            .GroupBy(m => m.Move.Id)
            .ToDictionary(g => g.Key, g => g.Max(m => m.Weight * (m.Weak ? 0.5 : 1)));

    /// <summary>The bouts with those of a block in their places; what was read in it, or from the telling before it, gives way.</summary>
    private static ImmutableArray<Bout> With(ImmutableArray<Bout> bouts, List<Mention> mentions, Block block, double free)
    {
        var turns = block.Turns;
        const double telling = 60;
        bool Tells(Bout b) => b.Span.Start.Value < block.Start && b.Span.Start.Value >= Math.Max(free, block.Start - telling) && turns.Contains(b.MoveId);
        bool Within(Bout b) => b.Span.Start.Value > block.Start - Just && b.Span.Start.Value < block.End;
        var kept = bouts.Where(b => !Within(b) && !Tells(b))
            .Select(b => b.Span.Start.Value < block.Start && b.Span.End.Value > block.Start ? b with { Span = Span.Of(b.Span.Start.Value, Math.Round(block.Start, 1)) } : b);
        var places = Enumerable.Range(0, Places).Select(k =>
        {
            var at = block.Start + (k * Period);
            var named = Clocked.Between(mentions, at - Rest - 1, at + Work).Where(m => m.Move.Id == turns[k] && m.Weight >= 0.25).ToList();
            var told = mentions.Where(m => m.At < at && m.Move.Id == turns[k]).TakeLast(1);
            var read = bouts.FirstOrDefault(b => b.MoveId == turns[k] && Math.Abs(b.Span.Start.Value - at) <= Just);
            var begins = Math.Round(read?.Span.Start.Value ?? at, 1);
            return new Bout(
                $"{turns[k]}t{block.Start:0}-{k}", turns[k], Span.Of(begins, Math.Round(at + Work, 1)), Side.Both, null, named.Count > 0 ? Named : Unnamed,
                [.. (named.Count > 0 ? named.Take(4) : told).Select(m => new Evidence(new Seconds(Math.Round(m.At, 1)), m.Move.Name))]);
        });
        return [.. kept.Concat(places).OrderBy(b => b.Span.Start)];
    }
}
