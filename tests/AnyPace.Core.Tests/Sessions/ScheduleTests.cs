using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.SessionsTests;

/// <summary>Doses laid out second by second come to what the craft's table says.</summary>
public sealed class ScheduleTests
{
    private static readonly BlockPlan Plan = BlockPlan.Usual;

    private static double Length(BlockPlan plan, RangeEnd end = RangeEnd.Low) => Schedule.Of(plan, end).Length.Value;

    [Theory]
    [InlineData(false, 740)] // 2 x (6 x 40 + 5 x 20) + 60
    [InlineData(true, 780)] // 2 x (6 x 40 + 6 x 20) + 60
    public void Timed_intervals_in_rounds(bool keep, double seconds) => Assert.Equal(seconds, Length(Plan with { KeepLastRest = keep }));

    [Fact]
    public void A_one_sided_move_takes_an_interval_a_side() => Assert.Equal(Length(Plan with { Moves = 8 }), Length(Plan with { OneSided = 2 }));

    [Fact]
    public void Or_it_shares_one() => Assert.Equal(Length(Plan), Length(Plan with { OneSided = 2, SidesShareInterval = true }));

    [Theory]
    [InlineData(false, 230)]
    [InlineData(true, 240)]
    public void A_twenty_ten_block(bool keep, double seconds) =>
        Assert.Equal(seconds, Length(Plan with { Kind = BlockKind.TwentyTen, Moves = 4, Rounds = CountRange.Of(1), KeepLastRest = keep }));

    [Fact]
    public void Timed_sets_change_between_moves() => // 3 x (2 x 30 + 15) + 2 x 20
        Assert.Equal(265, Length(Plan with { Kind = BlockKind.TimedSets, Moves = 3, Sets = 2, Work = new(30), Rest = new(15), Change = new(20) }));

    [Fact]
    public void Repetitions_at_a_tempo_are_a_range() // 2 moves x (3 sets x reps x 4 s + 2 x 45) + 15
    {
        var plan = Plan with { Kind = BlockKind.RepSets, Moves = 2, Sets = 3, Reps = new(12, 15), SecondsPerRep = 4, Rest = new(45) };
        Assert.Equal((483, 555), (Length(plan), Length(plan, RangeEnd.High)));
    }

    [Fact]
    public void Supersets_go_pair_by_pair() // 2 pairs x (3 times x 2 moves x 10 x 3 s + 2 x 30) + 15 to change
    {
        var plan = Plan with { Kind = BlockKind.Supersets, Moves = 4, Rounds = CountRange.Of(3), Reps = CountRange.Of(10), SecondsPerRep = 3, Rest = new(30) };
        Assert.Equal(495, Length(plan));
    }

    [Fact]
    public void Rounds_may_be_a_range()
    {
        var plan = Plan with { Rounds = new(3, 5) };
        Assert.Equal((1140, 1940), (Length(plan), Length(plan, RangeEnd.High)));
    }

    [Fact]
    public void A_ladder_adds_the_first_k() // 1 + 2 + 3 + 4 bouts of 30 s, 3 fillers of 10 s
    {
        var plan = Plan with { Kind = BlockKind.Ladder, Moves = 4, Work = new(30), Rest = Seconds.Zero, Filler = new(10) };
        Assert.Equal(330, Length(plan));
    }

    [Fact]
    public void Counts_of_eight_follow_the_beat() => // 3 phrases x 2 leads x 2 times x 4 eights x 3.75 s
        Assert.Equal(180, Length(Plan with { Kind = BlockKind.Phrases, Moves = 3, Beats = 128, Eights = 4, Repeats = 2 }));

    [Fact]
    public void Holds_rest_in_between() => // 2 positions x (3 x 45 + 2 x 15) + 15
        Assert.Equal(345, Length(Plan with { Kind = BlockKind.Holds, Moves = 2, Rounds = CountRange.Of(3), Work = new(45), Rest = new(15) }));

    [Fact]
    public void A_finisher_is_one_long_bout() => Assert.Equal(240, Length(Plan with { Kind = BlockKind.Finisher, Work = new(240) }));

