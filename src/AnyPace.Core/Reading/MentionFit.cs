using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Makes the weights of <see cref="MentionJudge"/> from marked classes. The same classes give the same weights.</summary>
public static class MentionFit
{
    /// <summary>What a weight costs: the larger, the less a trait that is seldom seen may say.</summary>
    private const double Ridge = 8;

    /// <summary>A value of a trait is weighed if so many classes have it.</summary>
    private const int LeastClasses = 4;

    /// <summary>A mention is right if a marked bout of its move begins within so many seconds of when it would, or is under way then.</summary>
    private const double Within = 15;

    /// <summary>The mentions of one marked class, each with its traits and whether it is right.</summary>
    public sealed record Examples(IReadOnlyList<(bool Faint, TraitValue[] Traits, bool Right)> Of);

    public static Examples Mentions(CaptionFile file, GoldReading gold, MoveLexicon lexicon)
    {
        var speech = new Speech(file.Cues);
        var heard = MentionsHeard.In(speech, lexicon);
        var traits = new MentionTraits(speech, heard);
        return new Examples([.. heard.All.Select(m => (m.Faint, traits.Of(m).ToArray(), IsRight(m, gold)))]);
    }

    private static bool IsRight(Mention m, GoldReading gold) =>
        gold.Bouts.Any(b => b.MoveId == m.Move.Id && (Math.Abs(b.Span.Start.Value - m.EffectiveAt) <= Within || (b.Span.Start.Value <= m.EffectiveAt && b.Span.End.Value > m.EffectiveAt)));

    public static MentionWeightTable Fit(IReadOnlyList<Examples> classes)
    {
        var (clear, start) = Fit(classes, faint: false);
        var (faint, faintStart) = Fit(classes, faint: true);
        return new MentionWeightTable(clear.Concat(faint).ToDictionary(), start, faintStart);
    }

    private static (Dictionary<TraitValue, double> Weights, double Base) Fit(IReadOnlyList<Examples> classes, bool faint)
    {
        var known = classes.SelectMany(c => c.Of.Where(e => e.Faint == faint).SelectMany(e => e.Traits).Distinct())
            .CountBy(t => t).Where(t => t.Value >= LeastClasses).Select(t => t.Key)
            .OrderBy(t => t.Trait).ThenBy(t => t.A).ThenBy(t => t.B).ThenBy(t => t.C).ToList();
        var examples = classes.SelectMany(c => c.Of).Where(e => e.Faint == faint).ToList();
        var weights = LogisticFit.Fit(LogisticFit.Numbered(examples.Select(e => e.Traits), known), [.. examples.Select(e => e.Right)], known.Count, Ridge);
        return (known.Index().ToDictionary(t => t.Item, t => Math.Round(weights[t.Index], 2)), Math.Round(weights[^1], 2));
    }
}
