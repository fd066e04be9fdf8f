using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What is asked of a mention before it is judged; see <see cref="MentionTraits"/> for how each is told. "Near" and the like are in seconds there.</summary>
public enum Trait
{
    /// <summary>Whether it is only faintly heard.</summary>
    Faint,

    /// <summary>The pattern of the move, by its place among <see cref="Vocabulary.Patterns"/> in alphabetical order.</summary>
    Pattern,

    /// <summary>The activity its MET is of, by its place among those of the shipped lexicon in alphabetical order.</summary>
    Activity,

    /// <summary>Whether its move is work, mobility or a stretch.</summary>
    Kind,

    /// <summary>The sides of its move.</summary>
    Sides,

    /// <summary>What the words around do with it.</summary>
    Role,

    /// <summary>Whether it may be no name.</summary>
    Weak,

    /// <summary>Words said.</summary>
    Length,

    /// <summary>Words of the name.</summary>
    Name,

    /// <summary>Its own weight, by the rules, in twentieths.</summary>
    Weight,

    /// <summary>Whether the class is timed.</summary>
    Timed,

    /// <summary>The twentieth of the class it is said in.</summary>
    Place,

    /// <summary>Time since the last start that was called.</summary>
    SinceStart,

    /// <summary>Time since the last stop or break that was called.</summary>
    SinceStop,

    /// <summary>Time until the next start that is called.</summary>
    UntilStart,

    /// <summary>Time until it would begin.</summary>
    Lag,

    /// <summary>Whether sides are changed beside it.</summary>
    Turn,

    /// <summary>Whether a round or set is called beside it.</summary>
    Round,

    /// <summary>Whether the cool-down was called before it.</summary>
    CoolingDown,

    /// <summary>Whether the end of the warm-up was called before it.</summary>
    WarmedUp,

    /// <summary>Time until the class proper begins.</summary>
    UntilOpening,

    /// <summary>Time until the next stop or break that is called.</summary>
    UntilStop,

    /// <summary>Time until repetitions or seconds are counted next.</summary>
    UntilCount,

    /// <summary>Whether it is said amid a count.</summary>
    Counted,

    /// <summary>How many cues are said in the moments before it.</summary>
    CuesBefore,

    /// <summary>How many cues are said in the moments after it.</summary>
    CuesAfter,

    /// <summary>How much is said, in tens of words a minute.</summary>
    Pace,

    /// <summary>The kind of word right before it, by its place among <see cref="MentionTraits.WordsBefore"/>; as many as those where it is none of them.</summary>
    WordBefore,

    /// <summary>The kind of word right after it, likewise.</summary>
    WordAfter,

    /// <summary>Silence before it.</summary>
    SilenceBefore,

    /// <summary>Silence after it.</summary>
    SilenceAfter,

    /// <summary>Numbers said right after it.</summary>
    Numbers,

    /// <summary>How many words in it, or right before it, say what is not to be.</summary>
    Negations,

    /// <summary>Whether its move is done where the body is said to be.</summary>
    FitsSaid,

    /// <summary>Whether its move is done where the body is by the names before too.</summary>
    FitsPlace,

    /// <summary>Where the body is, by its place among <see cref="Vocabulary.Positions"/>; 0 where nobody knows.</summary>
    Body,

    /// <summary>How many other moves are named beside it.</summary>
    Beside,

    /// <summary>The weight of the strongest of those, in twentieths.</summary>
    BesideWeight,

    /// <summary>How many other moves would begin when it would.</summary>
    SameStart,

    /// <summary>Whether one of them is stronger.</summary>
    SameStartStronger,

    /// <summary>Whether another name for that start comes later.</summary>
    SameStartLater,

    /// <summary>Time since another move was clearly named.</summary>
    After,

    /// <summary>The role of that one.</summary>
    AfterRole,

    /// <summary>Time until another move is clearly named.</summary>
    Before,

    /// <summary>Whether a move of its pattern is clearly named nearby.</summary>
    Family,

    /// <summary>How much likelier its words are said of its move than of the one clearly named last, in twos.</summary>
    LikeUnderWay,

    /// <summary>What its words say for the move clearly named last, in twos.</summary>
    OfUnderWay,

    /// <summary>How much likelier its words are said of its move than of any other clearly named nearby, in twos.</summary>
    LikeNamed,

