using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Holds a shipped table of weights against one that was just fitted.</summary>
internal static class ShippedWeights
{
    public static void AreThose(string file, TraitWeights fitted)
    {
        using var shipped = new StreamReader(typeof(TraitWeights).Assembly.GetManifestResourceStream("reading/" + file)!);
        var table = TraitWeights.Parse(shipped.ReadToEnd()).Weights.ToDictionary(w => w.Trait, w => w.Weights);

        // Another machine may round the last digit the other way, and leave out a weight that is just large enough here.
        Assert.All(fitted.Weights, w => Assert.All(w.Weights.Zip(table.GetValueOrDefault(w.Trait, new int[w.Weights.Length])), p =>
            Assert.True(Math.Abs(p.First - p.Second) <= 3 || Math.Abs(p.First) + Math.Abs(p.Second) <= 12, $"{w.Trait}: {p}")));
        Assert.InRange(table.Keys.Except(fitted.Weights.Select(w => w.Trait)).Count(), 0, 20);
    }
}
