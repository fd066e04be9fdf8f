using System.Numerics;
using System.Numerics.Tensors;

namespace AnyPace.Core.Lexicon;

/// <summary>
/// Learns the weights of <see cref="MoveClassifier"/> from what the lexicon says of its moves and from marked classes: stochastic gradient descent on the logistic loss, each weight with a step of its own.
/// The same input gives the same weights.
/// </summary>
/// <remarks>Steps after J. Duchi, E. Hazan, Y. Singer, "Adaptive subgradient methods for online learning and stochastic optimization", Journal of Machine Learning Research 12 (2011), 2121-2159;
/// words left out by chance after N. Srivastava et al., "Dropout", ibid. 15 (2014), 1929-1958. The numbers are ours, by classes held back in turn.</remarks>
public static class MoveClassifierFit
{
    /// <summary>What an example counts: a whole sentence of the lexicon, a name, or what was said in a class as a move began or while nothing was done, 1.</summary>
    private const float Whole = 1;
    private const float OfIdeas = 0.5f;
    private const float OfName = 1;
    private const float UnderWay = 0.3f;

    private const float Rate = 0.1f;
    private const float Ridge = 0.0003f;
    private const float Damping = 0.01f;
    private const int Epochs = 10;

    /// <summary>
    /// What moves have in common - family, place, muscles, kit, words of the name - has weights too, which count so much for each of them: what is heard of one lunge tells of all,
    /// and moves that few sentences are known of are told by those like them.
    /// </summary>
    private const float InCommon = 0.3f;

    /// <summary>How many of the words of an example are left out each time it is learned from.</summary>
    private const double LeftOut = 0.3;

    private sealed record Example(int[] Words, int Move, float Weight);

    /// <param name="all">The moves, of which combined ones are left out.</param>
    /// <param name="talk">Sentences that describe nothing.</param>
    /// <param name="taught">Classes that were marked by hand; moves that are not among the others teach nothing.</param>
    public static MoveClassifier Fit(IEnumerable<Move> all, IReadOnlyList<string> talk, IReadOnlyList<TaughtClass> taught)
    {
        Move[] moves = [.. all.Where(m => m.Parts.IsEmpty)];
        var indexes = moves.Index().ToDictionary(m => m.Item.Id, m => m.Index);
        var idle = moves.Length;
        var words = DescriptionLikeness.Known(moves, talk);
        var examples = new List<Example>();
        void Learn(int move, float weight, IEnumerable<IEnumerable<string>> sentences) =>
            examples.AddRange(sentences.Select(stems => new Example([.. stems.Select(s => words.GetValueOrDefault(s, -1)).Where(n => n >= 0).Distinct()], move, weight)).Where(x => x.Words.Length > 0));

        void LearnOf(float weight, IEnumerable<TaughtBout> bouts)
        {
            foreach (var bout in bouts.Where(b => indexes.ContainsKey(b.MoveId)))
            {
                Learn(indexes[bout.MoveId], weight, [bout.Words]);
            }
        }

        foreach (var (i, move) in moves.Index())
        {
            Learn(i, OfIdeas, move.Descriptions.Select(DescriptionLikeness.Ideas));
            Learn(i, OfName, move.Aliases.Prepend(move.Name).Select(DescriptionLikeness.Stems));
            Learn(i, Whole, move.Spoken.Select(DescriptionLikeness.Stems));
        }

        Learn(idle, Whole, talk.Select(DescriptionLikeness.Stems));
        foreach (var taken in taught)
        {
            LearnOf(Whole, taken.Bouts);
            LearnOf(UnderWay, taken.UnderWay);
            Learn(idle, Whole, taken.Idle.Select(w => w.AsEnumerable()));
        }

        return new MoveClassifier(moves, words, Weigh(examples, words.Count, [.. moves.Select(DescriptionLikeness.Common), 0], [.. Shared(moves), []]));
    }

