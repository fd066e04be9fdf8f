using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Moves that are told with what stands for them, a number, a letter, a suit of cards, odd and even minutes, and then called by that.</summary>
public sealed class CodedMoveTests
{
    private static readonly string[] List =
    [
        "[0:00] hello everybody forty seconds on twenty seconds off and two rounds", "[0:08] number one goblet squats", "[0:12] number two press ups", "[0:16] number three mountain climbers", "[0:20] that's all of them let's get going",
    ];

    private static string[] Moves(params string[] lines) => [.. Make.Read([.. List, .. lines, "[5:00] thank you bye"]).Bouts.Select(b => b.MoveId)];

    [Theory]
    [InlineData("card number one", "number two", "number three")]
    [InlineData("exercise one", "exercise two next", "and exercise three")]
    [InlineData("one", "two", "three")]
    public void A_number_calls_the_move_that_was_told_with_it(string first, string second, string third) => Assert.Equal(
        ["goblet-squat", "push-up", "mountain-climber"],
        Moves("[0:30] and rest", $"[0:32] {first}", "[0:38] three two one go", "[1:18] and rest", $"[1:20] {second}", "[1:38] go", "[2:18] and rest", $"[2:20] {third}", "[2:38] go", "[3:18] and rest"));

    [Theory]
    [InlineData("that's number two done")]
    [InlineData("number two glute bridges today")]
    [InlineData("two more minutes")]
    [InlineData("three")]
    public void A_number_that_is_over_or_named_or_counts_or_is_out_of_turn_calls_nothing(string said) =>
        Assert.Empty(Called([.. List, "[0:30] and rest", $"[0:32] {said}", "[0:38] three two one go", "[1:18] and rest", "[5:00] thank you bye"]));

    [Fact]
    public void A_list_may_begin_with_any_number() => Assert.Equal(["mountain-climber"], Called(
        "[0:00] hello", "[0:08] number four goblet squats", "[0:12] number five press ups", "[0:16] number six mountain climbers", "[0:30] and rest", "[0:32] one", "[0:38] three two one go", "[1:18] and rest", "[1:20] number six",
        "[1:38] three two one go", "[2:18] and rest", "[5:00] thank you bye"));

    [Fact]
    public void Two_numbered_names_are_no_list() =>
        Assert.Empty(Called("[0:00] hello", "[0:08] number one goblet squats", "[0:12] number two press ups", "[0:30] and rest", "[0:32] number two", "[0:38] three two one go", "[1:18] and rest", "[5:00] thank you bye"));

    [Fact]
    public void A_letter_with_a_number_stands_for_a_move_of_a_pair() => Assert.Equal(
        ["goblet-squat", "bent-over-row", "goblet-squat", "bent-over-row"],
        Made("[0:00] hi all a one is goblet squats and a two is bent over rows ten reps of each", "[0:20] a one goblet squats here we go", "[0:50] and rest", "[1:00] a two rows here we go", "[1:30] rest and back to a one", "[1:50] here we go",
            "[2:20] rest then a two", "[2:40] here we go", "[3:10] and rest", "[3:20] thank you bye"));

    [Fact]
    public void Odd_and_even_minutes_have_a_move_each() => Assert.Equal(
        ["kettlebell-swing", "push-up", "kettlebell-swing"],
        Made("[0:00] hello on the odd minutes it's fifteen kettlebell swings and on the even minutes it's ten push ups", "[0:16] whatever's left of the minute is your rest", "[0:55] minute three off you go", "[1:25] rest", "[1:55] minute four here we go",
            "[2:25] and rest", "[2:55] minute five here we go", "[3:25] and rest", "[3:40] thank you bye"));

    [Fact]
    public void A_card_is_the_move_of_its_suit()
    {
        var moves = Made(
            "[0:00] deck of cards today so hearts are squats spades are push ups clubs are sit ups and diamonds are reverse lunges", "[0:12] whatever number comes up that's how many we do", "[0:20] first card seven of spades go", "[0:45] next card ten of hearts",
            "[1:15] jack of diamonds that's ten each leg", "[1:55] four of clubs", "[2:30] and that's your deck for today thank you");
        Assert.Equal(["push-up", "squat", "reverse-lunge", "sit-up"], moves);
    }

    [Theory]
    [InlineData("[0:20] lunges go", "[0:30] even if you are tired keep going")]
    [InlineData("[0:20] lunges go", "[0:30] with all my heart i love this one")]
    [InlineData("[0:20] lunges go", "[0:30] do a one and a two and a three")]
    [InlineData("[0:20] lunges go", "[0:30] a two second lunge a one and a half lunge")]
    public void Where_nothing_stands_for_a_move_nothing_is_called(params string[] lines) => Assert.Equal(["lunge"], Made(["[0:00] hello everyone", .. lines, "[0:50] and rest", "[1:00] thank you bye"]));

    private static string[] Made(params string[] lines) => [.. Make.Read(lines).Bouts.Select(b => b.MoveId)];

    /// <summary>The moves of the list that are heard after it.</summary>
    private static List<string> Called(params string[] lines)
    {
        var speech = new Speech(Make.Captions(lines).Cues);
        return [.. MentionFinder.Find(speech, Make.Lexicon, MarkFinder.Find(speech), DoseReader.Read(speech)).Where(m => m.At > 25 && m.Move.Id is ("goblet-squat" or "push-up" or "mountain-climber")).Select(m => m.Move.Id)];
    }
}
