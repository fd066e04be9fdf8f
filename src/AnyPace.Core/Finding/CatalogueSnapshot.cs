using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>One value of a facet with what choosing it would give.</summary>
/// <param name="Count">Sessions that have it under all other facets; for facets whose values narrow, under all that is chosen.</param>
public sealed record FacetValue(string Value, int Count, bool Chosen);

/// <summary>A facet's values, those of the closed list in its order, others by count.</summary>
public sealed record FacetResult(Facet Facet, ImmutableArray<FacetValue> Values);

/// <summary>A bar of the time histogram: sessions that need from..to minutes, under all other facets.</summary>
public sealed record TimeBar(int FromMinutes, int ToMinutes, int Count, bool Inside);

/// <summary>A way to loosen a query that finds nothing.</summary>
public sealed record Relaxation(string Text, FindQuery Query, int Count);

/// <summary>What a query gives.</summary>
/// <param name="Total">All that fit; <paramref name="Found"/> is one page of them.</param>
public sealed record FindResult(
    int Total, ImmutableArray<SessionRow> Found, ImmutableArray<FacetResult> Facets, ImmutableArray<FacetValue> Kit, ImmutableArray<TimeBar> Time, ImmutableArray<Relaxation> Relaxations)
{
    public FacetResult Of(Facet facet) => Facets.First(f => f.Facet == facet);
}

/// <summary>A session's place in the snapshot, with what can be read of it there.</summary>
public readonly record struct SessionRow(Segment Segment, int Row)
{
    public Guid Id => Segment.Ids[Row];

    public string Title => Segment.Titles[Row];

    public string Coach => Segment.Coach(Row);

    public ImmutableArray<KitRequirement> Kit => Segment.Kit(Row);

    public PaceColumns At(Pace pace) => Segment.Columns[(int)pace];
}

/// <summary>
/// The published library at one moment; immutable, so that any number of requests share it. It is made of segments: a large one from the last full
/// read, and a small one with what was published since; a bit a row says what still stands.
/// </summary>
public sealed class CatalogueSnapshot
{
    /// <summary>Width of a histogram bar in minutes, and how many there are; the last takes all that is longer.</summary>
    public const int BarMinutes = 5;
    public const int Bars = 18;

    /// <summary>Rows on a page: three or four screens of a phone, and a page stays light.</summary>
    public const int PageRows = 12;

    public static readonly CatalogueSnapshot Empty = new([], MoveLexicon.Default);

    private readonly ImmutableArray<(Segment Segment, ulong[] Live)> _parts;
    private readonly ImmutableDictionary<Guid, Listing> _since;
    private readonly MoveLexicon _lexicon;

    public CatalogueSnapshot(IEnumerable<Listing> listings, MoveLexicon lexicon)
        : this(new Segment(listings) is var base0 ? [(base0, Bits.All(base0.Rows))] : [], ImmutableDictionary<Guid, Listing>.Empty, lexicon)
    {
    }

    private CatalogueSnapshot(ImmutableArray<(Segment, ulong[])> parts, ImmutableDictionary<Guid, Listing> since, MoveLexicon lexicon)
    {
        (_parts, _since, _lexicon) = (parts, since, lexicon);
        Count = _parts.Sum(p => Bits.Count(p.Live));
    }

    /// <summary>Sessions in the library.</summary>
    public int Count { get; }

    /// <summary>Changes since the last full read; a caller rebuilds when they grow many.</summary>
    public int Changes => _since.Count;

    /// <summary>All rows that stand, newest of each segment first.</summary>
    public IEnumerable<SessionRow> Rows => _parts.SelectMany(p => Enumerable.Range(0, p.Segment.Rows).Where(r => Bits.Has(p.Live, r)).Select(r => new SessionRow(p.Segment, r)));

    internal ImmutableArray<(Segment Segment, ulong[] Live)> Parts => _parts;

    public SessionRow? Row(Guid id)
    {
        foreach (var (segment, live) in _parts)
        {
            if (segment.RowOf(id) is { } row && Bits.Has(live, row))
            {
                return new SessionRow(segment, row);
            }
        }

        return null;
    }

