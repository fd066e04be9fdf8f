using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.SessionsTests;

public sealed class SecondsTests
{
    [Theory]
    [InlineData(0, "0:00")]
    [InlineData(9.4, "0:09")]
    [InlineData(59.6, "1:00")]
    [InlineData(1330, "22:10")]
    [InlineData(3599.6, "1:00:00")]
    [InlineData(3725, "1:02:05")]
    [InlineData(-75, "-1:15")]
    public void Times_are_written_as_the_house_writes_them(double seconds, string clock) => Assert.Equal(clock, new Seconds(seconds).Clock());

    [Theory]
    [InlineData("0:00", 0)]
    [InlineData("45", 45)]
    [InlineData("9:58", 598)]
    [InlineData(" 1:02:05 ", 3725)]
    [InlineData("1:05.5", 65.5)]
    public void Clock_times_are_read(string text, double seconds)
    {
        Assert.True(Seconds.TryParseClock(text, out var value));
        Assert.Equal(seconds, value.Value);
    }

    [Theory]
    [InlineData("")]
    [InlineData(null)]
    [InlineData("ten")]
    [InlineData("1:75")]
    [InlineData("1:2:3:4")]
    [InlineData("-1:00")]
    [InlineData("1e5")]
    [InlineData("99999999")]
    [InlineData("1:")]
    public void What_is_no_time_is_refused(string? text) => Assert.False(Seconds.TryParseClock(text, out _));

    [Fact]
    public void Every_whole_second_of_a_day_survives_writing_and_reading() =>
        Gen.Int[0, 86400].Sample(s => Seconds.TryParseClock(new Seconds(s).Clock(), out var back) && back.Value == s);

    [Fact]
    public void Spans_overlap_by_what_they_share_and_never_less_than_nothing()
    {
        Assert.Equal(5, Span.Of(0, 10).Overlap(Span.Of(5, 20)).Value);
        Assert.Equal(0, Span.Of(0, 10).Overlap(Span.Of(10, 20)).Value);
        Gen.Select(Gen.Double[0, 100], Gen.Double[0, 100], Gen.Double[0, 100], Gen.Double[0, 100])
            .Sample((a, b, c, d) =>
            {
                var (x, y) = (Span.Of(Math.Min(a, b), Math.Max(a, b)), Span.Of(Math.Min(c, d), Math.Max(c, d)));
                return x.Overlap(y) == y.Overlap(x) && x.Overlap(y) >= Seconds.Zero && x.Overlap(y) <= x.Length;
            });
    }

    [Theory]
    [InlineData(2.9, Intensity.Light)]
    [InlineData(3, Intensity.Moderate)]
    [InlineData(5.9, Intensity.Moderate)]
    [InlineData(6, Intensity.Vigorous)]
    public void Intensity_bands_begin_at_three_and_six_met(double met, Intensity expected) => Assert.Equal(expected, new Met(met).Intensity);

    [Fact]
    public void Energy_follows_the_acsm_conversion() =>
        // 5 MET, 70 kg, 10 min: 5 x 3.5 x 70 / 200 x 10 = 61.25 kcal.
        Assert.Equal(61.25, new Met(5).Energy(new Kilograms(70), Seconds.FromMinutes(10)).Value, 6);
}
