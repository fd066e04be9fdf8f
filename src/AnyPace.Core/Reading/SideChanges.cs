using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>
/// Finds where a coach changes sides: "other side", "swap them over", "do the other one". The other limb is spoken of just as often to say what it does meanwhile
/// ("keep the other leg strong"), where a stretch is felt ("down the other side of your neck") or what comes later; those change nothing.
/// </summary>
internal static partial class SideChanges
{
    /// <summary>How sure a turn is that is said of anything, not of a side or limb: "swap", "the other one".</summary>
    private const double AnythingStrength = 0.9;

    public static IEnumerable<Mark> Find(Speech speech)
    {
        foreach (var match in speech.Find(Turn()))
        {
            var token = speech.TokenAt(match.Index);
            var end = speech.TokenAt(match.Index + match.Length - 1);
            if (!ChangesNothing(speech, token, end, match.Groups["limb"].Success))
            {
                yield return Change(speech, token, end, match.Groups["any"].Success ? AnythingStrength : 1);
            }
        }

        foreach (var mark in NamedSides(speech).Concat(AloneTurns(speech)))
        {
            yield return mark;
        }
    }

    /// <summary>
    /// "Left leg this time", "and the left side", said by itself: a turn though the first side was never named. Not where the same side was named last, or
    /// where it goes on to say what that side does.
    /// </summary>
    private static IEnumerable<Mark> NamedSides(Speech speech)
    {
        foreach (var match in speech.Find(NamedTurn()))
        {
            var token = speech.TokenAt(match.Index);
            var end = speech.TokenAt(match.Index + match.Length - 1);
            var side = match.Groups["side"].Value;
            if (StandsAlone(speech, token, end) && LastSide(speech, token) != side && !IsNotYet(speech, token))
            {
                yield return Change(speech, token, end, AnythingStrength);
            }
        }
    }

    /// <summary>"Other one", "come out and do the left", "and to the other": all that is said between two silences.</summary>
    private static IEnumerable<Mark> AloneTurns(Speech speech)
    {
        const int fewWords = 8;
        for (int from = 0, end; from < speech.Tokens.Count; from = end + 1)
        {
            end = from;
            while (!Parted(speech, end))
            {
                end++;
            }

            if (end - from < fewWords && AloneTurn().Match(speech.Around(from, 0, end - from + 1)) is { Success: true } match
                && !(match.Groups["side"] is { Success: true } side && LastSide(speech, from) == side.Value))
            {
                yield return Change(speech, from, end, AnythingStrength);
            }
        }
    }

    private static Mark Change(Speech speech, int token, int end, double strength) => new(MarkKind.SwitchSide, token, speech.At(speech.LastInOneBreath(token, end)), strength);

    private static bool StandsAlone(Speech speech, int token, int end)
    {
        bool CountedDown(int last) => last > 1 && speech.Tokens[last].Number == 1 && speech.Tokens[last - 1].Number == 2;
        return (Parted(speech, token - 1) || CountedDown(token - 1)) && (Parted(speech, end) || GoesOn().IsMatch(speech.After(end + 1, 2)));
    }

    /// <summary>True where what is said after a word is not of the same breath.</summary>
    private static bool Parted(Speech speech, int after)
    {
        const double silence = 2;
        return after < 0 || after + 1 >= speech.Tokens.Count || speech.Tokens[after].Stops
            || speech.Tokens[after + 1].Cue != speech.Tokens[after].Cue || speech.At(after + 1) - speech.At(after) > silence;
    }

    /// <summary>The side that was named last before a word, or null where none was for so long that it says nothing.</summary>
    private static string? LastSide(Speech speech, int token)
    {
        for (var t = token - 1; t >= 0 && speech.At(token) - speech.At(t) < SideTurns.Forgotten; t--)
        {
            if (speech.Tokens[t].Text is "left" || (speech.Tokens[t].Text is "right" && t + 1 < token && IsLimb(speech.Tokens[t + 1].Text)))
            {
                return speech.Tokens[t].Text;
            }
        }

        return null;
    }

    private static bool IsLimb(string word) => word is "side" or "leg" or "arm" or "foot" or "hand" or "knee" or "hip" or "first";

    private const int WordsBefore = 6;

    /// <summary>True where the words before a turn put it off: "before we swap".</summary>
    internal static bool IsNotYet(Speech speech, int token) => NotYet().IsMatch(speech.Before(token, WordsBefore));

