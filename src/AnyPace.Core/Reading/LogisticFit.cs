namespace AnyPace.Core.Reading;

/// <summary>Fits a logistic regression with ridge penalty: the one set of weights that makes the examples likeliest, whatever their order.</summary>
public static class LogisticFit
{
    /// <summary>Rounds over all weights; the weights stand still well before.</summary>
    private const int Rounds = 60;
    private const double Still = 1e-5;

    /// <param name="features">For each example the features it has, by number.</param>
    /// <param name="right">Whether each example is right.</param>
    /// <param name="count">How many features there are.</param>
    /// <param name="ridge">What a weight of 1 costs, twice, as a log-likelihood.</param>
    /// <returns>A weight for each feature, and last the constant.</returns>
    public static double[] Fit(IReadOnlyList<int[]> features, IReadOnlyList<bool> right, int count, double ridge)
    {
        var weights = new double[count + 1];
        var sums = new double[features.Count];
        var having = new List<int>[count + 1];
        for (var k = 0; k <= count; k++)
        {
            having[k] = [];
        }

        for (var i = 0; i < features.Count; i++)
        {
            foreach (var k in features[i])
            {
                having[k].Add(i);
            }

            having[count].Add(i);
        }

        for (var round = 0; round < Rounds; round++)
        {
            var most = 0.0;
            for (var k = count; k >= 0; k--)
            {
                var cost = k == count ? 0 : ridge;
                var (slope, curve) = (-cost * weights[k], cost + 1e-9);
                foreach (var i in having[k])
                {
                    var p = Share(sums[i]);
                    slope += (right[i] ? 1 : 0) - p;
                    curve += p * (1 - p);
                }

                // Newton's step for one weight, kept short where the curve is flat.
                var step = Math.Clamp(slope / curve, -1, 1);
                if (Math.Abs(step) < Still / 10)
                {
                    continue;
                }

                weights[k] += step;
                most = Math.Max(most, Math.Abs(step));
                foreach (var i in having[k])
                {
                    sums[i] += step;
                }
            }

            if (most < Still)
            {
                break;
            }
        }

        return weights;
    }

    /// <summary>The examples as <see cref="Fit"/> takes them: of the traits of each, those that are known, by their place among these.</summary>
    public static List<int[]> Numbered<T>(IEnumerable<IEnumerable<T>> examples, IReadOnlyList<T> known)
        where T : notnull
    {
        var places = known.Index().ToDictionary(k => k.Item, k => k.Index);
        return [.. examples.Select(traits => traits.Where(places.ContainsKey).Select(t => places[t]).ToArray())];
    }

    /// <summary>From a sum of weights to a share, 0..1.</summary>
    public static double Share(double sum) => 1 / (1 + Math.Exp(-sum));
}
