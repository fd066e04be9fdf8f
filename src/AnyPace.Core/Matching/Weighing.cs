using AnyPace.Core.Finding;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <summary>What each wish makes of a session at a pace, 0..1 each.</summary>
public readonly record struct Terms(float Time, float Level, float Goal, float Due, float Variety, float Taste, float Fresh, float Whole)
{
    // Weights of the fit, our defaults; they sum to 1. What a member says outweighs what is guessed from the log.
    public const float TimeWeight = 0.20f;
    public const float LevelWeight = 0.22f;
    public const float GoalWeight = 0.20f;
    public const float DueWeight = 0.12f;
    public const float VarietyWeight = 0.06f;
    public const float TasteWeight = 0.12f;
    public const float FreshWeight = 0.05f;
    public const float WholeWeight = 0.03f;

    /// <summary>The weighted fit, 0..1.</summary>
    public float Fit =>
        (TimeWeight * Time) + (LevelWeight * Level) + (GoalWeight * Goal) + (DueWeight * Due) + (VarietyWeight * Variety) + (TasteWeight * Taste)
        + (FreshWeight * Fresh) + (WholeWeight * Whole);
}

/// <summary>Weighs sessions that keep the limits.</summary>
public static class Weighing
{
    /// <summary>What a wish that was not told makes of every session.</summary>
    private const float Untold = 0.7f;

    /// <summary>Days after which a session done before is as good as new.</summary>
    private const double FreshAgain = 28;

    public static Terms Of(SessionRow at, Wishes wishes, Pace pace)
    {
        var (segment, row) = at;
        var c = segment.Columns[(int)pace];
        return new Terms(
            Time(c.Needed[row], wishes), Level(c.Score[row], wishes), Goal(c, row, wishes), Due(c, row, wishes), Variety(at, wishes), Taste(at, c, wishes),
            Fresh(at, wishes), 1 - (0.5f * (c.Lacks[row] & 1)) - (0.5f * ((c.Lacks[row] >> 1) & 1)));
    }

    /// <summary>What the fit can be at most, from the terms that cost little to work out.</summary>
    public static float AtMost(SessionRow at, Wishes wishes, Pace pace)
    {
        var c = at.At(pace);
        return (Terms.TimeWeight * Time(c.Needed[at.Row], wishes)) + (Terms.LevelWeight * Level(c.Score[at.Row], wishes)) + (Terms.GoalWeight * Goal(c, at.Row, wishes))
            + Terms.DueWeight + Terms.VarietyWeight + Terms.TasteWeight + Terms.FreshWeight + Terms.WholeWeight;
    }

    private static float Time(int needed, Wishes wishes)
    {
        if (wishes.Profile.Minutes is not { } minutes)
        {
            return Untold;
        }

        var spare = minutes - (needed / 60f);
        return spare < 0 ? 0.85f : Math.Max(0, 1 - (spare / minutes));
    }

    /// <summary>The score as a level with a fraction: the middle of a level lies half way between its bounds.</summary>
    private static float Level(byte score, Wishes wishes) =>
        wishes.Level is { } wanted ? Math.Max(0, 1 - (Math.Abs(LevelAt(score / 2f) - (float)wanted) / 3)) : Untold;

    /// <summary>Level bounds 22, 36, 52, 68 (measures sheet) as a line: the middle of level 2 is 2.0.</summary>
    public static float LevelAt(float score) => score switch
    {
        < 11 => 1,
        < 29 => 1 + ((score - 11) / 18),
        < 44 => 2 + ((score - 29) / 15),
        < 60 => 3 + ((score - 44) / 16),
        < 84 => 4 + ((score - 60) / 24),
        _ => 5,
    };

    private static float Goal(PaceColumns c, int row, Wishes wishes)
    {
        if (wishes.Goals.Length == 0)
        {
            return Untold;
        }

        var best = 0f;
        foreach (var goal in wishes.Goals)
        {
            best = Math.Max(best, GoalFit(c, row, goal));
        }

        return best;
    }

    /// <summary>How far a session serves one of <see cref="MemberProfile.AllGoals"/> at the pace of the columns, 0..1.</summary>
    public static float GoalFit(PaceColumns c, int row, string goal) => GoalFit(c, row, MemberProfile.AllGoals.IndexOf(goal));

    private static float GoalFit(PaceColumns c, int row, int goal) => Math.Min(1, goal switch
    {
        0 => c.Strength[row] / 255f * 1.8f,
        1 => (c.Vigorous[row] + (0.5f * c.Moderate[row])) / 255f * 1.4f,
        2 => c.Light[row] / 255f * 1.2f,
        3 => c.Balance[row] / 255f * 3,
        _ => c.Level[row] <= 2 ? 1 : 0.5f,
    });

    private static float Due(PaceColumns c, int row, Wishes wishes)
    {
        var sum = 0f;
        var shares = c.Shares.AsSpan(row * Segment.Muscles, Segment.Muscles);
        for (var m = 0; m < shares.Length; m++)
        {
            sum += shares[m] * wishes.Tired[m];
        }

        return 1 - Math.Min(1, sum / 255);
    }

    private static float Variety(SessionRow at, Wishes wishes)
    {
        if (wishes.Last is not var (coach, structures))
        {
            return 1;
        }

        return 1 - (at.Coach == coach ? 0.5f : 0) - ((at.Segment.Structures[at.Row] & structures) != 0 ? 0.5f : 0);
    }

    private static float Taste(SessionRow at, PaceColumns c, Wishes wishes)
    {
        var p = wishes.Profile;
        var taste = 0.5f;
        if (!p.LikedCoaches.IsEmpty || !p.DislikedCoaches.IsEmpty)
        {
            taste += p.LikedCoaches.Contains(at.Coach) ? 0.25f : p.DislikedCoaches.Contains(at.Coach) ? -0.4f : 0;
        }

        if (!p.LikedMoves.IsEmpty && at.Segment.Does(at.Row, p.LikedMoves))
        {
            taste += 0.2f;
        }

        if (!p.DislikedMoves.IsEmpty && at.Segment.Does(at.Row, p.DislikedMoves))
        {
            taste -= 0.35f;
        }

        var alike = 0f;
        foreach (var (shares, coach, structures) in wishes.Models)
        {
            var overlap = 0;
            for (var m = 0; m < shares.Length; m++)
            {
                overlap += Math.Min(shares[m], c.Shares[(at.Row * Segment.Muscles) + m]);
            }

            alike = Math.Max(alike, (0.6f * overlap / 255) + (at.Coach == coach ? 0.2f : 0) + ((structures & at.Segment.Structures[at.Row]) != 0 ? 0.2f : 0));
        }

        return Math.Clamp(taste + (0.4f * alike), 0, 1);
    }

    private static float Fresh(SessionRow at, Wishes wishes) =>
        wishes.HasHistory && wishes.DaysSince.TryGetValue(at.Id, out var days) ? (float)Math.Min(1, days / FreshAgain) : 1;
}
