using System.Collections.Immutable;

namespace AnyPace.Core.Lexicon;

/// <summary>A described move among the words: the ideas of the description, all said close together.</summary>
/// <param name="Names">True where the description holds the name of a more general move and makes it this one.</param>
/// <param name="Words">The tokens that carry the ideas.</param>
public readonly record struct DescribedHit(Move Move, bool Names, int Start, int Length, ImmutableArray<int> Words);

/// <summary>Finds moves that are described and not named: a handful of ideas in any order within a short stretch of speech.</summary>
public sealed class DescriptionIndex
{
    /// <summary>Words of speech that a description may spend: this many, and two more for each idea. "Lift those hips all the way up to the ceiling" spends ten on three.</summary>
    private const int SpareWords = 4;
    private const int WordsAnIdea = 2;

    private const char NameMark = '!';

    private readonly Dictionary<string, List<(Description Of, int Idea)>> _byWord = [];

    /// <summary>A class, not a record: two descriptions of one move are two, whatever they have in common.</summary>
    private sealed class Description(Move move, bool names, int ideas)
    {
        public Move Move { get; } = move;

        public bool Names { get; } = names;

        public int Ideas { get; } = ideas;
    }

    /// <exception cref="LexiconException">A description has fewer than two ideas, which would be found everywhere.</exception>
    public static DescriptionIndex Build(IEnumerable<Move> moves)
    {
        var index = new DescriptionIndex();
        foreach (var move in moves)
        {
            foreach (var text in move.Descriptions)
            {
                var ideas = text.TrimStart(NameMark).Split(' ', StringSplitOptions.RemoveEmptyEntries);
                if (ideas.Length < 2)
                {
                    throw new LexiconException($"Move '{move.Id}': the description '{text}' needs two ideas at least.");
                }

                var description = new Description(move, text[0] == NameMark, ideas.Length);
                for (var i = 0; i < ideas.Length; i++)
                {
                    foreach (var word in ideas[i].Split('/').Select(WordStem.Of).Distinct())
                    {
                        if (!index._byWord.TryGetValue(word, out var list))
                        {
                            index._byWord[word] = list = [];
                        }

                        list.Add((description, i));
                    }
                }
            }
        }

        return index;
    }

    /// <summary>All described moves, the fullest descriptions first; they may overlap.</summary>
    /// <param name="together">True where two words are said soon enough after each other to belong to one description; all are, if null.</param>
    public IReadOnlyList<DescribedHit> Find(IReadOnlyList<string> stems, Func<int, int, bool>? together = null)
    {
        var hits = new List<DescribedHit>();
        var open = new Dictionary<Description, int[]>();
        for (var t = 0; t < stems.Count; t++)
        {
            if (_byWord.TryGetValue(stems[t], out var ideas))
            {
                foreach (var (description, idea) in ideas)
                {
                    if (!open.TryGetValue(description, out var seen))
                    {
                        open[description] = seen = [.. Enumerable.Repeat(-1, description.Ideas)];
                    }

                    // The word that was the only one for its idea so far stays; a later one brings the ideas closer together.
                    seen[idea] = t;
                    var from = seen.Min();
                    if (from >= 0 && t - from < SpareWords + (WordsAnIdea * description.Ideas) && seen.Distinct().Count() == description.Ideas && together?.Invoke(from, t) != false)
                    {
                        hits.Add(new DescribedHit(description.Move, description.Names, from, t - from + 1, [.. seen]));
                        Array.Fill(seen, -1);
                    }
                }
            }
        }

        return [.. hits.OrderByDescending(h => h.Words.Length).ThenBy(h => h.Length).ThenBy(h => h.Start)];
    }
}
