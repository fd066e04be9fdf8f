using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.MatchingTests;

public sealed class MatcherTests
{
    private static readonly DateTimeOffset Now = new(2026, 11, 25, 18, 0, 0, TimeSpan.Zero);
    private static readonly CatalogueEntry Quiet = Make.Entry("Quiet Morning", Make.QuietClass());
    private static readonly CatalogueEntry Jumping = Make.Entry("Up and Over", Make.JumpingClass(), "Bram Castellow");
    private static readonly CatalogueEntry Loaded = Make.Entry("Carry On", Make.QuietClass() with { Kit = [Make.Kit("dumbbell")] });
    private static readonly CatalogueSnapshot Library = Make.Library(Quiet, Jumping, Loaded);

    private static MemberProfile Who(int? minutes = null, Impact? impact = null, int? level = null, string? goal = null, string[]? kit = null, string[]? spare = null) => new()
    {
        Minutes = minutes,
        MaxImpact = impact,
        Level = level,
        Goals = goal is null ? [] : [goal],
        Kit = Make.Set(kit ?? ["mat"]),
        Spare = Make.Set(spare ?? []),
    };

    private static Wishes Want(MemberProfile profile, Signals? signals = null, CatalogueSnapshot? library = null, params DoneSession[] log) =>
        Wishes.Of(profile, log, signals ?? Signals.None, library ?? Library, Now);

    private static string[] Titles(MemberProfile profile, Signals? signals = null) => [.. Matcher.Suggest(Library, Want(profile, signals)).Select(s => s.Session.Title)];

    private static DoneSession Done(CatalogueEntry session, double daysAgo, int? effort = null, Pace pace = Pace.AsLed) => new(session.Id, Now.AddDays(-daysAgo), pace, effort, false);

    [Fact]
    public void Kit_that_is_not_there_rules_a_session_out()
    {
        Assert.DoesNotContain("Carry On", Titles(Who()));
        Assert.Contains("Carry On", Titles(Who(kit: ["dumbbell"])));
    }

    [Fact]
    public void A_limit_on_impact_leads_to_the_eased_way()
    {
        var suggestion = Matcher.Suggest(Library, Want(Who(impact: Impact.Low))).Single(s => s.Session.Title == "Up and Over");
        Assert.Equal(Pace.Eased, suggestion.Pace);
        var hard = Make.Library(Make.Entry("No way", Make.JumpingClass() with { Options = [] }));
        Assert.Empty(Matcher.Suggest(hard, Want(Who(impact: Impact.Low), library: hard)));
    }

    [Fact]
    public void Time_is_kept_within_two_minutes()
    {
        Assert.Contains("Quiet Morning", Titles(Who(minutes: 18)));
        Assert.DoesNotContain("Quiet Morning", Titles(Who(minutes: 17)));
    }

    [Fact]
    public void A_strain_to_spare_and_noise_are_hard_limits()
    {
        Assert.DoesNotContain("Quiet Morning", Titles(Who(spare: ["knees"])));
        Assert.DoesNotContain(Matcher.Suggest(Library, Want(Who() with { MaxNoise = Noise.Quiet })), s => s.Session.Title == "Up and Over" && s.Pace != Pace.Eased);
    }

    [Fact]
    public void Not_today_is_kept_and_more_like_this_lifts_its_kind()
    {
        Assert.DoesNotContain("Quiet Morning", Titles(Who(), Signals.None with { NotToday = [Quiet.Id] }));
        float Fit(Signals signals) => Matcher.FitAt(Library.Row(Loaded.Id)!.Value, Want(Who(kit: ["dumbbell"]), signals), Pace.AsLed);
        Assert.True(Fit(Signals.None with { MoreLike = [Quiet.Id] }) > Fit(Signals.None));
    }

    [Fact]
    public void Reasons_speak_for_and_against()
    {
        var s = Matcher.Suggest(Library, Want(Who(minutes: 20, level: 5, spare: ["wrists"]))).Single(x => x.Session.Title == "Quiet Morning");
        Assert.Contains(s.For, r => r.Contains("20:00 of your 20", StringComparison.Ordinal));
        Assert.Contains(s.For, r => r == "spares the wrists");
        Assert.Contains(s.Against, r => r.Contains("below yours", StringComparison.Ordinal));
    }

