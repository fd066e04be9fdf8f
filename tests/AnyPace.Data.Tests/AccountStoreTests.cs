using System.Xml.Linq;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Data.Accounts;
using AnyPace.Data.Members;

namespace AnyPace.Data.Tests;

public sealed class AccountStoreTests(TestDatabase test) : IClassFixture<TestDatabase>
{
    private AccountStore Store => new(test.Database);

    private ProfileStore Profiles => new(test.Database);

    private async Task<Account> CreateAsync(string name, bool demo = false, string role = Roles.Member)
    {
        var account = new Account { Name = name, NormalizedName = name.ToUpperInvariant(), DisplayName = name, Role = role, PasswordHash = "hash", Demo = demo };
        Assert.True((await Store.CreateAsync(account, CancellationToken.None)).Succeeded);
        return account;
    }

    [Fact]
    public async Task An_account_is_found_by_name_and_id()
    {
        var account = await CreateAsync("ada-tester");
        var byName = await Store.FindByNameAsync("ADA-TESTER", CancellationToken.None);
        var byId = await Store.FindByIdAsync(account.Id.ToString(), CancellationToken.None);
        Assert.Equal((account.Id, account.Id, "hash"), (byName!.Id, byId!.Id, byId.PasswordHash));
        Assert.Null(await Store.FindByIdAsync("not an id", CancellationToken.None));
    }

    [Fact]
    public async Task A_name_is_taken_once()
    {
        await CreateAsync("once");
        var again = await Store.CreateAsync(new Account { Name = "Once", NormalizedName = "ONCE", PasswordHash = "h" }, CancellationToken.None);
        Assert.False(again.Succeeded);
        Assert.Contains("taken", again.Errors.Single().Description);
    }

    [Fact]
    public async Task Lockout_is_kept()
    {
        var account = await CreateAsync("locked");
        account.LockoutEnd = new DateTimeOffset(2026, 11, 24, 12, 0, 0, TimeSpan.FromHours(2));
        account.AccessFailedCount = 4;
        Assert.True((await Store.UpdateAsync(account, CancellationToken.None)).Succeeded);
        var back = await Store.FindByIdAsync(account.Id.ToString(), CancellationToken.None);
        Assert.Equal((account.LockoutEnd, 4), (back!.LockoutEnd, back.AccessFailedCount));
    }

    [Fact]
    public async Task Updating_what_is_gone_says_so()
    {
        var account = await CreateAsync("gone");
        await Store.DeleteAsync(account, CancellationToken.None);

        // The audit row would name an account that is no more, so the whole write is refused.
        await Assert.ThrowsAsync<Npgsql.PostgresException>(() => Store.UpdateAsync(account, CancellationToken.None));
    }

    [Fact]
    public async Task Only_demo_accounts_are_offered_managers_first()
    {
        await CreateAsync("zz-member", demo: true);
        await CreateAsync("aa-manager", demo: true, role: Roles.Manager);
        await CreateAsync("real");
        Assert.Equal(["aa-manager", "zz-member"], (await Store.DemoAsync(CancellationToken.None)).Select(a => a.Name));
    }

    [Fact]
    public async Task A_profile_is_kept_changed_and_deleted()
    {
        var account = await CreateAsync("wants");
        Assert.Equal(MemberProfile.Blank, await Profiles.FindAsync(account.Id, CancellationToken.None));
        var profile = MemberProfile.Blank with
        {
            Minutes = 20,
            MaxImpact = Impact.Low,
            Level = 2,
            Goals = ["balance", "strength"],
            Kit = ["mat", "chair"],
            Spare = ["knees"],
            Days = [DayOfWeek.Monday, DayOfWeek.Sunday],
            MaxSpace = FloorSpace.StepEachWay,
            MaxNoise = Noise.Quiet,
            LikedMoves = ["squat"],
            DislikedMoves = ["burpee"],
            LikedCoaches = ["Ottoline Vane"],
            DislikedCoaches = ["Bram Castellow"],
            Mass = 71.5,
            Age = 44,
            RestingRate = 62,
            Loads = MemberProfile.Blank.Loads.Add("dumbbell", 7.5),
        };
        await Profiles.SaveAsync(account.Id, profile, CancellationToken.None);
        await Profiles.SaveAsync(account.Id, profile with { Minutes = 25 }, CancellationToken.None);
        var back = await Profiles.FindAsync(account.Id, CancellationToken.None);
        Assert.Equal((25, Impact.Low, FloorSpace.StepEachWay, Noise.Quiet, 71.5, 44, 62), (back.Minutes, back.MaxImpact, back.MaxSpace, back.MaxNoise, back.Mass, back.Age, back.RestingRate));
        Assert.Equal(["chair", "mat"], back.Kit);
        Assert.Equal(["knees"], back.Spare);
        Assert.Equal(["balance", "strength"], back.Goals);
        Assert.Equal([DayOfWeek.Sunday, DayOfWeek.Monday], back.Days);
        Assert.Equal(7.5, back.Loads["dumbbell"]);
        Assert.Equal(("squat", "burpee", "Ottoline Vane", "Bram Castellow"), (back.LikedMoves[0], back.DislikedMoves[0], back.LikedCoaches[0], back.DislikedCoaches[0]));
        await Profiles.DeleteAsync(account.Id, CancellationToken.None);
        Assert.Equal(MemberProfile.Blank, await Profiles.FindAsync(account.Id, CancellationToken.None));
    }

    [Fact]
    public async Task What_a_member_spares_never_reaches_the_audit()
    {
        var account = await CreateAsync("private");
        await Profiles.SaveAsync(account.Id, MemberProfile.Blank with { Spare = ["lower back"] }, CancellationToken.None);
        Assert.Equal(0, await test.ScalarAsync<long>("select count(*) from audit where detail::text like '%lower back%'"));
        Assert.Equal(1, await test.ScalarAsync<long>($"select count(*) from audit where subject = 'profile {account.Id}'"));
    }

    [Fact]
    public async Task A_profile_goes_with_its_account()
    {
        var account = await CreateAsync("leaver");
        await Profiles.SaveAsync(account.Id, MemberProfile.Blank with { Minutes = 10 }, CancellationToken.None);
        await Store.DeleteAsync(account, CancellationToken.None);
        Assert.Equal(0, await test.ScalarAsync<long>($"select count(*) from member_profile where account_id = '{account.Id}'"));
    }

    [Fact]
    public void Keys_are_kept_for_every_node()
    {
        var keys = new KeyStore(test.Database);
        keys.StoreElement(new XElement("key", "secret"), "key-1");
        Assert.Contains(new KeyStore(test.Database).GetAllElements(), e => e.Value == "secret");
    }
}
