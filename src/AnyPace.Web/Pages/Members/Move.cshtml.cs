using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;
using AnyPace.Data.Moves;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>One move: who does the work, what it asks for, its neighbours, and the published sessions that have it.</summary>
public sealed class MoveModel(MoveLexicon lexicon, Catalogue catalogue, MoveStore store) : PageModel
{
    public sealed record Use(Guid SessionId, string Title, string Coach, int Bouts, Seconds Time);

    /// <summary>Sessions listed; the rest is found by its name.</summary>
    private const int Shown = 20;

    /// <summary>All published sessions that have it.</summary>
    public int Sessions { get; private set; }

    public Move Move { get; private set; } = null!;

    public IReadOnlyList<Use> Uses { get; private set; } = [];

    public StudioMove? Own { get; private set; }

    public async Task<IActionResult> OnGetAsync(string id, CancellationToken stop)
    {
        if (lexicon.Find(id) is not { } move)
        {
            return NotFound();
        }

        Move = move;
        Own = move.Id.StartsWith(StudioMove.IdPrefix, StringComparison.Ordinal) ? (await store.MovesAsync(stop)).FirstOrDefault(m => m.Id == id) : null;
        var doing = new HashSet<string> { id };
        var rows = catalogue.Snapshot.Rows.Where(r => r.Segment.Does(r.Row, doing)).ToList();
        Sessions = rows.Count;
        var entries = await catalogue.EntriesAsync(rows.Take(Shown).Select(r => r.Id), stop);
        Uses =
        [
            .. entries.Values
                .Select(e => (Entry: e, Bouts: e.Timeline.Bouts.Where(b => b.MoveId == id).ToList()))
                .Select(x => new Use(x.Entry.Id, x.Entry.Title, x.Entry.Coach, x.Bouts.Count, new Seconds(x.Bouts.Sum(b => b.Span.Length.Value))))
                .OrderByDescending(u => u.Time),
        ];
        return Page();
    }
}
