using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.SessionsTests;

public sealed class TimelineEditTests
{
    private static readonly Timeline Class = Make.QuietClass();

    [Fact]
    public void A_corrected_bout_is_confirmed_and_keeps_its_place_in_time()
    {
        var id = Class.Bouts[1].Id;
        var after = TimelineEdit.CorrectBout(Class, id, "sumo-squat", Span.Of(300, 580), Side.Both, new CountRange(12, 15));
        var bout = after.Bouts.Single(b => b.Id == id);
        Assert.Equal(("sumo-squat", 300.0, 580.0, 1.0), (bout.MoveId, bout.Span.Start.Value, bout.Span.End.Value, bout.Confidence));
        Assert.Equal("12 to 15", bout.Reps.ToString());
        Assert.Equal("squat", Class.Bouts[1].MoveId);
    }

    [Fact]
    public void Bouts_stay_in_the_order_of_the_clock()
    {
        var after = TimelineEdit.AddBout(Class, "plank", Span.Of(600, 615), Side.Both, null);
        Assert.Equal(after.Bouts.Select(b => b.Span.Start.Value).Order(), after.Bouts.Select(b => b.Span.Start.Value));
        Assert.Equal(Class.Bouts.Length + 1, after.Bouts.Select(b => b.Id).Distinct().Count());
    }

    [Fact]
    public void A_bout_can_be_taken_away_and_confirmed()
    {
        var doubtful = Class with { Bouts = Class.Bouts.SetItem(0, Class.Bouts[0] with { Confidence = 0.3 }) };
        Assert.True(doubtful.Bouts[0].Doubtful);
        Assert.False(TimelineEdit.ConfirmBout(doubtful, doubtful.Bouts[0].Id).Bouts[0].Doubtful);
        Assert.DoesNotContain(TimelineEdit.RemoveBout(Class, Class.Bouts[0].Id).Bouts, b => b.Id == Class.Bouts[0].Id);
    }

    [Fact]
    public void A_bout_of_another_move_is_sure_and_asks_no_more()
    {
        var id = Class.Bouts[1].Id;
        var doubtful = Class with { Bouts = Class.Bouts.SetItem(1, Class.Bouts[1] with { Confidence = 0.4, Doubts = [new Doubt(DoubtKind.NeverNamed)], Instead = ["lunge"] }) };
        foreach (var after in new[] { TimelineEdit.RenameBout(doubtful, id, "lunge"), TimelineEdit.ConfirmBout(doubtful, id), TimelineEdit.CorrectBout(doubtful, id, "lunge", Span.Of(300, 580), Side.Both, null) })
        {
            var bout = after.Bouts.Single(b => b.Id == id);
            Assert.True(bout is { Confidence: 1, Doubts.IsEmpty: true, Instead.IsEmpty: true });
        }

        var renamed = TimelineEdit.RenameBout(doubtful, id, "lunge").Bouts.Single(b => b.Id == id);
        Assert.Equal(("lunge", Class.Bouts[1].Span, Class.Bouts[1].Side), (renamed.MoveId, renamed.Span, renamed.Side));
    }

    [Fact]
    public void Likewise_are_the_other_doubtful_bouts_of_the_move()
    {
        var bouts = new[] { ("a", "squat", 0.3), ("b", "squat", 0.4), ("c", "squat", 0.9), ("d", "lunge", 0.3), ("e", "squat", 1) };
        var timeline = Class with { Bouts = [.. bouts.Select((b, i) => Bout.Confirmed(b.Item1, b.Item2, Span.Of(60 * i, (60 * i) + 50)) with { Confidence = b.Item3 })] };
        Assert.Equal(["b"], TimelineEdit.Likewise(timeline, "a").Select(b => b.Id));
        Assert.Equal(["a", "b"], TimelineEdit.Likewise(timeline, "c").Select(b => b.Id));
        Assert.Empty(TimelineEdit.Likewise(timeline, "d"));
    }

