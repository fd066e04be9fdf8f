using System.Collections.Immutable;

namespace AnyPace.Core.Lexicon;

/// <summary>One name of a move, ready to be found among stemmed words.</summary>
/// <param name="Weak">A name that is also an everyday word ("row", "march"); it needs its surroundings to agree.</param>
/// <param name="Words">How many words the name has; longer names are surer.</param>
/// <param name="Described">True where it is no name but a description.</param>
/// <param name="Like">How much the words are like the move, where that is how it was found.</param>
public sealed record AliasHit(Move Move, bool Weak, int Words, bool Described = false, LikeMove? Like = null);

/// <summary>A trie over stemmed words that finds the longest move name starting at a word.</summary>
public sealed class AliasIndex
{
    /// <summary>Small words that speech slips into a name: "circle your arms", "hands to the floor".</summary>
    private static readonly HashSet<string> Fillers =
        ["the", "a", "an", "your", "our", "those", "these", "some", "that", "of", "left", "right", "opposit", "other", "both", "1"];

    /// <summary>A name that says "opposite", or "up right", is not found without a word that says so too: "hand to the opposite knee" is not "hands to your knees".</summary>
    private static readonly HashSet<string> Crossing = ["opposit", "other", "left", "right"];

    /// <summary>"Ankle over the left knee": at most this many small words between two of a name.</summary>
    private const int MaxFillers = 2;

    private readonly Node _root = new();

    private readonly MisheardIndex _misheard = new();

    private AliasIndex()
    {
    }

    /// <summary>Names claimed by two moves without a rule that decides, with both. Empty in a sound lexicon.</summary>
    public ImmutableArray<string> Contested { get; private set; } = [];

    public static AliasIndex Build(IEnumerable<Move> moves)
    {
        var index = new AliasIndex();
        var contested = new List<string>();
        foreach (var move in moves)
        {
            var weak = move.WeakAliases.Select(Key).ToHashSet();
            index._misheard.AddDescribing(move.Descriptions.SelectMany(DescriptionLikeness.Ideas));
            foreach (var name in move.Aliases.Prepend(move.Name).Concat(move.WeakAliases))
            {
                var words = Split(name);
                var hit = new AliasHit(move, weak.Contains(Key(name)), words.Length);
                if (!hit.Weak)
                {
                    // A description with a word misheard could be anything.
                    index._misheard.Add(SplitWritten(name), words, hit);
                }

                if (index.Add(words, hit, SplitRaw(name).Skip(1).Any(w => WordStem.Of(w) is "opposit" or "right" or "left")) is { } holder)
                {
                    contested.Add($"{name} ({holder.Id}, {move.Id})");
                }

                // Captions write compounds in one or two words at will: push up, pushup.
                if (words.Length is 2 or 3)
                {
                    index.Add([WordStem.Of(string.Concat(SplitRaw(name)))], hit, false);
                }
            }
        }

        index.Contested = [.. contested];
        return index;
    }

    /// <summary>The longest name that begins at <paramref name="start"/>, and how many words of the text it takes.</summary>
    /// <param name="pauses">True for a word after which the speaker pauses; no name runs across.</param>
    public (AliasHit Hit, int Length)? Longest(IReadOnlyList<string> stems, int start, Func<int, bool>? pauses = null)
    {
        var node = _root;
        (AliasHit, int)? best = null;
        var skipped = 0;
        var crossed = false;
        for (var i = start; i < stems.Count; i++)
        {
            if (i > start && pauses?.Invoke(i - 1) == true)
            {
                break;
            }

            if (node.Next.TryGetValue(stems[i], out var next))
            {
                node = next;
                skipped = 0;
                if (node.Hit is { } hit && (crossed || !node.Crosses))
                {
                    best = (hit, i - start + 1);
                }
            }
            else if (i > start && skipped < MaxFillers && Fillers.Contains(stems[i]))
            {
                skipped++;
                crossed |= Crossing.Contains(stems[i]);
            }
            else
            {
                break;
            }
        }

        return best;
    }

    /// <inheritdoc cref="MisheardIndex.Find"/>
    public IEnumerable<(AliasHit Hit, int Start, int Length)> Misheard(IReadOnlyList<string> texts, IReadOnlyList<string> stems, Func<int, bool> taken, Func<int, bool> closed) =>
        _misheard.Find(texts, stems, taken, closed);

    /// <summary>Words that somebody typed, in lower case, in the form in which names are held: "kettle bell" is one word, "pushup" two.</summary>
    public static string[] Typed(IReadOnlyList<string> words) => [.. WrittenForms.OfName(words)];

    private static string Key(string name) => string.Join(' ', Split(name));

    private static string[] SplitRaw(string name) =>
        [.. WrittenForms.OfName(name.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries))];

    /// <summary>The words of a name as written, in lower case, without the small words that the index leaves out.</summary>
    private static string[] SplitWritten(string name) =>
        [.. SplitRaw(name).Select(w => w.ToLowerInvariant()).Where((w, i) => i == 0 || !Fillers.Contains(WordStem.Of(w)))];

    private static string[] Split(string name) =>
        [.. SplitRaw(name).Select(WordStem.Of).Where((w, i) => i == 0 || !Fillers.Contains(w))];

    /// <summary>Enters a name; returns the move that holds it already, where no rule decides between the two.</summary>
    private Move? Add(IReadOnlyList<string> words, AliasHit hit, bool crosses)
    {
        var node = _root;
        foreach (var word in words)
        {
            if (!node.Next.TryGetValue(word, out var next))
            {
                node.Next[word] = next = new Node();
            }

            node = next;
        }

        if (node.Hit is { } held && held.Move.Id != hit.Move.Id)
        {
            // Where the body is decides between the two; any other shared name has no rule.
            return held.Move.Elsewhere.Contains(hit.Move.Id) || hit.Move.Elsewhere.Contains(held.Move.Id) ? null : held.Move;
        }

        node.Crosses = crosses && (node.Hit is null || node.Crosses);
        node.Hit ??= hit;
        return null;
    }

    private sealed class Node
    {
        public Dictionary<string, Node> Next { get; } = [];

        public AliasHit? Hit { get; set; }

        /// <summary>True where every name that ends here says "opposite".</summary>
        public bool Crosses { get; set; }
    }
}
