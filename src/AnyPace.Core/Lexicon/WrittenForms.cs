using System.Collections.Frozen;

namespace AnyPace.Core.Lexicon;

/// <summary>
/// How captioning machines write the words of moves: compounds in one word or two ("pushup", "ham string"), and everyday words for rarer ones that sound like them ("lunch" for lunge).
/// Names and speech are brought to the same form before they are compared.
/// </summary>
internal static class WrittenForms
{
    /// <summary>Two words that are one.</summary>
    private static readonly FrozenSet<(string, string)> Joined = Pairs(
        "ham string", "ham strings", "over head", "butter fly", "super man", "dead lift", "dead lifts", "dead lifting", "kettle bell", "kettle bells", "dumb bell", "dumb bells", "bar bell", "bar bells",
        "wind mill", "wind mills", "upper cut", "upper cuts", "see saw", "under hand", "hand stand", "hand stands", "tri ceps", "tri cep", "bi ceps", "bi cep");

    /// <summary>One word that is two; the first has so many letters.</summary>
    private static readonly FrozenDictionary<string, int> Parted = new Dictionary<string, int>
    {
        ["pushup"] = 4,
        ["pressup"] = 5,
        ["situp"] = 3,
        ["pullup"] = 4,
        ["chinup"] = 4,
        ["stepup"] = 4,
        ["rollup"] = 4,
        ["kneeup"] = 4,
        ["curlup"] = 4,
        ["rolldown"] = 4,
        ["walkout"] = 4,
        ["rollout"] = 4,
        ["pulldown"] = 4,
        ["stepover"] = 4,
        ["crossbody"] = 5,
        ["legraise"] = 3,
        ["leglift"] = 3,
        ["kneelift"] = 4,
        ["calfraise"] = 4,
        ["clamshell"] = 4,
        ["inchworm"] = 4,
        ["woodchop"] = 4,
        ["jackknife"] = 4,
        ["skullcrusher"] = 5,
        ["toetap"] = 3,
        ["heeltap"] = 4,
    }.SelectMany(p => new[] { p, KeyValuePair.Create(p.Key + "s", p.Value) }).ToFrozenDictionary();

    /// <summary>A word written for another that sounds like it.</summary>
    /// <param name="After">Only after one of these words; null for any.</param>
    /// <param name="NotAfter">Never after one of these.</param>
    /// <param name="NotBefore">Nor before one of these.</param>
    /// <param name="Before">Before one of these, whatever stands before.</param>
    private sealed record Slip(string Meant, string[]? After = null, string[]? NotAfter = null, string[]? NotBefore = null, string[]? Before = null);

    /// <summary>What is done with a squat or lunge, and not with a meal or a crowd.</summary>
    private static readonly string[] Done = ["pulse", "pulses", "hold", "holds", "jump", "jumps", "twist", "twists", "position", "stance", "press", "presses", "kick", "kicks"];

    /// <summary>Words between which a meal is meant: "for lunch", "lunch break".</summary>
    private static readonly string[] Meal =
        ["for", "had", "have", "having", "eat", "eating", "after", "before", "my", "at", "of", "over", "about", "during", "late", "early", "sunday", "packed", "your", "their", "our", "some", "no", "get", "make", "since", "until", "till", "school"];

    private static readonly string[] OfMeal = ["break", "time", "hour", "box", "today", "tomorrow", "yesterday", "date", "was", "is", "at", "money", "club"];

    /// <summary>And between which people are: "what's up squad", "squad goals".</summary>
    private static readonly string[] People = ["up", "hey", "hello", "hi", "my", "our", "the", "this", "that", "good", "morning", "evening", "go", "fitness", "home", "team"];

    private static readonly string[] Raises = ["leg", "calf", "lateral", "front", "heel", "toe", "arm", "side", "hip", "rear", "shoulder", "knee", "forward", "frontal", "lat", "thigh"];

    private static readonly string[] Rows = ["over", "upright", "renegade", "gorilla", "dumbbell", "barbell", "band", "banded", "wide", "plank", "inverted", "kettlebell"];

