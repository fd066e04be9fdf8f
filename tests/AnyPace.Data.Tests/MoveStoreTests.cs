using AnyPace.Core.Lexicon;
using AnyPace.Data.Moves;
using Npgsql;

namespace AnyPace.Data.Tests;

public sealed class MoveStoreTests(TestDatabase test) : IClassFixture<TestDatabase>
{
    private MoveStore Store => new(test.Database);

    private static readonly StudioMove Wheel = new("studio-mill-wheel", "Mill wheel", "squat", ["wheel of the mill"], Impact.Moderate, MoveSides.Each, ["towel", "mat"]);

    [Fact]
    public async Task Names_and_moves_survive_being_kept_and_leave_audit_rows()
    {
        await Store.AddMoveAsync(Wheel, null, CancellationToken.None);
        var kept = Assert.Single(await Store.MovesAsync(CancellationToken.None), m => m.Id == Wheel.Id);
        Assert.Equal((Wheel.Name, Wheel.LikeId, Wheel.Impact, Wheel.Sides, false), (kept.Name, kept.LikeId, kept.Impact, kept.Sides, kept.Retired));
        Assert.Equal(Wheel.Aliases.AsEnumerable(), kept.Aliases.AsEnumerable());
        Assert.Equal(Wheel.Kit.AsEnumerable(), kept.Kit.AsEnumerable());
        await Store.RetireAsync(Wheel.Id, true, null, CancellationToken.None);
        Assert.True((await Store.MovesAsync(CancellationToken.None)).Single(m => m.Id == Wheel.Id).Retired);
        await Store.AddNameAsync(new StudioName("wobble", "squat"), null, CancellationToken.None);
        Assert.Contains(new StudioName("wobble", "squat"), await Store.NamesAsync(CancellationToken.None));
        Assert.False(await Store.RemoveNameAsync(new StudioName("wobble", "lunge"), null, CancellationToken.None));
        Assert.True(await Store.RemoveNameAsync(new StudioName("wobble", "squat"), null, CancellationToken.None));
        Assert.DoesNotContain(new StudioName("wobble", "squat"), await Store.NamesAsync(CancellationToken.None));
        Assert.Equal(2L, await test.ScalarAsync<long>("select count(*) from audit where subject = 'move studio-mill-wheel'"));
        Assert.Equal(1L, await test.ScalarAsync<long>("select count(*) from audit where action = 'name added' and subject = 'move squat'"));
    }

    [Fact]
    public async Task A_changed_move_keeps_its_id_and_the_audit_keeps_how_it_was()
    {
        var brook = Wheel with { Id = "studio-brook", Name = "Brook" };
        await Store.AddMoveAsync(brook, null, CancellationToken.None);
        await Store.ChangeMoveAsync(brook, brook with { Name = "Beck", LikeId = "lunge", Kit = [], Impact = Impact.Low }, null, CancellationToken.None);
        var kept = (await Store.MovesAsync(CancellationToken.None)).Single(m => m.Id == brook.Id);
        Assert.Equal(("Beck", "lunge", Impact.Low, 0), (kept.Name, kept.LikeId, kept.Impact, kept.Kit.Length));
        Assert.Equal("Brook", await test.ScalarAsync<string>("select detail -> 'before' ->> 'Name' from audit where action = 'move changed' and subject = 'move studio-brook'"));
    }

    [Fact]
    public async Task Two_moves_can_not_have_one_name()
    {
        await Store.AddMoveAsync(Wheel with { Id = "studio-a", Name = "Same" }, null, CancellationToken.None);
        await Assert.ThrowsAsync<PostgresException>(() => Store.AddMoveAsync(Wheel with { Id = "studio-b", Name = "Same" }, null, CancellationToken.None));
    }

    [Fact]
    public async Task Other_nodes_are_told()
    {
        await using var listener = await test.Source.OpenConnectionAsync();
        var heard = new TaskCompletionSource<string>();
        listener.Notification += (_, e) => heard.TrySetResult(e.Payload);
        await using (var listen = new NpgsqlCommand("listen catalogue", listener))
        {
            await listen.ExecuteNonQueryAsync();
        }

        await Store.AddNameAsync(new StudioName("told", "squat"), null, CancellationToken.None);
        await listener.WaitAsync(TimeSpan.FromSeconds(10));
        Assert.Equal("lexicon", await heard.Task);
    }
}
