using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.MeasuresTests;

/// <summary>The worked example of docs/measures.md: every number here was done by hand there, from the formulas and the lexicon's entries.</summary>
public sealed class WorkedExampleTests
{
    private static readonly Timeline Small = Make.Timeline(
        [Make.Phase(PhaseKind.WarmUp, 0, 180), Make.Phase(PhaseKind.Work, 180, 430), Make.Phase(PhaseKind.CoolDown, 430, 550)],
        Make.Bout("march", 0, 180),
        Make.Bout("squat", 180, 240),
        Make.Bout("squat-jump", 260, 290),
        Make.Bout("push-up", 310, 370),
        Make.Bout("plank", 370, 430),
        Make.Bout("hamstring-stretch", 430, 550)) with
    { Options = [Make.Easier("squat-jump", "squat")] };

    private static readonly SessionMeasures All = Measure.All(Small, Make.Lexicon);

    private static MeasureSheet Led => All.AsLed;

    [Fact]
    public void Time()
    {
        Assert.Equal((550, 210, 40), (Led.Time.Class.Value, Led.Time.Work.Value, Led.Time.Rest.Value));
        Assert.Equal(0.84, Led.Time.Density, 4);
        Assert.Equal(120, Led.Time.LongestUnbroken.Value);
    }

    [Fact]
    public void Impact_in_both_schools()
    {
        Assert.Equal([120, 360, 0, 30], Led.Impact.PerClass.Select(s => s.Value));
        Assert.Equal((Impact.High, Impact.Low), (Led.Impact.Highest, Led.Impact.Prevailing));
        Assert.Equal(Impact.Low, All.Eased.Impact.Class);
    }

    [Theory]
    [InlineData("glutes", 130.8, 0.1844)]
    [InlineData("quads", 119.4, 0.1684)]
    [InlineData("deep core", 84, 0.1184)]
    [InlineData("chest", 57, 0.0804)]
    [InlineData("abs", 57, 0.0804)]
    [InlineData("hamstrings", 54, 0.0761)]
    [InlineData("obliques", 22.8, 0.0321)]
    public void Muscles(string muscle, double load, double share)
    {
        var found = Led.Muscles.Single(m => m.Muscle == muscle);
        Assert.Equal(load, found.Load, 3);
        Assert.Equal(share, found.Share, 4);
    }

    [Fact]
    public void Focus_and_whole_body()
    {
        Assert.Equal(["glutes", "quads", "deep core", "abs", "chest"], Led.Focus.AsEnumerable());
        Assert.True(Led.FullBody);
    }

    [Fact]
    public void Planes_and_pairs()
    {
        Assert.Equal(60 / 210.0, Led.Balance.Planes["transverse"], 6);
        Assert.Equal(1, Led.Balance.PushPull.Share);
    }

    [Fact]
    public void Energy()
    {
        Assert.Equal(32.8, Led.Energy.Low.Value, 1);
        Assert.Equal(49.2, Led.Energy.High.Value, 1);
    }

    [Fact]
    public void The_first_steps_of_the_effort_curve()
    {
        Assert.Equal(1.563, Led.Effort[0].Met.Value, 3);
        Assert.Equal(1.798, Led.Effort[1].Met.Value, 3);
    }

    [Theory]
    [InlineData("density", 8.80)]
    [InlineData("unbroken work", 3.33)]
    [InlineData("strength", 11.14)]
    [InlineData("impact", 6.43)]
    [InlineData("balance", 0)]
    [InlineData("skill", 0.91)]
    [InlineData("up and down", 1.27)]
    public void Difficulty(string part, double points) => Assert.Equal(points, Led.Difficulty.Parts.Where(p => p.Name == part).Sum(p => 100 * p.Value * p.Weight), 2);

    [Fact]
    public void Place_and_completeness()
    {
        Assert.Equal((FloorSpace.StepEachWay, Noise.Thumping), (Led.Place.Space, Led.Place.Noise));
        Assert.Equal((300, 120, 0), (Led.Completeness.WarmUpWanted.Value, Led.Completeness.WarmUpShort.Value, Led.Completeness.CoolDownShort.Value));
        Assert.True(All.Eased.Completeness.Complete);
    }
}
