using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Counts in marked classes what <see cref="MoveChoice"/> chooses by. The same classes give the same trees.</summary>
public static class MoveChoiceFit
{
    /// <summary>A stretch is that of a marked bout if they begin within so many seconds of each other and share so much of the shorter.</summary>
    private const double Within = 15;
    private const double Shared = 0.5;

    /// <summary>It lies in the midst of one that has so much of it.</summary>
    private const double Inside = 0.8;

    /// <summary>What the traits are called, in the order a stretch tells them.</summary>
    public static IReadOnlyList<string> Traits => MoveChoiceTraits.Names;

    /// <summary>
    /// What is told of the moves that come into question for each stretch of a marked bout, each class divided as one is that nobody marked.
    /// <see cref="MentionFit.Fit(IReadOnlyList{MentionFit.Examples})"/> grows trees from them.
    /// </summary>
    public static IReadOnlyList<MentionFit.Examples> Stretches(ReadByOthers others) => others.OfEach((marked, part) => Of(marked, others.Lexicons[part], new MentionJudge(others.Trees[part])));

    private static MentionFit.Examples Of(MentionFit.MarkedClass marked, MoveLexicon lexicon, MentionJudge judge)
    {
        var speech = new Speech(marked.Captions.Cues);
        var heard = MentionsHeard.In(speech, lexicon);
        var judged = judge.Judge(speech, heard);
        var segments = NameSettler.Divided(speech, heard, judged, lexicon);
        var (choice, traits) = (new MoveChoice(speech, heard, judged), new MoveChoiceTraits(speech, heard, judged, segments));
        var examples = new List<(byte[] Told, bool Right)>();
        foreach (var (i, segment) in segments.Index())
        {
            if (!MoveChoice.IsSettled(segment) && MarkedAs(marked.Gold, segment) is { } bout)
            {
                var asked = traits.Candidates(i, choice.Offered(segments, i, traits));
                examples.AddRange(asked.Told.Zip(asked.Moves, (told, move) => (told, move.Id == bout.MoveId)));
            }
        }

        return new MentionFit.Examples(examples);
    }

    /// <summary>The bout a stretch is of, of two the one it was read as; where none begins with it, the one it lies in the midst of. Null where none is marked.</summary>
    private static Bout? MarkedAs(GoldReading gold, Segment segment)
    {
        var span = Span.Of(segment.Start, segment.End);
        return gold.Bouts.Where(b => Math.Abs((b.Span.Start - span.Start).Value) <= Within && b.Span.Overlap(span).Value > Shared * Math.Min(b.Span.Length.Value, span.Length.Value))
            .OrderByDescending(b => b.MoveId == segment.Move.Id).ThenBy(b => Math.Abs((b.Span.Start - span.Start).Value)).FirstOrDefault()
            ?? gold.Bouts.FirstOrDefault(b => b.Span.Overlap(span).Value > Inside * span.Length.Value);
    }
}