    [Theory]
    [InlineData(1300, 1400, "start")]
    [InlineData(1100, 1300, "end")]
    [InlineData(600, 500, "end")]
    [InlineData(600, 601, "end")]
    public void Edges_that_can_not_stand_are_named(double start, double end, string field)
    {
        var e = Assert.Throws<TimelineEditException>(() => TimelineEdit.AddBout(Class, "plank", Span.Of(start, end), Side.Both, null));
        Assert.Equal(field, e.Field);
    }

    [Theory]
    [InlineData(0, 5)]
    [InlineData(12, 10)]
    [InlineData(1, 900)]
    public void Repetitions_out_of_range_are_refused(int low, int high) =>
        Assert.Equal("reps", Assert.Throws<TimelineEditException>(
            () => TimelineEdit.AddBout(Class, "plank", Span.Of(600, 610), Side.Both, new CountRange(low, high))).Field);

    [Fact]
    public void A_bout_that_is_gone_is_said_so() =>
        Assert.Contains("no longer", Assert.Throws<TimelineEditException>(() => TimelineEdit.RemoveBout(Class, "b99")).Message);

    [Fact]
    public void Moving_a_phase_edge_moves_both_phases()
    {
        var after = TimelineEdit.MovePhaseEdge(Class, 0, new Seconds(300));
        Assert.Equal((300.0, 300.0), (after.Phases[0].Span.End.Value, after.Phases[1].Span.Start.Value));
        Assert.Equal(PhaseKind.WarmUp, after.PhaseAt(new Seconds(290)));
    }

    [Theory]
    [InlineData(0, 0)]
    [InlineData(0, 1020)]
    [InlineData(2, 1100)]
    [InlineData(-1, 10)]
    public void An_edge_never_swallows_a_phase(int index, double at) =>
        Assert.Equal("edge", Assert.Throws<TimelineEditException>(() => TimelineEdit.MovePhaseEdge(Class, index, new Seconds(at))).Field);

    [Fact]
    public void Differences_are_told_in_words()
    {
        var changed = TimelineEdit.CorrectBout(Class, Class.Bouts[1].Id, "sumo-squat", Class.Bouts[1].Span, Side.Both, null);
        changed = TimelineEdit.RemoveBout(changed, Class.Bouts[3].Id);
        changed = TimelineEdit.AddBout(changed, "plank", Span.Of(601, 615), Side.Both, null);
        changed = TimelineEdit.MovePhaseEdge(changed, 0, new Seconds(250));
        var lines = TimelineDifference.Lines(Class, changed, id => Make.Lexicon[id].Name);
        Assert.Equal(4, lines.Count);
        Assert.Contains(lines, l => l.StartsWith("phases:", StringComparison.Ordinal));
        Assert.Contains("Squat 4:00 to 10:00 became Sumo squat 4:00 to 10:00", lines);
        Assert.Contains("added Plank 10:01 to 10:15", lines);
        Assert.Contains("removed Hamstring stretch 17:00 to 20:00", lines);
        Assert.Empty(TimelineDifference.Lines(Class, Class, id => id));
    }

    [Fact]
    public void A_bout_outside_every_phase_counts_as_work()
    {
        var timeline = Make.Timeline([Make.Phase(PhaseKind.Talk, 0, 100)], Make.Bout("squat", 10, 60));
        Assert.Equal(PhaseKind.Work, timeline.PhaseOf(timeline.Bouts[0]));
    }

    [Fact]
    public void Kit_is_put_with_its_evidence_kept_and_told_in_words()
    {
        var said = Class with { Kit = [Make.Kit("mat", KitNeed.Optional) with { FirstNeeded = new Seconds(40) }] };
        var after = TimelineEdit.PutKit(TimelineEdit.PutKit(said, " Mat ", KitNeed.Required, null, "", null), "dumbbell", KitNeed.Required, 2, "8 kg", "ignored");
        Assert.Equal([("mat", KitNeed.Required), ("dumbbell", KitNeed.Required)], after.Kit.Select(k => (k.Item, k.Need)));
        Assert.Equal(new Seconds(40), after.Kit[0].FirstNeeded);
        Assert.Null(after.Kit[1].For);
        Assert.Equal(["kit: mat, optional became mat, required", "kit: added dumbbell × 2, required, 8 kg"], TimelineDifference.Lines(said, after, id => id));
    }

