using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// What is asked of a border between two bouts at which the warm-up may end, or the cool-down begin. Shares are in hundredths of the time, METs and impact in tenths, counts as they are.
/// </summary>
public enum PhaseTrait
{
    /// <summary>How many bouts lie before it, after it, and in all.</summary>
    BoutsBefore,
    BoutsAfter,
    Bouts,

    /// <summary>Seconds of the class before it in fives, the share of the class, seconds after it in fives, and the seconds between the two bouts.</summary>
    Begun,
    Place,
    Left,
    Between,

    /// <summary>Gentle moves and stretches of all bouts before it, of all after, of the next few and of the last few, and of the class.</summary>
    GentleBefore,
    StretchBefore,
    GentleAfter,
    StretchAfter,
    GentleNext,
    StretchNext,
    GentleLast,
    StretchLast,
    Gentle,
    Stretch,

    /// <summary>Whether the next and the last are work (0), gentle (1) or a stretch (2).</summary>
    Next,
    Last,

    /// <summary>METs before it, after it, of the next few and of the last few.</summary>
    MetBefore,
    MetAfter,
    MetNext,
    MetLast,

    /// <summary>Mean length of the bouts before it and of the next few, and the lengths of the next and the last, in seconds; those of the work that is said, in twentieths.</summary>
    LengthBefore,
    LengthNext,
    NextLength,
    LastLength,
    NextOfWork,
    LastOfWork,

    /// <summary>Bouts before it whose move comes after it too, and after it whose move came before; how often the next and the last move are done in all.</summary>
    ComeAgain,
    CameBefore,
    NextDone,
    LastDone,

    /// <summary>Steps before it; impact before it and of the next few.</summary>
    StepsBefore,
    ImpactBefore,
    ImpactNext,

    /// <summary>The kind of class, whether it is timed, and its words a minute.</summary>
    Kind,
    Timed,
    Pace,

    /// <summary>Whether it is the border that rules put there, for the warm-up and for the cool-down, and where those are, from the start and from the end.</summary>
    WarmUpRead,
    CoolDownRead,
    ReadWarmUp,
    ReadCoolDown,

    /// <summary>Calls of a warm-up before it, and early in the class; of its end there, before and after; of a cool-down there, after and before.</summary>
    WarmUpCalled,
    WarmUpEarly,
    OverThere,
    OverBefore,
    OverAfter,
    CoolDownThere,
    CoolDownAfter,
    CoolDownBefore,

    /// <summary>A break, a start, a round and a stop that are called there.</summary>
    BreakThere,
    StartThere,
    RoundThere,
    StopThere,

    /// <summary>Words of warming up before, there and after; of cooling down there, after and before; kit that is taken up and first moves that are announced there and before; and words between the two bouts.</summary>
    WarmWordsBefore,
    WarmWordsThere,
    WarmWordsAfter,
    CoolWordsThere,
    CoolWordsAfter,
    CoolWordsBefore,
    TakenThere,
    TakenBefore,
    Words,
}

/// <summary>Tells the traits of the borders between the bouts of one recording.</summary>
/// <param name="read">The first bout of the work and of the cool-down by rules.</param>
internal sealed partial class PhaseTraits(Speech speech, MentionsHeard heard, IReadOnlyList<Bout> bouts, MoveLexicon lexicon, ClassKind kind, (int Work, int Cool) read)
{
    /// <summary>How many bouts are the next few; the last few are one less.</summary>
    private const int Few = 3;

    private readonly Move[] _moves = [.. bouts.Select(b => lexicon[b.MoveId])];
    private readonly ILookup<string, int> _places = bouts.Index().ToLookup(b => b.Item.MoveId, b => b.Index);
    private readonly List<double> _warm = Times(speech, WarmWords());
    private readonly List<double> _cool = Times(speech, CoolWords());
    private readonly List<double> _taken = Times(speech, TakenUp());

    public static IReadOnlyList<string> Names { get; } = Enum.GetNames<PhaseTrait>();

    /// <summary>How many bouts there are.</summary>
    public int Count => bouts.Count;

    /// <summary>The first bout of the work and of the cool-down by rules.</summary>
    public (int Work, int Cool) Read => read;

    private static List<double> Times(Speech speech, Regex words) => [.. speech.Find(words).Select(m => speech.At(speech.TokenAt(m.Index)))];

    /// <param name="border">How many bouts lie before it.</param>
    public byte[] Of(int border)
    {
        var row = TraitRow.Untold(Names.Count);
        void Tell(PhaseTrait trait, double? value) => TraitRow.Tell(row, (int)trait, value);
        OfMoves(Tell, border);
        OfLengths(Tell, border);
        OfSpeech(Tell, border);
        return row;
    }

