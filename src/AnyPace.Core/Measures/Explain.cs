using System.Collections.Immutable;
using System.Globalization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>One summand of a number: a bout, a phase, a component.</summary>
/// <param name="At">Where on the recording; null for what has no moment.</param>
/// <param name="Amount">With its unit.</param>
public sealed record Summand(Seconds? At, string What, string Amount);

/// <summary>A number opened to its sum.</summary>
/// <param name="Key">Stable, for links: "impact".</param>
/// <param name="What">The number's name with its unit.</param>
/// <param name="Values">At Ease, as led, at Push.</param>
/// <param name="Rule">How it is got, with its constants.</param>
/// <param name="Source">Where the rule and the constants come from.</param>
/// <param name="Summands">What made it at the pace asked for.</param>
/// <param name="Other">What it would be under the other school; null where there is one school.</param>
public sealed record Explanation(
    string Key, string What, ImmutableArray<string> Values, string Rule, string Source, ImmutableArray<Summand> Summands, string? Other = null);

/// <summary>Opens every number of a session to the bouts that made it.</summary>
public static class Explain
{
    private const string House = "Any Pace's measures sheet (docs/measures.md).";
    private const string Compendium = "MET values: Compendium of Physical Activities 2011; an estimate for any one person.";

    /// <summary>More summands than this say no more.</summary>
    private const int MostLines = 12;

