using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What is asked of a mention before it is judged. Shares are in fifths, seconds in the steps of <see cref="MentionTraits"/>.</summary>
public enum Trait
{
    /// <summary>The pattern of the move, by its place among <see cref="Vocabulary.Patterns"/> in alphabetical order.</summary>
    Pattern,

    /// <summary>The activity its MET is of, by its place among those of the shipped lexicon in alphabetical order.</summary>
    Activity,

    /// <summary>Role, whether it may be no name, words.</summary>
    Said,

    /// <summary>Whether the class is timed, and the role.</summary>
    Timed,

    /// <summary>Work, mobility or stretch, and the tenth of the class it is said in.</summary>
    Gentle,

    /// <summary>Time since the last start that was called, and whether the class is timed.</summary>
    SinceStart,

    /// <summary>Time since the last stop or break that was called.</summary>
    SinceStop,

    /// <summary>Time until the next start that is called, and whether the class is timed.</summary>
    UntilStart,

    /// <summary>Time until it would begin, and the role.</summary>
    Lag,

    /// <summary>How many other moves are named beside it, and whether it may be no name.</summary>
    Beside,

    /// <summary>The strongest of those, and its own weight, in quarters.</summary>
    BesideWeight,

    /// <summary>How many other moves would begin when it would, and whether one of them is stronger.</summary>
    SameStart,

    /// <summary>Whether another name for that start comes later, the role, whether it may be no name.</summary>
    SameStartLater,

    /// <summary>Time since another move was clearly named, the role of that one, whether this may be no name.</summary>
    After,

    /// <summary>Time until another move is clearly named, and whether this may be no name.</summary>
    Before,

    /// <summary>How often its move is named nearby.</summary>
    Repeated,

    /// <summary>How often its move is clearly named in the class, and whether this may be no name.</summary>
    Elsewhere,

    /// <summary>The strongest other mention of its move, in fifths.</summary>
    ElsewhereBest,

    /// <summary>Whether a move of its pattern is clearly named nearby, and whether this may be no name.</summary>
    Family,

    /// <summary>Share of the names nearby that are as gentle, or not, and which.</summary>
    GentleNear,

    /// <summary>The same for stretches.</summary>
    StretchNear,

    /// <summary>Share of the names nearby that are done in its position, and whether this may be no name.</summary>
    PlaceNear,

    /// <summary>Share of the names nearby that work its muscles.</summary>
    MuscleNear,

    /// <summary>Time from the first to the last mention of its move, and whether this may be no name.</summary>
    Spread,

    /// <summary>Whether it is the first of its move, and whether it may be no name.</summary>
    First,

    /// <summary>Whether it is the last of its move, and whether it may be no name.</summary>
    Last,

    /// <summary>Whether no other of its move is stronger, and whether it may be no name.</summary>
    Strongest,

    /// <summary>How many others of its move are said as done, and as announced.</summary>
    Roles,

    /// <summary>How many of its move are said as not done now.</summary>
    NotDone,

    /// <summary>Whether sides are changed beside it, and the sides of its move.</summary>
    Turn,

    /// <summary>Whether a round or set is called beside it.</summary>
    Round,

    /// <summary>Whether the cool-down was called before it, and work, mobility or stretch.</summary>
    CoolingDown,

    /// <summary>Whether the end of the warm-up was called before it, and whether it is gentle.</summary>
    WarmedUp,

    /// <summary>Words of the name, whether it may be none, words said.</summary>
    Name,

    /// <summary>Numbers said right after it.</summary>
    Numbers,

    /// <summary>Silence before it.</summary>
    SilenceBefore,

    /// <summary>Silence after it.</summary>
    SilenceAfter,

    /// <summary>Likeness, in threes; see <see cref="LikeMove.Score"/>.</summary>
    Like,

    /// <summary>Lead of the likeness.</summary>
    LikeLead,

    /// <summary>Likeness in sixes, its lead in twos.</summary>
    LikeBoth,

    /// <summary>Words that speak for the likeness.</summary>
    LikeWords,

    /// <summary>Share of the words that speak for it, in quarters.</summary>
    LikeDense,

    /// <summary>Whether its move is done where the body is said to be, and where it is by the names before too, and whether this may be no name.</summary>
    Place,

