using System.Net;
using AngleSharp.Dom;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Studio;
using AnyPace.Web.Hosting;
using Microsoft.Extensions.DependencyInjection;

namespace AnyPace.Web.Tests;

/// <summary>Findings settled, numbers opened, doses worked out, schools chosen.</summary>
public sealed class JudgementTests(Site site) : IClassFixture<Site>
{
    private async Task<(Visitor Visitor, Guid Id, Answer Desk)> DeskAsync()
    {
        var visitor = await site.AsAsync("cataloguer");
        var id = await site.TakeInAsync("Judged Class");
        return (visitor, id, await visitor.GetAsync($"/studio/desk/{id}"));
    }

    private static string? FirstFinding(Answer desk) => desk.Page.QuerySelector("#findings input[name=fingerprint]")?.GetAttribute("value");

    private static bool IsOpen(Answer desk, string fingerprint) =>
        desk.Page.QuerySelectorAll("form[action*='handler=Settle'] input[name=fingerprint]").Any(i => i.GetAttribute("value") == fingerprint);

    [Fact]
    public async Task A_finding_is_accepted_with_a_reason_and_opened_again()
    {
        var (visitor, id, desk) = await DeskAsync();
        var fingerprint = FirstFinding(desk)!;
        var refused = await visitor.SubmitAsync(desk, "form[action*='handler=Settle']", new() { ["fingerprint"] = fingerprint, ["decision"] = "accepted" }, swap: true);
        Assert.Contains("Give a reason", refused.Text);
        var done = await visitor.SubmitAsync(desk, "form[action*='handler=Settle']", new() { ["fingerprint"] = fingerprint, ["decision"] = "accepted", ["reason"] = "our own way" });
        Assert.Equal(HttpStatusCode.Redirect, done.Status);
        var settled = await visitor.GetAsync($"/studio/desk/{id}");
        Assert.False(IsOpen(settled, fingerprint));
        Assert.Contains("accepted: our own way", settled.Text);
        await visitor.SubmitAsync(settled, "form[action*='handler=Reopen']", new() { ["fingerprint"] = fingerprint });
        Assert.True(IsOpen(await visitor.GetAsync($"/studio/desk/{id}"), fingerprint));
    }

