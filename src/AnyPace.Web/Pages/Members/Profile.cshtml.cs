using System.Collections.Immutable;
using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>A member's own profile: say little, own everything.</summary>
public sealed class ProfileModel(ProfileStore profiles, LogStore log, Catalogue catalogue, MoveLexicon lexicon) : PageModel
{
    private static readonly JsonSerializerOptions ExportForm = new() { WriteIndented = true, Converters = { new JsonStringEnumConverter() } };

    public sealed class Fields
    {
        [Range(5, 180, ErrorMessage = "Minutes lie between 5 and 180.")]
        public int? Minutes { get; set; }

        public List<DayOfWeek> Days { get; set; } = [];

        public Impact? MaxImpact { get; set; }

        [Range(1, 5, ErrorMessage = "Levels go from 1 to 5.")]
        public int? Level { get; set; }

        /// <summary>Answers to the level questions, in their order; null for one left out.</summary>
        public List<int?> Answers { get; set; } = [];

        public List<string> Goals { get; set; } = [];

        public MassUnit Unit { get; set; }

        public List<string> Kit { get; set; } = [];

        /// <summary>The heaviest load of each weight, in the unit chosen, as typed.</summary>
        public Dictionary<string, string?> Loads { get; set; } = [];

        public FloorSpace? MaxSpace { get; set; }

        public Noise? MaxNoise { get; set; }

        public List<string> Spare { get; set; } = [];

        /// <summary>Names of moves and coaches, parted by commas.</summary>
        public string? LikedMoves { get; set; }

        public string? DislikedMoves { get; set; }

        public List<string> LikedCoaches { get; set; } = [];

        public List<string> DislikedCoaches { get; set; } = [];

        /// <summary>In the unit chosen, as typed.</summary>
        public string? Mass { get; set; }

        [Range(13, 110, ErrorMessage = "An age lies between 13 and 110 years.")]
        public int? Age { get; set; }

        [Range(30, 120, ErrorMessage = "A resting heart rate lies between 30 and 120 beats a minute.")]
        public int? RestingRate { get; set; }
    }

    [BindProperty]
    public Fields Input { get; set; } = new();

    public IReadOnlyList<string> Coaches { get; private set; } = [];

    public string? Done => TempData["Done"] as string;

    public async Task OnGetAsync(CancellationToken stop)
    {
        Load();
        var p = await profiles.FindAsync(User.AccountId(), stop);
        string Names(IEnumerable<string> moves) => string.Join(", ", moves.Select(m => lexicon.Find(m)?.Name ?? m));
        Input = new Fields
        {
            Minutes = p.Minutes,
            Days = [.. p.Days],
            MaxImpact = p.MaxImpact,
            Level = p.Level,
            Goals = [.. p.Goals],
            Unit = p.Unit,
            Kit = [.. p.Kit],
            Loads = p.Loads.ToDictionary(l => l.Key, l => (string?)Core.Sessions.Load.Amount(l.Value, p.Unit)),
            MaxSpace = p.MaxSpace,
            MaxNoise = p.MaxNoise,
            Spare = [.. p.Spare],
            LikedMoves = Names(p.LikedMoves),
            DislikedMoves = Names(p.DislikedMoves),
            LikedCoaches = [.. p.LikedCoaches],
            DislikedCoaches = [.. p.DislikedCoaches],
            Mass = p.Mass is { } m ? Core.Sessions.Load.Amount(m, p.Unit) : null,
            Age = p.Age,
            RestingRate = p.RestingRate,
        };
    }

    /// <summary>Everything that is kept of the member, as one file.</summary>
    public async Task<IActionResult> OnGetExportAsync(CancellationToken stop)
    {
        var account = User.AccountId();
        var all = new
        {
            profile = await profiles.FindAsync(account, stop),
            log = await log.AllAsync(account, stop),
            answers = await log.SignalsAsync(account, DateTimeOffset.MinValue, stop),
            searches = await log.SearchesAsync(account, stop),
        };
        return File(JsonSerializer.SerializeToUtf8Bytes(all, ExportForm), "application/json", "any-pace-my-data.json");
    }

