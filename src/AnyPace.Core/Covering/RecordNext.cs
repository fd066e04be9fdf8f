using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Covering;

/// <summary>A session that is taken in and not yet published, as it measures at the pace asked for.</summary>
public sealed record Draft(Guid Id, string Title, MeasureSheet Sheet);

/// <summary>A recording that the library lacks.</summary>
/// <param name="Focus">A muscle, or <see cref="Facet.FullBody"/>: of those that suit and are not wished for yet, what the fewest sessions work mostly.</param>
/// <param name="Kit">What it should need; null where that is of no matter, <see cref="FindQuery.NoKit"/> for nothing but a mat.</param>
/// <param name="Moves">Up to three moves for it, those with the kit first, then those that no published session does.</param>
/// <param name="Why">The thin places it fills.</param>
/// <param name="Drafts">Drafts of that length, impact and level: to publish one may be quicker than to record.</param>
public sealed record WantedSession(
    TimeBand Band, Impact Impact, int Level, string Focus, string? Kit, ImmutableArray<Move> Moves, ImmutableArray<(string Name, CoverageCell Cell)> Why, ImmutableArray<Draft> Drafts)
{
    /// <summary>What is there of that length and impact.</summary>
    public FindQuery Near(Pace pace) => Band.Narrow(FindQuery.Everything with { Pace = pace }).With(Facet.ImpactClass, [Impact.Key()]);
}

/// <summary>
/// Which recordings would fill most. One after the other is chosen, and counted as if it were there. A place weighs by how far it is below the aim and by how usual
/// its length and its kind are in the library: what nobody does at any length is rarely what members wait for.
/// </summary>
internal sealed class RecordNext
{
    private const int Most = 5;

    /// <summary>Levels that go with an impact class. Ours: a class of jumps is not for beginners, nor is one lying down the hardest.</summary>
    private static readonly ImmutableArray<(Impact Impact, int Low, int High)> Plausible = [(Impact.None, 1, 4), (Impact.Low, 1, 5), (Impact.Moderate, 2, 5), (Impact.High, 3, 5)];

    /// <summary>Small muscles that no class is recorded for.</summary>
    private static readonly ImmutableHashSet<string> NeverFocus = ["neck", "forearms", "hip flexors"];

    /// <summary>What every home has: no class is recorded for its sake.</summary>
    private static readonly ImmutableHashSet<string> AtHand = ["towel", "wall", "chair", "water bottle", "cushion", "blanket", "broomstick"];

    private readonly MoveLexicon _lexicon;
    private readonly CoverageGrid _byImpact;
    private readonly CoverageGrid _byLevel;
    private readonly CoverageList _kit;
    private readonly CoverageList _focus;
    private readonly IReadOnlyList<Draft> _drafts;
    private readonly HashSet<string> _done;

    /// <summary>How often a place was filled by the wishes so far.</summary>
    private readonly Dictionary<CoverageCell, int> _planned = new(ReferenceEqualityComparer.Instance);

    public RecordNext(
        CatalogueSnapshot library, MoveLexicon lexicon, CoverageGrid byImpact, CoverageGrid byLevel, CoverageList focus, CoverageList kit, IReadOnlyList<Draft> drafts)
    {
        (_lexicon, _byImpact, _byLevel, _focus, _kit, _drafts) = (lexicon, byImpact, byLevel, focus, kit, drafts);
        _done = [.. library.Rows.SelectMany(r => r.Segment.Moves(r.Row))];
    }

    public ImmutableArray<WantedSession> Best()
    {
        var best = ImmutableArray.CreateBuilder<WantedSession>();
        while (best.Count < Most && Next() is { } wanted)
        {
            best.Add(wanted);
            foreach (var cell in wanted.Why.Select(w => w.Cell).Append(_focus.Lines.First(l => l.Name == wanted.Focus).Cell).ToHashSet<CoverageCell>(ReferenceEqualityComparer.Instance))
            {
                _planned[cell] = _planned.GetValueOrDefault(cell) + 1;
            }
        }

        return best.ToImmutable();
    }

