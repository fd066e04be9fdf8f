using System.Collections.Immutable;

namespace AnyPace.Core.Matching;

/// <param name="Answers">From least to most; the first counts 0, each next one more.</param>
public sealed record LevelQuestion(string Key, string Text, ImmutableArray<string> Answers);

/// <summary>A level from what one can do, for members who don't know theirs. Our questions; none needs to be answered.</summary>
public static class LevelQuestions
{
    public static readonly ImmutableArray<LevelQuestion> All =
    [
        new("floor", "Getting up from the floor", ["with a chair or a hand to help", "with my own hands", "without hands"]),
        new("squats", "Squats in a row, without weights", ["a few", "about twenty", "forty or more"]),
        new("push", "Push-ups", ["against a wall or on the knees", "a few on the toes", "fifteen or more on the toes"]),
        new("hold", "Holding a plank", ["less than 20 seconds", "about 45 seconds", "90 seconds or more"]),
        new("steady", "Marching or jogging on the spot", ["a minute or two", "five minutes", "ten minutes, and talk"]),
        new("habit", "In the last three months I trained", ["now and then", "about once a week", "three times a week or more"]),
    ];

    /// <summary>Level 1..5 of the answers (0..2 each; null for one left out), or null where fewer than three were given.</summary>
    public static int? LevelOf(IReadOnlyList<int?> answers)
    {
        var given = answers.OfType<int>().ToList();
        if (given.Count < 3)
        {
            return null;
        }

        var share = given.Average() / 2;
        return share switch
        {
            < 0.15 => 1,
            < 0.4 => 2,
            < 0.65 => 3,
            < 0.9 => 4,
            _ => 5,
        };
    }
}
