using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>Finds the phrases by which coaches steer a class. Patterns run over plain words: no punctuation, numbers as digits.</summary>
public static partial class MarkFinder
{
    public static IReadOnlyList<Mark> Find(Speech speech)
    {
        var marks = new List<Mark>();
        void All(Regex regex, MarkKind kind, double strength, double until = double.PositiveInfinity)
        {
            foreach (var match in speech.Find(regex))
            {
                var first = speech.TokenAt(match.Index);
                if (speech.At(first) >= until)
                {
                    break;
                }

                var last = speech.LastInOneBreath(first, speech.TokenAt(match.Index + match.Length - 1));
                marks.Add(new Mark(kind, first, speech.Tokens[last].At, strength));
            }
        }

        All(StartSure(), MarkKind.Start, 1);
        All(StartMaybe(), MarkKind.Start, 0.5);
        All(StopSure(), MarkKind.Stop, 1);
        Dosed(speech, marks);
        All(StopMaybe(), MarkKind.Stop, 0.5);
        All(Doing(), MarkKind.Doing, 0.6);
        All(Opening(), MarkKind.Opening, 1);
        All(WarmUp(), MarkKind.WarmUp, 1);
        All(EasyWords(), MarkKind.WarmUp, 1, EasesIn);
        marks.RemoveAll(m => m.Kind == MarkKind.Start && IsLeave(speech, m.Token));
        marks.RemoveAll(m => m.Kind == MarkKind.WarmUp && IsWarmUpElsewhere(speech, m.Token));
        All(WarmUpOver(), MarkKind.WarmUpOver, 1);
        All(CoolDown(), MarkKind.CoolDown, 1);
        All(Stretches(), MarkKind.CoolDown, StretchStrength);
        marks.AddRange(SideChanges.Find(speech));
        All(OtherWay(), MarkKind.SwitchSide, 0.4);
        All(LeftSide(), MarkKind.Left, 1);
        All(RightSide(), MarkKind.Right, 1);
        All(Round(), MarkKind.Round, 1);
        All(Again(), MarkKind.Again, 1);
        All(BreakTime(), MarkKind.Break, 1);
        All(SignOff(), MarkKind.SignOff, 1);
        AloneSwitch(speech, marks);
        AloneGo(speech, marks);
        AloneRest(speech, marks);
        AloneSide(speech, marks);
        Counting(speech, marks);
        marks.Sort((a, b) => a.At.CompareTo(b.At));
        OneTurn(speech, marks);
        CountedOut(speech, marks);
        WholeRound(speech, marks);
        return marks;
    }

    /// <summary>"Forty seconds on, twenty seconds off" tells of rests; nobody stops for it.</summary>
    private static void Dosed(Speech speech, List<Mark> marks) =>
        marks.RemoveAll(m => m.Kind == MarkKind.Stop && speech.Tokens[m.Token].Number is not null && SaysWork().IsMatch(speech.Preceding(m.Token, 6)));

    [GeneratedRegex(@"\b\d+ (seconds? |minutes? )?(on|work|working|of work|of each|of effort|each|hard|active)( (and|then|with|by|a|followed|just|we|you|have|get))*$", Options)]
    private static partial Regex SaysWork();

    /// <summary>"If you want to hold on to something, go ahead" gives leave and starts nothing.</summary>
    private static bool IsLeave(Speech speech, int token) =>
        token + 1 < speech.Tokens.Count && speech.Tokens[token].Text == "go" && speech.Tokens[token + 1].Text == "ahead" && GivesLeave().IsMatch(speech.Preceding(token, 12));

    [GeneratedRegex(@"\b(if|whoever|anyone who)\b", Options)]
    private static partial Regex GivesLeave();

    /// <summary>"Switch." or "Roll over." as a sentence of its own; inside a longer one the words mean too many things.</summary>
    private static void AloneSwitch(Speech speech, List<Mark> marks)
    {
        for (var i = 1; i < speech.Tokens.Count; i++)
        {
            var begins = speech.Tokens[i - 1].Stops;
            var one = ((begins && speech.Tokens[i].Stops) || Apart(speech, i)) && speech.Tokens[i].Text is ("switch" or "change" or "swap")
                && !(i + 1 < speech.Tokens.Count && speech.Tokens[i + 1].Text == "it");
            var two = begins && i + 1 < speech.Tokens.Count && speech.Tokens[i + 1].Stops && speech.Tokens[i].Text is ("roll" or "flip") && speech.Tokens[i + 1].Text == "over";
            if ((one || two) && !SideChanges.IsNotYet(speech, i))
            {
                marks.Add(new Mark(MarkKind.SwitchSide, i, speech.Tokens[i].At, two ? 1 : AloneStrength));
            }
        }
    }

