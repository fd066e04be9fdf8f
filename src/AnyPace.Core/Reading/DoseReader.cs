using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Work and rest said together, and when: a class may change them from block to block.</summary>
/// <param name="Work">Seconds.</param>
/// <param name="Rest">Seconds; null where none is said, 0 where it is said that there is none.</param>
public sealed record SaidBeat(double At, double Work, double? Rest);

/// <summary>What is said about work, rest, rounds, sets and repetitions, with the words that said it.</summary>
/// <param name="EveryMinute">True where so many repetitions are done each minute and what is left of it is rest: a set is begun by the clock, and is as long as its count.</param>
/// <param name="Beats">All work-and-rest pairs, in time order, without repeats of the one before.</param>
public sealed record SaidDose(
    CountRange? Rounds,
    int? Sets,
    int? MovesPerRound,
    double? RoundRestSeconds,
    CountRange? Reps,
    bool Tabata,
    bool Supersets,
    bool Ladder,
    bool AsMany,
    bool EveryMinute,
    IReadOnlyList<SaidBeat> Beats,
    IReadOnlyList<Evidence> Evidence)
{
    /// <summary>Work and rest as they are said first.</summary>
    public double? WorkSeconds => Beats.Count > 0 ? Beats[0].Work : null;

    public double? RestSeconds => Beats.Count > 0 ? Beats[0].Rest : null;

    public bool Timed => Beats.Count > 0;

    /// <summary>True where a bout is over when its time is: not where repetitions are counted, nor where the clock only starts them.</summary>
    public bool KeepsTime => Timed && !EveryMinute;
}

/// <summary>Reads doses out of speech: "forty on twenty off", "three rounds of these five", "twelve to fifteen of each".</summary>
public static partial class DoseReader
{
    /// <summary>A work length outside these, in seconds, is a whole block or a slip of hearing, not a bout.</summary>
    private const double ShortestWork = 8;
    private const double LongestWork = 300;
    private const double LongestRest = 180;
    private const double ShortestBlock = 120;
    private const double ShortestRest = 5;

    /// <summary>A length said alone, without a rest, is the class's dose only if it is said in this first share of the class; later it is one hold.</summary>
    private const double SaidEarly = 0.3;

    /// <summary>Counts above these are a slip of hearing.</summary>
    private const int MostRounds = 20;
    private const int MostSets = 10;
    private const int MostMoves = 40;
    private const int MostReps = 100;

    /// <summary>How likely the role of a number has to be, 0..1: early in the class, where doses are announced, beside another number of a dose or alone; and later, where most numbers count what is under way.</summary>
    /// <remarks>By sentences that nobody had seen, and by classes kept aside: from 0.3 to 0.5, and from 0.95 on, there is little to choose.</remarks>
    private const double Likely = 0.35;
    private const double LikelyAlone = 0.55;
    private const double SurelyLate = 0.98;

    /// <summary>A number less likely than this to be for something is not for it, whatever phrase it stands in.</summary>
    private const double Unlikely = 0.01;

    /// <summary>Nor a length whose phrase leaves it open what it is for.</summary>
    private const double Doubtful = 0.02;

    public static SaidDose Read(Speech speech)
    {
        const int after = 4;
        var judged = NumberJudge.Default.Judge(speech).Where(j => !IsOfAnother(speech, j.Number.Token, j.Number.End) && !Tally().IsMatch(speech.After(j.Number.End, after))).ToList();
        return WithCalled(speech, WithJudged(speech, ReadPhrases(speech, judged), judged));
    }

    /// <summary>Where no phrase said something: what the words about each number make of it.</summary>
    private static SaidDose WithJudged(Speech speech, SaidDose dose, IReadOnlyList<NumberJudge.Judged> judged)
    {
        var likely = judged.Where(j => j.Share >= (!IsEarly(speech, j.Number.Token) ? SurelyLate : IsBesideOther(judged, j.Number, j.Role) ? Likely : LikelyAlone)).ToList();
        var evidence = dose.Evidence.ToList();
        SaidNumber? First(NumberRole role, double least, double most, double? not = null)
        {
            var found = likely.Find(j => j.Role == role && j.Number.Value >= least && j.Number.Value <= most && speech.At(j.Number.Token) != not);
            if (found.Number.End == 0)
            {
                return null;
            }

            Note(speech, found.Number.Token, evidence);
            return found.Number;
        }

        CountRange? Count(NumberRole role, int most) => First(role, 2, most) is { } number ? Range(speech, number) : null;
        var beats = dose.Beats;
        if (beats.Count == 0 && First(NumberRole.Work, ShortestWork, LongestWork) is { } work)
        {
            beats = [new SaidBeat(speech.At(work.Token), work.Value, First(NumberRole.Rest, ShortestRest, Math.Min(LongestRest, 2 * work.Value))?.Value)];
        }
        else if (beats is [{ Rest: null } alone] && First(NumberRole.Rest, ShortestRest, Math.Min(LongestRest, 2 * alone.Work), alone.At) is { } rest)
        {
            beats = [alone with { Rest = rest.Value }];
        }

        return dose with
        {
            Beats = beats,
            Rounds = dose.Rounds ?? Count(NumberRole.Rounds, MostRounds),
            Sets = dose.Sets ?? Count(NumberRole.Sets, MostSets)?.High,
            MovesPerRound = dose.MovesPerRound ?? Count(NumberRole.Moves, MostMoves)?.High,
            Reps = dose.Reps ?? Count(NumberRole.Repetitions, MostReps),
            RoundRestSeconds = dose.RoundRestSeconds ?? First(NumberRole.RoundRest, ShortestRest, LongestRest)?.Value,
            Evidence = evidence,
        };
    }

