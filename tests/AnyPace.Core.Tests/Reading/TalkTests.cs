using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Those who never stop talking: names that only arise where two clauses meet, cues for form, what is offered, what is added for later.</summary>
public sealed class TalkTests
{
    private static readonly string[] Hello = ["[0:00] hello let's get started"];

    private static string Moves(params string[] lines) => string.Join(", ", Make.Read([.. Hello, .. lines, "[1:40] and rest", "[1:50] see you next time"]).Bouts.Select(b => b.MoveId).Distinct());

    private static string Bouts(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => $"{b.MoveId}{(b.Side == Side.Both ? "" : " " + b.Side.ToString().ToLowerInvariant())} {b.Span.Start}"));

    [Theory]
    [InlineData("reverse lunges", "step back tap the knee down and push through the front heel", "reverse-lunge")]
    [InlineData("squats with a knee drive", "here we go squat and knee squat and other knee", "squat-knee-drive")]
    [InlineData("side steps", "step to the right and tap step to the left and tap", "side-step")]
    [InlineData("flutter kicks", "legs out long and low kick kick kick little ones", "flutter-kick")]
    [InlineData("step ups right foot on the step", "drive it up and step down with control", "step-up")]
    [InlineData("standing twists", "look behind you like you're looking over a fence", "standing-twist")]
    public void No_name_arises_where_two_clauses_meet(string named, string then, string move) =>
        Assert.Equal(move, Moves($"[0:10] {named}", $"[0:20] {then}", "[0:40] keep going lovely"));

    [Fact]
    public void Of_two_names_that_share_a_word_the_plural_keeps_to_itself() => Assert.Equal(
        "squat, push-up",
        Moves("[0:10] ten squats", "[0:40] squats press ups", "[0:55] keep going", "[1:10] more press ups"));

    [Fact]
    public void What_a_move_is_done_with_may_have_a_name_of_its_own() =>
        Assert.Equal("plank-shoulder-tap", Moves("[0:10] last one is a plank with shoulder taps", "[0:20] go keep your hips still"));

    [Theory]
    [InlineData("goblet squats", "keep your shoulders away from your ears take it nice and low")]
    [InlineData("hundred on your back", "inhale and exhale shoulders away from the ears if you'd like more take the legs lower")]
    public void Shoulders_away_from_the_ears_is_no_stretch_of_the_neck(string named, string then) =>
        Assert.DoesNotContain("neck-stretch", Moves($"[0:10] {named}", $"[0:40] {then}", "[1:10] keep going"));

    [Fact]
    public void Quick_feet_in_climbers_are_how_they_are_done() => Assert.Equal(
        "mountain-climber 0:19",
        Bouts("[0:00] thirty seconds on fifteen off", "[0:10] first up is mountain climbers get into your plank position", "[0:18] and go", "[0:26] drive the knees in quick feet hips down", "[0:49] and rest", "[1:00] see you next time"));

    [Theory]
    [InlineData("take the band off for this one if you like single leg bridges", "single-leg-bridge")]
    [InlineData("so hold on to the wall if you need it lateral lunges", "side-lunge")]
    public void An_if_you_like_belongs_to_what_was_said_before_it(string said, string move) =>
        Assert.Equal(move, Moves($"[0:10] {said}", "[0:30] lovely keep going"));

    [Theory]
    [InlineData("if you're low impact just march it but march like you mean it")]
    [InlineData("renzo's doing a march for you")]
    public void What_is_offered_or_done_by_another_is_not_led(string said) =>
        Assert.Equal("high-knees", Moves("[0:10] high knees", $"[0:30] {said}", "[0:50] keep going"));

    [Fact]
    public void Knees_or_toes_means_the_full_move() =>
        Assert.Equal("push-up", Moves("[0:10] press ups on your knees or on your toes", "[0:30] chest down keep going"));

    [Fact]
    public void What_is_named_after_this_is_stays_though_another_way_is_offered_next() =>
        Assert.StartsWith("pigeon-pose", Moves("[0:10] bring the shin forward this is pigeon pose if that's too much for your knee", "[0:18] lie on your back instead", "[0:50] and breathe"), StringComparison.Ordinal);

    [Fact]
    public void In_a_ladder_what_is_added_waits_for_its_turn() => Assert.All(
        Make.Read(
            "[0:00] hello this is a ladder we add one exercise each time", "[0:28] ten squats to start", "[0:30] go one two three four five six", "[0:50] and now we add ten press ups but from the top",
            "[1:00] squats go one two three four five", "[1:28] press ups", "[1:30] go one two three four five", "[2:00] and rest", "[2:10] see you next time").Bouts.Where(b => b.MoveId == "push-up"),
        b => Assert.InRange(b.Span.Start.Value, 88, 92));

    [Fact]
    public void A_word_after_the_count_down_does_not_rename_what_was_announced() => Assert.Equal(
        "squat-jump 0:13, skater 0:58",
        Bouts(
            "[0:00] thirty seconds on fifteen off first up squat jumps", "[0:12] three two one", "[0:15] go", "[0:45] rest skaters next", "[0:57] three two one jump", "[1:00] as big as you can", "[1:30] rest",
            "[1:40] see you next time"));

    [Fact]
    public void A_second_set_on_the_same_side_is_a_bout_of_its_own() => Assert.Equal(
        "fire-hydrant right 0:10, fire-hydrant left 0:41, fire-hydrant right 1:11, fire-hydrant left 1:41",
        Bouts(
            "[0:00] hello two sets of fifteen each side", "[0:10] fire hydrants right leg", "[0:40] other side", "[1:10] second set right leg again", "[1:40] and left", "[2:10] and rest", "[2:20] see you next time"));

    [Fact]
    public void Who_lies_on_the_left_side_works_the_right_leg() =>
        Assert.Equal(Side.Right, Make.Read([.. Hello, "[0:10] lie down on your left side clamshells", "[0:40] open and close", "[1:00] and rest", "[1:10] see you next time"]).Bouts.Single().Side);

    [Fact]
    public void A_side_named_for_the_move_before_is_no_change_of_sides() => Assert.Equal(
        "donkey-kick right 0:10, donkey-kick left 0:41, fire-hydrant right 1:10",
        Bouts("[0:00] hello", "[0:10] donkey kicks right leg", "[0:40] and the left leg", "[1:10] fire hydrants next", "[1:20] right leg up and out", "[1:50] and rest", "[2:00] see you next time"));

    [Fact]
    public void The_more_someone_talks_the_more_has_to_speak_for_a_likeness()
    {
        const string said = "hands wide lower the chest and push the floor away";
        static Timeline Among(string talk) => Make.Read([.. Hello, "[0:30] " + said, .. Enumerable.Range(0, 12).Select(i => $"[{1 + (i / 6)}:{i % 6}0] {talk}"), "[3:10] see you next time"]);
        var quiet = Among("and so on");
        var talker = Among("it was the coldest morning anybody here could remember and the whole street had come out with buckets of grit and flasks of tea to help the milk van up the hill again");
        Assert.True(talker.Bouts.Length <= quiet.Bouts.Length);
    }

    [Theory]
    [InlineData("pretend you've got a skipping rope and turn the rope", "skipping rope")]
    [InlineData("keep shifting the weight from foot to foot", "dumbbell")]
    [InlineData("next we've got a step kick so step on your right", "step")]
    public void No_kit_is_made_up(string said, string item) =>
        Assert.DoesNotContain(Make.Read([.. Hello, "[0:10] march on the spot", $"[0:20] {said}", "[1:00] see you next time"]).Kit, k => k.Item == item);

    [Theory]
    [InlineData("no equipment just you and your mat", KitNeed.Required)]
    [InlineData("no equipment a mat's nice for the floor ones", KitNeed.Optional)]
    public void A_mat_that_is_lain_on_stays_what_it_was_said_to_be(string said, KitNeed need) =>
        Assert.Equal(need, Make.Read([$"[0:00] {said}", "[0:10] crunches go", "[0:20] shoulder blades off the mat every time bend your knees if your hamstrings are tight", "[1:00] see you next time"]).Kit.Single(k => k.Item == "mat").Need);

    [Fact]
    public void A_dose_a_week_is_no_number_of_rounds()
    {
        var dose = DoseReader.Read(new Speech(Make.Captions("[0:00] three sets of eight to twelve reps", "[0:10] do that two or three times a week").Cues));
        Assert.Null(dose.Rounds);
        Assert.Equal((3, new CountRange(8, 12)), (dose.Sets, dose.Reps));
    }

    [Fact]
    public void Seconds_of_resting_are_rest_and_goes_are_sets()
    {
        var dose = DoseReader.Read(new Speech(Make.Captions("[0:00] five exercises three goes at each thirty seconds working thirty seconds resting").Cues));
        Assert.Equal((30, 30, 3), (dose.WorkSeconds, dose.RestSeconds, dose.Sets));
    }

    [Fact]
    public void The_lexicon_says_which_names_are_images() =>
        Assert.Contains(Make.Lexicon.Moves, m => m is { Id: "windshield-wiper", IsImage: true });
}
