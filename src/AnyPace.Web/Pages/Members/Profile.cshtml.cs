using System.ComponentModel.DataAnnotations;
using System.Text.Json;
using System.Text.Json.Serialization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>A member's own profile: say little, own everything.</summary>
public sealed class ProfileModel(ProfileStore profiles) : PageModel
{
    private static readonly JsonSerializerOptions ExportForm = new() { WriteIndented = true, Converters = { new JsonStringEnumConverter() } };

    public sealed class Fields
    {
        [Range(5, 180, ErrorMessage = "Minutes lie between 5 and 180.")]
        public int? Minutes { get; set; }

        public Impact? MaxImpact { get; set; }

        [Range(1, 5, ErrorMessage = "Levels go from 1 to 5.")]
        public int? Level { get; set; }

        public string? Goal { get; set; }

        public MassUnit Unit { get; set; }

        public List<string> Kit { get; set; } = [];

        public List<string> Spare { get; set; } = [];
    }

    [BindProperty]
    public Fields Input { get; set; } = new();

    public string? Done => TempData["Done"] as string;

    public async Task OnGetAsync(CancellationToken stop)
    {
        var p = await profiles.FindAsync(User.AccountId(), stop);
        Input = new Fields { Minutes = p.Minutes, MaxImpact = p.MaxImpact, Level = p.Level, Goal = p.Goal, Unit = p.Unit, Kit = [.. p.Kit], Spare = [.. p.Spare] };
    }

    public async Task<IActionResult> OnGetExportAsync(CancellationToken stop) =>
        File(JsonSerializer.SerializeToUtf8Bytes(await profiles.FindAsync(User.AccountId(), stop), ExportForm), "application/json", "any-pace-profile.json");

    public async Task<IActionResult> OnPostAsync(CancellationToken stop)
    {
        if (Input.Goal is { Length: > 0 } goal && !MemberProfile.Goals.Contains(goal))
        {
            ModelState.AddModelError("Input.Goal", $"\"{goal}\" is not one of the goals.");
        }

        foreach (var strange in Input.Kit.Except(MemberProfile.KitChoices).Concat(Input.Spare.Except(Vocabulary.Strains)))
        {
            ModelState.AddModelError("Input.Kit", $"\"{strange}\" is not one of the choices.");
        }

        if (!ModelState.IsValid)
        {
            return Page();
        }

        await profiles.SaveAsync(
            User.AccountId(),
            new MemberProfile(Input.Minutes, Input.MaxImpact, Input.Level, string.IsNullOrEmpty(Input.Goal) ? null : Input.Goal, [.. Input.Kit], [.. Input.Spare]) { Unit = Input.Unit },
            stop);
        TempData["Done"] = "Saved. For me uses it from now on.";
        return RedirectToPage();
    }

    public async Task<IActionResult> OnPostDeleteAsync(CancellationToken stop)
    {
        await profiles.DeleteAsync(User.AccountId(), stop);
        TempData["Done"] = "Your profile is deleted.";
        return RedirectToPage();
    }
}
