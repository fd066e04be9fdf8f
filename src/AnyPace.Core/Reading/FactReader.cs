using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>The facts beside the moves: options, cautions, promises, what does not belong, and what is said of the class as a whole.</summary>
internal static partial class FactReader
{
    /// <summary>Hits of one kind closer than this, in seconds, are one remark.</summary>
    private const double SameRemark = 12;

    private static readonly (string Topic, Regex Pattern)[] CautionTopics =
    [
        ("medical", Medical()),
        ("dizziness", Dizzy()),
        ("pain", Pain()),
        ("knees", Knees()),
        ("lower back", LowerBack()),
        ("neck", Neck()),
        ("shoulders", Shoulders()),
        ("wrists", Wrists()),
        ("breathing", Breathing()),
        ("balance", Balance()),
        ("footwear", Footwear()),
        ("space", Space()),
        ("load", LoadCare()),
        ("warm-up", WarmUpCare()),
    ];

    private static readonly (string Type, Regex Pattern)[] ClaimTypes =
    [
        ("calories", Calories()),
        ("spot reduction", SpotReduction()),
        ("fat burning", FatBurning()),
        ("weight loss", WeightLoss()),
        ("medical benefit", MedicalBenefit()),
        ("body shaming", BodyShaming()),
        ("result promise", ResultPromise()),
    ];

    private static readonly (string Type, Regex Pattern)[] OutsideTypes =
    [
        ("social media", SocialMedia()),
        ("advert", Advert()),
        ("self-promotion", SelfPromotion()),
        ("brand or product", Brand()),
        ("other person", OtherPerson()),
        ("off-topic chat", OffTopic()),
    ];

    /// <summary>Several patterns for one kind: each alone is looked for by its few first letters, all in one would be tried at every word.</summary>
    private static readonly (string Kind, Regex Pattern)[] OptionWays =
    [
        ("easier", EasierIf()),
        ("easier", EasierNamed()),
        ("easier", EasierAllowed()),
        ("easier", EasierWithout()),
        ("harder", HarderIf()),
        ("harder", HarderNamed()),
        ("harder", HarderWith()),
    ];

    public static ImmutableArray<Option> Options(Speech speech, IReadOnlyList<Mention> mentions, IReadOnlyList<Bout> bouts)
    {
        var found = Hits(speech, OptionWays, []);
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

    /// <summary>The bout an option speaks of: the one that runs, else the one about to begin, else the one just over.</summary>
    private static Bout? BoutOf(IReadOnlyList<Bout> bouts, double at)
    {
        const double aboutToBegin = 25;
        return bouts.FirstOrDefault(b => b.Span.Contains(new Seconds(at)))
            ?? bouts.FirstOrDefault(b => b.Span.Start.Value >= at && b.Span.Start.Value <= at + aboutToBegin)
            ?? bouts.LastOrDefault(b => b.Span.End.Value <= at)
            ?? bouts.FirstOrDefault();
    }

    public static ImmutableArray<Caution> Cautions(Speech speech) =>
        [.. Hits(speech, CautionTopics, []).Select(h => new Caution(Time(speech, h.Token), h.Kind, speech.Around(h.Token, 4, 14)))];

    public static ImmutableArray<Claim> Claims(Speech speech) =>
    [
        .. Hits(speech, ClaimTypes, []).Select(h => new Claim(
            Time(speech, h.Token), h.Kind, h.Match.Groups["n"].Success ? double.Parse(h.Match.Groups["n"].Value, CultureInfo.InvariantCulture) : null,
            speech.Around(h.Token, 4, 12))),
    ];

    public static ImmutableArray<Outside> Outside(Speech speech, IReadOnlyList<Mention> mentions) =>
        [.. Hits(speech, OutsideTypes, mentions).Select(h => new Outside(Time(speech, h.Token), h.Kind, speech.Around(h.Token, 4, 12)))];

    public static Stated Stated(Speech speech, double? statedMinutes)
    {
        var minutes = new List<double>();
        if (statedMinutes is { } given)
        {
            minutes.Add(given);
        }

        foreach (Match match in Minutes().Matches(speech.Text))
        {
            var n = double.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture);
            if (n is >= 4 and <= 120 && !minutes.Contains(n))
            {
                minutes.Add(n);
            }
        }

        var opening = speech.Text[..Math.Min(speech.Text.Length, 3000)];
        var impact = ImpactSaid().Match(speech.Text);
        var level = LevelSaid().Match(opening);
        var week = PerWeek().Match(speech.Text);
        var weeks = ForWeeks().Match(speech.Text);
        return new Stated(
            [.. minutes.Take(4)],
            impact.Success ? impact.Value.StartsWith("high", StringComparison.Ordinal) ? "high" : "low" : null,
            level.Success ? level.Value : null,
            [.. FocusSaid().Matches(opening).Select(m => m.Value).Distinct().Take(5)],
            Range(week),
            Range(weeks));
    }

