using AnyPace.Core.Sessions;
using Npgsql;
using NpgsqlTypes;

namespace AnyPace.Data.Sessions;

/// <summary>Sessions and their timeline versions.</summary>
public sealed class SessionStore(Database database)
{
    private const string SelectSession =
        """
        select s.id, s.title, s.coach, s.recorded_on, s.stated_minutes::float8, s.caption_name,
               (select max(number) from timeline_version v where v.session_id = s.id), s.published_version, s.created_at, s.series, s.published_at
        from session s
        """;

    private const string SelectVersion =
        """
        select v.session_id, v.number, v.based_on, v.timeline::text, v.why, coalesce(a.display_name, 'Any Pace'), v.made_at
        from timeline_version v left join account a on a.id = v.made_by
        """;

    /// <summary>Keeps a new recording with its first reading as version 1.</summary>
    public async Task<Guid> TakeInAsync(SessionFacts facts, string captionName, string captionText, Timeline reading, Guid? by, CancellationToken stop)
    {
        var id = Guid.CreateVersion7();
        await database.WriteAsync(
            Audit.Of(by, "session taken in", Subject(id), new { facts.Title, captionName }),
            async connection =>
            {
                await using var session = new NpgsqlCommand(
                    """
                    insert into session (id, title, coach, recorded_on, stated_minutes, caption_name, caption_text, created_by, series)
                    values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
                    """,
                    connection);
                session.Parameters.Uuid(id).Text(facts.Title).Text(facts.Coach).With(facts.RecordedOn, NpgsqlDbType.Date)
                    .With(facts.StatedMinutes, NpgsqlDbType.Double).Text(captionName).Text(captionText).Uuid(by).Text(facts.Series);
                await session.ExecuteNonQueryAsync(stop);
                await InsertVersionAsync(connection, id, 1, null, reading, "Read from the captions", by, stop);
                return id;
            },
            stop);
        return id;
    }

    public async Task<SessionRecord?> FindAsync(Guid id, CancellationToken stop) =>
        (await ReadSessionsAsync("where s.id = $1", p => p.Uuid(id), stop)).SingleOrDefault();

    public Task<List<SessionRecord>> AllAsync(CancellationToken stop) => ReadSessionsAsync("order by s.created_at desc", _ => { }, stop);

    /// <summary>The published ones of some sessions, each with its published timeline.</summary>
    public async Task<List<(SessionRecord Session, TimelineVersion Version)>> PublishedAsync(IReadOnlyCollection<Guid> ids, CancellationToken stop)
    {
        var list = ids.ToArray();
        var sessions = await ReadSessionsAsync("where s.published_version is not null and s.id = any($1)", p => p.With(list, NpgsqlDbType.Array | NpgsqlDbType.Uuid), stop);
        var versions = (await ReadVersionsAsync(
            "join session s on s.id = v.session_id and s.published_version = v.number where s.id = any($1)", p => p.With(list, NpgsqlDbType.Array | NpgsqlDbType.Uuid), stop))
            .ToDictionary(v => v.SessionId);
        return [.. sessions.Where(s => versions.ContainsKey(s.Id)).Select(s => (s, versions[s.Id]))];
    }

    public async Task<string> CaptionsAsync(Guid id, CancellationToken stop) =>
        (await database.ReadAsync("select caption_text from session where id = $1", p => p.Uuid(id), r => r.GetString(0), stop)).Single();

    /// <param name="number">The newest where null.</param>
    public async Task<TimelineVersion?> VersionAsync(Guid id, int? number, CancellationToken stop) =>
        (await ReadVersionsAsync(
            "where v.session_id = $1 and ($2::int is null or v.number = $2) order by v.number desc limit 1", p => p.Uuid(id).Int(number), stop)).SingleOrDefault();

    /// <summary>All versions, newest first.</summary>
    public Task<List<TimelineVersion>> HistoryAsync(Guid id, CancellationToken stop) =>
        ReadVersionsAsync("where v.session_id = $1 order by v.number desc", p => p.Uuid(id), stop);

    /// <summary>The newest version of every session.</summary>
    public Task<List<TimelineVersion>> NewestVersionsAsync(CancellationToken stop) =>
        ReadVersionsAsync("where v.number = (select max(number) from timeline_version n where n.session_id = v.session_id)", _ => { }, stop);

