using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// When each bout begins, once it is known what is done: a move is often set up at length before its first repetition, or begun before it is named. Of the moments in question, where
/// somebody speaks after a silence, calls a start, a count or a side, or names the move, the likeliest is taken, if it is clearly likelier than where the bout was read to begin.
/// </summary>
/// <remarks>What was counted is in <c>start-trees.csv</c>; <see cref="StartFit"/> makes it anew. The numbers below are ours.</remarks>
internal sealed class StartChoice(Speech speech, MentionsHeard heard, MoveLexicon lexicon, ImmutableArray<Bout> bouts)
{
    /// <summary>Seconds by which a bout may begin earlier and later than it was read to.</summary>
    private const double Ahead = 15;
    private const double Behind = 50;

    /// <summary>Seconds that are left of the bout before, and of the bout.</summary>
    private const double LeastBefore = 8;
    private const double Least = 6;

    /// <summary>Seconds between two words that are a breath.</summary>
    private const double Breath = 0.85;

    /// <summary>Seconds by which nobody would move a start.</summary>
    private const double Nearly = 2;

    /// <summary>How much likelier another moment has to be.</summary>
    private const double Clearly = 0.05;

    private readonly StartTraits _traits = new(speech, heard, lexicon, bouts);

    public ImmutableArray<Bout> Choose(BoostedTrees trees)
    {
        var begun = bouts.ToBuilder();
        for (var i = 0; i < bouts.Length; i++)
        {
            if (LikelierStart(i, trees) is { } at && (i == 0 || at >= begun[i - 1].Span.Start.Value + LeastBefore))
            {
                begun[i] = bouts[i] with { Span = Span.Of(at, bouts[i].Span.End.Value) };
            }

            // None lies on the next.
            if (i > 0 && begun[i - 1].Span.End > begun[i].Span.Start)
            {
                begun[i - 1] = begun[i - 1] with { Span = new Span(begun[i - 1].Span.Start, begun[i].Span.Start) };
            }
        }

        return begun.ToImmutable();
    }

    /// <summary>The likeliest moment at which a bout begins; null where that is when it was read to, or nearly.</summary>
    private double? LikelierStart(int index, BoostedTrees trees)
    {
        var (moments, told) = Asked(index);
        var likely = trees.Likelihoods(told);
        var read = moments.IndexOf(bouts[index].Span.Start.Value);
        var best = Enumerable.Range(0, moments.Count).Where(i => Math.Abs(moments[i] - moments[read]) >= Nearly).Append(read).MaxBy(i => likely[i]);
        return likely[best] > likely[read] + Clearly ? moments[best] : null;
    }

    /// <summary>The moments at which a bout may begin, in order, where it was read to begin among them, and what is told of each.</summary>
    public (List<double> Moments, List<byte[]> Told) Asked(int index)
    {
        var (start, end) = (bouts[index].Span.Start.Value, bouts[index].Span.End.Value);
        var from = Math.Max(start - Ahead, index > 0 ? bouts[index - 1].Span.Start.Value + LeastBefore : 0);
        var to = Math.Min(start + Behind, end - Least);
        var moments = new SortedSet<double> { start };
        for (var i = Clocked.From(speech.Tokens, from); i < speech.Tokens.Count && speech.At(i) <= to; i++)
        {
            if (i == 0 || speech.At(i) - speech.At(i - 1) > Breath)
            {
                Add(speech.At(i));
            }
        }

        foreach (var mark in Clocked.Between(heard.Marks, from, to).Where(m => m.Kind is MarkKind.Start or MarkKind.Doing or MarkKind.Again or MarkKind.SwitchSide or MarkKind.Left or MarkKind.Right or MarkKind.Round))
        {
            Add(mark.At);
            Add(speech.At(mark.Token));
        }

        foreach (var mention in _traits.Mentions[bouts[index].MoveId])
        {
            Add(mention.EffectiveAt);
        }

        List<double> asked = [.. moments];
        return (asked, _traits.Of(index, asked));

        void Add(double at)
        {
            var tenth = Math.Round(at, 1);
            if (tenth >= from && tenth <= to)
            {
                moments.Add(tenth);
            }
        }
    }
}
