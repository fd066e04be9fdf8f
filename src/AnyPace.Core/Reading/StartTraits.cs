using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What is asked of a moment at which a bout may begin. Logarithms are in quarters, as with <see cref="Trait"/>; seconds in halves where nothing else is said.</summary>
public enum StartTrait
{
    /// <summary>Whether the bout was read to begin then; how much later than that it is, and how many of the moments in question are earlier, and how many not.</summary>
    Current,
    Later,
    Earlier,
    Others,

    /// <summary>Silence before the first word then, in quarters of a second, and from then on how long it is spoken without one.</summary>
    Silence,
    Spoken,

    /// <summary>Since the bout before ended; from then to the end of the bout, and the length of it as it was read, in seconds.</summary>
    SinceBefore,
    Left,
    Length,

    /// <summary>How many words are said in the seconds after, in those before, and since the bout was read to begin.</summary>
    WordsAfter,
    WordsBefore,
    WordsSince,

    /// <summary>How many numbers are said in the seconds after, and which is the first of the next words.</summary>
    Numbers,
    FirstNumber,

    /// <summary>How often the move is named or told then, between where it was read to begin and then, and after.</summary>
    NamedThen,
    NamedBefore,
    NamedAfter,

    /// <summary>How likely what is said after is said of the move, rather than of nothing, and rather than of the move before; and likewise what is said before.</summary>
    Chance,
    Idle,
    Beside,
    ChanceBefore,
    IdleBefore,

    /// <summary>Whether a sentence ends right before.</summary>
    Sentence,

    /// <summary>Whether the class keeps time, its seconds of work, and how many words a minute it has.</summary>
    KeepsTime,
    Work,
    Pace,

    /// <summary>Whether the move is held, whether it is a stretch, its seconds a repetition in quarters, the side, how often it was done before, and how sure the bout is, in fiftieths.</summary>
    Held,
    Stretch,
    Repetition,
    Side,
    Done,
    Sure,
}

/// <summary>Tells the traits of the moments at which each bout of one recording may begin.</summary>
internal sealed class StartTraits(Speech speech, MentionsHeard heard, MoveLexicon lexicon, IReadOnlyList<Bout> bouts)
{
    /// <summary>The marks that are asked for, each right then, since the bout was read to begin, in the seconds before and in those after.</summary>
    private static readonly MarkKind[] Kinds = [MarkKind.Start, MarkKind.Doing, MarkKind.Again, MarkKind.SwitchSide, MarkKind.Left, MarkKind.Right, MarkKind.Round, MarkKind.Stop];
    private static readonly string[] Whens = ["Then", "Since", "Before", "After"];

    private static readonly int Plain = Enum.GetNames<StartTrait>().Length;

    public static IReadOnlyList<string> Names { get; } = [.. Enum.GetNames<StartTrait>(), .. Kinds.SelectMany(k => Whens.Select(w => $"{k}{w}"))];

    /// <summary>Seconds within which a mark is made then, and seconds before and after that are looked at.</summary>
    private const double Then = 1.5;
    private const double Near = 12;

    /// <summary>Seconds of words that are counted, and of those that tell the move.</summary>
    private const double Counted = 8;
    private const double Telling = 10;

    /// <summary>A silence of so many seconds ends what is spoken in one go.</summary>
    private const double Quiet = 3.35;

    /// <summary>For each bout how often its move was done before.</summary>
    private readonly int[] _done = [.. bouts.Select((b, i) => bouts.Take(i).Count(o => o.MoveId == b.MoveId))];

    /// <summary>The mentions of each move.</summary>
    public ILookup<string, Mention> Mentions { get; } = heard.Mentions.ToLookup(m => m.Move.Id);

    /// <param name="index">Which bout.</param>
    /// <param name="moments">Seconds at which it may begin, in order.</param>
    /// <returns>For each of them a value for each of <see cref="Names"/>.</returns>
    public List<byte[]> Of(int index, IReadOnlyList<double> moments)
    {
        var bout = bouts[index];
        var move = lexicon[bout.MoveId];
        var own = Mentions[move.Id].ToList();
        return [.. moments.Select((at, nth) =>
        {
            var row = TraitRow.Untold(Names.Count);
            void Tell(StartTrait trait, double value) => row[(int)trait] = TraitRow.Told(Math.Floor(value));
            Tell(StartTrait.Current, at == bout.Span.Start.Value ? 1 : 0);
            Tell(StartTrait.Earlier, nth);
            Tell(StartTrait.Others, moments.Count - nth);
            OfBout(Tell, index, move, at);
            OfWords(Tell, bout, at);
            OfMove(Tell, index, move, own, at);
            OfMarks(row, bout.Span.Start.Value, at);
            return row;
        })];
    }

    /// <summary>Seconds in halves, from so many of them on.</summary>
    private static double Halves(double seconds, double from = 0) => from + (2 * seconds);

