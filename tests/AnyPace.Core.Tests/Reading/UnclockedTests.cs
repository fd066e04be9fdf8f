using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Rounds and sets by repetitions that are hardly named, and where bouts begin that were set up, previewed or spoken of while another was done.</summary>
public sealed class UnclockedTests
{
    private static string Bouts(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => $"{b.MoveId} {b.Span.Start}"));

    private static SaidDose Dose(string said) => DoseReader.Read(new Speech(Make.Captions($"[0:00] {said}").Cues));

    /// <summary>A round of four told and counted, and another of which only the first move and the one after the round are named.</summary>
    private static string[] Circuit(string second) =>
    [
        "[0:00] welcome it's ten of each and three rounds", "[0:20] first up goblet squats let's go", "[0:22] one two three four five six seven eight nine ten", "[0:50] push ups let's go",
        "[0:52] one two three four five six seven eight nine ten", "[1:20] bent over rows let's go", "[1:22] one two three four five six seven eight nine ten", "[1:50] that's round one done back to the start",
        "[2:00] goblet squats let's go", $"[2:55] {second}", "[3:05] lovely", "[3:30] that's round two done last round", "[3:40] goblet squats let's go", "[4:10] push ups let's go", "[4:40] bent over rows let's go", "[5:10] and rest",
        "[5:20] well done see you next time",
    ];

    [Fact]
    public void A_round_by_repetitions_that_nobody_names_goes_as_the_one_before()
    {
        var second = Make.Read(Circuit("keep it moving")).Bouts.Where(b => b.Span.Start.Value is > 110 and < 215).ToList();
        Assert.Equal(["goblet-squat", "push-up", "bent-over-row"], second.Select(b => b.MoveId));
        Assert.InRange(second[1].Span.Start.Value, 140, 165);
        Assert.InRange(second[2].Span.Start.Value, 170, 200);
    }

    [Fact]
    public void What_is_named_again_late_goes_on() => Assert.DoesNotContain(
        Make.Read(Circuit("goblet squats keep going with those goblet squats")).Bouts, b => b.MoveId == "push-up" && b.Span.Start.Value is > 110 and < 215);

    [Fact]
    public void Of_a_superset_the_first_fills_the_time_from_the_set_called_to_the_second()
    {
        var presses = Make.Read(
            "[0:00] hello supersets today three sets each", "[0:15] pair one chest press into bent over rows", "[0:22] set one let's go", "[0:24] chest press one two three four five six seven eight nine ten",
            "[0:52] bent over rows one two three four five six seven eight nine ten", "[1:20] and rest", "[1:40] okay let's go again set two", "[2:12] bent over rows one two three four five six seven eight nine ten", "[2:40] and rest",
            "[2:50] well done see you next time").Bouts.Where(b => b.MoveId == "chest-press").ToList();
        Assert.Equal(2, presses.Count);
        Assert.InRange(presses[1].Span.Start.Value, 98, 104);
        Assert.InRange(presses[1].Span.End.Value, 128, 136);
    }

    [Fact]
    public void In_a_class_by_the_clock_the_rest_before_is_no_part_of_a_bout()
    {
        var press = Make.Read(
            "[0:00] hello forty seconds on twenty off", "[0:20] squats first", "[0:28] three two one go", "[1:08] two one and down to your mat lie back we've got a chest press", "[1:14] arms out wide chest press",
            "[1:27] three two one here we go chest press", "[2:08] three two one and rest", "[2:12] lunges next", "[2:28] three two one go", "[3:08] and rest", "[3:15] see you next time")
            .Bouts.Single(b => b.MoveId == "chest-press");
        Assert.InRange(press.Span.Start.Value, 86, 91);
    }

    [Fact]
    public void What_is_named_in_the_middle_of_the_work_is_not_next() => Assert.DoesNotContain(
        "oblique-crunch 1:3",
        Bouts(
            "[0:00] hello forty five seconds on fifteen off", "[0:20] heel taps first", "[0:28] three two one go", "[0:40] it's a side crunch guys you have got to crunch", "[1:12] ten more", "[1:15] and rest",
            "[1:18] scissor kicks legs up and cross them", "[1:28] three two one go", "[2:15] and rest", "[2:20] well done see you next time"),
        StringComparison.Ordinal);

    [Fact]
    public void What_is_shown_before_the_round_starts_is_not_done_yet()
    {
        var bouts = Make.Read(
            "[0:00] hello it's as many rounds as you can", "[0:10] let me show you the three moves first is ten squats you sit down and stand up", "[0:22] second is ten push ups chest to the floor", "[0:32] and last is ten mountain climbers",
            "[0:45] are you ready three two one let's go", "[0:49] squats one two three four five six seven eight nine ten", "[1:10] push ups one two three four five six seven eight nine ten",
            "[1:32] mountain climbers one two three four five six seven eight nine ten", "[1:50] and rest", "[2:00] see you next time").Bouts;
        Assert.Equal(["squat", "push-up", "mountain-climber"], bouts.Select(b => b.MoveId));
        Assert.InRange(bouts[0].Span.Start.Value, 44, 51);
    }

    [Theory]
    [InlineData("alternating the whole time", 1)]
    [InlineData("nice and tall", 2)]
    public void Legs_that_alternate_are_not_parted_in_a_later_round(string said, int bouts) => Assert.Equal(
        bouts,
        Make.Read(
            "[0:00] hello forty seconds on twenty off two rounds", $"[0:20] reverse lunges {said}", "[0:28] three two one go", "[1:08] and rest", "[1:20] squats next", "[1:28] three two one go", "[2:08] and rest round two",
            "[2:12] reverse lunges again", "[2:28] three two one go", "[2:48] other leg", "[3:08] and rest", "[3:20] squats", "[3:28] three two one go", "[4:08] and rest", "[4:20] see you next time")
            .Bouts.Count(b => b.MoveId == "reverse-lunge" && b.Span.Start.Value > 120));

    [Fact]
    public void A_walk_that_is_promised_begins_when_the_class_does()
    {
        var first = Make.Read(
            "[0:00] hello and welcome we're going to walk about a mile today put your shoes on", "[0:08] and thank you so much for being here with me", "[0:20] so let's get started marching on the spot", "[0:40] keep marching swing your arms", "[1:10] marching",
            "[1:30] side steps", "[2:00] side step keep going", "[2:30] well done see you next time").Bouts[0];
        Assert.Equal("march", first.MoveId);
        Assert.InRange(first.Span.Start.Value, 18, 24);
    }

    [Fact]
    public void To_press_up_weights_is_the_press_just_named() => Assert.DoesNotContain(
        "push-up",
        Bouts(
            "[0:00] hello three sets of ten", "[0:10] shoulder press with your dumbbells", "[0:15] here we go press up and lower down", "[0:25] press up and lower", "[0:45] and rest", "[0:50] bicep curls here we go", "[1:20] and rest",
            "[1:30] see you next time"),
        StringComparison.Ordinal);

    [Fact]
    public void A_side_and_hop_are_two_clauses() => Assert.DoesNotContain(
        "lateral-hop",
        Bouts("[0:00] hello fifty seconds on ten off", "[0:10] feet together arms by your side hop them out clap overhead hop them back in", "[0:18] three two one go", "[1:08] and rest", "[1:20] see you next time"),
        StringComparison.Ordinal);

    [Theory]
    [InlineData("six moves today forty seconds each and you need a mat for the last two moves", 6)]
    [InlineData("then we go down to the floor for two moves", null)]
    [InlineData("two moves forty seconds each", 2)]
    public void The_last_few_moves_are_not_all_of_them(string said, int? moves) => Assert.Equal(moves, Dose(said).MovesPerRound);

    [Theory]
    [InlineData("the last two reps of each set should be hard", null)]
    [InlineData("two sets and do ten of those five each way", 10)]
    [InlineData("five reps each side", 5)]
    public void The_last_few_repetitions_are_not_all_of_them(string said, int? reps) => Assert.Equal(reps, Dose(said).Reps?.High);

    [Theory]
    [InlineData("right side first twenty one two three four", "right side first 20 1 2 3 4")]
    [InlineData("twenty one twenty two twenty three", "21 22 23")]
    [InlineData("twenty one reps", "21 reps")]
    public void A_count_that_begins_after_tens_is_no_part_of_them(string said, string heard) => Assert.Equal(heard, new Speech(Make.Captions($"[0:00] {said}").Cues).Text);

    [Fact]
    public void What_a_weight_may_be_held_instead_of_stands_in_for_it() => Assert.Equal(
        KitNeed.Substitute,
        Make.Read(
            "[0:00] you need one kettlebell and if you haven't got a kettlebell then hold on to one end of a dumbbell it'll do fine", "[0:20] kettlebell swings here we go", "[0:50] and rest", "[1:00] goblet squats here we go", "[1:30] and rest",
            "[1:40] see you next time").Kit.Single(k => k.Item == "dumbbell").Need);
}