    /// <summary>For each move the numbers of what it has in common with others.</summary>
    private static IEnumerable<int[]> Shared(Move[] moves)
    {
        string[][] all =
        [
            .. moves.Select(m => (string[])
            [
                $"family {m.Family}", $"pattern {m.Pattern}", $"sides {m.Sides}", $"impact {m.Impact}", $"held {m.IsHeld}", .. m.Positions.Select(p => $"position {p}"), .. m.Prime.Select(p => $"muscle {p}"),
                .. m.Kit.DefaultIfEmpty("none").Select(k => $"kit {k}"), .. DescriptionLikeness.Stems(m.Name).Distinct().Select(w => $"name {w}"),
            ]),
        ];
        var numbers = all.SelectMany(t => t).CountBy(t => t).Where(t => t.Value > 1).Index().ToDictionary(t => t.Item.Key, t => t.Index);
        return all.Select(of => (int[])[.. of.Where(numbers.ContainsKey).Select(t => numbers[t])]);
    }

    /// <param name="likely">How likely each is before a word is said, as a logarithm.</param>
    /// <param name="traits">For each the numbers of what it has in common with others.</param>
    /// <returns>For each word a weight for each that it can be said of.</returns>
    private static float[][] Weigh(List<Example> examples, int words, float[] likely, int[][] traits)
    {
        var own = new Weights(words, likely.Length);
        var shared = new Weights(words, traits.SelectMany(t => t).DefaultIfEmpty(-1).Max() + 1);
        var (errors, sums) = (own.Row(), shared.Row());
        var known = errors.AsSpan(0, likely.Length);
        var order = Enumerable.Range(0, examples.Count).ToArray();
        var chance = new Random(1);
        for (var epoch = 0; epoch < Epochs; epoch++)
        {
            chance.Shuffle(order);
            foreach (var n in order)
            {
                var (said, move, weight) = examples[n];
                var heard = Array.FindAll(said, _ => chance.NextDouble() >= LeftOut);
                likely.CopyTo(known);
                own.Add(heard, errors);
                Array.Clear(sums);
                shared.Add(heard, sums);
                AddShared(known, traits, sums);
                TensorPrimitives.SoftMax<float>(known, known);
                known[move]--;
                TensorPrimitives.Multiply(known, weight, known);
                own.Learn(heard, errors);
                Array.Clear(sums);
                for (var i = 0; i < traits.Length; i++)
                {
                    foreach (var trait in traits[i])
                    {
                        sums[trait] += InCommon * known[i];
                    }
                }

                shared.Learn(heard, sums);
            }
        }

        return
        [
            .. Enumerable.Range(0, words).Select(w =>
            {
                var weights = own[w][..likely.Length];
                AddShared(weights, traits, shared[w]);
                return weights;
            }),
        ];
    }

    /// <summary>Adds to each what speaks for all that it has in common with others.</summary>
    private static void AddShared(Span<float> sums, int[][] traits, float[] shared)
    {
        for (var i = 0; i < traits.Length; i++)
        {
            var sum = 0f;
            foreach (var trait in traits[i])
            {
                sum += shared[trait];
            }

            sums[i] += InCommon * sum;
        }
    }

    /// <summary>A weight for each word and column, each with a step of its own. Rows are as long as whole vectors: all the time goes into them.</summary>
    private sealed class Weights
    {
        private readonly int _length;
        private readonly float[][] _weights;
        private readonly float[][] _slopes;

        public Weights(int words, int columns)
        {
            _length = (columns + Vector<float>.Count - 1) / Vector<float>.Count * Vector<float>.Count;
            float[][] Rows() => [.. Enumerable.Range(0, words).Select(_ => Row())];
            (_weights, _slopes) = (Rows(), Rows());
        }

        public float[] this[int word] => _weights[word];

        public float[] Row() => new float[_length];

        public void Add(int[] words, float[] sums)
        {
            foreach (var word in words)
            {
                TensorPrimitives.Add<float>(sums, _weights[word], sums);
            }
        }

        public void Learn(int[] words, float[] errors)
        {
            foreach (var word in words)
            {
                Step(_weights[word], _slopes[word], errors);
            }
        }

        private static void Step(float[] weights, float[] slopes, float[] errors)
        {
            var (ridge, rate, damping) = (new Vector<float>(Ridge), new Vector<float>(Rate), new Vector<float>(Damping));
            for (var i = 0; i < errors.Length; i += Vector<float>.Count)
            {
                var weight = new Vector<float>(weights, i);
                var slope = new Vector<float>(errors, i) + (ridge * weight);
                var past = new Vector<float>(slopes, i) + (slope * slope);
                past.CopyTo(slopes, i);
                (weight - (rate * slope / Vector.SquareRoot(past + damping))).CopyTo(weights, i);
            }
        }
    }
}
