using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Floor that a session takes.</summary>
public enum FloorSpace
{
    /// <summary>A mat's length and width.</summary>
    Mat,

    /// <summary>A step each way from the mat.</summary>
    StepEachWay,

    /// <summary>Room to travel.</summary>
    Travel,
}

/// <summary>What the neighbours below hear.</summary>
public enum Noise
{
    Quiet,

    /// <summary>Light hops and quick feet.</summary>
    Light,
    Thumping,
}

/// <summary>Where a session can be done.</summary>
/// <param name="Support">"wall", "chair" or "bench" where one must be there to lean on or sit on; null for none.</param>
/// <param name="SpaceBy">The move that asks for most floor; null without bouts.</param>
public sealed record PlaceFigures(FloorSpace Space, Noise Noise, string? Support, Bout? SpaceBy);

/// <summary>Place follows from the moves and the required kit.</summary>
public static class Place
{
    /// <summary>Moves that go somewhere, by how they are done.</summary>
    private static readonly HashSet<string> Travels =
    [
        "walking-lunge", "lateral-shuffle", "carioca", "gallop", "broad-jump", "fast-step", "squat-walk", "banded-walk", "crab-walk", "bear-crawl", "farmers-carry",
        "ladder-feet", "wall-touch-sprint", "toe-walk", "grapevine", "lateral-plank-walk", "skater",
    ];

    private static readonly string[] Supports = ["wall", "chair", "bench"];

    public static PlaceFigures Of(Timeline timeline, IReadOnlyList<PacedBout> bouts, ImpactFigures impact)
    {
        var widest = bouts.MaxBy(b => (int)SpaceOf(b.Move));
        var support = Supports.FirstOrDefault(s => timeline.Kit.Any(k => k.Item == s && k.Need == KitNeed.Required));
        var noise = impact.PerClass[(int)Impact.High] >= Constants.ImpactCounts ? Noise.Thumping
            : impact.PerClass[(int)Impact.Moderate] + impact.PerClass[(int)Impact.High] >= Constants.ImpactCounts ? Noise.Light : Noise.Quiet;
        return new PlaceFigures(widest is null ? FloorSpace.Mat : SpaceOf(widest.Move), noise, support, widest?.Bout);
    }

    public static FloorSpace SpaceOf(Move move) =>
        Travels.Contains(move.Id) || (move.Pattern == "crawl" && move.Id != "bear-hold") ? FloorSpace.Travel
        : move.Pattern is "lunge" or "locomotion" or "kick" or "jump" && move.Id is not ("march" or "high-knees" or "jog" or "butt-kick" or "quick-feet" or "knee-lift") ? FloorSpace.StepEachWay
        : FloorSpace.Mat;

    public static string Word(this FloorSpace space) => space switch
    {
        FloorSpace.Mat => "a mat's length",
        FloorSpace.StepEachWay => "a step each way",
        _ => "room to travel",
    };

    public static string Word(this Noise noise) => noise switch
    {
        Noise.Quiet => "quiet",
        Noise.Light => "light thuds",
        _ => "thumping",
    };
}
