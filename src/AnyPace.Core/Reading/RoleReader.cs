using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>Decides from the words around a name what they do with the move.</summary>
internal static partial class RoleReader
{
    /// <param name="gentle">True for stretches and mobility, whose names may well end in "position".</param>
    /// <param name="beforeOpening">True before the class proper begins: what is named there is a list of what will come.</param>
    /// <param name="described">True for a move that is described and not named: an "if you can" after it is how far to go, not whether, and "from the hips" no look back.</param>
    public static Role Of(Speech speech, int token, int length, bool gentle, bool beforeOpening, bool described = false)
    {
        const int wordsBefore = 8;
        const int wordsAfter = 7;
        var before = new Beside(speech, token - wordsBefore, token, speech.Before(token, wordsBefore));
        var words = wordsBefore - Closed(speech, token, wordsBefore);
        var clause = words == wordsBefore ? before : new Beside(speech, token - words, token, speech.Before(token, words));
        var after = new Beside(speech, token + length, token + length + 1, speech.After(token + length, wordsAfter));
        if (Correction().IsMatch(after.Text) || after.Holds(NegativeAfter()) || (clause.Holds(Negative()) && !clause.Holds(NotOnly())))
        {
            return Role.Negated;
        }

        // "Stay in that squat position": a shape that another move has.
        if ((!gentle && token + length < speech.Tokens.Count && speech.Tokens[token + length].Text is "position" or "stance" or "shape")
            || (before.Holds(Comparison()) && !WouldLike().IsMatch(before.Text) && !(described && (before.Holds(Adds()) || before.Holds(Keeps()))))
            || after.Holds(AsYouGo()) || (gentle && speech.Tokens[token].Text is "arm" or "arms" && before.Holds(LetThe())))
        {
            return Role.Compared;
        }

        if (described && NotFelt().IsMatch(speech.Around(token, wordsBefore, length)))
        {
            return Role.Negated;
        }

        if (!beforeOpening && Counted().IsMatch(after.Text))
        {
            return Role.Doing;
        }

        var next = before.Holds(NextUp());
        if ((!next && clause.Holds(Alternative()) && !clause.Holds(Tag()) && !(described && IfYouCan().IsMatch(before.Text))) || (!described && ((AlternativeAfter().IsMatch(after.Text) && !before.Holds(ThisIs()) && !before.Holds(NowA())) || (before.Holds(If()) && InsteadAfter().IsMatch(after.Text)))))
        {
            return Role.Alternative;
        }

        if (!next && JustDo().IsMatch(speech.Before(token, JustDoWithin)))
        {
            return Role.Alternative;
        }

        // "They skip": whoever it is, it is not the class.
        if (IsTold(clause.Text, after.Text) || (length == 1 && speech.Before(token, 1) is "they" or "he" or "she"))
        {
            return Role.Told;
        }

        if (!described && (clause.Holds(Past()) || after.Holds(PastAfter()) || clause.Holds(SpokenOf()) || after.Holds(SpokenOfAfter())))
        {
            return Role.Past;
        }

        if (OtherPerson().IsMatch(clause.Text) || speech.Others.Does(token))
        {
            return Role.Alternative;
        }

        if (!beforeOpening && (next || after.Holds(NextAfter())))
        {
            return Role.Announced;
        }

        if (beforeOpening || (before.Holds(Later()) && (gentle || token < Late * speech.Tokens.Count || !before.Holds(Finishes()))) || after.Holds(LaterAfter()))
        {
            return Role.Previewed;
        }

        return before.Holds(Announce()) || after.Holds(AnnounceAfter()) ? Role.Announced : Role.Doing;
    }

    /// <summary>Words beside a name, of which is asked what they hold: phrases that none of them can begin are not tried. Only for phrases that begin with a whole word; "would like" of "you'd like" does not.</summary>
    private readonly record struct Beside(Speech Speech, int From, int To, string Text)
    {
        public bool Holds(Regex phrase) => Text.Length > 0 && Speech.MayBegin(phrase, From, To) && phrase.IsMatch(Text);
    }

    /// <summary>How many of the words before a name are closed off by an "okay" or "alright" that opens a new sentence ("you can go and eat, okay, march"), or by the number of a round.</summary>
    private static int Closed(Speech speech, int token, int words)
    {
        for (var t = token - 1; t >= Math.Max(1, token - words); t--)
        {
            // "Take a sip if you want to, round three, swings."
            if (speech.Tokens[t].Number is not null && speech.Tokens[t - 1].Text is "round" or "set" && (t < 2 || speech.Tokens[t - 2].Text is not ("for" or "of" or "in" or "until" or "the" or "your")))
            {
                return t - (token - words) + 1;
            }

            if (speech.Tokens[t].Text is "okay" or "alright"
                && speech.Tokens[t - 1].Text is not ("is" or "it's" or "that's" or "that" or "not" or "be" or "you're" or "are" or "feels" or "totally" or "perfectly" or "absolutely" or "also" or "an" or "still" or "just" or "isn't" or "if" or "so" or "because" or "more" or "okay" or "me" or "too")
                && (t + 1 == token || speech.Tokens[t + 1].Text is not ("to" or "if" or "for" or "with" or "not" or "or")))
            {
                return t - (token - words) + 1;
            }
        }

        return 0;
    }

    /// <summary>"Press-ups, one, two": whatever is said next, it is done.</summary>
    [GeneratedRegex(@"^((and|go|ready|let's go) )*1( and)? 2\b(?! (rounds?|sets?|times|more|minutes?|seconds?)\b)", Options)]
    private static partial Regex Counted();

    private const int JustDoWithin = 16;

