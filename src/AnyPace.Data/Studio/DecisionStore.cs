namespace AnyPace.Data.Studio;

/// <summary>What was decided on a finding.</summary>
/// <param name="Fixed">True where it was put right; false where it is accepted, with a reason.</param>
public sealed record Decision(string Fingerprint, bool Fixed, string Reason, string By, DateTimeOffset At);

/// <summary>Decisions on findings, kept by the finding's fingerprint.</summary>
public sealed class DecisionStore(Database database)
{
    public Task<List<Decision>> OfAsync(Guid session, CancellationToken stop) => database.ReadAsync(
        """
        select d.fingerprint, d.decision = 'fixed', d.reason, coalesce(a.display_name, 'Any Pace'), d.decided_at
        from finding_decision d left join account a on a.id = d.decided_by
        where d.session_id = $1 order by d.decided_at
        """,
        p => p.Uuid(session),
        r => new Decision(r.GetString(0), r.GetBoolean(1), r.GetString(2), r.GetString(3), r.GetFieldValue<DateTimeOffset>(4)),
        stop);

    /// <summary>Fingerprints settled, by session, for the overview.</summary>
    public async Task<ILookup<Guid, string>> AllAsync(CancellationToken stop) =>
        (await database.ReadAsync("select session_id, fingerprint from finding_decision", _ => { }, r => (Session: r.GetGuid(0), Fingerprint: r.GetString(1)), stop))
        .ToLookup(d => d.Session, d => d.Fingerprint);

    public Task SettleAsync(Guid session, string fingerprint, bool @fixed, string reason, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, @fixed ? "finding fixed" : "finding accepted", $"session {session}", new { fingerprint, reason }),
        """
        insert into finding_decision (session_id, fingerprint, decision, reason, decided_by) values ($1, $2, $3, $4, $5)
        on conflict (session_id, fingerprint) do update set decision = excluded.decision, reason = excluded.reason, decided_by = excluded.decided_by, decided_at = now()
        """,
        p => p.Uuid(session).Text(fingerprint).Text(@fixed ? "fixed" : "accepted").Text(reason).Uuid(by),
        stop);

    public Task ReopenAsync(Guid session, string fingerprint, Guid? by, CancellationToken stop) => database.WriteAsync(
        Audit.Of(by, "finding reopened", $"session {session}", new { fingerprint }),
        "delete from finding_decision where session_id = $1 and fingerprint = $2",
        p => p.Uuid(session).Text(fingerprint),
        stop);
}
