using System.Collections.Immutable;
using System.Numerics.Tensors;

namespace AnyPace.Core.Lexicon;

/// <summary>The move that a stretch of speech is most like.</summary>
/// <param name="Score">How much likelier its words are said of the move than in talk, as a natural logarithm; a clear description has 30 and more, loose talk less than 20.</param>
/// <param name="Words">How many different words of the stretch are said of it.</param>
/// <param name="Lead">How much the score is above that of the next move that is no easier, harder or otherwise placed form of it; 0 and more. Below 0 for a move that is not the likest: how much that one's is above it.</param>
/// <param name="Beside">The score of the move it was to be held against; null for none, and for a combined move.</param>
public readonly record struct LikeMove(Move Move, double Score, int Words, double Lead, double? Beside);

/// <summary>
/// Likens speech in which nothing is named to all that the lexicon knows of how moves are said: ideas, names, whole sentences, and what was said in marked classes
/// as a move began. A naive Bayes classifier:
/// each word, and each two words close together in whichever order, counts by how much likelier it is said of a move than in talk that describes nothing,
/// and each move by how common it is. Softer than <see cref="DescriptionIndex"/>, which wants every idea of a line.
/// </summary>
/// <remarks>The weights below are ours, set on sentences of our own that were held back in turn; they have no source outside the project.</remarks>
public sealed class DescriptionLikeness
{
    /// <summary>What an idea of a description counts, and a word of a name, where a word of a sentence counts 1.</summary>
    private const double IdeaWeight = 0.5;
    private const double NameWeight = 0.3;

    /// <summary>And what a word said in a class as the move began; not all that is said then is of the move.</summary>
    private const double TaughtWeight = 0.3;

    /// <summary>So many words have to be said then to say anything. Those that no sentence has are chatter, or would be learned from one class.</summary>
    private const int TaughtLeast = 5;

    /// <summary>Two words say less that is new than one: those words count already.</summary>
    private const double PairWeight = 0.3;

    /// <summary>A word goes with so many telling words before it, if they are this near.</summary>
    private const int PairsEach = 3;
    private const int PairReach = 8;

    /// <summary>So many words, spread as in everything, are added to those of each move and to those of talk: what was not heard yet may still be said (Dirichlet smoothing).</summary>
    private const double MoveSmoothing = 40;
    private const double TalkSmoothing = 200;

    /// <summary>Words that are said of everything, and those that name the side.</summary>
    private static readonly HashSet<string> Empty =
        [.. new[] { "the", "a", "an", "and", "or", "to", "of", "on", "in", "it", "with", "your", "you", "we", "our", "for", "at", "go", "going", "do", "come", "get", "good", "like", "time", "slow", "slowly", "fast", "keep", "that", "this", "there", "here", "now", "then", "as", "is", "no", "work", "class", "please", "if", "again", "take", "more", "all", "move", "s", "be", "so", "one", "left", "right" }.Select(WordStem.Of)];

    private readonly Move[] _moves;
    private readonly Dictionary<string, int> _indexes;

    /// <summary>The number of each word that is known.</summary>
    private readonly Dictionary<string, int> _known;

    /// <summary>What each word, and each two of them, says.</summary>
    private readonly Dictionary<Said, Evidence> _said;

    /// <summary>For each move what a word costs it that was never said of it, and how common it is.</summary>
    private readonly float[] _unsaid;
    private readonly float[] _common;

    private DescriptionLikeness(Move[] moves, Dictionary<string, int> known, Dictionary<Said, Evidence> said, float[] unsaid)
    {
        (_moves, _known, _said, _unsaid) = (moves, known, said, unsaid);
        _indexes = moves.Index().ToDictionary(m => m.Item.Id, m => m.Index);
        _common = [.. moves.Select(Common)];
    }

    /// <summary>A known word by its number, or two of them, the smaller number first.</summary>
    private readonly record struct Said(int Word, int With = -1)
    {
        public static Said Of(int one, int other) => one < other ? new(one, other) : new(other, one);

        /// <summary>What it counts.</summary>
        public double Weight => With < 0 ? 1 : PairWeight;
    }