    /// <summary>Appends a version. Where someone saved since <paramref name="basedOn"/>, nothing is written and their version comes back.</summary>
    public async Task<SaveResult> SaveAsync(Guid id, int basedOn, Timeline timeline, string why, Guid? by, CancellationToken stop)
    {
        try
        {
            // The primary key decides between two people: only one can add the next number.
            await database.WriteAsync(
                Audit.Of(by, "timeline saved", Subject(id), new { version = basedOn + 1, why }),
                async connection =>
                {
                    await using var newest = new NpgsqlCommand("select max(number) from timeline_version where session_id = $1", connection);
                    newest.Parameters.Uuid(id);
                    if ((int)(await newest.ExecuteScalarAsync(stop))! != basedOn)
                    {
                        throw new VersionTakenException();
                    }

                    await InsertVersionAsync(connection, id, basedOn + 1, basedOn, timeline, why, by, stop);
                    return true;
                },
                stop);
            return new SaveResult(basedOn + 1, null);
        }
        catch (Exception e) when (e is VersionTakenException or PostgresException { SqlState: PostgresErrorCodes.UniqueViolation })
        {
            return new SaveResult(null, await VersionAsync(id, null, stop));
        }
    }

    public Task PublishAsync(Guid id, int version, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "published", Subject(id), new { version }),
        "update session set published_version = $2, published_at = now() where id = $1",
        p => p.Uuid(id).Int(version),
        stop);

    public Task WithdrawAsync(Guid id, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "withdrawn", Subject(id)),
        "update session set published_version = null, published_at = null where id = $1",
        p => p.Uuid(id),
        stop);

    public Task ChangeFactsAsync(Guid id, SessionFacts facts, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "session changed", Subject(id), facts),
        "update session set title = $2, coach = $3, recorded_on = $4, stated_minutes = $5, series = $6 where id = $1",
        p => p.Uuid(id).Text(facts.Title).Text(facts.Coach).With(facts.RecordedOn, NpgsqlDbType.Date).With(facts.StatedMinutes, NpgsqlDbType.Double).Text(facts.Series),
        stop);

    private static string Subject(Guid id) => $"session {id}";

    private static async Task InsertVersionAsync(
        NpgsqlConnection connection, Guid id, int number, int? basedOn, Timeline timeline, string why, Guid? by, CancellationToken stop)
    {
        await using var command = new NpgsqlCommand(
            "insert into timeline_version (session_id, number, based_on, timeline, why, made_by) values ($1, $2, $3, $4, $5, $6)", connection);
        command.Parameters.Uuid(id).Int(number).Int(basedOn).With(TimelineJson.Write(timeline), NpgsqlDbType.Jsonb).Text(why).Uuid(by);
        await command.ExecuteNonQueryAsync(stop);
    }

    private Task<List<SessionRecord>> ReadSessionsAsync(string rest, Action<NpgsqlParameterCollection> fill, CancellationToken stop) =>
        database.ReadAsync(
            $"{SelectSession} {rest}",
            fill,
            r => new SessionRecord(
                r.GetGuid(0),
                new SessionFacts(r.GetString(1), r.GetString(2), r.GetFieldValue<DateOnly>(3), r.IsDBNull(4) ? null : r.GetDouble(4), r.IsDBNull(9) ? null : r.GetString(9)),
                r.GetString(5),
                r.GetInt32(6),
                r.IsDBNull(7) ? null : r.GetInt32(7),
                r.GetFieldValue<DateTimeOffset>(8),
                r.IsDBNull(10) ? null : r.GetFieldValue<DateTimeOffset>(10)),
            stop);

    private Task<List<TimelineVersion>> ReadVersionsAsync(string rest, Action<NpgsqlParameterCollection> fill, CancellationToken stop) =>
        database.ReadAsync(
            $"{SelectVersion} {rest}",
            fill,
            r => new TimelineVersion(
                r.GetGuid(0), r.GetInt32(1), r.IsDBNull(2) ? null : r.GetInt32(2), TimelineJson.Read(r.GetString(3)), r.GetString(4), r.GetString(5),
                r.GetFieldValue<DateTimeOffset>(6)),
            stop);

    private sealed class VersionTakenException : Exception;
}
