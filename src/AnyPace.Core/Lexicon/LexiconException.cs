namespace AnyPace.Core.Lexicon;

/// <summary>The lexicon's files contradict themselves; the message names file, move and fault.</summary>
public sealed class LexiconException(string message) : Exception(message);
