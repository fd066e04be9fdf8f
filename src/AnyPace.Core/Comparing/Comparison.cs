using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Comparing;

/// <param name="Values">One a session, in their order.</param>
/// <param name="Stands">Which values differ from what most sessions have. Of three or four that all differ none stands out.</param>
/// <param name="Why">Key of the explanation that opens the row's numbers; null where the row is a fact, not a sum.</param>
public sealed record ComparisonRow(string Label, ImmutableArray<string> Values, ImmutableArray<bool> Stands, string? Why = null)
{
    public bool Differs => Values.Distinct().Skip(1).Any();

    /// <summary>True where it differs and there is no usual value to stand out from.</summary>
    public bool AllDiffer => Differs && !Stands.Contains(true);
}

/// <summary>One side of a comparison: a session at the pace chosen for it.</summary>
/// <param name="Own">Moves that no other side does, by name.</param>
/// <param name="Limits">What it breaks of the member's limits at that pace; empty where nothing, null for a member without a profile.</param>
public sealed record ComparisonSide(CatalogueEntry Session, Pace Pace, ImmutableArray<string> Own, IReadOnlyList<string>? Limits)
{
    public MeasureSheet Sheet => Session.Measures.At(Pace);
}

/// <summary>Two to four sessions side by side, each at its own pace.</summary>
public sealed record Comparison(ImmutableArray<ComparisonSide> Sides, string Sentence, ImmutableArray<ComparisonRow> Rows, ImmutableArray<string> Shared, Seconds Longest)
{
    public const int Least = 2;
    public const int Most = 4;

    /// <summary>Sessions at one pace, for a member without a profile.</summary>
    public static Comparison Of(IReadOnlyList<CatalogueEntry> sessions, Pace pace, MoveLexicon lexicon) =>
        Of([.. sessions.Select(s => (s, pace))], lexicon, MemberProfile.Blank, _ => null);

    /// <param name="profile">Kit and strains are held against it; energy is shown at its mass.</param>
    /// <param name="limits">What a session breaks at a pace.</param>
    /// <exception cref="ArgumentException">Fewer than two or more than four sessions.</exception>
    public static Comparison Of(
        IReadOnlyList<(CatalogueEntry Session, Pace Pace)> chosen, MoveLexicon lexicon, MemberProfile profile, Func<(Guid Id, Pace Pace), IReadOnlyList<string>?> limits)
    {
        if (chosen.Count is < Least or > Most)
        {
            throw new ArgumentException($"A comparison takes {Least} to {Most} sessions, not {chosen.Count}.", nameof(chosen));
        }

        var sessions = chosen.Select(c => c.Session).ToList();
        var sheets = chosen.Select(c => c.Session.Measures.At(c.Pace)).ToList();
        var moves = sessions.Select(s => s.Timeline.Bouts.Select(b => b.MoveId).ToHashSet()).ToList();
        var shared = moves.Aggregate((a, b) => [.. a.Intersect(b)]);
        string Name(string id) => lexicon[id].Name;
        ComparisonRow Row(string label, string? why, Func<int, string> value) => Mark(label, [.. Enumerable.Range(0, sessions.Count).Select(value)]) with { Why = why };
        var mass = profile.Mass is { } m ? new Kilograms(m) : Constants.ReferenceMass;
        var strains = profile.Spare.IsEmpty ? ["knees", "wrists"] : profile.Spare.AsEnumerable();
        ImmutableArray<ComparisonRow> rows =
        [
            Row("time needed, m:ss", "time", i => Range(sheets[i].Time.Needed, sheets[i].Time.NeededHigh)),
            Row("impact", "impact", i => sheets[i].Impact.Jumps > Seconds.Zero ? $"{sheets[i].Impact.Class.Word()}, {sheets[i].Impact.Jumps} off the floor" : sheets[i].Impact.Class.Word()),
            Row("level, 1 to 5", "level", i => $"{sheets[i].Difficulty.Level}"),
            Row("kit", null, i => sessions[i].RequiredKit.IsEmpty ? "nothing" : string.Join(", ", sessions[i].RequiredKit)),
            .. profile.Kit.IsEmpty ? [] : new[] { Row("with your kit", null, i => Doable(KitFit.Of(sessions[i].Timeline, lexicon, profile.Kit))) },
            Row("works most", "muscles", i => string.Join(", ", sheets[i].Focus.Take(3))),
            Row("work share", "density", i => $"{sheets[i].Time.Density * 100:0} %"),
            Row("longest without rest, m:ss", "unbroken", i => sheets[i].Time.LongestUnbroken.Clock()),
            Row("vigorous, m:ss", "effort", i => sheets[i].Vigorous.Clock()),
            Row("warm-up, m:ss", "complete", i => Length(sheets[i].Time.WarmUp)),
            Row("cool-down, m:ss", "complete", i => Length(sheets[i].Time.CoolDown)),
            .. strains.Select(s => Row($"{(profile.Spare.IsEmpty ? "on" : "to spare:")} {s}, m:ss", "strains", i => Strain(sheets[i], s))),
            Row("positions", null, i => string.Join(", ", sheets[i].Positions)),
            Row("floor space", null, i => sheets[i].Place.Space.Word()),
            Row("noise", null, i => sheets[i].Place.Noise.Word()),
            Row("can be followed by ear", null, i => sessions[i].Measures.Coaching.ByEar is { } ear ? $"{ear * 100:0} %" : "not known"),
            Row($"energy at {mass.Value:0} kg, estimate", "energy", i => Energy(sheets[i].Energy, mass)),
        ];
        return new Comparison(
            [
                .. chosen.Select((c, i) => new ComparisonSide(
                    c.Session, c.Pace,
                    [.. moves[i].Where(id => moves.Where((_, j) => j != i).All(o => !o.Contains(id))).Select(Name).Order(StringComparer.Ordinal)],
                    limits((c.Session.Id, c.Pace)))),
            ],
            Say(sessions, sheets), rows, [.. shared.Select(Name).Order(StringComparer.Ordinal)], sessions.Select(s => s.Timeline.Bouts.Select(b => b.Span.End).Append(s.Timeline.Recorded).Max()).Max());
    }

    private static string Doable(KitFitFigures fit) => fit.NotAtAll > 0.005
        ? $"{fit.NotAtAll * 100:0} % not at all"
        : fit.WithSubstitute + fit.WithOption > 0.005 ? "all, some another way" : "all as led";

    private static string Energy(EnergyRange range, Kilograms mass) =>
        $"{range.Low.Value * mass.Value / range.Mass.Value:0} to {range.High.Value * mass.Value / range.Mass.Value:0} kcal";

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
    private static string Say(IReadOnlyList<CatalogueEntry> sessions, List<MeasureSheet> sheets)
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

    private static string Strain(MeasureSheet sheet, string strain) =>
        sheet.Strains.FirstOrDefault(s => s.Strain == strain)?.Length.Clock() ?? "0:00";
}
