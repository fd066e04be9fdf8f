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
        Assert.Contains("Nothing keeps to all your limits", answer.Text);
        Assert.Contains("getting to the floor", answer.Text);
    }

    [Theory]
    [InlineData("Input.Minutes", "4", "between 5 and 180")]
    [InlineData("Input.Minutes", "soon", "soon")]
    [InlineData("Input.Level", "9", "1 to 5")]
    [InlineData("Input.Goals", "fame", "fame")]
    [InlineData("Input.Age", "9", "between 13 and 110")]
    [InlineData("Input.Mass", "heavy", "heavy")]
    [InlineData("Input.Loads[dumbbell]", "lots", "lots")]
    [InlineData("Input.LikedMoves", "squats, qqqzzz", "qqqzzz")]
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

    [Fact]
    public async Task Answers_to_the_questions_set_the_level_and_loads_are_kept_in_kilograms()
    {
        var member = await site.AsAsync("asked");
        var form = await member.GetAsync("/profile");
        await member.SubmitAsync(
            form, "form[method=post]:not(.who)",
            new() { ["Input.Answers[0]"] = "2", ["Input.Answers[1]"] = "2", ["Input.Answers[2]"] = "2", ["Input.Unit"] = "Pounds", ["Input.Loads[dumbbell]"] = "20", ["Input.LikedMoves"] = "press ups" },
            action: "/profile");
        var back = await member.GetAsync("/profile");
        Assert.Contains("level 5 suits you", back.Text);
        Assert.Equal("5", back.Page.QuerySelector("#Input_Level option[selected]")!.GetAttribute("value"));
        Assert.Equal("20", back.Page.QuerySelector("input[name='Input.Loads[dumbbell]']")!.GetAttribute("value"));
        Assert.Contains("Push-up", back.Page.QuerySelector("#Input_LikedMoves")!.GetAttribute("value"));
        Assert.Contains("9.07", await (await member.GetAsync("/profile?handler=Export")).Response.Content.ReadAsStringAsync());
    }

    [Fact]
    public async Task A_session_is_logged_pain_brings_the_care_text_and_the_entry_can_go()
    {
        var member = await site.AsAsync("doer");
        var form = await member.GetAsync($"/log/add?s={site.Published}&pace=ease");
        Assert.True(form.Page.QuerySelector("input[value=Eased]")!.HasAttribute("checked"));
        var refused = await member.SubmitAsync(form, "main form", new() { ["Input.Effort"] = "11", ["Input.On"] = "2031-01-01" }, action: $"/log/add?s={site.Published}");
        Assert.Contains("0 to 10", refused.Page.QuerySelector("[role=alert]")!.TextContent);
        Assert.Contains("today at the latest", refused.Page.QuerySelector("[role=alert]")!.TextContent);
        await member.SubmitAsync(form, "main form", new() { ["Input.Effort"] = "8", ["Input.Pain"] = "right shoulder" }, action: $"/log/add?s={site.Published}");
        var log = await member.GetAsync("/log");
        Assert.Contains("1 session done", log.Text);
        Assert.Contains("Pain means stop", log.Page.QuerySelector("[role=alert]")!.TextContent);
        Assert.Contains("right shoulder", log.Text);
        Assert.Contains("right shoulder", await (await member.GetAsync("/profile?handler=Export")).Response.Content.ReadAsStringAsync());
        await member.SubmitAsync(log, "form[action*=Remove]", []);
        Assert.Contains("Nothing logged yet", (await member.GetAsync("/log")).Text);
    }

    [Fact]
    public async Task Not_today_takes_a_session_away_until_it_is_brought_back()
    {
        var member = await site.AsAsync("moody");
        var before = await member.GetAsync("/for-me");
        Assert.Contains("Published Class", before.Page.QuerySelector("h1, .row")!.TextContent + before.Text);
        await member.SubmitAsync(before, "form[action*=NotToday]", []);
        var after = await member.GetAsync("/for-me");
        Assert.Empty(after.Page.QuerySelectorAll(".row"));
        Assert.Contains("you said", after.Text);
        await member.SubmitAsync(after, "form[action*=TakeBack]", []);
        Assert.NotEmpty((await member.GetAsync("/for-me")).Page.QuerySelectorAll(".row"));
    }

    [Fact]
    public async Task More_like_this_can_be_said_and_taken_back()
    {
        var member = await site.AsAsync("keen");
        await member.SubmitAsync(await member.GetAsync("/for-me"), "form[action*=MoreLike]", []);
        var said = await member.GetAsync("/for-me");
        Assert.Contains("You asked for more like it", said.Text);
        await member.SubmitAsync(said, "form[action*=TakeBack]", []);
        Assert.DoesNotContain("You asked for more like it", (await member.GetAsync("/for-me")).Text);
    }

    [Fact]
    public async Task A_session_says_why_it_is_not_suggested()
    {
        var member = await site.AsAsync("strict");
        await member.SubmitAsync(await member.GetAsync("/profile"), "form[method=post]:not(.who)", new() { ["Input.Minutes"] = "5", ["Input.Spare"] = "getting to the floor" }, action: "/profile");
        Assert.Contains("It is not suggested, because", (await member.GetAsync($"/session/{site.Published}")).Text);

        var easy = await site.AsAsync("easy");
        await easy.SubmitAsync(await easy.GetAsync("/profile"), "form[method=post]:not(.who)", new() { ["Input.Minutes"] = "30", ["Input.Age"] = "40", ["Input.Mass"] = "80" }, action: "/profile");
        var page = (await easy.GetAsync($"/session/{site.Published}")).Text;
        Assert.Contains("it keeps to all your limits", page);
        Assert.Contains("Energy at 80 kg", page);
        Assert.Contains("beats a minute", page);
    }

    [Fact]
    public async Task A_search_is_saved_opened_and_forgotten_by_its_owner_only()
    {
        var member = await site.AsAsync("saver");
        var find = await member.GetAsync("/find?to=20&noise=quiet");
        var nameless = await member.SubmitAsync(find, ".save-search", new() { ["name"] = " " });
        Assert.Contains("Give the search a name", nameless.Text);
        await member.SubmitAsync(find, ".save-search", new() { ["name"] = "Lunch break" });
        var saved = await member.GetAsync("/find");
        Assert.Equal("/find?to=20&noise=quiet", saved.Page.QuerySelector(".saved a")!.GetAttribute("href"));
        Assert.DoesNotContain("Lunch break", (await (await site.AsAsync("other")).GetAsync("/find")).Text);
        await member.SubmitAsync(saved, "form[action*=Forget]", []);
        Assert.DoesNotContain("Lunch break", (await member.GetAsync("/find")).Text);
    }

    [Theory]
    [InlineData("/find?words=pres+ups", 1)]
    [InlineData("/find?rest=chest", 0)]
    [InlineData("/find?without=floor", 0)]
    [InlineData("/find?coach=Nobody", 0)]
    public async Task Facets_and_words_narrow(string url, int fit) =>
        Assert.Contains(fit == 1 ? "1 session fits" : "0 sessions fit", (await (await site.AsAsync("member")).GetAsync(url)).Text);

    [Fact]
    public async Task What_is_set_stands_as_a_chip_that_takes_it_away()
    {
        var answer = await (await site.AsAsync("member")).GetAsync("/find?to=20&impact=low");
        var chips = answer.Page.QuerySelectorAll(".chip").Select(c => c.GetAttribute("href")).ToList();
        Assert.Equal(["/find?impact=low", "/find?to=20"], chips);
    }
}
