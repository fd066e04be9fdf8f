using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// What is asked of a bout of a finished reading, to tell how sure it is. Logarithms are in quarters, weights in twentieths, as with <see cref="Trait"/>; seconds as they are where nothing
/// else is said; shares in hundredths.
/// </summary>
public enum SureTrait
{
    /// <summary>How sure the rules are that laid it, in two-hundredths; and how sure they are of the bouts of its move at most, and in the mean.</summary>
    Points,
    MostPoints,
    MeanPoints,

    /// <summary>Its length; that of the work that is said, in twentieths; and against the middle one of the class, as a logarithm to the base 2, in twentieths.</summary>
    Length,
    OfWork,
    Longer,

    /// <summary>Its side, and the sides of its move.</summary>
    Side,
    Sides,

    /// <summary>Seconds to the bouts before and after it, and whether those are of its move.</summary>
    SinceBefore,
    UntilAfter,
    LikeBefore,
    LikeAfter,

    /// <summary>Whether it is work (0), mobility (1) or a stretch (2), the same of the bouts before and after, and in which phase it lies.</summary>
    Kind,
    KindBefore,
    KindAfter,
    Phase,

    /// <summary>How many bouts its move has, and their share of the time of all.</summary>
    Done,
    Share,

    /// <summary>How much likelier its move is in a class with the others, right after the one before, and before the one after; in tenths.</summary>
    Company,
    Follows,
    LeadsTo,

    /// <summary>The share of the bouts whose moves are done in a place of it, and whether it is done where the body is then.</summary>
    Places,
    Fits,

    /// <summary>How often its move is named in the class and in it, and how often clearly; the strongest of each.</summary>
    Named,
    NamedIn,
    Clear,
    ClearIn,
    Weight,
    WeightIn,

    /// <summary>How often it is said to be done in it, how often it is announced, and how long before it begins, or after, it is named, in halves.</summary>
    Doing,
    Announced,
    NamedBy,

    /// <summary>The strongest mention of any other move in it, how often others are clearly named, and how many of them.</summary>
    OtherWeight,
    OtherClear,
    Others,

    /// <summary>How likely what is said as it begins is said of it, its lead before the likeliest other, and before nothing being done.</summary>
    Chance,
    Lead,
    Idle,

    /// <summary>Likewise for all that is said in it.</summary>
    AllChance,
    AllLead,
    AllIdle,

    /// <summary>Silence before it begins, in quarters; the words said as it begins, in it, and the sentences of it that are shown as what it was read from.</summary>
    Silence,
    WordsBegun,
    Words,
    Shown,

    /// <summary>The strongest start that is called as it begins, the strongest sign that it is being done, and the strongest stop as it ends; in tenths.</summary>
    StartCalled,
    DoingCalled,
    StopCalled,

    /// <summary>The twentieth of the class it begins in, and when the class proper begins, from its start.</summary>
    Place,
    SinceOpening,

    /// <summary>Bouts and moves of the class, its kind, whether it is timed and keeps time, and its words a minute.</summary>
    Bouts,
    Moves,
    ClassKind,
    Timed,
    KeepsTime,
    Pace,
}

/// <summary>Tells the traits of the bouts of one recording.</summary>
internal sealed class SureTraits(Speech speech, BoutsRead read, IReadOnlyList<Phase> phases, MoveLexicon lexicon)
{
    /// <summary>What begins so many seconds before a bout is of it.</summary>
    private const double Ahead = 8;

    private readonly IReadOnlyList<Bout> _bouts = read.Bouts;
    private readonly Move[] _moves = [.. read.Bouts.Select(b => lexicon[b.MoveId])];
    private readonly ILookup<string, Bout> _same = read.Bouts.ToLookup(b => b.MoveId);
    private readonly ILookup<string, Mention> _mentions = read.Judged.Where(m => m.Weight > 0).ToLookup(m => m.Move.Id);
    private readonly string[] _done = [.. read.Bouts.Select(b => b.MoveId).Distinct()];
    private readonly double _all = read.Bouts.Sum(b => b.Span.Length.Value);