    /// <summary>What a word says.</summary>
    /// <param name="Weight">What it counts, a word or two.</param>
    /// <param name="NoTalk">How much less likely it is in talk than in everything.</param>
    /// <param name="Moves">The moves it is said of, in the order of their numbers, and how much likelier that makes each.</param>
    private sealed record Evidence(double Weight, double NoTalk, (int Move, float Weight)[] Moves);

    /// <param name="all">The moves, of which combined ones are left out.</param>
    /// <param name="talk">Sentences that describe nothing.</param>
    /// <param name="taught">Classes that were marked by hand.</param>
    public static DescriptionLikeness Build(IEnumerable<Move> all, IReadOnlyList<string> talk, IReadOnlyList<TaughtClass> taught)
    {
        var moves = all.Where(m => m.Parts.IsEmpty).ToArray();
        var known = Known(moves, talk);
        var begun = taught.SelectMany(c => c.Bouts).Where(b => b.Words.Length >= TaughtLeast).ToLookup(b => b.MoveId, b => b.Words);
        var words = moves.Select(m => Words(m, begun[m.Id], known)).ToArray();
        var said = new Dictionary<Said, List<(int Move, double Count)>>();
        foreach (var (i, of) in words.Index())
        {
            foreach (var (word, count) in of)
            {
                if (!said.TryGetValue(word, out var list))
                {
                    said[word] = list = [];
                }

                list.Add((i, count));
            }
        }

        var talked = talk.SelectMany(line => Sentence(Stems(line), known).Distinct()).CountBy(s => s).ToDictionary(s => s.Key, s => (double)s.Value);
        var totals = words.Select(w => w.Values.Sum()).ToArray();
        var inTalk = talked.Values.Sum();
        var everything = totals.Sum() + inTalk;
        Evidence Weigh(Said word)
        {
            var of = said.GetValueOrDefault(word) ?? [];
            var heard = talked.GetValueOrDefault(word);
            var share = (of.Sum(m => m.Count) + heard) / everything;
            return new Evidence(
                word.Weight,
                word.Weight * Math.Log(share * (inTalk + TalkSmoothing) / (heard + (share * TalkSmoothing))),
                [.. of.Select(m => (m.Move, (float)(word.Weight * Math.Log(1 + (m.Count / (share * MoveSmoothing))))))]);
        }

        return new DescriptionLikeness(moves, known, said.Keys.Concat(talked.Keys).Distinct().ToDictionary(w => w, Weigh), [.. totals.Select(t => (float)Math.Log(MoveSmoothing / (t + MoveSmoothing)))]);
    }

    /// <summary>Speech to look for descriptions in.</summary>
    /// <param name="stems">Stems of all its words.</param>
    /// <param name="fits">Which moves fit there.</param>
    public Heard In(IReadOnlyList<string> stems, MoveFits fits) => new(this, stems, fits);

    /// <summary>What <see cref="In"/> gives: each word is looked up once, however many stretches are asked about.</summary>
    public sealed class Heard
    {
        private static readonly Evidence Nothing = new(0, 0, []);

        private readonly DescriptionLikeness _of;
        private readonly MoveFits _fitting;

        /// <summary>What each word says, -1 where it is not known, and what it says with the known words before it.</summary>
        private readonly (int Word, Evidence Says)[] _single;
        private readonly (int With, int Word, Evidence Says)[][] _pairs;
        private readonly Dictionary<string, float[]> _fits = [];

        /// <summary>What speaks for each move in the stretch; minus infinity for those of which no word was said.</summary>
        private readonly float[] _scores;
        private readonly float[] _sums;
        private readonly int[] _words;
        private readonly int[] _seenAt;
        private int _stretch;
        private int _from;
        private int _next;

        /// <summary>What the words of the stretch count together, and how much less likely they are in talk.</summary>
        private double _count;
        private double _noTalk;

