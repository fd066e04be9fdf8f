using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Counts in marked classes what <see cref="MentionJudge"/> judges by. The same classes give the same trees.</summary>
public static class MentionFit
{
    /// <summary>A mention is right if a marked bout of its move begins within so many seconds of when it would, or is under way then.</summary>
    private const double Within = 15;

    /// <summary>What is said as a move begins: from so many seconds before to so many after.</summary>
    private const double SaidBefore = 2;
    private const double SaidAfter = 14;

    /// <summary>What is said while it is done, and where nothing is: asked every so many seconds, for so many, where there are enough words.</summary>
    private const double AskedEach = 7;
    private const double SaidUnderWay = 10;
    private const int FewestWords = 4;

    /// <summary>Seconds after its start by which a move is begun, and seconds before in which it may be told already.</summary>
    private const double BegunBy = 8;
    private const double ToldAhead = 25;

    /// <summary>
    /// Words a minute from which on the trees learn from a class in full, from its worn copies too: who works in front of a camera says a hundred and more, and what a few words tell where little
    /// is said, they do not tell in talk. Ours: kept-aside classes of 80 and more were read a hundredth better without those below at all, but then little made of what is said in few words.
    /// </summary>
    private const double LeastPace = 40;

    /// <summary>What the traits are called, in the order an example tells them.</summary>
    public static IReadOnlyList<string> Traits => MentionTraits.Names;

    /// <summary>A class that is tuned on.</summary>
    public sealed record MarkedClass(CaptionFile Captions, GoldReading Gold);

    /// <summary>The mentions of one marked class, each with what its traits tell and whether it is right.</summary>
    public sealed record Examples(IReadOnlyList<(byte[] Told, bool Right)> Of);

    /// <summary>What the lexicon learns from a marked class.</summary>
    public static TaughtClass Taught(MarkedClass marked)
    {
        var speech = new Speech(marked.Captions.Cues);
        ImmutableArray<string> Words(double from, double to) => [.. speech.Tokens.Where(t => t.At >= from && t.At < to && t.Stem.Length > 0).Select(t => t.Stem)];
        var (underWay, idle) = (new List<TaughtBout>(), new List<ImmutableArray<string>>());
        for (var at = 0.0; at < speech.End.Value; at += AskedEach)
        {
            var words = Words(at - SaidBefore, at + SaidUnderWay);
            if (words.Length < FewestWords)
            {
                continue;
            }

            if (marked.Gold.Bouts.LastOrDefault(b => b.Span.Start.Value <= at && b.Span.End.Value > at) is { } bout)
            {
                if (at - bout.Span.Start.Value > BegunBy)
                {
                    underWay.Add(new TaughtBout(bout.MoveId, words));
                }
            }
            else if (!marked.Gold.Bouts.Any(b => b.Span.Start.Value > at - BegunBy && b.Span.Start.Value < at + ToldAhead))
            {
                idle.Add(words);
            }
        }

        return new TaughtClass(
        [
            .. marked.Gold.Bouts.Select(b =>
            {
                var (from, to) = (b.Span.Start.Value - SaidBefore, Math.Min(b.Span.Start.Value + SaidAfter, b.Span.End.Value));
                return new TaughtBout(b.MoveId, Words(from, to));
            }),
        ])
        {
            UnderWay = [.. underWay],
            Idle = [.. idle],
        };
    }

    public static Examples Mentions(CaptionFile file, GoldReading gold, MoveLexicon lexicon)
    {
        var speech = new Speech(file.Cues);
        var heard = MentionsHeard.In(speech, lexicon);
        var traits = new MentionTraits(speech, heard);
        return new Examples([.. heard.All.Select(m => (traits.Of(m).ToArray(), IsRight(m, gold)))]);
    }

    private static bool IsRight(Mention m, GoldReading gold) =>
        gold.Bouts.Any(b => b.MoveId == m.Move.Id && (Math.Abs(b.Span.Start.Value - m.EffectiveAt) <= Within || (b.Span.Start.Value <= m.EffectiveAt && b.Span.End.Value > m.EffectiveAt)));

    /// <summary>The mentions of a class as it is and as it would have come through worse captions (<see cref="WornCaptions"/>).</summary>
    internal static Examples MentionsOf(MarkedClass marked, MoveLexicon lexicon) => new([.. Copies(marked.Captions, marked.Gold.Title).SelectMany(f => Mentions(f, marked.Gold, lexicon).Of)]);

    /// <summary>The captions of a class as they are and, where enough is said, worn.</summary>
    private static IEnumerable<CaptionFile> Copies(CaptionFile captions, string title) =>
        new Speech(captions.Cues).WordsAMinute < LeastPace ? [captions] : WornCaptions.Of(captions, title).Prepend(captions);

    /// <param name="classes">For each class its mentions.</param>
    public static BoostedTrees Fit(IReadOnlyList<Examples> classes) => Fit(classes, _ => true);

    internal static BoostedTrees Fit(IReadOnlyList<Examples> classes, Func<int, bool> takes)
    {
        var examples = classes.SelectMany((c, i) => takes(i) ? c.Of.Select(e => (e.Told, e.Right, Class: i)) : []).ToList();
        return BoostedTrees.Fit([.. examples.Select(e => e.Told)], [.. examples.Select(e => e.Right)], [.. examples.Select(e => e.Class)]);
    }
}
