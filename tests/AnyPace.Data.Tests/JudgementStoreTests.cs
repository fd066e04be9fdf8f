using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Accounts;
using AnyPace.Data.Members;
using AnyPace.Data.Sessions;
using AnyPace.Data.Studio;
using Npgsql;

namespace AnyPace.Data.Tests;

/// <summary>Decisions, settings, plans and the reader's unit.</summary>
public sealed class JudgementStoreTests(TestDatabase test) : IClassFixture<TestDatabase>
{
    private static readonly CancellationToken Stop = CancellationToken.None;

    private Task<Guid> SessionAsync() => new SessionStore(test.Database).TakeInAsync(
        new SessionFacts("Judged", "Ottoline Vane", new DateOnly(2026, 11, 1), null), "a.vtt", "WEBVTT", Timeline.Empty, null, Stop);

    [Fact]
    public async Task A_decision_is_kept_changed_and_taken_back()
    {
        var store = new DecisionStore(test.Database);
        var session = await SessionAsync();
        await store.SettleAsync(session, "no-warm-up|-1|There is none.", false, "comes with its own", null, Stop);
        var kept = Assert.Single(await store.OfAsync(session, Stop));
        Assert.Equal(("no-warm-up|-1|There is none.", false, "comes with its own"), (kept.Fingerprint, kept.Fixed, kept.Reason));
        await store.SettleAsync(session, kept.Fingerprint, true, "", null, Stop);
        Assert.True(Assert.Single(await store.OfAsync(session, Stop)).Fixed);
        Assert.Contains(kept.Fingerprint, (await store.AllAsync(Stop))[session]);
        await store.ReopenAsync(session, kept.Fingerprint, null, Stop);
        Assert.Empty(await store.OfAsync(session, Stop));
        Assert.Equal(3L, await test.ScalarAsync<long>($"select count(*) from audit where subject = 'session {session}' and action like 'finding %'"));
    }

    [Fact]
    public async Task To_accept_takes_a_reason()
    {
        var session = await SessionAsync();
        await Assert.ThrowsAsync<PostgresException>(() => new DecisionStore(test.Database).SettleAsync(session, "x", false, "", null, Stop));
    }

    [Fact]
    public async Task Settings_are_the_defaults_until_chosen_and_all_nodes_are_told()
    {
        var store = new SettingStore(test.Database);
        Assert.Equal(MeasureSettings.Usual, await store.FindAsync(Stop));
        await using var listener = await test.Source.OpenConnectionAsync();
        var heard = false;
        listener.Notification += (_, _) => heard = true;
        await using (var listen = new NpgsqlCommand("listen catalogue", listener))
        {
            await listen.ExecuteNonQueryAsync();
        }

        var chosen = new MeasureSettings(ImpactSchool.Prevailing, LevelSchool.WholeClass, Neighbours.Always, DifficultyWeights.Usual with { Skill = 0.3 });
        await store.SaveAsync(chosen, null, Stop);
        await store.SaveAsync(chosen with { Impact = ImpactSchool.Highest }, null, Stop);
        Assert.Equal(chosen with { Impact = ImpactSchool.Highest }, await store.FindAsync(Stop));
        await listener.WaitAsync(TimeSpan.FromSeconds(10));
        Assert.True(heard);
    }

    [Fact]
    public async Task A_plan_is_kept_whole_and_put_away_for_a_while()
    {
        var store = new PlanStore(test.Database);
        var plan = new ClassPlan(new(240), [BlockPlan.Usual, BlockPlan.Usual with { Kind = BlockKind.Supersets, Reps = new(12, 15) }], new(60), new(180));
        var id = await store.KeepAsync("Winter pairs", plan, null, Stop);
        var kept = (await store.FindAsync(id, Stop))!;
        Assert.Equal(plan.Blocks.AsEnumerable(), kept.Plan.Blocks.AsEnumerable());
        Assert.Equal((plan.WarmUp, plan.Break, plan.CoolDown), (kept.Plan.WarmUp, kept.Plan.Break, kept.Plan.CoolDown));
        await store.RetireAsync(id, true, null, Stop);
        Assert.DoesNotContain(await store.AllAsync(Stop), p => p.Id == id);
        await store.RetireAsync(id, false, null, Stop);
        Assert.Contains(await store.AllAsync(Stop), p => p.Id == id);
    }

    [Fact]
    public async Task A_member_reads_weights_in_their_unit()
    {
        var account = new Account { Name = "pounds", NormalizedName = "POUNDS", DisplayName = "Pounds", Role = Roles.Member };
        account.PasswordHash = "none";
        await new AccountStore(test.Database).CreateAsync(account, Stop);
        var profiles = new ProfileStore(test.Database);
        Assert.Equal(MassUnit.Kilograms, (await profiles.FindAsync(account.Id, Stop)).Unit);
        await profiles.SaveAsync(account.Id, MemberProfile.Blank with { Unit = MassUnit.Pounds }, Stop);
        Assert.Equal(MassUnit.Pounds, (await profiles.FindAsync(account.Id, Stop)).Unit);
    }
}
