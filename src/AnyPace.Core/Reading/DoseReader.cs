using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Work and rest said together, and when: a class may change them from block to block.</summary>
/// <param name="Work">Seconds.</param>
/// <param name="Rest">Seconds; null where none is said, 0 where it is said that there is none.</param>
public sealed record SaidBeat(double At, double Work, double? Rest);

/// <summary>What is said about work, rest, rounds, sets and repetitions, with the words that said it.</summary>
/// <param name="Beats">All work-and-rest pairs, in time order, without repeats of the one before.</param>
public sealed record SaidDose(
    double? WorkSeconds,
    double? RestSeconds,
    CountRange? Rounds,
    int? Sets,
    int? MovesPerRound,
    double? RoundRestSeconds,
    CountRange? Reps,
    bool Tabata,
    bool Supersets,
    bool Ladder,
    bool AsMany,
    IReadOnlyList<SaidBeat> Beats,
    IReadOnlyList<Evidence> Evidence)
{
    public bool Timed => WorkSeconds is not null;
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

    public static SaidDose Read(Speech speech)
    {
        var evidence = new List<Evidence>();
        var lengths = DurationFinder.Find(speech);
        var asMany = speech.Find(AsMany()).Any();
        var beats = Beats(speech, lengths, asMany, evidence);
        var tabata = speech.First(Tabata()) is { Success: true } t && Note(speech, t, evidence);
        if (beats.Count == 0 && Alone(speech, lengths, asMany, evidence) is { } alone)
        {
            beats.Add(alone);
        }

        if (beats.Count == 0 && speech.First(EveryMinute()) is { Success: true } minute && Note(speech, minute, evidence))
        {
            beats.Add(new SaidBeat(speech.At(speech.TokenAt(minute.Index)), 60, null));
        }

        if (tabata && beats.Count == 0)
        {
            beats.Add(new SaidBeat(0, 20, 10));
        }

        var rounds = Counted(speech, speech.Find(Rounds()), evidence) ?? Counted(speech, speech.Find(Circuits()), evidence) ?? Means(speech, TwiceSaid(), 2, evidence) ?? EarlyTimes(speech, evidence) ?? Means(speech, OnceSaid(), 1, evidence) ?? Highest(speech, RoundNumber(), LastRound(), evidence);
        var sets = Counted(speech, speech.Find(Sets()), evidence) ?? Means(speech, EachTwiceSaid(), 2, evidence) ?? Highest(speech, SetNumber(), LastSet(), evidence);
        var moves = Counted(speech, speech.Find(MovesPerRound()), evidence);
        var reps = Counted(speech, Reps().Matches(speech.Text), evidence);
        var roundRest = First(speech, RoundRest(), evidence);
        var supersets = speech.First(Superset()) is { Success: true } s && Note(speech, s, evidence);
        var ladder = speech.First(Ladder()) is { Success: true } l && Note(speech, l, evidence);
        return new SaidDose(
            beats.Count > 0 ? beats[0].Work : null, beats.Count > 0 ? beats[0].Rest : null, rounds is { High: <= 20 } ? rounds : null,
            sets?.High, moves is { High: >= 2 } ? moves?.High : null, roundRest, reps, tabata, supersets, ladder,
            asMany, beats, evidence);
    }

    /// <summary>Every work length with the rest that is said soon after it.</summary>
    private static List<SaidBeat> Beats(Speech speech, IReadOnlyList<Duration> lengths, bool asMany, List<Evidence> evidence)
    {
        const int soon = 16;
        const int rightAfter = 9;
        var beats = new List<SaidBeat>();
        void Add(int token, double work, double rest)
        {
            // As many rounds as fit into minutes is a block, not a bout.
            if (work >= ShortestBlock && asMany)
            {
                return;
            }

            if (work is < ShortestWork or > LongestWork || rest > LongestRest || rest > 2 * work)
            {
                return;
            }

            evidence.Add(new Evidence(new Seconds(Math.Round(speech.At(token), 1)), speech.Around(token, 3, 10)));
            if (beats.Count == 0 || (beats[^1].Work, beats[^1].Rest) != (work, rest))
            {
                beats.Add(new SaidBeat(speech.At(token), work, rest));
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
            if (rest.Seconds >= ShortestRest)
            {
                Add(token, work, rest.Seconds);
            }
            else if (kind == DurationKind.Work && NoRest().IsMatch(speech.After(token + 1, soon)))
            {
                Add(token, work, 0);
            }
        }

        foreach (Match match in speech.Find(Split()).Concat(speech.Find(SplitSaid())))
        {
            Add(speech.TokenAt(match.Index), double.Parse(match.Groups["w"].Value, CultureInfo.InvariantCulture), double.Parse(match.Groups["r"].Value, CultureInfo.InvariantCulture));
        }

        return [.. beats.OrderBy(b => b.At)];
    }

    /// <summary>Work said alone ("a minute each"), with the rest said elsewhere or not at all.</summary>
    private static SaidBeat? Alone(Speech speech, IReadOnlyList<Duration> lengths, bool asMany, List<Evidence> evidence)
    {
        var work = lengths.FirstOrDefault(l => l is { Kind: DurationKind.Work, Seconds: >= ShortestWork and <= LongestWork });
        if (work.Seconds == 0 || (asMany && work.Seconds >= ShortestBlock) || speech.At(work.Token) > Math.Max(60, speech.End.Value * SaidEarly))
        {
            return null;
        }

        evidence.Add(new Evidence(new Seconds(Math.Round(speech.At(work.Token), 1)), speech.Around(work.Token, 3, 10)));
        var rest = lengths.FirstOrDefault(l => l is { Kind: DurationKind.Rest, Seconds: >= ShortestRest and <= LongestRest } && l.Seconds <= 2 * work.Seconds);
        return new SaidBeat(speech.At(work.Token), work.Seconds, rest.Seconds == 0 ? null : rest.Seconds);
    }

    /// <summary>How often a phrase says: its number, where it has one, else what it means.</summary>
    private static CountRange? Means(Speech speech, Regex phrase, int times, List<Evidence> evidence)
    {
        var match = speech.First(phrase);
        return match.Success && Note(speech, match, evidence) ? CountRange.Of(match.Groups["n"].Success ? match.Groups["n"].Value[0] - '0' : times) : null;
    }

    /// <summary>"Twenty seconds on, ten off, eight times"; later in the class it is said of one block.</summary>
    private static CountRange? EarlyTimes(Speech speech, List<Evidence> evidence)
    {
        var match = speech.First(TimesAfterRest());
        return match.Success && speech.At(speech.TokenAt(match.Index)) < speech.End.Value * SaidEarly && Note(speech, match, evidence) ? Range(match) : null;
    }

    /// <summary>Nobody says how many, but each is called by its number: the highest, and one more where the last is called so some time after it.</summary>
    private static CountRange? Highest(Speech speech, Regex number, Regex last, List<Evidence> evidence)
    {
        const double later = 30;
        var match = speech.Find(number).MaxBy(m => m.Groups["n"].Value[0]);
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

    private static bool Note(Speech speech, Match match, List<Evidence> evidence)
    {
        var token = speech.TokenAt(match.Index);
        evidence.Add(new Evidence(new Seconds(Math.Round(speech.At(token), 1)), match.Value));
        return true;
    }

    private static double? First(Speech speech, Regex regex, List<Evidence> evidence)
    {
        var match = speech.First(regex);
        if (!match.Success)
        {
            return null;
        }

        Note(speech, match, evidence);
        return Length(match, "w");
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

    private static CountRange? Range(Match match)
    {
        var low = int.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture);
        if (low == 1 && !match.Groups["m"].Success)
        {
            return null;
        }

        var high = match.Groups["m"].Success ? int.Parse(match.Groups["m"].Value, CultureInfo.InvariantCulture) : low;

        // "Ten twelve reps" is a range; "exercise six, twelve reps" are two numbers.
        if (high != low && !match.Value.Contains(" to ", StringComparison.Ordinal) && !match.Value.Contains(" or ", StringComparison.Ordinal) && high - low is < 1 or > 5)
        {
            low = high;
        }

        return low is < 1 or > 200 || high < low || high > 200 ? null : new CountRange(low, high);
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b(?<w>\d{2}) ?(/|by|and )?(?<r>\d{2}) (split|format|intervals?|work to rest|style|protocol)\b", Options)]
    private static partial Regex Split();

    /// <summary>Two bare numbers after words that announce them: "it's going to be 45 15", "my timer is set to 40 and 20".</summary>
    [GeneratedRegex(@"\G\b(going to be|timer( is)?( set)?( to| for| at| on)|intervals? (is|are|of)|format is|(it's|its|a|this is a|classic|good old|simple|usual|standard)( (a|classic|good old|simple|usual|standard|the))*|(do|doing|today is)( a)?) (?<w>[2-9][05]) ?(/|by|and )?(?<r>[1-6]?[05])\b(?! (seconds?|minutes?|reps?|pounds?|kilos?|of|more|to))", Options)]
    private static partial Regex SplitSaid();

    [GeneratedRegex(@"\b((no|without|zero|0|any) (rest|break|breaks|rests|stopping|recovery|pauses?)|straight (in ?to|on to|onto) the next|back to back|1 after (the other|another)|(roll|flow|go|move)(ing)? (straight |right )?(from 1 )?(in ?)?to the next)\b", Options)]
    private static partial Regex NoRest();

    [GeneratedRegex(@"\G(?:\b(?<w>\d{1,3}|a|1)? ?(?<wu>seconds?|minutes?) ?(of )?(rest|break|off)? ?((in )?between (the )?(rounds?|sets|circuits?|blocks?)|((at|when|once|after) ){1,2}(the end of |we finish |you finish |you've done )?(each|every|the|a|that) (round|circuit|block)\b)|\bthen (a|1|(?<w>\d{1,3})) (?<wu>seconds?|minutes?) (of )?(rest|break|off|breather|recovery)? ?(and|before|then) (we |you )?(do|go|repeat|start|run)\b|\btake (a|1)? ?(?<w>)(?<wu>minute) (between|after each) round)", Options)]
    private static partial Regex RoundRest();

    [GeneratedRegex(@"\G(?:(?<!\banother )\b(?<n>\d{1,2})( to | or |-| )?(?<m>\d{1,2})? (total |full |more |complete |whole )?(rounds|times (through|round|around|over)|laps|lots(?! of)|of (those|these|the) (rounds|circuits))\b(?! of \d+ minutes at)|\b(there's|there are) (?<n>\d{1,2}) of (those|them|these)\b(?! (left|to go|more|blocks?|tabatas?))|\b(?<n>\d) round (workout|circuit|class|session)\b|\bround (number )?\d of (?<n>\d)\b|\b(round|circuit)( (?!\d)[\w']+| \d+ (minutes|seconds)){0,6} (we do|we'll do|do|doing|there are|we've got) (?<n>\d) of (them|those)\b|\b(the (whole |entire )?(list|sequence|series|lot|flow|circuit)|both( exercises| moves)?|(all|these) \d( exercises| moves)?) (?<n>\d)( to | or )?(?<m>\d)? times\b|\b(through|circuit|repeat(ed|ing)?( it| this| that| them| everything| the (whole|entire|full) (thing|sequence|circuit|lot|workout|block|routine|round))?|do (it|this|that|them|everything|the whole thing)( all)?|(go|going) (a?round|through)( (it|this|that|them|these|each \w+|everything|the whole \w+))?|we do|(do|perform|complete|repeat) each \w+)( [\w']+)? (?<n>\d)( to | or )?(?<m>\d)? times\b(?! (a|per|each|every) (week|day|month)))", Options)]
    private static partial Regex Rounds();

    [GeneratedRegex(@"\G\b(twice (through|over|round|around)|(through|do|repeat|goes?|going|round|it all|thing|them|that|this|it|everything|circuit|lot|set|sequence|each|all|moves|exercises) twice|2 times|2 times through|(a second|another|1 more) time (through|round|around)|(do|go through|run|repeat) (it|that|this|them|everything|the (whole|entire) (thing|circuit|lot|round))( all)? (over )?again(?! (tomorrow|soon|next|another day|on (monday|tuesday|wednesday|thursday|friday|saturday|sunday)))|(go|going|do|doing|run|come) (back )?(through )?(it|this|that|them|everything|the whole \w+)( all)?( again)? (a second|another|1 more) time|(go|come) (back )?(a?round|through) (it )?again|repeat (it|that|this|them|everything|the (whole )?(circuit|round|thing)) (1 more time|again|once more|once))\b", Options)]
    private static partial Regex TwiceSaid();

    [GeneratedRegex(@"\G\b(rest|off|recovery)( (and|then|we|do|repeat|repeated|it|that|all|of))* (?<n>\d{1,2}) (times|rounds)\b(?! (a|per) week)", Options)]
    private static partial Regex TimesAfterRest();

    [GeneratedRegex(@"\G\b(round|circuit|lap) (number )?(?<n>[2-9])\b(?! (seconds?|minutes?|reps?|of \w+s\b))", Options)]
    private static partial Regex RoundNumber();

    [GeneratedRegex(@"\G\b(last|final) (round|circuit|lap|time (through|round|around))\b", Options)]
    private static partial Regex LastRound();

    [GeneratedRegex(@"\G\b(last|final) set\b", Options)]
    private static partial Regex LastSet();

    [GeneratedRegex(@"\G(?<!\b(super|tri|giant) )\bset (number )?(?<n>[2-6])\b(?! (seconds?|minutes?|reps?|of \w+s\b))", Options)]
    private static partial Regex SetNumber();

    [GeneratedRegex(@"\G\b(no repeats?|(never|not) repeat(ing|ed)? (a|any|an|the same) (move|exercise|movement)|(each|every) (move|exercise|movement|1)( is| gets| just| only)*( done| going)?( just| only)* once\b(?! more| again)|just (the )?(1 round|once through)|only 1 round)\b", Options)]
    private static partial Regex OnceSaid();

    /// <summary>"Each move twice before we go on".</summary>
    [GeneratedRegex(@"\G\b((each|every|1) (move|exercise|movement|1)( is)?( done| going)? (twice|(?<n>[2-5]) times)\b(?! (through|round|around))|(each|every 1|all)( of (them|these|those))? (done|repeated|performed) (twice|(?<n>[2-5]) times)\b|(twice|(?<n>[2-5]) times)( (and|before|then|we|you|i|only))* (go|move|moving|shift|shifting|change|changing|switch|swap) (on|over|to|onto|moves?|exercises?))\b", Options)]
    private static partial Regex EachTwiceSaid();

    /// <summary>As many rounds as fit: repetitions without a set number of rounds.</summary>
    [GeneratedRegex(@"\G\b(amraps?|am rap|as many (rounds|reps|times|sets) as)\b", Options)]
    private static partial Regex AsMany();

    [GeneratedRegex(@"\G\b(?<n>[2-9])( to | or )?(?<m>\d)? circuits\b", Options)]
    private static partial Regex Circuits();

    [GeneratedRegex(@"\G(?:\b(?<n>\d{1,2})( to | or | )?(?<m>\d{1,2})? sets\b(?! of (the |my )?(dumb|weights?\b|kettle|bells?\b|bands?\b|stairs|headphones))|\bset (number )?\d of (?<n>\d)\b|\b(?<n>[2-9]) (goes|tries|attempts) (at|on|of) (each|every|it|them|everything)\b|\b(first|second|third|last|next|1st|2nd|3rd) set of (?<n>[2-6])\b(?! (each|reps?)))", Options)]
    private static partial Regex Sets();

    [GeneratedRegex(@"\G(?:\b(?<n>\d{1,2})( (?!\d|rounds|reps?|seconds?|minutes?|sets|more|of|times|to|or|on|off|each|for|and|weeks?|days?)[\w']+){0,2} (exercises|moves|movements|stations|positions)\b|\bcircuits? of (?<n>\d{1,2})\b(?! (minutes?|seconds?|rounds?)))", Options)]
    private static partial Regex MovesPerRound();

    [GeneratedRegex(@"\b(?<n>\d{1,3})( to | or |-| )?(?<m>\d{1,3})? (reps?|repetitions?|of each|of (everything|every \w+)|on each|each (side|leg|way|arm)|per (side|leg|arm|exercise|move)|times each|on each side|on (the|your) (right|left)|a side)\b|\bsets of (?<n>\d{1,3})( to )?(?<m>\d{1,3})?\b", Options)]
    private static partial Regex Reps();

    /// <summary>How many of the move at hand: "twenty of these", "do ten then switch".</summary>
    [GeneratedRegex(@"\b(?<n>\d{1,3})( to | or )?(?<m>\d{1,3})? (of (these|those|them)|then (switch|swap|change|the other))\b|\b(set|aim|go|shoot) (of|for) (?<n>\d{1,3})( to | or )?(?<m>\d{1,3})?\b(?! (minutes?|seconds?|rounds?|pounds?|kilos?|of))", Options)]
    private static partial Regex RepsOfThis();

    /// <summary>A new move begins with each minute; what is left of the minute is rest.</summary>
    [GeneratedRegex(@"\G\b(emoms?|e mom|every minute on the minute|on the minute every minute)\b", Options)]
    private static partial Regex EveryMinute();

    [GeneratedRegex(@"\G\b(tabata|tabatas|20 10(?= (for (4|four)|style|format|protocol))|20 (seconds )?on (and )?10 (seconds )?off|8 rounds of 20)\b", Options)]
    private static partial Regex Tabata();

    [GeneratedRegex(@"\G\b(super ?sets?|trisets?|tri sets?|giant sets?|pair(s)? of exercises|pair(ing|ed)?( up)? (the |our |2 )?(exercises|moves)|in pairs|a1 (and|a2)|a 1 and a 2|back to back (with|exercises|pair))\b", Options)]
    private static partial Regex Superset();

    [GeneratedRegex(@"\G\b(ladder|add(ing|s)? (on )?(on|1|a|another|1 more|a new|1 new) (exercise|move|movement)( on)?( each| every| at| to the)?|add on (workout|round|class|style|format)|pyramid)\b", Options)]
    private static partial Regex Ladder();
}
