using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Timeline at a pace to figures. Pure: the same timeline always gives the same sheet.</summary>
public static class Measure
{
    public static SessionMeasures All(Timeline timeline, MoveLexicon lexicon, MeasureSettings? settings = null)
    {
        var led = Sheet(timeline, lexicon, Pace.AsLed, settings);
        return new SessionMeasures(
            Sheet(timeline, lexicon, Pace.Eased, settings, led), led, Sheet(timeline, lexicon, Pace.Pushed, settings, led), Coaching.Of(timeline), settings ?? MeasureSettings.Usual);
    }

    /// <param name="led">The sheet as led, where known: no part of the difficulty is counted higher at Ease, or lower at Push, than as led.</param>
    public static MeasureSheet Sheet(Timeline timeline, MoveLexicon lexicon, Pace pace, MeasureSettings? settings = null, MeasureSheet? led = null)
    {
        settings ??= MeasureSettings.Usual;
        if (pace != Pace.AsLed)
        {
            led ??= Sheet(timeline, lexicon, Pace.AsLed, settings);
        }

        var bouts = PaceLayer.Lay(timeline, lexicon, pace, settings.Neighbours);
        var time = Time(timeline, bouts);
        var impact = Impact(timeline, bouts, settings.Impact);
        var muscles = Muscles(bouts);
        var effort = Effort(timeline, bouts);
        var main = bouts.Where(b => b.Phase == PhaseKind.Work).ToList();
        var energy = bouts.Sum(b => b.Move.Met.Energy(Constants.ReferenceMass, b.Bout.Span.Length).Value)
            + Met.Standing.Energy(Constants.ReferenceMass, Seconds.Max(Seconds.Zero, time.Class - Total(bouts))).Value;
        var vigorous = LengthIn(effort, Intensity.Vigorous);
        return new MeasureSheet(
            pace,
            time,
            impact,
            muscles,
            Focus(muscles),
            FullBody(muscles),
            effort,
            LengthIn(effort, Intensity.Light),
            LengthIn(effort, Intensity.Moderate),
            vigorous,
            Difficulties.Score(timeline, effort, time, impact, main, settings, led?.Difficulty, pace),
            [.. bouts.SelectMany(b => b.Move.Positions).Distinct().OrderBy(p => Vocabulary.Positions.IndexOf(p))],
            Strains(timeline, bouts),
            new EnergyRange(Constants.ReferenceMass, new(energy * (1 - Constants.EnergySpread)), new(energy * (1 + Constants.EnergySpread))),
            Balance.Of(main),
            Place.Of(timeline, bouts, impact),
            CompletenessFigures.Of(time, impact, vigorous));
    }

    /// <summary>Muscle load of one bout for one muscle: seconds x role x effort factor; nothing for stretches, which lengthen.</summary>
    public static double Load(PacedBout bout, string muscle)
    {
        if (bout.Move.IsStretch)
        {
            return 0;
        }

        var role = bout.Move.Prime.Contains(muscle) ? Constants.PrimeRole
            : bout.Move.Helper.Contains(muscle) ? Constants.HelperRole
            : bout.Move.Stabiliser.Contains(muscle) ? Constants.StabiliserRole : 0;
        var factor = Math.Clamp(bout.Move.Met.Value / Constants.EffortUnit, Constants.EffortLeast, Constants.EffortMost);
        return bout.Bout.Span.Length.Value * role * factor;
    }

    private static Seconds Total(IEnumerable<PacedBout> bouts) =>
        bouts.Aggregate(Seconds.Zero, (sum, b) => sum + b.Bout.Span.Length);

