using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Where the warm-up ends and the cool-down begins, chosen among the borders between bouts.</summary>
public sealed class PhaseChoiceTests
{
    /// <summary>Trees that tell nothing: the borders are those of the rules.</summary>
    private static readonly BoostedTrees Nothing = Trees();

    private static BoostedTrees Trees(string? trait = null, int upTo = 0) => Make.Tree(PhaseFit.Traits, trait, upTo, upTo: true);

    private static Timeline Read(PhaseTrees trees, int moves = 10)
    {
        string[] named = ["march on the spot", "arm circles", "squats", "push ups", "reverse lunges", "glute bridges", "mountain climbers", "jumping jacks", "bicycle crunches", "child's pose"];
        return new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Phases = trees }).Read(Make.Captions(
            ["[0:00] hello and welcome everybody forty seconds on twenty off", .. named[..moves].Select((m, i) => $"[{i + 1}:00] {m} three two one go"), .. Enumerable.Range(1, moves).Select(i => $"[{i}:40] and rest")]));
    }

    private static Phase? Of(Timeline timeline, PhaseKind kind) => timeline.Phases.FirstOrDefault(p => p.Kind == kind);

    [Fact]
    public void No_warm_up_and_no_cool_down_are_borders_too()
    {
        var read = Read(new PhaseTrees(Trees(nameof(PhaseTrait.BoutsBefore)), Trees(nameof(PhaseTrait.BoutsAfter))));
        Assert.Null(Of(read, PhaseKind.WarmUp));
        Assert.Null(Of(read, PhaseKind.CoolDown));
        Assert.NotNull(Of(read, PhaseKind.Work));
    }

    [Fact]
    public void The_likeliest_border_is_taken_and_the_work_begins_there()
    {
        // The fewest bouts before it that are no march and no circles; the rest is as without.
        var (ruled, chosen) = (Read(new PhaseTrees(Nothing, Nothing)), Read(new PhaseTrees(Trees(nameof(PhaseTrait.Next)), Nothing)));
        Assert.Equal(ruled.Bouts.Select(b => (b.MoveId, b.Span)), chosen.Bouts.Select(b => (b.MoveId, b.Span)));
        Assert.False(Make.Lexicon[chosen.Bouts.First(b => b.Span.Middle > Of(chosen, PhaseKind.Work)!.Span.Start).MoveId].IsGentle);
    }

    [Fact]
    public void Of_a_few_bouts_nothing_is_chosen() => Assert.Equal(
        Read(new PhaseTrees(Nothing, Nothing), 5).Phases.AsEnumerable(),
        Read(new PhaseTrees(Trees(nameof(PhaseTrait.BoutsAfter), 2), Trees(nameof(PhaseTrait.BoutsBefore), 2)), 5).Phases.AsEnumerable());

    [Fact]
    public void Kept_aside_more_of_the_time_is_in_its_phase_and_more_warm_ups_are_told_than_by_rules()
    {
        var (with, without) = (MarkedReadingTests.Of(aside: true), MarkedReadingTests.Aside(new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Phases = new PhaseTrees(Nothing, Nothing) })));
        Assert.True(with.Average(s => s.PhaseOverlap) > without.Average(s => s.PhaseOverlap) + 0.01);
        Assert.True(with.Sum(s => s.WarmUp.Hits) > without.Sum(s => s.WarmUp.Hits));
    }
}