    /// <summary>"Switch" alone may also be the change to the next move.</summary>
    private const double AloneStrength = 0.9;

    /// <summary>"Left side, change over": the side that is named and the change beside it are one turn.</summary>
    private static void OneTurn(Speech speech, List<Mark> marks) => marks.RemoveAll(m =>
        m.Kind == MarkKind.SwitchSide && m.Token > 1 && speech.Tokens[m.Token - 1].Text is "side" or "leg" or "arm" && speech.Tokens[m.Token - 2].Text is "left" or "right"
        && speech.Tokens[m.Token].Text == "change");

    /// <summary>"Eight, seven, six, five ... and breathe": praise and relief right after a count down are the stop itself.</summary>
    private static void CountedOut(Speech speech, List<Mark> marks)
    {
        const int longest = 12;
        const double soon = 9;
        const double sure = 0.9;
        for (var i = 0; i < marks.Count; i++)
        {
            if (marks[i] is not { Kind: MarkKind.Stop, Strength: 0.5 } mark)
            {
                continue;
            }

            var down = 0;
            for (var t = mark.Token - 1; t > Math.Max(0, mark.Token - longest) && mark.At - speech.At(t) < soon; t--)
            {
                down += speech.Tokens[t - 1].Number is { } higher && speech.Tokens[t].Number is { } lower && higher == lower + 1 && lower <= 10 ? 1 : 0;
            }

            if (down >= 2)
            {
                marks[i] = mark with { Strength = sure };
            }
        }
    }

    /// <summary>"Round one done, same again from the top": what goes again is the round, not the move just done.</summary>
    private static void WholeRound(Speech speech, List<Mark> marks) =>
        marks.RemoveAll(m => m.Kind == MarkKind.Again && WholeRoundAround().IsMatch(speech.Around(m.Token, 8, 8)));

    /// <summary>A word with a silence before or after it stands alone, whatever the punctuation.</summary>
    private static bool Apart(Speech speech, int token)
    {
        const double silence = 3;
        return speech.At(token) - speech.At(token - 1) > silence || (token + 1 < speech.Tokens.Count && speech.At(token + 1) - speech.At(token) > silence);
    }

    private static readonly HashSet<string> GoesOnBefore =
    [
        "to", "we", "we'll", "let's", "you", "you're", "don't", "gonna", "can", "i", "i'll", "they", "not", "just", "could", "will", "where", "here", "there", "off", "away", "go",
        "it", "we're", "must", "should", "never", "then", "they'll", "as", "even", "let",
    ];

    private static readonly HashSet<string> GoesOnAfter =
    [
        "to", "into", "onto", "for", "ahead", "through", "on", "around", "with", "over", "of", "as", "grab", "get", "any", "too", "straight", "all", "right", "left", "wider", "again",
        "at", "slowly", "slow", "gently", "nice", "carefully", "heavier", "lighter", "lower", "deeper", "faster", "slower", "further", "down", "up", "back", "out", "forward", "in", "home", "easy", "anywhere", "and", "that",
    ];

    /// <summary>"Go" on its own begins a bout; "go down", "we go into" do not.</summary>
    private static void AloneGo(Speech speech, List<Mark> marks)
    {
        for (var i = 1; i < speech.Tokens.Count; i++)
        {
            if (speech.Tokens[i].Text != "go" || GoesOnBefore.Contains(speech.Tokens[i - 1].Text))
            {
                continue;
            }

            // "All in one go", "have a go"; "let your head go".
            var once = speech.Tokens[i - 1].Text is "1" or "a" && i > 1 && speech.Tokens[i - 2].Text is "in" or "at" or "have" or "having" or "give" or "another";
            var let = Enumerable.Range(Math.Max(0, i - 3), Math.Min(3, i)).Any(t => speech.Tokens[t].Text is "let" or "lets");
            if (once || let)
            {
                continue;
            }

            // "Go, left, right": the work is counted off by its sides.
            var sides = i + 2 < speech.Tokens.Count && (speech.Tokens[i + 1].Text, speech.Tokens[i + 2].Text) is ("left", "right") or ("right", "left");
            var alone = sides || speech.Tokens[i].Stops || i + 1 >= speech.Tokens.Count || !GoesOnAfter.Contains(speech.Tokens[i + 1].Text);
            if (alone)
            {
                marks.Add(new Mark(MarkKind.Start, i, speech.At(i), speech.Tokens[i].Stops || speech.Tokens[i - 1].Stops ? 1 : 0.6));
            }
        }
    }

