using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>What is asked of a move that comes into question for a stretch. Logarithms are in quarters, weights in twentieths, as with <see cref="Trait"/>.</summary>
public enum ChoiceTrait
{
    /// <summary>Whether the stretch was read as this move.</summary>
    Current,

    /// <summary>The weight of its strongest mention in the stretch.</summary>
    Weight,

    /// <summary>The weights of all of them, in tenths.</summary>
    Sum,

    /// <summary>Whether it is clearly named there (3), named by everyday words or described (2), faintly heard (1) or not at all.</summary>
    Best,

    /// <summary>Seconds from shortly before the stretch to when its first mention would begin.</summary>
    Delay,

    /// <summary>How many mentions it has there.</summary>
    Count,

    /// <summary>Whether one of them is announced.</summary>
    Announced,

    /// <summary>The strongest mention of any other move there.</summary>
    OtherWeight,

    /// <summary>The strongest mention of the move the stretch was read as.</summary>
    CurrentWeight,

    /// <summary>How likely what is said as the stretch begins is said of it, and its lead before the likeliest other.</summary>
    Chance,
    Lead,

    /// <summary>Likewise for all that is said in the stretch, with the lead before nothing being done, and before the move the stretch was read as.</summary>
    AllChance,
    AllLead,
    AllIdle,
    AllCurrent,

    /// <summary>How like all that is said is to what the lexicon says of it, in twos; its lead before the others that come into question, and before the move the stretch was read as.</summary>
    Likeness,
    LikeLead,
    LikeCurrent,

    /// <summary>How many other stretches are read as this move, and its strongest mention in them.</summary>
    Elsewhere,
    ElsewhereWeight,

    /// <summary>How often the move of the stretch before is followed by it elsewhere in the class, and by any.</summary>
    RoundFollows,
    RoundAfter,

    /// <summary>How often the move of the stretch after comes after it elsewhere in the class, and after any.</summary>
    RoundLeads,
    RoundBefore,

    /// <summary>The share of the stretches at its place in other rounds that are of this move, in twentieths; its strongest mention in those; and how much of the class its rounds tell, in twentieths.</summary>
    Mates,
    MateWeight,
    Rounds,

    /// <summary>How much likelier it is in a class with the others, right after the one before, and before the one after; in tenths.</summary>
    Company,
    Follows,
    LeadsTo,

    /// <summary>Length of the stretch, in threes of seconds; and against the mean of the other stretches of this move, as a logarithm to the base 2, in twentieths.</summary>
    Length,
    Longer,

    /// <summary>Whether it is of the pattern of the move the stretch was read as (1), or that move (2).</summary>
    Pattern,

    /// <summary>Whether its name says that one's and more (2), or less (1).</summary>
    Fuller,

    /// <summary>Whether it is done where the body is as the stretch begins to be told: 0 where nobody knows, 1 for a place of it, 2 for one it is done in too, 3 for neither.</summary>
    Fits,

    /// <summary>Whether it is work (0), mobility (1) or a stretch (2), and the same of the moves before and after; 8 where those are this move, 9 where there are none.</summary>
    Kind,
    KindBefore,
    KindAfter,

    /// <summary>How likely what is said once it is under way is said of it, and its lead there.</summary>
    LaterChance,
    LaterLead,

    /// <summary>How many different words of its beginning tell anything.</summary>
    Words,

    /// <summary>How many moves come into question.</summary>
    Choices,

    /// <summary>The twentieth of the class it begins in.</summary>
    Place,

    /// <summary>Whether the class is timed.</summary>
    Timed,

    /// <summary>The sides of the move.</summary>
    Sides,
}

/// <summary>Tells the traits of the moves that come into question for each stretch of one recording.</summary>
internal sealed class MoveChoiceTraits(Speech speech, MentionsHeard heard, IReadOnlyList<Mention> judged, IReadOnlyList<Segment> segments)
{
    /// <summary>What begins so many seconds before a stretch is of it.</summary>
    private const double Ahead = 6;

    /// <summary>Seconds before a stretch in which what is said is of its beginning, and so many into it.</summary>
    private const double SaidBefore = 2;
    private const double Beginning = 12;

    /// <summary>Seconds into a stretch from which it is under way.</summary>
    private const double Begins = 8;

    /// <summary>The mentions of each move, since every move in question is asked for.</summary>
    private readonly ILookup<string, Mention> _mentions = judged.ToLookup(m => m.Move.Id);

    /// <summary>What lies at the place of each stretch in the other rounds.</summary>
    private readonly RoundMates _rounds = new(segments);

    private readonly string[] _moves = [.. segments.Select(s => s.Move.Id).Distinct()];

    public static IReadOnlyList<string> Names { get; } = Enum.GetNames<ChoiceTrait>();

