using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>How a bout that was read stands to the one that the said dose expects there.</summary>
public enum Fit
{
    Fits,
    Missing,
    Extra,
    Short,
    Long,
    Late,
}

/// <summary>One expected bout beside what was read.</summary>
/// <param name="Due">When it should run; null for an extra bout.</param>
/// <param name="Bout">What was read; null where it is missing.</param>
/// <param name="MoveId">The move that is due or was read; null where only the clock asks for a bout.</param>
/// <param name="Round">Round, set or step it belongs to, from 1; 0 where the dose has none.</param>
public sealed record ExpectedBout(Span? Due, Bout? Bout, Fit Fit, string? MoveId = null, int Round = 0);

/// <summary>The schedule that the said dose prescribes, held against the bouts that were read: by the clock where work and rest are said, else by the order of the moves.</summary>
public static partial class Expected
{
    /// <summary>Seconds by which a bout may start late or run short or long and still fit: the tolerance of a stopwatch on someone's lips.</summary>
    public static readonly Seconds Tolerance = new(8);

    /// <summary>The whole of it, by whichever way the dose allows; empty where nothing is said to hold against.</summary>
    public static ImmutableArray<ExpectedBout> Of(Structure structure, Timeline timeline) =>
        Against(structure, timeline) is { IsEmpty: false } clocked ? clocked : InOrder(structure, timeline);

    /// <summary>
    /// Walks the bouts of a timed block in order. Each found bout sets the clock anew, so that one long break does not make all that follows late.
    /// Empty for structures without a said work and rest, and for those measured from the bouts themselves.
    /// </summary>
    public static ImmutableArray<ExpectedBout> Against(Structure structure, Timeline timeline)
    {
        if (structure.Measured || structure is not { Work: { } work, Rest: { } rest } || structure.Type is not (StructureType.Intervals or StructureType.Tabata))
        {
            return [];
        }

        var beat = (work + rest).Value;
        var bouts = timeline.Bouts
            .Where(b => structure.Span.Contains(b.Span.Middle) && timeline.PhaseOf(b) == PhaseKind.Work)
            .OrderBy(b => b.Span.Start)
            .ToList();
        var intervals = Joined(bouts, work);
        var rows = ImmutableArray.CreateBuilder<ExpectedBout>();
        Seconds? due = null;
        foreach (var (bout, span) in intervals)
        {
            if (due is { } at)
            {
                var late = (span.Start - at).Value;
                if (late < -beat / 2)
                {
                    rows.Add(new ExpectedBout(null, bout, Fit.Extra, bout.MoveId));
                    continue;
                }

                // Breaks between rounds are no missing bouts.
                var breaks = timeline.Phases.Where(p => p.Kind == PhaseKind.Break).Any(p => p.Span.Overlap(new Span(at, span.Start)).Value > Tolerance.Value)
                    || (structure.RoundRest is { } between && late <= between.Value + Tolerance.Value);
                while (!breaks && late > beat * 0.8)
                {
                    rows.Add(new ExpectedBout(new Span(at, at + work), null, Fit.Missing));
                    at += work + rest;
                    late -= beat;
                }

                due = breaks ? span.Start : at;
            }

            var expected = new Span(due ?? span.Start, (due ?? span.Start) + work);
            var off = (span.Length - work).Value;
            var fit = (span.Start - expected.Start).Value > Tolerance.Value ? Fit.Late
                : off < -Tolerance.Value ? Fit.Short
                : off > Tolerance.Value ? Fit.Long : Fit.Fits;
            rows.Add(new ExpectedBout(expected, bout, fit, bout.MoveId));
            due = span.Start + work + rest;
        }

        // What the said rounds still owe at the end; a round is known by its moves.
        if (structure is { Rounds: { } rounds, MovesPerRound: { } moves })
        {
            var owed = (rounds.Low * moves) - rows.Count(r => r.Due is not null);
            for (var i = 0; i < owed && due is { } at; i++)
            {
                rows.Add(new ExpectedBout(new Span(at, at + work), null, Fit.Missing));
                due = at + work + rest;
            }
        }

        return rows.ToImmutable();
    }

    /// <summary>Both sides of a move that share an interval are one interval.</summary>
    private static List<(Bout Bout, Span Span)> Joined(List<Bout> bouts, Seconds work)
    {
        var joined = new List<(Bout Bout, Span Span)>();
        foreach (var bout in bouts)
        {
            if (joined.Count > 0 && joined[^1].Bout.MoveId == bout.MoveId && bout.Span.Start - joined[^1].Span.End <= new Seconds(2)
                && bout.Span.End - joined[^1].Span.Start <= work + Tolerance)
            {
                joined[^1] = (joined[^1].Bout, new Span(joined[^1].Span.Start, bout.Span.End));
            }
            else
            {
                joined.Add((bout, bout.Span));
            }
        }

        return joined;
    }
}
