using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Rests in which the next move is told, counts that go on through talk, sides done in turn, blocks that follow one another.</summary>
public sealed class InTurnTests
{
    private static Timeline Read(params string[] lines) => Make.Read(lines);

    private static List<Bout> Bouts(params string[] lines) => [.. Read(lines).Bouts];

    private static List<CountRun> Counts(params string[] lines) => [.. CountRun.Find(new Speech(Make.Captions(lines).Cues))];

    private static bool Begins(Bout bout, string move, double at) => bout.MoveId == move && Math.Abs(bout.Span.Start.Value - at) < 6;

    [Fact]
    public void Nothing_is_done_from_a_stop_to_the_start_that_ends_its_rest()
    {
        var bouts = Bouts(
            "[0:00] forty seconds on twenty seconds off let's go", "[0:20] squats three two one go", "[0:40] keep going", "[1:00] and rest", "[1:02] lunges are next but shake it out march about a bit",
            "[1:20] three two one go", "[1:40] lunges step back", "[2:00] and rest", "[2:10] thank you bye");
        Assert.DoesNotContain(bouts, b => b.Span.Start.Value is > 59 and < 76);
        Assert.Contains(bouts, b => Begins(b, "squat", 20));
        Assert.Contains(bouts, b => b.MoveId.EndsWith("lunge", StringComparison.Ordinal) && Math.Abs(b.Span.Start.Value - 80) < 6);
    }

    [Fact]
    public void Between_blocks_the_beat_waits_for_the_start()
    {
        var bouts = Bouts(
            "[0:00] forty seconds on twenty seconds off let's go", "[0:20] squats three two one go", "[1:00] and rest", "[1:20] lunges go", "[2:00] and rest", "[2:20] press ups go", "[3:00] and rest",
            "[3:05] that's the first block done have a drink next block it's burpees take your time", "[3:45] three two one go", "[4:00] burpees keep going", "[4:25] and rest", "[4:40] thank you bye");
        Assert.Contains(bouts, b => Begins(b, "burpee", 225));
        Assert.DoesNotContain(bouts, b => b.MoveId == "burpee" && b.Span.Start.Value < 215);
    }

    [Theory]
    [InlineData("come on up to sitting when you're ready", false)]
    [InlineData("dumbbells up when you're ready", true)]
    public void Who_gets_up_when_ready_begins_nothing(string said, bool starts) =>
        Assert.Equal(starts, Make.Marks("[0:00] hello child's pose", $"[0:20] {said}", "[0:40] well done").Any(m => m.Kind == MarkKind.Start && m.At > 15));

    [Theory]
    [InlineData("one two three don't let your back round four five six seven")]
    [InlineData("one two three shoulders not up round your ears four five six seven")]
    [InlineData("one keep it flat two weights stay close to your legs three four five six seven")]
    [InlineData("one two three four drop down to one dumbbell if you must five six seven")]
    public void A_count_goes_on_through_what_is_said_of_form(string said) =>
        Assert.Contains(Counts("[0:00] rows", $"[0:05] {said}", "[0:25] good"), r => r is { First: 1, Last: 7 });

    [Fact]
    public void A_count_waits_for_a_slow_repetition() =>
        Assert.Contains(Counts("[0:00] rows", "[0:05] one two three four five six", "[0:15] seven eight nine ten"), r => r is { First: 1, Last: 10 });

    [Theory]
    [InlineData("don't let your back round four five six", false)]
    [InlineData("round four let's go", true)]
    public void A_back_that_rounds_is_no_round(string said, bool round) =>
        Assert.Equal(round, Make.Marks("[0:00] rows one two three", $"[0:05] {said}", "[0:25] good").Any(m => m.Kind == MarkKind.Round));

    [Theory]
    [InlineData("you should feel that in the left hip", false)]
    [InlineData("stretch the front of the left hip", false)]
    [InlineData("left hip forward", true)]
    public void Where_it_is_felt_is_no_side_that_is_called(string said, bool called) =>
        Assert.Equal(called, Make.Marks("[0:00] hello", $"[0:05] {said}", "[0:25] good").Any(m => m.Kind == MarkKind.Left));

    [Fact]
    public void Sides_in_turn_are_one_bout()
    {
        var bouts = Bouts(
            "[0:00] fifty seconds on ten seconds off let's go", "[0:20] on all fours fire hydrants alternating sides three two one go", "[0:30] lift the knee out to the side and down then the other one", "[0:50] keep your back flat",
            "[1:10] and rest", "[1:20] side lunges three two one go", "[1:26] push off and come back to the middle and other side", "[1:50] chest up", "[2:10] and rest", "[2:20] thank you bye");
        Assert.All(bouts.Where(b => b.MoveId is "fire-hydrant" or "side-lunge"), b => Assert.Equal(Side.Both, b.Side));
        Assert.Single(bouts, b => b.MoveId == "fire-hydrant");
    }

    [Fact]
    public void Sides_of_an_alternating_move_that_are_called_are_two_bouts()
    {
        var bouts = Bouts(
            "[0:00] no clock today let's start", "[0:10] step ups right leg first", "[0:16] one two three four five six seven eight nine ten", "[0:38] and left leg up and down", "[0:44] keep going push through your heel", "[1:00] and rest", "[1:10] thank you bye");
        Assert.Contains(bouts, b => b is { MoveId: "step-up", Side: Side.Right });
        Assert.Contains(bouts, b => b is { MoveId: "step-up", Side: Side.Left });
    }