    /// <summary>Null where nothing that could be recorded is thin.</summary>
    private WantedSession? Next()
    {
        var (band, impact, level) = Kinds().MaxBy(k => Worth(_byImpact, k.Band, k.Impact.Key()) + Worth(_byLevel, k.Band, $"{k.Level}"));
        var (muscle, focus) = _focus.Lines.Where(l => Suits(l.Name, impact)).MinBy(l => (_planned.GetValueOrDefault(l.Cell), l.Cell.Count));
        var kit = _kit.Lines.Where(l => l == _kit.Lines[0] || (!AtHand.Contains(l.Name) && Moves(muscle, impact).Any(m => m.Kit.Contains(l.Name)))).MaxBy(l => Lack(l.Cell));
        ImmutableArray<(string Name, CoverageCell Cell)> places =
        [
            ($"{impact.Word()}, {band.Words}", _byImpact.At(band, impact.Key())),
            ($"level {level}, {band.Words}", _byLevel.At(band, $"{level}")),
            ($"mostly {muscle}", focus),
            ($"needs {kit.Name}", kit.Cell),
        ];
        ImmutableArray<(string Name, CoverageCell Cell)> why = [.. places.Where(p => Lack(p.Cell) > 0)];
        if (why.IsEmpty)
        {
            return null;
        }

        var needs = Lack(kit.Cell) > 0 ? kit.Name == _kit.Lines[0].Name ? FindQuery.NoKit : kit.Name : null;
        return new WantedSession(
            band, impact, level, muscle, needs, MovesFor(muscle, impact, needs), why,
            [.. _drafts.Where(d => band.Holds(d.Sheet.Time.Needed) && d.Sheet.Impact.Class == impact && d.Sheet.Difficulty.Level == level)]);
    }

    private static IEnumerable<(TimeBand Band, Impact Impact, int Level)> Kinds() =>
        from band in TimeBand.All
        from kind in Plausible
        from level in Enumerable.Range(kind.Low, kind.High - kind.Low + 1)
        select (band, kind.Impact, level);

    /// <summary>The lack of a place, 0 to 1, with what has been chosen before counted in.</summary>
    private double Lack(CoverageCell cell) => (cell with { Count = cell.Count + _planned.GetValueOrDefault(cell) }).Lack;

    /// <summary>Lack times how many sessions would be expected there if length and kind had nothing to do with each other; one more in each row and column, so that an empty one weighs something.</summary>
    private double Worth(CoverageGrid grid, TimeBand band, string value)
    {
        var column = grid.Across.Order.IndexOf(value);
        var inRow = grid.Rows.First(r => r.Band == band).Cells.Sum(c => c.Count) + 1;
        var inColumn = grid.Rows.Sum(r => r.Cells[column].Count) + 1;
        return Lack(grid.At(band, value)) * inRow * inColumn;
    }

    /// <summary>Jumps and hops are leg work: what leads them is below the waist, the trunk, or everything.</summary>
    private static bool Suits(string focus, Impact impact) => focus == Facet.FullBody
        || (!NeverFocus.Contains(focus) && (impact < Impact.Moderate || focus == "abs" || Vocabulary.LowerBody.Contains(focus)));

    private IEnumerable<Move> Moves(string focus, Impact impact) =>
        _lexicon.Moves.Where(m => (focus == Facet.FullBody ? m.Parts.Length > 0 : m.Prime.Contains(focus)) && m.Impact <= impact && !m.IsGentle);

    private ImmutableArray<Move> MovesFor(string focus, Impact impact, string? kit) =>
    [
        .. Moves(focus, impact)
            .Where(m => m.Kit.All(k => k == "mat" || k == kit || (kit is null && _kit.Lines.Any(l => l.Name == k))))
            .OrderByDescending(m => m.Kit.Any(k => k == kit))
            .ThenBy(m => _done.Contains(m.Id))
            .ThenByDescending(m => m.Common)
            .ThenBy(m => m.Name, StringComparer.Ordinal)
            .Take(3),
    ];
}
