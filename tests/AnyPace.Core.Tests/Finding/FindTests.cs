using System.Collections.Immutable;
using AnyPace.Core.Comparing;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.FindingTests;

public sealed class FindTests
{
    private static readonly CatalogueEntry Quiet = Make.Entry("Quiet Morning", Make.QuietClass(), day: 1);
    private static readonly CatalogueEntry Jumping = Make.Entry("Up and Over", Make.JumpingClass(), "Bram Castellow", day: 2);
    private static readonly CatalogueEntry Loaded = Make.Entry("Carry On", Make.QuietClass(0.5) with { Kit = [Make.Kit("dumbbell"), Make.Kit("water bottle", KitNeed.Substitute, "dumbbell")] }, day: 3);
    private static readonly CatalogueSnapshot Library = new([Quiet, Jumping, Loaded], Make.Lexicon);

    private static string[] Titles(FindQuery query) => [.. Library.Find(query).Found.Select(e => e.Title)];

    [Fact]
    public void Everything_is_newest_first() => Assert.Equal(["Carry On", "Up and Over", "Quiet Morning"], Titles(FindQuery.Everything));

    [Fact]
    public void Time_limits_are_inclusive()
    {
        Assert.Equal(["Quiet Morning"], Titles(FindQuery.Everything with { MinMinutes = 20, MaxMinutes = 20 }));
        Assert.Equal(["Carry On", "Up and Over"], Titles(FindQuery.Everything with { MaxMinutes = 15 }));
    }

    [Fact]
    public void Impact_speaks_of_the_chosen_pace()
    {
        Assert.DoesNotContain("Up and Over", Titles(FindQuery.Everything with { Impact = [Impact.Low] }));
        Assert.Contains("Up and Over", Titles(FindQuery.Everything with { Impact = [Impact.Low], Pace = Pace.Eased }));
    }

    [Fact]
    public void Values_of_a_facet_widen() =>
        Assert.Equal(3, Titles(FindQuery.Everything with { Impact = [Impact.Low, Impact.High] }).Length);

    [Fact]
    public void Kit_hides_what_needs_more_and_knows_substitutes()
    {
        Assert.Equal(["Up and Over"], Titles(FindQuery.Everything with { Kit = [FindQuery.NoKit] }));
        Assert.Equal(["Up and Over", "Quiet Morning"], Titles(FindQuery.Everything with { Kit = ["mat"] }));
        Assert.Contains("Carry On", Titles(FindQuery.Everything with { Kit = ["water bottle"] }));
    }

    [Theory]
    [InlineData("quiet", "Quiet Morning")]
    [InlineData("bram", "Up and Over")]
    [InlineData("jumping jacks", "Up and Over")]
    [InlineData("push ups", "Up and Over")]
    public void Words_look_in_title_coach_and_moves(string words, string title) => Assert.Equal([title], Titles(FindQuery.Everything with { Words = words }));

    [Fact]
    public void Every_count_is_what_choosing_the_value_gives()
    {
        var query = FindQuery.Everything with { MaxMinutes = 15 };
        var result = Library.Find(query);
        Assert.All(result.Impact, f => Assert.Equal(Titles(query with { Impact = [f.Value] }).Length, f.Count));
        Assert.All(result.Level, f => Assert.Equal(Titles(query with { Level = [f.Value] }).Length, f.Count));
        Assert.All(result.Focus, f => Assert.Equal(Titles(query with { Focus = [f.Value] }).Length, f.Count));
        Assert.All(result.Kit, f => Assert.Equal(Titles(query with { Kit = [f.Value] }).Length, f.Count));
        Assert.Equal(3, result.Time.Sum(b => b.Count));
    }

    [Fact]
    public void When_nothing_fits_the_smallest_steps_are_offered()
    {
        var result = Library.Find(FindQuery.Everything with { MaxMinutes = 8, Impact = [Impact.High] });
        Assert.Empty(result.Found);
        Assert.NotEmpty(result.Relaxations);
        Assert.All(result.Relaxations, r => Assert.Equal(r.Count, Titles(r.Query).Length));
        Assert.All(result.Relaxations, r => Assert.True(r.Count > 0));
    }

    [Fact]
    public void Sorting_by_time_and_ease()
    {
        Assert.Equal(["Carry On", "Up and Over", "Quiet Morning"], Titles(FindQuery.Everything with { Sort = FindSort.Shortest }));
        Assert.Equal("Up and Over", Titles(FindQuery.Everything with { Sort = FindSort.Easiest })[^1]);
    }