    /// <summary>The words of a stretch: from shortly before it, from its start, from where it is under way, up to where it has begun, and up to its end.</summary>
    internal readonly record struct Words(int From, int Start, int UnderWay, int Begun, int End)
    {
        public static Words Of(Speech speech, Segment segment) => Of(speech, segment.Start, segment.End);

        public static Words Of(Speech speech, double start, double end)
        {
            int At(double time) => Clocked.From(speech.Tokens, time);
            return new Words(At(start - SaidBefore), At(start), At(Math.Min(end, start + Begins)), At(Math.Min(end, start + Beginning)), At(end));
        }
    }

    /// <summary>The moves that come into question, what is told of each, and the mentions they have in the stretch.</summary>
    internal sealed record Asked(IReadOnlyList<Move> Moves, IReadOnlyList<byte[]> Told, IReadOnlyList<Mention> Near)
    {
        public List<Mention> Mentions(int index) => [.. Near.Where(m => m.Move.Id == Moves[index].Id)];
    }

    /// <summary>What lies at the place of a stretch in the other rounds.</summary>
    public IReadOnlyList<Segment> Mates(int index) => _rounds.Of(index);

    /// <summary>The mentions that would begin in a stretch.</summary>
    public static IEnumerable<Mention> In(IEnumerable<Mention> mentions, Segment segment) => mentions.Where(m => m.Weight > 0 && m.EffectiveAt >= segment.Start - Ahead && m.EffectiveAt < segment.End);

    public Asked Candidates(int index, IReadOnlyList<Move> moves)
    {
        var segment = segments[index];
        var near = In(judged, segment).ToList();
        var mates = Mates(index);
        var words = Words.Of(speech, segment);
        var likeness = moves.Select(m => heard.Hearing.Listened.For(m, words.From, words.End)).ToList();
        var current = heard.Hearing.Told.Of(moves[0], words.From, words.End);
        var told = moves.Select((move, i) =>
        {
            var row = TraitRow.Untold(Names.Count);
            void Tell(ChoiceTrait trait, double value) => row[(int)trait] = TraitRow.Told(Math.Floor(value));
            Tell(ChoiceTrait.Current, i == 0 ? 1 : 0);
            Tell(ChoiceTrait.Sides, (int)move.Sides);
            Tell(ChoiceTrait.Choices, moves.Count);
            Tell(ChoiceTrait.Place, 20 * segment.Start / speech.End.Value);
            Tell(ChoiceTrait.Timed, heard.Dose.Timed ? 1 : 0);
            if (words.From < speech.Tokens.Count)
            {
                Tell(ChoiceTrait.Fits, MentionTraits.Fits(move, heard.Hearing.Places[Math.Max(words.From, words.End - 1)]));
            }

            Tell(ChoiceTrait.Pattern, i == 0 ? 2 : move.Pattern == moves[0].Pattern ? 1 : 0);
            Tell(ChoiceTrait.Fuller, move.NamesMoreThan(moves[0]) ? 2 : moves[0].NamesMoreThan(move) ? 1 : 0);
            OfMentions(Tell, near, move, moves[0], segment);
            OfWords(Tell, words, move, current);
            Tell(ChoiceTrait.Likeness, MentionTraits.Middle + (likeness[i] / 2));
            Tell(ChoiceTrait.LikeLead, MentionTraits.Middle + ((likeness[i] - likeness.Where((_, other) => other != i).DefaultIfEmpty(0).Max()) / 2));
            Tell(ChoiceTrait.LikeCurrent, MentionTraits.Middle + ((likeness[i] - likeness[0]) / 2));
            OfClass(Tell, index, move);
            OfNeighbours(Tell, index, move);
            OfRounds(Tell, mates, move);
            return row;
        });
        return new Asked(moves, [.. told], near);
    }

    /// <summary>The weight of the strongest mention, in twentieths; 0 where there is none.</summary>
    public static double Strongest(IEnumerable<Mention> mentions) => mentions.Select(m => 20 * m.Weight).DefaultIfEmpty(0).Max();

    private static void OfMentions(Action<ChoiceTrait, double> tell, List<Mention> near, Move move, Move current, Segment segment)
    {
        const double most = 3;
        var own = near.FindAll(m => m.Move.Id == move.Id);
        tell(ChoiceTrait.Weight, Strongest(own));
        tell(ChoiceTrait.Sum, 10 * Math.Min(most, own.Sum(m => m.Weight)));
        tell(ChoiceTrait.Best, own.Count == 0 ? 0 : own.Exists(m => m.IsClear) ? 3 : own.Exists(m => !m.Faint) ? 2 : 1);
        if (own.Count > 0)
        {
            tell(ChoiceTrait.Delay, own.Min(m => m.EffectiveAt) - segment.Start + Ahead);
        }

        tell(ChoiceTrait.Count, own.Count);
        tell(ChoiceTrait.Announced, own.Exists(m => m.Role == Role.Announced) ? 1 : 0);
        tell(ChoiceTrait.OtherWeight, Strongest(near.Where(m => m.Move.Id != move.Id)));
        tell(ChoiceTrait.CurrentWeight, Strongest(near.Where(m => m.Move.Id == current.Id)));
    }

