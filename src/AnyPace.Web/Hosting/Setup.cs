using System.IO.Compression;
using System.Threading.RateLimiting;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Data;
using AnyPace.Data.Accounts;
using AnyPace.Data.Members;
using AnyPace.Data.Moves;
using AnyPace.Data.Sessions;
using AnyPace.Data.Studio;
using AnyPace.Web.Pages.Studio;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.ResponseCompression;
using Npgsql;

namespace AnyPace.Web.Hosting;

/// <summary>How the site is put together.</summary>
public static class Setup
{
    /// <summary>Managers and cataloguers.</summary>
    public const string StudioPolicy = "studio";
    public const string ManagerPolicy = "manager";

    /// <summary>The limiter on sign-in attempts, by address.</summary>
    public const string SignInLimit = "sign-in";

    public static void AddAnyPace(this WebApplicationBuilder builder)
    {
        var services = builder.Services;
        var connection = builder.Configuration[Database.ConnectionVariable]
            ?? throw new InvalidOperationException($"{Database.ConnectionVariable} is not set. Give it an Npgsql connection string, or start the site with ./anypace demo.");
        services.AddSingleton(_ => Database.Connect(connection));
        services.AddSingleton<Database>();
        services.AddSingleton<SessionStore>();
        services.AddSingleton<ListingStore>();
        services.AddMemoryCache(o => o.SizeLimit = 800);
        services.AddSingleton<ProfileStore>();
        services.AddSingleton<LogStore>();
        services.AddSingleton<AccountStore>();
        services.AddSingleton<MoveStore>();
        services.AddSingleton<StudioMoves>();
        services.AddSingleton<DecisionStore>();
        services.AddSingleton<SettingStore>();
        services.AddSingleton<PlanStore>();
        services.AddSingleton<StudioSettings>();

        // Asked for anew by each request: the studio may have added a name meanwhile.
        services.AddTransient(s => s.GetRequiredService<StudioMoves>().Current);
        services.AddTransient(s => s.GetRequiredService<StudioSettings>().Current);
        services.AddTransient<CaptionReading>();
        services.AddSingleton<Catalogue>();
        services.AddHostedService(s => s.GetRequiredService<Catalogue>());
        services.AddSingleton(TimeProvider.System);

        services.AddIdentityCore<Account>(o =>
            {
                o.Lockout.MaxFailedAccessAttempts = 5;
                o.Lockout.DefaultLockoutTimeSpan = TimeSpan.FromMinutes(10);
                o.Password.RequiredLength = 12;
                o.Password.RequireNonAlphanumeric = false;
                o.Password.RequireUppercase = false;
                o.Password.RequireDigit = false;
            })
            .AddSignInManager()
            .AddClaimsPrincipalFactory<AccountClaims>();
        services.AddSingleton<IUserStore<Account>>(s => s.GetRequiredService<AccountStore>());
        services.AddAuthentication(IdentityConstants.ApplicationScheme).AddIdentityCookies();
        services.ConfigureApplicationCookie(o =>
        {
            o.LoginPath = "/account/sign-in";
            o.AccessDeniedPath = "/account/denied";
            o.Cookie.Name = "anypace";
            o.Cookie.HttpOnly = true;
            o.Cookie.SameSite = SameSiteMode.Lax;

            // On plain http (the demo on loopback) browsers would drop a cookie marked secure; behind TLS it always is.
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
            o.ExpireTimeSpan = TimeSpan.FromDays(14);
            o.SlidingExpiration = true;
        });
        services.AddAuthorizationBuilder()
            .AddPolicy(StudioPolicy, p => p.RequireRole(Roles.Manager, Roles.Cataloguer))
            .AddPolicy(ManagerPolicy, p => p.RequireRole(Roles.Manager))
            .SetFallbackPolicy(new AuthorizationPolicyBuilder().RequireAuthenticatedUser().Build());

        services.AddDataProtection().SetApplicationName("AnyPace");
        services.AddSingleton<KeyStore>();
        services.AddOptions<KeyManagementOptions>().Configure<KeyStore>((o, keys) => o.XmlRepository = keys);
        services.AddAntiforgery(o => o.Cookie.Name = "anypace.form");

        services.AddRazorPages(o =>
        {
            o.Conventions.AuthorizeFolder("/Studio", StudioPolicy);
            o.Conventions.AuthorizePage("/Studio/Settings", ManagerPolicy);
            o.Conventions.AuthorizeFolder("/Members");
            o.Conventions.AddPageRoute("/Studio/OwnMove", OwnMoveModel.NewUrl);
            o.Conventions.AllowAnonymousToFolder("/Account");
            o.Conventions.AllowAnonymousToPage("/Problem");
        });
        services.AddRouting(o => o.LowercaseUrls = true);
        services.AddRateLimiter(o =>
        {
            o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            o.OnRejected = async (context, stop) =>
                await context.HttpContext.Response.WriteAsync("Too many attempts to sign in from here. Wait a minute, then try again.", stop);
            o.AddPolicy(SignInLimit, context => HttpMethods.IsPost(context.Request.Method)
                ? RateLimitPartition.GetFixedWindowLimiter(
                    context.Connection.RemoteIpAddress?.ToString() ?? "local",
                    _ => new FixedWindowRateLimiterOptions
                    {
                        PermitLimit = context.RequestServices.GetRequiredService<IConfiguration>().GetValue("SignInPerMinute", 20),
                        Window = TimeSpan.FromMinutes(1),
                    })
                : RateLimitPartition.GetNoLimiter("read"));
        });
        services.AddResponseCompression(o =>
        {
            // Pages are compressed over http only; over TLS, secrets next to chosen text must not be (BREACH).
            o.EnableForHttps = false;
            o.Providers.Add<BrotliCompressionProvider>();
            o.Providers.Add<GzipCompressionProvider>();
        });
        services.Configure<BrotliCompressionProviderOptions>(o => o.Level = CompressionLevel.Fastest);
        services.AddHealthChecks().AddNpgSql(s => s.GetRequiredService<NpgsqlDataSource>());
    }

    public static void UseAnyPace(this WebApplication app)
    {
        app.UseExceptionHandler("/problem");
        app.UseStatusCodePagesWithReExecute("/problem", "?code={0}");
        app.Use(SecurityHeaders);
        app.UseResponseCompression();
        app.UseRouting();
        app.UseAuthentication();
        app.UseAuthorization();
        app.UseRateLimiter();
        app.MapStaticAssets().AllowAnonymous();
        app.MapRazorPages().WithStaticAssets();
        app.MapHealthChecks("/health").AllowAnonymous();
    }

    private static Task SecurityHeaders(HttpContext context, RequestDelegate next)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy =
            "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Permissions-Policy"] = "camera=(), microphone=(), geolocation=()";
        return next(context);
    }
}
