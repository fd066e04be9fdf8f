using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <summary>What a member tells. Everything is optional: null or empty means that it does not limit.</summary>
public sealed record MemberProfile
{
    public static readonly MemberProfile Blank = new();

    public static readonly ImmutableArray<string> AllGoals = ["strength", "stamina", "mobility", "balance", "steady habit"];

    /// <summary>Kit that can be ticked.</summary>
    public static readonly ImmutableArray<string> KitChoices =
        ["mat", "dumbbell", "kettlebell", "chair", "bench", "resistance band", "stability ball", "bar", "step", "skipping rope"];

    /// <summary>Kit that comes in loads.</summary>
    public static readonly ImmutableArray<string> Weights = ["dumbbell", "kettlebell", "bar"];

    /// <summary>Time there is, 5..180 minutes.</summary>
    public int? Minutes { get; init; }

    /// <summary>Days on which the member means to train.</summary>
    public ImmutableSortedSet<DayOfWeek> Days { get; init; } = [];

    public Impact? MaxImpact { get; init; }

    /// <summary>1..5, as asked by <see cref="LevelQuestions"/> or as the member feels it.</summary>
    public int? Level { get; init; }

    /// <summary>Some of <see cref="AllGoals"/>.</summary>
    public ImmutableSortedSet<string> Goals { get; init; } = [];

    /// <summary>What is at hand. Empty means nothing at hand.</summary>
    public ImmutableSortedSet<string> Kit { get; init; } = [];

    /// <summary>The heaviest load at hand of each of <see cref="Weights"/>, in kilograms.</summary>
    public ImmutableSortedDictionary<string, double> Loads { get; init; } = ImmutableSortedDictionary<string, double>.Empty;

    /// <summary>The most floor there is.</summary>
    public FloorSpace? MaxSpace { get; init; }

    /// <summary>The most noise that neighbours bear.</summary>
    public Noise? MaxNoise { get; init; }

    /// <summary>Strains to spare: health data.</summary>
    public ImmutableSortedSet<string> Spare { get; init; } = [];

    /// <summary>Move ids.</summary>
    public ImmutableSortedSet<string> LikedMoves { get; init; } = [];

    public ImmutableSortedSet<string> DislikedMoves { get; init; } = [];

    public ImmutableSortedSet<string> LikedCoaches { get; init; } = [];

    public ImmutableSortedSet<string> DislikedCoaches { get; init; } = [];

    /// <summary>Body mass in kilograms, 30..250: for energy only. Health data.</summary>
    public double? Mass { get; init; }

    /// <summary>Years, 13..110: for heart rates only.</summary>
    public int? Age { get; init; }

    /// <summary>Beats a minute at rest, 30..120: for heart rates only. Health data.</summary>
    public int? RestingRate { get; init; }

    /// <summary>The unit of mass the member reads loads in; what was said is kept beside it.</summary>
    public MassUnit Unit { get; init; } = MassUnit.Kilograms;

    /// <summary>True where nothing is told that suggestions could use.</summary>
    public bool IsBlank => this is
    {
        Minutes: null, MaxImpact: null, Level: null, MaxSpace: null, MaxNoise: null, Days.Count: 0, Goals.Count: 0, Kit.Count: 0, Spare.Count: 0,
        LikedMoves.Count: 0, DislikedMoves.Count: 0, LikedCoaches.Count: 0, DislikedCoaches.Count: 0,
    };
}
