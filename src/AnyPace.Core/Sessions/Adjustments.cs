namespace AnyPace.Core.Sessions;

/// <summary>One number changed so that a plan comes to a wanted length.</summary>
/// <param name="What">The number, in the trade's word.</param>
/// <param name="Value">Its new value, with its unit.</param>
/// <param name="Length">What the plan then comes to.</param>
public sealed record Adjustment(string What, string Value, BlockPlan Plan, Seconds Length);

/// <summary>Which numbers bring a plan to a wanted length.</summary>
public static class Adjustments
{
    /// <summary>One suggestion a number, nearest first; only those that end within <paramref name="within"/> of the target.</summary>
    /// <param name="around">Length of everything that is not this block.</param>
    public static IReadOnlyList<Adjustment> Toward(Seconds target, BlockPlan plan, Seconds around, Seconds within)
    {
        var found = new List<Adjustment>();
        void Try(string what, IEnumerable<(BlockPlan Plan, string Value)> ways)
        {
            var best = ways
                .Where(w => !w.Plan.Validate().Any())
                .Select(w => new Adjustment(what, w.Value, w.Plan, around + Schedule.Of(w.Plan, RangeEnd.Low).Length))
                .Where(a => a.Plan != plan && Away(a) <= within.Value)
                .OrderBy(Away)
                .ThenBy(a => Distance(a.Plan, plan))
                .FirstOrDefault();
            if (best is not null)
            {
                found.Add(best);
            }
        }

        double Away(Adjustment a) => Math.Abs((a.Length - target).Value);

        var timed = plan.Kind is BlockKind.Intervals or BlockKind.TimedSets or BlockKind.Ladder or BlockKind.Holds or BlockKind.Finisher;
        if (timed)
        {
            Try("work", Range(10, 300, 5).Select(s => (plan with { Work = new(s) }, new Seconds(s).Clock())));
        }

        if (plan.Kind is not (BlockKind.TwentyTen or BlockKind.Phrases or BlockKind.Finisher))
        {
            Try("rest", Range(0, 120, 5).Select(s => (plan with { Rest = new(s) }, new Seconds(s).Clock())));
        }

        if (plan.Kind is BlockKind.Intervals or BlockKind.TwentyTen or BlockKind.Supersets or BlockKind.Holds)
        {
            Try("rounds", Range(1, 12, 1).Select(n => (plan with { Rounds = CountRange.Of(n) }, $"{n}")));
        }

        if (plan.Kind is BlockKind.TimedSets or BlockKind.RepSets)
        {
            Try("sets", Range(1, 10, 1).Select(n => (plan with { Sets = n }, $"{n}")));
        }

        if (plan.Kind is BlockKind.RepSets or BlockKind.Supersets)
        {
            Try("reps", Range(4, 30, 1).Select(n => (plan with { Reps = CountRange.Of(n) }, $"{n}")));
        }

        if (plan.Kind is not BlockKind.Finisher)
        {
            Try("moves", Range(1, 20, 1).Select(n => (plan with { Moves = n, OneSided = Math.Min(plan.OneSided, n) }, $"{n}")));
        }

        if (plan.Kind is BlockKind.Intervals && plan.Rounds.Low > 1)
        {
            Try("rest between rounds", Range(0, 180, 5).Select(s => (plan with { RoundRest = new(s) }, new Seconds(s).Clock())));
        }

        return [.. found.OrderBy(Away)];
    }

    private static double Distance(BlockPlan a, BlockPlan b) =>
        Math.Abs((a.Work - b.Work).Value) + Math.Abs((a.Rest - b.Rest).Value) + Math.Abs(a.Moves - b.Moves) + Math.Abs(a.Rounds.Low - b.Rounds.Low);

    private static IEnumerable<int> Range(int from, int to, int step)
    {
        for (var n = from; n <= to; n += step)
        {
            yield return n;
        }
    }
}
