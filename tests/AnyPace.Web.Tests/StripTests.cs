using System.Xml.Linq;
using AnyPace.Core.Checks;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Web.Drawing;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Tests;

/// <summary>The strip is a drawing with rules: what stands where has a meaning.</summary>
public sealed class StripTests
{
    private static readonly Timeline Class = Timeline.Empty with
    {
        Recorded = new Seconds(300),
        Phases = [new(PhaseKind.WarmUp, Span.Of(0, 60)), new(PhaseKind.Work, Span.Of(60, 240)), new(PhaseKind.CoolDown, Span.Of(240, 300))],
        Bouts =
        [
            Bout.Confirmed("b1", "march", Span.Of(0, 60)),
            Bout.Confirmed("b2", "split-squat", Span.Of(60, 90), Side.Right),
            Bout.Confirmed("b3", "split-squat", Span.Of(90, 120), Side.Left),
            Bout.Confirmed("b4", "squat-jump", Span.Of(150, 190)) with { Confidence = 0.3 },
            Bout.Confirmed("b5", "hamstring-stretch", Span.Of(240, 300)),
        ],
    };

    private static XElement Draw(StripSize size, Seconds? clock = null, string? selected = null, bool links = false, IReadOnlyList<Finding>? findings = null)
    {
        var sheet = Measure.Sheet(Class, MoveLexicon.Default, Pace.AsLed);
        var content = Strip.Draw(new StripView(Class, sheet, size, clock, selected, links ? id => $"?bout={id}" : null, findings), MoveLexicon.Default);
        using var writer = new StringWriter();
        content.WriteTo(writer, System.Text.Encodings.Web.HtmlEncoder.Default);
        return XElement.Parse(writer.ToString());
    }

    private static double Number(XElement e, string name) => double.Parse(e.Attribute(name)!.Value, System.Globalization.CultureInfo.InvariantCulture);

    private static List<XElement> Blocks(XElement svg) => [.. svg.Descendants("rect").Where(r => r.Attribute("class")?.Value.StartsWith("bout", StringComparison.Ordinal) == true)];

    [Fact]
    public void Right_stands_above_the_line_left_below_both_on_it()
    {
        var svg = Draw(StripSize.Desk, links: true);
        var line = Number(svg.Elements("line").First(), "y1");
        var blocks = Blocks(svg);
        Assert.Equal(line, Number(blocks[1], "y") + Number(blocks[1], "height"), 1);
        Assert.Equal(line, Number(blocks[2], "y"), 1);
        Assert.Equal(line, Number(blocks[0], "y") + (Number(blocks[0], "height") / 2), 1);
    }

    [Fact]
    public void Height_is_effort_and_width_is_time()
    {
        var blocks = Blocks(Draw(StripSize.Desk, links: true));
        Assert.True(Number(blocks[3], "height") > Number(blocks[1], "height"));
        Assert.True(Number(blocks[1], "height") > Number(blocks[4], "height"));
        Assert.Equal(1232.0 * 60 / 300, Number(blocks[0], "width") + 1, 1);
        Assert.Equal(1232.0 * 150 / 300, Number(blocks[3], "x"), 1);
    }

    [Fact]
    public void Doubt_is_dashed_and_the_chosen_bout_is_marked()
    {
        var blocks = Blocks(Draw(StripSize.Desk, selected: "b2", links: true));
        Assert.Contains("doubtful", blocks[3].Attribute("class")!.Value);
        Assert.Equal("none", blocks[3].Attribute("fill")!.Value);
        Assert.Contains("selected", blocks[1].Attribute("class")!.Value);
        Assert.DoesNotContain("selected", blocks[2].Attribute("class")!.Value);
    }

    [Fact]
    public void Warm_up_and_cool_down_have_a_texture_of_their_own()
    {
        var blocks = Blocks(Draw(StripSize.Desk, links: true));
        Assert.StartsWith("url(#", blocks[0].Attribute("fill")!.Value, StringComparison.Ordinal);
        Assert.StartsWith("url(#", blocks[4].Attribute("fill")!.Value, StringComparison.Ordinal);
        Assert.NotEqual(blocks[0].Attribute("fill")!.Value, blocks[4].Attribute("fill")!.Value);
        Assert.Null(blocks[1].Attribute("fill"));
    }

    [Fact]
    public void Only_what_leaves_the_floor_bounces_in_the_accent()
    {
        var arcs = Draw(StripSize.Desk, links: true).Elements("path").Where(p => p.Attribute("class")!.Value.StartsWith("arc", StringComparison.Ordinal)).ToList();
        Assert.Equal(3, arcs.Count);
        Assert.Single(arcs, a => a.Attribute("class")!.Value == "arc off");
    }

    [Fact]
    public void One_clock_for_all_strips_of_a_page()
    {
        var svg = Draw(StripSize.Compare, clock: new Seconds(600));
        Assert.Equal(540, Number(svg.Elements("line").First(), "x2"), 1);
    }

    [Fact]
    public void A_finding_with_a_time_is_a_flag_a_mere_note_is_not()
    {
        Finding At(Severity severity) => new("rule", severity, new Seconds(150), "Jumps < here", "Look.");
        var svg = Draw(StripSize.Desk, links: true, findings: [At(Severity.Problem), At(Severity.Info)]);
        var flag = Assert.Single(svg.Elements("path"), p => p.Attribute("class")!.Value == "flag");
        Assert.Equal("Jumps < here", flag.Element("title")!.Value);
    }

    [Fact]
    public void It_says_in_words_what_it_shows()
    {
        var svg = Draw(StripSize.Compare);
        Assert.Equal("img", svg.Attribute("role")!.Value);
        Assert.Contains("5 bouts of 4 moves", svg.Attribute("aria-label")!.Value);
        Assert.Contains("warm-up 1:00", svg.Attribute("aria-label")!.Value);
        Assert.Equal("true", Draw(StripSize.List).Attribute("aria-hidden")!.Value);
        var desk = Draw(StripSize.Desk, links: true);
        Assert.Equal("group", desk.Attribute("role")!.Value);
        Assert.Equal("1:00 Split squat, right", desk.Elements("a").ElementAt(1).Attribute("aria-label")!.Value);
    }

    [Theory]
    [InlineData(Pace.Eased, 0)]
    [InlineData(Pace.AsLed, 1)]
    [InlineData(Pace.Pushed, 1)]
    public void The_paces_are_an_open_a_half_and_a_full_ring(Pace pace, int filled)
    {
        var ring = XElement.Parse(Glyph.Ring(pace).ToString()!);
        Assert.Equal(filled, ring.Elements().Count(e => e.Attribute("class")!.Value == "full"));
    }
}
