using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Counts in marked classes what <see cref="MentionJudge"/> judges by. The same classes give the same trees.</summary>
public static class MentionFit
{
    /// <summary>A mention is right if a marked bout of its move begins within so many seconds of when it would, or is under way then.</summary>
    private const double Within = 15;

    /// <summary>What the traits are called, in the order an example tells them.</summary>
    public static IReadOnlyList<string> Traits => MentionTraits.Names;

    /// <summary>The mentions of one marked class, each with what its traits tell and whether it is right.</summary>
    public sealed record Examples(IReadOnlyList<(byte[] Told, bool Right)> Of);

    public static Examples Mentions(CaptionFile file, GoldReading gold, MoveLexicon lexicon)
    {
        var speech = new Speech(file.Cues);
        var heard = MentionsHeard.In(speech, lexicon);
        var traits = new MentionTraits(speech, heard);
        return new Examples([.. heard.All.Select(m => (traits.Of(m).ToArray(), IsRight(m, gold)))]);
    }

    /// <summary>The mentions of one marked class as it is, and as it would have come through worse captions (<see cref="WornCaptions"/>): what the trees are grown from.</summary>
    public static IReadOnlyList<Examples> AllMentions(CaptionFile file, GoldReading gold, MoveLexicon lexicon) =>
        [.. WornCaptions.Of(file, gold.Title).Prepend(file).Select(f => Mentions(f, gold, lexicon))];

    private static bool IsRight(Mention m, GoldReading gold) =>
        gold.Bouts.Any(b => b.MoveId == m.Move.Id && (Math.Abs(b.Span.Start.Value - m.EffectiveAt) <= Within || (b.Span.Start.Value <= m.EffectiveAt && b.Span.End.Value > m.EffectiveAt)));

    /// <param name="classes">For each class its mentions, as it is and as it would have come otherwise.</param>
    public static BoostedTrees Fit(IReadOnlyList<IReadOnlyList<Examples>> classes)
    {
        var examples = classes.SelectMany((c, n) => c.SelectMany(e => e.Of).Select(e => (e.Told, e.Right, Class: n))).ToList();
        return BoostedTrees.Fit([.. examples.Select(e => e.Told)], [.. examples.Select(e => e.Right)], [.. examples.Select(e => e.Class)]);
    }
}
