using System.Collections.Immutable;
using System.Text;

namespace AnyPace.Core.Lexicon;

/// <summary>A name that one studio has for a move.</summary>
public sealed record StudioName(string Name, string MoveId);

/// <summary>A move of the studio's own: like a move of the lexicon, but for what is said here.</summary>
/// <param name="LikeId">The move whose muscles, positions, effort and strains it shares.</param>
/// <param name="Retired">No longer read in captions or offered; sessions that have it keep it.</param>
public sealed record StudioMove(string Id, string Name, string LikeId, ImmutableArray<string> Aliases, Impact Impact, MoveSides Sides, ImmutableArray<string> Kit, bool Retired = false)
{
    /// <summary>Ids of the studio's own moves begin so, that they never meet one of ours.</summary>
    public const string IdPrefix = "studio-";

    /// <summary>An id made from a name: letters and digits, the rest as hyphens.</summary>
    public static string IdOf(string name)
    {
        var id = new StringBuilder(IdPrefix);
        foreach (var c in name.Trim().ToLowerInvariant())
        {
            if (char.IsAsciiLetterOrDigit(c))
            {
                id.Append(c);
            }
            else if (id[^1] != '-')
            {
                id.Append('-');
            }
        }

        return id.ToString().TrimEnd('-');
    }

    internal Move On(Move like) => like with
    {
        Id = Id,
        Name = Name,
        Family = "our own",
        Aliases = Retired ? [] : Aliases,
        WeakAliases = [],
        Impact = Impact,
        Sides = Sides,
        Kit = Kit,
        Easier = like.Id,
        Harder = null,
        Elsewhere = [],
        Parts = [],
    };
}
