using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <summary>What a member tells. Everything is optional: null or empty means that it does not limit.</summary>
/// <param name="Minutes">Time there is, 5..180.</param>
/// <param name="Level">1..5, as the member feels it.</param>
/// <param name="Goal">One of <see cref="Goals"/>.</param>
/// <param name="Kit">What is at hand. Empty means nothing at hand.</param>
/// <param name="Spare">Strains to spare: health data.</param>
public sealed record MemberProfile(
    int? Minutes, Impact? MaxImpact, int? Level, string? Goal, ImmutableSortedSet<string> Kit, ImmutableSortedSet<string> Spare)
{
    /// <summary>The unit of mass the member reads loads in; what was said is kept beside it.</summary>
    public MassUnit Unit { get; init; } = MassUnit.Kilograms;

    public static readonly MemberProfile Blank = new(null, null, null, null, [], []);

    public static readonly ImmutableArray<string> Goals = ["strength", "stamina", "mobility", "balance", "steady habit"];

    /// <summary>Kit that can be ticked.</summary>
    public static readonly ImmutableArray<string> KitChoices =
        ["mat", "dumbbell", "kettlebell", "chair", "bench", "resistance band", "stability ball", "bar", "step", "skipping rope"];
}