    public static IReadOnlyList<string> Names { get; } = Enum.GetNames<SureTrait>();

    /// <param name="index">Which bout.</param>
    /// <returns>A value for each of <see cref="Names"/>.</returns>
    public byte[] Of(int index)
    {
        var row = TraitRow.Untold(Names.Count);
        void Tell(SureTrait trait, double? value) => TraitRow.Tell(row, (int)trait, value);
        OfBout(Tell, index);
        OfNeighbours(Tell, index);
        OfClass(Tell, index);
        OfMentions(Tell, index);
        OfWords(Tell, index);
        OfMarks(Tell, index);
        return row;
    }

    private void OfBout(Action<SureTrait, double?> tell, int index)
    {
        const double points = 200;
        var (bout, move) = (_bouts[index], _moves[index]);
        var length = bout.Span.Length.Value;
        tell(SureTrait.Points, points * bout.Confidence);
        tell(SureTrait.MostPoints, points * _same[move.Id].Max(b => b.Confidence));
        tell(SureTrait.MeanPoints, points * _same[move.Id].Average(b => b.Confidence));
        tell(SureTrait.Length, length);
        tell(SureTrait.OfWork, 20 * length / read.Heard.Dose.WorkSeconds);
        tell(SureTrait.Longer, MentionTraits.Middle + (20 * Math.Log2(length / read.MiddleLength)));
        tell(SureTrait.Side, (int)bout.Side);
        tell(SureTrait.Sides, (int)move.Sides);
        tell(SureTrait.Kind, MentionTraits.Kind(move));
        tell(SureTrait.Phase, (int?)phases.FirstOrDefault(p => p.Span.Contains(bout.Span.Middle))?.Kind);
        tell(SureTrait.Shown, bout.Evidence.Length);
        tell(SureTrait.Place, 20 * bout.Span.Start.Value / speech.End.Value);
        tell(SureTrait.SinceOpening, MentionTraits.Middle + bout.Span.Start.Value - read.Heard.Opening);
    }

    private void OfNeighbours(Action<SureTrait, double?> tell, int index)
    {
        var (bout, move) = (_bouts[index], _moves[index]);
        if (index > 0)
        {
            var before = _moves[index - 1];
            tell(SureTrait.SinceBefore, (bout.Span.Start - _bouts[index - 1].Span.End).Value);
            tell(SureTrait.LikeBefore, before.Id == move.Id ? 1 : 0);
            tell(SureTrait.KindBefore, MentionTraits.Kind(before));
            tell(SureTrait.Follows, before.Id == move.Id ? null : 10 * read.Heard.Company.After(before.Id, move.Id));
        }

        if (index + 1 < _bouts.Count)
        {
            var after = _moves[index + 1];
            tell(SureTrait.UntilAfter, (_bouts[index + 1].Span.Start - bout.Span.End).Value);
            tell(SureTrait.LikeAfter, after.Id == move.Id ? 1 : 0);
            tell(SureTrait.KindAfter, MentionTraits.Kind(after));
            tell(SureTrait.LeadsTo, after.Id == move.Id ? null : 10 * read.Heard.Company.After(move.Id, after.Id));
        }
    }

    private void OfClass(Action<SureTrait, double?> tell, int index)
    {
        var move = _moves[index];
        var end = Clocked.From(speech.Tokens, _bouts[index].Span.End.Value);
        tell(SureTrait.Done, _same[move.Id].Count());
        tell(SureTrait.Share, 100 * _same[move.Id].Sum(b => b.Span.Length.Value) / _all);
        tell(SureTrait.Company, 10 * read.Heard.Company.Together(move.Id, _done));
        tell(SureTrait.Places, 100.0 * _moves.Count(m => m.Positions.Any(move.Positions.Contains)) / _moves.Length);
        tell(SureTrait.Fits, end > 0 ? MentionTraits.Fits(move, read.Heard.Hearing.Places[end - 1]) : null);
        tell(SureTrait.Bouts, _bouts.Count);
        tell(SureTrait.Moves, _done.Length);
        tell(SureTrait.ClassKind, (int)read.Kind);
        tell(SureTrait.Timed, read.Heard.Dose.Timed ? 1 : 0);
        tell(SureTrait.KeepsTime, read.Heard.Dose.KeepsTime ? 1 : 0);
        tell(SureTrait.Pace, speech.WordsAMinute);
    }

