using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.MatchingTests;

public sealed class MatcherTests
{
    private static readonly CatalogueEntry Quiet = Make.Entry("Quiet Morning", Make.QuietClass());
    private static readonly CatalogueEntry Jumping = Make.Entry("Up and Over", Make.JumpingClass(), "Bram Castellow");
    private static readonly CatalogueEntry Loaded = Make.Entry("Carry On", Make.QuietClass() with { Kit = [Make.Kit("dumbbell")] });
    private static readonly CatalogueSnapshot Library = new([Quiet, Jumping, Loaded], Make.Lexicon);

    private static MemberProfile Who(int? minutes = null, Impact? impact = null, int? level = null, string? goal = null, string[]? kit = null, string[]? spare = null) =>
        new(minutes, impact, level, goal, Make.Set(kit ?? ["mat"]), Make.Set(spare ?? []));

    private static string[] Titles(MemberProfile profile) => [.. Matcher.Suggest(Library, profile).Select(s => s.Session.Title)];

    [Fact]
    public void Kit_that_is_not_there_rules_a_session_out()
    {
        Assert.DoesNotContain("Carry On", Titles(Who()));
        Assert.Contains("Carry On", Titles(Who(kit: ["dumbbell"])));
    }

    [Fact]
    public void A_limit_on_impact_leads_to_the_eased_way()
    {
        var suggestion = Matcher.Suggest(Library, Who(impact: Impact.Low)).Single(s => s.Session.Title == "Up and Over");
        Assert.Equal(Pace.Eased, suggestion.Pace);
        Assert.Empty(Matcher.Suggest(new([Make.Entry("No way", Make.JumpingClass() with { Options = [] })], Make.Lexicon), Who(impact: Impact.Low)));
    }

    [Fact]
    public void Time_is_kept_within_two_minutes()
    {
        Assert.Contains("Quiet Morning", Titles(Who(minutes: 18)));
        Assert.DoesNotContain("Quiet Morning", Titles(Who(minutes: 17)));
    }

    [Fact]
    public void A_strain_to_spare_may_show_for_a_minute_no_longer() =>
        Assert.DoesNotContain("Quiet Morning", Titles(Who(spare: ["knees"])));

    [Fact]
    public void Reasons_speak_for_and_against()
    {
        var s = Matcher.Suggest(Library, Who(minutes: 20, level: 5, spare: ["wrists"])).Single(x => x.Session.Title == "Quiet Morning");
        Assert.Contains(s.For, r => r.Contains("20:00 of your 20", StringComparison.Ordinal));
        Assert.Contains(s.For, r => r == "spares the wrists");
        Assert.Contains(s.Against, r => r.Contains("below yours", StringComparison.Ordinal));
    }

    [Fact]
    public void Limits_broken_are_named()
    {
        var breaks = Matcher.Breaks(Jumping, Who(minutes: 5, impact: Impact.None), Pace.AsLed);
        Assert.Contains(breaks, b => b.StartsWith("jumps", StringComparison.Ordinal));
        Assert.Contains(breaks, b => b.StartsWith("needs 15:00", StringComparison.Ordinal));
        Assert.Empty(Matcher.Breaks(Quiet, Who(), Pace.AsLed));
    }

    [Fact]
    public void The_list_is_varied_before_it_is_repeated()
    {
        var twins = new CatalogueSnapshot([Quiet, Make.Entry("Twin", Make.QuietClass()), Make.Entry("Other", Make.Work(Make.Bout("push-up", 0, 400), Make.Bout("dead-bug", 400, 1200)), "Peregrine Osk")], Make.Lexicon);
        var titles = Matcher.Suggest(twins, Who(minutes: 20)).Select(s => s.Session.Title).ToList();
        Assert.Equal(3, titles.Count);
        Assert.Contains("Other", titles.Take(2));
    }

    [Fact]
    public void A_blank_profile_gets_something() => Assert.NotEmpty(Titles(MemberProfile.Blank));

    [Fact]
    public void No_hard_limit_is_ever_broken()
    {
        var gen = Gen.Select(
            Gen.Int[5, 40].Nullable(), Gen.Enum<Impact>().Nullable(), Gen.Int[1, 5].Nullable(), Gen.OneOfConst<string?>([null, .. MemberProfile.Goals]),
            Gen.OneOfConst("mat", "dumbbell", "chair").Array[0, 3], Gen.OneOfConst(Vocabulary.Strains.ToArray()).Array[0, 3]);
        gen.Sample((minutes, impact, level, goal, kit, spare) =>
        {
            var profile = new MemberProfile(minutes, impact, level, goal, [.. kit], [.. spare]);
            return Matcher.Suggest(Library, profile).All(s => Matcher.Breaks(s.Session, profile, s.Pace).Count == 0 && s.Fit is >= 0 and <= 1);
        });
    }
}
