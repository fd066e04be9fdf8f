using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>What a session lacks to stand alone.</summary>
/// <param name="WarmUpShort">Seconds of warm-up missing; zero where there is enough.</param>
/// <param name="SidesApart">The shorter side's lack as a share of the longer, 0..1.</param>
public sealed record CompletenessFigures(Seconds WarmUpWanted, Seconds WarmUpShort, Seconds CoolDownShort, double SidesApart)
{
    public bool SidesEven => SidesApart <= Constants.SideTolerance;

    public bool Complete => WarmUpShort == Seconds.Zero && CoolDownShort == Seconds.Zero && SidesEven;

    /// <summary>In plain words; empty for a complete session.</summary>
    public ImmutableArray<string> Lacks =>
    [
        .. new[]
        {
            WarmUpShort > Seconds.Zero ? $"{WarmUpShort} of warm-up" : null,
            CoolDownShort > Seconds.Zero ? $"{CoolDownShort} of cool-down" : null,
            SidesEven ? null : $"even sides ({SidesApart * 100:0} % apart)",
        }.OfType<string>(),
    ];

    public static CompletenessFigures Of(TimeFigures time, ImpactFigures impact, Seconds vigorous)
    {
        var wanted = impact.Highest >= Impact.High || vigorous >= Constants.VigorousCounts ? Constants.WarmUpVigorous : Constants.WarmUpLeast;
        var longer = Seconds.Max(time.Left, time.Right);
        return new CompletenessFigures(
            wanted, Seconds.Max(Seconds.Zero, wanted - time.WarmUp), Seconds.Max(Seconds.Zero, Constants.CoolDownLeast - time.CoolDown),
            longer == Seconds.Zero ? 0 : (longer - Seconds.Min(time.Left, time.Right)) / longer);
    }
}
