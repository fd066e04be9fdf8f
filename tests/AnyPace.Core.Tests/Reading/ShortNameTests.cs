using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>How coaches shorten, vary and take for granted what they have named once.</summary>
public sealed class ShortNameTests
{
    private static List<Bout> Bouts(params string[] lines) => [.. Make.Read(["[0:00] hello and welcome", .. lines]).Bouts];

    private static string Moves(params string[] lines) => string.Join(' ', Bouts(lines).Select(b => b.MoveId).Distinct());

    [Fact]
    public void The_last_word_stands_for_the_name() => Assert.Equal("overhead-press bent-over-row", Moves(
        "[0:10] let's get started shoulder press three two one go", "[0:40] and rest", "[0:50] bent over rows here we go", "[1:20] and rest", "[1:30] into the presses here we go", "[2:00] and rest"));

    [Fact]
    public void The_first_word_stands_for_the_name() => Assert.Equal("goblet-squat kettlebell-swing", Moves(
        "[0:10] let's get started with the kettlebell goblet squats three two one go", "[0:40] and rest", "[0:50] kettlebell swings here we go", "[1:20] and rest", "[1:30] goblets", "[1:36] ready and go", "[2:00] and rest"));

    [Fact]
    public void Swings_with_a_kettlebell_are_not_the_arm_swings_of_the_warm_up() => Assert.Contains("kettlebell-swing", Moves(
        "[0:05] you need a kettlebell", "[0:10] let's warm up arm swings across the body", "[0:40] okay that's us warm", "[0:50] swings three two one go", "[1:20] keep going", "[1:30] and rest"), StringComparison.Ordinal);

    [Fact]
    public void In_a_class_without_jumps_skaters_step() => Assert.Equal("step-skater", Moves(
        "[0:05] no jumping at all today it's low impact", "[0:10] let's get started skaters three two one go", "[0:40] and rest"));

    [Fact]
    public void Skaters_that_hop_hop_all_the_same() => Assert.Equal("skater", Moves(
        "[0:05] no jumping at all today it's low impact", "[0:10] let's get started skater hops three two one go", "[0:40] and rest"));

    [Fact]
    public void Rows_one_arm_after_the_other_are_single_arm_rows()
    {
        var bouts = Bouts("[0:10] let's get started rows right arm first three two one go", "[0:30] keep going", "[0:40] swap arms", "[0:45] keep pulling", "[1:10] and rest");
        Assert.All(bouts, b => Assert.Equal("single-arm-row", b.MoveId));
        Assert.Equal([Side.Right, Side.Left], bouts.Select(b => b.Side));
    }

    [Fact]
    public void A_change_and_the_side_named_with_it_are_one_turn()
    {
        var bouts = Bouts("[0:10] let's get started quad stretch right leg", "[0:50] change legs left foot behind you", "[1:30] and rest");
        Assert.Equal([Side.Right, Side.Left], bouts.Select(b => b.Side));
    }

    [Fact]
    public void Alternating_moves_have_no_sides() => Assert.All(
        Bouts("[0:10] let's get started reverse lunges alternating three two one go", "[0:30] good and other leg", "[0:50] keep going", "[1:00] and rest"), b => Assert.Equal(Side.Both, b.Side));

    [Fact]
    public void A_part_of_the_move_said_again_is_the_move() => Assert.Equal("squat-knee-drive", Moves(
        "[0:10] let's get started squat with a knee drive so squat down stand up pull the knee up go", "[0:40] keep going", "[0:50] and rest"));

    [Fact]
    public void Two_names_in_a_superset_are_two_moves() => Assert.Equal("reverse-lunge overhead-press", Moves(
        "[0:05] we've got supersets today", "[0:10] let's get started superset one is a reverse lunge with a shoulder press", "[0:20] lunges three two one go", "[0:50] keep going", "[0:55] and presses go", "[1:20] and rest"));

    [Fact]
    public void Every_minute_on_the_minute_is_a_beat_of_sixty()
    {
        var structure = Assert.Single(Make.Read("[0:00] welcome every minute on the minute four rounds", "[0:10] let's get started squats here we go", "[0:40] and rest", "[1:10] push ups here we go", "[1:40] and rest").Structures);
        Assert.Equal((StructureType.Intervals, 60.0, 4), (structure.Type, structure.Work!.Value.Value, structure.Rounds!.Value.Low));
    }

    [Fact]
    public void Two_rounds_and_a_timed_beat_do_not_make_a_demonstration() => Assert.Equal(
        ClassKind.FollowAlong,
        Make.Read("[0:00] we do three rounds of thirty seconds on ten seconds off", "[0:10] let's get started squats", "[0:40] rest", "[0:50] lunges", "[1:20] rest", "[1:30] squats", "[2:00] and rest").Kind);

    [Theory]
    [InlineData("that's your hamstring", "hamstring-stretch")]
    [InlineData("this one is calves", "calf-stretch")]
    [InlineData("and into the quads", "quad-stretch")]
    public void In_a_class_of_stretches_the_muscle_names_the_stretch(string said, string move) => Assert.Contains(move, Moves(
        "[0:05] a short stretch for tired legs", $"[0:10] let's begin standing {said}", "[0:50] breathe and let it go"), StringComparison.Ordinal);
}