    private static TimeFigures Time(Timeline timeline, IReadOnlyList<PacedBout> bouts)
    {
        Seconds PhaseLength(PhaseKind kind) =>
            timeline.Phases.Where(p => p.Kind == kind).Aggregate(Seconds.Zero, (sum, p) => sum + p.Span.Length);

        var classTime = bouts.Count == 0 ? Seconds.Zero : new Span(bouts[0].Bout.Span.Start, bouts.Max(b => b.Bout.Span.End)).Length;
        var main = bouts.Where(b => b.Phase == PhaseKind.Work).ToList();
        var work = Total(main);
        var rest = Seconds.Zero;
        var longest = Seconds.Zero;
        var stretch = Seconds.Zero;
        for (var i = 0; i < main.Count; i++)
        {
            var gap = i == 0 ? Seconds.Zero : main[i].Bout.Span.Start - main[i - 1].Bout.Span.End;
            var together = i > 0 && gap <= Constants.UnbrokenGap;
            stretch = together ? stretch + main[i].Bout.Span.Length : main[i].Bout.Span.Length;
            longest = Seconds.Max(longest, stretch);
            if (i > 0 && gap > Seconds.Zero)
            {
                // Breaks are counted as breaks, not as rest.
                var between = new Span(main[i - 1].Bout.Span.End, main[i].Bout.Span.Start);
                var breaks = timeline.Phases.Where(p => p.Kind == PhaseKind.Break).Aggregate(Seconds.Zero, (s, p) => s + p.Span.Overlap(between));
                rest += Seconds.Max(Seconds.Zero, gap - breaks);
            }
        }

        var (low, high) = timeline.Kind == ClassKind.Demonstration ? Prescribed(timeline, main, classTime) : (classTime, classTime);
        return new TimeFigures(
            classTime, low, high, PhaseLength(PhaseKind.WarmUp), work, rest, PhaseLength(PhaseKind.Break), PhaseLength(PhaseKind.CoolDown),
            PhaseLength(PhaseKind.Talk), work / (work + rest), longest,
            Total(bouts.Where(b => b.Bout.Side == Side.Left)), Total(bouts.Where(b => b.Bout.Side == Side.Right)));
    }

    /// <summary>The prescribed length of a demonstration: its dose done in full, plus the warm-up it shows.</summary>
    private static (Seconds Low, Seconds High) Prescribed(Timeline timeline, List<PacedBout> main, Seconds shown)
    {
        var dose = timeline.Structures.FirstOrDefault(s => !s.Measured);
        if (dose is null || main.Count == 0)
        {
            return (shown, shown);
        }

        var moves = main.Select(b => b.Move).DistinctBy(m => m.Id).ToList();
        var rounds = dose.Rounds ?? CountRange.Of(dose.Sets ?? 1);
        Seconds low, high;
        if (dose.Work is { } work)
        {
            var slots = moves.Sum(m => m.Sides == MoveSides.Each ? 2 : 1);
            var rest = dose.Rest ?? Seconds.Zero;
            low = Dose.Intervals(slots, rounds.Low, work, rest, dose.RoundRest ?? Seconds.Zero);
            high = Dose.Intervals(slots, rounds.High, work, rest, dose.RoundRest ?? Seconds.Zero);
        }
        else
        {
            (low, high) = (Seconds.Zero, Seconds.Zero);
            foreach (var move in moves)
            {
                var reps = main.FirstOrDefault(b => b.Move.Id == move.Id && b.Bout.Reps is not null)?.Bout.Reps ?? dose.Reps ?? CountRange.Of(10);
                var one = Dose.Reps(reps, move.SecondsPerRep >= 15 ? 3 : move.SecondsPerRep, move.Sides == MoveSides.Each ? 2 : 1);
                low += one.Low * rounds.Low;
                high += one.High * rounds.High;
            }

            low += Pauses(dose, moves.Count, rounds.Low);
            high += Pauses(dose, moves.Count, rounds.High);
        }

        var warm = timeline.Phases.Where(p => p.Kind == PhaseKind.WarmUp).Aggregate(Seconds.Zero, (s, p) => s + p.Span.Length);
        return (low + warm, high + warm);
    }

    /// <summary>
    /// What lies between the sets of a dose in repetitions: the rest that is said, after each set where sets of one move follow each other and after each
    /// round else, and everywhere else the change to the next move.
    /// </summary>
    private static Seconds Pauses(Structure dose, int moves, int times)
    {
        var gaps = (moves * times) - 1;
        if (dose.RoundRest is not { } rest)
        {
            return Constants.ChangeOfMove * gaps;
        }

        var rests = dose.Rounds is null && dose.Sets is not null ? gaps : times - 1;
        return (rest * rests) + (Constants.ChangeOfMove * (gaps - rests));
    }

    private static ImpactFigures Impact(Timeline timeline, IReadOnlyList<PacedBout> bouts, ImpactSchool school)
    {
        var perClass = new Seconds[4];
        foreach (var b in bouts)
        {
            perClass[(int)b.Move.Impact] += b.Bout.Span.Length;
        }

        var highest = Lexicon.Impact.None;
        var all = perClass.Aggregate(Seconds.Zero, (s, x) => s + x);
        var prevailing = Lexicon.Impact.None;
        var below = Seconds.Zero;
        var found = false;
        for (var i = 0; i < 4; i++)
        {
            // At this class or above: else two short jumps at Push could read as less than one long hop as led.
            if (perClass.Skip(i).Aggregate(Seconds.Zero, (s, x) => s + x) >= Constants.ImpactCounts)
            {
                highest = (Impact)i;
            }

            below += perClass[i];
            if (!found && all > Seconds.Zero && below / all >= Constants.PrevailingShare)
            {
                prevailing = (Impact)i;
                found = true;
            }
        }

        var high = bouts.Where(b => b.Move.Impact == Lexicon.Impact.High).Select(b => b.Bout.MoveId).Distinct().ToList();
        bool? way = high.Count == 0 ? null : high.All(id => timeline.Options.Any(o => o.Direction == OptionDirection.Easier && o.MoveId == id));
        return new ImpactFigures(school == ImpactSchool.Highest ? highest : prevailing, highest, prevailing, perClass[2] + perClass[3], way, [.. perClass]);
    }

