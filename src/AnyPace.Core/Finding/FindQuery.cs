using System.Collections.Immutable;
using System.Globalization;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>How results are put in order.</summary>
public enum FindSort
{
    Newest,
    Shortest,
    Easiest,
    Hardest,

    /// <summary>By how well they fit the member's profile; for a member without one, newest first.</summary>
    Fit,
}

/// <summary>
/// What a member looks for. Everything is judged at <see cref="Pace"/>; a facet without a chosen value does not limit. Values of a facet widen or narrow
/// as <see cref="Facet.Joins"/> says; facets narrow each other.
/// </summary>
/// <param name="MinMinutes">Time needed, inclusive, 0..600.</param>
/// <param name="Kit">What the member has: sessions that require anything else drop out. Empty: not asked; <see cref="NoKit"/> alone: bare floor.</param>
/// <param name="Page">From 1.</param>
public sealed record FindQuery(
    Pace Pace, int? MinMinutes, int? MaxMinutes, ImmutableSortedDictionary<string, ImmutableSortedSet<string>> Chosen, ImmutableSortedSet<string> Kit, string Words,
    FindSort Sort, int Page)
{
    /// <summary>Stands in the kit facet for owning nothing.</summary>
    public const string NoKit = "none";

    /// <summary>Nobody pages further; a link that does is cut here.</summary>
    public const int LastPage = 200;

    /// <summary>Words are cut at this length.</summary>
    public const int WordsMost = 80;

    public static readonly FindQuery Everything = new(Pace.AsLed, null, null, ImmutableSortedDictionary<string, ImmutableSortedSet<string>>.Empty, [], "", FindSort.Newest, 1);

    /// <summary>True where nothing narrows it.</summary>
    public bool IsEmpty => this is { MinMinutes: null, MaxMinutes: null, Chosen.Count: 0, Kit.Count: 0, Words: "" };

    public ImmutableSortedSet<string> Of(Facet facet) => Chosen.GetValueOrDefault(facet.Key) ?? [];

    public FindQuery With(Facet facet, IEnumerable<string> values) => values.ToImmutableSortedSet(StringComparer.Ordinal) is { Count: > 0 } set
        ? this with { Chosen = Chosen.SetItem(facet.Key, set), Page = 1 }
        : this with { Chosen = Chosen.Remove(facet.Key), Page = 1 };

    /// <summary>With one value more, or without it where it is chosen.</summary>
    public FindQuery Toggle(Facet facet, string value) => With(facet, Of(facet).Contains(value) ? Of(facet).Remove(value) : Of(facet).Add(value));

    /// <summary>Reads the query part of a URL; what can't be understood is left out, as links outlive programs.</summary>
    public static FindQuery Parse(IEnumerable<KeyValuePair<string, string>> pairs)
    {
        var query = Everything;
        var page = 1;
        foreach (var (key, value) in pairs)
        {
            if (Facet.All.FirstOrDefault(f => f.Key == key) is { } facet)
            {
                if (facet.Order.IsEmpty ? value.Length is > 0 and <= 80 : facet.Order.Contains(value))
                {
                    query = query.With(facet, query.Of(facet).Add(value));
                }

                continue;
            }

            query = key switch
            {
                "pace" => query with { Pace = Paces.Parse(value) },
                "from" when Minutes(value) is { } m => query with { MinMinutes = m },
                "to" when Minutes(value) is { } m => query with { MaxMinutes = m },
                "kit" when value.Length is > 0 and <= 40 => query with { Kit = query.Kit.Add(value) },
                "words" => query with { Words = value.Trim() is { Length: > WordsMost } w ? w[..WordsMost] : value.Trim() },
                "sort" when Enum.TryParse<FindSort>(value, true, out var s) && Enum.IsDefined(s) => query with { Sort = s },
                _ => query,
            };
            if (key == "page" && int.TryParse(value, NumberStyles.None, CultureInfo.InvariantCulture, out var p) && p is >= 1 and <= LastPage)
            {
                page = p;
            }
        }

        query = query with { Page = page };
        return query.MinMinutes > query.MaxMinutes ? query with { MinMinutes = query.MaxMinutes, MaxMinutes = query.MinMinutes } : query;
    }

    /// <summary>The query part of a URL that <see cref="Parse"/> reads back to the same.</summary>
    public string ToQueryString()
    {
        var parts = new List<string>();
        void Add(string key, string value) => parts.Add($"{key}={Uri.EscapeDataString(value)}");
        if (Pace != Pace.AsLed)
        {
            Add("pace", Pace.Key());
        }

        if (MinMinutes is { } from)
        {
            Add("from", from.ToString(CultureInfo.InvariantCulture));
        }

        if (MaxMinutes is { } to)
        {
            Add("to", to.ToString(CultureInfo.InvariantCulture));
        }

        foreach (var facet in Facet.All)
        {
            foreach (var value in Of(facet))
            {
                Add(facet.Key, value);
            }
        }

        foreach (var k in Kit)
        {
            Add("kit", k);
        }

        if (Words.Length > 0)
        {
            Add("words", Words);
        }

        if (Sort != FindSort.Newest)
        {
            Add("sort", Sort.ToString().ToLowerInvariant());
        }

        if (Page > 1)
        {
            Add("page", Page.ToString(CultureInfo.InvariantCulture));
        }

        return parts.Count == 0 ? "" : "?" + string.Join('&', parts);
    }

    private static int? Minutes(string value) =>
        int.TryParse(value, NumberStyles.None, CultureInfo.InvariantCulture, out var m) && m is >= 0 and <= 600 ? m : null;
}
