using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.SessionsTests;

public sealed class DoseTests
{
    [Fact]
    public void Intervals_in_rounds_leave_out_the_last_rest_of_each_round() =>
        // 2 rounds of 6 moves, 40 on 20 off, a minute between: 2 x (240 + 100) + 60 = 740 s.
        Assert.Equal(740, Dose.Intervals(6, 2, new(40), new(20), new(60)).Value);

    [Fact]
    public void Intervals_may_keep_the_last_rest() =>
        Assert.Equal(780, Dose.Intervals(6, 2, new(40), new(20), new(60), keepLastRest: true).Value);

    [Theory]
    [InlineData(false, 230)]
    [InlineData(true, 240)]
    public void A_twenty_ten_block_is_four_minutes_with_its_last_rest(bool keep, double seconds) =>
        Assert.Equal(seconds, Dose.Intervals(8, 1, new(20), new(10), Seconds.Zero, keep).Value);

    [Fact]
    public void Timed_sets_change_between_moves() =>
        // 3 moves, 2 sets of 30/15, 20 to change: 3 x (60 + 15) + 2 x 20 = 265 s.
        Assert.Equal(265, Dose.TimedSets(3, 2, new(30), new(15), new(20)).Value);

    [Fact]
    public void A_range_of_repetitions_is_a_range_of_time()
    {
        var (low, high) = Dose.Reps(new CountRange(12, 15), 4, sides: 2);
        Assert.Equal((96, 120), (low.Value, high.Value));
    }

    [Fact]
    public void A_dose_without_moves_is_refused() =>
        Assert.Throws<ArgumentOutOfRangeException>(() => Dose.Intervals(0, 1, new(20), new(10), Seconds.Zero));
}
