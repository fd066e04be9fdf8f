using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Says of each doubtful bout of a finished reading why it is doubtful, and which moves it may be instead, so that a person need only point.</summary>
/// <remarks>How likely each of those moves is is told by <c>choice-trees.csv</c>, as in <see cref="MoveChoice"/>. The numbers below are ours.</remarks>
/// <param name="trees">What <see cref="MoveChoice"/> chooses by.</param>
internal sealed class DoubtReader(Speech speech, BoutsRead read, MoveLexicon lexicon, BoostedTrees trees)
{
    /// <summary>So many other moves are offered at most, and how likely each has to be.</summary>
    private const int Most = 4;
    private const double Least = 0.01;

    /// <summary>A bout in which fewer words are said is silent.</summary>
    private const int FewWords = 4;

    /// <summary>What is named so many seconds before a bout is named beside it, however little it begins it.</summary>
    private const double Ahead = 6;

    /// <summary>A mention as likely as this is of what is done there.</summary>
    private const double Likely = 0.25;

    /// <summary>So many times shorter or longer than the middle one of the class is unlike the others.</summary>
    private const double Unlike = 2;

    private readonly HashSet<string> _named = [.. read.Judged.Where(m => m.IsClear).Select(m => m.Move.Id)];
    private readonly MoveChoice _choice = new(speech, read.Heard, read.Judged);

    /// <summary>The bouts without what was said of them, so that what stands beside comes into question even where the move was clearly named.</summary>
    private readonly ImmutableArray<Segment> _segments = [.. read.Bouts.Select(b => new Segment(lexicon[b.MoveId], b.Span.Start.Value, b.Span.End.Value, false, false, 0, []))];

    /// <param name="bouts">The bouts that were read, each with how sure it is.</param>
    public ImmutableArray<Bout> Told(ImmutableArray<Bout> bouts)
    {
        var traits = new MoveChoiceTraits(speech, read.Heard, read.Judged, _segments);
        return [.. bouts.Select((b, i) => b.Doubtful ? b with { Doubts = Doubts(i), Instead = Instead(i, traits) } : b)];
    }

    private ImmutableArray<Doubt> Doubts(int index)
    {
        var segment = _segments[index];
        var own = read.Judged.Where(m => m.IsClear && m.Move.Id == segment.Move.Id && (IsIn(m.At) || IsIn(m.EffectiveAt))).ToList();
        var words = MoveChoiceTraits.Words.Of(speech, segment);
        var doubts = ImmutableArray.CreateBuilder<Doubt>();
        if (own.Count == 0)
        {
            doubts.Add(new Doubt(_named.Contains(segment.Move.Id) ? DoubtKind.NotNamedHere : DoubtKind.NeverNamed));
        }
        else if (own.TrueForAll(m => m.Weight < Likely))
        {
            doubts.Add(new Doubt(DoubtKind.TalkedAbout));
        }

        if (MoveChoiceTraits.In(read.Judged, segment).Where(m => m.IsClear && m.Move.Id != segment.Move.Id && m.Weight >= Likely && !IsAnyOf(m.Move, index)).MaxBy(m => m.Weight) is { } other)
        {
            doubts.Add(new Doubt(DoubtKind.OtherNamed, other.Move.Id));
        }

        if (words.End - words.From < FewWords)
        {
            doubts.Add(new Doubt(DoubtKind.Silent));
        }

        if (index > 0 && index + 1 < _segments.Length && _segments[index - 1].Move.IsStretch == _segments[index + 1].Move.IsStretch && _segments[index - 1].Move.IsStretch != segment.Move.IsStretch)
        {
            doubts.Add(new Doubt(DoubtKind.OutOfPlace));
        }

        if (read.Heard.StrongestAt(MarkKind.Start, segment.Start) == 0 && read.Heard.Strongest(MarkKind.Doing, segment.Start, segment.End) == 0)
        {
            doubts.Add(new Doubt(DoubtKind.NoStart));
        }

        if (segment.End - segment.Start is var length && (length < read.MiddleLength / Unlike || length > read.MiddleLength * Unlike))
        {
            doubts.Add(new Doubt(length < read.MiddleLength ? DoubtKind.Short : DoubtKind.Long));
        }

        return doubts.ToImmutable();

        bool IsIn(double at) => at >= segment.Start - Ahead && at < segment.End;
    }

    /// <summary>The move of the bout before or after is named as that ends or begins.</summary>
    private bool IsAnyOf(Move move, int index) => (index > 0 && _segments[index - 1].Move.Id == move.Id) || (index + 1 < _segments.Length && _segments[index + 1].Move.Id == move.Id);

    private ImmutableArray<string> Instead(int index, MoveChoiceTraits traits)
    {
        var asked = traits.Candidates(index, _choice.Offered(_segments, index, traits));
        return [.. asked.Moves.Zip(trees.Likelihoods(asked.Told)).Skip(1).Where(m => m.Second >= Least).OrderByDescending(m => m.Second).Take(Most).Select(m => m.First.Id)];
    }
}
