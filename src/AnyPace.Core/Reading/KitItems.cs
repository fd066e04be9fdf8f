using System.Collections.Immutable;
using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>A piece of equipment that is spoken of.</summary>
/// <param name="First">The first word of its name.</param>
/// <param name="Last">The last word of its name.</param>
/// <param name="IsDrink">True for water to drink: kit only where it is to be at hand from the start.</param>
internal readonly record struct KitMention(string Item, int First, int Last, bool IsDrink);

/// <summary>Finds equipment by the names it is spoken of with.</summary>
internal static partial class KitItems
{
    private static readonly (string Item, Regex Pattern)[] Items =
    [
        ("dumbbell", Dumbbell()),
        ("kettlebell", Kettlebell()),
        ("resistance band", Band()),
        ("bench", Bench()),
        ("chair", Chair()),
        ("mat", Mat()),
        ("towel", Towel()),
        ("wall", Wall()),
        ("water bottle", Bottle()),
        ("stability ball", Ball()),
        ("bar", Bar()),
        ("ankle weight", AnkleWeight()),
        ("step", Step()),
        ("skipping rope", Rope()),
        ("foam roller", Roller()),
        ("yoga block", Block()),
        ("cushion", Cushion()),
        ("sliders", Sliders()),
        ("pilates ball", SmallBall()),
        ("medicine ball", MedicineBall()),
        ("strap", Strap()),
        ("blanket", Blanket()),
        ("pilates ring", Ring()),
        ("broomstick", Broomstick()),
        ("bolster", Bolster()),
        ("boxing gloves", Gloves()),
    ];

    /// <summary>All that can be heard, by the names it has in a timeline.</summary>
    public static readonly ImmutableArray<string> Known = [.. Items.Select(i => i.Item)];

    /// <summary>Every mention, those of one item together in the order they are said.</summary>
    public static IEnumerable<KitMention> Find(Speech speech) =>
        from item in Items
        from match in speech.Find(item.Pattern)
        select new KitMention(item.Item, speech.TokenAt(match.Index), speech.TokenAt(match.Index + match.Length - 1), match.Groups["drink"].Success);

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b(dumb ?bells?|dumb bells?|(light|heavy|medium|lighter|heavier) pair|(set|pair) of (twos|threes|fours|fives|sixes|sevens|eights|nines|tens|twelves|fifteens|twenties|\d+s|\d+ (pounders?|kilos?|kgs?|pounds?|lbs?)|(five|ten|three|two|eight) pounders?)\b(?! (dumb ?bells?|kettle ?bells?|weights))|(?<=\b(with|using|got|have|holding) (my |the |some )?)(twos|threes|fours|fives|sixes|sevens|eights|tens|twelves|fifteens|twenties)( (and|or) (twos|threes|fours|fives|sixes|sevens|eights|tens|twelves|fifteens|twenties))?\b|(?<!ankle )weights|hand weights?|\d+ (pound|kilo|kg|lb) weights?|(?<=\b(take|use|hold|grab|holding|add|adding) )a weight(?= (if|or|at|in your|and|for)\b)|(?<!\b(for|shift|shifting|transfer|transferring|put|putting|all|feel|move|moving|keep|of|take|takes|taking|takes up|hold up|carry|carries|lean) )(a|1|your|the|single|heavier|lighter|heavy|light|small|hand) weight\b(?! (is|falls?|through|across|settles?|sinks?|goes|comes|evenly|equally|in|into|on|onto|through|back|over|forward|shifts?|drops?|evenly|down|out|of|off|loss|to|from|training)\b))", Options)]
    private static partial Regex Dumbbell();

    [GeneratedRegex(@"\G\bkettle ?bells?\b(?! (style|swings?))", Options)]
    private static partial Regex Kettlebell();

    [GeneratedRegex(@"\G\b((resistance|mini|loop|long|exercise|elastic|fabric|booty|hip|glute|light|heavy|medium|thick|thin|looped|stretchy) bands?|(a|the|your|my|any|this|that|(kind|type|sort) of) bands?|(longer|shorter|stronger|lighter) bands?|bands|band(?= (above|below|under your)\b))\b", Options)]
    private static partial Regex Band();

    [GeneratedRegex(@"\G\b(a|the|your|my|or|flat|weight|this|any|park) bench\b(?! press)", Options)]
    private static partial Regex Bench();

    [GeneratedRegex(@"\G\bchairs?\b(?! (pose|squat|dip|position))", Options)]
    private static partial Regex Chair();

    [GeneratedRegex(@"\G\bmats?\b", Options)]
    private static partial Regex Mat();

    [GeneratedRegex(@"\G\btowels?\b(?! (off|yourself))", Options)]
    private static partial Regex Towel();

    [GeneratedRegex(@"\G\b(a|the|your|or|some|clear|free|bare|spare|empty|nearest|any|this|that|no|(bit|piece|patch|stretch) of) wall\b", Options)]
    private static partial Regex Wall();