    /// <summary>The share of the time of some bouts, in hundredths; null for none.</summary>
    private double? Share(int from, int to, Func<Move, bool> which)
    {
        double all = 0, those = 0;
        for (var i = Math.Max(0, from); i < Math.Min(bouts.Count, to); i++)
        {
            all += bouts[i].Span.Length.Value;
            those += which(_moves[i]) ? bouts[i].Span.Length.Value : 0;
        }

        return all > 0 ? 100 * those / all : null;
    }

    private double? Mean(int from, int to, Func<int, double> of)
    {
        var (sum, count) = (0.0, 0);
        for (var i = Math.Max(0, from); i < Math.Min(bouts.Count, to); i++)
        {
            sum += of(i);
            count++;
        }

        return count > 0 ? sum / count : null;
    }

    private void OfMoves(Action<PhaseTrait, double?> tell, int border)
    {
        var n = bouts.Count;
        static bool Gentle(Move move) => move.IsGentle;
        static bool Stretch(Move move) => move.IsStretch;
        double Met(int i) => 10 * _moves[i].Met.Value;
        double Struck(int i) => 10 * (int)_moves[i].Impact;
        double? KindAt(int i) => i < 0 || i >= n ? null : MentionTraits.Kind(_moves[i]);
        double? DoneAt(int i) => i < 0 || i >= n ? null : _places[bouts[i].MoveId].Count();
        tell(PhaseTrait.BoutsBefore, border);
        tell(PhaseTrait.BoutsAfter, n - border);
        tell(PhaseTrait.Bouts, n);
        tell(PhaseTrait.GentleBefore, Share(0, border, Gentle));
        tell(PhaseTrait.StretchBefore, Share(0, border, Stretch));
        tell(PhaseTrait.GentleAfter, Share(border, n, Gentle));
        tell(PhaseTrait.StretchAfter, Share(border, n, Stretch));
        tell(PhaseTrait.GentleNext, Share(border, border + Few, Gentle));
        tell(PhaseTrait.StretchNext, Share(border, border + Few, Stretch));
        tell(PhaseTrait.GentleLast, Share(border - Few + 1, border, Gentle));
        tell(PhaseTrait.StretchLast, Share(border - Few + 1, border, Stretch));
        tell(PhaseTrait.Gentle, Share(0, n, Gentle));
        tell(PhaseTrait.Stretch, Share(0, n, Stretch));
        tell(PhaseTrait.Next, KindAt(border));
        tell(PhaseTrait.Last, KindAt(border - 1));
        tell(PhaseTrait.MetBefore, Mean(0, border, Met));
        tell(PhaseTrait.MetAfter, Mean(border, n, Met));
        tell(PhaseTrait.MetNext, Mean(border, border + Few, Met));
        tell(PhaseTrait.MetLast, Mean(border - Few + 1, border, Met));
        tell(PhaseTrait.ComeAgain, 100 * Mean(0, border, i => _places[bouts[i].MoveId].Any(o => o >= border) ? 1 : 0));
        tell(PhaseTrait.CameBefore, 100 * Mean(border, n, i => _places[bouts[i].MoveId].Any(o => o < border) ? 1 : 0));
        tell(PhaseTrait.NextDone, DoneAt(border));
        tell(PhaseTrait.LastDone, DoneAt(border - 1));
        tell(PhaseTrait.StepsBefore, Share(0, border, m => m.Pattern is "locomotion"));
        tell(PhaseTrait.ImpactBefore, Mean(0, border, Struck));
        tell(PhaseTrait.ImpactNext, Mean(border, border + Few, Struck));
    }

    private void OfLengths(Action<PhaseTrait, double?> tell, int border)
    {
        const double fives = 5;
        var (from, to) = Around(border);
        double Length(int i) => bouts[i].Span.Length.Value;
        double? LengthAt(int i) => i < 0 || i >= bouts.Count ? null : Length(i);
        tell(PhaseTrait.Begun, from / fives);
        tell(PhaseTrait.Place, 100 * from / speech.End.Value);
        tell(PhaseTrait.Left, (speech.End.Value - to) / fives);
        tell(PhaseTrait.Between, to - from);
        tell(PhaseTrait.LengthBefore, Mean(0, border, Length));
        tell(PhaseTrait.LengthNext, Mean(border, border + Few, Length));
        tell(PhaseTrait.NextLength, LengthAt(border));
        tell(PhaseTrait.LastLength, LengthAt(border - 1));
        tell(PhaseTrait.NextOfWork, 20 * LengthAt(border) / heard.Dose.WorkSeconds);
        tell(PhaseTrait.LastOfWork, 20 * LengthAt(border - 1) / heard.Dose.WorkSeconds);
        tell(PhaseTrait.Kind, (int)kind);
        tell(PhaseTrait.Timed, heard.Dose.Timed ? 1 : 0);
        tell(PhaseTrait.Pace, speech.WordsAMinute);
        tell(PhaseTrait.WarmUpRead, border == Read.Work ? 1 : 0);
        tell(PhaseTrait.CoolDownRead, border == Read.Cool ? 1 : 0);
        tell(PhaseTrait.ReadWarmUp, Read.Work);
        tell(PhaseTrait.ReadCoolDown, bouts.Count - Read.Cool);
    }

