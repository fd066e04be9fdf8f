using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Words that say nothing are no words; where they say something they stay.</summary>
public sealed class FillerTests
{
    [Theory]
    [InlineData("forty you know seconds on", "40 seconds on")]
    [InlineData("and then kind of lower down", "and then lower down")]
    [InlineData("lunges sort of slow", "lunges slow")]
    [InlineData("for like forty seconds", "for 40 seconds")]
    [InlineData("like one long line", "like 1 long line")]
    [InlineData("it's kind of a squat", "it's kind of a squat")]
    [InlineData("this is basically a plank", "this is basically a plank")]
    [InlineData("squats basically all the way down", "squats all the way down")]
    [InlineData("lunges actually no squats", "lunges actually no squats")]
    [InlineData("lunges actually feel lovely", "lunges feel lovely")]
    [InlineData("now you know how this goes", "now you know how this goes")]
    [InlineData("do you know what a crunch is", "do you know what a crunch is")]
    [InlineData("kind of", "kind of")]
    public void What_says_nothing_is_left_out(string said, string heard) =>
        Assert.Equal(heard, new Speech([new Cue(Seconds.Zero, new Seconds(6), said, 1)]).Text);

    [Fact]
    public void A_full_stop_after_it_is_kept()
    {
        var speech = new Speech([new Cue(Seconds.Zero, new Seconds(6), "we do squats, you know. Then lunges", 1)]);
        Assert.Equal("we do squats then lunges", speech.Text);
        Assert.True(speech.Tokens[2].Stops);
    }

    [Fact]
    public void A_dose_is_heard_through_them()
    {
        var structure = Make.Read(
            "[0:00] hello and welcome", "[0:05] so it's like forty you know seconds on and then literally twenty seconds off", "[0:30] squats here we go", "[1:10] and rest", "[1:30] lunges here we go",
            "[2:10] and rest", "[2:30] push ups here we go", "[3:10] and rest").Structures[0];
        Assert.Equal((40, 20), (structure.Work?.Value, structure.Rest?.Value));
    }
}
