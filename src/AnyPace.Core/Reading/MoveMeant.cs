using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Decides which move a name means where it is said: by what is under way, where the body is, what was named in full before.</summary>
internal static partial class MoveMeant
{
    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    /// <summary>In a class that promises no jumps, a name that has a stepping form means that one, unless a jump is named.</summary>
    internal static Move? Stepped(Speech speech, MoveLexicon lexicon, Move move, int token, int length)
    {
        if (move.Impact < Impact.Moderate || move.Easier is not { } id || lexicon.Find(id) is not { Impact: <= Impact.Low } low || lexicon.NameStems(low)[^1] != lexicon.NameStems(move)[^1])
        {
            return null;
        }

        for (var t = token; t < token + length; t++)
        {
            if (speech.Tokens[t].Stem is "jump" or "hop" or "bound")
            {
                return null;
            }
        }

        return low;
    }

    /// <summary>True for a class that is a walk: there "walk" is what is done, not how to get somewhere.</summary>
    internal static bool IsWalk(Speech speech)
    {
        const double opening = 90;
        const int several = 2;
        return speech.Find(AWalk()).TakeWhile(m => speech.At(speech.TokenAt(m.Index)) < opening).Take(several).Count() == several;
    }

    /// <summary>"And walk", "walk it, walk it": said as what to do now, not "walk your hands out" or "walk away".</summary>
    internal static bool Walks(Speech speech, int token) =>
        speech.Tokens[token].Text is "walk" && !WalksElsewhere().IsMatch(speech.After(token + 1, 2)) && !AsOneWalks().IsMatch(speech.Before(token, 2));

    [GeneratedRegex(@"\G\b(walk(ing|ers)? (workout|class|session|along|together|at home|indoors|with (me|us))|walkers|miles?|\d+ minute walk|(let's|start|keep) walk(ing)?|(of|for|our|this|a) walk(ing)?|(walk|walking) (in place|on the spot))\b", Options)]
    private static partial Regex AWalk();

    [GeneratedRegex(@"^(your|the|away|around and|over|past|you|through|off)\b", Options)]
    private static partial Regex WalksElsewhere();

    [GeneratedRegex(@"\b(as you|when you|you|a|the|dog|to|i|they|of)$", Options)]
    private static partial Regex AsOneWalks();

    private static readonly HashSet<string> LooseWords = ["low", "high", "big", "little", "small", "slow", "fast", "quick"];

    /// <summary>Words out of the name of the move under way are that move: "walk, walk, walk" in walk-outs, "squat and knee, squat" in squats with a knee drive.</summary>
    internal static Move? PartOf(MoveLexicon lexicon, List<Mention> mentions, AliasHit hit, int token, int length, Speech speech, double at)
    {
        const double underWay = 60;
        if (hit.Words == 2 && LooseWords.Contains(speech.Tokens[token].Text))
        {
            // "Legs out long and low, kick, kick" in flutter kicks.
            (token, length) = (token + length - 1, 1);
        }

        var mayBePart = hit.Words == 1 ? hit.Weak && !NameFinder.AtHand(speech, hit.Move) : !hit.Described;
        return mayBePart
            && Named.LastNamed(mentions, at, underWay) is { } running && running.Move.Id != hit.Move.Id
            && lexicon.NameStems(running.Move) is [_, _, ..] stems && stems.Length > length && Enumerable.Range(token, length).All(t => stems.Contains(speech.Tokens[t].Stem))
            ? running.Move : null;
    }

    /// <summary>"Rows, right arm first ... swap arms": the one-armed form, in every round of it.</summary>
    internal static void OneArm(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, List<Mention> mentions)
    {
        const double soon = 25;
        var changed = new Dictionary<string, Move>();
        foreach (var m in mentions.Where(m => m.Role is Role.Doing or Role.Announced && m.Move.Sides == MoveSides.Both && (!m.Weak || m.Length > 1 || m.Weight >= 0.5)))
        {
            if (lexicon.Find("single-arm-" + m.Move.Id[(m.Move.Id.LastIndexOf('-') + 1)..]) is { } one && one.Easier == m.Move.Id
                && (OneHanded().IsMatch(speech.Around(m.Token, 3, OneHandedWithin))
                    || (NextMove(mentions, m) is var until && Clocked.Between(marks, m.At - 1, Math.Min(until, m.At + soon)).Any(k => k.Kind is MarkKind.Left or MarkKind.Right)
                        && (Clocked.Between(marks, m.At + 3, Math.Min(until, m.At + 45)).Any(k => k.Kind == MarkKind.SwitchSide) || BothSides(marks, m.At, until)))))
            {
                changed[m.Move.Id] = one;
            }
        }

        // What is held in both hands anywhere in the class is not one-armed.
        foreach (var id in changed.Keys.Where(id => mentions.Exists(m => m.Move.Id == id && BothHands().IsMatch(speech.Around(m.Token, 3, OneHandedWithin)))).ToList())
        {
            changed.Remove(id);
        }

        for (var i = 0; i < mentions.Count; i++)
        {
            if (changed.TryGetValue(mentions[i].Move.Id, out var one))
            {
                mentions[i] = mentions[i] with { Move = one };
            }
        }
    }

