using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;
using NpgsqlTypes;

namespace AnyPace.Data.Studio;

/// <summary>A dose kept for a class still to be recorded.</summary>
public sealed record KeptPlan(Guid Id, string Title, ClassPlan Plan, string MadeBy, DateTimeOffset MadeAt);

/// <summary>Plans of classes. They are retired, not removed, so that retiring one can be undone.</summary>
public sealed class PlanStore(Database database)
{
    public Task<List<KeptPlan>> AllAsync(CancellationToken stop) => ReadAsync("where not p.retired order by p.made_at desc limit 50", _ => { }, stop);

    public async Task<KeptPlan?> FindAsync(Guid id, CancellationToken stop) => (await ReadAsync("where p.id = $1", p => p.Uuid(id), stop)).SingleOrDefault();

    public async Task<Guid> KeepAsync(string title, ClassPlan plan, Guid? by, CancellationToken stop)
    {
        var id = Guid.CreateVersion7();
        await database.WriteAsync(
            Audit.Of(by, "plan kept", $"plan {id}", new { title }),
            "insert into class_plan (id, title, plan, made_by) values ($1, $2, $3, $4)",
            p => p.Uuid(id).Text(title).With(TimelineJson.Write(plan), NpgsqlDbType.Jsonb).Uuid(by),
            stop);
        return id;
    }

    public Task RetireAsync(Guid id, bool retired, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, retired ? "plan put away" : "plan taken back", $"plan {id}"),
        "update class_plan set retired = $2 where id = $1",
        p => p.Uuid(id).With(retired, NpgsqlDbType.Boolean),
        stop);

    private Task<List<KeptPlan>> ReadAsync(string rest, Action<Npgsql.NpgsqlParameterCollection> fill, CancellationToken stop) => database.ReadAsync(
        $"select p.id, p.title, p.plan::text, coalesce(a.display_name, 'Any Pace'), p.made_at from class_plan p left join account a on a.id = p.made_by {rest}",
        fill,
        r => new KeptPlan(r.GetGuid(0), r.GetString(1), TimelineJson.ReadPlan(r.GetString(2)), r.GetString(3), r.GetFieldValue<DateTimeOffset>(4)),
        stop);
}
