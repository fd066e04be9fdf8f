using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What is done when, before it is divided into phases.</summary>
/// <param name="Judged">The mentions, with the weight that their likelihood gives them.</param>
internal sealed record BoutsRead(MentionsHeard Heard, IReadOnlyList<Mention> Judged, ImmutableArray<Bout> Bouts, ClassKind Kind)
{
    /// <summary>The length of the middle one of the bouts by length, in seconds; 0 where there are none.</summary>
    public double MiddleLength { get; } = Bouts.Select(b => b.Span.Length.Value).Order().ElementAtOrDefault(Bouts.Length / 2);
}
