using Npgsql;

namespace AnyPace.Data.Tests;

/// <summary>A fresh, migrated database on the real PostgreSQL in ANYPACE_TEST_DB, dropped when the tests are over.</summary>
public sealed class TestDatabase : IAsyncLifetime
{
    private const string Variable = "ANYPACE_TEST_DB";
    private readonly string _name = "test_" + Guid.NewGuid().ToString("N");

    private NpgsqlDataSource? _source;

    public string ConnectionString { get; private set; } = "";

    public NpgsqlDataSource Source => _source!;

    public Database Database => new(Source);

    public async Task InitializeAsync()
    {
        var server = Environment.GetEnvironmentVariable(Variable)
            ?? throw new InvalidOperationException($"{Variable} is not set: run these tests with ./anypace test, or give it a connection string that may create databases.");
        await RunAsync(server, $"create database {_name}");
        ConnectionString = new NpgsqlConnectionStringBuilder(server) { Database = _name }.ConnectionString;
        Migrator.Migrate(ConnectionString);
        _source = Database.Connect(ConnectionString);
    }

    public async Task DisposeAsync()
    {
        if (_source is not null)
        {
            await _source.DisposeAsync();
        }

        NpgsqlConnection.ClearAllPools();
        await RunAsync(Environment.GetEnvironmentVariable(Variable)!, $"drop database if exists {_name} with (force)");
    }

    public async Task<T> ScalarAsync<T>(string sql)
    {
        await using var command = Source.CreateCommand(sql);
        return (T)(await command.ExecuteScalarAsync())!;
    }

    private static async Task RunAsync(string connectionString, string sql)
    {
        await using var connection = new NpgsqlConnection(connectionString);
        await connection.OpenAsync();
        await using var command = new NpgsqlCommand(sql, connection);
        await command.ExecuteNonQueryAsync();
    }
}
