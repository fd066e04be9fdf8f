using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>A query put to one segment: the rows that fit, and for every facet the rows that fit all the others, from which its counts come.</summary>
internal sealed class SegmentAnswer
{
    /// <summary>Small words of a question that no session is asked for.</summary>
    private static readonly HashSet<string> Asides = ["with", "and", "or", "a", "an", "the", "some", "for", "of", "to", "in", "no", "my", "me", "i", "class", "session", "workout", "without"];

    private readonly FindQuery _query;

    /// <summary>By facet key, "time", "kit": the rows that all other limits leave.</summary>
    private readonly Dictionary<string, ulong[]> _others = [];

    public SegmentAnswer(Segment segment, ulong[] live, FindQuery query, MoveLexicon lexicon)
    {
        Segment = segment;
        _query = query;
        var masks = new List<(string Key, ulong[] Mask)>();
        foreach (var facet in Facet.All)
        {
            if (Mask(facet) is { } mask)
            {
                masks.Add((facet.Key, mask));
            }
        }

        if (query.MinMinutes is not null || query.MaxMinutes is not null)
        {
            masks.Add(("time", TimeMask()));
        }

        if (!query.Kit.IsEmpty)
        {
            masks.Add(("kit", segment.Doable(query.Kit)));
        }

        if (query.Words.Length > 0)
        {
            masks.Add(("words", WordMask(lexicon)));
        }

        // All masks but one, for every one: what stands before it and what stands after it.
        var before = new ulong[masks.Count + 1][];
        before[0] = live;
        for (var i = 0; i < masks.Count; i++)
        {
            before[i + 1] = [.. before[i]];
            Bits.And(before[i + 1], masks[i].Mask);
        }

        Result = before[masks.Count];
        Total = Bits.Count(Result);
        ulong[]? after = null;
        for (var i = masks.Count - 1; i >= 0; i--)
        {
            var others = before[i];
            if (after is not null)
            {
                others = [.. others];
                Bits.And(others, after);
                Bits.And(after, masks[i].Mask);
            }
            else
            {
                after = [.. masks[i].Mask];
            }

            _others[masks[i].Key] = others;
        }

        Minutes = new int[CatalogueSnapshot.Bars];
        var bars = segment.Columns[(int)query.Pace].Bar;
        foreach (var row in Bits.Rows(_others.GetValueOrDefault("time") ?? Result))
        {
            Minutes[bars[row]]++;
        }
    }

    public Segment Segment { get; }

    public ulong[] Result { get; }

    public int Total { get; }

    /// <summary>Rows by time needed, under all other limits, a bar each.</summary>
    public int[] Minutes { get; }

    public IEnumerable<(ImmutableArray<KitRequirement> Requirements, int Count)> KitCounts => Segment.KitCounts(_others.GetValueOrDefault("kit") ?? Result);

    public int CountOf(Facet facet, string value) => Segment.Set(facet, value, _query.Pace) is { } set
        ? Bits.CountBoth(set, facet.Joins == Joins.Any ? _others.GetValueOrDefault(facet.Key) ?? Result : Result)
        : 0;

    public IEnumerable<(string Value, int Count)> OpenCounts(Facet facet) => Segment.OpenCounts(facet, _others.GetValueOrDefault(facet.Key) ?? Result);

    /// <summary>The first rows in the order asked for.</summary>
    public IEnumerable<SessionRow> First(FindQuery query, int count)
    {
        var columns = Segment.Columns[(int)query.Pace];
        IEnumerable<int> order = query.Sort switch
        {
            FindSort.Shortest => columns.ByTime,
            FindSort.Easiest => columns.ByScore,
            FindSort.Hardest => columns.ByScore.AsEnumerable().Reverse(),
            _ => Newest(),
        };
        return order.Where(row => Bits.Has(Result, row)).Take(count).Select(row => new SessionRow(Segment, row));
    }

    private IEnumerable<int> Newest()
    {
        for (var row = 0; row < Segment.Rows; row++)
        {
            yield return row;
        }
    }

    private ulong[]? Mask(Facet facet)
    {
        var chosen = _query.Of(facet);
        if (chosen.IsEmpty)
        {
            return null;
        }

        if (facet.Order.IsEmpty)
        {
            return Segment.Open(facet, chosen);
        }

        var mask = facet.Joins == Joins.Any ? new ulong[Bits.WordsFor(Segment.Rows)] : Bits.All(Segment.Rows);
        foreach (var value in chosen)
        {
            var set = Segment.Set(facet, value, _query.Pace);
            if (facet.Joins == Joins.Any)
            {
                if (set is not null)
                {
                    Bits.Or(mask, set);
                }
            }
            else if (set is null)
            {
                Array.Clear(mask);
            }
            else
            {
                Bits.And(mask, set);
            }
        }

        return mask;
    }

    private ulong[] TimeMask()
    {
        var columns = Segment.Columns[(int)_query.Pace];
        var (from, to) = ((_query.MinMinutes ?? 0) * 60, (_query.MaxMinutes ?? int.MaxValue / 60) * 60);
        var set = new ulong[Bits.WordsFor(Segment.Rows)];

        // Rows in order of time: the wanted ones are one run of them.
        var order = columns.ByTime;
        for (var i = FirstFrom(order, columns.Needed, from); i < order.Length && columns.Needed[order[i]] <= to; i++)
        {
            Bits.Set(set, order[i]);
        }

        return set;
    }

    private static int FirstFrom(int[] order, ushort[] needed, int from)
    {
        var (low, high) = (0, order.Length);
        while (low < high)
        {
            var middle = (low + high) / 2;
            if (needed[order[middle]] < from)
            {
                low = middle + 1;
            }
            else
            {
                high = middle;
            }
        }

        return low;
    }

    /// <summary>Moves are known by any of their names, also misspelt; the words around them each begin a word of the title, coach or captions.</summary>
    private ulong[] WordMask(MoveLexicon lexicon)
    {
        var words = AliasIndex.Typed(_query.Words.ToLowerInvariant().Split([' ', '-', ',', '.', '"'], StringSplitOptions.RemoveEmptyEntries));
        var stems = words.Select(WordStem.Of).ToList();
        var set = Bits.All(Segment.Rows);
        for (var i = 0; i < words.Length; i++)
        {
            if (MoveAt(lexicon, words, stems, i) is var (move, length))
            {
                var doing = Segment.Words.Doing(move.Id);
                Bits.Or(doing, SayingAll(words.Skip(i).Take(length)));
                Bits.And(set, doing);
                i += length - 1;
            }
            else if (!Asides.Contains(words[i]))
            {
                Bits.And(set, Segment.Words.Saying(words[i]));
            }
        }

        return set;
    }

    private ulong[] SayingAll(IEnumerable<string> words)
    {
        var set = Bits.All(Segment.Rows);
        foreach (var word in words.Where(w => !Asides.Contains(w)))
        {
            Bits.And(set, Segment.Words.Saying(word, nearly: false));
        }

        return set;
    }

    private static (Move Move, int Length)? MoveAt(MoveLexicon lexicon, string[] words, List<string> stems, int start)
    {
        if (lexicon.Aliases.Longest(stems, start) is { } named)
        {
            return (named.Hit.Move, named.Length);
        }

        var misheard = lexicon.Aliases.Misheard(words, stems, t => t < start, _ => false).FirstOrDefault(m => m.Start == start);
        return misheard.Hit is { } hit ? (hit.Move, misheard.Length) : null;
    }
}
