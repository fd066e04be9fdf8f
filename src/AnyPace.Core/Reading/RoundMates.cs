namespace AnyPace.Core.Reading;

/// <summary>
/// What lies at the same place of the other rounds of a class: the shift in time is sought by which most of what is done is done again. In a class that keeps time a move that was clearly
/// named in one round is told by its place in the others, however little is said there.
/// </summary>
/// <remarks>The numbers are ours.</remarks>
internal sealed class RoundMates
{
    /// <summary>Seconds of the shortest round.</summary>
    private const double Shortest = 60;

    /// <summary>So many seconds have to be done again, and so much of what lies upon something has to lie upon the same.</summary>
    private const double LeastSeconds = 60;
    private const double LeastShare = 0.35;

    /// <summary>A stretch lies upon another if they share so much of the shorter.</summary>
    private const double Shared = 0.5;

    private readonly IReadOnlyList<Segment> _segments;
    private readonly Segment[][] _mates;

    public RoundMates(IReadOnlyList<Segment> segments)
    {
        _segments = segments;
        var best = LeastSeconds;
        double? round = null;
        foreach (var shift in Shifts())
        {
            var (same, any) = Again(shift);
            if (same > best && same >= LeastShare * any)
            {
                (best, round, Share) = (same, shift, same / any);
            }
        }

        _mates = [.. segments.Select(s => round is { } seconds ? MatesOf(s, seconds).ToArray() : [])];
    }

    /// <summary>How much of what lies upon something in another round lies upon the same move, 0..1; null where the class has no rounds.</summary>
    public double? Share { get; }

    /// <summary>The stretches at the place of one in the rounds before and after it.</summary>
    public IReadOnlyList<Segment> Of(int index) => _mates[index];

    private IEnumerable<Segment> MatesOf(Segment segment, double shift) => _segments.Where(mate =>
    {
        var rounds = Math.Round((mate.Start - segment.Start) / shift);
        return rounds != 0 && Overlap(segment, mate, rounds * shift) > Shared * Math.Min(segment.End - segment.Start, mate.End - mate.Start);
    });

    /// <summary>The shifts that lay the beginning of a stretch upon another of its move, each once.</summary>
    private IEnumerable<double> Shifts() => _segments.Index().GroupBy(s => s.Item.Move.Id)
        .SelectMany(same => same.SelectMany(a => same.Where(b => b.Index > a.Index + 1).Select(b => Math.Round(b.Item.Start - a.Item.Start)))).Where(s => s >= Shortest).Distinct().Order();

    /// <summary>Seconds that lie upon the same move if all is shifted, and seconds that lie upon any.</summary>
    private (double Same, double Any) Again(double shift)
    {
        var (same, any, first) = (0.0, 0.0, 0);
        foreach (var segment in _segments)
        {
            while (first < _segments.Count && _segments[first].End <= segment.Start + shift)
            {
                first++;
            }

            for (var other = first; other < _segments.Count && _segments[other].Start < segment.End + shift; other++)
            {
                var overlap = Math.Max(0, Overlap(segment, _segments[other], shift));
                any += overlap;
                same += _segments[other].Move.Id == segment.Move.Id ? overlap : 0;
            }
        }

        return (same, any);
    }

    private static double Overlap(Segment segment, Segment other, double shift) => Math.Min(segment.End + shift, other.End) - Math.Max(segment.Start + shift, other.Start);
}
