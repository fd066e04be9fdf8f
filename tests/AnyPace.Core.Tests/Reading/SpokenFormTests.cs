namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Ways in which moves are called, blocks are told and repetitions are counted.</summary>
public sealed class SpokenFormTests
{
    private static string Moves(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => b.MoveId));

    private static double StartOf(string move, params string[] lines) => Assert.Single(Make.Read(lines).Bouts, b => b.MoveId == move).Span.Start.Value;

    [Theory]
    [InlineData("we got mountain climbers and if you're new here take those slow")]
    [InlineData("i got mountain climbers for you next")]
    [InlineData("you are going to be doing mountain climbers")]
    [InlineData("followed by mountain climbers")]
    [InlineData("we'll finish off with some mountain climbers")]
    [InlineData("the last round is nothing but mountain climbers")]
    public void What_is_called_in_a_rest_starts_with_the_next_start(string call)
    {
        var at = StartOf(
            "mountain-climber",
            "[0:00] hello forty seconds on twenty seconds off let's get started", "[0:08] first up squats", "[0:12] three two one go", "[0:30] nice and low", "[0:52] and rest", $"[0:56] {call}",
            "[1:07] ready three two one go", "[1:30] keep it up", "[1:47] and rest thank you so much");
        Assert.InRange(at, 64, 72);
    }

    [Fact]
    public void The_first_move_of_a_block_that_is_told_begins_at_its_start()
    {
        var bouts = Make.Read(
        [
            "[0:00] hello everyone let's get started", "[0:06] march on the spot", "[0:40] okay next block is squat jumps and plank jacks", "[0:46] squat jumps you sit down and explode up land soft",
            "[0:54] and plank jacks hands on the floor jump your feet out", "[1:06] ready three two one go", "[1:10] up and down", "[1:40] and rest", "[1:48] plank jacks", "[1:52] three two one go", "[2:20] and rest thank you",
        ]).Bouts;
        Assert.Equal("squat-jump, plank-jack", string.Join(", ", bouts.TakeLast(2).Select(b => b.MoveId)));
        Assert.InRange(bouts[^2].Span.Start.Value, 64, 71);
    }

    [Fact]
    public void Whoever_says_with_which_move_a_block_starts_is_believed()
    {
        Assert.Equal("march, reverse-lunge", Moves(
            "[0:00] hello everyone let's get started", "[0:06] march on the spot", "[0:40] first pair is push ups and reverse lunges", "[0:46] starting with the reverse lunges", "[0:54] ready three two one go", "[1:20] keep going", "[1:40] and rest thank you"));
    }

    [Fact]
    public void Repetitions_counted_with_words_between_are_when_an_announced_move_begins()
    {
        var at = StartOf(
            "chest-press",
            "[0:00] hello grab your dumbbells let's get started", "[0:06] so the first exercise is a floor press", "[0:12] lie all the way down knees bent elbows at about forty five degrees take your time",
            "[0:34] weights up and lower one", "[0:38] and up two exhale", "[0:42] three and push it four", "[0:46] wrists straight five", "[0:50] six", "[0:54] and rest thank you so much");
        Assert.InRange(at, 32, 38);
    }

    [Fact]
    public void The_push_of_a_press_is_no_push_up()
    {
        Assert.Equal("push-up, chest-press", Moves(
            "[0:00] hello grab your dumbbells let's get started", "[0:06] push ups here we go", "[0:30] and rest", "[0:40] now chest press on your back here we go", "[0:50] one two", "[0:54] push three four", "[0:58] push five six", "[1:10] and rest thank you"));
    }

    [Fact]
    public void What_comes_next_begins_when_the_bout_under_way_and_its_rest_are_over()
    {
        var at = StartOf(
            "jab-cross",
            "[0:00] hello fifty seconds of work ten seconds of rest let's get started", "[0:08] first up squats here we go", "[0:30] nice and low", "[0:50] okay punches are next", "[1:00] feet wide soft knees", "[1:12] fast hands", "[1:50] keep it up", "[2:10] thank you so much");
        Assert.InRange(at, 60, 75);
    }

    [Theory]
    [InlineData("press the low back into the mat so the tailbone curls a little")]
    [InlineData("now curl your head and shoulders off the floor a touch")]
    public void A_body_that_curls_is_no_biceps_curl(string said) =>
        Assert.DoesNotContain("biceps-curl", Moves("[0:00] hello lie on your back let's get started", $"[0:10] {said}", "[0:20] and release", "[0:40] glute bridges here we go", "[1:10] and relax thank you"));

    [Fact]
    public void A_heel_taken_to_the_back_lays_nobody_down()
    {
        Assert.DoesNotContain("bridge-march", Moves(
            "[0:00] hello walkers let's get started", "[0:06] hamstring curls heel to the back heel to the back", "[0:40] and walk now march it out", "[0:50] walk walk walk", "[1:10] thank you bye"));
    }

    [Theory]
    [InlineData("squat upright row", "squat+upright-row")]
    [InlineData("lunge row", "lunge+bent-over-row")]
    [InlineData("squats and push ups", "squat, push-up")]
    public void A_squat_or_lunge_and_what_the_arms_do_are_one_move_where_nothing_parts_them(string said, string read)
    {
        var bouts = Make.Read(["[0:00] hello grab your dumbbells let's get started", $"[0:08] {said}", "[0:12] here we go", "[0:20] one two three four five six", "[0:50] and rest thank you"]).Bouts;
        Assert.Contains(bouts[0].MoveId, read.Split(", "));
    }

    [Theory]
    [InlineData("forty five fifteen three times through", 45, 15, 3)]
    [InlineData("thirty thirty twice through", 30, 30, 2)]
    [InlineData("forty second intervals with twenty second rests and we're repeating the set once", 40, 20, 2)]
    [InlineData("a forty second effort followed by twenty seconds of recovery and we run that three times", 40, 20, 3)]
    public void Intervals_are_said_in_many_ways(string said, int work, int rest, int rounds)
    {
        var structure = Make.Read([$"[0:00] hello {said}", "[0:10] let's get started first up squats", "[0:14] three two one go", "[0:54] and rest", "[1:00] push ups", "[1:14] three two one go", "[1:54] and rest thank you"]).Structures[0];
        Assert.Equal((work, rest, $"{rounds}"), ((int)structure.Work!.Value.Value, (int)structure.Rest!.Value.Value, structure.Rounds?.ToString()));
    }
}
