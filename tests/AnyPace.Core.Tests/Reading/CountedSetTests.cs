using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Work without a clock, whose sets are told by counting aloud; and sides that mirror each other.</summary>
public sealed class CountedSetTests
{
    /// <summary>That these moves are read, each about when it is said to begin.</summary>
    private static void Reads(string[] lines, params (string Move, double At)[] moves)
    {
        const double near = 8;
        var bouts = Make.Read(lines).BoutsOf(PhaseKind.Work).ToList();
        Assert.Equal(moves.Select(m => m.Move), bouts.Select(b => b.MoveId));
        Assert.All(bouts.Zip(moves), b => Assert.InRange(b.First.Span.Start.Value, b.Second.At - near, b.Second.At + near));
    }

    private static Speech Speech(params string[] lines) => new(CaptionReader.Read(System.Text.Encoding.UTF8.GetBytes(string.Join('\n', lines))).Cues);

    [Theory]
    [InlineData("third go")]
    [InlineData("number three")]
    [InlineData("right here's another lot")]
    [InlineData("and away")]
    public void A_count_from_one_after_a_rest_is_another_set_however_it_is_called(string call) => Reads(
        [
            "[0:00] hello it's strength night", "[0:20] the first lift is a deadlift", "[0:30] one two three four five six seven eight", "[0:50] put them down and shake your hands out",
            "[1:30] one two three four five six seven eight", "[1:50] good stuff have a wander", $"[2:28] {call}", "[2:30] one two three four five six seven eight", "[2:50] well done that's those",
            "[3:20] now goblet squats", "[3:30] one two three four five six seven eight", "[3:50] and rest", "[4:00] thank you see you next week",
        ],
        ("deadlift", 30), ("deadlift", 90), ("deadlift", 150), ("goblet-squat", 210));

    [Fact]
    public void A_count_that_starts_anew_without_a_rest_is_the_same_set() => Reads(
        [
            "[0:00] hello everyone no timer today", "[0:20] biceps curls", "[0:24] one two three four five six seven eight", "[0:34] and again one two three four five six seven eight", "[0:50] down",
            "[1:20] now squats", "[1:25] one two three four five six seven eight", "[1:45] and rest", "[2:00] thank you see you next week",
        ],
        ("biceps-curl", 24), ("squat", 85));

    [Fact]
    public void In_a_later_round_what_is_counted_is_what_followed_in_the_first() => Reads(
        [
            "[0:00] hello we do two rounds of ten of everything", "[0:20] biceps curls one two three four five six seven eight nine ten", "[0:50] overhead press one two three four five six seven eight nine ten",
            "[1:20] bent over rows one two three four five six seven eight nine ten", "[1:45] rest that was round one", "[2:10] round two biceps curls one two three four five six seven eight nine ten",
            "[2:40] and one two three four five six seven eight nine ten", "[3:10] chest down one two three four five six seven eight nine ten", "[3:35] and rest", "[3:50] thank you see you next week",
        ],
        ("biceps-curl", 24), ("overhead-press", 54), ("bent-over-row", 84), ("biceps-curl", 135), ("overhead-press", 160), ("bent-over-row", 186));

    [Fact]
    public void What_is_named_before_a_count_is_what_is_counted() => Reads(
        [
            "[0:00] hello it's strength night", "[0:20] the first lift is a deadlift", "[0:30] one two three four five six seven eight", "[0:50] put them down", "[1:20] and now the chest press",
            "[1:30] one two three four five six seven eight", "[1:50] and rest", "[2:00] thank you see you next week",
        ],
        ("deadlift", 30), ("chest-press", 90));