    [Fact]
    public void Limits_broken_are_named()
    {
        var breaks = Limits.Breaks(Library.Row(Jumping.Id)!.Value, Want(Who(minutes: 5, impact: Impact.None) with { MaxNoise = Noise.Quiet, MaxSpace = FloorSpace.Mat }), Pace.AsLed);
        Assert.Contains(breaks, b => b.StartsWith("jumps", StringComparison.Ordinal));
        Assert.Contains(breaks, b => b.StartsWith("needs 15:00", StringComparison.Ordinal));
        Assert.Contains(breaks, b => b.StartsWith("louder", StringComparison.Ordinal));
        Assert.Empty(Limits.Breaks(Library.Row(Quiet.Id)!.Value, Want(Who()), Pace.AsLed));
    }

    [Fact]
    public void Why_not_says_the_limits_or_the_place()
    {
        var no = Matcher.Stand(Library, Want(Who(minutes: 5)), Library.Row(Quiet.Id)!.Value);
        Assert.Null(no.Place);
        Assert.Single(no.Breaks);
        var yes = Matcher.Stand(Library, Want(Who(minutes: 20)), Library.Row(Quiet.Id)!.Value);
        Assert.InRange(yes.Place!.Value, 1, yes.Of);
        Assert.Equal(2, yes.Of);
    }

    [Fact]
    public void Muscles_worked_yesterday_are_not_due_and_are_again_in_a_week()
    {
        float Due(double daysAgo) => Weighing.Of(Library.Row(Quiet.Id)!.Value, Want(Who(), log: Done(Quiet, daysAgo)), Pace.AsLed).Due;
        Assert.True(Due(1) < 0.7);
        Assert.True(Due(6.9) > 0.9);
        Assert.Equal(1, Due(8));
    }

