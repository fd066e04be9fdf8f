using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Sets and sides that are called but not named, and cues that are no moves of their own.</summary>
public sealed class SetTests
{
    private static string Work(params string[] lines) => string.Join(", ", Make.Read(lines).BoutsOf(PhaseKind.Work).Select(b => $"{b.MoveId} {b.Span.Start}"));

    private static List<string> Moves(params string[] lines) => [.. Make.Read(lines).Bouts.Select(b => b.MoveId)];

    [Fact]
    public void Each_move_so_many_times_fills_the_places_that_nobody_names() => Assert.Equal(
        "deadlift 0:30, deadlift 1:15, deadlift 2:00, kettlebell-swing 2:45, kettlebell-swing 3:30, kettlebell-swing 4:15, goblet-squat 5:00",
        Work(
            "[0:00] hello each move thirty seconds on fifteen off three times and then we move on to the next", "[0:20] first up deadlifts", "[0:30] go", "[1:00] rest", "[1:30] nice and smooth",
            "[1:45] rest", "[2:30] put it down", "[2:34] kettlebell swings next", "[2:45] go", "[3:15] rest", "[3:30] second set", "[4:00] rest", "[4:20] arms are just ropes", "[4:45] and rest",
            "[4:50] goblet squats", "[5:00] go", "[5:30] rest", "[5:40] see you next time"));

    [Fact]
    public void A_set_called_at_the_beat_is_that_of_the_move_just_done() => Assert.Equal(
        "squat 0:30, squat 1:30, lunge 2:30",
        Work(
            "[0:00] hello forty seconds on twenty off", "[0:20] squats first", "[0:30] go", "[1:10] rest", "[1:30] same again", "[1:50] chest up", "[2:10] rest lunges next", "[2:30] go",
            "[3:10] rest", "[3:30] see you next time"));

    [Fact]
    public void A_place_that_is_started_and_not_named_is_the_next_on_the_list_given_before() => Assert.Equal(
        "step-up 0:50, triceps-dip 1:50, bulgarian-split-squat 2:50, mountain-climber 3:51",
        Work(
            "[0:00] four moves forty five seconds on fifteen off", "[0:20] number one step ups", "[0:25] number two dips on the edge", "[0:31] number three bulgarian split squats", "[0:36] and number four climbers",
            "[0:46] ready step ups", "[0:50] go", "[1:35] rest dips next", "[1:50] go", "[2:35] rest back foot up", "[2:50] go", "[3:20] over the middle toe", "[3:35] rest", "[3:50] here we go", "[4:35] rest",
            "[4:50] see you next time"));

    [Fact]
    public void What_nobody_starts_or_stops_is_not_taken_from_a_list() => Assert.Equal(
        "step-up 0:50",
        Work(
            "[0:00] three moves forty five seconds on fifteen off", "[0:20] number one step ups", "[0:25] number two dips on the edge", "[0:31] and number three climbers", "[0:46] ready step ups", "[0:50] go",
            "[1:35] rest", "[2:20] that is all we have time for", "[3:50] see you next time"));

    [Fact]
    public void Sets_with_minutes_of_rest_between_them_are_of_the_same_move() => Assert.Equal(
        ["chest-press", "chest-press", "chest-press"],
        Moves(
            "[0:00] three sets of eight with two minutes between", "[0:20] chest press first set one", "[0:30] here we go", "[1:00] rest", "[3:30] set two", "[4:00] rest", "[6:30] last set", "[7:00] rest",
            "[7:10] see you"));

    [Fact]
    public void How_a_set_is_done_that_was_just_called_is_no_move_of_its_own() => Assert.Equal(
        ["romanian-deadlift", "romanian-deadlift", "romanian-deadlift"],
        Moves(
            "[0:00] three sets of twelve with a good rest between", "[0:20] romanian deadlifts first", "[0:25] here we go", "[0:40] slow", "[1:05] and rest", "[1:40] second set off you go", "[1:46] keep your chin tucked",
            "[2:00] slow", "[2:25] and rest", "[3:00] last set off you go", "[3:20] flat back", "[3:45] and rest", "[3:55] see you next time"));

    [Fact]
    public void What_comes_before_we_are_warm_is_the_warm_up()
    {
        var read = Make.Read(
            "[0:00] hello all lovely to see you", "[0:20] jumping jacks to begin off you go", "[0:50] now high knees", "[1:20] and squats", "[1:50] good now we're warm", "[1:55] push ups here we go", "[2:40] and rest",
            "[3:00] lunges here we go", "[3:50] and rest", "[4:10] mountain climbers here we go", "[5:00] and rest", "[5:20] see you next time");
        Assert.InRange(read.Phases.First(p => p.Kind == PhaseKind.Work).Span.Start.Value, 105, 120);
        Assert.Contains(read.Phases, p => p.Kind == PhaseKind.WarmUp);
    }

