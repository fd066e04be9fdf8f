using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Equipment as it is said: what, how many, which load, whether it must be there, and when it is first used.</summary>
internal static partial class KitReader
{
    /// <summary>Things that may stand in for another, and for what.</summary>
    private static readonly Dictionary<string, string[]> StandIns = new()
    {
        ["water bottle"] = ["dumbbell", "kettlebell"],
        ["dumbbell"] = ["kettlebell", "bar", "medicine ball"],
        ["kettlebell"] = ["dumbbell"],
        ["chair"] = ["bench", "step"],
        ["bench"] = ["step"],
        ["step"] = ["bench", "chair"],
        ["towel"] = ["resistance band", "mat", "sliders", "strap", "foam roller", "pilates ball", "cushion", "yoga block"],
        ["cushion"] = ["mat", "yoga block", "pilates ball", "bolster"],
        ["blanket"] = ["mat", "bolster"],
        ["resistance band"] = ["strap", "dumbbell"],
        ["broomstick"] = ["bar"],
    };

    /// <summary>Share of the bouts from which furniture that moves are done on is needed, however kindly it was offered. In the marked classes it is needed from this share on.</summary>
    private const double SomeOfIt = 0.05;

    /// <summary>The same for what is held, which most moves can do without. In the marked classes an offered weight is needed from this share on.</summary>
    private const double MuchOfIt = 0.2;

    /// <summary>
    /// Where no phrase says anything of the need: below this share it is hardly required, and above the other something else is all but sure. Where a phrase does, the words have to be surer.
    /// Of 160 odd sentences, each held back in turn, 103 were read whole by phrases alone and 111 with these; others from 0.1, 0.8 to 0.5, 0.5 gave 105 to 110.
    /// </summary>
    private const double Hardly = 0.2;
    private const double Sure = 0.7;
    private const double HardlyDespitePhrase = 0.1;
    private const double SureDespitePhrase = 0.8;

