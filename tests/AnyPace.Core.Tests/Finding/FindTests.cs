using System.Collections.Immutable;
using AnyPace.Core.Comparing;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.FindingTests;

public sealed class FindTests
{
    private static readonly CatalogueEntry Quiet = Make.Entry("Quiet Morning", Make.QuietClass(), day: 1);
    private static readonly CatalogueEntry Jumping = Make.Entry("Up and Over", Make.JumpingClass(), "Bram Castellow", day: 2);
    private static readonly CatalogueEntry Loaded = Make.Entry("Carry On", Make.QuietClass(0.5) with { Kit = [Make.Kit("dumbbell"), Make.Kit("water bottle", KitNeed.Substitute, "dumbbell")] }, day: 3);
    private static readonly CatalogueSnapshot Library = Make.Library(Quiet, Jumping, Loaded);

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
        Assert.DoesNotContain("Up and Over", Titles(FindQuery.Everything.With(Facet.ImpactClass, ["low"])));
        Assert.Contains("Up and Over", Titles(FindQuery.Everything.With(Facet.ImpactClass, ["low"]) with { Pace = Pace.Eased }));
    }

    [Fact]
    public void Values_of_a_facet_widen() =>
        Assert.Equal(3, Titles(FindQuery.Everything.With(Facet.ImpactClass, ["low", "high"])).Length);

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
        foreach (var query in new[] { FindQuery.Everything with { MaxMinutes = 15 }, FindQuery.Everything.With(Facet.Coach, ["Ottoline Vane"]).With(Facet.SpareMuscles, ["chest"]) })
        {
            var result = Library.Find(query);
            foreach (var facet in result.Facets)
            {
                Assert.All(facet.Values, v => Assert.Equal(
                    Titles(query.With(facet.Facet, facet.Facet.Joins == Joins.Any ? [v.Value] : query.Of(facet.Facet).Add(v.Value))).Length, v.Count));
            }

            Assert.All(result.Kit, f => Assert.Equal(Titles(query with { Kit = [f.Value] }).Length, f.Count));
        }

        Assert.Equal(3, Library.Find(FindQuery.Everything with { MaxMinutes = 15 }).Time.Sum(b => b.Count));
    }

    [Theory]
    [InlineData("without", "hands", "Quiet Morning", "Carry On")]
    [InlineData("noise", "quiet", "Quiet Morning", "Carry On")]
    [InlineData("rest", "chest", "Quiet Morning", "Carry On")]
    [InlineData("spare", "wrists", "Quiet Morning", "Carry On")]
    [InlineData("whole", "warm-up", "Quiet Morning")]
    [InlineData("coach", "Bram Castellow", "Up and Over")]
    public void Facets_narrow(string facet, string value, params string[] titles) =>
        Assert.Equal(titles.Order(), Titles(FindQuery.Everything.With(Facet.All.Single(f => f.Key == facet), [value])).Order());

    [Theory]
    [InlineData("jumpng jacks", "Up and Over")]
    [InlineData("mornng", "Quiet Morning")]
    [InlineData("with glute bridges and a march", "Quiet Morning", "Carry On")]
    [InlineData("lantern", "Carry On")]
    public void Words_forgive_slips_and_know_what_is_said(string words, params string[] titles)
    {
        var library = new CatalogueSnapshot([Make.Listing(Quiet), Make.Listing(Jumping), Make.Listing(Loaded, null, "lanterns")], Make.Lexicon);
        Assert.Equal(titles.Order(), library.Find(FindQuery.Everything with { Words = words }).Found.Select(r => r.Title).Order());
    }

    [Fact]
    public void A_change_replaces_adds_and_takes_away_without_touching_the_snapshot_before()
    {
        var renamed = Make.Listing(Quiet) with { Title = "Renamed", Version = 2 };
        var extra = Make.Listing(Make.Entry("Extra", Make.QuietClass(), day: 9));
        var after = Library.With(Quiet.Id, renamed).With(extra.Id, extra).With(Jumping.Id, null);
        Assert.Equal(["Extra", "Carry On", "Renamed"], after.Find(FindQuery.Everything).Found.Select(r => r.Title));
        Assert.Equal(3, after.Count);
        Assert.Equal(3, after.Find(FindQuery.Everything).Of(Facet.Level).Values.Sum(v => v.Count));
        Assert.Equal(3, Titles(FindQuery.Everything).Length);
        Assert.Null(after.Row(Jumping.Id));
        Assert.Equal(["Carry On", "Renamed"], after.With(extra.Id, null).Find(FindQuery.Everything).Found.Select(r => r.Title));
    }

    [Fact]
    public void Whatever_is_asked_the_counts_agree_with_a_plain_look_at_every_session()
    {
        // Enough rows for whole words of bits and a tail, in two segments.
        var random = new Random(7);
        var shapes = new[] { Make.QuietClass(), Make.QuietClass(0.6), Make.JumpingClass(), Make.QuietClass() with { Kit = [Make.Kit("dumbbell")] } }
            .Select(t => Make.Listing(Make.Entry("shape", t))).ToArray();
        var listings = Enumerable.Range(0, 150).Select(i => shapes[random.Next(4)] with { Id = Guid.NewGuid(), Title = $"Session {i}", Coach = $"Coach {random.Next(5)}" }).ToList();
        var library = new CatalogueSnapshot(listings.Take(131), Make.Lexicon);
        foreach (var later in listings.Skip(131))
        {
            library = library.With(later.Id, later);
        }

        var gen = Gen.Select(
            Gen.Enum<Pace>(), Gen.OneOfConst<int?>(null, 10, 15, 20), Gen.OneOfConst(Facet.All.SelectMany(f => f.Order.Select(v => (f, v))).ToArray()).Array[0, 3], Gen.Bool);
        gen.Sample((pace, to, chosen, mat) =>
        {
            var query = chosen.Aggregate(FindQuery.Everything with { Pace = pace, MaxMinutes = to, Kit = mat ? ["mat"] : [] }, (q, c) => q.With(c.f, q.Of(c.f).Add(c.v)));
            bool Fits(Listing l) => (to is null || l.At(pace).Needed.Value <= to * 60)
                && (!mat || Segment.IsDoable(l.Kit, query.Kit))
                && Facet.All.All(f => query.Of(f) is var set && (set.IsEmpty || (f.Joins == Joins.Any ? f.Values(l, l.At(pace)).Any(set.Contains) : set.All(f.Values(l, l.At(pace)).Contains))));
            return library.Find(query).Total == listings.Count(Fits) && library.CountOf(query) == listings.Count(Fits);
        });
    }

    [Fact]
    public void Pages_follow_each_other_and_hold_every_session_once()
    {
        var library = new CatalogueSnapshot(Enumerable.Range(0, 60).Select(i => Make.Listing(Quiet) with { Id = Guid.NewGuid(), PublishedAt = DateTimeOffset.UnixEpoch.AddDays(i) }), Make.Lexicon);
        var ids = Enumerable.Range(1, 5).SelectMany(p => library.Find(FindQuery.Everything with { Page = p }).Found.Select(r => r.Id)).ToList();
        Assert.Equal(60, ids.Distinct().Count());
        Assert.Equal(60, ids.Count);
        Assert.Empty(library.Find(FindQuery.Everything with { Page = 6 }).Found);
    }

    [Fact]
    public void By_fit_the_best_comes_first()
    {
        var found = Library.Find(FindQuery.Everything with { Sort = FindSort.Fit }, r => r.Title.Length).Found.Select(r => r.Title).ToList();
        Assert.Equal("Quiet Morning", found[0]);
        Assert.Equal("Carry On", found[^1]);
    }

    [Fact]
    public void Where_one_step_is_not_enough_two_are_offered()
    {
        var query = FindQuery.Everything.With(Facet.Coach, ["Bram Castellow"]).With(Facet.Without, ["hands"]) with { Kit = [FindQuery.NoKit], MaxMinutes = 12 };
        var result = Library.Find(query);
        Assert.Equal(0, result.Total);
        Assert.NotEmpty(result.Relaxations);
        Assert.All(result.Relaxations, r => Assert.Equal(r.Count, Titles(r.Query).Length));
    }

    [Fact]
    public void When_nothing_fits_the_smallest_steps_are_offered()
    {
        var result = Library.Find(FindQuery.Everything.With(Facet.ImpactClass, ["high"]) with { MaxMinutes = 8 });
        Assert.Empty(result.Found);
        Assert.Equal(0, result.Total);
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
        Assert.Equal("?pace=ease&from=10&to=25&impact=low&impact=none&level=2&focus=hip%20flexors&kit=mat&words=dead%20bug%20%26%20co&sort=shortest", query.ToQueryString());
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
            var query = FindQuery.Everything.With(Facet.ImpactClass, impact.Select(i => i.Key())).With(Facet.Level, level.Select(l => $"{l}")).With(Facet.Focus, focus)
                with
            { Pace = pace, MaxMinutes = to, Kit = [.. kit], Words = words, Sort = sort };
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
        var time = c.Rows.Single(r => r.Label == "time needed, m:ss");
        Assert.True(time.AllDiffer);
        Assert.Contains("Up and Over jumps", c.Sentence);
    }

    [Fact]
    public void Of_two_that_differ_both_are_marked_and_what_is_the_same_stays_quiet()
    {
        var c = Comparison.Of([Quiet, Jumping], Pace.AsLed, Make.Lexicon);
        Assert.Equal([true, true], c.Rows.Single(r => r.Label == "time needed, m:ss").Stands.ToArray());
        Assert.Contains(Comparison.Of([Quiet, Make.Entry("Twin", Make.QuietClass())], Pace.AsLed, Make.Lexicon).Rows, r => r is { Label: "time needed, m:ss", Differs: false });
    }

    [Fact]
    public void Alike_sessions_are_said_to_be_alike() =>
        Assert.Equal("These are much alike.", Comparison.Of([Quiet, Make.Entry("Twin", Make.QuietClass())], Pace.AsLed, Make.Lexicon).Sentence);

    [Fact]
    public void Shared_moves_are_named() =>
        Assert.Equal("March on the spot", Assert.Single(Comparison.Of([Quiet, Jumping], Pace.AsLed, Make.Lexicon).Shared));

    [Fact]
    public void Each_side_has_its_own_pace_moves_and_limits()
    {
        var c = Comparison.Of(
            [(Quiet, Pace.AsLed), (Jumping, Pace.Eased)], Make.Lexicon, MemberProfile.Blank with { Spare = ["knees"], Kit = ["mat"], Mass = 140 },
            at => at.Pace == Pace.Eased ? ["too long"] : []);
        Assert.Contains("Push-up", c.Sides[1].Own);
        Assert.DoesNotContain("March on the spot", c.Sides[1].Own);
        Assert.Equal(["too long"], c.Sides[1].Limits);
        Assert.Equal("one foot down", c.Rows.Single(r => r.Label == "impact").Values[1]);
        Assert.Contains(c.Rows, r => r.Label == "to spare: knees, m:ss");
        Assert.Contains(c.Rows, r => r.Label == "with your kit" && r.Values[0] == "all as led");
        Assert.Contains(c.Rows, r => r.Label.StartsWith("energy at 140 kg", StringComparison.Ordinal));
    }

    [Fact]
    public void A_comparison_takes_two_to_four()
    {
        Assert.Throws<ArgumentException>(() => Comparison.Of([Quiet], Pace.AsLed, Make.Lexicon));
        Assert.Throws<ArgumentException>(() => Comparison.Of([Quiet, Quiet, Quiet, Quiet, Quiet], Pace.AsLed, Make.Lexicon));
    }
}
