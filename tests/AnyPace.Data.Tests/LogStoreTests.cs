using System.Collections.Immutable;
using AnyPace.Core.Sessions;
using AnyPace.Data.Accounts;
using AnyPace.Data.Members;
using AnyPace.Data.Sessions;

namespace AnyPace.Data.Tests;

public sealed class LogStoreTests(TestDatabase test) : IClassFixture<TestDatabase>
{
    private static readonly CancellationToken Stop = CancellationToken.None;
    private static readonly DateTimeOffset Noon = new(2026, 11, 25, 12, 0, 0, TimeSpan.Zero);

    private LogStore Log => new(test.Database);

    private async Task<(Guid Account, Guid Session)> WhoAsync(string name)
    {
        var account = new Account { Name = name, NormalizedName = name.ToUpperInvariant(), DisplayName = name, Role = Roles.Member, PasswordHash = "x" };
        await new AccountStore(test.Database).CreateAsync(account, Stop);
        var session = await new SessionStore(test.Database).TakeInAsync(
            new SessionFacts("Logged", "Ottoline Vane", new DateOnly(2026, 11, 1), null), "a.vtt", "WEBVTT", Timeline.Empty, null, Stop);
        return (account.Id, session);
    }

    private static LogEntry Entry(Guid session, int daysAgo, string pain = "") => new(
        Guid.CreateVersion7(), session, "Logged", Noon.AddDays(-daysAgo), Pace.Pushed, 7, pain, "slow start", ImmutableSortedDictionary<string, double>.Empty.Add("squat", 12.5));

    [Fact]
    public async Task What_is_logged_comes_back_newest_first_and_can_be_taken_out()
    {
        var (account, session) = await WhoAsync("logger");
        await Log.AddAsync(account, Entry(session, 3), Stop);
        await Log.AddAsync(account, Entry(session, 1, "left knee"), Stop);
        var all = await Log.AllAsync(account, Stop);
        Assert.Equal([1, 3], all.Select(e => (int)(Noon - e.At).TotalDays));
        Assert.Equal(("Logged", Pace.Pushed, 7, "left knee", 12.5), (all[0].Title, all[0].Pace, all[0].Effort, all[0].Pain, all[0].Loads["squat"]));
        Assert.True((await Log.DoneAsync(account, Stop)).First().Pain);
        await Log.RemoveAsync(account, all[0].Id, Stop);
        Assert.Single(await Log.AllAsync(account, Stop));
    }

    [Fact]
    public async Task Nobody_reads_or_takes_out_what_another_logged()
    {
        var (owner, session) = await WhoAsync("owner");
        var (stranger, _) = await WhoAsync("stranger");
        await Log.AddAsync(owner, Entry(session, 1), Stop);
        Assert.Empty(await Log.AllAsync(stranger, Stop));
        await Log.RemoveAsync(stranger, (await Log.AllAsync(owner, Stop))[0].Id, Stop);
        Assert.Single(await Log.AllAsync(owner, Stop));
    }

    [Fact]
    public async Task Pain_and_notes_never_reach_the_audit()
    {
        var (account, session) = await WhoAsync("sore");
        await Log.AddAsync(account, Entry(session, 1, "a very particular ache"), Stop);
        Assert.Equal(0, await test.ScalarAsync<long>("select count(*) from audit where detail::text like '%particular ache%' or detail::text like '%slow start%'"));
        Assert.Equal(1, await test.ScalarAsync<long>($"select count(*) from audit where subject = 'log {account}'"));
    }

    [Fact]
    public async Task Not_today_holds_for_a_day_and_more_like_this_until_taken_back()
    {
        var (account, session) = await WhoAsync("picky");
        await Log.SayAsync(account, session, more: false, Stop);
        await Log.SayAsync(account, session, more: true, Stop);
        var now = await Log.SignalsAsync(account, DateTimeOffset.UtcNow.AddHours(-1), Stop);
        Assert.Equal((1, 1), (now.NotToday.Count, now.MoreLike.Count));
        var tomorrow = await Log.SignalsAsync(account, DateTimeOffset.UtcNow.AddHours(1), Stop);
        Assert.Equal((0, 1), (tomorrow.NotToday.Count, tomorrow.MoreLike.Count));
        await Log.TakeBackAsync(account, session, more: true, Stop);
        Assert.Empty((await Log.SignalsAsync(account, DateTimeOffset.UtcNow.AddHours(1), Stop)).MoreLike);
    }

    [Fact]
    public async Task A_search_is_kept_by_its_name_and_forgotten()
    {
        var (account, _) = await WhoAsync("seeker");
        await Log.SaveSearchAsync(account, "lunch", "?to=20", Stop);
        await Log.SaveSearchAsync(account, "lunch", "?to=15", Stop);
        var one = Assert.Single(await Log.SearchesAsync(account, Stop));
        Assert.Equal("?to=15", one.Query);
        await Log.RemoveSearchAsync(account, one.Id, Stop);
        Assert.Empty(await Log.SearchesAsync(account, Stop));
    }

    [Fact]
    public async Task Deleting_takes_everything_of_the_member_and_nothing_of_others()
    {
        var (account, session) = await WhoAsync("gone");
        var (other, _) = await WhoAsync("stays");
        foreach (var who in new[] { account, other })
        {
            await Log.AddAsync(who, Entry(session, 1), Stop);
            await Log.SayAsync(who, session, more: true, Stop);
            await Log.SaveSearchAsync(who, "s", "", Stop);
        }

        await new ProfileStore(test.Database).DeleteAsync(account, Stop);
        Assert.Equal(0, await test.ScalarAsync<long>($"select (select count(*) from done_session where account_id = '{account}') + (select count(*) from member_signal where account_id = '{account}') + (select count(*) from saved_search where account_id = '{account}')"));
        Assert.Single(await Log.AllAsync(other, Stop));
    }

    [Fact]
    public async Task A_session_that_goes_leaves_its_title_in_the_log()
    {
        var (account, session) = await WhoAsync("keeper");
        await Log.AddAsync(account, Entry(session, 1), Stop);
        await test.ScalarAsync<object>($"with d as (delete from session where id = '{session}' returning 1) select count(*) from d");
        var entry = Assert.Single(await Log.AllAsync(account, Stop));
        Assert.Null(entry.Session);
        Assert.Equal("Logged", entry.Title);
        Assert.Empty(await Log.DoneAsync(account, Stop));
    }
}
