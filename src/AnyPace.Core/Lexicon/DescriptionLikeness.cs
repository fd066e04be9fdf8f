namespace AnyPace.Core.Lexicon;

/// <summary>The move that a stretch of speech is most like.</summary>
/// <param name="Score">How like, in sums of word weights; a clear description has 8 and more, loose talk less than 5.</param>
/// <param name="Words">How many different words of the stretch are said of it.</param>
/// <param name="Beside">The score of the move it was to be held against; 0 for none, and for a combined move.</param>
/// <param name="Lead">How many times the score of the next move that is no easier, harder or otherwise placed form of it; 1 and more.</param>
public readonly record struct LikeMove(Move Move, double Score, int Words, double Lead, double Beside);

/// <summary>
/// Likens speech in which nothing is named to all that the lexicon knows of how moves are said: ideas, names and whole sentences. Each word counts by how
/// few moves are said with it, each two words close together, in whichever order, likewise. Softer than <see cref="DescriptionIndex"/>, which wants every idea of a line.
/// </summary>
/// <remarks>The weights below are ours, set on sentences of our own that were held back in turn; they have no source outside the project.</remarks>
public sealed class DescriptionLikeness
{
    private const double IdeaWeight = 1;
    private const double NameWeight = 0.35;
    private const double SpokenWeight = 0.5;

    /// <summary>Two words of a sentence, and two of a name or of a description's ideas.</summary>
    private const double PairWeight = 0.5;
    private const double IdeaPairWeight = 0.25;

    /// <summary>A word goes with so many telling words before it, if they are this near.</summary>
    private const int PairsEach = 3;
    private const int PairReach = 8;

    /// <summary>A move with many words is like everything; its scores are divided by the length of its words to this power.</summary>
    private const double LengthPower = 0.8;

    /// <summary>Words of names and descriptions that are said of everything.</summary>
    private static readonly HashSet<string> Empty =
        [.. new[] { "the", "a", "an", "and", "or", "to", "of", "on", "in", "it", "with", "your", "you", "we", "our", "for", "at", "go", "going", "do", "come", "get", "good", "like", "time", "slow", "slowly", "fast", "keep", "that", "this", "there", "here", "now", "then", "as", "is", "no", "work", "class", "please", "if", "again", "take", "more", "all", "move", "s", "be", "so", "one" }.Select(WordStem.Of)];

    private readonly Move[] _moves;
    private readonly Dictionary<string, int> _indexes;

    /// <summary>The number of each word that tells moves apart.</summary>
    private readonly Dictionary<string, int> _telling;

    /// <summary>For each word, and each two of them, the moves said with it and what it counts for each.</summary>
    private readonly Dictionary<Said, (int Move, double Weight)[]> _said;

    private DescriptionLikeness(Move[] moves, Dictionary<string, int> telling, Dictionary<Said, (int Move, double Weight)[]> said) =>
        (_moves, _indexes, _telling, _said) = (moves, moves.Index().ToDictionary(m => m.Item.Id, m => m.Index), telling, said);

    /// <summary>A telling word by its number, or two of them, the smaller number first.</summary>
    private readonly record struct Said(int Word, int With = -1)
    {
        public static Said Of(int one, int other) => one < other ? new(one, other) : new(other, one);
    }

