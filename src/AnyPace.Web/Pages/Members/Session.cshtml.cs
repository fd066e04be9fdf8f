using AnyPace.Core.Finding;
using AnyPace.Core.Sessions;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>One published session at the member's pace.</summary>
public sealed class SessionModel(Catalogue catalogue) : PageModel
{
    public CatalogueEntry Entry { get; private set; } = null!;

    public Pace Pace { get; private set; }

    public IActionResult OnGet(Guid id, string? pace)
    {
        if (catalogue.Snapshot.Entry(id) is not { } entry)
        {
            return NotFound();
        }

        Entry = entry;
        Pace = Paces.Parse(pace);
        return Page();
    }
}
