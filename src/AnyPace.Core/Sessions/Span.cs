namespace AnyPace.Core.Sessions;

/// <summary>A stretch of the recording, from its first moment up to, not including, its last.</summary>
public readonly record struct Span(Seconds Start, Seconds End)
{
    public static Span Of(double start, double end) => new(new Seconds(start), new Seconds(end));

    /// <summary>Never negative: a span whose end lies before its start is empty.</summary>
    public Seconds Length => Seconds.Max(Seconds.Zero, End - Start);

    public Seconds Middle => new((Start.Value + End.Value) / 2);

    public bool Contains(Seconds at) => at >= Start && at < End;

    /// <summary>How long two spans run together.</summary>
    public Seconds Overlap(Span other) =>
        Seconds.Max(Seconds.Zero, Seconds.Min(End, other.End) - Seconds.Max(Start, other.Start));
}