    /// <summary>When another move is named as done after a mention: sides that are called then are of that one.</summary>
    private static double NextMove(List<Mention> mentions, Mention after)
    {
        const double clear = 0.8;
        const double sideFirst = 4;
        for (var i = Clocked.From(mentions, after.At + 1); i < mentions.Count; i++)
        {
            if (mentions[i] is { Weak: false, Weight: >= clear, Role: Role.Doing or Role.Announced } && mentions[i].Move.Id != after.Move.Id)
            {
                return mentions[i].At - sideFirst;
            }
        }

        return double.PositiveInfinity;
    }

    [GeneratedRegex(@"\b(both|two|2) hands\b", Options)]
    private static partial Regex BothHands();

    /// <summary>So many words after a name the other hand is still put somewhere for it.</summary>
    private const int OneHandedWithin = 18;

    /// <summary>"A row, so put your free hand on the bench".</summary>
    [GeneratedRegex(@"\b((your|the) free hand|(other|opposite) hand (is )?(on|to) (a|the|your|that) (bench|chair|knee|thigh|seat|wall)|1 hand on (a|the|your) (bench|chair|knee|thigh|seat))\b", Options)]
    private static partial Regex OneHanded();

    /// <summary>"Right arm, six ... left arm": both sides are called within one bout and its other side.</summary>
    private static bool BothSides(IReadOnlyList<Mark> marks, double at, double until)
    {
        var sides = Clocked.Between(marks, at - 1, Math.Min(until, at + 60)).Where(k => k.Kind is MarkKind.Left or MarkKind.Right).ToList();
        return sides.Count > 1 && sides.Exists(k => k.Kind != sides[0].Kind && k.At - sides[0].At > 8);
    }

    /// <summary>"Overhead press, one arm": the one-sided form of the move, where the lexicon has it.</summary>
    internal static Move OneLimb(Speech speech, MoveLexicon lexicon, Move move, int token, int length)
    {
        for (var t = token + length; t + 1 < speech.Tokens.Count && t <= token + length + 2; t++)
        {
            if (speech.Tokens[t].Text is "1" or "single" && speech.Tokens[t + 1].Text is "arm" or "leg" && lexicon.Find($"single-{speech.Tokens[t + 1].Text}-{move.Id[(move.Id.LastIndexOf('-') + 1)..]}") is { } one)
            {
                return one.Pattern == move.Pattern ? one : move;
            }
        }

        return move;
    }

    /// <summary>
    /// The move that words mean beside the one under way and what is said around: heels that lift out of a wide squat, circles drawn by the leg that was just lifted,
    /// a plié with the heels together, steps to the side against a band, the turn of a move that turns, the push of a press, a seated twist that stretches. Null where they mean what they say.
    /// </summary>
    /// <param name="underWay">Tells the move under way; asked only where it matters.</param>
    internal static Move? Going(Speech speech, MoveLexicon lexicon, Move move, int token, int length, Func<Mention?> underWay)
    {
        const int around = 8;
        string Words(int before, int after) => speech.Around(token, before, length + after);
        return move.Id switch
        {
            "calf-raise" when underWay() is { Move.Pattern: "squat" } under && under.Move.Id.StartsWith(WideSquat, StringComparison.Ordinal) && !Straightens().IsMatch(Words(around, 0)) => lexicon["plie-releve"],
            "arm-circle" or "hip-circle" when underWay() is { Move.Pattern: "leg-raise" or "isolation-leg" or "kick" } under && !OwnCircle().IsMatch(Words(around, 0)) =>
                lexicon[under.Move.Positions.Contains("standing") ? "standing-leg-circle" : "leg-circle"],
            WideSquat when HeelsTogether().IsMatch(Words(HeelsPlaced, around)) && !FeetApart().IsMatch(Words(HeelsPlaced, around)) => lexicon["first-position-plie"],
            "standing-twist" or "supine-twist" or "seated-rotation" when length == 1 && underWay() is { } under && under.Move.Planes.Contains("transverse") => under.Move,
            "push-up" when length == 1 && underWay() is { } under && under.Move.Pattern.StartsWith("push", StringComparison.Ordinal) => under.Move,
            "russian-twist" when speech.Tokens[token].Text == "seated" && length == 2 && (OnChair().IsMatch(speech.Text) || LooksRound().IsMatch(Words(around, HeelsPlaced))) => lexicon["seated-twist"],
            "plank-ball-circle" when OfHips().IsMatch(Words(around, around)) => lexicon["hip-circle"],
            "chest-press" when BandBehind().IsMatch(Words(HeelsPlaced, HeelsPlaced)) => lexicon["standing-chest-press"],
            "side-step" when AgainstBand().IsMatch(speech.After(token + length, around)) || (StaysLow().IsMatch(Words(around, HeelsPlaced)) && LoopedBand().IsMatch(speech.Text)) => lexicon["banded-walk"],
            "crab-walk" when !OnHands().IsMatch(Words(around, HeelsPlaced)) && LoopedBand().IsMatch(speech.Text) => lexicon["banded-walk"],
            "kick-front" when KicksBack().IsMatch(Words(0, around)) => lexicon["standing-kickback"],
            "chair-squat" when LikeAChair().IsMatch(Words(around, around)) => lexicon["squat"],
            _ => null,
        };
    }