    /// <summary>"Rest" as a word of command; "the rest", "rest your hands", "time to rest" are not.</summary>
    private static void AloneRest(Speech speech, List<Mark> marks)
    {
        const double strength = 0.9;
        for (var i = 1; i < speech.Tokens.Count; i++)
        {
            if (speech.Tokens[i].Text != "rest" || RestGoesOnBefore.Contains(speech.Tokens[i - 1].Text)
                || (i + 1 < speech.Tokens.Count && !speech.Tokens[i].Pauses && RestGoesOnAfter.Contains(speech.Tokens[i + 1].Text)))
            {
                continue;
            }

            marks.Add(new Mark(MarkKind.Stop, i, speech.At(i), strength));
        }
    }

    private static readonly HashSet<string> RestGoesOnBefore =
        ["the", "to", "can", "you", "seconds", "of", "no", "or", "a", "second", "need", "your", "off", "minute", "minutes", "on", "let", "should", "i", "we", "then", "short", "little", "without", "less", "more", "for", "free", "earn", "any"];

    private static readonly HashSet<string> RestGoesOnAfter =
        ["of", "your", "the", "on", "in", "as", "day", "days", "between", "if", "when", "with", "position", "pose", "time", "is", "periods", "period", "against", "each", "at"];

    /// <summary>"Chop right", and then nothing for this many seconds: the side that is done.</summary>
    private const double SideThenSilence = 4;

    private static readonly HashSet<string> SideGoesOnBefore =
        ["all", "that's", "you're", "alright", "okay", "yeah", "oh", "is", "look", "the", "your", "and", "that", "turn", "face", "good", "seconds", "minute", "minutes", "reps", "more"];

    /// <summary>"Left." as a sentence of its own names the side; "Right." does only where the left was named before, else it only opens a sentence.</summary>
    private static void AloneSide(Speech speech, List<Mark> marks)
    {
        const double forgotten = 120;
        var lefts = marks.Where(m => m.Kind == MarkKind.Left).Select(m => m.At).Order().ToList();
        for (var i = 1; i < speech.Tokens.Count; i++)
        {
            var ends = speech.Tokens[i].Stops && speech.Tokens[i - 1].Stops;
            var said = i + 1 < speech.Tokens.Count && speech.At(i + 1) - speech.At(i) > SideThenSilence && !SideGoesOnBefore.Contains(speech.Tokens[i - 1].Text);
            if (!(ends || said) || speech.Tokens[i].Text is not ("left" or "right"))
            {
                continue;
            }

            var at = speech.At(i);
            var kind = speech.Tokens[i].Text == "left" ? MarkKind.Left : MarkKind.Right;
            var before = lefts.BinarySearch(at);
            var last = (before >= 0 ? before : ~before) - 1;
            if (said || kind == MarkKind.Left || (last >= 0 && at - lefts[last] < forgotten))
            {
                marks.Add(new Mark(kind, i, at, 1));
            }
        }
    }

    /// <summary>Runs of numbers: counting down to one begins or ends a bout; counting up, or slowly down, is work going on.</summary>
    private static void Counting(Speech speech, List<Mark> marks)
    {
        foreach (var run in speech.Counts)
        {
            var (from, end) = (speech.At(run.Token), speech.At(run.Next - 1));
            if (run is { Step: -1, Last: <= 1 })
            {
                // Which of the two it is, the words after it decide.
                var after = speech.Next(run.Next, 4);
                if (run.First <= LongestCountIn && IsResting(marks, from) && !StopBeforeCount().IsMatch(speech.Before(run.Token, 4)))
                {
                    marks.Add(new Mark(MarkKind.Start, run.Token, end, 1));
                }
                else if (StopAfterCount().IsMatch(after))
                {
                    marks.Add(new Mark(MarkKind.Stop, run.Token, end, 1));
                }
                else if (StartAfterCount().IsMatch(after))
                {
                    marks.Add(new Mark(MarkKind.Start, run.Token, end, 1));
                }
                else
                {
                    marks.Add(new Mark(MarkKind.Start, run.Token, end, run.Length <= 4 ? 0.5 : 0.3));
                    marks.Add(new Mark(MarkKind.Stop, run.Token, end, run.Length <= 4 ? 0.2 : 0.4));
                }
            }

            if (run is { Step: 1, First: 1 })
            {
                marks.Add(new Mark(MarkKind.Start, run.Token, from, 0.5));
            }

            if (run.Length >= 4)
            {
                marks.Add(new Mark(MarkKind.Doing, run.Token, from, 1));
            }
        }
    }

