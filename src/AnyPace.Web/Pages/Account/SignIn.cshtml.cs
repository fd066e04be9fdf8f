using System.ComponentModel.DataAnnotations;
using AnyPace.Data.Accounts;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.RateLimiting;

namespace AnyPace.Web.Pages.Account;

/// <summary>Sign-in by name and password; in the demo, and only there, by one click.</summary>
[EnableRateLimiting(Setup.SignInLimit)]
public sealed class SignInModel(SignInManager<Data.Accounts.Account> signIn, AccountStore accounts, IConfiguration configuration) : PageModel
{
    public sealed class Fields
    {
        [Required(ErrorMessage = "Type your name.")]
        [StringLength(80)]
        public string Name { get; set; } = "";

        [Required(ErrorMessage = "Type your password.")]
        [StringLength(200)]
        public string Password { get; set; } = "";
    }

    [BindProperty]
    public Fields Input { get; set; } = new();

    [BindProperty(SupportsGet = true)]
    public string? ReturnUrl { get; set; }

    public IReadOnlyList<Data.Accounts.Account> Demo { get; private set; } = [];

    private bool IsDemo => configuration.GetValue<bool>("Demo");

    public async Task OnGetAsync(CancellationToken stop) => await LoadDemoAsync(stop);

    public async Task<IActionResult> OnPostAsync(CancellationToken stop)
    {
        await LoadDemoAsync(stop);
        if (!ModelState.IsValid)
        {
            return Page();
        }

        var result = await signIn.PasswordSignInAsync(Input.Name, Input.Password, isPersistent: true, lockoutOnFailure: true);
        if (result.Succeeded)
        {
            return LocalRedirect(Target);
        }

        ModelState.AddModelError("", result.IsLockedOut
            ? "Too many wrong passwords: this account is closed for ten minutes."
            : "That name and password do not belong together.");
        return Page();
    }

    public async Task<IActionResult> OnPostDemoAsync(string name, CancellationToken stop)
    {
        await LoadDemoAsync(stop);
        if (Demo.FirstOrDefault(a => a.Name == name) is not { } account)
        {
            return NotFound();
        }

        await signIn.SignInAsync(account, isPersistent: true);
        return LocalRedirect(Target);
    }

    private string Target => Url.IsLocalUrl(ReturnUrl) ? ReturnUrl : "/";

    private async Task LoadDemoAsync(CancellationToken stop) => Demo = IsDemo ? await accounts.DemoAsync(stop) : [];
}
