using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>A stretch the segmenter believes is one bout.</summary>
internal sealed record Segment(Move Move, double Start, double End, bool StartMarked, bool EndMarked, double Contest, IReadOnlyList<Mention> Mentions);

/// <summary>
/// Finds the bouts by the best division of the whole recording, not mention by mention: candidate edges come from marks and mentions,
/// every stretch between two edges is scored as each move named nearby and as "no bout", and dynamic programming picks the best chain.
/// The weights below are ours, set on our own captions; they have no source outside the project.
/// </summary>
internal static class BoutSegmenter
{
    private const double LongestBout = 200;
    private const double ShortestBout = 6;
    private const double Near = 4;
    private const double LateWeight = 0.12;
    private const double BeatTolerance = 4;
    private const double BeatWeight = 0.6;

    /// <summary>How many beats after a said start edges are still laid.</summary>
    private const int BeatsAhead = 4;

    public static IReadOnlyList<Segment> Segments(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> mentions, SaidDose dose)
    {
        var evidence = mentions.Where(m => m.Weight >= 0.2).OrderBy(m => m.EffectiveAt).ToList();
        if (evidence.Count == 0)
        {
            return [];
        }

        var scene = new Scene(speech, marks, evidence, dose);
        var edges = scene.Edges;
        var best = new double[edges.Length];
        var from = new int[edges.Length];
        var label = new Move?[edges.Length];

        // Where the last bout on the best way to an edge began; bouts of a timed class follow each other at a steady beat.
        var lastStart = new double[edges.Length];
        lastStart[0] = double.NegativeInfinity;
        for (var j = 1; j < edges.Length; j++)
        {
            best[j] = double.NegativeInfinity;
            for (var i = j - 1; i >= 0; i--)
            {
                var length = edges[j] - edges[i];
                if (length > LongestBout && i < j - 1)
                {
                    break;
                }

                var idle = best[i] + scene.Idle(i, j) - (label[i] is null ? 0 : 0.15);
                if (idle > best[j])
                {
                    (best[j], from[j], label[j], lastStart[j]) = (idle, i, null, lastStart[i]);
                }

                if (length < ShortestBout)
                {
                    continue;
                }

                var beat = scene.Beat(edges[i] - lastStart[i]);
                foreach (var (move, score) in scene.Moves(i, j))
                {
                    var again = label[i]?.Id == move.Id && !scene.MayRepeat(edges[i]) ? 1.0 : 0;
                    var total = best[i] + score + beat - again;
                    if (total > best[j])
                    {
                        (best[j], from[j], label[j], lastStart[j]) = (total, i, move, edges[i]);
                    }
                }
            }
        }

        var segments = new List<Segment>();
        for (var j = edges.Length - 1; j > 0; j = from[j])
        {
            if (label[j] is { } move)
            {
                segments.Add(scene.Describe(move, from[j], j));
            }
        }

        segments.Reverse();
        return segments;
    }

    /// <summary>Everything that is known along the clock, indexed for quick sums.</summary>
    private sealed class Scene
    {
        private readonly IReadOnlyList<Mention> _evidence;
        private readonly double[] _evidenceAt;
        private readonly List<Mark> _starts;
        private readonly List<Mark> _stops;
        private readonly double[] _doing;
        private readonly double[] _switches;
        private readonly double[] _agains;
        private readonly SaidDose _dose;
        private readonly double? _period;

        // Scratch, reused for every stretch: own weight per move.
        private readonly Dictionary<string, (Move Move, double Own, double Peak, double First)> _sums = [];