    /// <summary>From where the last bout ends to where the next begins, in seconds.</summary>
    private (double From, double To) Around(int border) =>
        (border == 0 ? 0 : bouts[border - 1].Span.End.Value, border == bouts.Count ? speech.End.Value : bouts[border].Span.Start.Value);

    /// <summary>Seconds before and after a border in which what is said is of it.</summary>
    private const double Ahead = 20;
    private const double Soon = 8;

    private void OfSpeech(Action<PhaseTrait, double?> tell, int border)
    {
        const double early = 150;
        var (from, to) = Around(border);
        var end = speech.End.Value;
        double Called(MarkKind mark, double a, double b) => 10 * heard.Strongest(mark, a, b);
        static int Said(List<double> words, double a, double b) => words.Count(w => w >= a && w <= b);
        tell(PhaseTrait.WarmUpCalled, Called(MarkKind.WarmUp, 0, from));
        tell(PhaseTrait.WarmUpEarly, Called(MarkKind.WarmUp, 0, early));
        tell(PhaseTrait.OverThere, Called(MarkKind.WarmUpOver, from - Ahead, to + Soon));
        tell(PhaseTrait.OverBefore, Called(MarkKind.WarmUpOver, 0, from - Ahead));
        tell(PhaseTrait.OverAfter, Called(MarkKind.WarmUpOver, to + Soon, end));
        tell(PhaseTrait.CoolDownThere, Called(MarkKind.CoolDown, from - Ahead, to + Soon));
        tell(PhaseTrait.CoolDownAfter, Called(MarkKind.CoolDown, to + Soon, end));
        tell(PhaseTrait.CoolDownBefore, Called(MarkKind.CoolDown, 0, from - Ahead));
        tell(PhaseTrait.BreakThere, Called(MarkKind.Break, from - Soon, to));
        tell(PhaseTrait.StartThere, Called(MarkKind.Start, from - Soon, to + Soon));
        tell(PhaseTrait.RoundThere, Called(MarkKind.Round, from - Soon, to + Soon));
        tell(PhaseTrait.StopThere, Called(MarkKind.Stop, from - Soon, to));
        tell(PhaseTrait.WarmWordsBefore, Said(_warm, 0, from - Ahead));
        tell(PhaseTrait.WarmWordsThere, Said(_warm, from - Ahead, to + Soon));
        tell(PhaseTrait.WarmWordsAfter, Said(_warm, to + Soon, end));
        tell(PhaseTrait.CoolWordsThere, Said(_cool, from - Ahead, to + Soon));
        tell(PhaseTrait.CoolWordsAfter, Said(_cool, to + Soon, end));
        tell(PhaseTrait.CoolWordsBefore, Said(_cool, 0, from - Ahead));
        tell(PhaseTrait.TakenThere, Said(_taken, from - Ahead, to + Soon));
        tell(PhaseTrait.TakenBefore, Said(_taken, 0, from - Ahead));
        tell(PhaseTrait.Words, Clocked.From(speech.Tokens, to) - Clocked.From(speech.Tokens, from));
    }

    [GeneratedRegex(@"\G\b(warm\w*( up)?|loosen\w*|mobili\w*)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex WarmWords();

    [GeneratedRegex(@"\G\b(cool\w*( down)?|stretch\w*|finish\w*|slow\w* (it )?down|bring (it|that|your) )\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex CoolWords();

    /// <summary>Kit that is taken up, a first move, and that one should come warm.</summary>
    [GeneratedRegex(@"\G\b((grab|pick up|take|get|collect) (\w+ )?(\w+ )?(weights?|dumb ?bells?|kettle ?bells?|bands?|chair)|first (exercise|move|1)|(exercise|move|number|block|round) (number )?1|straight in\w*|come (in )?warm|already warm|warmed up)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex TakenUp();
}
