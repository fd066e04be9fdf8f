using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>The shape of the work: said, or measured and marked so; and the phases around it.</summary>
public sealed class StructureTests
{
    private static Structure Of(params string[] lines) => Assert.Single(Make.Read(["[0:00] hello everyone", .. lines]).Structures);

    private static readonly string[] Two =
    [
        "[0:20] let's get started squats here we go", "[0:40] keep going", "[1:00] and rest", "[1:10] push-ups three two one go", "[1:30] keep going", "[1:50] and rest",
    ];

    [Theory]
    [InlineData("forty seconds on twenty seconds off", StructureType.Intervals)]
    [InlineData("it's a tabata twenty on ten off", StructureType.Tabata)]
    [InlineData("we work in supersets today", StructureType.Supersets)]
    [InlineData("this is a ladder we add on a move every time", StructureType.Ladder)]
    [InlineData("twelve reps of everything", StructureType.RepSets)]
    public void What_is_said_names_the_structure(string words, StructureType type)
    {
        var structure = Of([$"[0:05] {words}", .. Two]);
        Assert.Equal((type, false), (structure.Type, structure.Measured));
        Assert.NotEmpty(structure.Evidence);
    }

    [Fact]
    public void Stretches_that_are_held_for_a_time_said_are_holds()
    {
        var structure = Of(
            "[0:05] thirty seconds in each stretch", "[0:20] quad stretch on the right", "[0:50] and the left", "[1:20] hamstring stretch on the right", "[1:50] and the left", "[2:20] calf stretch on the right", "[2:50] and the left", "[3:20] see you next time");
        Assert.Equal(StructureType.Hold, structure.Type);
    }

    /// <summary>Moves done on the minute, forty seconds each.</summary>
    private static Structure OnTheMinute(params string[] moves) =>
        Of(["[0:05] forty seconds on twenty seconds off", .. moves.SelectMany((m, i) => new[] { $"[{i + 1}:00] {m} three two one go", $"[{i + 1}:20] keep going", $"[{i + 1}:40] and rest" })]);

    [Fact]
    public void Rounds_that_nobody_counts_are_told_by_the_order_that_is_kept()
    {
        var structure = OnTheMinute("squats", "reverse lunges", "push-ups", "squats", "reverse lunges", "push-ups");
        Assert.Equal((CountRange.Of(2), 3), (structure.Rounds, structure.MovesPerRound));
    }

    [Fact]
    public void Moves_in_no_order_are_no_rounds()
    {
        var structure = OnTheMinute("squats", "reverse lunges", "push-ups", "reverse lunges", "burpees", "squats");
        Assert.Equal((null, null), (structure.Rounds, structure.MovesPerRound));
    }

    public static TheoryData<string> Structures => [.. Make.Lines("Reading", "structures.txt")];

    /// <summary>A line holds what is said, then the structure, repetitions, sets, rounds and moves; 0 is nothing said.</summary>
    [Theory]
    [MemberData(nameof(Structures))]
    public void A_structure_is_read_with_its_counts(string line)
    {
        var parts = line.Split('|');
        var read = Of([$"[0:05] {parts[0]}", .. Two]);
        Assert.Equal(parts[1], read.Type.ToString());
        Assert.All(new[] { (parts[2], read.Reps?.ToString()), (parts[3], read.Sets?.ToString()), (parts[4], read.Rounds?.ToString()), (parts[5], read.MovesPerRound?.ToString()) },
            p => Assert.True(p.Item1 == "0" || p.Item1 == p.Item2, $"{p.Item1} was read as {p.Item2}"));
    }

    /// <summary>Five sets of a move that are counted aloud, and no dose said.</summary>
    private static string[] Counted(string count) =>
    [
        "[0:10] let's get started squats here we go", .. Enumerable.Range(0, 5).SelectMany(i => new[] { $"[{1 + i}:00] {count}", $"[{1 + i}:25] and rest have a shake", $"[{1 + i}:50] here we go again" }), "[6:00] well done bye",
    ];