        internal Heard(DescriptionLikeness of, IReadOnlyList<string> stems, MoveFits fits)
        {
            (_of, _fitting) = (of, fits);
            var ids = new Dictionary<Said, int>();
            (int Word, Evidence Says) Look(Said said) => of._said.TryGetValue(said, out var says) ? (ids.TryGetValue(said, out var id) ? id : ids[said] = ids.Count, says) : (-1, Nothing);
            var numbers = Numbers(stems, of._known);
            _single = [.. numbers.Select(n => n < 0 ? (-1, Nothing) : Look(new Said(n)))];
            _pairs = new (int, int, Evidence)[numbers.Length][];
            var pairs = new List<(int, int, Evidence)>(PairsEach);
            Span<int> near = stackalloc int[PairsEach];
            for (var t = 0; t < numbers.Length; t++)
            {
                pairs.Clear();
                foreach (var with in Before(numbers, t, near))
                {
                    if (Look(Said.Of(numbers[with], numbers[t])) is { Word: >= 0 } pair)
                    {
                        pairs.Add((with, pair.Word, pair.Says));
                    }
                }

                _pairs[t] = [.. pairs];
            }

            _scores = new float[of._moves.Length];
            _sums = new float[of._moves.Length];
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
            return UpTo(from + count, least, double.NegativeInfinity, beside);
        }

        /// <summary>True for a word that says something, of moves or of talk.</summary>
        public bool IsKnown(int token) => _single[token].Word >= 0;

        /// <summary>Begins a stretch at a word, to ask about it at more than one length.</summary>
        public void Begin(int from)
        {
            _stretch++;
            (_from, _next) = (from, from);
            Array.Fill(_scores, float.NegativeInfinity);
            Array.Clear(_words);
            (_count, _noTalk) = (0, 0);
        }

        /// <summary>What the stretch begun is most like up to a word, which may not be before the one asked about last; see <see cref="Of"/>.</summary>
        /// <param name="end">The word after the last.</param>
        /// <param name="least">How many different words have to speak for the move.</param>
        /// <param name="enough">The least score that is asked for; null below it.</param>
        /// <param name="beside">A move to hold it against.</param>
        public LikeMove? UpTo(int end, int least, double enough, Move? beside = null)
        {
            var fits = Sum(end);
            var most = TensorPrimitives.Max<float>(_sums);
            if (most + _noTalk < enough)
            {
                return null;
            }

            // Of two alike the one that stands first in the lexicon.
            var best = Array.IndexOf(_sums, most);
            if (_words[best] < least)
            {
                return null;
            }

            // The likest that is not akin to it: those before it are taken out one by one, for all moves are quicker asked at once.
            var (next, at) = (most, best);
            while (next > float.NegativeInfinity && (at == best || Akin(_of._moves[at], _of._moves[best])))
            {
                _sums[at] = float.NegativeInfinity;
                next = TensorPrimitives.Max<float>(_sums);
                at = Array.IndexOf(_sums, next);
            }

            return new LikeMove(
                _of._moves[best], most + _noTalk, _words[best], Math.Max(0, most - next), beside is not null && _of._indexes.TryGetValue(beside.Id, out var index) ? Math.Max(0, _scores[index]) + (_count * _of._unsaid[index]) + fits[index] + _noTalk : null);
        }

        /// <summary>What a stretch is also like, beside a move, the likest first.</summary>
        /// <param name="most">How many at most.</param>
        /// <param name="within">How much less likely than that move.</param>
        public IReadOnlyList<LikeMove> Beside(Move move, int from, int count, int most, double within)
        {
            if (!_of._indexes.TryGetValue(move.Id, out var index))
            {
                return [];
            }

            Begin(from);
            Sum(from + count);
            var best = _sums[index];
            var near = new List<int>();
            for (var i = 0; i < _sums.Length; i++)
            {
                if (i != index && _sums[i] > best - within)
                {
                    near.Add(i);
                }
            }

            return
            [
                .. near.OrderByDescending(i => _sums[i]).Take(most)
                    .Select(i => new LikeMove(_of._moves[i], _sums[i] + _noTalk, _words[i], _sums[i] - best, null)),
            ];
        }