    /// <summary>How likely all that is said as it begins is said of its move; this and those that follow in quarters of a natural logarithm, see <see cref="ToldMove"/>.</summary>
    ToldChance,

    /// <summary>Its lead there before the likest other.</summary>
    ToldLead,

    /// <summary>Its lead there before the move clearly named last.</summary>
    ToldUnderWay,

    /// <summary>Its lead there before nothing being done.</summary>
    ToldIdle,

    /// <summary>How many different words say so.</summary>
    ToldWords,

    /// <summary>How likely what was said before it was said of its move.</summary>
    ToldBefore,

    /// <summary>Chance and lead by its own words and the few that follow.</summary>
    ToldShort,
    ToldShortLead,

    /// <summary>Chance and lead by what is said for longer.</summary>
    ToldLong,
    ToldLongLead,

    /// <summary>How often its move is named nearby.</summary>
    Repeated,

    /// <summary>How often its move is clearly named in the class.</summary>
    Elsewhere,

    /// <summary>The strongest other mention of its move, in twentieths.</summary>
    ElsewhereBest,

    /// <summary>Time from the first to the last mention of its move.</summary>
    Spread,

    /// <summary>Whether it is the first of its move.</summary>
    First,

    /// <summary>Whether it is the last of its move.</summary>
    Last,

    /// <summary>Whether no other of its move is stronger.</summary>
    Strongest,

    /// <summary>How many others of its move are said as done.</summary>
    OthersDone,

    /// <summary>How many others of its move are said as announced.</summary>
    OthersAnnounced,

    /// <summary>How many of its move are said as not done now.</summary>
    NotDone,

    /// <summary>Share of the names nearby that are as gentle, or not.</summary>
    GentleNear,

    /// <summary>Share of the names nearby that are as much a stretch, or not.</summary>
    StretchNear,

    /// <summary>Share of the names nearby that are done in its position.</summary>
    PlaceNear,

    /// <summary>Share of the names nearby that work its muscles.</summary>
    MuscleNear,

    /// <summary>How much likelier it is in a class with the moves that are named or clearly told, as a logarithm in tenths.</summary>
    Company,

    /// <summary>How much likelier it is right after the one named or clearly told before it, likewise.</summary>
    Follows,

    /// <summary>How much likelier the one named or clearly told after it is right after it, likewise.</summary>
    LeadsTo,

    /// <summary>How often the one named or clearly told before it is followed by its move elsewhere in the class, and by any.</summary>
    RoundFollows,
    RoundAfter,

    /// <summary>How often the one named or clearly told after it comes after its move elsewhere in the class, and after any.</summary>
    RoundLeads,
    RoundBefore,

    /// <summary>Likeness; see <see cref="LikeMove.Score"/>.</summary>
    Like,

    /// <summary>Lead of the likeness, in quarters from below 0 on.</summary>
    LikeLead,

    /// <summary>Words that speak for the likeness.</summary>
    LikeWords,

    /// <summary>Share of its words that speak for it, in twentieths.</summary>
    LikeDense,

    /// <summary>Of a faint mention: whether its move is faintly heard elsewhere too.</summary>
    FaintAgain,

    /// <summary>Of a faint mention: whether it is faintly heard nearby too.</summary>
    FaintAgainNear,

    /// <summary>Of a faint mention: whether its move is named at all.</summary>
    FaintNamed,

    /// <summary>Of a faint mention: whether it is the likest nearby.</summary>
    FaintLikest,
}

/// <summary>Tells the traits of the mentions of one recording.</summary>
internal sealed class MentionTraits
{
    /// <summary>Seconds at which each step of a time ends.</summary>
    private static readonly double[] Steps = [1, 2, 3, 4.5, 6, 8, 10, 12, 15, 20, 25, 35, 45, 70];

    /// <summary>What a trait tells that cannot be asked of a mention.</summary>
    internal const byte NotTold = byte.MaxValue;

    private static readonly HashSet<string> Negation =
        ["don't", "dont", "not", "no", "never", "without", "isn't", "aren't", "won't", "can't", "doesn't", "didn't", "shouldn't", "wouldn't", "avoid", "rather", "instead"];