    [Fact]
    public void Sets_that_are_counted_aloud_have_so_many_repetitions()
    {
        var read = Of(Counted("and one lovely and two three four nice and tall five six seven eight nine and ten"));
        Assert.Equal((StructureType.RepSets, CountRange.Of(10)), (read.Type, read.Reps));
        Assert.Contains(read.Evidence, e => e.Text.Contains("1 lovely", StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_counted_outweighs_a_number_said_in_passing() =>
        Assert.Equal(CountRange.Of(10), Of(["[0:05] my brother did nineteen reps", .. Counted("one two three four five six seven eight nine ten")]).Reps);

    [Fact]
    public void Counts_of_eight_are_choreography() =>
        Assert.Equal(StructureType.Choreography, Of(
            "[0:10] let's get started five six seven eight march", "[0:30] five six seven eight grapevine", "[0:50] from the top grapevine", "[1:10] five six seven eight v step",
            "[1:30] from the top", "[1:50] five six seven eight").Type);

    [Fact]
    public void Barre_work_that_is_counted_is_sets_of_repetitions() =>
        Assert.Equal(StructureType.RepSets, Of(
            "[0:10] let's get started plies in first down and up two three four", "[0:30] seven eight and pulse two three four", "[0:50] last four three two hold", "[1:00] leg to the side battements two three four",
            "[1:20] eight more seven eight", "[1:40] four three two and down").Type);

    [Fact]
    public void A_walk_flows_though_somebody_counts_some_steps() =>
        Assert.Equal(StructureType.Flow, Of(
            "[0:10] let's get started march on the spot", "[0:40] two three four that's it", "[1:30] now side steps", "[2:00] four three two two three four", "[2:40] and knees up", "[3:40] back to the march two each side").Type);

    [Fact]
    public void A_pair_that_is_gone_through_three_times_has_three_sets()
    {
        var read = Of(["[0:05] three supersets each one three times through", .. Two]);
        Assert.Equal((StructureType.Supersets, CountRange.Of(3), 3), (read.Type, read.Rounds, read.Sets));
    }

    [Fact]
    public void A_steady_beat_that_nobody_names_is_measured()
    {
        string[] moves = ["squats", "lunges", "push-ups", "plank", "glute bridges", "dead bugs", "crunches"];
        var lines = new List<string>();
        for (var i = 0; i < moves.Length; i++)
        {
            var at = 20 + (i * 40);
            lines.Add($"[{at / 60}:{at % 60:00}] {moves[i]} here we go");
            lines.Add($"[{(at + 30) / 60}:{(at + 30) % 60:00}] and rest");
        }

        var structure = Of([.. lines]);
        Assert.Equal((StructureType.Intervals, true), (structure.Type, structure.Measured));
        Assert.InRange(structure.Work!.Value.Value, 25, 35);
        Assert.InRange(structure.Rest!.Value.Value, 5, 15);
        Assert.Empty(structure.Evidence);
    }

    [Theory]
    [InlineData(7, 1)]
    [InlineData(14, null)]
    public void Moves_that_are_gone_through_once_are_one_round(int said, int? rounds)
    {
        string[] moves = ["squats", "lunges", "push-ups", "plank", "glute bridges", "dead bugs", "crunches"];
        var read = Of([$"[0:05] {said} moves thirty seconds on ten off", .. moves.Select((m, i) => $"[{(20 + (i * 40)) / 60}:{(20 + (i * 40)) % 60:00}] {m} here we go"), "[5:05] and rest well done"]);
        Assert.Equal(rounds is { } r ? CountRange.Of(r) : null, read.Rounds);
    }

    [Fact]
    public void Changes_every_few_breaths_flow()
    {
        string[] moves = ["squats", "lunges", "push-ups", "plank", "glute bridges", "dead bugs", "crunches"];
        var read = Of([.. moves.Select((m, i) => $"[{(20 + (i * 14)) / 60}:{(20 + (i * 14)) % 60:00}] {m}"), "[2:00] and rest well done"]);
        Assert.Equal((StructureType.Flow, true), (read.Type, read.Measured));
    }

    [Fact]
    public void Sets_and_a_circuit_by_the_clock_are_both_read()
    {
        var read = Make.Read(["[0:00] hello everyone", "[0:05] four sets of ten and after that a core circuit thirty seconds on ten off", .. Two]).Structures;
        Assert.Equal([StructureType.RepSets, StructureType.Intervals], read.Select(s => s.Type));
        Assert.Equal((4, CountRange.Of(10), new Seconds(30)), (read[0].Sets, read[0].Reps, read[1].Work));
    }

    [Fact]
    public void Nobody_warms_up_who_came_warmed_up()
    {
        var timeline = Make.Read("[0:00] hello come warmed up please", "[0:10] let's get started squats here we go", "[0:50] and rest", "[1:00] lunges here we go", "[1:40] and rest well done");
        Assert.DoesNotContain(timeline.Phases, p => p.Kind == PhaseKind.WarmUp);
        Assert.DoesNotContain(timeline.Phases, p => p.Kind == PhaseKind.CoolDown);
    }

    [Fact]
    public void Stretches_at_the_end_are_the_cool_down_even_if_nobody_says_so()
    {
        var timeline = Make.Read(
            "[0:00] hello", "[0:10] let's get started squats here we go", "[0:50] and rest", "[1:00] lunges here we go", "[1:40] and rest", "[1:50] quad stretch",
            "[2:20] calf stretch", "[2:50] child's pose", "[3:20] see you next time");
        Assert.Equal(PhaseKind.CoolDown, timeline.PhaseAt(new Seconds(150)));
        Assert.Equal(PhaseKind.Work, timeline.PhaseAt(new Seconds(60)));
    }

    [Fact]
    public void A_long_pause_for_water_is_a_break()
    {
        var timeline = Make.Read(
            "[0:00] hello", "[0:10] let's get started squats here we go", "[0:50] and rest", "[1:00] lunges here we go", "[1:40] and rest that's round one grab some water",
            "[2:30] squats again here we go", "[3:10] and rest", "[3:20] lunges here we go", "[4:00] and rest well done");
        Assert.Equal(PhaseKind.Break, timeline.PhaseAt(new Seconds(130)));
        Assert.Equal(2, timeline.Phases.Count(p => p.Kind == PhaseKind.Work));
    }
}