    /// <summary>The snapshot after one session was published, changed or withdrawn (null).</summary>
    public CatalogueSnapshot With(Guid id, Listing? listing)
    {
        var since = listing is null ? _since.Remove(id) : _since.SetItem(id, listing);
        var (large, live) = _parts[0];
        if (large.RowOf(id) is { } row && Bits.Has(live, row))
        {
            live = [.. live];
            live[row >> 6] &= ~(1UL << (row & 63));
        }

        var small = new Segment(since.Values);
        return new CatalogueSnapshot([(large, live), (small, Bits.All(small.Rows))], since, _lexicon);
    }

    /// <param name="fit">For <see cref="FindSort.Fit"/>: how well a row fits the member, any scale, more is better.</param>
    /// <param name="rows">Rows on a page.</param>
    public FindResult Find(FindQuery query, Func<SessionRow, float>? fit = null, int rows = PageRows)
    {
        var answers = _parts.Select(p => new SegmentAnswer(p.Segment, p.Live, query, _lexicon)).ToList();
        var total = answers.Sum(a => a.Total);
        var facets = Facet.All.Select(f => new FacetResult(f, Values(answers, f, query))).ToImmutableArray();
        return new FindResult(
            total, Page(answers, query, fit, rows), facets, KitValues(answers, query), Histogram(answers, query),
            total == 0 && Count > 0 ? Relax(query, answers) : []);
    }

    /// <summary>How many a query gives, without anything else.</summary>
    public int CountOf(FindQuery query) => _parts.Sum(p => new SegmentAnswer(p.Segment, p.Live, query, _lexicon).Total);

    private static ImmutableArray<FacetValue> Values(List<SegmentAnswer> answers, Facet facet, FindQuery query)
    {
        var chosen = query.Of(facet);
        if (!facet.Order.IsEmpty)
        {
            return [.. facet.Order.Select(v => new FacetValue(v, answers.Sum(a => a.CountOf(facet, v)), chosen.Contains(v)))];
        }

        var counts = new Dictionary<string, int>();
        foreach (var (value, count) in answers.SelectMany(a => a.OpenCounts(facet)).Concat(chosen.Select(c => (c, 0))))
        {
            counts[value] = counts.GetValueOrDefault(value) + count;
        }

        return [.. counts.Select(c => new FacetValue(c.Key, c.Value, chosen.Contains(c.Key))).OrderByDescending(v => v.Count).ThenBy(v => v.Value, StringComparer.Ordinal)];
    }

    private static ImmutableArray<FacetValue> KitValues(List<SegmentAnswer> answers, FindQuery query)
    {
        var needs = answers.SelectMany(a => a.KitCounts).ToList();
        int Fitting(ImmutableSortedSet<string> kit) => needs.Where(n => Segment.IsDoable(n.Requirements, kit)).Sum(n => n.Count);
        var owned = query.Kit.Remove(FindQuery.NoKit);
        return
        [
            .. answers.SelectMany(a => a.Segment.KitItems).Concat(owned).Distinct()
                .Select(item => new FacetValue(item, Fitting(owned.Add(item)), owned.Contains(item)))
                .OrderByDescending(v => v.Count).ThenBy(v => v.Value, StringComparer.Ordinal)
                .Append(new FacetValue(FindQuery.NoKit, Fitting([]), query.Kit.Contains(FindQuery.NoKit))),
        ];
    }

    private static ImmutableArray<TimeBar> Histogram(List<SegmentAnswer> answers, FindQuery query)
    {
        var bars = new int[Bars];
        foreach (var answer in answers)
        {
            for (var i = 0; i < Bars; i++)
            {
                bars[i] += answer.Minutes[i];
            }
        }

        return
        [
            .. bars.Select((n, i) => new TimeBar(
                i * BarMinutes, (i + 1) * BarMinutes, n,
                (query.MinMinutes is null || i * BarMinutes >= query.MinMinutes) && (query.MaxMinutes is null || (i + 1) * BarMinutes <= query.MaxMinutes))),
        ];
    }

