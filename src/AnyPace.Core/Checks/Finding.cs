using AnyPace.Core.Sessions;

namespace AnyPace.Core.Checks;

public enum Severity
{
    Info,
    Warning,
    Problem,
}

/// <summary>Something to settle before publishing.</summary>
/// <param name="Rule">Stable id of the rule.</param>
/// <param name="At">Where in the recording, or null for the whole.</param>
/// <param name="Message">What is the matter, in plain words with the figures.</param>
/// <param name="Do">What to do about it.</param>
public sealed record Finding(string Rule, Severity Severity, Seconds? At, string Message, string Do)
{
    /// <summary>Same rule, same moment within five seconds, same figures: a decision on it still holds. Anything else is a new finding.</summary>
    public string Fingerprint => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Rule}|{(At is { } at ? Math.Round(at.Value / 5) * 5 : -1):0}|{Message}");
}