    /// <summary>Where the body is, whether its move is done there, and whether this may be no name.</summary>
    PlaceIs,

    /// <summary>How much likelier its words are said of its move than of the one clearly named last, in fours, and whether this may be no name.</summary>
    LikeUnderWay,

    /// <summary>What its words say for the move clearly named last, in fours, the time since, and whether this may be no name.</summary>
    OfUnderWay,

    /// <summary>How much likelier its words are said of its move than of any other clearly named nearby, in fours, and whether this may be no name.</summary>
    LikeNamed,

    /// <summary>Of a faint mention: time since a clear name of another move.</summary>
    FaintSince,

    /// <summary>Of a faint mention: time until the next.</summary>
    FaintUntil,

    /// <summary>Of a faint mention: whether its move is faintly heard elsewhere too, nearby too, and named at all.</summary>
    FaintAgain,

    /// <summary>Of a faint mention: whether it is the likest nearby.</summary>
    FaintLikest,
}

/// <summary>One value of one trait.</summary>
/// <param name="Faint">True for those of faint mentions, which are judged by weights of their own.</param>
public readonly record struct TraitValue(Trait Trait, bool Faint, byte A, byte B, byte C);

/// <summary>Tells the traits of the mentions of one recording.</summary>
internal sealed class MentionTraits
{
    /// <summary>Seconds below which each step of a time ends.</summary>
    private static readonly double[] Steps = [1, 3, 6, 10, 15, 25, 45];
    private static readonly double[] FaintSteps = [2, 5, 9, 14, 20, 30, 45, 70];

