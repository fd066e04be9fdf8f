using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>A session to do now, and why; four more beside it.</summary>
public sealed class ForMeModel(Catalogue catalogue, ProfileStore profiles, LogStore log, TimeProvider time) : PageModel
{
    public sealed record Suggested(Suggestion Why, CatalogueEntry Entry, ImmutableArray<Completion> Completes);

    public MemberProfile Profile { get; private set; } = MemberProfile.Blank;

    public bool HasHistory { get; private set; }

    public IReadOnlyList<Suggested> Suggestions { get; private set; } = [];

    /// <summary>Where nothing fits: the sessions that break fewest limits.</summary>
    public ImmutableArray<(SessionRow Session, Pace Pace, IReadOnlyList<string> Breaks)> Nearest { get; private set; } = [];

    public IReadOnlyList<(Guid Id, string Title)> WavedOff { get; private set; } = [];

    public IReadOnlySet<Guid> MoreLike { get; private set; } = new HashSet<Guid>();

    public Seconds Clock { get; private set; }

    public string? Done => TempData["Done"] as string;

    /// <summary>"Today" where it is one of the member's days; else the next one's name; null where no days are set.</summary>
    public string? NextDay { get; private set; }

    public async Task OnGetAsync(CancellationToken stop)
    {
        var snapshot = catalogue.Snapshot;
        var wishes = await MemberWishes.OfAsync(User.AccountId(), profiles, log, snapshot, time, stop);
        Profile = wishes.Profile;
        HasHistory = wishes.HasHistory;
        MoreLike = wishes.Signals.MoreLike;
        WavedOff = [.. wishes.Signals.NotToday.Select(snapshot.Row).OfType<SessionRow>().Select(r => (r.Id, r.Title)).OrderBy(w => w.Title, StringComparer.Ordinal)];
        var suggestions = Matcher.Suggest(snapshot, wishes);
        var entries = await catalogue.EntriesAsync(suggestions.Select(s => s.Session.Id), stop);
        Suggestions =
        [
            .. suggestions
                .Where(s => entries.ContainsKey(s.Session.Id))
                .Select(s => new Suggested(s, entries[s.Session.Id], Matcher.Complete(snapshot, wishes, s.Session, s.Pace))),
        ];
        Clock = Suggestions.Count == 0 ? new Seconds(60) : Suggestions.Max(s => s.Entry.Timeline.Recorded);
        if (suggestions.IsEmpty)
        {
            Nearest = Matcher.Nearest(snapshot, wishes, 3);
        }

        if (!Profile.Days.IsEmpty)
        {
            var today = time.GetLocalNow().DayOfWeek;
            var ahead = Profile.Days.Min(d => (d - today + 7) % 7);
            NextDay = ahead == 0 ? "Today" : ((DayOfWeek)(((int)today + ahead) % 7)).ToString();
        }
    }

    public Task<IActionResult> OnPostNotTodayAsync(Guid id, CancellationToken stop) => SayAsync(id, false, "Gone for today; it may come back tomorrow.", stop);

    public Task<IActionResult> OnPostMoreLikeAsync(Guid id, CancellationToken stop) => SayAsync(id, true, "Sessions of that kind come up more often now.", stop);

    public async Task<IActionResult> OnPostTakeBackAsync(Guid id, bool more, CancellationToken stop)
    {
        await log.TakeBackAsync(User.AccountId(), id, more, stop);
        return RedirectToPage();
    }

    private async Task<IActionResult> SayAsync(Guid id, bool more, string done, CancellationToken stop)
    {
        if (catalogue.Snapshot.Row(id) is null)
        {
            return NotFound();
        }

        await log.SayAsync(User.AccountId(), id, more, stop);
        TempData["Done"] = done;
        return RedirectToPage();
    }
}
