using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>One published session at the member's pace.</summary>
public sealed class SessionModel(Catalogue catalogue, ProfileStore profiles, LogStore log, TimeProvider time, MoveLexicon lexicon) : PageModel
{
    public CatalogueEntry Entry { get; private set; } = null!;

    public Pace Pace { get; private set; }

    public IReadOnlyList<Explanation> Why { get; private set; } = [];

    /// <summary>How much of it can be done with the kit at hand: the one in the link, else the profile's; null where neither says any.</summary>
    public KitFitFigures? Fit { get; private set; }

    /// <summary>The kit in the link; empty where it is the profile's that counts.</summary>
    public IReadOnlyList<string> KitAsked { get; private set; } = [];

    public MemberProfile Profile { get; private set; } = MemberProfile.Blank;

    public MassUnit Unit => Profile.Unit;

    /// <summary>A library up to this size is looked through at every view; in a larger one the member asks for it.</summary>
    private const int LookedThrough = 5_000;

    /// <summary>Where it stands among all for this member; null where the member tells nothing, or has not asked yet.</summary>
    public Standing? Standing { get; private set; }

    /// <summary>The limits it breaks at the pace where it breaks fewest; null where the member tells nothing.</summary>
    public (Pace Pace, IReadOnlyList<string> Breaks)? Breaks { get; private set; }

    public IReadOnlyList<Completion> Completes { get; private set; } = [];

    /// <summary>Kilograms used last, by move.</summary>
    public IReadOnlyDictionary<string, double> LastLoads { get; private set; } = new Dictionary<string, double>();

    public bool MoreLike { get; private set; }

    public async Task<IActionResult> OnGetAsync(Guid id, string? pace, List<string> kit, bool standing, CancellationToken stop)
    {
        var snapshot = catalogue.Snapshot;
        if (await catalogue.EntryAsync(id, stop) is not { } entry || snapshot.Row(id) is not { } row)
        {
            return NotFound();
        }

        Entry = entry;
        Pace = Paces.Parse(pace);
        Why = Explain.All(entry.Timeline, lexicon, entry.Measures, Pace);
        var wishes = await MemberWishes.OfAsync(User.AccountId(), profiles, log, snapshot, time, stop);
        Profile = wishes.Profile;
        KitAsked = [.. kit.Where(k => MemberProfile.KitChoices.Contains(k)).Distinct()];
        var atHand = KitAsked.Count > 0 ? [.. KitAsked] : Profile.Kit;
        Fit = atHand.IsEmpty || entry.RequiredKit.IsEmpty ? null : KitFit.Of(entry.Timeline, lexicon, atHand);
        if (!Profile.IsBlank || wishes.HasHistory)
        {
            Breaks = Paces.All.Select(p => (p, Limits.Breaks(row, wishes, p))).MinBy(x => x.Item2.Count);
            Standing = standing || snapshot.Count <= LookedThrough ? Matcher.Stand(snapshot, wishes, row) : null;
        }

        Completes = Matcher.Complete(snapshot, wishes, row, Pace);
        LastLoads = LogAddModel.LastLoads(await log.AllAsync(User.AccountId(), stop));
        MoreLike = wishes.Signals.MoreLike.Contains(id);
        return Page();
    }
}