    [Fact]
    public void What_was_done_lately_comes_back_later()
    {
        float Fresh(double daysAgo) => Weighing.Of(Library.Row(Quiet.Id)!.Value, Want(Who(), log: Done(Quiet, daysAgo)), Pace.AsLed).Fresh;
        Assert.True(Fresh(1) < Fresh(20));
        Assert.Equal(1, Fresh(30));
        Assert.Contains(Matcher.Suggest(Library, Want(Who(), log: Done(Quiet, 2))).Single(s => s.Session.Title == "Quiet Morning").Against, a => a.StartsWith("done 2 days ago", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(9, -1)]
    [InlineData(6, 0)]
    [InlineData(1, 1)]
    public void Efforts_move_the_level_by_one_at_most(int effort, int direction)
    {
        var level = Library.Row(Quiet.Id)!.Value.At(Pace.AsLed).Level[Library.Row(Quiet.Id)!.Value.Row];
        var wanted = Want(Who(level: level), log: Done(Quiet, 1, effort)).Level!.Value;
        Assert.Equal(direction, Math.Sign(Math.Round(wanted - level, 2)));
        Assert.True(Math.Abs(wanted - level) <= 1);
    }

    [Fact]
    public void Likes_lift_and_dislikes_lower()
    {
        float Fit(MemberProfile p) => Weighing.Of(Library.Row(Quiet.Id)!.Value, Want(p), Pace.AsLed).Fit;
        Assert.True(Fit(Who() with { LikedMoves = ["squat"] }) > Fit(Who()));
        Assert.True(Fit(Who() with { DislikedMoves = ["squat"] }) < Fit(Who()));
        Assert.True(Fit(Who() with { LikedCoaches = ["Ottoline Vane"] }) > Fit(Who()));
        Assert.True(Fit(Who() with { DislikedCoaches = ["Ottoline Vane"] }) < Fit(Who()));
    }

    [Fact]
    public void What_a_session_lacks_is_completed_from_the_library()
    {
        var bare = Make.Entry("Bare", Make.Work(Make.Bout("squat", 0, 300), Make.Bout("lunge", 300, 600)));
        var warm = Make.Entry("Five to Warm Up", Make.Timeline([Make.Phase(PhaseKind.WarmUp, 0, 300)], Make.Bout("hip-circle", 0, 150), Make.Bout("leg-swing", 150, 300)));
        var library = Make.Library(bare, warm, Jumping);
        var made = Matcher.Complete(library, Want(Who(), library: library), library.Row(bare.Id)!.Value, Pace.AsLed);
        Assert.Contains(made, c => c.What == "warm-up" && c.Session.Id == warm.Id && c.Length == new Seconds(300));
        Assert.DoesNotContain(made, c => c.Session.Id == Jumping.Id);
    }

    [Fact]
    public void A_short_light_class_of_floor_work_is_no_warm_up()
    {
        var bare = Make.Entry("Bare", Make.Work(Make.Bout("squat", 0, 300), Make.Bout("lunge", 300, 600)));
        var floor = Make.Entry("On the Mat", Make.Work(Make.Bout("clamshell", 0, 150), Make.Bout("glute-bridge", 150, 300)));
        var library = Make.Library(bare, floor);
        Assert.DoesNotContain(Matcher.Complete(library, Want(Who(), library: library), library.Row(bare.Id)!.Value, Pace.AsLed), c => c.What == "warm-up");
    }

    [Fact]
    public void The_list_is_varied_before_it_is_repeated()
    {
        var twins = Make.Library(Quiet, Make.Entry("Twin", Make.QuietClass()), Make.Entry("Other", Make.Work(Make.Bout("push-up", 0, 400), Make.Bout("dead-bug", 400, 1200)), "Peregrine Osk"));
        var titles = Matcher.Suggest(twins, Want(Who(minutes: 20), library: twins)).Select(s => s.Session.Title).ToList();
        Assert.Equal(3, titles.Count);
        Assert.Contains("Other", titles.Take(2));
    }

    [Fact]
    public void A_blank_profile_gets_something()
    {
        Assert.True(MemberProfile.Blank.IsBlank);
        Assert.NotEmpty(Titles(MemberProfile.Blank));
    }

    [Fact]
    public void When_nothing_fits_the_nearest_say_what_they_break() =>
        Assert.All(Matcher.Nearest(Library, Want(Who(minutes: 5)), 3), n => Assert.NotEmpty(n.Breaks));

    [Fact]
    public void No_hard_limit_is_ever_broken()
    {
        var gen = Gen.Select(
            Gen.Int[5, 40].Nullable(), Gen.Enum<Impact>().Nullable(), Gen.Int[1, 5].Nullable(), Gen.OneOfConst<string?>([null, .. MemberProfile.AllGoals]),
            Gen.OneOfConst("mat", "dumbbell", "chair").Array[0, 3], Gen.OneOfConst(Vocabulary.Strains.ToArray()).Array[0, 3], Gen.Enum<Noise>().Nullable());
        gen.Sample((minutes, impact, level, goal, kit, spare, noise) =>
        {
            var wishes = Want(Who(minutes, impact, level, goal, kit, spare) with { MaxNoise = noise });
            var fitting = Library.Rows.Where(r => Paces.All.Any(p => Limits.Breaks(r, wishes, p).Count == 0)).Select(r => r.Id).Order();
            var suggested = Matcher.Suggest(Library, wishes);
            return suggested.All(s => Limits.Breaks(s.Session, wishes, s.Pace).Count == 0 && s.Fit is >= 0 and <= 1) && suggested.Select(s => s.Session.Id).Order().SequenceEqual(fitting);
        });
    }

    [Fact]
    public void Weights_sum_to_one_so_that_a_fit_is_a_share() => Assert.Equal(1, new Terms(1, 1, 1, 1, 1, 1, 1, 1).Fit, 4);

    [Theory]
    [InlineData("0,0,0,0,0,0", 1)]
    [InlineData("1,1,1,1,1,1", 3)]
    [InlineData("2,2,2,2,2,2", 5)]
    [InlineData("1,,1,,,", null)]
    public void The_questions_lead_to_a_level(string answers, int? level) =>
        Assert.Equal(level, LevelQuestions.LevelOf([.. answers.Split(',').Select(a => a.Length == 0 ? (int?)null : int.Parse(a, null))]));

    [Fact]
    public void Heart_rates_follow_the_reserve()
    {
        // By hand: 208 - 0.7 x 40 = 180; reserve 120; 60 + 0.4 x 120 = 108, 60 + 0.59 x 120 = 130.8.
        Assert.Equal(180, HeartRate.Max(40));
        Assert.Equal((108, 131), HeartRate.Moderate(40, null));
        Assert.Equal((140, 169), HeartRate.Vigorous(40, 80));
    }
}
