using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>The shape of the work: as said where it is said, else measured from the bouts and marked so.</summary>
internal static partial class StructureReader
{
    public static ImmutableArray<Structure> Read(
        Speech speech, SaidDose dose, ImmutableArray<Phase> phases, IReadOnlyList<Bout> bouts, MoveLexicon lexicon)
    {
        var work = phases.Where(p => p.Kind == PhaseKind.Work).ToList();
        if (work.Count == 0)
        {
            return [];
        }

        var span = new Span(work[0].Span.Start, work[^1].Span.End);
        var main = bouts.Where(b => b.Span.Middle >= span.Start && b.Span.Middle <= span.End).ToList();
        if (main.Count == 0)
        {
            return [];
        }

        Structure Make(StructureType type, bool measured, Seconds? on = null, Seconds? off = null) => new(
            type, span, on, off, dose.Rounds, dose.Sets, dose.MovesPerRound,
            dose.RoundRestSeconds is { } b ? new Seconds(b) : null, dose.Reps, measured, measured ? [] : [.. dose.Evidence]);

        Seconds? Said(double? value) => value is { } v ? new Seconds(v) : null;

        if (dose.Timed)
        {
            var twentyTen = dose is { WorkSeconds: 20, RestSeconds: 10 };
            return [Make(dose.Ladder ? StructureType.Ladder : twentyTen ? StructureType.Tabata : StructureType.Intervals, false, Said(dose.WorkSeconds), Said(dose.RestSeconds))];
        }

        if (dose.Ladder)
        {
            return [Make(StructureType.Ladder, false)];
        }

        if (dose.Supersets)
        {
            return [Make(StructureType.Supersets, false)];
        }

        if (dose.Reps is not null || dose.Sets is not null || main.Count(b => b.Reps is not null) * 2 > main.Count)
        {
            return [Make(StructureType.RepSets, false)];
        }

        if (Counts().Count(speech.Text) >= 4)
        {
            return [Make(StructureType.Choreography, false)];
        }

        // Nothing is said: a steady beat of bouts is intervals, measured.
        var lengths = main.Select(b => b.Span.Length.Value).Order().ToList();
        var median = lengths[lengths.Count / 2];
        var steady = lengths.Count(l => Math.Abs(l - median) <= 6);
        if (main.Count >= 5 && steady * 3 >= lengths.Count * 2)
        {
            var gaps = main.Zip(main.Skip(1), (a, b) => (b.Span.Start - a.Span.End).Value).Order().ToList();
            return [Make(StructureType.Intervals, true, new Seconds(Math.Round(median / 5) * 5), new Seconds(Math.Max(0, Math.Round(gaps[gaps.Count / 2] / 5) * 5)))];
        }

        var held = main.Where(b => lexicon[b.MoveId].SecondsPerRep >= 20).Sum(b => b.Span.Length.Value);
        return [Make(held * 2 > lengths.Sum() ? StructureType.Hold : StructureType.Flow, true)];
    }

    [GeneratedRegex(@"\b(5 6 7 8|8 counts?|counts? of 8|for 8\b|from the top|lead with|phrase|choreo\w*|on the beat)", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Counts();
}
