namespace AnyPace.Core.Reading;

/// <summary>What a phrase tells about the course of the class.</summary>
public enum MarkKind
{
    /// <summary>A bout begins: "here we go", "three, two, one".</summary>
    Start,

    /// <summary>A bout is over: "and rest", "shake it out".</summary>
    Stop,

    /// <summary>Work is going on: "keep going", "halfway", counting.</summary>
    Doing,

    /// <summary>The class is about to begin.</summary>
    Opening,
    WarmUp,
    WarmUpOver,
    CoolDown,
    SwitchSide,
    Left,
    Right,
    Round,

    /// <summary>The move just done goes again: "second set", "one more time".</summary>
    Again,
    Break,
    SignOff,
}

/// <param name="Token">First token of the phrase.</param>
/// <param name="At">When the phrase ends, in seconds: what it announces happens then.</param>
/// <param name="Strength">0..1.</param>
public readonly record struct Mark(MarkKind Kind, int Token, double At, double Strength);
