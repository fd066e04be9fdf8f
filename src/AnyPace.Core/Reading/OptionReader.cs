using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Easier and harder ways that are offered. Some phrases say outright which it is; else a condition or an offer is found first ("if ...", "you can ...",
/// "for those of you ...") and the reasons and actions around it are weighed: knees, walls, steps and rests against jumps, weights and pulses.
/// </summary>
internal static partial class OptionReader
{
    /// <summary>Several patterns for one kind: each alone is looked for by its few first letters, all in one would be tried at every word.</summary>
    private static readonly (string Kind, Regex Pattern)[] OptionWays =
    [
        ("easier", EasierIf()),
        ("easier", EasierNamed()),
        ("easier", EasierAllowed()),
        ("easier", EasierWithout()),
        ("easier", EasierSupport()),
        ("harder", HarderIf()),
        ("harder", HarderNamed()),
        ("harder", HarderWith()),
    ];

    public static ImmutableArray<Option> Read(Speech speech, IReadOnlyList<Mention> mentions, IReadOnlyList<Bout> bouts, RemarkJudge.Judged care)
    {
        var found = FactReader.WithTold(speech, FactReader.Joined(speech, FactReader.Hits(speech, OptionWays, []).Concat(Weighed(speech))), care, RemarkField.Option);
        return
        [
            .. found.Select(hit =>
            {
                var at = speech.At(hit.Token);
                var bout = BoutOf(bouts, at);
                var instead = mentions.FirstOrDefault(m => m.Token >= hit.Token - 4 && m.Token <= hit.Token + 14 && m.Role is Role.Alternative && m.Move.Id != bout?.MoveId);
                return new Option(
                    new Seconds(Math.Round(at, 1)), hit.Kind == "easier" ? OptionDirection.Easier : OptionDirection.Harder,
                    bout is not null && Math.Abs(bout.Span.Start.Value - at) < 240 ? bout.MoveId : null, instead?.Move.Id, speech.Around(hit.Token, 2, 16));
            }),
        ];
    }

    /// <summary>Offers whose direction follows from the words around them.</summary>
    private static IEnumerable<(string Kind, int Token, Match Match)> Weighed(Speech speech)
    {
        const int reach = 12;
        foreach (var match in speech.Find(Offer()))
        {
            var token = speech.TokenAt(match.Index);
            var after = match.Value + " " + speech.After(speech.TokenAt(match.Index + match.Length - 1) + 1, reach);
            if (NoOffer().IsMatch(after) || SoThat().IsMatch(speech.Before(token, 4)) || (match.Value == "if" && KitBefore().IsMatch(speech.Before(token, 4))))
            {
                continue;
            }

            // What comes before a condition is what it is about: "keep the toes down if that's better for you".
            var words = match.Value == "if" ? speech.Before(token, 7) + " " + after : after;
            var (easy, hard) = (EasyAction().Count(words) + (2 * EasyReason().Count(after)), HardAction().Count(words) + (2 * HardReason().Count(after)));
            if (Math.Max(easy, hard) >= (match.Value == "if" ? 3 : 1) && easy != hard)
            {
                yield return (easy > hard ? "easier" : "harder", token, match);
            }
        }
    }

    /// <summary>The bout an option speaks of: the one that runs, else the one about to begin, else the one just over.</summary>
    private static Bout? BoutOf(IReadOnlyList<Bout> bouts, double at)
    {
        const double aboutToBegin = 25;
        return bouts.FirstOrDefault(b => b.Span.Contains(new Seconds(at)))
            ?? bouts.FirstOrDefault(b => b.Span.Start.Value >= at && b.Span.Start.Value <= at + aboutToBegin)
            ?? bouts.LastOrDefault(b => b.Span.End.Value <= at)
            ?? bouts.FirstOrDefault();
    }

    private const RegexOptions Plain = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    /// <summary>A reason to take it down: "if your wrists are sore".</summary>
    [GeneratedRegex(@"\G\b((if you )?(can't|cannot) (get|reach|touch|do|hold|keep|lift|straighten|manage)( [\w']+){0,6} (no problem|no worries|that's (fine|okay|ok)|don't worry|bend|rest|take|hold|use|put)|not feeling (it|the|this|that)( [\w']+){0,2} (take|try|do|step|go|drop|stay)|for (any ?one|those|any of you|any ?body) (who|whose|with)( [\w']+){0,4} (off|bad|sore|tight|tired|struggl\w*|issues?|problems?|can't|doesn't|don't)|(?<!\b(water|drink|sip)( [\w']+){0,3} )if( [\w']+){0,5} (too (much|hard|heavy|deep|intense|fast|difficult|low|high|fiddly|strong|tricky|complicated|awkward|confusing|quick|bouncy|far|jumpy|painful)|tight|stiff|heavy|tired|tires?|sore|hurts?(?! (just )?(stop|don't)| then stop)|bother(s|ing)?|struggl\w+|grumbl\w+|grumpy|complain\w*|(talk|shout|scream|moan|speak)ing (to|at) you|unsteady|unstable|unsure|wobbl\w*|ach(e|es|ing)|(a |just )?(beginners?|new(?! (here|to (the|my|this) (channel|studio|page|series)))|starting)\b|tender|sensitive|(?<!pregnant or )injured|not for you|not comfortable|uncomfortable|not ready|jumping|can't( [\w']+)?|cannot|don't (like|want)( [\w']+){0,2} (jump\w*|to)|need (to|it|a break|1|the break|more support))\b|if (that's|that is|it's|this is) enough|if (you|you've|you have|your)( (have|got|had))?( [\w']+){0,2} (bad|dodgy|sore|grumpy|sensitive|weak|injured)( [\w']+)? (knees?|backs?|wrists?|shoulders?|hips?|necks?|ankles?)|if (that's|that is|it's|this is)( just| really)? not (your thing|for you|happening|available)|(knee|back|wrist|shoulder|hip|neck|ankle|foot) (problems?|issues?|injur\w+|trouble)( [\w']+){0,2} (skip|leave|take|stay|keep|just|avoid|come|drop|go|do|use|try|hold|bring|step|pop))\b", Plain)]
    private static partial Regex EasierIf();

    /// <summary>A way that is named easier.</summary>
    [GeneratedRegex(@"\G\b((?<!gets |get |getting |become |becomes |little bit |any |no |be |is it )\b(easier|kinder|gentler|friendlier|more manageable)\b(?! said)|\b(modif(y|ication|ications|ied|ying)|regression)\b|low( impact)? (option|version|way|variation|alternative|folks|people|crew|gang|team)|(a little|a bit|some) more (support|stability)|(half|smaller|less|shorter|a smaller) (the )?range( of motion)? (is|are|works|will)|half ?way( [\w']+)? (is|down is) (fine|okay|ok|enough|plenty|perfect)|(?<!for |all |complete |total |absolute )\bbeginners?\b(?! (workout|class|friendly|level|session|routine|series|pilates|yoga|to|program\w*|barre)))\b", Plain)]
    private static partial Regex EasierNamed();

    /// <summary>What the coach allows: "you can keep your feet on the floor".</summary>
    [GeneratedRegex(@"\G\b(can be done (from|on|against|off|with|without|in|seated|sitting)( (your|the|a|any))?( [\w']+)? ?(knees|wall|chair|seat|sofa|weights?|jump\w*|seated|sitting|bed)?|((you|we) (can|could|may|might|can always|might prefer to|may prefer to|might want to|may want to|might like to)|feel free to|welcome to|or|or just|or simply|option(al)? to|happy to|fine to|okay to)( (just|simply|always|also|even|do|keep|stay|take|go|come|drop|use|rest|leave|hold|put|bring|step|with|this|it|that|1|from|have|you|can|down))* ?(to|on|onto|without|against|the|your|a|in|with|of)?( (the|your|a|to|on))* ?((back )?knees?|without (the |any |your )?(weights?|dumbbells?|jump\w*|band)|no weights?|bodyweight|feet (on|down)|foot (on|down)|head (down|rested)|wall|chair|1 arm|hands on|half way|slower|smaller|march|walk( it)?( out)?|step\w* (it|out|side|back|in)|tap\w* (it|out|side)?|take (the|it) (jump|slow|easy|down)|break|slow(er)? (it )?(down)?)\b)\b", Plain)]
    private static partial Regex EasierAllowed();

    /// <summary>The things coaches take away: the jump, the weight, the range.</summary>
    [GeneratedRegex(@"\G\b((rest|pause|stop|break) (whenever|any ?time|when|as often as) you (need|want|like)|(grab|take|pick up|use|go for|choose) (a |some |the |your )?(lighter|smaller)( [\w']+){0,2}|(drop|lose|ditch|leave) (the|your|those) (weights?|dumbbells?)|(take|leave|taking|leaving|cut) (out |away )?the (jump|hop|impact|weights?)( out)?(?! (out )?(of|off|from|on|onto|into|in)\b)|no jump\w* (option|version|here|needed|you|just)|without the (jump|weights?|hop|dumbbells?)|instead of (jump|hop)\w*|(step|walk|march|tap)( it)?( back| out| in| up)? instead|(stay|keep)( [\w']+){0,2} with( [\w']+){0,2} instead|1 (arm|leg|side|hand) at a time if|just use 1|just as good|don't have to (go|jump|do|lift|use)|(drop|come|go|stay|be) (down )?(on ?to|to|on) your knees|knees down\b(?! (and|to the|towards))|smaller range|or (just|simply) [\w']+|take (a|your|as many|some)?( )?(break|breaks|rest|rests|time)( [\w']+){0,3} (if|when\w*|as)\b|slow (it|this) down (if|when\w*|any ?time|as)\b|skip (the|this|that|it)( [\w']+){0,3} if\b|(leave|keep) (it|your head|the head|that) down if\b|leave (the |your )?(head|it) down\b|(hold|hang|holding) (on )?(on )?to (a|the|your|something)( [\w']+)? ?(chair|wall|sturdy)?( if|for (balance|support))|(easy|lighter) option|(step|walk|march|tap) it if you (want|need|like|prefer|can't|would rather)|(drop|lose|put down) (1|a weight|a dumbbell)( of them)? if|use your hands( [\w']+){0,6} if (you need|needed|you have)|bend (your|the) knees? if (it|you|that)|lighter if you('ve got| have| want| need))\b", Plain)]
    private static partial Regex EasierWithout();

    /// <summary>The support that is given: no weight in the hands, a knee on the floor.</summary>
    [GeneratedRegex(@"\G\b((hand|finger|fingertips?)s? (on|against|to) (the|a|your)( [\w']+)? (counter|worktop|sofa|chair|wall|table|desk|railing|something)( [\w']+){0,2} (if|for (balance|support))|(no|without any|without) (weights?|dumbbells?|band) (is|are|works)( [\w']+)? (fine|okay|ok|great|enough|perfect|plenty|good)|(pop|put|place|drop|keep|bring) (a|1|that|the|your|1 of your|both)( [\w']+)? ?knees? down|(keep|make|making|keeping) (it|this|that) low impact)\b", Plain)]
    private static partial Regex EasierSupport();

    /// <summary>A reason to go on: "if that feels easy".</summary>
    [GeneratedRegex(@"\G\b(if( [\w']+){0,3} (piece of cake|a breeze|too comfortable)|if( [\w']+){0,5} (more\b(?! (support|time|rest|help|of a rest))|(too |quite |really |a bit )?easy|harder|challeng\w+|strong(er)?|brave|good|push (it|yourself)|advanced|extra( [\w']+)?|clever|fancy|spicy|intense|up for it|dare|progress)\b)\b", Plain)]
    private static partial Regex HarderIf();

    /// <summary>A way that is named harder.</summary>
    [GeneratedRegex(@"\G\b(make (this|it|that|these|them) (even |a bit |a little |a lot |that bit )?(harder|spicy|tougher|spicier|more challenging|more difficult)\b|(want|need|fancy|after|like) (a bit|a little|something|some|even)? ?more\b(?! (support|time|rest|help|of a rest|stretch|information|info|of these|from|classes))|(?<!gets |get |getting |even |is |work |it's |little |any |no |push |a bit |much |be |this |that )harder\b(?! (than|come|now|go|and|faster|harder|push|you go|keep))|(?<!day |the |this |real |week )\bchallenge (yourself|it|here|you)|(extra|bigger|more of a|added|further|little|want a|for a) challenge|\badvanced\b(?! (class|workout|level|session))|progress(ion)? (this|it|here|is|would|by)|progression)\b", Plain)]
    private static partial Regex HarderNamed();

    /// <summary>The things coaches add: a jump, a pulse, weight.</summary>
    [GeneratedRegex(@"\G\b((by )?adding (a|an|the|in|your)( [\w']+)? (jump|hop|pulse|weights?|dumbbells?|kick|push ?up|twist|tuck|arms)|bonus points|turn (it|this|that) up\b|(got|have|own|use|grab) (a |some |any |those |your )?(heavier|bigger) (pair|set|weights?|dumbbells?|1s?|kettlebell|bell)|(try|do|go)( it| this| that)? (without (holding|your hands|the wall|the chair|support|any support|the support)|hands? free|no hands)|(put|pop|strap)( [\w']+){0,3} (ankle|wrist) weights|ankle weights( [\w']+){0,5} (time|now|on)|put a band|level (it )?up|up a (notch|level|gear)|add (the|your|those|in the|some) arms?( in)?|add (a|an|in a|in the|the|some|on a|on the)( (little|small|big|quick|tiny))? (jump|hop|pulse|weights?|dumbbells?|kick|push ?up|twist|tuck)|(turn|make) (it|this|that) (in ?to )?a (jump|hop)\w*|option to (jump|add|lift|hop|go heavier)|(go|going)( [\w']+){0,2} heavier( weights?)?|(grab|take|pick up|use)( [\w']+){0,2} heavier( weights?)? if [\w']+ [\w']+\b|(faster|deeper|lower|higher|heavier|quicker|bigger) if you( can| like| want| dare| wish| prefer| have (it|that|them|1)|'ve got (it|them|em))|if you (want|wanna|like|can|wish)( to)?( go| get)? (deeper|lower|higher|heavier|faster|quicker|bigger|further)\b|(?<!get |getting )ready for (a bit |a little |some )?more\b)\b", Plain)]
    private static partial Regex HarderWith();

    [GeneratedRegex(@"\G\b(if|(you|we) (can|could|may|might)( always| also)?|you always have|you('ve| have)( always)? (got )?(the|a) (choice|option)|feel free|options?( is| here)?|for those( of you)?|no need to|(don't|doesn't) (have|need) to|no shame|only go|level 2|want more|(1|one) (leg|arm|foot|side) at a time to start|the next level|to (step|level) it up|pick up the pace|(walking|stepping|marching) is|(slow|pause|rest|stop)( [\w']+){0,3} (?=if))\b", Plain)]
    private static partial Regex Offer();

    /// <summary>Conditions that are no offer: chat, kit, and care.</summary>
    [GeneratedRegex(@"^(if you( are|'re)? (enjoy\w*|ready|watching|joining|new (here|to (the|my|this) (channel|studio|page|series))|liked?|haven't (subscri|already)\w*)|if you ('ve )?(have |want )?(any )?questions?|if (you )?(have|haven't got|don't have|have not got|'ve got|own)( an?| any| the| your| some)? ([\w']+ )?(mat|gloves|block|cushion|towel|dumbbells?|weights?|band|kettlebell|bench|step|chair)\b|if (anything|something|you feel (any |dizzy|faint|light)|you have (an|any) (injur|pain|medical|health)|you're (pregnant|injured|recovering)|you are (pregnant|injured))|(you|we) (can|could|may|might)( always| also)? (feel|see|hear|do it|do this|find|get|imagine|breathe|think|tell|even feel|start|join|relax))|\b(pain|dizzy|faint|doctor|comments|subscribe)\b", Plain)]
    private static partial Regex NoOffer();

    /// <summary>"A cushion if your head does not like to be flat" is kit.</summary>
    [GeneratedRegex(@"\b(mat|cushion|pillow|towel|blanket|block|chair|band|bottle|gloves|shoes|water)( [\w']+)?$", Plain)]
    private static partial Regex KitBefore();

    /// <summary>"So that you can", "as low as you can": how to do it, not another way.</summary>
    [GeneratedRegex(@"\b(so|so that|as [\w']+ as|where|what|that|than|much as|everything|all|best|i know|until|once|make sure|how|see)$", Plain)]
    private static partial Regex SoThat();

    [GeneratedRegex(@"\b(can't|cannot|need|needs|hurts?|hurting|sore|too|tired|(?<!why )not|isn't|aren't|don't|doesn't|rather|better for you|uncomfortable|comfortable|struggl\w*|los(e|ing)|wobbl\w*|injur\w*|beginn\w*|sensitive|less|bother\w*|lifts up|arch\w*|have to|pressure off|any ?time|today)\b", Plain)]
    private static partial Regex EasyReason();

    [GeneratedRegex(@"\b((?<!\b(\d+|few|some|couple|any|no) )more|stronger|strong|feel\w* good|easy|brave|dare|fancy|got it in you|tank|challeng\w*|tougher|harder|further|intens\w*|spic\w*|advanced)\b", Plain)]
    private static partial Regex HardReason();

    [GeneratedRegex(@"\b((on |to )?(your |the |a )?knees?( down)?|slow\w*|march\w*|walk\w*|(?<!(?<!(choice|option) )to )step(?! it up)\w*|tap\w*|without(?! (holding|(your )?hands|support|the (wall|chair|support)))|chair|wall|rest|break|pause|small(er)?|lighter|stop|support|half|forearms?|(toes?|foot|feet|heels?) down|bend|1 (leg|arm|foot|side) at a time|come out|(so|as) (far|high|low|deep)|legs? higher|lower the legs?|easier|low option|low impact|low as|fine|option of|modif\w*)\b", Plain)]
    private static partial Regex EasyAction();

    [GeneratedRegex(@"\b((?<!no |can't |don't |of |without |the |back )jump(?!ing jack)\w*|(?<!no |the )hop\w*|puls(e|es|ing)|add\w*|heavier|faster|lift(?!s up)|straight\w*|extend\w*|hold (a |the |your )?(weight|dumbbell)s?|float|twist|speed( it)? up|double\w*|deeper|plyo\w*|explosive|single leg|both legs|pace|bit lower)\b", Plain)]
    private static partial Regex HardAction();
}