        public Scene(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> evidence, SaidDose dose)
        {
            _evidence = evidence;
            // To the tenth, as the edges are, so that an edge made by a mention lies on it.
            _evidenceAt = [.. evidence.Select(m => Math.Round(m.EffectiveAt, 1))];
            _starts = [.. marks.Where(m => m.Kind == MarkKind.Start)];
            _stops = [.. marks.Where(m => m.Kind is MarkKind.Stop or MarkKind.Break or MarkKind.SignOff)];
            _doing = [.. marks.Where(m => m.Kind == MarkKind.Doing).Select(m => m.At)];
            _switches = [.. marks.Where(m => m.Kind == MarkKind.SwitchSide).Concat(SideTurns.Find(marks)).Select(m => m.At).Order()];
            _agains = [.. marks.Where(m => m.Kind == MarkKind.Again).Select(m => m.At)];
            _dose = dose;
            _period = dose is { WorkSeconds: { } work, RestSeconds: { } rest } ? work + rest : null;
            Edges = MakeEdges(speech);
        }

        public double[] Edges { get; }

        /// <summary>True where the same move may begin once more: the other side, the next set.</summary>
        public bool MayRepeat(double at) => Any(_switches, at - 10, at + 6) || Any(_agains, at - 8, at + 6);

        /// <summary>What speaks for a bout that begins this long after the one before: the said work and rest, once or twice over.</summary>
        public double Beat(double sinceStart)
        {
            if (_period is not { } period || sinceStart > 2.2 * period)
            {
                return 0;
            }

            var times = Math.Max(1, Math.Round(sinceStart / period));
            var off = (sinceStart - (times * period)) / BeatTolerance;
            return BeatWeight * Math.Exp(-off * off) / times;
        }

        /// <summary>Score of a stretch in which no bout runs.</summary>
        public double Idle(int i, int j)
        {
            var (s, e) = (Edges[i], Edges[j]);
            var lost = 0.0;
            for (var k = Lower(_evidenceAt, s); k < _evidence.Count && _evidenceAt[k] < e; k++)
            {
                lost += _evidence[k].Weight * 0.9;
            }

            var rests = MarksIn(_stops, s - 1, Math.Min(e, s + 15)) > 0 ? 0.3 : 0;
            return rests - lost - (0.05 * Math.Min(6, Count(_doing, s, e))) - (0.012 * Math.Min(25, e - s));
        }

        /// <summary>Score of a stretch as each move that has evidence in it.</summary>
        public IEnumerable<(Move Move, double Score)> Moves(int i, int j)
        {
            var (s, e) = (Edges[i], Edges[j]);
            _sums.Clear();
            for (var k = Lower(_evidenceAt, s - 1.5); k < _evidence.Count && _evidenceAt[k] < e - 1; k++)
            {
                var m = _evidence[k];
                var held = _sums.GetValueOrDefault(m.Move.Id, (m.Move, 0, 0, m.EffectiveAt));

                // The first naming counts in full; later ones confirm.
                _sums[m.Move.Id] = (m.Move, held.Item2 == 0 ? m.Weight : held.Item2 + (0.35 * m.Weight), Math.Max(held.Item3, m.Weight), held.Item4);
            }

            if (_sums.Count == 0)
            {
                yield break;
            }

            var shape = Shape(s, e);
            foreach (var (_, (move, own, _, first)) in _sums)
            {
                var others = 0.0;
                foreach (var (id, (_, _, peak, otherFirst)) in _sums)
                {
                    // A neighbour named in the last moments is the next move; elsewhere it contests.
                    if (id != move.Id)
                    {
                        others += otherFirst > e - 5 ? 0.3 * peak : peak;
                    }
                }

                // A bout begins where its move is named, or at the start said next, hardly before.
                var late = Math.Max(0, Math.Min(40, first - s - Near)) * LateWeight;
                yield return (move, Math.Min(own, 2.2) - (0.85 * others) - late + shape + TypicalLength(move, e - s));
            }
        }

