using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages;

/// <summary>Sends everyone to the room where their work begins.</summary>
public sealed class IndexModel : PageModel
{
    public IActionResult OnGet() => Redirect(User.IsStudio() ? "/studio/today" : "/find");
}