    /// <summary>"Press up, lower down", soon after a press with weights was named: that one. Who means the move of this name says "press-ups".</summary>
    internal static Move? Pressed(Speech speech, List<Mention> mentions, int token, int length, double at)
    {
        const double lately = 45;
        return length == 2 && speech.Tokens[token].Text == "press" && speech.Tokens[token + 1].Text == "up"
            ? mentions.FindLast(m => at - m.At < lately && !m.Weak && !m.Move.Kit.IsEmpty && m.Move.Pattern.StartsWith("push", StringComparison.Ordinal))?.Move
            : null;
    }

    [GeneratedRegex(@"\b(bands?|it) ((is|goes|comes|go) )?(right )?(a?round|behind|across) (your|the|our) (upper |mid )?(back|shoulder blades|bra line)\b", Options)]
    private static partial Regex BandBehind();

    private const string WideSquat = "sumo-squat";

    /// <summary>Where the feet are is told so many words before the first plié.</summary>
    private const int HeelsPlaced = 16;

    [GeneratedRegex(@"\b(straight(en)?|stand(ing)?|(legs|feet) together)\b", Options)]
    private static partial Regex Straightens();

    [GeneratedRegex(@"\b(arms?|hands?|shoulders?|elbows?|hips|wrists?)\b", Options)]
    private static partial Regex OwnCircle();

    [GeneratedRegex(@"\b(first position|heels (are )?(together|touching)|heels in and toes out)\b", Options)]
    private static partial Regex HeelsTogether();

    [GeneratedRegex(@"\b(second position|wide|feet apart)\b", Options)]
    private static partial Regex FeetApart();

    /// <summary>"Hands on your hips, stir the pot": no plank on a ball.</summary>
    [GeneratedRegex(@"^(?!.*\b(balls?|plank|forearms|elbows)\b).*\b(hips|pelvis|waist)\b", Options)]
    private static partial Regex OfHips();

    [GeneratedRegex(@"\b(chairs?|seat|stool)\b", Options)]
    private static partial Regex OnChair();

    /// <summary>"A seated twist, look over your right shoulder": the spine is turned to be stretched.</summary>
    [GeneratedRegex(@"\b((look(ing)?|gaze|chin|eyes) (back |round |around |over |behind |past )*(over|behind|past) (your|the)|cross(ed)? (your )?legs|(hand|palm) (to|on|behind) (your|the) (\w+ )?(knee|thigh|back|hip)|hold it there|breathe)\b", Options)]
    private static partial Regex LooksRound();

    [GeneratedRegex(@"\b((with|against|in) (a|the|your|our) (\w+ )?bands?|with (it|that) (tied |looped |wrapped )?(a?round|above|over) (your|both|the) (ankles|thighs|knees|legs))\b", Options)]
    private static partial Regex AgainstBand();

    [GeneratedRegex(@"\b((mini|loop|booty|glute|hip|short)( resistance)? bands?|bands? ((just|right|goes|is|sits|that goes|that sits) )*(above|below|around|round|over) (your|the|both|our) (knees|thighs|ankles|legs|shins))\b", Options)]
    private static partial Regex LoopedBand();

    [GeneratedRegex(@"\b(stay(ing)? (nice and )?low|keep(ing)? low|tension|half squat|crab|band)\b", Options)]
    private static partial Regex StaysLow();

    [GeneratedRegex(@"\b(hands?|wrists?|hips off|bum off|bottom off)\b", Options)]
    private static partial Regex OnHands();