    private static ImmutableArray<MuscleShare> Muscles(IReadOnlyList<PacedBout> bouts)
    {
        var loads = Vocabulary.Muscles.Select(m => (Muscle: m, Load: bouts.Where(b => b.Phase == PhaseKind.Work).Sum(b => Load(b, m)))).ToList();
        var sum = loads.Sum(l => l.Load);
        return sum == 0
            ? []
            : [.. loads.Where(l => l.Load > 0).OrderByDescending(l => l.Load).Select(l => new MuscleShare(l.Muscle, l.Load / sum, l.Load))];
    }

    private static ImmutableArray<string> Focus(ImmutableArray<MuscleShare> muscles)
    {
        var focus = ImmutableArray.CreateBuilder<string>();
        var reached = 0.0;
        foreach (var m in muscles)
        {
            if (reached >= Constants.FocusShare || focus.Count == Constants.FocusMost)
            {
                break;
            }

            focus.Add(m.Muscle);
            reached += m.Share;
        }

        return focus.ToImmutable();
    }

    private static bool FullBody(ImmutableArray<MuscleShare> muscles)
    {
        var lower = muscles.Where(m => Vocabulary.LowerBody.Contains(m.Muscle)).Sum(m => m.Share);
        var core = muscles.Where(m => Vocabulary.CoreBody.Contains(m.Muscle)).Sum(m => m.Share);
        return !muscles.IsEmpty && Math.Min(Math.Min(lower, core), 1 - lower - core) >= Constants.FullBodyShare;
    }

    private static ImmutableArray<EffortPoint> Effort(Timeline timeline, IReadOnlyList<PacedBout> bouts)
    {
        var points = ImmutableArray.CreateBuilder<EffortPoint>();
        var end = Math.Max(timeline.Recorded.Value, bouts.Count == 0 ? 0 : bouts.Max(b => b.Bout.Span.End.Value));
        var step = Constants.EffortStep.Value;
        var met = Met.Standing.Value;
        var next = 0;
        for (double t = 0; t <= end; t += step)
        {
            while (next < bouts.Count && bouts[next].Bout.Span.End.Value <= t)
            {
                next++;
            }

            var target = next < bouts.Count && bouts[next].Bout.Span.Contains(new Seconds(t)) ? bouts[next].Move.Met.Value : Met.Standing.Value;
            var lag = target > met ? Constants.LagUp.Value : Constants.LagDown.Value;
            met += (target - met) * (1 - Math.Exp(-step / lag));
            points.Add(new EffortPoint(new Seconds(t), new Met(met)));
        }

        return points.ToImmutable();
    }

    private static Seconds LengthIn(ImmutableArray<EffortPoint> effort, Intensity intensity) =>
        Constants.EffortStep * effort.Count(p => p.Met.Intensity == intensity);

    private static ImmutableArray<StrainFigure> Strains(Timeline timeline, IReadOnlyList<PacedBout> bouts)
    {
        var strains = ImmutableArray.CreateBuilder<StrainFigure>();
        foreach (var strain in Vocabulary.Strains)
        {
            var hit = bouts.Where(b => Has(b, strain)).ToList();
            if (hit.Count > 0)
            {
                var moves = hit.Select(b => b.Bout.MoveId).ToHashSet();
                var ways = timeline.Options.Count(o => o.Direction == OptionDirection.Easier && o.MoveId is not null && moves.Contains(o.MoveId));
                strains.Add(new StrainFigure(strain, Total(hit), hit[0].Bout.Span.Start, ways));
            }
        }

        return strains.ToImmutable();
    }

    /// <summary>Floor and holds follow from the move; the other strains are the lexicon's.</summary>
    public static bool Has(PacedBout bout, string strain) => strain switch
    {
        "getting to the floor" => bout.Move.Positions.Any(Vocabulary.IsFloor),
        "long holds" => bout.Move is { IsHeld: true, IsStretch: false } && bout.Bout.Span.Length.Value >= 20,
        _ => bout.Move.Strains.Contains(strain),
    };
}