    /// <summary>Doses are told in one go: "six moves, forty seconds each". True where a number close by is likely for something else.</summary>
    private static bool IsBesideOther(IReadOnlyList<NumberJudge.Judged> judged, SaidNumber number, NumberRole role)
    {
        const int near = 16;
        return judged.Any(j => j.Role != role && j.Share >= Likely && Math.Abs(j.Number.Token - number.Token) <= near);
    }

    private static bool IsEarly(Speech speech, int token)
    {
        const double minute = 60;
        return speech.At(token) <= Math.Max(minute, speech.End.Value * SaidEarly);
    }

    /// <summary>Nobody says how many, but each is called by its number.</summary>
    private static SaidDose WithCalled(Speech speech, SaidDose dose)
    {
        var evidence = dose.Evidence.ToList();
        return dose with
        {
            Rounds = dose.Rounds ?? Highest(speech, RoundNumber(), LastRound(), evidence),
            Sets = dose.Sets ?? AtMost(Highest(speech, SetNumber(), LastSet(), evidence)?.High, dose.Supersets ? dose.Rounds?.High : null),
            Evidence = evidence,
        };
    }

    /// <summary>Who goes through a pair three times does no fourth set of it, though "last set" is said after "set three".</summary>
    private static int? AtMost(int? called, int? rounds) => called > rounds ? rounds : called;

    /// <summary>A number, and the one it is said to go up to.</summary>
    private static CountRange Range(Speech speech, SaidNumber number)
    {
        var low = (int)number.Value;
        return number.End + 1 < speech.Tokens.Count && speech.Tokens[number.End].Text is "to" or "or" && speech.Tokens[number.End + 1].Number is { } high && high > low && high <= 2 * low
            ? new CountRange(low, high)
            : CountRange.Of(low);
    }

    /// <summary>What is said in phrases that are known.</summary>
    /// <param name="judged">What the numbers are likely for: a phrase about one that is hardly for that is passed over.</param>
    internal static SaidDose ReadPhrases(Speech speech, IReadOnlyList<NumberJudge.Judged> judged)
    {
        var evidence = new List<Evidence>();
        var between = First(speech, RoundRest());
        bool IsHardlyWork(Duration length) => IsHardly(judged, length.Token, NumberRole.Work, length.Kind == DurationKind.Unclear ? Doubtful : Unlikely);
        var lengths = WithoutRoundRest(
            speech,
            [
                .. DurationFinder.Find(speech).Where(l => !IsOfAnother(speech, l.Token, l.Token + 2))
                    .Select(l => l.Kind is DurationKind.Work or DurationKind.Unclear && IsHardlyWork(l) ? l with { Kind = DurationKind.Other } : l),
            ],
            between);
        var asMany = Find(speech, AsMany()).Any();
        var beats = Beats(speech, lengths, asMany, evidence);
        var tabata = First(speech, Tabata()) is { Success: true } t && Note(speech, t, evidence);
        if (beats.Count == 0 && Alone(speech, lengths, asMany, evidence) is { } alone)
        {
            beats.Add(alone);
        }

        var everyMinute = First(speech, EveryMinute()) is { Success: true } minute && Note(speech, minute, evidence) ? minute : null;
        if (beats.Count == 0 && everyMinute is not null)
        {
            beats.Add(new SaidBeat(speech.At(speech.TokenAt(everyMinute.Index)), 60, null));
        }

        if (tabata && beats.Count == 0)
        {
            beats.Add(new SaidBeat(0, 20, 10));
        }

        CountRange? Count(NumberRole role, IEnumerable<Match> matches) => Counted(speech, matches.Where(m => !IsHardly(judged, speech.TokenAt(m.Groups["n"].Index), role, Unlikely)), evidence);
        var ofRounds = Find(speech, OfThem()).ToLookup(m => RoundsBefore().IsMatch(speech.Before(speech.TokenAt(m.Index), OfThemReach)));
        var rounds = Count(NumberRole.Rounds, Find(speech, Rounds())) ?? MoreTimes(speech, evidence) ?? Means(speech, TwiceSaid(), 2, evidence) ?? EarlyTimes(speech, evidence) ?? Count(NumberRole.Rounds, Find(speech, Circuits())) ?? Count(NumberRole.Rounds, ofRounds[true]) ?? Means(speech, OnceSaid(), 1, evidence);
        var sets = Count(NumberRole.Sets, Find(speech, Sets())) ?? Means(speech, EachTwiceSaid(), 2, evidence);
        var moves = Count(NumberRole.Moves, Find(speech, MovesPerRound())) ?? Count(NumberRole.Moves, ofRounds[false]);
        var reps = Count(NumberRole.Repetitions, Reps().Matches(speech.Text).Where(m => IsSaid(speech, m) && !Perhaps().IsMatch(speech.Before(speech.TokenAt(m.Index), 4))));
        double? roundRest = between.Success && Note(speech, between, evidence) ? Length(between, "w") : null;
        var supersets = First(speech, Superset()) is { Success: true } s && Note(speech, s, evidence);
        var ladder = First(speech, Ladder()) is { Success: true } l && Note(speech, l, evidence);
        return new SaidDose(
            rounds is { High: <= MostRounds } ? rounds : null,
            sets?.High, moves is { High: >= 2 } ? moves?.High : null, roundRest, reps, tabata, supersets, ladder,
            asMany, everyMinute is not null, beats, evidence);
    }

