using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Classes with a crew on screen, stories told over the work, words of every day that are names of moves as well.</summary>
public sealed class TalkedThroughTests
{
    private static readonly string[] Hello = ["[0:00] hello let's get started"];

    private static Timeline Read(params string[] lines) => Make.Read([.. Hello, .. lines, "[1:40] and rest", "[1:50] see you next time"]);

    private static string Moves(params string[] lines) => string.Join(", ", Read(lines).Bouts.Select(b => b.MoveId).Distinct());

    [Theory]
    [InlineData("i've got my friend juno here", "juno is doing jumping jacks", "step-jack")]
    [InlineData("kiki's on the end there", "kiki will walk her way through some squat jumps", "step-jack")]
    public void What_the_crew_is_said_to_do_is_not_led(string introduced, string then, string move) =>
        Assert.Equal(move, Moves($"[0:05] {introduced}", "[0:12] step jacks here we go", $"[0:30] {then}", "[0:50] keep going"));

    [Fact]
    public void After_a_silence_the_coach_leads_again() =>
        Assert.Equal("march, squat", Moves("[0:05] with me is gary who's on my left", "[0:12] march", "[0:30] gary's sitting down", "[0:44] squats here we go"));

    [Theory]
    [InlineData("i broke my wrist skating when i was a kid")]
    [InlineData("my son runs for the bus and he can't keep up")]
    [InlineData("the dog thinks we're playing")]
    [InlineData("fill your lungs right to the bottom")]
    [InlineData("i saw a lovely film about a lighthouse")]
    [InlineData("keep it clean keep it tidy")]
    [InlineData("we crossed that bridge last week")]
    [InlineData("you know i used to play this in the car")]
    [InlineData("that's your lunges for the day")]
    public void Stories_and_words_of_every_day_are_no_moves(string said) =>
        Assert.Equal("squat", Moves("[0:10] squats", $"[0:34] {said}", "[0:50] keep going"));

    [Fact]
    public void To_be_sorry_for_talking_takes_nothing_back() =>
        Assert.Equal("squat", Moves("[0:10] squats", "[0:11] sorry i got carried away there", "[0:50] keep going"));

    [Fact]
    public void In_a_walk_to_walk_is_what_is_done()
    {
        var bouts = Make.Read(
            "[0:00] hey there walkers we're gonna do about a mile so let's start walking", "[0:10] walk in place left right left right", "[0:40] side steps step together", "[1:06] and walk big arms elbows bent",
            "[1:30] kicks low kicks in front", "[1:56] and walk it walk it", "[2:20] thank you for walking with me bye").Bouts;
        Assert.Equal("march side-step march kick-front march", string.Join(' ', bouts.Select(b => b.MoveId)));
    }

    [Theory]
    [InlineData("try not to lean over on your left side", "right")]
    [InlineData("keep both hips facing down", "right")]
    public void A_side_not_to_lean_to_is_not_the_side_worked(string said, string side) =>
        Assert.Equal(side, Read("[0:10] on hands and knees right leg first fire hydrants", $"[0:24] {said}", "[0:50] keep going").Bouts[0].Side.ToString().ToLowerInvariant());

    [Theory]
    [InlineData("tap your toe to the front and back", "toe-tap")]
    [InlineData("lift the knee up to your belly button and down", "knee-lift")]
    [InlineData("sit down into it a bit lower", "squat")]
    public void Where_a_foot_or_a_knee_goes_puts_nobody_on_the_floor(string said, string move) =>
        Assert.Equal($"{move}, quad-stretch", Moves($"[0:10] {move.Replace('-', ' ')}s", $"[0:16] {said}", "[0:50] and rest", "[1:00] let's cool down grab your ankle behind you pull your heel to your bum"));

    [Fact]
    public void The_other_arm_is_not_said_of_a_stretch_of_the_calf() =>
        Assert.Equal(["calf-stretch", "side-stretch"], Make.Read([.. Hello, "[0:05] squats", "[0:50] and rest", "[1:00] let's cool down", "[1:04] calf stretch press the heel down", "[1:30] now reach one arm up and over and lean and the other arm over", "[2:00] see you next time"]).Bouts.Skip(1).Select(b => b.MoveId).Distinct());

