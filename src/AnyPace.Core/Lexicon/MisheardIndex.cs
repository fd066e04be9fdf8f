namespace AnyPace.Core.Lexicon;

/// <summary>
/// Finds names in which the machine misheard one word. The other words of the name must be right; the wrong one must sound like what it stands
/// for, or differ by a letter, and must not be a word that coaches use all the time.
/// </summary>
internal sealed class MisheardIndex
{
    /// <summary>Words that are what they are: said so often that taking them for a slip would do more harm than good.</summary>
    private static readonly HashSet<string> Everyday =
    [
        "a", "about", "after", "again", "all", "always", "an", "and", "any", "are", "arm", "arms", "around", "as", "at", "back", "be", "because", "been", "big", "bit", "body", "both",
        "breath", "breathe", "bring", "but", "by", "can", "chest", "come", "core", "day", "did", "do", "does", "doing", "don't", "done", "down", "each", "easy", "end", "every", "feel",
        "feet", "few", "fine", "first", "floor", "for", "foot", "four", "from", "front", "get", "give", "go", "going", "gonna", "good", "got", "great", "had", "hand", "hands", "hard",
        "has", "have", "he", "head", "heel", "heels", "her", "here", "high", "hip", "hips", "his", "hold", "how", "i", "i'm", "if", "in", "inside", "into", "is", "it", "it's", "its",
        "just", "keep", "knee", "knees", "know", "last", "left", "leg", "legs", "let", "let's", "lift", "light", "like", "little", "long", "look", "love", "low", "make", "mat", "me",
        "more", "most", "move", "much", "my", "need", "next", "nice", "no", "not", "now", "of", "off", "ok", "okay", "on", "once", "one", "only", "or", "other", "our", "out", "outside",
        "over", "part", "people", "place", "press", "pull", "pulse", "push", "put", "ready", "really", "rest", "right", "round", "run", "same", "see", "set", "she", "should", "side", "sit",
        "slow", "small", "so", "some", "squeeze", "stand", "start", "stay", "step", "still", "stop", "straight", "strong", "such", "take", "tall", "than", "that", "that's", "the", "their",
        "them", "then", "there", "these", "they", "thing", "this", "those", "three", "through", "time", "to", "toe", "toes", "together", "too", "top", "touch", "try", "turn", "two", "up",
        "us", "use", "very", "want", "was", "water", "way", "we", "we're", "weight", "weights", "well", "were", "what", "when", "where", "which", "while", "who", "why", "wide", "will",
        "with", "work", "would", "yeah", "yes", "you", "you're", "your", "lower", "raise", "reach", "kick", "walk", "roll", "drop", "tap", "arch", "peel", "part", "point", "bent", "bend",
        "plan", "plant", "place", "flat", "full", "fall", "feel", "fold", "foam", "form", "heart", "heat", "hurt", "late", "less", "lot", "lots", "lead", "rate", "red", "rep", "reps", "ride",
        "bored", "board", "cheer", "chair", "share", "shape", "shake", "sky", "skin", "spine", "spin", "spot", "sport", "test", "tight", "thigh", "thighs", "toward", "towards", "worry", "goes", "gets", "comes", "keeps", "takes", "sits", "makes", "feels", "looks", "needs", "wants", "tired", "minute", "minutes", "second", "seconds",
    ];

    private const int LongestName = 4;

    /// <summary>A word alone must be this long, in letters, to be taken for another.</summary>
    private const int LongWord = 6;

    private readonly Dictionary<string, List<(AliasHit Hit, string Word)>> _byRest = [];
    private readonly Dictionary<string, List<(AliasHit Hit, string Word)>> _bySound = [];
    private readonly HashSet<string> _nameStems = [];

    private readonly HashSet<string> _describing = [];

    /// <summary>Adds the words by which a move is described: who says "tip" or "hover" means it.</summary>
    public void AddDescribing(IEnumerable<string> stems) => _describing.UnionWith(stems);

    /// <summary>Adds a name by its words as written, lower case.</summary>
    public void Add(IReadOnlyList<string> words, IReadOnlyList<string> stems, AliasHit hit)
    {
        if (hit.Weak)
        {
            return;
        }

        if (words.Count == 1)
        {
            if (words[0].Length >= LongWord)
            {
                List(_bySound, SoundKey.Of(words[0])).Add((hit, words[0]));
            }

            return;
        }

        if (words.Count <= LongestName)
        {
            _nameStems.UnionWith(stems);
        }

        for (var k = 0; k < words.Count && words.Count <= LongestName; k++)
        {
            if (words[k].Length >= 3)
            {
                List(_byRest, Rest(stems, 0, stems.Count, k)).Add((hit, words[k]));
            }
        }
    }