    private void OfBout(Action<StartTrait, double> tell, int index, Move move, double at)
    {
        const double middle = 60;
        var (bout, start, end) = (bouts[index], bouts[index].Span.Start.Value, bouts[index].Span.End.Value);
        tell(StartTrait.Later, Halves(at - start, middle));
        tell(StartTrait.SinceBefore, Halves(at - (index > 0 ? bouts[index - 1].Span.End.Value : 0), middle));
        tell(StartTrait.Left, end - at);
        tell(StartTrait.Length, end - start);
        tell(StartTrait.KeepsTime, heard.Dose.KeepsTime ? 1 : 0);
        tell(StartTrait.Work, heard.Dose.WorkSeconds ?? 0);
        tell(StartTrait.Pace, speech.WordsAMinute);
        tell(StartTrait.Held, move.IsHeld ? 1 : 0);
        tell(StartTrait.Stretch, move.IsStretch ? 1 : 0);
        tell(StartTrait.Repetition, 4 * move.SecondsPerRep);
        tell(StartTrait.Side, (int)bout.Side);
        tell(StartTrait.Done, _done[index]);
        tell(StartTrait.Sure, 50 * bout.Confidence);
    }

    private void OfWords(Action<StartTrait, double> tell, Bout bout, double at)
    {
        const int next = 6;
        const int soon = 25;
        var first = Word(at);
        int Said(double from, double to) => Clocked.From(speech.Tokens, to) - Clocked.From(speech.Tokens, from);
        tell(StartTrait.Silence, 4 * (first > 0 ? at - speech.At(first - 1) : Near));
        tell(StartTrait.WordsAfter, Said(at, at + Counted));
        tell(StartTrait.WordsBefore, Said(at - Counted, at));
        tell(StartTrait.WordsSince, Said(bout.Span.Start.Value, at));
        tell(StartTrait.Sentence, first > 0 && speech.Tokens[first - 1].Stops ? 1 : 0);
        var last = first;
        while (last + 1 < speech.Tokens.Count && speech.At(last + 1) - speech.At(last) <= Quiet && last - first < MentionTraits.NotTold)
        {
            last++;
        }

        tell(StartTrait.Spoken, Halves(speech.At(last) - at));
        var numbers = 0;
        int? number = null;
        for (var t = first; t < Math.Min(first + soon, speech.Tokens.Count); t++)
        {
            if (speech.Tokens[t].Number is { } said)
            {
                numbers += speech.Tokens[t].At < at + Telling ? 1 : 0;
                number ??= t < first + next ? said : null;
            }
        }

        tell(StartTrait.Numbers, numbers);
        tell(StartTrait.FirstNumber, number ?? 0);
    }

    /// <summary>The first word said at a moment.</summary>
    private int Word(double at) => Clocked.From(speech.Tokens, at - Rounded);

    /// <summary>Moments are rounded to tenths of a second.</summary>
    private const double Rounded = 0.06;

    private void OfMove(Action<StartTrait, double> tell, int index, Move move, List<Mention> own, double at)
    {
        const double just = 1;
        const double soon = 4;
        const double later = 30;
        tell(StartTrait.NamedThen, own.Count(m => m.EffectiveAt >= at - just && m.EffectiveAt < at + soon));
        tell(StartTrait.NamedBefore, own.Count(m => m.EffectiveAt >= bouts[index].Span.Start.Value - just && m.EffectiveAt < at - just));
        tell(StartTrait.NamedAfter, own.Count(m => m.At >= at + soon && m.At < at + later));
        var (from, first, end) = (Clocked.From(speech.Tokens, at - Telling), Word(at), Clocked.From(speech.Tokens, at + Telling));
        if (heard.Hearing.Told.Of(move, first, end, index > 0 ? lexicon[bouts[index - 1].MoveId] : null) is { } after)
        {
            tell(StartTrait.Chance, MentionTraits.Quarters(after.Chance));
            tell(StartTrait.Idle, MentionTraits.Quarters(after.Idle));
            if (after.Beside is { } beside)
            {
                tell(StartTrait.Beside, MentionTraits.Quarters(beside));
            }
        }

        if (heard.Hearing.Told.Of(move, from, first) is { } before)
        {
            tell(StartTrait.ChanceBefore, MentionTraits.Quarters(before.Chance));
            tell(StartTrait.IdleBefore, MentionTraits.Quarters(before.Idle));
        }
    }

    private void OfMarks(byte[] row, double start, double at)
    {
        Array.Fill(row, (byte)0, Plain, row.Length - Plain);
        foreach (var mark in Clocked.Between(heard.Marks, Math.Min(start, at - Near), at + Near))
        {
            var kind = Array.IndexOf(Kinds, mark.Kind);
            if (kind < 0)
            {
                continue;
            }

            Tell(0, Math.Abs(mark.At - at) <= Then);
            Tell(1, mark.At >= Math.Min(start, at) && mark.At < at - Then);
            Tell(2, mark.At >= at - Near && mark.At < at - Then);
            Tell(3, mark.At > at + Then);

            void Tell(int when, bool holds)
            {
                var trait = Plain + (kind * Whens.Length) + when;
                row[trait] = holds ? Math.Max(row[trait], (byte)Math.Round(10 * mark.Strength)) : row[trait];
            }
        }
    }
}
