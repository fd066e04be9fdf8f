namespace AnyPace.Core.Sessions;

/// <summary>How a block of work is dosed. Every length of it follows by laying it out; see <see cref="Schedule"/>.</summary>
public enum BlockKind
{
    /// <summary>Timed intervals in rounds.</summary>
    Intervals,

    /// <summary>Eight times twenty seconds on, ten off, for each move.</summary>
    TwentyTen,

    /// <summary>Each move several timed sets before the next.</summary>
    TimedSets,

    /// <summary>Repetitions at a tempo, all sets of a move before the next.</summary>
    RepSets,

    /// <summary>Pairs (or more) of moves, repetitions each, several times through, then the next pair.</summary>
    Supersets,

    /// <summary>A; A and B; A, B and C; with a filler between where one is set.</summary>
    Ladder,

    /// <summary>Counts of eight at a beat, each phrase repeated on both leads.</summary>
    Phrases,

    /// <summary>A position held several times.</summary>
    Holds,

    /// <summary>One long bout.</summary>
    Finisher,
}

/// <summary>The dose of one block, as a coach would say it. Every number is checked by <see cref="Validate"/>.</summary>
/// <param name="Moves">Different moves, 1 to 30.</param>
/// <param name="OneSided">How many of them are done on one side at a time, 0 to <paramref name="Moves"/>.</param>
/// <param name="SidesShareInterval">True: a one-sided move splits its interval or set between the sides; false: it takes one for each.</param>
/// <param name="Work">Seconds on; for holds the length of a hold, for a finisher its whole length.</param>
/// <param name="Rest">Seconds off between intervals, sets or holds.</param>
/// <param name="Rounds">Times through: rounds of intervals, times through a superset, holds.</param>
/// <param name="Sets">Sets of each move, for timed and repetition sets.</param>
/// <param name="Change">Seconds to change from one move (or superset) to the next, where that is more than the rest.</param>
/// <param name="RoundRest">Seconds between rounds.</param>
/// <param name="Reps">Repetitions, a range where one is said.</param>
/// <param name="SecondsPerRep">Tempo: four down and four up is 8.</param>
/// <param name="KeepLastRest">True where the rest after the last interval of a round is counted too.</param>
/// <param name="GroupSize">Moves of one superset, 2 or 3.</param>
/// <param name="Filler">Seconds of the filler between the steps of a ladder.</param>
/// <param name="Beats">Beats a minute, for phrases.</param>
/// <param name="Eights">Counts of eight of one phrase.</param>
/// <param name="Repeats">How often each phrase is done on each lead.</param>
public sealed record BlockPlan(
    BlockKind Kind, int Moves, int OneSided, bool SidesShareInterval, Seconds Work, Seconds Rest, CountRange Rounds, int Sets, Seconds Change, Seconds RoundRest,
    CountRange Reps, double SecondsPerRep, bool KeepLastRest, int GroupSize = 2, Seconds Filler = default, double Beats = 128, int Eights = 4, int Repeats = 2)
{
    /// <summary>Six moves, forty on, twenty off, two rounds, a minute between.</summary>
    public static readonly BlockPlan Usual = new(
        BlockKind.Intervals, 6, 0, false, new(40), new(20), CountRange.Of(2), 3, new(15), new(60), new(10, 12), 4, false);

    /// <summary>What is wrong with the numbers, by field; empty where they hold.</summary>
    public IEnumerable<(string Field, string Message)> Validate()
    {
        if (Moves is < 1 or > 30)
        {
            yield return ("moves", "Moves must be 1 to 30.");
        }

        if (OneSided < 0 || OneSided > Moves)
        {
            yield return ("oneSided", $"One-sided moves must be 0 to {Moves}, the number of moves.");
        }

        if (Work.Value is < 1 or > 3600)
        {
            yield return ("work", "Work must be 1 second to 60 minutes.");
        }

        foreach (var (field, name, value) in new[] { ("rest", "Rest", Rest), ("change", "Changing moves", Change), ("roundRest", "Rest between rounds", RoundRest), ("filler", "The filler", Filler) })
        {
            if (value.Value is < 0 or > 900)
            {
                yield return (field, $"{name} must be 0 to 15 minutes.");
            }
        }

        if (Rounds.Low < 1 || Rounds.High > 50 || Rounds.High < Rounds.Low)
        {
            yield return ("rounds", "Rounds must be 1 to 50; a range runs from the smaller to the larger.");
        }

        if (Sets is < 1 or > 20)
        {
            yield return ("sets", "Sets must be 1 to 20.");
        }

        if (Reps.Low < 1 || Reps.High > 200 || Reps.High < Reps.Low)
        {
            yield return ("reps", "Repetitions must be 1 to 200; a range runs from the smaller to the larger.");
        }

        if (SecondsPerRep is < 0.5 or > 60)
        {
            yield return ("tempo", "A repetition must take 0.5 to 60 seconds.");
        }

        if (GroupSize is < 2 or > 3)
        {
            yield return ("group", "A superset has 2 or 3 moves.");
        }

        if (Beats is < 40 or > 220 || Eights is < 1 or > 32 || Repeats is < 1 or > 16)
        {
            yield return ("beats", "Beats must be 40 to 220 a minute, a phrase 1 to 32 counts of eight, repeats 1 to 16.");
        }
    }
}