    /// <summary>All names in a text that have one word misheard, the longest that fits at each place, none overlapping.</summary>
    /// <param name="texts">Words as captioned, lower case.</param>
    /// <param name="closed">True for a word after which no name goes on, or that belongs to a name heard right.</param>
    public IEnumerable<(AliasHit Hit, int Start, int Length)> Find(IReadOnlyList<string> texts, IReadOnlyList<string> stems, Func<int, bool> taken, Func<int, bool> closed)
    {
        var ofName = new bool[texts.Count];
        var everyday = new bool[texts.Count];
        for (var i = 0; i < texts.Count; i++)
        {
            ofName[i] = _nameStems.Contains(stems[i]);
            everyday[i] = Everyday.Contains(texts[i]);
        }

        for (var start = 0; start < texts.Count; start++)
        {
            if (taken(start) || At(texts, stems, start, ofName, everyday, closed) is not { } found)
            {
                continue;
            }

            yield return (found.Hit, start, found.Length);
            start += found.Length - 1;
        }
    }

    private (AliasHit Hit, int Length)? At(IReadOnlyList<string> texts, IReadOnlyList<string> stems, int start, bool[] ofName, bool[] everyday, Func<int, bool> closed)
    {
        // All words but one must belong to some name; most stretches of speech end here at once.
        var longest = 0;
        var strange = 0;
        while (longest < LongestName && start + longest < texts.Count && (longest == 0 || !closed(start + longest - 1)))
        {
            strange += ofName[start + longest] ? 0 : 1;
            if (strange > 1)
            {
                break;
            }

            longest++;
        }

        for (var n = longest; n >= 2; n--)
        {
            // A slip is a word that no name has; where all are words of names, the speaker says something else.
            var k = Array.IndexOf(ofName, false, start, n);
            if (k < 0 || everyday[k] || _describing.Contains(stems[k]) || !char.IsLetter(texts[k][0]) || !_byRest.TryGetValue(Rest(stems, start, n, k), out var candidates))
            {
                continue;
            }

            // "Side" and "up" are in every sentence: beside them only a long word that sounds the same will do.
            var plain = true;
            for (var i = start; i < start + n; i++)
            {
                plain &= i == k || everyday[i];
            }

            foreach (var (name, word) in candidates)
            {
                if (plain ? SoundKey.Of(word) is { Length: >= 4 } key && key == SoundKey.Of(texts[k]) : Alike(texts[k], word))
                {
                    return (name, n);
                }
            }
        }

        return !everyday[start] && texts[start].Length >= LongWord && Alone(texts[start]) is { } hit ? (hit, 1) : null;
    }

    /// <summary>The name of one word that a word is a slip for.</summary>
    private AliasHit? Alone(string text) =>
        _bySound.TryGetValue(SoundKey.Of(text), out var alike) && alike.FirstOrDefault(c => c.Word[0] == text[0] && SoundKey.Distance(c.Word, text, 1) <= 1) is { Word: not null } one ? one.Hit : null;

    private static bool Alike(string spoken, string word)
    {
        var said = spoken.EndsWith('s') && !word.EndsWith('s') ? spoken.EndsWith("es", StringComparison.Ordinal) && !word.EndsWith('e') ? spoken[..^2] : spoken[..^1] : spoken;
        var key = SoundKey.Of(word);
        return (key.Length >= 2 && SoundKey.Of(said) == key) || (word.Length >= 5 && SoundKey.Distance(said, word, 1) <= 1) || (word.Length >= 8 && SoundKey.Distance(said, word, 2) <= 2);
    }

    /// <summary>Some words on end but for one of them.</summary>
    private static string Rest(IReadOnlyList<string> stems, int from, int count, int without)
    {
        var key = new System.Text.StringBuilder();
        for (var i = from; i < from + count; i++)
        {
            key.Append(i == without ? "*" : stems[i]).Append(' ');
        }

        return key.ToString();
    }

    private static List<(AliasHit, string)> List(Dictionary<string, List<(AliasHit, string)>> index, string key)
    {
        if (!index.TryGetValue(key, out var list))
        {
            index[key] = list = [];
        }

        return list;
    }
}