    /// <param name="bouts">The bouts read, for what their moves cannot be done without.</param>
    public static ImmutableArray<KitItem> Read(Speech speech, IReadOnlyList<Bout> bouts, MoveLexicon lexicon)
    {
        var firstBout = bouts.Count == 0 ? 0 : bouts[0].Span.Start.Value;
        var uses = bouts.SelectMany(b => lexicon[b.MoveId].Kit).CountBy(k => k).ToDictionary();
        var kit = ImmutableArray.CreateBuilder<KitItem>();
        var all = KitItems.Find(speech).ToList();
        foreach (var mentions in all.GroupBy(m => m.Item))
        {
            var item = mentions.Key;
            var (must, may, plain, stands, toWall, imagined) = (false, false, false, false, false, false);
            KitNeed? opening = null;
            int? count = null;
            string? load = null;
            string? standsFor = null;
            double? firstUse = null;
            var evidence = ImmutableArray.CreateBuilder<Evidence>();
            foreach (var mention in mentions)
            {
                var at = speech.At(mention.First);
                if (mention.IsDrink && at >= firstBout)
                {
                    // Water is kit where it is to be at hand from the start; "grab some water" later is a rest.
                    continue;
                }

                var said = Weigh(speech, mention, Say(speech, mention), all);
                imagined |= !plain && !may && said.IsImagined;
                if (said.Need is not { } need)
                {
                    continue;
                }

                toWall |= said.IsToWall;
                standsFor ??= said.StandsFor;
                if (at < firstBout && (need != KitNeed.Required || said.IsMust))
                {
                    // What is said of it before the class begins settles it; the plainest need said there counts.
                    opening = opening is { } held && held <= need ? held : need;
                }

                must |= need == KitNeed.Required && said.IsMust;
                plain |= need == KitNeed.Required;
                may |= need == KitNeed.Optional;
                stands |= need == KitNeed.Substitute;
                count ??= said.Count;
                load ??= said.Load;
                if (need == KitNeed.Required && at >= firstBout - 20)
                {
                    firstUse ??= at;
                }

                if (evidence.Count < 4)
                {
                    evidence.Add(new Evidence(new Seconds(Math.Round(at, 1)), speech.Around(mention.First, 5, 8)));
                }
            }

            // What is said to be needed is; else one "if you like" outweighs plain mentions, which else mean that it is in use.
            KitNeed? whole = opening is { } settled ? settled : must ? KitNeed.Required : may ? KitNeed.Optional : plain ? KitNeed.Required : stands ? KitNeed.Substitute : null;

            if (opening is null && !must && !may && plain && evidence is [{ At: var once }] && once.Value >= firstBout && !uses.ContainsKey(item)
                && (item is "bench" or "broomstick" or "blanket" || mentions.All(m => IsOnlySpokenOf(speech, m))))
            {
                // "I hurt my shoulder doing it on a bench": spoken of once, and no move is done with it.
                whole = null;
            }

            // Towels, blankets and water bottles to drink from help; nobody is stopped by their lack. A wall is kit only where a move leans on it or it is offered.
            if (item == "wall")
            {
                whole = uses.ContainsKey(item) || must || toWall ? KitNeed.Required : may ? KitNeed.Optional : null;
            }
            else if (whole == KitNeed.Required && item is "towel" or "cushion" or "blanket" or "water bottle")
            {
                whole = KitNeed.Optional;
            }

            if (whole == KitNeed.Optional && IsDoneWith(item))
            {
                // "Have a chair nearby if you like" of a class that then sits on it.
                whole = KitNeed.Required;
            }

            if (imagined && !must && opening is null)
            {
                // "Pretend you've got a rope ... turn the rope."
                continue;
            }

            if (whole is { } found)
            {
                kit.Add(new KitItem(
                    item, found, count, load, found == KitNeed.Substitute ? standsFor : null,
                    firstUse is { } t ? new Seconds(Math.Round(t, 1)) : null, evidence.ToImmutable()));
            }
        }

        return kit.ToImmutable();

        bool IsDoneWith(string item)
        {
            var done = uses.GetValueOrDefault(item);
            return IsFurniture(item) ? done > 0 && done >= SomeOfIt * bouts.Count : done > 1 && done >= MuchOfIt * bouts.Count;
        }
    }

    /// <summary>What the phrases alone say of a mention; null where the item is not to be had.</summary>
    internal static KitNeed? NeedByPhrases(Speech speech, KitMention mention) => Say(speech, mention).Need;

    /// <summary>What one mention says.</summary>
    /// <param name="Need">Null where it is spoken of and not to be had.</param>
    /// <param name="IsMust">True where it is said in so many words to be needed or used.</param>
    /// <param name="IsImagined">True where everybody is to pretend.</param>
    private readonly record struct Said(KitNeed? Need, bool IsMust, bool IsImagined, bool IsToWall, string? StandsFor, int? Count, string? Load);

    /// <summary>What is said of a mention once all words about it are weighed: where they hardly allow what the phrases say, and are all but sure of something else, they decide.</summary>
    private static Said Weigh(Speech speech, KitMention mention, Said said, IReadOnlyCollection<KitMention> all)
    {
        if (said.IsImagined)
        {
            return said;
        }

        var judged = KitJudge.Default.Judge(speech, mention, all);
        double Share(KitNeed? need) => need is { } n ? judged.Of(n) : judged.OfNone;
        KitNeed? likeliest = judged.Of(judged.Need) > judged.OfNone ? judged.Need : null;
        var instead = likeliest == KitNeed.Substitute ? NamedNear(speech, mention) : null;
        var (hardly, sure) = said is { Need: KitNeed.Required, IsMust: false } ? (Hardly, Sure) : (HardlyDespitePhrase, SureDespitePhrase);
        return Share(said.Need) < hardly && Share(likeliest) > sure && (likeliest != KitNeed.Substitute || instead is not null)
            ? said with { Need = likeliest, IsMust = false, StandsFor = instead }
            : said;
    }

