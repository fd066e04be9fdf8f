using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>One value of a facet with what choosing it would give.</summary>
/// <param name="Count">Sessions that would be found with this value chosen and all other facets as they are.</param>
public sealed record FacetValue<T>(T Value, int Count, bool Chosen);

/// <summary>A bar of the time histogram: sessions that need from..to minutes, under all other facets.</summary>
public sealed record TimeBar(int FromMinutes, int ToMinutes, int Count, bool Inside);

/// <summary>A way to loosen a query that finds nothing.</summary>
public sealed record Relaxation(string Text, FindQuery Query, int Count);

/// <summary>What a query gives.</summary>
public sealed record FindResult(
    ImmutableArray<CatalogueEntry> Found,
    ImmutableArray<FacetValue<Impact>> Impact,
    ImmutableArray<FacetValue<int>> Level,
    ImmutableArray<FacetValue<string>> Focus,
    ImmutableArray<FacetValue<string>> Kit,
    ImmutableArray<TimeBar> Time,
    ImmutableArray<Relaxation> Relaxations);

/// <summary>The published library at one moment; immutable, so that any number of requests share it.</summary>
public sealed class CatalogueSnapshot(IEnumerable<CatalogueEntry> entries, MoveLexicon lexicon)
{
    /// <summary>Width of a histogram bar in minutes, and how many there are; the last takes all that is longer.</summary>
    public const int BarMinutes = 5;
    private const int Bars = 12;

    public static readonly CatalogueSnapshot Empty = new([], MoveLexicon.Default);

    public ImmutableArray<CatalogueEntry> Entries { get; } = [.. entries.OrderByDescending(e => e.PublishedAt)];

    public CatalogueEntry? Entry(Guid id) => Entries.FirstOrDefault(e => e.Id == id);

    /// <summary>Kit items that some session requires, in order of use.</summary>
    private IEnumerable<string> KitInUse => Entries.SelectMany(e => e.RequiredKit).GroupBy(k => k).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).Select(g => g.Key);

    public FindResult Find(FindQuery query)
    {
        var found = Matching(query);
        return new FindResult(
            Sorted(found, query),
            [.. Enum.GetValues<Impact>().Select(v => new FacetValue<Impact>(v, Count(query with { Impact = [v] }), query.Impact.Contains(v)))],
            [.. Enumerable.Range(1, 5).Select(v => new FacetValue<int>(v, Count(query with { Level = [v] }), query.Level.Contains(v)))],
            [
                .. Vocabulary.Muscles
                    .Select(v => new FacetValue<string>(v, Count(query with { Focus = [v] }), query.Focus.Contains(v)))
                    .Where(f => f.Chosen || Entries.Any(e => e.Measures.At(query.Pace).Focus.Contains(f.Value))),
            ],
            [
                .. KitInUse.Union(query.Kit).Where(v => v != FindQuery.NoKit)
                    .Select(v => new FacetValue<string>(v, Count(query with { Kit = query.Kit.Remove(FindQuery.NoKit).Add(v) }), query.Kit.Contains(v)))
                    .Append(new FacetValue<string>(FindQuery.NoKit, Count(query with { Kit = [FindQuery.NoKit] }), query.Kit.Contains(FindQuery.NoKit))),
            ],
            Histogram(query),
            found.Count == 0 ? Relax(query) : []);
    }

    private int Count(FindQuery query) => Entries.Count(e => Fits(e, query));

    private List<CatalogueEntry> Matching(FindQuery query) => [.. Entries.Where(e => Fits(e, query))];

    private bool Fits(CatalogueEntry entry, FindQuery query)
    {
        var sheet = entry.Measures.At(query.Pace);
        var minutes = sheet.Time.Needed.Minutes;
        return (query.MinMinutes is null || minutes >= query.MinMinutes)
            && (query.MaxMinutes is null || minutes <= query.MaxMinutes)
            && (query.Impact.IsEmpty || query.Impact.Contains(sheet.Impact.Class))
            && (query.Level.IsEmpty || query.Level.Contains(sheet.Difficulty.Level))
            && (query.Focus.IsEmpty || query.Focus.Any(sheet.Focus.Contains))
            && (query.Kit.IsEmpty || !entry.Lacking(query.Kit).Any())
            && (query.Words.Length == 0 || Says(entry, query.Words));
    }

    /// <summary>Every word asked for begins a word of the title, the coach or a move.</summary>
    private bool Says(CatalogueEntry entry, string words)
    {
        var text = string.Join(' ', entry.Timeline.Bouts.Select(b => lexicon[b.MoveId].Name).Distinct().Prepend(entry.Coach).Prepend(entry.Title));
        var stems = text.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries).Select(WordStem.Of).ToHashSet();
        return words.Split([' ', '-'], StringSplitOptions.RemoveEmptyEntries)
            .All(w => stems.Any(s => s.StartsWith(WordStem.Of(w), StringComparison.Ordinal)));
    }

    private static ImmutableArray<CatalogueEntry> Sorted(List<CatalogueEntry> found, FindQuery query) => query.Sort switch
    {
        FindSort.Shortest => [.. found.OrderBy(e => e.Measures.At(query.Pace).Time.Needed)],
        FindSort.Easiest => [.. found.OrderBy(e => e.Measures.At(query.Pace).Difficulty.Score)],
        _ => [.. found],
    };

    private ImmutableArray<TimeBar> Histogram(FindQuery query)
    {
        var open = query with { MinMinutes = null, MaxMinutes = null };
        var minutes = Entries.Where(e => Fits(e, open)).Select(e => e.Measures.At(query.Pace).Time.Needed.Minutes).ToList();
        return
        [
            .. Enumerable.Range(0, Bars).Select(i =>
            {
                var from = i * BarMinutes;
                var last = i == Bars - 1;
                return new TimeBar(
                    from, from + BarMinutes, minutes.Count(m => m >= from && (last || m < from + BarMinutes)),
                    (query.MinMinutes is null || from >= query.MinMinutes) && (query.MaxMinutes is null || from + BarMinutes <= query.MaxMinutes));
            }),
        ];
    }

    private ImmutableArray<Relaxation> Relax(FindQuery query)
    {
        var ways = new List<Relaxation>();
        void Try(bool set, string text, FindQuery relaxed)
        {
            if (set && Count(relaxed) is > 0 and var n)
            {
                ways.Add(new Relaxation(text, relaxed, n));
            }
        }

        Try(query.MaxMinutes is not null, $"up to {query.MaxMinutes + 5} minutes", query with { MaxMinutes = query.MaxMinutes + 5 });
        Try(query.MinMinutes is not null || query.MaxMinutes is not null, "any length", query with { MinMinutes = null, MaxMinutes = null });
        Try(!query.Impact.IsEmpty, "any impact", query with { Impact = [] });
        Try(!query.Level.IsEmpty, "any level", query with { Level = [] });
        Try(!query.Focus.IsEmpty, "any muscles", query with { Focus = [] });
        Try(!query.Kit.IsEmpty, "any kit", query with { Kit = [] });
        Try(query.Words.Length > 0, $"without \"{query.Words}\"", query with { Words = "" });
        Try(query.Pace != Pace.Eased, "at Ease", query with { Pace = Pace.Eased });
        return [.. ways.OrderBy(w => w.Count).Take(4)];
    }
}