    [Fact]
    public void Moves_that_take_turns_go_on_in_turn()
    {
        var bouts = Make.Read(
            "[0:00] twenty seconds on ten seconds off eight times", "[0:10] let's get started burpees", "[0:20] go", "[0:40] rest skaters", "[0:50] go", "[1:10] rest burpees", "[1:20] go", "[1:40] rest skaters", "[1:50] go",
            "[2:10] rest", "[2:20] come on", "[2:40] rest", "[2:50] you're nearly there", "[3:10] rest last burpees", "[3:20] go", "[3:40] rest last skaters", "[3:50] go", "[4:10] and done", "[4:20] see you next time").Bouts;
        Assert.Equal("burpee skater burpee skater burpee skater burpee skater", string.Join(' ', bouts.Select(b => b.MoveId)));
    }

    [Fact]
    public void So_many_times_after_the_beat_are_the_rounds()
    {
        var structure = Assert.Single(Make.Read("[0:00] twenty seconds of work and ten seconds of rest eight times", "[0:10] let's get started squats", "[0:20] go", "[0:40] rest", "[0:50] go", "[1:10] and rest").Structures);
        Assert.Equal((StructureType.Tabata, 8), (structure.Type, structure.Rounds!.Value.Low));
    }

    [Fact]
    public void What_i_am_like_hides_no_kit() =>
        Assert.Contains("mat Optional", Read("[0:02] i know what i'm like mat if your floor's hard towel if you get warm", "[0:10] squats", "[0:40] keep going").Kit.Select(k => $"{k.Item} {k.Need}"));

    [Theory]
    [InlineData("hip thrusts", "chin tucked hold it for a second at the top", "hip-thrust")]
    [InlineData("single leg deadlifts", "hips level don't open out like a gate", "single-leg-deadlift")]
    [InlineData("pelvic tilts", "it's like there's a marble in your belly button rolling up towards your ribs", "pelvic-tilt")]
    [InlineData("bodyweight squats", "remember to breathe don't hold your breath", "squat")]
    public void How_a_move_is_done_is_not_the_next_one(string named, string then, string move) =>
        Assert.Equal(move, Moves($"[0:10] {named}", $"[0:34] {then}", "[0:50] keep going"));

    [Fact]
    public void What_is_set_up_at_length_is_what_was_announced() =>
        Assert.Equal("hip-thrust", Moves("[0:10] next is the hip thrust this is where you need the bench", "[0:20] get yourself settled on the edge of it", "[0:30] drive through your heels lift your hips up and lower", "[0:50] keep going"));

    [Fact]
    public void Squats_without_weight_are_not_those_with_one_that_were_listed() =>
        Assert.Equal("squat, goblet-squat", string.Join(", ", Make.Read("[0:00] the moves are a goblet squat and a reverse lunge", "[0:10] let's warm up", "[0:14] a few squats no weight just sit down and up", "[0:44] right goblet squats here we go", "[1:20] and rest", "[1:30] see you next time").Bouts.Select(b => b.MoveId)));

    [Fact]
    public void A_side_changed_within_a_stretch_is_not_that_of_the_one_before() =>
        Assert.EndsWith(
            "figure-four-stretch hamstring-stretch",
            string.Join(' ', Make.Read(
                "[0:00] hello let's get started sit tall in your chair", "[0:06] cross your right ankle over your left knee", "[0:10] for a figure four and lean forward", "[0:40] change legs left ankle over right knee and lean",
                "[1:00] straighten one leg out in front heel on the floor and tip forward with a flat back", "[1:30] and the other leg", "[1:50] see you next time").Bouts.Select(b => b.MoveId).Distinct()),
            StringComparison.Ordinal);

    [Fact]
    public void Lungs_that_are_filled_are_no_lunges() =>
        Assert.Equal("squat", Moves("[0:10] squats", "[0:44] fill your lungs and breathe", "[0:56] keep going lovely", "[1:10] keep going"));
}
