using AnyPace.Core.Comparing;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>Two to four sessions side by side; the link holds them and the pace.</summary>
public sealed class CompareModel(Catalogue catalogue, MoveLexicon lexicon) : PageModel
{
    [BindProperty(SupportsGet = true, Name = "s")]
    public List<string> Sessions { get; set; } = [];

    public Comparison? View { get; private set; }

    public string Why { get; private set; } = "";

    public void OnGet(string? pace)
    {
        var found = Sessions
            .Select(s => Guid.TryParse(s, out var id) ? catalogue.Snapshot.Entry(id) : null)
            .OfType<CatalogueEntry>()
            .DistinctBy(e => e.Id)
            .ToList();
        if (found.Count is < Comparison.Least or > Comparison.Most)
        {
            Why = found.Count > Comparison.Most
                ? $"Four sessions are the most that can be read side by side; {found.Count} were ticked."
                : Sessions.Count > found.Count && found.Count > 0
                    ? "One of these sessions is no longer published, so there is nothing to compare it with."
                    : "Tick two to four sessions, then compare them.";
            return;
        }

        View = Comparison.Of(found, Paces.Parse(pace), lexicon);
    }

    public string Link(Pace pace) => $"/compare?pace={pace.Key()}" + string.Concat(View!.Sessions.Select(e => $"&s={e.Id}"));
}
