using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Lengths, measured from the bouts and phases, never from what was promised.</summary>
/// <param name="Class">Start of the first bout to the end of the last.</param>
/// <param name="Needed">What a member must set aside: class time, or for a demonstration the warm-up shown and the prescribed length, low end.</param>
/// <param name="NeededHigh">The high end where the dose is a range; equal to <paramref name="Needed"/> otherwise.</param>
/// <param name="Rest">Gaps between bouts inside the work.</param>
/// <param name="Density">Work / (work + rest) in the work phases, 0..1.</param>
public sealed record TimeFigures(
    Seconds Class, Seconds Needed, Seconds NeededHigh, Seconds WarmUp, Seconds Work, Seconds Rest, Seconds Break, Seconds CoolDown, Seconds Talk,
    double Density, Seconds LongestUnbroken, Seconds Left, Seconds Right);

/// <summary>Impact in both schools.</summary>
/// <param name="Highest">Top class with at least 10 s at it or above it.</param>
/// <param name="Prevailing">The class at or below which 90 % of the bout seconds lie.</param>
/// <param name="Jumps">Seconds with both feet leaving the floor (moderate and high).</param>
/// <param name="EveryJumpHasAWay">True where each high bout has a lower option in the recording; null without high bouts.</param>
/// <param name="Class">The one of the two that the studio's school decides by.</param>
public sealed record ImpactFigures(Impact Class, Impact Highest, Impact Prevailing, Seconds Jumps, bool? EveryJumpHasAWay, ImmutableArray<Seconds> PerClass);

/// <param name="Share">Of all muscle load in the session, 0..1.</param>
/// <param name="Load">Effort-weighted seconds.</param>
public sealed record MuscleShare(string Muscle, double Share, double Load);

/// <param name="Value">0..1.</param>
/// <param name="Weight">Of the score; all weights sum to 1.</param>
/// <param name="Reason">In plain words, with the measured amount.</param>
public sealed record DifficultyPart(string Name, double Value, double Weight, string Reason);

/// <param name="Level">1 beginner to 5 advanced.</param>
/// <param name="Score">0..100.</param>
/// <param name="Other">The score under the other school.</param>
public sealed record DifficultyFigures(int Level, double Score, ImmutableArray<DifficultyPart> Parts, double Other)
{
    public int OtherLevel => Difficulties.LevelOf(Other);
}

/// <param name="First">When the strain first comes.</param>
/// <param name="WaysOut">Options in the recording that may take it away.</param>
public sealed record StrainFigure(string Strain, Seconds Length, Seconds First, int WaysOut);

/// <param name="At">Seconds from the start.</param>
public readonly record struct EffortPoint(Seconds At, Met Met);

/// <summary>Energy for a body mass, as a range of +-20 %; an estimate.</summary>
public sealed record EnergyRange(Kilograms Mass, Kilocalories Low, Kilocalories High);

/// <summary>Everything measured of a session at one pace.</summary>
public sealed record MeasureSheet(
    Pace Pace,
    TimeFigures Time,
    ImpactFigures Impact,
    ImmutableArray<MuscleShare> Muscles,
    ImmutableArray<string> Focus,
    bool FullBody,
    ImmutableArray<EffortPoint> Effort,
    Seconds Light,
    Seconds Moderate,
    Seconds Vigorous,
    DifficultyFigures Difficulty,
    ImmutableArray<string> Positions,
    ImmutableArray<StrainFigure> Strains,
    EnergyRange Energy,
    BalanceFigures Balance,
    PlaceFigures Place,
    CompletenessFigures Completeness);

/// <summary>A session measured at the three paces.</summary>
public sealed record SessionMeasures(MeasureSheet Eased, MeasureSheet AsLed, MeasureSheet Pushed, CoachingFigures Coaching, MeasureSettings Settings)
{
    public MeasureSheet At(Pace pace) => pace switch
    {
        Pace.Eased => Eased,
        Pace.Pushed => Pushed,
        _ => AsLed,
    };

    /// <summary>The levels from the easiest way through to the hardest.</summary>
    public (int Low, int High) Band => (Math.Min(Eased.Difficulty.Level, AsLed.Difficulty.Level), Math.Max(Pushed.Difficulty.Level, AsLed.Difficulty.Level));
}
