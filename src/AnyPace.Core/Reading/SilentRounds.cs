using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// "You know the moves now": rounds after the first, in which hardly anything is named and few starts are called. The moves of the first round and the said beat are known,
/// so all places of the later rounds are laid over the recording at once, where most speaks for them: starts and stops that are heard, what is named or told in a place,
/// bouts that were read, and the breaks that part the rounds. A place of its own could not be told.
/// </summary>
/// <remarks>The weights below are ours, set on our own captions; they have no source outside the project.</remarks>
internal static class SilentRounds
{
    /// <summary>Seconds by which a place may come early or late after the one before.</summary>
    private const int Drift = 6;

    /// <summary>The longest break between two rounds, in seconds beyond the rest.</summary>
    private const int LongestBreak = 200;

    /// <summary>Rounds that are looked for where nobody says how many there are.</summary>
    private const int MostRounds = 6;

    /// <summary>What has to speak for a place of a round that is said to follow, and for one that is not.</summary>
    private const double Needs = 0.05;
    private const double NeedsUnsaid = 0.75;

    /// <summary>What has to speak for a round besides, and what a farewell before a place takes away.</summary>
    private const double NeedsRound = 0.4;
    private const double Farewell = 1;
    private const double StopCounts = 0.8;
    private const double Named = 0.8;
    private const double NamedClearly = 1.1;
    private const double Read = 1.4;
    private const double OtherRead = 1.2;
    private const double OverRead = 0.3;
    private const double StretchRead = 0.6;
    private const double OtherNamed = 0.8;
    private const double Told = 0.12;
    private const double MostTold = 0.7;
    private const double LeastTold = -0.1;
    private const double DriftCosts = 0.02;
    private const double BreakCosts = 0.3;
    private const double BreakSaid = 0.7;
    private const double Unfinished = 0.5;

    /// <summary>What is left of a place, in seconds, to be a bout.</summary>
    private const double Shortest = 6;

    /// <summary>How sure: the place in the round is nearly all there is to go by.</summary>
    private const double Confidence = 0.45;

    public static ImmutableArray<Bout> Fill(
        ImmutableArray<Bout> bouts, Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions, DescriptionLikeness.Heard heard, SaidDose dose, MoveLexicon lexicon)
    {
        if (dose is not { WorkSeconds: >= 15 and { } work, RestSeconds: { } rest, Sets: null, Ladder: false, Tabata: false } || dose.Rounds is { High: 1 })
        {
            return bouts;
        }

        var clock = new Clock(speech, marks, mentions, heard, lexicon, work, rest);
        var end = 0.0;
        while (FirstRound(bouts, marks, dose, lexicon, work, rest, end) is { } round)
        {
            var last = round[^1]![0].Span.Start.Value;
            var laid = clock.Lay([.. round.Select(p => p?[0])], [.. bouts.Where(b => b.Span.Start.Value > last + 1)], last, (dose.Rounds?.High ?? 1) - 1);
            var said = dose is { Rounds: not null } or { MovesPerRound: not null }
                || (laid.Count > 0 && Clocked.Between(marks, last + (0.5 * work), laid[0].At + 1).Any(m => m.Kind is MarkKind.Round or MarkKind.Break));
            var added = new List<Bout>();
            foreach (var (place, at) in said ? laid : [])
            {
                if (round[place] is { } like && !bouts.Any(b => !RunsOver(b, work) && b.Span.Start.Value < at + (0.6 * work) && b.Span.End.Value > at + (0.25 * work))
                    && !bouts.Any(b => RunsOver(b, work) && b.MoveId == like[0].MoveId && Math.Abs(b.Span.Start.Value - at) < (0.5 * work)))
                {
                    added.AddRange(LaterRounds.MovedTo(like, at, speech.End.Value, 'q', Confidence));
                }
            }

            if (added.Count > 0)
            {
                bouts = Between([.. bouts.SelectMany(b => RunsOver(b, work) ? Left(b, added) : [b]).Concat(added).OrderBy(b => b.Span.Start)], [.. added]);
            }

            end = laid.Count > 0 ? laid[^1].At + 1 : last + 1;
        }

        return bouts;
    }