    [Fact]
    public void Where_the_clock_only_starts_the_sets_their_count_tells_when_they_begin() => Reads(
        [
            "[0:00] hello every minute on the minute ten reps of each", "[0:30] squats", "[1:00] one two three four five six seven eight nine ten", "[1:20] down and that's your rest",
            "[1:28] next it's a goblet squat hold it at your chest", "[1:45] elbows down and heels heavy", "[2:00] one two three four five six seven eight nine ten", "[2:20] and rest", "[2:40] thank you see you next week",
        ],
        ("squat", 60), ("goblet-squat", 120));

    [Fact]
    public void By_the_clock_counting_begins_no_set() => Reads(
        [
            "[0:00] hello forty seconds on twenty off", "[0:16] squats first three two one go", "[0:30] nice and low", "[0:50] one two three four five", "[1:00] rest push ups next", "[1:20] go", "[1:40] one two three four five",
            "[2:00] rest", "[2:10] see you next time",
        ],
        ("squat", 20), ("push-up", 80));

    [Theory]
    [InlineData("one two three four", 1, 4, 4)]
    [InlineData("and one keep it slow two lovely three and four", 1, 4, 4)]
    [InlineData("five four three two one", 5, 1, 5)]
    [InlineData("one and two and three keep those feet flat on the floor because they like to start dancing don't they four five six", 1, 6, 6)]
    [InlineData("one two three four five is it five six seven", 1, 7, 7)]
    [InlineData("one two three keep it up five six", 1, 6, 5)]
    [InlineData("one two three elbows at forty five degrees please four five", 1, 5, 5)]
    [InlineData("seven eight nine and last one ten", 7, 9, 3)]
    [InlineData("one two three four nice and last one five", 1, 5, 5)]
    [InlineData("up and down that's one and the other leg up and slowly down that's two and up and down three", 1, 3, 3)]
    [InlineData("one two three and that's your set have a rest four of those to go", 1, 3, 3)]
    [InlineData("one two three and rest one two three", 1, 3, 3)]
    [InlineData("one two", 0, 0, 0)]
    [InlineData("round one round two round three", 0, 0, 0)]
    [InlineData("one three five seven", 0, 0, 0)]
    public void Runs_of_numbers_are_counts(string said, int first, int last, int length)
    {
        var run = CountRun.Find(Speech($"[0:05] {said}", "[0:12] thank you")).FirstOrDefault();
        Assert.Equal((first, last, length), (run.First, run.Last, run.Length));
    }

    [Fact]
    public void A_count_ends_with_its_last_number_not_with_what_was_passed_over_after_it()
    {
        var speech = Speech("[0:05] one two three four five", "[0:20] down and the second lot");
        Assert.InRange(speech.At(Assert.Single(CountRun.Find(speech)).LastToken), 5, 15);
    }

    [Theory]
    [InlineData("three two one go", "nice and low", 64)]
    public void Of_starts_that_are_called_one_upon_the_other_the_last_counts(string countIn, string then, double at)
    {
        var start = Make.Read(
            "[0:00] hello forty seconds on twenty seconds off", "[0:10] squats three two one go", "[0:30] chest up", "[0:50] and rest", "[0:54] lunges are next", $"[1:02] {countIn}", $"[1:06] {then}",
            "[1:30] keep going", "[1:48] and rest thank you so much").Bouts.Single(b => b.MoveId == "lunge").Span.Start.Value;
        Assert.InRange(start, at - 3, at + 3);
    }

    [Theory]
    [InlineData("right heel out in front straight leg and lean over it", "left heel forward", "hamstring-stretch, hamstring-stretch")]
    [InlineData("right heel out in front straight leg and lean over it", "now heel digs left heel forward", "hamstring-stretch, heel-dig")]
    public void The_same_part_of_the_body_on_the_other_side_is_the_other_side(string first, string second, string moves) => Assert.Equal(
        moves,
        string.Join(", ", Make.Read(
            "[0:00] hello let's stretch after your run", $"[0:20] hamstring stretch {first}", "[0:40] breathe", $"[0:52] {second}", "[1:10] breathe", "[1:24] thank you bye").Bouts.Select(b => b.MoveId)));
}