    /// <summary>"If that felt horrible on your back just do the".</summary>
    [GeneratedRegex(@"\bif (that|this|it|you|you're|your|the|those|these)\b( [\w']+){1,9} (just|simply|you can|then) (do|try|use|take|stick (with|to)|stay with|go back to|swap (to|for)|keep (doing|it as))( [\w']+){0,3}$", Options)]
    private static partial Regex JustDo();

    /// <summary>"You shouldn't feel this in your neck if you drop".</summary>
    [GeneratedRegex(@"\b(shouldn't|don't|not|never|won't) (be )?(feel|feeling)( it| this| that| anything)? (in|on) (your|the)( [\w']+){0,8}$", Options)]
    private static partial Regex NotFelt();

    /// <summary>"Look behind you like you're looking over a fence": a picture of what is done, no move.</summary>
    internal static bool IsPicture(Speech speech, int token) => Picture().IsMatch(speech.Before(token, 6));

    [GeneratedRegex(@"\b(like|as if|as though) you('re| are)( [\w']+){0,2}$", Options)]
    private static partial Regex Picture();

    /// <summary>"I broke my wrist skating when I was a kid", "my son plays": told of other days or other people.</summary>
    internal static bool IsTold(string before, string after) => (Told().IsMatch(before) && !BackToClass().IsMatch(before)) || ToldAfter().IsMatch(after);

    /// <summary>"The tailbone curls a little", "curl your head up": no weight is curled.</summary>
    public static bool CurlsBody(Speech speech, int token) => CurlsBefore().IsMatch(speech.Before(token, 1)) || CurlsAfter().IsMatch(speech.After(token + 1, 3));

    [GeneratedRegex(@"^(tail|tailbone|spine|pelvis|toes|head|chin|ribs|back|fingers|body)$", Options)]
    private static partial Regex CurlsBefore();

    [GeneratedRegex(@"^(up )?(your|the) (tail|tailbone|spine|pelvis|toes|head|chin|hips|fingers|upper)\b", Options)]
    private static partial Regex CurlsAfter();

    /// <summary>"After that, skaters", "you are going to be doing skaters": of later, or of what comes now; true where nothing says that it is much later.</summary>
    public static bool MayBeNext(Speech speech, int token, int length) => !LaterAfter().IsMatch(speech.After(token + length, 7)) && !OfLater().IsMatch(speech.Before(token, 9));

    /// <summary>True right after "here we'll be doing", which is of now as well as of later: a start said soon after tells.</summary>
    public static bool IsWeWillBe(Speech speech, int token, int length) =>
        WeWillBe().IsMatch(speech.Before(token, 5)) && MayBeNext(speech, token, length);

    /// <summary>True where the words after a name announce it: "high knees first up".</summary>
    public static bool IsAnnouncedAfter(Speech speech, int end) => AnnounceAfter().IsMatch(speech.After(end, 4));

    /// <summary>True where the words before two names make them a pair to be done in turn: "superset one is", "we've got".</summary>
    public static bool IsPairing(Speech speech, int token) => Pairing().IsMatch(speech.Before(token, 9));

    /// <summary>True right after "superset two is a": what follows "with" is the second move of the pair, not part of the first.</summary>
    public static bool IsNamedPair(Speech speech, int token) => NamedPair().IsMatch(speech.Before(token, 9));

    /// <summary>True where a name is taken back: "sorry, I said fast feet".</summary>
    public static bool IsTakenBack(Speech speech, int token, int length) =>
        ISaid().IsMatch(speech.Before(token, 4)) || Correction().IsMatch(speech.After(token + length, 5));

    /// <summary>True where "I mean" follows a name: it takes it back only where another is named then ("rows, I mean presses"); else it says nothing.</summary>
    public static bool IsMeantOtherwise(Speech speech, int token, int length) => Meant().IsMatch(speech.After(token + length, 3));

    /// <summary>True where the class as a whole is said to be without jumps.</summary>
    public static bool SaysQuiet(Speech speech)
    {
        const double opening = 90;
        return Quiet().Matches(speech.Text[..Math.Min(speech.Text.Length, 1200)]).Any(m =>
            speech.At(speech.TokenAt(m.Index)) < opening && !OrBefore().IsMatch(speech.Before(speech.TokenAt(m.Index), 6)));
    }

    /// <summary>True where a two-word name is said as what to do ("press up to standing"), with nothing that makes it a thing, or as how to be ("chest lifted").</summary>
    public static bool IsVerb(Speech speech, int token, int length) =>
        length == 2 && (IsHowToBe(speech, token) || IsPressUp(speech, token));

    private static bool IsHowToBe(Speech speech, int token) =>
        speech.Tokens[token].Text is "chest" or "knee" or "leg" or "arm" or "heel" or "hip" or "head" or "shoulder" or "toe" or "foot" && speech.Tokens[token + 1].Text.EndsWith("ed", StringComparison.Ordinal);

    private static bool IsPressUp(Speech speech, int token) =>
        speech.Tokens[token + 1].Text == "up" && (VerbAfter().IsMatch(speech.After(token + 2, 3)) || !MakesThing().IsMatch(speech.Before(token, 3)));

    /// <summary>"Let the arms swing", "hips lift", "the leg that's swinging": parts of the body that do something, not the name of a move.</summary>
    public static bool IsClause(Speech speech, int token, int length) =>
        (length is 2 or 3 && LetIt().IsMatch(speech.Before(token, 4)) && speech.Tokens[token].Text is "knee" or "leg" or "hip" or "arm" or "head" or "heel" or "shoulder" or "elbow" or "lower" or "back")
        || length == 2 && speech.Tokens[token].Text is "arms" or "legs" or "hips" or "shoulders" or "knees" or "heels" or "toes" or "hands" or "elbows" or "feet"
        && speech.Tokens[token + 1].Text is [.., not 's']
        || length > 2 && Enumerable.Range(token + 1, length - 2).Any(t => speech.Tokens[t].Text is "that's" or "is" or "that" or "it's" or "are");