    [Theory]
    [InlineData("put the band just above your knees crab walks stay low", "banded-walk")]
    [InlineData("hands behind you hips off the floor crab walks", "crab-walk")]
    [InlineData("stand tall and kick it back and squeeze kick it back", "standing-kickback")]
    [InlineData("squats sit back like there's a chair behind you and stand up", "squat")]
    public void What_is_said_around_a_name_tells_which_move_it_is(string said, string move) =>
        Assert.Contains(Bouts("[0:00] hello let's start", $"[0:10] {said}", "[0:30] keep going", "[0:50] and rest", "[1:00] thank you bye"), b => b.MoveId == move);

    [Theory]
    [InlineData("hold the dumbbell in both hands", "kettlebell-swing")]
    [InlineData("right hand first and left hand after", "single-arm-swing")]
    public void Both_hands_swing_one_bell(string said, string move)
    {
        var bouts = Bouts(
            "[0:00] no clock today ten of each let's start", $"[0:10] kettlebell swings {said}", "[0:20] one two three four five six seven eight nine ten switch hands", "[0:45] thrusters right shoulder one two three four", "[1:00] left shoulder one two three four",
            "[1:20] and rest", "[1:30] thank you bye");
        Assert.Contains(bouts, b => b.MoveId == move);
    }

    [Fact]
    public void Getting_up_is_no_roll_up() =>
        Assert.DoesNotContain(Bouts("[0:00] hello let's start", "[0:10] chest press one two three four five six", "[0:30] drop them by your sides roll up and take your rest", "[0:50] chest press one two three four five", "[1:10] thank you bye"), b => b.MoveId == "roll-up");

    [Theory]
    [InlineData("and now a grapevine if you fancy it so step behind", "grapevine")]
    [InlineData("take a sip if you want to round three burpees go one two three four", "burpee")]
    public void What_comes_is_no_option(string said, string move) =>
        Assert.Contains(Bouts("[0:00] hello let's start", "[0:10] march on the spot", $"[0:40] {said}", "[0:56] keep going", "[1:10] and rest", "[1:20] thank you bye"), b => b.MoveId == move);

    [Fact]
    public void Breaths_counted_in_a_hold_do_not_begin_it() =>
        Assert.Contains(Bouts("[0:00] hello let's start", "[0:10] squats", "[0:40] come to a plank and hold it there press the floor away", "[0:58] slow counts one two three four five six seven eight", "[1:20] and rest", "[1:30] thank you bye"), b => Begins(b, "plank", 40));

    [Fact]
    public void Rounds_of_one_move_make_no_sets_of_a_flow()
    {
        var timeline = Read(
            "[0:00] hello lie on your mat let's start", "[0:10] roll ups arms overhead peel up and over", "[0:35] rolling like a ball", "[1:30] single leg stretch", "[1:50] the saw twist and reach we do that three times each side",
            "[3:00] swimming arms and legs", "[3:25] teaser", "[4:20] thank you bye");
        Assert.Equal(StructureType.Flow, Assert.Single(timeline.Structures).Type);
    }

    [Theory]
    [InlineData("it's a ladder and it goes ten down to one", 10)]
    [InlineData("a ladder from two up to twelve", 12)]
    public void A_ladder_has_the_repetitions_of_its_top(string said, int top)
    {
        var timeline = Read($"[0:00] {said} squats and press ups", "[0:20] let's go squats one two three four five six", "[0:50] press ups one two three four five six", "[1:20] squats one two three four five", "[1:40] press ups one two three four five", "[2:10] thank you bye");
        var ladder = Assert.Single(timeline.Structures);
        Assert.Equal((StructureType.Ladder, top), (ladder.Type, ladder.Reps?.High));
    }

    [Fact]
    public void A_finisher_that_is_told_twice_begins_where_it_is_told_again()
    {
        string[] work = ["[0:40] squats go", "[1:20] and rest", "[1:40] lunges go", "[2:20] and rest", "[2:40] press ups go", "[3:20] and rest", "[3:40] burpees go", "[4:20] and rest"];
        string[] finisher = ["[4:40] go", "[5:00] and rest", "[5:10] go", "[5:30] and rest", "[5:40] go", "[6:00] and rest", "[6:10] go", "[6:30] and rest", "[6:40] go", "[7:00] and rest", "[7:10] go", "[7:30] and rest", "[7:40] go", "[8:00] and rest", "[8:10] go", "[8:30] and rest"];
        var timeline = Read(["[0:00] four moves forty seconds on twenty seconds off one round and then a finisher twenty seconds on ten seconds off", .. work, "[4:24] now the finisher twenty seconds on ten seconds off eight rounds high knees and plank jacks", .. finisher, "[8:40] thank you bye"]);
        Assert.Equal([StructureType.Intervals, StructureType.Tabata], timeline.Structures.Select(s => s.Type));
        Assert.Equal(8, timeline.Structures[1].Rounds?.High);
        Assert.InRange(timeline.Structures[1].Span.Start.Value, 260, 285);
    }

    [Theory]
    [InlineData("find a bit of wall and a mat if your blood pressure is high then breathe", "mat", KitNeed.Required)]
    [InlineData("dumbbells please and a mat and put some water near you", "mat", KitNeed.Required)]
    [InlineData("if press ups on the floor aren't your thing then put your hands on a chair", "chair", KitNeed.Optional)]
    [InlineData("have a towel nearby", "towel", KitNeed.Optional)]
    public void Kit_is_needed_as_it_is_said(string said, string item, KitNeed need) =>
        Assert.Contains(Read($"[0:00] hello {said}", "[0:20] let's start squats", "[0:50] press ups", "[1:20] thank you bye").Kit, k => k.Item == item && k.Need == need);
}
