using System.Reflection;
using DbUp;
using DbUp.Engine;

namespace AnyPace.Data;

/// <summary>Brings a database to the newest shape; runs what has not run yet, in the order of the file names.</summary>
public static class Migrator
{
    /// <exception cref="InvalidOperationException">A script failed; its name and PostgreSQL's message are given.</exception>
    public static IReadOnlyList<string> Migrate(string connectionString)
    {
        var upgrade = DeployChanges.To
            .PostgresqlDatabase(connectionString)
            .WithScriptsEmbeddedInAssembly(Assembly.GetExecutingAssembly(), name => name.StartsWith("migrations/", StringComparison.Ordinal))
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build();
        DatabaseUpgradeResult result = upgrade.PerformUpgrade();
        return result.Successful
            ? [.. result.Scripts.Select(s => s.Name)]
            : throw new InvalidOperationException($"Migration {result.ErrorScript?.Name} failed: {result.Error.Message}", result.Error);
    }
}