    [Fact]
    public void What_stood_in_for_a_removed_item_goes_with_it()
    {
        var both = Class with { Kit = [Make.Kit("bench"), Make.Kit("chair", KitNeed.Substitute, "bench"), Make.Kit("mat")] };
        Assert.Equal(["mat"], TimelineEdit.RemoveKit(both, "bench").Kit.Select(k => k.Item));
        Assert.Equal("item", Assert.Throws<TimelineEditException>(() => TimelineEdit.RemoveKit(both, "step")).Field);
    }

    [Theory]
    [InlineData("", KitNeed.Required, null, null, null, "item")]
    [InlineData("mat", KitNeed.Required, 0, null, null, "count")]
    [InlineData("mat", KitNeed.Required, 51, null, null, "count")]
    [InlineData("dumbbell", KitNeed.Required, 1, "a load that nobody would ever write down in full here", null, "load")]
    [InlineData("chair", KitNeed.Substitute, null, null, null, "instead")]
    [InlineData("chair", KitNeed.Substitute, null, null, "bench", "instead")]
    [InlineData("mat", KitNeed.Substitute, null, null, "mat", "instead")]
    public void Kit_that_can_not_stand_says_which_part(string item, KitNeed need, int? count, string? load, string? instead, string field) =>
        Assert.Equal(field, Assert.Throws<TimelineEditException>(() => TimelineEdit.PutKit(Class with { Kit = [Make.Kit("mat")] }, item, need, count, load, instead)).Field);

    private static readonly Timeline Talked = Class with
    {
        Claims = [new Claim(new Seconds(30.4), "calories", 400, "that's 400 calories")],
        Outside = [new Outside(new Seconds(40), "off-topic chat", "my dog came in", new Seconds(70))],
        Cautions = [new Caution(new Seconds(20), "knees", "mind your knees")],
        Options = [new Option(new Seconds(25), OptionDirection.Easier, "squat", "march", "or just march")],
    };

    private static string Key(Timeline timeline, RemarkKind kind) => Remark.Of(timeline).First(r => r.Kind == kind).Key;

    [Fact]
    public void Remarks_of_all_lists_are_told_in_the_order_they_are_said() =>
        Assert.Equal(
            [(RemarkKind.Caution, "knees"), (RemarkKind.Option, "easier"), (RemarkKind.Promise, "calories"), (RemarkKind.Aside, "off-topic chat")],
            Remark.Of(Talked).Select(r => (r.Kind, r.Type)));

    [Theory]
    [InlineData(RemarkKind.Promise)]
    [InlineData(RemarkKind.Aside)]
    [InlineData(RemarkKind.Caution)]
    [InlineData(RemarkKind.Option)]
    public void A_remark_is_removed_and_no_other(RemarkKind kind)
    {
        var after = TimelineEdit.RemoveRemark(Talked, Key(Talked, kind));
        Assert.Equal(Remark.Of(Talked).Where(r => r.Kind != kind), Remark.Of(after));
        Assert.Equal("remark", Assert.Throws<TimelineEditException>(() => TimelineEdit.RemoveRemark(after, Key(Talked, kind))).Field);
    }

    [Fact]
    public void A_remark_is_changed_within_its_kind_with_all_that_is_known_of_it_kept()
    {
        var promise = Assert.Single(TimelineEdit.PutRemark(Talked, Key(Talked, RemarkKind.Promise), new Remark(RemarkKind.Promise, "fat burning", new Seconds(31), "melt that fat")).Claims);
        Assert.Equal(("fat burning", new Seconds(31), 400), (promise.Type, promise.At, promise.Figure));
        Assert.Equal(new Seconds(70), Assert.Single(TimelineEdit.PutRemark(Talked, Key(Talked, RemarkKind.Aside), new Remark(RemarkKind.Aside, "other person", new Seconds(40), "my dog")).Outside).Until);
        Assert.Null(Assert.Single(TimelineEdit.PutRemark(Talked, Key(Talked, RemarkKind.Aside), new Remark(RemarkKind.Aside, "other person", new Seconds(75), "my dog")).Outside).Until);
        var option = Assert.Single(TimelineEdit.PutRemark(Talked, Key(Talked, RemarkKind.Option), new Remark(RemarkKind.Option, "harder", new Seconds(26), "or jump")).Options);
        Assert.Equal((OptionDirection.Harder, "squat", "march", "or jump"), (option.Direction, option.MoveId, option.Instead, option.Text));
    }