    /// <summary>All bouts, those that were added cut to what the others leave them.</summary>
    private static ImmutableArray<Bout> Between(List<Bout> all, HashSet<Bout> added) =>
    [
        .. all.Select((bout, i) => !added.Contains(bout) ? bout : bout with
        {
            Span = Span.Of(
                i > 0 ? Math.Max(bout.Span.Start.Value, all[i - 1].Span.End.Value) : bout.Span.Start.Value,
                i + 1 < all.Count && !added.Contains(all[i + 1]) ? Math.Min(bout.Span.End.Value, all[i + 1].Span.Start.Value) : bout.Span.End.Value),
        }).Where(b => b.Span.Length.Value >= Shortest),
    ];

    /// <summary>True for a bout that was read on into places that nobody named.</summary>
    private static bool RunsOver(Bout bout, double work) => bout.Span.Length.Value > 1.4 * work;

    /// <summary>What is left of a bout that ran over, once others have their places: it ends where the first of them begins, or is gone where one of its own is among them.</summary>
    private static IEnumerable<Bout> Left(Bout bout, List<Bout> added)
    {
        var over = added.Where(a => a.Span.Overlap(bout.Span).Value > 0).ToList();
        var first = over.Select(a => a.Span.Start.Value).DefaultIfEmpty(double.PositiveInfinity).Min();
        if (first >= bout.Span.End.Value)
        {
            return [bout];
        }

        return over.Exists(a => a.MoveId == bout.MoveId) || first <= bout.Span.Start.Value + Drift ? [] : [bout with { Span = Span.Of(bout.Span.Start.Value, first) }];
    }

    /// <summary>
    /// The places of the first round after a time: those that follow each other at the beat, each of another move, up to a break or as many as are said; null for one that was not
    /// read. Null where there is no such round.
    /// </summary>
    private static List<List<Bout>?>? FirstRound(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, SaidDose dose, MoveLexicon lexicon, double work, double rest, double after)
    {
        const int fewest = 3;
        const double onBeat = 0.25;
        var beat = work + rest;
        var places = LaterRounds.Places([.. bouts.Where(b => !lexicon[b.MoveId].IsGentle && b.Span.Start.Value >= after)], work);
        for (var first = 0; first < places.Count; first++)
        {
            var round = new List<List<Bout>?>();
            var read = 0;
            for (var i = first; i < places.Count && round.Count != dose.MovesPerRound; i++, read++)
            {
                if (round.Count > 0)
                {
                    // One place that was not read leaves a hole of one beat.
                    var beats = (places[i][0].Span.Start - round[^1]![0].Span.Start).Value / beat;
                    if (Math.Abs(beats - Math.Round(beats)) > onBeat || Math.Round(beats) is < 1 or > 2 || round.Exists(p => p?[0].MoveId == places[i][0].MoveId) || (Math.Round(beats) > 1 && round.Count + 2 > (dose.MovesPerRound ?? 0)))
                    {
                        break;
                    }

                    if (Math.Round(beats) > 1)
                    {
                        round.Add(null);
                    }
                }

                round.Add(places[i]);
            }

            if (read >= fewest ? dose.MovesPerRound is null || round.Count == dose.MovesPerRound : round.Count == 2 && read == 2 && dose.MovesPerRound == 2)
            {
                return round;
            }

            first += Math.Max(0, read - 1);
        }

        return null;
    }

