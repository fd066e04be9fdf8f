using System.Collections.Immutable;
using System.Globalization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Difficulty: eight components of 0..1, weighted to a score of 0..100 and a level of 1..5, in both schools. Ranges are the measures sheet's; weights are the studio's.</summary>
public static class Difficulties
{
    /// <summary>The hardest stretch that decides in the default school, in seconds.</summary>
    private const double HardestWindow = 300;

    /// <param name="led">As led, to hold the other paces against; null when this is as led.</param>
    public static DifficultyFigures Score(
        Timeline timeline, ImmutableArray<EffortPoint> effort, TimeFigures time, ImpactFigures impact, IReadOnlyList<PacedBout> main, MeasureSettings settings,
        DifficultyFigures? led, Pace pace)
    {
        var parts = Parts(timeline, effort, time, impact, main, settings.Weights, settings.Level);
        var other = Parts(timeline, effort, time, impact, main, settings.Weights, settings.Level == LevelSchool.WholeClass ? LevelSchool.HardestFiveMinutes : LevelSchool.WholeClass);
        if (led is not null)
        {
            parts = [.. parts.Zip(led.Parts, (mine, theirs) => mine with { Value = pace == Pace.Eased ? Math.Min(mine.Value, theirs.Value) : Math.Max(mine.Value, theirs.Value) })];
        }

        return new DifficultyFigures(LevelOf(Sum(parts)), Sum(parts), parts, Sum(other));
    }

    private static double Sum(ImmutableArray<DifficultyPart> parts) => Math.Round(100 * parts.Sum(p => p.Value * p.Weight), 1);

    private static ImmutableArray<DifficultyPart> Parts(
        Timeline timeline, ImmutableArray<EffortPoint> effort, TimeFigures time, ImpactFigures impact, IReadOnlyList<PacedBout> main, DifficultyWeights weights, LevelSchool school)
    {
        var whole = school == LevelSchool.WholeClass;
        var work = main.Sum(b => b.Bout.Span.Length.Value);
        double Share(Func<PacedBout, double> value) => work == 0 ? 0 : main.Sum(b => b.Bout.Span.Length.Value * value(b)) / work;

        var met = whole ? Mean(effort, main) : HardestMean(effort);
        var unbroken = whole ? MeanUnbroken(main) : time.LongestUnbroken.Value;
        var strength = Share(b => StrengthOf(timeline, b.Move));
        var balance = Share(b => b.Move.Strains.Contains("single-leg balance") ? 1 : 0);
        var learn = Share(b => (b.Move.Skill - 1) / 2.0);
        var combined = Share(b => b.Move.Parts.IsEmpty ? 0 : 1);
        var minutes = Math.Max(1, time.Class.Minutes);
        var fresh = main.Select(b => b.Move.Id).Distinct().Count() / minutes * 5;
        var tempo = timeline.Voice?.TempoChanges.Count(at => main.Any(b => b.Bout.Span.Contains(at))) ?? 0;
        var skill = (0.4 * learn) + (0.25 * Ramp(fresh, 2, 10)) + (0.2 * combined) + (0.15 * Ramp(tempo / minutes * 10, 0, 10));
        var changes = FloorChanges(main);
        var jumps = work == 0 ? 0 : Math.Min(1, impact.Jumps.Value / work * 2);
        var impactValue = work == 0 ? 0 : whole ? Share(b => (int)b.Move.Impact / 3.0) : ((int)impact.Highest / 3.0 * 0.5) + (0.5 * jumps);
        DifficultyPart Part(string name, double value, double weight, string reason) => new(name, value, weight / weights.Sum, reason);
        return
        [
            Part("effort", Ramp(met, 3, 9), weights.Effort, $"{Number(met)} MET over {(whole ? "the main part" : "the hardest five minutes")} (3 counts nothing, 9 in full)"),
            Part("density", main.Count == 0 ? 0 : Ramp(time.Density, 0.4, 0.9), weights.Density, $"{Percent(time.Density)} of the main part is work (40 counts nothing, 90 in full)"),
            Part("unbroken work", Ramp(unbroken, 30, 300), weights.Unbroken, $"{new Seconds(unbroken)} without a rest {(whole ? "on average" : "at the longest")} (0:30 counts nothing, 5:00 in full)"),
            Part("strength", strength, weights.Strength, $"moves ask {Percent(strength)} of what the strongest patterns and loads would"),
            Part("impact", impactValue, weights.Impact, whole ? $"{Percent(impactValue)} of the way to jumping throughout" : $"{impact.Highest.Word()} at the most, {impact.Jumps} off the floor"),
            Part("balance", balance, weights.Balance, $"{Percent(balance)} of the work stands on one leg"),
            Part("skill", skill, weights.Skill, $"{Number(fresh)} new moves in five minutes, {Percent(combined)} combined moves, {tempo} changes of tempo (10 in ten minutes count in full), {Percent(learn)} on the lexicon's skill scale"),
            Part("up and down", Ramp(changes / minutes * 10, 0, 6), weights.UpAndDown, $"{changes} changes between floor and standing (6 in ten minutes count in full)"),
        ];
    }

    /// <summary>Mean MET of the curve while the main part runs.</summary>
    private static double Mean(ImmutableArray<EffortPoint> effort, IReadOnlyList<PacedBout> main)
    {
        if (main.Count == 0)
        {
            return 0;
        }

        var span = new Span(main[0].Bout.Span.Start, main[^1].Bout.Span.End);
        var points = effort.Where(p => span.Contains(p.At)).ToList();
        return points.Count == 0 ? 0 : points.Average(p => p.Met.Value);
    }

    /// <summary>Mean length of the stretches without a rest, in seconds.</summary>
    private static double MeanUnbroken(IReadOnlyList<PacedBout> main)
    {
        var stretches = new List<double>();
        for (var i = 0; i < main.Count; i++)
        {
            var goesOn = i > 0 && main[i].Bout.Span.Start - main[i - 1].Bout.Span.End <= Constants.UnbrokenGap;
            if (goesOn)
            {
                stretches[^1] += main[i].Bout.Span.Length.Value;
            }
            else
            {
                stretches.Add(main[i].Bout.Span.Length.Value);
            }
        }

        return stretches.Count == 0 ? 0 : stretches.Average();
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
    private static double StrengthOf(Timeline timeline, Move move)
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
        var load = move.Kit.FirstOrDefault(k => k is "dumbbell" or "kettlebell" or "bar") is { } item ? 1.4 * LoadSaid(timeline, item) : 1;
        return Math.Min(1, pattern * load * (move.Skill == 3 ? 1.3 : 1));
    }

    /// <summary>"Heavy" and "light" as said of the kit; a number of kilograms means something else to everyone and changes nothing.</summary>
    private static double LoadSaid(Timeline timeline, string item)
    {
        var load = timeline.Kit.FirstOrDefault(k => k.Item == item)?.Load ?? "";
        return load.Contains("heav", StringComparison.Ordinal) ? 1.2 : load.StartsWith("light", StringComparison.Ordinal) ? 0.85 : 1;
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
