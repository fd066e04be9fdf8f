using AnyPace.Core.Sessions;
using System.Net;
using System.Text;

namespace AnyPace.Web.Tests;

public sealed class StudioTests(Site site) : IClassFixture<Site>
{
    private const string Captions = "[0:00] welcome let's get started\n[0:10] squats three two one go\n[0:50] and rest\n[1:00] lunges here we go\n[1:40] and rest well done\n";

    private static readonly Dictionary<string, string> Facts = new()
    {
        ["Input.Title"] = "New Class",
        ["Input.Coach"] = "Bram Castellow",
        ["Input.RecordedOn"] = "2026-10-02",
        ["Input.StatedMinutes"] = "2",
    };

    private static Dictionary<string, string> With(string key, string value) => new(Facts) { [key] = value };

    private async Task<(Visitor Visitor, Guid Id, Answer Desk)> DeskAsync(string who = "cataloguer")
    {
        var visitor = await site.AsAsync(who);
        var id = await site.TakeInAsync("Desk Class");
        return (visitor, id, await visitor.GetAsync($"/studio/desk/{id}"));
    }

    [Fact]
    public async Task Captions_become_a_session_on_the_desk()
    {
        var manager = await site.AsAsync("manager");
        var answer = await manager.UploadAsync(await manager.GetAsync("/studio/take-in"), Encoding.UTF8.GetBytes(Captions), "new.txt", Facts);
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        var desk = await manager.GetAsync(answer.Location!.ToString());
        Assert.Contains("New Class", desk.Text);
        Assert.NotEmpty(desk.Page.QuerySelectorAll("svg.strip-desk rect.bout"));
        Assert.Contains("Squat", desk.Text);
        Assert.Contains("New Class", (await manager.GetAsync("/studio/today")).Text);
        Assert.Contains("New Class", (await manager.GetAsync("/studio/library")).Text);
    }

