using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Where a class has rests by the clock, nothing is done from a stop that is called for sure to the start that ends the rest: what is named there comes later, shakes out what went before, or is a joke.
/// </summary>
internal static class Rests
{
    /// <summary>Seconds that a bout may begin before and after the stop, and end away from the start, to lie between them.</summary>
    private const double Before = 2;
    private const double After = 6;
    private const double AtStart = 3;

    /// <summary>A mark so strong is called for sure.</summary>
    private const double Sure = 0.9;

    /// <summary>Seconds by which a rest may be overrun.</summary>
    private const double Overrun = 5;

    /// <summary>Seconds of rest from which anything can be told in it.</summary>
    private const double LeastRest = 5;

    public static IReadOnlyList<Segment> Kept(IReadOnlyList<Segment> segments, IReadOnlyList<Mark> marks, SaidDose dose) =>
        dose is { Timed: true, RestSeconds: > LeastRest and { } rest } ? [.. segments.Where(s => !IsRest(s, marks, rest))] : segments;

    /// <summary>Bouts that seem to begin in the rest before them, and so to last longer than the work is said to: they begin at the start that is called.</summary>
    public static ImmutableArray<Bout> Begun(ImmutableArray<Bout> bouts, IReadOnlyList<Mark> marks, SaidDose dose)
    {
        return dose is { KeepsTime: true, WorkSeconds: { } work, RestSeconds: > LeastRest and { } rest } ? [.. bouts.Select(b => Late(b) is { } at ? b with { Span = Span.Of(at, b.Span.End.Value) } : b)] : bouts;

        double? Late(Bout bout)
        {
            var (start, end) = (bout.Span.Start.Value, bout.Span.End.Value);
            return end - start <= work + Overrun ? null
                : Clocked.Between(marks, start + LeastRest, Math.Min(start + rest + Overrun, end)).Where(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 } && Math.Abs(end - m.At - work) < Overrun).Select(m => (double?)m.At).LastOrDefault();
        }
    }

    private static bool IsRest(Segment segment, IReadOnlyList<Mark> marks, double rest)
    {
        var (start, end) = (segment.Start, segment.End);
        return end - start <= rest + Overrun
            && Clocked.Between(marks, start - After, start + Before).Any(m => m is { Kind: MarkKind.Stop, Strength: >= Sure })
            && Clocked.Between(marks, end - AtStart, end + AtStart).Any(IsStart)
            && !Clocked.Between(marks, start - AtStart, end - AtStart).Any(IsStart);
    }

    private static bool IsStart(Mark mark) => mark is { Kind: MarkKind.Start, Strength: >= Sure };
}
