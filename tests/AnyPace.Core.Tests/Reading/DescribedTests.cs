using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Classes in which moves are described and hardly named.</summary>
public sealed class DescribedTests
{
    private static List<Bout> Bouts(params string[] lines) => [.. Make.Read([.. lines, "[1:40] well done see you next time"]).Bouts];

    private static string Moves(params string[] lines) => string.Join(", ", Bouts(lines).Select(b => b.MoveId).Distinct());

    [Theory]
    [InlineData("good morning everybody and welcome to a new week")]
    [InlineData("hello and a very good morning to you all")]
    public void A_greeting_is_no_good_morning(string greeting) =>
        Assert.Equal("squat", Moves($"[0:00] {greeting}", "[0:30] let's get started squats", "[1:10] and rest"));

    [Fact]
    public void Good_mornings_after_a_greeting_are_done() =>
        Assert.Equal("good-morning", Moves("[0:00] good morning everybody", "[0:30] let's get started good mornings hands behind your head", "[1:10] and rest"));

    [Fact]
    public void In_a_class_sitting_down_everything_is_done_sitting() =>
        Assert.Equal(
            "seated-heel-raise, leg-extension",
            Moves("[0:00] hello this is a gentle sitting down class let's get started", "[0:10] press down into the balls of your feet so both your heels come up and let them down again", "[0:50] straighten your knee until your foot's out in front of you and lower it slowly"));

    [Fact]
    public void Repetitions_counted_with_words_between_begin_the_work()
    {
        var bouts = Bouts(
            "[0:00] hello ten of everything today", "[0:10] let's get started first one press ups", "[0:40] and up one and down up two and down up three four five", "[1:00] eight nine and ten",
            "[1:10] and have a shake");
        Assert.InRange(Assert.Single(bouts).Span.Start.Value, 36, 44);
    }

    [Fact]
    public void The_other_hand_that_stays_is_no_change_of_sides() =>
        Assert.Single(Bouts("[0:00] hello let's get started", "[0:10] uppercuts off we go", "[0:40] the other hand stays home and guards your face", "[1:00] keep going"), b => b.MoveId == "uppercut");

    [Fact]
    public void What_is_described_may_be_pulsed_as_well() =>
        Assert.Equal(
            "sumo-squat, sumo-squat-pulse",
            Moves("[0:00] hello let's get started", "[0:10] step your feet out really wide toes to the corners bend your knees and sit down low and up", "[0:34] stay down and little pulses", "[1:00] keep going"));

    [Fact]
    public void What_is_kept_is_not_what_the_next_is_like() =>
        Assert.EndsWith("plie-releve", Moves("[0:00] hello let's get started", "[0:10] heels together toes apart and plié", "[0:50] keep that bend and now peel your heels off the floor and put them down"), StringComparison.Ordinal);

    [Fact]
    public void A_few_words_after_a_whole_description_are_its_end() =>
        Assert.Equal("shoulder-stretch", Moves("[0:00] hello let's get started", "[0:10] bring one arm across your chest with your elbow straight", "[0:14] and hug it in", "[0:17] lovely"));

    [Theory]
    [InlineData("if your chair is likely to slip put it against a wall")]
    [InlineData("pull your toes back towards you")]
    [InlineData("knees over your ankles please")]
    public void Cues_are_no_moves(string cue) => Assert.Equal("leg-extension", Moves("[0:00] hello everybody", "[0:10] seated leg extensions", $"[0:40] {cue}", "[0:56] keep going"));

    [Fact]
    public void Rows_on_the_floor_are_seated_rows() =>
        Assert.Equal("seated-row", Moves("[0:00] hello grab your band let's get started", "[0:10] sit down on the floor legs out in front and we're rowing", "[0:20] twelve rows pull and squeeze", "[1:00] keep going"));

    [Fact]
    public void A_chair_that_is_not_there_is_no_kit() =>
        Assert.DoesNotContain(Make.Read("[0:00] hello let's get started", "[0:10] wall sit slide down until you're sitting on a chair that isn't there", "[0:50] and rest", "[1:00] see you next time").Kit, k => k.Item == "chair");

    [Fact]
    public void A_side_that_is_worse_is_no_turn() =>
        Assert.Equal("overhead-press", Moves("[0:00] hello grab your dumbbells let's get started", "[0:10] overhead press off we go", "[0:30] my left side is so much worse than my right side is", "[0:56] change your grip if you like", "[1:10] keep going"));

    [Fact]
    public void Shoulder_blades_are_squeezed_in_every_row() =>
        Assert.Equal("bent-over-row", Moves("[0:00] hello let's get started", "[0:10] bent over rows here we go", "[0:40] pull and squeeze your shoulder blades as you row like there's a pencil between them", "[1:20] keep going"));
}