    [Fact]
    public void A_class_is_its_parts_and_the_breaks_between() => Assert.Equal(
        300 + 740 + 60 + 740 + 180, Schedule.LengthOf(new ClassPlan(new(300), [Plan, Plan], new(60), new(180)), RangeEnd.Low).Value);

    [Theory]
    [InlineData(0, 0, 40, "moves")]
    [InlineData(3, 4, 40, "oneSided")]
    [InlineData(3, 0, 0, "work")]
    public void Numbers_that_cannot_be_are_named(int moves, int oneSided, double work, string field) =>
        Assert.Contains(field, (Plan with { Moves = moves, OneSided = oneSided, Work = new(work) }).Validate().Select(v => v.Field));

    [Fact]
    public void Some_numbers_bring_a_plan_to_twenty_minutes()
    {
        var ways = Adjustments.Toward(Seconds.FromMinutes(20), Plan, new(480), new(30));
        Assert.NotEmpty(ways);
        Assert.All(ways, w => Assert.InRange(w.Length.Value, 1170, 1230));
        Assert.All(ways, w => Assert.Equal(w.Length.Value, 480 + Length(w.Plan)));
    }

    private static readonly Gen<BlockPlan> AnyPlan =
        from kind in Gen.Enum<BlockKind>()
        from moves in Gen.Int[1, 8]
        from sided in Gen.Int[0, 8]
        from share in Gen.Bool
        from work in Gen.Int[5, 90]
        from rest in Gen.Int[0, 60]
        from rounds in Gen.Int[1, 4]
        from more in Gen.Int[0, 2]
        from keep in Gen.Bool
        select BlockPlan.Usual with
        {
            Kind = kind,
            Moves = moves,
            OneSided = Math.Min(sided, moves),
            SidesShareInterval = share,
            Work = new(work),
            Rest = new(rest),
            Rounds = new(rounds, rounds + more),
            Sets = rounds,
            KeepLastRest = keep,
        };

    [Fact]
    public void Slots_follow_each_other_without_gaps() => AnyPlan.Sample(plan =>
    {
        var slots = Schedule.Of(plan, RangeEnd.Low).Slots;
        return slots[0].Span.Start == Seconds.Zero && slots.Zip(slots.Skip(1), (a, b) => Math.Abs((b.Span.Start - a.Span.End).Value) < 1e-9).All(x => x);
    });

    [Fact]
    public void The_low_end_is_never_longer_than_the_high_end() => AnyPlan.Sample(plan => Length(plan) <= Length(plan, RangeEnd.High));

    [Fact]
    public void Left_and_right_get_the_same() => AnyPlan.Sample(plan =>
    {
        var slots = Schedule.Of(plan, RangeEnd.High).Slots;
        return Math.Abs(slots.Where(s => s.Side == Side.Left).Sum(s => s.Span.Length.Value) - slots.Where(s => s.Side == Side.Right).Sum(s => s.Span.Length.Value)) < 1e-6;
    });

    [Fact]
    public void The_table_of_lengths_and_the_laid_out_intervals_agree() => AnyPlan.Select(p => p with { Kind = BlockKind.Intervals, SidesShareInterval = false }).Sample(p =>
        Math.Abs(Dose.Intervals(p.Moves + p.OneSided, p.Rounds.Low, p.Work, p.Rest, p.RoundRest, p.KeepLastRest).Value - Length(p)) < 1e-6);
}

/// <summary>The said intervals held against the bouts that were read.</summary>
public sealed class ExpectedTests
{
    private static List<Fit> Fits(int? rounds, int? moves, params Bout[] bouts)
    {
        var timeline = Make.Work(bouts);
        var structure = new Structure(
            StructureType.Intervals, timeline.Phases[0].Span, new(40), new(20), rounds is { } r ? CountRange.Of(r) : null, null, moves, null, null, false, []);
        return [.. Expected.Against(structure, timeline).Select(e => e.Fit)];
    }

    [Fact]
    public void Bouts_on_the_beat_fit() => Assert.All(
        Fits(1, 3, Make.Bout("squat", 0, 40), Make.Bout("lunge", 60, 100), Make.Bout("push-up", 121, 160)), f => Assert.Equal(Fit.Fits, f));