    [Theory]
    [InlineData("go and do my five minute warm up first")]
    [InlineData("i've done my five minute warm up")]
    [InlineData("check out my warm up video before this")]
    [InlineData("warm up on your own before you begin")]
    [InlineData("the link to the warm up is below")]
    [InlineData("think of the first move as your warm up")]
    public void A_warm_up_somewhere_else_is_none_of_this_class(string said)
    {
        var read = Make.Read(
            "[0:00] hello forty seconds on twenty seconds off", $"[0:08] {said}", "[0:19] first up squats", "[0:25] three two one go", "[1:06] and rest next up push ups", "[1:25] three two one go", "[2:06] and rest next up skaters",
            "[2:25] three two one go", "[3:06] and rest", "[3:20] see you next time");
        Assert.DoesNotContain(read.Phases, p => p.Kind == PhaseKind.WarmUp);
    }

    [Theory]
    [InlineData("round two", "round three", 3)]
    [InlineData("round two", "last round", 3)]
    [InlineData("round two last round", "nearly there", 2)]
    public void Rounds_that_are_only_numbered_are_counted(string second, string third, int rounds)
    {
        var read = Make.Read("[0:00] hello thirty on fifteen off", "[0:20] squats go", "[0:50] rest", $"[1:05] {second} go", "[1:35] rest", $"[1:50] {third} go", "[2:20] rest", "[2:30] see you");
        Assert.Equal(CountRange.Of(rounds), read.Structures[0].Rounds);
    }

    [Fact]
    public void The_side_in_the_words_of_the_next_stretch_does_not_bring_the_last_one_back() => Assert.Equal(
        ["neck-stretch", "neck-stretch", "side-stretch"],
        Moves(
            "[0:00] let's stretch sit down", "[0:10] let your right ear come down towards your right shoulder", "[0:40] and the left ear to the left shoulder",
            "[1:05] right hand to the floor beside you left arm up and over lean to the right", "[1:40] well done see you next time"));

    [Fact]
    public void A_breath_in_a_stretch_is_no_move_of_its_own() => Assert.DoesNotContain(
        "breathing", Moves("[0:00] let's stretch", "[0:10] arms behind you open the chest big breath in", "[0:50] and other arm across your body", "[1:30] see you next time"));

    [Fact]
    public void The_second_super_set_is_no_second_set() => Assert.Null(
        Make.Read("[0:00] hello ten reps of each", "[0:10] super set one squats here we go", "[0:40] and rest", "[1:00] super set two lunges here we go", "[1:40] and rest", "[1:50] see you").Structures[0].Sets);

    [Fact]
    public void Pulses_after_a_wide_squat_are_wide() => Assert.Equal(
        ["sumo-squat", "sumo-squat-pulse"], Moves("[0:00] let's get started", "[0:10] sumo squats here we go", "[0:40] stay low and pulse", "[1:10] and rest"));

    [Fact]
    public void Standing_on_one_leg_may_be_how_the_other_is_lifted() => Assert.DoesNotContain(
        "single-leg-stand", Moves("[0:00] here we go", "[0:10] stand on your left leg lift the right leg out to the side and lower", "[0:50] and rest"));

    [Theory]
    [InlineData("squats here we go", "keep your chest lifted", "crunch")]
    [InlineData("squats here we go", "lie down on your right side knees stacked clamshells top leg lifts and lowers", "leg-lowers")]
    public void Words_that_only_sound_like_a_move(string first, string second, string not) => Assert.DoesNotContain(not, Moves($"[0:10] {first}", $"[0:30] {second}", "[1:00] and rest"));

    [Fact]
    public void Crunches_are_crunches_whatever_else_is_said_of_the_hands() =>
        Assert.Equal(["crunch"], Moves("[0:00] hello lie down on your back", "[0:10] hands by your ears little crunches", "[0:16] go", "[0:50] and rest", "[1:00] see you"));

    [Fact]
    public void The_clock_of_the_work_does_not_rule_the_warm_up()
    {
        var read = Make.Read(
            "[0:00] five rounds two minutes a round thirty seconds rest", "[0:26] okay let's warm up", "[0:28] imaginary rope skip on the spot", "[1:15] arm circles", "[1:50] shake it out",
            "[3:10] round one jab cross", "[3:24] go", "[5:24] rest", "[5:54] round two go", "[7:54] rest", "[8:00] see you");
        Assert.InRange(read.Bouts.First(b => b.MoveId == "skipping-rope").Span.Start.Value, 26, 36);
    }
}
