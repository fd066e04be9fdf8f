using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>When a bout begins, chosen among the moments at which it may.</summary>
public sealed class StartChoiceTests
{
    /// <summary>Trees that tell nothing: a bout begins where it was read to.</summary>
    private static readonly BoostedTrees Nothing = Trees();

    private static BoostedTrees Trees(string? trait = null, int above = 0) => Make.Tree(StartFit.Traits, trait, above);

    private static readonly string[] Said =
    [
        "[0:00] hello and welcome everybody let's get going", "[0:20] squats three two one go", "[1:00] and rest", "[1:10] the next move is a push up and what i'd like you to think of is a long line from your head",
        "[1:22] right", "[1:26] down and up", "[1:32] down and up", "[1:50] and rest", "[2:00] lunges go", "[2:40] and rest well done see you next time",
    ];

    private static IReadOnlyList<Bout> Bouts(BoostedTrees starts) => new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Starts = starts }).Read(Make.Captions(Said)).Bouts;

    [Fact]
    public void A_bout_begins_where_it_was_read_to_if_no_moment_is_likelier() =>
        Assert.Equal(Bouts(Nothing).Select(b => b.Span), Bouts(Trees(nameof(StartTrait.Current))).Select(b => b.Span));

    [Fact]
    public void The_likeliest_moment_is_taken_and_the_end_stays()
    {
        var (read, chosen) = (Bouts(Nothing), Bouts(Trees("DoingThen")));
        Assert.Equal(read.Select(b => (b.MoveId, b.Span.End)), chosen.Select(b => (b.MoveId, b.Span.End)));
        Assert.Contains(read.Zip(chosen), b => b.Second.Span.Start > b.First.Span.Start);
    }

    [Fact]
    public void No_bout_begins_before_the_one_before_it_has_been_done_and_none_lie_on_each_other()
    {
        // The earliest of all.
        var bouts = Bouts(Trees(nameof(StartTrait.Others), 2));
        Assert.All(bouts.Zip(bouts.Skip(1)), b => Assert.True(b.Second.Span.Start >= b.First.Span.End, $"{b.First.Span} {b.Second.Span}"));
        Assert.All(bouts, b => Assert.True(b.Span.Length.Value >= 6, $"{b.MoveId} {b.Span}"));
    }

    private static MentionFit.MarkedClass Marked(double start) => new(Make.Captions(Said), GoldReading.Parse($$"""
        {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-30","statedMinutes":3,"phases":[["work",20,160]],"bouts":[["squat",20,60,"both"],["push-up",{{start}},110,"both"]]}
        """));

    [Fact]
    public void Of_the_moments_of_a_marked_bout_those_near_its_start_are_right()
    {
        var told = Assert.Single(StartFit.Moments(ReadByOthers.Learn([Marked(86)], Make.Lexicon), Make.Tree(MoveChoiceFit.Traits))).Of;
        var current = StartFit.Traits.ToList().IndexOf(nameof(StartTrait.Current));
        var bouts = told.Count(t => t.Told[current] == 1);
        Assert.InRange(bouts, 1, 2);
        Assert.Contains(told, t => t.Right);
        Assert.Contains(told, t => !t.Right);
    }

    [Fact]
    public void Kept_aside_more_bouts_begin_when_they_are_marked_to_than_without_the_choice()
    {
        var (with, without) = (MarkedReadingTests.Of(aside: true), MarkedReadingTests.Aside(new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Starts = Nothing })));
        Assert.True(with.Average(s => s.BoutsFound) > without.Average(s => s.BoutsFound) + 0.003);
    }
}
