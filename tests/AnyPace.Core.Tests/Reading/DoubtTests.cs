using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What is said of doubtful bouts: why they are, and what they may be instead.</summary>
public sealed class DoubtTests
{
    /// <summary>Read by trees that tell nothing of how sure a bout is, so that all are doubtful.</summary>
    private static IReadOnlyList<Bout> Bouts(params string[] said) =>
        new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Sure = Make.Tree(SureFit.Traits, null, 0) }).Read(Make.Captions(said)).Bouts;

    private static Bout At(IReadOnlyList<Bout> bouts, double at) => bouts.Single(b => b.Span.Contains(new Seconds(at)));

    private static readonly string[] Rounds =
    [
        "[0:00] three moves forty seconds of work twenty seconds of rest two rounds", "[0:20] squats three two one go", "[0:40] keep squatting", "[1:00] and rest", "[1:20] push ups three two one go", "[2:00] and rest",
        "[2:20] reverse lunges three two one go", "[3:00] and rest round two next", "[3:20] squats three two one go", "[4:00] and rest", "[4:20] here we go", "[5:00] and rest", "[5:20] reverse lunges three two one go", "[6:00] and rest well done",
    ];

    [Fact]
    public void A_round_that_only_its_clock_tells_has_a_move_that_is_not_named_there()
    {
        var bouts = Bouts(Rounds);
        Assert.Contains(At(bouts, 270).Doubts, d => d.Kind == DoubtKind.NotNamedHere);
        Assert.DoesNotContain(At(bouts, 40).Doubts, d => d.Kind is DoubtKind.NotNamedHere or DoubtKind.NeverNamed or DoubtKind.NoStart);
    }

    [Fact]
    public void A_name_said_of_what_comes_next_is_said_there()
    {
        var bouts = Bouts(
            "[0:00] squats here we go", "[0:30] five six seven eight", "[0:56] good rest one minute next pair is a bulgarian split squat with a romanian deadlift", "[1:12] set the chair against a wall so it can't slide",
            "[1:20] drop straight down and drive through the front heel", "[1:40] one two three four", "[2:00] and rest");
        var bout = At(bouts, 100);
        Assert.Equal("bulgarian-split-squat", bout.MoveId);
        Assert.DoesNotContain(bout.Doubts, d => d.Kind is DoubtKind.NotNamedHere or DoubtKind.NeverNamed);
    }

    [Fact]
    public void What_is_told_by_other_words_is_never_named()
    {
        var bout = At(Bouts("[0:00] lie on your back knees bent feet flat on the floor", "[0:08] press through your heels and lift your hips up to the ceiling", "[0:20] squeeze and lower hips up and down", "[0:50] and rest"), 25);
        Assert.Contains(new Doubt(DoubtKind.NeverNamed), bout.Doubts);
    }

    [Fact]
    public void A_bout_is_short_or_long_beside_most_of_its_class()
    {
        var bouts = Bouts("[0:00] squats go", "[0:40] lunges go", "[1:20] push ups go", "[2:00] burpees go", "[2:08] plank hold it", "[4:30] and rest");
        Assert.Contains(bouts, b => b.Doubts.Any(d => d.Kind == DoubtKind.Long));
        Assert.All(bouts.Where(b => b.Span.Length.Value is > 30 and < 50), b => Assert.DoesNotContain(b.Doubts, d => d.Kind is DoubtKind.Long or DoubtKind.Short));
    }

    [Fact]
    public void The_moves_it_may_be_instead_are_known_and_others()
    {
        var bouts = Bouts(Rounds);
        Assert.Contains(bouts, b => !b.Instead.IsEmpty);
        Assert.All(bouts, b =>
        {
            Assert.DoesNotContain(b.MoveId, b.Instead);
            Assert.Equal(b.Instead.Distinct(), b.Instead);
            Assert.All(b.Instead, id => Assert.NotNull(Make.Lexicon.Find(id)));
            Assert.InRange(b.Instead.Length, 0, 4);
        });
    }

    [Fact]
    public void Another_move_that_is_named_there_is_said_and_offered()
    {
        var bouts = Bouts("[0:00] squats go", "[0:20] or jumping jacks if you like jumping jacks all the way", "[0:40] and rest", "[0:50] push ups go", "[1:30] and rest");
        var other = bouts.Where(b => b.Doubts.Any(d => d.Kind == DoubtKind.OtherNamed)).ToList();
        Assert.All(other, b => Assert.Contains(b.Doubts.First(d => d.Kind == DoubtKind.OtherNamed).MoveId!, b.Instead));
    }

    [Fact]
    public void A_bout_that_is_sure_has_no_doubts()
    {
        var bouts = Make.Read(Rounds).Bouts;
        Assert.Contains(bouts, b => !b.Doubtful);
        Assert.All(bouts.Where(b => !b.Doubtful), b => Assert.True(b.Doubts.IsEmpty && b.Instead.IsEmpty));
    }

    [Fact]
    public void Every_reason_has_words()
    {
        foreach (var kind in Enum.GetValues<DoubtKind>())
        {
            var bout = Bout.Confirmed("b1", "squat", Span.Of(0, 10)) with { Doubts = [new Doubt(kind, "push-up")] };
            Assert.Matches("^[A-Z].*[a-z]\\.$", DoubtWords.Of(bout, id => Make.Lexicon[id].Name));
        }

        Assert.Equal("Push-up is named here; it is much longer than most.", DoubtWords.Of(
            Bout.Confirmed("b1", "squat", Span.Of(0, 10)) with { Doubts = [new Doubt(DoubtKind.OtherNamed, "push-up"), new Doubt(DoubtKind.Long)] }, id => Make.Lexicon[id].Name));
        Assert.Equal("", DoubtWords.Of(Bout.Confirmed("b1", "squat", Span.Of(0, 10)), id => id));
    }
}
