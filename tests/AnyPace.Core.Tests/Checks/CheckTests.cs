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

    private static Structure Said(double work, double rest, int? rounds = null, int? moves = null) => new(
        StructureType.Intervals, Span.Of(0, 400), new(work), new(rest), rounds is { } r ? CountRange.Of(r) : null, null, moves, null, null, false, []);

    private static Voice Voice(params Heard[] announced) => new(500, 20, []) { Announced = [.. announced], SignedOff = true };

    private static Slip Slip(SlipKind kind) => new(new(50), kind, "squat", "what was said");

    /// <summary>Rule, a class in which it fires, one like it in which it does not.</summary>
    public static TheoryData<string, Timeline, Timeline> Cases()
    {
        var onBeat = Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 60, 100), Make.Bout("push-up", 120, 160), Make.Bout("plank", 180, 220));
        var shortBouts = Make.Work(Make.Bout("squat", 0, 20), Make.Bout("lunge", 60, 80), Make.Bout("push-up", 120, 140), Make.Bout("plank", 180, 200));
        var hard = Make.Timeline([Make.Phase(PhaseKind.Work, 0, 900)], [.. Enumerable.Range(0, 15).Select(i => Make.Bout(i % 2 == 0 ? "burpee" : "squat-jump", i * 60, (i * 60) + 58))]);
        var demonstration = Quiet with { Kind = ClassKind.Demonstration };
        var weights = Make.Kit("dumbbell");
        Timeline Twice(double last, int rounds = 2) => Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 40, 80), Make.Bout("squat", 80, 120), Make.Bout("lunge", 120, 120 + last)) with
        {
            Structures = [new Structure(StructureType.RepSets, Span.Of(0, 400), null, null, CountRange.Of(rounds), null, null, null, null, false, [])],
        };
        var kneesLong = Make.Work(Make.Bout("squat", 0, 200));
        return new()
        {
            { "lengths-disagree", Quiet with { Stated = Stated.Nothing with { Minutes = [20, 30] } }, Quiet with { Stated = Stated.Nothing with { Minutes = [20, 21] } } },
            { "stated-level", hard with { Stated = Stated.Nothing with { Level = "beginner" } }, Quiet with { Stated = Stated.Nothing with { Level = "beginner" } } },
            { "no-equipment-said", Quiet with { Kit = [Make.Kit("chair")], Stated = Stated.Nothing with { NoKit = new Seconds(5) } }, Quiet with { Stated = Stated.Nothing with { NoKit = new Seconds(5) } } },
            { "no-dose", demonstration, demonstration with { Structures = [Said(40, 20)] } },
            { "intervals-off", shortBouts with { Structures = [Said(40, 20)] }, onBeat with { Structures = [Said(40, 20)] } },
            { "bout-missing", Make.Work(Make.Bout("squat", 0, 40), Make.Bout("plank", 180, 220)) with { Structures = [Said(40, 20)] }, onBeat with { Structures = [Said(40, 20)] } },
            { "bout-extra", Make.Work(Make.Bout("squat", 0, 20), Make.Bout("lunge", 25, 40), Make.Bout("plank", 60, 100)) with { Structures = [Said(40, 20)] }, onBeat with { Structures = [Said(40, 20)] } },
            { "bout-late", Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 72, 110)) with { Structures = [Said(40, 20)] }, onBeat with { Structures = [Said(40, 20)] } },
            { "short-in-a-round", Twice(15), Twice(38) },
            { "rounds-missing", Twice(40, 3), Twice(40) },
            { "announced-not-done", Quiet with { Voice = Voice(new Heard(new(20), "burpee", false)) }, Quiet with { Voice = Voice(new Heard(new(20), "squat", false)) } },
            { "lost-count", Quiet with { Slips = [Slip(SlipKind.LostCount)] }, Quiet },
            { "count-jumps", Quiet with { Slips = [Slip(SlipKind.CountJumps)] }, Quiet },
            { "wrong-move-announced", Quiet with { Slips = [Slip(SlipKind.WrongMove)] }, Quiet },
            { "move-left-out", Quiet with { Slips = [Slip(SlipKind.MoveLeftOut)] }, Quiet },
            { "two-names", Quiet with { Voice = Voice() with { Names = [new("push-up", "push ups", new(5)), new("push-up", "press ups", new(9))] } }, Quiet with { Voice = Voice() } },
            { "overlapping-bouts", Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 30, 70)), Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 39, 70)) },
            { "very-long-bout", Make.Work(Make.Bout("squat", 0, 400)), Make.Work(Make.Bout("squat", 0, 200)) },
            { "short-warm-up", Make.QuietClass(0.5), Quiet },
            { "short-cool-down", Make.QuietClass(0.5), Quiet },
            { "load-not-said", Quiet with { Kit = [weights] }, Quiet with { Kit = [weights with { Load = "light" }] } },
            { "strain-without-caution", kneesLong, kneesLong with { Cautions = [new(new(5), "knees", "knees over toes")] } },
            { "off-topic-stretch", Quiet with { Outside = [new(new(50), "off-topic chat", "my dog", new(90))] }, Quiet with { Outside = [new(new(50), "off-topic chat", "my dog", new(61))] } },
            { "long-silence", Quiet with { Voice = Voice() with { Silences = [Span.Of(300, 360)] } }, Quiet with { Voice = Voice() with { Silences = [Span.Of(1100, 1160)] } } },
            { "noise-after-the-end", Quiet with { Voice = Voice() with { NoiseFrom = new(1200) } }, Quiet with { Voice = Voice() } },
            { "captions-end-early", onBeat with { Voice = Voice() with { SignedOff = false } }, onBeat with { Voice = Voice() } },
        };
    }

    [Theory]
    [MemberData(nameof(Cases), DisableDiscoveryEnumeration = true)]
    public void A_rule_fires_where_it_should_and_nowhere_else(string rule, Timeline fires, Timeline silent)
    {
        Assert.Contains(rule, Findings(fires).Select(f => f.Rule));
        Assert.DoesNotContain(rule, Findings(silent).Select(f => f.Rule));
    }

    [Fact]
    public void Every_rule_is_listed_once_with_its_severity()
    {
        Assert.True(Check.Rules.Length >= 25);
        Assert.Equal(Check.Rules.Length, Check.Rules.Select(r => r.Id).Distinct().Count());
        var fired = Cases().SelectMany(row => Findings((Timeline)row[1])).Concat(Findings(Make.JumpingClass() with { Options = [], Stated = Promise(5, "low"), PartOfSeries = true })).ToList();
        Assert.All(fired, f => Assert.Equal(Check.Rules.Single(r => r.Id == f.Rule).Severity, f.Severity));
    }

    [Fact]
    public void A_finding_keeps_its_fingerprint_until_its_figures_change()
    {
        Finding Uneven(double left) => Findings(Make.Work(Make.Bout("split-squat", 0, 40, Side.Right), Make.Bout("split-squat", 50, left, Side.Left))).Single(f => f.Rule == "uneven-sides");
        Assert.Equal(Uneven(70).Fingerprint, Uneven(70).Fingerprint);
        Assert.NotEqual(Uneven(70).Fingerprint, Uneven(60).Fingerprint);
    }

    [Fact]
    public void Both_sides_of_a_move_are_one_time_in_a_round()
    {
        var rounds = Make.Work(
            Make.Bout("squat", 0, 30), Make.Bout("clamshell", 40, 70, Side.Right), Make.Bout("clamshell", 80, 110, Side.Left), Make.Bout("plank", 120, 150),
            Make.Bout("squat", 160, 190), Make.Bout("clamshell", 200, 230, Side.Right), Make.Bout("clamshell", 240, 270, Side.Left), Make.Bout("plank", 280, 310));
        Assert.False(Fires("move-missing-in-a-round", rounds with { Structures = [Said(30, 10, 2)] }));
    }

    [Fact]
    public void Findings_run_with_the_clock_the_whole_first()
    {
        var at = Findings(Make.JumpingClass() with { Options = [], Stated = Promise(5) }).Select(f => f.At?.Value ?? -1).ToList();
        Assert.Equal(at.Order(), at);
    }
}
