namespace AnyPace.Data.Accounts;

/// <summary>Someone who signs in.</summary>
public sealed class Account
{
    public Guid Id { get; init; } = Guid.CreateVersion7();

    /// <summary>What is typed to sign in.</summary>
    public string Name { get; set; } = "";

    public string NormalizedName { get; set; } = "";

    public string DisplayName { get; set; } = "";

    /// <summary>One of <see cref="Roles"/>.</summary>
    public string Role { get; set; } = Roles.Member;

    public string PasswordHash { get; set; } = "";

    public string SecurityStamp { get; set; } = Guid.NewGuid().ToString("N");

    public DateTimeOffset? LockoutEnd { get; set; }

    public bool LockoutEnabled { get; set; } = true;

    public int AccessFailedCount { get; set; }

    /// <summary>Offered in one click where the demo runs, and only there.</summary>
    public bool Demo { get; set; }
}

public static class Roles
{
    public const string Manager = "manager";
    public const string Cataloguer = "cataloguer";
    public const string Member = "member";
}
