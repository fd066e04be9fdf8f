using System.Collections.Frozen;
using System.Numerics.Tensors;

namespace AnyPace.Core.Reading;

/// <summary>
/// Tells remarks by all their words together: for each kind a logistic regression over marked sentences and classes. It knows what nobody wrote a phrase for; the phrases of
/// <see cref="FactReader"/> and <see cref="OptionReader"/> know what is rare and certain.
/// </summary>
/// <remarks>The weights of a <see cref="RemarkField"/> are in a table of its own, one line a trait; <see cref="RemarkFit"/> makes them anew.</remarks>
public sealed class RemarkJudge
{
    /// <summary>Words looked at together: about a sentence.</summary>
    public const int Sentence = 14;

    /// <summary>Seconds of silence over which no remark goes on. Shorter ones stand in the middle of many: words before them still say what is talked of.</summary>
    public const double Parted = 20;

    /// <summary>Seconds of silence that part what is said, to tell when the remark was made.</summary>
    private const double Pause = 4;

    /// <summary>Log of the odds from which words are at least a little like a remark.</summary>
    public const double Least = -2;

    /// <summary>Seconds between two remarks of one kind.</summary>
    private const double SameKind = 20;

    /// <summary>The remark is about there, counted in words from the first of the sentence.</summary>
    private const int Inside = 3;

    private readonly RemarkField _field;
    private readonly TraitWeights _table;
    private readonly FrozenDictionary<string, int> _rows;

    /// <summary>The rows of a group, and of two groups that come together, by their places; <see cref="NoRow"/> where it is not weighed.</summary>
    private readonly int[] _groups;
    private readonly int[,] _together;

    private const int NoRow = -1;

    public RemarkJudge(RemarkField field, TraitWeights table)
    {
        _field = field;
        _table = table;
        _rows = table.Weights.Index().ToFrozenDictionary(w => w.Item.Trait, w => w.Index);
        var names = field.Words.Names;
        _groups = [.. names.Select(n => Row(RemarkTraits.Group(n)))];
        _together = new int[names.Count, names.Count];
        for (var a = 0; a < names.Count; a++)
        {
            for (var b = 0; b < names.Count; b++)
            {
                _together[a, b] = Row(RemarkTraits.Together(names, a, b));
            }
        }

        foreach (var name in table.Weights.SelectMany(w => RemarkTraits.GroupsIn(w.Trait)).Where(n => !names.Contains(n)))
        {
            throw new FormatException($"The weights name a group of words '{name}' that there is not.");
        }
    }

    private int Row(string trait) => _rows.GetValueOrDefault(trait, NoRow);

    /// <summary>The row of each two words in a row. They are put together where they are looked up: hardly any two of a recording are weighed, and strings for all would cost more than the weighing.</summary>
    private int[] Pairs(IReadOnlyList<string> stems)
    {
        var rows = new int[Math.Max(0, stems.Count - 1)];
        var find = _rows.GetAlternateLookup<ReadOnlySpan<char>>();
        Span<char> pair = stackalloc char[128];
        for (var i = 0; i < rows.Length; i++)
        {
            rows[i] = RemarkTraits.Pair(pair, stems[i], stems[i + 1]) is var length && find.TryGetValue(pair[..length], out var row) ? row : NoRow;
        }

        return rows;
    }

    /// <summary>A remark of a kind.</summary>
    /// <param name="First">The first word of its sentence.</param>
    /// <param name="End">The word after its last.</param>
    /// <param name="Token">Where it is about.</param>
    public readonly record struct Told(string Kind, int First, int End, int Token);

    /// <summary>The odds of one kind for words with these traits, in hundredths.</summary>
    internal int Odds(HashSet<string> traits, int kind) => _table.Base[kind] + traits.Sum(t => _rows.TryGetValue(t, out var row) ? _table.Weights[row].Weights[kind] : 0);

    /// <summary>What is said of every sentence of a speech.</summary>
    /// <param name="least">Log of the odds from which words are a remark, in place of what the field asks for each kind.</param>
    public Judged Judge(Speech speech, double? least = null) => new(this, speech, [.. _table.Kinds.Select(k => (least ?? _field.From(k, speech.WordsAMinute)) * 100)]);

    /// <summary>A speech in which every run of words as long as a sentence was weighed.</summary>
    public sealed class Judged
    {
        private readonly RemarkJudge _judge;
        private readonly Speech _speech;
        private readonly int[] _seen;
        private readonly int[] _sum;

