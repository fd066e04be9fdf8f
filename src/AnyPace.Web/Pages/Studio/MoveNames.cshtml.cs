using AnyPace.Core.Lexicon;
using AnyPace.Data.Moves;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>The studio's own names for one move: what its coaches call it, read from then on.</summary>
public sealed class MoveNamesModel(MoveStore store, StudioMoves moves) : PageModel
{
    public Move Move { get; private set; } = null!;

    public IReadOnlyList<string> Names { get; private set; } = [];

    public StudioMove? Own { get; private set; }

    /// <summary>A name just removed, so that it can be put back with one click.</summary>
    [TempData]
    public string? Removed { get; set; }

    [BindProperty]
    public string? Name { get; set; }

    public Task<IActionResult> OnGetAsync(string id, CancellationToken stop) => ShowAsync(id, stop);

    public async Task<IActionResult> OnPostAddAsync(string id, CancellationToken stop)
    {
        var name = (Name ?? "").Trim();
        if (moves.Current.Find(id) is null)
        {
            return NotFound();
        }

        if (name.Length is < 2 or > 60)
        {
            ModelState.AddModelError(nameof(Name), "A name has 2 to 60 characters.");
            return await ShowAsync(id, stop);
        }

        try
        {
            await moves.TryAsync(new StudioName(name, id), null, stop);
        }
        catch (LexiconException e)
        {
            ModelState.AddModelError(nameof(Name), e.Message);
            return await ShowAsync(id, stop);
        }

        await store.AddNameAsync(new StudioName(name, id), User.AccountId(), stop);
        await moves.RefreshAsync(stop);
        return RedirectToPage(new { id });
    }

    public async Task<IActionResult> OnPostRemoveAsync(string id, string name, CancellationToken stop)
    {
        if (await store.RemoveNameAsync(new StudioName(name, id), User.AccountId(), stop))
        {
            Removed = name;
            await moves.RefreshAsync(stop);
        }

        return RedirectToPage(new { id });
    }

    public async Task<IActionResult> OnPostRetireAsync(string id, bool retired, CancellationToken stop)
    {
        await store.RetireAsync(id, retired, User.AccountId(), stop);
        await moves.RefreshAsync(stop);
        return RedirectToPage(new { id });
    }

    private async Task<IActionResult> ShowAsync(string id, CancellationToken stop)
    {
        if (moves.Current.Find(id) is not { } move)
        {
            return NotFound();
        }

        Move = move;
        Names = [.. (await store.NamesAsync(stop)).Where(n => n.MoveId == id).Select(n => n.Name)];
        Own = (await store.MovesAsync(stop)).FirstOrDefault(m => m.Id == id);
        return Page();
    }
}