    /// <summary>True where the words about the number of a phrase make it something else.</summary>
    private static bool IsHardly(IReadOnlyList<NumberJudge.Judged> judged, int number, NumberRole role, double below) =>
        judged.Any(j => j.Number.Token == number && j.Of(role) < below);

    /// <summary>Where a phrase is said of this class.</summary>
    private static IEnumerable<Match> Find(Speech speech, Regex phrase) => speech.Find(phrase).Where(m => IsSaid(speech, m));

    private static Match First(Speech speech, Regex phrase) => Find(speech, phrase).FirstOrDefault() ?? Match.Empty;

    private static bool IsSaid(Speech speech, Match match) => !IsOfAnother(speech, speech.TokenAt(match.Index), speech.TokenAt(match.Index + match.Length - 1) + 1);

    /// <summary>"In our last class we did forty on twenty off", "twice a day is plenty": of another day, not of this class.</summary>
    private static bool IsOfAnother(Speech speech, int from, int end)
    {
        const int before = 8;
        const int after = 4;
        return OfAnotherBefore().IsMatch(speech.Before(from, before)) || OfAnotherAfter().IsMatch(speech.After(end, after));
    }

    /// <summary>"Six moves for forty seconds each, then a minute's rest and we repeat": what is between rounds is no rest between moves.</summary>
    private static IReadOnlyList<Duration> WithoutRoundRest(Speech speech, IReadOnlyList<Duration> lengths, Match between)
    {
        if (!between.Success)
        {
            return lengths;
        }

        var (first, last) = (speech.TokenAt(between.Index), speech.TokenAt(between.Index + between.Length - 1));
        return [.. lengths.Where(l => l.Token < first || l.Token > last)];
    }

    /// <summary>Every work length with the rest that is said soon after it.</summary>
    private static List<SaidBeat> Beats(Speech speech, IReadOnlyList<Duration> lengths, bool asMany, List<Evidence> evidence)
    {
        const int soon = 16;
        const int rightAfter = 9;
        const int unit = 2;
        const double inOneBreath = 60;
        const double muchLater = 120;
        var beats = new List<SaidBeat>();
        var told = false;
        void Add(int token, double work, double rest)
        {
            // As many rounds as fit into minutes is a block, not a bout; so is what holds bouts that were said before.
            if (work >= ShortestBlock && (asMany || beats.Exists(b => b.Work < ShortestBlock)))
            {
                return;
            }

            if (work is < ShortestWork or > LongestWork || rest > LongestRest || rest > 2 * work)
            {
                return;
            }

            Note(speech, token, evidence);
            if (beats.Count == 0 || (beats[^1].Work, beats[^1].Rest) != (work, rest))
            {
                beats.Add(new SaidBeat(speech.At(token), work, rest));
            }
            else if (!told && beats.Count > 1 && beats[^1].At - beats[^2].At < inOneBreath && speech.At(token) - beats[^1].At > muchLater)
            {
                // Both are told at the start; the second is told again where it begins.
                (beats[^1], told) = (beats[^1] with { At = speech.At(token) }, true);
            }
        }

        for (var i = 0; i < lengths.Count; i++)
        {
            var (token, work, kind) = lengths[i];
            if (kind is not (DurationKind.Work or DurationKind.Unclear))
            {
                continue;
            }

            var rest = lengths.Skip(i + 1).TakeWhile(l => l.Token - token <= (kind == DurationKind.Work ? soon : rightAfter) && l.Kind != DurationKind.Work)
                .FirstOrDefault(l => l.Kind == DurationKind.Rest);
            if (rest.Seconds < ShortestRest && kind == DurationKind.Work && i > 0 && lengths[i - 1].Kind == DurationKind.Rest && token - lengths[i - 1].Token < rightAfter
                && !(i > 1 && lengths[i - 2].Kind is DurationKind.Work or DurationKind.Unclear && lengths[i - 1].Token - lengths[i - 2].Token <= soon))
            {
                // "Twenty seconds rest, forty seconds work".
                rest = lengths[i - 1];
            }

            // "My timer's set for thirty seconds and ten seconds".
            if (rest.Seconds < ShortestRest && kind == DurationKind.Work && i + 1 < lengths.Count && lengths[i + 1] is { Kind: DurationKind.Unclear } joined && joined.Seconds < work && joined.Token > token + unit
                && speech.After(token + unit, joined.Token - token - unit) is "and" or "then" or "and then" or "by")
            {
                rest = joined;
            }

            if (rest.Seconds >= ShortestRest)
            {
                Add(token, work, rest.Seconds);
            }
            else if (kind == DurationKind.Work && NoRest().IsMatch(speech.After(token + 1, soon)))
            {
                Add(token, work, 0);
            }
        }

        foreach (Match match in Find(speech, Split()).Concat(Find(speech, SplitSaid())))
        {
            Add(speech.TokenAt(match.Index), double.Parse(match.Groups["w"].Value, CultureInfo.InvariantCulture), double.Parse(match.Groups["r"].Value, CultureInfo.InvariantCulture));
        }

        return [.. beats.OrderBy(b => b.At)];
    }