    private void OfWords(Action<ChoiceTrait, double> tell, Words words, Move move, ToldMove? current)
    {
        if (heard.Hearing.Told.Of(move, words.From, words.Begun) is { } first)
        {
            tell(ChoiceTrait.Chance, MentionTraits.Quarters(first.Chance));
            tell(ChoiceTrait.Lead, MentionTraits.Quarters(first.Lead));
            tell(ChoiceTrait.Words, first.Words);
        }

        if (heard.Hearing.Told.Of(move, words.UnderWay, words.End) is { } later)
        {
            tell(ChoiceTrait.LaterChance, MentionTraits.Quarters(later.Chance));
            tell(ChoiceTrait.LaterLead, MentionTraits.Quarters(later.Lead));
        }

        if (heard.Hearing.Told.Of(move, words.From, words.End) is { } all)
        {
            tell(ChoiceTrait.AllChance, MentionTraits.Quarters(all.Chance));
            tell(ChoiceTrait.AllLead, MentionTraits.Quarters(all.Lead));
            tell(ChoiceTrait.AllIdle, MentionTraits.Quarters(all.Idle));
            if (current is { } other)
            {
                tell(ChoiceTrait.AllCurrent, MentionTraits.Quarters(all.Chance - other.Chance));
            }
        }
    }

    private void OfClass(Action<ChoiceTrait, double> tell, int index, Move move)
    {
        var segment = segments[index];
        var same = segments.Where((s, i) => i != index && s.Move.Id == move.Id).Select(s => s.End - s.Start).ToList();
        tell(ChoiceTrait.Elsewhere, same.Count);
        tell(ChoiceTrait.ElsewhereWeight, Strongest(_mentions[move.Id].Where(m => m.EffectiveAt < segment.Start - Ahead || m.EffectiveAt > segment.End)));
        tell(ChoiceTrait.Company, 10 * heard.Company.Together(move.Id, _moves));
        tell(ChoiceTrait.Length, (segment.End - segment.Start) / 3);
        if (same.Count > 0)
        {
            tell(ChoiceTrait.Longer, MentionTraits.Middle + (20 * Math.Log2((segment.End - segment.Start) / same.Average())));
        }
    }

    private void OfRounds(Action<ChoiceTrait, double> tell, IReadOnlyList<Segment> mates, Move move)
    {
        if (mates.Count > 0)
        {
            tell(ChoiceTrait.Mates, 20.0 * mates.Count(m => m.Move.Id == move.Id) / mates.Count);
            tell(ChoiceTrait.MateWeight, Strongest(mates.SelectMany(m => In(_mentions[move.Id], m))));
            tell(ChoiceTrait.Rounds, 20 * _rounds.Share!.Value);
        }
    }

    private void OfNeighbours(Action<ChoiceTrait, double> tell, int index, Move move)
    {
        int KindAt(int beside) => beside < 0 || beside >= segments.Count ? 9 : segments[beside].Move.Id == move.Id ? 8 : MentionTraits.Kind(segments[beside].Move);
        tell(ChoiceTrait.Kind, MentionTraits.Kind(move));
        tell(ChoiceTrait.KindBefore, KindAt(index - 1));
        tell(ChoiceTrait.KindAfter, KindAt(index + 1));
        var (by, any) = Beside(-1);
        tell(ChoiceTrait.RoundFollows, by);
        tell(ChoiceTrait.RoundAfter, any);
        (by, any) = Beside(1);
        tell(ChoiceTrait.RoundLeads, by);
        tell(ChoiceTrait.RoundBefore, any);
        if (index > 0 && segments[index - 1].Move.Id != move.Id)
        {
            tell(ChoiceTrait.Follows, 10 * heard.Company.After(segments[index - 1].Move.Id, move.Id));
        }

        if (index + 1 < segments.Count && segments[index + 1].Move.Id != move.Id)
        {
            tell(ChoiceTrait.LeadsTo, 10 * heard.Company.After(move.Id, segments[index + 1].Move.Id));
        }

        // How often the move stands beside the same neighbour elsewhere, and how often any does.
        (int By, int Any) Beside(int way)
        {
            var (by, any) = (0, 0);
            if (index + way < 0 || index + way >= segments.Count)
            {
                return (by, any);
            }

            for (var i = Math.Max(0, -way); i < Math.Min(segments.Count, segments.Count - way); i++)
            {
                if (i != index && segments[i + way].Move.Id == segments[index + way].Move.Id)
                {
                    any++;
                    by += segments[i].Move.Id == move.Id ? 1 : 0;
                }
            }

            return (by, any);
        }
    }
}
