using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>All sessions the studio has taken in.</summary>
public sealed class LibraryModel(SessionStore sessions, MoveLexicon lexicon, MeasureSettings settings) : PageModel
{
    public sealed record Row(SessionRecord Session, MeasureSheet Sheet);

    public IReadOnlyList<Row> Rows { get; private set; } = [];

    public async Task OnGetAsync(CancellationToken stop)
    {
        var newest = (await sessions.NewestVersionsAsync(stop)).ToDictionary(v => v.SessionId);
        Rows = [.. (await sessions.AllAsync(stop)).Select(s => new Row(s, Measure.Sheet(newest[s.Id].Timeline, lexicon, Pace.AsLed, settings)))];
    }
}
