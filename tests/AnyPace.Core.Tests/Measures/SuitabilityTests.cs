using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.MeasuresTests;

/// <summary>Balance, place, kit fit, completeness, by ear, and the schools.</summary>
public sealed class SuitabilityTests
{
    private static MeasureSheet Sheet(Timeline timeline, MeasureSettings? settings = null, Pace pace = Pace.AsLed) => Measure.All(timeline, Make.Lexicon, settings).At(pace);

    [Fact]
    public void Push_and_pull_are_held_against_each_other()
    {
        var balance = Sheet(Make.Work(Make.Bout("push-up", 0, 60), Make.Bout("bent-over-row", 60, 90))).Balance;
        Assert.Equal((60, 30), (balance.PushPull.FirstAmount, balance.PushPull.SecondAmount));
        Assert.Equal(2 / 3.0, balance.PushPull.Share!.Value, 6);
        Assert.Null(balance.KneeHip.Share);
    }

    [Fact]
    public void Turning_is_a_plane_of_its_own()
    {
        var planes = Sheet(Make.Work(Make.Bout("russian-twist", 0, 30), Make.Bout("squat", 30, 60))).Balance.Planes;
        Assert.Equal((0.5, 0.5), (planes["transverse"], planes["sagittal"]));
    }

    [Fact]
    public void Jumps_thump_and_a_bridge_does_not()
    {
        Assert.Equal(Noise.Thumping, Sheet(Make.Work(Make.Bout("squat-jump", 0, 30))).Place.Noise);
        Assert.Equal(Noise.Light, Sheet(Make.Work(Make.Bout("jumping-jack", 0, 30))).Place.Noise);
        Assert.Equal(Noise.Quiet, Sheet(Make.Work(Make.Bout("glute-bridge", 0, 30))).Place.Noise);
    }

    [Fact]
    public void The_widest_move_decides_the_floor()
    {
        var place = Sheet(Make.Work(Make.Bout("squat", 0, 30), Make.Bout("walking-lunge", 40, 70))).Place;
        Assert.Equal((FloorSpace.Travel, "walking-lunge"), (place.Space, place.SpaceBy!.MoveId));
        Assert.Equal(FloorSpace.Mat, Sheet(Make.Work(Make.Bout("plank", 0, 30))).Place.Space);
    }

    [Fact]
    public void A_required_chair_must_be_there() =>
        Assert.Equal("chair", Sheet(Make.Work(Make.Bout("squat", 0, 30)) with { Kit = [Make.Kit("chair")] }).Place.Support);

    [Fact]
    public void Kit_at_hand_stood_in_for_or_gone_without()
    {
        // 60 s goblet squats with a kettlebell, 40 s presses with dumbbells, 100 s squats.
        var timeline = Make.Work(Make.Bout("goblet-squat", 0, 60), Make.Bout("overhead-press", 60, 100), Make.Bout("squat", 100, 200));
        var needs = Make.Lexicon["goblet-squat"].Kit[0];
        var presses = Make.Lexicon["overhead-press"].Kit[0];
        var classes = timeline with { Kit = [Make.Kit(needs), .. needs == presses ? [] : new[] { Make.Kit(presses) }, Make.Kit("water bottle", KitNeed.Substitute, presses)] };
        Assert.Equal(1, KitFit.Of(classes, Make.Lexicon, Make.Set(needs, presses)).AsLed);
        var bottles = KitFit.Of(classes, Make.Lexicon, Make.Set("water bottle"));
        Assert.True(bottles.WithSubstitute >= 0.2 && bottles.AsLed == 0.5);
        var bare = KitFit.Of(classes, Make.Lexicon, Make.Set());
        Assert.Equal(0.5, bare.NotAtAll, 6);
        Assert.Contains(presses, bare.Missing);
        var eased = classes with { Options = [Make.Easier("overhead-press") with { Text = "do it without the weights" }, Make.Easier("goblet-squat", "squat")] };
        Assert.Equal(0.5, KitFit.Of(eased, Make.Lexicon, Make.Set()).WithOption, 6);
    }