    /// <summary>What is named near an item and may be stood in for by it.</summary>
    private static string? NamedNear(Speech speech, KitMention mention) => StandIns.TryGetValue(mention.Item, out var firsts)
        ? firsts.FirstOrDefault(f => Names(speech.Preceding(mention.First, 40), f) || Names(speech.After(mention.Last + 1, 16), f))
        : null;

    private static Said Say(Speech speech, KitMention mention)
    {
        var (item, token, last) = (mention.Item, mention.First, mention.Last);
        var name = speech.Around(token, 0, last + 1 - token);
        var before = speech.Before(token, 12);
        var after = speech.Tokens[last].Pauses ? "" : speech.After(last + 1, 9);
        var further = speech.Tokens[last].Pauses ? "" : speech.After(last + 1, 16);
        var needed = NeedWords().IsMatch($"{before} {name}");
        var with = WithOrWithout().IsMatch(before);
        var lainOn = item == "mat" && OnIt().IsMatch(before);
        var imagined = Imagined().IsMatch(before);
        if ((Without().IsMatch(before) && !with && !ButIfYouHave().IsMatch(after) && !NeededLater().IsMatch(after)) || NotToday().IsMatch(after) || imagined || RoleReader.IsTold(before, "") || ((PutBefore().IsMatch(before) || before.Length == 0) && PutAfter().IsMatch(after))
            || (item == "wall" && (StoodAtWall().IsMatch(before) || WallAcross().IsMatch(after))))
        {
            return default(Said) with { IsImagined = imagined };
        }

        var orElse = item == "wall" && OrAtOnce().IsMatch(after);
        var instead = with ? null : InsteadOf(before, after, speech.Preceding(token, 40), item);
        var need = instead is not null && !(OrAnother().IsMatch(before) && MayHave().IsMatch(before)) ? KitNeed.Substitute
            : with || (OptionalBefore().IsMatch(before) && !lainOn && !Swapped().IsMatch(before) && !NeedsIt().IsMatch(before)) || (OptionalAfter().IsMatch(after) && !(lainOn && !OptionalAtOnce().IsMatch(after)) && !(MustHave().IsMatch(before) && !OptionalAtOnce().IsMatch(after))) || orElse || NotAMust().IsMatch(further) || SoftEnough().IsMatch(after) || (LackBefore().IsMatch(before) && NoMatter().IsMatch(after)) ? KitNeed.Optional
            : KitNeed.Required;
        return new Said(
            need, needed, false, item == "wall" && need == KitNeed.Required && ToWall().IsMatch(before), instead, CountOf(before, name),
            LoadOf(before, after) ?? (LoadLater().Match(after) is { Success: true } later ? later.Groups["l"].Value : null));
    }

    private static bool IsFurniture(string item) => item is "chair" or "bench" or "step";

    /// <summary>What the item stands in for, or null where it is needed for its own sake. Only what is named near it can be stood in for.</summary>
    private static string? InsteadOf(string before, string after, string preceding, string item)
    {
        if (!StandIns.TryGetValue(item, out var firsts))
        {
            return null;
        }

        var named = firsts.FirstOrDefault(f => Names(preceding, f));
        var swapped = OnlyHave().IsMatch(before) || SubstituteBefore().IsMatch(before) || (UseInstead().IsMatch(before) && Lacking().IsMatch(before)) || (Lacking().IsMatch(preceding) && (before.Length < preceding.Length || WillDo().IsMatch(after)));
        if (swapped && (named is not null || before.Contains("instead", StringComparison.Ordinal) || after.Contains("instead", StringComparison.Ordinal)))
        {
            return named ?? firsts[0];
        }

        if (named is not null && JustWillDo().IsMatch(after) && preceding.Contains(named.Split(' ')[^1], StringComparison.Ordinal))
        {
            // "A pilates ball between the knees, a cushion would do."
            return named;
        }

        var lacking = ForLackOf().Match(after);
        var instead = lacking.Success ? after[lacking.Length..] : JustAsGood().IsMatch(after) ? after : "";
        return firsts.FirstOrDefault(f => Names(instead, f));
    }

