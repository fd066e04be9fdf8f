using AnyPace.Core.Covering;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.Covering;

public class CoverageTests
{
    private static Coverage Of(int aim, params CatalogueEntry[] entries) => Coverage.Of(Make.Library(entries), Make.Lexicon, Pace.AsLed, aim, []);

    [Fact]
    public void Each_place_counts_what_Find_gives_for_it()
    {
        CatalogueEntry[] entries = [Make.Entry("a", Make.QuietClass()), Make.Entry("b", Make.QuietClass(0.6)), Make.Entry("c", Make.JumpingClass())];
        var library = Make.Library(entries);
        var coverage = Coverage.Of(library, Make.Lexicon, Pace.AsLed, 2, []);
        var cells = coverage.ByImpact.Rows.Concat(coverage.ByLevel.Rows).SelectMany(r => r.Cells).Concat(coverage.Lists.SelectMany(l => l.Lines).Select(l => l.Cell)).ToList();
        Assert.All(cells.Where(c => c.Query is not null), c => Assert.Equal(library.Find(c.Query!).Total, c.Count));
        Assert.Equal(1, coverage.ByImpact.At(new TimeBand(10, 15), "high").Count);
        Assert.Equal(3, coverage.Sessions);
    }

    [Fact]
    public void A_place_is_thin_below_the_aim()
    {
        CatalogueEntry[] entries = [Make.Entry("a", Make.JumpingClass()), Make.Entry("b", Make.JumpingClass())];
        var band = new TimeBand(10, 15);
        Assert.False(Of(2, entries).ByImpact.At(band, "high").IsThin);
        var wanting = Of(4, entries).ByImpact.At(band, "high");
        Assert.True(wanting.IsThin);
        Assert.Equal(0.5, wanting.Lack);
    }

    [Fact]
    public void Kit_is_counted_by_what_a_session_needs_and_a_mat_is_none()
    {
        var weights = Make.QuietClass() with { Kit = [Make.Kit("mat"), Make.Kit("dumbbell"), Make.Kit("towel", KitNeed.Optional)] };
        var kit = Of(2, Make.Entry("bare", Make.QuietClass()), Make.Entry("weights", weights)).Lists.Single(l => l.Title == "Kit it needs");
        Assert.Equal([("nothing but a mat", 1), ("dumbbell", 1)], kit.Lines.Select(l => (l.Name, l.Cell.Count)));
    }

    [Fact]
    public void What_to_record_first_stands_among_what_is_usual_and_lacks_most()
    {
        // Six quiet classes of eighteen minutes and one of twelve: a second of twelve is wanted before anything of a length or impact that nobody does.
        var entries = Enumerable.Range(0, 6).Select(i => Make.Entry($"quiet {i}", Make.QuietClass(0.9))).Append(Make.Entry("short", Make.QuietClass(0.6))).ToArray();
        var first = Of(2, entries).Next[0];
        Assert.Equal((new TimeBand(10, 15), entries[0].Measures.AsLed.Impact.Class), (first.Band, first.Impact));
        Assert.All(first.Why, w => Assert.True(w.Cell.IsThin));
    }

    [Fact]
    public void Each_wish_counts_those_before_it_as_recorded()
    {
        var next = Of(1, Make.Entry("a", Make.QuietClass())).Next;
        Assert.Equal(5, next.Length);
        var places = next.SelectMany(n => n.Why).Select(w => w.Name).ToList();
        Assert.Equal(places.Distinct(), places);
        Assert.Equal(5, next.Select(n => n.Focus).Distinct().Count());
    }

    [Fact]
    public void Nothing_odd_is_wished_for()
    {
        var next = Of(Coverage.LargestAim, Make.Entry("a", Make.QuietClass()), Make.Entry("b", Make.JumpingClass())).Next;
        Assert.All(next, n =>
        {
            Assert.DoesNotContain(n.Focus, (string[])["neck", "forearms", "hip flexors"]);
            Assert.True(n.Impact < Impact.High || n.Level >= 3);
            Assert.True(n.Impact < Impact.Moderate || n.Focus is Facet.FullBody or "abs" || Vocabulary.LowerBody.Contains(n.Focus));
            Assert.All(n.Moves, m => Assert.True(m.Impact <= n.Impact && !m.IsGentle));
        });
    }

    [Fact]
    public void Moves_that_no_session_does_come_first()
    {
        var wish = Of(1, Make.Entry("a", Make.QuietClass())).Next.First(n => n.Focus != Facet.FullBody);
        Assert.NotEmpty(wish.Moves);
        Assert.All(wish.Moves, m => Assert.DoesNotContain(m.Id, (string[])["march", "squat", "glute-bridge", "hamstring-stretch"]));
        Assert.All(wish.Moves, m => Assert.Contains(wish.Focus, m.Prime));
    }

    [Fact]
    public void Kit_that_is_wished_for_has_a_move_for_the_muscle()
    {
        var weights = Make.QuietClass() with { Kit = [Make.Kit("dumbbell"), Make.Kit("towel")] };
        var wishes = Of(4, Make.Entry("bare", Make.QuietClass()), Make.Entry("weights", weights)).Next.Where(n => n.Kit is not null and not FindQuery.NoKit).ToList();
        Assert.NotEmpty(wishes);
        Assert.All(wishes, n => Assert.Equal(("dumbbell", true), (n.Kit, n.Moves[0].Kit.Contains("dumbbell"))));
    }

    [Fact]
    public void A_draft_of_that_kind_is_named()
    {
        var library = Make.Library(Make.Entry("a", Make.QuietClass()));
        var wish = Coverage.Of(library, Make.Lexicon, Pace.AsLed, 1, []).Next[0];
        Draft DraftOf(Timeline timeline) => new(Guid.CreateVersion7(), "draft", Measure.Sheet(timeline, Make.Lexicon, Pace.AsLed));
        List<Draft> drafts = [.. new[] { 0.4, 0.6, 0.8, 1.2 }.Select(s => DraftOf(Make.QuietClass(s))), DraftOf(Make.JumpingClass())];
        var again = Coverage.Of(library, Make.Lexicon, Pace.AsLed, 1, drafts).Next[0];
        Assert.Equal(wish.Band, again.Band);
        Assert.Equal(
            drafts.Where(d => wish.Band.Holds(d.Sheet.Time.Needed) && d.Sheet.Impact.Class == wish.Impact && d.Sheet.Difficulty.Level == wish.Level), again.Drafts);
    }

    [Fact]
    public void An_empty_library_wants_nothing_and_a_full_place_is_no_wish()
    {
        Assert.Empty(Of(2).Next);
        Assert.All(Of(1, Make.Entry("a", Make.QuietClass())).Next, n => Assert.All(n.Why, w => Assert.Equal(0, w.Cell.Count)));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(51)]
    public void An_aim_outside_its_range_is_refused(int aim) => Assert.Throws<ArgumentOutOfRangeException>(() => Of(aim));

    [Theory]
    [InlineData(0, "up to 10 minutes")]
    [InlineData(1, "10 to 15 minutes")]
    [InlineData(5, "45 minutes and more")]
    public void A_time_band_reads_as_minutes(int band, string words) => Assert.Equal(words, TimeBand.All[band].Words);
}
