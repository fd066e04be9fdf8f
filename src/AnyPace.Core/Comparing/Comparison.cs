using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Comparing;

/// <param name="Values">One a session, in their order.</param>
/// <param name="Stands">Which values differ from what most sessions have. Of three or four that all differ none stands out.</param>
/// <param name="Why">Key of the explanation that opens the row's numbers; null where the row is a fact, not a sum.</param>
public sealed record ComparisonRow(string Label, ImmutableArray<string> Values, ImmutableArray<bool> Stands, string? Why = null)
{
    public bool Differs => Values.Distinct().Skip(1).Any() && Label != SharedMoves;

    /// <summary>True where it differs and there is no usual value to stand out from.</summary>
    public bool AllDiffer => Differs && !Stands.Contains(true);

    /// <summary>Label of the row that lists what all sessions share; its only value stands first.</summary>
    public const string SharedMoves = "moves in all of them";
}

/// <summary>Two to four sessions side by side at one pace.</summary>
public sealed record Comparison(Pace Pace, ImmutableArray<CatalogueEntry> Sessions, string Sentence, ImmutableArray<ComparisonRow> Rows, Seconds Longest)
{
    public const int Least = 2;
    public const int Most = 4;

    /// <exception cref="ArgumentException">Fewer than two or more than four sessions.</exception>
    public static Comparison Of(IReadOnlyList<CatalogueEntry> sessions, Pace pace, MoveLexicon lexicon)
    {
        if (sessions.Count is < Least or > Most)
        {
            throw new ArgumentException($"A comparison takes {Least} to {Most} sessions, not {sessions.Count}.", nameof(sessions));
        }

        var sheets = sessions.Select(s => s.Measures.At(pace)).ToList();
        var shared = sessions.Select(s => s.Timeline.Bouts.Select(b => b.MoveId).ToHashSet()).Aggregate((a, b) => [.. a.Intersect(b)]);
        ComparisonRow Row(string label, string? why, Func<int, string> value) => Mark(label, [.. Enumerable.Range(0, sessions.Count).Select(value)]) with { Why = why };
        ImmutableArray<ComparisonRow> rows =
        [
            Row("time needed", "time", i => Range(sheets[i].Time.Needed, sheets[i].Time.NeededHigh)),
            Row("impact", "impact", i => sheets[i].Impact.Jumps > Seconds.Zero ? $"{sheets[i].Impact.Class.Word()}, {sheets[i].Impact.Jumps} off the floor" : sheets[i].Impact.Class.Word()),
            Row("level, 1 to 5", "level", i => $"{sheets[i].Difficulty.Level}"),
            Row("kit", null, i => sessions[i].RequiredKit.IsEmpty ? "nothing" : string.Join(", ", sessions[i].RequiredKit)),
            Row("works most", "muscles", i => string.Join(", ", sheets[i].Focus.Take(3))),
            Row("work share", "density", i => $"{sheets[i].Time.Density * 100:0} %"),
            Row("longest without rest", "unbroken", i => sheets[i].Time.LongestUnbroken.Clock()),
            Row("warm-up", "complete", i => Length(sheets[i].Time.WarmUp)),
            Row("cool-down", "complete", i => Length(sheets[i].Time.CoolDown)),
            Row("on the knees", "strains", i => Strain(sheets[i], "knees")),
            Row("on the wrists", "strains", i => Strain(sheets[i], "wrists")),
            Row("energy at 70 kg, estimate", "energy", i => $"{sheets[i].Energy.Low.Value:0} to {sheets[i].Energy.High.Value:0} kcal"),
            new(ComparisonRow.SharedMoves, [.. sessions.Select((_, i) => i == 0 ? (shared.Count == 0 ? "none" : string.Join(", ", shared.Select(id => lexicon[id].Name).Order())) : "")], [.. sessions.Select(_ => false)]),
        ];
        return new Comparison(pace, [.. sessions], Say(sessions, sheets), rows, sessions.Select(s => s.Timeline.Recorded).Max());
    }

    private static ComparisonRow Mark(string label, ImmutableArray<string> values)
    {
        var groups = values.GroupBy(v => v).OrderByDescending(g => g.Count()).ToList();
        if (groups.Count == 1)
        {
            return new(label, values, [.. values.Select(_ => false)]);
        }

        // Of two that differ both are marked; of more, those that leave the majority, where there is one.
        if (values.Length == 2)
        {
            return new(label, values, [true, true]);
        }

        var usual = groups[0].Count() > values.Length / 2.0 ? groups[0].Key : null;
        return new(label, values, [.. values.Select(v => usual is not null && v != usual)]);
    }

    /// <summary>One plain sentence on the two largest differences.</summary>
    private static string Say(IReadOnlyList<CatalogueEntry> sessions, List<Measures.MeasureSheet> sheets)
    {
        var parts = new List<string>();
        int? subject = null;
        var longest = Enumerable.Range(0, sheets.Count).MaxBy(i => sheets[i].Time.Needed.Value);
        var shortest = Enumerable.Range(0, sheets.Count).MinBy(i => sheets[i].Time.Needed.Value);
        var hardest = Enumerable.Range(0, sheets.Count).MaxBy(i => sheets[i].Difficulty.Score);
        var easiest = Enumerable.Range(0, sheets.Count).MinBy(i => sheets[i].Difficulty.Score);
        var most = sheets.Max(s => s.Impact.Class);
        var least = sheets.Min(s => s.Impact.Class);
        var levels = sheets[hardest].Difficulty.Level - sheets[easiest].Difficulty.Level;
        if (most > least && most >= Impact.Moderate)
        {
            var who = Enumerable.Range(0, sheets.Count).First(i => sheets[i].Impact.Class == most);
            subject = who;
            parts.Add($"{sessions[who].Title} {(most == Impact.High ? "jumps" : "hops")}{(levels > 0 && who == hardest ? $" and is {Levels(levels)} harder" : "")}");
        }
        else if (levels > 0)
        {
            parts.Add($"{sessions[hardest].Title} is {Levels(levels)} harder than {sessions[easiest].Title}");
        }

        var bare = Enumerable.Range(0, sessions.Count).Where(i => sessions[i].RequiredKit.All(k => k == "mat")).ToList();
        if (bare.Count > 0 && bare.Count < sessions.Count)
        {
            parts.Add($"{(subject == bare[0] ? "it" : sessions[bare[0]].Title)} needs no weights or furniture");
        }

        if (parts.Count < 2 && longest != shortest && sheets[longest].Time.Needed - sheets[shortest].Time.Needed >= new Seconds(60))
        {
            parts.Add($"{sessions[shortest].Title} is {sheets[longest].Time.Needed - sheets[shortest].Time.Needed} min shorter than {sessions[longest].Title}");
        }

        return parts.Count == 0 ? "These are much alike." : string.Join("; ", parts.Take(2)) + ".";
    }

    private static string Levels(int n) => n == 1 ? "a level" : $"{n} levels";

    private static string Length(Seconds length) => length > Seconds.Zero ? length.Clock() : "none";

    private static string Range(Seconds low, Seconds high) => low == high ? low.Clock() : $"{low} to {high}";

    private static string Strain(Measures.MeasureSheet sheet, string strain) =>
        sheet.Strains.FirstOrDefault(s => s.Strain == strain)?.Length.Clock() ?? "0:00";
}
