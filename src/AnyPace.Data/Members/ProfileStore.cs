using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using NpgsqlTypes;

namespace AnyPace.Data.Members;

/// <summary>Members' profiles: read and written only for the member who owns them. Their content never goes into the audit.</summary>
public sealed class ProfileStore(Database database)
{
    public async Task<MemberProfile> FindAsync(Guid account, CancellationToken stop) =>
        (await database.ReadAsync(
            "select minutes, max_impact, level, goal, kit, spare, mass_unit from member_profile where account_id = $1",
            p => p.Uuid(account),
            r => new MemberProfile(
                r.IsDBNull(0) ? null : r.GetInt32(0),
                r.IsDBNull(1) ? null : Enum.Parse<Impact>(r.GetString(1), ignoreCase: true),
                r.IsDBNull(2) ? null : r.GetInt32(2),
                r.IsDBNull(3) ? null : r.GetString(3),
                [.. r.GetFieldValue<string[]>(4)],
                [.. r.GetFieldValue<string[]>(5)])
            {
                Unit = Enum.Parse<MassUnit>(r.GetString(6), ignoreCase: true),
            },
            stop)).SingleOrDefault() ?? MemberProfile.Blank;

    public Task SaveAsync(Guid account, MemberProfile profile, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "profile saved", $"profile {account}"),
        """
        insert into member_profile (account_id, minutes, max_impact, level, goal, kit, spare, mass_unit) values ($1, $2, $3, $4, $5, $6, $7, $8)
        on conflict (account_id) do update set minutes = excluded.minutes, max_impact = excluded.max_impact, level = excluded.level,
            goal = excluded.goal, kit = excluded.kit, spare = excluded.spare, mass_unit = excluded.mass_unit, updated_at = now()
        """,
        p => p.Uuid(account).Int(profile.Minutes).Text(profile.MaxImpact?.Key()).Int(profile.Level).Text(profile.Goal)
            .With(profile.Kit.ToArray(), NpgsqlDbType.Array | NpgsqlDbType.Text).With(profile.Spare.ToArray(), NpgsqlDbType.Array | NpgsqlDbType.Text)
            .Text(profile.Unit.ToString().ToLowerInvariant()),
        stop);

    public Task DeleteAsync(Guid account, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "profile deleted", $"profile {account}"), "delete from member_profile where account_id = $1", p => p.Uuid(account), stop);
}
