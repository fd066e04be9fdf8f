using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>One published session at the member's pace.</summary>
public sealed class SessionModel(Catalogue catalogue, ProfileStore profiles, MoveLexicon lexicon) : PageModel
{
    public CatalogueEntry Entry { get; private set; } = null!;

    public Pace Pace { get; private set; }

    public IReadOnlyList<Explanation> Why { get; private set; } = [];

    /// <summary>How much of it the member can do with the kit of their profile; null where none is given.</summary>
    public KitFitFigures? Fit { get; private set; }

    public MassUnit Unit { get; private set; }

    public async Task<IActionResult> OnGetAsync(Guid id, string? pace, CancellationToken stop)
    {
        if (catalogue.Snapshot.Entry(id) is not { } entry)
        {
            return NotFound();
        }

        Entry = entry;
        Pace = Paces.Parse(pace);
        Why = Explain.All(entry.Timeline, lexicon, entry.Measures, Pace);
        var profile = await profiles.FindAsync(User.AccountId(), stop);
        Unit = profile.Unit;
        Fit = profile.Kit.IsEmpty || entry.RequiredKit.IsEmpty ? null : KitFit.Of(entry.Timeline, lexicon, profile.Kit);
        return Page();
    }
}
