using System.Net;

namespace AnyPace.Web.Tests;

public sealed class AccessTests(Site site) : IClassFixture<Site>
{
    [Theory]
    [InlineData("/")]
    [InlineData("/find")]
    [InlineData("/for-me")]
    [InlineData("/profile")]
    [InlineData("/compare")]
    [InlineData("/moves")]
    [InlineData("/moves/squat")]
    [InlineData("/studio/today")]
    [InlineData("/studio/take-in")]
    [InlineData("/studio/library")]
    [InlineData("/studio/coverage")]
    [InlineData("/studio/calculator")]
    [InlineData("/studio/settings")]
    public async Task Strangers_are_sent_to_sign_in(string url)
    {
        var answer = await new Visitor(site.Factory).GetAsync(url);
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        Assert.StartsWith("/account/sign-in", answer.Location!.PathAndQuery, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/studio/today")]
    [InlineData("/studio/take-in")]
    [InlineData("/studio/library")]
    [InlineData("/studio/coverage")]
    [InlineData("/studio/calculator")]
    [InlineData("/studio/settings")]
    [InlineData("/studio/desk/")]
    public async Task Members_can_not_open_the_studio(string url)
    {
        var member = await site.AsAsync("member");
        var answer = await member.GetAsync(url.EndsWith("desk/", StringComparison.Ordinal) ? url + site.Published : url);
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        Assert.StartsWith("/account/denied", answer.Location!.PathAndQuery, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Members_can_not_post_to_the_desk_either()
    {
        var member = await site.AsAsync("member");
        var find = await member.GetAsync("/profile");
        var token = find.Page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        var answer = await member.PostBareAsync($"/studio/desk/{site.Published}?handler=Withdraw", new() { ["__RequestVerificationToken"] = token });
        Assert.Equal(HttpStatusCode.Redirect, answer.StatusCode);
        Assert.NotNull((await site.Sessions.FindAsync(site.Published, CancellationToken.None))!.Published);
    }

    [Fact]
    public async Task A_member_never_sees_another_members_profile()
    {
        var owner = await site.AsAsync("other");
        await owner.SubmitAsync(await owner.GetAsync("/profile"), "form[method=post]:not(.who)", new() { ["Input.Minutes"] = "37" }, action: "/profile");
        Assert.Equal("37", (await owner.GetAsync("/profile")).Page.QuerySelector("#Input_Minutes")!.GetAttribute("value"));
        var member = await site.AsAsync("member");
        Assert.NotEqual("37", (await member.GetAsync("/profile")).Page.QuerySelector("#Input_Minutes")!.GetAttribute("value"));
        Assert.DoesNotContain("37", await (await member.GetAsync("/profile?handler=Export")).Response.Content.ReadAsStringAsync());
    }

    [Theory]
    [InlineData("manager", "/studio/today")]
    [InlineData("cataloguer", "/studio/today")]
    [InlineData("member", "/find")]
    public async Task Everyone_begins_in_their_room(string name, string url)
    {
        var visitor = await site.AsAsync(name);
        Assert.Equal(url, (await visitor.GetAsync("/")).Location!.ToString());
        Assert.Equal(HttpStatusCode.OK, (await visitor.GetAsync(url)).Status);
    }

    [Fact]
    public async Task Five_wrong_passwords_close_the_account_for_a_while()
    {
        var visitor = new Visitor(site.Factory);
        Answer answer = await visitor.GetAsync("/account/sign-in");
        for (var i = 0; i < 5; i++)
        {
            answer = await visitor.SubmitAsync(answer, "form", new() { ["Input.Name"] = "victim", ["Input.Password"] = "wrong" });
            Assert.Equal(HttpStatusCode.OK, answer.Status);
        }

        Assert.Contains("closed for ten minutes", answer.Text);
        answer = await visitor.SubmitAsync(answer, "form", new() { ["Input.Name"] = "victim", ["Input.Password"] = Site.Password });
        Assert.Equal(HttpStatusCode.OK, answer.Status);
    }

    [Fact]
    public async Task A_post_without_its_token_is_refused()
    {
        var manager = await site.AsAsync("manager");
        var answer = await manager.PostBareAsync($"/studio/desk/{site.Published}?handler=Withdraw", []);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains("gone stale", await answer.Content.ReadAsStringAsync());
        Assert.NotNull((await site.Sessions.FindAsync(site.Published, CancellationToken.None))!.Published);
    }

    [Fact]
    public async Task One_click_sign_in_exists_in_the_demo_and_only_there()
    {
        var visitor = new Visitor(site.Factory);
        var page = await visitor.GetAsync("/account/sign-in");
        Assert.Null(page.Page.QuerySelector(".demo-door"));
        var answer = await visitor.SubmitAsync(page, "form", new() { ["name"] = "manager" }, action: "/account/sign-in?handler=Demo");
        Assert.Equal(HttpStatusCode.NotFound, answer.Status);

        await using var demo = site.Node(demo: true);
        var guest = new Visitor(demo);
        var door = await guest.GetAsync("/account/sign-in");
        Assert.Equal(5, door.Page.QuerySelectorAll(".demo-door button").Length);
        Assert.Equal(HttpStatusCode.Redirect, (await guest.SubmitAsync(door, ".demo-door form", new() { ["name"] = "manager" })).Status);
        Assert.Equal(HttpStatusCode.OK, (await guest.GetAsync("/studio/today")).Status);
    }

    [Fact]
    public async Task Too_many_attempts_from_one_place_are_slowed()
    {
        await using var strict = site.Factory.WithWebHostBuilder(b => b.UseSetting("SignInPerMinute", "3"));
        var visitor = new Visitor(strict);
        var page = await visitor.GetAsync("/account/sign-in");
        HttpStatusCode last = default;
        for (var i = 0; i < 4; i++)
        {
            last = (await visitor.SubmitAsync(page, "form", new() { ["Input.Name"] = "nobody", ["Input.Password"] = "x" })).Status;
        }

        Assert.Equal(HttpStatusCode.TooManyRequests, last);
    }

    [Fact]
    public async Task Pages_allow_nothing_inline_and_nothing_from_outside()
    {
        var visitor = await site.AsAsync("manager");
        foreach (var url in new[] { "/studio/today", $"/studio/desk/{site.Published}", "/studio/take-in", "/studio/calculator", "/studio/settings", "/find", $"/session/{site.Published}", "/for-me", "/profile" })
        {
            var answer = await visitor.GetAsync(url);
            var policy = answer.Response.Headers.GetValues("Content-Security-Policy").Single();
            Assert.DoesNotContain("unsafe", policy);
            Assert.Contains("default-src 'none'", policy);
            Assert.Empty(answer.Page.QuerySelectorAll("[style], style, script:not([src]), [onclick]"));
            Assert.All(answer.Page.QuerySelectorAll("[src], link[href]"), e => Assert.StartsWith("/", e.GetAttribute("src") ?? e.GetAttribute("href")!, StringComparison.Ordinal));
        }
    }

    [Fact]
    public async Task A_return_address_outside_is_not_followed()
    {
        var visitor = new Visitor(site.Factory);
        var page = await visitor.GetAsync("/account/sign-in?returnUrl=https://elsewhere.invalid/");
        var answer = await visitor.SubmitAsync(page, "form", new() { ["Input.Name"] = "member", ["Input.Password"] = Site.Password });
        Assert.Equal("/", answer.Location!.ToString());
    }

    [Fact]
    public async Task A_cookie_from_one_node_opens_another()
    {
        await using var second = site.Factory.WithWebHostBuilder(_ => { });
        var first = site.Factory.CreateClient(new() { AllowAutoRedirect = false, HandleCookies = false });
        var page = await first.GetAsync("/account/sign-in");
        var html = await page.Content.ReadAsStringAsync();
        var token = System.Text.RegularExpressions.Regex.Match(html, "__RequestVerificationToken\" type=\"hidden\" value=\"([^\"]+)").Groups[1].Value;
        using var request = new HttpRequestMessage(HttpMethod.Post, "/account/sign-in")
        {
            Content = new FormUrlEncodedContent(new Dictionary<string, string> { ["Input.Name"] = "member", ["Input.Password"] = Site.Password, ["__RequestVerificationToken"] = token }),
        };
        request.Headers.Add("Cookie", page.Headers.GetValues("Set-Cookie").Select(c => c.Split(';')[0]));
        var signed = await first.SendAsync(request);
        using var ask = new HttpRequestMessage(HttpMethod.Get, "/find");
        ask.Headers.Add("Cookie", signed.Headers.GetValues("Set-Cookie").Select(c => c.Split(';')[0]));
        Assert.Equal(HttpStatusCode.OK, (await second.CreateClient(new() { AllowAutoRedirect = false, HandleCookies = false }).SendAsync(ask)).StatusCode);
    }

    [Fact]
    public async Task Health_answers_without_signing_in() => Assert.Equal(HttpStatusCode.OK, (await new Visitor(site.Factory).GetAsync("/health")).Status);

    [Fact]
    public async Task What_is_not_there_says_so_kindly()
    {
        var member = await site.AsAsync("member");
        var answer = await member.GetAsync($"/session/{Guid.NewGuid()}");
        Assert.Equal(HttpStatusCode.NotFound, answer.Status);
        Assert.Contains("Not here", answer.Text);
    }
}
