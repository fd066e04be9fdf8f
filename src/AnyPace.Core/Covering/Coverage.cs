using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Covering;

/// <summary>How long a session is, in whole minutes. One that takes an edge to the second counts on both sides, as it does in Find.</summary>
/// <param name="To">Null for any length from <paramref name="From"/> on.</param>
public sealed record TimeBand(int From, int? To)
{
    /// <summary>Ours: what members say they have, a break, a lunch, an evening.</summary>
    public static readonly ImmutableArray<TimeBand> All = [new(0, 10), new(10, 15), new(15, 20), new(20, 30), new(30, 45), new(45, null)];

    public string Words => (From, To) switch
    {
        (0, { } to) => $"up to {to} minutes",
        (_, { } to) => $"{From} to {to} minutes",
        _ => $"{From} minutes and more",
    };

    public FindQuery Narrow(FindQuery query) => query with { MinMinutes = From == 0 ? null : From, MaxMinutes = To };

    public bool Holds(Seconds needed) => needed.Value >= From * 60 && (To is not { } to || needed.Value <= to * 60);
}

/// <summary>One kind of session, with how many members find of it.</summary>
/// <param name="Query">What finds just these; null where Find has no such filter.</param>
/// <param name="Aim">How many there should be, 1 and more.</param>
public sealed record CoverageCell(FindQuery? Query, int Count, int Aim)
{
    public bool IsThin => Count < Aim;

    /// <summary>How far below the aim it is: 0 where the aim is met, 1 where there is none.</summary>
    public double Lack => Math.Max(0, Aim - Count) / (double)Aim;
}

/// <summary>Sessions by how long they are and by a facet.</summary>
/// <param name="Rows">The cells of each time band, in the order of the facet's values.</param>
public sealed record CoverageGrid(Facet Across, ImmutableArray<(TimeBand Band, ImmutableArray<CoverageCell> Cells)> Rows)
{
    public CoverageCell At(TimeBand band, string value) => Rows.First(r => r.Band == band).Cells[Across.Order.IndexOf(value)];
}

/// <summary>Sessions by one thing, such as the muscles they work mostly.</summary>
public sealed record CoverageList(string Title, ImmutableArray<(string Name, CoverageCell Cell)> Lines)
{
    public int Thin => Lines.Count(l => l.Cell.IsThin);
}

/// <summary>
/// What the published library has, where it is thin, and what to record next, at one pace. It speaks of sessions alone: what members say of themselves is
/// private and is not counted.
/// </summary>
/// <param name="Next">Recordings that would fill most, the best first; five at most.</param>
public sealed record Coverage(
    int Sessions, Pace Pace, int Aim, CoverageGrid ByImpact, CoverageGrid ByLevel, ImmutableArray<CoverageList> Lists, ImmutableArray<WantedSession> Next)
{
    public const int DefaultAim = 2;

    /// <summary>Nobody plans for more of one kind than this.</summary>
    public const int LargestAim = 50;

    /// <param name="aim">How many of each kind there should be, 1 to <see cref="LargestAim"/>.</param>
    /// <param name="drafts">What is taken in and not yet published.</param>
    /// <exception cref="ArgumentOutOfRangeException">An aim outside that range.</exception>
    public static Coverage Of(CatalogueSnapshot library, MoveLexicon lexicon, Pace pace, int aim, IReadOnlyList<Draft> drafts)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(aim, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(aim, LargestAim);
        var all = FindQuery.Everything with { Pace = pace };
        CoverageCell Counted(FindQuery query) => new(query, library.CountOf(query), aim);
        CoverageGrid Grid(Facet facet) => new(
            facet, [.. TimeBand.All.Select(band => (band, facet.Order.Select(v => Counted(band.Narrow(all).With(facet, [v]))).ToImmutableArray()))]);
        CoverageList List(string title, params IEnumerable<(Facet Facet, string Value)> values) =>
            new(title, [.. values.Select(v => (v.Facet.Word(v.Value), Counted(all.With(v.Facet, [v.Value]))))]);
        IEnumerable<(Facet, string)> Each(Facet facet) => facet.Order.Select(v => (facet, v));

        var (byImpact, byLevel) = (Grid(Facet.ImpactClass), Grid(Facet.Level));
        var focus = List("Works mostly", Each(Facet.Focus));
        var kit = KitNeeded(library, all, aim);
        ImmutableArray<CoverageList> lists =
        [
            focus,
            kit,
            List("Structure", Each(Facet.StructureType)),
            List("For members who need", [.. Each(Facet.Without), (Facet.NoiseMade, "quiet"), (Facet.Space, "mat"), (Facet.Ear, "yes"), .. Each(Facet.Whole)]),
            List("Spares, 20 s at most", Each(Facet.Strains)),
        ];
        return new Coverage(
            library.Count, pace, aim, byImpact, byLevel, lists,
            library.Count == 0 ? [] : new RecordNext(library, lexicon, byImpact, byLevel, focus, kit, drafts).Best());
    }

    /// <summary>What a session requires. A mat is no limit, as in matching.</summary>
    private static CoverageList KitNeeded(CatalogueSnapshot library, FindQuery all, int aim)
    {
        var bare = all with { Kit = ["mat"] };
        var counts = library.Rows.SelectMany(r => r.Kit).Where(k => k.Item != "mat").CountBy(k => k.Item).OrderByDescending(k => k.Value).ThenBy(k => k.Key, StringComparer.Ordinal);
        return new CoverageList(
            "Kit it needs",
            [("nothing but a mat", new CoverageCell(bare, library.CountOf(bare), aim)), .. counts.Select(k => (k.Key, new CoverageCell(null, k.Value, aim)))]);
    }
}
