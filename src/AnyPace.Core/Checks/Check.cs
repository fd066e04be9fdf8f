using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Checks;

/// <summary>A rule of the checks.</summary>
/// <param name="Asks">What it asks of a class, for those who read the list.</param>
public sealed record Rule(string Id, Severity Severity, string Asks);

/// <summary>Holds a timeline against itself and against what the coach said. Each rule is small and says what to do.</summary>
public static partial class Check
{
    /// <summary>All rules, in the order in which a class is read.</summary>
    public static readonly ImmutableArray<Rule> Rules =
    [
        new("stated-length", Severity.Warning, "Is the promised length the measured one?"),
        new("lengths-disagree", Severity.Warning, "Is one length promised, not two?"),
        new("stated-impact", Severity.Problem, "Does a class said to be low impact keep a foot on the floor?"),
        new("stated-level", Severity.Warning, "Is the level said the level measured?"),
        new("no-equipment-said", Severity.Problem, "Does \"no equipment\" hold to the end?"),
        new("intervals-off", Severity.Warning, "Are the intervals as long as said?"),
        new("bout-missing", Severity.Warning, "Is there a bout at every beat of the said intervals?"),
        new("bout-late", Severity.Info, "Does every bout start when it is due?"),
        new("bout-extra", Severity.Info, "Is every bout one of the said intervals?"),
        new("no-dose", Severity.Warning, "Does a demonstration say how much to do?"),
        new("announced-not-done", Severity.Warning, "Is every announced move done?"),
        new("move-missing-in-a-round", Severity.Warning, "Is every move done in every round?"),
        new("short-in-a-round", Severity.Info, "Does a move get the same time in every round?"),
        new("rounds-missing", Severity.Warning, "Are all said rounds there?"),
        new("move-left-out", Severity.Info, "Does the coach say that a move was left out?"),
        new("wrong-move-announced", Severity.Info, "Was a move announced by mistake?"),
        new("two-names", Severity.Info, "Does each move go by one name?"),
        new("uneven-sides", Severity.Warning, "Do both sides get the same?"),
        new("lost-count", Severity.Info, "Was the count lost?"),
        new("count-jumps", Severity.Info, "Is the count whole?"),
        new("overlapping-bouts", Severity.Problem, "Is one move done at a time?"),
        new("very-long-bout", Severity.Info, "Is a bout so long that it may be several moves?"),
        new("jumps-before-warm-up", Severity.Problem, "Is there a warm-up before the first jump?"),
        new("no-warm-up", Severity.Info, "Is there a warm-up?"),
        new("short-warm-up", Severity.Info, "Is the warm-up long enough for what follows?"),
        new("no-cool-down", Severity.Info, "Is there a cool-down?"),
        new("short-cool-down", Severity.Info, "Is the cool-down at least two minutes?"),
        new("kit-said-late", Severity.Warning, "Is all kit named before it is needed?"),
        new("load-not-said", Severity.Info, "Is a load said for weights that are needed?"),
        new("floor-without-mat", Severity.Info, "Is a mat named where there is floor work?"),
        new("high-impact-without-a-way-out", Severity.Warning, "Is a lower way given for every jump?"),
        new("strain-without-caution", Severity.Info, "Is there a caution where a joint works long?"),
        new("promise", Severity.Problem, "Is nothing promised about weight, calories or cures?"),
        new("body-talk", Severity.Problem, "Are bodies left alone?"),
        new("outside-mention", Severity.Info, "Is the class free of brands, handles and adverts?"),
        new("off-topic-stretch", Severity.Info, "Does the talk stay with the class?"),
        new("long-silence", Severity.Info, "Can the class be followed by ear throughout?"),
        new("noise-after-the-end", Severity.Info, "Do the captions end with the class?"),
        new("captions-end-early", Severity.Warning, "Does the class end before the captions do?"),
        new("part-of-series", Severity.Info, "Is the class whole?"),
    ];