        /// <summary>How like a stretch is to a move that was found otherwise; null where no word of it is said of that move.</summary>
        /// <param name="end">The word after the last.</param>
        /// <param name="lead">How far it is before others.</param>
        public LikeMove? As(Move move, int from, int end, double lead)
        {
            Begin(from);
            Sum(end);
            return _of._indexes.TryGetValue(move.Id, out var index) && _words[index] > 0 ? new LikeMove(move, _sums[index] + _noTalk, _words[index], lead, null) : null;
        }

        /// <summary>What the different words from one up to another, without it, say for a move, pairs of them left aside.</summary>
        public double For(Move move, int from, int end)
        {
            if (!_of._indexes.TryGetValue(move.Id, out var index))
            {
                return 0;
            }

            _stretch++;
            var sum = 0.0;
            for (var t = from; t < end; t++)
            {
                if (_single[t].Word is >= 0 and var word && _seenAt[word] != _stretch)
                {
                    _seenAt[word] = _stretch;
                    sum += WeightOf(t, index);
                }
            }

            return sum;
        }

        /// <summary>What the words up to each, without it, say for a move together, words that are said again counted again.</summary>
        public double[] UpToEach(Move move)
        {
            var sums = new double[_single.Length + 1];
            var known = _of._indexes.TryGetValue(move.Id, out var index);
            for (var t = 0; t < _single.Length; t++)
            {
                sums[t + 1] = sums[t] + (known ? WeightOf(t, index) : 0);
            }

            return sums;
        }

        /// <summary>What one word says for a move, 0 where it is not said of it.</summary>
        private double WeightOf(int token, int move)
        {
            var says = _single[token].Says.Moves;
            var (low, high) = (0, says.Length);
            while (low < high)
            {
                var middle = (low + high) / 2;
                (low, high) = says[middle].Move < move ? (middle + 1, high) : (low, middle);
            }

            return low < says.Length && says[low].Move == move ? says[low].Weight : 0;
        }

        /// <summary>True where a word is said of a move.</summary>
        public bool Says(int token, Move move) => Array.Exists(_single[token].Says.Moves, m => _of._moves[m.Move].Id == move.Id);

        /// <summary>Adds the words up to another, and what then speaks for each move, all at once: this is asked for many stretches of every recording.</summary>
        /// <returns>How each move fits in there, which is in the sums.</returns>
        private float[] Sum(int end)
        {
            for (; _next < end; _next++)
            {
                Add(_single[_next].Word, _single[_next].Says, 1);
                foreach (var (with, word, says) in _pairs[_next])
                {
                    if (with >= _from)
                    {
                        Add(word, says, 0);
                    }
                }
            }

            var fits = Fits(_fitting.PlaceAt(end - 1));
            TensorPrimitives.MultiplyAdd(_of._unsaid, (float)_count, _scores, _sums);
            TensorPrimitives.Add(_sums, fits, _sums);
            return fits;
        }

        private void Add(int said, Evidence says, int words)
        {
            if (said < 0 || _seenAt[said] == _stretch)
            {
                return;
            }

            _seenAt[said] = _stretch;
            _count += says.Weight;
            _noTalk += says.NoTalk;
            foreach (var (move, weight) in says.Moves)
            {
                _scores[move] = Math.Max(0, _scores[move]) + weight;
                _words[move] += words;
            }
        }

        private float[] Fits(string place)
        {
            if (!_fits.TryGetValue(place, out var fits))
            {
                _fits[place] = fits = [.. _of._moves.Select((m, i) => _of._common[i] - _fitting.Against(m, place))];
            }

            return fits;
        }
    }

    private static bool Akin(Move a, Move b) => a.Easier == b.Id || a.Harder == b.Id || b.Easier == a.Id || b.Harder == a.Id || a.Elsewhere.Contains(b.Id) || b.Elsewhere.Contains(a.Id);