    /// <summary>Who counts down from more than this ends the work: "ten, nine, eight".</summary>
    private const int LongestCountIn = 5;

    /// <summary>A rest was called so long before, and nothing was begun since: who counts down now counts in.</summary>
    private static bool IsResting(List<Mark> marks, double at)
    {
        const double least = 6;
        var stop = marks.Where(m => m is { Kind: MarkKind.Stop or MarkKind.Break, Strength: >= 0.9 } && at - m.At is >= least and <= BeatGrid.LongestRest).Select(m => m.At).DefaultIfEmpty(-1).Max();
        return stop >= 0 && !marks.Exists(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 } && m.At > stop && m.At < at);
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\b(rest|stop|relax|finish(ed)?|done|finishing|resting)( (in|for))?$", Options)]
    private static partial Regex StopBeforeCount();

    [GeneratedRegex(@"\G\b(here we go|off (we|you) go|ready set|let'?s go\b(?! (to|on to|onto|into|in to|over|back|through|with|straight|down|for (a|an|some|our|your|the))\b)|and begin|begin now|start now|starting now|in we go|away we go|go go go|and we're off|let's do (it|this)|timer (is )?(on|starts|going)|clock (is )?(on|starts|running)|your time starts)", Options)]
    private static partial Regex StartSure();

    [GeneratedRegex(@"\G\b(go ahead|let's (get )?(it|going)|get ready|in position|(?<!\b(come|coming|roll|rise|sit|stand|open|get|press|push) ((on|all the way|slowly|back|yourself|gently|your eyes) )*(up|eyes|back)?( to (sitting|standing|seated|sit|stand|a seat|(a|your) \w+ (seat|position)))?( and)? ?)when(ever)? you're ready|and start|let's (start|begin))\b", Options)]
    private static partial Regex StartMaybe();

    [GeneratedRegex(@"\G\b(and rest|and relax\b(?! (in ?to|your|the|those|that|deeper|further|through|over|down|here))|rest (it|now|there|up|for)|take (a|your|that|the|another|some) (quick |short |little |nice |well deserved |\d+ seconds? )?(break|breather|rest)|shake (it|that|them|those|everything|out)( (out|off|loose))?|shake (your|the) \w+ (out|off|loose)|(catch|get) (your|a|that) breath( back)?|have a (minute|breather)|and stop|take (a |about |another )?(\d+ (seconds?|minutes?)|half a minute|minute)(?! (on the (way|lower|count)|down\b|up\b|to (lower|come (down|up)|go (down|up)|sit|stand|press|lift)|going|coming|lowering|per|a rep|each))( here| off| to)?\b|time's up|that's time|time (take|good|grab|relax|okay|everybody|breathe|rest|shake|nice|well)|and time\b(?! (to|for|is|yourself|your|it|will|flies|after|again|under|on|we|the|this|as))|take your minute|that's the bell|time is up|\d+ (seconds?|minutes?) (rest|off|break|recovery|to rest|of rest|to recover)|and pause|have a rest|you can rest|and recover|and done|and release|and you're done|recovery time)\b", Options)]
    private static partial Regex StopSure();

    [GeneratedRegex(@"\G\b(well done|good job|nice (work|job)|great (work|job)|good work|fantastic|awesome (job|work)|beautiful|stop there|rest|relax\b(?! (in ?to|your|the|those|that|deeper|further|through))|that's it|excellent|breathe\b(?! (out|in)\b)|lower down|come (on )?down|grab (some|your|a|that) (water|towel|drink)|(some|sip of|drink of) water|water break)\b", Options)]
    private static partial Regex StopMaybe();

