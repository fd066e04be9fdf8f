namespace AnyPace.Core.Lexicon;

/// <summary>The move that a stretch of speech is most like.</summary>
/// <param name="Score">How like, in sums of word weights; a clear description has 8 and more, loose talk less than 5.</param>
/// <param name="Words">How many different words of the stretch are said of it.</param>
/// <param name="Beside">The score of the move it was to be held against; 0 for none, and for a combined move.</param>
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
    private readonly Dictionary<string, int> _indexes;

    /// <summary>For each word or pair of words the moves said with it and what it counts for each.</summary>
    private readonly Dictionary<string, (int Move, double Weight)[]> _said;

    private DescriptionLikeness(Move[] moves, Dictionary<string, (int Move, double Weight)[]> said) =>
        (_moves, _indexes, _said) = (moves, moves.Index().ToDictionary(m => m.Item.Id, m => m.Index), said);

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

    /// <summary>Speech to look for descriptions in.</summary>
    /// <param name="stems">Stems of all its words.</param>
    /// <param name="places">For each word the position the body is in, empty where nobody knows.</param>
    /// <param name="atHand">Whether the kit of a move is at hand.</param>
    public Heard In(IReadOnlyList<string> stems, string[] places, Func<Move, bool> atHand) => new(this, stems, places, atHand);

    /// <summary>What <see cref="In"/> gives: each word is looked up once, however many stretches are asked about.</summary>
    public sealed class Heard
    {
        /// <summary>A move that is not done where the body is, or with kit that nobody speaks of, is hardly the one.</summary>
        private const double NotPlaced = 0.6;
        private const double NotAtHand = 0.6;

        private readonly DescriptionLikeness _of;
        private readonly string[] _places;
        private readonly (int Word, (int Move, double Weight)[] Moves)[] _single;
        private readonly (int Word, (int Move, double Weight)[] Moves)[] _pair;
        private readonly Lazy<double>[] _kit;
        private readonly Dictionary<string, double[]> _fits = [];
        private readonly double[] _scores;
        private readonly int[] _words;
        private readonly int[] _seenAt;
        private readonly List<int> _touched = [];
        private int _stretch;

        internal Heard(DescriptionLikeness of, IReadOnlyList<string> stems, string[] places, Func<Move, bool> atHand)
        {
            (_of, _places) = (of, places);
            var ids = new Dictionary<string, int>();
            (int, (int, double)[]) Look(string word) => of._said.TryGetValue(word, out var moves) ? (ids.TryGetValue(word, out var id) ? id : ids[word] = ids.Count, moves) : (-1, []);
            _single = [.. stems.Select(Look)];
            _pair = [.. stems.Select((stem, i) => i == 0 ? (-1, []) : Look($"{stems[i - 1]} {stem}"))];
            _kit = [.. of._moves.Select(m => new Lazy<double>(() => m.Kit.IsEmpty || atHand(m) ? 1 : NotAtHand))];
            _scores = new double[of._moves.Length];
            _words = new int[of._moves.Length];
            _seenAt = new int[ids.Count];
        }

        /// <summary>What a stretch is most like; null where fewer than so many of its words are said of any one move.</summary>
        /// <param name="from">The first word of the stretch.</param>
        /// <param name="count">How many words it has.</param>
        /// <param name="least">How many different words have to speak for the move.</param>
        /// <param name="beside">A move to hold it against.</param>
        public LikeMove? Of(int from, int count, int least, Move? beside = null)
        {
            _stretch++;
            foreach (var i in _touched)
            {
                (_scores[i], _words[i]) = (0, 0);
            }

            _touched.Clear();
            for (var t = from; t < from + count; t++)
            {
                Add(_single[t], 1);
                if (t > from)
                {
                    Add(_pair[t], 0);
                }
            }

            var fits = Fits(_places[from + count - 1]);
            var best = -1;
            foreach (var i in _touched)
            {
                _scores[i] *= fits[i];

                // Of two alike the one that stands first in the lexicon.
                if (best < 0 || _scores[i] > _scores[best] || (_scores[i] == _scores[best] && i < best))
                {
                    best = i;
                }
            }

            if (best < 0 || _words[best] < least)
            {
                return null;
            }

            var next = 0.0;
            foreach (var i in _touched)
            {
                if (_scores[i] > next && i != best && !Akin(_of._moves[i], _of._moves[best]))
                {
                    next = _scores[i];
                }
            }

            var other = beside is not null && _of._indexes.TryGetValue(beside.Id, out var index) ? index : -1;
            return new LikeMove(_of._moves[best], _scores[best], _words[best], next == 0 ? double.PositiveInfinity : Math.Max(1, _scores[best] / next), other < 0 ? 0 : _scores[other]);
        }

        /// <summary>True where a word is said of a move.</summary>
        public bool Says(int token, Move move) => Array.Exists(_single[token].Moves, m => _of._moves[m.Move].Id == move.Id);

        private void Add((int Word, (int Move, double Weight)[] Moves) said, int words)
        {
            if (said.Word >= 0 && _seenAt[said.Word] != _stretch)
            {
                _seenAt[said.Word] = _stretch;
                foreach (var (move, weight) in said.Moves)
                {
                    // No word is said of all moves, so every weight is above 0.
                    if (_scores[move] == 0)
                    {
                        _touched.Add(move);
                    }

                    _scores[move] += weight;
                    _words[move] += words;
                }
            }
        }

        private double[] Fits(string place)
        {
            if (!_fits.TryGetValue(place, out var fits))
            {
                _fits[place] = fits = [.. _of._moves.Select((m, i) => _kit[i].Value * (place.Length == 0 || m.Positions.IsEmpty || m.Positions.Contains(place) ? 1 : NotPlaced))];
            }

            return fits;
        }
    }

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

    /// <summary>The stems of all words of a description.</summary>
    internal static IEnumerable<string> Ideas(string description) => description.TrimStart('!').Split([' ', '/'], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of);

    private static List<string> Stems(string text) => [.. text.Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of)];
}
