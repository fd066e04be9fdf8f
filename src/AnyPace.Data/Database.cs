using System.Text.Json;
using Npgsql;
using NpgsqlTypes;

namespace AnyPace.Data;

/// <summary>The one place that opens connections. Every write goes through <see cref="WriteAsync{T}"/> and leaves an audit row in the same transaction.</summary>
public sealed class Database(NpgsqlDataSource source)
{
    public const string ConnectionVariable = "ANYPACE_DB";

    public static NpgsqlDataSource Connect(string connectionString) => new NpgsqlDataSourceBuilder(connectionString).Build();

    public async Task<List<T>> ReadAsync<T>(string sql, Action<NpgsqlParameterCollection> fill, Func<NpgsqlDataReader, T> row, CancellationToken stop)
    {
        await using var command = source.CreateCommand(sql);
        fill(command.Parameters);
        await using var reader = await command.ExecuteReaderAsync(stop);
        var rows = new List<T>();
        while (await reader.ReadAsync(stop))
        {
            rows.Add(row(reader));
        }

        return rows;
    }

    /// <summary>Runs a change and its audit row in one transaction; nothing is kept where either fails.</summary>
    public async Task<T> WriteAsync<T>(Audit audit, Func<NpgsqlConnection, Task<T>> change, CancellationToken stop)
    {
        await using var connection = await source.OpenConnectionAsync(stop);
        await using var transaction = await connection.BeginTransactionAsync(stop);
        var result = await change(connection);
        await using var command = new NpgsqlCommand(
            "insert into audit (account_id, action, subject, detail) values ($1, $2, $3, $4)", connection);
        command.Parameters.Add(new() { Value = (object?)audit.AccountId ?? DBNull.Value, NpgsqlDbType = NpgsqlDbType.Uuid });
        command.Parameters.Add(new() { Value = audit.Action });
        command.Parameters.Add(new() { Value = audit.Subject });
        command.Parameters.Add(new() { Value = JsonSerializer.Serialize(audit.Detail), NpgsqlDbType = NpgsqlDbType.Jsonb });
        await command.ExecuteNonQueryAsync(stop);
        await transaction.CommitAsync(stop);
        return result;
    }

    /// <summary>Keeps what was worked out from other rows and can be worked out again: nobody's change, so no audit row.</summary>
    public async Task DeriveAsync(string sql, Action<NpgsqlParameterCollection> fill, CancellationToken stop)
    {
        await using var command = source.CreateCommand(sql);
        fill(command.Parameters);
        await command.ExecuteNonQueryAsync(stop);
    }

    /// <summary>One statement with its audit row; returns the rows touched.</summary>
    public Task<int> WriteAsync(Audit audit, string sql, Action<NpgsqlParameterCollection> fill, CancellationToken stop) =>
        WriteAsync(
            audit,
            async connection =>
            {
                await using var command = new NpgsqlCommand(sql, connection);
                fill(command.Parameters);
                return await command.ExecuteNonQueryAsync(stop);
            },
            stop);
}

/// <summary>Who does what to which thing.</summary>
/// <param name="AccountId">Null for the program itself, such as the demo loader.</param>
/// <param name="Subject">Kind and id, as "session 0190...".</param>
public sealed record Audit(Guid? AccountId, string Action, string Subject, object Detail)
{
    public static Audit Of(Guid? account, string action, string subject, object? detail = null) => new(account, action, subject, detail ?? new { });
}

/// <summary>Positional parameters with their PostgreSQL type said, so that nulls are typed too.</summary>
internal static class Parameters
{
    public static NpgsqlParameterCollection With(this NpgsqlParameterCollection parameters, object? value, NpgsqlDbType type)
    {
        parameters.Add(new NpgsqlParameter { Value = value ?? DBNull.Value, NpgsqlDbType = type });
        return parameters;
    }

    public static NpgsqlParameterCollection Text(this NpgsqlParameterCollection p, string? value) => p.With(value, NpgsqlDbType.Text);

    public static NpgsqlParameterCollection Texts(this NpgsqlParameterCollection p, IEnumerable<string> values) => p.With(values.ToArray(), NpgsqlDbType.Array | NpgsqlDbType.Text);

    public static NpgsqlParameterCollection Uuid(this NpgsqlParameterCollection p, Guid? value) => p.With(value, NpgsqlDbType.Uuid);

    public static NpgsqlParameterCollection Int(this NpgsqlParameterCollection p, int? value) => p.With(value, NpgsqlDbType.Integer);
}