    public static DescriptionLikeness Build(IEnumerable<Move> all)
    {
        var moves = all.Where(m => m.Parts.IsEmpty).ToArray();
        // "If you like", "take your time": only what names and descriptions are made of tells moves apart; numbers count anything.
        var telling = moves.SelectMany(m => m.Descriptions.SelectMany(Ideas).Concat(m.Aliases.Prepend(m.Name).SelectMany(Stems)))
            .Where(w => !char.IsAsciiDigit(w[0]) && !Empty.Contains(w)).Distinct().Index().ToDictionary(w => w.Item, w => w.Index);
        var words = moves.Select(m => Words(m, telling)).ToArray();
        var spread = words.SelectMany(w => w.Keys).CountBy(w => w).ToDictionary();
        double Rarity(Said word) => Math.Log((1.0 + moves.Length) / (1 + spread[word]));
        var said = new Dictionary<Said, List<(int, double)>>();
        for (var i = 0; i < moves.Length; i++)
        {
            var length = Math.Pow(Math.Sqrt(words[i].Sum(w => Math.Pow(w.Value * Rarity(w.Key), 2))), LengthPower);
            foreach (var (word, weight) in words[i])
            {
                if (!said.TryGetValue(word, out var list))
                {
                    said[word] = list = [];
                }

                list.Add((i, weight * Math.Pow(Rarity(word), 2) / length));
            }
        }

        return new DescriptionLikeness(moves, telling, said.ToDictionary(s => s.Key, s => s.Value.ToArray()));
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

        /// <summary>For each word what it is with the telling words before it.</summary>
        private readonly (int With, int Word, (int Move, double Weight)[] Moves)[][] _pairs;
        private readonly Lazy<double>[] _kit;
        private readonly Dictionary<string, double[]> _fits = [];
        private readonly double[] _scores;
        private readonly int[] _words;
        private readonly int[] _seenAt;
        private readonly List<int> _touched = [];
        private int _stretch;
        private int _from;
        private int _next;

        internal Heard(DescriptionLikeness of, IReadOnlyList<string> stems, string[] places, Func<Move, bool> atHand)
        {
            (_of, _places) = (of, places);
            var ids = new Dictionary<Said, int>();
            (int Word, (int, double)[] Moves) Look(Said said) => of._said.TryGetValue(said, out var moves) ? (ids.TryGetValue(said, out var id) ? id : ids[said] = ids.Count, moves) : (-1, []);
            var numbers = Numbers(stems, of._telling);
            _single = [.. numbers.Select(n => n < 0 ? (-1, []) : Look(new Said(n)))];
            _pairs = [.. numbers.Select((n, t) => (from with in Before(numbers, t) let pair = Look(Said.Of(numbers[with], n)) where pair.Word >= 0 select (with, pair.Word, pair.Moves)).ToArray())];
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
            Begin(from);
            return UpTo(from + count, least, beside);
        }

        /// <summary>Begins a stretch at a word, to ask about it at more than one length.</summary>
        public void Begin(int from)
        {
            _stretch++;
            (_from, _next) = (from, from);
            foreach (var i in _touched)
            {
                (_scores[i], _words[i]) = (0, 0);
            }

            _touched.Clear();
        }

        /// <summary>What the stretch begun is most like up to a word, which may not be before the one asked about last; see <see cref="Of"/>.</summary>
        public LikeMove? UpTo(int end, int least, Move? beside = null)
        {
            for (; _next < end; _next++)
            {
                Add(_single[_next].Word, _single[_next].Moves, 1);
                foreach (var (with, word, moves) in _pairs[_next])
                {
                    if (with >= _from)
                    {
                        Add(word, moves, 0);
                    }
                }
            }

            var fits = Fits(_places[end - 1]);
            var (best, most) = (-1, 0.0);
            foreach (var i in _touched)
            {
                var score = _scores[i] * fits[i];

                // Of two alike the one that stands first in the lexicon.
                if (score > most || (score == most && i < best))
                {
                    (best, most) = (i, score);
                }
            }

            if (best < 0 || _words[best] < least)
            {
                return null;
            }

            var next = 0.0;
            foreach (var i in _touched)
            {
                if (_scores[i] * fits[i] > next && i != best && !Akin(_of._moves[i], _of._moves[best]))
                {
                    next = _scores[i] * fits[i];
                }
            }

            var other = beside is not null && _of._indexes.TryGetValue(beside.Id, out var index) ? index : -1;
            return new LikeMove(_of._moves[best], most, _words[best], next == 0 ? double.PositiveInfinity : Math.Max(1, most / next), other < 0 ? 0 : _scores[other] * fits[other]);
        }

        /// <summary>True where a word is said of a move.</summary>
        public bool Says(int token, Move move) => Array.Exists(_single[token].Moves, m => _of._moves[m.Move].Id == move.Id);

        private void Add(int said, (int Move, double Weight)[] moves, int words)
        {
            if (said >= 0 && _seenAt[said] != _stretch)
            {
                _seenAt[said] = _stretch;
                foreach (var (move, weight) in moves)
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
                _fits[place] = fits = [.. _of._moves.Select((m, i) => _kit[i].Value * (place.Length == 0 || m.IsDone(place) ? 1 : NotPlaced))];
            }

            return fits;
        }
    }