    /// <summary>All findings, in the order of the recording; those about the whole come first.</summary>
    public static IReadOnlyList<Finding> All(Timeline timeline, MoveLexicon lexicon, SessionMeasures measures)
    {
        var sheet = measures.AsLed;
        return
        [
            .. StatedLength(timeline, sheet)
                .Concat(StatedImpact(timeline, sheet))
                .Concat(Sides(timeline, lexicon))
                .Concat(WarmUp(timeline, sheet, lexicon))
                .Concat(CoolDown(timeline, sheet))
                .Concat(Kit(timeline))
                .Concat(NoEquipmentOnFloor(timeline, lexicon))
                .Concat(MovesUnfinished(timeline, lexicon))
                .Concat(Claims(timeline))
                .Concat(Outside(timeline))
                .Concat(HighWithoutWay(timeline, lexicon))
                .Concat(Series(timeline))
                .Concat(Said(timeline, sheet))
                .Concat(Intervals(timeline))
                .Concat(Rounds(timeline, lexicon))
                .Concat(Announced(timeline, lexicon))
                .Concat(Slips(timeline, lexicon))
                .Concat(Names(timeline, lexicon))
                .Concat(Clock(timeline, lexicon))
                .Concat(Completeness(timeline, sheet))
                .Concat(Loads(timeline))
                .Concat(Strains(timeline, sheet))
                .Concat(Talk(timeline))
                .Concat(Captions(timeline))
                .OrderBy(f => f.At?.Value ?? -1),
        ];
    }

    private static IEnumerable<Finding> StatedLength(Timeline timeline, MeasureSheet sheet)
    {
        // Coaches promise the length of the video or of the class: only a promise far from both is wrong.
        foreach (var minutes in timeline.Stated.Minutes.Take(1))
        {
            var stated = Seconds.FromMinutes(minutes);
            var measured = sheet.Time.Needed;
            var off = Math.Min(Math.Abs((stated - measured).Value), Math.Abs((stated - timeline.Recorded).Value));
            if (off > Constants.StatedTolerance.Value && off > stated.Value * Constants.StatedToleranceShare)
            {
                yield return new("stated-length", Severity.Warning, null,
                    $"Promised {minutes:0.#} min, measured {measured}.", "Correct the promised length, or the first and last bout.");
            }
        }
    }

    private static IEnumerable<Finding> StatedImpact(Timeline timeline, MeasureSheet sheet)
    {
        if (timeline.Stated.Impact == "low" && sheet.Impact.Jumps >= Constants.ImpactCounts)
        {
            yield return new("stated-impact", Severity.Problem, null,
                $"\"Low impact\" is said, yet feet leave the floor for {sheet.Impact.Jumps}.", "Check the jumping bouts, or leave low impact out of the description.");
        }
    }

    private static IEnumerable<Finding> Sides(Timeline timeline, MoveLexicon lexicon)
    {
        foreach (var group in timeline.Bouts.Where(b => b.Side != Side.Both).GroupBy(b => b.MoveId))
        {
            var left = group.Where(b => b.Side == Side.Left).Sum(b => b.Span.Length.Value);
            var right = group.Where(b => b.Side == Side.Right).Sum(b => b.Span.Length.Value);
            var longer = Math.Max(left, right);
            // Nobody holds a stretch by the stopwatch.
            var least = lexicon[group.Key].IsStretch ? 15 : 5;
            if (longer - Math.Min(left, right) > Math.Max(least, longer * Constants.SideTolerance))
            {
                var shorter = left < right ? "Left" : "Right";
                yield return new("uneven-sides", Severity.Warning, group.Last().Span.Start,
                    $"{shorter} side of {lexicon[group.Key].Name.ToLowerInvariant()} is {new Seconds(Math.Abs(left - right))} shorter than the other.",
                    "Check the edges of both sides; if it is so, say it in the description.");
            }
        }
    }

    private static IEnumerable<Finding> WarmUp(Timeline timeline, MeasureSheet sheet, MoveLexicon lexicon)
    {
        if (sheet.Time.Work <= Seconds.Zero || timeline.PartOfSeries)
        {
            yield break;
        }

        var firstJump = timeline.Bouts.Where(b => lexicon[b.MoveId].Impact >= Impact.High).Select(b => (Seconds?)b.Span.Start).FirstOrDefault();
        if (sheet.Time.WarmUp <= Seconds.Zero && firstJump is { } jump)
        {
            yield return new("jumps-before-warm-up", Severity.Problem, jump, "There are jumps and no warm-up before them.", "Name a warm-up to do first.");
        }
        else if (sheet.Time.WarmUp <= Seconds.Zero)
        {
            yield return new("no-warm-up", Severity.Info, null, "There is no warm-up in the recording.", "Name a warm-up from the library to go with it.");
        }
    }

    private static IEnumerable<Finding> CoolDown(Timeline timeline, MeasureSheet sheet)
    {
        if (sheet.Time.Work > Seconds.Zero && sheet.Time.CoolDown <= Seconds.Zero && !timeline.PartOfSeries)
        {
            yield return new("no-cool-down", Severity.Info, null, "The recording ends without a cool-down.", "Name a cool-down from the library to go with it.");
        }
    }

