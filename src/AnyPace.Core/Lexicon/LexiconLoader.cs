using System.Collections.Immutable;
using System.Reflection;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace AnyPace.Core.Lexicon;

/// <summary>Reads the YAML families and refuses anything incomplete, unknown or ambiguous.</summary>
public static partial class LexiconLoader
{
    private const string ActivitiesFile = "activities.yaml";

    /// <exception cref="LexiconException">A file is at fault; the message says where.</exception>
    public static MoveLexicon LoadEmbedded()
    {
        var assembly = Assembly.GetExecutingAssembly();
        var files = assembly.GetManifestResourceNames()
            .Where(n => n.StartsWith("moves/", StringComparison.Ordinal))
            .Order(StringComparer.Ordinal)
            .Select(n =>
            {
                using var reader = new StreamReader(assembly.GetManifestResourceStream(n)!);
                return (Name: n["moves/".Length..], Text: reader.ReadToEnd());
            })
            .ToList();
        var activities = files.Single(f => f.Name == ActivitiesFile);
        using var taught = new StreamReader(assembly.GetManifestResourceStream("taught-classes.txt")!);
        using var words = new StreamReader(assembly.GetManifestResourceStream("move-words.txt")!);
        return Load(activities.Text, files.Where(f => f.Name != ActivitiesFile), TaughtClass.Parse(taught.ReadToEnd()), words.ReadToEnd());
    }

    /// <summary>Builds a lexicon from the text of the activities file and of the families, from classes marked by hand, and from what was learned of words; see <see cref="MoveClassifier"/>.</summary>
    /// <exception cref="LexiconException">A file is at fault; the message says where.</exception>
    public static MoveLexicon Load(string activitiesYaml, IEnumerable<(string Name, string Text)> families, IReadOnlyList<TaughtClass>? taught = null, string words = "")
    {
        var yaml = new DeserializerBuilder().WithNamingConvention(CamelCaseNamingConvention.Instance).Build();
        var activities = yaml.Deserialize<ActivitiesYaml>(activitiesYaml).Activities
            .ToDictionary(a => a.Id, a => new Activity(a.Id, a.Code, new Met(a.Met), a.Name));

        var files = new List<(string Name, FamilyYaml Family)>();
        foreach (var (name, text) in families)
        {
            FamilyYaml family;
            try
            {
                family = yaml.Deserialize<FamilyYaml>(text);
            }
            catch (YamlDotNet.Core.YamlException e)
            {
                throw new LexiconException($"{name}, line {e.Start.Line}: {e.Message}");
            }

            files.Add((name, family));
        }

        // Moves of their own first: combined moves are made from them.
        var moves = files.SelectMany(f => f.Family.Moves.Where(m => m.Parts is null).Select(m => ToMove(f.Name, f.Family, m, activities))).ToList();
        var parts = moves.DistinctBy(m => m.Id).ToDictionary(m => m.Id);
        foreach (var (name, family) in files)
        {
            moves.AddRange(family.Moves.Where(m => m.Parts is not null).Select(m => ToCombined(name, family, m, parts)));
        }

        Validate(moves);
        var ideas = files.SelectMany(f => f.Family.Ideas).ToDictionary(i => i.Key, i => string.Join('/', i.Value));
        string Spelled(string text) => IdeaName().Replace(text, m => ideas.TryGetValue(m.Value[1..], out var words) ? words : throw new LexiconException($"'{text}' uses '{m.Value}', which is no idea of the file."));
        var described = files.SelectMany(f => f.Family.Descriptions).ToDictionary(d => d.Key, d => d.Value.Select(Spelled).ToList());
        var spoken = files.SelectMany(f => f.Family.Spoken).ToDictionary(d => d.Key, d => d.Value);
        var common = files.SelectMany(f => f.Family.Common).ToDictionary(d => d.Key, d => d.Value);
        if (described.Keys.Concat(spoken.Keys).Concat(common.Keys).Except(moves.Select(m => m.Id)).FirstOrDefault() is { } stranger)
        {
            throw new LexiconException($"'{stranger}' is described or said to be common, but is not in the lexicon.");
        }

        var lexicon = new MoveLexicon(
            moves.Select(m => m with { Descriptions = [.. described.GetValueOrDefault(m.Id) ?? []], Spoken = [.. spoken.GetValueOrDefault(m.Id) ?? []], Common = common.GetValueOrDefault(m.Id) }),
            [.. files.SelectMany(f => f.Family.Talk)],
            taught ?? [],
            MoveClassifier.Parse(words));
        return lexicon.Aliases.Contested.IsEmpty
            ? lexicon
            : throw new LexiconException($"Two moves claim the same name: {string.Join(", ", lexicon.Aliases.Contested)}.");
    }

