using AnyPace.Core.Finding;
using AnyPace.Data.Sessions;
using Npgsql;

namespace AnyPace.Web.Hosting;

/// <summary>
/// Keeps this node's snapshot of the published library. The database tells of changes by LISTEN/NOTIFY; where that connection drops,
/// the snapshot is rebuilt when it is back, and at least every <see cref="RefreshEvery"/> in between.
/// </summary>
public sealed partial class Catalogue(SessionStore sessions, StudioMoves moves, StudioSettings settings, NpgsqlDataSource source, ILogger<Catalogue> log) : BackgroundService
{
    private static readonly TimeSpan RefreshEvery = TimeSpan.FromSeconds(30);
    private static readonly TimeSpan RetryAfter = TimeSpan.FromSeconds(1);

    private volatile CatalogueSnapshot _snapshot = CatalogueSnapshot.Empty;

    public CatalogueSnapshot Snapshot => _snapshot;

    public override async Task StartAsync(CancellationToken cancellationToken)
    {
        await RefreshAsync(cancellationToken);
        await base.StartAsync(cancellationToken);
    }

    /// <summary>Rebuilds now; the node that publishes shows its own change at once.</summary>
    public async Task RefreshAsync(CancellationToken stop)
    {
        await moves.RefreshAsync(stop);
        await settings.RefreshAsync(stop);
        var lexicon = moves.Current;
        var records = (await sessions.PublishedAsync(stop)).ToDictionary(s => s.Id);
        var versions = await sessions.PublishedVersionsAsync(stop);
        _snapshot = new CatalogueSnapshot(
            versions
                .Where(v => records.ContainsKey(v.SessionId))
                .Select(v => CatalogueEntry.Of(v.SessionId, records[v.SessionId].Facts.Title, records[v.SessionId].Facts.Coach, v.MadeAt, v.Timeline, lexicon, settings.Current)),
            lexicon);
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                await using var connection = await source.OpenConnectionAsync(stoppingToken);
                await using (var listen = new NpgsqlCommand("listen catalogue", connection))
                {
                    await listen.ExecuteNonQueryAsync(stoppingToken);
                }

                while (true)
                {
                    await RefreshAsync(stoppingToken);
                    await connection.WaitAsync(RefreshEvery, stoppingToken);
                }
            }
            catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
            {
                return;
            }
            catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException)
            {
                Lost(log, e.Message);
                await Task.Delay(RetryAfter, stoppingToken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
            }
        }
    }

    [LoggerMessage(LogLevel.Warning, "The catalogue's line to the database dropped ({Reason}); trying again.")]
    private static partial void Lost(ILogger logger, string reason);
}