    public async Task<IActionResult> OnPostAsync(CancellationToken stop)
    {
        Load();
        Closed("Input.Goals", Input.Goals, MemberProfile.AllGoals);
        Closed("Input.Kit", Input.Kit, MemberProfile.KitChoices);
        Closed("Input.Spare", Input.Spare, Vocabulary.Strains);
        var loads = ImmutableSortedDictionary.CreateBuilder<string, double>();
        foreach (var (item, text) in Input.Loads.Where(l => !string.IsNullOrWhiteSpace(l.Value)))
        {
            if (!MemberProfile.Weights.Contains(item))
            {
                ModelState.AddModelError("Input.Loads", $"\"{item}\" is not one of the choices.");
            }
            else if (Amount(text!, 0.5, 300, $"The {item}'s load", $"Input.Loads[{item}]") is { } kilograms)
            {
                loads[item] = kilograms;
            }
        }

        var mass = string.IsNullOrWhiteSpace(Input.Mass) ? null : Amount(Input.Mass, 30, 250, "Body mass", "Input.Mass");
        var (liked, disliked) = (Moves(Input.LikedMoves, "Input.LikedMoves"), Moves(Input.DislikedMoves, "Input.DislikedMoves"));
        if (!ModelState.IsValid)
        {
            return Page();
        }

        var asked = LevelQuestions.LevelOf(Input.Answers);
        await profiles.SaveAsync(
            User.AccountId(),
            new MemberProfile
            {
                Minutes = Input.Minutes,
                Days = [.. Input.Days],
                MaxImpact = Input.MaxImpact,
                Level = asked ?? Input.Level,
                Goals = [.. Input.Goals],
                Unit = Input.Unit,
                Kit = [.. Input.Kit],
                Loads = loads.ToImmutable(),
                MaxSpace = Input.MaxSpace,
                MaxNoise = Input.MaxNoise,
                Spare = [.. Input.Spare],
                LikedMoves = liked,
                DislikedMoves = disliked.Except(liked),
                LikedCoaches = [.. Input.LikedCoaches],
                DislikedCoaches = [.. Input.DislikedCoaches.Except(Input.LikedCoaches)],
                Mass = mass,
                Age = Input.Age,
                RestingRate = Input.RestingRate,
            },
            stop);
        TempData["Done"] = asked is { } level ? $"Saved. By your answers level {level} suits you; you can set another." : "Saved. For me uses it from now on.";
        return RedirectToPage();
    }

    public async Task<IActionResult> OnPostDeleteAsync(CancellationToken stop)
    {
        await profiles.DeleteAsync(User.AccountId(), stop);
        TempData["Done"] = "Your profile, log, answers and saved searches are deleted.";
        return RedirectToPage();
    }

    private void Load() => Coaches = [.. catalogue.Snapshot.Find(Core.Finding.FindQuery.Everything).Of(Core.Finding.Facet.Coach).Values.Select(v => v.Value).Order(StringComparer.Ordinal).Take(60)];

    private void Closed(string field, IEnumerable<string> values, ImmutableArray<string> choices)
    {
        foreach (var strange in values.Where(v => !choices.Contains(v)))
        {
            ModelState.AddModelError(field, $"\"{strange}\" is not one of the choices.");
        }
    }

    /// <summary>Kilograms of what was typed in the chosen unit; null with an error where it is no such amount.</summary>
    private double? Amount(string text, double least, double most, string what, string field)
    {
        if (double.TryParse(text.Trim().Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var amount)
            && Core.Sessions.Load.InKilograms(amount, Input.Unit) is var kilograms && kilograms >= least && kilograms <= most)
        {
            return kilograms;
        }

        ModelState.AddModelError(field, $"{what}: \"{text}\" is not an amount between {Core.Sessions.Load.Amount(least, Input.Unit)} and {Core.Sessions.Load.Amount(most, Input.Unit)} {Input.Unit.Word()}.");
        return null;
    }

    private ImmutableSortedSet<string> Moves(string? text, string field)
    {
        var ids = ImmutableSortedSet.CreateBuilder<string>();
        foreach (var name in (text ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Take(40))
        {
            var words = AliasIndex.Typed(name.ToLowerInvariant().Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries));
            var stems = words.Select(WordStem.Of).ToList();
            if (lexicon.Aliases.Longest(stems, 0) is var (hit, length) && length == stems.Count)
            {
                ids.Add(hit.Move.Id);
            }
            else if (lexicon.Aliases.Misheard(words, stems, _ => false, _ => false).FirstOrDefault(m => m.Start == 0 && m.Length == stems.Count).Hit is { } misheard)
            {
                ids.Add(misheard.Move.Id);
            }
            else
            {
                ModelState.AddModelError(field, $"\"{name}\" is not a move that the lexicon knows; look it up under Moves.");
            }
        }

        return ids.ToImmutable();
    }
}
