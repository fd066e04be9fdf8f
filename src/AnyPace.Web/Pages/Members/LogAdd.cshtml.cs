using System.Collections.Immutable;
using System.ComponentModel.DataAnnotations;
using System.Globalization;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>Logs a session as done: half a minute with a thumb.</summary>
public sealed class LogAddModel(Catalogue catalogue, LogStore log, ProfileStore profiles, MoveLexicon lexicon, TimeProvider time) : PageModel
{
    private const int MovesAsked = 8;

    /// <summary>Words for the ends and the middle of the scale.</summary>
    public static readonly ImmutableArray<string> EffortWords =
        ["0 rest", "1 hardly any", "2 very easy", "3 easy", "4 fairly easy", "5 noticeable", "6 just right", "7 hard", "8 very hard", "9 nearly all", "10 all I had"];

    public sealed class Fields
    {
        [Required(ErrorMessage = "Say on which day.")]
        public DateOnly? On { get; set; }

        public Pace Pace { get; set; } = Pace.AsLed;

        [Range(0, 10, ErrorMessage = "Effort goes from 0 to 10.")]
        public int? Effort { get; set; }

        [StringLength(200, ErrorMessage = "What hurt: at most 200 characters.")]
        public string? Pain { get; set; }

        [StringLength(500, ErrorMessage = "A note has at most 500 characters.")]
        public string? Note { get; set; }

        /// <summary>By move id, in the member's unit, as typed.</summary>
        public Dictionary<string, string?> Loads { get; set; } = [];
    }

    [BindProperty]
    public Fields Input { get; set; } = new();

    public CatalogueEntry Session { get; private set; } = null!;

    /// <summary>Moves of the session that are done with a load.</summary>
    public IReadOnlyList<Move> Weighted { get; private set; } = [];

    public MassUnit Unit { get; private set; }

    public async Task<IActionResult> OnGetAsync(Guid s, string? pace, CancellationToken stop)
    {
        if (!await LoadAsync(s, stop))
        {
            return NotFound();
        }

        var last = LastLoads(await log.AllAsync(User.AccountId(), stop));
        Input = new Fields
        {
            On = DateOnly.FromDateTime(time.GetLocalNow().Date),
            Pace = Paces.Parse(pace),
            Loads = Weighted.ToDictionary(m => m.Id, m => last.TryGetValue(m.Id, out var kg) ? Load.Amount(kg, Unit) : null),
        };
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(Guid s, CancellationToken stop)
    {
        if (!await LoadAsync(s, stop))
        {
            return NotFound();
        }

        var today = DateOnly.FromDateTime(time.GetLocalNow().Date);
        if (Input.On > today || Input.On < today.AddYears(-5))
        {
            ModelState.AddModelError("Input.On", "The day lies in the last five years, today at the latest.");
        }

        var loads = ImmutableSortedDictionary.CreateBuilder<string, double>();
        foreach (var (id, text) in Input.Loads.Where(l => !string.IsNullOrWhiteSpace(l.Value) && Weighted.Any(m => m.Id == l.Key)))
        {
            if (double.TryParse(text!.Trim().Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var amount) && Load.InKilograms(amount, Unit) is > 0 and <= 300 and var kg)
            {
                loads[id] = kg;
            }
            else
            {
                ModelState.AddModelError($"Input.Loads[{id}]", $"{lexicon[id].Name}: \"{text}\" is not a load in {Unit.Word()}.");
            }
        }

        if (!ModelState.IsValid)
        {
            return Page();
        }

        // Today's keeps its hour, for what is due in two days; another day counts from its noon.
        var at = Input.On == today ? time.GetUtcNow() : new DateTimeOffset(Input.On!.Value.ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero);
        var pain = Input.Pain?.Trim() ?? "";
        await log.AddAsync(
            User.AccountId(), new LogEntry(Guid.CreateVersion7(), Session.Id, Session.Title, at, Input.Pace, Input.Effort, pain, Input.Note?.Trim() ?? "", loads.ToImmutable()), stop);
        TempData["Done"] = $"{Session.Title} is logged.";
        if (pain.Length > 0)
        {
            TempData["Hurt"] = true;
        }

        return RedirectToPage("/Members/Log");
    }

    /// <summary>Kilograms last used, by move.</summary>
    public static IReadOnlyDictionary<string, double> LastLoads(IEnumerable<LogEntry> newestFirst)
    {
        var loads = new Dictionary<string, double>();
        foreach (var (move, kilograms) in newestFirst.SelectMany(e => e.Loads))
        {
            loads.TryAdd(move, kilograms);
        }

        return loads;
    }

    private async Task<bool> LoadAsync(Guid id, CancellationToken stop)
    {
        if (await catalogue.EntryAsync(id, stop) is not { } entry)
        {
            return false;
        }

        Session = entry;
        Unit = (await profiles.FindAsync(User.AccountId(), stop)).Unit;
        Weighted = [.. entry.Timeline.Bouts.Select(b => b.MoveId).Distinct().Select(m => lexicon[m]).Where(m => m.Kit.Any(MemberProfile.Weights.Contains)).Take(MovesAsked)];
        return true;
    }
}