    /// <summary>What is heard along the clock, and where it puts the places of rounds.</summary>
    private sealed class Clock(
        Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions, DescriptionLikeness.Heard heard, MoveLexicon lexicon, double work, double rest)
    {
        private const int Near = 5;

        /// <summary>The best way to lay rounds like this one after a time.</summary>
        /// <param name="round">The moves of a round, in their order.</param>
        /// <param name="read">The bouts that were read after it.</param>
        /// <param name="last">When the last of the round began.</param>
        /// <param name="rounds">How many rounds are said to follow; more are laid only where more speaks for them.</param>
        /// <returns>Which place of the round each is, and when it begins; none where not enough speaks for any.</returns>
        public List<(int Place, double At)> Lay(List<Bout?> round, List<Bout> read, double last, int rounds)
        {
            var (moves, beat) = (round.Count, (int)Math.Round(work + rest));

            // No further than all rounds can reach, so that a long recording costs no more a minute than a short one.
            var (from, to) = ((int)Math.Round(last), (int)Math.Min(speech.End.Value, last + (MostRounds * ((moves * beat) + LongestBreak))));
            if (to - from < work)
            {
                return [];
            }

            // For each place in turn, round after round, the best score of all ways on which it begins at a second; and the second before.
            var says = Says(round, [.. read.Where(b => b.Span.Start.Value < to)], from, to);
            var breaks = BreaksUpTo(from, to);
            var steps = new List<(double[] Score, int[] Before)>();
            var (best, bestStep, bestAt) = (0.0, -1, 0);
            var before = new double[to - from + 1];
            Array.Fill(before, double.NegativeInfinity);
            before[0] = 0;
            for (var step = 0; step < (MostRounds - 1) * moves; step++)
            {
                var place = step % moves;
                var (score, back) = (new double[to - from + 1], new int[to - from + 1]);
                Array.Fill(score, double.NegativeInfinity);
                for (var t = beat - Drift; t <= to - from; t++)
                {
                    var (most, at) = place == 0 ? AfterBreak(before, breaks, t, beat) : AtBeat(before, t, beat);
                    if (most > double.NegativeInfinity)
                    {
                        (score[t], back[t]) = (most + says[place][t] - (step < rounds * moves ? Needs : NeedsUnsaid) - (place == 0 ? NeedsRound : 0), at);
                        var whole = score[t] - (place == moves - 1 ? 0 : Unfinished);
                        if (whole > best)
                        {
                            (best, bestStep, bestAt) = (whole, step, t);
                        }
                    }
                }

                steps.Add((score, back));
                before = score;
            }

            var laid = new List<(int, double)>();
            for (var (step, t) = (bestStep, bestAt); step >= 0; (step, t) = (step - 1, steps[step].Before[t]))
            {
                laid.Add((step % moves, from + t));
            }

            laid.Reverse();
            return laid;
        }

        private static (double, int) AtBeat(double[] before, int t, int beat)
        {
            var (most, at) = (double.NegativeInfinity, 0);
            for (var off = -Drift; off <= Drift; off++)
            {
                var then = t - beat + off;
                if (then >= 0 && then < t && before[then] - (DriftCosts * off * off) is var score && score > most)
                {
                    (most, at) = (score, then);
                }
            }

            return (most, at);
        }

        /// <summary>How many rounds and breaks are called up to each second.</summary>
        private int[] BreaksUpTo(int from, int to)
        {
            var breaks = new int[to - from + 1];
            foreach (var mark in Clocked.Between(marks, from, to).Where(m => m.Kind is MarkKind.Round or MarkKind.Break))
            {
                breaks[Math.Min(breaks.Length - 1, (int)Math.Ceiling(mark.At) - from)]++;
            }

            for (var t = 1; t < breaks.Length; t++)
            {
                breaks[t] += breaks[t - 1];
            }

            return breaks;
        }

        private static (double, int) AfterBreak(double[] before, int[] breaks, int t, int beat)
        {
            var (most, at) = (double.NegativeInfinity, 0);
            for (var then = Math.Max(0, t - beat - LongestBreak); then <= t - beat + Drift; then++)
            {
                if (before[then] == double.NegativeInfinity)
                {
                    continue;
                }

                var said = breaks[Math.Min(breaks.Length - 1, t + Near)] > breaks[Math.Min(breaks.Length - 1, then + Near)];
                var score = before[then] - (t - then > beat + Drift ? BreakCosts : 0) + (said ? BreakSaid : 0);
                if (score > most)
                {
                    (most, at) = (score, then);
                }
            }

            return (most, at);
        }

        /// <summary>What speaks for each place of the round to begin at each second.</summary>
        private double[][] Says(List<Bout?> round, List<Bout> read, int from, int to)
        {
            var farewell = marks.Where(m => m.Kind == MarkKind.SignOff && m.At > from).Select(m => m.At).FirstOrDefault(double.PositiveInfinity);
            var told = round.Select(b => b is null ? null : heard.UpToEach(lexicon[b.MoveId])).ToArray();
            var says = round.Select(_ => new double[to - from + 1]).ToArray();
            for (var t = 0; t <= to - from; t++)
            {
                var at = (double)(from + t);
                var called = at + work > to + Near ? double.NegativeInfinity
                    : CalledAt(MarkKind.Start, at) + (StopCounts * CalledAt(MarkKind.Stop, at + work)) - (farewell < at ? Farewell : 0);
                var (first, end) = (Clocked.From(speech.Tokens, at - Near), Clocked.From(speech.Tokens, at + (0.8 * work)));
                for (var place = 0; place < round.Count; place++)
                {
                    says[place][t] = called + (round[place] is { } of ? NamedIn(of.MoveId, at) + ReadIn(of.MoveId, read, at) + ToldIn(told, place, first, end) : 0);
                }
            }

            return says;
        }

        /// <summary>The strongest start or stop near a time, the less the further off.</summary>
        private double CalledAt(MarkKind kind, double at)
        {
            var most = 0.0;
            for (var i = Clocked.From(marks, at - Near); i < marks.Count && marks[i].At <= at + Near; i++)
            {
                if (marks[i].Kind == kind)
                {
                    most = Math.Max(most, marks[i].Strength * (1 - (Math.Abs(marks[i].At - at) / (2 * Near))));
                }
            }

            return most;
        }

        private double NamedIn(string id, double at)
        {
            var (own, other) = (0.0, 0.0);
            foreach (var m in Clocked.Between(mentions, at - rest - Near, at + (0.7 * work)))
            {
                if (m.Move.Id == id)
                {
                    own = Math.Max(own, m.Weight >= 0.5 ? NamedClearly : m.Role is Role.Negated or Role.Compared ? 0 : Named);
                }
                else if (!m.Weak && !m.Move.IsGentle && m.Weight >= 0.6 && m.At < at + (0.5 * work))
                {
                    other = OtherNamed;
                }
            }

            return own > 0 ? own : -other;
        }

        private double ReadIn(string id, List<Bout> read, double at)
        {
            var sum = 0.0;
            foreach (var bout in read)
            {
                var begins = bout.Span.Start.Value;
                if (bout.MoveId == id && Math.Abs(begins - at) <= 2 * Near)
                {
                    sum = Math.Max(sum, Read * (1 - (Math.Abs(begins - at) / (4 * Near))));
                }
                else if (bout.MoveId != id && begins < at + (0.5 * work) && bout.Span.End.Value > at + (0.4 * work))
                {
                    return RunsOver(bout, work) ? -OverRead : lexicon[bout.MoveId].IsGentle ? -StretchRead : -OtherRead;
                }
            }

            return sum;
        }

        /// <summary>How far the words of a place are rather said of its move than of the others in the round.</summary>
        private static double ToldIn(double[]?[] told, int place, int first, int end)
        {
            var (own, other) = (0.0, 0.0);
            for (var i = 0; i < told.Length; i++)
            {
                var says = told[i] is { } sums ? sums[end] - sums[first] : 0;
                (own, other) = i == place ? (says, other) : (own, Math.Max(other, says));
            }

            return Math.Clamp(Told * (own - other), LeastTold, MostTold);
        }
    }
}
