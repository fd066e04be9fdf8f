using System.Collections.Immutable;
using System.Globalization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>How results are put in order.</summary>
public enum FindSort
{
    Newest,
    Shortest,
    Easiest,
}

/// <summary>
/// What a member looks for. Everything is judged at <paramref name="Pace"/>; an empty set means that the facet does not limit.
/// Values within a facet widen, facets narrow; kit and muscles to spare are the exceptions that their names say.
/// </summary>
/// <param name="Kit">What the member has: sessions that require anything else drop out. Empty: not asked; "none" alone: bare floor.</param>
/// <param name="MinMinutes">Time needed, inclusive.</param>
public sealed record FindQuery(
    Pace Pace,
    int? MinMinutes,
    int? MaxMinutes,
    ImmutableSortedSet<Impact> Impact,
    ImmutableSortedSet<int> Level,
    ImmutableSortedSet<string> Focus,
    ImmutableSortedSet<string> Kit,
    string Words,
    FindSort Sort)
{
    /// <summary>Stands in the kit facet for owning nothing.</summary>
    public const string NoKit = "none";

    public static readonly FindQuery Everything = new(Pace.AsLed, null, null, [], [], [], [], "", FindSort.Newest);

    public bool IsEmpty => this with { Pace = Pace.AsLed, Sort = FindSort.Newest } is { MinMinutes: null, MaxMinutes: null, Impact.Count: 0, Level.Count: 0, Focus.Count: 0, Kit.Count: 0, Words: "" };

    /// <summary>Reads the query part of a URL; what can't be understood is left out, as links outlive programs.</summary>
    public static FindQuery Parse(IEnumerable<KeyValuePair<string, string>> pairs)
    {
        var query = Everything;
        foreach (var (key, value) in pairs)
        {
            query = key switch
            {
                "pace" => query with { Pace = Paces.Parse(value) },
                "from" when Minutes(value) is { } m => query with { MinMinutes = m },
                "to" when Minutes(value) is { } m => query with { MaxMinutes = m },
                "impact" when Enum.TryParse<Impact>(value, true, out var i) && Enum.IsDefined(i) => query with { Impact = query.Impact.Add(i) },
                "level" when int.TryParse(value, CultureInfo.InvariantCulture, out var l) && l is >= 1 and <= 5 => query with { Level = query.Level.Add(l) },
                "focus" when Vocabulary.Muscles.Contains(value) => query with { Focus = query.Focus.Add(value) },
                "kit" when value.Length is > 0 and <= 40 => query with { Kit = query.Kit.Add(value) },
                "words" => query with { Words = value.Trim() is { Length: > 80 } w ? w[..80] : value.Trim() },
                "sort" when Enum.TryParse<FindSort>(value, true, out var s) && Enum.IsDefined(s) => query with { Sort = s },
                _ => query,
            };
        }

        return query;
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

        foreach (var i in Impact)
        {
            Add("impact", i.Key());
        }

        foreach (var l in Level)
        {
            Add("level", l.ToString(CultureInfo.InvariantCulture));
        }

        foreach (var f in Focus)
        {
            Add("focus", f);
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

        return parts.Count == 0 ? "" : "?" + string.Join('&', parts);
    }

    private static int? Minutes(string value) =>
        int.TryParse(value, NumberStyles.None, CultureInfo.InvariantCulture, out var m) && m is >= 0 and <= 600 ? m : null;
}
