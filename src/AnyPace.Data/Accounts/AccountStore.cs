using Microsoft.AspNetCore.Identity;
using Npgsql;
using NpgsqlTypes;

namespace AnyPace.Data.Accounts;

/// <summary>ASP.NET Core Identity's store over plain SQL.</summary>
public sealed class AccountStore(Database database)
    : IUserPasswordStore<Account>, IUserLockoutStore<Account>, IUserSecurityStampStore<Account>
{
    private const string Columns =
        "id, name, normalized_name, display_name, role, password_hash, security_stamp, lockout_end, lockout_enabled, access_failed_count, demo";

    public async Task<IdentityResult> CreateAsync(Account user, CancellationToken cancellationToken)
    {
        try
        {
            await database.WriteAsync(
                Audit.Of(null, "account created", Subject(user), new { user.Name, user.Role }),
                $"insert into account ({Columns}) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)",
                p => Fill(p, user),
                cancellationToken);
            return IdentityResult.Success;
        }
        catch (PostgresException e) when (e.SqlState == PostgresErrorCodes.UniqueViolation)
        {
            return IdentityResult.Failed(new IdentityError { Code = "DuplicateUserName", Description = $"The name {user.Name} is taken." });
        }
    }

    public async Task<IdentityResult> UpdateAsync(Account user, CancellationToken cancellationToken)
    {
        var touched = await database.WriteAsync(
            Audit.Of(user.Id, "account updated", Subject(user), new { user.AccessFailedCount, user.LockoutEnd }),
            """
            update account set name = $2, normalized_name = $3, display_name = $4, role = $5, password_hash = $6, security_stamp = $7,
                lockout_end = $8, lockout_enabled = $9, access_failed_count = $10, demo = $11
            where id = $1
            """,
            p => Fill(p, user),
            cancellationToken);
        return touched == 1 ? IdentityResult.Success : IdentityResult.Failed(new IdentityErrorDescriber().ConcurrencyFailure());
    }

    public async Task<IdentityResult> DeleteAsync(Account user, CancellationToken cancellationToken)
    {
        await database.WriteAsync(
            Audit.Of(null, "account deleted", Subject(user)), "delete from account where id = $1", p => p.Uuid(user.Id), cancellationToken);
        return IdentityResult.Success;
    }

    public async Task<Account?> FindByIdAsync(string userId, CancellationToken cancellationToken) =>
        Guid.TryParse(userId, out var id)
            ? (await ReadAsync("where id = $1", p => p.Uuid(id), cancellationToken)).SingleOrDefault()
            : null;

    public async Task<Account?> FindByNameAsync(string normalizedUserName, CancellationToken cancellationToken) =>
        (await ReadAsync("where normalized_name = $1", p => p.Text(normalizedUserName), cancellationToken)).SingleOrDefault();

    /// <summary>The demo's accounts, managers first.</summary>
    public Task<List<Account>> DemoAsync(CancellationToken stop) =>
        ReadAsync("where demo order by array_position(array['manager', 'cataloguer', 'member'], role), name", _ => { }, stop);

    public Task<string> GetUserIdAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.Id.ToString());

    public Task<string?> GetUserNameAsync(Account user, CancellationToken cancellationToken) => Task.FromResult<string?>(user.Name);

    public Task SetUserNameAsync(Account user, string? userName, CancellationToken cancellationToken) => Set(() => user.Name = userName ?? "");

    public Task<string?> GetNormalizedUserNameAsync(Account user, CancellationToken cancellationToken) => Task.FromResult<string?>(user.NormalizedName);

    public Task SetNormalizedUserNameAsync(Account user, string? normalizedName, CancellationToken cancellationToken) => Set(() => user.NormalizedName = normalizedName ?? "");

    public Task SetPasswordHashAsync(Account user, string? passwordHash, CancellationToken cancellationToken) => Set(() => user.PasswordHash = passwordHash ?? "");

    public Task<string?> GetPasswordHashAsync(Account user, CancellationToken cancellationToken) => Task.FromResult<string?>(user.PasswordHash);

    public Task<bool> HasPasswordAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.PasswordHash.Length > 0);

    public Task SetSecurityStampAsync(Account user, string stamp, CancellationToken cancellationToken) => Set(() => user.SecurityStamp = stamp);

    public Task<string?> GetSecurityStampAsync(Account user, CancellationToken cancellationToken) => Task.FromResult<string?>(user.SecurityStamp);

    public Task<DateTimeOffset?> GetLockoutEndDateAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.LockoutEnd);

    public Task SetLockoutEndDateAsync(Account user, DateTimeOffset? lockoutEnd, CancellationToken cancellationToken) => Set(() => user.LockoutEnd = lockoutEnd);

    public Task<int> IncrementAccessFailedCountAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(++user.AccessFailedCount);

    public Task ResetAccessFailedCountAsync(Account user, CancellationToken cancellationToken) => Set(() => user.AccessFailedCount = 0);

    public Task<int> GetAccessFailedCountAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.AccessFailedCount);

    public Task<bool> GetLockoutEnabledAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.LockoutEnabled);

    public Task SetLockoutEnabledAsync(Account user, bool enabled, CancellationToken cancellationToken) => Set(() => user.LockoutEnabled = enabled);

    public void Dispose()
    {
        // Connections are opened and closed per statement; there is nothing to let go of.
    }

    private static string Subject(Account user) => $"account {user.Id}";

    private static Task Set(Action change)
    {
        change();
        return Task.CompletedTask;
    }

    private static void Fill(NpgsqlParameterCollection p, Account user) => p
        .Uuid(user.Id).Text(user.Name).Text(user.NormalizedName).Text(user.DisplayName).Text(user.Role).Text(user.PasswordHash).Text(user.SecurityStamp)
        .With(user.LockoutEnd?.ToUniversalTime(), NpgsqlDbType.TimestampTz).With(user.LockoutEnabled, NpgsqlDbType.Boolean)
        .Int(user.AccessFailedCount).With(user.Demo, NpgsqlDbType.Boolean);

    private Task<List<Account>> ReadAsync(string where, Action<NpgsqlParameterCollection> fill, CancellationToken stop) =>
        database.ReadAsync(
            $"select {Columns} from account {where}",
            fill,
            r => new Account
            {
                Id = r.GetGuid(0),
                Name = r.GetString(1),
                NormalizedName = r.GetString(2),
                DisplayName = r.GetString(3),
                Role = r.GetString(4),
                PasswordHash = r.GetString(5),
                SecurityStamp = r.GetString(6),
                LockoutEnd = r.IsDBNull(7) ? null : r.GetFieldValue<DateTimeOffset>(7),
                LockoutEnabled = r.GetBoolean(8),
                AccessFailedCount = r.GetInt32(9),
                Demo = r.GetBoolean(10),
            },
            stop);
}