    private static readonly FrozenDictionary<string, Slip> Slips = new Dictionary<string, Slip>
    {
        ["planck"] = new("plank"),
        ["burpy"] = new("burpee"),
        ["burpie"] = new("burpee"),
        ["burpe"] = new("burpee"),
        ["birpee"] = new("burpee"),
        ["burpies"] = new("burpees"),
        ["burpes"] = new("burpees"),
        ["birpees"] = new("burpees"),
        ["jax"] = new("jacks"),
        ["flys"] = new("flies"),
        ["glue"] = new("glute", NotAfter: ["like", "super", "with", "some"]),
        ["glues"] = new("glutes"),
        ["squads"] = new("squats"),
        ["squad"] = new("squat", NotAfter: People, NotBefore: ["goals", "members"], Before: Done),
        ["lunch"] = new("lunge", NotAfter: Meal, NotBefore: OfMeal, Before: Done),
        ["lunches"] = new("lunges", NotAfter: Meal),
        ["rays"] = new("raises", Raises),
        ["razors"] = new("raises", Raises),
        ["races"] = new("raises", Raises),
        ["rose"] = new("rows", Rows),
        ["roads"] = new("rows", Rows),
        ["roes"] = new("rows"),
        ["roe"] = new("row"),
    }.ToFrozenDictionary();

    /// <summary>Two words written for two, one of them wrong: "that bugs" for dead bugs.</summary>
    private static readonly FrozenDictionary<(string, string), (string, string)> SlipsOfTwo = new[]
    {
        ("that bug", "dead bug"), ("dad bug", "dead bug"), ("debt bug", "dead bug"), ("bear dog", "bird dog"), ("bert dog", "bird dog"), ("remaining deadlift", "romanian deadlift"), ("hip trust", "hip thrust"),
        ("mountain climate", "mountain climber"), ("high need", "high knee"), ("bud kick", "butt kick"), ("tricep tip", "tricep dip"), ("triceps tip", "triceps dip"), ("skull crasher", "skull crusher"),
        ("bicep girl", "bicep curl"), ("biceps girl", "biceps curl"), ("hammer girl", "hammer curl"), ("shoulder tab", "shoulder tap"), ("toe tab", "toe tap"), ("heel tab", "heel tap"), ("chest flight", "chest fly"),
        ("reverse flight", "reverse fly"), ("wood shop", "wood chop"), ("cafe raise", "calf raise"),
    }.SelectMany(p => new[] { p, (p.Item1 + "s", p.Item2.EndsWith("fly", StringComparison.Ordinal) ? p.Item2[..^1] + "ies" : p.Item2 + "s") })
        .ToFrozenDictionary(p => Pair(p.Item1), p => Pair(p.Item2));

    /// <summary>Compounds of a name, in the form that speech is brought to.</summary>
    public static IEnumerable<string> OfName(IReadOnlyList<string> words)
    {
        for (var i = 0; i < words.Count; i++)
        {
            if (i + 1 < words.Count && IsOne(words[i].ToLowerInvariant(), words[i + 1].ToLowerInvariant()))
            {
                yield return words[i] + words[++i];
            }
            else if (PartOf(words[i].ToLowerInvariant()) is > 0 and var first)
            {
                yield return words[i][..first];
                yield return words[i][first..];
            }
            else
            {
                yield return words[i];
            }
        }
    }

    /// <summary>True where two words, in lower case, are written for one.</summary>
    public static bool IsOne(string first, string second) => Joined.Contains((first, second));

    /// <summary>How many letters the first of two words has that are written as one; 0 for a word that is one.</summary>
    public static int PartOf(string word) => Parted.GetValueOrDefault(word);

    /// <summary>The word that was said where another is written; null where it stands as it is.</summary>
    /// <param name="before">The word before, "" at the beginning.</param>
    /// <param name="after">The word after, "" at the end.</param>
    public static string? Meant(string before, string word, string after) =>
        Slips.TryGetValue(word, out var slip)
        && (slip.Before?.Contains(after) == true || (slip.After?.Contains(before) != false && slip.NotAfter?.Contains(before) != true && slip.NotBefore?.Contains(after) != true))
            ? slip.Meant
            : null;

    /// <summary>The two words that were said where two are written; null where they stand as they are.</summary>
    public static (string First, string Second)? Meant(string first, string second) => SlipsOfTwo.TryGetValue((first, second), out var meant) ? meant : null;

    private static (string, string) Pair(string words) => (words[..words.IndexOf(' ')], words[(words.IndexOf(' ') + 1)..]);

    private static FrozenSet<(string, string)> Pairs(params string[] pairs) => pairs.Select(Pair).ToFrozenSet();
}