    /// <summary>Words that come before a name, by what they make of it: from those that call it to those that only speak of it.</summary>
    internal static readonly ImmutableArray<ImmutableHashSet<string>> WordsBefore =
    [
        ["now", "go", "into", "begin", "start", "ready", "okay", "alright", "right"], ["and"], ["then", "next", "first", "last", "second", "third", "final"],
        ["do", "doing", "take", "taking", "try", "let's", "back", "to", "come", "hit"], ["is", "are", "it's", "that's", "called", "be"], ["a", "an", "the", "this", "that", "some", "another", "your", "our", "my"],
        ["with", "from", "for", "of", "in", "on", "by", "at", "after", "before"], ["we", "you", "i", "we're", "you're", "i'm", "keep", "more"], ["like", "as", "or", "than", "if", "not", "no", "just"],
    ];

    /// <summary>Words that come after a name, likewise.</summary>
    internal static readonly ImmutableArray<ImmutableHashSet<string>> WordsAfter =
    [
        ["now", "go", "ready", "here", "again", "please", "okay"], ["and"], ["then", "next", "first", "last", "before", "after", "later"], ["to", "into", "up", "down", "out", "back", "forward", "over"],
        ["is", "are", "it's", "that's", "was"], ["so", "which", "because", "where"], ["with", "from", "for", "of", "in", "on", "by", "at"], ["we", "you", "i", "we're", "you're", "i'm", "your", "the", "my"], ["or", "if", "but", "not", "like"],
    ];

