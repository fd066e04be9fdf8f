using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Lexicon;

/// <summary>How hard a move meets the ground; ordered from least to most.</summary>
public enum Impact
{
    /// <summary>Floor, seated or supported.</summary>
    None,

    /// <summary>One foot always down.</summary>
    Low,

    /// <summary>Both feet may leave the floor, but barely.</summary>
    Moderate,

    /// <summary>Leaves the floor with height, depth or travel.</summary>
    High,
}

/// <summary>How a move treats left and right.</summary>
public enum MoveSides
{
    Both,
    Alternating,

    /// <summary>One side, then the other, each in a bout of its own.</summary>
    Each,
}

/// <summary>An activity of the Compendium of Physical Activities that lends its MET to moves.</summary>
public sealed record Activity(string Id, string Code, Met Met, string Name)
{
    public string Source => $"Compendium of Physical Activities 2011, {Code}: {Name}";
}

/// <summary>One move of the lexicon. Every field is filled; the loader refuses a lexicon where one is missing or a neighbour dangles.</summary>
/// <param name="SecondsPerRep">A usual repetition, or the usual length of one hold for holds and stretches.</param>
/// <param name="Skill">1 known to most, 2 takes a class or two, 3 takes teaching.</param>
/// <param name="Kit">What it is usually done with; empty for none.</param>
/// <param name="Elsewhere">The moves that its names mean where the body is in another position: a leg raise standing, lying, seated.</param>
/// <param name="Parts">The two moves that a combined move joins; empty for a move of its own.</param>
public sealed record Move(
    string Id,
    string Name,
    string Family,
    ImmutableArray<string> Aliases,
    ImmutableArray<string> WeakAliases,
    ImmutableArray<string> Prime,
    ImmutableArray<string> Helper,
    ImmutableArray<string> Stabiliser,
    Impact Impact,
    string Pattern,
    ImmutableArray<string> Positions,
    ImmutableArray<string> Planes,
    MoveSides Sides,
    Activity Activity,
    double SecondsPerRep,
    int Skill,
    ImmutableArray<string> Kit,
    ImmutableArray<string> Strains,
    string? Easier,
    string? Harder,
    ImmutableArray<string> Elsewhere,
    ImmutableArray<string> Parts)
{
    public Met Met => Activity.Met;

    /// <summary>How coaches describe it where they do not name it; see <see cref="DescriptionIndex"/>.</summary>
    public ImmutableArray<string> Descriptions { get; init; } = [];

    /// <summary>Whole ways of saying it without its name; see <see cref="DescriptionLikeness"/>.</summary>
    public ImmutableArray<string> Spoken { get; init; } = [];

    /// <summary>In how many of our own marked classes that are looked at it is done: how common it is beside others.</summary>
    public int Common { get; init; }

    /// <summary>True where its name is what it looks like: "drop the knees from side to side like a windscreen wiper" names it.</summary>
    public bool IsImage { get; init; }

    /// <summary>True where its name is the other's with words before it: reverse lunge for lunge.</summary>
    public bool NamesMoreThan(Move general) =>
        Id != general.Id && Name.Replace('-', ' ').EndsWith(' ' + general.Name.Replace('-', ' '), StringComparison.OrdinalIgnoreCase);

    /// <summary>True where it can be done in a position: what only the arms and the trunk do standing they do on a chair as well.</summary>
    public bool IsDone(string position) =>
        Positions.IsEmpty || Positions.Contains(position)
        || (position == "seated" && Positions.Contains("standing") && !Prime.Any(Vocabulary.LowerBody.Contains) && Pattern is not ("locomotion" or "jump"));

    public bool IsStretch => Pattern == "stretch";

    /// <summary>Seconds a repetition from which a move is a hold: the lexicon gives holds 20 s and more, repetitions 15 s at the most.</summary>
    private const double HeldFrom = 20;

    /// <summary>True for what is held, stretches among it, where a repetition is the length of a hold.</summary>
    public bool IsHeld => SecondsPerRep >= HeldFrom;

    /// <summary>Breathing, which is told with every other move too.</summary>
    public bool IsBreathing => Pattern == "breathing";

    /// <summary>Moves that fill warm-ups and cool-downs rather than work: stretches, mobility, breathing.</summary>
    public bool IsGentle => Pattern is "stretch" or "mobility" or "breathing";

    /// <summary>Moves that warm up: they loosen joints, or are easy steps.</summary>
    public bool Loosens => Pattern == "mobility" || (Pattern == "locomotion" && Impact <= Impact.Low && Kit.IsEmpty);
}

/// <summary>The closed word lists of the craft.</summary>
public static class Vocabulary
{
    /// <summary>Muscle groups, in the order they are drawn and listed.</summary>
    public static readonly ImmutableArray<string> Muscles =
    [
        "quads", "hamstrings", "glutes", "adductors", "abductors", "calves", "hip flexors", "abs", "obliques", "deep core",
        "lower back", "upper back", "lats", "chest", "shoulders", "biceps", "triceps", "forearms", "neck",
    ];

    public static readonly ImmutableHashSet<string> LowerBody =
        ["quads", "hamstrings", "glutes", "adductors", "abductors", "calves", "hip flexors"];

    public static readonly ImmutableHashSet<string> CoreBody = ["abs", "obliques", "deep core", "lower back"];

    public static readonly ImmutableArray<string> Positions =
        ["standing", "kneeling", "all-fours", "plank", "supine", "prone", "side-lying", "seated"];

    /// <summary>Strains a member may wish to spare.</summary>
    public static readonly ImmutableArray<string> Strains =
    [
        "knees", "wrists", "shoulders overhead", "lower back", "neck", "ankles and feet", "single-leg balance",
        "getting to the floor", "head below heart", "long holds",
    ];

    public static readonly ImmutableHashSet<string> Patterns =
    [
        "squat", "lunge", "hinge", "bridge", "push-horizontal", "push-vertical", "pull-horizontal", "pull-vertical", "curl",
        "extension", "plank", "crawl", "trunk-flexion", "trunk-extension", "rotation", "side-flexion", "leg-raise", "kick", "punch",
        "jump", "locomotion", "mobility", "stretch", "breathing", "carry", "isolation-arm", "isolation-leg",
    ];

    public static readonly ImmutableHashSet<string> Planes = ["sagittal", "frontal", "transverse"];

    /// <summary>True where a position means being down on the floor.</summary>
    public static bool IsFloor(string position) => position is not ("standing" or "seated");

    public static string Word(this Impact impact) => impact switch
    {
        Impact.None => "off your feet",
        Impact.Low => "one foot down",
        Impact.Moderate => "light hops",
        _ => "jumps",
    };

    /// <summary>The contract's key: none, low, moderate, high.</summary>
    public static string Key(this Impact impact) => impact.ToString().ToLowerInvariant();
}
