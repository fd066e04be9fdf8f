using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Moves that nobody names, told by what the words are most like; the sentences here are in no list of the lexicon.</summary>
public sealed class LikenessTests
{
    private static string Done(Timeline read, double before = 60) => string.Join(", ", read.Bouts.Where(b => b.Span.Start.Value < before).Select(b => b.MoveId));

    private static Timeline First(string words) => Make.Read(
        "[0:00] hello everyone forty seconds on twenty seconds off today", $"[0:08] okay so the first one {words}", "[0:20] three two one go", "[0:40] keep going nice work", "[1:00] and rest",
        "[1:05] next up is squats", "[1:20] three two one go", "[2:00] and rest", "[2:05] well done see you next time");

    [Theory]
    [InlineData("come on to your side heels glued together and peel the top knee away from the bottom one then close", "clamshell")]
    [InlineData("weights at your shoulders push them straight up over your head until your arms are long then back to your shoulders", "overhead-press")]
    [InlineData("hinge over with a flat back and drag your elbows up past your ribs squeezing the shoulder blades", "bent-over-row")]
    [InlineData("lie on your front arms long and float the chest the arms and both legs off the mat together", "superman")]
    [InlineData("sit tall lean back lift the feet and turn your shoulders to tap the mat on each side of your hips", "russian-twist")]
    [InlineData("keep your feet together and hop over an imaginary line left and right and left and right", "lateral-hop")]
    public void A_description_nobody_wrote_down_is_likened_to_its_move(string words, string move) => Assert.Equal(move, Done(First(words)));

    [Fact]
    public void Talk_is_like_nothing() => Assert.Equal("", Done(First("my neighbours are building a shed at the back and the noise has been going on all week long")));

    [Fact]
    public void A_start_that_waits_for_its_move_takes_a_few_words_for_it() => Assert.Equal("plank-shoulder-tap", Done(First("hands down tap your shoulders keep the hips still")));

    [Fact]
    public void Cues_to_a_named_move_are_no_move_of_their_own()
    {
        var read = Make.Read(
            "[0:00] hello everyone forty seconds on twenty seconds off today", "[0:08] first up jumping jacks", "[0:20] three two one go", "[1:00] and rest next up squats", "[1:20] three two one go",
            "[1:26] sit your hips back lift your chest and squeeze your glutes as you push up through the heels", "[2:00] and rest", "[2:10] well done see you next time");
        Assert.Equal("squat", read.Bouts[^1].MoveId);
    }

    [Theory]
    [InlineData("roll on to your side bend your knees keep your feet together and lift the top knee like an oyster", "side-bend")]
    [InlineData("hold the back of the chair stand on one leg and take the other leg out to the side", "chair-squat")]
    [InlineData("tip forward from your hips with a flat back and pull the weights up to your waist", "toe-tap")]
    public void Two_clauses_without_a_comma_are_no_name(string words, string never) => Assert.DoesNotContain(never, Done(First(words)), StringComparison.Ordinal);

    [Fact]
    public void A_kick_right_after_a_squat_is_one_move() => Assert.Equal("squat+kick-front", Done(First("is your squat kicks")));

    [Fact]
    public void Rows_with_a_right_and_a_left_arm_are_done_one_arm_at_a_time()
    {
        var read = Make.Read(
            "[0:00] hello one pair of dumbbells today", "[0:10] bent over rows right arm first six of them", "[0:14] let's go", "[0:36] left arm six", "[1:00] and rest", "[1:10] well done see you next time");
        Assert.Equal([Side.Right, Side.Left], read.Bouts.Where(b => b.MoveId == "single-arm-row").Select(b => b.Side));
    }

    [Fact]
    public void A_round_of_a_superset_that_is_only_announced_begins_with_its_first_move()
    {
        var read = Make.Read(
            "[0:00] hello two supersets today three rounds each", "[0:10] first superset is goblet squats and push ups", "[0:16] squats let's go", "[0:50] straight to push ups", "[1:20] rest",
            "[1:40] round two down we go", "[2:20] push ups", "[2:50] rest", "[3:00] well done see you next time");
        Assert.Contains(read.Bouts, b => b.MoveId == "goblet-squat" && Math.Abs(b.Span.Start.Value - 100) < 15);
    }

    [Fact]
    public void The_other_before_a_silence_is_the_other_side_then_and_not_after_it()
    {
        var read = Make.Read(
            "[0:00] hello welcome to a stretch", "[0:10] bring one arm across your chest and hold it there", "[0:30] and the other", "[0:55] hand down your back and press on your elbow for a triceps stretch", "[1:20] well done see you next time");
        Assert.Equal(["shoulder-stretch", "shoulder-stretch", "triceps-stretch"], read.Bouts.Take(3).Select(b => b.MoveId));
        Assert.InRange(read.Bouts[1].Span.Start.Value, 28, 36);
    }
}
