using System.Net;

namespace AnyPace.Web.Tests;

public sealed class MemberTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task Find_shows_what_is_published_with_a_count_beside_every_value()
    {
        var member = await site.AsAsync("member");
        var answer = await member.GetAsync("/find");
        Assert.Contains("1 session fits", answer.Text);
        Assert.Contains("Published Class", answer.Text);
        Assert.All(answer.Page.QuerySelectorAll(".rail .tick"), t => Assert.Matches(@"\d+$", t.TextContent.Trim()));
    }

    [Fact]
    public async Task The_url_is_the_state()
    {
        var member = await site.AsAsync("member");
        var answer = await member.GetAsync("/find?impact=high&to=3");
        Assert.Contains("0 sessions fit", answer.Text);
        Assert.NotNull(answer.Page.QuerySelector("input[name=impact][value=high][checked]"));
        Assert.Equal("3", answer.Page.QuerySelector("input[name=to]")!.GetAttribute("value"));
        Assert.NotEmpty(answer.Page.QuerySelectorAll(".relax a.button"));
        var step = answer.Page.QuerySelector(".relax a.button")!.GetAttribute("href")!;
        Assert.DoesNotContain("0 sessions fit", (await member.GetAsync(step)).Text);
    }

    [Fact]
    public async Task A_swap_is_the_same_part_of_the_page()
    {
        var member = await site.AsAsync("member");
        var whole = await member.GetAsync("/find?level=2");
        var part = await member.GetAsync("/find?level=2", swap: true);
        Assert.Null(part.Page.QuerySelector("header.top"));
        Assert.Equal(whole.Page.QuerySelector("#find h1")!.TextContent, part.Page.QuerySelector("#find h1")!.TextContent);
        Assert.Contains("HX-Request", part.Response.Headers.Vary);
    }

    [Fact]
    public async Task Nonsense_in_a_link_is_ignored()
    {
        var member = await site.AsAsync("member");
        Assert.Equal(HttpStatusCode.OK, (await member.GetAsync("/find?impact=9&level=x&from=abc&pace=warp&sort=&focus=%00")).Status);
    }

    [Theory]
    [InlineData("", "Tick two to four")]
    [InlineData("?s=nonsense", "Tick two to four")]
    [InlineData("?s=ONE", "Tick two to four")]
    [InlineData("?s=ONE&s=00000000-0000-0000-0000-000000000001", "no longer published")]
    public async Task A_comparison_that_can_not_be_says_why(string query, string said)
    {
        var member = await site.AsAsync("member");
        Assert.Contains(said, (await member.GetAsync("/compare" + query.Replace("ONE", site.Published.ToString(), StringComparison.Ordinal))).Text);
    }

    [Fact]
    public async Task A_session_speaks_of_the_chosen_pace_and_carries_the_care_text()
    {
        var member = await site.AsAsync("member");
        var answer = await member.GetAsync($"/session/{site.Published}?pace=ease");
        Assert.Contains("level at Ease", answer.Text);
        Assert.Contains("ask a qualified professional", answer.Text);
        Assert.Contains("in place of push-up", answer.Text);
        Assert.Equal("true", answer.Page.QuerySelector(".paces a[href*=ease]")!.GetAttribute("aria-current"));
    }

    [Fact]
    public async Task For_me_follows_the_profile_and_gives_reasons()
    {
        var member = await site.AsAsync("member");
        var form = await member.GetAsync("/profile");
        await member.SubmitAsync(form, "form[method=post]:not(.who)", new() { ["Input.Minutes"] = "5", ["Input.Level"] = "2", ["Input.Kit"] = "mat" }, action: "/profile");
        var answer = await member.GetAsync("/for-me");
        Assert.Contains("Published Class would suit you now", answer.Text);
        Assert.NotEmpty(answer.Page.QuerySelectorAll(".row .for"));

        await member.SubmitAsync(form, "form[method=post]:not(.who)", new() { ["Input.Minutes"] = "5", ["Input.Spare"] = "getting to the floor" }, action: "/profile");
        answer = await member.GetAsync("/for-me");
        Assert.Contains("Nothing fits your limits", answer.Text);
        Assert.Contains("getting to the floor", answer.Text);
    }

    [Theory]
    [InlineData("Input.Minutes", "4", "between 5 and 180")]
    [InlineData("Input.Minutes", "soon", "soon")]
    [InlineData("Input.Level", "9", "1 to 5")]
    [InlineData("Input.Goal", "fame", "fame")]
    [InlineData("Input.Kit", "trampoline", "trampoline")]
    [InlineData("Input.Spare", "ego", "ego")]
    public async Task A_profile_that_can_not_be_is_refused_with_the_reason(string field, string value, string said)
    {
        var member = await site.AsAsync("member");
        var answer = await member.SubmitAsync(await member.GetAsync("/profile"), "form[method=post]:not(.who)", new() { [field] = value }, action: "/profile");
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains(said, answer.Page.QuerySelector("[role=alert]")!.TextContent);
    }

    [Fact]
    public async Task A_profile_is_exported_and_deleted_by_its_owner()
    {
        var member = await site.AsAsync("other");
        var form = await member.GetAsync("/profile");
        await member.SubmitAsync(form, "form[method=post]:not(.who)", new() { ["Input.Minutes"] = "33", ["Input.Spare"] = "knees" }, action: "/profile");
        var export = await member.GetAsync("/profile?handler=Export");
        Assert.Equal("application/json", export.Response.Content.Headers.ContentType!.MediaType);
        Assert.Contains("knees", await export.Response.Content.ReadAsStringAsync());
        await member.SubmitAsync(form, "form[action*=Delete]", []);
        Assert.DoesNotContain("33", await (await member.GetAsync("/profile?handler=Export")).Response.Content.ReadAsStringAsync());
    }
}
