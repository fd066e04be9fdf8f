using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Rounds that nobody names move by move.</summary>
public sealed class LaterRoundTests
{
    private static readonly string[] FirstRound =
    [
        "[0:00] hello all it's forty on twenty off three moves and we go round it twice",
        "[0:20] first up goblet squats three two one go", "[1:00] and rest next up push ups", "[1:20] go", "[2:00] and rest last one mountain climbers", "[2:20] go",
        "[3:00] and rest", "[3:05] that's round one done same again from the top",
    ];

    private static readonly string[] End = ["[6:10] well done thank you see you next time"];

    private static List<string> Moves(params string[] second) => [.. Make.Read([.. FirstRound, .. second, .. End]).BoutsOf(PhaseKind.Work).Select(b => b.MoveId)];

    [Fact]
    public void A_round_with_nothing_but_starts_holds_the_moves_of_the_round_before() => Assert.Equal(
        ["goblet-squat", "push-up", "mountain-climber", "goblet-squat", "push-up", "mountain-climber"],
        Moves("[3:30] and go", "[4:10] and rest", "[4:30] go", "[5:10] rest", "[5:30] go", "[6:08] and stop"));

    [Fact]
    public void What_is_filled_in_is_less_sure_than_where_it_is_named_and_says_from_where()
    {
        var bouts = Make.Read([.. FirstRound, "[3:30] and go", "[4:10] and rest", "[4:30] go", "[5:10] rest", "[5:30] go", "[6:08] and stop", .. End]).Bouts;
        var filled = bouts.Where(b => b.Span.Start.Value > 200).ToList();
        Assert.Equal(3, filled.Count);
        Assert.All(filled, b => Assert.True(b.Confidence < bouts.First(x => x.MoveId == b.MoveId).Confidence && !b.Evidence.IsEmpty));
    }

    [Fact]
    public void A_round_that_is_named_stays_as_it_is_named() => Assert.Equal(
        ["goblet-squat", "push-up", "mountain-climber", "reverse-lunge", "plank", "glute-bridge"],
        Moves("[3:25] reverse lunges this time step back alternating and go", "[4:10] and rest then a plank", "[4:30] go", "[5:10] rest glute bridges", "[5:30] go", "[6:08] and stop"));

    [Fact]
    public void Where_nobody_starts_what_is_filled_in_is_doubtful() => Assert.All(
        Make.Read([.. FirstRound, "[3:40] actually that is all for today", "[4:30] have a lovely week", .. End]).Bouts.Where(b => b.Span.Start.Value > 200),
        b => Assert.True(b.Doubtful && b.Confidence < 0.5));
}
