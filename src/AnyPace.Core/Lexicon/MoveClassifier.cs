using System.Collections.Immutable;
using System.Globalization;
using System.Numerics.Tensors;
using System.Text;

namespace AnyPace.Core.Lexicon;

/// <summary>What a stretch of speech tells of one move.</summary>
/// <param name="Chance">The natural logarithm of how likely it is said of that move, if it is said of any: 0 and less.</param>
/// <param name="Lead">How far the move is before the likest other, as a natural logarithm; below 0 where another is likelier.</param>
/// <param name="Beside">How far it is before the move it was to be held against; null for none, or for one that is not known.</param>
/// <param name="Idle">How far it is before nothing being done, or begun, at all.</param>
/// <param name="Words">How many different words say so.</param>
public readonly record struct ToldMove(float Chance, float Lead, float? Beside, float Idle, int Words);

/// <summary>
/// Tells from all words of some seconds of speech which move they are said of, or whether they are said of none: a softmax regression, a weight for each word and move.
/// What <see cref="DescriptionLikeness"/> asks is whether a few words describe a move; this one has learned from marked classes what else is said as a move begins and while it is done, and what in between.
/// </summary>
/// <remarks>The weights are learned by <see cref="MoveClassifierFit"/>, and shipped in <c>move-words.txt</c>.</remarks>
public sealed class MoveClassifier
{
    /// <summary>A weight is written as one letter: so many of them are 1, from <see cref="Zero"/> on, up and down to <see cref="Lowest"/> and <see cref="Highest"/>.</summary>
    private const float StepsPerUnit = 10;
    private const char Zero = 'P';
    private const char Lowest = '!';
    private const char Highest = '~';

    private const char Remark = '#';

    /// <summary>The moves in the order of the weights; null for one that the lexicon does not have.</summary>
    private readonly Move?[] _moves;
    private readonly ImmutableArray<string> _ids;
    private readonly Dictionary<string, int> _indexes;
    private readonly float[] _common;

    /// <summary>The number of each word that is known, and its weights: one for each move, then one for nothing being done.</summary>
    private readonly Dictionary<string, int> _words;
    private readonly float[][] _weights;

    private MoveClassifier(ImmutableArray<string> ids, Dictionary<string, int> words, float[][] weights, IEnumerable<Move> moves)
    {
        (_ids, _words, _weights) = (ids, words, weights);
        var known = moves.ToDictionary(m => m.Id);
        _moves = [.. ids.Select(known.GetValueOrDefault)];
        _common = [.. _moves.Select(m => m is null ? float.NegativeInfinity : DescriptionLikeness.Common(m)), 0];
        _indexes = _moves.Index().Where(m => m.Item is not null).ToDictionary(m => m.Item!.Id, m => m.Index);
    }

    internal MoveClassifier(IReadOnlyList<Move> moves, Dictionary<string, int> words, float[][] weights)
        : this([.. moves.Select(m => m.Id)], words, [.. weights.Select(w => (float[])[.. w.Select(Rounded)])], moves)
    {
    }

    /// <summary>One that knows no words, and so tells nothing.</summary>
    public static MoveClassifier None { get; } = new([], [], [], []);

    /// <summary>The same for the moves of a lexicon; those that it did not learn of stay untold.</summary>
    public MoveClassifier On(IEnumerable<Move> moves) => new(_ids, _words, _weights, moves);

    /// <summary>The weight of a word for a move, 0 for a word or a move that is not known.</summary>
    public float this[string word, string move] => _words.TryGetValue(word, out var w) && _indexes.TryGetValue(move, out var m) ? _weights[w][m] : 0;

