using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>Five sessions for this member, with reasons.</summary>
public sealed class ForMeModel(Catalogue catalogue, ProfileStore profiles) : PageModel
{
    public MemberProfile Profile { get; private set; } = MemberProfile.Blank;

    public ImmutableArray<Suggestion> Suggestions { get; private set; } = [];

    /// <summary>Where nothing fits: the sessions that break fewest limits.</summary>
    public IReadOnlyList<(CatalogueEntry Entry, IReadOnlyList<string> Breaks)> Nearest { get; private set; } = [];

    public Seconds Clock { get; private set; }

    public async Task OnGetAsync(CancellationToken stop)
    {
        Profile = await profiles.FindAsync(User.AccountId(), stop);
        var snapshot = catalogue.Snapshot;
        Suggestions = Matcher.Suggest(snapshot, Profile);
        Clock = Suggestions.IsEmpty ? new Seconds(60) : Suggestions.Max(s => s.Session.Timeline.Recorded);
        if (Suggestions.IsEmpty)
        {
            Nearest = [.. snapshot.Entries.Select(e => (e, Matcher.Breaks(e, Profile, Pace.Eased))).OrderBy(x => x.Item2.Count).Take(3)];
        }
    }
}
