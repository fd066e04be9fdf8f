using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds two moves said as one ("reverse lunge with a biceps curl") by the words between them and by what goes together.</summary>
internal static class Combination
{
    private static readonly HashSet<string> Joints = ["with", "to", "into", "and", "plus", "add"];

    private static readonly HashSet<string> Between =
        ["with", "to", "into", "and", "plus", "add", "a", "an", "the", "your", "straight", "then", "overhead", "our", "1", "single", "alternating", "little", "it"];

    private const string Reach = "overhead-reach";
    private const string Kickback = "triceps-kickback";

    /// <summary>By the stem of the word: what a second part is called for short, after "squat to", "lunge and".</summary>
    private static readonly Dictionary<string, string> ShortParts = new Dictionary<string, string>
    {
        ["press"] = "overhead-press",
        ["curl"] = "biceps-curl",
        ["row"] = "bent-over-row",
        ["twist"] = "standing-twist",
        ["rotation"] = "standing-twist",
        ["punch"] = "jab-cross",
        ["kick"] = "kick-front",
        ["knee"] = "knee-lift",
        ["reach"] = Reach,
        ["fly"] = "chest-fly",
        ["kickback"] = Kickback,
    }.ToDictionary(p => WordStem.Of(p.Key), p => p.Value);

    private static readonly HashSet<string> Lower = ["squat", "lunge", "hinge", "bridge", "isolation-leg", "locomotion"];

    private static readonly HashSet<string> Arms = ["curl", "push-vertical", "push-horizontal", "pull-horizontal", "pull-vertical", "isolation-arm", "extension", "punch", "rotation"];

    private static readonly HashSet<string> Strikes = ["punch", "kick"];

    private static readonly HashSet<string> Legs = ["kick", "leg-raise", "isolation-leg"];

    /// <summary>The combined move, or null where the words between do not join, or the two do not go together.</summary>
    public static Move? Of(MoveLexicon lexicon, Speech speech, Move first, int firstEnd, Move second, int secondStart)
    {
        // In a side lunge everyone reaches for the foot.
        if (first.Id == "side-lunge" && second.Id == Reach)
        {
            return null;
        }

        // "On all fours, heel to the ceiling, and press": nobody has a hand free.
        if (second.Pattern == "push-vertical" && !first.Positions.IsEmpty && first.Positions.All(p => p == "all-fours"))
        {
            return null;
        }

        // "Bend the knee behind you and press it up": the leg is pressed, for there is nothing in the hands.
        if (second.Pattern == "push-vertical" && first.Pattern is "isolation-leg" or "leg-raise" && first.Kit.IsEmpty && !speech.HasWeights)
        {
            return null;
        }

        // A lone "kickback" is the leg's after a leg move and the arm's after an arm move.
        if (second.Id == Kickback && ShortParts.ContainsKey(speech.Tokens[secondStart].Stem) && Lower.Contains(first.Pattern))
        {
            second = lexicon[first.Positions.Contains("all-fours") ? "donkey-kick" : "standing-kickback"];
        }

        // "Squat kicks", "lunge curls": said as one word; after a plural it is a list.
        var asOne = secondStart == firstEnd && !IsPlural(speech.Tokens[firstEnd - 1]) && (IsPlural(speech.Tokens[secondStart]) || InOneGo(first, second));
        if ((secondStart - firstEnd is < 1 or > 4 && !asOne) || !GoTogether(first, second))
        {
            return null;
        }

        string? joint = null;
        for (var i = firstEnd - 1; i < secondStart; i++)
        {
            if (speech.Tokens[i].Stops || (i >= firstEnd && !Between.Contains(speech.Tokens[i].Text)))
            {
                return null;
            }

            joint ??= i >= firstEnd && Joints.Contains(speech.Tokens[i].Text) ? speech.Tokens[i].Text : null;
        }

        // "Squats and lunges", "a squat and a row" are lists, "squat and row" may be one move; "into" a whole new move may be the next one.
        var listed = joint == "and" && (IsPlural(speech.Tokens[firstEnd - 1]) || speech.Tokens[secondStart - 1].Text is "a" or "an");
        var struckFirst = second.Pattern == "squat" && Strikes.Contains(first.Pattern);
        return (joint is null && !asOne) || listed || (joint is "and" or "into" && !Arms.Contains(second.Pattern) && second.Pattern != "kick" && !struckFirst && second.Id != "knee-lift")
            ? null
            : struckFirst ? lexicon.Combined(second, first) : lexicon.Combined(first, second);
    }

    /// <summary>"Squats", not "cross" or "press".</summary>
    private static bool IsPlural(Token token) => token.Text is [.., not 's', 's'];

    /// <summary>"Jab cross squat", "squat front kick", "squat upright row": strikes, and what the arms do in a squat or lunge, are called with what they follow, and no word between.</summary>
    private static bool InOneGo(Move first, Move second) =>
        ((Strikes.Contains(first.Pattern) || Strikes.Contains(second.Pattern)) && first.Pattern != second.Pattern) || (first.Pattern is "squat" or "lunge" && Arms.Contains(second.Pattern));

    /// <summary>The move a lone short word ("press", "curl") stands for as a second part.</summary>
    public static Move? ShortPart(MoveLexicon lexicon, string stem) => ShortParts.TryGetValue(stem, out var id) ? lexicon[id] : null;

    private static bool GoTogether(Move first, Move second)
    {
        if (first.Id == second.Id || !first.Parts.IsEmpty || !second.Parts.IsEmpty || first.IsStretch || second.IsStretch)
        {
            return false;
        }

        var standing = first.Positions.Contains("standing");
        return (Lower.Contains(first.Pattern), first.Pattern, second.Pattern) switch
        {
            (true, not "locomotion", var p) when Arms.Contains(p) || (standing && (Legs.Contains(p) || p is "squat" or "lunge")) => true,
            (true, "isolation-leg", "isolation-leg") => first.Positions.Intersect(second.Positions).Any(),
            (true, _, _) when second.Id is "knee-lift" or "overhead-reach" or "calf-raise" or "standing-oblique-crunch" => standing,
            (true, "locomotion", var p) => p is "curl" or "push-vertical" or "isolation-arm",
            (_, "punch", "kick" or "squat") or (_, "kick", "squat") => standing,
            (_, "punch", _) when second.Id == "knee-lift" => true,
            (_, "pull-vertical", "push-vertical") => true,
            (_, "jump", "push-vertical" or "push-horizontal" or "pull-horizontal") => first.Positions.Contains("plank"),
            (_, "curl", "push-vertical") => true,
            (_, "isolation-arm", "isolation-arm" or "push-vertical") => true,
            (_, "push-vertical", "extension") => true,
            (_, "pull-horizontal", "extension" or "isolation-arm" or "curl") => true,
            (_, "push-horizontal", "plank" or "isolation-arm" or "extension") => true,
            (_, "push-horizontal", "pull-horizontal") => first.Positions.Contains("plank"),
            (_, "plank" or "crawl", "push-horizontal" or "pull-horizontal") => true,
            (_, "trunk-flexion" or "leg-raise", "push-horizontal" or "isolation-arm") => first.Positions.Contains("supine"),
            _ => false,
        };
    }
}
