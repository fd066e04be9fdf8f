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
    private const float Ridge = 0.001f;
    private const float Damping = 0.01f;
    private const int Epochs = 10;

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

        return new MoveClassifier(moves, words, Weigh(examples, words.Count, [.. moves.Select(DescriptionLikeness.Common), 0]));
    }

    /// <param name="common">How likely each is before a word is said, as a logarithm.</param>
    /// <returns>For each word a weight for each that it can be said of.</returns>
    private static float[][] Weigh(List<Example> examples, int words, float[] common)
    {
        // Rows are as long as whole vectors: the loop below is what all the time goes into.
        var padded = (common.Length + Vector<float>.Count - 1) / Vector<float>.Count * Vector<float>.Count;
        float[][] Rows() => [.. Enumerable.Range(0, words).Select(_ => new float[padded])];
        var (weights, slopes) = (Rows(), Rows());
        var errors = new float[padded];
        var order = Enumerable.Range(0, examples.Count).ToArray();
        var chance = new Random(1);
        for (var epoch = 0; epoch < Epochs; epoch++)
        {
            chance.Shuffle(order);
            foreach (var n in order)
            {
                var (said, move, weight) = examples[n];
                var heard = Array.FindAll(said, _ => chance.NextDouble() >= LeftOut);
                var known = errors.AsSpan(0, common.Length);
                common.CopyTo(known);
                foreach (var word in heard)
                {
                    TensorPrimitives.Add(known, weights[word].AsSpan(0, common.Length), known);
                }

                TensorPrimitives.SoftMax<float>(known, known);
                known[move]--;
                TensorPrimitives.Multiply(known, weight, known);
                foreach (var word in heard)
                {
                    Step(weights[word], slopes[word], errors);
                }
            }
        }

        return [.. weights.Select(w => w[..common.Length])];
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
