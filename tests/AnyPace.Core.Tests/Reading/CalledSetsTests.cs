using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Sets after the first are called, not named: "again", "last set", "and pull".</summary>
public sealed class CalledSetsTests
{
    private static string[] Read(params string[] lines) =>
        [.. Make.Read([.. lines]).Bouts.Select(b => $"{b.MoveId} {b.Span.Start}")];

    private static void Within(string[] read, params (string Move, double Start)[] done)
    {
        Assert.Equal(done.Length, read.Length);
        foreach (var ((move, start), bout) in done.Zip(read))
        {
            var (id, at) = (bout.Split(' ')[0], bout.Split(' ')[1].Split(':'));
            Assert.Equal(move, id);
            Assert.InRange((int.Parse(at[0], System.Globalization.CultureInfo.InvariantCulture) * 60) + int.Parse(at[1], System.Globalization.CultureInfo.InvariantCulture), start - 8, start + 8);
        }
    }

    [Fact]
    public void Each_move_has_its_sets_whatever_is_talked_of_in_the_rests() => Within(
        Read(
            "[0:00] three movements and for each we do three sets thirty seconds work thirty seconds rest and only then do we move on",
            "[0:20] so first is a deadlift", "[0:26] three two one go", "[0:30] stand up tall with it", "[1:00] and rest",
            "[1:12] half of you write to me that you're squatting it", "[1:18] push the hips back", "[2:00] and rest",
            "[2:30] here we go last set of deadlifts", "[3:00] and rest",
            "[3:10] now kettlebell swings", "[3:28] let's go", "[3:40] snap those hips", "[4:00] and rest", "[4:28] go again", "[5:00] rest", "[5:28] last one on the swings go", "[6:00] and rest",
            "[6:10] next up a goblet squat", "[6:28] go", "[7:00] rest", "[7:15] who has a dog that lies where you want to swing", "[7:30] in we go", "[8:00] rest", "[8:30] final set here", "[9:00] and done",
            "[9:10] that's it everybody thank you so much see you next time"),
        ("deadlift", 28), ("deadlift", 90), ("deadlift", 150), ("kettlebell-swing", 210), ("kettlebell-swing", 270), ("kettlebell-swing", 330), ("goblet-squat", 390), ("goblet-squat", 450), ("goblet-squat", 510));

    [Theory]
    [InlineData("second lot")]
    [InlineData("okay again ten")]
    [InlineData("third go")]
    public void A_set_is_called_in_more_ways_than_one(string call) => Within(
        Read(
            "[0:00] two sets of ten of everything", "[0:10] let's get started", "[0:20] goblet squats here we go", "[0:40] sit down between the knees", "[1:00] and rest",
            $"[1:30] {call}", "[1:50] chest up", "[2:10] and rest", "[2:30] that's it everybody thank you so much see you next time"),
        ("goblet-squat", 20), ("goblet-squat", 90));

    [Fact]
    public void The_second_of_a_pair_begins_in_a_later_set_when_it_did_in_the_first() => Within(
        Read(
            "[0:00] we're doing supersets today three sets of each pair twelve reps of everything", "[0:10] let's get started",
            "[0:14] first pair is a bent over row and then a push up", "[0:22] rows let's go", "[0:30] squeeze", "[0:50] straight into push ups", "[1:10] chest to the floor", "[1:24] and rest",
            "[1:50] second set bent over rows", "[2:10] pull", "[2:22] down now", "[2:50] and rest",
            "[3:20] last set bent over rows", "[3:40] pull", "[3:52] down and press", "[4:20] and rest",
            "[4:40] that's it everybody thank you so much see you next time"),
        ("bent-over-row", 22), ("push-up", 50), ("bent-over-row", 110), ("push-up", 138), ("bent-over-row", 200), ("push-up", 228));

    [Fact]
    public void A_move_that_is_not_one_of_a_pair_may_go_on_longer_than_before() =>
        Assert.Equal(
            ["squat", "squat"],
            Make.Read(
                "[0:00] three sets of squats today ten reps of each", "[0:10] let's get started", "[0:14] squats let's go", "[0:50] and rest", "[1:30] second set squats go", "[1:50] slower this time", "[2:30] and rest",
                "[3:00] that's it everybody thank you so much see you next time").Bouts.Select(b => b.MoveId));
}
