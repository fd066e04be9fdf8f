using AnyPace.Core.Lexicon;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Members;

/// <summary>The lexicon to search: by any name, roughly spelled, and by family.</summary>
public sealed class MovesModel(MoveLexicon lexicon) : PageModel
{
    [BindProperty(SupportsGet = true, Name = "q")]
    public string? Words { get; set; }

    [BindProperty(SupportsGet = true, Name = "family")]
    public string? Family { get; set; }

    public IReadOnlyList<(string Family, int Count)> Families { get; private set; } = [];

    public IReadOnlyList<Move> Moves { get; private set; } = [];

    /// <summary>More than this many are not shown at once; a narrower search finds them.</summary>
    public const int Shown = 120;

    /// <summary>Nothing is asked yet: the families are shown instead of four hundred names.</summary>
    public bool Asked => !string.IsNullOrWhiteSpace(Words) || !string.IsNullOrEmpty(Family);

    public int All => lexicon.Moves.Length;

    public IActionResult OnGet()
    {
        Response.Headers.Vary = "HX-Request";
        Words = Words is { Length: > 80 } ? Words[..80] : Words;
        var found = lexicon.Search(Words ?? "");
        Families = [.. found.GroupBy(m => m.Family).OrderBy(g => g.Key, StringComparer.Ordinal).Select(g => (g.Key, g.Count()))];
        Moves = [.. found.Where(m => string.IsNullOrEmpty(Family) || m.Family == Family)];
        return Request.Headers.ContainsKey("HX-Request") ? Partial("Members/_Moves", this) : Page();
    }
}