    [GeneratedRegex(@"\G\b(keep (going|it up|it going|moving|pushing|breathing|working|your|those|that|the)|half ?way|\d+ (more )?seconds?( left| to go| more| remaining)?|\d+ more|(2|3|4|5|last) more|last (1|few|couple|2|3|2|3|5|10)|nearly there|almost (there|done)|come on|push through|don't (stop|give up)|stay (strong|low|with|tall|up)|squeeze|exhale|inhale|breathe (out|in)|chest (up|lifted|tall|proud)|core (tight|engaged|on)|engage|knees? (over|out|soft|behind)|weight (in|into|through) (your|the) heels?|and (up|down|lift|lower|press|push|pull|back|squeeze)|up and down|in and out|control(led)?|you('ve| have)? got (this|it)|slow(ly)?|nice and|there we go|that's it|good|feel (that|it|the))\b", Options)]
    private static partial Regex Doing();

    [GeneratedRegex(@"\G\b(let's (swing|roll|circle|march|shake|bounce|loosen|punch) (the|your|our|those|it|on|out|them)\b|let's (walk|dance|stretch|box)\b(?! (through|you|about|over|back|to))|no (weights?|dumbbells?|bands?) (yet|for (now|this bit|the warm ?up))|let's (get )?(started|start|begin|get going|get moving|move\b(?! (on|to|back|down|it))|get into it|get into this|jump (right )?in|dive in|crack on|get to it|get moving|kick (it |things )?off)|we('re| are) (going to|gonna) (start|begin|kick off)|(we'll|we will) (start|begin)|start(ing)? (off )?(with|by|in|from)|first (up|exercise|move|1)|(superset|exercise|move|station|block) (number )?(1|a)|(minute|number) (number )?1 (is|we|starts|will)\b(?! (fan|thing|reason|mistake|tip|rule|question))|let's (just |quickly |all )?(warm(ing)? |loosen )|(warm ?up|start|join in|move) with me\b|let's (do|get|have) (\w+ ){0,4}warm(ed)?|let's get (the|your|our|those|these) [\w']+( rate)? (moving|going|pumping|flowing|warm|ready|loose)|get (yourself|yourselves|ourselves) (warm|loosened)|(to|gonna) get (loosened|warmed) up|just getting (the|your|our) (body|joints|blood|muscles)|warm ?up time|warm ?up first|(?<=\b(right|okay|alright|so|now|little) )warm ?up\b(?! (is|was|for|with|and then|the|your))|(?<!\b(a|the|your|after|with|my) )(quick|little|short|gentle) warm ?up\b(?! (and|then|before|first|at|is|that))|to begin with|i want you to start|come (up |down )?(to (standing|sit|sitting|lie|lying|your|all)|on to|onto|into|and (lie|sit|stand))|(lie|lying|lay) (down )?(on|back)|sit (tall|nice|comfortably)|take a seat|stand (up )?(with|tall)|feet (hip|shoulder|together|wide|under (the|your) (hips|shoulders)))\b", Options)]
    private static partial Regex Opening();

    [GeneratedRegex(@"\G\b(warm ?ups?|warming up|warm (the|your|our|those|these) [\w']+ up\b|ease (ourselves|yourself|yourselves|our bodies|your body) in(to)?\b|(get|getting|got|be) ([\w']+ and |a bit |a little |all |ourselves |yourselves |yourself |everything |everyone |everybody |us |you |our bodies |your body |the body )?warm(ed)?( up)?( with| first| together| before| quickly)?)\b", Options)]
    private static partial Regex WarmUp();

    /// <summary>So many seconds from the start on, "nice and easy" is how a move is done, not what a class begins with.</summary>
    private const double EasesIn = 150;

    /// <summary>What is said of a warm-up, and later of anything.</summary>
    [GeneratedRegex(@"\G\b(get (the|your|our|those|these) (body|bodies|muscles|blood|heart|shoulders?|hips?|joints|legs|arms|spine|back)( rate)? (warm|moving|flowing|pumping|going|loose|ready|up)|loosen (up|off|out|the|your)|mobili[sz]e|mobility|nice and (easy|gentle|gently)|easy feet|to start us off|wake (up )?(the|your))\b", Options)]
    private static partial Regex EasyWords();

