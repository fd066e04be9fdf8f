using AnyPace.Core.Checks;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ChecksTests;

using Finding = AnyPace.Core.Checks.Finding;

/// <summary>Each rule with a case in which it fires and one in which it does not.</summary>
public sealed class CheckTests
{
    private static IReadOnlyList<Finding> Findings(Timeline timeline) => Check.All(timeline, Make.Lexicon, Measure.All(timeline, Make.Lexicon));

    private static bool Fires(string rule, Timeline timeline) => Findings(timeline).Any(f => f.Rule == rule);

    private static Timeline Quiet => Make.QuietClass();

    private static Stated Promise(double minutes, string? impact = null) => Stated.Nothing with { Minutes = [minutes], Impact = impact };

    [Fact]
    public void Every_finding_says_what_to_do()
    {
        var timeline = Make.JumpingClass() with
        {
            Options = [],
            Stated = Promise(5, "low"),
            PartOfSeries = true,
            Claims = [new(new Seconds(3), "calories", 400, "burns 400 calories")],
            Outside = [new(new Seconds(4), "advert", "use the code")],
        };
        Assert.True(Findings(timeline).Count >= 5);
        Assert.All(Findings(timeline), f => Assert.True(f.Message.Length > 10 && f.Do.Length > 10));
    }

    [Fact]
    public void Promised_length()
    {
        Assert.False(Fires("stated-length", Quiet with { Stated = Promise(20) }));
        Assert.False(Fires("stated-length", Quiet with { Stated = Promise(21) }));
        Assert.True(Fires("stated-length", Quiet with { Stated = Promise(15) }));
    }

    [Fact]
    public void Low_impact_said()
    {
        Assert.True(Fires("stated-impact", Make.JumpingClass() with { Stated = Promise(15, "low") }));
        Assert.False(Fires("stated-impact", Quiet with { Stated = Promise(20, "low") }));
    }

    [Fact]
    public void Uneven_sides()
    {
        Assert.True(Fires("uneven-sides", Make.Work(Make.Bout("split-squat", 0, 40, Side.Right), Make.Bout("split-squat", 50, 70, Side.Left))));
        Assert.False(Fires("uneven-sides", Make.Work(Make.Bout("split-squat", 0, 40, Side.Right), Make.Bout("split-squat", 50, 88, Side.Left))));
        Assert.Contains("Left side of split squat is 0:20 shorter", Findings(Make.Work(Make.Bout("split-squat", 0, 40, Side.Right), Make.Bout("split-squat", 50, 70, Side.Left)))
            .Single(f => f.Rule == "uneven-sides").Message);
    }

    [Fact]
    public void Jumps_before_any_warm_up()
    {
        var cold = Make.Work(Make.Bout("squat-jump", 0, 40), Make.Bout("squat", 50, 90));
        Assert.True(Fires("jumps-before-warm-up", cold));
        Assert.False(Fires("no-warm-up", cold));
        Assert.False(Fires("jumps-before-warm-up", Make.JumpingClass()));
    }

    [Fact]
    public void Missing_warm_up_and_cool_down()
    {
        var bare = Make.Work(Make.Bout("squat", 0, 40));
        Assert.True(Fires("no-warm-up", bare) && Fires("no-cool-down", bare));
        Assert.False(Fires("no-warm-up", Quiet) || Fires("no-cool-down", Quiet));
        Assert.False(Fires("no-cool-down", bare with { PartOfSeries = true }));
    }

    [Fact]
    public void Kit_said_when_it_is_already_needed()
    {
        KitItem Chair(double said) => new("chair", KitNeed.Required, 1, null, null, new Seconds(500), [new Evidence(new Seconds(said), "grab a chair")]);
        Assert.True(Fires("kit-said-late", Quiet with { Kit = [Chair(498)] }));
        Assert.False(Fires("kit-said-late", Quiet with { Kit = [Chair(10)] }));
    }

    [Fact]
    public void Floor_work_without_a_mat()
    {
        Assert.True(Fires("floor-without-mat", Quiet with { Kit = [] }));
        Assert.False(Fires("floor-without-mat", Quiet));
    }

    [Fact]
    public void A_move_missing_in_a_round()
    {
        var rounds = Make.Work(
            Make.Bout("squat", 0, 30), Make.Bout("push-up", 40, 70), Make.Bout("plank", 80, 110), Make.Bout("squat", 150, 180), Make.Bout("push-up", 190, 220));
        var structure = new Structure(StructureType.Intervals, Span.Of(0, 220), null, null, CountRange.Of(2), null, null, null, null, false, []);
        var finding = Assert.Single(Findings(rounds with { Structures = [structure] }), f => f.Rule == "move-missing-in-a-round");
        Assert.Contains("Plank is done once, the other moves twice", finding.Message);
        var whole = Make.Work([.. rounds.Bouts, Make.Bout("plank", 230, 260)]);
        Assert.False(Fires("move-missing-in-a-round", whole with { Structures = [structure] }));
    }

    [Fact]
    public void Promises_and_body_talk()
    {
        Assert.True(Fires("promise", Quiet with { Claims = [new(new Seconds(9), "weight loss", null, "lose weight")] }));
        Assert.True(Fires("body-talk", Quiet with { Claims = [new(new Seconds(9), "body shaming", null, "flabby")] }));
        Assert.False(Fires("promise", Quiet));
    }

    [Fact]
    public void Outside_mentions_of_brands_but_not_of_the_weather()
    {
        Assert.True(Fires("outside-mention", Quiet with { Outside = [new(new Seconds(9), "advert", "use the code")] }));
        Assert.False(Fires("outside-mention", Quiet with { Outside = [new(new Seconds(9), "off-topic chat", "raining again")] }));
    }

    [Fact]
    public void A_high_impact_move_without_a_way_out()
    {
        Assert.False(Fires("high-impact-without-a-way-out", Make.JumpingClass()));
        Assert.True(Fires("high-impact-without-a-way-out", Make.JumpingClass() with { Options = [] }));
    }

    [Fact]
    public void Part_of_a_series()
    {
        Assert.True(Fires("part-of-series", Quiet with { PartOfSeries = true }));
        Assert.False(Fires("part-of-series", Quiet));
    }

    [Fact]
    public void Findings_run_with_the_clock_the_whole_first()
    {
        var at = Findings(Make.JumpingClass() with { Options = [], Stated = Promise(5) }).Select(f => f.At?.Value ?? -1).ToList();
        Assert.Equal(at.Order(), at);
    }
}
