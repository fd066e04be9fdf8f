using System.Collections.Immutable;
using System.Globalization;

namespace AnyPace.Core.Sessions;

/// <summary>What is said beside the moves, by what a studio does with it.</summary>
public enum RemarkKind
{
    /// <summary>A claim no studio should repeat (contract: claims).</summary>
    Promise,

    /// <summary>What is not the class (contract: outside).</summary>
    Aside,

    Caution,

    /// <summary>An easier or harder way (contract: options).</summary>
    Option,
}

/// <summary>One remark, whichever list of a <see cref="Timeline"/> it is in.</summary>
/// <param name="Type">One of <see cref="Types"/> of its kind.</param>
public sealed record Remark(RemarkKind Kind, string Type, Seconds At, string Text)
{
    private static readonly ImmutableArray<string> Promises = ["calories", "weight loss", "fat burning", "spot reduction", "medical benefit", "result promise", "body shaming"];

    private static readonly ImmutableArray<string> Asides = ["self-promotion", "brand or product", "advert", "other person", "social media", "off-topic chat"];

    private static readonly ImmutableArray<string> Topics =
        ["knees", "lower back", "neck", "shoulders", "wrists", "breathing", "pain", "balance", "footwear", "space", "dizziness", "medical", "load", "warm-up", "other"];

    private static readonly ImmutableArray<string> Directions = ["easier", "harder"];

    /// <summary>The types of a kind, as the contract of a reading lists them.</summary>
    public static ImmutableArray<string> Types(RemarkKind kind) => kind switch
    {
        RemarkKind.Promise => Promises,
        RemarkKind.Aside => Asides,
        RemarkKind.Caution => Topics,
        _ => Directions,
    };

    /// <summary>Tells one remark of a timeline from the others.</summary>
    public string Key => string.Create(CultureInfo.InvariantCulture, $"{Kind}|{Type}|{At.Value}");

    /// <summary>All remarks of a timeline, in the order they are said.</summary>
    public static ImmutableArray<Remark> Of(Timeline timeline) =>
    [
        .. timeline.Claims.Select(c => new Remark(RemarkKind.Promise, c.Type, c.At, c.Text))
            .Concat(timeline.Outside.Select(o => new Remark(RemarkKind.Aside, o.Type, o.At, o.Text)))
            .Concat(timeline.Cautions.Select(c => new Remark(RemarkKind.Caution, c.Topic, c.At, c.Text)))
            .Concat(timeline.Options.Select(o => new Remark(RemarkKind.Option, o.Direction.ToString().ToLowerInvariant(), o.At, o.Text)))
            .OrderBy(r => r.At).ThenBy(r => r.Kind),
    ];
}