    private void OfMentions(Action<SureTrait, double?> tell, int index)
    {
        const double halves = 2;
        var (start, end) = (_bouts[index].Span.Start.Value, _bouts[index].Span.End.Value);
        bool In(Mention m) => m.EffectiveAt >= start - Ahead && m.EffectiveAt < end;
        var own = _mentions[_moves[index].Id].ToList();
        var here = own.FindAll(In);
        tell(SureTrait.Named, own.Count);
        tell(SureTrait.NamedIn, here.Count);
        tell(SureTrait.Clear, own.Count(m => m.IsClear));
        tell(SureTrait.ClearIn, here.Count(m => m.IsClear));
        tell(SureTrait.Weight, MoveChoiceTraits.Strongest(own));
        tell(SureTrait.WeightIn, MoveChoiceTraits.Strongest(here));
        tell(SureTrait.Doing, here.Count(m => m.Role == Role.Doing));
        tell(SureTrait.Announced, here.Count(m => m.Role == Role.Announced));
        tell(SureTrait.NamedBy, here.Count == 0 ? null : MentionTraits.Middle + (halves * here.Min(m => m.At - start)));
        var others = read.Judged.Where(m => m.Weight > 0 && In(m) && m.Move.Id != _moves[index].Id).ToList();
        tell(SureTrait.OtherWeight, MoveChoiceTraits.Strongest(others));
        tell(SureTrait.OtherClear, others.Count(m => m.IsClear));
        tell(SureTrait.Others, others.Where(m => m.IsClear).Select(m => m.Move.Id).Distinct().Count());
    }

    private void OfWords(Action<SureTrait, double?> tell, int index)
    {
        var (span, move) = (_bouts[index].Span, _moves[index]);
        var (from, first, _, begun, end) = MoveChoiceTraits.Words.Of(speech, span.Start.Value, span.End.Value);
        tell(SureTrait.Silence, first > 0 && first < speech.Tokens.Count ? 4 * (speech.At(first) - speech.At(first - 1)) : null);
        tell(SureTrait.WordsBegun, begun - from);
        tell(SureTrait.Words, end - from);
        if (read.Heard.Hearing.Told.Of(move, from, begun) is { } beginning)
        {
            tell(SureTrait.Chance, MentionTraits.Quarters(beginning.Chance));
            tell(SureTrait.Lead, MentionTraits.Quarters(beginning.Lead));
            tell(SureTrait.Idle, MentionTraits.Quarters(beginning.Idle));
        }

        if (read.Heard.Hearing.Told.Of(move, from, end) is { } all)
        {
            tell(SureTrait.AllChance, MentionTraits.Quarters(all.Chance));
            tell(SureTrait.AllLead, MentionTraits.Quarters(all.Lead));
            tell(SureTrait.AllIdle, MentionTraits.Quarters(all.Idle));
        }
    }

    private void OfMarks(Action<SureTrait, double?> tell, int index)
    {
        var (start, end) = (_bouts[index].Span.Start.Value, _bouts[index].Span.End.Value);
        tell(SureTrait.StartCalled, 10 * read.Heard.StrongestAt(MarkKind.Start, start));
        tell(SureTrait.DoingCalled, 10 * read.Heard.Strongest(MarkKind.Doing, start, end));
        tell(SureTrait.StopCalled, 10 * read.Heard.StrongestAt(MarkKind.Stop, end));
    }
}
