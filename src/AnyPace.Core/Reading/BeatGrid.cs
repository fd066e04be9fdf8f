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
    private readonly double _work;
    private readonly double _rest;

    private BeatGrid(List<(double At, double Strength)> votes, double work, double rest) => (_votes, _work, _rest) = (votes, work, rest);

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
        return new BeatGrid(votes, work, rest);
    }

    /// <summary>When the next bout begins, for a moment that lies in a rest or in the last breaths of a bout; null where no beat is clear or work is under way.</summary>
    public double? StartAfter(double at)
    {
        const double lastBreaths = 2.5;
        if (PhaseAt(at) is not { } phase)
        {
            return null;
        }

        var into = Into(at, phase);
        return into > _work - lastBreaths ? at + Period - into : null;
    }

    /// <summary>The moment within one period at which bouts begin around here, by the votes near by.</summary>
    private double? PhaseAt(double at)
    {
        var from = Clocked.From(_votes, at - (Reach * Period), static v => v.At);
        var near = new List<(double Phase, double Weight)>();
        for (var i = from; i < _votes.Count && _votes[i].At <= at + (Reach * Period); i++)
        {
            var away = Math.Abs(_votes[i].At - at) / Period;
            near.Add((Into(_votes[i].At, 0), _votes[i].Strength / (1 + (0.35 * away))));
        }

        var best = (Phase: 0.0, Sum: 0.0);
        foreach (var (phase, _) in near)
        {
            var (sum, shift) = (0.0, 0.0);
            foreach (var (other, weight) in near)
            {
                var off = Apart(other, phase);
                if (Math.Abs(off) <= Tolerance)
                {
                    sum += weight;
                    shift += off * weight;
                }
            }

            if (sum > best.Sum)
            {
                best = (phase + (shift / sum), sum);
            }
        }

        var against = near.Where(v => Math.Abs(Apart(v.Phase, best.Phase)) > 2 * Tolerance).Sum(v => v.Weight);
        return best.Sum >= Needed && best.Sum > against ? best.Phase : null;
    }

    private double Into(double at, double phase)
    {
        var into = (at - phase) % Period;
        return into < 0 ? into + Period : into;
    }

    /// <summary>How far one moment of the period is from another, the shorter way round.</summary>
    private double Apart(double a, double b)
    {
        var off = Into(a, b);
        return off > Period / 2 ? off - Period : off;
    }
}
