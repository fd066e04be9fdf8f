using System.Collections.Concurrent;
using System.Collections.Frozen;
using System.Collections.Immutable;

namespace AnyPace.Core.Lexicon;

/// <summary>All moves, by id, with the alias index that finds them in words.</summary>
public sealed class MoveLexicon
{
    private static readonly Lazy<MoveLexicon> Shipped = new(LexiconLoader.LoadEmbedded);

    private readonly FrozenDictionary<string, Move> _byId;
    private readonly FrozenDictionary<string, Move> _byParts;

    /// <summary>Composed moves that were asked for; each follows from the parts alone, so keeping them changes no answer.</summary>
    private readonly ConcurrentDictionary<string, Move> _composed = new();

    private readonly ConcurrentDictionary<string, ImmutableArray<string>> _nameStems = new();

    public MoveLexicon(IEnumerable<Move> moves)
    {
        Moves = [.. moves.OrderBy(m => m.Name, StringComparer.OrdinalIgnoreCase)];
        _byId = Moves.ToFrozenDictionary(m => m.Id);
        _byParts = Moves.Where(m => !m.Parts.IsEmpty).ToFrozenDictionary(m => string.Join(Composition.Joint, m.Parts));
        Aliases = AliasIndex.Build(Moves);
    }

    /// <summary>The lexicon shipped with the program.</summary>
    public static MoveLexicon Default => Shipped.Value;

    public ImmutableArray<Move> Moves { get; }

    public AliasIndex Aliases { get; }

    /// <exception cref="KeyNotFoundException">No such move.</exception>
    public Move this[string id] => Find(id) ?? throw new KeyNotFoundException($"The lexicon has no move '{id}'.");

    /// <summary>A move by its id, "a+b" for a combined move; null where there is none.</summary>
    public Move? Find(string? id)
    {
        if (id is null)
        {
            return null;
        }

        if (_byId.TryGetValue(id, out var move) || _composed.TryGetValue(id, out move))
        {
            return move;
        }

        var joint = id.IndexOf(Composition.Joint, StringComparison.Ordinal);
        return joint > 0 && _byId.TryGetValue(id[..joint], out var first) && _byId.TryGetValue(id[(joint + 1)..], out var second)
            ? Combined(first, second)
            : null;
    }

    /// <summary>Two moves as one: the combined move with a name of its own where there is one, else composed from the parts.</summary>
    public Move Combined(Move first, Move second)
    {
        var id = $"{first.Id}{Composition.Joint}{second.Id}";
        return _byParts.TryGetValue(id, out var named) ? named : _composed.GetOrAdd(id, _ => Composition.Of(first, second));
    }

    /// <summary>The stems of the words of a move's name, in order.</summary>
    public ImmutableArray<string> NameStems(Move move) => _nameStems.GetOrAdd(move.Id, _ => [.. move.Name.Split(' ', '-').Select(WordStem.Of)]);
}