    /// <summary>Work said alone ("a minute each"), with the rest said elsewhere or not at all.</summary>
    private static SaidBeat? Alone(Speech speech, IReadOnlyList<Duration> lengths, bool asMany, List<Evidence> evidence)
    {
        var work = lengths.FirstOrDefault(l => l is { Kind: DurationKind.Work, Seconds: >= ShortestWork and <= LongestWork });
        if (work.Seconds == 0 || (asMany && work.Seconds >= ShortestBlock) || !IsEarly(speech, work.Token))
        {
            return null;
        }

        Note(speech, work.Token, evidence);
        var rest = lengths.FirstOrDefault(l => l is { Kind: DurationKind.Rest, Seconds: >= ShortestRest and <= LongestRest } && l.Seconds <= 2 * work.Seconds);
        return new SaidBeat(speech.At(work.Token), work.Seconds, rest.Seconds == 0 ? null : rest.Seconds);
    }

    /// <summary>How often a phrase says: its number, where it has one, else what it means.</summary>
    private static CountRange? Means(Speech speech, Regex phrase, int times, List<Evidence> evidence)
    {
        var match = First(speech, phrase);
        return match.Success && Note(speech, match, evidence) ? CountRange.Of(match.Groups["n"].Success ? match.Groups["n"].Value[0] - '0' : times) : null;
    }

    /// <summary>"We do that whole thing two more times": once more than that.</summary>
    private static CountRange? MoreTimes(Speech speech, List<Evidence> evidence)
    {
        var match = First(speech, WholeMoreTimes());
        return match.Success && Note(speech, match, evidence) ? CountRange.Of(match.Groups["n"].Value[0] - '0' + 1) : null;
    }

    /// <summary>"Twenty seconds on, ten off, eight times"; later in the class it is said of one block.</summary>
    private static CountRange? EarlyTimes(Speech speech, List<Evidence> evidence)
    {
        var match = First(speech, TimesAfterRest());
        return match.Success && speech.At(speech.TokenAt(match.Index)) < speech.End.Value * SaidEarly && Note(speech, match, evidence) ? Range(match) : null;
    }

    /// <summary>Nobody says how many, but each is called by its number: the highest, and one more where the last is called so some time after it.</summary>
    private static CountRange? Highest(Speech speech, Regex number, Regex last, List<Evidence> evidence)
    {
        const double later = 30;
        var match = Find(speech, number).MaxBy(m => m.Groups["n"].Value[0]);
        if (match is null || !Note(speech, match, evidence))
        {
            return null;
        }

        var at = speech.At(speech.TokenAt(match.Index));
        return CountRange.Of(match.Groups["n"].Value[0] - '0' + (speech.Find(last).Any(l => speech.At(speech.TokenAt(l.Index)) > at + later) ? 1 : 0));
    }

    /// <summary>Repetitions said within a stretch of tokens, such as the words of one bout.</summary>
    public static CountRange? RepsIn(string words) =>
        Reps().Match(words) is { Success: true } match || (match = RepsOfThis().Match(words)).Success ? Range(match) : null;

    /// <summary>Takes the words about a number as evidence.</summary>
    private static void Note(Speech speech, int token, List<Evidence> evidence) =>
        evidence.Add(new Evidence(new Seconds(Math.Round(speech.At(token), 1)), speech.Around(token, 3, 10)));

    private static bool Note(Speech speech, Match match, List<Evidence> evidence)
    {
        var token = speech.TokenAt(match.Index);
        evidence.Add(new Evidence(new Seconds(Math.Round(speech.At(token), 1)), match.Value));
        return true;
    }

    /// <summary>Seconds of a length group; its unit is in the group of the same name with a "u".</summary>
    private static double Length(Match match, string group)
    {
        var number = match.Groups[group];
        var n = number.Length > 0 && char.IsAsciiDigit(number.Value[0]) ? double.Parse(number.Value, CultureInfo.InvariantCulture) : 1;
        return match.Groups[group + "u"].Value.StartsWith('m') ? n * 60 : n;
    }

    private static CountRange? Counted(Speech speech, IEnumerable<Match> matches, List<Evidence> evidence)
    {
        foreach (var match in matches)
        {
            if (Range(match) is { } range)
            {
                Note(speech, match, evidence);
                return range;
            }
        }

        return null;
    }

    /// <summary>Words between two numbers that make them a range, however far apart.</summary>
    private static readonly string[] Joins = [" to ", " or ", " and "];

    private static CountRange? Range(Match match)
    {
        var low = int.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture);
        if (low == 1 && !match.Groups["m"].Success)
        {
            return null;
        }

