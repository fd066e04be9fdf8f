using System.Collections.Immutable;
using System.Text.Json;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>A timeline marked by a person, as the demo studio keeps them beside its captions.</summary>
/// <param name="Kit">Lines such as "dumbbell required".</param>
public sealed record GoldReading(
    string Captions, string Title, string Coach, string Date, double StatedMinutes,
    ImmutableArray<Phase> Phases, ImmutableArray<Bout> Bouts, ImmutableArray<string> Kit)
{
    /// <exception cref="JsonException">Not such a document.</exception>
    public static GoldReading Parse(string json)
    {
        using var document = JsonDocument.Parse(json);
        var root = document.RootElement;
        string Text(string key) => root.GetProperty(key).GetString() ?? throw new JsonException($"'{key}' is null.");
        return new GoldReading(
            Text("captions"),
            Text("title"),
            Text("coach"),
            Text("date"),
            root.GetProperty("statedMinutes").GetDouble(),
            [.. root.GetProperty("phases").EnumerateArray().Select(p => new Phase(KindOf(p[0].GetString()!), Span.Of(p[1].GetDouble(), p[2].GetDouble())))],
            [
                .. root.GetProperty("bouts").EnumerateArray().Select((b, i) => Bout.Confirmed(
                    $"b{i + 1}", b[0].GetString()!, Span.Of(b[1].GetDouble(), b[2].GetDouble()), Enum.Parse<Side>(b[3].GetString()!, ignoreCase: true))),
            ],
            root.TryGetProperty("kit", out var kit) ? [.. kit.EnumerateArray().Select(k => k.GetString()!)] : []);
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
                var cut = line.LastIndexOf(' ');
                var item = line[..cut];
                var need = Enum.Parse<KitNeed>(line[(cut + 1)..], ignoreCase: true);
                return proposed.Kit.FirstOrDefault(k => k.Item == item) is { } said
                    ? said with { Need = need }
                    : new KitItem(item, need, null, null, null, null, []);
            }),
        ],
    };

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
