using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;
using AnyPace.Data.Studio;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>Where practitioners disagree, the studio chooses; what would change in the library is shown before it is saved.</summary>
public sealed class SettingsModel(SettingStore store, StudioSettings settings, SessionStore sessions, Catalogue catalogue, MoveLexicon lexicon) : PageModel
{
    /// <summary>One session that would be tagged otherwise.</summary>
    public sealed record Change(Guid Id, string Title, IReadOnlyList<string> Lines);

    /// <summary>The components in the order of the form, with their names.</summary>
    public static readonly IReadOnlyList<string> Components = ["effort", "density", "unbroken work", "strength", "impact", "balance", "skill", "up and down"];

    [BindProperty(SupportsGet = true)]
    public ImpactSchool? Impact { get; set; }

    [BindProperty(SupportsGet = true)]
    public LevelSchool? Level { get; set; }

    [BindProperty(SupportsGet = true)]
    public Neighbours? Neighbours { get; set; }

    /// <summary>Hundredths, in the order of <see cref="Components"/>.</summary>
    [BindProperty(SupportsGet = true)]
    public List<int?> Weights { get; set; } = [];

    public MeasureSettings Chosen { get; private set; } = MeasureSettings.Usual;

    public bool Differs => Chosen != settings.Current;

    public IReadOnlyList<Change> Changes { get; private set; } = [];

    public int Sessions { get; private set; }

    public string? Done => TempData["Done"] as string;

    public Task OnGetAsync(CancellationToken stop) => PreviewAsync(stop);

    public async Task<IActionResult> OnPostAsync(CancellationToken stop)
    {
        await PreviewAsync(stop);
        if (!ModelState.IsValid)
        {
            return Page();
        }

        await store.SaveAsync(Chosen, User.AccountId(), stop);
        await catalogue.RefreshAsync(stop);
        TempData["Done"] = "Saved. All pages measure so from now on.";
        return RedirectToPage();
    }

    private async Task PreviewAsync(CancellationToken stop)
    {
        var now = settings.Current;
        var weights = now.Weights;
        if (Weights.Count == Components.Count)
        {
            if (Weights.Any(w => w is null or < 0 or > 100) || Weights.Sum() == 0)
            {
                ModelState.AddModelError("Weights", "Each weight must be a whole number from 0 to 100, and not all of them 0.");
            }
            else
            {
                var w = Weights.Select(x => x!.Value / 100.0).ToList();
                weights = new DifficultyWeights(w[0], w[1], w[2], w[3], w[4], w[5], w[6], w[7]);
            }
        }

        Chosen = new MeasureSettings(Impact ?? now.Impact, Level ?? now.Level, Neighbours ?? now.Neighbours, weights);
        if (Weights.Count != Components.Count)
        {
            Weights = [.. new[] { weights.Effort, weights.Density, weights.Unbroken, weights.Strength, weights.Impact, weights.Balance, weights.Skill, weights.UpAndDown }.Select(w => (int?)Math.Round(w * 100))];
        }

        if (Differs && ModelState.IsValid)
        {
            var titles = (await sessions.AllAsync(stop)).ToDictionary(s => s.Id, s => s.Facts.Title);
            var versions = await sessions.NewestVersionsAsync(stop);
            Sessions = versions.Count;
            Changes = [.. versions.Select(v => new Change(v.SessionId, titles.GetValueOrDefault(v.SessionId, ""), Lines(v.Timeline, now))).Where(c => c.Lines.Count > 0).OrderBy(c => c.Title, StringComparer.Ordinal)];
        }
    }

    private List<string> Lines(Timeline timeline, MeasureSettings now)
    {
        var (before, after) = (Measure.All(timeline, lexicon, now), Measure.All(timeline, lexicon, Chosen));
        var lines = new List<string>();
        foreach (var pace in Paces.All)
        {
            var (a, b) = (before.At(pace), after.At(pace));
            if (a.Impact.Class != b.Impact.Class)
            {
                lines.Add($"impact at {pace.Word()}: {a.Impact.Class.Word()} becomes {b.Impact.Class.Word()}");
            }

            if (a.Difficulty.Level != b.Difficulty.Level)
            {
                lines.Add($"level at {pace.Word()}: {a.Difficulty.Level} becomes {b.Difficulty.Level}");
            }
        }

        return lines;
    }
}
