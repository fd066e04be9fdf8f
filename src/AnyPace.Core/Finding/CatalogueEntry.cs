using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>A published session as members find it.</summary>
/// <param name="PublishedAt">For sorting by newest only.</param>
public sealed record CatalogueEntry(
    Guid Id, string Title, string Coach, DateTimeOffset PublishedAt, Timeline Timeline, SessionMeasures Measures)
{
    public static CatalogueEntry Of(Guid id, string title, string coach, DateTimeOffset publishedAt, Timeline timeline, MoveLexicon lexicon, MeasureSettings? settings = null) =>
        new(id, title, coach, publishedAt, timeline, Measure.All(timeline, lexicon, settings));

    /// <summary>What must be there, by name.</summary>
    public ImmutableArray<string> RequiredKit { get; } = [.. Timeline.Kit.Where(k => k.Need == KitNeed.Required).Select(k => k.Item)];

    /// <summary>The required items a member lacks, counting the substitutes that the coach names.</summary>
    public IEnumerable<string> Lacking(IReadOnlySet<string> kit) =>
        RequiredKit.Where(item => !kit.Contains(item)
            && !Timeline.Kit.Any(k => k.Need == KitNeed.Substitute && k.For == item && kit.Contains(k.Item)));
}