        var high = match.Groups["m"].Success ? int.Parse(match.Groups["m"].Value, CultureInfo.InvariantCulture) : low;

        // "Ten twelve reps" is a range; "exercise six, twelve reps" are two numbers.
        if (high != low && !Array.Exists(Joins, j => match.Value.Contains(j, StringComparison.Ordinal)) && high - low is < 1 or > 5)
        {
            low = high;
        }

        return low is < 1 or > 200 || high < low || high > 200 ? null : new CountRange(low, high);
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    /// <summary>A time that is not now, and nothing since that comes back to it; or what was done before.</summary>
    [GeneratedRegex(@"\b(yesterday|tomorrow|(last|next) (week|month|year|night|time)|(last|next|other|previous|another) (class|video|workout|session|episode)|i (did|got|slept|had|managed)|if you( only| just)? (need|want|have|had)( (to|stop|rest|pause|break|a|take|hold|go|for|of|about|you|\d+ (seconds|minutes)))*$|took me|told me|people do|used to|see you( all)?)\b(?!.*\b(today|now|again|we're|this (week|time|class|1|workout)|same|it's|let's)\b)|\bnot( (a|an|the))?$", Options)]
    private static partial Regex OfAnotherBefore();

    [GeneratedRegex(@"^((a|per|each|every) (day|week|month)|((workout|class|video|circuit) )?((from|on|of) )?(mon|tues|wednes|thurs|fri|satur|sun)day|((workout|class|video|circuit) )?((from|of) )?(yesterday|tomorrow|(last|next) (week|month|year|night))\b(?! (we|i|you|it|is|was|will)\b))", Options)]
    private static partial Regex OfAnotherAfter();

    /// <summary>How many are done, or still to do: "six exercises down".</summary>
    [GeneratedRegex(@"^((more )?(exercises?|moves?|rounds?|sets?|reps?|stations?) )?(down|left|to go|remaining|done)\b(?! (\d|for|with))", Options)]
    private static partial Regex Tally();

    /// <summary>What may come of it is no dose: "if you get eight reps, great".</summary>
    [GeneratedRegex(@"\b(if you (only )?(get|can|manage|do|did|have done|'ve done)|if you've done|you might get|maybe)( (only|just|about))?$", Options)]
    private static partial Regex Perhaps();

    [GeneratedRegex(@"\G\b(?<w>\d{2}) ?(/|by|and )?(?<r>\d{2}) (split|format|intervals?|work to rest|style|protocol|today|(x|times) \d|twice|\d (times|rounds|sets|laps))\b", Options)]
    private static partial Regex Split();

    /// <summary>Two bare numbers after words that announce them: "it's going to be 45 15", "my timer is set to 40 and 20".</summary>
    [GeneratedRegex(@"\G\b(going to be|timer( is)?( set)?( to| for| at| on)|intervals? (is|are|of)|(format|timing)( is| today)?|(it's|its|a|this is a|classic|good old|simple|usual|standard)( (a|classic|good old|simple|usual|standard|the))*|(do|doing|today is)( a)?|(moves|exercises|stations)( at| on)?) (?<w>[2-9][05]) ?(/|by|and )?(?<r>[1-6]?[05])\b(?! (seconds?|minutes?|reps?|pounds?|kilos?|of|more|to))", Options)]
    private static partial Regex SplitSaid();

    [GeneratedRegex(@"\b((no|without|zero|0|any) (rest|break|breaks|rests|stopping|recovery|pauses?)|(don't|never|without) (stop|rest|stopping|resting)( in)? between|straight (in ?to|on to|onto) the next|back to back|1 after (the other|another)|(roll|flow|go|move)(ing)? (straight |right )?(from 1 )?(in ?)?to the next)\b", Options)]
    private static partial Regex NoRest();

    [GeneratedRegex(@"\G(?:\b(?<w>\d{1,3}|a|1)? ?(?<wu>seconds?|minutes?) ?(of )?(rest|break|off)? ?(to (recover|rest|breathe|reset|regroup) )?((in )?between ((the|each|every) )?(rounds?|sets|set of (moves|exercises)|circuits?|blocks?)|in the middle\b|before (we (start|begin|do|go into) )?the next (round|block|circuit)\b|((at|when|once|after) ){1,2}(the end of |we finish |you finish |you've done )?(each|every|the|a|that) (round|circuit|block)\b)|\bthen (you |we |you'll |we'll )?(get |have |take )?(a )?(a|1|(?<w>\d{1,3})) (?<wu>seconds?|minutes?) (of )?(rest|break|off|breather|recovery)? ?(and|before|then) (we |you )?(do|go|repeat|start|run)\b|\btake (a|1)? ?(?<w>)(?<wu>minute) (between|after each) round)", Options)]
    private static partial Regex RoundRest();

