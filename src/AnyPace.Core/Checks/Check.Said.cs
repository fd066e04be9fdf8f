using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Checks;

/// <summary>The rules on what was said, on the said intervals, on slips and on the talk.</summary>
public static partial class Check
{
    /// <summary>Two promised lengths this far apart, in minutes, can't both be of the class.</summary>
    private const double LengthsApart = 4;

    /// <summary>A bout longer than this, in seconds, is rarely one move.</summary>
    private const double VeryLong = 300;

    /// <summary>A joint works long from here on, in seconds.</summary>
    private const double LongStrain = 120;

    /// <summary>Talk beside the class shorter than this, in seconds, is part of the voice.</summary>
    private const double OffTopicFrom = 20;

    /// <summary>Share of the bouts that must be off the said length before the intervals are.</summary>
    private const double IntervalsOff = 0.3;

    private static IEnumerable<Finding> Said(Timeline timeline, MeasureSheet sheet)
    {
        if (timeline.Stated.Minutes is { Length: > 1 } minutes && minutes.Max() - minutes.Min() >= LengthsApart)
        {
            yield return new("lengths-disagree", Severity.Warning, null,
                $"{string.Join(" and ", minutes.Select(m => $"{m:0.#}"))} min are promised.", "Keep the one that is measured in the description.");
        }

        var level = sheet.Difficulty.Level;
        if ((timeline.Stated.Level is "beginner" or "beginners" && level >= 4) || (timeline.Stated.Level is "advanced" && level <= 2))
        {
            yield return new("stated-level", Severity.Warning, null,
                $"Said to be for {timeline.Stated.Level}, measured level {level} of 5.", "Change the description, or look at what makes it so under the level.");
        }

        if (timeline.Stated.NoKit is { } said && timeline.Kit.FirstOrDefault(k => k.Need == KitNeed.Required && k.Item != "mat") is { } item)
        {
            yield return new("no-equipment-said", Severity.Problem, item.FirstNeeded ?? said,
                $"\"No equipment\" is said at {said}, yet a {item.Item} is needed.", "List it with the kit, and leave \"no equipment\" out of the description.");
        }

        if (timeline.Kind == ClassKind.Demonstration && timeline.Structures.All(s => s.Measured || (s.Reps is null && s.Rounds is null && s.Work is null)))
        {
            yield return new("no-dose", Severity.Warning, null, "The moves are shown, but nobody says how many or how long.", "Add the dose to the description.");
        }
    }

    private static IEnumerable<Finding> Intervals(Timeline timeline)
    {
        foreach (var structure in timeline.Structures)
        {
            var rows = Expected.Against(structure, timeline);
            var done = rows.Where(r => r is { Bout: not null, Due: not null }).ToList();
            var off = done.Where(r => r.Fit is Fit.Short or Fit.Long).ToList();
            if (done.Count >= 4 && off.Count > IntervalsOff * done.Count)
            {
                var lengths = off.Select(r => r.Bout!.Span.Length.Value).Order().ToList();
                yield return new("intervals-off", Severity.Warning, off[0].Bout!.Span.Start,
                    $"{structure.Work} on is said; {off.Count} of {done.Count} bouts run otherwise, most near {new Seconds(lengths[lengths.Count / 2])}.",
                    "Check the edges of these bouts, or correct what the description says.");
            }

            // One break that nobody called makes a run of missing bouts; the first says it.
            foreach (var missing in rows.Where((r, i) => r.Fit == Fit.Missing && (i == 0 || rows[i - 1].Fit != Fit.Missing)).Take(3))
            {
                yield return new("bout-missing", Severity.Warning, missing.Due!.Value.Start,
                    $"By the said {structure.Work} on, {structure.Rest} off a bout is due at {missing.Due.Value.Start}; none is there.", "Add the bout, or a break.");
            }

            foreach (var late in rows.Where(r => r.Fit == Fit.Late).Take(3))
            {
                yield return new("bout-late", Severity.Info, late.Bout!.Span.Start,
                    $"By the said {structure.Work} on, {structure.Rest} off this bout is due at {late.Due!.Value.Start}; it starts {late.Bout.Span.Start - late.Due.Value.Start} later.",
                    "Check its start, or mark the pause before it as a break.");
            }

            foreach (var extra in rows.Where(r => r.Fit == Fit.Extra).Take(3))
            {
                yield return new("bout-extra", Severity.Info, extra.Bout!.Span.Start,
                    $"A bout at {extra.Bout.Span.Start} lies between two of the said intervals.", "Remove it, or join it with its neighbour.");
            }
        }
    }

    /// <summary>Doses without a clock: a bout far shorter than the same move's others, and rounds that were said and are not there.</summary>
    private static IEnumerable<Finding> Rounds(Timeline timeline, MoveLexicon lexicon)
    {
        foreach (var structure in timeline.Structures.Where(s => Expected.Against(s, timeline).IsEmpty))
        {
            var rows = Expected.InOrder(structure, timeline);
            foreach (var row in rows.Where(r => r.Fit == Fit.Short).Take(3))
            {
                yield return new("short-in-a-round", Severity.Info, row.Bout!.Span.Start,
                    $"{lexicon[row.MoveId!].Name} runs {row.Bout.Span.Length} in round {row.Round}, clearly shorter than in the others.", "Check its edges; if it was cut short, say so in the description.");
            }

            var last = rows.Where(r => r.Bout is not null).Select(r => r.Round).DefaultIfEmpty(0).Max();
            if (structure.Rounds is { } said && last > 1 && last < said.Low)
            {
                yield return new("rounds-missing", Severity.Warning, rows.Last(r => r.Bout is not null).Bout!.Span.Start,
                    $"{said} rounds are said, {last} are there.", "Add the bouts of the missing round, or correct the number of rounds in the description.");
            }
        }
    }

    private static IEnumerable<Finding> Announced(Timeline timeline, MoveLexicon lexicon)
    {
        if (timeline.Voice is not { } voice)
        {
            yield break;
        }

        var done = timeline.Bouts.Select(b => lexicon[b.MoveId]).ToList();
        foreach (var heard in voice.Announced)
        {
            // Done under a near name is done: its neighbour, its parts, a fuller name.
            if (lexicon.Find(heard.MoveId) is not { } move
                || done.Exists(d => d.Id == move.Id || d.Id == move.Easier || d.Id == move.Harder || d.Easier == move.Id || d.Harder == move.Id
                    || d.Parts.Contains(move.Id) || move.Parts.Contains(d.Id) || d.NamesMoreThan(move) || move.NamesMoreThan(d) || d.Elsewhere.Contains(move.Id) || move.Elsewhere.Contains(d.Id))
                || timeline.Slips.Any(s => s.MoveId == move.Id))
            {
                continue;
            }

            yield return new("announced-not-done", Severity.Warning, heard.At, $"{move.Name} is announced and not done.", "Add its bout, or leave it out of the description.");
        }
    }

    private static IEnumerable<Finding> Slips(Timeline timeline, MoveLexicon lexicon) => timeline.Slips.Select(s => s.Kind switch
    {
        SlipKind.LostCount => new Finding("lost-count", Severity.Info, s.At, $"The count is lost: \"{s.Text}\".", "Count the repetitions of both sides, and even them out in the description if they differ."),
        SlipKind.CountJumps => new Finding("count-jumps", Severity.Info, s.At, $"The count jumps: \"{s.Text}\".", "Listen to it; if a repetition was left out, the other side should match."),
        SlipKind.WrongMove => new Finding("wrong-move-announced", Severity.Info, s.At, $"{Name(lexicon, s)} is announced by mistake: \"{s.Text}\".", "Nothing, if the right move stands on the strip."),
        _ => new Finding("move-left-out", Severity.Info, s.At, $"{Name(lexicon, s)} is said to be left out: \"{s.Text}\".", "Check the bouts of that round."),
    });

    private static string Name(MoveLexicon lexicon, Slip slip) => lexicon.Find(slip.MoveId)?.Name ?? "A move";

    private static IEnumerable<Finding> Names(Timeline timeline, MoveLexicon lexicon) => (timeline.Voice?.Names ?? [])
        .GroupBy(n => n.MoveId)
        .Where(g => lexicon.Find(g.Key) is not null)
        .Select(g => new Finding("two-names", Severity.Info, g.Last().At,
            $"{lexicon[g.Key].Name} goes by {string.Join(" and ", g.Select(n => $"\"{n.Name}\""))}.", "Use one name in the description; members search by either."));

    private static IEnumerable<Finding> Clock(Timeline timeline, MoveLexicon lexicon)
    {
        var bouts = timeline.Bouts.OrderBy(b => b.Span.Start).ToList();
        foreach (var (a, b) in bouts.Zip(bouts.Skip(1)))
        {
            if (a.Span.Overlap(b.Span).Value > 2)
            {
                yield return new("overlapping-bouts", Severity.Problem, b.Span.Start,
                    $"{lexicon[a.MoveId].Name} and {lexicon[b.MoveId].Name.ToLowerInvariant()} run at the same time for {a.Span.Overlap(b.Span)}.", "Move the edge between them.");
            }
        }

        foreach (var bout in bouts.Where(b => b.Span.Length.Value > VeryLong && !lexicon[b.MoveId].IsGentle))
        {
            yield return new("very-long-bout", Severity.Info, bout.Span.Start,
                $"{lexicon[bout.MoveId].Name} runs for {bout.Span.Length} without a change.", "Check whether other moves are done in it.");
        }
    }

    private static IEnumerable<Finding> Completeness(Timeline timeline, MeasureSheet sheet)
    {
        if (timeline.PartOfSeries || sheet.Time.Work <= Seconds.Zero)
        {
            yield break;
        }

        var complete = sheet.Completeness;
        if (sheet.Time.WarmUp > Seconds.Zero && complete.WarmUpShort > Seconds.Zero)
        {
            yield return new("short-warm-up", Severity.Info, null,
                $"The warm-up takes {sheet.Time.WarmUp}; {complete.WarmUpWanted} is wanted for this effort and impact.", "Name a warm-up from the library to go with it.");
        }

        if (sheet.Time.CoolDown > Seconds.Zero && complete.CoolDownShort > Seconds.Zero)
        {
            yield return new("short-cool-down", Severity.Info, null, $"The cool-down takes {sheet.Time.CoolDown}; {Constants.CoolDownLeast} is wanted.", "Name a cool-down from the library to go with it.");
        }
    }

    private static IEnumerable<Finding> Loads(Timeline timeline) => timeline.Kit
        .Where(k => k is { Need: KitNeed.Required, Item: "dumbbell" or "kettlebell" or "bar", Load: null })
        .Select(k => new Finding("load-not-said", Severity.Info, k.FirstNeeded, $"A {k.Item} is needed and no load is said.", "Add light, medium, heavy or a number to the description."));

    /// <summary>The caution topics that answer a strain.</summary>
    private static readonly Dictionary<string, string[]> CautionFor = new()
    {
        ["knees"] = ["knees"],
        ["wrists"] = ["wrists"],
        ["lower back"] = ["lower back"],
        ["neck"] = ["neck"],
        ["shoulders overhead"] = ["shoulders"],
        ["single-leg balance"] = ["balance"],
    };

    private static IEnumerable<Finding> Strains(Timeline timeline, MeasureSheet sheet)
    {
        // A word for the whole body answers for every part of it.
        if (timeline.Cautions.Any(c => c.Topic is "pain" or "medical"))
        {
            yield break;
        }

        foreach (var strain in sheet.Strains.Where(s => s.Length.Value >= LongStrain && s.WaysOut == 0))
        {
            if (CautionFor.TryGetValue(strain.Strain, out var topics) && !timeline.Cautions.Any(c => topics.Contains(c.Topic)))
            {
                yield return new("strain-without-caution", Severity.Info, strain.First,
                    $"{strain.Length} on {strain.Strain} without a caution or an easier way.", "Add a caution to the description.");
            }
        }
    }

    private static IEnumerable<Finding> Talk(Timeline timeline)
    {
        foreach (var o in timeline.Outside.Where(o => o.Until is { } until && (until - o.At).Value >= OffTopicFrom))
        {
            yield return new("off-topic-stretch", Severity.Info, o.At, $"{o.Until!.Value - o.At} of {o.Type}: \"{o.Text}\".", "Consider cutting it from the recording.");
        }
    }

    private static IEnumerable<Finding> Captions(Timeline timeline)
    {
        if (timeline.Voice is not { } voice)
        {
            yield break;
        }

        // Nobody has to speak through a stretch.
        foreach (var silence in voice.Silences.Where(s => timeline.PhaseAt(s.Middle) is PhaseKind.Work or PhaseKind.WarmUp))
        {
            yield return new("long-silence", Severity.Info, silence.Start, $"Nobody speaks for {silence.Length}.", "Check whether captions are missing there, and what is done meanwhile.");
        }

        if (voice.NoiseFrom is { } noise)
        {
            yield return new("noise-after-the-end", Severity.Info, noise, $"The class ends at {noise}; the captions go on.", "Cut the recording there; the captions after it are left out of all figures.");
        }

        if (!voice.SignedOff && !timeline.PartOfSeries && timeline.Phases is [.., { Kind: PhaseKind.Work } last] && timeline.Recorded - last.Span.End < new Seconds(15))
        {
            yield return new("captions-end-early", Severity.Warning, last.Span.End, "The captions stop in the middle of the work, without a goodbye.", "Check whether the recording goes on; if so, take it in with all its captions.");
        }
    }
}