    [Fact]
    public void A_hard_class_wants_a_longer_warm_up()
    {
        Assert.True(Sheet(Make.QuietClass()).Completeness.Complete);
        var hard = Sheet(Make.JumpingClass()).Completeness;
        Assert.Equal((300, 100), (hard.WarmUpWanted.Value, hard.WarmUpShort.Value));
        Assert.Contains("1:40 of warm-up", hard.Lacks);
    }

    [Fact]
    public void By_ear_means_named_in_time_and_ended_aloud()
    {
        var timeline = Make.Work(Make.Bout("squat", 10, 50), Make.Bout("lunge", 70, 110), Make.Bout("plank", 130, 170)) with
        {
            Voice = new Voice(600, 12,
            [
                new(new(8), "squat", false), new(new(50), null, true), new(new(68), "lunge", false), new(new(90), null, false), new(new(150), "plank", false), new(new(170), null, true),
            ]),
        };
        var coaching = Measure.All(timeline, Make.Lexicon).Coaching;
        Assert.Equal(2 / 3.0, coaching.ByEar!.Value, 6);
        Assert.Equal("plank", Assert.Single(coaching.Unheard).MoveId);
        Assert.Equal((600 / timeline.Recorded.Minutes, 12 / timeline.Recorded.Minutes), (coaching.WordsPerMinute, coaching.FormCuesPerMinute));
    }

    [Fact]
    public void Talk_beside_the_class_is_counted_once()
    {
        var timeline = Make.QuietClass() with { Outside = [new(new(10), "off-topic chat", "a", new(40)), new(new(30), "other person", "b", new(50)), new(new(90), "advert", "c")] };
        Assert.Equal(40, Measure.All(timeline, Make.Lexicon).Coaching.OffTopic.Value);
    }

    [Fact]
    public void The_school_decides_the_impact_class()
    {
        var mostlyQuiet = Make.Work(Make.Bout("squat-jump", 0, 15), Make.Bout("squat", 15, 600));
        Assert.Equal(Lexicon.Impact.High, Sheet(mostlyQuiet).Impact.Class);
        Assert.Equal(Lexicon.Impact.Low, Sheet(mostlyQuiet, MeasureSettings.Usual with { Impact = ImpactSchool.Prevailing }).Impact.Class);
    }

    [Fact]
    public void The_whole_class_is_easier_than_its_hardest_five_minutes()
    {
        var timeline = Make.Timeline(
            [Make.Phase(PhaseKind.Work, 0, 1500)], Make.Bout("glute-bridge", 0, 600), Make.Bout("burpee", 620, 900), Make.Bout("glute-bridge", 920, 1500));
        var (hardest, whole) = (Sheet(timeline).Difficulty, Sheet(timeline, MeasureSettings.Usual with { Level = LevelSchool.WholeClass }).Difficulty);
        Assert.True(whole.Score < hardest.Score);
        Assert.Equal((hardest.Other, whole.Other), (whole.Score, hardest.Score));
    }

    [Fact]
    public void Neighbours_ease_every_bout_only_where_the_studio_allows_it()
    {
        var timeline = Make.Work(Make.Bout("squat-jump", 0, 60));
        Assert.Equal(Lexicon.Impact.High, Sheet(timeline, null, Pace.Eased).Impact.Class);
        Assert.True(Sheet(timeline, MeasureSettings.Usual with { Neighbours = Neighbours.Always }, Pace.Eased).Impact.Class < Lexicon.Impact.High);
    }

    [Fact]
    public void Weights_are_shares_of_their_sum()
    {
        var doubled = MeasureSettings.Usual with { Weights = new(0.5, 0.2, 0.2, 0.4, 0.2, 0.16, 0.2, 0.14) };
        Assert.Equal(Sheet(Make.JumpingClass()).Difficulty.Score, Sheet(Make.JumpingClass(), doubled).Difficulty.Score);
        Assert.False((DifficultyWeights.Usual with { Effort = -0.1 }).Hold);
        Assert.False(new DifficultyWeights(0, 0, 0, 0, 0, 0, 0, 0).Hold);
    }
}