    [GeneratedRegex(@"\G\b(water bottles?|bottles of water|(?<drink>(some|your|my|(glass|drop|cup|bit|bottle) of) water|(got|have) water\b|(?<=\b(mat|towel) )water\b|water(?= (and (a )?)?(towel|mat)\b)|water (close|nearby|near by|beside you|handy|to hand|within reach))|bottles|tins|soup cans?|cans of \w+|cans)\b", Options)]
    private static partial Regex Bottle();

    [GeneratedRegex(@"\G\b(stability|swiss|exercise|gym|fit) balls?\b", Options)]
    private static partial Regex Ball();

    [GeneratedRegex(@"\G\b(bar ?bells?|pull up bar|a bar\b|(?<!(raise|raising|lower|set|high) )(the|your) bar\b)", Options)]
    private static partial Regex Bar();

    [GeneratedRegex(@"\G\bankle weights?\b", Options)]
    private static partial Regex AnkleWeight();

    [GeneratedRegex(@"\G\b(((need|use|have|grab|want|got|using) )?a step or (a|the|your) (bottom )?(step|stair)|aerobic step|(place|position|set up) your step|step platform|risers?|(?<=\b(behind|beside|in front of) )your step|your step(?= should)|stepper|(need|use|have|grab|want|got|using) a step\b(?! (to|out|back|forward|and|together|behind|touch|in|kick|tap|hop|jack|knee|lunge))|bottom (step|stair)|a step or a?|a sturdy step|(yourself|get your|got your|grab your|bring your|have your|need your|find) (a )?step|(on|onto|off) (the|your) (box|platform)\b|(on|onto|off) (the|your) step\b(?! (back|touch|out|forward|to|together|behind))|a stair\b|plyo box)\b", Options)]
    private static partial Regex Step();

    [GeneratedRegex(@"\G\b((a|your|the|real) (skipping|jump) rope|(skipping|jump) ropes? (at the ready|ready|out|in hand)\b|(skipping|jump) ropes?(?= (if|or)\b)|(skipping|jump) ropes\b|rope(?= in (both|your) hands)|(?<!under |under a |over )(a|your|the) rope)\b", Options)]
    private static partial Regex Rope();

    [GeneratedRegex(@"\G\b(foam rollers?|(your|the|a) roller|roller(?= (at the ready|ready|out|under|down|underneath)\b))\b", Options)]
    private static partial Regex Roller();

    [GeneratedRegex(@"\G\b((yoga|foam|cork) (blocks?|bricks?)|(?<=\b(a|the|your|1|2|one|each|another) )blocks?(?= (under|between|underneath|beneath|if you|on (its|the (tallest|lowest|flat))|by the|by your)\b)|(?<=\b(on|onto|to|under|squeeze) (a|the|your) )block\b(?! (of|number|1|2|3|work|workout))|(?<=\b(a|one) )block(?= or\b)|(?<=\b(have|grab|use|using|need|got|your|with) (a |1 |2 |some |your )?)blocks?\b(?! (of|workout|coming|left|to go|\d)))", Options)]
    private static partial Regex Block();

    [GeneratedRegex(@"\G\b((?<!\bto )cushion|cushions|pillows?)\b", Options)]
    private static partial Regex Cushion();

    [GeneratedRegex(@"\G\bsliders?\b", Options)]
    private static partial Regex Sliders();

    [GeneratedRegex(@"\G\b((pilates|small|soft|squishy|inflatable) balls?|over ?balls?|(?<=\b(squeez(e|ing)|hug(ging)?|pulsing|press) (in |into )?(the|your|that) )ball\b(?! of)|ball(?= (between|behind) (the|your)\b))\b", Options)]
    private static partial Regex SmallBall();

    [GeneratedRegex(@"\G\b(medicine|med|slam|weighted) balls?\b", Options)]
    private static partial Regex MedicineBall();

    [GeneratedRegex(@"\G\b((yoga |stretch(ing)? )straps?|(a|your|the) (long |soft )?strap|(a|your) (long |soft )?belt|straps?(?= (or|around|round)\b)|loop the (strap|belt))\b", Options)]
    private static partial Regex Strap();

    [GeneratedRegex(@"\G\bblankets?\b", Options)]
    private static partial Regex Blanket();

    [GeneratedRegex(@"\G\b((pilates|magic|toning) (ring|circle)|ring(?= between\b)|(?<=\b(squeeze|press|hug) (the|your) )ring)\b", Options)]
    private static partial Regex Ring();

    [GeneratedRegex(@"\G\b(broom ?(sticks?|handles?)|mop handle)\b", Options)]
    private static partial Regex Broomstick();

    [GeneratedRegex(@"\G\bbolsters?\b", Options)]
    private static partial Regex Bolster();

    [GeneratedRegex(@"\G\b(boxing gloves|gloves|(your|my) wraps)\b", Options)]
    private static partial Regex Gloves();
}
