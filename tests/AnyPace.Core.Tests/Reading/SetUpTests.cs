using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What is told before it is done, and what then starts it; the clock of the work, and what is before it.</summary>
public sealed class SetUpTests
{
    private static List<Bout> Bouts(params string[] lines) => [.. Make.Read(lines).Bouts];

    [Theory]
    [InlineData("take three seconds on the way down and stand up fast", false)]
    [InlineData("take four seconds to lower it", false)]
    [InlineData("take thirty seconds shake it off", true)]
    public void Seconds_taken_over_a_repetition_are_no_rest(string said, bool stops) =>
        Assert.Equal(stops, Make.Marks("[0:00] hello squats", $"[0:10] {said}", "[0:30] keep going").Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9, At: < 15 }));

    [Theory]
    [InlineData("if your feet come together you get a free rest")]
    [InlineData("you haven't had any rest yet")]
    public void A_rest_that_is_only_spoken_of_stops_nothing(string said) =>
        Assert.DoesNotContain(Make.Marks("[0:00] hello squats", $"[0:10] {said}", "[0:30] keep going"), m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 });

    [Theory]
    [InlineData("if you want to hold on to something go ahead", false)]
    [InlineData("lunges go ahead", true)]
    public void Leave_to_do_something_starts_nothing(string said, bool starts) =>
        Assert.Equal(starts, Make.Marks("[0:00] hello there", $"[0:10] {said}", "[0:30] keep it up").Any(m => m.Kind == MarkKind.Start && m.At > 9));

    [Fact]
    public void A_countdown_after_which_one_steps_off_is_a_stop() =>
        Assert.Contains(Make.Marks("[0:00] curls", "[0:30] keep going three two one step off the band"), m => m is { Kind: MarkKind.Stop, Strength: 1 });

    [Fact]
    public void Named_with_its_count_it_is_done_whatever_is_said_next() =>
        Assert.Contains(Bouts("[0:00] hello let's start", "[0:10] squats", "[0:40] press ups one two if you did the full ones before then drop your knees", "[0:58] three four five six", "[1:10] and rest"), b => b.MoveId == "push-up");

    [Theory]
    [InlineData("she says okay press ups now from here")]
    [InlineData("he got lost in the car park okay press ups everyone")]
    public void After_okay_the_class_is_spoken_to_again(string said) =>
        Assert.Contains(Bouts("[0:00] hello let's start", "[0:10] squats", $"[0:40] {said}", "[0:58] keep going", "[1:10] and rest"), b => b.MoveId == "push-up");

    [Fact]
    public void A_start_that_is_counted_after_the_name_of_another_is_not_of_what_was_told_before()
    {
        var bouts = Bouts(
            "[0:00] hello it's a ladder ten of everything", "[0:10] squats one two three four five six seven eight nine ten", "[0:40] have a breath",
            "[0:50] now we put reverse lunges on the end of it step back and drop your knee", "[1:02] okay from the top squats one two three four five six seven eight nine ten",
            "[1:30] and reverse lunges one two three four five six seven eight nine ten", "[2:00] and rest", "[2:10] thank you bye");
        Assert.Contains(bouts, b => b.MoveId == "squat" && Math.Abs(b.Span.Start.Value - 63) < 6);
    }

    [Fact]
    public void What_is_told_of_a_pair_waits_for_the_first_repetition_that_is_counted()
    {
        var bouts = Bouts(
            "[0:00] hello no clock today ten of each", "[0:10] squats one two three four five six seven eight nine ten", "[0:40] and rest",
            "[1:00] pair two is a chest press lying on your back and a romanian deadlift with the heavy ones", "[1:20] elbows at forty five and soft knees on the other",
            "[1:40] one two three four five six seven eight nine ten", "[2:05] romanian deadlifts one two three four five six seven eight nine ten", "[2:30] and rest", "[2:40] thank you bye");
        Assert.DoesNotContain(bouts, b => b.Span.Start.Value is > 55 and < 90);
        Assert.Contains(bouts, b => b.MoveId == "chest-press" && Math.Abs(b.Span.Start.Value - 100) < 6);
    }

    [Fact]
    public void Named_over_and_over_it_has_begun_though_someone_says_here_we_go_later()
    {
        var bouts = Bouts(
            "[0:00] hello walkers let's start walking", "[0:06] march on the spot", "[0:40] side steps two to the right and two to the left", "[0:46] side step and back", "[0:52] side steps bigger",
            "[1:02] and here we go again right and left", "[1:20] march it out", "[1:40] thank you bye");
        Assert.Contains(bouts, b => b.MoveId == "side-step" && b.Span.Start.Value < 46);
    }

    [Fact]
    public void Nobody_works_on_through_rests_that_the_clock_has()
    {
        var bouts = Bouts(
            "[0:00] thirty seconds on fifteen seconds off let's go", "[0:15] squats three two one go", "[0:45] and rest", "[1:00] press ups go", "[1:30] and rest", "[1:45] lunges go",
            "[2:00] nice work there everybody", "[3:10] you look strong", "[3:45] thank you bye");
        Assert.All(bouts, b => Assert.InRange(b.Span.Length.Value, 1, 72));
    }

    [Fact]
    public void Of_a_block_the_move_told_first_is_done_first_though_the_other_is_told_at_length()
    {
        string[] rounds = ["[0:40] four three two one jump down and up", "[1:00] ten off", "[1:10] go", "[1:30] and rest", "[1:40] go", "[2:00] and rest", "[2:10] go", "[2:30] and rest", "[2:40] go", "[3:00] and rest", "[3:10] go", "[3:30] and rest", "[3:40] go", "[4:00] and rest", "[4:10] go", "[4:30] and rest"];
        var bouts = Bouts(["[0:00] it's tabata twenty seconds on ten off eight times", "[0:20] block one is squat jumps and high knees", "[0:30] then high knees which you can march", .. rounds, "[4:50] thank you bye"]);
        var first = bouts.First(b => b.Span.Start.Value > 35);
        Assert.Equal("squat-jump", first.MoveId);
    }

    [Fact]
    public void Punches_called_one_upon_the_other_are_one_combination()
    {
        var bouts = Bouts(
            "[0:00] hello boxers let's go", "[0:10] uppercuts up and up", "[0:22] hook and hook", "[0:34] uppercuts again", "[0:46] hooks again", "[0:58] uppercuts", "[1:10] and rest", "[1:20] thank you bye");
        Assert.Equal("punch-combo", Assert.Single(bouts).MoveId);
    }

    [Fact]
    public void Punches_practised_one_after_the_other_are_not()
    {
        var bouts = Bouts("[0:00] hello boxers let's go", "[0:10] uppercuts", "[0:30] hooks", "[0:50] jab cross", "[1:10] and rest", "[1:20] thank you bye");
        Assert.DoesNotContain(bouts, b => b.MoveId == "punch-combo");
    }
}
