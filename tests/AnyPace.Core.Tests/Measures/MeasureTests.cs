using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.MeasuresTests;

public sealed class MeasureTests
{
    private static MeasureSheet Sheet(Timeline timeline, Pace pace = Pace.AsLed) => Measure.Sheet(timeline, Make.Lexicon, pace);

    [Fact]
    public void Time_is_measured_from_the_bouts_and_phases()
    {
        var time = Sheet(Make.QuietClass()).Time;
        Assert.Equal("20:00", time.Class.Clock());
        Assert.Equal((240.0, 760.0, 20.0, 180.0), (time.WarmUp.Value, time.Work.Value, time.Rest.Value, time.CoolDown.Value));
        Assert.Equal(760.0 / 780, time.Density, 6);
        Assert.Equal(400, time.LongestUnbroken.Value);
    }

    [Fact]
    public void A_short_change_over_does_not_break_a_stretch_of_work() =>
        Assert.Equal(80, Sheet(Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 45, 85))).Time.LongestUnbroken.Value);

    [Fact]
    public void A_break_is_not_rest()
    {
        var timeline = Make.Timeline(
            [Make.Phase(PhaseKind.Work, 0, 40), Make.Phase(PhaseKind.Break, 40, 100), Make.Phase(PhaseKind.Work, 100, 160)],
            Make.Bout("squat", 0, 40), Make.Bout("squat", 110, 160));
        Assert.Equal((10.0, 60.0), (Sheet(timeline).Time.Rest.Value, Sheet(timeline).Time.Break.Value));
    }

    [Fact]
    public void Sides_are_summed_apart()
    {
        var time = Sheet(Make.Work(Make.Bout("split-squat", 0, 40, Side.Right), Make.Bout("split-squat", 50, 80, Side.Left))).Time;
        Assert.Equal((30.0, 40.0), (time.Left.Value, time.Right.Value));
    }

    [Fact]
    public void A_demonstration_needs_its_prescribed_dose_not_its_recording()
    {
        var timeline = Make.Work(Make.Bout("goblet-squat", 10, 40), Make.Bout("single-arm-row", 40, 70)) with
        {
            Kind = ClassKind.Demonstration,
            Structures = [new Structure(StructureType.RepSets, Span.Of(10, 70), null, null, new CountRange(3, 4), null, null, new Seconds(60), new CountRange(10, 12), false, [])],
        };
        var time = Sheet(timeline).Time;

        // Low: 3 rounds x (10 x 3 s + 10 x 3 s x 2 sides) + 2 x 60, and 3 changes of 10 s inside the rounds; high: 4 x (12 x 3 + 12 x 3 x 2) + 3 x 60 + 4 x 10.
        Assert.Equal(((3 * 90) + 120.0 + 30, (4 * 108) + 180.0 + 40), (time.Needed.Value, time.NeededHigh.Value));
        Assert.Equal(60, time.Class.Value);
    }

    [Theory]
    [InlineData(60.0, 2 * 3 * 30 + 5 * 60)]
    [InlineData(null, 2 * 3 * 30 + 5 * 10)]
    public void Sets_of_one_move_rest_after_each_set_or_else_change_over(double? rest, double needed)
    {
        var timeline = Make.Work(Make.Bout("goblet-squat", 10, 40), Make.Bout("biceps-curl", 40, 70)) with
        {
            Kind = ClassKind.Demonstration,
            Structures = [new Structure(StructureType.RepSets, Span.Of(10, 70), null, null, null, 3, null, rest is { } r ? new Seconds(r) : null, CountRange.Of(10), false, [])],
        };
        Assert.Equal(needed, Sheet(timeline).Time.Needed.Value);
    }

    [Fact]
    public void Changes_of_tempo_in_the_work_ask_for_skill()
    {
        var timeline = Make.Work(Make.Bout("squat", 0, 300), Make.Bout("plank", 300, 600));
        double Skill(params double[] changes) => Sheet(timeline with { Voice = new Voice(0, 0, []) { TempoChanges = [.. changes.Select(c => new Seconds(c))] } })
            .Difficulty.Parts.Single(p => p.Name == "skill").Value;
        Assert.Equal(0.15 * 2 / 10, Skill(100, 200) - Skill(), 6);
        Assert.Equal(Skill(), Skill(700));
    }

    [Fact]
    public void Ten_seconds_of_a_class_of_impact_count_nine_do_not()
    {
        Assert.Equal(Impact.High, Sheet(Make.Work(Make.Bout("squat", 0, 60), Make.Bout("squat-jump", 60, 70))).Impact.Highest);
        Assert.Equal(Impact.Low, Sheet(Make.Work(Make.Bout("squat", 0, 60), Make.Bout("squat-jump", 60, 69))).Impact.Highest);
    }

    [Fact]
    public void The_prevailing_school_looks_at_nine_tenths_of_the_time()
    {
        var impact = Sheet(Make.Work(Make.Bout("squat", 0, 95), Make.Bout("squat-jump", 95, 105))).Impact;
        Assert.Equal((Impact.High, Impact.Low), (impact.Highest, impact.Prevailing));
        Assert.Equal(10, impact.Jumps.Value);
    }

    [Fact]
    public void Whether_every_jump_has_a_way_out_is_a_fact_of_its_own()
    {
        Assert.True(Sheet(Make.JumpingClass()).Impact.EveryJumpHasAWay);
        Assert.False(Sheet(Make.JumpingClass() with { Options = [] }).Impact.EveryJumpHasAWay);
        Assert.Null(Sheet(Make.QuietClass()).Impact.EveryJumpHasAWay);
    }

    [Fact]
    public void Muscle_load_is_seconds_by_role_by_effort()
    {
        // Squat: 5 MET, factor 1; quads prime, hamstrings helper, deep core stabiliser.
        var bout = PaceLayer.Lay(Make.Work(Make.Bout("squat", 0, 100)), Make.Lexicon, Pace.AsLed)[0];
        Assert.Equal(
            (100.0, 50.0, 25.0, 0.0), (Measure.Load(bout, "quads"), Measure.Load(bout, "hamstrings"), Measure.Load(bout, "deep core"), Measure.Load(bout, "biceps")));
    }

    [Fact]
    public void Stretches_lengthen_and_load_nothing() => Assert.Empty(Sheet(Make.Work(Make.Bout("quad-stretch", 0, 60))).Muscles);

    [Fact]
    public void Shares_sum_to_one_and_lead_with_the_most_worked()
    {
        var muscles = Sheet(Make.JumpingClass()).Muscles;
        Assert.Equal(1, muscles.Sum(m => m.Share), 9);
        Assert.Equal(muscles.Select(m => m.Share).OrderDescending(), muscles.Select(m => m.Share));
        Assert.InRange(Sheet(Make.JumpingClass()).Focus.Length, 1, 5);
    }

    [Fact]
    public void Whole_body_takes_a_fifth_from_each_part()
    {
        Assert.True(Sheet(Make.Work(Make.Bout("squat", 0, 100), Make.Bout("push-up", 100, 220), Make.Bout("dead-bug", 220, 380))).FullBody);
        Assert.False(Sheet(Make.Work(Make.Bout("squat", 0, 100))).FullBody);
    }

    [Fact]
    public void The_effort_curve_rises_slowly_and_falls_more_slowly()
    {
        var effort = Sheet(Make.Work(Make.Bout("squat-jump", 0, 120)) with { Recorded = new Seconds(300) }).Effort;
        Assert.Equal(61, effort.Length);
        double At(double t) => effort.Single(p => p.At.Value == t).Met.Value;
        Assert.True(At(10) < At(60) && At(60) < At(115));
        Assert.True(At(115) < 8);
        Assert.True(At(295) < At(200) && At(295) > Met.Standing.Value);
    }

    [Fact]
    public void Energy_is_a_range_of_a_fifth_to_both_sides()
    {
        var energy = Sheet(Make.Work(Make.Bout("squat", 0, 600))).Energy;

        // 61.25 kcal for ten minutes at 5 MET and 70 kg.
        Assert.Equal(49, energy.Low.Value, 6);
        Assert.Equal(73.5, energy.High.Value, 6);
    }

    [Fact]
    public void Strains_come_with_length_first_moment_and_ways_out()
    {
        var strains = Sheet(Make.JumpingClass()).Strains;
        var knees = strains.Single(s => s.Strain == "knees");
        Assert.Equal((380.0, 200.0, 2), (knees.Length.Value, knees.First.Value, knees.WaysOut));
        Assert.Equal(620, strains.Single(s => s.Strain == "getting to the floor").First.Value);
    }

    [Fact]
    public void Ease_takes_the_option_the_coach_names()
    {
        var eased = PaceLayer.Lay(Make.JumpingClass(), Make.Lexicon, Pace.Eased);
        Assert.Equal(("squat", PaceSource.Recording), (eased[1].Move.Id, eased[1].Source));
        Assert.Equal(("push-up", PaceSource.AsLed), (eased[3].Move.Id, eased[3].Source));
        Assert.Equal(Impact.Low, Sheet(Make.JumpingClass(), Pace.Eased).Impact.Highest);
    }

    [Fact]
    public void An_unnamed_option_falls_back_on_the_lexicon_and_says_so()
    {
        var timeline = Make.Work(Make.Bout("burpee", 0, 40)) with { Options = [Make.Easier("burpee")] };
        var eased = PaceLayer.Lay(timeline, Make.Lexicon, Pace.Eased)[0];
        Assert.Equal((Make.Lexicon["burpee"].Easier, PaceSource.Lexicon), (eased.Move.Id, eased.Source));
    }

    [Fact]
    public void A_so_called_easier_way_that_is_harder_is_not_taken()
    {
        var timeline = Make.Work(Make.Bout("squat", 0, 40)) with { Options = [Make.Easier("squat", "squat-jump"), Make.Harder("squat", "march")] };
        Assert.All(Paces.All, pace => Assert.Equal("squat", PaceLayer.Lay(timeline, Make.Lexicon, pace)[0].Move.Id));
    }

    [Fact]
    public void Difficulty_is_the_weighted_sum_of_its_parts()
    {
        var d = Sheet(Make.JumpingClass()).Difficulty;
        Assert.Equal(1, d.Parts.Sum(p => p.Weight), 9);
        Assert.Equal(d.Score, Math.Round(100 * d.Parts.Sum(p => p.Value * p.Weight), 1));
        Assert.All(d.Parts, p => Assert.InRange(p.Value, 0, 1));
        Assert.All(d.Parts, p => Assert.NotEmpty(p.Reason));
    }

    [Theory]
    [InlineData(0, 1)]
    [InlineData(21.9, 1)]
    [InlineData(22, 2)]
    [InlineData(36, 3)]
    [InlineData(52, 4)]
    [InlineData(68, 5)]
    public void Levels_change_at_their_bounds(double score, int level) => Assert.Equal(level, Difficulties.LevelOf(score));

    [Fact]
    public void Jumping_is_harder_than_lying_down() =>
        Assert.True(Sheet(Make.JumpingClass()).Difficulty.Score > Sheet(Make.Work(Make.Bout("dead-bug", 0, 300))).Difficulty.Score);

    [Fact]
    public void An_empty_timeline_measures_nothing()
    {
        var sheet = Sheet(Timeline.Empty);
        Assert.Equal((Seconds.Zero, 1), (sheet.Time.Class, sheet.Difficulty.Level));
        Assert.Empty(sheet.Muscles);
    }

    private static readonly Gen<Timeline> AnyClass =
        Gen.Select(Gen.Int[0, Make.Lexicon.Moves.Length - 1], Gen.Int[5, 90], Gen.Int[0, 30], Gen.Enum<Side>(), Gen.Bool).Array[1, 25].Select(rows =>
        {
            double at = 0;
            var bouts = new List<Bout>();
            var options = new List<Option>();
            foreach (var (move, length, gap, side, option) in rows)
            {
                var m = Make.Lexicon.Moves[move];
                bouts.Add(Make.Bout(m.Id, at, at + length, side));
                at += length + gap;
                if (option)
                {
                    options.Add(Make.Easier(m.Id, m.Easier));
                    options.Add(Make.Harder(m.Id, m.Harder));
                }
            }

            return Make.Work([.. bouts]) with { Options = [.. options] };
        });

    [Fact]
    public void Ease_is_never_above_as_led_nor_push_below() => AnyClass.Sample(t =>
    {
        var all = Measure.All(t, Make.Lexicon);
        return all.Eased.Impact.Highest <= all.AsLed.Impact.Highest && all.AsLed.Impact.Highest <= all.Pushed.Impact.Highest
            && all.Eased.Energy.High.Value <= all.AsLed.Energy.High.Value + 1e-9 && all.AsLed.Energy.High.Value <= all.Pushed.Energy.High.Value + 1e-9
            && all.Band.Low <= all.AsLed.Difficulty.Level && all.AsLed.Difficulty.Level <= all.Band.High;
    });

    [Fact]
    public void Swapping_left_and_right_changes_no_total() => AnyClass.Sample(t =>
    {
        var swapped = t with { Bouts = [.. t.Bouts.Select(b => b with { Side = b.Side switch { Side.Left => Side.Right, Side.Right => Side.Left, _ => Side.Both } })] };
        var (a, b) = (Sheet(t), Sheet(swapped));
        return a.Time.Left == b.Time.Right && a.Time.Right == b.Time.Left && a.Difficulty.Score == b.Difficulty.Score && a.Muscles.SequenceEqual(b.Muscles);
    });

    [Fact]
    public void The_order_in_which_bouts_are_kept_changes_nothing() => AnyClass.Sample(t =>
    {
        var turned = Sheet(t with { Bouts = [.. t.Bouts.Reverse()] });
        var sheet = Sheet(t);
        return turned.Time == sheet.Time && turned.Difficulty.Score == sheet.Difficulty.Score;
    });

    [Fact]
    public void Another_bout_never_shortens_the_work() => AnyClass.Sample(t =>
    {
        var end = t.Bouts[^1].Span.End.Value;
        var longer = Make.Work([.. t.Bouts, Make.Bout("squat", end, end + 30)]);
        return Sheet(longer).Time.Work >= Sheet(t).Time.Work;
    });
}