    public static bool PartOfSeries(Speech speech) => Series().IsMatch(speech.Text);

    private static Seconds Time(Speech speech, int token) => new(Math.Round(speech.At(token), 1));

    private static CountRange? Range(Match match) => match.Success
        ? new CountRange(
            int.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture),
            int.Parse(match.Groups[match.Groups["m"].Success ? "m" : "n"].Value, CultureInfo.InvariantCulture))
        : null;

    /// <summary>All hits in time order, near repeats of one kind joined, those inside a move's name left out.</summary>
    private static List<(string Kind, int Token, Match Match)> Hits(Speech speech, (string Kind, Regex Pattern)[] patterns, IReadOnlyList<Mention> mentions)
    {
        var inNames = new HashSet<int>();
        foreach (var m in mentions)
        {
            inNames.UnionWith(Enumerable.Range(m.Token, m.Length));
        }

        var found = new List<(string Kind, int Token, Match Match)>();
        foreach (var (kind, pattern) in patterns)
        {
            foreach (Match match in pattern.Matches(speech.Text))
            {
                if (!inNames.Contains(speech.TokenAt(match.Index + match.Length - 1)))
                {
                    found.Add((kind, speech.TokenAt(match.Index), match));
                }
            }
        }

        var hits = new List<(string Kind, int Token, Match Match)>(found.Count);
        var last = new Dictionary<string, double>();
        foreach (var hit in found.OrderBy(h => h.Token))
        {
            var at = speech.At(hit.Token);
            if (!last.TryGetValue(hit.Kind, out var before) || at - before > SameRemark)
            {
                hits.Add(hit);
                last[hit.Kind] = at;
            }
        }

        return hits;
    }

    private const RegexOptions Plain = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    /// <summary>A reason to take it down: "if your wrists are sore".</summary>
    [GeneratedRegex(@"\b(if( [\w']+){0,5} (too (much|hard|heavy|deep|intense|fast|difficult|low|high|fiddly|strong)|heavy|tired|tires?|sore|hurts?|bother(s|ing)?|struggl\w+|grumbl\w+|grumpy|complain\w*|wobbl\w*|ach(e|es|ing)|(a |just )?(beginners?|new|starting)\b|tender|sensitive|injured|not for you|not comfortable|uncomfortable|not ready|jumping|can't( [\w']+)?|cannot|don't (like|want)( [\w']+){0,2} (jump\w*|to)|need (to|it|a break|1|the break|more support))\b|if (that's|that is|it's|this is) enough)\b", Plain)]
    private static partial Regex EasierIf();

    /// <summary>A way that is named easier.</summary>
    [GeneratedRegex(@"\b((?<!gets |get |getting |become |becomes |little bit |any |no |be |is it )\b(easier|kinder|gentler)\b(?! said)|\b(modif(y|ication|ications|ied|ying)|regression)\b|low impact (option|version|way|variation|alternative)|(?<!for |all |complete |total |absolute )\bbeginners?\b(?! (workout|class|friendly|level|session|routine|series|pilates|yoga|to|program\w*|barre)))\b", Plain)]
    private static partial Regex EasierNamed();

    /// <summary>What the coach allows: "you can keep your feet on the floor".</summary>
    [GeneratedRegex(@"\b(((you|we) (can|could|may|might|can always)|feel free to|welcome to|or|or just|or simply|option(al)? to|happy to|fine to|okay to|just)( (just|simply|always|also|even|do|keep|stay|take|go|come|drop|use|rest|leave|hold|put|bring|step|with|this|it|that|1|from|have|you|can|down))* ?(to|on|onto|without|against|the|your|a|in|with|of)?( (the|your|a|to|on))* ?(knees?|without (the |any |your )?(weights?|dumbbells?|jump\w*|band)|no weights?|bodyweight|feet (on|down)|foot (on|down)|head (down|rested)|wall|chair|1 arm|hands on|half way|slower|smaller|march\w*|walk\w*( it)?( out)?|step\w* (it|out|side|back|in)|tap\w* (it|out|side)?|take (the|it) (jump|slow|easy|down)|break|slow(er)? (it )?(down)?)\b)\b", Plain)]
    private static partial Regex EasierAllowed();

    /// <summary>The things coaches take away: the jump, the weight, the range.</summary>
    [GeneratedRegex(@"\b((drop|lose|ditch|leave) (the|your|those) (weights?|dumbbells?)|(take|leave|taking|leaving|cut) (out |away )?the (jump|hop|impact|weights?)( out)?|no jump\w*|without the (jump|weights?|hop|dumbbells?)|instead of (jump|hop)\w*|(step|walk|march|tap)( it)?( back| out| in| up)? instead|(stay|keep)( [\w']+){0,2} with( [\w']+){0,2} instead|1 (arm|leg|side|hand) at a time if|just use 1|just as good|don't have to (go|jump|do|lift|use)|(drop|come|go|stay|be) (down )?(on ?to|to|on) your knees|knees down\b(?! (and|to the|towards))|smaller range|or (just|simply) [\w']+|take (a|your|as many|some) (break|breaks|rest|rests|time)( [\w']+){0,2} (if|when\w*|as)\b|(hold|hang|holding) (on )?(on )?to (a|the|your|something)( [\w']+)? ?(chair|wall|sturdy)?( if|for (balance|support))|(easy|lighter) option)\b", Plain)]
    private static partial Regex EasierWithout();

    /// <summary>A reason to go on: "if that feels easy".</summary>
    [GeneratedRegex(@"\b(if( [\w']+){0,5} (more\b(?! (support|time|rest|help|of a rest))|(too |quite |really |a bit )?easy|harder|challeng\w+|strong(er)?|brave|good|push (it|yourself)|advanced|extra( [\w']+)?|clever|fancy|spicy|intense|up for it|dare|progress)\b)\b", Plain)]
    private static partial Regex HarderIf();

    /// <summary>A way that is named harder.</summary>
    [GeneratedRegex(@"\b((?<!gets |get |getting |even |is |work |it's |little |any |no |push |a bit |much |be )harder\b(?! than)|(?<!day |the |this |real |week )\bchallenge (yourself|it|here|you)|(extra|bigger|more of a|added|further|little|want a|for a) challenge|\badvanced\b(?! (class|workout|level|session))|progress(ion)? (this|it|here|is|would|by)|progression)\b", Plain)]
    private static partial Regex HarderNamed();

    /// <summary>The things coaches add: a jump, a pulse, weight.</summary>
    [GeneratedRegex(@"\b(level (it )?up|up a (notch|level|gear)|add (a|an|in a|in the|the|some|on a|on the)( (little|small|big|quick|tiny))? (jump|hop|pulse|weights?|dumbbells?|kick|push ?up|twist|tuck)|(turn|make) (it|this|that) (in ?to )?a (jump|hop)\w*|option to (jump|add|lift|hop|go heavier)|(go|going|grab|take|pick up|use)( [\w']+){0,2} heavier( weights?)?( if [\w']+ [\w']+)?\b|(faster|deeper|lower|higher|heavier|quicker|bigger) if you (can|like|want|dare|wish|prefer))\b", Plain)]
    private static partial Regex HarderWith();

    [GeneratedRegex(@"\b(doctor|physio(therapist)?|medical (condition|professional|advice)|health (professional|condition|issues?)|pregnan\w+|postnatal|heart (condition|problem)|blood pressure|injur(y|ies|ed))\b", Plain)]
    private static partial Regex Medical();

    [GeneratedRegex(@"\b(dizz(y|iness)|light ?headed|faint)\b", Plain)]
    private static partial Regex Dizzy();

    [GeneratedRegex(@"\b((any|feel|feeling|sharp|no|if it|never|shouldn't) (pain|hurts?)|listen to your (body|bodies)|if (it|this|anything) hurts|sore (back|knees?|neck|shoulders?))\b", Plain)]
    private static partial Regex Pain();

    [GeneratedRegex(@"\b((don't let|careful|watch|protect|mind|look after|avoid|make sure|keep|keeping)( [\w']+){0,4} knees?( [\w']+){0,5} (behind|over|past|cav\w*|collaps\w*|in line|inwards?|in|toes|lock\w*)|knees?( [\w']+){0,3} (don't|not|never)( [\w']+){0,3} (past|over|beyond|in|inwards?|collapse|cave)|(bad|sore|dodgy|sensitive) knees?|knees?( [\w']+){0,2} (in line|track\w*|stay\w* (over|behind|in line)|over (the|your) (second|middle|ankles?))|knees? (are |is )?(issues?|problems?|injur\w+|pain)|lock (out )?(your|the) knees?|protect (your|the|those) knees?)\b", Plain)]
    private static partial Regex Knees();

    [GeneratedRegex(@"\b((don't|avoid|not|no|without|careful|watch|protect|look after|stop|prevent)( [\w']+){0,5} (lower |your |the )?back\b( [\w']+){0,2}|(bad|sore|dodgy) (lower )?backs?|(lower )?back (issues?|problems?|pain|trouble|injur\w+)|protect (your|the|that) (lower )?back|lower back (glued|pressed|flat|into|pushed|down|on|stays?)|(don't|avoid|no) arch\w*|don't round)\b", Plain)]
    private static partial Regex LowerBack();

    [GeneratedRegex(@"\b((don't|avoid|not|careful|protect|no)( [\w']+){0,4} (neck|chin)|(strain|pull|tension|pressure)\w*( [\w']+){0,3} neck|neck( [\w']+){0,4} (don't|not)( [\w']+)? (crank|pull|strain|force)|neck (issues?|problems?|pain|gets (tired|sore)))\b", Plain)]
    private static partial Regex Neck();

    [GeneratedRegex(@"\b((don't|avoid|careful|protect)( [\w']+){0,4} shoulders?( [\w']+){0,4} (ears?|shrug|hurt|pain)|(bad|sore|dodgy) shoulders?|shoulders? (injur\w+|issues?|problems?|pain)|shoulders?( [\w']+){0,3} (to|towards|up to|away from) (your|the) ears)\b", Plain)]
    private static partial Regex Shoulders();

    [GeneratedRegex(@"\b((bad|sore|dodgy|weak|hurt(s|ing)?|protect|careful)( [\w']+){0,3} wrists?|wrists? (are |is |feel )?(hurts?|issues?|problems?|pain|sore|tired|achy|don't))\b", Plain)]
    private static partial Regex Wrists();

    [GeneratedRegex(@"\b(don't (forget to |hold your )breath?e?|(remember|don't forget|make sure)( [\w']+){0,3} (to )?breathe?|keep breathing|make sure( [\w']+){0,2} breathing)\b", Plain)]
    private static partial Regex Breathing();

    [GeneratedRegex(@"\b((lose|losing|keep|struggle|trouble|help)( [\w']+){0,4} balance|find a (spot|point)|hold on(to)?( to)? (a|the|something)( [\w']+){0,2} (for )?(balance|support|chair|wall|sturdy|stable)|for balance)\b", Plain)]
    private static partial Regex Balance();

    [GeneratedRegex(@"\b(bare ?foot|(wear|put on|need|supportive|good|grab)( [\w']+){0,3} (shoes|trainers|sneakers))\b", Plain)]
    private static partial Regex Footwear();

    [GeneratedRegex(@"\b((clear|enough|plenty of|some|make sure|little|bit of) ([\w']+ ){0,4}(space|room)\b(?! temperature)|chair( [\w']+){0,5} (stable|sturdy|secure|against|slide|slip|move)|(sturdy|stable) chair|non ?slip)\b", Plain)]
    private static partial Regex Space();

    [GeneratedRegex(@"\b((don't|do not) go too heavy|(choose|pick|use) (a |your )?(lighter|weight)( [\w']+){0,5}|go lighter|too heavy|lighter weights? if)\b", Plain)]
    private static partial Regex LoadCare();

    [GeneratedRegex(@"\b((make sure|please|you should|ensure)( [\w']+){0,5} warm(ed)? ?up|don't skip( [\w']+){0,3} warm ?up|(do|done) (a|your) warm ?up (first|before))\b", Plain)]
    private static partial Regex WarmUpCare();

    [GeneratedRegex(@"\b((burn\w*|torch\w*|blast\w*)( [\w']+){0,4} calories|calorie burn\w*|(?<n>\d{2,4}) calories|calories)\b", Plain)]
    private static partial Regex Calories();

    [GeneratedRegex(@"\b((lose|drop|shed|losing|dropping|shedding)( [\w']+){0,3} (weight|pounds|kilos|inches|fat)|weight loss|slim(ming)? down)\b", Plain)]
    private static partial Regex WeightLoss();

    [GeneratedRegex(@"\b((burn|melt|torch|blast|shred|incinerat)\w*( [\w']+){0,4} fat|fat[ -]?(burn|melt|blast|torch)\w*|fat loss)\b", Plain)]
    private static partial Regex FatBurning();

    [GeneratedRegex(@"\b((belly|arm|back|thigh|tummy|stomach|bra|hip) (fat|bulge|rolls?)|love handles|(slim\w*|shrink\w*|smaller|flat\w*|sculpt|trim\w*|cinch\w*|tone up|toning)( [\w']+){0,3} (waist|belly|tummy|stomach|thighs)|(flat|flatter) (tummy|belly|stomach|abs))\b", Plain)]
    private static partial Regex SpotReduction();

    [GeneratedRegex(@"\b((cure|heal|fix|reliev|treat|get rid of|prevent|eliminat|eas)\w*( [\w']+){0,4} (pain|aches?|arthritis|diabetes|anxiety|depression|injur(y|ies)|sciatica|osteoporosis|posture)|boost\w* (your |the )?(immune|metabolism|immunity)|(lower|reduc|improv)\w* (your )?(blood pressure|cholesterol|blood sugar|bone density|risk)|good for your (heart|joints|bones|mental health|digestion))\b", Plain)]
    private static partial Regex MedicalBenefit();

    [GeneratedRegex(@"\b((see|guarantee\w*|notice|get you|seeing|amazing|real|fast|quick)( [\w']+){0,2} results|(six|6) pack|transform\w*( [\w']+){0,2} (body|physique)|(get|give you|build)( [\w']+){0,3} (toned|ripped|shredded|lean|dream|strong and lean|bigger|rounder|perkier)( [\w']+){0,2}|in (just |only )?\d+ (days|weeks)( [\w']+){0,2} (you'll|you will|see|results))\b", Plain)]
    private static partial Regex ResultPromise();

    [GeneratedRegex(@"\b(bingo wings?|muffin tops?|flab\w*|fat (arms|legs|thighs|ass|bum)|(earn|deserve|work off|burn off|burning off)( [\w']+){0,3} (cake|dinner|pizza|chocolate|breakfast|food|weekend|dessert|christmas|meal|treats?)|(beach|bikini|summer) (body|ready)|thunder thighs|jiggl\w+|mum tum|mom pooch|cellulite)\b", Plain)]
    private static partial Regex BodyShaming();

    [GeneratedRegex(@"\b(subscri\w+|(hit|smash|click|press|tap|give)( [\w']+){0,4} (like|bell|thumbs up|notification\w*)( button)?|like button|my (channel|app|website|program(me)?s?|book|e ?book|newsletter|store|shop|membership|other (videos|workouts|classes))|link (is )?(in|down|below)|linked|links? (below|down)|download (the|my)|notification bell|playlists?|sign up (to|for|at|on)|check out (my|our|the|some of)|on (my|our|the) channel|(this|the|our) channel|description (box|below)|meal plan|free trial)\b", Plain)]
    private static partial Regex SelfPromotion();

    [GeneratedRegex(@"\b(my (page|socials|stories|handle|feed)|dm me|tag me|follow (me|us)\b(?! (left|right|forward|back|now|here|through|with|in|to the|on the (left|right)|and (left|right|go)))|hash ?tag|(in|leave|down) (the |a |me a )?comments?( below| section)?|comment (below|down)|let me know (in|down|below)|social media)\b", Plain)]
    private static partial Regex SocialMedia();

    [GeneratedRegex(@"\b(sponsor\w*|discount( code)?|promo code|use (the |my )?code|percent off|partner(ed|ing|ship)( up)? with|brought to you by|special offer|affiliate)\b", Plain)]
    private static partial Regex Advert();

    [GeneratedRegex(@"\b(protein (powder|shakes?|bars?)|(my|these|this) (leggings|outfit|sports bra|smart ?watch|fitness tracker)|(i'm|i am) wearing|supplements?|energy drink)\b", Plain)]
    private static partial Regex Brand();

    [GeneratedRegex(@"\b(shout ?outs? (to|goes)|(my|our) (husband|wife|friend|boyfriend|girlfriend|partner|mum|mom|sister|brother|daughter|son|producer|cameraman|camera (man|guy|crew)|team mate)|behind the camera)\b", Plain)]
    private static partial Regex OtherPerson();

    [GeneratedRegex(@"\b((my|the|a|that|our) (dogs?|cats?|puppy|kitten|neighbou?rs?|builders?|postman|doorbell|phone|kettle|kids?|children|baby|delivery)( [\w']+)?|weather|raining|so hot (today|in here)|sunny|birthday|(on|went on|my|the) holidays?|for (breakfast|lunch|dinner)|cup of (tea|coffee)|coffee|football (match|game)|traffic|speaking of which|funny story|construction)\b", Plain)]
    private static partial Regex OffTopic();

    [GeneratedRegex(@"\b(?<n>\d{1,3}) minutes?( of| long| total| quick| full| at home)*( [\w']+){0,5}? (workout|class|session|routine|training|hiit|pilates|yoga|cardio|abs|barre|stretch|circuit|burn|strength|body|burner|blast|flow|sculpt|beginner|low impact|together)\b|\b(workout|class|session|routine)( [\w']+){0,4} (?<n>\d{1,3}) minutes\b", Plain)]
    private static partial Regex Minutes();

    [GeneratedRegex(@"\b(low impact|high impact|no jumping|no jumps|zero impact|apartment friendly|neighbou?r friendly)\b", Plain)]
    private static partial Regex ImpactSaid();

    [GeneratedRegex(@"\b(beginners?|intermediate|advanced|all (fitness )?levels|every level|any level)\b", Plain)]
    private static partial Regex LevelSaid();

    [GeneratedRegex(@"\b((full|total|whole|upper|lower) body|core|abs|glutes|legs?|arms|back|chest|shoulders|booty|thighs|cardio|strength|mobility|flexibility|balance|hips)\b", Plain)]
    private static partial Regex FocusSaid();

    [GeneratedRegex(@"\b(?<n>[1-7])( to | or )?(?<m>[1-7])? (times|days|sessions) (a|per|each|every) week\b", Plain)]
    private static partial Regex PerWeek();

    [GeneratedRegex(@"\b(for|over|next|this) (the )?(next )?(?<n>\d{1,2})( to | or )?(?<m>\d{1,2})? weeks?\b", Plain)]
    private static partial Regex ForWeeks();

    [GeneratedRegex(@"\b(part (1|2|3|4|5|6)\b|day \d+( of)?\b|week \d+ of|episode \d+|(next|previous|last) (video|part|section|chapter)|this series|\d+ day (challenge|series|program(me)?)|carry(ing)? on from|continu(e|ing) from|in the series)", Plain)]
    private static partial Regex Series();
}
