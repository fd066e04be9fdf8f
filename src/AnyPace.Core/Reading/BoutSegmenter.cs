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
    private const int NoMove = -1;

    /// <summary>What weighs less says nothing.</summary>
    private const double Heard = 0.2;

    /// <summary>However often a move is named, its naming counts no more than this.</summary>
    private const double MostOwn = 2.2;

    /// <summary>What the naming of another move in the same stretch takes away.</summary>
    private const double Contested = 0.85;

    /// <summary>A move first named within so many seconds of the end of a stretch is rather the next, and contests only so far.</summary>
    private const double JustNamed = 5;
    private const double NextContests = 0.3;
    private const double BeatTolerance = 4;
    private const double BeatWeight = 0.6;

    /// <summary>Seconds into a recording from which "you are warm" is believed: the clock of the work does not run before.</summary>
    private const double EarliestClock = 60;

    /// <summary>How much of what speaks against idle time does so before the class opens.</summary>
    private const double BeforeOpening = 0.4;

    /// <summary>How many beats after a said start edges are still laid.</summary>
    private const int BeatsAhead = 4;

    public static IReadOnlyList<Segment> Segments(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> mentions, SaidDose dose, double opening)
    {
        var evidence = mentions.Where(m => m.Weight >= Heard).OrderBy(m => m.EffectiveAt).ToList();
        if (evidence.Count == 0)
        {
            return [];
        }

        var scene = new Scene(speech, marks, evidence, dose, opening);
        var edges = scene.Edges;
        var best = new double[edges.Length];
        var from = new int[edges.Length];
        var label = new int[edges.Length];

        // Where the last bout on the best way to an edge began; bouts of a timed class follow each other at a steady beat.
        var lastStart = new double[edges.Length];
        Array.Fill(best, double.NegativeInfinity);
        Array.Fill(label, NoMove);
        best[0] = 0;
        lastStart[0] = double.NegativeInfinity;
        for (var i = 0; i < edges.Length - 1; i++)
        {
            scene.From(i);
            var mayRepeat = scene.MayRepeat(edges[i]);
            var rest = best[i] - (label[i] == NoMove ? 0 : 0.15);
            var beat = scene.Beat(edges[i] - lastStart[i]);
            for (var j = i + 1; j < edges.Length; j++)
            {
                var length = edges[j] - edges[i];
                if (length > LongestBout && j > i + 1)
                {
                    break;
                }

                scene.To(j);
                var idle = rest + scene.Idle();
                if (idle > best[j])
                {
                    (best[j], from[j], label[j], lastStart[j]) = (idle, i, NoMove, lastStart[i]);
                }

                if (length < ShortestBout || scene.Candidates == 0)
                {
                    continue;
                }

                var shape = scene.Shape() + beat + best[i];
                if (shape + scene.AtMost <= best[j])
                {
                    continue;
                }

                for (var k = 0; k < scene.Candidates; k++)
                {
                    var move = scene.Candidate(k);
                    var again = !mayRepeat && label[i] == move ? 1.0 : 0;
                    var total = shape + scene.Score(k) - again;
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
            if (label[j] != NoMove)
            {
                segments.Add(scene.Describe(label[j], from[j], j));
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
        private readonly Strengths _clearStarts;
        private readonly Strengths _clearStops;
        private readonly double[] _doing;
        private readonly double[] _switches;
        private readonly double[] _agains;
        private readonly SaidDose _dose;
        private readonly double? _period;
        private readonly double _clockFrom;
        private readonly double _opening;

        // Each move that has evidence by a number, and which it is for each mention.
        private readonly Move[] _moves;
        private readonly int[] _moveOf;
        private readonly bool[] _gentle;

        // The stretch under consideration and, for each move named in it, the evidence; it only ever grows at its end.
        private readonly int[] _sumOf;
        private readonly int[] _named;
        private readonly double[] _first;
        private readonly double[] _own;
        private readonly double[] _peak;
        private readonly EdgeView[] _at;
        private double _firstStop;
        private double _most;
        private int _from;
        private int _to;
        private double _start;
        private double _end;
        private int _next;
        private int _nextLost;
        private double _lost;
        private double _contest;

        // Of the moves named in the stretch, which stand in the order of their first naming, those that contest in full, and what they contest together.
        private int _settled;
        private double _settledContest;
        private double _settledMost;

        public Scene(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> evidence, SaidDose dose, double opening)
        {
            _evidence = evidence;
            // To the tenth, as the edges are, so that an edge made by a mention lies on it.
            _evidenceAt = [.. evidence.Select(m => Math.Round(m.EffectiveAt, 1))];
            var numbers = new Dictionary<string, int>();
            _moveOf = [.. evidence.Select(m => numbers.TryGetValue(m.Move.Id, out var number) ? number : numbers[m.Move.Id] = numbers.Count)];
            _moves = new Move[numbers.Count];
            for (var i = evidence.Count - 1; i >= 0; i--)
            {
                _moves[_moveOf[i]] = evidence[i].Move;
            }

            _gentle = [.. _moves.Select(m => m.IsGentle)];
            (_sumOf, _named, _first, _own, _peak) = (new int[_moves.Length], new int[_moves.Length], new double[_moves.Length], new double[_moves.Length], new double[_moves.Length]);
            Array.Fill(_sumOf, -1);
            _starts = [.. marks.Where(m => m.Kind == MarkKind.Start)];
            _stops = [.. marks.Where(m => m.Kind is MarkKind.Stop or MarkKind.Break or MarkKind.SignOff)];
            _doing = [.. marks.Where(m => m.Kind == MarkKind.Doing).Select(m => m.At)];
            _switches = [.. marks.Where(m => m.Kind == MarkKind.SwitchSide).Concat(SideTurns.Find(marks)).Select(m => m.At).Order()];
            _agains = [.. marks.Where(m => m.Kind is MarkKind.Again or MarkKind.Round).Select(m => m.At)];
            _dose = dose;
            _period = dose is { WorkSeconds: { } work, RestSeconds: { } rest } ? work + rest : null;
            _opening = opening;
            _clockFrom = marks.Where(m => m.Kind == MarkKind.WarmUpOver && m.At > EarliestClock).Select(m => m.At).FirstOrDefault();
            (_clearStarts, _clearStops) = (new Strengths(_starts), new Strengths(_stops));
            Edges = MakeEdges(speech);
            _at = [.. Edges.Select(Sight)];
        }

        /// <summary>What lies near an edge and how much lies before it, so that any stretch is judged by its two ends.</summary>
        private sealed record EdgeView(
            double StartsHere, double StopsHere, double StopsUpTo, double StopsBefore, double StartsUpTo, double StartsBefore, int AgainsUpTo, int AgainsBefore, int Doing);

        private EdgeView Sight(double at) => new(
            Math.Min(1, MarksIn(_starts, at - 2.5, at + 2.5)),
            Math.Min(1, MarksIn(_stops, at - 2.5, at + 2.5)),
            _clearStops.UpTo(at + Near),
            _clearStops.UpTo(at - Near),
            _clearStarts.UpTo(at + 8),
            _clearStarts.UpTo(at - 6),
            Lower(_agains, at + 8),
            Lower(_agains, at - 6),
            Lower(_doing, at));

        public double[] Edges { get; }

        /// <summary>True where the same move may begin once more: the other side, the next set or round.</summary>
        public bool MayRepeat(double at) => Any(_switches, at - 10, at + 6) || Any(_agains, at - 8, at + 6);

        /// <summary>What speaks for a bout that begins this long after the one before: the said work and rest, once or twice over.</summary>
        public double Beat(double sinceStart)
        {
            if (_period is not { } period || sinceStart > 2.2 * period || _start < _clockFrom)
            {
                return 0;
            }

            var times = Math.Max(1, Math.Round(sinceStart / period));
            var off = (sinceStart - (times * period)) / BeatTolerance;
            return BeatWeight * Math.Exp(-off * off) / times;
        }

        /// <summary>Begins a stretch at an edge.</summary>
        public void From(int i)
        {
            _from = i;
            _start = Edges[i];
            _end = _start;
            _next = Lower(_evidenceAt, _start - 1.5);
            _nextLost = Lower(_evidenceAt, _start);
            _lost = 0;
            for (var k = 0; k < Candidates; k++)
            {
                _sumOf[_named[k]] = -1;
            }

            Candidates = 0;
            (_settled, _settledContest, _settledMost) = (0, 0, 0);
            var stop = Clocked.From(_stops, _start - 1);
            _firstStop = stop < _stops.Count ? _stops[stop].At : double.PositiveInfinity;
        }

        /// <summary>Lets the stretch grow to a later edge.</summary>
        public void To(int j)
        {
            _to = j;
            _end = Edges[j];
            for (; _nextLost < _evidence.Count && _evidenceAt[_nextLost] < _end; _nextLost++)
            {
                _lost += _evidence[_nextLost].Weight * 0.9;
            }

            for (; _next < _evidence.Count && _evidenceAt[_next] < _end - 1; _next++)
            {
                var m = _evidence[_next];
                var number = _moveOf[_next];
                var k = _sumOf[number];
                if (k < 0)
                {
                    // The first naming counts in full; later ones confirm.
                    k = Candidates++;
                    (_sumOf[number], _named[k], _first[k], _own[k], _peak[k]) = (k, number, m.EffectiveAt, m.Weight, m.Weight);
                }
                else
                {
                    _own[k] += 0.35 * m.Weight;
                    if (m.Weight > _peak[k])
                    {
                        if (k < _settled)
                        {
                            _settledContest += m.Weight - _peak[k];
                            _settledMost = Math.Max(_settledMost, m.Weight);
                        }

                        _peak[k] = m.Weight;
                    }
                }
            }

            for (; _settled < Candidates && _first[_settled] <= _end - JustNamed; _settled++)
            {
                _settledContest += _peak[_settled];
                _settledMost = Math.Max(_settledMost, _peak[_settled]);
            }

            (_contest, _most) = (_settledContest, _settledMost);
            for (var k = _settled; k < Candidates; k++)
            {
                var contests = Contests(k);
                _contest += contests;
                _most = Math.Max(_most, contests);
            }
        }

        /// <summary>A neighbour named in the last moments is the next move; elsewhere it contests.</summary>
        private double Contests(int k) => k < _settled ? _peak[k] : NextContests * _peak[k];

        /// <summary>How many moves have evidence in the stretch.</summary>
        public int Candidates { get; private set; }

        /// <summary>The number of a move that has evidence in the stretch.</summary>
        public int Candidate(int k) => _named[k];

        /// <summary>No <see cref="Score"/> is above this.</summary>
        public double AtMost => MostOwn - (Contested * (_contest - _most));

        /// <summary>Score of the stretch if no bout runs in it.</summary>
        public double Idle()
        {
            var rests = _firstStop <= Math.Min(_end, _start + 15) ? 0.3 : 0;

            // Before the class opens there is talk, and less speaks against that.
            var busy = (0.05 * Math.Min(6, _at[_to].Doing - _at[_from].Doing)) + (0.012 * Math.Min(25, _end - _start));
            return rests - _lost - (_end <= _opening + Near ? BeforeOpening * busy : busy);
        }

        /// <summary>What speaks for the stretch as a bout of one of its moves, beside its shape.</summary>
        public double Score(int k)
        {
            var others = _contest - Contests(k);

            // A bout begins where its move is named, or at the start said next, hardly before.
            var late = Math.Max(0, Math.Min(40, _first[k] - _start - Near)) * LateWeight;
            return Math.Min(_own[k], MostOwn) - (Contested * others) - late + TypicalLength(_gentle[_named[k]], _end - _start);
        }

        public Segment Describe(int number, int i, int j)
        {
            var move = _moves[number];
            var (s, e) = (Edges[i], Edges[j]);
            var own = _evidence.Where(m => m.Move.Id == move.Id && m.EffectiveAt >= s - 1.5 && m.EffectiveAt < e - 1).ToList();
            var contest = _evidence.Where(m => m.Move.Id != move.Id && m.EffectiveAt >= s && m.EffectiveAt < e - JustNamed).Sum(m => m.Weight);
            return new Segment(
                move, s, e, MarksIn(_starts, s - Near, s + Near) > 0, MarksIn(_stops, e - Near, e + Near) > 0, contest, own);
        }

        /// <summary>What speaks for the stretch as a bout, whatever the move.</summary>
        public double Shape()
        {
            var (s, e) = (_start, _end);
            var length = e - s;
            var score = -0.55;
            var (from, to) = (_at[_from], _at[_to]);
            score += 0.7 * from.StartsHere;
            score += 0.6 * to.StopsHere;
            score -= 0.9 * Math.Clamp(to.StopsBefore - from.StopsUpTo, 0, 2);
            score -= 0.35 * Math.Clamp(to.StartsBefore - from.StartsUpTo, 0, 2);
            score -= 0.6 * Math.Clamp(to.AgainsBefore - from.AgainsUpTo, 0, 1);
            score += 0.07 * Math.Min(8, to.Doing - from.Doing);
            score += 0.008 * Math.Min(45, length);
            if (length < 12)
            {
                score -= (12 - length) * 0.08;
            }

            if (_dose.WorkSeconds is { } work && s >= _clockFrom)
            {
                var off = (length - work) / 4;
                score += 0.9 * Math.Exp(-off * off);
            }

            return score;
        }

        /// <summary>What speaks against a bout for each second over 75: few are longer, whether worked or stretched.</summary>
        private static double TypicalLength(bool gentle, double length) =>
            -Math.Max(0, length - 75) * (gentle ? 0.011 : 0.012);

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
                foreach (var m in _evidence.Where(m => m.EffectiveAt > m.At + 1))
                {
                    Add(m.EffectiveAt + work);
                }

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

        /// <summary>The strengths of the clear marks, added up along the clock.</summary>
        private sealed class Strengths
        {
            private const double Clear = 0.9;

            private readonly List<Mark> _marks;
            private readonly double[] _sums;

            public Strengths(IEnumerable<Mark> marks)
            {
                _marks = [.. marks.Where(m => m.Strength >= Clear)];
                _sums = new double[_marks.Count + 1];
                for (var i = 0; i < _marks.Count; i++)
                {
                    _sums[i + 1] = _sums[i] + _marks[i].Strength;
                }
            }

            /// <summary>Of all marks until this time, with it.</summary>
            public double UpTo(double at) => _sums[Clocked.From(_marks, Math.BitIncrement(at))];
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

        private static double MarksIn(List<Mark> marks, double from, double to)
        {
            var sum = 0.0;
            for (var i = Clocked.From(marks, from); i < marks.Count && marks[i].At <= to; i++)
            {
                sum += marks[i].Strength;
            }

            return sum;
        }
    }
}