    /// <summary>True where a word tells to pulse: "pulse it", "little pulses", not "your pulse".</summary>
    public static bool Pulses(Speech speech, int token) =>
        speech.Tokens[token].Text is "pulse" or "pulses" or "pulsing" && !Owned().IsMatch(speech.Before(token, 1));

    /// <summary>True where a word tells to hold what is being done where it is: "hold it there", "stay low and hold".</summary>
    public static bool HoldsIt(Speech speech, int token) =>
        speech.Tokens[token].Text == "hold" && (HoldAfter().IsMatch(speech.After(token + 1, 4)) || (StayBefore().IsMatch(speech.Before(token, 4)) && !(token + 1 < speech.Tokens.Count && speech.Tokens[token + 1].Text is "on" or "onto" or "the" or "a" or "your")));

    /// <summary>True right after "we call that a": the name is meant to the letter.</summary>
    public static bool IsCalled(Speech speech, int token) => CalledA().IsMatch(speech.Before(token, 5));

    /// <summary>True where "roll up" is how to get up: "roll up and take your rest".</summary>
    public static bool GetsUp(Speech speech, int token, int length) =>
        length > 1 && speech.Tokens[token + length - 1].Text == "up" && UpToRest().IsMatch(speech.After(token + length, 3));

    [GeneratedRegex(@"^(and|to|then) (take|have|grab|get|stand|rest|shake|catch|find|drink)\b", Options)]
    private static partial Regex UpToRest();

    /// <summary>True where everyday words are meant as a name: "we're going to do the roll up".</summary>
    public static bool IsNamed(Speech speech, int token) => DoTheNamed().IsMatch(speech.Before(token, 5));

    /// <summary>True where a general name means just that, not a fuller one before it: "regular curls".</summary>
    public static bool IsPlain(Speech speech, int token) => Plain().IsMatch(speech.Before(token, 1));

    /// <summary>True where a name is said to come next: "next up is", "rows are next".</summary>
    public static bool IsNext(Speech speech, int token, int length) => NextUp().IsMatch(speech.Before(token, 8)) || NextAfter().IsMatch(speech.After(token + length, 4));

    /// <summary>True where the words before a name move on to it: "and now", "switch to".</summary>
    public static bool MovesOn(Speech speech, int token, int words = 6) => MoveOn().IsMatch(speech.Before(token, words));

    /// <summary>What is said of every move: "shoulders away from your ears".</summary>
    public static IEnumerable<(int Token, int Length)> FormCues(Speech speech) =>
        speech.Find(FormCue()).Select(m => (speech.TokenAt(m.Index), speech.TokenAt(m.Index + m.Length - 1) - speech.TokenAt(m.Index) + 1));

