using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What coaches say who talk all the time: moves are explained before they begin, and form is told while they are done.</summary>
public sealed class DenseTalkTests
{
    private static string Moves(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => b.MoveId).Distinct());

    private static double StartOf(string move, params string[] lines) => Make.Read(lines).Bouts.First(b => b.MoveId == move).Span.Start.Value;

    [Fact]
    public void Where_sides_are_changed_the_class_has_begun_though_nobody_said_so() => Assert.Contains(
        "leg-swing",
        Moves(
            "[0:00] hello it's me and it's only you and a bell today", "[0:20] right leave the bell on the floor", "[0:26] leg swings right leg forward and back nice and loose", "[0:44] and the other side left leg", "[1:04] good",
            "[1:10] okay we're going to start the work now deadlifts here we go", "[1:20] one two three four five six", "[1:50] and rest", "[2:00] see you next time"),
        StringComparison.Ordinal);

    [Fact]
    public void What_is_told_between_an_announcement_and_its_start_sets_it_up() => Assert.InRange(
        StartOf(
            "goblet-squat",
            "[0:00] forty seconds on twenty off let's get started", "[0:10] first up biceps curls", "[0:20] three two one go", "[1:00] and rest", "[1:02] next is a goblet squat", "[1:06] hold one dumbbell up at your chest elbows inside the knees at the bottom",
            "[1:18] three two one", "[1:20] go", "[1:40] halfway", "[2:00] and rest well done", "[2:10] bye"),
        76, 84);

    [Fact]
    public void Rows_by_arms_that_take_turns_are_one_armed() => Assert.Contains(
        "single-arm-row",
        Moves(
            "[0:00] hello let's get started", "[0:10] so bent over rows right arm first", "[0:16] pull your elbow up to your hip one two three four five six seven eight", "[0:40] swap over left arm", "[0:46] one two three four five six seven eight",
            "[1:10] and rest", "[1:20] bye"),
        StringComparison.Ordinal);

    [Fact]
    public void Heels_that_lift_out_of_a_plie_are_no_calf_raises() => Assert.DoesNotContain(
        "calf-raise",
        Moves(
            "[0:00] hello let's get started", "[0:10] so plie squats feet wide and down and up", "[0:30] five four three two one", "[0:36] now stay low and lift your heels up just the heels up and down up and down", "[0:56] and stretch the legs rest", "[1:06] bye"),
        StringComparison.Ordinal);

    [Fact]
    public void Pulses_after_a_hold_are_pulses() => Assert.Equal(
        "reverse-lunge, lunge-pulse",
        Moves(
            "[0:00] hello let's get started", "[0:10] reverse lunges right leg back down and up", "[0:30] seven eight nine ten", "[0:36] stay down and hold it there and pulse it pulse little ones", "[0:58] three two one",
            "[1:02] and rest", "[1:12] see you next time"));

    [Theory]
    [InlineData("if that felt horrible on your back just do the deadlift again")]
    public void What_is_offered_or_only_spoken_of_in_the_work_is_not_done(string said) => Assert.Equal(
        "biceps-curl, overhead-press",
        Moves("[0:00] hello let's get started", "[0:10] biceps curls ready and go", "[0:24] " + said, "[0:50] and rest", "[0:58] overhead press ready and go", "[1:30] and rest well done", "[1:40] bye"));

    [Theory]
    [InlineData("so in the squats sit down nice and low chest up", "bent-over-row")]
    [InlineData("so sit down on your chair for a moment", "bent-over-row")]
    public void A_bent_over_row_stays_one_wherever_anyone_sat(string said, string move) => Assert.Contains(
        move,
        Moves("[0:00] hello let's get started", "[0:10] squats ready and go", "[0:20] " + said, "[0:50] and rest", "[0:58] next a bent over row with both dumbbells", "[1:05] ready and go pull and lower", "[1:40] and rest", "[1:50] bye"),
        StringComparison.Ordinal);

    [Fact]
    public void Nice_and_easy_is_how_a_move_is_done_once_the_class_runs() => Assert.DoesNotContain(
        Make.Read(
            "[0:00] hello five drills for your hips today", "[0:20] drill one is hip circles here we go round and round", "[1:30] and good", "[1:40] drill two leg swings right leg swing it forward and back", "[2:40] that's it",
            "[3:00] drill three cat cow on hands and knees", "[3:20] round and arch nice and easy", "[4:20] drill four pigeon pose right leg forward", "[5:30] and the left leg forward", "[6:40] thank you bye").Phases,
        p => p.Kind == PhaseKind.CoolDown);

    [Theory]
    [InlineData("that ought to give you a stretch down the front of the hip", false)]
    [InlineData("okay let's have a stretch", true)]
    public void A_stretch_that_is_felt_is_no_cool_down(string said, bool cools) =>
        Assert.Equal(cools, Make.Marks("[0:00] hello", $"[0:10] {said}", "[0:20] bye").Any(m => m.Kind == MarkKind.CoolDown));

    [Theory]
    [InlineData("chest press with the band round your back push and back", "standing-chest-press")]
    [InlineData("side steps with it round your ankles step and step", "banded-walk")]
    public void A_band_makes_another_move_of_it(string said, string move) => Assert.Contains(
        move,
        Moves("[0:00] hello get your resistance bands out and let's get started", "[0:10] squats with the band here we go", "[0:40] and rest", "[0:50] " + said, "[1:20] and rest", "[1:30] bye"),
        StringComparison.Ordinal);

    [Theory]
    [InlineData("settle and let the floor take your weight", "dumbbell")]
    [InlineData("think of wringing out a towel around your middle", "towel")]
    [InlineData("find a spot on the wall to look at it helps", "wall")]
    public void Pictures_and_the_weight_of_the_body_are_no_kit(string said, string item) => Assert.DoesNotContain(
        Make.Read("[0:00] hello let's get started", "[0:10] glute bridges here we go", "[0:20] " + said, "[0:50] and rest", "[1:00] bye").Kit, k => k.Item == item);

    [Fact]
    public void What_can_be_done_without_is_not_required() => Assert.Equal(
        KitNeed.Optional,
        Make.Read("[0:00] hello let's get started", "[0:10] side steps with a band now if you haven't got a band you can do this without", "[0:20] here we go step and step", "[0:50] and rest", "[1:00] bye").Kit.Single(k => k.Item == "resistance band").Need);
}
