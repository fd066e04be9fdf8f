using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What nobody says outright and the class makes plain: its beat, its rounds, its second sides, its beginning.</summary>
public sealed class UnsaidTests
{
    private static string Bouts(Timeline read) => string.Join(", ", read.Bouts.Select(b => $"{b.MoveId} {b.Span.Start}"));

    private static readonly string[] Timed =
    [
        "[0:00] hello and welcome forty seconds on twenty seconds off no equipment", "[0:20] first up squats", "[0:30] and go", "[1:10] and rest", "[1:16] push ups next",
        "[1:30] go", "[2:10] and rest",
    ];

    private static Bout At(Timeline read, double start) => Assert.Single(read.Bouts, b => Math.Abs(b.Span.Start.Value - start) < 4);

    [Fact]
    public void A_move_named_in_the_rest_begins_with_the_beat_though_nobody_says_go()
    {
        var read = Make.Read([.. Timed, "[2:14] lunges this time nice and low", "[3:10] great rest a moment", "[3:30] see you next time"]);
        Assert.Equal("lunge", At(read, 150).MoveId);
    }

    [Fact]
    public void One_word_of_a_name_called_out_at_the_beat_is_the_move()
    {
        var read = Make.Read(
            "[0:00] hello and welcome twenty seconds on ten seconds off", "[0:10] squat jumps and mountain climbers that's the pair", "[0:27] three two one squat jumps go", "[0:50] rest", "[1:00] climb",
            "[1:20] rest", "[1:30] jump", "[1:50] rest", "[2:00] climbers", "[2:20] rest", "[2:30] see you next time");
        Assert.Equal(("mountain-climber", "squat-jump"), (At(read, 60).MoveId, At(read, 90).MoveId));
    }

    [Fact]
    public void A_place_in_a_round_that_was_not_heard_is_taken_from_the_round_before()
    {
        string[] Round(int from, string third) =>
        [
            $"{Clock(from)} squats", $"{Clock(from + 10)} go", $"{Clock(from + 40)} push ups", $"{Clock(from + 50)} go", $"{Clock(from + 80)} {third}", $"{Clock(from + 90)} go",
            $"{Clock(from + 120)} lunges", $"{Clock(from + 130)} go",
        ];
        static string Clock(int seconds) => $"[{seconds / 60}:{seconds % 60:00}]";
        var read = Make.Read(["[0:00] hello thirty seconds on ten seconds off four moves", .. Round(20, "glute bridges"), .. Round(180, "mind the dog he's come to help"), "[5:50] see you next time"]);
        Assert.Equal("glute-bridge", At(read, 270).MoveId);
    }

    [Fact]
    public void The_other_side_of_a_run_of_moves_is_the_run_again()
    {
        var read = Make.Read(
            "[0:00] hello and welcome", "[0:10] lie on your side clamshells lift and lower", "[0:50] and now leg circles small and slow", "[1:30] roll over other side same again",
            "[1:50] lovely keep it slow", "[2:20] last few", "[2:50] and rest well done", "[3:00] see you next time");
        Assert.Equal(["clamshell", "leg-circle", "clamshell", "leg-circle"], read.Bouts.Select(b => b.MoveId));
    }

    [Fact]
    public void A_class_begins_with_the_first_move_named_by_itself()
    {
        var read = Make.Read(
            "[0:00] hello lovely people it's a bit chilly in here isn't it", "[0:10] so just march on the spot for me", "[0:30] swing those arms", "[0:50] and side steps nice and wide",
            "[1:20] three two one squats go", "[2:00] and rest", "[2:10] see you next time");
        Assert.Equal("march", read.Bouts[0].MoveId);
        Assert.InRange(read.Bouts[0].Span.Start.Value, 8, 14);
    }

    [Fact]
    public void A_list_of_what_is_to_come_begins_nothing()
    {
        var read = Make.Read(
            "[0:00] hello today's class has ten squats ten push ups ten sit ups", "[0:20] so get yourself ready", "[0:40] three two one lunges go", "[1:20] and rest", "[1:30] see you next time");
        Assert.Equal("lunge", Assert.Single(read.Bouts).MoveId);
    }

    [Theory]
    [InlineData("sumo squats hold one weight between your legs", "sumo-squat")]
    [InlineData("sumo squat hold stay down there", "sumo-squat-hold")]
    [InlineData("lunges we're going to step back alternating", "reverse-lunge")]
    [InlineData("squatting down to tap the bottom on the sofa", "chair-squat")]
    [InlineData("push ups with your hands on the edge of the bench", "incline-push-up")]
    [InlineData("plank get up on your elbows", "forearm-plank")]
    [InlineData("high knees so running on the spot", "high-knees")]
    public void Words_around_a_name_make_it_the_move_that_is_meant(string said, string move)
    {
        var read = Make.Read("[0:00] hello and welcome", $"[0:10] first up {said}", "[0:30] here we go", "[1:00] keep going", "[1:10] and rest", "[1:20] see you next time");
        Assert.Equal(move, Assert.Single(read.Bouts).MoveId);
    }

    [Theory]
    [InlineData("no jumping in this class", "step-skater")]
    [InlineData("do the jumps or a fast step no jump if you like", "skater")]
    public void A_quiet_option_does_not_make_a_quiet_class(string said, string move)
    {
        var read = Make.Read($"[0:00] hello and welcome {said}", "[0:20] first up skaters", "[0:30] here we go", "[1:00] keep going", "[1:10] and rest", "[1:20] see you next time");
        Assert.Equal(move, Assert.Single(read.Bouts).MoveId);
    }

    [Fact]
    public void A_description_over_a_long_silence_is_none()
    {
        Assert.DoesNotContain("glute-bridge", Bouts(Make.Read(
            "[0:00] hello and welcome", "[0:10] let's get started lie on your back and lift", "[0:40] your hips are probably tight", "[1:10] look at the ceiling", "[1:30] see you next time")));
    }
}
