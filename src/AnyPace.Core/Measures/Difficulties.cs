using System.Collections.Immutable;
using System.Globalization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Difficulty: eight components of 0..1, weighted to a score of 0..100 and a level of 1..5. Weights and ranges are the measures sheet's defaults.</summary>
public static class Difficulties
{
    private const double EffortWeight = 0.25;
    private const double DensityWeight = 0.10;
    private const double UnbrokenWeight = 0.10;
    private const double StrengthWeight = 0.20;
    private const double ImpactWeight = 0.10;
    private const double BalanceWeight = 0.08;
    private const double SkillWeight = 0.10;
    private const double UpDownWeight = 0.07;

    /// <summary>The hardest stretch that decides in the default school, in seconds.</summary>
    private const double HardestWindow = 300;

    public static DifficultyFigures Score(ImmutableArray<EffortPoint> effort, TimeFigures time, ImpactFigures impact, IReadOnlyList<PacedBout> main)
    {
        var hardest = HardestMean(effort);
        var work = main.Sum(b => b.Bout.Span.Length.Value);
        double Share(Func<PacedBout, double> value) => work == 0 ? 0 : main.Sum(b => b.Bout.Span.Length.Value * value(b)) / work;

        var strength = Share(b => StrengthOf(b.Move));
        var balance = Share(b => b.Move.Strains.Contains("single-leg balance") ? 1 : 0);
        var skill = Share(b => (b.Move.Skill - 1) / 2.0);
        var changes = FloorChanges(main);
        var minutes = Math.Max(1, time.Class.Minutes);
        var jumps = impact.Jumps.Value;
        var impactValue = work == 0 ? 0 : ((int)impact.Highest / 3.0 * 0.5) + (0.5 * Math.Min(1, jumps / Math.Max(1, work) * 2));
        ImmutableArray<DifficultyPart> parts =
        [
            new("effort", Ramp(hardest, 3, 9), EffortWeight, $"{Number(hardest)} MET over the hardest five minutes (3 counts nothing, 9 in full)"),
            new("density", main.Count == 0 ? 0 : Ramp(time.Density, 0.4, 0.9), DensityWeight, $"{Percent(time.Density)} of the main part is work"),
            new("unbroken work", Ramp(time.LongestUnbroken.Value, 30, 300), UnbrokenWeight, $"{time.LongestUnbroken} without a rest at the longest"),
            new("strength", strength, StrengthWeight, $"moves ask {Percent(strength)} of what the strongest patterns and loads would"),
            new("impact", impactValue, ImpactWeight, $"{impact.Highest.Word()} at the most, {impact.Jumps} off the floor"),
            new("balance", balance, BalanceWeight, $"{Percent(balance)} of the work stands on one leg"),
            new("skill", skill, SkillWeight, $"{Percent(skill)} on the lexicon's skill scale"),
            new("up and down", Ramp(changes / minutes * 10, 0, 6), UpDownWeight, $"{changes} changes between floor and standing"),
        ];
        var score = Math.Round(100 * parts.Sum(p => p.Value * p.Weight), 1);
        return new DifficultyFigures(LevelOf(score), score, parts);
    }

    public static int LevelOf(double score) => 1 + Constants.LevelBounds.Count(bound => score >= bound);

    /// <summary>Mean MET of the hardest five minutes; of the whole where it is shorter.</summary>
    private static double HardestMean(ImmutableArray<EffortPoint> effort)
    {
        if (effort.IsEmpty)
        {
            return 0;
        }

        var window = Math.Min(effort.Length, (int)(HardestWindow / Constants.EffortStep.Value));
        var sum = effort.Take(window).Sum(p => p.Met.Value);
        var best = sum;
        for (var i = window; i < effort.Length; i++)
        {
            sum += effort[i].Met.Value - effort[i - window].Met.Value;
            best = Math.Max(best, sum);
        }

        return best / window;
    }

    /// <summary>Pattern class x load class, 0..1: our reading of how much force a pattern asks, with kit as load.</summary>
    private static double StrengthOf(Move move)
    {
        var pattern = move.Pattern switch
        {
            "push-horizontal" or "pull-vertical" or "push-vertical" when move.Positions.Contains("plank") => 0.7,
            "squat" or "lunge" or "hinge" or "jump" => 0.5,
            "plank" or "crawl" => 0.5,
            "bridge" or "push-horizontal" or "push-vertical" or "pull-horizontal" or "pull-vertical" or "trunk-flexion" or "leg-raise" or "rotation" => 0.4,
            "curl" or "extension" or "isolation-arm" or "isolation-leg" or "trunk-extension" or "carry" or "side-flexion" => 0.3,
            "kick" or "punch" or "locomotion" => 0.15,
            _ => 0,
        };
        var load = move.Kit.Any(k => k is "dumbbell" or "kettlebell" or "bar") ? 1.4 : 1;
        return Math.Min(1, pattern * load * (move.Skill == 3 ? 1.3 : 1));
    }

    private static int FloorChanges(IReadOnlyList<PacedBout> bouts)
    {
        var changes = 0;
        bool? down = null;
        foreach (var b in bouts)
        {
            var floor = Vocabulary.IsFloor(b.Move.Positions[0]);
            if (down is { } was && was != floor)
            {
                changes++;
            }

            down = floor;
        }

        return changes;
    }

    private static double Ramp(double value, double from, double to) => Math.Clamp((value - from) / (to - from), 0, 1);

    private static string Number(double value) => value.ToString("0.0", CultureInfo.InvariantCulture);

    private static string Percent(double share) => (share * 100).ToString("0", CultureInfo.InvariantCulture) + " %";
}