    private static readonly string[] Patterns = [.. Vocabulary.Patterns.Order(StringComparer.Ordinal)];
    private static readonly string[] Activities = [.. MoveLexicon.Default.Moves.Select(m => m.Activity.Id).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>Seconds between two mentions that are in one breath, for one start, of one group, near by, around, soon after, and no time at all. Ours, as all that follow.</summary>
    private const double Breath = 8;
    private const double OneStart = 5;
    private const double OneGroup = 40;
    private const double Nearby = 45;
    private const double Around = 60;
    private const double SoonAgain = 30;
    private const double Never = 127;

    /// <summary>From these weights on a mention is heard, is clear, and is surely a name.</summary>
    private const double Heard = 0.2;
    internal const double Clear = 0.4;
    private const double Surely = 0.5;

    private readonly Speech _speech;
    private readonly bool _timed;
    private readonly double _end;
    private readonly IReadOnlyList<Mark> _marks;
    private readonly List<Mention> _all;
    private readonly List<Mention> _clear;

    /// <summary>The moves asked about for one mention; kept, since a set made anew for each costs more than the asking.</summary>
    private readonly HashSet<string> _asked = [];
    private readonly Body[] _body;
    private readonly List<Mention> _byEffect;

    /// <summary>Those that are named, and those clearly told; and how well each move goes with them.</summary>
    private readonly List<Mention> _done;
    private readonly string[] _doneMoves;
    private readonly Dictionary<string, double> _together = [];
    private readonly MoveCompany _company;
    private readonly ClassOrder _order;
    private readonly List<Mention> _faint;
    private readonly Dictionary<string, List<Mention>> _of;
    private readonly List<double> _starts;
    private readonly List<double> _stops;
    private readonly double _coolDown;
    private readonly double _warmedUp;
    private readonly double _opening;
    private readonly int _pace;
    private readonly List<(double From, double To)> _counts;
    private readonly List<double> _cues;
    private readonly byte[] _told = new byte[Names.Length];
    private readonly DescriptionLikeness.Heard _listened;
    private readonly MoveClassifier.Heard _heardOf;
    private readonly PositionTrack _position;
    private readonly string[] _places;

    public MentionTraits(Speech speech, MentionsHeard heard)
    {
        var (marks, dose, mentions) = (heard.Marks, heard.Dose, heard.All);
        (_listened, _heardOf, _position, _places) = (heard.Hearing.Listened, heard.Hearing.Told, heard.Hearing.Position, heard.Hearing.Places);
        (_speech, _timed, _end, _marks, _all) = (speech, dose.Timed, speech.End.Value, marks, mentions);
        _clear = mentions.FindAll(m => !m.Weak && m.Weight > Clear);
        _body = [.. _clear.Select(m => Body.Of(m.Move))];
        (_company, _order) = (heard.Company, heard.Order);
        _done = mentions.FindAll(m => (!m.Weak && m.Weight > Clear) || IsClearlyTold(m));
        _doneMoves = [.. _done.Select(m => m.Move.Id).Distinct()];
        _byEffect = [.. mentions.Where(m => m.Weight > Heard).OrderBy(m => m.EffectiveAt)];
        _faint = mentions.FindAll(m => m.Faint);
        _of = mentions.GroupBy(m => m.Move.Id).ToDictionary(g => g.Key, g => g.ToList());
        List<double> At(params MarkKind[] kinds) => [.. marks.Where(m => kinds.Contains(m.Kind)).Select(m => m.At)];
        (_starts, _stops) = (At(MarkKind.Start), At(MarkKind.Stop, MarkKind.Break));
        double FirstOf(MarkKind kind) => At(kind).DefaultIfEmpty(double.PositiveInfinity).First();
        _opening = heard.Opening;
        _pace = (int)(speech.WordsAMinute / 10);
        _counts = [.. speech.Counts.Select(c => (speech.At(c.Token), speech.At(c.LastToken)))];
        _cues = At(MarkKind.Doing);
        (_coolDown, _warmedUp) = (FirstOf(MarkKind.CoolDown), FirstOf(MarkKind.WarmUpOver));
    }

    /// <summary>The traits, in the order they are told.</summary>
    public static ImmutableArray<string> Names { get; } = [.. Enum.GetNames<Trait>()];

    /// <summary>What each trait tells of one of the mentions. The values stand until the next is asked for.</summary>
    public ReadOnlySpan<byte> Of(Mention m)
    {
        Array.Fill(_told, NotTold);
        Tell(Trait.Faint, Bit(m.Faint));
        Tell(Trait.Kind, Kind(m.Move));
        Tell(Trait.Sides, (int)m.Move.Sides);
        Tell(Trait.Role, (int)m.Role);
        Tell(Trait.Weak, Bit(m.Weak));
        Tell(Trait.Length, m.Length);
        Tell(Trait.Weight, Twentieths(m.Weight));
        Tell(Trait.Timed, Bit(_timed));
        Tell(Trait.Place, (int)(20 * m.At / _end));
        Tell(Trait.Pattern, Array.IndexOf(Patterns, m.Move.Pattern));
        Tell(Trait.Activity, Array.IndexOf(Activities, m.Move.Activity.Id));
        Tell(Trait.Name, m.Move.Name.AsSpan().Count(' ') + 1);
        OfMarks(m);
        OfWords(m);
        OfPlace(m);
        var (before, after) = (Neighbour(m, -1), Neighbour(m, 1));
        OfOthers(m, before, after);
        var underWay = before is null || m.At - before.At > StillUnderWay ? null : before;
        OfUnderWay(m, underWay);
        OfAllSaid(m, underWay);
        OfSame(m);
        OfNearby(m);
        OfCompany(m);
        if (m.Like is { } like)
        {
            OfLikeness(m, like);
        }

        return _told;
    }

    /// <summary>Work (0), mobility (1) or a stretch (2).</summary>
    internal static int Kind(Move move) => move.IsStretch ? 2 : Bit(move.IsGentle);

    private void Tell(Trait trait, int value) => _told[(int)trait] = (byte)Math.Clamp(value, 0, NotTold - 1);

    /// <summary>A time, in steps.</summary>
    private void Tell(Trait trait, double seconds)
    {
        var step = 0;
        while (step < Steps.Length && seconds >= Steps[step])
        {
            step++;
        }

        Tell(trait, step);
    }

    private static int Twentieths(double weight) => (int)(20 * weight);

    private static int Bit(bool value) => value ? 1 : 0;

    private static int From(List<double> sorted, double at) => Clocked.From(sorted, at, static t => t);

    private static double Since(List<double> sorted, double at) => From(sorted, Math.BitIncrement(at)) is > 0 and var next ? at - sorted[next - 1] : Never;

    private void OfMarks(Mention m)
    {
        // A mark has the time its phrase ends; one that ends as the name begins is before it.
        const double justNow = 0.5;
        const double turn = 8;
        const double round = 10;
        const double cueing = 15;
        var next = From(_starts, Math.BitIncrement(m.At));
        Tell(Trait.SinceStart, Since(_starts, m.At + justNow) - justNow);
        Tell(Trait.SinceStop, Since(_stops, m.At + justNow) - justNow);
        Tell(Trait.UntilStart, next < _starts.Count ? _starts[next] - m.At : Never);
        Tell(Trait.Lag, m.EffectiveAt - m.At);
        Tell(Trait.Turn, Bit(Clocked.Between(_marks, m.At - turn, m.At + turn).Any(k => k.Kind == MarkKind.SwitchSide)));
        Tell(Trait.Round, Bit(Clocked.Between(_marks, m.At - round, m.At + round).Any(k => k.Kind is MarkKind.Round or MarkKind.Again)));
        Tell(Trait.UntilOpening, Math.Max(0, _opening - m.At));
        var stop = From(_stops, Math.BitIncrement(m.At));
        Tell(Trait.UntilStop, stop < _stops.Count ? _stops[stop] - m.At : Never);
        var count = Clocked.From(_counts, m.At, static c => c.From);
        Tell(Trait.UntilCount, count < _counts.Count ? _counts[count].From - m.At : Never);
        Tell(Trait.Counted, Bit(count > 0 && _counts[count - 1].To >= m.At));
        Tell(Trait.CuesBefore, From(_cues, m.At) - From(_cues, m.At - cueing));
        Tell(Trait.CuesAfter, From(_cues, m.At + cueing) - From(_cues, m.At));
        Tell(Trait.Pace, _pace);
        Tell(Trait.CoolingDown, Bit(_coolDown < m.At));
        Tell(Trait.WarmedUp, Bit(_warmedUp < m.At));
    }

    private void OfWords(Mention m)
    {
        const double rightAfter = 12;
        var (tokens, after) = (_speech.Tokens, m.Token + m.Length);
        Tell(Trait.WordBefore, KindOf(WordsBefore, m.Token > 0 ? tokens[m.Token - 1].Text : ""));
        Tell(Trait.WordAfter, KindOf(WordsAfter, after < tokens.Count ? tokens[after].Text : ""));
        Tell(Trait.SilenceBefore, m.Token > 0 ? m.At - tokens[m.Token - 1].At : Never);
        Tell(Trait.SilenceAfter, after < tokens.Count ? tokens[after].At - tokens[after - 1].At : Never);
        var numbers = 0;
        for (var t = m.Token; t < tokens.Count && tokens[t].At < m.At + rightAfter; t++)
        {
            numbers += Bit(tokens[t].Number is not null);
        }

        Tell(Trait.Numbers, numbers);

        // "Your top arm shouldn't be swinging about", "don't twist": how not to do what is under way.
        const int rightBefore = 2;
        var negations = 0;
        for (var t = Math.Max(0, m.Token - rightBefore); t < Math.Min(tokens.Count, after); t++)
        {
            negations += Bit(Negation.Contains(tokens[t].Text));
        }

        Tell(Trait.Negations, negations);
    }

    /// <summary>The place of the first kind that has a word; as many as there are where none has.</summary>
    private static int KindOf(ImmutableArray<ImmutableHashSet<string>> kinds, string word)
    {
        var kind = 0;
        while (kind < kinds.Length && !kinds[kind].Contains(word))
        {
            kind++;
        }

        return kind;
    }

    /// <summary>Whether a move is done where the body is: 0 where nobody knows, 1 for a place of it, 2 for one it is done in too, 3 for neither.</summary>
    internal static int Fits(Move move, string place) => place.Length == 0 || move.Positions.IsEmpty ? 0 : move.Positions.Contains(place) ? 1 : move.IsDone(place) ? 2 : 3;

    private void OfPlace(Mention m)
    {
        var place = _places[m.Token];
        Tell(Trait.FitsSaid, Fits(m.Move, _position.At(m.Token)));
        Tell(Trait.FitsPlace, Fits(m.Move, place));
        Tell(Trait.Body, Vocabulary.Positions.IndexOf(place) + 1);
    }

    /// <summary>What is heard of other moves that would begin when this one would.</summary>
    private IEnumerable<Mention> AtStartOf(Mention m)
    {
        for (var i = Clocked.From(_byEffect, Math.BitIncrement(m.EffectiveAt - OneStart), static o => o.EffectiveAt); i < _byEffect.Count && _byEffect[i].EffectiveAt < m.EffectiveAt + OneStart; i++)
        {
            if (_byEffect[i].Move.Id != m.Move.Id)
            {
                yield return _byEffect[i];
            }
        }
    }

    /// <summary>True where no other move is clearly named for the start of this one.</summary>
    public bool IsAloneAtStart(Mention m) => AtStartOf(m).All(o => o.Weak);

    private void OfOthers(Mention m, Mention? before, Mention? after)
    {
        var (others, strongest) = (new HashSet<string>(), 0.0);
        for (var i = Clocked.From(_all, Math.BitIncrement(m.At - Breath)); i < _all.Count && _all[i].At < m.At + Breath; i++)
        {
            if (_all[i].Weight > Heard && _all[i].Move.Id != m.Move.Id)
            {
                others.Add(_all[i].Move.Id);
                strongest = Math.Max(strongest, _all[i].Weight);
            }
        }

        Tell(Trait.Beside, others.Count);
        Tell(Trait.BesideWeight, Twentieths(strongest));

        var (stronger, later) = (false, false);
        others.Clear();
        foreach (var other in AtStartOf(m))
        {
            others.Add(other.Move.Id);
            stronger |= other.Weight > m.Weight;
            later |= other.At > m.At && !other.Weak;
        }

        Tell(Trait.SameStart, others.Count);
        Tell(Trait.SameStartStronger, Bit(stronger));
        Tell(Trait.SameStartLater, Bit(later));

        Tell(Trait.After, before is null ? Never : m.At - before.At);
        if (before is not null)
        {
            Tell(Trait.AfterRole, (int)before.Role);
        }

        Tell(Trait.Before, after is null ? Never : after.At - m.At);
        var family = false;
        for (var i = Clocked.From(_all, Math.BitIncrement(m.At - OneGroup)); i < _all.Count && _all[i].At < m.At + OneGroup; i++)
        {
            family |= !_all[i].Weak && _all[i].Move.Pattern == m.Move.Pattern && _all[i].Move.Id != m.Move.Id;
        }

        Tell(Trait.Family, Bit(family));
    }

    /// <summary>What the words of a mention say for its move beside the move under way and beside what else is named: words that are as like the move under way are most often said of how that one is done.</summary>
    private void OfUnderWay(Mention m, Mention? underWay)
    {
        // Of a name of few words, with what is said beside it.
        const int few = 3;
        const int beside = 8;
        var (from, to) = m.Length > few ? (m.Token, m.Token + m.Length) : (Math.Max(0, m.Token - few), Math.Min(_speech.Tokens.Count, m.Token + m.Length + beside));
        var own = _listened.For(m.Move, from, to);
        if (m.Weak && BestNamed(m, from, to) is { } best)
        {
            Tell(Trait.LikeNamed, Twos(own - best));
        }

        if (underWay is null)
        {
            return;
        }

        var running = _listened.For(underWay.Move, from, to);
        Tell(Trait.LikeUnderWay, Twos(own - running));
        Tell(Trait.OfUnderWay, Twos(running));
    }

    /// <summary>A move that was named so many seconds ago may still be under way.</summary>
    private const double StillUnderWay = 75;

    /// <summary>What all that is said as it begins says of its move, in which its own words are few.</summary>
    private void OfAllSaid(Mention m, Mention? underWay)
    {
        const double lead = 2;
        const double beginning = 10;
        const double few = 5;
        const double longer = 25;
        var (from, to) = (From(m.At - lead), From(m.At + beginning));
        if (_heardOf.Of(m.Move, from, to, underWay?.Move) is { } told)
        {
            Tell(Trait.ToldChance, Quarters(told.Chance));
            Tell(Trait.ToldLead, Quarters(told.Lead));
            Tell(Trait.ToldIdle, Quarters(told.Idle));
            Tell(Trait.ToldWords, told.Words);
            if (told.Beside is { } beside)
            {
                Tell(Trait.ToldUnderWay, Quarters(beside));
            }
        }

        if (_heardOf.Of(m.Move, m.Token, From(m.At + few)) is { } own)
        {
            Tell(Trait.ToldShort, Quarters(own.Chance));
            Tell(Trait.ToldShortLead, Quarters(own.Lead));
        }

        if (_heardOf.Of(m.Move, from, From(m.At + longer)) is { } all)
        {
            Tell(Trait.ToldLong, Quarters(all.Chance));
            Tell(Trait.ToldLongLead, Quarters(all.Lead));
        }

        if (_heardOf.Of(m.Move, From(m.At - beginning), m.Token) is { } earlier)
        {
            Tell(Trait.ToldBefore, Quarters(earlier.Chance));
        }
    }

    /// <summary>The first word that is said at a time or after it.</summary>
    private int From(double time) => Clocked.From(_speech.Tokens, time);

    internal static int Quarters(float logarithm) => Middle + (int)MathF.Floor(4 * logarithm);

    /// <summary>A likeness, which may be below 0, in twos.</summary>
    private static int Twos(double likeness) => Math.Clamp((int)Math.Floor(likeness / 2) + Middle, 0, 2 * Middle);

    /// <summary>What words say at best for another move that is clearly named not long before or after.</summary>
    private double? BestNamed(Mention m, int from, int to)
    {
        const double around = 90;
        double? best = null;
        _asked.Clear();
        _asked.Add(m.Move.Id);
        for (var i = Clocked.From(_clear, m.At - around); i < _clear.Count && _clear[i].At <= m.At + around; i++)
        {
            if (_asked.Add(_clear[i].Move.Id))
            {
                best = Math.Max(best ?? double.NegativeInfinity, _listened.For(_clear[i].Move, from, to));
            }
        }

        return best;
    }

    /// <summary>The last or next clear name of another move.</summary>
    private Mention? Neighbour(Mention m, int way)
    {
        var from = way < 0 ? Clocked.From(_clear, m.At) - 1 : Clocked.From(_clear, Math.BitIncrement(m.At));
        return OfAnother(m, _clear, from, way, static o => o.Weight > Surely);
    }

    /// <summary>From one of some mentions on, or back, the first that is of another move than this and counts.</summary>
    private static Mention? OfAnother(Mention m, List<Mention> mentions, int from, int way, Func<Mention, bool> counts)
    {
        for (var i = from; i >= 0 && i < mentions.Count; i += way)
        {
            if (mentions[i].Move.Id != m.Move.Id && counts(mentions[i]))
            {
                return mentions[i];
            }
        }

        return null;
    }

    private void OfSame(Mention m)
    {
        var (near, clear, best, doing, announced, notDone) = (0, 0, 0.0, 0, 0, 0);
        var same = _of[m.Move.Id];
        foreach (var other in same)
        {
            notDone += Bit(other.Role is not (Role.Doing or Role.Announced));
            if (ReferenceEquals(other, m))
            {
                continue;
            }

            near += Bit(Math.Abs(other.At - m.At) < SoonAgain);
            clear += Bit(!other.Weak);
            best = Math.Max(best, other.Weight);
            doing += Bit(other.Role == Role.Doing);
            announced += Bit(other.Role == Role.Announced);
        }

        Tell(Trait.Repeated, near);
        Tell(Trait.Elsewhere, clear);
        Tell(Trait.ElsewhereBest, Twentieths(best));
        Tell(Trait.Spread, same[^1].At - same[0].At);
        Tell(Trait.First, Bit(ReferenceEquals(same[0], m)));
        Tell(Trait.Last, Bit(ReferenceEquals(same[^1], m)));
        Tell(Trait.Strongest, Bit(best <= m.Weight));
        Tell(Trait.OthersDone, doing);
        Tell(Trait.OthersAnnounced, announced);
        Tell(Trait.NotDone, notDone);
    }

    /// <summary>Where a move is done and what it works, a bit each, so that two are soon held against each other.</summary>
    private readonly record struct Body(int Positions, int Muscles)
    {
        public static Body Of(Move move) => new(Bits(move.Positions, Vocabulary.Positions), Bits(move.Prime, Vocabulary.Muscles));

        private static int Bits(ImmutableArray<string> some, ImmutableArray<string> all)
        {
            var bits = 0;
            foreach (var one in some)
            {
                bits |= 1 << all.IndexOf(one);
            }

            return bits;
        }
    }

    private void OfNearby(Mention m)
    {
        var (around, gentle, stretch, nearby, place, muscle) = (0, 0, 0, 0, 0, 0);
        var own = Body.Of(m.Move);
        for (var i = Clocked.From(_clear, m.At - Around); i < _clear.Count && _clear[i].At <= m.At + Around; i++)
        {
            var other = _clear[i];
            if (other.Move.Id == m.Move.Id)
            {
                continue;
            }

            around++;
            gentle += Bit(other.Move.IsGentle == m.Move.IsGentle);
            stretch += Bit(other.Move.IsStretch == m.Move.IsStretch);
            if (Math.Abs(other.At - m.At) <= Nearby)
            {
                nearby++;
                place += Bit((_body[i].Positions & own.Positions) != 0);
                muscle += Bit((_body[i].Muscles & own.Muscles) != 0);
            }
        }

        TellShare(Trait.GentleNear, gentle, around);
        TellShare(Trait.StretchNear, stretch, around);
        TellShare(Trait.PlaceNear, place, nearby);
        TellShare(Trait.MuscleNear, muscle, nearby);
    }

    /// <summary>True for a description that is far more like its move than like any other.</summary>
    private static bool IsClearlyTold(Mention m)
    {
        const double score = 25;
        const double lead = 3;
        return m is { Like: { Score: >= score, Lead: >= lead }, Role: Role.Doing or Role.Announced };
    }

    private void OfCompany(Mention m)
    {
        // What is said in the same breath is another name for it, or a part of it.
        const double breath = 3;
        var id = m.Move.Id;
        if (!_together.TryGetValue(id, out var together))
        {
            _together[id] = together = _company.Together(id, _doneMoves);
        }

        Tell(Trait.Company, Tenths(together));
        if (OfAnother(m, _done, Clocked.From(_done, m.At - breath) - 1, -1, IsSure) is { } before)
        {
            Tell(Trait.Follows, Tenths(_company.After(before.Move.Id, id)));
            var (by, any) = _order.After(before, m);
            Tell(Trait.RoundFollows, by);
            Tell(Trait.RoundAfter, any);
        }

        if (OfAnother(m, _done, Clocked.From(_done, Math.BitIncrement(m.At + breath)), 1, IsSure) is { } after)
        {
            Tell(Trait.LeadsTo, Tenths(_company.After(id, after.Move.Id)));
            var (by, any) = _order.Before(after, m);
            Tell(Trait.RoundLeads, by);
            Tell(Trait.RoundBefore, any);
        }

        static bool IsSure(Mention other) => other.Weight >= Surely || other.Like is not null;
    }

    /// <summary>What nothing speaks for or against, where a trait may be below 0.</summary>
    internal const int Middle = 60;

    /// <summary>A logarithm in tenths.</summary>
    private static int Tenths(double logarithm) => (int)(10 * logarithm);

    /// <summary>A share, in twentieths; nothing where there is nothing to have a share in.</summary>
    private void TellShare(Trait trait, int of, int all)
    {
        if (all > 0)
        {
            Tell(trait, 20 * of / all);
        }
    }

    private void OfLikeness(Mention m, LikeMove like)
    {
        Tell(Trait.Like, (int)like.Score);
        Tell(Trait.LikeLead, Middle + (int)(4 * like.Lead));
        Tell(Trait.LikeWords, like.Words);
        TellShare(Trait.LikeDense, like.Words, Math.Max(1, m.Length));
        if (!m.Faint)
        {
            return;
        }

        const double aroundIt = 15;
        var same = _of[m.Move.Id];
        bool Again(Mention other) => other.Faint && !ReferenceEquals(other, m);
        bool IsClose(Mention other) => Math.Abs(other.At - m.At) < aroundIt;
        Tell(Trait.FaintAgain, Bit(same.Exists(Again)));
        Tell(Trait.FaintAgainNear, Bit(same.Exists(o => Again(o) && IsClose(o))));
        Tell(Trait.FaintNamed, Bit(same.Exists(o => !o.Faint)));
        var likest = true;
        for (var i = Clocked.From(_faint, m.At - aroundIt); i < _faint.Count && _faint[i].At < m.At + aroundIt; i++)
        {
            likest &= ReferenceEquals(_faint[i], m) || !IsClose(_faint[i]) || _faint[i].Like!.Value.Score < like.Score;
        }

        Tell(Trait.FaintLikest, Bit(likest));
    }
}