    [GeneratedRegex(@"\bkick(s|ing)?( (it|that|your|the)( (right|left))?( (leg|foot|heel))?)? (straight |right )?(back|behind)\b", Options)]
    private static partial Regex KicksBack();

    /// <summary>"Sit back like there's a chair behind you": there is none.</summary>
    [GeneratedRegex(@"\b((like|as if|as though|imagine|imagining|pretend|pretending)( [\w']+){0,5} (chair|seat|stool)|(imaginary|invisible|pretend) (chair|seat|stool))\b", Options)]
    private static partial Regex LikeAChair();

    /// <summary>The move a name means where the body is: a leg raise standing, on the side, seated.</summary>
    internal static Move Here(MoveLexicon lexicon, Move named, string position, bool weak, IEnumerable<string> said)
    {
        if (named.Elsewhere.IsEmpty || position.Length == 0 || named.Positions.Contains(position))
        {
            return named;
        }

        // A name that the other move never goes by stays what it is: a bird dog is none lying down, though "opposite arm and leg" may be.
        // Of several there, the one that goes by more of the words said; "arm circles" are no leg circles, "circles" may be.
        var words = said.ToList();
        var own = weak ? 0 : words.Count(stem => GoesBy(named, stem));
        var other = named.Elsewhere
            .Where(id => lexicon[id].Positions.Contains(position) && !(own > 0 && words.Exists(stem => PlaceStems.Contains(stem) && !GoesBy(lexicon[id], stem))) && (weak || GoesBy(lexicon[id], lexicon.NameStems(named)[^1]) || (own > 0 && words.Count(stem => GoesBy(lexicon[id], stem)) >= own)))
            .OrderByDescending(id => words.Count(stem => GoesBy(lexicon[id], stem)))
            .FirstOrDefault();
        return other is null ? named : lexicon[other];
    }

    /// <summary>Words of a name that say how the body is held: a "bent-over row" is none sitting down, whatever was said before of sitting.</summary>
    private static readonly HashSet<string> PlaceStems = [.. new[] { "bent", "standing", "seated", "lying", "kneeling", "prone" }.Select(WordStem.Of)];

    private static bool GoesBy(Move move, string stem) =>
        move.Aliases.Prepend(move.Name).Any(a => a.Split(' ', '-').Any(w => WordStem.Of(w) == stem));

    /// <summary>
    /// A general name after a fuller one means that one: "rows" after renegade rows, "squats" in the second round of goblet squats;
    /// not where the general move itself was done since.
    /// </summary>
    internal static Move? EarlierOf(MoveLexicon lexicon, List<Mention> mentions, List<ImmutableArray<string>> names, Move general, bool weak, double at, bool kitAtHand)
    {
        var word = lexicon.NameStems(general)[^1];
        const double sameClass = 2400;
        for (var i = mentions.Count - 1; i >= 0 && at - mentions[i].At < sameClass; i--)
        {
            var m = mentions[i];

            // What was just described is as good as named where its own word is called.
            var justDescribed = m is { Weak: true, Length: > 1 } && m.Move.Id == general.Id && at - m.At < MentionFinder.StillThatMove;
            if ((m.Weak && !justDescribed) || m.Role is not (Role.Doing or Role.Announced or Role.Previewed))
            {
                continue;
            }

            if (m.Move.Id == general.Id)
            {
                return weak ? general : null;
            }

            // "Swings" with a kettlebell at hand are not the arm swings of the warm-up.
            if (weak && m.Move.IsGentle && !general.Kit.IsEmpty && kitAtHand)
            {
                continue;
            }

            // "Step back into your lunge" while lunge and curl are done as one.
            if (at - m.At < MentionFinder.StillThatMove && m.Move.Parts.Any(p => Says(p, general)))
            {
                return m.Move;
            }

            if (general.Parts.Length == 2 && m.Move.Parts.Length == 2 && m.Move.Parts[1] == general.Parts[1] && Says(m.Move.Parts[0], general.Parts[0]))
            {
                return m.Move;
            }

            var stems = names[i];
            if ((stems[^1] == word || (weak && stems.Contains(word)))
                && (weak || (m.Move.Pattern == general.Pattern && m.Move.Positions.Intersect(general.Positions).Any())))
            {
                return m.Move;
            }
        }

        return null;
    }

    private static bool Says(string fullerId, Move general) => general.Parts.IsEmpty && Says(fullerId, general.Id);

    /// <summary>True where one id is the other with words before it: reverse-lunge for lunge.</summary>
    private static bool Says(string fullerId, string generalId) => fullerId == generalId || fullerId.EndsWith('-' + generalId, StringComparison.Ordinal);
}