        /// <summary>For each word the odds of the likeliest kind for the run of words from it on, in hundredths.</summary>
        private readonly int[] _likeliest;

        /// <summary>The runs of words, from one up to another, that are enough like a remark of a kind, with the odds in hundredths.</summary>
        private readonly List<(int First, int End, int Kind, int Odds)> _runs = [];

        /// <param name="bounds">From which odds words are a remark of each kind, in hundredths.</param>
        internal Judged(RemarkJudge judge, Speech speech, double[] bounds)
        {
            (_judge, _speech) = (judge, speech);
            _seen = new int[judge._rows.Count];
            _likeliest = new int[speech.Tokens.Count];
            _sum = [.. judge._table.Base];
            const int shortest = 5;
            var groups = speech.Texts.Select(judge._field.Words.Of).ToArray();
            int[] words = [.. speech.Stems.Select(judge.Row)];
            var pairs = judge.Pairs(speech.Stems);
            foreach (var (from, to) in RemarkTraits.Breaths(speech, 0, speech.Tokens.Count, Parted))
            {
                var end = from;
                for (var first = from; first < to; first++)
                {
                    while (end < Math.Min(to, first + Sentence))
                    {
                        Count(end, Math.Max(first, end - RemarkTraits.Near), end, 1);
                        end++;
                    }

                    _likeliest[first] = _sum.Max();
                    if (first == from || to - first > shortest)
                    {
                        for (var k = 0; k < _sum.Length; k++)
                        {
                            if (_sum[k] > bounds[k])
                            {
                                _runs.Add((first, end, k, _sum[k]));
                            }
                        }
                    }

                    // Its first word goes out, with all it has to do with.
                    Count(first, first + 1, Math.Min(end, first + RemarkTraits.Near + 1), -1);
                }
            }

            // A word that comes in at the end, or goes out at the start, with the words beside it that are there.
            void Count(int word, int from, int to, int by)
            {
                Add(words[word], by);
                if (from < to)
                {
                    Add(pairs[by > 0 ? word - 1 : word], by);
                }

                foreach (var group in groups[word])
                {
                    Add(judge._groups[group], by);
                    for (var i = from; i < to; i++)
                    {
                        foreach (var other in groups[i])
                        {
                            Add(judge._together[group, other], by);
                        }
                    }
                }
            }
        }

        /// <summary>Log of the odds of the likeliest kind for the words around one.</summary>
        internal double Likeliest(int token)
        {
            var most = int.MinValue;
            for (var first = Math.Max(0, token - Sentence + 1); first <= token; first++)
            {
                most = Math.Max(most, _likeliest[first]);
            }

            return most / 100.0;
        }

        private void Add(int row, int by)
        {
            if (row == NoRow)
            {
                return;
            }

            // A trait counts once however often it is there.
            var before = _seen[row];
            _seen[row] += by;
            if (before == 0 || _seen[row] == 0)
            {
                var weights = _judge._table.Weights[row].Weights;
                if (by > 0)
                {
                    TensorPrimitives.Add<int>(_sum, weights, _sum);
                }
                else
                {
                    TensorPrimitives.Subtract<int>(_sum, weights, _sum);
                }
            }
        }

        /// <summary>The remarks, the surest first taken and none beside it, in the order they are said.</summary>
        public IReadOnlyList<Told> Remarks => _remarks ??= Found();

        private List<Told>? _remarks;

        /// <summary>Seconds within which another remark is the same one, or leaves no room for it.</summary>
        internal double Apart(bool sameKind) => sameKind ? SameKind : _judge._field.Apart;

        private List<Told> Found()
        {
            var taken = new List<(double At, int Kind, Told Told)>();
            foreach (var (first, end, kind, _) in _runs.OrderByDescending(r => r.Odds).ThenBy(r => r.First))
            {
                // Silences are where it may have begun: it is in the part that by itself is most like one.
                List<(int From, int To)> breaths = [.. RemarkTraits.Breaths(_speech, first, end, Pause)];
                var (from, to) = breaths is [var only] ? only : breaths.MaxBy(b => _judge.Odds(RemarkTraits.Of(_speech, b.From, b.To, _judge._field.Words), kind));
                var token = Math.Min(from + Inside, to - 1);
                var at = _speech.At(token);
                if (!taken.Exists(t => Math.Abs(t.At - at) < Apart(t.Kind == kind)))
                {
                    taken.Add((at, kind, new Told(_judge._table.Kinds[kind], first, end, token)));
                }
            }

            return [.. taken.Select(t => t.Told).OrderBy(r => r.Token)];
        }
    }
}