    public static ImmutableArray<Explanation> All(Timeline timeline, MoveLexicon lexicon, SessionMeasures measures, Pace pace)
    {
        var settings = measures.Settings;
        var sheets = Paces.All.Select(measures.At).ToList();
        var sheet = measures.At(pace);
        var bouts = PaceLayer.Lay(timeline, lexicon, pace, settings.Neighbours);
        var main = bouts.Where(b => b.Phase == PhaseKind.Work).ToList();
        ImmutableArray<string> Each(Func<MeasureSheet, string> value) => [.. sheets.Select(value)];

        return
        [
            new("time", "time needed, m:ss", Each(s => s.Time.NeededHigh > s.Time.Needed ? $"{s.Time.Needed}-{s.Time.NeededHigh}" : $"{s.Time.Needed}"),
                timeline.Kind == ClassKind.Demonstration
                    ? "A demonstration: the warm-up shown and the prescribed dose, low to high."
                    : "First bout's start to the last bout's end, as measured; never as promised.",
                House,
                [
                    .. timeline.Phases.Where(p => p.Kind != PhaseKind.Talk).Select(p => new Summand(p.Span.Start, p.Kind.Word(), $"{p.Span.Length}")),
                    new Summand(null, "talk, left out", $"{sheet.Time.Talk}"),
                ]),
            new("density", "work share, %", Each(s => Percent(s.Time.Density)), "Work / (work + rest) in the work phases. Breaks between blocks are neither.", House,
                [new(null, "work", $"{sheet.Time.Work}"), new(null, "rest between bouts", $"{sheet.Time.Rest}"), new(null, "breaks, left out", $"{sheet.Time.Break}")]),
            new("unbroken", "longest without rest, m:ss", Each(s => $"{s.Time.LongestUnbroken}"),
                $"Bouts with gaps of at most {Constants.UnbrokenGap.Value:0} s between them run together.", House, Longest(main)),
            new("impact", "impact", Each(s => s.Impact.Class.Word()),
                settings.Impact == ImpactSchool.Highest
                    ? $"The highest class with at least {Constants.ImpactCounts.Value:0} s at it or above."
                    : $"The class at or below which {Constants.PrevailingShare * 100:0} % of the bout seconds lie.",
                House,
                [
                    .. Enum.GetValues<Impact>().Reverse().Where(i => sheet.Impact.PerClass[(int)i] > Seconds.Zero)
                        .Select(i => new Summand(bouts.First(b => b.Move.Impact == i).Bout.Span.Start, $"{i.Word()}: {Names(bouts.Where(b => b.Move.Impact == i))}", $"{sheet.Impact.PerClass[(int)i]}")),
                    .. sheet.Impact.EveryJumpHasAWay is { } way ? [new Summand(null, way ? "A lower way is given for every jump" : "Not every jump is given a lower way", "")] : Array.Empty<Summand>(),
                ],
                settings.Impact == ImpactSchool.Highest ? $"What prevails would say: {sheet.Impact.Prevailing.Word()}." : $"The highest would say: {sheet.Impact.Highest.Word()}."),
            new("level", "level, 1 to 5", Each(s => $"{s.Difficulty.Level}"),
                $"Score {sheet.Difficulty.Score.ToString("0.0", CultureInfo.InvariantCulture)} of 100; levels change at {string.Join(", ", Constants.LevelBounds)}. "
                    + (settings.Level == LevelSchool.HardestFiveMinutes ? "The hardest five minutes decide." : "The whole class decides."),
                House + " Weights: the studio's settings.",
                [.. sheet.Difficulty.Parts.Select(p => new Summand(null, $"{p.Name}: {p.Reason}", $"{Number(p.Value * p.Weight * 100)} of {p.Weight * 100:0}"))],
                $"{(settings.Level == LevelSchool.HardestFiveMinutes ? "The whole class" : "The hardest five minutes")} would say: level {sheet.Difficulty.OtherLevel}, score {Number(sheet.Difficulty.Other)}."),
            new("effort", "minutes at 6 MET and over", Each(s => $"{s.Vigorous}"),
                $"MET over time, following with a lag of {Constants.LagUp.Value:0} s up and {Constants.LagDown.Value:0} s down; light under 3, moderate 3 to 5.9, vigorous from 6.",
                Compendium, [new(null, "light", $"{sheet.Light}"), new(null, "moderate", $"{sheet.Moderate}"), new(null, "vigorous", $"{sheet.Vigorous}"), .. Hardest(bouts)]),
            new("energy", "energy, kcal at 70 kg", Each(s => $"{s.Energy.Low.Value:0}-{s.Energy.High.Value:0}"),
                $"MET x 3.5 x 70 kg / 200 x minutes, summed over the bouts, +-{Constants.EnergySpread * 100:0} %; standing in between. An estimate.",
                "ACSM metabolic conversion. " + Compendium, [.. Costly(bouts)]),
            new("muscles", "muscles", Each(s => s.FullBody ? "whole body" : string.Join(", ", s.Focus.Take(2))),
                "Seconds x role (prime mover 1, helper 0.5, stabiliser 0.25) x effort (MET / 5, from 0.5 to 2), in the work; stretches lengthen and count as no load.", House,
                [.. sheet.Muscles.Take(8).Select(m => new Summand(null, Worked(m.Muscle, main), $"{Percent(m.Share)} %"))]),
            new("balance", "turning, % of work", Each(s => Percent(s.Balance.Planes.GetValueOrDefault("transverse"))),
                "Seconds of work by pattern and by plane; front and back by muscle load. A move of two planes counts half for each.", House,
                [
                    .. new[] { sheet.Balance.PushPull, sheet.Balance.KneeHip, sheet.Balance.FrontBack, sheet.Balance.UpperLower, sheet.Balance.LeftRight }
                        .Where(p => p.Share is not null).Select(p => new Summand(null, $"{p.First} to {p.Second}", $"{Percent(p.Share!.Value)} to {Percent(1 - p.Share.Value)}")),
                    .. sheet.Balance.Planes.Select(p => new Summand(null, $"{p.Key} plane", $"{Percent(p.Value)} %")),
                ]),
            new("place", "place", Each(s => $"{s.Place.Space.Word()}, {s.Place.Noise.Word()}"),
                "The move that asks for most floor decides; jumps thump from ten seconds on.", House,
                [
                    .. sheet.Place.SpaceBy is { } by ? [new Summand(by.Span.Start, bouts.First(b => b.Bout.Id == by.Id).Move.Name, sheet.Place.Space.Word())] : Array.Empty<Summand>(),
                    .. sheet.Place.Support is { } support ? [new Summand(null, $"a {support} must be there", "")] : Array.Empty<Summand>(),
                ]),
            new("strains", "strains", Each(s => s.Strains.IsEmpty ? "none" : s.Strains.MaxBy(x => x.Length)!.Strain),
                "Seconds in moves that load the part; floor, holds and positions follow from the move.", House,
                [.. sheet.Strains.OrderByDescending(s => s.Length).Select(s => new Summand(s.First, s.Strain + (s.WaysOut > 0 ? $", {s.WaysOut} easier {(s.WaysOut == 1 ? "way" : "ways")} given" : ""), $"{s.Length}"))]),
            new("ear", "followable by ear, % of bouts", [.. Enumerable.Repeat(measures.Coaching.ByEar is { } ear ? Percent(ear) : "not known", 3)],
                "Bouts of the work named before or within 5 s of their start, and ended or timed aloud.", House,
                [
                    .. measures.Coaching.Unheard.Take(MostLines).Select(b => new Summand(b.Span.Start, $"{lexicon[b.MoveId].Name} can't be followed by ear", "")),
                    .. measures.Coaching.WordsPerMinute is { } words ? [new Summand(null, "words a minute", $"{words:0}"), new Summand(null, "form cues a minute", Number(measures.Coaching.FormCuesPerMinute ?? 0))] : Array.Empty<Summand>(),
                    new Summand(null, "talk beside the class", $"{measures.Coaching.OffTopic}"),
                ]),
            new("complete", "complete", Each(s => s.Completeness.Complete ? "yes" : "lacks " + s.Completeness.Lacks[0]),
                $"Warm-up of {sheet.Completeness.WarmUpWanted} (3:00; 5:00 where effort is vigorous or there are jumps), cool-down of {Constants.CoolDownLeast}, sides within {Constants.SideTolerance * 100:0} %.", House,
                [new(null, "warm-up", $"{sheet.Time.WarmUp}"), new(null, "cool-down", $"{sheet.Time.CoolDown}"), new(null, "left", $"{sheet.Time.Left}"), new(null, "right", $"{sheet.Time.Right}")]),
        ];
    }