    private static bool Names(string words, string item) =>
        words.Contains(item.Split(' ')[^1], StringComparison.Ordinal) || (item == "dumbbell" && words.Contains("weight", StringComparison.Ordinal));

    private static int? CountOf(string before, string item)
    {
        var match = Count().Match(before);
        return match.Success
            ? match.Groups["n"].Value is "pair of" or "set of" ? 2 : int.TryParse(match.Groups["n"].Value, out var n) && n < 10 ? n : 1
            : item.StartsWith("a ", StringComparison.Ordinal) ? 1 : null;
    }

    private static string? LoadOf(string before, string after)
    {
        var match = Load().Match(before);
        if (match.Success)
        {
            return match.Groups["l"].Value;
        }

        match = LoadAfter().Match(after);
        return match.Success ? match.Groups["l"].Value : null;
    }

    /// <summary>Words before an item in which it is told of other people and other days, and in which it is taken hold of.</summary>
    private const int StoryWithin = 9;
    private const int TakenWithin = 6;

    private static bool IsOnlySpokenOf(Speech speech, KitMention mention) =>
        !Taken().IsMatch(speech.Before(mention.First, TakenWithin)) || InStory().IsMatch(speech.Before(mention.First, StoryWithin)) || PartOf().IsMatch(speech.After(mention.Last + 1, 1));

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    /// <summary>"My mug fell off the step", "we had a band and a bar at the wedding": of the bar nobody is to take hold.</summary>
    [GeneratedRegex(@"\b(he|she|they|his|her|their|was|were|had|used to|there's|there is|mum|mom|dad|my (?!knees?\b|feet\b|hands?\b|back\b)[\w']+|fell|broke|bought|said|yesterday|last (night|week|year|time)|weekend|next (week|time))\b", Options)]
    private static partial Regex InStory();

    /// <summary>Said of what is taken in hand or is sat, stood, lain or leant on.</summary>
    [GeneratedRegex(@"\b(on|onto|under|underneath|beneath|against|over|through|off|grab|have|got|get|put|pop|place|hold|holding|use|using|with|need|take|fetch|bring|pick up|pair of|lift|raise|press|squeeze|loop|wrap|swing|drop|lower|roll(ed)? out|lay out|stick|slide|slip|tuck|wedge|fold|behind|beside|between|before|near|facing|face|unroll|share|sit|lie)( (the|a|an|your|this|that|both|one|1|2|my|some|these|those|of|light|heavy|little|small|folded|rolled( up)?|edge|back|end|front|single|\d+))*$", Options)]
    private static partial Regex Taken();

    /// <summary>"The cushion of your heel", "a bar of chocolate".</summary>
    [GeneratedRegex(@"^of\b", Options)]
    private static partial Regex PartOf();

    [GeneratedRegex(@"\b(with (or|and) without|(can|could) do (it|this|these|them|that|the \w+) without)( (a|an|any|the|your))*$", Options)]
    private static partial Regex WithOrWithout();

    /// <summary>"You don't need weights, but if you've got some, hold them."</summary>
    [GeneratedRegex(@"^([\w']+ ){0,3}but if you( have|'ve got|'ve| got| want| like| do)\b", Options)]
    private static partial Regex ButIfYouHave();

