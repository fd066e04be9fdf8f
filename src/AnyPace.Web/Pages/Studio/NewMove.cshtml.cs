using System.ComponentModel.DataAnnotations;
using AnyPace.Core.Lexicon;
using AnyPace.Data.Moves;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>A move of the studio's own, described by the move of the lexicon it is most like.</summary>
public sealed class NewMoveModel(MoveStore store, StudioMoves moves) : PageModel
{
    public sealed class Fields
    {
        [Required(ErrorMessage = "Give it a name.")]
        [StringLength(60, MinimumLength = 2, ErrorMessage = "A name has 2 to 60 characters.")]
        public string Name { get; set; } = "";

        /// <summary>Separated by commas.</summary>
        [StringLength(400, ErrorMessage = "Other names have at most 400 characters together.")]
        public string? OtherNames { get; set; }

        [Required(ErrorMessage = "Say which move it is most like.")]
        public string Like { get; set; } = "";

        public Impact? Impact { get; set; }

        public MoveSides? Sides { get; set; }

        /// <summary>Separated by commas.</summary>
        [StringLength(200, ErrorMessage = "Kit has at most 200 characters.")]
        public string? Kit { get; set; }
    }

    [BindProperty]
    public Fields Input { get; set; } = new();

    public IReadOnlyList<Move> Moves => moves.Current.Moves;

    public void OnGet(string? name)
    {
        Input.Name = name is { Length: > 60 } ? name[..60] : name ?? "";
    }

    public async Task<IActionResult> OnPostAsync(CancellationToken stop)
    {
        // A field left empty is bound as null.
        var (name, wanted) = ((Input.Name ?? "").Trim(), (Input.Like ?? "").Trim());
        var like = moves.Current.Moves.FirstOrDefault(m => string.Equals(m.Name, wanted, StringComparison.OrdinalIgnoreCase));
        if (like is null && wanted.Length > 0)
        {
            ModelState.AddModelError("Input.Like", $"No move is called \"{wanted}\". Choose one of the list.");
        }
        else if (like is not null && like.Id.StartsWith(StudioMove.IdPrefix, StringComparison.Ordinal))
        {
            ModelState.AddModelError("Input.Like", "Choose a move of the lexicon, not one of our own.");
        }

        var id = StudioMove.IdOf(name);
        if (ModelState.IsValid && moves.Current.Find(id) is not null)
        {
            ModelState.AddModelError("Input.Name", $"We have a move called \"{name}\" already.");
        }

        if (!ModelState.IsValid || like is null)
        {
            return Page();
        }

        var move = new StudioMove(
            id, name, like.Id, [.. Listed(Input.OtherNames)], Input.Impact ?? like.Impact, Input.Sides ?? like.Sides,
            Input.Kit is null ? like.Kit : [.. Listed(Input.Kit).Select(k => k.ToLowerInvariant())]);
        try
        {
            await moves.TryAsync(null, move, stop);
        }
        catch (LexiconException e)
        {
            ModelState.AddModelError("Input.Name", e.Message);
            return Page();
        }

        await store.AddMoveAsync(move, User.AccountId(), stop);
        await moves.RefreshAsync(stop);
        return RedirectToPage("/Members/Move", new { id });
    }

    private static IEnumerable<string> Listed(string? text) =>
        (text ?? "").Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Distinct(StringComparer.OrdinalIgnoreCase);
}