    [GeneratedRegex(@"\G(?:\brounds (is|are) (?<n>\d{1,2})\b|\b(?<n>\d{1,2}) times \d{2} (seconds|on)\b|(?<!\b(another|rest is|work is) )\b(?<!\b(each|every|this|that|first|next) (?=1 \d))(?<n>\d{1,2})( to | or |-| )?(?<m>\d{1,2})? (total |full |more |complete |whole )?(rounds(?! to \d)|times (through|round|around|over)|laps|(trips|goes) (a?round|through)|lots(?! of)|of (those|these|the) (rounds|circuits))\b(?! of \d+ minutes at)|\b(?<n>[2-6]) times in total\b|\b(?<n>[2-6]) rounder\b|\b(?<n>\d{1,2}) [1-5] minute rounds\b|\b(?<n>\d) round (workout|circuit|class|session)\b|\bround (number )?\d (out )?of (?<n>\d)\b|\b(round|circuit)\b( (?!\d)[\w']+){0,3} (got|have|there are|there's|of) (?<n>\d) in total\b|\b(round|circuit)( (?!\d)[\w']+| \d+ (minutes|seconds)){0,6} (we do|we'll do|do|doing|there are|we've got) (?<n>\d) of (them|those)\b|\b(the (whole |entire )?(list|sequence|series|lot|flow|circuit)|both( exercises| moves)?|(all|these) \d( exercises| moves)?) (?<n>\d)( to | or )?(?<m>\d)? times\b|\b(back and forth|alternat(e|ing)( between)?( the 2| them| these)?) (for )?(?<n>\d)( to | or )?(?<m>\d)? (times|rounds)\b|\b(through|circuit|repeat(ed|ing)?( it| this| that| them| everything| the (whole|entire|full) (thing|sequence|circuit|lot|workout|block|routine|round))?|do (it|this|that|them|everything|the whole thing)( all)?|(go|going) (a?round|through)( (it|this|that|them|these|each \w+|everything|the whole \w+))?|we do|(do|perform|complete|repeat) each \w+(?= (\w+ )?[2-5] ))( [\w']+)? (?<n>\d)( to | or )?(?<m>\d)? times\b(?! (a|per|each|every) (week|day|month))|\b((go|run|work|get|going|running|working|cycle) (a?round|through|over)|(whole|entire|full) (thing|lot|circuit|list|round|sequence|set))( (?!\d)[\w']+){0,5} (?<n>[2-6])( to | or )?(?<m>\d)? times\b(?! (a|per|each|every|more|on) ))", Options)]
    private static partial Regex Rounds();

    /// <summary>"There are four of them": of the rounds, or else of the moves, that were spoken of so many words before.</summary>
    [GeneratedRegex(@"\G\b(there's|there are|we've got|we have) (?<n>\d{1,2}) of (those|them|these)\b(?! (left|to go|more|blocks?|tabatas?|pairs))", Options)]
    private static partial Regex OfThem();

    private const int OfThemReach = 14;

    [GeneratedRegex(@"\b(rounds?|circuits?|laps?|blocks?|times|pairs?)\b", Options)]
    private static partial Regex RoundsBefore();

    [GeneratedRegex(@"\G(?<!\b(ought to|should|might|can|could|may) )(?<!\b(can|could|might) (all )?(do|go|repeat) )\b(twice (through|over|round|around)|(on|off|rest|gets? done) twice|repeat(ing)? the (set|circuit|round|block) once\b|double round\b|(through|do|repeat|goes?|going|round|it all|thing|them|that|this|it|everything|circuit|lot|set|sequence|each|all|moves|exercises|these|those) twice|2 times|2 times through|(a second|another|1 more) time (through|round|around)|(do|go through|run|repeat) (it|that|this|them|everything|the (whole|entire) (thing|circuit|lot|round))( all)? (over )?again(?! (in (\d+|a few) (weeks?|months?|days?)|tomorrow|soon|next|another day|on (monday|tuesday|wednesday|thursday|friday|saturday|sunday)))|(go|going|do|doing|run|come) (back )?(through )?(it|this|that|them|everything|the whole \w+)( all)?( again)? (a second|another|1 more) time|(go|come) (back )?(a?round|through) (it )?again|repeat (it|that|this|them|everything|the (whole )?(circuit|round|thing))( all)? (1 more time|again|once more|once)|(and|then) (we|we'll|we're going to|we're gonna|you|you'll) repeat (it all|all of (it|that|them)|everything|the (whole|entire|full) (thing|circuit|round|lot|block|sequence))\b(?! (\d|twice|until|for|as|on (the|this|your)))|(rest|recovery|off) (and |then )+(we|we'll|you|you'll) go again|(pair|superset|pairing)( (gets?|is|are|we|do|done|you))* twice|(then|break) the same \d again|repeat the \d|through (and )?then (we|we'll|you|you'll) repeat|then (run|go) through (it|them) again|(go|going) (again )?for a second (round|time|lap)|second round is( exactly)? the same|the second time (through|round|around)|repeat 1 more time|(do|doing|have|got|be) a second round)\b", Options)]
    private static partial Regex TwiceSaid();

    [GeneratedRegex(@"\G\b((rest|off|recovery)( (and|then|we|do|repeat|repeated|it|that|all|of))* (?<n>\d{1,2}) (times|rounds)\b(?! (a|per) week)|(rest|off|on|recovery|exercises|moves|stations|thing|lot) times (?<n>[2-9])\b|\b(we|you|we'll|you'll) (run|loop|cycle|repeat|go) (through )?(it|that|this|them) (?<n>[2-6]) times\b)", Options)]
    private static partial Regex TimesAfterRest();

