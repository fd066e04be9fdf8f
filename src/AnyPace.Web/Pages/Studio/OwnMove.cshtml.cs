using System.Collections.Immutable;
using System.ComponentModel.DataAnnotations;
using AnyPace.Core.Lexicon;
using AnyPace.Data.Moves;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>A move of the studio's own, new or changed, described by the move of the lexicon it is most like.</summary>
public sealed class OwnMoveModel(MoveStore store, StudioMoves moves) : PageModel
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

    /// <summary>The address of the page without a move, where a new one is made.</summary>
    public const string NewUrl = "/studio/moves/new";

    /// <summary>Said for kit where the move it is like has some and this one has none.</summary>
    private const string NoKit = "none";

    [BindProperty]
    public Fields Input { get; set; } = new();

    /// <summary>The move as it is kept; null for a new one.</summary>
    public StudioMove? Kept { get; private set; }

    public IReadOnlyList<Move> Moves => moves.Current.Moves;

    public async Task<IActionResult> OnGetAsync(string? id, string? name, CancellationToken stop)
    {
        if (!await FindAsync(id, stop))
        {
            return NotFound();
        }

        Input = Kept is null
            ? new() { Name = name is { Length: > 60 } ? name[..60] : name ?? "" }
            : new()
            {
                Name = Kept.Name,
                OtherNames = string.Join(", ", Kept.Aliases),
                Like = moves.Current[Kept.LikeId].Name,
                Impact = Kept.Impact,
                Sides = Kept.Sides,
                Kit = Kept.Kit.IsEmpty ? NoKit : string.Join(", ", Kept.Kit),
            };
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(string? id, CancellationToken stop)
    {
        if (!await FindAsync(id, stop))
        {
            return NotFound();
        }

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

        var key = Kept?.Id ?? StudioMove.IdOf(name);
        if (ModelState.IsValid && moves.Current.Moves.Any(m => (m.Id == key && Kept is null) || (m.Id != key && string.Equals(m.Name, name, StringComparison.OrdinalIgnoreCase))))
        {
            ModelState.AddModelError("Input.Name", $"We have a move called \"{name}\" already.");
        }

        if (!ModelState.IsValid || like is null)
        {
            return Page();
        }

        var move = new StudioMove(
            key, name, like.Id, [.. Listed(Input.OtherNames)], Input.Impact ?? like.Impact, Input.Sides ?? like.Sides, KitOf(Input.Kit, like), Kept?.Retired ?? false);
        try
        {
            await moves.TryAsync(null, move, stop);
        }
        catch (LexiconException e)
        {
            ModelState.AddModelError("Input.Name", e.Message);
            return Page();
        }

        await (Kept is null ? store.AddMoveAsync(move, User.AccountId(), stop) : store.ChangeMoveAsync(Kept, move, User.AccountId(), stop));
        await moves.RefreshAsync(stop);
        return RedirectToPage("/Members/Move", new { id = key });
    }

    /// <returns>False where there is an id and no move of ours has it.</returns>
    private async Task<bool> FindAsync(string? id, CancellationToken stop)
    {
        Kept = id is null ? null : (await store.MovesAsync(stop)).FirstOrDefault(m => m.Id == id);
        return id is null || Kept is not null;
    }

    private static ImmutableArray<string> KitOf(string? said, Move like) =>
        said is null ? like.Kit
        : said.Trim().Equals(NoKit, StringComparison.OrdinalIgnoreCase) ? []
        : [.. Listed(said).Select(k => k.ToLowerInvariant())];

    private static IEnumerable<string> Listed(string? text) =>
        (text ?? "").Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Distinct(StringComparer.OrdinalIgnoreCase);
}
