using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>Tells names from words that only stand side by side because machine captions leave out what parts one clause from the next.</summary>
internal static partial class ClauseBorders
{
    /// <summary>A step or tap that is said again within so many words is the same one.</summary>
    private const int SaidAgain = 6;

    /// <summary>"On your side, bend your knees", "hold the chair, stand on one leg", "step back, tap the knee": no side bend, no chair stand, no tap to the back.</summary>
    public static bool IsTwoClauses(Speech speech, int token, int length)
    {
        var first = speech.Tokens[token];
        var last = speech.Tokens[token + length - 1];
        if (first.Number is not null && token > 0 && speech.Tokens[token - 1].Number is not null && last.Text is [.., not 's'])
        {
            // "Two, three, knee in line with the toes": counted.
            return true;
        }

        if (first.Text is "knees" && speech.Before(token, 2) is "hands and" or "the hands" && length > 1)
        {
            // "Hands and knees, tuck the toes under": no knee tuck.
            return true;
        }

        if (length == 1 && first.Text is "lung" or "lungs")
        {
            // "Fill your lungs", "legs and lungs"; lunges are heard so as well, where they are called.
            return !CalledNext().IsMatch(speech.Before(token, 2));
        }

        if (first.Text is "hammering" or "teasing" or "scooping" || (first.Text == "in" && Breath().IsMatch(speech.Before(token, 8))))
        {
            // "Ignore the hammering next door", "keep that breath going in and out": no hammer curls, no knees going in and out.
            return true;
        }

        if (first.Text == "side" && speech.Before(token, 2) == "by your")
        {
            // "Arms by your side, hop them out": no side hop.
            return true;
        }

        if (length > 2)
        {
            return last.Text is "step" or "kick" or "lift" or "press" && token + length < speech.Tokens.Count && speech.Tokens[token + length].Text is "it" or "them";
        }

        return length == 2 && (
            IsWhereTo(first.Text) && Moving().IsMatch(speech.Before(token, 2)) && DoneTo().IsMatch(speech.After(token + 1, 2))
            || (last.Text == "stretch" && Stretched().IsMatch(speech.After(token + 2, 2)))
            || (last.Text is "taps" or "touches" or "press" && TheFloor().IsMatch(speech.After(token + 2, 2)))
            || (first.Text == "front" && last.Text == "thigh")
            || (first.Text == "stretch" && AStretch().IsMatch(speech.Before(token, 2)))
            || (last.Text is "step" or "tap" && ToSide().IsMatch(speech.After(token + 2, 3)) && IsSaidBefore(speech, token, last.Text))
            || (last.Text is [.., not 's'] && IsThing(first.Text) && RoleReader.Owned().IsMatch(speech.Before(token, 2)) && DoneTo().IsMatch(speech.After(token + 1, 2))));
    }

    private static bool IsWhereTo(string word) => word is "back" or "forward" or "side" or "up" or "down" or "out";

    private static bool IsThing(string word) =>
        word is "side" or "chair" or "wall" or "back" or "chest" or "head" or "shoulder" or "elbow" or "hand" or "hip" or "leg" or "knee" or "heel" or "toe" or "foot" or "arm";

    /// <summary>"Step to the right and tap, step to the left and tap".</summary>
    private static bool IsSaidBefore(Speech speech, int token, string word)
    {
        for (var t = Math.Max(0, token - SaidAgain); t < token; t++)
        {
            if (speech.Tokens[t].Text == word)
            {
                return true;
            }
        }

        return false;
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"^(bend|stand|step|lift|press|push|pull|raise|curl|twist|reach|kick|drop|roll|stretch|open|tap|touch|circle|turn|swing|hold) (your|the|both|it|on|that|this|1|up|down|over|onto|him|her)\b", Options)]
    private static partial Regex DoneTo();

    [GeneratedRegex(@"\b(step|push|bring|take|lean|reach|sit|come|go|walk|drop|lift|pull|stretch|roll|kick)(s|ing)?( \w+)?$", Options)]
    private static partial Regex Moving();

    [GeneratedRegex(@"^(the|your|that|both|it|1)( (left|right|other|leg|arm))?\b", Options)]
    private static partial Regex Stretched();

    [GeneratedRegex(@"\b(next|up|now|into|more|some|alternating|go|first|exercise|are|reverse|forward|side|walking)$", Options)]
    private static partial Regex CalledNext();

    [GeneratedRegex(@"\b(a|nice|good|quick|big|little|lovely|some)$", Options)]
    private static partial Regex AStretch();

    [GeneratedRegex(@"\b(breath|breathe|breathing|breaths|air)\b", Options)]
    private static partial Regex Breath();

    [GeneratedRegex(@"^the (floor|ground|mat)\b", Options)]
    private static partial Regex TheFloor();

    [GeneratedRegex(@"^(to (the|your) )?(left|right|side)\b", Options)]
    private static partial Regex ToSide();
}
