using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>The move of a stretch, chosen once its ends are known, and moves that the order of the class tells.</summary>
public sealed class MoveChoiceTests
{
    /// <summary>Trees that tell nothing: what it was read as stays.</summary>
    private static readonly BoostedTrees Nothing = Make.Tree(MoveChoiceFit.Traits);

    private static int Trait(ChoiceTrait trait) => MoveChoiceFit.Traits.ToList().IndexOf(trait.ToString());

    private static MentionFit.MarkedClass Squats(string move) => new(
        Make.Captions("[0:00] hello and welcome everybody", "[0:20] squats here we go", "[0:50] keep going", "[1:00] and rest", "[1:20] thank you bye"),
        GoldReading.Parse($$"""
            {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-29","statedMinutes":1,"phases":[["work",20,60]],"bouts":[["{{move}}",20,60,"both"]]}
            """));

    /// <summary>All at once: a lexicon and trees are learned anew for every part.</summary>
    [Fact]
    public void Of_the_moves_in_question_the_one_that_is_marked_is_right()
    {
        List<MentionFit.MarkedClass> marked = [Squats("squat"), Squats("savasana"), Squats("squat") with { Gold = Squats("squat").Gold with { Bouts = [] } }];
        var told = MoveChoiceFit.Stretches(ReadByOthers.Learn(marked, Make.Lexicon));
        var right = Assert.Single(told[0].Of, e => e.Right);
        Assert.Equal(1, right.Told[Trait(ChoiceTrait.Current)]);
        Assert.Equal(3, right.Told[Trait(ChoiceTrait.Best)]);
        Assert.NotEmpty(told[1].Of);
        Assert.DoesNotContain(told[1].Of, e => e.Right);
        Assert.Empty(told[2].Of);
    }

    [Fact]
    public void Kept_aside_more_is_right_with_the_choice_than_without()
    {
        var (with, without) = (MarkedReadingTests.Of(aside: true), MarkedReadingTests.Aside(new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Choice = Nothing })));
        Assert.True(with.Average(s => s.MovesF1) > without.Average(s => s.MovesF1));
        Assert.True(with.Average(s => s.BoutsFound) > without.Average(s => s.BoutsFound));
    }

    /// <summary>Three moves, and in the second round a burpee where the push-up was.</summary>
    private static string Rounds(BoostedTrees trees, int rest)
    {
        string At(int seconds) => $"[{new Seconds(seconds + rest).Clock()}]";
        return string.Join(", ", new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Choice = trees }).Read(Make.Captions(
            "[0:00] hello everyone let's go", "[0:20] squats three two one go", "[1:00] and rest", "[1:10] push ups three two one go", "[1:50] and rest", "[2:00] reverse lunges three two one go", "[2:40] and rest",
            $"{At(170)} squats three two one go", $"{At(210)} and rest", $"{At(220)} burpees three two one go", $"{At(260)} and rest", $"{At(270)} reverse lunges three two one go", $"{At(310)} and rest thank you")).Bouts.Select(b => b.MoveId));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(45)]
    public void What_lies_at_its_place_in_the_other_rounds_is_told_of_a_stretch(int rest)
    {
        Assert.Equal("squat, push-up, reverse-lunge, squat, burpee, reverse-lunge", Rounds(Nothing, rest));

        // Trees that go by nothing else make each of the two what the other is.
        Assert.Equal("squat, burpee, reverse-lunge, squat, push-up, reverse-lunge", Rounds(Make.Tree(MoveChoiceFit.Traits, nameof(ChoiceTrait.Mates), 10), rest));
    }

    [Fact]
    public void A_move_that_is_only_hinted_at_is_the_one_that_came_next_before() => Assert.Equal(
        "crunch, mountain-climber, seated-knee-tuck, crunch, mountain-climber, seated-knee-tuck",
        string.Join(", ", Make.Read(
            "[0:00] hello everyone let's get down on the mat", "[0:20] crunches here we go", "[1:00] mountain climbers hands under your shoulders drive your knees in", "[1:40] seated knee tucks in and out",
            "[2:20] crunches again", "[3:00] hands down and go run it run it run it", "[3:40] seated knee tucks in and out", "[4:20] and rest well done see you next time").Bouts.Select(b => b.MoveId)));

    [Fact]
    public void Where_a_start_is_called_without_a_name_it_is_of_what_came_next_before() => Assert.Equal(
        "high-knees, plank-jack, high-knees, plank-jack, high-knees",
        string.Join(", ", Make.Read(
            "[0:00] hello everyone forty seconds on twenty off", "[0:20] high knees three two one go", "[1:00] and rest", "[1:20] plank jacks feet out and in three two one go", "[2:00] and rest",
            "[2:20] high knees three two one go", "[3:00] and rest", "[3:20] three two one go hold it together", "[4:00] and rest", "[4:20] high knees three two one go", "[5:00] and rest thank you").Bouts.Select(b => b.MoveId)));
}
