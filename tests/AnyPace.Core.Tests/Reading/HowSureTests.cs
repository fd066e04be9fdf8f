using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>How sure each bout of a finished reading is.</summary>
public sealed class HowSureTests
{
    private static readonly string[] Said =
    [
        "[0:00] hello and welcome everybody let's get going", "[0:20] squats three two one go", "[0:40] squats keep going", "[1:00] and rest", "[1:10] push ups three two one go", "[1:50] and rest",
        "[2:00] squats again go", "[2:40] and rest well done see you next time",
    ];

    private static IReadOnlyList<Bout> Bouts(string? trait = null, int above = 0) =>
        new CaptionReading(Make.Lexicon, ReadingTrees.Shipped with { Sure = Make.Tree(SureFit.Traits, trait, above) }).Read(Make.Captions(Said)).Bouts;

    [Fact]
    public void Trees_that_tell_nothing_make_all_bouts_equally_sure() => Assert.Single(Bouts().Select(b => b.Confidence).Distinct());

    [Fact]
    public void A_bout_is_as_sure_as_what_is_told_of_it_makes_it()
    {
        // More than one bout of its move.
        var bouts = Bouts(nameof(SureTrait.Done), 1);
        Assert.All(bouts, b => Assert.Equal(b.MoveId == "squat", b.Confidence > bouts.Min(x => x.Confidence)));
        Assert.Contains(bouts, b => b.MoveId == "squat");
        Assert.Contains(bouts, b => b.MoveId != "squat");
    }

    [Fact]
    public void How_sure_it_is_changes_nothing_else() => Assert.Equal(
        Bouts().Select(b => (b.Id, b.MoveId, b.Span, b.Side)), Bouts(nameof(SureTrait.Done), 1).Select(b => (b.Id, b.MoveId, b.Span, b.Side)));

    [Fact]
    public void Nothing_that_nobody_confirmed_is_quite_sure() =>
        Assert.All(Make.Read(Said).Bouts, b => Assert.InRange(b.Confidence, 0.02, 0.98));

    [Fact]
    public void What_is_named_and_called_is_surer_than_what_is_likened_to_in_talk()
    {
        var sure = Make.Read(Said).Bouts.Where(b => b.MoveId == "squat").Min(b => b.Confidence);
        var talk = Make.Read("[0:00] hello and welcome", "[0:20] my old coach used to say a lunge a day", "[0:50] anyway how is everyone", "[1:30] so that's all from me bye").Bouts;
        Assert.All(talk, b => Assert.True(b.Confidence < sure, $"{b.MoveId} {b.Confidence} {sure}"));
    }

    [Fact]
    public void A_bout_is_right_if_a_marked_one_of_its_move_begins_near_it()
    {
        var gold = GoldReading.Parse("""
            {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-30","statedMinutes":3,"phases":[["work",20,160]],"bouts":[["squat",20,60,"both"],["burpee",70,110,"both"],["squat",120,160,"both"]]}
            """);
        var told = Assert.Single(SureFit.Bouts(ReadByOthers.Learn([new MentionFit.MarkedClass(Make.Captions(Said), gold)], Make.Lexicon))).Of;
        var done = SureFit.Traits.ToList().IndexOf(nameof(SureTrait.Done));
        Assert.Equal([true, false, true], told.Select(t => t.Right));
        Assert.Equal([2, 1, 2], told.Select(t => (int)t.Told[done]));
    }
}