    /// <summary>All as text: a line of the moves, then a line a word, with a letter for each of its weights.</summary>
    public string Write()
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"{Remark} What words of speech say for each move, then for nothing being done: a letter each, tenths from '{Zero}' on. `./anypace bench fit` makes this anew.\n");
        text.Append(CultureInfo.InvariantCulture, $"{string.Join(' ', _ids)}\n");
        foreach (var (word, number) in _words)
        {
            text.Append(CultureInfo.InvariantCulture, $"{word} ");
            foreach (var weight in _weights[number])
            {
                text.Append((char)(Zero + (int)MathF.Round(weight * StepsPerUnit)));
            }

            text.Append('\n');
        }

        return text.ToString();
    }

    /// <summary>Reads what <see cref="Write"/> gives. It tells nothing before it is asked of the moves of a lexicon, see <see cref="On"/>.</summary>
    /// <exception cref="FormatException">A line is not as it should be; the message says which.</exception>
    public static MoveClassifier Parse(string text)
    {
        ImmutableArray<string>? ids = null;
        var words = new Dictionary<string, int>();
        var weights = new List<float[]>();
        foreach (var (number, line) in text.Split('\n').Index().Where(l => l.Item.Length > 0 && l.Item[0] != Remark))
        {
            if (ids is not { } columns)
            {
                ids = [.. line.Split(' ')];
                continue;
            }

            var space = line.IndexOf(' ', StringComparison.Ordinal);
            if (space < 1 || line.Length != space + 1 + columns.Length + 1 || line.AsSpan(space + 1).ContainsAnyExceptInRange(Lowest, Highest) || !words.TryAdd(line[..space], weights.Count))
            {
                throw new FormatException($"Line {number + 1} of the words of moves: a word that was not there yet and {columns.Length + 1} weights are expected, '{line[..Math.Min(line.Length, 20)]}' is not that.");
            }

            weights.Add([.. line[(space + 1)..].Select(c => (c - Zero) / StepsPerUnit)]);
        }

        return new MoveClassifier(ids ?? [], words, [.. weights], []);
    }

    private static float Rounded(float weight) => Math.Clamp(MathF.Round(weight * StepsPerUnit), Lowest - Zero, Highest - Zero) / StepsPerUnit;

    /// <summary>Speech to ask of.</summary>
    /// <param name="stems">Stems of all its words.</param>
    /// <param name="fits">Which moves fit there.</param>
    public Heard In(IReadOnlyList<string> stems, MoveFits fits) => new(this, stems, fits);

    /// <summary>What <see cref="In"/> gives: each word is looked up once, however many stretches are asked about.</summary>
    public sealed class Heard
    {
        private readonly MoveClassifier _of;
        private readonly int[] _words;
        private readonly MoveFits _fitting;
        private readonly Dictionary<string, float[]> _misfits = [];

        /// <summary>The stretch each word was last seen in.</summary>
        private readonly int[] _seenAt;
        private int _stretch;

        /// <summary>The stretches asked about last, the next to be forgotten; many mentions ask about the same words.</summary>
        private readonly Stretch[] _asked = new Stretch[8];
        private int _oldest;
        private readonly float[] _work;
        private readonly float[] _shares;

        /// <summary>A stretch that was asked about.</summary>
        private sealed class Stretch(int moves)
        {
            public int From { get; set; } = -1;

            public int End { get; set; } = -1;

            /// <summary>How many different words are known.</summary>
            public int Known { get; set; }

            /// <summary>What all moves come to together, as a logarithm; null until it is asked for.</summary>
            public float? All { get; set; }

            /// <summary>What speaks for each move, then for nothing being done.</summary>
            public float[] Says { get; } = new float[moves + 1];
        }

        internal Heard(MoveClassifier of, IReadOnlyList<string> stems, MoveFits fits)
        {
            (_of, _fitting) = (of, fits);
            _words = [.. stems.Select(s => of._words.GetValueOrDefault(s, -1))];
            _seenAt = new int[of._words.Count];
            (_work, _shares) = (new float[of._moves.Length], new float[of._moves.Length]);
            for (var i = 0; i < _asked.Length; i++)
            {
                _asked[i] = new Stretch(of._moves.Length);
            }
        }

        /// <summary>True for a word that says something.</summary>
        public bool IsKnown(int token) => _words[token] >= 0;

        /// <summary>What a stretch says of a move; null where no word of it is known, or the move is not.</summary>
        /// <param name="end">The word after the last.</param>
        /// <param name="beside">A move to hold it against.</param>
        public ToldMove? Of(Move move, int from, int end, Move? beside = null)
        {
            if (!_of._indexes.TryGetValue(move.Id, out var index) || Sum(from, end) is not { Known: > 0 } stretch)
            {
                return null;
            }

            var says = stretch.Says.AsSpan(0, _work.Length);
            var own = says[index];
            says[index] = float.NegativeInfinity;
            var other = TensorPrimitives.Max<float>(says);
            says[index] = own;
            var all = stretch.All ??= LogSum(says, Math.Max(own, other));
            return new ToldMove(own - all, own - other, beside is not null && _of._indexes.TryGetValue(beside.Id, out var at) ? own - says[at] : null, own - stretch.Says[^1], stretch.Known);
        }

        /// <summary>The moves a stretch is most likely said of, where it is said of any rather than of none, the likeliest first.</summary>
        /// <param name="end">The word after the last.</param>
        /// <param name="most">How many at most.</param>
        /// <param name="least">How likely they have to be, as a natural logarithm.</param>
        public List<(Move Move, ToldMove Told)> Likely(int from, int end, int most, double least)
        {
            var found = new List<(Move Move, ToldMove Told)>();
            var stretch = Sum(from, end);
            if (stretch.Known < LeastKnown)
            {
                return found;
            }

            TensorPrimitives.Subtract(stretch.Says.AsSpan(0, _work.Length), Misfits(_fitting.PlaceAt(end - 1)), _work);
            var top = TensorPrimitives.Max<float>(_work);
            if (top < stretch.Says[^1])
            {
                return found;
            }

            var all = LogSum(_work, top);
            while (found.Count < most)
            {
                var best = TensorPrimitives.IndexOfMax<float>(_work);
                var own = _work[best];
                if (own - all < least)
                {
                    break;
                }

                _work[best] = float.NegativeInfinity;
                found.Add((_of._moves[best]!, new ToldMove(own - all, own - (found.Count == 0 ? TensorPrimitives.Max<float>(_work) : top), null, own - stretch.Says[^1], stretch.Known)));
            }

            return found;
        }

        /// <summary>So many different words have to be known to say anything.</summary>
        private const int LeastKnown = 3;

        /// <summary>Adds up what the different words of a stretch say, from a shorter one on that begins with the same word where there is one.</summary>
        private Stretch Sum(int from, int end)
        {
            var shorter = default(Stretch);
            foreach (var asked in _asked)
            {
                if (asked.From == from && asked.End <= end && (shorter is null || asked.End > shorter.End))
                {
                    shorter = asked;
                }
            }

            if (shorter?.End == end)
            {
                return shorter;
            }

            var stretch = _asked[_oldest];
            _oldest = (_oldest + 1) % _asked.Length;
            var heard = shorter?.End ?? from;
            (shorter?.Says ?? _of._common).CopyTo(stretch.Says, 0);
            (stretch.Known, stretch.From, stretch.End, stretch.All) = (shorter?.Known ?? 0, from, end, null);
            _stretch++;
            for (var t = from; t < end; t++)
            {
                if (_words[t] is >= 0 and var word && _seenAt[word] != _stretch)
                {
                    _seenAt[word] = _stretch;
                    if (t >= heard)
                    {
                        stretch.Known++;
                        TensorPrimitives.Add(stretch.Says, _of._weights[word], stretch.Says);
                    }
                }
            }

            return stretch;
        }

        /// <summary>What all moves come to together, as a logarithm.</summary>
        private float LogSum(ReadOnlySpan<float> says, float top)
        {
            TensorPrimitives.Subtract(says, top, _shares);
            TensorPrimitives.Exp<float>(_shares, _shares);
            return top + MathF.Log(TensorPrimitives.Sum<float>(_shares));
        }

        /// <summary>How much less likely each move is where the body is.</summary>
        private float[] Misfits(string place)
        {
            if (!_misfits.TryGetValue(place, out var misfits))
            {
                _misfits[place] = misfits = [.. _of._moves.Select(m => m is null ? 0 : _fitting.Against(m, place))];
            }

            return misfits;
        }
    }
}