        public Segment Describe(Move move, int i, int j)
        {
            var (s, e) = (Edges[i], Edges[j]);
            var own = _evidence.Where(m => m.Move.Id == move.Id && m.EffectiveAt >= s - 1.5 && m.EffectiveAt < e - 1).ToList();
            var contest = _evidence.Where(m => m.Move.Id != move.Id && m.EffectiveAt >= s && m.EffectiveAt < e - 5).Sum(m => m.Weight);
            return new Segment(
                move, s, e, MarksIn(_starts, s - Near, s + Near) > 0, MarksIn(_stops, e - Near, e + Near) > 0, contest, own);
        }

        /// <summary>What speaks for a bout from s to e whatever the move.</summary>
        private double Shape(double s, double e)
        {
            var length = e - s;
            var score = -0.55;
            score += 0.7 * Math.Min(1, MarksIn(_starts, s - 2.5, s + 2.5));
            score += 0.6 * Math.Min(1, MarksIn(_stops, e - 2.5, e + 2.5));
            score -= 0.9 * Math.Min(2, MarksIn(_stops, s + Near, e - Near, 0.9));
            score -= 0.35 * Math.Min(2, MarksIn(_starts, s + 8, e - 6, 0.9));
            score -= 0.6 * Math.Min(1, Count(_agains, s + 8, e - 6));
            score += 0.07 * Math.Min(8, Count(_doing, s, e));
            score += 0.008 * Math.Min(45, length);
            if (length < 12)
            {
                score -= (12 - length) * 0.08;
            }

            if (length > 75)
            {
                score -= (length - 75) * 0.012;
            }

            if (_dose.WorkSeconds is { } work)
            {
                var off = (length - work) / 4;
                score += 0.9 * Math.Exp(-off * off);
            }

            return score;
        }

        private static double TypicalLength(Move move, double length) =>
            move.IsGentle && length > 60 ? -(length - 60) * 0.006 : 0;

        private double[] MakeEdges(Speech speech)
        {
            var edges = new SortedSet<double> { 0, speech.End.Value };
            void Add(double at)
            {
                if (at >= 0 && at <= speech.End.Value)
                {
                    edges.Add(Math.Round(at, 1));
                }
            }

            foreach (var m in _evidence)
            {
                Add(m.EffectiveAt);
            }

            foreach (var m in _starts.Concat(_stops))
            {
                Add(m.At);
            }

            foreach (var at in _switches.Concat(_agains))
            {
                Add(at);
            }

            if (_dose.WorkSeconds is { } work)
            {
                foreach (var m in _starts.Where(m => m.Strength >= 0.5))
                {
                    for (var k = 0; k <= (_period is null ? 0 : BeatsAhead); k++)
                    {
                        Add(m.At + (k * _period ?? 0));
                        Add(m.At + (k * _period ?? 0) + work);
                    }
                }
            }

            // Edges closer than a second say the same; keep the first.
            var thinned = new List<double>(edges.Count);
            foreach (var at in edges)
            {
                if (thinned.Count == 0 || at - thinned[^1] >= 1)
                {
                    thinned.Add(at);
                }
            }

            return [.. thinned];
        }

        private static int Lower(double[] sorted, double value)
        {
            var found = Array.BinarySearch(sorted, value);
            if (found < 0)
            {
                return ~found;
            }

            while (found > 0 && sorted[found - 1] == value)
            {
                found--;
            }

            return found;
        }

        private static bool Any(double[] sorted, double from, double to) => Count(sorted, from, to) > 0;

        private static int Count(double[] sorted, double from, double to) => Math.Max(0, Lower(sorted, to) - Lower(sorted, from));

        private static double MarksIn(List<Mark> marks, double from, double to, double least = 0)
        {
            var (low, high) = (0, marks.Count);
            while (low < high)
            {
                var middle = (low + high) / 2;
                if (marks[middle].At < from)
                {
                    low = middle + 1;
                }
                else
                {
                    high = middle;
                }
            }

            var sum = 0.0;
            for (; low < marks.Count && marks[low].At <= to; low++)
            {
                if (marks[low].Strength >= least)
                {
                    sum += marks[low].Strength;
                }
            }

            return sum;
        }
    }
}