    private static ImmutableArray<SessionRow> Page(List<SegmentAnswer> answers, FindQuery query, Func<SessionRow, float>? fit, int onPage)
    {
        var wanted = query.Page * onPage;
        if (query.Sort == FindSort.Fit && fit is not null)
        {
            var best = new PriorityQueue<SessionRow, float>();
            foreach (var answer in answers)
            {
                foreach (var row in Bits.Rows(answer.Result))
                {
                    var at = new SessionRow(answer.Segment, row);
                    var score = fit(at);
                    if (best.Count < wanted)
                    {
                        best.Enqueue(at, score);
                    }
                    else
                    {
                        best.EnqueueDequeue(at, score);
                    }
                }
            }

            var rows = new List<SessionRow>();
            while (best.TryDequeue(out var at, out _))
            {
                rows.Add(at);
            }

            rows.Reverse();
            return [.. rows.Skip(wanted - onPage)];
        }

        var key = Key(query);
        return [.. answers.SelectMany(a => a.First(query, wanted)).OrderBy(key).ThenByDescending(r => r.Segment.Published[r.Row]).Skip(wanted - onPage).Take(onPage)];
    }

    private static Func<SessionRow, long> Key(FindQuery query) => query.Sort switch
    {
        FindSort.Shortest => r => r.At(query.Pace).Needed[r.Row],
        FindSort.Easiest => r => r.At(query.Pace).Score[r.Row],
        FindSort.Hardest => r => -r.At(query.Pace).Score[r.Row],
        _ => r => -r.Segment.Published[r.Row],
    };

    /// <summary>
    /// The smallest steps that give something: a few minutes more, a gentler pace, one facet let go, its least part first; where no single step does, pairs of them.
    /// </summary>
    private ImmutableArray<Relaxation> Relax(FindQuery query, List<SegmentAnswer> answers)
    {
        const int shown = 4;
        query = query with { Page = 1 };
        var steps = Steps(query).ToList();
        var found = steps.Select(s => new Relaxation(s.Text, s.Change(query), CountOf(s.Change(query)))).Where(r => r.Count > 0).Take(shown).ToList();
        if (found.Count == 0)
        {
            found = [.. steps
                .SelectMany((a, i) => steps.Skip(i + 1).Select(b => (Text: $"{a.Text}, {b.Text}", Query: b.Change(a.Change(query)))))
                .DistinctBy(p => p.Query.ToQueryString())
                .Select(p => new Relaxation(p.Text, p.Query, CountOf(p.Query)))
                .Where(r => r.Count > 0)
                .Take(shown)];
        }

        return [.. found.DistinctBy(r => r.Query.ToQueryString())];
    }

    private static IEnumerable<(string Text, Func<FindQuery, FindQuery> Change)> Steps(FindQuery query)
    {
        if (query.MaxMinutes is { } most)
        {
            yield return ($"up to {most + BarMinutes} minutes", q => q with { MaxMinutes = most + BarMinutes });
        }

        if (query.MinMinutes is { } least && least > 0)
        {
            yield return ($"from {Math.Max(0, least - BarMinutes)} minutes", q => q with { MinMinutes = Math.Max(0, least - BarMinutes) });
        }

        if (query.Pace != Pace.Eased)
        {
            yield return ("at Ease", q => q with { Pace = Pace.Eased });
        }

        foreach (var facet in Facet.All.Reverse())
        {
            var chosen = query.Of(facet);
            if (facet.Joins == Joins.All && chosen.Count > 1)
            {
                foreach (var value in chosen)
                {
                    yield return ($"without \"{facet.Say([value])}\"", q => q.With(facet, q.Of(facet).Remove(value)));
                }
            }
            else if (chosen.Count > 0)
            {
                yield return ($"any {facet.Label.ToLowerInvariant()}", q => q.With(facet, []));
            }
        }

        if (!query.Kit.IsEmpty)
        {
            yield return ("any kit", q => q with { Kit = [] });
        }

        if (query.MinMinutes is not null || query.MaxMinutes is not null)
        {
            yield return ("any length", q => q with { MinMinutes = null, MaxMinutes = null });
        }

        if (query.Words.Length > 0)
        {
            yield return ($"without \"{query.Words}\"", q => q with { Words = "" });
        }
    }
}