    /// <summary>"Go and do my five-minute warm-up first", "warm up on your own before you begin": not here.</summary>
    internal static bool IsWarmUpElsewhere(Speech speech, int token)
    {
        const int near = 9;
        return WarmUpBeforeClass().IsMatch(speech.Before(token, near)) || WarmUpOfAnother().IsMatch(speech.After(token, near));
    }

    [GeneratedRegex(@"\b((go|pause( now)?|stop)( (ahead|now|back|off))? and( do)?|(i|you|we|i've|you've|we've|already|have)( already| just)* (done|did|finished)|check out|links? (to|for)|separate|other|after|like|think of [\w' ]+ as|(please|should) (do|complete)|complete)( (my|your|a|an|the|our|this|that|some|quick|short|full|proper|\d+|minutes?))*$", Options)]
    private static partial Regex WarmUpBeforeClass();

    [GeneratedRegex(@"^(warm ?ups?|warming up)( (is|are|was|for (it|this|that|you)))* (class|video|playlist|on your own|by yourself|beforehand|before you (begin|start|do|join)|before the storm|prior to|if you haven't|below|linked|on the channel|in the (description|library))\b", Options)]
    private static partial Regex WarmUpOfAnother();

    [GeneratedRegex(@"\G\b((that's|that is|that was|end of) (it for )?(your|the|our) warm ?up|warm ?up('s| is)? (done|over|complete|finished)|(you're|we're|i'm|you are|we are|that's us|nice and|should be|feeling|all) warm(ed)?( up)?( now)?\b|now (that )?(you're|we're) warm|let's (get )?(in ?to|on ?to) (the|our|it|this|round|your)( first| main| proper)?( workout| work| session| block| circuit| set| round| exercise)?|(?<!\b(only|just|that's|was|finish\w*|through|after|of) (the|your|our) )first (round|block|circuit|set|superset|exercise|interval|pair|pairing|station|drill)|(?<!\b(that's|that was|end of|of|in|from|after|was|through|finish\w*|with) )round (number )?1\b(?! (done|down|over|of|is done|complete|finished|again|and (round )?2))|(tabata|superset|circuit|block|pair|combo) (number )?1\b|first tabata|main (workout|set|session|event|part|block)|workout (starts|begins)|let's get (to|into) work|(the )?real work|pick(ing)? (up the|it up|the) ?(pace|tempo)?|let's (build|learn)|(build|learn) the (routine|phrase|combo)|first (bit|piece|part|combo|phrase|combination) of the|first (combo|combination|phrase)|here comes the first)\b", Options)]
    private static partial Regex WarmUpOver();

    /// <summary>"Stretch that leg out": in a class of stretches it is just one of them.</summary>
    private const double StretchStrength = 0.5;

    [GeneratedRegex(@"\G\bstretch (those|the|your|that|them)( [\w']+){0,3} (out|off)\b", Options)]
    private static partial Regex Stretches();

    [GeneratedRegex(@"\G\b(cool(ing)? ?(it )?down|cool ?downs?|(?<!\bjust )stretch(ing)? (it )?(all )?out\b(?! the )|let's stretch|time to stretch|final stretch(es)?|some stretch(es|ing)|(?<!\b(gives?|giving|feel(ing)?|be|it's|that's|such|more of)( you| me| us)? )a (quick |nice |little |good |gentle )?stretch|bring (the|your|that) heart rate (back )?down|slow (it|things) down|wind(ing)? down|let your heart rate)\b", Options)]
    private static partial Regex CoolDown();

    /// <summary>The other way round: for circles it changes nothing, for one-sided moves it may be the other side.</summary>
    [GeneratedRegex(@"\G(?<!\blook (to |over )?the )\b(other|opposite|second) (direction|way)\b", Options)]
    private static partial Regex OtherWay();

    /// <summary>Before a side that is looked at, leant on or felt in: none that is called.</summary>
    private const string NotCalled = @"(?<!\blook (over )?(to )?(your |the )?)(?<!\b(at|by|beside) (your |the ))(?<!\b((front|side|back|inside|outside|top) of|feel (that |it |this )?(in|down|along|through|into)) (your |the ))(?<!\blean(ing)? (over |across |out )?(on|to|onto|into|towards) (your |the )?)";

    [GeneratedRegex(@"\G(?:" + NotCalled + @"\bleft (side|leg|arm|foot|hand|knee|hip|heel|elbow|shoulder|first|toe|ankle)\b(?! (is|was|always|hates?)\b)(?! on (the|your|a) (chair|wall|bar|barre|counter|desk|hip|table))|(?<!\b(look|lean|leaning)( over)? )\b(on|to|with) (the|your) left\b|\b(and|now|then) (the |to the )?left\b)", Options)]
    private static partial Regex LeftSide();

