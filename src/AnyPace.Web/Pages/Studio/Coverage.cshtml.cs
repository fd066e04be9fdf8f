using System.Globalization;
using AnyPace.Core.Covering;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>What the published library has, where it is thin, and what to record next.</summary>
public sealed class CoverageModel(Catalogue catalogue, SessionStore sessions, MoveLexicon lexicon, MeasureSettings settings) : PageModel
{
    [BindProperty(SupportsGet = true, Name = "aim")]
    public string? Aim { get; set; }

    [BindProperty(SupportsGet = true, Name = "pace")]
    public string? PaceKey { get; set; }

    public Coverage Coverage { get; private set; } = null!;

    public string? Wrong { get; private set; }

    public async Task OnGetAsync(CancellationToken stop)
    {
        var aim = Coverage.DefaultAim;
        if (!string.IsNullOrWhiteSpace(Aim) && (!int.TryParse(Aim, NumberStyles.None, CultureInfo.InvariantCulture, out aim) || aim is < 1 or > Coverage.LargestAim))
        {
            aim = Coverage.DefaultAim;
            Wrong = $"\"{Aim}\" is no number of sessions from 1 to {Coverage.LargestAim}; {aim} is used.";
        }

        var pace = Paces.Parse(PaceKey);
        var records = (await sessions.AllAsync(stop)).Where(s => s.Published is null).ToDictionary(s => s.Id);
        List<Draft> drafts =
        [
            .. (await sessions.NewestVersionsAsync(stop))
                .Where(v => records.ContainsKey(v.SessionId))
                .Select(v => new Draft(v.SessionId, records[v.SessionId].Facts.Title, Measure.Sheet(v.Timeline, lexicon, pace, settings))),
        ];
        Coverage = Coverage.Of(catalogue.Snapshot, lexicon, pace, aim, drafts);
    }

    public string Link(Pace pace) => $"/studio/coverage?pace={pace.Key()}&aim={Coverage.Aim}";
}