    /// <summary>What can be done on any soft floor, or with one's own hands, needs no kit.</summary>
    [GeneratedRegex(@"^([\w']+ ){0,5}(or (just )?(pretend|imagine|mime)\b|or (a |an |some |any |the )?(rug|carpet|soft)\b|but (the|a|your) (floor|carpet|bed|sofa)( itself)? (does|is|works|will|would)\b|(honestly |but |the )*carpet('s| is| will be| works| would)|(and |but )?if you (haven't got|don't have|haven't) (1|any|it|them)( just)? (pretend|imagine|mime|go without|carry on|do it without|no (problem|worries)|(that's|it's) (okay|ok|fine|all right))|(?:(would|will|might|could|can) make|makes) (it|this|that|these|them|things|the [\w']+( [\w']+)?) ([\w']+ )?(harder|tougher|spicier|spicy|nicer|kinder|comfier|easier|softer|more \w+)|((would|will|might|can|really) help|helps)\b|(you|or you) can use (a|the|your) (rug|carpet|floor)\b|(would|will|might|could|can|are|is) (be |come in )?(lovely|nice|great|handy|helpful|useful|good|kinder|happier|comfier|wise|clever|welcome|a help|an option|a nice touch|a bonus)\b|(is |are )?(nice|lovely|handy|helpful|useful) (for|if|to have|but)\b|(you|we) can (also |easily |always |totally )?(do|use|take) (it|this|these|them|that) without)", Options)]
    private static partial Regex SoftEnough();

    [GeneratedRegex(@"\b(put|place|set|lay|leave|drop)( (the|your|those|both|that|heavier|lighter))*$", Options)]
    private static partial Regex PutBefore();

    [GeneratedRegex(@"^(down|aside|away|to (the|1) side|(are |is )?(done|finished|off))\b", Options)]
    private static partial Regex PutAfter();

    /// <summary>Where everybody is sent to the wall, it is needed.</summary>
    [GeneratedRegex(@"\b((stand|lean|sit|slide)( up)? against|over to|go to|come to|start(ing)? (at|by|against)|(hands?|palms?|forearms?|elbows)( both| flat| at| shoulder| height| and| forearms?)* (on|against)|(back|shoulders?|shoulder blades|hips?|bottom|bum|feet|heels|head)( and| your| every| bit| of)* (on|to|against|up)|walk(ing)? (your )?(feet|hands) up|slid(e|ing)( back)? (up and )?down|push(ing)? (away|off|yourself)( away| off)?( from)?|stay at|turn(ed)? sideways (on )?to|find( (a|some|yourself|yourselves|clear|free|empty|spare|nice))*|facing|face|back (flat )?(on|to|against|into)|stand (at|by|facing))$", Options)]
    private static partial Regex ToWall();

    /// <summary>"Put the chair against the wall so it can't slide": where furniture stands, not what is leant on.</summary>
    [GeneratedRegex(@"\b(chairs?('s)?|stool|seat|bench|sofa|back of it|(?<!\b(do|try|hold|doing) )(it|them|that)('s|'re)?)( (is|are|right|up|firmly|safely|well|back))* (against|by|to)$", Options)]
    private static partial Regex StoodAtWall();

    /// <summary>"Keep your chest facing the wall in front of you": where to look or to reach.</summary>
    [GeneratedRegex(@"^(to look at|in front( of you)?|behind( you)?|opposite|ahead( of you)?|across( the room)?|away)\b", Options)]
    private static partial Regex WallAcross();

    /// <summary>"Face the wall, or the back of a chair."</summary>
    [GeneratedRegex(@"^(now |there )?or( (to|at|on))? (a|an|the|your)\b", Options)]
    private static partial Regex OrAtOnce();

    /// <summary>Said to be needed in so many words; an "if you have" some words later speaks of something else.</summary>
    [GeneratedRegex(@"\b((you'll|you will|you're (going to|gonna)|we'll|we're (going to|gonna)|we|you|gonna|do) need|(we'll|we will|we're (going to|gonna)) (be using|use)|required?|must have)( [\w']+){0,5}$", Options)]
    private static partial Regex MustHave();