    [GeneratedRegex(@"\G\b(at|from|to) the top (?<n>[1-4]) more times?\b|\G\b(do|repeat|run|go|going|doing)( back)?( through)? (that|it|this|the|all of that|all that|everything)( (whole|entire|full))?( (thing|circuit|round|lot|sequence|set))?( through)?( again)? (?<n>[1-4]) more times?\b(?<=\b(whole|entire|full|circuit|round|lot|sequence|everything|all)\b.*)", Options)]
    private static partial Regex WholeMoreTimes();

    [GeneratedRegex(@"\G(?<!\bround and )(?<!\b(circle|roll|swing) (it|them|that|the|your|those)( \w+)? )\b(round|circuit|lap) (number )?(?<n>[2-9])\b(?! (seconds?|minutes?|reps?|times|more|each|1 way|of \w+s\b|of (them|those|these)\b))", Options)]
    private static partial Regex RoundNumber();

    [GeneratedRegex(@"\G\b(last|final) (round|circuit|lap|time (through|round|around))\b", Options)]
    private static partial Regex LastRound();

    [GeneratedRegex(@"\G\b(last|final) set\b", Options)]
    private static partial Regex LastSet();

    [GeneratedRegex(@"\G(?<!\b(super|tri|giant) )\bset (number )?(?<n>[2-6])\b(?! (seconds?|minutes?|reps?|of \w+s\b))", Options)]
    private static partial Regex SetNumber();

    [GeneratedRegex(@"\G\b(no repeats?|(don't|never|not) repeat(ing)? (anything|a thing)|(never|not) repeat(ing|ed)? (a|any|an|the same) (move|exercise|movement)|(each|every) (move|exercise|movement|1)( is| gets| just| only)*( done| going)?( just| only)* once\b(?! more| again)|just (the )?(1 round|once through)|(we|you) (just |only )?go (a?round|through)( it| them| this)? (just |only )?once|(just|only) (go|going) through( it| them| this)?( the)? (1 time|once)|only 1 round|(just|only) the once|(only|just) (doing|going through|do|go through|running) (it|them|this|that|these|each|everything)( all)?( through)? (the )?(once|1 time))\b", Options)]
    private static partial Regex OnceSaid();

    /// <summary>"Each move twice before we go on".</summary>
    [GeneratedRegex(@"\G\b((each|every|1) (move|exercise|movement|1)( is)?( done| going)? (twice|(?<n>[2-5]) times)\b(?! (through|round|around))|(each|every 1|all)( of (them|these|those))? (done|repeated|performed) (twice|(?<n>[2-5]) times)\b|(twice|(?<n>[2-5]) times)( (and|before|then|we|you|i|only))* (go|move|moving|shift|shifting|change|changing|switch|swap) (on|over|to|onto|moves?|exercises?))\b", Options)]
    private static partial Regex EachTwiceSaid();

    /// <summary>As many rounds as fit: repetitions without a set number of rounds.</summary>
    [GeneratedRegex(@"\G\b(amraps?|am rap|how many rounds you can|as many (rounds|reps|times|sets) as)\b", Options)]
    private static partial Regex AsMany();

    [GeneratedRegex(@"\G\b(?<n>[2-9])( to | or )?(?<m>\d)?( (full|whole|complete|total|quick|big))? circuits\b", Options)]
    private static partial Regex Circuits();

    [GeneratedRegex(@"\G(?:\b(?<n>[2-5]) (by|x|times) (?=\d{1,2}\b(?! (to|or|reps?|of|seconds?|minutes?|inch|foot|feet|pounds?|kilos?)))|\b(reps|repetitions) (?<n>[2-5]) times\b|\b(reps|repetitions) times (?<n>[2-5])\b|\b(?<n>\d{1,2})( to | or | )?(?<m>\d{1,2})?( (working|straight|hard|heavy|total|full))? sets\b(?! of (the |my )?(dumb|weights?\b|kettle|bells?\b|bands?\b|stairs|headphones))|\bset (number )?\d of (?<n>\d)\b|\b(?<n>[2-9]) (goes|tries|attempts) (at|on|of) (each|every|it|them|everything)\b|\b(first|second|third|last|next|1st|2nd|3rd) set of (?<n>[2-6])\b(?! (each|reps?)))", Options)]
    private static partial Regex Sets();

    [GeneratedRegex(@"\G(?:(?<!\b(last|final|other|floor for|mat for|back for) )\b(?<n>\d{1,2})( (?!\d|rounds|reps?|seconds?|minutes?|sets|more|of|times|to|or|on|off|each|for|and|weeks?|days?)[\w']+){0,2} (exercises|moves|movements|stations|positions|lifts)\b(?! (down|left|to go|remaining)\b| done\b(?! \d))|\b(?<n>\d{1,2}) (of (them|these|those) )?in (a|each|every|1) (round|circuit|block)\b|\b(?<n>\d{1,2}) of (my|your|our|the) (favourites?|favorites?|best)\b|\b(circuits?|a round) of (?<n>\d{1,2})\b(?! (minutes?|seconds?|rounds?|reps?))|\b(?<n>\d{1,2}) (exercise|move|movement|station) (circuit|workout|round|class|routine|session|sequence))", Options)]
    private static partial Regex MovesPerRound();

