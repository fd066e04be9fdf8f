using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;

namespace AnyPace.Core.Finding;

/// <summary>How several chosen values of a facet join.</summary>
public enum Joins
{
    /// <summary>Any of them will do: each widens.</summary>
    Any,

    /// <summary>All of them must hold: each narrows.</summary>
    All,
}

/// <summary>Something to narrow the library by.</summary>
/// <param name="Key">Its name in a URL.</param>
/// <param name="Paced">True where it speaks of the chosen pace.</param>
/// <param name="Values">The values that hold for a session.</param>
/// <param name="Order">The closed list of values; empty where the library decides which there are.</param>
public sealed record Facet(
    string Key, string Label, string Hint, Joins Joins, bool Paced, ImmutableArray<string> Order, Func<Listing, PacedListing, IEnumerable<string>> Values)
{
    /// <summary>A muscle with less than this share of the load is spared. Ours: half of what a helper gets in a usual class.</summary>
    public const float SparedShare = 0.04f;

    /// <summary>Seconds of a strain that still count as sparing it: two repetitions in a warm-up.</summary>
    public const int SparedStrain = 20;

    /// <summary>Share followable by ear from which a member need not look. Ours.</summary>
    public const double ByEarFrom = 0.7;

    public const string FullBody = "whole body";

    public static readonly Facet ImpactClass = new("impact", "Impact", "", Joins.Any, true, [.. Enum.GetValues<Impact>().Select(i => i.Key())], (_, p) => [p.Impact.Key()]);

    public static readonly Facet Level = new("level", "Level", "1 easy, 5 hard", Joins.Any, true, ["1", "2", "3", "4", "5"], (_, p) => [$"{p.Level}"]);

    public static readonly Facet Focus = new(
        "focus", "Works mostly", "", Joins.Any, true, [FullBody, .. Vocabulary.Muscles], (_, p) => p.FullBody ? p.Focus.Append(FullBody) : p.Focus);

    public static readonly Facet SpareMuscles = new(
        "rest", "Muscles to spare", "next to no load on them", Joins.All, true, Vocabulary.Muscles,
        (_, p) => Vocabulary.Muscles.Where((_, m) => p.Shares[m] < SparedShare));

    public static readonly Facet Strains = new(
        "spare", "Spare me", "20 s of it at most", Joins.All, true, Vocabulary.Strains, (_, p) => Vocabulary.Strains.Where((_, s) => p.Strains[s] <= SparedStrain));

    public static readonly Facet Without = new(
        "without", "Positions", "", Joins.All, true, ["floor", "kneeling", "hands", "standing"], (_, p) => WithoutOf(p));

    public static readonly Facet Space = new(
        "space", "Floor space", "", Joins.Any, true, ["mat", "step", "travel"],
        (_, p) => [p.Space switch { FloorSpace.Mat => "mat", FloorSpace.StepEachWay => "step", _ => "travel" }]);

    public static readonly Facet NoiseMade = new("noise", "Noise below", "", Joins.Any, true, ["quiet", "light", "thumping"], (_, p) => [p.Noise.ToString().ToLowerInvariant()]);

    public static readonly Facet StructureType = new(
        "structure", "Structure", "", Joins.Any, false, ["intervals", "tabata", "rep-sets", "supersets", "ladder", "choreography", "hold", "flow"], (l, _) => l.Structures);

    public static readonly Facet Coach = new("coach", "Coach", "", Joins.Any, false, [], (l, _) => [l.Coach]);

    public static readonly Facet Series = new("series", "Series", "", Joins.Any, false, [], (l, _) => l.Series is { } s ? [s] : []);

    public static readonly Facet Whole = new(
        "whole", "Completeness", "", Joins.All, true, ["warm-up", "cool-down", "sides"],
        (_, p) => new[] { p.WarmUpEnough ? "warm-up" : "", p.CoolDownEnough ? "cool-down" : "", p.SidesEven ? "sides" : "" }.Where(v => v.Length > 0));

    public static readonly Facet Ear = new("ear", "By ear", "", Joins.Any, false, ["yes"], (l, _) => l.ByEar >= ByEarFrom ? ["yes"] : []);

    /// <summary>All, in the order of the rail: what members ask for most comes first.</summary>
    public static readonly ImmutableArray<Facet> All =
        [ImpactClass, Level, Focus, Strains, Without, NoiseMade, Space, SpareMuscles, Whole, StructureType, Coach, Series, Ear];

    /// <summary>The value in words.</summary>
    public string Word(string value) => (Key, value) switch
    {
        ("impact", _) => Enum.Parse<Impact>(value, ignoreCase: true).Word(),
        ("space", "mat") => "a mat's length",
        ("space", "step") => "a step each way",
        ("space", _) => "room to travel",
        ("noise", "light") => "light thuds",
        ("without", "floor") => "no getting to the floor",
        ("without", "kneeling") => "no kneeling",
        ("without", "hands") => "nothing on the hands",
        ("without", _) => "no standing",
        ("whole", "sides") => "both sides alike",
        ("whole", _) => $"has its {value}",
        ("structure", "tabata") => "twenty on, ten off",
        ("structure", "rep-sets") => "repetitions in sets",
        ("structure", "hold") => "holds",
        ("ear", _) => "can be followed by ear",
        _ => value,
    };

    /// <summary>How a chosen set of values reads in the sentence over the results.</summary>
    public string Say(IEnumerable<string> values)
    {
        var words = values.Select(Word).ToList();
        var list = string.Join(Joins == Joins.Any ? " or " : " and ", words);
        return Key switch
        {
            "level" => $"level {list}",
            "focus" => $"for {list}",
            "rest" => $"resting {list}",
            "spare" => $"sparing {list}",
            "coach" => $"with {list}",
            "series" => $"from {list}",
            _ => list,
        };
    }

    private static IEnumerable<string> WithoutOf(PacedListing p)
    {
        if (!p.Positions.Any(Vocabulary.IsFloor))
        {
            yield return "floor";
        }

        if (!p.Positions.Any(x => x is "kneeling" or "all-fours"))
        {
            yield return "kneeling";
        }

        if (!p.Positions.Any(x => x is "all-fours" or "plank"))
        {
            yield return "hands";
        }

        if (!p.Positions.Contains("standing"))
        {
            yield return "standing";
        }
    }
}
