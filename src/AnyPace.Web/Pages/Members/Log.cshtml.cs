using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>What a member did: theirs alone, and the source of which muscles are due and which level suits.</summary>
public sealed class LogModel(LogStore log, ProfileStore profiles) : PageModel
{
    public IReadOnlyList<LogEntry> Entries { get; private set; } = [];

    public MassUnit Unit { get; private set; }

    public string? Done => TempData["Done"] as string;

    /// <summary>True right after pain was logged: then the care text stands first.</summary>
    public bool Hurt => TempData["Hurt"] is true;

    public async Task OnGetAsync(CancellationToken stop)
    {
        Entries = await log.AllAsync(User.AccountId(), stop);
        Unit = (await profiles.FindAsync(User.AccountId(), stop)).Unit;
    }

    public async Task<IActionResult> OnPostRemoveAsync(Guid id, CancellationToken stop)
    {
        await log.RemoveAsync(User.AccountId(), id, stop);
        TempData["Done"] = "Taken out of your log.";
        return RedirectToPage();
    }
}
