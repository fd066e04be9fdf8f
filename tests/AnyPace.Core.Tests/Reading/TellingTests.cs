using System.Text.Json;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What is told of a move beside its name: how it goes on, on which side, where the body is, and what is not done yet.</summary>
public sealed class TellingTests
{
    private static string Bouts(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => $"{b.MoveId}{(b.Side == Side.Both ? "" : " " + b.Side.ToString().ToLowerInvariant())} {b.Span.Start}"));

    private static string Moves(params string[] lines) => string.Join(", ", Make.Read(lines).Bouts.Select(b => b.MoveId));

    /// <summary>A move that is named, and what is said of it 40 s later.</summary>
    private static Timeline Later(string named, string then) => Make.Read([.. Hello, $"[0:10] {named}", "[0:30] lovely keep going", $"[0:50] {then}", "[1:20] and rest", "[1:30] see you next time"]);

    private static readonly string[] Hello = ["[0:00] hello let's get started"];

    [Theory]
    [InlineData("sumo squats", "stay down there and pulse it", "sumo-squat-pulse")]
    [InlineData("reverse lunges right leg", "and little pulses", "lunge-pulse")]
    [InlineData("squats", "stay low and hold", "squat-hold")]
    public void A_move_is_pulsed_or_held_without_being_named_again(string named, string then, string variant) =>
        Assert.Contains(Later(named, then).Bouts, b => b.MoveId == variant && Math.Abs(b.Span.Start.Value - 50) < 4);

    [Theory]
    [InlineData("squats", "check your pulse now")]
    [InlineData("squats", "hold it there for three")]
    [InlineData("push ups", "little pulses at the bottom")]
    public void No_pulse_or_hold_is_made_up(string named, string then) =>
        Assert.Single(Later(named, then).Bouts);

    [Fact]
    public void A_variant_is_the_one_that_shares_most_of_the_name()
    {
        Assert.Equal("sumo-squat-pulse", Make.Lexicon.Variant(Make.Lexicon["sumo-squat"], MoveLexicon.Pulse)?.Id);
        Assert.Equal("squat-pulse", Make.Lexicon.Variant(Make.Lexicon["goblet-squat"], MoveLexicon.Pulse)?.Id);
        Assert.Null(Make.Lexicon.Variant(Make.Lexicon["push-up"], MoveLexicon.Pulse));
        Assert.Null(Make.Lexicon.Variant(Make.Lexicon["squat-hold"], MoveLexicon.Hold));
    }

    [Fact]
    public void The_second_of_a_pair_that_is_told_waits_for_its_turn() => Assert.Equal(
        "romanian-deadlift 0:32, chest-press 1:10",
        Bouts(
            "[0:00] hello three sets of ten each", "[0:10] we are going to do a romanian deadlift soft knees", "[0:20] and we're pairing that with a chest press", "[0:30] okay deadlifts go",
            "[0:50] long back", "[1:10] press", "[1:40] and rest", "[1:50] see you next time"));

    [Fact]
    public void What_is_done_as_you_walk_does_not_end_the_walk() => Assert.Equal(
        "march 0:10",
        Bouts([.. Hello, "[0:10] march on the spot", "[0:30] roll your shoulders as you walk", "[0:50] lovely and tall", "[1:10] keep going", "[1:30] see you next time"]));

    [Fact]
    public void The_other_leg_is_not_said_of_the_arms() => Assert.Equal(
        "band-pull-apart 0:10",
        Bouts([.. Hello, "[0:10] band pull aparts", "[0:40] and relax", "[0:50] well done", "[0:55] and the other leg", "[1:20] see you next time"]));

    [Fact]
    public void A_circle_the_other_way_is_drawn_by_the_same_leg() => Assert.DoesNotContain(
        Make.Read([.. Hello, "[0:10] lie on your back", "[0:14] leg circles with the right leg", "[0:40] other direction", "[1:10] and rest", "[1:20] see you next time"]).Bouts, b => b.Side == Side.Left);

    [Fact]
    public void After_both_sides_of_one_move_a_change_is_of_the_next_alone() => Assert.Equal(
        "calf-stretch right 0:10, calf-stretch left 0:40, hip-flexor-stretch right 1:10, hip-flexor-stretch left 1:42",
        Bouts(
            "[0:00] hello let's stretch", "[0:10] calf stretch right foot back", "[0:40] change feet", "[1:10] hip flexor stretch", "[1:40] and the other leg", "[2:10] see you next time"));

    [Theory]
    [InlineData("hold on with the chair at your right side and the left leg lifts out", Side.Left)]
    [InlineData("side leg raises standing with the right leg", Side.Right)]
    public void The_side_is_that_of_the_limb_and_not_of_the_chair(string said, Side side) =>
        Assert.Equal(side, Make.Read([.. Hello, "[0:10] standing leg raises", $"[0:14] {said}", "[0:50] and rest", "[1:00] see you next time"]).Bouts.Single().Side);

    [Fact]
    public void A_position_told_with_so_belongs_to_the_name() => Assert.Equal(
        "toe-tap-supine 0:15",
        Bouts("[0:00] forty seconds of work twenty off", "[0:08] first up is toe taps so come on to your back", "[0:15] go", "[0:55] rest", "[1:05] see you next time"));

    [Fact]
    public void An_image_may_be_the_name() => Assert.Equal(
        "windshield-wiper",
        Make.Read([.. Hello, "[0:10] lie on your back and let the knees go", "[0:14] from side to side like a windscreen wiper", "[0:50] and rest", "[1:00] see you next time"]).Bouts.Select(b => b.MoveId).Last());

    [Fact]
    public void What_has_been_called_by_a_name_keeps_it() => Assert.Equal(
        "plank-jack",
        Make.Read(
            "[0:00] forty seconds of work twenty off", "[0:05] let's get started", "[0:08] jump your feet out and in we call that a plank jack step it if you want", "[0:16] go", "[0:56] rest", "[1:05] see you next time").Bouts.Single().MoveId);

    [Fact]
    public void A_name_in_the_past_is_no_move() => Assert.DoesNotContain(
        Make.Read([.. Hello, "[0:10] squats", "[0:30] my dog just walked in", "[0:50] chest up", "[1:10] see you next time"]).Bouts, b => b.MoveId is "march" or "downward-dog");

    [Fact]
    public void What_follows_a_warm_up_that_was_spoken_of_is_the_warm_up() => Assert.Equal(
        "butt-kick, side-lunge",
        Moves(
            "[0:00] thirty seconds of work ten seconds of rest", "[0:14] quick warm up and then we fly", "[0:24] butt kicks nice and easy", "[0:45] lateral lunges", "[1:10] toes forward", "[1:30] see you next time"));

    [Fact]
    public void Minutes_told_one_after_the_other_are_a_list() => Assert.DoesNotContain(
        Make.Read(
            "[0:00] every minute on the minute four moves", "[0:06] minute one is ten swings", "[0:10] minute two is ten goblet squats", "[0:14] minute three is five clean and press", "[0:18] and minute four is ten push ups",
            "[0:30] halos first", "[0:50] other way", "[1:10] see you next time").Bouts,
        b => b.Span.Start.Value < 25);

    [Theory]
    [InlineData("one two", "five six seven", "nine and ten", 10)]
    [InlineData("one", "six seven eight", "eleven and twelve", 12)]
    [InlineData("five six seven eight", "one two three four", "five six seven eight", null)]
    [InlineData("eight seven six", "five four three", "two one", null)]
    [InlineData("two seconds down", "keep going", "lovely", null)]
    public void Repetitions_are_counted_where_they_are_counted_once_through(string first, string second, string third, int? reps)
    {
        var bout = Make.Read([.. Hello, "[0:10] chair squats", $"[0:14] {first}", $"[0:24] {second}", $"[0:34] {third}", "[0:40] see you next time"]).Bouts[0];
        Assert.Equal(reps is { } n ? new CountRange(n, n) : null, bout.Reps);
    }

    [Fact]
    public void A_short_call_is_not_of_the_easier_way_that_was_offered() => Assert.EndsWith(
        "squat-jump 0:34, jumping-jack 1:04, squat-jump 1:34",
        Bouts(
            "[0:00] twenty seconds hard ten seconds easy", "[0:20] let's get started squat jumps and jumping jacks", "[0:26] if jumping's not for you it's squats and step jacks", "[0:32] ready squat jumps go", "[0:54] rest",
            "[1:04] jacks", "[1:24] rest", "[1:34] squat jumps", "[1:54] rest", "[2:04] see you next time"), StringComparison.Ordinal);

    [Fact]
    public void Two_sets_of_dumbbells_are_no_sets() =>
        Assert.Null(DoseReader.Read(new Speech(Make.Captions("[0:00] I've got two sets of dumbbells here", "[0:05] let's go").Cues)).Sets);

    [Theory]
    [InlineData("shrug", "seated", true)]
    [InlineData("squat", "seated", false)]
    [InlineData("squat", "standing", true)]
    [InlineData("march", "seated", false)]
    public void What_the_arms_do_standing_they_do_on_a_chair(string move, string position, bool done) => Assert.Equal(done, Make.Lexicon[move].IsDone(position));

    [Fact]
    public void Words_near_each_other_tell_moves_apart_in_whichever_order()
    {
        var press = Make.Lexicon["overhead-press"] with { Id = "a", Name = "Alpha", Aliases = [], WeakAliases = [], Descriptions = ["elbow shoulder circle hand"], Spoken = ["circle the elbow with a hand on the shoulder"] };
        var curl = press with { Id = "b", Name = "Beta", Spoken = ["circle the hand with the elbow still", "shoulder"] };
        var like = DescriptionLikeness.Build([press, curl, press with { Id = "c", Name = "Gamma", Descriptions = [], Spoken = [] }], [], []);
        Assert.Equal("a", Likest(like, "hand on your shoulder and your elbow in a circle").Move.Id);
        Assert.Equal("b", Likest(like, "the elbow still as the hand draws a circle").Move.Id);
    }

    [Fact]
    public void What_is_said_in_talk_speaks_less_for_a_move()
    {
        Move[] moves = [Made("a", "drag the bell along the carpet"), Made("b", "hang from the rail")];
        double Score(params string[] talk) => Likest(DescriptionLikeness.Build(moves, talk, []), "drag the bell along the carpet").Score;
        Assert.True(Score("mind the rail", "my mother is well") > Score("mind the bell on the carpet", "don't drag your feet along"));
    }

    [Fact]
    public void Of_two_moves_that_are_said_alike_the_common_one_is_meant()
    {
        string Of(int a, int b) => Likest(DescriptionLikeness.Build([Made("a", "curl the shoulders up") with { Common = a }, Made("b", "curl the shoulders up") with { Common = b }], [], []), "curl your shoulders up").Move.Id;
        Assert.Equal("a", Of(5, 1));
        Assert.Equal("b", Of(1, 5));
    }

    private static Move Made(string id, string spoken) => Make.Lexicon["overhead-press"] with { Id = id, Name = id, Aliases = [], WeakAliases = [], Descriptions = [], Spoken = [spoken] };

    private static LikeMove Likest(DescriptionLikeness like, string words)
    {
        var stems = words.Split(' ').Select(WordStem.Of).ToList();
        return like.In(stems, Make.Fits(stems.Count)).Of(0, stems.Count, 1)!.Value;
    }

    [Fact]
    public void A_marked_structure_with_an_unknown_part_is_refused()
    {
        const string gold = """{"captions":"a.txt","title":"A","coach":"B","date":"2026-11-25","style":"","statedMinutes":1,"structures":["intervals work=40"],"phases":[],"bouts":[]}""";
        Assert.Contains("'work'", Assert.Throws<JsonException>(() => GoldReading.Parse(gold)).Message, StringComparison.Ordinal);
    }
}
