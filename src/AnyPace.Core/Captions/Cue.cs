using AnyPace.Core.Sessions;

namespace AnyPace.Core.Captions;

/// <summary>One timed piece of caption text.</summary>
/// <param name="End">Null where the file does not say; the next cue's start then ends it.</param>
/// <param name="Line">Where it stands in the file, from 1.</param>
public sealed record Cue(Seconds Start, Seconds? End, string Text, int Line);

/// <summary>The caption formats that are read.</summary>
public enum CaptionFormat
{
    WebVtt,
    SubRip,

    /// <summary>Lines that begin with <c>[m:ss]</c> or <c>[h:mm:ss]</c>.</summary>
    Plain,
}

/// <summary>A caption file as read.</summary>
public sealed record CaptionFile(CaptionFormat Format, IReadOnlyList<Cue> Cues);
