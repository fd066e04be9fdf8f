using System.Security.Claims;
using AnyPace.Data.Accounts;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;

namespace AnyPace.Web.Hosting;

/// <summary>Puts an account's role and display name in its cookie.</summary>
public sealed class AccountClaims(UserManager<Account> users, IOptions<IdentityOptions> options)
    : UserClaimsPrincipalFactory<Account>(users, options)
{
    public const string DisplayName = "display_name";

    protected override async Task<ClaimsIdentity> GenerateClaimsAsync(Account user)
    {
        var identity = await base.GenerateClaimsAsync(user);
        identity.AddClaim(new Claim(identity.RoleClaimType, user.Role));
        identity.AddClaim(new Claim(DisplayName, user.DisplayName));
        return identity;
    }
}

/// <summary>What pages ask of the signed-in account.</summary>
public static class PrincipalExtensions
{
    public static Guid AccountId(this ClaimsPrincipal principal) => Guid.Parse(principal.FindFirstValue(ClaimTypes.NameIdentifier)!);

    public static bool IsStudio(this ClaimsPrincipal principal) => principal.IsInRole(Roles.Manager) || principal.IsInRole(Roles.Cataloguer);

    public static string DisplayName(this ClaimsPrincipal principal) => principal.FindFirstValue(AccountClaims.DisplayName) ?? "";
}