    private static bool ChangesNothing(Speech speech, int token, int end, bool limb)
    {
        const int wordsAfter = 4;
        var before = speech.Before(token, WordsBefore);
        var after = speech.After(end + 1, wordsAfter);
        if (NotYet().IsMatch(before) || Later().IsMatch(after))
        {
            return true;
        }

        var doesSomething = speech.Tokens[end].Text != "side" && Owned().IsMatch(before) && !TurnBefore().IsMatch(before);
        return limb && (doesSomething || MeanwhileBefore().IsMatch(before) || MeanwhileAfter().IsMatch(after));
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b((?<limb>(?<!\b(over|across|on top of|in front of|next to|on ?to|under|behind|past|beside|against|inside|touching|towards?|around|near|in|into|of|from) (the|your|that|1) )(other|second) (side|leg|arm|foot|hand|knee|hip|ear|ankle|elbow|shoulder)|(?<=\b(on ?to|over to|across to) (the|your) )(other|second) side|opposite side)\b|(?<limb>(same( thing)?|do|repeat|take|switch|swap|change|and now|lift|over)( it| this| that)?( on| to| with)? (the|your) opposite (leg|arm|foot|hand|1|side)\b)|(over to|on to|now|and|time for|it's|here's|next is|start|take (it|this|that) to) (side (number )?2|(the )?next (side|leg|arm))\b|(switch|swap|chang|trad|revers)(e|es|ing|ping)?( it| them| those| that)?( up)?( over)?( on)?( your| the)? ?(sides?|legs?|arms?|feet|hands?|over)\b|(switch|swap) (it|them|those)\b(?! (up|out|in|for|with))|(switch|swap)( (over|to|and|now|the|your)){0,3} (left|right)\b|(and|now) switch\b|(and|then|now) (on )?the other 1\b|(swap|switch|change|chang(e|ing)|swapping|switching)( over)?( to)?( the)? other (1|way round)\b|and the other\b(?! (\w+ )?(way|direction|side|leg|arm|foot|hand|knee|hip|thing|things|people|day|week|option|1s|exercise|move|half|weight|\d))|same (thing )?on the (other|left|right)\b|repeat (that |this )?(over )?on the (other|left|right)\b|(we'll|let's|and|now|to) (even|balance) (it|that|things|us|this|them) (out|up)\b(?! over)|(?<any>(do|take|grab|try|lift|now|okay|get|pick up|take hold of|grab hold of|same (on|with)|over to|here's) (the|your) (other|opposite) 1\b))", Options)]
    private static partial Regex Turn();

    [GeneratedRegex(@"\G\b((and|now|okay|then|so|alright)( now| then)?( on| to| for| over to| it's)?( the| your)? (?<side>left|right) (side|leg|arm|foot|hand|1)|(and|now|then)( now)?( on| to| for| over to| it's)? the (?<side>left)|(on |to )?(the |your )?(?<side>left|right) (side|leg|arm|foot|hand) (this time|now|next|please|your turn)|(same|again|repeat)( thing| again| that| it| move)?( on| with| for) (the |your )?(?<side>left|right)( side| leg| arm| foot| hand)?)\b", Options)]
    private static partial Regex NamedTurn();

    [GeneratedRegex(@"^((come|step|walk|roll|turn) (out|up|back|over|down|round|around) )?((and|then|now|okay|so|just) )*((do|to|on|over to|onto|for|with|take|try|repeat on) )?(the |your |that )?((?<=(the|your|do|to|on) )(?<side>left|right)|other|opposite)( (1|side|leg|arm|foot|hand))?$", Options)]
    private static partial Regex AloneTurn();

    [GeneratedRegex(@"^(lift|up|kick|press|point|pulse|same|raise|straight|long|squeeze|extend|now|and (go|\d)|go|ready|let's|here|same|again|\d|off we|okay|please|this time)\b", Options)]
    private static partial Regex GoesOn();

    /// <summary>Not now: "before we change sides", "almost ready to swap legs".</summary>
    [GeneratedRegex(@"\b((don't|not|never|before|almost|nearly|until|till|when|once|unless)( (time|ready|there|to|for|we|you|i|a|the|your|on|it|say|do|go)){0,4}|(we'll|you'll|we will|you will)( [\w']+){0,2} (do|get to|go to|come to|repeat|have)( [\w']+){0,4}|\d+ seconds to|in (\d+|a|a few|about \d+) (seconds?|minutes?|moment|bit|breaths?|reps?)( [\w']+){0,2})$", Options)]
    private static partial Regex NotYet();

    [GeneratedRegex(@"^(in (a (minute|moment|bit|second|sec)|\d+)\b|later\b|soon\b)", Options)]
    private static partial Regex Later();

    /// <summary>What the other limb does meanwhile: it is kept, used, leaned on, compared.</summary>
    [GeneratedRegex(@"\b((keep(ing)?|leave|leaving|bend(ing)?|straighten(ing)?|us(e|ing)|rest(ing)?|root(ing)?|plant(ing)?|press(ing)?|push(ing)?|lean(ing)?|tip|hik(e|ing)|let(ting)?|hold(ing)?|support(ing)?|extend)( [\w']+){0,3} (the|your|that|on|to)|keep|favou?r the|(down|along|through|than|between) (the|your|that)|feel( [\w']+){0,5} (the|your)|(hold(ing)?( [\w']+){0,3}|help|weight) (with|in) (the|your)|this (side|leg|1)( [\w']+){0,6} (than|from|as|and) (the|your)?)$", Options)]
    private static partial Regex MeanwhileBefore();

    [GeneratedRegex(@"\b(the|your|that)$", Options)]
    private static partial Regex Owned();

    /// <summary>What turns to "the other leg"; other verbs do something with it.</summary>
    [GeneratedRegex(@"(^|\b(to|onto|on|do|take|grab|get|switch\w*|swap\w*|chang\w+|repeat|lift|try|over|and|then|now|okay|right|so|give|for|bring|pick|up|out|same|step|stretch|hold|how|release|it's|move|go|again|one|1|(same|out|it|that|this|again|repeat|do|go)( [\w']+)? with)) (the|your|that)$", Options)]
    private static partial Regex TurnBefore();

    [GeneratedRegex(@"^((of|is|are|was|stays?|can|will|should|just|rests?|guards?|remains?|helps?) |reaches out|(straight|long|bent|flat|strong|relaxed|still)\b)", Options)]
    private static partial Regex MeanwhileAfter();
}