    /// <summary>A muscle with the moves that work it most; helpers where no move has it as prime mover.</summary>
    private static string Worked(string muscle, List<PacedBout> main)
    {
        var prime = Names(main.Where(b => b.Move.Prime.Contains(muscle)));
        return prime.Length > 0 ? $"{muscle}: {prime}" : $"{muscle}, helping: {Names(main.Where(b => b.Move.Helper.Contains(muscle) || b.Move.Stabiliser.Contains(muscle)))}";
    }

    private static string Percent(double share) => (share * 100).ToString("0", CultureInfo.InvariantCulture);

    private static string Number(double value) => value.ToString("0.0", CultureInfo.InvariantCulture);

    private static string Names(IEnumerable<PacedBout> bouts) => string.Join(", ", bouts.Select(b => b.Move.Name.ToLowerInvariant()).Distinct().Take(4));

    /// <summary>The bouts of the longest stretch.</summary>
    private static ImmutableArray<Summand> Longest(List<PacedBout> main)
    {
        var (best, from) = ((Start: 0, End: 0, Length: -1.0), 0);
        for (var i = 0; i < main.Count; i++)
        {
            from = i > 0 && main[i].Bout.Span.Start - main[i - 1].Bout.Span.End > Constants.UnbrokenGap ? i : from;
            var length = main.Skip(from).Take(i - from + 1).Sum(b => b.Bout.Span.Length.Value);
            best = length > best.Length ? (from, i, length) : best;
        }

        return [.. main.Skip(best.Start).Take(main.Count == 0 ? 0 : best.End - best.Start + 1).Take(MostLines).Select(b => new Summand(b.Bout.Span.Start, b.Move.Name, $"{b.Bout.Span.Length}"))];
    }

    private static IEnumerable<Summand> Hardest(IReadOnlyList<PacedBout> bouts) => bouts
        .OrderByDescending(b => b.Move.Met.Value).DistinctBy(b => b.Move.Id).Take(5)
        .Select(b => new Summand(b.Bout.Span.Start, $"{b.Move.Name}, as {b.Move.Activity.Name}", $"{Number(b.Move.Met.Value)} MET"));

    private static IEnumerable<Summand> Costly(IReadOnlyList<PacedBout> bouts) => bouts
        .GroupBy(b => b.Move.Id)
        .Select(g => (g.First(), Kcal: g.Sum(b => b.Move.Met.Energy(Constants.ReferenceMass, b.Bout.Span.Length).Value)))
        .OrderByDescending(x => x.Kcal).Take(6)
        .Select(x => new Summand(x.Item1.Bout.Span.Start, x.Item1.Move.Name, $"about {x.Kcal:0} kcal"));
}