    private static bool Akin(Move a, Move b) => a.Easier == b.Id || a.Harder == b.Id || b.Easier == a.Id || b.Harder == a.Id || a.Elsewhere.Contains(b.Id) || b.Elsewhere.Contains(a.Id);

    /// <summary>All words a move is said with, and each two of them, and how firmly: the logarithm of how often, so that the tenth time adds little.</summary>
    private static Dictionary<Said, double> Words(Move move, Dictionary<string, int> telling)
    {
        var sums = new Dictionary<Said, double>();
        void Add(IEnumerable<Said> said, double weight)
        {
            foreach (var one in said.Distinct())
            {
                sums[one] = sums.GetValueOrDefault(one) + weight;
            }
        }

        void Speech(string text, double weight, double pairWeight)
        {
            var numbers = Numbers(Stems(text), telling);
            Add(numbers.Where(n => n >= 0).Select(n => new Said(n)), weight);
            Add(Enumerable.Range(0, numbers.Length).SelectMany(t => Before(numbers, t).Select(b => Said.Of(numbers[b], numbers[t]))), pairWeight);
        }

        foreach (var description in move.Descriptions)
        {
            // The ideas come in any order, so each goes with each; of the words of one idea only one is said.
            var ideas = description.TrimStart('!').Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(idea => Numbers([.. Ideas(idea)], telling).Where(n => n >= 0).ToList()).ToList();
            Add(ideas.SelectMany(i => i).Select(n => new Said(n)), IdeaWeight);
            Add(ideas.SelectMany((one, i) => ideas.Skip(i + 1).SelectMany(other => one.SelectMany(n => other.Where(o => o != n).Select(o => Said.Of(n, o))))), IdeaPairWeight);
        }

        foreach (var name in move.Aliases.Prepend(move.Name))
        {
            Speech(name, NameWeight, IdeaPairWeight);
        }

        foreach (var sentence in move.Spoken)
        {
            Speech(sentence, SpokenWeight, PairWeight);
        }

        return sums.ToDictionary(s => s.Key, s => Math.Log(1 + s.Value));
    }

    /// <summary>The number of each word, -1 for one that tells nothing.</summary>
    private static int[] Numbers(IReadOnlyList<string> stems, Dictionary<string, int> telling) => [.. stems.Select(s => telling.GetValueOrDefault(s, -1))];

    /// <summary>The nearest telling words before a telling word, other than itself.</summary>
    private static IEnumerable<int> Before(int[] numbers, int at)
    {
        var seen = 0;
        for (var b = at - 1; numbers[at] >= 0 && b >= Math.Max(0, at - PairReach + 1) && seen < PairsEach; b--)
        {
            if (numbers[b] >= 0)
            {
                seen++;
                if (numbers[b] != numbers[at])
                {
                    yield return b;
                }
            }
        }
    }

    /// <summary>The stems of all words of a description.</summary>
    internal static IEnumerable<string> Ideas(string description) => description.TrimStart('!').Split([' ', '/'], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of);

    private static List<string> Stems(string text) => [.. text.Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of)];
}