    private static readonly string[] Patterns = [.. Vocabulary.Patterns.Order(StringComparer.Ordinal)];
    private static readonly string[] Activities = [.. MoveLexicon.Default.Moves.Select(m => m.Activity.Id).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>Seconds between two mentions that are in one breath, for one start, of one group, near by, around, soon after, just before. Ours, as all that follow.</summary>
    private const double Breath = 8;
    private const double OneStart = 5;
    private const double OneGroup = 40;
    private const double Nearby = 45;
    private const double Around = 60;
    private const double SoonAgain = 30;
    private const double JustBefore = 25;
    private const double NeverSince = 99;

    /// <summary>From these weights on a mention is heard, is clear, and is surely a name.</summary>
    private const double Heard = 0.2;
    private const double Clear = 0.4;
    private const double Surely = 0.5;

    private readonly Speech _speech;
    private readonly bool _timed;
    private readonly double _end;
    private readonly IReadOnlyList<Mark> _marks;
    private readonly List<Mention> _all;
    private readonly List<Mention> _clear;
    private readonly List<Mention> _byEffect;
    private readonly List<Mention> _faint;
    private readonly Dictionary<string, List<Mention>> _of;
    private readonly List<double> _starts;
    private readonly List<double> _stops;
    private readonly double _coolDown;
    private readonly double _warmedUp;
    private readonly List<TraitValue> _told = new(60);
    private readonly DescriptionLikeness.Heard _listened;
    private readonly PositionTrack _position;
    private readonly string[] _places;
    private bool _isFaint;

    public MentionTraits(Speech speech, MentionsHeard heard)
    {
        var (marks, dose, mentions) = (heard.Marks, heard.Dose, heard.All);
        (_listened, _position, _places) = (heard.Hearing.Listened, heard.Hearing.Position, heard.Hearing.Places);
        (_speech, _timed, _end, _marks, _all) = (speech, dose.Timed, speech.End.Value, marks, mentions);
        _clear = mentions.FindAll(m => !m.Weak && m.Weight > Clear);
        _byEffect = [.. mentions.Where(m => m.Weight > Heard).OrderBy(m => m.EffectiveAt)];
        _faint = mentions.FindAll(m => m.Faint);
        _of = mentions.GroupBy(m => m.Move.Id).ToDictionary(g => g.Key, g => g.ToList());
        List<double> At(params MarkKind[] kinds) => [.. marks.Where(m => kinds.Contains(m.Kind)).Select(m => m.At)];
        (_starts, _stops) = (At(MarkKind.Start), At(MarkKind.Stop, MarkKind.Break));
        double FirstOf(MarkKind kind) => At(kind).DefaultIfEmpty(double.PositiveInfinity).First();
        (_coolDown, _warmedUp) = (FirstOf(MarkKind.CoolDown), FirstOf(MarkKind.WarmUpOver));
    }

    /// <summary>The traits of one of the mentions. The list is used again for the next.</summary>
    public List<TraitValue> Of(Mention m)
    {
        _told.Clear();
        _isFaint = m.Faint;
        var weak = m.Weak ? 1 : 0;
        var role = (int)m.Role;
        var timed = _timed ? 1 : 0;
        var kind = m.Move.IsStretch ? 2 : m.Move.IsGentle ? 1 : 0;
        Tell(Trait.Said, role, weak, Math.Min(4, m.Length));
        Tell(Trait.Timed, timed, role);
        Tell(Trait.Gentle, kind, (int)(10 * m.At / _end));
        Tell(Trait.Pattern, Array.IndexOf(Patterns, m.Move.Pattern));
        Tell(Trait.Activity, Array.IndexOf(Activities, m.Move.Activity.Id));
        Tell(Trait.Name, Math.Min(3, m.Move.Name.AsSpan().Count(' ') + 1), weak, Math.Min(3, m.Length));
        OfMarks(m, role, timed, kind);
        OfWords(m);
        OfPlace(m, weak);
        var (before, after) = (Neighbour(m, -1), Neighbour(m, 1));
        OfOthers(m, role, weak, before, after);
        OfUnderWay(m, weak, before);
        OfSame(m, weak);
        OfNearby(m, weak);
        if (m.Like is { } like)
        {
            OfLikeness(m, like, before, after);
        }

        return _told;
    }

    private void Tell(Trait trait, int a, int b = 0, int c = 0) => _told.Add(new TraitValue(trait, _isFaint, (byte)a, (byte)b, (byte)c));

    private static int Step(double seconds) => Step(seconds, Steps);

    private static int Step(double seconds, double[] steps)
    {
        var step = 0;
        while (step < steps.Length && seconds >= steps[step])
        {
            step++;
        }

        return step;
    }

    private static int Bit(bool value) => value ? 1 : 0;

    private static int From(List<double> sorted, double at) => Clocked.From(sorted, at, static t => t);

    private static double Since(List<double> sorted, double at) => From(sorted, Math.BitIncrement(at)) is > 0 and var next ? at - sorted[next - 1] : NeverSince;

    private void OfMarks(Mention m, int role, int timed, int kind)
    {
        // A mark has the time its phrase ends; one that ends as the name begins is before it.
        const double justNow = 0.5;
        const double turn = 8;
        const double round = 10;
        var next = From(_starts, Math.BitIncrement(m.At));
        Tell(Trait.SinceStart, Step(Since(_starts, m.At + justNow) - justNow), timed);
        Tell(Trait.SinceStop, Step(Since(_stops, m.At + justNow) - justNow));
        Tell(Trait.UntilStart, Step(next < _starts.Count ? _starts[next] - m.At : NeverSince), timed);
        Tell(Trait.Lag, Step(m.EffectiveAt - m.At), role);
        Tell(Trait.Turn, Bit(Clocked.Between(_marks, m.At - turn, m.At + turn).Any(k => k.Kind == MarkKind.SwitchSide)), (int)m.Move.Sides);
        Tell(Trait.Round, Bit(Clocked.Between(_marks, m.At - round, m.At + round).Any(k => k.Kind is MarkKind.Round or MarkKind.Again)));
        Tell(Trait.CoolingDown, Bit(_coolDown < m.At), kind);
        Tell(Trait.WarmedUp, Bit(_warmedUp < m.At), Bit(kind > 0));
    }

    private void OfWords(Mention m)
    {
        const double rightAfter = 12;
        var (tokens, after) = (_speech.Tokens, m.Token + m.Length);
        Tell(Trait.SilenceBefore, Step(m.Token > 0 ? m.At - tokens[m.Token - 1].At : Steps[3]));
        Tell(Trait.SilenceAfter, Step(after < tokens.Count ? tokens[after].At - tokens[after - 1].At : Steps[3]));
        var numbers = 0;
        for (var t = m.Token; t < tokens.Count && tokens[t].At < m.At + rightAfter; t++)
        {
            numbers += Bit(tokens[t].Number is not null);
        }

        Tell(Trait.Numbers, Math.Min(3, numbers));
    }

    private void OfPlace(Mention m, int weak)
    {
        int Fits(string place) => place.Length == 0 || m.Move.Positions.IsEmpty ? 0 : m.Move.Positions.Contains(place) ? 1 : m.Move.IsDone(place) ? 2 : 3;
        var place = _places[m.Token];
        Tell(Trait.Place, Fits(_position.At(m.Token)), Fits(place), weak);
        Tell(Trait.PlaceIs, Array.IndexOf(Places, place) + 1, Fits(place), weak);
    }

    /// <summary>As traits number them.</summary>
    private static readonly string[] Places = ["standing", "kneeling", "all-fours", "plank", "supine", "prone", "side-lying", "seated"];

    private void OfOthers(Mention m, int role, int weak, Mention? before, Mention? after)
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

        static int Quarters(double weight) => (int)(4 * Math.Min(1.2, weight));
        Tell(Trait.Beside, Math.Min(4, others.Count), weak);
        Tell(Trait.BesideWeight, Quarters(strongest), Quarters(m.Weight));

        var (stronger, later) = (false, false);
        others.Clear();
        for (var i = Clocked.From(_byEffect, Math.BitIncrement(m.EffectiveAt - OneStart), static o => o.EffectiveAt); i < _byEffect.Count && _byEffect[i].EffectiveAt < m.EffectiveAt + OneStart; i++)
        {
            var other = _byEffect[i];
            if (other.Move.Id != m.Move.Id)
            {
                others.Add(other.Move.Id);
                stronger |= other.Weight > m.Weight;
                later |= other.At > m.At && !other.Weak;
            }
        }

        Tell(Trait.SameStart, Math.Min(3, others.Count), Bit(stronger));
        Tell(Trait.SameStartLater, Bit(later), role, weak);

        var just = before is not null && m.At - before.At < JustBefore;
        Tell(Trait.After, just ? Step(m.At - before!.At) : Steps.Length + 1, just ? (int)before!.Role : 0, weak);
        Tell(Trait.Before, after is null ? Steps.Length + 1 : Step(after.At - m.At), weak);
        var family = false;
        for (var i = Clocked.From(_all, Math.BitIncrement(m.At - OneGroup)); i < _all.Count && _all[i].At < m.At + OneGroup; i++)
        {
            family |= !_all[i].Weak && _all[i].Move.Pattern == m.Move.Pattern && _all[i].Move.Id != m.Move.Id;
        }

        Tell(Trait.Family, Bit(family), weak);
    }