    /// <summary>All words a move is said with, and each two of them, and how often.</summary>
    private static Dictionary<Said, double> Words(Move move, IEnumerable<ImmutableArray<string>> begun, Dictionary<string, int> known)
    {
        var counts = new Dictionary<Said, double>();
        void Add(IEnumerable<Said> said, double weight)
        {
            foreach (var one in said.Distinct())
            {
                counts[one] = counts.GetValueOrDefault(one) + weight;
            }
        }

        foreach (var description in move.Descriptions)
        {
            // The ideas come in any order, so each goes with each; of the words of one idea only one is said.
            var ideas = description.TrimStart('!').Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(idea => Numbers([.. Ideas(idea)], known).Where(n => n >= 0).ToList()).ToList();
            Add(ideas.SelectMany(i => i).Select(n => new Said(n)), IdeaWeight);
            Add(ideas.SelectMany((one, i) => ideas.Skip(i + 1).SelectMany(other => one.SelectMany(n => other.Where(o => o != n).Select(o => Said.Of(n, o))))), IdeaWeight);
        }

        foreach (var name in move.Aliases.Prepend(move.Name))
        {
            Add(Sentence(Stems(name), known), NameWeight);
        }

        foreach (var sentence in move.Spoken)
        {
            Add(Sentence(Stems(sentence), known), 1);
        }

        foreach (var said in begun)
        {
            Add(Sentence(said, known), TaughtWeight);
        }

        return counts;
    }

    /// <summary>The known words of a sentence, and each two of them that are near each other.</summary>
    private static List<Said> Sentence(IReadOnlyList<string> stems, Dictionary<string, int> known)
    {
        var numbers = Numbers(stems, known);
        var near = new int[PairsEach];
        var said = new List<Said>(numbers.Where(n => n >= 0).Select(n => new Said(n)));
        for (var t = 0; t < numbers.Length; t++)
        {
            foreach (var with in Before(numbers, t, near))
            {
                said.Add(Said.Of(numbers[with], numbers[t]));
            }
        }

        return said;
    }

    /// <summary>The number of each word, -1 for one that is not known.</summary>
    private static int[] Numbers(IReadOnlyList<string> stems, Dictionary<string, int> known) => [.. stems.Select(s => known.GetValueOrDefault(s, -1))];

    /// <summary>The nearest known words before a known word, other than itself.</summary>
    /// <param name="near">Where they are put; room for <see cref="PairsEach"/>.</param>
    /// <returns>Those that there are.</returns>
    private static ReadOnlySpan<int> Before(int[] numbers, int at, Span<int> near)
    {
        var (seen, count) = (0, 0);
        for (var b = at - 1; numbers[at] >= 0 && b >= Math.Max(0, at - PairReach + 1) && seen < PairsEach; b--)
        {
            if (numbers[b] >= 0)
            {
                seen++;
                if (numbers[b] != numbers[at])
                {
                    near[count++] = b;
                }
            }
        }

        return near[..count];
    }

    /// <summary>How common a move is before anything is said, as a natural logarithm.</summary>
    internal static float Common(Move move) => (float)Math.Log(0.5 + move.Common);

    /// <summary>The words that the lexicon uses of its moves and in talk, each with a number; without numbers, which count anything, and words that are said of everything.</summary>
    internal static Dictionary<string, int> Known(IEnumerable<Move> moves, IEnumerable<string> talk) =>
        moves.SelectMany(m => m.Descriptions.SelectMany(Ideas).Concat(m.Aliases.Prepend(m.Name).Concat(m.Spoken).SelectMany(Stems))).Concat(talk.SelectMany(Stems))
            .Where(w => !char.IsAsciiDigit(w[0]) && !Empty.Contains(w)).Distinct().Index().ToDictionary(w => w.Item, w => w.Index);

    /// <summary>The stems of all words of a description.</summary>
    internal static IEnumerable<string> Ideas(string description) => description.TrimStart('!').Split([' ', '/'], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of);

    internal static List<string> Stems(string text) => [.. text.Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of)];
}
