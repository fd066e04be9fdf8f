namespace AnyPace.Core.Captions;

/// <summary>A file that can't be read as captions: which line, what is wrong with it, what was expected.</summary>
public sealed class CaptionException(int line, string reason, string expected)
    : Exception($"Line {line}: {reason} Expected {expected}.")
{
    /// <summary>From 1.</summary>
    public int Line { get; } = line;

    public string Reason { get; } = reason;

    public string Expected { get; } = expected;
}
