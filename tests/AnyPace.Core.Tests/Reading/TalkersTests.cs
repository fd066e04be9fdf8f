using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What classes of people who talk all the time taught: names in a rest, punches by number, blocks told before they begin, sides, where the body is.</summary>
public sealed class TalkersTests
{
    private static string Moves(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => b.MoveId));

    private static IEnumerable<string> MovesAt(double at, params string[] lines) => Make.Read(lines).Bouts.Where(b => Math.Abs(b.Span.Start.Value - at) <= 15).Select(b => b.MoveId);

    [Theory]
    [InlineData("all right so the next one we're doing alternating reverse lunges dumbbells down by your side step it back", "reverse-lunge")]
    [InlineData("good lunges are next shake out your legs get ready", "lunge")]
    [InlineData("next one's our glute bridges so shoulders down and breathe", "glute-bridge")]
    public void Of_several_names_in_a_rest_the_one_that_is_said_to_be_next_is_done(string rest, string move) =>
        Assert.Contains(move, MovesAt(
            70, "[0:00] forty seconds on twenty off let's get started", "[0:05] first up squats", "[0:10] three two one go", "[0:45] last five four three two one", "[0:50] and rest", $"[0:54] {rest}",
            "[1:10] here we go three two one", "[1:20] that's it keep going", "[1:50] and rest", "[1:55] next push ups", "[2:10] go", "[2:50] and rest well done"));

    [Theory]
    [InlineData("one two one two one two", "jab-cross")]
    [InlineData("five six five six five six", "uppercut")]
    [InlineData("one two five six one two five six", "punch-combo")]
    public void Punches_are_called_by_number_where_a_class_says_which_is_which(string called, string move) =>
        Assert.Contains(move, Moves(
            "[0:00] let's get started", "[0:05] one is your jab two is your cross three is the lead hook four is the rear hook five six your uppercuts", "[0:40] okay here we go", $"[1:00] box {called}",
            $"[1:10] {called} breathe", $"[1:20] {called}", "[1:50] and rest well done"));

    [Theory]
    [InlineData("one two three four five six seven eight")]
    [InlineData("three two one")]
    public void Numbers_that_count_call_no_punch(string count) =>
        Assert.Equal("squat", Moves("[0:00] one is your jab two is your cross we'll get to those tomorrow", "[0:10] let's get started squats here we go", $"[0:20] {count}", "[0:40] keep going", "[0:50] and rest well done"));

    [Fact]
    public void Numbers_call_no_punch_in_a_class_that_gives_none() =>
        Assert.Equal("side-step", Moves("[0:10] let's get started step touch here we go", "[0:20] one two one two one two", "[0:40] keep going", "[0:50] and rest well done"));

    /// <summary>Two moves told, then four minutes in which next to nothing is named.</summary>
    [Fact]
    public void A_twenty_ten_block_is_of_the_moves_told_before_it_in_turn()
    {
        var lines = new List<string> { "[0:00] tabata today twenty seconds work ten seconds rest eight times", "[0:20] block one is mountain climbers and glute bridges climb and bridge" };
        for (var k = 0; k < 8; k++)
        {
            var (work, rest) = (60 + (30 * k), 80 + (30 * k));
            lines.Add($"[{work / 60}:{work % 60:00}] {(k % 3 == 0 ? "and go" : "you can do this")}");
            lines.Add($"[{rest / 60}:{rest % 60:00}] {(k % 2 == 0 ? "and rest" : "ten seconds off")}");
        }

        lines.Add("[4:56] that's block one get some water");
        var bouts = Make.Read([.. lines]).Bouts;
        Assert.Equal(string.Join(' ', Enumerable.Repeat("mountain-climber glute-bridge", 4)), string.Join(' ', bouts.Select(b => b.MoveId)));
        Assert.Equal([60, 90, 120, 150, 180, 210, 240, 270], bouts.Select(b => (int)Math.Round(b.Span.Start.Value / 5) * 5));
    }

    [Theory]
    [InlineData("other one")]
    [InlineData("come out and do the left")]
    [InlineData("and to the other")]
    [InlineData("and swap left one across")]
    public void What_is_said_by_itself_may_turn_to_the_other_side(string words) =>
        Assert.Equal(
            [Side.Right, Side.Left],
            Make.Read("[0:00] let's cool down", "[0:10] shoulder stretch right arm across the body", "[0:20] lovely hold it there", $"[0:35] {words}", "[0:50] hold it there", "[1:05] thanks for joining me bye").Bouts
                .Where(b => b.MoveId == "shoulder-stretch").Select(b => b.Side));

    [Fact]
    public void The_leg_that_is_stood_on_is_not_the_one_that_works() =>
        Assert.Equal(
            Side.Right,
            Make.Read("[0:00] let's get started", "[0:10] stand on your left leg and take the right leg out to the side toes facing forwards a standing side leg raise", "[0:25] out and in stay tall", "[0:50] and rest well done").Bouts
                .First(b => b.MoveId == "standing-leg-raise").Side);

    [Theory]
    [InlineData("just kidding we're doing squats", "squat")]
    [InlineData("i'm joking it's squats", "squat")]
    public void What_was_only_a_joke_is_not_done(string then, string move) =>
        Assert.Equal(move, Moves("[0:05] let's get started", "[0:10] burpees", $"[0:12] {then}", "[0:20] here we go down and up", "[0:40] keep going", "[0:50] and rest well done"));

    [Fact]
    public void A_plain_name_is_not_the_fuller_one_before_it() =>
        Assert.Equal("hammer-curl, biceps-curl", Moves("[0:05] let's get started", "[0:10] hammer curls here we go", "[0:45] and rest", "[1:00] now regular curls palms up go", "[1:20] keep going", "[1:45] and rest well done"));

    [Fact]
    public void A_kick_on_the_side_is_none_to_the_front() =>
        Assert.Contains("side-lying-kick", Moves("[0:00] let's get started", "[0:05] lie down on your right side legs long", "[0:15] and front kicks here we go kick and sweep it back", "[0:30] kick kick and sweep", "[0:45] kick and back", "[1:00] and rest well done"));

    [Fact]
    public void Arms_that_swing_are_no_kettlebell_where_there_is_none() =>
        Assert.DoesNotContain("kettlebell-swing", Moves("[0:00] let's get started", "[0:10] stand tall and swing your arms around you", "[0:20] swing and swing let them flop", "[0:50] and rest well done"));

    /// <summary>The first move was named so long ago that what is described now is most likely another.</summary>
    [Fact]
    public void Where_nothing_named_says_what_is_done_less_likeness_will_do() =>
        Assert.Contains("glute-bridge", MovesAt(
            100, "[0:00] let's get started", "[0:10] dead bugs lying on your back here we go", "[0:30] nice and slow", "[0:50] breathe out each time", "[1:40] feet on the floor squeeze and lift your hips", "[1:55] that's lovely", "[2:15] and rest well done"));
}
