using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>
/// Which move a stretch is of, once it is known where it begins and ends: a mention is judged by what is said beside it, a stretch by all that is said in it, by what stands before and
/// after, and by what stood between the like elsewhere in the class. Of the moves that come into question the likeliest is taken.
/// </summary>
/// <remarks>What was counted is in <c>choice-trees.csv</c>; <see cref="MoveChoiceFit"/> makes it anew. The numbers below are ours.</remarks>
internal sealed class MoveChoice(Speech speech, MentionsHeard heard, IReadOnlyList<Mention> judged)
{
    /// <summary>So many moves come into question for one stretch at most, the one it was read as among them.</summary>
    private const int Most = 14;

    /// <summary>A mention of one that is hardly likely says nothing.</summary>
    private const double LeastWeight = 0.02;

    /// <summary>By all that is said the likeliest few come into question, if they are at least so likely.</summary>
    private const int MostTold = 3;
    private static readonly double LeastTold = Math.Log(0.05);

    /// <summary>A combination, or a name that was settled by others, has no mention of its move: there is nothing to choose.</summary>
    public static bool IsSettled(Segment segment) => !segment.Mentions.Any(m => m.Move.Id == segment.Move.Id);

    /// <summary>The stretches, each with its likeliest move and what was said of that one in it.</summary>
    public IReadOnlyList<Segment> Choose(IReadOnlyList<Segment> segments, BoostedTrees trees)
    {
        var traits = new MoveChoiceTraits(speech, heard, judged, segments);
        return [.. segments.Select((segment, i) => IsSettled(segment) ? segment : Of(segment, traits.Candidates(i, Offered(segments, i, traits))))];

        Segment Of(Segment segment, MoveChoiceTraits.Asked asked)
        {
            if (asked.Moves.Count < 2)
            {
                return segment;
            }

            var likely = trees.Likelihoods(asked.Told);
            var best = Array.IndexOf(likely, likely.Max());
            return best == 0 ? segment : segment with { Move = asked.Moves[best], Mentions = asked.Mentions(best) is { Count: > 0 } own ? own : segment.Mentions };
        }
    }

    /// <summary>The moves that come into question: what it was read as, what is named or told in it, what all its words say most, what stood elsewhere before or after the same neighbour, what lies at its place in other rounds, and the neighbours.</summary>
    public List<Move> Offered(IReadOnlyList<Segment> segments, int index, MoveChoiceTraits traits)
    {
        var segment = segments[index];
        List<Move> offered = [segment.Move];
        foreach (var mention in MoveChoiceTraits.In(judged, segment).Where(m => m.Weight > LeastWeight && m.Role is Role.Doing or Role.Announced).OrderByDescending(m => m.Weight))
        {
            Add(mention.Move);
        }

        var words = MoveChoiceTraits.Words.Of(speech, segment);
        foreach (var (from, end) in new[] { (words.From, words.Begun), (words.Start, words.End) })
        {
            foreach (var (move, _) in heard.Hearing.Told.Likely(from, end, MostTold, LeastTold))
            {
                Add(move);
            }
        }

        for (var other = 0; other < segments.Count; other++)
        {
            if (Math.Abs(other - index) > 1 && (IsSame(other - 1, index - 1) || IsSame(other + 1, index + 1)))
            {
                Add(segments[other].Move);
            }
        }

        // What is clearly named is not taken for what stands beside it.
        if (!segment.Mentions.Any(m => m.Move.Id == segment.Move.Id && m.IsClear))
        {
            foreach (var mate in traits.Mates(index))
            {
                Add(mate.Move);
            }

            foreach (var beside in new[] { index - 1, index + 1 })
            {
                if (beside >= 0 && beside < segments.Count)
                {
                    Add(segments[beside].Move);
                }
            }
        }

        return offered;

        void Add(Move move)
        {
            if (offered.Count < Most && !offered.Exists(o => o.Id == move.Id))
            {
                offered.Add(move);
            }
        }

        bool IsSame(int one, int other) => one >= 0 && other >= 0 && one < segments.Count && other < segments.Count && segments[one].Move.Id == segments[other].Move.Id;
    }
}