    /// <summary>"I've a mat here for comfort, but you don't need one"; "a bench, but you can use the edge of the sofa".</summary>
    [GeneratedRegex(@"^([\w']+ ){0,7}(you|we) can (easily |also |always )?(do|take|use) (this|it|that|them|these) without\b|^([\w']+ ){0,6}(you (do not|don't) have to\b(?! be\b)|it works (the same|without)|or with nothing|without it's|(it's )?not for show|that's fine and some)|^((?!and\b)[\w']+ ){0,9}but ((you can )?(do|take|try|use) (it|this|them|these|everything) without|(it|this|everything)('s| is) (fine|okay|ok|possible|doable) without|(you|we) (really |absolutely |certainly |definitely |totally |honestly )?((don't|do not) (have to|need)( (1|it|them|any|to|that|this|a \w+))?\b(?! (be|go|do))|(can|could)( [\w']+){0,2} (use|do)( [\w']+){0,4} (sofa|couch|floor|bed|settee)\b))", Options)]
    private static partial Regex NotAMust();

    /// <summary>"No weights yet, you'll need them later."</summary>
    [GeneratedRegex(@"^([\w']+ ){0,6}(need|use|want|pick|grab|get|using|add|bring) (them|it|those)( [\w']+)? (later|after|towards the end|at the end|in the second|next|in a (bit|minute|moment))\b", Options)]
    private static partial Regex NeededLater();

    /// <summary>"I usually use a barbell, but today it's just us."</summary>
    [GeneratedRegex(@"^(that (isn't|is not|'s not) there|out of the way|(is |are )?only (there|here) because|won't be (necessary|needed)|(isn't|aren't|is not|are not) (necessary|needed|required)|to (one|1) side and forget)\b|^([\w']+ ){0,2}but (today|this time|not today)( [\w']+){0,3} (just|only|no|without|bodyweight|nothing)\b", Options)]
    private static partial Regex NotToday();

    /// <summary>"A towel works if you don't have a mat": names what it stands in for.</summary>
    [GeneratedRegex(@"^([\w']+ ){0,4}(if|when) you (don't (have|own)|do not (have|own)|haven't( got)?|have no|lack|are without|'ve no|can't find)\b", Options)]
    private static partial Regex ForLackOf();

    [GeneratedRegex(@"\b(swap|replace|trade|switch)( (the|your|that|those|a))*$", Options)]
    private static partial Regex Swapped();

    /// <summary>"You'll need a", right before the item: whatever was optional before it, this is not.</summary>
    [GeneratedRegex(@"(?<!\b(if|might|may|when|don't|unless|case|whether|not|won't)( you| you'll| you'd| we)?) \b(you'll|you will|we'll|we will|you|we|i|gonna|going to|do) (really |also |only |just )?need( (a|an|your|some|1|2|the|just))*$", Options)]
    private static partial Regex NeedsIt();

    /// <summary>"Shoulder blades off the mat": it is lain on, and an "if" some words later is of something else.</summary>
    [GeneratedRegex(@"\b(on|off|onto|into|to|from|across|over|in)( the| your| our| that| this)?$", Options)]
    private static partial Regex OnIt();

    [GeneratedRegex(@"^((is|are|but|though|it's|they're|that's|totally|completely|entirely|purely|all) )*(optional|if|in case)\b", Options)]
    private static partial Regex OptionalAtOnce();

    [GeneratedRegex(@"\bif you (don't|do not|haven't|have no)\b[^.]*$", Options)]
    private static partial Regex LackBefore();

    [GeneratedRegex(@"^(no (problem|worries|biggie)|don't worry|not to worry|that's (okay|ok|fine|all right)|it's (okay|ok|fine))\b(?!.*\b(use|grab|get|take)\b)", Options)]
    private static partial Regex NoMatter();

    [GeneratedRegex(@"^([\w']+ ){0,4}(work|works|do|are|is)( [\w']+)? (just )?as (well|good) as\b", Options)]
    private static partial Regex JustAsGood();

    /// <summary>"I'm using tens and fifteens", said right after the dumbbells.</summary>
    [GeneratedRegex(@"^([\w']+ ){0,6}(using|got|have|with|my) (a )?(?<l>\d+s?( (and|or|to) (a )?\d+s?)*)\b(?! (seconds?|minutes?|moves|exercises|rounds))", Options)]
    private static partial Regex LoadLater();

