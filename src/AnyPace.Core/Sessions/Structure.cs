using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>The shapes a stretch of work takes (contract: structures.type).</summary>
public enum StructureType
{
    Intervals,
    Tabata,
    RepSets,
    Supersets,
    Ladder,
    Choreography,
    Hold,
    Flow,
}

/// <summary>The dose of a stretch of work: as said, or measured from the clock.</summary>
public sealed record Structure(
    StructureType Type,
    Span Span,
    Seconds? Work,
    Seconds? Rest,
    CountRange? Rounds,
    int? Sets,
    int? MovesPerRound,
    Seconds? RoundRest,
    CountRange? Reps,
    bool Measured,
    ImmutableArray<Evidence> Evidence);

/// <summary>Length arithmetic of the structures; formulas from the craft's table of doses.</summary>
public static class Dose
{
    /// <summary>Timed intervals in rounds: R*(N*w + (N-1)*r) + (R-1)*B, or with N*r where the last rest of each round is kept.</summary>
    /// <param name="moves">N, intervals a round; a one-sided move that takes an interval a side counts twice. At least 1.</param>
    public static Seconds Intervals(int moves, int rounds, Seconds work, Seconds rest, Seconds betweenRounds, bool keepLastRest = false)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(moves, 1);
        ArgumentOutOfRangeException.ThrowIfLessThan(rounds, 1);
        var round = (work * moves) + (rest * (keepLastRest ? moves : moves - 1));
        return (round * rounds) + (betweenRounds * (rounds - 1));
    }

    /// <summary>Timed sets per move: N*(S*w + (S-1)*r) + (N-1)*T.</summary>
    public static Seconds TimedSets(int moves, int sets, Seconds work, Seconds rest, Seconds change)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(moves, 1);
        ArgumentOutOfRangeException.ThrowIfLessThan(sets, 1);
        return (((work * sets) + (rest * (sets - 1))) * moves) + (change * (moves - 1));
    }

    /// <summary>Repetitions at a tempo, each side counted.</summary>
    public static (Seconds Low, Seconds High) Reps(CountRange reps, double secondsPerRep, int sides) =>
        (new Seconds(reps.Low * secondsPerRep * sides), new Seconds(reps.High * secondsPerRep * sides));
}
