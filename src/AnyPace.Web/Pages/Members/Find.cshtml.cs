using AnyPace.Core.Finding;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>Narrow the library to a few good candidates; the whole state is in the URL.</summary>
public sealed class FindModel(Catalogue catalogue, ProfileStore profiles, LogStore log, TimeProvider time) : PageModel
{
    private const int SearchName = 60;

    public FindQuery Query { get; private set; } = FindQuery.Everything;

    public FindResult Result { get; private set; } = null!;

    /// <summary>The sessions of the page, with their timelines.</summary>
    public IReadOnlyList<CatalogueEntry> Shown { get; private set; } = [];

    public int Library { get; private set; }

    public IReadOnlyList<SavedSearch> Searches { get; private set; } = [];

    public string? Done => TempData["Done"] as string;

    public string? Wrong { get; private set; }

    public int Pages => (Result.Total + CatalogueSnapshot.PageRows - 1) / CatalogueSnapshot.PageRows;

    public async Task<IActionResult> OnGetAsync(CancellationToken stop)
    {
        Query = FindQuery.Parse(Request.Query.SelectMany(p => p.Value.Select(v => KeyValuePair.Create(p.Key, v ?? ""))));
        await LoadAsync(stop);
        Response.Headers.Vary = "HX-Request";
        return Request.Headers.ContainsKey("HX-Request") ? Partial("Members/_Find", this) : Page();
    }

    public async Task<IActionResult> OnPostSaveAsync(string? name, string? query, CancellationToken stop)
    {
        Query = Read(query);
        if (string.IsNullOrWhiteSpace(name) || name.Trim().Length > SearchName)
        {
            Wrong = $"Give the search a name of at most {SearchName} characters.";
            await LoadAsync(stop);
            return Page();
        }

        await log.SaveSearchAsync(User.AccountId(), name.Trim(), Query.ToQueryString(), stop);
        TempData["Done"] = $"Saved as \"{name.Trim()}\".";
        return Redirect("/find" + Query.ToQueryString());
    }

    public async Task<IActionResult> OnPostForgetAsync(Guid id, string? query, CancellationToken stop)
    {
        await log.RemoveSearchAsync(User.AccountId(), id, stop);
        return Redirect("/find" + Read(query).ToQueryString());
    }

    /// <summary>The link that changes one thing of the query.</summary>
    public string Link(Func<FindQuery, FindQuery> change) => "/find" + change(Query).ToQueryString();

    private static FindQuery Read(string? query) => FindQuery.Parse(
        Microsoft.AspNetCore.WebUtilities.QueryHelpers.ParseQuery(query).SelectMany(p => p.Value.Select(v => KeyValuePair.Create(p.Key, v ?? ""))));

    private async Task LoadAsync(CancellationToken stop)
    {
        var snapshot = catalogue.Snapshot;
        Library = snapshot.Count;
        Func<SessionRow, float>? fit = null;
        if (Query.Sort == FindSort.Fit)
        {
            var wishes = await MemberWishes.OfAsync(User.AccountId(), profiles, log, snapshot, time, stop);
            fit = row => Matcher.FitAt(row, wishes, Query.Pace);
        }

        Result = snapshot.Find(Query, fit);
        Searches = await log.SearchesAsync(User.AccountId(), stop);
        var entries = await catalogue.EntriesAsync(Result.Found.Select(r => r.Id), stop);
        Shown = [.. Result.Found.Where(r => entries.ContainsKey(r.Id)).Select(r => entries[r.Id])];
    }
}
