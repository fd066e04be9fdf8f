using AnyPace.Core.Finding;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>Narrow the library to a few good candidates; the whole state is in the URL.</summary>
public sealed class FindModel(Catalogue catalogue) : PageModel
{
    /// <summary>Rows on the page; nobody reads more, and the page stays light.</summary>
    public const int Shown = 24;

    public FindQuery Query { get; private set; } = FindQuery.Everything;

    public FindResult Result { get; private set; } = null!;

    public int Library { get; private set; }

    public IActionResult OnGet()
    {
        Query = FindQuery.Parse(Request.Query.SelectMany(p => p.Value.Select(v => KeyValuePair.Create(p.Key, v ?? ""))));
        var snapshot = catalogue.Snapshot;
        Library = snapshot.Entries.Length;
        Result = snapshot.Find(Query);
        Response.Headers.Vary = "HX-Request";
        return Request.Headers.ContainsKey("HX-Request") ? Partial("Members/_Find", this) : Page();
    }

    /// <summary>The link that changes one thing of the query.</summary>
    public string Link(Func<FindQuery, FindQuery> change) => "/find" + change(Query).ToQueryString();
}
