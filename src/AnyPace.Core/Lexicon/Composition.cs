using System.Collections.Immutable;

namespace AnyPace.Core.Lexicon;

/// <summary>
/// Two moves done as one ("reverse lunge with a hammer curl"). Nothing of a combined move is listed: muscles, impact, sides, kit, strains
/// and effort follow from the parts. Its id is the ids of its parts with a plus between.
/// </summary>
public static class Composition
{
    /// <summary>Between the ids of the parts.</summary>
    public const char Joint = '+';

    /// <summary>Arms that work while the legs do are "with"; what follows in one line is "to".</summary>
    private static readonly ImmutableHashSet<string> Accompanies =
        ["curl", "pull-horizontal", "pull-vertical", "rotation", "punch", "isolation-arm", "extension", "side-flexion", "mobility", "kick", "leg-raise"];

    public static Move Of(Move first, Move second)
    {
        var prime = Union(first.Prime, second.Prime);
        var helper = Union(first.Helper, second.Helper).RemoveRange(prime);
        return new Move(
            $"{first.Id}{Joint}{second.Id}",
            $"{first.Name} {(Accompanies.Contains(second.Pattern) ? "with" : "to")} {char.ToLowerInvariant(second.Name[0])}{second.Name[1..]}",
            "combined moves",
            [],
            [],
            prime,
            helper,
            Union(first.Stabiliser, second.Stabiliser).RemoveRange(prime).RemoveRange(helper),
            first.Impact > second.Impact ? first.Impact : second.Impact,
            first.Pattern,
            Positions(first, second),
            Union(first.Planes, second.Planes),
            Sides(first.Sides, second.Sides),
            first.Met.Value >= second.Met.Value ? first.Activity : second.Activity,
            first.SecondsPerRep + Math.Min(second.SecondsPerRep, 3),
            Math.Clamp(Math.Max(first.Skill, second.Skill), 2, 3),
            Union(first.Kit, second.Kit),
            Union(first.Strains, second.Strains),
            first.Id,
            null,
            [],
            [first.Id, second.Id]);
    }

    /// <summary>The body is where the first part puts it; only who goes from standing to the floor is in both.</summary>
    private static ImmutableArray<string> Positions(Move first, Move second)
    {
        var down = !first.Positions.Any(Vocabulary.IsFloor) && second.Positions.All(Vocabulary.IsFloor);
        return down ? Union(first.Positions, second.Positions) : first.Positions;
    }

    private static MoveSides Sides(MoveSides a, MoveSides b) => (MoveSides)Math.Max((int)a, (int)b);

    private static ImmutableArray<string> Union(ImmutableArray<string> a, ImmutableArray<string> b) => [.. a, .. b.Where(x => !a.Contains(x))];
}