    [Fact]
    public void The_url_holds_the_whole_query()
    {
        var query = FindQuery.Parse([new("pace", "ease"), new("from", "10"), new("to", "25"), new("impact", "low"), new("impact", "none"), new("level", "2"), new("focus", "hip flexors"), new("kit", "mat"), new("words", "dead bug & co"), new("sort", "shortest")]);
        Assert.Equal("?pace=ease&from=10&to=25&impact=none&impact=low&level=2&focus=hip%20flexors&kit=mat&words=dead%20bug%20%26%20co&sort=shortest", query.ToQueryString());
        Assert.Equal("", FindQuery.Everything.ToQueryString());
    }

    [Fact]
    public void Any_query_survives_its_url()
    {
        var gen = Gen.Select(
            Gen.Enum<Pace>(), Gen.Int[0, 60].Nullable(), Gen.Enum<Impact>().Array[0, 4], Gen.Int[1, 5].Array[0, 4], Gen.OneOfConst(Vocabulary.Muscles.ToArray()).Array[0, 3],
            Gen.OneOfConst("mat", "chair", "none").Array[0, 3], Gen.String[Gen.Char.AlphaNumeric, 0, 10], Gen.Enum<FindSort>());
        gen.Sample((pace, to, impact, level, focus, kit, words, sort) =>
        {
            var query = new FindQuery(pace, null, to, [.. impact], [.. level], [.. focus], [.. kit], words, sort);
            var pairs = query.ToQueryString().TrimStart('?').Split('&', StringSplitOptions.RemoveEmptyEntries)
                .Select(p => KeyValuePair.Create(p.Split('=')[0], Uri.UnescapeDataString(p.Split('=')[1])));
            return FindQuery.Parse(pairs).ToQueryString() == query.ToQueryString();
        });
    }

    [Theory]
    [InlineData("level", "9")]
    [InlineData("impact", "7")]
    [InlineData("from", "soon")]
    [InlineData("focus", "heart")]
    [InlineData("sort", "sideways")]
    [InlineData("nonsense", "x")]
    public void What_a_link_says_wrongly_is_left_out(string key, string value) => Assert.Equal("", FindQuery.Parse([new(key, value)]).ToQueryString());

    [Fact]
    public void A_comparison_marks_what_leaves_the_majority()
    {
        var c = Comparison.Of([Quiet, Loaded, Jumping], Pace.AsLed, Make.Lexicon);
        var impact = c.Rows.Single(r => r.Label == "impact");
        Assert.Equal([false, false, true], impact.Stands.ToArray());
        var time = c.Rows.Single(r => r.Label == "time needed");
        Assert.True(time.AllDiffer);
        Assert.Contains("Up and Over jumps", c.Sentence);
    }

    [Fact]
    public void Of_two_that_differ_both_are_marked_and_what_is_the_same_stays_quiet()
    {
        var c = Comparison.Of([Quiet, Jumping], Pace.AsLed, Make.Lexicon);
        Assert.Equal([true, true], c.Rows.Single(r => r.Label == "time needed").Stands.ToArray());
        Assert.Contains(Comparison.Of([Quiet, Make.Entry("Twin", Make.QuietClass())], Pace.AsLed, Make.Lexicon).Rows, r => r is { Label: "time needed", Differs: false });
    }

    [Fact]
    public void Alike_sessions_are_said_to_be_alike() =>
        Assert.Equal("These are much alike.", Comparison.Of([Quiet, Make.Entry("Twin", Make.QuietClass())], Pace.AsLed, Make.Lexicon).Sentence);

    [Fact]
    public void Shared_moves_are_named() =>
        Assert.Equal("March on the spot", Comparison.Of([Quiet, Jumping], Pace.AsLed, Make.Lexicon).Rows.Single(r => r.Label == ComparisonRow.SharedMoves).Values[0]);

    [Fact]
    public void A_comparison_takes_two_to_four()
    {
        Assert.Throws<ArgumentException>(() => Comparison.Of([Quiet], Pace.AsLed, Make.Lexicon));
        Assert.Throws<ArgumentException>(() => Comparison.Of([Quiet, Quiet, Quiet, Quiet, Quiet], Pace.AsLed, Make.Lexicon));
    }
}