    private static Move ToMove(string file, FamilyYaml family, MoveYaml move, Dictionary<string, Activity> activities)
    {
        var d = family.Defaults;
        var where = $"{file}, move '{move.Id}'";

        T Need<T>(T? own, T? fallback, string field)
            where T : class =>
            own ?? fallback ?? throw new LexiconException($"{where}: '{field}' is missing.");

        ImmutableArray<string> Words(List<string>? own, List<string>? fallback, string field, IEnumerable<string>? allowed = null)
        {
            var list = Need(own, fallback, field);
            foreach (var word in list)
            {
                if (allowed is not null && !allowed.Contains(word))
                {
                    throw new LexiconException($"{where}: '{field}' has '{word}', which is not in the word list.");
                }
            }

            return [.. list];
        }

        TEnum Value<TEnum>(string? own, string? fallback, string field)
            where TEnum : struct, Enum
        {
            var text = Need(own, fallback, field);
            return Enum.TryParse<TEnum>(text, ignoreCase: true, out var value)
                ? value
                : throw new LexiconException($"{where}: '{field}' is '{text}', expected one of {string.Join(", ", Enum.GetNames<TEnum>())}.");
        }

        var pattern = Need(move.Pattern, d.Pattern, "pattern");
        if (!Vocabulary.Patterns.Contains(pattern))
        {
            throw new LexiconException($"{where}: unknown pattern '{pattern}'.");
        }

        // A muscle has one role in a move: what the move says of its prime movers takes it out of the family's lesser lists.
        var prime = Words(move.Prime, d.Prime, "prime", Vocabulary.Muscles);
        var helper = Words(move.Helper, d.Helper, "helper", Vocabulary.Muscles).RemoveRange(prime);
        var stabiliser = Words(move.Stab, d.Stab, "stab", Vocabulary.Muscles).RemoveRange(prime).RemoveRange(helper);
        var activity = Need(move.Activity, d.Activity, "activity");
        return new Move(
            Need(move.Id, null, "id"),
            Need(move.Name, null, "name"),
            Need(move.Family ?? family.Family, null, "family"),
            [.. move.Aka ?? []],
            [.. move.Weak ?? []],
            prime,
            helper,
            stabiliser,
            Value<Impact>(move.Impact, d.Impact, "impact"),
            pattern,
            Words(move.Positions, d.Positions, "positions", Vocabulary.Positions),
            Words(move.Planes, d.Planes, "planes", Vocabulary.Planes),
            Value<MoveSides>(move.Sides, d.Sides, "sides"),
            activities.TryGetValue(activity, out var found) ? found : throw new LexiconException($"{where}: unknown activity '{activity}'."),
            move.Seconds ?? d.Seconds ?? throw new LexiconException($"{where}: 'seconds' is missing."),
            move.Skill ?? d.Skill ?? throw new LexiconException($"{where}: 'skill' is missing."),
            Words(move.Kit, d.Kit ?? [], "kit"),
            Words(move.Strains, d.Strains, "strains", Vocabulary.Strains),
            move.Easier,
            move.Harder,
            [.. move.Elsewhere ?? []],
            [])
        {
            IsImage = move.Image,
        };
    }