    private static IEnumerable<Finding> Kit(Timeline timeline)
    {
        var firstBout = timeline.Bouts.IsEmpty ? Seconds.Zero : timeline.Bouts[0].Span.Start;
        foreach (var item in timeline.Kit.Where(k => k.Need == KitNeed.Required && k.Item is not "mat"))
        {
            var said = item.Evidence.IsEmpty ? (Seconds?)null : item.Evidence[0].At;
            if (item.FirstNeeded is { } needed && said is { } at && at >= needed - new Seconds(5) && at > firstBout + new Seconds(60))
            {
                yield return new("kit-said-late", Severity.Warning, needed,
                    $"{Capital(item.Item)} is first mentioned when it is already needed.", "List it with the kit, so that members have it at hand.");
            }
        }
    }

    private static IEnumerable<Finding> NoEquipmentOnFloor(Timeline timeline, MoveLexicon lexicon)
    {
        var floor = timeline.Bouts.FirstOrDefault(b => lexicon[b.MoveId].Positions.Any(p => p is "supine" or "prone" or "side-lying" or "all-fours"));
        if (floor is not null && timeline.Kit.All(k => k.Item != "mat"))
        {
            yield return new("floor-without-mat", Severity.Info, floor.Span.Start, "There is floor work and no mat is mentioned.", "Add a mat to the kit as optional.");
        }
    }

    /// <summary>With rounds, a work move done in one round only while the others come back is a likely omission.</summary>
    private static IEnumerable<Finding> MovesUnfinished(Timeline timeline, MoveLexicon lexicon)
    {
        var rounds = timeline.Structures.Where(s => s.Rounds is not null).Select(s => s.Rounds!.Value.Low).FirstOrDefault();
        var work = timeline.BoutsOf(PhaseKind.Work).GroupBy(b => b.MoveId).ToDictionary(g => g.Key, g => g.ToList());
        if (rounds < 2 || work.Count < 3)
        {
            yield break;
        }

        // Both sides of a one-sided move are one time.
        static int Count(List<Bout> bouts) => bouts.Count(b => b.Side == Side.Both) + Math.Max(bouts.Count(b => b.Side == Side.Left), bouts.Count(b => b.Side == Side.Right));

        var usual = work.Values.Select(Count).GroupBy(c => c).OrderByDescending(g => g.Count()).First().Key;
        if (usual < 2)
        {
            yield break;
        }

        foreach (var (move, bouts) in work)
        {
            if (Count(bouts) < usual && !lexicon[move].IsGentle)
            {
                yield return new("move-missing-in-a-round", Severity.Warning, bouts[0].Span.Start,
                    $"{lexicon[move].Name} is done {Times(Count(bouts))}, the other moves {Times(usual)}.", "Check whether it was skipped or renamed in a round.");
            }
        }
    }

    private static IEnumerable<Finding> Claims(Timeline timeline) => timeline.Claims.Select(c => new Finding(
        c.Type == "body shaming" ? "body-talk" : "promise", Severity.Problem, c.At, $"{Capital(c.Type)}: \"{c.Text}\".",
        "Do not repeat it in the description; consider cutting it from the recording. If it is none, take it out under \"said besides\"."));

    private static IEnumerable<Finding> Outside(Timeline timeline) => timeline.Outside
        .Where(o => o.Type is "advert" or "brand or product" or "social media" or "self-promotion")
        .Select(o => new Finding("outside-mention", Severity.Info, o.At, $"{Capital(o.Type)}: \"{o.Text}\".", "Decide whether this may stay in the studio's library."));

    private static IEnumerable<Finding> HighWithoutWay(Timeline timeline, MoveLexicon lexicon)
    {
        foreach (var bout in timeline.Bouts.Where(b => lexicon[b.MoveId].Impact == Impact.High).DistinctBy(b => b.MoveId))
        {
            if (!timeline.Options.Any(o => o.Direction == OptionDirection.Easier && o.MoveId == bout.MoveId))
            {
                yield return new("high-impact-without-a-way-out", Severity.Warning, bout.Span.Start,
                    $"{lexicon[bout.MoveId].Name} jumps and no lower way is given.", "Add an option, or say it in the description.");
            }
        }
    }

    private static IEnumerable<Finding> Series(Timeline timeline)
    {
        if (timeline.PartOfSeries)
        {
            yield return new("part-of-series", Severity.Info, null, "The coach speaks of this as one part of several.", "Say in the title which part it is.");
        }
    }

    private static string Times(int n) => n == 1 ? "once" : n == 2 ? "twice" : $"{n} times";

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
