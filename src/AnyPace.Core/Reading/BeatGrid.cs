namespace AnyPace.Core.Reading;

/// <summary>
/// The beat of a timed class around a moment: where work and rest have said lengths, each start and stop that is heard tells when the others are,
/// also those that nobody says. The beat is taken anew at every moment, since breaks shift it.
/// </summary>
internal sealed class BeatGrid
{
    /// <summary>Starts and stops vote for a beat that lies within this many seconds of theirs.</summary>
    private const double Tolerance = 3.5;

    /// <summary>Periods, on either side, from which starts and stops have a vote.</summary>
    private const double Reach = 4.2;

    /// <summary>Votes a beat needs: two sure marks nearby, or three further off.</summary>
    private const double Needed = 1.25;

    /// <summary>A rest longer than this, in seconds, is not kept by the clock alone: something is always said at its end.</summary>
    public const double LongestRest = 35;

    private readonly List<(double At, double Strength)> _votes;

    /// <summary>The moment of each vote within one period.</summary>
    private readonly double[] _phases;

    /// <summary>For each vote the votes around it for the same moment, itself among them, and how far each is off.</summary>
    private readonly (int Vote, double Off)[][] _alike;
    private readonly double _firstStart;
    private readonly double _work;
    private readonly double _rest;

    private BeatGrid(List<(double At, double Strength)> votes, double firstStart, double work, double rest)
    {
        (_votes, _firstStart, _work, _rest) = (votes, firstStart, work, rest);
        _phases = [.. votes.Select(v => Into(v.At, 0))];
        _alike = [.. votes.Select((v, i) => Alike(i, Around(v.At, 2 * Reach)))];
    }

    private (int Vote, double Off)[] Alike(int vote, (int First, int End) around)
    {
        var alike = new List<(int, double)>();
        for (var other = around.First; other < around.End; other++)
        {
            if (Apart(_phases[other], _phases[vote]) is var off && Math.Abs(off) <= Tolerance)
            {
                alike.Add((other, off));
            }
        }

        return [.. alike];
    }

    private double Period => _work + _rest;

    /// <summary>A grid, or null where work and rest have no said length or the rest is too long to be kept by the clock alone.</summary>
    public static BeatGrid? Of(IReadOnlyList<Mark> marks, SaidDose dose)
    {
        const double shortest = 5;
        if (dose is not { WorkSeconds: >= 15 and { } work, RestSeconds: >= shortest and <= LongestRest and { } rest })
        {
            return null;
        }

        var votes = new List<(double, double)>();
        foreach (var mark in marks)
        {
            if (mark.Strength < 0.5)
            {
                continue;
            }

            if (mark.Kind == MarkKind.Start)
            {
                votes.Add((mark.At, mark.Strength));
            }
            else if (mark.Kind == MarkKind.Stop)
            {
                votes.Add((mark.At - work, mark.Strength * (mark.Strength >= 0.9 ? 1 : 0.5)));
            }
        }

        votes.Sort();
        var first = marks.Where(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 }).Select(m => m.At).FirstOrDefault(double.NegativeInfinity);
        return new BeatGrid(votes, first, work, rest);
    }

    /// <summary>When the next bout begins, for a moment that lies in a rest or in the last breaths of a bout; null where no beat is clear or work is under way.</summary>
    public double? StartAfter(double at)
    {
        const double lastBreaths = 2.5;

        // The clock does not run in the warm-up before: the first start that is said is at most one period late.
        if (at < _firstStart - Period || PhaseAt(at) is not { } phase)
        {
            return null;
        }

        var into = Into(at, phase);
        return into > _work - lastBreaths ? at + Period - into : null;
    }

    /// <summary>The moment within one period at which bouts begin around here, by the votes near by.</summary>
    private double? PhaseAt(double at)
    {
        var (first, end) = Around(at, Reach);
        if (first == end)
        {
            return null;
        }

        // Plain loops: this is asked for most names of a timed class.
        Span<double> weights = end - first <= 256 ? stackalloc double[end - first] : new double[end - first];
        for (var i = first; i < end; i++)
        {
            weights[i - first] = _votes[i].Strength / (1 + (0.35 * (Math.Abs(_votes[i].At - at) / Period)));
        }

        var best = (Phase: 0.0, Sum: 0.0);
        for (var vote = first; vote < end; vote++)
        {
            var (sum, shift) = (0.0, 0.0);
            foreach (var (other, off) in _alike[vote])
            {
                if (other >= first && other < end)
                {
                    sum += weights[other - first];
                    shift += off * weights[other - first];
                }
            }

            if (sum > best.Sum)
            {
                best = (_phases[vote] + (shift / sum), sum);
            }
        }

        var against = 0.0;
        for (var i = first; i < end; i++)
        {
            against += Math.Abs(Apart(_phases[i], best.Phase)) > 2 * Tolerance ? weights[i - first] : 0;
        }

        return best.Sum >= Needed && best.Sum > against ? best.Phase : null;
    }

    /// <summary>The votes that lie within so many periods of a moment: the first of them, and the first after them.</summary>
    private (int First, int End) Around(double at, double periods)
    {
        var first = Clocked.From(_votes, at - (periods * Period), static v => v.At);
        var end = first;
        while (end < _votes.Count && _votes[end].At <= at + (periods * Period))
        {
            end++;
        }

        return (first, end);
    }

    private double Into(double at, double phase)
    {
        var into = (at - phase) % Period;
        return into < 0 ? into + Period : into;
    }

    /// <summary>How far one moment of the period is from another, the shorter way round; both are within it, give or take the tolerance.</summary>
    private double Apart(double a, double b)
    {
        var off = a - b;
        return off > Period / 2 ? off - Period : off <= -Period / 2 ? off + Period : off;
    }
}
