using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What goes wrong aloud, and talk that leaves the class for a while.</summary>
public sealed class SlipTests
{
    private static Timeline During(params string[] lines) => Make.Read(["[0:00] hello and welcome", "[0:10] let's get started squats here we go", .. lines, "[2:00] and rest", "[2:20] lunges here we go", "[2:50] and rest"]);

    [Theory]
    [InlineData("where was i six seven", SlipKind.LostCount)]
    [InlineData("oh i've lost count let's say eight", SlipKind.LostCount)]
    [InlineData("how many was that", SlipKind.LostCount)]
    [InlineData("one two three four six seven eight", SlipKind.CountJumps)]
    [InlineData("four five six six seven eight", SlipKind.CountJumps)]
    [InlineData("we skipped the lunges sorry", SlipKind.MoveLeftOut)]
    [InlineData("push ups sorry i mean lunges", SlipKind.WrongMove)]
    public void A_slip_is_read_with_its_time(string said, SlipKind kind)
    {
        var slip = Assert.Single(During($"[0:40] {said}").Slips, s => s.Kind == kind);
        Assert.InRange(slip.At.Value, 38, 60);
    }

    [Theory]
    [InlineData("one two three four five six seven eight")]
    [InlineData("eight seven six five four three two one")]
    [InlineData("ten seconds three two one and rest")]
    [InlineData("twelve reps three rounds four moves")]
    public void A_sound_count_is_no_slip(string said) => Assert.Empty(During($"[0:40] {said}").Slips);

    [Fact]
    public void What_is_taken_back_is_not_done()
    {
        var timeline = Make.Read(
            "[0:00] hello", "[0:10] let's get started first up is mountain climbers", "[0:18] sorry i said mountain climbers it's squats first", "[0:24] squats three two one go", "[0:50] keep going", "[1:10] and rest");
        Assert.DoesNotContain(timeline.Bouts, b => b.MoveId == "mountain-climber");
        Assert.Contains(timeline.Slips, s => s is { Kind: SlipKind.WrongMove, MoveId: "mountain-climber" });
    }

    [Fact]
    public void Talk_beside_the_class_has_a_beginning_and_an_end()
    {
        var timeline = During("[0:40] my dog has just come in he wants his dinner and he never does that", "[1:00] keep going");
        var chat = Assert.Single(timeline.Outside, o => o.Type == "off-topic chat");
        Assert.InRange(chat.Until!.Value.Value, 58, 62);
    }
}
