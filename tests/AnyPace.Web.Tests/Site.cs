using System.Net;
using AngleSharp;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Data;
using AnyPace.Data.Accounts;
using AnyPace.Data.Sessions;
using AnyPace.Data.Tests;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;

namespace AnyPace.Web.Tests;

/// <summary>The real site over a real database, asked without a browser.</summary>
public sealed class Site : IAsyncLifetime
{
    public const string Password = "a long enough password";

    private readonly TestDatabase _database = new();
    private WebApplicationFactory<Program>? _factory;

    public WebApplicationFactory<Program> Factory => _factory!;

    public SessionStore Sessions => Factory.Services.GetRequiredService<SessionStore>();

    public Guid Published { get; private set; }

    public async Task InitializeAsync()
    {
        await _database.InitializeAsync();
        _factory = Node(demo: false);
        var accounts = Factory.Services.GetRequiredService<AccountStore>();
        foreach (var (name, role) in new[] { ("manager", Roles.Manager), ("cataloguer", Roles.Cataloguer), ("member", Roles.Member), ("other", Roles.Member), ("victim", Roles.Member), ("asked", Roles.Member), ("doer", Roles.Member), ("moody", Roles.Member), ("keen", Roles.Member), ("strict", Roles.Member), ("saver", Roles.Member), ("easy", Roles.Member) })
        {
            var account = new Account { Name = name, NormalizedName = name.ToUpperInvariant(), DisplayName = name, Role = role, Demo = name is "manager" or "cataloguer" or "member" or "other" or "victim" };
            account.PasswordHash = new PasswordHasher<Account>().HashPassword(account, Password);
            await accounts.CreateAsync(account, CancellationToken.None);
        }

        Published = await TakeInAsync("Published Class");
        await Sessions.PublishAsync(Published, 1, null, CancellationToken.None);
        await Factory.Services.GetRequiredService<Catalogue>().RefreshAsync(CancellationToken.None);
    }

    public async Task DisposeAsync()
    {
        await Factory.DisposeAsync();
        await _database.DisposeAsync();
    }

    public async Task RunAsync(string sql)
    {
        await using var command = Factory.Services.GetRequiredService<Npgsql.NpgsqlDataSource>().CreateCommand(sql);
        await command.ExecuteNonQueryAsync();
    }

    /// <summary>Another web node on the same database.</summary>
    public WebApplicationFactory<Program> Node(bool demo) => new WebApplicationFactory<Program>().WithWebHostBuilder(b => b
        .UseSetting(Database.ConnectionVariable, _database.ConnectionString)
        .UseSetting("Demo", demo ? "true" : "false")
        .UseSetting("SignInPerMinute", "1000"));

    public Task<Guid> TakeInAsync(string title)
    {
        var captions = CaptionReader.Read(
            """
            [0:00] welcome let's get started with a march on the spot
            [0:40] okay you're warm now first up squats here we go
            [1:20] and rest next up push-ups drop to your knees if you need to three two one go
            [2:00] and rest side plank right side and go
            [2:30] other side
            [3:00] and rest let's cool down hamstring stretch
            [3:40] well done see you next time
            """);
        return Sessions.TakeInAsync(
            new SessionFacts(title, "Ottoline Vane", new DateOnly(2026, 10, 1), 5), "class.txt", CaptionWriter.WebVtt(captions.Cues),
            new CaptionReading(MoveLexicon.Default).Read(captions), null, CancellationToken.None);
    }

    public async Task<Visitor> AsAsync(string name)
    {
        var visitor = new Visitor(Factory);
        var page = await visitor.GetAsync("/account/sign-in");
        var answer = await visitor.SubmitAsync(page, "form:not([action*=Demo])", new() { ["Input.Name"] = name, ["Input.Password"] = Password });
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        return visitor;
    }
}

/// <summary>What came back, read as a page.</summary>
public sealed record Answer(HttpStatusCode Status, Uri? Location, IDocument Page, HttpResponseMessage Response)
{
    public string Text => Page.Body?.TextContent ?? "";
}

/// <summary>Someone with a cookie jar who fills in forms as a browser without script does.</summary>
public sealed class Visitor(WebApplicationFactory<Program> factory)
{
    private readonly HttpClient _client = factory.CreateClient(new WebApplicationFactoryClientOptions { AllowAutoRedirect = false });

    public async Task<Answer> GetAsync(string url, bool swap = false)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, url);
        if (swap)
        {
            request.Headers.Add("HX-Request", "true");
        }

        return await ReadAsync(await _client.SendAsync(request));
    }

    /// <summary>Submits the form that the selector finds, with its own fields and those given.</summary>
    public async Task<Answer> SubmitAsync(Answer on, string selector, Dictionary<string, string> fields, bool swap = false, string? action = null)
    {
        var form = on.Page.QuerySelectorAll<IHtmlFormElement>(selector).FirstOrDefault() ?? throw new InvalidOperationException($"There is no form {selector} on the page.");
        var values = new Dictionary<string, string>();
        foreach (var input in form.QuerySelectorAll<IHtmlInputElement>("input[name]").Where(i => i.Type is not ("checkbox" or "radio") || i.IsChecked))
        {
            values[input.Name!] = input.Value;
        }

        foreach (var select in form.QuerySelectorAll<IHtmlSelectElement>("select[name]"))
        {
            values[select.Name!] = select.Value ?? "";
        }

        foreach (var (key, value) in fields)
        {
            values[key] = value;
        }

        using var request = new HttpRequestMessage(HttpMethod.Post, action ?? form.GetAttribute("action")) { Content = new FormUrlEncodedContent(values) };
        if (swap)
        {
            request.Headers.Add("HX-Request", "true");
        }

        return await ReadAsync(await _client.SendAsync(request));
    }

    public async Task<Answer> UploadAsync(Answer on, byte[] file, string name, Dictionary<string, string> fields)
    {
        using var content = new MultipartFormDataContent();
        content.Add(new StringContent(on.Page.QuerySelector<IHtmlInputElement>("form[enctype] input[name=__RequestVerificationToken]")!.Value), "__RequestVerificationToken");
        foreach (var (key, value) in fields)
        {
            content.Add(new StringContent(value), key);
        }

        if (file.Length > 0)
        {
            content.Add(new ByteArrayContent(file), "Input.Captions", name);
        }

        return await ReadAsync(await _client.PostAsync("/studio/take-in", content));
    }

    public async Task<HttpResponseMessage> PostBareAsync(string url, Dictionary<string, string> fields) => await _client.PostAsync(url, new FormUrlEncodedContent(fields));

    private static async Task<Answer> ReadAsync(HttpResponseMessage response)
    {
        var page = await BrowsingContext.New(Configuration.Default).OpenAsync(async r => r.Content(await response.Content.ReadAsStringAsync()).Address("http://localhost" + response.RequestMessage!.RequestUri!.PathAndQuery));
        return new Answer(response.StatusCode, response.Headers.Location, page, response);
    }
}
