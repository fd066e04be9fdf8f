namespace AnyPace.Core.Reading;

/// <summary>One word of speech at its own time.</summary>
/// <param name="Text">Lower case, digits for numbers ("45" for "forty five").</param>
/// <param name="At">Seconds from the start; placed inside its cue by position.</param>
/// <param name="Number">Its value where it is a number.</param>
/// <param name="Stops">True where a full stop, question or exclamation mark follows.</param>
/// <param name="Pauses">True where a comma or the like follows; no name runs across it.</param>
/// <param name="Cue">Index of its cue among the cleaned cues.</param>
public readonly record struct Token(string Text, string Stem, double At, int? Number, bool Stops, bool Pauses, int Cue);
