using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Two sides that a programme holds against each other, in seconds or load.</summary>
public sealed record BalancePair(string First, string Second, double FirstAmount, double SecondAmount)
{
    /// <summary>The first side's share of both, 0..1; null where neither is worked.</summary>
    public double? Share => FirstAmount + SecondAmount == 0 ? null : FirstAmount / (FirstAmount + SecondAmount);
}

/// <summary>Seconds of work by pattern, plane and side of the body.</summary>
/// <param name="Planes">Share of work seconds in each plane; a move of two planes counts half for each. Turning is the one programmes forget.</param>
public sealed record BalanceFigures(
    BalancePair PushPull, BalancePair KneeHip, BalancePair FrontBack, BalancePair LeftRight, BalancePair UpperLower, IReadOnlyDictionary<string, double> Planes);

/// <summary>Movement balance of the work.</summary>
public static class Balance
{
    /// <summary>Muscles on the front of the body; the rest of those named here lie behind. Sides and deep layers count for neither.</summary>
    private static readonly HashSet<string> Front = ["quads", "hip flexors", "abs", "chest", "biceps"];

    private static readonly HashSet<string> Back = ["hamstrings", "glutes", "calves", "lower back", "upper back", "lats", "triceps"];

    public static BalanceFigures Of(IReadOnlyList<PacedBout> main)
    {
        double Seconds(Func<Move, bool> which) => main.Where(b => which(b.Move)).Sum(b => b.Bout.Span.Length.Value);
        double Load(Func<string, bool> which) => Vocabulary.Muscles.Where(which).Sum(m => main.Sum(b => Measure.Load(b, m)));
        double Side(Side side) => main.Where(b => b.Bout.Side == side).Sum(b => b.Bout.Span.Length.Value);

        var work = main.Sum(b => b.Move.Planes.Length == 0 ? 0 : b.Bout.Span.Length.Value);
        return new BalanceFigures(
            new("push", "pull", Seconds(m => m.Pattern.StartsWith("push-", StringComparison.Ordinal)), Seconds(m => m.Pattern.StartsWith("pull-", StringComparison.Ordinal))),
            new("knee dominant", "hip dominant", Seconds(m => m.Pattern is "squat" or "lunge" or "jump"), Seconds(m => m.Pattern is "hinge" or "bridge")),
            new("front", "back", Load(Front.Contains), Load(Back.Contains)),
            new("left", "right", Side(Sessions.Side.Left), Side(Sessions.Side.Right)),
            new("upper body", "lower body", Load(m => !Vocabulary.LowerBody.Contains(m) && !Vocabulary.CoreBody.Contains(m)), Load(Vocabulary.LowerBody.Contains)),
            Vocabulary.Planes.Order(StringComparer.Ordinal).ToDictionary(
                p => p, p => work == 0 ? 0 : main.Where(b => b.Move.Planes.Contains(p)).Sum(b => b.Bout.Span.Length.Value / b.Move.Planes.Length) / work));
    }
}
