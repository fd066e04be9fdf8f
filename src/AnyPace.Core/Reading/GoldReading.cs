using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>A structure as a person marked it; only what was said is set.</summary>
public sealed record GoldStructure(StructureType Type, double? Work, double? Rest, CountRange? Rounds, int? Sets, CountRange? Reps, int? Moves);

/// <summary>A remark marked by its time and its kind: an option's direction, a caution's topic, the type of a promise or of an outside mention.</summary>
public sealed record GoldRemark(double At, string Kind);

/// <summary>A piece of kit as a person marked it.</summary>
internal readonly record struct GoldKit(string Item, KitNeed Need)
{
    /// <summary>A line such as "resistance band required"; null where it is none.</summary>
    public static GoldKit? Of(string line) =>
        line.LastIndexOf(' ') is > 0 and var cut && Enum.TryParse<KitNeed>(line[(cut + 1)..], ignoreCase: true, out var need) ? new GoldKit(line[..cut], need) : null;

    /// <exception cref="FormatException">No such line; says which.</exception>
    public static GoldKit Parse(string line) => Of(line) ?? throw new FormatException($"'{line}' is no item with one of {string.Join(", ", Enum.GetNames<KitNeed>())}.");
}

/// <summary>A timeline marked by a person, as the demo studio keeps them beside its captions.</summary>
/// <param name="KeptAside">True for the test set: its cases are not looked at while tuning.</param>
/// <param name="Kit">Lines such as "dumbbell required".</param>
/// <param name="Options">Remarks are null where nobody marked them, empty where there are none.</param>
public sealed record GoldReading(
    string Captions, string Title, string Coach, string Date, double StatedMinutes, bool KeptAside,
    ImmutableArray<Phase> Phases, ImmutableArray<Bout> Bouts, ImmutableArray<string> Kit, ImmutableArray<GoldStructure>? Structures,
    ImmutableArray<GoldRemark>? Options, ImmutableArray<GoldRemark>? Cautions, ImmutableArray<GoldRemark>? Claims, ImmutableArray<GoldRemark>? Outside)
{
    /// <exception cref="JsonException">Not such a document.</exception>
    public static GoldReading Parse(string json)
    {
        using var document = JsonDocument.Parse(json);
        var root = document.RootElement;
        string Text(string key) => root.GetProperty(key).GetString() ?? throw new JsonException($"'{key}' is null.");
        ImmutableArray<GoldRemark>? Remarks(string key) => root.TryGetProperty(key, out var list)
            ? [.. list.EnumerateArray().Select(r => new GoldRemark(r[0].GetDouble(), r[1].GetString()!))]
            : null;

        return new GoldReading(
            Text("captions"),
            Text("title"),
            Text("coach"),
            Text("date"),
            root.GetProperty("statedMinutes").GetDouble(),
            root.TryGetProperty("set", out var set) && set.GetString() == "aside",
            [.. root.GetProperty("phases").EnumerateArray().Select(p => new Phase(KindOf(p[0].GetString()!), Span.Of(p[1].GetDouble(), p[2].GetDouble())))],
            [
                .. root.GetProperty("bouts").EnumerateArray().Select((b, i) => Bout.Confirmed(
                    $"b{i + 1}", b[0].GetString()!, Span.Of(b[1].GetDouble(), b[2].GetDouble()), Enum.Parse<Side>(b[3].GetString()!, ignoreCase: true))),
            ],
            root.TryGetProperty("kit", out var kit) ? [.. kit.EnumerateArray().Select(k => k.GetString()!)] : [],
            root.TryGetProperty("structures", out var structures) ? [.. structures.EnumerateArray().Select(s => StructureOf(s.GetString()!))] : null,
            Remarks("options"),
            Remarks("cautions"),
            Remarks("claims"),
            Remarks("outside"));
    }

    /// <summary>The reading as a person corrected it: gold phases, bouts and kit in place of the proposed ones, all else kept.</summary>
    public Timeline Correct(Timeline proposed) => proposed with
    {
        Phases = Phases,
        Bouts =
        [
            .. Bouts.Select(gold =>
            {
                var source = proposed.Bouts.Where(b => b.MoveId == gold.MoveId).MaxBy(b => b.Span.Overlap(gold.Span).Value);
                return source is null ? gold : gold with { Evidence = source.Evidence, Reps = source.Reps };
            }),
        ],
        Kit =
        [
            .. Kit.Select(line =>
            {
                var (item, need) = GoldKit.Parse(line);
                return proposed.Kit.FirstOrDefault(k => k.Item == item) is { } said
                    ? said with { Need = need }
                    : new KitItem(item, need, null, null, null, null, []);
            }),
        ],
    };

    /// <summary>A line such as "intervals 40 20 rounds=3 moves=5": type, work and rest in seconds, then what else was said.</summary>
    private static GoldStructure StructureOf(string line)
    {
        var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var named = words.Where(w => w.Contains('=')).Select(w => w.Split('=')).ToDictionary(p => p[0], p => p[1]);
        var numbers = words.Skip(1).Where(w => !w.Contains('=')).Select(w => double.Parse(w, CultureInfo.InvariantCulture)).ToList();
        if (named.Keys.FirstOrDefault(k => k is not ("rest" or "rounds" or "sets" or "reps" or "moves")) is { } unknown)
        {
            throw new JsonException($"'{line}': '{unknown}' is not a part of a structure; work and rest stand after the type.");
        }

        CountRange? Count(string key)
        {
            if (!named.TryGetValue(key, out var text))
            {
                return null;
            }

            var ends = text.Split('-').Select(t => int.Parse(t, CultureInfo.InvariantCulture)).ToList();
            return new CountRange(ends[0], ends[^1]);
        }

        return new GoldStructure(
            Enum.Parse<StructureType>(words[0].Replace("-", "", StringComparison.Ordinal), ignoreCase: true),
            numbers.Count > 0 ? numbers[0] : null,
            numbers.Count > 1 ? numbers[1] : Count("rest")?.Low,
            Count("rounds"),
            Count("sets")?.Low,
            Count("reps"),
            Count("moves")?.Low);
    }

    private static PhaseKind KindOf(string word) => word switch
    {
        "warm-up" => PhaseKind.WarmUp,
        "cool-down" => PhaseKind.CoolDown,
        "work" => PhaseKind.Work,
        "break" => PhaseKind.Break,
        "talk" => PhaseKind.Talk,
        _ => throw new JsonException($"'{word}' is not a phase."),
    };
}
