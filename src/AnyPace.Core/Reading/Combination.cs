using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Two moves said as one ("reverse lunge with a biceps curl") and the combined move of the lexicon that they make.</summary>
internal static class Combination
{
    private static readonly HashSet<string> Joints = ["with", "to", "into", "and", "plus"];

    private static readonly HashSet<string> Between = ["with", "to", "into", "and", "plus", "a", "an", "the", "your", "straight", "then", "overhead"];

    /// <summary>What a first part of one kind makes with a second; the first rule that fits decides.</summary>
    private static readonly (Func<Move, bool> First, Func<Move, bool> Second, string Makes)[] Rules =
    [
        (IsLunge, IsCurl, "lunge-curl"),
        (IsLunge, IsPress, "lunge-press"),
        (IsLunge, m => m.Pattern == "rotation", "lunge-rotation"),
        (IsLunge, IsKneeLift, "reverse-lunge-knee-drive"),
        (IsSquat, IsPress, "thruster"),
        (IsSquat, IsCurl, "squat-curl"),
        (IsSquat, m => m.Pattern == "kick" || m.Id is "standing-leg-raise" or "side-leg-raise", "squat-side-kick"),
        (IsSquat, m => m.Id == "calf-raise", "squat-calf-raise"),
        (IsSquat, IsKneeLift, "squat-knee-drive"),
        (IsSquat, m => m.Pattern == "punch", "squat-punch"),
        (IsSquat, m => m.Id == "overhead-reach", "shadow-reach"),
        (m => m.Pattern == "hinge", m => m.Id is "bent-over-row" or "single-arm-row", "deadlift-row"),
        (m => m.Pattern == "hinge", m => m.Id is "upright-row" or "high-pull", "high-pull"),
        (IsCurl, IsPress, "curl-press"),
        (m => m.Id == "clean", IsPress, "clean-and-press"),
        (m => m.Id is "push-up" or "knee-push-up", m => m.Id == "side-plank", "push-up-rotation"),
        (m => m.Id == "walk-out", m => m.Id is "push-up" or "knee-push-up", "walk-out-push-up"),
        (m => m.Id == "bird-dog", m => m.Pattern == "trunk-flexion", "bird-dog-crunch"),
        (m => m.Id == "jab-cross", m => m.Id is "hook" or "uppercut", "punch-combo"),
    ];

    /// <summary>The combined move, or null where the words between do not join, or the lexicon knows no such pair.</summary>
    public static Move? Of(MoveLexicon lexicon, Speech speech, Move first, int firstEnd, Move second, int secondStart)
    {
        if (secondStart - firstEnd is < 1 or > 4)
        {
            return null;
        }

        var joined = false;
        for (var i = firstEnd - 1; i < secondStart; i++)
        {
            if (speech.Tokens[i].Stops || (i >= firstEnd && !Between.Contains(speech.Tokens[i].Text)))
            {
                return null;
            }

            joined |= i >= firstEnd && Joints.Contains(speech.Tokens[i].Text);
        }

        var makes = joined ? Rules.FirstOrDefault(r => r.First(first) && r.Second(second)).Makes : null;
        return makes is null ? null : lexicon[makes];
    }

    private static bool IsLunge(Move m) => m.Pattern == "lunge";

    private static bool IsSquat(Move m) => m.Pattern == "squat";

    private static bool IsCurl(Move m) => m.Pattern == "curl";

    private static bool IsPress(Move m) => m.Id is "overhead-press" or "rotating-press" or "push-press";

    private static bool IsKneeLift(Move m) => m.Id is "knee-lift" or "high-knees";
}
