using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Says of each doubtful bout of a finished reading why it is doubtful, and which moves it may be instead, so that a person need only point.</summary>
/// <remarks>How likely each of those moves is is told by <c>choice-trees.csv</c>, as in <see cref="MoveChoice"/>. The numbers below are ours.</remarks>
internal sealed class DoubtReader
{
    /// <summary>So many other moves are offered at most, and how likely each has to be.</summary>
    private const int Most = 4;
    private const double Least = 0.01;

    /// <summary>A bout in which fewer words are said is silent.</summary>
    private const int FewWords = 4;

    /// <summary>A mention as likely as this is of what is done there.</summary>
    private const double Likely = 0.25;

    /// <summary>Seconds around a moment in which it is called.</summary>
    private const double Called = 2;

    /// <summary>So many times shorter or longer than the middle one of the class is unlike the others.</summary>
    private const double Unlike = 2;

    private readonly Speech _speech;
    private readonly BoutsRead _read;
    private readonly MoveLexicon _lexicon;
    private readonly BoostedTrees _trees;
    private readonly ImmutableArray<Segment> _segments;
    private readonly MoveChoice _choice;
    private readonly MoveChoiceTraits _traits;
    private readonly HashSet<string> _named;
    private readonly double _middle;

    /// <param name="trees">What <see cref="MoveChoice"/> chooses by.</param>
    public DoubtReader(Speech speech, BoutsRead read, MoveLexicon lexicon, BoostedTrees trees)
    {
        (_speech, _read, _lexicon, _trees) = (speech, read, lexicon, trees);
        // Without what was said of them, so that what stands beside comes into question even where the move was clearly named.
        _segments = [.. read.Bouts.Select(b => new Segment(lexicon[b.MoveId], b.Span.Start.Value, b.Span.End.Value, false, false, 0, []))];
        _choice = new MoveChoice(speech, read.Heard, read.Judged);
        _traits = new MoveChoiceTraits(speech, read.Heard, read.Judged, _segments);
        _middle = read.Bouts.Select(b => b.Span.Length.Value).Order().ElementAtOrDefault(read.Bouts.Length / 2);
        _named = [.. read.Judged.Where(IsName).Select(m => m.Move.Id)];
    }

    /// <param name="bouts">The bouts that were read, each with how sure it is.</param>
    public ImmutableArray<Bout> Told(ImmutableArray<Bout> bouts) => [.. bouts.Select((b, i) => b.Doubtful ? b with { Doubts = Doubts(i), Instead = Instead(i) } : b)];

    private static bool IsName(Mention mention) => !mention.Weak && !mention.Faint;

    private ImmutableArray<Doubt> Doubts(int index)
    {
        var segment = _segments[index];
        var near = MoveChoiceTraits.In(_read.Judged, segment).Where(IsName).ToList();
        var own = near.FindAll(m => m.Move.Id == segment.Move.Id);
        var words = MoveChoiceTraits.Words.Of(_speech, segment);
        var doubts = ImmutableArray.CreateBuilder<Doubt>();
        if (own.Count == 0)
        {
            doubts.Add(new Doubt(_named.Contains(segment.Move.Id) ? DoubtKind.NotNamedHere : DoubtKind.NeverNamed));
        }
        else if (own.TrueForAll(m => m.Weight < Likely))
        {
            doubts.Add(new Doubt(DoubtKind.TalkedAbout));
        }

        if (near.Where(m => m.Move.Id != segment.Move.Id && m.Weight >= Likely && !IsAnyOf(m.Move, index)).MaxBy(m => m.Weight) is { } other)
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

        if (_read.Heard.Strongest(MarkKind.Start, segment.Start - Called, segment.Start + Called) == 0 && _read.Heard.Strongest(MarkKind.Doing, segment.Start, segment.End) == 0)
        {
            doubts.Add(new Doubt(DoubtKind.NoStart));
        }

        if (segment.End - segment.Start is var length && (length < _middle / Unlike || length > _middle * Unlike))
        {
            doubts.Add(new Doubt(length < _middle ? DoubtKind.Short : DoubtKind.Long));
        }

        return doubts.ToImmutable();
    }

    /// <summary>The move of the bout before or after is named as that ends or begins.</summary>
    private bool IsAnyOf(Move move, int index) => (index > 0 && _segments[index - 1].Move.Id == move.Id) || (index + 1 < _segments.Length && _segments[index + 1].Move.Id == move.Id);

    private ImmutableArray<string> Instead(int index)
    {
        var asked = _traits.Candidates(index, _choice.Offered(_segments, index, _traits));
        return [.. asked.Moves.Zip(_trees.Likelihoods(asked.Told)).Skip(1).Where(m => m.Second >= Least).OrderByDescending(m => m.Second).Take(Most).Select(m => m.First.Id)];
    }
}
