using System.Text.Json;
using AnyPace.Core.Lexicon;
using AnyPace.Data.Moves;

namespace AnyPace.Web.Hosting;

/// <summary>
/// The lexicon this node works with: the shipped one with the studio's own names and moves. It is built from the database at the start, after
/// a change here, and when the catalogue hears of a change elsewhere.
/// </summary>
public sealed partial class StudioMoves(MoveStore store, ILogger<StudioMoves> log)
{
    private volatile MoveLexicon _current = MoveLexicon.Default;

    /// <summary>What the current lexicon was built from; the catalogue asks every half minute, and it seldom changes.</summary>
    private volatile string? _read;

    public MoveLexicon Current => _current;

    /// <summary>Reads what the studio has of its own, and builds the lexicon anew where that has changed.</summary>
    public async Task RefreshAsync(CancellationToken stop)
    {
        var (names, own) = (await store.NamesAsync(stop), await store.MovesAsync(stop));
        var read = JsonSerializer.Serialize(new { names, own });
        if (read == _read)
        {
            return;
        }

        try
        {
            _current = MoveLexicon.Default.With(names, own);
        }
        catch (LexiconException e)
        {
            // A newer program may ship a name that the studio had given; its other names must not be lost over it.
            Clash(log, e.Message);
            _current = MoveLexicon.Default.With([], own);
        }

        _read = read;
    }

    /// <summary>The lexicon as it would be with one more name, or with a move new or changed, to see whether it holds.</summary>
    /// <exception cref="LexiconException">It does not; the message says why.</exception>
    public async Task<MoveLexicon> TryAsync(StudioName? name, StudioMove? move, CancellationToken stop)
    {
        var names = await store.NamesAsync(stop);
        var moves = await store.MovesAsync(stop);
        return MoveLexicon.Default.With(name is null ? names : [.. names.Where(n => n.Name != name.Name), name], move is null ? moves : [.. moves.Where(m => m.Id != move.Id), move]);
    }

    [LoggerMessage(LogLevel.Error, "The studio's names don't fit the lexicon and are left out: {Reason}")]
    private static partial void Clash(ILogger logger, string reason);
}
