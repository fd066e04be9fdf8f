using AnyPace.Core.Comparing;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>Two to four sessions side by side; the link holds them, each with its pace.</summary>
public sealed class CompareModel(Catalogue catalogue, ProfileStore profiles, LogStore log, TimeProvider time, MoveLexicon lexicon) : PageModel
{
    /// <summary>Session ids, each with its pace behind a point where it has one of its own.</summary>
    [BindProperty(SupportsGet = true, Name = "s")]
    public List<string> Sessions { get; set; } = [];

    public Comparison? View { get; private set; }

    public MemberProfile Profile { get; private set; } = MemberProfile.Blank;

    public string Why { get; private set; } = "";

    public async Task OnGetAsync(string? pace, CancellationToken stop)
    {
        var wanted = Sessions
            .Select(s => s.Split('.', 2))
            .Select(s => (Known: Guid.TryParse(s[0], out var id), Id: id, Pace: Paces.Parse(s.Length > 1 ? s[1] : pace)))
            .Where(s => s.Known)
            .DistinctBy(s => s.Id)
            .Take(Comparison.Most + 1)
            .ToList();
        var entries = await catalogue.EntriesAsync(wanted.Select(w => w.Id), stop);
        var found = wanted.Where(w => entries.ContainsKey(w.Id)).Select(w => (entries[w.Id], w.Pace)).ToList();
        if (found.Count is < Comparison.Least or > Comparison.Most)
        {
            Why = found.Count > Comparison.Most
                ? $"Four sessions are the most that can be read side by side; {Sessions.Count} were ticked."
                : Sessions.Count > found.Count && found.Count > 0
                    ? "One of these sessions is no longer published, so there is nothing to compare it with."
                    : "Tick two to four sessions, then compare them.";
            return;
        }

        var snapshot = catalogue.Snapshot;
        var wishes = await MemberWishes.OfAsync(User.AccountId(), profiles, log, snapshot, time, stop);
        Profile = wishes.Profile;
        View = Comparison.Of(
            found, lexicon, Profile, at => Profile.IsBlank || snapshot.Row(at.Id) is not { } row ? null : Limits.Breaks(row, wishes, at.Pace));
    }

    /// <summary>The link with one side at another pace.</summary>
    public string Link(Guid id, Pace pace) => "/compare?" + string.Join('&', View!.Sides.Select(s => $"s={s.Session.Id}.{(s.Session.Id == id ? pace : s.Pace).Key()}"));

    /// <summary>The link with all sides at one pace.</summary>
    public string Link(Pace pace) => "/compare?" + string.Join('&', View!.Sides.Select(s => $"s={s.Session.Id}.{pace.Key()}"));
}