    [GeneratedRegex(@"\G(?:" + NotCalled + @"\bright (side|leg|arm|foot|hand|knee|hip|heel|elbow|shoulder|first|toe|ankle)\b(?! (is|was|always|hates?)\b)(?! on (the|your|a) (chair|wall|bar|barre|counter|desk|hip|table))|(?<!\b(look|lean|leaning)( over)? )\b(on|to|with) (the|your) right\b|\b(and|now|then) (the |to the )?right\b(?! (there|here|now|away|into|up|back|down|foot forward)))", Options)]
    private static partial Regex RightSide();

    [GeneratedRegex(@"\G\b((?<!\b(back|spine|shoulders|chest|knees|not|don't|to|way) (?=round))(round|set|circuit|block) (number )?[1-9]|(?<!\b(only|just) (the|your|our) )(1st|2nd|3rd|4th|first|second|third|fourth|fifth|final|last|next|another|1 more|1 more) (round|set|circuit|block|time (through|round|around))|back (to the (top|start|beginning|first)|round to)|from the (top|start|beginning)|(that's|that is|that was|end of) (the )?(round|set|circuit|block) ?(1|2|3|4|5|1)?|repeat (the|that|this|it|all)|all over again|same (3|4|5|6|7|8|9|10)( moves| exercises)? again|same again|(2|3|4) (down|done))\b", Options)]
    private static partial Regex Round();

    [GeneratedRegex(@"\b(rounds? (1|2|3|4|one|two|number|done)|circuits?|from the (top|start|beginning)|back to the (top|start|beginning|first)|same (2|3|4|5|6|7|8|9|10) again|the whole (lot|thing|round))\b", Options)]
    private static partial Regex WholeRoundAround();

    [GeneratedRegex(@"\G\b((second|2nd|third|3rd|fourth|4th|fifth|last|final|next|another|1 more|1 last) set\b|(second|2nd|third|3rd|fourth|4th) and (last|final)\b(?! (round|exercise|move|pair|block))|set (number )?[2-6]\b|(go|same|here we go|do (it|that)|rest|ready|and) again\b(?! (for )?\d+ (rounds|times))|1 more (time|of (these|those|them))|(second|2nd|third|3rd|fourth|4th) (lot|go|batch)\b|again (8|10|12|15|20)\b(?! (more|seconds?|minutes?))|same (thing|again|move|exercise)( again)?)", Options)]
    private static partial Regex Again();

    [GeneratedRegex(@"\G\b(water break|(grab|get|have|take) (some|a|your|that|a quick|a sip of|a drink of|a sip|a little)? ?(water|drink|sip|towel)|minute (break|rest|off)|longer (rest|break)|take a minute|between rounds?|break between)\b", Options)]
    private static partial Regex BreakTime();

    [GeneratedRegex(@"\G\b(see you (in the|next|soon|tomorrow|again|all|there|on)|thanks? (you )?(so much |all |everyone |everybody |guys )?for (joining|watching|working|being|coming|doing|training|moving|sharing|spending)|that's (all|it) for today|bye( bye| for now| guys| everyone)?|i'll see you|until next time|have a (great|good|lovely|wonderful|fantastic|beautiful|nice) (day|rest|evening|week|morning)|(that's|that is) (the end|a wrap|your workout|the workout|our workout)|you('ve| have)? (did|done|made|smashed|finished|completed) (it|the workout|your workout)|workout (is )?(complete|done|finished|over)|give yourself a (pat|round|big|hug))\b", Options)]
    private static partial Regex SignOff();

    [GeneratedRegex(@"^(and )?(rest|relax|stop|release|break|done|good|well|shake|nice|great|that|that's|time|down|lower|perfect|amazing|awesome|come|take|okay rest|ok rest|step (off|out of|away)|roll (over|onto|on to|down)|put (it|them|the|your)|sit (down|up|back)|phew|whoo|oh|ahh)\b", Options)]
    private static partial Regex StopAfterCount();

    [GeneratedRegex(@"^(and )?(go|let's|start|begin|here|off|we're|squat|jump|work)\b", Options)]
    private static partial Regex StartAfterCount();
}
