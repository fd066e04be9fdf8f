using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages;

/// <summary>What is shown when a page can't be.</summary>
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
public sealed class ProblemModel : PageModel
{
    public string Heading { get; private set; } = "";

    public string Text { get; private set; } = "";

    public void OnGet(int? code) => Tell(code);

    public void OnPost(int? code) => Tell(code);

    private void Tell(int? code)
    {
        (Heading, Text) = code switch
        {
            StatusCodes.Status404NotFound => ("Not here", "There is no such page, or the session has been withdrawn."),
            StatusCodes.Status400BadRequest => ("That form has gone stale", "It was opened too long ago or in another window. Go back, reload it and send it again; nothing was changed."),
            _ => ("Something went wrong here", "It is our fault, not yours, and has been written down. Nothing that was saved is lost."),
        };
        if (code is null && HttpContext.Features.Get<IExceptionHandlerFeature>()?.Error is AntiforgeryValidationException)
        {
            (Heading, Text) = ("That form has gone stale", "Go back, reload it and send it again; nothing was changed.");
        }
    }
}