    [Fact]
    public void A_beat_without_a_bout_is_missing() => Assert.Equal(
        [Fit.Fits, Fit.Missing, Fit.Fits], Fits(1, 3, Make.Bout("squat", 0, 40), Make.Bout("push-up", 120, 160)));

    [Fact]
    public void A_bout_between_two_beats_is_extra() => Assert.Contains(
        Fit.Extra, Fits(1, 3, Make.Bout("squat", 0, 25), Make.Bout("lunge", 26, 40), Make.Bout("push-up", 60, 100)));

    [Fact]
    public void A_cut_bout_is_short_and_a_late_one_late() => Assert.Equal(
        [Fit.Fits, Fit.Short, Fit.Late], Fits(1, 3, Make.Bout("squat", 0, 40), Make.Bout("lunge", 60, 85), Make.Bout("push-up", 135, 170)));

    [Fact]
    public void What_the_rounds_still_owe_is_missing_at_the_end() => Assert.Equal(
        [Fit.Fits, Fit.Fits, Fit.Missing, Fit.Missing], Fits(2, 2, Make.Bout("squat", 0, 40), Make.Bout("lunge", 60, 100)));

    [Fact]
    public void Two_sides_that_share_an_interval_are_one() => Assert.Equal(
        [Fit.Fits, Fit.Fits], Fits(1, 2, Make.Bout("clamshell", 0, 20, Side.Right), Make.Bout("clamshell", 20, 40, Side.Left), Make.Bout("squat", 60, 100)));

    private static IEnumerable<string> InOrder(StructureType type, int? rounds, params string[] moves)
    {
        var timeline = Make.Work([.. moves.Select((m, i) => Make.Bout(m, i * 30, (i * 30) + (m == "lunge" && i == moves.Length - 1 ? 10 : 25)))]);
        var structure = new Structure(type, timeline.Phases[0].Span, null, null, rounds is { } r ? CountRange.Of(r) : null, null, null, null, null, false, []);
        return Expected.Of(structure, timeline).Select(e => $"{e.Round} {e.MoveId} {e.Fit}");
    }

    [Fact]
    public void Later_rounds_owe_what_the_first_one_did() => Assert.Equal(
        ["1 squat Fits", "1 lunge Fits", "1 plank Fits", "2 squat Fits", "2 plank Fits", "2 lunge Missing"],
        InOrder(StructureType.RepSets, 2, "squat", "lunge", "plank", "squat", "plank"));

    [Fact]
    public void Supersets_are_held_pair_by_pair() => Assert.Equal(
        ["1 squat Fits", "1 lunge Fits", "2 squat Fits", "2 lunge Fits", "1 plank Fits", "1 push-up Fits", "2 plank Fits", "2 push-up Missing"],
        InOrder(StructureType.Supersets, 2, "squat", "lunge", "squat", "lunge", "plank", "push-up", "plank"));

    [Fact]
    public void A_strange_move_inside_a_round_is_extra() => Assert.Contains(
        "2 burpee Extra", InOrder(StructureType.RepSets, 2, "squat", "lunge", "squat", "burpee", "lunge"));

    [Fact]
    public void A_said_round_that_never_comes_is_missing() => Assert.Equal(
        ["3 squat Missing", "3 plank Missing"], InOrder(StructureType.RepSets, 3, "squat", "plank", "squat", "plank").TakeLast(2));

    [Fact]
    public void A_move_cut_to_less_than_its_usual_length_is_short() => Assert.Contains(
        "2 lunge Short", InOrder(StructureType.RepSets, 2, "squat", "lunge", "squat", "lunge"));

    [Fact]
    public void A_ladder_owes_one_move_more_at_each_step_and_its_filler_is_not_extra() => Assert.Equal(
        ["1 squat Fits", "1 jog Fits", "2 squat Fits", "2 lunge Fits", "2 jog Fits", "3 squat Fits", "3 plank Fits", "3 lunge Missing"],
        InOrder(StructureType.Ladder, null, "squat", "jog", "squat", "lunge", "jog", "squat", "plank"));

    [Fact]
    public void Nothing_is_owed_where_no_rounds_are_said() => Assert.Empty(InOrder(StructureType.RepSets, null, "squat", "lunge", "squat"));
}
