namespace AnyPace.Core.Reading;

/// <summary>From where a warm-up or stretches are called to where they are over: no clock rules there, and most of what is said tells what to do.</summary>
internal sealed class Loosening
{
    /// <summary>A warm-up is called in this first share of a class, stretches after the second.</summary>
    internal const double WarmUpBefore = 0.4;
    internal const double StretchesAfter = 0.45;

    /// <summary>Seconds: how long a warm-up may be until something else is said to begin, and how soon after its call it can not be over yet.</summary>
    internal const double LongestWarmUp = 400;
    private const double Shortest = 20;

    private readonly List<(double From, double To)> _spans;

    private Loosening(List<(double From, double To)> spans) => _spans = spans;

    public static Loosening In(Speech speech, IReadOnlyList<Mark> marks)
    {
        var (end, spans) = (speech.End.Value, new List<(double, double)>());
        foreach (var mark in marks)
        {
            if (mark.Kind == MarkKind.WarmUp && mark.At < WarmUpBefore * end)
            {
                var over = marks.Where(m => m.Kind == MarkKind.WarmUpOver && m.At > mark.At + Shortest).Select(m => m.At).FirstOrDefault(double.PositiveInfinity);
                spans.Add((mark.At, Math.Min(over, mark.At + LongestWarmUp)));
            }
            else if (mark is { Kind: MarkKind.CoolDown, Strength: >= 1 } && mark.At > StretchesAfter * end)
            {
                spans.Add((mark.At, end));
            }
        }

        return new Loosening(spans);
    }

    public bool Covers(double at)
    {
        // A plain loop: it is asked for every third word.
        foreach (var (from, to) in _spans)
        {
            if (at >= from && at < to)
            {
                return true;
            }
        }

        return false;
    }
}
