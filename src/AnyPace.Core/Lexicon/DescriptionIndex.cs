using System.Collections.Immutable;
using System.Runtime.InteropServices;

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

    /// <summary>For each word the descriptions with it, and which of all ideas it is there.</summary>
    private readonly Dictionary<string, List<(int Description, int Idea)>> _byWord = [];

    private readonly List<Description> _descriptions = [];

    private int _ideas;

    /// <param name="First">Where its ideas begin among the ideas of all descriptions.</param>
    private readonly record struct Description(Move Move, bool Names, int First, int Ideas);

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

                index._descriptions.Add(new Description(move, text[0] == NameMark, index._ideas, ideas.Length));
                for (var i = 0; i < ideas.Length; i++)
                {
                    foreach (var word in ideas[i].Split('/').Select(WordStem.Of).Distinct())
                    {
                        if (!index._byWord.TryGetValue(word, out var list))
                        {
                            index._byWord[word] = list = [];
                        }

                        list.Add((index._descriptions.Count - 1, index._ideas + i));
                    }
                }

                index._ideas += ideas.Length;
            }
        }

        return index;
    }

    /// <summary>All described moves, the fullest descriptions first; they may overlap.</summary>
    /// <param name="together">True where two words are said soon enough after each other to belong to one description; all are, if null.</param>
    public IReadOnlyList<DescribedHit> Find(IReadOnlyList<string> stems, Func<int, int, bool>? together = null)
    {
        var hits = new List<DescribedHit>();
        var all = new int[_ideas];
        Array.Fill(all, -1);

        // How many ideas of each description were not said yet: most never come to none, and no more need be asked of them.
        var lacks = _descriptions.Select(d => d.Ideas).ToArray();
        var descriptions = CollectionsMarshal.AsSpan(_descriptions);
        for (var t = 0; t < stems.Count; t++)
        {
            if (_byWord.TryGetValue(stems[t], out var ideas))
            {
                foreach (var (number, idea) in CollectionsMarshal.AsSpan(ideas))
                {
                    // The word that was the only one for its idea so far stays; a later one brings the ideas closer together.
                    lacks[number] -= all[idea] < 0 ? 1 : 0;
                    all[idea] = t;
                    if (lacks[number] > 0)
                    {
                        continue;
                    }

                    ref readonly var description = ref descriptions[number];
                    var seen = all.AsSpan(description.First, description.Ideas);
                    var from = First(seen);
                    if (t - from < SpareWords + (WordsAnIdea * description.Ideas) && AllDiffer(seen) && together?.Invoke(from, t) != false)
                    {
                        hits.Add(new DescribedHit(description.Move, description.Names, from, t - from + 1, [.. seen]));
                        seen.Fill(-1);
                        lacks[number] = description.Ideas;
                    }
                }
            }
        }

        return [.. hits.OrderByDescending(h => h.Words.Length).ThenBy(h => h.Length).ThenBy(h => h.Start)];
    }

    // Plain loops: this is asked for every telling word of a recording.
    private static int First(ReadOnlySpan<int> tokens)
    {
        var first = tokens[0];
        foreach (var token in tokens)
        {
            first = Math.Min(first, token);
        }

        return first;
    }

    private static bool AllDiffer(ReadOnlySpan<int> tokens)
    {
        for (var i = 1; i < tokens.Length; i++)
        {
            if (tokens[..i].Contains(tokens[i]))
            {
                return false;
            }
        }

        return true;
    }
}