    [Fact]
    public async Task Coverage_says_what_to_record_next_and_its_numbers_open_in_Find()
    {
        var manager = await site.AsAsync("manager");
        var coverage = await manager.GetAsync("/studio/coverage?aim=3");
        Assert.NotEmpty(coverage.Page.QuerySelectorAll(".wanted > li"));
        var cell = coverage.Page.QuerySelectorAll(".grid td a").First(a => a.TextContent != "0");
        var found = await manager.GetAsync(cell.GetAttribute("href")!);
        Assert.Contains(cell.TextContent, found.Page.QuerySelector("h1")!.TextContent, StringComparison.Ordinal);
        Assert.StartsWith("/studio/calculator?Target=", coverage.Page.QuerySelector(".wanted .button")!.GetAttribute("href"), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("none")]
    [InlineData("0")]
    [InlineData("51")]
    public async Task An_aim_that_is_no_number_says_so_and_the_usual_one_is_used(string aim)
    {
        var coverage = await (await site.AsAsync("manager")).GetAsync($"/studio/coverage?aim={aim}");
        Assert.Contains($"\"{aim}\" is no number of sessions from 1 to 50", coverage.Text, StringComparison.Ordinal);
        Assert.Equal(aim, coverage.Page.QuerySelector("#aim")!.GetAttribute("value"));
        Assert.NotEmpty(coverage.Page.QuerySelectorAll(".wanted > li"));
    }

    [Fact]
    public async Task A_file_that_can_not_be_read_says_which_line_and_why_and_loses_nothing()
    {
        var manager = await site.AsAsync("manager");
        var answer = await manager.UploadAsync(
            await manager.GetAsync("/studio/take-in"), Encoding.UTF8.GetBytes("[0:10] squats\n[0:75] oops\n"), "bad.txt", Facts);
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains("Line 2", answer.Text);
        Assert.Contains("0:75", answer.Text);
        Assert.Equal("New Class", answer.Page.QuerySelector("#Input_Title")!.GetAttribute("value"));
        Assert.Equal("Bram Castellow", answer.Page.QuerySelector("#Input_Coach")!.GetAttribute("value"));
    }

    [Fact]
    public async Task A_good_file_is_kept_while_the_rest_is_mended()
    {
        var manager = await site.AsAsync("manager");
        var answer = await manager.UploadAsync(await manager.GetAsync("/studio/take-in"), Encoding.UTF8.GetBytes(Captions), "kept.txt", With("Input.Title", ""));
        Assert.Contains("kept.txt is kept", answer.Text);
        var again = new Dictionary<string, string>(Facts)
        {
            ["Input.KeptName"] = answer.Page.QuerySelector("#Input_KeptName")!.GetAttribute("value")!,
            ["Input.KeptText"] = answer.Page.QuerySelector("#Input_KeptText")!.GetAttribute("value")!,
        };
        Assert.Equal(HttpStatusCode.Redirect, (await manager.UploadAsync(answer, [], "", again)).Status);
    }

    [Theory]
    [InlineData("Input.Title", "", "Give it a title")]
    [InlineData("Input.Coach", "", "Say who coaches")]
    [InlineData("Input.RecordedOn", "soon", "soon")]
    [InlineData("Input.StatedMinutes", "twenty", "twenty")]
    [InlineData("Input.StatedMinutes", "-3", "-3")]
    public async Task Every_field_is_checked(string field, string value, string said)
    {
        var manager = await site.AsAsync("manager");
        var answer = await manager.UploadAsync(await manager.GetAsync("/studio/take-in"), Encoding.UTF8.GetBytes(Captions), "new.txt", With(field, value));
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains(said, answer.Page.QuerySelector("[role=alert]")!.TextContent);
    }

    [Fact]
    public async Task No_file_is_asked_for()
    {
        var manager = await site.AsAsync("manager");
        Assert.Contains("Choose a caption file", (await manager.UploadAsync(await manager.GetAsync("/studio/take-in"), [], "", Facts)).Text);
    }

    [Fact]
    public async Task A_corrected_bout_is_a_new_version_with_new_measures()
    {
        var (visitor, id, desk) = await DeskAsync();
        var answer = await visitor.SubmitAsync(desk, ".bout-form", new() { ["move"] = "Squat jump", ["start"] = "0:42", ["end"] = "1:20", ["reps"] = "10-12" });
        Assert.Equal(HttpStatusCode.Redirect, answer.Status);
        var after = await visitor.GetAsync(answer.Location!.ToString());
        Assert.Contains("version 2 by cataloguer", after.Text);
        Assert.Contains("Squat jump", after.Page.QuerySelector("#bout-title")!.TextContent);
        var version = await site.Sessions.VersionAsync(id, 2, CancellationToken.None);
        Assert.Contains(version!.Timeline.Bouts, b => b is { MoveId: "squat-jump", Confidence: 1 } && b.Reps!.Value.High == 12);
    }

    [Fact]
    public async Task A_swap_gives_the_same_desk_without_the_page_around_it()
    {
        var (visitor, _, desk) = await DeskAsync();
        var answer = await visitor.SubmitAsync(desk, ".bout-form", new() { ["start"] = "0:42", ["end"] = "1:20" }, swap: true);
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Null(answer.Page.QuerySelector("header.top"));
        Assert.NotNull(answer.Page.QuerySelector("#desk svg.strip-desk"));
        Assert.Contains("version 2", answer.Text);
    }

    [Theory]
    [InlineData("move", "Moonwalk", "Moonwalk")]
    [InlineData("start", "later", "later")]
    [InlineData("end", "99:00", "after the end of the recording")]
    [InlineData("end", "0:01", "after the start")]
    [InlineData("reps", "many", "many")]
    public async Task A_correction_that_can_not_stand_keeps_what_was_typed(string field, string value, string said)
    {
        var (visitor, id, desk) = await DeskAsync();
        var answer = await visitor.SubmitAsync(desk, ".bout-form", new() { ["start"] = "0:42", [field] = value });
        Assert.Equal(HttpStatusCode.OK, answer.Status);
        Assert.Contains(said, answer.Page.QuerySelector("#bout-errors")!.TextContent);
        Assert.Equal(value, answer.Page.QuerySelector($".bout-form [name={field}]")!.GetAttribute("value"));
        Assert.Equal("true", answer.Page.QuerySelector($".bout-form [name={field}]")!.GetAttribute("aria-invalid"));
        Assert.Equal(1, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);
    }

    [Fact]
    public async Task Bouts_are_added_removed_confirmed_and_versions_brought_back()
    {
        var (visitor, id, desk) = await DeskAsync();
        var add = await visitor.GetAsync($"/studio/desk/{id}?add=true");
        await visitor.SubmitAsync(add, ".bout-form", new() { ["move"] = "plank", ["start"] = "1:22", ["end"] = "1:30" });
        var two = await site.Sessions.VersionAsync(id, 2, CancellationToken.None);
        Assert.Contains(two!.Timeline.Bouts, b => b.MoveId == "plank");

        desk = await visitor.GetAsync($"/studio/desk/{id}?bout={two.Timeline.Bouts.First(b => b.MoveId == "plank").Id}");
        await visitor.SubmitAsync(desk, ".bout-form", [], action: $"/studio/desk/{id}?handler=Remove");
        Assert.DoesNotContain((await site.Sessions.VersionAsync(id, 3, CancellationToken.None))!.Timeline.Bouts, b => b.MoveId == "plank");

        desk = await visitor.GetAsync($"/studio/desk/{id}");
        await visitor.SubmitAsync(desk, ".bout-form", [], action: $"/studio/desk/{id}?handler=Confirm");
        Assert.Contains((await site.Sessions.VersionAsync(id, 4, CancellationToken.None))!.Timeline.Bouts, b => b.Confidence == 1);

        desk = await visitor.GetAsync($"/studio/desk/{id}");
        await visitor.SubmitAsync(desk, "form[action*=Restore]", new() { ["version"] = "2" });
        Assert.Contains((await site.Sessions.VersionAsync(id, 5, CancellationToken.None))!.Timeline.Bouts, b => b.MoveId == "plank");
    }

    /// <summary>A draft of four bouts, three of which are doubtful and read as the same move.</summary>
    private async Task<(Visitor Visitor, Guid Id, Answer Desk)> DoubtfulAsync()
    {
        var (visitor, id, _) = await DeskAsync();
        var read = (await site.Sessions.VersionAsync(id, null, CancellationToken.None))!.Timeline;
        Bout Doubtful(int n) => Bout.Confirmed($"b{n}", "squat", Span.Of(20 * n, (20 * n) + 15)) with
        {
            Confidence = 0.4,
            Doubts = [new Doubt(DoubtKind.NotNamedHere), new Doubt(DoubtKind.OtherNamed, "push-up")],
            Instead = ["push-up", "burpee"],
        };
        await site.Sessions.SaveAsync(id, 1, read with { Bouts = [Doubtful(1), Doubtful(2), Bout.Confirmed("b3", "squat", Span.Of(60, 75)), Doubtful(4)] }, "doubts", null, CancellationToken.None);
        return (visitor, id, await visitor.GetAsync($"/studio/desk/{id}"));
    }

    private async Task<IEnumerable<string>> SayAsync(Guid id, int version) =>
        (await site.Sessions.VersionAsync(id, version, CancellationToken.None))!.Timeline.Bouts.Select(b => $"{b.Id} {b.MoveId}{(b.Doubtful ? "?" : "")}");

    [Fact]
    public async Task A_doubtful_bout_says_why_and_what_it_may_be_instead()
    {
        var (_, _, desk) = await DoubtfulAsync();
        Assert.Contains("Such bouts are right 40 times in 100. Nobody says its name in these seconds; push-up is named here.", desk.Page.QuerySelector(".doubt")!.TextContent);
        Assert.Equal(["push-up", "burpee"], desk.Page.QuerySelectorAll(".rather [name=instead]").Select(b => b.GetAttribute("value")));
        Assert.Contains("and so are the other 2 doubtful ones read as Squat, at 0:40, 1:20", desk.Page.QuerySelector(".likewise")!.TextContent);
    }

    [Fact]
    public async Task One_of_the_moves_in_question_is_taken_and_the_next_doubtful_bout_asked_about()
    {
        var (visitor, id, desk) = await DoubtfulAsync();
        var answer = await visitor.SubmitAsync(desk, ".bout-form", new() { ["instead"] = "push-up" }, action: $"/studio/desk/{id}?handler=Instead");
        Assert.Equal(["b1 push-up", "b2 squat?", "b3 squat", "b4 squat?"], await SayAsync(id, 3));
        Assert.EndsWith("bout=b2", answer.Location!.ToString());
        Assert.Equal("Bout b1 is Push-up", (await site.Sessions.HistoryAsync(id, CancellationToken.None))[0].Why);
    }

    [Theory]
    [InlineData("Instead", "b1 burpee|b2 burpee|b3 squat|b4 burpee")]
    [InlineData("Confirm", "b1 squat|b2 squat|b3 squat|b4 squat")]
    [InlineData("Correct", "b1 plank|b2 plank|b3 squat|b4 plank")]
    [InlineData("Remove", "b3 squat")]
    public async Task What_is_said_of_one_is_said_of_the_others_of_its_move_where_that_is_asked_for(string handler, string after)
    {
        var (visitor, id, desk) = await DoubtfulAsync();
        await visitor.SubmitAsync(desk, ".bout-form", new() { ["instead"] = "burpee", ["move"] = "Plank", ["likewise"] = "true" }, action: $"/studio/desk/{id}?handler={handler}");
        Assert.Equal(after.Split('|'), await SayAsync(id, 3));
    }

    [Theory]
    [InlineData("moonwalk", "b1", "moonwalk")]
    [InlineData("", "b1", "No move")]
    [InlineData("burpee", "b9", "no longer")]
    public async Task What_can_not_be_it_instead_is_said_so(string instead, string bout, string said)
    {
        var (visitor, id, desk) = await DoubtfulAsync();
        var answer = await visitor.SubmitAsync(desk, ".bout-form", new() { ["instead"] = instead, ["bout"] = bout }, action: $"/studio/desk/{id}?handler=Instead");
        Assert.Contains(said, answer.Page.QuerySelector("#bout-errors")!.TextContent);
        Assert.Equal(2, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);
    }

    [Fact]
    public async Task Kit_is_added_changed_and_removed_and_a_slip_keeps_what_was_typed()
    {
        var (visitor, id, desk) = await DeskAsync();
        async Task<System.Collections.Immutable.ImmutableArray<KitItem>> Kit(int version) => (await site.Sessions.VersionAsync(id, version, CancellationToken.None))!.Timeline.Kit;
        await visitor.SubmitAsync(desk, ".kit-form", new() { ["item"] = "Kettlebell", ["count"] = "2", ["load"] = "8 kg" });
        Assert.Contains(await Kit(2), k => k is { Item: "kettlebell", Need: KitNeed.Required, Count: 2, Load: "8 kg" });

        desk = await visitor.GetAsync($"/studio/desk/{id}");
        await visitor.SubmitAsync(desk, ".kit-form", new() { ["item"] = "dumbbell", ["need"] = "Substitute", ["instead"] = "kettlebell" });
        Assert.Contains(await Kit(3), k => k is { Item: "dumbbell", Need: KitNeed.Substitute, For: "kettlebell" });

        desk = await visitor.GetAsync($"/studio/desk/{id}");
        var wrong = await visitor.SubmitAsync(desk, ".kit-form", new() { ["item"] = "water bottle", ["need"] = "Substitute", ["instead"] = "trampoline" });
        Assert.Contains("trampoline", wrong.Page.QuerySelector("#kit-errors")!.TextContent);
        Assert.Equal("water bottle", wrong.Page.QuerySelector("#kit-item")!.GetAttribute("value"));
        Assert.Equal(3, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);

        var many = await visitor.SubmitAsync(desk, ".kit-form", new() { ["item"] = "mat", ["count"] = "lots" });
        Assert.Contains("lots", many.Page.QuerySelector("#kit-errors")!.TextContent);

        desk = await visitor.GetAsync($"/studio/desk/{id}");
        await visitor.SubmitAsync(desk, ".kit-form", new() { ["item"] = "kettlebell" }, action: $"/studio/desk/{id}?handler=RemoveKit");
        Assert.DoesNotContain(await Kit(4), k => k.Item is "kettlebell" or "dumbbell");
    }

    [Fact]
    public async Task A_remark_is_added_with_the_words_of_the_captions_changed_and_removed()
    {
        var (visitor, id, desk) = await DeskAsync();
        async Task<List<Remark>> Remarks(int version) => [.. Remark.Of((await site.Sessions.VersionAsync(id, version, CancellationToken.None))!.Timeline)];
        var before = await Remarks(1);
        await visitor.SubmitAsync(desk, "#remark-form", new() { ["what"] = "Promise|weight loss", ["at"] = "0:30" });
        var added = Assert.Single((await Remarks(2)).Except(before));
        Assert.Equal((RemarkKind.Promise, "weight loss", new Seconds(30)), (added.Kind, added.Type, added.At));
        Assert.NotEmpty(added.Text);

        desk = await visitor.GetAsync($"/studio/desk/{id}?remark={Uri.EscapeDataString(added.Key)}");
        Assert.Equal("0:30", desk.Page.QuerySelector("#remark-at")!.GetAttribute("value"));
        var wrong = await visitor.SubmitAsync(desk, "#remark-form", new() { ["what"] = "Caution|pain", ["at"] = "soon", ["text"] = "stop if it hurts" });
        Assert.Contains("soon", wrong.Page.QuerySelector("#remark-errors")!.TextContent);
        Assert.Equal("stop if it hurts", wrong.Page.QuerySelector("#remark-text")!.GetAttribute("value"));
        Assert.Equal(2, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);

        desk = await visitor.GetAsync($"/studio/desk/{id}?remark={Uri.EscapeDataString(added.Key)}");
        await visitor.SubmitAsync(desk, "#remark-form", new() { ["what"] = "Caution|pain", ["text"] = "stop if it hurts" });
        var changed = Assert.Single((await Remarks(3)).Except(before));
        Assert.Equal((RemarkKind.Caution, "pain", "stop if it hurts"), (changed.Kind, changed.Type, changed.Text));

        desk = await visitor.GetAsync($"/studio/desk/{id}");
        await visitor.SubmitAsync(desk, "#remark-form", new() { ["remark"] = changed.Key }, action: $"/studio/desk/{id}?handler=RemoveRemark");
        Assert.Equal(before, await Remarks(4));
    }

    [Fact]
    public async Task A_phase_edge_moves_and_a_wrong_one_is_explained()
    {
        var (visitor, id, desk) = await DeskAsync();
        var before = (await site.Sessions.VersionAsync(id, 1, CancellationToken.None))!.Timeline.Phases;
        await visitor.SubmitAsync(desk, "form[action*=Phase]", new() { ["at"] = "0:03" });
        Assert.Equal(3, (await site.Sessions.VersionAsync(id, 2, CancellationToken.None))!.Timeline.Phases[0].Span.End.Value);
        var answer = await visitor.SubmitAsync(await visitor.GetAsync($"/studio/desk/{id}"), "form[action*=Phase]", new() { ["at"] = "59:00" });
        Assert.Contains("The edge must lie between", answer.Text);
        Assert.Equal(2, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);
        Assert.NotEqual(3, before[0].Span.End.Value);
    }

    [Fact]
    public async Task Two_people_on_one_version_see_both_and_lose_nothing()
    {
        var (odo, id, odosDesk) = await DeskAsync();
        var ines = await site.AsAsync("manager");
        var inesDesk = await ines.GetAsync($"/studio/desk/{id}");
        await odo.SubmitAsync(odosDesk, ".bout-form", new() { ["move"] = "Sumo squat" });
        var clash = await ines.SubmitAsync(inesDesk, ".bout-form", new() { ["move"] = "Wall sit" });
        Assert.Equal(HttpStatusCode.OK, clash.Status);
        var page = clash.Page.QuerySelector(".clash")!;
        Assert.Contains("cataloguer saved version 2 while you worked", page.TextContent);
        Assert.Contains("became Sumo squat", page.TextContent);
        Assert.Contains("Wall sit", page.TextContent);
        Assert.Equal(2, (await site.Sessions.FindAsync(id, CancellationToken.None))!.Newest);

        Assert.Equal(HttpStatusCode.Redirect, (await ines.SubmitAsync(clash, ".clash form", [])).Status);
        Assert.Contains((await site.Sessions.VersionAsync(id, 3, CancellationToken.None))!.Timeline.Bouts, b => b.MoveId == "wall-sit");
    }

    [Fact]
    public async Task Publishing_reaches_members_and_another_node_and_withdrawing_hides()
    {
        var (visitor, id, desk) = await DeskAsync("manager");
        await using var second = site.Factory.WithWebHostBuilder(_ => { });
        using var warm = second.CreateClient();
        var other = (Hosting.Catalogue)second.Services.GetService(typeof(Hosting.Catalogue))!;
        await visitor.SubmitAsync(desk, "form[action*=Publish]", []);
        var member = await site.AsAsync("member");
        Assert.Equal(HttpStatusCode.OK, (await member.GetAsync($"/session/{id}")).Status);
        Assert.True(await SoonAsync(() => other.Snapshot.Row(id) is not null));

        await visitor.SubmitAsync(await visitor.GetAsync($"/studio/desk/{id}"), "form[action*=Publish]", [], action: $"/studio/desk/{id}?handler=Withdraw");
        Assert.Equal(HttpStatusCode.NotFound, (await member.GetAsync($"/session/{id}")).Status);
        Assert.True(await SoonAsync(() => other.Snapshot.Row(id) is null));
    }

    [Fact]
    public async Task A_change_reaches_another_node_also_while_its_line_to_the_database_is_cut()
    {
        var (_, id, _) = await DeskAsync("manager");
        await using var second = site.Factory.WithWebHostBuilder(_ => { });
        using var warm = second.CreateClient();
        var other = (Hosting.Catalogue)second.Services.GetService(typeof(Hosting.Catalogue))!;

        // The listening connections of both nodes are cut; what is published right then must not be lost.
        await site.RunAsync("select pg_terminate_backend(pid) from pg_stat_activity where query = 'listen catalogue' and datname = current_database()");
        await site.Sessions.PublishAsync(id, 1, null, CancellationToken.None);
        Assert.True(await SoonAsync(() => other.Snapshot.Row(id) is not null));
        await site.Sessions.WithdrawAsync(id, null, CancellationToken.None);
        Assert.True(await SoonAsync(() => other.Snapshot.Row(id) is null));
    }

    [Fact]
    public async Task A_new_title_reaches_another_node_without_a_new_version()
    {
        var (_, id, _) = await DeskAsync("manager");
        await using var second = site.Factory.WithWebHostBuilder(_ => { });
        using var warm = second.CreateClient();
        var other = (Hosting.Catalogue)second.Services.GetService(typeof(Hosting.Catalogue))!;
        await site.Sessions.PublishAsync(id, 1, null, CancellationToken.None);
        Assert.True(await SoonAsync(() => other.Snapshot.Row(id) is not null));
        var facts = (await site.Sessions.FindAsync(id, CancellationToken.None))!.Facts;
        await site.Sessions.ChangeFactsAsync(id, facts with { Title = "Known by Another Name" }, null, CancellationToken.None);
        Assert.True(await SoonAsync(() => other.Snapshot.Row(id)?.Title == "Known by Another Name"));
        Assert.Equal("Known by Another Name", (await other.EntryAsync(id, CancellationToken.None))!.Title);
        await site.Sessions.WithdrawAsync(id, null, CancellationToken.None);
    }

    [Fact]
    public async Task Title_coach_and_series_are_changed_on_the_desk_and_refused_where_they_can_not_be()
    {
        var (visitor, id, desk) = await DeskAsync();
        var refused = await visitor.SubmitAsync(desk, "form[action*=Facts]", new() { ["title"] = " ", ["coach"] = "Someone" });
        Assert.Contains("A title has 1 to 120", refused.Text);
        Assert.Contains("not a number of minutes", (await visitor.SubmitAsync(desk, "form[action*=Facts]", new() { ["stated"] = "soon" })).Text);
        await visitor.SubmitAsync(desk, "form[action*=Facts]", new() { ["title"] = "Put Right", ["series"] = "Autumn", ["stated"] = "12,5" });
        var facts = (await site.Sessions.FindAsync(id, CancellationToken.None))!.Facts;
        Assert.Equal(("Put Right", "Autumn", 12.5), (facts.Title, facts.Series, facts.StatedMinutes));
    }

    [Fact]
    public async Task A_version_nobody_looked_at_is_not_published()
    {
        var (visitor, id, desk) = await DeskAsync("manager");
        await visitor.SubmitAsync(desk, ".bout-form", new() { ["start"] = "0:42", ["end"] = "1:20" });
        var answer = await visitor.SubmitAsync(desk, "form[action*=Publish]", []);
        Assert.Contains("was saved while you looked", answer.Text);
        Assert.Null((await site.Sessions.FindAsync(id, CancellationToken.None))!.Published);
    }

    [Fact]
    public async Task Every_figure_opens_to_its_reason()
    {
        var (_, _, desk) = await DeskAsync();
        Assert.True(desk.Page.QuerySelectorAll(".figures details").Length >= 7);
        Assert.All(desk.Page.QuerySelectorAll(".figures details"), d => Assert.True(d.TextContent.Trim().Length > d.QuerySelector("summary")!.TextContent.Trim().Length));
    }

    private static async Task<bool> SoonAsync(Func<bool> isSo)
    {
        for (var i = 0; i < 100 && !isSo(); i++)
        {
            await Task.Delay(50);
        }

        return isSo();
    }
}
