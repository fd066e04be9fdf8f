namespace AnyPace.Core.Lexicon;

/// <summary>The move that a stretch of speech is most like.</summary>
/// <param name="Score">How like, in sums of word weights; a clear description has 3 and more.</param>
/// <param name="Words">How many different words of the stretch are said of it.</param>
/// <param name="Beside">The score of the move it was to be held against; 0 for none.</param>
/// <param name="Lead">How many times the score of the next move that is no easier, harder or otherwise placed form of it; 1 and more.</param>
public readonly record struct LikeMove(Move Move, double Score, int Words, double Lead, double Beside);

/// <summary>
/// Likens speech in which nothing is named to all that the lexicon knows of how moves are said: ideas, names and whole sentences. Each word counts by how
/// few moves are said with it, each pair of neighbouring words likewise. Softer than <see cref="DescriptionIndex"/>, which wants every idea of a line.
/// </summary>
/// <remarks>The weights below are ours, set on sentences of our own that were held back in turn; they have no source outside the project.</remarks>
public sealed class DescriptionLikeness
{
    private const double IdeaWeight = 1;
    private const double NameWeight = 0.35;
    private const double SpokenWeight = 0.5;
    private const double PairWeight = 0.25;

    /// <summary>A move with many words is like everything; its scores are divided by the length of its words to this power.</summary>
    private const double LengthPower = 0.6;

    /// <summary>A move that nobody was heard to describe is said less often.</summary>
    private const double SeldomSaid = 0.8;

    /// <summary>Words of names and descriptions that are said of everything.</summary>
    private static readonly HashSet<string> Empty =
        [.. new[] { "the", "a", "an", "and", "or", "to", "of", "on", "in", "it", "with", "your", "you", "we", "our", "for", "at", "go", "going", "do", "come", "get", "good", "like", "time", "slow", "slowly", "fast", "keep", "that", "this", "there", "here", "now", "then", "as", "is", "no", "work", "class", "please", "if", "again", "take", "more", "all", "move", "s", "be", "so", "one" }.Select(WordStem.Of)];

    private readonly Move[] _moves;

    /// <summary>For each word or pair of words the moves said with it and what it counts for each.</summary>
    private readonly Dictionary<string, (int Move, double Weight)[]> _said;

    private DescriptionLikeness(Move[] moves, Dictionary<string, (int Move, double Weight)[]> said) => (_moves, _said) = (moves, said);

    public static DescriptionLikeness Build(IEnumerable<Move> all)
    {
        var moves = all.Where(m => m.Parts.IsEmpty).ToArray();
        // "If you like", "take your time": only what names and descriptions are made of tells moves apart; numbers count anything.
        var telling = moves.SelectMany(m => m.Descriptions.SelectMany(Ideas).Concat(m.Aliases.Prepend(m.Name).SelectMany(Stems))).Where(w => !char.IsAsciiDigit(w[0]) && !Empty.Contains(w)).ToHashSet();
        var words = moves.Select(m => Words(m, telling)).ToArray();
        var spread = words.SelectMany(w => w.Keys).CountBy(w => w).ToDictionary();
        double Rarity(string word) => Math.Log((1.0 + moves.Length) / (1 + spread[word]));
        var said = new Dictionary<string, List<(int, double)>>();
        for (var i = 0; i < moves.Length; i++)
        {
            var length = Math.Pow(Math.Sqrt(words[i].Sum(w => Math.Pow(w.Value * Rarity(w.Key), 2))), LengthPower);
            foreach (var (word, weight) in words[i])
            {
                if (!said.TryGetValue(word, out var list))
                {
                    said[word] = list = [];
                }

                list.Add((i, weight * Math.Pow(Rarity(word), 2) / length * (moves[i].Spoken.IsEmpty ? SeldomSaid : 1)));
            }
        }

        return new DescriptionLikeness(moves, said.ToDictionary(s => s.Key, s => s.Value.ToArray()));
    }

    /// <summary>What a stretch of speech is most like; null where none of its words is said of any move.</summary>
    /// <param name="stems">Stems of all words of the speech.</param>
    /// <param name="from">The first word of the stretch.</param>
    /// <param name="count">How many words it has.</param>
    /// <param name="fits">What a move's score is multiplied with here, 0..1: where the body is, what is at hand.</param>
    /// <param name="beside">A move to hold it against.</param>
    public LikeMove? Of(IReadOnlyList<string> stems, int from, int count, Func<Move, double> fits, Move? beside = null)
    {
        var scores = new double[_moves.Length];
        var seen = new HashSet<string>();
        for (var t = from; t < from + count; t++)
        {
            Add(stems[t]);
            if (t > from)
            {
                Add($"{stems[t - 1]} {stems[t]}");
            }
        }

        var best = -1;
        for (var i = 0; i < scores.Length; i++)
        {
            if (scores[i] > 0 && (scores[i] *= fits(_moves[i])) > 0 && (best < 0 || scores[i] > scores[best]))
            {
                best = i;
            }
        }

        if (best < 0)
        {
            return null;
        }

        var next = scores.Where((s, i) => s > 0 && i != best && !Akin(_moves[i], _moves[best])).DefaultIfEmpty(0).Max();
        return new LikeMove(_moves[best], scores[best], seen.Count(w => !w.Contains(' ', StringComparison.Ordinal) && Says(w, _moves[best]) > 0), next == 0 ? double.PositiveInfinity : Math.Max(1, scores[best] / next), beside is null ? 0 : scores[Array.FindIndex(_moves, m => m.Id == beside.Id) is >= 0 and var at ? at : best]);

        void Add(string word)
        {
            if (seen.Add(word) && _said.TryGetValue(word, out var moves))
            {
                foreach (var (move, weight) in moves)
                {
                    scores[move] += weight;
                }
            }
        }
    }

    /// <summary>How much a word of speech says of a move.</summary>
    public double Says(string stem, Move move) =>
        _said.TryGetValue(stem, out var moves) ? Array.Find(moves, m => _moves[m.Move].Id == move.Id).Weight : 0;

    private static bool Akin(Move a, Move b) => a.Easier == b.Id || a.Harder == b.Id || b.Easier == a.Id || b.Harder == a.Id || a.Elsewhere.Contains(b.Id) || b.Elsewhere.Contains(a.Id);

    /// <summary>All words a move is said with and how firmly: the logarithm of how often, so that the tenth time adds little.</summary>
    private static Dictionary<string, double> Words(Move move, HashSet<string> telling)
    {
        var sums = new Dictionary<string, double>();
        void Add(IEnumerable<string> stems, double weight)
        {
            foreach (var stem in stems.Distinct().Where(s => s.Split(' ').Any(telling.Contains)))
            {
                sums[stem] = sums.GetValueOrDefault(stem) + weight;
            }
        }

        foreach (var description in move.Descriptions)
        {
            Add(Ideas(description), IdeaWeight);
        }

        foreach (var name in move.Aliases.Prepend(move.Name))
        {
            Add(Stems(name), NameWeight);
        }

        foreach (var sentence in move.Spoken)
        {
            var stems = Stems(sentence);
            Add(stems, SpokenWeight);
            Add(stems.Zip(stems.Skip(1), (a, b) => $"{a} {b}"), PairWeight);
        }

        return sums.ToDictionary(s => s.Key, s => Math.Log(1 + s.Value));
    }

    private static IEnumerable<string> Ideas(string description) => description.TrimStart('!').Split([' ', '/'], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of);

    private static List<string> Stems(string text) => [.. text.Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of)];
}