    private static Move ToCombined(string file, FamilyYaml family, MoveYaml move, Dictionary<string, Move> known)
    {
        var where = $"{file}, move '{move.Id}'";
        Move Part(int i) => i < move.Parts!.Count && known.TryGetValue(move.Parts[i], out var part)
            ? part
            : throw new LexiconException($"{where}: 'parts' must name two moves of the lexicon.");

        var made = Composition.Of(Part(0), Part(1));
        return made with
        {
            Id = move.Id ?? throw new LexiconException($"{where}: 'id' is missing."),
            Name = move.Name ?? throw new LexiconException($"{where}: 'name' is missing."),
            Family = family.Family ?? throw new LexiconException($"{where}: 'family' is missing."),
            Aliases = [.. move.Aka ?? []],
            WeakAliases = [.. move.Weak ?? []],
            Positions = move.Positions is { } positions ? [.. positions] : made.Positions,
            Skill = move.Skill ?? made.Skill,
        };
    }

    private static void Validate(List<Move> moves)
    {
        var ids = new HashSet<string>();
        foreach (var move in moves)
        {
            if (!ids.Add(move.Id))
            {
                throw new LexiconException($"Two moves have the id '{move.Id}'.");
            }

            if (move.Prime.IsEmpty)
            {
                throw new LexiconException($"Move '{move.Id}' has no prime mover.");
            }
        }

        foreach (var move in moves)
        {
            foreach (var neighbour in new[] { move.Easier, move.Harder }.Concat(move.Elsewhere))
            {
                if (neighbour is not null && !ids.Contains(neighbour))
                {
                    throw new LexiconException($"Move '{move.Id}' names '{neighbour}' as a neighbour, which is not in the lexicon.");
                }
            }
        }
    }

    [GeneratedRegex("@[a-z]+")]
    private static partial Regex IdeaName();

    // The YAML shapes are filled by the deserializer.
    private sealed class ActivitiesYaml
    {
        public List<ActivityYaml> Activities { get; set; } = [];
    }

    private sealed class ActivityYaml
    {
        public string Id { get; set; } = "";

        public string Code { get; set; } = "";

        public double Met { get; set; }

        public string Name { get; set; } = "";
    }

    private sealed class FamilyYaml
    {
        public string? Family { get; set; }

        public MoveYaml Defaults { get; set; } = new();

        public List<MoveYaml> Moves { get; set; } = [];

        public Dictionary<string, List<string>> Ideas { get; set; } = [];

        public Dictionary<string, List<string>> Descriptions { get; set; } = [];

        public Dictionary<string, List<string>> Spoken { get; set; } = [];

        public Dictionary<string, int> Common { get; set; } = [];

        public List<string> Talk { get; set; } = [];
    }

    private sealed class MoveYaml
    {
        /// <summary>Where it is not the family of the file it stands in.</summary>
        public string? Family { get; set; }

        public string? Id { get; set; }

        public string? Name { get; set; }

        public List<string>? Aka { get; set; }

        public List<string>? Weak { get; set; }

        public List<string>? Prime { get; set; }

        public List<string>? Helper { get; set; }

        public List<string>? Stab { get; set; }

        public string? Impact { get; set; }

        public string? Pattern { get; set; }

        public List<string>? Positions { get; set; }

        public List<string>? Planes { get; set; }

        public string? Sides { get; set; }

        public string? Activity { get; set; }

        public double? Seconds { get; set; }

        public int? Skill { get; set; }

        public List<string>? Kit { get; set; }

        public List<string>? Strains { get; set; }

        public string? Easier { get; set; }

        public string? Harder { get; set; }

        public List<string>? Elsewhere { get; set; }

        public bool Image { get; set; }

        public List<string>? Parts { get; set; }
    }
}
