using AnyPace.Core.Checks;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;
using AnyPace.Data.Studio;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>Which recording needs attention next, and why.</summary>
public sealed class TodayModel(SessionStore sessions, DecisionStore decisions, MoveLexicon lexicon, MeasureSettings settings) : PageModel
{
    public sealed record Item(SessionRecord Session, Timeline Timeline, MeasureSheet Sheet, string Why, int Weight);

    public IReadOnlyList<Item> Waiting { get; private set; } = [];

    public async Task OnGetAsync(CancellationToken stop)
    {
        var settled = await decisions.AllAsync(stop);
        var records = (await sessions.AllAsync(stop)).ToDictionary(s => s.Id);
        Waiting =
        [
            .. (await sessions.NewestVersionsAsync(stop))
                .Where(v => records.TryGetValue(v.SessionId, out var r) && r.Published != v.Number)
                .Select(v => Describe(records[v.SessionId], v.Timeline, settled[v.SessionId].ToHashSet()))
                .OrderByDescending(i => i.Weight)
                .ThenBy(i => i.Session.CreatedAt),
        ];
    }

    private Item Describe(SessionRecord session, Timeline timeline, HashSet<string> settled)
    {
        var measures = Measure.All(timeline, lexicon, settings);
        var doubtful = timeline.Bouts.Count(b => b.Doubtful);
        var problems = Check.All(timeline, lexicon, measures).Count(f => f.Severity == Severity.Problem && !settled.Contains(f.Fingerprint));
        var reasons = new List<string>();
        if (session.Published is not null)
        {
            reasons.Add("changed since it was published");
        }

        if (problems > 0)
        {
            reasons.Add(problems == 1 ? "1 problem to settle" : $"{problems} problems to settle");
        }

        if (doubtful > 0)
        {
            reasons.Add(doubtful == 1 ? "1 doubtful bout" : $"{doubtful} doubtful bouts");
        }

        if (reasons.Count == 0)
        {
            reasons.Add("read and ready to publish");
        }

        var why = string.Join(", ", reasons);
        return new Item(session, timeline, measures.AsLed, char.ToUpperInvariant(why[0]) + why[1..] + ".", (session.Published is null ? 0 : 100) + (problems * 10) + doubtful);
    }
}
