using System.Collections.Frozen;
using System.Collections.Immutable;

namespace AnyPace.Core.Lexicon;

/// <summary>All moves, by id, with the alias index that finds them in words.</summary>
public sealed class MoveLexicon
{
    private static readonly Lazy<MoveLexicon> Shipped = new(LexiconLoader.LoadEmbedded);

    private readonly FrozenDictionary<string, Move> _byId;

    public MoveLexicon(IEnumerable<Move> moves)
    {
        Moves = [.. moves.OrderBy(m => m.Name, StringComparer.OrdinalIgnoreCase)];
        _byId = Moves.ToFrozenDictionary(m => m.Id);
        Aliases = AliasIndex.Build(Moves);
    }

    /// <summary>The lexicon shipped with the program.</summary>
    public static MoveLexicon Default => Shipped.Value;

    public ImmutableArray<Move> Moves { get; }

    public AliasIndex Aliases { get; }

    /// <exception cref="KeyNotFoundException">No such move.</exception>
    public Move this[string id] => _byId.TryGetValue(id, out var move)
        ? move
        : throw new KeyNotFoundException($"The lexicon has no move '{id}'.");

    public Move? Find(string? id) => id is not null && _byId.TryGetValue(id, out var move) ? move : null;
}
