using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>The numbers behind the measures, each with its source. Where none is named the number is the studio's own default.</summary>
public static class Constants
{
    /// <summary>A prime mover counts in full, a helper half, a stabiliser a quarter (house rule of the measures sheet).</summary>
    public const double PrimeRole = 1;
    public const double HelperRole = 0.5;
    public const double StabiliserRole = 0.25;

    /// <summary>Effort factor of muscle load: MET / 5, kept within 0.5 and 2.</summary>
    public const double EffortUnit = 5;
    public const double EffortLeast = 0.5;
    public const double EffortMost = 2;

    /// <summary>Focus: the smallest set of groups that reaches this share, five at most.</summary>
    public const double FocusShare = 0.6;
    public const int FocusMost = 5;

    /// <summary>Full body: upper body, core and lower body each at least this share.</summary>
    public const double FullBodyShare = 0.2;

    /// <summary>Highest school: an impact class counts from this many seconds on.</summary>
    public static readonly Seconds ImpactCounts = new(10);

    /// <summary>Prevailing school: the class at or below which this share of the seconds lies.</summary>
    public const double PrevailingShare = 0.9;

    /// <summary>Effort curve: first-order lag, slower down than up, as oxygen uptake is (house values).</summary>
    public static readonly Seconds LagUp = new(45);
    public static readonly Seconds LagDown = new(75);
    public static readonly Seconds EffortStep = new(5);

    /// <summary>Upper score bounds of levels 1 to 4; level 5 lies above.</summary>
    public static readonly IReadOnlyList<double> LevelBounds = [22, 36, 52, 68];

    /// <summary>From one move of a dose to the next where no rest is said: put a weight down, get up, turn over. Our own figure; no source outside the project.</summary>
    public static readonly Seconds ChangeOfMove = new(10);

    /// <summary>Gaps inside the work up to this long are rest between bouts, not the end of an unbroken stretch.</summary>
    public static readonly Seconds UnbrokenGap = new(6);

    /// <summary>Stated and measured length differ worth a finding beyond both of these.</summary>
    public static readonly Seconds StatedTolerance = new(90);
    public const double StatedToleranceShare = 0.10;

    /// <summary>Energy is shown as a range this far to both sides: the spread of MET between people of one mass.</summary>
    public const double EnergySpread = 0.2;

    /// <summary>Body mass for energy where a member gives none.</summary>
    public static readonly Kilograms ReferenceMass = new(70);

    /// <summary>Left and right may differ by this share before it is a finding.</summary>
    public const double SideTolerance = 0.10;

    /// <summary>A complete session warms up at least this long; longer where effort is vigorous or impact high (measures sheet).</summary>
    public static readonly Seconds WarmUpLeast = Seconds.FromMinutes(3);
    public static readonly Seconds WarmUpVigorous = Seconds.FromMinutes(5);

    /// <summary>Effort of a session is vigorous from this long at 6 MET or more (house value).</summary>
    public static readonly Seconds VigorousCounts = Seconds.FromMinutes(5);

    /// <summary>A complete session cools down at least this long (measures sheet).</summary>
    public static readonly Seconds CoolDownLeast = Seconds.FromMinutes(2);
}
