namespace AnyPace.Core.Measures;

/// <summary>What decides a session's impact class.</summary>
public enum ImpactSchool
{
    /// <summary>The top class with at least ten seconds in total.</summary>
    Highest,

    /// <summary>The class at or below which nine tenths of the seconds lie.</summary>
    Prevailing,
}

/// <summary>What decides a session's level.</summary>
public enum LevelSchool
{
    HardestFiveMinutes,
    WholeClass,
}

/// <summary>When the lexicon's own neighbour stands in for an option.</summary>
public enum Neighbours
{
    /// <summary>Where the coach offers an easier or harder way without naming a move.</summary>
    WhenOffered,

    /// <summary>For every bout without an option of its own.</summary>
    Always,
}

/// <summary>Weights of the difficulty components. They need not sum to 1: the score divides by their sum.</summary>
public sealed record DifficultyWeights(
    double Effort, double Density, double Unbroken, double Strength, double Impact, double Balance, double Skill, double UpAndDown)
{
    /// <summary>The measures sheet's defaults.</summary>
    public static readonly DifficultyWeights Usual = new(0.25, 0.10, 0.10, 0.20, 0.10, 0.08, 0.10, 0.07);

    public double Sum => Effort + Density + Unbroken + Strength + Impact + Balance + Skill + UpAndDown;

    /// <summary>True where every weight is 0 to 1 and not all are nothing.</summary>
    public bool Hold => new[] { Effort, Density, Unbroken, Strength, Impact, Balance, Skill, UpAndDown }.All(w => w is >= 0 and <= 1) && Sum > 0;
}

/// <summary>A studio's choices where practitioners disagree.</summary>
public sealed record MeasureSettings(ImpactSchool Impact, LevelSchool Level, Neighbours Neighbours, DifficultyWeights Weights)
{
    public static readonly MeasureSettings Usual = new(ImpactSchool.Highest, LevelSchool.HardestFiveMinutes, Neighbours.WhenOffered, DifficultyWeights.Usual);
}
