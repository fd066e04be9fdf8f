using System.Collections.Immutable;
using System.Text.Json;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using Npgsql;
using NpgsqlTypes;

namespace AnyPace.Data.Members;

/// <summary>Members' profiles: read and written only for the member who owns them. Their content never goes into the audit.</summary>
public sealed class ProfileStore(Database database)
{
    public async Task<MemberProfile> FindAsync(Guid account, CancellationToken stop) =>
        (await database.ReadAsync(
            """
            select minutes, max_impact, level, goals, kit, spare, mass_unit, days, loads::text, max_space, max_noise, liked_moves, disliked_moves, liked_coaches,
                   disliked_coaches, mass, age, resting_rate
            from member_profile where account_id = $1
            """,
            p => p.Uuid(account),
            r => new MemberProfile
            {
                Minutes = r.IsDBNull(0) ? null : r.GetInt32(0),
                MaxImpact = Word<Impact>(r, 1),
                Level = r.IsDBNull(2) ? null : r.GetInt32(2),
                Goals = [.. r.GetFieldValue<string[]>(3)],
                Kit = [.. r.GetFieldValue<string[]>(4)],
                Spare = [.. r.GetFieldValue<string[]>(5)],
                Unit = Enum.Parse<MassUnit>(r.GetString(6), ignoreCase: true),
                Days = [.. r.GetFieldValue<int[]>(7).Select(d => (DayOfWeek)d)],
                Loads = JsonSerializer.Deserialize<Dictionary<string, double>>(r.GetString(8))!.ToImmutableSortedDictionary(),
                MaxSpace = Word<FloorSpace>(r, 9),
                MaxNoise = Word<Noise>(r, 10),
                LikedMoves = [.. r.GetFieldValue<string[]>(11)],
                DislikedMoves = [.. r.GetFieldValue<string[]>(12)],
                LikedCoaches = [.. r.GetFieldValue<string[]>(13)],
                DislikedCoaches = [.. r.GetFieldValue<string[]>(14)],
                Mass = r.IsDBNull(15) ? null : r.GetDouble(15),
                Age = r.IsDBNull(16) ? null : r.GetInt32(16),
                RestingRate = r.IsDBNull(17) ? null : r.GetInt32(17),
            },
            stop)).SingleOrDefault() ?? MemberProfile.Blank;

    public Task SaveAsync(Guid account, MemberProfile profile, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "profile saved", $"profile {account}"),
        """
        insert into member_profile (account_id, minutes, max_impact, level, goals, kit, spare, mass_unit, days, loads, max_space, max_noise, liked_moves,
            disliked_moves, liked_coaches, disliked_coaches, mass, age, resting_rate)
        values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19)
        on conflict (account_id) do update set minutes = excluded.minutes, max_impact = excluded.max_impact, level = excluded.level,
            goals = excluded.goals, kit = excluded.kit, spare = excluded.spare, mass_unit = excluded.mass_unit, days = excluded.days, loads = excluded.loads,
            max_space = excluded.max_space, max_noise = excluded.max_noise, liked_moves = excluded.liked_moves, disliked_moves = excluded.disliked_moves,
            liked_coaches = excluded.liked_coaches, disliked_coaches = excluded.disliked_coaches, mass = excluded.mass, age = excluded.age,
            resting_rate = excluded.resting_rate, updated_at = now()
        """,
        p => p.Uuid(account).Int(profile.Minutes).Text(profile.MaxImpact?.Key()).Int(profile.Level).Texts(profile.Goals).Texts(profile.Kit).Texts(profile.Spare)
            .Text(Lower<MassUnit>(profile.Unit)).With(profile.Days.Select(d => (int)d).ToArray(), NpgsqlDbType.Array | NpgsqlDbType.Integer)
            .With(JsonSerializer.Serialize(profile.Loads), NpgsqlDbType.Jsonb).Text(Lower(profile.MaxSpace)).Text(Lower(profile.MaxNoise))
            .Texts(profile.LikedMoves).Texts(profile.DislikedMoves).Texts(profile.LikedCoaches).Texts(profile.DislikedCoaches)
            .With(profile.Mass, NpgsqlDbType.Double).Int(profile.Age).Int(profile.RestingRate),
        stop);

    /// <summary>The profile, the log, what was said on suggestions, the saved searches: all that is kept of a member beside the account.</summary>
    public Task DeleteAsync(Guid account, CancellationToken stop) => database.WriteAsync(
        Audit.Of(account, "profile deleted", $"profile {account}"),
        async connection =>
        {
            foreach (var table in new[] { "member_profile", "done_session", "member_signal", "saved_search" })
            {
                await using var command = new NpgsqlCommand($"delete from {table} where account_id = $1", connection);
                command.Parameters.Uuid(account);
                await command.ExecuteNonQueryAsync(stop);
            }

            return true;
        },
        stop);

    private static string? Lower<T>(T? value)
        where T : struct, Enum => value?.ToString().ToLowerInvariant();

    private static T? Word<T>(NpgsqlDataReader r, int column)
        where T : struct, Enum => r.IsDBNull(column) ? null : Enum.Parse<T>(r.GetString(column), ignoreCase: true);
}