    [GeneratedRegex(@"(?<!\bif you('ve got| have|'ve) )\b(no|without|(let's |we're |am )not us(e|ing)|don't need|do not need|won't need|not need|put (down|away)|drop|lose|leave|forget( about)?|never mind|no need for|don't worry about|(break|rest) from|instead of|isn't|swapped|(?<!\bif )not a|(not|won't be|aren't|isn't) using|(don't|won't|never|not) (touch(ing)?|see any|go and get|bring|fetch)|some people (do|use|like) (this|it|that)?( with)?)( (a|an|any|the|your|my|those|need|for))*$", Options)]
    private static partial Regex Without();

    [GeneratedRegex(@"(\b(imagine|imaginary|pretend|invisible|(?<!might |may |would |you'd |i'd |you |\bi |we |they |people |what [\w']{1,9} )like\b(?! to)|think of|picture|as if|as though)( [\w']+){0,6}|(?<!well )\bas|\b(help(s|ing)?|easier|stairs)( [\w']+){0,5} (out of|up from)( (a|your|the))?)$", Options)]
    private static partial Regex Imagined();

    [GeneratedRegex(@"(\bif (you (don't|do not|haven't|have no)|not)\b.*|\b(instead( of)?|otherwise)\b.*|\b(substitute|swap)\b.*|\b(could|can) (easily |also |just )*(do (this|it|these|that|them) with|use)( (a|1|an|just|some|your|single|sturdy|solid|strong|stable|dining|kitchen|heavy))*|\bor( even)?( (a|an|some|use|2|couple|of|water|grab|take|even|just|sturdy|solid|strong|heavy|light|kitchen|dining|the|your|rolled|folded|up|small|big|old|plain|spare))*)$", Options)]
    private static partial Regex SubstituteBefore();

    [GeneratedRegex(@"^(will|would|'ll) do\b", Options)]
    private static partial Regex JustWillDo();

    [GeneratedRegex(@"\b(no|don't have|haven't got|not got|do not have|without|in place of) (a |any )?(bench|dumbbells?|kettlebells?|bands?|weights|mats?|step|1|any)\b( [\w']+){0,9}$", Options)]
    private static partial Regex Lacking();

    [GeneratedRegex(@"\bor( (a|an|some|the|your|even))*( [\w']+)?$", Options)]
    private static partial Regex OrAnother();

    /// <summary>"You may like a block or a cushion": neither has to be there.</summary>
    [GeneratedRegex(@"^(?!.*\b(don't|haven't|no|without|instead|need)\b).*\b(may|might|could) (also )?(want|wish|like|prefer)\b", Options)]
    private static partial Regex MayHave();

    /// <summary>After something that is not there: "no kettlebell? Use a".</summary>
    [GeneratedRegex(@"\b(use|grab|take|try)( (a|an|your|1|some|the|just))*$", Options)]
    private static partial Regex UseInstead();

    [GeneratedRegex(@"\b(only|just) (got|have|own)( (a|1|some|2|light|small|your))*$", Options)]
    private static partial Regex OnlyHave();

    [GeneratedRegex(@"^([\w']+ ){0,4}(will (do|work|be fine)|would (do|work)|works|is fine|instead|are fine|do the job)\b", Options)]
    private static partial Regex WillDo();