    [Fact]
    public void A_remark_taken_for_another_kind_changes_lists()
    {
        var after = TimelineEdit.PutRemark(Talked, Key(Talked, RemarkKind.Promise), new Remark(RemarkKind.Caution, "medical", new Seconds(30), "see a doctor"));
        Assert.Empty(after.Claims);
        Assert.Equal(["knees", "medical"], after.Cautions.Select(c => c.Topic));
        Assert.Contains(TimelineDifference.Lines(Talked, after, id => id), l => l == "removed promise, calories, at 0:30: \"that's 400 calories\"");
        Assert.Contains(TimelineDifference.Lines(Talked, after, id => id), l => l == "added caution, medical, at 0:30: \"see a doctor\"");
    }

    [Fact]
    public void An_option_that_is_added_is_of_the_move_under_way()
    {
        var bout = Class.Bouts[0];
        var after = TimelineEdit.PutRemark(Class, null, new Remark(RemarkKind.Option, "easier", bout.Span.Start + new Seconds(1), "hold the wall"));
        Assert.Equal(bout.MoveId, Assert.Single(after.Options).MoveId);
    }

    [Theory]
    [InlineData(RemarkKind.Promise, "knees", 10, "said", "type")]
    [InlineData(RemarkKind.Caution, "knees", -1, "said", "at")]
    [InlineData(RemarkKind.Caution, "knees", 99999, "said", "at")]
    [InlineData(RemarkKind.Caution, "knees", 10, "", "text")]
    [InlineData(RemarkKind.Caution, "knees", 20, "said", "at")]
    public void A_remark_that_can_not_stand_says_which_part(RemarkKind kind, string type, double at, string text, string field) =>
        Assert.Equal(field, Assert.Throws<TimelineEditException>(() => TimelineEdit.PutRemark(Talked, null, new Remark(kind, type, new Seconds(at), text))).Field);

    private static Bout Proposed(string move, double start, double end) => Make.Bout(move, start, end) with { Confidence = 0.8 };

    [Fact]
    public void Read_again_confirmed_bouts_stay_and_the_others_are_those_of_the_reading()
    {
        var before = Make.Work(Make.Bout("squat", 100, 200), Proposed("plank", 220, 260), Proposed("march", 300, 340));
        var reading = Make.Work(Proposed("sumo-squat", 60, 190), Proposed("push-up", 190, 260), Proposed("lunge", 300, 340));
        var after = TimelineEdit.ReadAgain(before, reading);
        Assert.Equal([("squat", 100, 200), ("push-up", 200, 260), ("lunge", 300, 340)], after.Bouts.Select(b => (b.MoveId, b.Span.Start.Value, b.Span.End.Value)));
        Assert.Equal([1, 0.8, 0.8], after.Bouts.Select(b => b.Confidence));
        Assert.Equal(3, after.Bouts.Select(b => b.Id).Distinct().Count());
    }

    [Fact]
    public void Read_again_only_bouts_change()
    {
        var reading = Make.JumpingClass() with { Bouts = [Proposed("burpee", 300, 340)] };
        var after = TimelineEdit.ReadAgain(Class with { Bouts = [Proposed("squat", 240, 600)] }, reading);
        Assert.Equal(Class with { Bouts = [] }, after with { Bouts = [] });
        Assert.Equal("burpee", Assert.Single(after.Bouts).MoveId);
    }

    [Fact]
    public void Read_again_with_nothing_new_says_so()
    {
        var before = Make.Work(Make.Bout("squat", 100, 200), Proposed("plank", 220, 260));
        var wrong = Assert.Throws<TimelineEditException>(() => TimelineEdit.ReadAgain(before, Make.Work(Proposed("plank", 220, 260))));
        Assert.Equal("again", wrong.Field);
    }
}