    /// <summary>True where a name says which side: "stand on your left leg".</summary>
    public static bool NamesSide(Speech speech, int token, int length)
    {
        for (var t = token; t < token + length; t++)
        {
            if (speech.Tokens[t].Text is "left" or "right")
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>True after "feel it in your".</summary>
    public static bool IsFelt(Speech speech, int token) => Felt().IsMatch(speech.Before(token, 7));

    /// <summary>True after "and now we add ten".</summary>
    public static bool IsAdded(Speech speech, int token) => Added().IsMatch(speech.Before(token, 6));

    /// <summary>True before "or on your toes".</summary>
    public static bool OrToes(Speech speech, int end) => Toes().IsMatch(speech.After(end, 5));

    /// <summary>"Step up ... and step down": the way back from the move before.</summary>
    public static bool IsWayBack(Speech speech, Mention whole, Mention part) =>
        whole.Length == 2 && part.Length == 2 && speech.Tokens[whole.Token].Stem == speech.Tokens[part.Token].Stem
        && (speech.Tokens[whole.Token + 1].Text, speech.Tokens[part.Token + 1].Text) is ("up", "down") or ("ups", "down") or ("out", "in") or ("forward", "back");

    /// <summary>True where one name is said with another: "a plank with some shoulder taps".</summary>
    public static bool IsWith(Speech speech, int end, int next) => next > end && With().IsMatch(speech.After(end, next - end));

    /// <summary>True right after "like a".</summary>
    public static bool IsLike(Speech speech, int token) => LikeA().IsMatch(speech.Before(token, 3));

    /// <summary>True right after "don't open out like a".</summary>
    public static bool IsWarned(Speech speech, int token) => Warned().IsMatch(speech.Before(token, 7));

    private static readonly HashSet<string> Greeted = ["everybody", "everyone", "all", "guys", "ladies", "gents", "folks", "friends", "team", "class", "to", "and", "it's", "i'm", "my", "welcome", "from", "hello", "how"];

    /// <summary>"Good morning everybody" greets; so does what opens the recording.</summary>
    internal static bool IsGreeting(Speech speech, int token, int length)
    {
        const int opening = 6;
        var after = token + length;
        return speech.Tokens[after - 1].Text == "morning" && (token < opening || (after < speech.Tokens.Count && Greeted.Contains(speech.Tokens[after].Text)));
    }

    /// <summary>"Squats, no weight": not those with a weight that were named before.</summary>
    public static bool IsUnloaded(Speech speech, int token, int length) =>
        NoWeight().IsMatch(speech.After(token + length, 4)) || Bodyweight().IsMatch(speech.Before(token, 2));

    /// <summary>True right after "and then a".</summary>
    public static bool IsThenAnother(Speech speech, int token) => ThenAnother().IsMatch(speech.Before(token, 6));

    /// <summary>True right after "we're pairing that with a".</summary>
    public static bool IsPairedWith(Speech speech, int token) => PairedWith().IsMatch(speech.Before(token, 7));

    /// <summary>True where the move is only passed through: "walk your hands out to a plank".</summary>
    public static bool IsPassedThrough(Speech speech, int token) => PassedThrough().IsMatch(speech.Before(token, 4));

    /// <summary>True right before "and hold it".</summary>
    public static bool IsHeld(Speech speech, int end) => Held().IsMatch(speech.After(end, 5));

    [GeneratedRegex(@"\b(hold(ing)?|stay(ing)?|\d+ seconds?)\b", Options)]
    private static partial Regex Held();

    /// <summary>True where the words before a name speak of the class as a whole: "today we've got", "a class of".</summary>
    /// <param name="warming">True right after "we'll warm up", whose "we'll" says no more.</param>
    public static bool IsOfTheClass(Speech speech, int token, bool warming) =>
        OfTheClass().Matches(speech.Before(token, 9)).Any(m => !warming || m.Value != "we'll");

    /// <summary>True where what was named is only passed through on the way: "hug the knees in for a moment".</summary>
    public static bool IsForAMoment(Speech speech, int end) => ForAMoment().IsMatch(speech.After(end, 5));

    /// <summary>True where a second name says the first in other words: "high knees, so running on the spot".</summary>
    public static bool IsSaidOtherwise(Speech speech, int end, int token) =>
        token - end is > 0 and <= 4 && SaidOtherwise().IsMatch(speech.After(end, token - end));

    /// <summary>Share of the words from which "finish with" is now.</summary>
    private const double Late = 0.7;

    [GeneratedRegex(@"(?<!\b(we|we'll|i'll|you'll|will|to|always|they) )\b(finish (off |up )?with|end with)( [\w']+){0,4}$", Options)]
    private static partial Regex Finishes();

    [GeneratedRegex(@"\b((do|doing|called|learn|practi[sc]e) (the|a|an|our|some)|(going|here) for (the|a)|(this|next|exercise|move) (1 )?is (the|a|an|our|your)|this is|(it's|this is) called)$", Options)]
    private static partial Regex DoTheNamed();

    [GeneratedRegex(@"\b(regular|normal|plain|basic|standard|classic|straight|simple)$", Options)]
    private static partial Regex Plain();

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\b(not|isn't|isnt|don't let (the|your) (\w+ )?\w+$|don't (?!forget|stop)\w+|don't|doesn't|never|no|without|avoid|rather than|instead of|in place of|(swap|swapping|replace|replacing) (out )?|unlike|skip the|forget (about )?the|ain't|turns? (it |this |that )?into|becom(es|ing)|people (do|doing)|supposed to be)( (a|an|the|your|any|doing|just|really|it|into|to|another|more|usual|normal|regular|become|turn|this|going|be|big|proper|full|deep|high|kind|of|let|that|quite))*$", Options)]
    private static partial Regex Negative();

    [GeneratedRegex(@"^(on the (floor|ground|mat) )?(isn't|is not|aren't|are not|won't be|not (in|today|on|this time)|don't do that|is (wrong|a no no)|we don't want)\b", Options)]
    private static partial Regex NegativeAfter();

    [GeneratedRegex(@"\b(not (just|only)|no (problem|worries|rest|break|stopping)|why not)\b[^.]*$", Options)]
    private static partial Regex NotOnly();

    [GeneratedRegex(@"\b(the (longer|higher|lower|closer|further|wider|straighter) and$|keep(ing)? (it|that|this|everything)( nice( and)?| all| really| super| very)?$|like|similar to|same as|as if|think of|like (you're|you are|we're|they're|they are|he's|she's|i'm|someone's|you were) \w+ing( (over|on|in|to|up|down|out|at|through|off|round|around|away|into|something|somebody))*|like (there's|you've got|you have|it's) (a|an|your|the)( [\w']+){1,6}|kind of|feel (it |that )?(in )?(the|your|those)|it's (just |really |basically )?a (moving|kind of|sort of)|which is (just|only)|(this|it|that|which)('s| is) (basically|really|essentially|pretty much|kind of|sort of)( just)?|imagine|remember|than|almost|version of|as in|looks like|no (weights?|dumbbells?|bands?|kit|equipment)( needed)? (for|in|on)|(movement|position|shape|prep|preparation|practice|pattern) (for|of|behind)|\bas (a|an|the|our|your|in|that)|(still|just) add(ing)? (a|an|some|in a|in the|in|the|your)|now add (a|an|some|in a|your)|add (a|an|some|in a|in some|your))( (a|an|the|you|you're|we|we're|our|your|in|doing|it|is|did|1|half|little|tiny|small|big|slow|mini|fast|were|if|normal|regular))*$", Options)]
    private static partial Regex Comparison();

    /// <summary>"Now we add a little tilt of the pelvis": added to a move where it is named, the next one where it is described.</summary>
    [GeneratedRegex(@"\badd (a|an|some|in a|in some|your)( (little|tiny|small|big))*$", Options)]
    private static partial Regex Adds();

    /// <summary>"Roll your shoulders as you walk": done beside the move under way.</summary>
    [GeneratedRegex(@"^(as|while|whilst) (you|we|you're|we're) (walk|march|step|jog|go|move|do)(ing)?\b(?! (in|into|down|up|back))", Options)]
    private static partial Regex AsYouGo();

    [GeneratedRegex(@"\blet (your|the|that)( (front|back|top|bottom|left|right|other))?$", Options)]
    private static partial Regex LetIt();

    [GeneratedRegex(@"\b(let|get|bring|add)( in)? (your|the|those|some)$", Options)]
    private static partial Regex LetThe();

    [GeneratedRegex(@"\b(would|d|i'd|you'd|if you) like\b", Options)]
    private static partial Regex WouldLike();

    [GeneratedRegex(@"(\bif (you|you'd) (want|need\b(?!( to)?( take)?( (a|some|another|your))?( (quick|little|short))? (break|rest|breather|water|pause|stop|moment|minute|second)\b)|like|can\b(?! (see|hear|imagine|remember|tell|believe))|can't|prefer|have|would|feel|fancy)\b((?! (and (a|an|now|then|your|the)|round|next|okay|alright)\b) [\w']+){0,6}|\bif you('re| are) (not|low|doing|new|tired|struggling|finding|on|in|a|pregnant|short|following|joining)\b( [\w']+){0,3}|\bif (you(?!'ve got (a|your)|'re ready)|that|this|it|jump|your|the|\w+ing)\b( [\w']+){0,4}|\bif (jump\w*|hopping|impact|that|it)('s| is| are) ((not|too)( [\w']+){0,7})|\boptions?\b( [\w']+){0,5}|\b(modif\w+|alternative(ly)?|feel free|easier|harder|beginners?|advanced|too (much|hard|easy|intense|quick|fast|tricky|complicated|confusing)|progress(ion)?|low impact (option|version|way|variation|alternative)|challenge (yourself|it))\b( [\w']+){0,5}|\byou (can|could|might|may)( (also|always|just|do|take|make|stay|come|drop|go|add|swap|turn|replace|choose|step|try))?\b( [\w']+){0,4}|\bor( (a|an|the|just|you|can|to|do|into|even|do|take|simply|maybe|hold|stay|go|come))*)$", Options)]
    private static partial Regex Alternative();

    /// <summary>"Renzo's doing a squat, no jump": what someone else on screen does.</summary>
    [GeneratedRegex(@"\b(he's|she's|they're|(?!(it|that|this|there|here|what|who|how|let|where|everyone|everybody|one|1|knee|foot|child|today)'s\b)[a-z]{3,}'s) ((doing|showing|taking|going to (do|show))( [\w']+){0,3})?$", Options)]
    private static partial Regex OtherPerson();

    /// <summary>"Take the band off if you like": said after what may be done, it is not of the next name.</summary>
    [GeneratedRegex(@"\b(\w+ ){3,}if (you (like|need|fancy|can|need to|like to|want to)( (slowly|gently|then|now|so|okay|next))*|(you|your|the|it|that)( [\w']+){1,5} and( (now|then))?)$|\bif you have any questions\b|(?<=\b\w+ \w+ \w+ )(?<!\b(and|or|but|so|then) )if you (need|like|want|fancy|prefer) (it|1|that|them|support|help)( [\w']+){0,6}$", Options)]
    private static partial Regex Tag();

    /// <summary>"And now a grapevine if you fancy it": that is what comes, for whoever wants it.</summary>
    [GeneratedRegex(@"\b(and|so|okay|right|alright|then) (now|then|next)( (a|the|some|for (a|the|some)|into (a|the)))?$", Options)]
    private static partial Regex NowA();

    [GeneratedRegex(@"^(?!(step|take|drop|do|just|keep|hold|use|go|you|we|walk|bend|slow|make|modify|no|low|come|stay) )((?!knees?\b|hands?\b)[\w']+ ){0,2}(instead|(?<!\b(as|because|cause|since|even|and|so|but) )if (you(?!'re (new|just|joining|following|watching)\b)(?! (need( to)?( take)? (a|some) (quick |little |short )?(break|rest|breather|water|pause|moment|minute|second)|feel (dizzy|faint|sick|any|pain|anything)|get (tired|dizzy|lost|stuck)|miss|missed|can (see|hear)|lose|lost|watch|think|know|ask|were|just|follow|join))|that|it|this)|is (also )?(fine|an option|a great option|okay|ok|perfect|good too)|(as )?(an )?option|works too|for (a )?beginners|as well if)\b", Options)]
    private static partial Regex AlternativeAfter();

    [GeneratedRegex(@"^([\w']+ ){0,5}instead\b", Options)]
    private static partial Regex InsteadAfter();

    /// <summary>"This is pigeon. If that's too much ...": what is offered is yet to come.</summary>
    [GeneratedRegex(@"\b(this (1 )?is|(it|this)'s called|we call (this|it)|called)( (a|an|the|your|our))?$", Options)]
    private static partial Regex ThisIs();

    [GeneratedRegex(@"\bif\b", Options)]
    private static partial Regex If();

    /// <summary>"If you can, put your right ankle on the left knee": what is described is what is done, as far as it goes.</summary>
    [GeneratedRegex(@"(^|\b(and|now|then|so|okay|next|right) )if you can( just)?( (put|bring|take|cross|place|get|reach|lift|pop|lay))?( (the|your|that))?( (left|right))?$", Options)]
    private static partial Regex IfYouCan();

    [GeneratedRegex(@"\b((that|those|these) (was|were)( our| your| the)?|(you've|we've|i've|have|had) been|we (just )?did|you (just )?did|just (did|done)|done with|finished( with)?|earlier|yesterday|used to (do|be)|i (once|used)|i did( [\w']+){0,3} of|remember (the|those)|(back|in) from|after (a|your|my|our)|(that's|that is) (the|your|our|all)( [\w']+){0,2} (done|over)|from (the|our|that)( first| last| warm up)?)( (a|an|the|your|our|those|all|with))*$", Options)]
    private static partial Regex Past();

    [GeneratedRegex(@"\b(?!we (got|started|were)\b|i got( (some|a|an|you|another|your|our))?$)(i|he|she|they|we|who|somebody|someone|nobody|my [\w']+|(a|this|that|1|some|the) (friend|lady|woman|man|guy|bloke|chap|girl|boy|client|lad|kid|person|student|member|neighbou?r)( of (mine|ours))?) (((just|once|always|never|really|actually|nearly|almost) )?(had|broke|saw|went|used to|was|were|got|told|tried|started|ran|loved|hated|fell|wrote|asked|couldn't|crossed|played|bought|took|came|found|thought|forgot|pulled|learned|learnt|met|watched|read|lost|left|missed|spent|wore|ate|drove|decided|ended)|(can't even|(still )?(can't|cannot) find|'d rather|would rather|wish))\b((?! (last (week|night|year|time)|yesterday|ago|okay|alright|anyway)\b) [\w']+){0,4}$|\b(i'd rather|i've (never|always)|(my [\w']+|he|she|(a|this|that|1|some) (friend|lady|woman|man|guy|bloke|chap|girl|client|lad|kid)( of (mine|ours))?) (still |always |never |only |even )?(plays|runs|walks|does|likes|hates|loves|thinks|can't|struggles|goes|calls|says|makes|keeps|gets|has|wants|won't))\b((?! (okay|alright|anyway)\b) [\w']+){0,4}$|\b(who|(he|she)|(a|my|this) (friend|mate|son|daughter|husband|wife|neighbou?r|brother|sister|mum|mom|dad|dog|cat)( of (mine|ours))?)$", Options)]
    private static partial Regex Told();

    /// <summary>What comes after these words is of the class again.</summary>
    [GeneratedRegex(@"\b(had|was|were|got|told|started|thought|so|but|and|okay|right|anyway|now|next)\b.*\b(you|you're|let's|we're|we'll|we've|i'm|i want|here we|here's|go|keep|now|next|okay|right|this|ready|everyone|everybody|going|gonna|it's|that's|up|down)\b", Options)]
    private static partial Regex BackToClass();

    [GeneratedRegex(@"^([\w']+ ){0,2}(when (i|we|he|she) (was|were|had)|at school|as a (kid|child|teenager)|last (night|week|weekend|year|month|summer|winter)(?! (i|we|she|he|somebody|someone|my|they)\b)|yesterday(?! (i|we|she|he|somebody|someone|my|they)\b)|for the (bus|train|shopping|kids)|years ago|in the (park|garden|street|pub|kitchen) (yesterday|last|when)|(a bag )?at the gym|in the (house|flat|garden) next door)\b", Options)]
    private static partial Regex ToldAfter();

    [GeneratedRegex(@"^(we did|you did|from (before|earlier|the warm up|round|last)|(are |is |all )?(done|finished|over)(?! (to|onto|the|your|and|there|on))|earlier|(sorted|in the bag|out of the way|for the day)\b)\b", Options)]
    private static partial Regex PastAfter();

    [GeneratedRegex(@"\b(later( on)?|we'll (be|also|have|come|finish|end|then)|we will|today|followed by|after that|after (this|these)( (1|set|round|pair|block|superset))?( (we're|we are|we|you) (going|gonna|going to)( be)?)?( moving( on)?( to)?)?|(?<!\b(nearly|almost|here|are|we're|you're) )at the end(?! of (this|that) (1|round|set|move|exercise)\b)|before we (do|go|start|get)|next (round|block|circuit|pair|superset|combo|couple|few|two|2|3|week|month|year|class|session|video)('s)?\b( [\w']+){0,9}|going to be doing|coming (up )?(later|soon)|in a (minute|moment|bit)|(?<!\b(let's|(number|exercise|move) (\d|\w+) we) )(finish (off |up )?with|end with)|the other (exercise|move))( [\w']+){0,4}$", Options)]
    private static partial Regex Later();

    /// <summary>"People ask me about", "these work the same muscles as": a move is talked of, not done.</summary>
    [GeneratedRegex(@"\b(same muscles as|favou?rite( (1|move|exercise))?( of (all|these|them))? (is|was)( (still|always|probably|definitely))?|(strength|power|mobility|balance)( (that )?(you|we|you'll|we'll) (need|want|use))? for|(better|stronger|worse) at|(?<=\w )beats|(confus|mistak|mix)\w*( [\w']+)? (this|it|that|these|them) (with|for|up with)|hop(e|ing|ed) for|think|why (we|i|you|they) (never|don't|always|hardly ever) (do|did)|(you'll|you|you already|probably|might) know|(ask|asks|asked|asking|talk|talks|talking|video|videos|email|emails|question|questions|message|messages)( me| us)? (about|on)|(someone|somebody|people|everyone|everybody|comments?|he|she|they|who) (said|says|call|calls|hate|hates|love|loves)|(we've|you've|i've|we have|you have) (already )?done|think(ing)? back to|(yesterday|last (week|night|time|year))( (i|we|you|she|he|they|my|[\w']+ed|did|had|was|made)){1,3}|of (them|which|those) (has|have|had|is|are)|(film|filming|video|record|send (me|us)|post|share|show (me|us)|tag (me|us) in) (me |us )?(your|those|a video of)|(save|saving|keep|leave)( [\w']+){0,2} (energy|something|enough|juice|strength) (left )?for)( (a|an|the|those|these|our|all|some|your|that|hundred|\d+))*$", Options)]
    private static partial Regex SpokenOf();

    /// <summary>"Lunges are like liver", "the rows will feel easy after this".</summary>
    [GeneratedRegex(@"^(((are|is) (like (?!(a |the |that|this|so))|behind us|(great|fine|good|lovely|hard|easy|brilliant) but|(their|his|her|everyone's|everybody's|most people's|nobody's) ))|(will|would|might|should|won't) (feel|seem|look|be) (so |much |a lot |really )?(easy|easier|nothing|lighter|a (breeze|doddle|walk))|(become|becomes|get|gets|feel|feels|seem) (so |much |a lot |so much )?(easier|easy)|(they|people) (mean|say|think|call))\b", Options)]
    private static partial Regex SpokenOfAfter();

    /// <summary>"If you need a break take one. Next up we have": what was free before it, this is not.</summary>
    [GeneratedRegex(@"\b(next up|(?<!\b(is|are) )coming up( next)?|up next|the next (1|exercise|move)( is| will be)?|next (we have|we've got|exercise|move)|coming into( a| some)?|(last|final) (1|move|exercise)( is)?|we're moving (on )?(in)?to|moving on to|next 1's)( (is|are|we|we've|we'll|we're|i've|you've|have|got|some|a|an|the|our|your|it's|that's|going|to|be|gonna|do|doing|with|alternating|just|regular))*$", Options)]
    private static partial Regex NextUp();

    [GeneratedRegex(@"^(?!next up (?!okay|ready|here|so|and|in|let's|get|go|\d))(is |are |will be )?(coming( up)? next|coming up|up next|up after (this|that)|next( up)?)\b(?! (round|block|time|week|to|on|\d|later|soon|in a))", Options)]
    private static partial Regex NextAfter();

    [GeneratedRegex(@"\b(we'll be|we will be|we're going to be)( (doing|hitting|on|onto|going (in|on)to|moving (in|on)to|working))?( (a|an|the|some|our))*$", Options)]
    private static partial Regex WeWillBe();

    [GeneratedRegex(@"\b(today|later|class|workout|session|round|block|circuit|after|end|minute)\b", Options)]
    private static partial Regex OfLater();

    [GeneratedRegex(@"^(is |are )?(coming up (later|soon|in)|later|in a (minute|moment|bit)|tomorrow|next (week|time|round))\b", Options)]
    private static partial Regex LaterAfter();

    [GeneratedRegex(@"\b(next( up| 1| exercise| move)?|coming up|up next|we're (going|gonna)|going to|gonna|moving (on|into|to)|go(ing)? (straight |right |back |down )?(in ?to|on ?to|for)|we've got|we have|let's (do|try|take|hit|get|go|move)|(first|second|third|fourth|next|last|final) (round|block|combo|combination|pair)('s| is| we)?|(round|block|pair|rung|combo|circuit) (number )?\d+( now)?('s| is| we)?|we'll (do|go( back)? (in ?to|on ?to|for)|get (in ?to|on ?to|those))|now (we|it's|for)?|first( up| 1| exercise| move)?|last (1|exercise|move|up)( (of|for|in) (this|the|our|that)( \w+)?)?|next (1|exercise|move) (of|for|in) (this|the|our)( \w+)?|straight in ?to|switch(ing)? to|start(ing)? (off )?(with)?|then|begin with|it's|this (1 )?is|these are|this is called|time for|back to|on to|onto|(exercise|number|move|station|superset) (number )?(\d|a|b|c)( is)?|here comes?|ready for|into (your|our|some|a)(?! (chest|body|belly|heels?|hips?|hands?|knees?|shoulders?|arms?|legs?|side|bum|glutes?|feet|foot|elbows?|stomach|tummy|core|front|back|palms?|toes|fingers?)\b))( [\w']+){0,4}$", Options)]
    private static partial Regex Announce();

    [GeneratedRegex(@"\b(your|the|that|same|left|right|other|opposite)$", Options)]
    internal static partial Regex Owned();

    [GeneratedRegex(@"\b(a|an|the|your|our|1|full|regular|next|this|that|knee|more|another|into|with|perfect|is|of)$", Options)]
    private static partial Regex MakesThing();

    [GeneratedRegex(@"\b(pairs?|super ?sets?|tri ?sets?|combos?|block|round|circuit|exercises|moves|we('ve| have) got|we have|going to (do|be)|we're doing|both|2 (moves|exercises)|alternat\w+)\b", Options)]
    private static partial Regex Pairing();

    [GeneratedRegex(@"^(and (down|lower|squeeze|back)|to (the|stand|a)|from|through|overhead|into|towards|over|off|tall|high|as)\b", Options)]
    private static partial Regex VerbAfter();

    [GeneratedRegex(@"\b(call(s|ed|ing)?|known as|named)( (it|this|that|these|those|them|1))?( (a|an|the|our))*$", Options)]
    private static partial Regex CalledA();

    [GeneratedRegex(@"^(it|that) (low|down|up|at the (top|bottom)|there and|right there|down there|up there|for (the )?(last )?(\d+|a(?! (second|sec|moment|beat|tick|breath|count)\b)) )(?!([\w']+ ){0,2}\d\b)(?!(for )?(1[0-5]?|[2-9])\b)", Options)]
    private static partial Regex HoldAfter();

    [GeneratedRegex(@"\bstay (down|low|up|there|down there|up there|right there)( and)?$", Options)]
    private static partial Regex StayBefore();

    /// <summary>"Keep that bend and peel your heels off the floor": what goes on while the next is done.</summary>
    [GeneratedRegex(@"\bkeep(ing)? (that|this|the)$", Options)]
    private static partial Regex Keeps();

    [GeneratedRegex(@"\b(?<!(look|looks|feel|feels) )like (a|an|the|your|those)$", Options)]
    private static partial Regex LikeA();

    [GeneratedRegex(@"\b(don't|not|never|no|doesn't|isn't|without)( [\w']+){0,4} like (a|an|the|your|those)$", Options)]
    private static partial Regex Warned();

    [GeneratedRegex(@"^([\w']+ )?((no|without( any| the)?) weights?|(just |only )?(your |own )?body ?weight)\b", Options)]
    private static partial Regex NoWeight();

    [GeneratedRegex(@"\b(body ?weight|air)$", Options)]
    private static partial Regex Bodyweight();

    [GeneratedRegex(@"\b(then|now|next|switch\w*|change\w*|swap\w*|into|on to|onto|add|go to|halfway|second half|next|last\b(?! (bit|few|couple|little|push|seconds|reps|\d)))\b", Options)]
    private static partial Regex MoveOn();

    [GeneratedRegex(@"\G\b((keep |let |draw |pull |roll |drop )?(the |your |those )?shoulders (down )?(\w+ )?(away|down) (away )?from (the|your) ears|soft knees( standing tall)?|(press(ing)?|push(ing)?)( down)?( into)? the (floor|ground|mat|earth)( away)?|belly button (to|towards|toward|drawing|drawn|in)( \w+){0,2} spine|shoulders (over|above|on top of) (the|your)? ?(wrists?|hands)|hips (over|above) (the|your)? ?knees|knees? (over|above|in line with|behind) (the|your)? ?(toes?|ankles?))\b", Options)]
    private static partial Regex FormCue();

    [GeneratedRegex(@"\b(feel|feeling|felt)( (it|that|this|a|stretch|in|through|all|along|down|the|your|those|whole|of|back))*$", Options)]
    private static partial Regex Felt();

    [GeneratedRegex(@"\b(add(ing|ed)?|adding on|add on)( (in|on|a|an|the|some|your|our|another|\d+|number \d|which is|is))*$", Options)]
    private static partial Regex Added();

    [GeneratedRegex(@"^(or|and) (on |from |up on )?(the |your )?toes\b", Options)]
    private static partial Regex Toes();

    [GeneratedRegex(@"^with( (a|an|some|your|the|alternating|little))*$", Options)]
    private static partial Regex With();

    [GeneratedRegex(@"\b(and then|followed by)( (a|an|some|your|our|we'll do|we do|we have|we've got))*$", Options)]
    private static partial Regex ThenAnother();

    [GeneratedRegex(@"\b(pair(ing|ed)?|supersett?(ing|ed)?|match(ing|ed)?|combin(e|ing|ed)|alternat(e|ing)) (that|this|it|them|those) (up )?with( (a|an|some|your|our))*$", Options)]
    private static partial Regex PairedWith();

    [GeneratedRegex(@"\b(to|into|from|through|in|out of)( (a|an|the|your|that|same|high|full))*$", Options)]
    private static partial Regex PassedThrough();

    [GeneratedRegex(@"^(?!next up (?!okay|ready|here|so|and|in|let's|get|go|\d))(is |are |will be )?(coming up|next|up next|to come|first up|first\b(?! (round|block|set))|to start|to begin|now\b)", Options)]
    private static partial Regex AnnounceAfter();

    [GeneratedRegex(@"\b(super ?set|pair|combo|couplet)( number)?( \d)?( is| will be|'s)?( going to be| gonna be)?( a| an| our| your| the)*$", Options)]
    private static partial Regex NamedPair();

    [GeneratedRegex(@"\b(i (just )?said|did i say|i keep saying|i meant to say)( a| the| we're doing)?$", Options)]
    private static partial Regex ISaid();

    [GeneratedRegex(@"\b(no jump(s|ing)?\b(?! (jacks?|rope|option|version|if))|(it's|is|all|totally|completely|a|this) low impact\b(?! (option|version|way|variation))|(zero|without|no) (impact|jumps|jumping)|nothing (that )?jumps|neighbou?r friendly|apartment friendly|both feet (stay|on)|feet (stay|never leave))\b", Options)]
    private static partial Regex Quiet();

    [GeneratedRegex(@"\b(today|class|workout|session|video|routine|includes?|including|focus|exercises|moves|we've got|i've got|we have|will be|we'll\b(?! (just )?(ease|start|begin|get|warm|loosen|wake|mobili[sz]e|kick|open)\b)|going to be|all about|lots of|bit of|mix of|combination of|plenty of|yesterday|last (week|time)|need|grab|before (you|we)\b(?! (get (going|started|into|moving)|start|begin|go|jump)\b)|spend|on your own|yourself|minutes)\b", Options)]
    private static partial Regex OfTheClass();

    /// <summary>"Or a fast squat, no jump": one way of two.</summary>
    [GeneratedRegex(@"\b(or|if|instead|option|doing|showing)\b", Options)]
    private static partial Regex OrBefore();

    [GeneratedRegex(@"^([\w']+ )?(just )?for (a|1|just a) (moment|second|sec|tick)\b", Options)]
    private static partial Regex ForAMoment();

    [GeneratedRegex(@"^(so|which is|which means|that's|that is|basically|it's|i e|aka|in other words|just)( (basically|just|really|a|an|the|like|we're|you're|your))*$", Options)]
    private static partial Regex SaidOtherwise();

    [GeneratedRegex(@"^([\w']+ )?(sorry(?! (in advance|not sorry|about|to|if|i (said|got|forgot|had|was|know|keep|have)|i'm|i've|for|guys|everyone|everybody|neighbou?rs?|knees|legs|love|folks))|no wait|wait no|i mean|i meant|i lied|actually no|(i'm )?(just |only )?(kidding|joking))\b", Options)]
    private static partial Regex Correction();

    [GeneratedRegex(@"^([\w']+ )?i mean\b", Options)]
    private static partial Regex Meant();
}