    [GeneratedRegex(@"\bbetween (?<n>\d{1,3}) and (?<m>\d{1,3}) (reps?|repetitions?)\b|\beach( of (these|those|them))?( moves?| exercises?| 1)?( (we|we'll|you|you'll) do)? (?<n>[6-9]|\d{2}) times\b|(?<=\b[2-5] (by|x|times) )(?<n>\d{1,2})\b(?! (to|or|reps?|of|seconds?|minutes?|inch|foot|feet|pounds?|kilos?))|\b(?<n>\d{1,3}) of (those|these|them) \d{1,2} (on )?each\b|(?<!\b(last|final|first|another) )\b(?<n>\d{1,3})( to | or |-| )?(?<m>\d{1,3})? (reps?|repetitions?|of each|of (everything|every \w+)|of the (first|second) (1|move|exercise)|on each|each (side|leg|way|arm)|per (side|leg|arm|exercise|move)|times each|on each side|on (the|your) (right|left)|a side)\b|\bsets of (?<n>\d{1,3})( to )?(?<m>\d{1,3})?\b|\brounds of (?<n>\d{1,2})\b(?! (seconds?|minutes?|on|by|\d+|exercises|moves|different))|\brep count is (?<n>\d{1,2})\b|\b(?<n>\d{1,2})( on the)? right( and)? \d{1,2}( on the)? left\b|\b(do|doing) (?<n>\d{1,2}) on everything\b", Options)]
    private static partial Regex Reps();

    /// <summary>How many of the move at hand: "twenty of these", "do ten then switch".</summary>
    [GeneratedRegex(@"\b(?<n>\d{1,3})( to | or )?(?<m>\d{1,3})? (of (these|those|them)|then (switch|swap|change|the other))\b|\b(set|aim|go|shoot) (of|for) (?<n>\d{1,3})( to | or )?(?<m>\d{1,3})?\b(?! (minutes?|seconds?|rounds?|pounds?|kilos?|of))", Options)]
    private static partial Regex RepsOfThis();

    /// <summary>A new move begins with each minute; what is left of the minute is rest.</summary>
    [GeneratedRegex(@"\G\b(emoms?|e mom|every minute on the minute|every minute( (there's|there is|we|you|we'll|it's|is|do|have|get))* (a )?(new|different|another|next) (move|exercise|1)|(a )?(new|different) (move|exercise|1) every minute|on the minute every minute|(top|start|beginning) of (every|each) minute)\b", Options)]
    private static partial Regex EveryMinute();

    [GeneratedRegex(@"\G\b(tabata|tabatas|20 10(?= (for (4|four)|style|format|protocol))|20 (seconds )?on (and )?10 (seconds )?off|8 rounds of 20)\b", Options)]
    private static partial Regex Tabata();

    [GeneratedRegex(@"\G\b(super ?sets?|super ?sett(ing|ed)|(grouped|working|work|done|do them|all) in (pairs|twos|threes)|(2|3) (exercises|moves) at a time|(first|second|third|next|last|each|this) pairing|trisets?|tri sets?|giant sets?|(2|3) (exercises|moves) back to back|of the first (1|move|exercise) and( then)?( the same)?( \d{1,2})? of the second|(the )?next pair|pair(s)? of exercises|pair(ing|ed)?( up)? (the |our )?(2 )?(exercises|moves)|alternat(e|ing) between( the)? 2 (exercises|moves)|(move|exercise) 1 and (move|exercise) 2|in pairs|a1 (and|a2)|a 1 and a 2|back to back (with|exercises|pair))\b", Options)]
    private static partial Regex Superset();

    [GeneratedRegex(@"\G\b((?<!\b(climb(ing)?|step|rope|agility) ((a|an|the|your|that) (\w+ )?)?)ladder|(each|every) (round|time)( through| around)? (we|you|we'll|you'll|we're|i'll|i'm)( will| gonna| going to| just)* add( on)? (1|an?|another|1 more)\b(?! (\d|pulse|jump|hop|twist|bit|little))|add(ing|s)? (on )?(on|1|an?|another|1 more|an? new|1 new) (exercise|move|movement)( on)?( each| every| at| to the)?(?! to (that|it|this)\b)|1 (move|exercise)( and)? then( (we|you|do|we'll|you'll))* 2( (moves|exercises))?( and)? then( (we|you|do|we'll|you'll))* 3|(after|at the end of) (every|each) round (i|we|you|i'll|we'll|you'll) (add|throw|put|stick|chuck)( in)? (another|1 more|an?|1)|round 1 (has|is|with) (just )?1 (exercise|move)|by 1 (exercise|move) (each|every) (time|round)|build(ing)? (it )?up 1 (move|exercise|movement) at a time|take 1 off (each|every) (round|time|set)|(keep|keeps) adding( 1)? on|(12|twelve) days of christmas|\d{1,2}( reps?)?( all the way)? (down|all the way) to 1\b|count(ing)? down from \d{1,2} to 1 (on|of|for|with)|(?<!\d )\d{1,2}( reps?)?( of \w+)? then \d{1,2}( reps?)? then \d{1,2}\b(?! seconds)|add on (workout|round|class|style|format)|pyramid)\b", Options)]
    private static partial Regex Ladder();
}
