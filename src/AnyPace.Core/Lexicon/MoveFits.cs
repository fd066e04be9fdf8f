namespace AnyPace.Core.Lexicon;

/// <summary>How much less likely moves are where the body is and with what is at hand, each worked out once for a recording.</summary>
/// <param name="places">For each word the position the body is in, empty where nobody knows.</param>
/// <param name="atHand">Whether the kit of a move is at hand.</param>
/// <remarks>The figures are ours, set on sentences of our own that were held back in turn; they have no source outside the project.</remarks>
public sealed class MoveFits(string[] places, Func<Move, bool> atHand)
{
    /// <summary>How much less likely a move is, as a natural logarithm, that is not done where the body is, or with kit that nobody speaks of.</summary>
    private const float NotPlaced = 7;
    private const float NotAtHand = 1;

    private readonly Dictionary<string, float> _missing = [];

    /// <summary>The position at a word, empty where nobody knows.</summary>
    public string PlaceAt(int token) => places[token];

    /// <summary>How much less likely a move is at a place, as a natural logarithm; 0 where it fits.</summary>
    public float Against(Move move, string place) => Missing(move) + (place.Length == 0 || move.IsDone(place) ? 0 : NotPlaced);

    private float Missing(Move move)
    {
        if (!_missing.TryGetValue(move.Id, out var missing))
        {
            _missing[move.Id] = missing = move.Kit.IsEmpty || atHand(move) ? 0 : NotAtHand;
        }

        return missing;
    }
}