    /// <summary>What the words of a mention say for its move beside the move under way and beside what else is named: words that are as like the move under way are most often said of how that one is done.</summary>
    private void OfUnderWay(Mention m, int weak, Mention? before)
    {
        // Of a name of few words, with what is said beside it.
        const int few = 3;
        const int beside = 8;
        const double underWay = 75;
        var (from, to) = m.Length > few ? (m.Token, m.Token + m.Length) : (Math.Max(0, m.Token - few), Math.Min(_speech.Tokens.Count, m.Token + m.Length + beside));
        var own = _listened.For(m.Move, from, to);
        if (weak > 0)
        {
            Tell(Trait.LikeNamed, BestNamed(m, from, to) is { } best ? Fours(own - best) : NothingElse, weak);
        }

        if (before is null || m.At - before.At > underWay)
        {
            Tell(Trait.LikeUnderWay, NothingElse, weak);
            return;
        }

        var running = _listened.For(before.Move, from, to);
        Tell(Trait.LikeUnderWay, Fours(own - running), weak);
        Tell(Trait.OfUnderWay, Fours(running), Step(m.At - before.At) / 2, weak);
    }

    /// <summary>Where there is no other move to hold it against.</summary>
    private const int NothingElse = 30;

    /// <summary>A likeness, which may be below 0, in fours.</summary>
    private static int Fours(double likeness) => Math.Clamp((int)Math.Floor(likeness / 4) + 6, 0, 14);

