using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Moves that nobody names and that the class itself tells: where a start is called without a name, what came next the last time.</summary>
/// <remarks>The numbers below are ours; they have no source outside the project.</remarks>
internal static class NextMoves
{
    /// <summary>No name begins within so many seconds of such a start.</summary>
    private const double NamedNear = 8;

    /// <summary>A round that is called so near begins anew, with whatever its first move is.</summary>
    private const double RoundNear = 12;

    /// <summary>What was done last was named so many seconds before it at most, and so many at least.</summary>
    private const double DoneWithin = 180;
    private const double JustDone = 5;

    /// <summary>The same move does not begin twice in so many seconds.</summary>
    private const double Apart = 10;

    /// <summary>The moves, each with the word that calls its start.</summary>
    /// <param name="opening">When the class proper begins, in seconds.</param>
    /// <param name="isTold">Whether a move is heard at some time, in seconds, already.</param>
    public static List<(Move Move, int Token)> Find(ClassOrder order, IReadOnlyList<Mark> marks, List<Mention> mentions, double opening, Func<Move, double, bool> isTold)
    {
        List<double> begun = [.. mentions.Where(ClassOrder.IsClear).Select(m => m.EffectiveAt).Order()];
        var found = new List<(Move Move, int Token, double At)>();
        foreach (var mark in marks.Where(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 } && m.At >= opening && !Clocked.Between(marks, m.At - RoundNear, m.At + RoundNear).Any(r => r.Kind is MarkKind.Round or MarkKind.Again)))
        {
            var near = Clocked.From(begun, Math.BitIncrement(mark.At - NamedNear), static at => at);
            if ((near == begun.Count || begun[near] >= mark.At + NamedNear) && order.Next(mark.At - JustDone, DoneWithin) is { } move
                && !isTold(move, mark.At) && !found.Exists(f => f.Move.Id == move.Id && mark.At - f.At < Apart))
            {
                found.Add((move, mark.Token, mark.At));
            }
        }

        return found.ConvertAll(f => (f.Move, f.Token));
    }
}