    [GeneratedRegex(@"(\b(for (those|anyone) (of you )?(who|with|that)( (are|is|have|has|want|need|feel|like))?|(for )?(a|the|an) (low|lower|lighter|gentle|gentler|easier|harder|tougher|advanced|seated)( impact)? (version|option)( is)?|add(ing)? load( by)?|(need|want|prefer) to sit|can't (reach|hold|balance)( [\w']+){0,2}|for a challenge)( [\w']+){0,4}|\bif (your|balance|it|it's|that|that's|this|jumping|getting|standing(('s| is)( [\w']+){1,3})?|the)\b.*|\b(glad|grateful|thankful) (of|for)( [\w']+){0,2}|\bif you're( [\w']+){1,3}|\bif (you'd|you would) (rather|prefer)\b.*|\bif you (want|wanna|would like|'d like|fancy|feel like)\b.*|\bfor (an |a bit of |a |some |a little )?(extra|more|added|bigger|more of a)( [\w']+){0,6}|\b(optional\w*|if you('ve|'d| would| do| happen to| feel)? (have|want|need|like|got|prefer|would|own|feel|wobbly)|(stay|stand|be) ((close|near|next) to|near)|to make (it|this|that|them) (tougher|harder|more challenging|spicy|spicier)|you (can|could|might|may)(?! (do|be|always)\b)|feel free|maybe|possibly|perhaps|consider|unless|(aren't|isn't|not) (your (thing|favourite|cup of tea)|for you|comfortable|possible)|might want|hold (on )?to|holding (on )?to|option\w*|(helpful|handy|useful|nice|good|worth) (to have|having)|for (balance|support|comfort)(?! and)|(?<!\d )or)\b((?! and)( [\w']+)){0,7})$", Options)]
    private static partial Regex OptionalBefore();

    [GeneratedRegex(@"^(([\w']+ ){0,4}(if not (just|no|that's|don't|pretend|you)|(it's |is |it is |that's )?(up to you|your (call|choice)|you ((choose|decide)(?! (what|which|your|the|how))|do what suits)|you can be on anything|makes no difference|for those who would rather)|('s |is |are |isn't |aren't )*(not )?(a must|compulsory|essential|vital|obligatory|mandatory|an extra|expected)|(is|are) (only |just )?for (those|anyone|the)|(is|are) a good (idea|trick)|for safety|while you find|some don't bother|if it's too|and (now )?it's harder|but you can (be|do) )\b|([\w']+ ){0,7}to (kneel|sit|lie|stand|rest) (on|under)( [\w']+)? if (the|your|it|you)\b|((?!and (put|have|keep|get|grab) (some|your|a|the)\b)[\w']+ ){0,4}(optional|in case|you (might|may) not\b|(?<!\band )if (balance|your(?! (blood|heart|doctor|physio|gp|midwife)\b)|the floor|needed|necessary)|nearby|near you|by you|beside you|close by|handy|to hand|within reach|(?<!\band )(?<!^and (maybe |perhaps |possibly )?(a|an|some) ([\w']+ )?[\w']+ )if (you(?! (don't|haven't|do not|can|only)\b)|you'd|you've(?! only\b)|you're (on|a bit|a little|getting|feeling|wobbly|unsteady|tired|new|not|worried|struggling|unsure)|(your|the) floor|that|it) )|([\w']+ ){0,6}for (the )?(balance|support|comfort))\b", Options)]
    private static partial Regex OptionalAfter();

    [GeneratedRegex(@"\b(need|needs|needed|(?<!(might|may|don't|if you|can) )want|grab|grabbing|get|gather|bring|require|required|fetch|have|use|using|with|pick up|take)( the (back|edge|seat) of)?( [\w']+){0,5}$", Options)]
    private static partial Regex NeedWords();

    [GeneratedRegex(@"\b(?<n>pair of|set of|\d|a|an|single)( (of|heavy|light|medium|moderate|heavier|lighter|sturdy|small|single|\d+|pound|kilo|kg|to|your))*$", Options)]
    private static partial Regex Count();

    [GeneratedRegex(@"\b(?<l>\d+( to | or )?\d* (pounds?|lbs?|kilos?|kgs?|kilograms?)|light to medium|medium to heavy|heavy|light|medium|moderate|heavier|lighter)( (pair|set|of|hand|weight|weighted))*$", Options)]
    private static partial Regex Load();

    [GeneratedRegex(@"^([\w']+ ){0,3}?(?<l>\d+( to | or )?\d* (pounds?|lbs?|kilos?|kgs?|kilograms?))\b", Options)]
    private static partial Regex LoadAfter();
}