    /// <summary>What words say at best for another move that is clearly named not long before or after.</summary>
    private double? BestNamed(Mention m, int from, int to)
    {
        const double around = 90;
        double? best = null;
        var asked = new HashSet<string> { m.Move.Id };
        for (var i = Clocked.From(_clear, m.At - around); i < _clear.Count && _clear[i].At <= m.At + around; i++)
        {
            if (asked.Add(_clear[i].Move.Id))
            {
                best = Math.Max(best ?? double.NegativeInfinity, _listened.For(_clear[i].Move, from, to));
            }
        }

        return best;
    }

    /// <summary>The last or next clear name of another move.</summary>
    private Mention? Neighbour(Mention m, int way)
    {
        var i = way < 0 ? Clocked.From(_clear, m.At) - 1 : Clocked.From(_clear, Math.BitIncrement(m.At));
        while (i >= 0 && i < _clear.Count && (_clear[i].Move.Id == m.Move.Id || _clear[i].Weight <= Surely))
        {
            i += way;
        }

        return i >= 0 && i < _clear.Count ? _clear[i] : null;
    }

    private void OfSame(Mention m, int weak)
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

        Tell(Trait.Repeated, Math.Min(4, near));
        Tell(Trait.Elsewhere, Math.Min(5, clear), weak);
        Tell(Trait.ElsewhereBest, (int)(5 * best));
        Tell(Trait.Spread, Step(same[^1].At - same[0].At), weak);
        Tell(Trait.First, Bit(ReferenceEquals(same[0], m)), weak);
        Tell(Trait.Last, Bit(ReferenceEquals(same[^1], m)), weak);
        Tell(Trait.Strongest, Bit(best <= m.Weight), weak);
        Tell(Trait.Roles, Math.Min(3, doing), Math.Min(3, announced));
        Tell(Trait.NotDone, Math.Min(3, notDone));
    }

    private void OfNearby(Mention m, int weak)
    {
        const int none = 6;
        static int Fifths(int of, int all) => all == 0 ? none : 5 * of / all;

        var (around, gentle, stretch, nearby, place, muscle) = (0, 0, 0, 0, 0, 0);
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
                place += Bit(other.Move.Positions.Any(p => m.Move.Positions.Contains(p)));
                muscle += Bit(other.Move.Prime.Any(p => m.Move.Prime.Contains(p)));
            }
        }

        Tell(Trait.GentleNear, Fifths(gentle, around), Bit(m.Move.IsGentle));
        Tell(Trait.StretchNear, Fifths(stretch, around), Bit(m.Move.IsStretch));
        Tell(Trait.PlaceNear, Fifths(place, nearby), weak);
        Tell(Trait.MuscleNear, Fifths(muscle, nearby));
    }

    private void OfLikeness(Mention m, LikeMove like, Mention? before, Mention? after)
    {
        Tell(Trait.Like, Math.Min(20, (int)(like.Score / 3)));
        Tell(Trait.LikeLead, Math.Min(12, (int)like.Lead));
        Tell(Trait.LikeBoth, Math.Min(5, (int)(like.Score / 6)), Math.Min(5, (int)(like.Lead / 2)));
        Tell(Trait.LikeWords, Math.Min(9, like.Words));
        Tell(Trait.LikeDense, Math.Min(4, 4 * like.Words / Math.Max(1, m.Length)));
        if (!m.Faint)
        {
            return;
        }

        const double aroundIt = 15;
        Tell(Trait.FaintSince, before is null ? FaintSteps.Length + 1 : Step(m.At - before.At, FaintSteps));
        Tell(Trait.FaintUntil, after is null ? FaintSteps.Length + 1 : Step(after.At - m.At, FaintSteps));
        var same = _of[m.Move.Id];
        bool Again(Mention other) => other.Faint && !ReferenceEquals(other, m);
        bool IsClose(Mention other) => Math.Abs(other.At - m.At) < aroundIt;
        Tell(Trait.FaintAgain, Bit(same.Exists(Again)), Bit(same.Exists(o => Again(o) && IsClose(o))), Bit(same.Exists(o => !o.Faint)));
        var likest = true;
        for (var i = Clocked.From(_faint, m.At - aroundIt); i < _faint.Count && _faint[i].At < m.At + aroundIt; i++)
        {
            likest &= ReferenceEquals(_faint[i], m) || !IsClose(_faint[i]) || _faint[i].Like!.Value.Score < like.Score;
        }

        Tell(Trait.FaintLikest, Bit(likest));
    }
}
