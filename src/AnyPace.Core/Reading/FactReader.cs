using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>The facts beside the moves: cautions, promises, what does not belong, and what is said of the class as a whole.</summary>
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
        (Chat, OffTopic()),
        (Chat, Gossip()),
    ];

    public static ImmutableArray<Caution> Cautions(Speech speech, RemarkJudge.Judged care) =>
        [.. WithTold(speech, Hits(speech, CautionTopics, []), care, RemarkField.Caution).Select(h => new Caution(Time(speech, h.Token), h.Kind, speech.Around(h.Token, 4, 14)))];

    /// <summary>What phrases have found, and what is judged to be such a remark and no phrase has found.</summary>
    public static List<(string Kind, int Token, Match Match)> WithTold(Speech speech, List<(string Kind, int Token, Match Match)> said, RemarkJudge.Judged judged, string of) =>
        Joined(speech, said.Concat(Told(speech, judged, of, said, [])));

    /// <summary>Where something is promised; asked once, for <see cref="Claims"/> and <see cref="Outside"/>.</summary>
    public static List<(string Kind, int Token, Match Match)> Claimed(Speech speech, RemarkJudge.Judged judged) =>
        WithTold(speech, Hits(speech, ClaimTypes, []), judged, RemarkField.Claim);

    /// <summary>What is judged to be a remark and no phrase has found.</summary>
    /// <param name="said">Remarks of these kinds that phrases have found.</param>
    /// <param name="others">Remarks of other kinds.</param>
    private static IEnumerable<(string Kind, int Token, Match Match)> Told(
        Speech speech, RemarkJudge.Judged judged, string of, List<(string Kind, int Token, Match Match)> said, List<(string Kind, int Token, Match Match)> others)
    {
        bool Near(int token, int other, bool sameKind) => Math.Abs(speech.At(token) - speech.At(other)) < judged.Apart(sameKind);
        return judged.Remarks.Where(r => r.Kind.StartsWith(of, StringComparison.Ordinal)).Select(r => (Kind: r.Kind[of.Length..], r.Token, Match.Empty))
            .Where(r => !said.Exists(s => Near(s.Token, r.Token, s.Kind == r.Kind)) && !others.Exists(o => Near(o.Token, r.Token, false)));
    }

    public static ImmutableArray<Claim> Claims(Speech speech, List<(string Kind, int Token, Match Match)> claimed) =>
    [
        .. claimed.Select(h => new Claim(
            Time(speech, h.Token), h.Kind, h.Match.Groups["n"].Success ? double.Parse(h.Match.Groups["n"].Value, CultureInfo.InvariantCulture) : null,
            speech.Around(h.Token, 4, 12))),
    ];

    private const string Chat = "off-topic chat";

    /// <summary>"Pretend there's a cup of tea on your back", "like starting a lawn mower": what a move feels or looks like.</summary>
    [GeneratedRegex(@"\b(imagine|imagining|pretend(ing)?|picture|think (of|about)|as if|as though|it's like|like (you're|you've|you are|someone's|somebody's|there's|starting|a|an|the))\b(?! (me|i)\b)", Plain)]
    private static partial Regex Image();

    /// <summary>What is not the class, and for a stretch of it when the class goes on.</summary>
    public static ImmutableArray<Outside> Outside(Speech speech, IReadOnlyList<Mention> mentions, IReadOnlyList<Mark> marks, RemarkJudge.Judged judged, List<(string Kind, int Token, Match Match)> claimed) =>
        [.. Joined(speech, OutsideTold(speech, mentions, judged, claimed)).Where(h => h.Kind != Chat || !Image().IsMatch(speech.Before(h.Token, 9))).Select(h => new Outside(Time(speech, h.Token), h.Kind, speech.Around(h.Token, 4, 12), Until(speech, mentions, marks, h.Token)))];

    /// <summary>
    /// Log of the odds below which no phrase or story makes words chat: "my neighbour's wall" is one where a kick goes over it, and none in a story. Other kinds have phrases that are
    /// seldom said of anything else, and weights that know them too little to deny one.
    /// </summary>
    private const double LeastChat = -2;

    /// <summary>The weather and the house are spoken of in few words, and with no move.</summary>
    [GeneratedRegex(@"\b(boiling|baking hot|freezing|roasting|windy|pouring|raining|snowing|decorating|redecorat\w*|smells? of)\b", Plain)]
    private static partial Regex Surroundings();

    /// <summary>Remarks that are known by their words, stories that are of none of them, and what is judged to be one by all its words.</summary>
    private static IEnumerable<(string Kind, int Token, Match Match)> OutsideTold(
        Speech speech, IReadOnlyList<Mention> mentions, RemarkJudge.Judged judged, List<(string Kind, int Token, Match Match)> claimed)
    {
        const int oneRemark = 14;
        var hits = Hits(speech, OutsideTypes, mentions);
        hits.RemoveAll(h => h.Kind == Chat && !MayBeChat(h.Token));
        var known = hits.Concat(claimed).Select(h => h.Token).ToList();
        var said = hits.Concat(StoryReader.Find(speech).Where(t => MayBeChat(t) && !known.Exists(k => Math.Abs(k - t) <= oneRemark)).Select(t => (Chat, t, Match.Empty))).ToList();
        return said.Concat(Told(speech, judged, RemarkField.Outside, said, claimed));

        bool MayBeChat(int token) => judged.Likeliest(token) >= LeastChat || Surroundings().IsMatch(speech.Around(token, 4, 8));
    }

    /// <summary>When the class is spoken of again: the next move named, cue given or side called. Null for a remark shorter than <see cref="Stretch"/>.</summary>
    private static Seconds? Until(Speech speech, IReadOnlyList<Mention> mentions, IReadOnlyList<Mark> marks, int token)
    {
        var at = speech.At(token);
        var named = mentions.Where(m => m.At > at + 1 && m.Weight >= 0.5).Select(m => (double?)m.At).FirstOrDefault();
        var cued = marks.Where(m => m.At > at + 1 && m.Kind is MarkKind.Start or MarkKind.Doing or MarkKind.SwitchSide && m.Strength >= 0.5).Select(m => (double?)m.At).FirstOrDefault();
        var until = Math.Min(Math.Min(named ?? speech.End.Value, cued ?? speech.End.Value), speech.End.Value);
        return until - at >= Stretch ? new Seconds(Math.Round(until, 1)) : null;
    }

    /// <summary>From this many seconds on, talk beside the class is a stretch, not a remark.</summary>
    private const double Stretch = 10;

    public static Stated Stated(Speech speech, double? statedMinutes)
    {
        var minutes = new List<double>();
        if (statedMinutes is { } given)
        {
            minutes.Add(given);
        }

        var start = speech.Text[..Math.Min(speech.Text.Length, 900)];
        foreach (Match match in speech.Find(Minutes()).Concat(MinutesSaid().Matches(start)))
        {
            var n = double.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture);
            if (n >= (match.Groups[0].Value.EndsWith("minutes", StringComparison.Ordinal) ? 7 : 4) && n <= 120 && !minutes.Contains(n))
            {
                minutes.Add(n);
            }
        }

        var opening = speech.Text[..Math.Min(speech.Text.Length, 3000)];
        var impact = speech.First(ImpactSaid());
        var level = LevelSaid().Match(opening);
        var week = speech.First(PerWeek());
        var weeks = speech.First(ForWeeks());
        return new Stated(
            [.. minutes.Take(4)],
            impact.Success ? impact.Value.StartsWith("high", StringComparison.Ordinal) ? "high" : "low" : null,
            level.Success ? level.Value : null,
            [.. FocusSaid().Matches(opening).Select(m => m.Value).Distinct().Take(5)],
            Range(week),
            Range(weeks))
        {
            NoKit = NoKitSaid().Match(opening) is { Success: true } none ? Time(speech, speech.TokenAt(none.Index)) : null,
        };
    }

    public static bool PartOfSeries(Speech speech) => speech.Find(Series()).Any();

    private static Seconds Time(Speech speech, int token) => new(Math.Round(speech.At(token), 1));

    private static CountRange? Range(Match match) => match.Success
        ? new CountRange(
            int.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture),
            int.Parse(match.Groups[match.Groups["m"].Success ? "m" : "n"].Value, CultureInfo.InvariantCulture))
        : null;

    /// <summary>All hits in time order, near repeats of one kind joined, those inside a move's name left out.</summary>
    public static List<(string Kind, int Token, Match Match)> Hits(Speech speech, (string Kind, Regex Pattern)[] patterns, IReadOnlyList<Mention> mentions)
    {
        var inNames = new HashSet<int>();
        foreach (var m in mentions)
        {
            inNames.UnionWith(Enumerable.Range(m.Token, m.Length));
        }

        var found = new List<(string Kind, int Token, Match Match)>();
        foreach (var (kind, pattern) in patterns)
        {
            foreach (var match in speech.Find(pattern))
            {
                if (!inNames.Contains(speech.TokenAt(match.Index + match.Length - 1)))
                {
                    found.Add((kind, speech.TokenAt(match.Index), match));
                }
            }
        }

        return Joined(speech, found);
    }

    /// <summary>In time order, near repeats of one kind joined.</summary>
    public static List<(string Kind, int Token, Match Match)> Joined(Speech speech, IEnumerable<(string Kind, int Token, Match Match)> found)
    {
        var hits = new List<(string Kind, int Token, Match Match)>();
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

    [GeneratedRegex(@"\G\b((hip|knee|joint) replacements?|(recent|recover\w* from|had)( [\w']+){0,3} (surgery|operation|c section|caesarean)|osteoporosis|diastasis|slipped dis[ck]|hernia|doctor|physician|gp\b|midwife|osteopath|physio(therapist)?|medical (condition|professional|advice)|health (professional|condition|issues?)|pregnan\w+|postnatal|heart (condition|problem)|(high|low|your) blood pressure|injur(y|ies|ed))\b", Plain)]
    private static partial Regex Medical();

    [GeneratedRegex(@"\G\b(dizz(y|iness)|light ?headed|faint|head rush|woozy|blood (rush\w*|will rush))\b", Plain)]
    private static partial Regex Dizzy();

    [GeneratedRegex(@"\G\b(if (anything|something|this|it|that) (feels|feel|doesn't feel|starts to feel) (wrong|off|funny|right|weird|sharp)|(never|not|shouldn't|should not|mustn't)( [\w']+){0,2} (painful|hurt)|(any|feel|feeling|sharp|no|if it|never|shouldn't|through|into) (pain|hurts?)|(doesn't|don't|does not|isn't) feel (right|good|comfortable|nice)|pain ?free|pinch\w*|discomfort|listen to your (body|bodies)|if (it|this|anything) hurts|sore (back|knees?|neck|shoulders?))\b", Plain)]
    private static partial Regex Pain();

    [GeneratedRegex(@"\G\b((tiny|micro) bend in (the|your|that|those|both) knees?|knees? (drift|cav|wobbl|fall|roll|dip)\w* in(wards?)?\b|(don't (let|want)|careful|watch|protect|mind|look after|avoid|make sure|keep|keeping)( [\w']+){0,4} knees?( [\w']+){0,5} (behind|over|past|cav\w*|collaps\w*|in line|inwards?|in|toes|lock\w*)|knees?( [\w']+){0,3} (don't|not|never)( [\w']+){0,3} (past|over|beyond|in|inwards?|collapse|cave)|(bad|sore|dodgy|sensitive) knees?|(feels?|okay|ok|good|right|comfortable|fine) (for|on|with|in) (your|the) knees?|knees?( [\w']+){0,2} (in line|track\w*|stay\w* (over|behind|in line)|over (the|your) (second|middle|ankles?))|(land\w*|land) (soft\w*|light\w*|quiet\w*)( [\w']+){0,5} knees?|knees?( [\w']+){0,4} (when|as) you land|soft (in the |through the )?knees?|knees? (soft|bent)( [\w']+){0,3} land\w*|bad( [\w']+)? knees?|if (your|the|those) knees?( [\w']+){0,2} (talk|moan|grumbl|complain|scream|shout|bother|hurt|ach|click|object|protest|sore|unhappy|grumpy|tender|don't like|aren't happy)\w*|knees?( [\w']+)? (directly|right|stacked|stays?) (right |directly |just )?(over|above) (your|the|that) ankles?|knees? (are |is )?(issues?|problems?|injur\w+|pain)|lock\w* (out )?(your|the|those) knees?|(kind to|look after|easy on|pressure (on|off)|gentle on|mindful of)( [\w']+){0,2} knees?|knees?( (?!nose\b)[\w']+){0,3} (over|past|beyond|behind)( [\w']+)? toes?|protect (your|the|those) knees?)\b", Plain)]
    private static partial Regex Knees();

    [GeneratedRegex(@"\G\b((rather than|instead of|without|not|avoid|stop|never) (rounding|arching|hunching)|back( [\w']+){0,3} (com|lift|pop|peel|rais)\w*( up)? (off|away from) (the|your) (floor|mat|ground)|back (doesn't|don't|does not|isn't) (take|tak|do|help)\w*|(don't|avoid|not|no|without|careful|watch|protect|look after|stop|prevent)( [\w']+){0,5} (lower|your|the|that) back\b( [\w']+){0,2}|(bad|sore|dodgy) (lower )?backs?|(lower )?back (issues?|problems?|pain|trouble|injur\w+)|protect (your|the|that) (lower )?back|(?<!\b(and|then|to|or|,) |\bpress\w* (your |the |that )?)lower back (glued|pressed|flat|into|pushed|on|stays?)|(don't|avoid|no|not) (arch|sag|round)\w*|\bback (doesn't|don't|isn't|does not|won't|never) (arch|sag|sink|dip|round|lift|pop|come)\w*|(low|lower) back (press\w*|push\w*|glued|flat|stays?|connected|heavy)( [\w']+){0,2} (into|to|on|against|down)|(low|lower) back (flat|down on|against|into)|(don't|not|no|never|without|if|when|once|stop|avoid|sure|start\w*)( (let|the|your|that|those|these|them|you|feel|see|get|any|my)){0,4} (hips?|back|belly|tummy|bum|bottom)( (is|are|starts?|to|isn't|aren't|not))* (sag|sink|dip|drop|collapse)\w*|(feel|feeling|felt) (it|this|that|anything)( [\w']+){0,3} (lower )?back\b(?! of)|(careful|mindful|kind|gentle|easy on|pressure|strain)( [\w']+){0,3} (lower )?back(?! (and|to|up)\b)|don't (lean|tip|arch) (too far |so far )?back(wards)?|back('s| is| gets| starts| feels)( [\w']+){0,2} (talk|complain|tired|sore|unhappy|moan|grumbl|twing|ach)\w*|(flat back|back flat)( [\w']+)? (please|when you (pick|lift|put))|pick( [\w']+){0,4} up with a flat back)\b", Plain)]
    private static partial Regex LowerBack();

    [GeneratedRegex(@"\G\b(neck( [\w']+)? (stays? )?(long|relaxed|soft)|(don't|avoid|not|careful|protect|no)( [\w']+){0,4} (neck|chin)|chin (off|away from|up off) (your|the) chest|(space|gap|orange|apple|egg|ball|fist|peach|grapefruit)( [\w']+){0,2} (under|between|beneath) (your|the) chin|(long|relaxed|neutral|soft) (in )?(the |your )?neck|(keep|back of) (the|your) neck( [\w']+)? (long|relaxed|soft|neutral)|(strain|pull|tension|pressure|yank|crank|tug|jerk)\w*( [\w']+){0,3} (neck|head)\b|(don't|not|no|never) (yank|tug|crank)\w*(?! (it )?(from|with) (the|your) (arms?|hands?|legs?))|neck( [\w']+){0,4} (don't|not|no|without)( [\w']+)? (crank|pull|strain|force|tension|tens)\w*|(bother|hurt|strain|tir|stress|ach)\w*( [\w']+){0,2} neck|neck (issues?|problems?|pain|gets (tired|sore)|(is |feels |starts to )?(hurts?|sore|tired|strain\w*|bother\w*|complain\w*)))\b", Plain)]
    private static partial Regex Neck();

    [GeneratedRegex(@"\G\b((don't|avoid|careful|protect)( [\w']+){0,4} shoulders?( [\w']+){0,4} (ears?|shrug|hurt|pain)|(bad|sore|dodgy) shoulders?|shoulders? (injur\w+|issues?|problems?|pain)|shoulders?( [\w']+){0,3} (towards|away from) (your|the) ears|(relax|drop|soften|release)( [\w']+){0,2} shoulders?( [\w']+){0,2} (down|away|creep\w*|from)|shoulders?( [\w']+){0,4} (creep|hunch|sneak)\w*|shoulders? (relaxed|down) (and )?(away|relaxed|back)|(no|not|avoid|without|don't|stop) shrug\w*|shoulders? (hurts?|are sore|is sore|bother\w*))\b", Plain)]
    private static partial Regex Shoulders();

    [GeneratedRegex(@"\G\b((out of|off|from) (the|your|those) wrists?|(bad|sore|dodgy|weak|hurt(s|ing)?|protect|careful|hard on|tough on|too much (on|for)|pressure (off|out of)|bother\w*)( [\w']+){0,3} wrists?|wrists?( [\w']+){0,3} (getting )?(sore|tired|ach\w+)|(kind to|easy on|pressure (on|off)|gentle on)( [\w']+){0,2} wrists?|wrists? (are |is |feel )?(hurts?|issues?|problems?|pain|sore|tired|achy|don't))\b", Plain)]
    private static partial Regex Wrists();

    [GeneratedRegex(@"\G\b(don't (forget to |hold your )breath?e?|(don't|no|not|stop|avoid) (be )?hold(ing)? (it|that|your breath|the breath)( in)?|breath hold\w*|breathe normally|(remember|don't forget|make sure)( [\w']+){0,3} (to )?breathe?|keep breathing|make sure( [\w']+){0,2} breathing)\b", Plain)]
    private static partial Regex Breathing();

    [GeneratedRegex(@"\G\b((fix|focus|pick|set|choose)( [\w']+){0,2} (eyes|gaze|spot|point)( [\w']+){0,5} (ahead|in front|spot|to look at|still|not moving|the wall)|(topple|fall|tip|wobbl)\w* over(?! (to|and|into))|(wall|chair|something)( [\w']+){0,3} (close by|near ?by|to hand|within reach)|(lose|losing|keep|struggle|trouble|help)( [\w']+){0,4} balance|find a (spot|point)|hold on(to)?( to)? (a|the|something)( [\w']+){0,2} (for )?(balance|support|chair|wall|sturdy|stable)|for balance)\b", Plain)]
    private static partial Regex Balance();

    [GeneratedRegex(@"\G\b((socks? off|in (your )?socks)|(shoes|trainers|sneakers)( [\w']+){0,4} (on|off|for this)|(pair of )(supportive )?(shoes|trainers|sneakers)|bare ?foot|(wear|put on|put|need|supportive|good|grab|wearing|got|keep|take off)( [\w']+){0,3} (shoes|trainers|sneakers)( on| off)?)\b", Plain)]
    private static partial Regex Footwear();

    [GeneratedRegex(@"\G\b((move|push|pull|shift) (the|that|your|any|those)( [\w']+)? (table|furniture|rug|toys|sofa|coffee table|chairs?)( [\w']+){0,2} (out of the way|back|aside|away)|room (for your|to (swing|move|jump|kick|lunge|step|stretch|spread))|(clear|enough|plenty of|make sure|bit of) ([\w']+ ){0,4}(space|room)\b(?! temperature)|some (space|room)\b(?! for (those|the|your))|chair( [\w']+){0,5} (stable|sturdy|secure|against|slide|slip|move)\b|non ?slip|slipp(y|ery)|(don't|might|could|will|may|you'll) slip|(mat|rug|towel|floor|carpet)( [\w']+){0,3} (slip|slid)\w*|(nothing|anything|something|nobody|no one)( [\w']+){0,3} (trip|bump|knock|hit|in (the|your) way|(behind|around|near|next to|in front of) you)|trip (over|on)|(watch|mind|careful)( [\w']+){0,4} (furniture|coffee table|ceiling|surroundings))\b", Plain)]
    private static partial Regex Space();

    [GeneratedRegex(@"\G\b((don't|do not) go too heavy|(start|begin|go)( off)? (with )?(a )?(light|lighter|small)( weights?| dumbbells?| bands?)?( [\w']+){0,2} (and|then|build|first|until|till)|build( it)? up( slowly| gradually| over)|work your way up|(choose|pick|use) (a |your )?(lighter|weight)( [\w']+){0,5}|go lighter|too heavy|lighter weights? if)\b", Plain)]
    private static partial Regex LoadCare();

    [GeneratedRegex(@"\G\b((make sure|please|you should|ensure)( [\w']+){0,5} warm(ed)? ?up|don't skip( [\w']+){0,3} warm ?up|(do|done) (a|your|some)( [\w']+)? warm ?up|(don't|never|not)( [\w']+){0,4} cold\b|(make sure|be) (you're|you are|nice and|already|properly) warm)\b", Plain)]
    private static partial Regex WarmUpCare();

    [GeneratedRegex(@"\G\b((burn(ed|t|ing)?|torch(ed|ing)?) (?<n>[1-9]\d0)\b(?! (seconds|reps))|(?<n>[1-9]\d0) burn(ed|t)|(burn\w*|torch\w*|blast\w*)( [\w']+){0,4} calories|calorie burn\w*|(?<n>\d{2,4}) calories|calories?)\b", Plain)]
    private static partial Regex Calories();

    [GeneratedRegex(@"\G\b((the|your) (bathroom )?scales?( [\w']+){0,3} (mov|shift|drop|go)\w*|clothes( [\w']+){0,3} (looser|fit)|jeans( [\w']+){0,3} (looser|fit)|(lose|lost|drop|dropped|shed|losing|dropping|shedding)(?! (to|down to|the|your|it|them|1|a weight)\b)( [\w']+){0,3} (weight(?!s)|pounds|kilos|inches|stone|fat)|weight loss|slimmer|slim(ming)? down(?! (your|the|that) (waist|belly|tummy|thighs|arms))|(drop|lose|down) (a|1|2|two) (dress|clothes|jeans) sizes?|dress size|(weight|pounds|kilos) (will )?(fall|drop|melt)\w* off)\b", Plain)]
    private static partial Regex WeightLoss();

    [GeneratedRegex(@"\G\b((melt|burn)(ed|ing)? it (all )?off|(burn|melt|torch|blast|shred|incinerat)\w*( [\w']+){0,4} fat|fat[ -]?(burn|melt|blast|torch)\w*|fat loss|(fat|fats) (as|for) (fuel|energy)|(body|stored|excess|extra|unwanted|stubborn) fat)\b", Plain)]
    private static partial Regex FatBurning();

    [GeneratedRegex(@"\G\b(thigh gap|bikini (bridge|line)|saddle ?bags|(stubborn|problem|trouble)( [\w']+){0,2} (areas?|spots?|fat|belly|zones?)|(tight|tone|ton|firm|lift|shrink|slim|trim|flatten|blast)\w*( up)?( [\w']+){0,5} (underarms?|(where|that) (it|they|that)? ?(wobbl|jiggl)\w*|inner thighs|love handles|pooch)|(belly|tummy|mummy|mum) pooch|(belly|arm|back|thigh|tummy|stomach|bra|hip) (fat|bulge)|(belly|tummy|bra|back fat) rolls?|love handles|(slim\w*|shrink\w*|smaller|flatten\w*|flatter|sculpt|trim\w*|cinch\w*|tone up|toning)( [\w']+){0,3} (waist|belly|tummy|stomach|thighs)|(flat|flatter) (tummy|belly|stomach|abs)|(gets? rid of|getting rid of|lose|target(s|ing)?|shift(s|ing)?|say (goodbye|bye bye|bye) to|banish\w*)( [\w']+){0,3} (belly|tummy|gut|double chin|cellulite|waist|arm fat|fat)|waist ?lines?|(hourglass|tiny|small|snatched)( [\w']+)? waist)\b", Plain)]
    private static partial Regex SpotReduction();

    [GeneratedRegex(@"\G\b((clinically|scientifically|medically) proven|proven to|(helps?|good|great) (with|for) (your )?(cramps|period|bad backs?|sore backs?|ibs|menopause|hormones)|(take|takes|taking|kiss|say) (away|goodbye to)( [\w']+){0,3} (pain|aches?|headaches?|migraines?|stiffness|stress)|balances? (your|the) hormones|headaches? (away|gone|disappear)|(cur(e|es|ed|ing)|heal(s|ed|ing)?|fix(es|ed|ing)?|reliev\w*|treat\w*|gets? rid of|prevent\w*|eliminat\w*|eas(e|es|ed|ing)|helps? with|(good|great|brilliant|amazing|perfect|wonderful|fantastic) for)( [\w']+){0,4} (pain|aches?|arthritis|diabetes|anxiety|depression|injur(y|ies)|sciatica|osteoporosis|headaches?|migraines?|insomnia|bloating|period pains?|hot flushes|inflammation)|boost\w* (your |the )?(immune|metabolism|immunity)|(lower|reduc|improv)\w* (your )?(blood pressure|cholesterol|blood sugar|bone density|risk|stress|anxiety|sleep|mood|mental health|circulation|digestion|immun\w+|insomnia)|(detox\w*|toxins?)|good for your (heart|joints|bones|mental health|digestion))\b", Plain)]
    private static partial Regex MedicalBenefit();

    [GeneratedRegex(@"\G\b((years|decades) younger|look(ing)? like a (supermodel|model|goddess|superhero)|(secret|recipe|key) to( [\w']+){0,2} (rounder|flatter|smaller|leaner|perkier|toned|tighter|bigger|firmer|better|perfect|great|amazing)( [\w']+)? (booty|bum|butt|glutes|abs|tummy|waist|legs|arms|body|thighs)|(rounder|flatter|leaner|perkier|firmer|shapelier)( [\w']+)? (booty|bum|butt|glutes|abs|legs|arms|body|thighs)|(abs|legs|arms|glutes|buns|core) (of|like|made of) (steel|iron|rock|stone)|guarantee\w*|i promise( you)?( [\w']+){0,3} (see|results?|change|notice|look)|ton(e|ed|es|ing) (you )?(up )?(from )?(head to toe|all over|everywhere)|(completely|totally|whole) (different|new) (body|person|shape|figure)|(flat|visible) abs|abs (popping|showing)|(see|guarantee\w*|notice|get you|seeing|amazing|real|fast|quick)( [\w']+){0,2} results|(six|6) pack|transform\w*( [\w']+){0,2} (body|physique)|(?<!(arms?|circles?|out|and|them|it) )(get|give you|build)( [\w']+){0,3} (toned|ripped|shredded|lean|dream|strong and lean|bigger|rounder|perkier)( [\w']+){0,2}|in (just |only )?(\d+|a|1|a few) (days?|weeks?|months?)( [\w']+){0,2} (you'll|you will|see|results)|(abs|arms|legs|glutes|results|body) in (just |only |under )?\d+ (days|weeks)\b|(see|notice) (a |the |big |real |massive )*(changes?|difference)\b(?! (between|in (height|length|angle)))|(see|have|get) ((your|those|some|real|proper) )?(abs|muscles|biceps|definition)( [\w']+){0,2} (in|within) (just |only |under )?(a|1|\d+|no)\b|(feel|see|notice)( [\w']+){0,2} (difference|change)s?( [\w']+){0,2} in|(body|figure) (will |is going to |is gonna |can |'ll )?( ?[\w']+ )?(change|transform|look different|reshape)\w*|(change|reshape|transform|resculpt)\w* (your|the) (whole |entire )?(body|figure|shape)|(get|have|got)( [\w']+){0,4} (abs|arms|legs|bum|booty|glutes|waist|body)( [\w']+){0,2} (fast|in (no time|\d+ (days|weeks)|a (week|month)))|(peachy|perky|dream|beach ready|killer|rock hard)( [\w']+)? (bum|booty|body|abs|glutes|butt))\b", Plain)]
    private static partial Regex ResultPromise();

    [GeneratedRegex(@"\G\b(baggy (jumpers?|clothes|tops?|t ?shirts?)|(shift|lose|blast|work off|burn off) (that|the|your|this) (christmas|easter|holiday|weekend|festive|lockdown|winter)( [\w']+)?|carrying (extra|a bit of extra|around)( [\w']+){0,2} (weight|pounds|padding)|(pay(ing)?|make up|making up|making amends) for( [\w']+){0,4} (cake|dinner|pizza|chocolate|food|weekend|dessert|christmas|meal|treats?|roast|lunch|ice cream|biscuits?|wine|takeaway|pudding|curry|chips|doughnuts?|cookies)|bat wings|wobbly bits|chicken legs|turkey neck|saggy|spare tyres?|beer belly|(undo|cancel out|sweat out|run off)( [\w']+){0,3} (cake|dinner|pizza|chocolate|food|weekend|dessert|christmas|wine|takeaway)|bingo wings?|muffin tops?|flab\w*|fat (arms|legs|thighs|ass|bum)|(earn(ing|ed)?|deserve|work(ing)? off|burn off|burning off)( [\w']+){0,3} (cake|dinner|pizza|chocolate|breakfast|food|weekend|dessert|christmas|meal|treats?|roast|lunch|ice cream|biscuits?|wine|takeaway|pudding)|(beach|bikini|summer) (body|ready)|thunder thighs|jiggl\w+|mum tum|mom pooch|cellulite)\b", Plain)]
    private static partial Regex BodyShaming();

    [GeneratedRegex(@"\G\b((in|on|over (to|on)|head to|download|check) the app\b|live (class\w*|stream\w*|session\w*) (every|each|on|this)|becom(e|ing) a (member|patron|subscriber)|(my|our) (retreats?|workshops?|masterclass\w*|events?)|(click|hit|tap|press|watch|try|do)( on)? (the|my|that) (next|last|other|previous) (video|class|1|episode|workout)|subscri\w+|(hit|smash|click|tap|press) (like|the bell)\b|(hit|smash|click|press|tap|give)( [\w']+){0,3} (the|that|a|big|little) (like|bell|thumbs up|notification\w*)\b(?! (a|an|the|you|you're|you've|this|that)\b)|like button|my( (new|latest|first|own|free|brand new|little))* (channel|app|website|program(me)?s?|(cook)?book|e ?book|newsletter|store|shop|membership|course|podcast|planner|guide|other (videos|workouts|classes))|members'? (area|club|page)|free (week|month|trial|download|guide|plan|calendar)|(helps|support\w*) (us|me|the channel)( out)?( a lot| so much)?(?= |$)(?<=\b(channel|out|lot|much))|(video|class|workout|one) (up |linked |right )*(up )?here (for|if you)|(in|down in) the (video )?description|link (is )?(in|down|below)|(i'll|i've|i will|we'll|we've|i)( [\w']+){0,2} link( [\w']+){0,8} (below|description|bio|comments)|(put|popped|leave|left|drop|dropped|pop)( [\w']+){0,6} links?( [\w']+){0,8} (below|description|bio|comments)|(?<!\bmy )links?( [\w']+){0,5} (in|down) (the )?(description|bio|below)|linked|links? (below|down)|download (the|my|it|our)\b|(studio|new|our) app (is|has)\b|notification bell|(?<!(my|the|this|our) )playlists?(?! is)|(check out|see|find|in|on|the \w+) (my|the|this) playlists?|sign up (to|for|at|on)|join (my|our|the) ([\w']+ )?(studio|membership|community|club|group|challenge|app)|check out (my|our|the|some of)|on (my|our|the) (channel|app\b|website|youtube)|(new|my|our|your)( [\w']+){0,3} program(me)?( [\w']+){0,4} (buy|available|get|sign|join)|link's (below|down|in)|(buy|purchase|order) (it|this|them|my|the|yours)|merch\w*|patreon|e ?mail list|website|(this|the|our) channel|description (box|below)|(check|read|see|in) (out )?the description|meal plan|free trial|new (video|class|workout|session)s? (every|each|on) (?!(side|move|leg|arm|round))|(live|classes|workouts|videos|programmes?|programs?|join( us)?)( [\w']+){0,4} (in|on) (the|our|my) app|(i've|i have|i just|we've) (written|wrote|recorded|launched|released|made)( [\w']+){0,3} (book|e ?book|course|programme|program|plan|album|podcast|guide))\b", Plain)]
    private static partial Regex SelfPromotion();

    [GeneratedRegex(@"\G\b(comment (?!(on|about|that)\b)[a-z]+ (when|if|once)|(drop|leave|put|type|write) (a|an|your|the)( [\w']+){0,3} in the (comments|chat)|group (chat|page)|in the chat\b|my (page|socials|stories|handle|feed)|dm me|tag me|follow (along )?for (weekly|more|daily|new)|follow (me|us)\b(?! (left|right|forward|back|now|here|through|with|in|to the|on the (left|right)|and (left|right|go)))|(give|drop|throw) (me|us) a follow|hash ?tag|tag (us|the studio|your friends?)|(all the|on my|our) socials|(in|leave|down) (the |a |me a )?comments?( below| section)?|comment (below|down)|(drop|leave|write) (us|me) a comment|questions?( [\w']+){1,4} (down )?below|let me know (in|down|below|how (sore|you (got on|did|find|found|feel)))|social media|instagram|facebook|tik ?tok|twitter|you ?tube|share (this|it)( video| class| workout)? with|(send|drop) (me|us) (a|an) (message|email|dm|line)|(tell|let) (me|us)( [\w']+){0,4} in the comments)\b", Plain)]
    private static partial Regex SocialMedia();

    [GeneratedRegex(@"\G\b((thanks|thank you) to (our|my|the) (partner|sponsor|friends at)\w*|supporting (this|the|our) (video|channel|studio)|(code|discount|offer) for (you|all of you)|free (delivery|shipping)|(today's|this) (partner|sponsor)|sponsor\w*|discount( code)?|promo code|use (the |my )?code|percent off|partner(ed|ing|ship)( up)? with|brought to you by|special offer|affiliate)\b", Plain)]
    private static partial Regex Advert();

    [GeneratedRegex(@"\G\b(my( (favourite|favorite|new|smart|trusty))+( [\w']+)? (leggings|trainers|shoes|top|mat|dumbbells?|weights|kettlebell|band|bands|bottle|bra|shorts|headphones|gloves)|electrolytes?|(wearing|drinking) (my|this|these|the) new|(vitamins|collagen|creatine|pre ?workout)|protein (powder|shakes?|bars?)|(my|these|this)( new| gorgeous| lovely)? (trainers|shoes|top|leggings|outfit|sports bra|smart ?watch|fitness tracker)|(my|the) (watch|smart ?watch|tracker|fitness (watch|tracker))( [\w']+){0,2} (says?|said|tell(s|ing)?|told|shows?|reckons|thinks|buzz\w*)|(got|bought|ordered) (this|these|my)( [\w']+){1,3} (from|online|in the sale)|(i'm|i am) wearing|supplements?|energy drink|love (this|my|these) (mat|top|leggings|shoes|trainers|bra|watch|bottle|dumbbells|kettlebell))\b", Plain)]
    private static partial Regex Brand();

    [GeneratedRegex(@"\G\b((thank you|thanks) to (?!(today|today's|this|you|everyone|everybody|all|our|my|the|your|these|those|this|that|them)\b)[a-z]+|happy birthday( to)?|(i have|i've) got (?!(a|an|the|my|your|you|some|no|two|three|2|3|4|5|one|1|it|this|that|these|those|to|them|another|mine|each|both|all|so|such|nothing|plenty|more|time|just|about)\b)[a-z]+ (here )?with me|(hello|hi|hey|welcome|shout ?outs?|love|thanks) to (everyone|everybody|anyone|all (of you|my|the|our))( [\w']+){0,3} (from|in|who|watching|working|tuning)|(requested|suggested|asked for) by (?!(the|popular|you|lots|so|many|a)\b)|this (one's|1's|one is|1 is|goes out|is) (for you|to|for) (?!(the|your|you|a|my|our|all|everyone|those|this|that|one|1|anyone|working|core|glutes|legs|arms|abs|strength|stability|balance|mobility)\b)[a-z]+( who| if you're)|(producer|cameraman|camera (man|woman|guy|crew|team))(('s| is| has)|\b)|joined( today| again)? by my|shout ?outs? (to|goes)|(?<!\bby )(my|our) (husband|wife|friend|boyfriend|girlfriend|partner|mum|mom|sister|brother|daughter|son|producer|cameraman|camera (man|guy|crew)|team mate)|behind the camera|(?<!as )(say|saying) (hello|hi|hey|goodbye) to (?!(love|back|belly|arm|tummy|bingo|cellulite|saggy|your|those|the|a|that|this|stronger|better))|(big|little|quick|special) (hello|hi|wave|thank you|thanks|hug) to (?!(your|the|my body|yourself))|(here|today|training|working out|filming) with (my|our) ([\w']+ ){0,2}(friend|mate|sister|brother|mum|mom|husband|wife|partner|colleague|daughter|son|team)|with my (good|best|dear|lovely) friend|my (good|best|dear|lovely) (friend|mate)\b|with me (is|today is|this (morning|evening|time) is|i've got|i have)( my)? (?!(you|it|this|that|a|an|the)\b)[a-z]+|(this is|i've got|we've got|joined by|i'm joined by|welcome|here is|meet) (?!it|all|a|an|the|your|my|our|you|is|to|not|how|where|why|so|just|one|going|gonna|for|in|on|with|this|that|good|great|what|and|everyone|back|guys|really|very)[a-z]+( and [a-z]+)?( who('s| is)| she's| he's| they're| is)( [\w']+)? (joining|here|with|going|helping|doing)|(he|she|they)('s|'re| is| are) (joining|filming)( [\w']+)?|(?<!\b(thanks?|thank)( [\w']+){0,5} )(joining|(?<=\b(is|are|got|have|has|who's|he's|she's|they're)( here)? )with) me (today|in the studio))\b", Plain)]
    private static partial Regex OtherPerson();

    [GeneratedRegex(@"\G\b((?<!\b(like|if|be) )(?!(the|a|that) (cat|dog)s?\b(?! (is|has|just|was|wants|keeps|walked|came|barks|barking|again)))(my|the|a|that|our) (dogs?|cats?|puppy|kitten|neighbou?rs?|builders?|postman|doorbell|phone|kettle|kids?|children|(?<!had a )baby|delivery)( [\w']+)?|(sorry about|ignore|excuse|hear|apologies for) (the|that|this|any|all the)( [\w']+)? (noise|banging|drilling|hammering|barking|sirens?|racket|building work)|road ?works|drilling|sirens?|lawn ?mower|leaf blower|hoovering|(so|absolutely|really|properly|literally) (baking|roasting|sweltering|stifling)|weather|snow(ed|ing)?\b|raining|so hot (today|in here)|sunny|birthday|(on|went on|my|the) holidays?|for (breakfast|lunch|dinner)|(?<!\b(balance|balancing|picture|imagine|hold|holding|spill|spilling|rest|put|like|got) (a|your|that|the) )cup of (tea|coffee)|(?<!cup of )coffee(?! table)|football( match| game)?|(so|really|boiling|absolutely|freezing|very|too) (hot|boiling|freezing|cold|warm|chilly)( [\w']+)? in here|(it's|it is|was|it's been) (absolutely |really |so |actually |properly |just |been )*(boiling|freezing|snowing|windy|pouring|raining|sunny|gorgeous outside)|(see|seen|watch|watched)( the| that| a)? (match|final|finale|race|news|episode)\b|(had|ate|eat|eating) (a |some |my |the |so much |way too much |too much |too many |loads of |a lot of )?([\w']+ )?(pizza|cake|chocolate|pancakes|breakfast|lunch|dinner|curry|burger|ice cream|takeaway|pasta|biscuits?)|(last night|yesterday|this morning|at the weekend|on saturday|on sunday) (i|we|my)|(my|the) (hair|mic|microphone|lights?|camera|music) (is|just|has|keeps|went|came)|(watch(ed|ing)?|seen)( [\w']+){0,3} (telly|tv|netflix|film|movie|show|series)|i (went|walked|drove|bought|saw(?! (that|you|some|1|a few|a couple|the|your))|met|cooked|baked|flew|woke|watched)\b(?! (through|you through|over (this|that)))|how was (your|everyone's|everybody's|the) (weekend|day|week|morning|night)|(at|over|this|last|your|my|our) weekend\b|(my|the) alarm\b(?! goes)|(slept|overslept|sleep|woke up|stayed up|been up)( [\w']+){0,4} (late|through|last night|this morning|early|all night)|traffic|speaking of which|funny story|construction)\b", Plain)]
    private static partial Regex OffTopic();

    /// <summary>Stories, questions and people of the coach's own.</summary>
    [GeneratedRegex(@"\G\b(a (wasp|moth|mosquito|bluebottle)\b|is it (friday|saturday|the weekend|bedtime|lunchtime|christmas)|bank holiday|my (boys|girls|lads|little (one|boy|girl)s?|eldest|youngest|teenagers?)\b|(squeak|squeaking|squeaky|creak|creaking|creaky) (floor\w*|mat|shoes?|trainers?|door)|(trainers?|shoes?|floor\w*|door|mat)( [\w']+){0,2} (squeak|creak)\w*|my (grandma|grandpa|grandmother|grandfather|granddad|granddaughter|grandson|niece|nephew|stepson|stepdaughter|roommate)\b|anyone else's (?!(legs?|arms?|glutes|shoulders?|abs|thighs|quads|heart|hips?))|can you hear (the|that|those|my|it|him|her)(?! (music|beat|bell|timer|beep|count|breath\w*))|i'm (starving|hungry|knackered|hung ?over|jet ?lagged|shattered|exhausted)\b|(mov(ed|ing)|move) (house|flat|home)|(stomach|tummy|belly)( is|'s| just)? (rumbl|growl|gurgl)\w*|(my|a big|an important|a job) (meeting|interview|exam|appointment)|wish me luck|hang on( a (minute|second|sec|tick))? (the (?!(bar|wall|floor)\b)|my|someone|somebody|there's|that's)|(thinking|dreaming|daydreaming) (about|of) (lunch|dinner|breakfast|food|cake|pizza|coffee|bed|my)|(i|we) used to (play|work|live|be (a|an|in)|dance|swim|run|teach|watch|go)|(watch|watching|binge\w*)( [\w']+){0,4} (on )?(telly|tv|netflix|the moment)|(builders?|guys?|people|lot|neighbou?rs?|kids|man|woman|couple) next door|(hear|heard|hearing)( [\w']+){0,2} (hammering|drilling|banging|building work|barking)|(come|came|got|getting) back from (holiday|vacation|our|my|a|\d+|two) |(sorry about|excuse|forgive|pardon|ignore) my (voice|croak\w*|cough\w*|sniffl\w*|hair|cat|dog)|(got|have|had|fighting|getting over) (a bit of |a touch of |a |this |the )(cold|cough|flu|sore throat|lurgy|hangover)\b|(lost|losing) my voice|i (once|never told you|had (a|an|two|three|the) (dream|day|terrible|horrible|lovely|coffees?|lie in|row|argument|nightmare)|did not sleep|didn't sleep|slept (so|really|like|terribly|badly)|woke up|went to (a|my|the) (?!(gym|class|floor|mat))[a-z]+|learn(t|ed) this (in|from)|watched (that|this|the)|lost my|forgot my|can hear (someone|somebody) (else|next door|outside))|\d coffees|my (cousin|nan|nana|gran|granny|grandad|auntie|aunt|uncle|toddler|boss|flatmate|landlord|plumber|dentist|hair ?dresser|hair tie|in laws|mother in law|grandchild\w*)\b|(how's|how was|how's everyone's) (your|the|everyone's) (week|weekend|day|morning|evening)|would you rather|what are you (having|doing|up to) (for|tonight|this|after)|did (anyone|anybody|you) (see|watch|hear) (?!(how|what i|me|that (move|rep)))|(plumber|electrician|gas man|window cleaner|removal men) (in|round|here|came|is)|(got|getting) (engaged|married|divorced)|(?<!like )(a|the|my) wedding|nothing to do with (this|it|anything)|(hear|heard) (someone's|somebody's|your|the|a) (dog|baby|neighbour|phone|kettle)|what should we talk about)\b", Plain)]
    private static partial Regex Gossip();

    [GeneratedRegex(@"\G(?:\b(?<n>\d{1,3}) minutes?( of| long| total| quick| full| at home)*( [\w']+){0,5}? (workout|class|session|routine|training|hiit|pilates|yoga|cardio|abs|barre|stretch|circuit|burn|strength|body|burner|blast|flow|sculpt|beginner|low impact|together)\b|\b(workout|class|session|routine)( [\w']+){0,4} (?<n>\d{1,3}) minutes\b)", Plain)]
    private static partial Regex Minutes();

    /// <summary>A length said of the class in its opening, without a name for the class: "it's twenty five minutes".</summary>
    [GeneratedRegex(@"\b(it's|it is|it'll be|takes?( you)?|only|just|about|under|around|all in|in|got|have) (going to be |only |just |about |around |under |the next |a |roughly )*(?<n>\d{1,2}) minutes\b(?! (of (rest|work)|rest|left|to go|on|off|each|in|ago|later|break|per|every))", Plain)]
    private static partial Regex MinutesSaid();

    [GeneratedRegex(@"\b(no (equipment|kit|gear|weights or equipment)\b|(equipment|kit) free|(don't|do not|won't|will not) (be )?need(ing)? (any )?(equipment|kit|gear|weights)|without (any )?(equipment|kit)|bodyweight only|just (you|your) (body|bodyweight)|all you need is (you|yourself|your body))\b", Plain)]
    private static partial Regex NoKitSaid();

    [GeneratedRegex(@"\G\b(low impact|high impact|no jumping|no jumps|zero impact|apartment friendly|neighbou?r friendly)\b", Plain)]
    private static partial Regex ImpactSaid();

    [GeneratedRegex(@"\b(beginners?|intermediate|advanced|all (fitness )?levels|every level|any level)\b", Plain)]
    private static partial Regex LevelSaid();

    [GeneratedRegex(@"\b((full|total|whole|upper|lower) body|core|abs|glutes|legs?|arms|back|chest|shoulders|booty|thighs|cardio|strength|mobility|flexibility|balance|hips)\b", Plain)]
    private static partial Regex FocusSaid();

    [GeneratedRegex(@"\G\b(?<n>[1-7])( to | or )?(?<m>[1-7])? (times|days|sessions) (a|per|each|every) week\b", Plain)]
    private static partial Regex PerWeek();

    [GeneratedRegex(@"\G\b(for|over|next|this) (the )?(next )?(?<n>\d{1,2})( to | or )?(?<m>\d{1,2})? weeks?\b", Plain)]
    private static partial Regex ForWeeks();

    [GeneratedRegex(@"\G\b((?<!\b(for|in|next|with|you) )part (1|2|3|4|5|6)\b|day \d+( of)?\b|week \d+ of|episode \d+|(next|previous|last) (video|part|section|chapter)|this series|\d+ day (challenge|series|program(me)?)|carry(ing)? on from|continu(e|ing) from|in the series)", Plain)]
    private static partial Regex Series();
}
