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
    private readonly IReadOnlyList<string> _talk;
    private readonly IReadOnlyList<TaughtClass> _taught;

    /// <summary>The last words, as stems, of the names of moves that are pulsed and of moves that are held.</summary>
    public static readonly string Pulse = WordStem.Of("pulse");
    public static readonly string Hold = WordStem.Of("hold");

    /// <summary>Composed moves that were asked for; each follows from the parts alone, so keeping them changes no answer.</summary>
    private readonly ConcurrentDictionary<string, Move> _composed = new();

    private readonly ConcurrentDictionary<string, ImmutableArray<string>> _nameStems = new();

    /// <param name="moves">The moves.</param>
    /// <param name="talk">What is said in classes and describes no move.</param>
    /// <param name="taught">Classes marked by hand, to learn from.</param>
    /// <param name="classifier">What was learned from them before.</param>
    public MoveLexicon(IEnumerable<Move> moves, IReadOnlyList<string> talk, IReadOnlyList<TaughtClass> taught, MoveClassifier classifier)
    {
        (_talk, _taught) = (talk, taught);
        Moves = [.. moves.OrderBy(m => m.Name, StringComparer.OrdinalIgnoreCase)];
        _byId = Moves.ToFrozenDictionary(m => m.Id);
        _byParts = Moves.Where(m => !m.Parts.IsEmpty).ToFrozenDictionary(m => string.Join(Composition.Joint, m.Parts));
        Aliases = AliasIndex.Build(Moves);
        Described = DescriptionIndex.Build(Moves);
        Likeness = DescriptionLikeness.Build(Moves, talk, taught);
        Classifier = classifier.On(Moves);
        Company = new MoveCompany(taught, Moves.Length);
    }

    /// <summary>The lexicon shipped with the program.</summary>
    public static MoveLexicon Default => Shipped.Value;

    public ImmutableArray<Move> Moves { get; }

    public AliasIndex Aliases { get; }

    public DescriptionIndex Described { get; }

    public DescriptionLikeness Likeness { get; }

    public MoveClassifier Classifier { get; }

    public MoveCompany Company { get; }

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

    /// <summary>Whether a move is one that is pulsed or held, by the last word of its name: <see cref="Pulse"/>, <see cref="Hold"/> or null.</summary>
    public string? How(Move move) => NameStems(move)[^1] is var last && (last == Pulse || last == Hold) ? last : null;

    /// <summary>
    /// A move done in small pulses, or held, where the lexicon has that as a move of its own: lunge pulse for a reverse lunge, sumo squat hold for a sumo squat;
    /// null where it has none, and for what is pulsed or held already. The one that shares most of the name is taken.
    /// </summary>
    /// <param name="how"><see cref="Pulse"/> or <see cref="Hold"/>.</param>
    public Move? Variant(Move move, string how)
    {
        var stems = NameStems(move);
        return How(move) is not null || !move.Parts.IsEmpty ? null : Moves
            .Where(m => m.Pattern == move.Pattern && m.Parts.IsEmpty && How(m) == how && NameStems(m) is [_, .., _] name && name[..^1].All(stems.Contains))
            .MaxBy(m => NameStems(m).Length);
    }

    /// <summary>This lexicon as it would be, had it learned from other classes.</summary>
    public MoveLexicon Taught(IReadOnlyList<TaughtClass> classes) => new(Moves, _talk, classes, MoveClassifierFit.Fit(Moves, _talk, classes));

    /// <summary>This lexicon with a studio's own names and moves. The lexicon itself stays as it is.</summary>
    /// <exception cref="LexiconException">A name is taken by another move, or a move is unknown; the message says which.</exception>
    public MoveLexicon With(IReadOnlyCollection<StudioName> names, IReadOnlyCollection<StudioMove> own)
    {
        if (names.Count == 0 && own.Count == 0)
        {
            return this;
        }

        var added = names.ToLookup(n => n.MoveId, n => n.Name);
        var made = own.Select(o => o.On(Find(o.LikeId) ?? throw new LexiconException($"\"{o.Name}\" is like '{o.LikeId}', which is not in the lexicon."))).ToList();
        var lexicon = new MoveLexicon(Moves.Concat(made).Select(m => added.Contains(m.Id) ? m with { Aliases = [.. m.Aliases, .. added[m.Id]] } : m), _talk, _taught, Classifier);
        return lexicon.Aliases.Contested.IsEmpty
            ? lexicon
            : throw new LexiconException($"Another move goes by that name already: {string.Join(", ", lexicon.Aliases.Contested)}.");
    }

    /// <summary>Moves whose name, other names or family have words that begin as those looked for, or sound like them; best first.</summary>
    public IReadOnlyList<Move> Search(string words)
    {
        var wanted = words.Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries).Select(w => w.ToLowerInvariant()).Take(8).ToList();
        if (wanted.Count == 0)
        {
            return Moves;
        }

        int Score(Move move)
        {
            var name = Fit(move.Name, wanted);
            var alias = move.Aliases.Concat(move.WeakAliases).Select(a => Fit(a, wanted)).DefaultIfEmpty(0).Max();
            return Math.Max(3 * name, Math.Max(2 * alias, Fit(move.Family, wanted)));
        }

        return [.. Moves.Select(m => (Move: m, Score: Score(m))).Where(x => x.Score > 0).OrderByDescending(x => x.Score).ThenBy(x => x.Move.Name.Length).Select(x => x.Move)];
    }

    /// <summary>0 where a wanted word is nowhere; 2 a word that begins so, 1 one that sounds so.</summary>
    private static int Fit(string text, List<string> wanted)
    {
        var words = text.ToLowerInvariant().Split(' ', '-');
        var sum = 0;
        foreach (var want in wanted)
        {
            var stem = WordStem.Of(want);
            var best = words.Max(w => w.StartsWith(want, StringComparison.Ordinal) || WordStem.Of(w) == stem ? 2
                : want.Length >= 4 && ((SoundKey.Of(want) is { Length: >= 2 } key && SoundKey.Of(w) == key) || SoundKey.Distance(w, want, 1) <= 1) ? 1 : 0);
            if (best == 0)
            {
                return 0;
            }

            sum += best;
        }

        return sum;
    }
}
