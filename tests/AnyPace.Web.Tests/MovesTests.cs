using System.Net;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;

namespace AnyPace.Web.Tests;

/// <summary>The moves page, for members and for the studio.</summary>
public sealed class MovesTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task Moves_are_found_by_any_name_roughly_spelled()
    {
        var member = await site.AsAsync("member");
        var answer = await member.GetAsync("/moves?q=presup");
        Assert.Contains("Push-up", (await member.GetAsync("/moves?q=press+up")).Text);
        Assert.Contains("Clamshell", (await member.GetAsync("/moves?q=clam+shall")).Text);
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains("Nothing goes by that name", (await member.GetAsync("/moves?q=zzzz")).Text);
    }

    [Fact]
    public async Task Families_lead_to_their_moves_and_a_swap_brings_only_the_list()
    {
        var member = await site.AsAsync("member");
        var all = await member.GetAsync("/moves");
        Assert.Contains("squats", all.Text);
        var squats = await member.GetAsync("/moves?family=squats", swap: true);
        Assert.Contains("Goblet squat", squats.Text);
        Assert.DoesNotContain("Deadlift", squats.Text);
        Assert.Null(squats.Page.QuerySelector("header"));
    }

    [Fact]
    public async Task A_move_shows_who_works_its_neighbours_and_where_it_is_done()
    {
        var member = await site.AsAsync("member");
        var page = await member.GetAsync("/moves/squat");
        Assert.Contains("quads, glutes", page.Text);
        Assert.Contains("Chair squat", page.Text);
        Assert.Contains("Compendium", page.Text);
        Assert.Contains("Published Class", page.Text);
        Assert.NotNull(page.Page.QuerySelector("svg.figure[role=img][aria-label*=quads]"));
        Assert.Contains("Made of", (await member.GetAsync("/moves/reverse-lunge+biceps-curl")).Text);
        Assert.Equal(HttpStatusCode.NotFound, (await member.GetAsync("/moves/nothing")).Status);
    }

    [Fact]
    public async Task The_studio_gives_a_move_a_name_that_is_found_and_takes_it_back()
    {
        var manager = await site.AsAsync("manager");
        var page = await manager.GetAsync("/studio/moves/squat/names");
        var answer = await manager.SubmitAsync(page, "form[action*=Add]", new() { ["Name"] = "miller's dip" });
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        Assert.Contains("Squat", (await manager.GetAsync("/moves?q=miller%27s+dip")).Text);
        page = await manager.GetAsync("/studio/moves/squat/names");
        Assert.Contains("miller's dip", page.Text);
        await manager.SubmitAsync(page, "form[action*=Remove]", []);
        page = await manager.GetAsync("/studio/moves/squat/names");
        Assert.Contains("is removed", page.Text);
        Assert.Contains("Nothing goes by that name", (await manager.GetAsync("/moves?q=miller%27s+dip")).Text);
        await manager.SubmitAsync(page, "form.kept", []);
        Assert.Contains("Squat", (await manager.GetAsync("/moves?q=miller%27s+dip")).Text);
    }

    [Theory]
    [InlineData("x", "2 to 60")]
    [InlineData("press-up", "Another move goes by that name")]
    public async Task A_name_that_won_t_do_is_refused_with_the_reason(string name, string said)
    {
        var manager = await site.AsAsync("manager");
        var answer = await manager.SubmitAsync(await manager.GetAsync("/studio/moves/lunge/names"), "form[action*=Add]", new() { ["Name"] = name });
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains(said, answer.Page.QuerySelector("[role=alert]")!.TextContent);
        Assert.Equal(name, answer.Page.QuerySelector("#Name")!.GetAttribute("value"));
    }

    [Fact]
    public async Task The_studio_adds_a_move_and_takes_it_out_of_use()
    {
        var manager = await site.AsAsync("manager");
        var form = await manager.GetAsync("/studio/moves/new?name=Mill+wheel");
        Assert.Equal("Mill wheel", form.Page.QuerySelector("#Input_Name")!.GetAttribute("value"));
        var answer = await manager.SubmitAsync(form, "main form", new() { ["Input.Like"] = "Squat", ["Input.OtherNames"] = "wheel of the mill, miller's wheel" }, action: "/studio/moves/new");
        Assert.Equal("/moves/studio-mill-wheel", answer.Location!.ToString());
        var page = await manager.GetAsync("/moves/studio-mill-wheel");
        Assert.Contains("wheel of the mill", page.Text);
        Assert.Contains("quads, glutes", page.Text);
        var names = await manager.GetAsync("/studio/moves/studio-mill-wheel/names");
        await manager.SubmitAsync(names, "form[action*=Retire]", []);
        Assert.Contains("Out of use", (await manager.GetAsync("/moves/studio-mill-wheel")).Text);
        var again = await manager.SubmitAsync(form, "main form", new() { ["Input.Like"] = "Squat" }, action: "/studio/moves/new");
        Assert.Contains("already", again.Page.QuerySelector("[role=alert]")!.TextContent);
    }

    [Fact]
    public async Task A_move_of_our_own_is_changed_and_keeps_its_place()
    {
        var manager = await site.AsAsync("manager");
        await manager.SubmitAsync(
            await manager.GetAsync("/studio/moves/new"), "main form", new() { ["Input.Name"] = "Ferry hop", ["Input.Like"] = "Squat", ["Input.Kit"] = "towel" }, action: "/studio/moves/new");
        Assert.Contains("/studio/moves/studio-ferry-hop/change", (await manager.GetAsync("/moves/studio-ferry-hop")).Page.QuerySelector(".actions")!.InnerHtml);
        var form = await manager.GetAsync("/studio/moves/studio-ferry-hop/change");
        Assert.Equal("Squat", form.Page.QuerySelector("#Input_Like")!.GetAttribute("value"));
        Assert.Equal("towel", form.Page.QuerySelector("#Input_Kit")!.GetAttribute("value"));
        var refused = await manager.SubmitAsync(form, "main form", new() { ["Input.Name"] = "Lunge" }, action: "/studio/moves/studio-ferry-hop/change");
        Assert.Contains("already", refused.Page.QuerySelector("[role=alert]")!.TextContent);
        var fields = new Dictionary<string, string> { ["Input.Name"] = "Ferry leap", ["Input.Like"] = "Jumping jack", ["Input.Kit"] = "none", ["Input.OtherNames"] = "leap of the ferry" };
        var answer = await manager.SubmitAsync(form, "main form", fields, action: "/studio/moves/studio-ferry-hop/change");
        Assert.Equal("/moves/studio-ferry-hop", answer.Location!.ToString());
        var page = await manager.GetAsync("/moves/studio-ferry-hop");
        Assert.Contains("Ferry leap", page.Text);
        Assert.DoesNotContain("towel", page.Text);
        Assert.Contains("Ferry leap", (await manager.GetAsync("/moves?q=leap+of+the+ferry")).Text);
        Assert.Equal(HttpStatusCode.NotFound, (await manager.GetAsync("/studio/moves/squat/change")).Status);
    }

    [Fact]
    public async Task Read_again_on_the_desk_captions_know_a_name_that_was_added_since()
    {
        var manager = await site.AsAsync("manager");
        var captions = CaptionReader.Read("[0:00] welcome everybody\n[0:20] first up squats here we go\n[1:00] and rest\n[1:20] next up otterslides three two one go\n[2:00] and rest well done");
        var id = await site.Sessions.TakeInAsync(
            new SessionFacts("Otters", "Ottoline Vane", new DateOnly(2026, 10, 1), 2), "otters.txt", CaptionWriter.WebVtt(captions.Cues), new CaptionReading(MoveLexicon.Default).Read(captions), null, CancellationToken.None);
        var nothing = await manager.SubmitAsync(await manager.GetAsync($"/studio/desk/{id}"), "form[action*=ReadAgain]", []);
        Assert.Contains("say nothing else", nothing.Text, StringComparison.Ordinal);
        Assert.Equal(1, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);

        await manager.SubmitAsync(await manager.GetAsync("/studio/moves/skater/names"), "form[action*=Add]", new() { ["Name"] = "otterslide" });
        await manager.SubmitAsync(await manager.GetAsync($"/studio/desk/{id}"), "form[action*=ReadAgain]", []);
        Assert.Contains((await site.Sessions.VersionAsync(id, 2, CancellationToken.None))!.Timeline.Bouts, b => b.MoveId == "skater" && b.Span.Start.Value > 70);
    }

    [Theory]
    [InlineData("Input.Name", "", "Give it a name")]
    [InlineData("Input.Name", "Press up", "Another move goes by that name")]
    [InlineData("Input.Like", "", "most like")]
    [InlineData("Input.Like", "Teleport", "Teleport")]
    public async Task Every_field_of_a_new_move_is_checked(string field, string value, string said)
    {
        var manager = await site.AsAsync("manager");
        var fields = new Dictionary<string, string> { ["Input.Name"] = "Brook step", ["Input.Like"] = "Side step", [field] = value };
        var answer = await manager.SubmitAsync(await manager.GetAsync("/studio/moves/new"), "main form", fields, action: "/studio/moves/new");
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains(said, answer.Page.QuerySelector("[role=alert]")!.TextContent);
    }

    [Theory]
    [InlineData("/studio/moves/new")]
    [InlineData("/studio/moves/studio-mill-wheel/change")]
    [InlineData("/studio/moves/squat/names")]
    public async Task Members_add_nothing(string url)
    {
        var answer = await (await site.AsAsync("member")).GetAsync(url);
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        Assert.StartsWith("/account/denied", answer.Location!.PathAndQuery, StringComparison.Ordinal);
        Assert.DoesNotContain("Our names", (await (await site.AsAsync("member")).GetAsync("/moves/squat")).Text);
    }
}