    [Fact]
    public async Task A_decision_comes_back_when_the_timeline_changes_there()
    {
        var (visitor, id, desk) = await DeskAsync();
        var settled = desk.Page.QuerySelectorAll("#findings input[name=fingerprint]").Select(i => i.GetAttribute("value")!).First(f => f.StartsWith("short-warm-up", StringComparison.Ordinal));
        await visitor.SubmitAsync(desk, "form[action*='handler=Settle']", new() { ["fingerprint"] = settled, ["decision"] = "fixed" });
        Assert.False(IsOpen(await visitor.GetAsync($"/studio/desk/{id}"), settled));
        var version = (await site.Sessions.VersionAsync(id, null, CancellationToken.None))!;
        var shorter = version.Timeline with { Phases = [.. version.Timeline.Phases.Select(p => p.Kind == PhaseKind.WarmUp ? p with { Span = new(p.Span.Start, p.Span.End - new Seconds(9)) } : p)] };
        await site.Sessions.SaveAsync(id, version.Number, shorter, "edge moved", null, CancellationToken.None);
        var again = await visitor.GetAsync($"/studio/desk/{id}");
        Assert.Contains(again.Page.QuerySelectorAll("form[action*='handler=Settle'] input[name=fingerprint]"), i => i.GetAttribute("value")!.StartsWith("short-warm-up", StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_finding_that_is_gone_is_not_settled_blindly()
    {
        var (visitor, _, desk) = await DeskAsync();
        Assert.Contains("That finding is gone", (await visitor.SubmitAsync(desk, "form[action*='handler=Settle']", new() { ["fingerprint"] = "made-up|1|x", ["decision"] = "fixed" }, swap: true)).Text);
    }

    [Theory]
    [InlineData("impact", "What prevails would say")]
    [InlineData("level", "The whole class would say")]
    [InlineData("energy", "MET x 3.5 x 70 kg / 200 x minutes")]
    [InlineData("time", "never as promised")]
    public async Task Every_number_of_a_session_opens_to_its_sum(string key, string says)
    {
        var member = await site.AsAsync("member");
        var why = (await member.GetAsync($"/session/{site.Published}")).Page.QuerySelector($"#why-{key}")!;
        Assert.Contains(says, why.TextContent);
        Assert.NotEmpty(why.QuerySelectorAll("table.sum tr"));
    }

    [Fact]
    public async Task The_calculator_works_out_lengths_without_script()
    {
        var page = await (await site.AsAsync("cataloguer")).GetAsync(
            "/studio/calculator?WarmUp=5:00&CoolDown=3:00&Break=1:00&Target=25:00&Blocks[0].Kind=Intervals&Blocks[0].Moves=6&Blocks[0].Work=0:40&Blocks[0].Rest=0:20&Blocks[0].Rounds=2&Blocks[0].RoundRest=1:00");
        Assert.Equal("20:20", page.Page.QuerySelector(".tiles dd")!.TextContent);
        Assert.NotEmpty(page.Page.QuerySelectorAll("svg.strip rect.bout"));
        Assert.NotEmpty(page.Page.QuerySelectorAll(".ways a"));
        var way = await (await site.AsAsync("cataloguer")).GetAsync(page.Page.QuerySelector(".ways a")!.GetAttribute("href")!);
        Assert.Contains(page.Page.QuerySelector(".ways .quiet")!.TextContent.Replace("comes to ", "", StringComparison.Ordinal).Trim(), way.Page.QuerySelector(".tiles dd")!.TextContent);
    }

    [Theory]
    [InlineData("WarmUp=soon", "\"soon\" is not a time")]
    [InlineData("Blocks[0].Moves=0", "Moves must be 1 to 30")]
    [InlineData("Blocks[0].Rounds=five", "\"five\" is not a number")]
    [InlineData("Blocks[0].Kind=RepSets&Blocks[0].Tempo=fast", "\"fast\" is not a number")]
    public async Task Numbers_that_can_not_be_are_named_and_kept(string query, string says)
    {
        var page = await (await site.AsAsync("cataloguer")).GetAsync("/studio/calculator?" + query);
        Assert.Contains(says, page.Page.QuerySelector("[role=alert]")!.TextContent);
        Assert.Contains(page.Page.QuerySelectorAll("input"), i => i.GetAttribute("value") == query.Split('=')[^1]);
    }

    [Fact]
    public async Task A_plan_is_kept_opened_and_put_away()
    {
        var visitor = await site.AsAsync("cataloguer");
        var page = await visitor.GetAsync("/studio/calculator?WarmUp=6:00&Blocks[0].Kind=Ladder&Blocks[0].Moves=4&Blocks[0].Work=0:30&Blocks[0].Rest=0:00");
        var length = page.Page.QuerySelector(".tiles dd")!.TextContent;
        Assert.Contains("Give the plan a title", (await visitor.SubmitAsync(page, "form.keep", new() { ["Title"] = " " })).Text);
        var kept = await visitor.SubmitAsync(page, "form.keep", new() { ["Title"] = "Ladder for spring" });
        Assert.Equal(HttpStatusCode.Redirect, kept.Status);
        var opened = await visitor.GetAsync(kept.Location!.ToString());
        Assert.Equal(length, opened.Page.QuerySelector(".tiles dd")!.TextContent);
        var row = opened.Page.QuerySelectorAll(".lines li").First(li => li.TextContent.Contains("Ladder for spring", StringComparison.Ordinal));
        await visitor.SubmitAsync(opened, ".lines form", new() { ["plan"] = row.QuerySelector("input[name=plan]")!.GetAttribute("value")! });
        var away = await visitor.GetAsync("/studio/calculator");
        Assert.Contains("is put away", away.Text);
        Assert.DoesNotContain(away.Page.QuerySelectorAll(".lines li"), li => li.TextContent.Contains("Ladder for spring", StringComparison.Ordinal));
        await visitor.SubmitAsync(away, "form.undo", []);
        Assert.Contains("Ladder for spring", (await visitor.GetAsync("/studio/calculator")).Text);
    }

    [Fact]
    public async Task Settings_show_what_changes_before_they_are_saved_and_then_hold_everywhere()
    {
        var manager = await site.AsAsync("manager");
        var preview = await manager.GetAsync("/studio/settings?Level=WholeClass&Impact=Prevailing");
        Assert.Contains("would change", preview.Text);
        Assert.Equal(MeasureSettings.Usual, await site.Factory.Services.GetRequiredService<SettingStore>().FindAsync(CancellationToken.None));
        try
        {
            Assert.Equal(HttpStatusCode.Redirect, (await manager.SubmitAsync(preview, "form[method=post]:not(.who)", [], action: "/studio/settings")).Status);
            Assert.Equal(LevelSchool.WholeClass, site.Factory.Services.GetRequiredService<StudioSettings>().Current.Level);
            Assert.Contains("The hardest five minutes would say", (await manager.GetAsync($"/session/{site.Published}")).Text);
        }
        finally
        {
            await site.Factory.Services.GetRequiredService<SettingStore>().SaveAsync(MeasureSettings.Usual, null, CancellationToken.None);
            await site.Factory.Services.GetRequiredService<Catalogue>().RefreshAsync(CancellationToken.None);
        }
    }

    [Fact]
    public async Task Weights_that_can_not_be_are_refused()
    {
        var weights = string.Join('&', Enumerable.Range(0, 8).Select(i => $"Weights[{i}]={(i == 0 ? "120" : "10")}"));
        Assert.Contains("whole number from 0 to 100", (await (await site.AsAsync("manager")).GetAsync("/studio/settings?" + weights)).Text);
    }
}
