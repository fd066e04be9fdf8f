using AnyPace.Core.Lexicon;
using Npgsql;
using NpgsqlTypes;

namespace AnyPace.Data.Moves;

/// <summary>The studio's own names and moves.</summary>
public sealed class MoveStore(Database database)
{
    public Task<List<StudioName>> NamesAsync(CancellationToken stop) =>
        database.ReadAsync("select name, move_id from studio_name order by name", _ => { }, r => new StudioName(r.GetString(0), r.GetString(1)), stop);

    public Task<List<StudioMove>> MovesAsync(CancellationToken stop) =>
        database.ReadAsync(
            "select id, name, like_id, aliases, impact, sides, kit, retired from studio_move order by name",
            _ => { },
            r => new StudioMove(
                r.GetString(0), r.GetString(1), r.GetString(2), [.. r.GetFieldValue<string[]>(3)], Enum.Parse<Impact>(r.GetString(4), ignoreCase: true),
                Enum.Parse<MoveSides>(r.GetString(5), ignoreCase: true), [.. r.GetFieldValue<string[]>(6)], r.GetBoolean(7)),
            stop);

    public Task AddNameAsync(StudioName name, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "name added", Subject(name.MoveId), new { name.Name }),
        "insert into studio_name (name, move_id, added_by) values ($1, $2, $3) on conflict (name) do update set move_id = excluded.move_id",
        p => p.Text(name.Name).Text(name.MoveId).Uuid(by),
        stop);

    /// <returns>False where the move has no such name of ours.</returns>
    public async Task<bool> RemoveNameAsync(StudioName name, Guid? by, CancellationToken stop) => await database.WriteAsync(
        Audit.Of(by, "name removed", Subject(name.MoveId), new { name.Name }),
        "delete from studio_name where name = $1 and move_id = $2",
        p => p.Text(name.Name).Text(name.MoveId),
        stop) > 0;

    public Task AddMoveAsync(StudioMove move, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "move added", Subject(move.Id), new { move.Name, move.LikeId }),
        "insert into studio_move (id, name, like_id, aliases, impact, sides, kit, added_by) values ($1, $2, $3, $4, $5, $6, $7, $8)",
        p => Fill(p, move).Uuid(by),
        stop);

    /// <summary>Another name, kit or likeness for a move of the studio's own; the audit row keeps how it was.</summary>
    public Task ChangeMoveAsync(StudioMove before, StudioMove move, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "move changed", Subject(move.Id), new { before, after = move }),
        "update studio_move set name = $2, like_id = $3, aliases = $4, impact = $5, sides = $6, kit = $7 where id = $1",
        p => Fill(p, move),
        stop);

    /// <summary>Takes a move of the studio's own out of use, or back into it.</summary>
    public Task RetireAsync(string id, bool retired, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, retired ? "move retired" : "move taken back", Subject(id)),
        "update studio_move set retired = $2 where id = $1",
        p => p.Text(id).With(retired, NpgsqlDbType.Boolean),
        stop);

    private static NpgsqlParameterCollection Fill(NpgsqlParameterCollection p, StudioMove move) =>
        p.Text(move.Id).Text(move.Name).Text(move.LikeId).Texts(move.Aliases).Text(move.Impact.Key())
            .Text(move.Sides.ToString().ToLowerInvariant()).Texts(move.Kit);

    private static string Subject(string id) => $"move {id}";
}
