using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>One side and then the other, where a bout was first laid out whole.</summary>
public sealed class SecondSideTests
{
    private static List<(string Move, double Start, Side Side)> Of(string move, params string[] lines) =>
        [.. Make.Read(lines).Bouts.Where(b => b.MoveId == move).Select(b => (b.MoveId, Math.Round(b.Span.Start.Value), b.Side))];

    private static string[] Stretch(string second) =>
    [
        "[0:00] welcome everybody let's begin squats here we go", "[0:40] and rest", "[0:50] lunges here we go", "[1:30] and rest well done let's cool down",
        "[1:40] quad stretch right foot to your bottom", $"[1:46] {second}", "[2:00] and shake it out", "[2:10] well done see you next time",
    ];

    [Theory]
    [InlineData("and change legs")]
    [InlineData("and the left leg")]
    [InlineData("and the other quad")]
    [InlineData("swap other heel")]
    public void A_stretch_is_held_for_seconds_only_on_each_side(string second)
    {
        var sides = Of("quad-stretch", Stretch(second));
        Assert.Equal([Side.Right, Side.Left], sides.Select(s => s.Side));
        Assert.InRange(sides[1].Start, 105, 109);
    }

    [Theory]
    [InlineData("keep breathing and keep the other leg strong")]
    [InlineData("in a moment we change legs")]
    [InlineData("change your grip if you need to")]
    public void Where_no_side_is_changed_it_is_one(string said) => Assert.Single(Of("quad-stretch", Stretch(said)));

    [Fact]
    public void Later_rounds_that_are_laid_out_are_parted_too()
    {
        var sides = Of(
            "bulgarian-split-squat",
            "[0:00] hello all it's forty on twenty off three moves and we go round it twice",
            "[0:20] first up bulgarian split squats right leg forward three two one go", "[0:40] switch legs", "[1:00] and rest next up push ups", "[1:20] go", "[2:00] and rest last one mountain climbers",
            "[2:20] go", "[3:00] and rest", "[3:05] that's round one done same again from the top",
            "[3:30] and go", "[3:50] switch legs", "[4:10] and rest", "[4:30] go", "[5:10] rest", "[5:30] go", "[6:08] and stop", "[6:10] well done thank you see you next time");
        Assert.Equal(4, sides.Count);
        Assert.All(sides.Chunk(2), pair => Assert.InRange(pair[1].Start - pair[0].Start, 12, 21));
        Assert.All(sides.Chunk(2), pair => Assert.NotEqual(pair[0].Side, pair[1].Side));
    }

    private static List<(string Move, double Start, Side Side)> Rows(string first, string then) => Of(
        "single-arm-row", "[0:00] no clock today let's begin squats here we go", "[0:40] and rest", $"[0:50] single arm rows {first}", "[0:56] pull and lower pull and lower", $"[1:10] {then}", "[1:16] pull and lower",
        "[1:30] and rest", "[1:40] well done see you next time");

    [Theory]
    [InlineData("three four left one two three four")]
    [InlineData("put it down take the left one")]
    [InlineData("and over to the left")]
    public void In_the_midst_of_one_side_the_other_needs_hardly_more_than_its_name(string then)
    {
        var sides = Rows("right arm first three two one go", then);
        Assert.Equal([Side.Right, Side.Left], sides.Select(s => s.Side));
        Assert.InRange(sides[1].Start, 69, 76);
    }

    [Theory]
    [InlineData("ten seconds left one more pull")]
    [InlineData("only two left one two done")]
    public void What_is_left_to_do_is_no_side(string then) => Assert.Single(Rows("right arm first three two one go", then));

    [Fact]
    public void A_side_that_is_first_named_in_the_midst_is_the_second()
    {
        var sides = Of(
            "neck-stretch", "[0:00] welcome everybody let's begin squats here we go", "[0:40] and rest well done let's cool down", "[0:50] neck stretch drop your ear down to your shoulder and stay there", "[1:06] and now the left side",
            "[1:20] and shake it out", "[1:30] well done see you next time");
        Assert.Equal([Side.Right, Side.Left], sides.Select(s => s.Side));
    }

    [Theory]
    [InlineData("[1:04] left arm", 2)]
    [InlineData("[0:55] left arm over", 1)]
    public void Two_sides_some_seconds_apart_are_no_one_instruction(string second, int sides) => Assert.Equal(sides, Of(
        "shoulder-stretch", "[0:00] welcome everybody let's begin squats here we go", "[0:40] and rest well done let's cool down", "[0:48] shoulder stretch", "[0:51] right arm across", second, "[1:20] and shake it out",
        "[1:30] well done see you next time").Count);
}
