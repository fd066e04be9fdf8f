using System.Collections.Immutable;
using System.Text.Json;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using NpgsqlTypes;

namespace AnyPace.Data.Members;

/// <summary>One line of a member's log.</summary>
/// <param name="Session">Null where the session has left the library for good.</param>
/// <param name="Pain">What hurt, in the member's words; empty where nothing did.</param>
/// <param name="Loads">Kilograms by move id.</param>
public sealed record LogEntry(
    Guid Id, Guid? Session, string Title, DateTimeOffset At, Pace Pace, int? Effort, string Pain, string Note, ImmutableSortedDictionary<string, double> Loads);

/// <param name="Query">The query part of the URL.</param>
public sealed record SavedSearch(Guid Id, string Name, string Query);

/// <summary>A member's log, what was said on suggestions, and saved searches; only ever read for their owner, never written into the audit.</summary>
public sealed class LogStore(Database database)
{
    /// <summary>Newest first.</summary>
    public Task<List<LogEntry>> AllAsync(Guid account, CancellationToken stop) => database.ReadAsync(
        "select id, session_id, title, done_at, pace, effort, pain, note, loads::text from done_session where account_id = $1 order by done_at desc",
        p => p.Uuid(account),
        r => new LogEntry(
            r.GetGuid(0), r.IsDBNull(1) ? null : r.GetGuid(1), r.GetString(2), r.GetFieldValue<DateTimeOffset>(3), Paces.Parse(r.GetString(4)),
            r.IsDBNull(5) ? null : r.GetInt32(5), r.GetString(6), r.GetString(7), JsonSerializer.Deserialize<Dictionary<string, double>>(r.GetString(8))!.ToImmutableSortedDictionary()),
        stop);

    /// <summary>The log as matching reads it.</summary>
    public async Task<IReadOnlyCollection<DoneSession>> DoneAsync(Guid account, CancellationToken stop) =>
        [.. (await AllAsync(account, stop)).Where(e => e.Session is not null).Select(e => new DoneSession(e.Session!.Value, e.At, e.Pace, e.Effort, e.Pain.Length > 0))];

    public Task AddAsync(Guid account, LogEntry entry, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "session logged", $"log {account}"),
        "insert into done_session (id, account_id, session_id, title, done_at, pace, effort, pain, note, loads) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)",
        p => p.Uuid(entry.Id).Uuid(account).Uuid(entry.Session).Text(entry.Title).With(entry.At.ToUniversalTime(), NpgsqlDbType.TimestampTz).Text(entry.Pace.Key())
            .Int(entry.Effort).Text(entry.Pain).Text(entry.Note).With(JsonSerializer.Serialize(entry.Loads), NpgsqlDbType.Jsonb),
        stop);

    public Task RemoveAsync(Guid account, Guid id, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "log entry removed", $"log {account}"),
        "delete from done_session where account_id = $1 and id = $2",
        p => p.Uuid(account).Uuid(id),
        stop);

    /// <summary>"Not today" holds for the day on which it was said; "more like this" until it is taken back.</summary>
    /// <param name="today">When the member's day began.</param>
    public async Task<Signals> SignalsAsync(Guid account, DateTimeOffset today, CancellationToken stop)
    {
        var rows = await database.ReadAsync(
            "select session_id, kind from member_signal where account_id = $1 and (kind = 'more like this' or said_at >= $2)",
            p => p.Uuid(account).With(today.ToUniversalTime(), NpgsqlDbType.TimestampTz),
            r => (Session: r.GetGuid(0), Kind: r.GetString(1)),
            stop);
        return new Signals([.. rows.Where(r => r.Kind == "not today").Select(r => r.Session)], [.. rows.Where(r => r.Kind == "more like this").Select(r => r.Session)]);
    }

    public Task SayAsync(Guid account, Guid session, bool more, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "suggestion answered", $"log {account}"),
        "insert into member_signal (account_id, session_id, kind) values ($1, $2, $3) on conflict (account_id, session_id, kind) do update set said_at = now()",
        p => p.Uuid(account).Uuid(session).Text(Kind(more)),
        stop);

    public Task TakeBackAsync(Guid account, Guid session, bool more, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "suggestion answer taken back", $"log {account}"),
        "delete from member_signal where account_id = $1 and session_id = $2 and kind = $3",
        p => p.Uuid(account).Uuid(session).Text(Kind(more)),
        stop);

    public Task<List<SavedSearch>> SearchesAsync(Guid account, CancellationToken stop) => database.ReadAsync(
        "select id, name, query from saved_search where account_id = $1 order by name", p => p.Uuid(account), r => new SavedSearch(r.GetGuid(0), r.GetString(1), r.GetString(2)), stop);

    /// <summary>A search of the same name is replaced.</summary>
    public Task SaveSearchAsync(Guid account, string name, string query, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "search saved", $"searches {account}"),
        "insert into saved_search (id, account_id, name, query) values ($1, $2, $3, $4) on conflict (account_id, name) do update set query = excluded.query, saved_at = now()",
        p => p.Uuid(Guid.CreateVersion7()).Uuid(account).Text(name).Text(query),
        stop);

    public Task RemoveSearchAsync(Guid account, Guid id, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "search removed", $"searches {account}"),
        "delete from saved_search where account_id = $1 and id = $2",
        p => p.Uuid(account).Uuid(id),
        stop);

    private static string Kind(bool more) => more ? "more like this" : "not today";
}
