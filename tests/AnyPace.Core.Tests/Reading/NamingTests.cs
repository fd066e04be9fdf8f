using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>One move under several names, two moves under one, and the side that is only hinted at.</summary>
public sealed class NamingTests
{
    private static string[] Moves(params string[] lines) => [.. Make.Read(["[0:00] hello everyone let's get started", .. lines]).Bouts.Select(b => b.MoveId).Distinct()];

    [Theory]
    [InlineData("reverse lunge with a bicep curl", "reverse-lunge+biceps-curl")]
    [InlineData("squat into an overhead press", "thruster")]
    [InlineData("squats with a knee lift", "squat-knee-drive")]
    [InlineData("romanian deadlift into a bent over row", "romanian-deadlift+bent-over-row")]
    [InlineData("hammer curl to shoulder press", "hammer-curl+overhead-press")]
    [InlineData("fire hydrant to kickback", "fire-hydrant+donkey-kick")]
    [InlineData("row into a kickback", "bent-over-row+triceps-kickback")]
    public void Two_moves_said_as_one_are_the_combined_move(string words, string move) =>
        Assert.Equal([move], Moves($"[0:10] next up {words} three two one go", "[0:30] keep going", "[0:55] and rest"));

    [Theory]
    [InlineData("pull up a chair", "a seated twist to the right and to the left", "seated-twist")]
    [InlineData("come and sit on the floor", "cross your legs and a seated twist look over your right shoulder", "seated-twist")]
    [InlineData("abs today on the mat", "lean back for a seated twist side to side", "russian-twist")]
    [InlineData("stand tall hands on your hips", "stir the pot draw big circles with your pelvis", "hip-circle")]
    public void A_name_of_two_moves_is_the_one_that_fits_where_the_body_is(string before, string words, string move) =>
        Assert.Equal([move], Moves($"[0:06] {before}", $"[0:14] {words}", "[0:30] lovely", "[0:50] and rest"));

    [Fact]
    public void Two_moves_in_a_list_stay_two() =>
        Assert.Equal(["squat", "plank"], Moves("[0:10] squats here we go", "[0:30] keep going", "[0:50] and rest", "[1:00] plank here we go", "[1:30] hold it", "[1:50] and rest"));

    [Fact]
    public void A_short_form_means_the_move_done_before() =>
        Assert.Equal(
            ["renegade-row", "squat"],
            Moves(
                "[0:10] renegade rows here we go", "[0:40] and rest", "[0:55] squats here we go", "[1:30] and rest", "[1:45] back to those rows and go", "[2:00] pull", "[2:20] and rest"));

    [Fact]
    public void A_general_name_that_runs_into_a_fuller_one_is_part_of_it() =>
        Assert.Equal(["reverse-lunge"], Moves("[0:10] lunges next and go", "[0:18] reverse lunges step back", "[0:40] keep going", "[0:58] and rest"));

    [Fact]
    public void Standing_words_decide_between_twins() =>
        Assert.Equal(["standing-leg-raise"], Moves("[0:10] stand tall hold the chair side leg raises here we go", "[0:30] stay tall", "[0:50] and rest"));

    [Fact]
    public void Floor_words_decide_the_other_way() =>
        Assert.Equal(["side-leg-raise"], Moves("[0:10] lie on your side on the mat side leg raises here we go", "[0:30] head down", "[0:50] and rest"));

    [Fact]
    public void The_second_side_may_only_be_named()
    {
        var bouts = Make.Read(
            "[0:00] hello everyone let's get started", "[0:10] clamshells right knee on top here we go", "[0:25] open and close", "[0:40] left knee on top", "[0:55] open and close", "[1:10] and rest").Bouts;
        Assert.Equal([Side.Right, Side.Left], bouts.Select(b => b.Side));
        Assert.InRange(bouts[1].Span.Start.Value, 38, 46);
    }

    [Fact]
    public void A_word_alone_may_change_sides()
    {
        var bouts = Make.Read("[0:00] Hello. Let's get started.", "[0:10] Fire hydrants, right leg. And go.", "[0:30] Twelve. Switch.", "[0:50] Eleven, twelve. And rest.").Bouts;
        Assert.Equal([Side.Right, Side.Left], bouts.Select(b => b.Side));
    }

    [Fact]
    public void What_a_move_passes_through_is_not_the_next_move() =>
        Assert.Equal(["walk-out"], Moves("[0:10] walk outs here we go", "[0:14] walk out to a plank and back up", "[0:40] and rest"));

    [Fact]
    public void A_verb_is_not_a_push_up() => Assert.DoesNotContain("push-up", Moves("[0:10] squats here we go", "[0:20] sit down and push up strong", "[0:50] and rest"));
}
