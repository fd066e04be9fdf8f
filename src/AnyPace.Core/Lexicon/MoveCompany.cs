namespace AnyPace.Core.Lexicon;

/// <summary>
/// Which moves are done in one class, and which right after which, as counted in classes that were marked by hand: where a plié has been, a battement is likelier than
/// a front kick. All it tells are natural logarithms of how much likelier, 0 where it is no likelier or nothing is known: that two were never seen together speaks
/// against neither, for a coach may put any two together.
/// </summary>
/// <remarks>The weights below are ours, by classes held back in turn; they have no source outside the project.</remarks>
public sealed class MoveCompany
{
    /// <summary>So many classes, and so many changes of move, in which all was as everywhere, are added to those of each move.</summary>
    private const double EvenClasses = 4;
    private const double EvenChanges = 3;

    /// <summary>And to each move so much of a class, so that none is impossible.</summary>
    private const double Unseen = 0.3;

    /// <summary>The moves that were done in any class, and for each two of them how much likelier one is where the other is done.</summary>
    private readonly Dictionary<string, int> _moves;
    private readonly double[,] _together;
    private readonly Dictionary<(string, string), int> _next = [];
    private readonly Dictionary<string, int> _from = [];
    private readonly Dictionary<string, int> _to = [];
    private readonly double _changes;

    /// <param name="classes">The classes.</param>
    /// <param name="moves">How many moves there are.</param>
    public MoveCompany(IReadOnlyCollection<TaughtClass> classes, int moves)
    {
        _moves = classes.SelectMany(c => c.Bouts.Select(b => b.MoveId)).Distinct().Index().ToDictionary(m => m.Item, m => m.Index);
        var alone = new int[_moves.Count];
        var both = new int[_moves.Count, _moves.Count];
        foreach (var taught in classes)
        {
            var ids = taught.Bouts.Select(b => b.MoveId).ToList();
            var distinct = ids.Select(id => _moves[id]).Distinct().ToList();
            foreach (var one in distinct)
            {
                alone[one]++;
                foreach (var other in distinct)
                {
                    both[one, other]++;
                }
            }

            foreach (var (before, after) in ids.Zip(ids.Skip(1)).Where(c => c.First != c.Second))
            {
                Count(_next, (before, after));
                Count(_from, before);
                Count(_to, after);
            }
        }

        var all = classes.Count + (Unseen * moves);
        _together = new double[_moves.Count, _moves.Count];
        for (var move = 0; move < alone.Length; move++)
        {
            var share = (alone[move] + Unseen) / all;
            for (var other = 0; other < alone.Length; other++)
            {
                _together[move, other] = Math.Log((both[move, other] + (EvenClasses * share)) / ((alone[other] + EvenClasses) * share));
            }
        }

        _changes = _to.Values.Sum() + (Unseen * moves);
    }

    private static void Count<T>(Dictionary<T, int> counts, T of)
        where T : notnull => counts[of] = counts.GetValueOrDefault(of) + 1;

    /// <summary>How much likelier a move is in a class for the others that are done there, taken one by one, on average.</summary>
    public double Together(string move, IEnumerable<string> others)
    {
        if (!_moves.TryGetValue(move, out var of))
        {
            return 0;
        }

        var (sum, count) = (0.0, 0);
        foreach (var other in others)
        {
            if (_moves.TryGetValue(other, out var beside) && beside != of)
            {
                sum += _together[of, beside];
                count++;
            }
        }

        return count == 0 ? 0 : Math.Max(0, sum / count);
    }

    /// <summary>How much likelier a move is right after another than after any.</summary>
    public double After(string before, string move)
    {
        var share = (_to.GetValueOrDefault(move) + Unseen) / _changes;
        return Math.Max(0, Math.Log((_next.GetValueOrDefault((before, move)) + (EvenChanges * share)) / ((_from.GetValueOrDefault(before) + EvenChanges) * share)));
    }
}
