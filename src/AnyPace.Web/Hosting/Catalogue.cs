using AnyPace.Core.Captions;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Data.Sessions;
using Microsoft.Extensions.Caching.Memory;
using Npgsql;

namespace AnyPace.Web.Hosting;

/// <summary>
/// Keeps this node's snapshot of the published library. The database wakes it by LISTEN/NOTIFY; what has changed is then asked for by the
/// catalogue's clock, so that a lost message loses nothing. While that line is down, and every <see cref="AskEvery"/> besides, the node asks by itself.
/// </summary>
public sealed partial class Catalogue(
    SessionStore sessions, ListingStore listings, StudioMoves moves, StudioSettings settings, NpgsqlDataSource source, IMemoryCache cache, ILogger<Catalogue> log) : BackgroundService
{
    private static readonly TimeSpan AskEvery = TimeSpan.FromSeconds(10);
    private static readonly TimeSpan RetryAfter = TimeSpan.FromMilliseconds(500);

    /// <summary>Numbers of the clock are taken before a change is committed; those this close below the newest may still be on their way.</summary>
    private const long StillOnTheWay = 32;

    /// <summary>From this many changes on everything is read anew, so that the large part of the snapshot holds them too.</summary>
    private const int ManyChanges = 500;

    private const int LargeLibrary = 20_000;

    private readonly SemaphoreSlim _one = new(1);
    private readonly Dictionary<Guid, long> _seen = [];
    private volatile CatalogueSnapshot _snapshot = CatalogueSnapshot.Empty;
    private volatile string _madeWith = "";
    private long _clock;

    public CatalogueSnapshot Snapshot => _snapshot;

    public override async Task StartAsync(CancellationToken cancellationToken)
    {
        await RefreshAsync(cancellationToken);
        await base.StartAsync(cancellationToken);
    }

    /// <summary>Takes in what has changed; the node that publishes shows its own change at once.</summary>
    public async Task RefreshAsync(CancellationToken stop)
    {
        await _one.WaitAsync(stop);
        try
        {
            await moves.RefreshAsync(stop);
            await settings.RefreshAsync(stop);
            var madeWith = Listing.MadeWith(moves.Current, settings.Current);
            if (madeWith != _madeWith || _snapshot.Changes > ManyChanges)
            {
                await ReadAllAsync(madeWith, stop);
            }
            else
            {
                await ReadChangesAsync(stop);
            }
        }
        finally
        {
            _one.Release();
        }
    }

    /// <summary>A published session with its timeline and measures; null where it is not published.</summary>
    public async Task<CatalogueEntry?> EntryAsync(Guid id, CancellationToken stop) => (await EntriesAsync([id], stop)).GetValueOrDefault(id);

    /// <summary>Several at once; those not published are left out. What was measured is kept for a while, a few hundred sessions at most.</summary>
    public async Task<IReadOnlyDictionary<Guid, CatalogueEntry>> EntriesAsync(IEnumerable<Guid> ids, CancellationToken stop)
    {
        var snapshot = _snapshot;
        var found = new Dictionary<Guid, CatalogueEntry>();
        var missing = new List<Guid>();
        foreach (var id in ids.Distinct())
        {
            if (snapshot.Row(id) is not { } row)
            {
                continue;
            }

            if (cache.TryGetValue(KeyOf(id, row.Segment.Versions[row.Row], row.Title, row.Coach), out CatalogueEntry? entry))
            {
                found[id] = entry!;
            }
            else
            {
                missing.Add(id);
            }
        }

        if (missing.Count > 0)
        {
            foreach (var (session, version) in await sessions.PublishedAsync(missing, stop))
            {
                var entry = EntryOf(session, version);
                found[session.Id] = entry;
                cache.Set(KeyOf(session.Id, version.Number, session.Facts.Title, session.Facts.Coach), entry, new MemoryCacheEntryOptions { Size = 1, SlidingExpiration = TimeSpan.FromMinutes(10) });
            }
        }

        return found;
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
                    await connection.WaitAsync(AskEvery, stoppingToken);
                }
            }
            catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
            {
                return;
            }
            catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException)
            {
                Lost(log, e.Message);
                await AskAlone(stoppingToken);
            }
        }
    }

    /// <summary>The line to listen on is down; the database may be there all the same.</summary>
    private async Task AskAlone(CancellationToken stop)
    {
        await Task.Delay(RetryAfter, stop).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
        try
        {
            await RefreshAsync(stop);
        }
        catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException or OperationCanceledException)
        {
            // The next round tries again, and says so.
        }
    }

    private async Task ReadAllAsync(string madeWith, CancellationToken stop)
    {
        var clock = await listings.ClockAsync(stop);
        _snapshot = await BuildAsync(madeWith, stop);
        (_madeWith, _clock) = (madeWith, clock);
        _seen.Clear();
        if (_snapshot.Count > LargeLibrary)
        {
            // What was read is many times what is kept; the system gets it back now rather than some day. First the call that read it must be left:
            // its continuation, which this is, still runs inside it.
            await Task.Yield();
            GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
        }
    }

    private async Task<CatalogueSnapshot> BuildAsync(string madeWith, CancellationToken stop)
    {
        var all = new List<Listing>();
        foreach (var head in await listings.AllAsync(madeWith, stop))
        {
            if ((head.Listing ?? await MakeAsync(head.Id, madeWith, stop)) is { } listing)
            {
                all.Add(listing);
            }
        }

        return new CatalogueSnapshot(all, moves.Current);
    }

    private async Task ReadChangesAsync(CancellationToken stop)
    {
        var snapshot = _snapshot;
        foreach (var head in await listings.SinceAsync(_madeWith, _clock - StillOnTheWay, stop))
        {
            if (_seen.TryGetValue(head.Id, out var touched) && touched == head.Touched)
            {
                continue;
            }

            var listing = head.Published is null ? null : head.Listing ?? await MakeAsync(head.Id, _madeWith, stop);
            if (listing is not null || snapshot.Row(head.Id) is not null)
            {
                snapshot = snapshot.With(head.Id, listing);
            }

            _seen[head.Id] = head.Touched;
            _clock = Math.Max(_clock, head.Touched);
        }

        _snapshot = snapshot;
    }

    private async Task<Listing?> MakeAsync(Guid id, string madeWith, CancellationToken stop)
    {
        if ((await sessions.PublishedAsync([id], stop)).SingleOrDefault() is not { Session: { } session, Version: { } version })
        {
            return null;
        }

        var words = CaptionWords.Of(CaptionReader.Read(await sessions.CaptionsAsync(id, stop)).Cues);
        var listing = Listing.Of(EntryOf(session, version), version.Number, session.Facts.Series, words, moves.Current);
        await listings.KeepAsync(madeWith, listing, stop);
        return listing;
    }

    private CatalogueEntry EntryOf(SessionRecord session, TimelineVersion version) => CatalogueEntry.Of(
        session.Id, session.Facts.Title, session.Facts.Coach, session.PublishedAt ?? version.MadeAt, version.Timeline, moves.Current, settings.Current);

    private string KeyOf(Guid id, int version, string title, string coach) => $"{id:N} {version} {_madeWith} {title} {coach}";

    [LoggerMessage(LogLevel.Warning, "The catalogue's line to the database dropped ({Reason}); trying again.")]
    private static partial void Lost(ILogger logger, string reason);
}
