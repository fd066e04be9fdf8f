using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Captions to a timeline, as a whole.</summary>
public sealed class ReadingTests
{
    private static readonly string[] Intervals =
    [
        "[0:00] welcome everyone today we do squats and push-ups forty seconds on twenty off",
        "[0:10] you need a pair of dumbbells and a mat",
        "[0:20] let's warm up first march on the spot",
        "[0:40] keep marching nice and easy",
        "[1:00] arm circles big ones",
        "[1:30] okay you're warm now let's get into the workout",
        "[1:40] first up squats three two one go",
        "[1:44] squats sit back chest up",
        "[2:10] ten seconds left",
        "[2:24] and rest next up push-ups",
        "[2:38] drop to your knees if you need to three two one go",
        "[2:44] push-ups keep the core tight",
        "[3:10] nearly there",
        "[3:24] and rest",
        "[3:40] let's cool down hamstring stretch heel out in front",
        "[4:10] other side",
        "[4:40] and quad stretch",
        "[5:10] well done everyone see you next time",
    ];

    [Fact]
    public void A_plain_class_is_read_bout_by_bout()
    {
        var timeline = Make.Read(Intervals);
        var bouts = timeline.Bouts.Select(b => b.MoveId).Distinct().ToList();
        Assert.Equal(["march", "arm-circle", "squat", "push-up", "hamstring-stretch", "quad-stretch"], bouts);
        var squat = timeline.Bouts.First(b => b.MoveId == "squat");
        Assert.InRange(squat.Span.Start.Value, 98, 108);
        Assert.InRange(squat.Span.End.Value, 138, 150);
        Assert.NotEmpty(squat.Evidence);
        Assert.Contains("squats", squat.Evidence[0].Text);
        Assert.InRange(squat.Confidence, 0.6, 1);
    }

    [Fact]
    public void Its_phases_come_in_order()
    {
        var timeline = Make.Read(Intervals);
        Assert.Equal(PhaseKind.Talk, timeline.PhaseAt(new Seconds(5)));
        Assert.Equal(PhaseKind.WarmUp, timeline.PhaseAt(new Seconds(50)));
        Assert.Equal(PhaseKind.Work, timeline.PhaseAt(new Seconds(120)));
        Assert.Equal(PhaseKind.CoolDown, timeline.PhaseAt(new Seconds(250)));
        Assert.Equal(timeline.Phases.Select(p => p.Span.Start.Value).Order(), timeline.Phases.Select(p => p.Span.Start.Value));
        Assert.All(timeline.Phases.Zip(timeline.Phases.Skip(1)), p => Assert.Equal(p.First.Span.End, p.Second.Span.Start));
    }

    [Fact]
    public void Its_structure_is_as_said()
    {
        var s = Assert.Single(Make.Read(Intervals).Structures);
        Assert.Equal((StructureType.Intervals, 40.0, 20.0, false), (s.Type, s.Work!.Value.Value, s.Rest!.Value.Value, s.Measured));
    }

    [Fact]
    public void An_option_belongs_to_the_move_it_eases()
    {
        var option = Assert.Single(Make.Read(Intervals).Options, o => o.Direction == OptionDirection.Easier);
        Assert.Contains(option.MoveId, new[] { "push-up", "squat" });
    }

    [Fact]
    public void Sides_are_split_where_the_coach_changes_over()
    {
        var stretch = Make.Read(Intervals).Bouts.Where(b => b.MoveId == "hamstring-stretch").ToList();
        Assert.Equal(2, stretch.Count);
        Assert.NotEqual(stretch[0].Side, stretch[1].Side);
        Assert.InRange(stretch[1].Span.Start.Value, 245, 256);
    }

    [Fact]
    public void The_said_side_is_kept()
    {
        var timeline = Make.Read(
            "[0:00] hello everyone let's get started", "[0:10] split squat left leg in front here we go", "[0:25] down and up keep going",
            "[0:45] and rest", "[0:55] split squat right leg in front and go", "[1:10] keep going", "[1:30] and rest well done");
        Assert.Equal([Side.Left, Side.Right], timeline.Bouts.Where(b => b.MoveId == "split-squat").Select(b => b.Side));
    }

    [Theory]
    [InlineData("you'll need a pair of dumbbells eight to ten pounds", "dumbbell", KitNeed.Required, 2, "8 to 10 pounds")]
    [InlineData("grab a kettlebell", "kettlebell", KitNeed.Required, 1, null)]
    [InlineData("a resistance band is optional", "resistance band", KitNeed.Optional, 1, null)]
    [InlineData("you can hold on to a chair for balance", "chair", KitNeed.Optional, 1, null)]
    [InlineData("grab some dumbbells or if you don't have any use water bottles", "water bottle", KitNeed.Substitute, null, null)]
    public void Kit_is_read_with_need_count_and_load(string words, string item, KitNeed need, int? count, string? load)
    {
        var kit = Make.Read($"[0:00] {words}", "[0:20] here we go with squats", "[0:50] and rest").Kit.Single(k => k.Item == item);
        Assert.Equal((need, count, load), (kit.Need, kit.Count, kit.Load));
        Assert.NotEmpty(kit.Evidence);
    }

    [Theory]
    [InlineData("you don't need any dumbbells today")]
    [InlineData("put the weight in your heels")]
    [InlineData("imagine a rope in your hands")]
    [InlineData("take a seat like in a chair pose")]
    public void What_is_not_needed_is_not_listed(string words) => Assert.Empty(Make.Read($"[0:00] {words}", "[0:20] here we go with squats").Kit);

    [Theory]
    [InlineData("this burns a hundred calories 100 calories easily", "calories")]
    [InlineData("melt that belly fat", "spot reduction")]
    [InlineData("it cures back pain for good", "medical benefit")]
    [InlineData("you will lose weight with this", "weight loss")]
    [InlineData("earn your dinner", "body shaming")]
    [InlineData("you will see results fast", "result promise")]
    public void Promises_are_found(string words, string type) => Assert.Contains(Make.Read($"[0:05] {words}").Claims, c => c.Type == type);

    [Theory]
    [InlineData("don't forget to subscribe to the channel", "self-promotion")]
    [InlineData("tag me on social media", "social media")]
    [InlineData("use the code mill for ten percent off", "advert")]
    [InlineData("the neighbours are drilling, my dog hates it", "off-topic chat")]
    public void What_does_not_belong_is_found(string words, string type) => Assert.Contains(Make.Read($"[0:05] {words}").Outside, o => o.Type == type);

    [Fact]
    public void A_downward_dog_is_no_pet() => Assert.Empty(Make.Read("[0:05] and now push back to your downward dog").Outside);

    [Theory]
    [InlineData("keep your knees behind your toes", "knees")]
    [InlineData("protect your lower back", "lower back")]
    [InlineData("if you feel any pain stop", "pain")]
    [InlineData("if you feel dizzy sit down", "dizziness")]
    [InlineData("ask your doctor first", "medical")]
    [InlineData("make sure you have enough space around you", "space")]
    public void Cautions_are_found_with_their_topic(string words, string topic) => Assert.Contains(Make.Read($"[0:05] {words}").Cautions, c => c.Topic == topic);

    [Fact]
    public void What_is_stated_of_the_whole_class_is_kept()
    {
        var stated = Make.Read("[0:00] welcome to this 20 minute full body workout low impact for beginners", "[0:10] do it 2 to 3 times a week for the next 4 weeks").Stated;
        Assert.Equal([20.0], stated.Minutes.ToArray());
        Assert.Equal(("low", "beginners"), (stated.Impact, stated.Level));
        Assert.Contains("full body", stated.Focus);
        Assert.Equal((2, 3), (stated.SessionsPerWeek!.Value.Low, stated.SessionsPerWeek.Value.High));
        Assert.Equal(4, stated.Weeks!.Value.Low);
    }

    [Fact]
    public void A_demonstration_with_a_dose_is_known_as_such()
    {
        var timeline = Make.Read(
            "[0:00] I will show you three exercises, do three rounds of ten reps of each in your own time",
            "[0:15] The first exercise is the goblet squat. Hold the weight at your chest and sit down between your knees.",
            "[0:40] Exercise number two is the bent over row. Hinge forward and pull the elbows back.",
            "[1:05] And number three is the glute bridge. Lift the hips and lower.",
            "[1:30] That's it, enjoy.");
        Assert.Equal(ClassKind.Demonstration, timeline.Kind);
        Assert.Equal(new CountRange(3, 3), timeline.Structures.Single().Rounds);
        Assert.Equal(["goblet-squat", "bent-over-row", "glute-bridge"], timeline.Bouts.Select(b => b.MoveId).Distinct());
    }

    [Fact]
    public void Part_of_a_series_is_noticed() => Assert.True(Make.Read("[0:00] carrying on from the last video this is part 2").PartOfSeries);

    [Fact]
    public void Captions_without_any_move_give_talk_only()
    {
        var timeline = Make.Read("[0:00] hello there", "[0:30] it is a lovely morning");
        Assert.Empty(timeline.Bouts);
        Assert.Equal(PhaseKind.Talk, Assert.Single(timeline.Phases).Kind);
    }

    [Fact]
    public void Whatever_is_said_bouts_stay_in_order_inside_the_recording()
    {
        var words = Gen.OneOfConst(
            "squats", "and go", "three two one", "rest", "other side", "push-ups", "not a lunge", "next up plank", "warm up", "cool down", "ten reps", "jumping jacks",
            "keep going", "right leg", "dumbbells", "forty on twenty off", "thank you", "if you need", "march", "5 6 7 8");
        Gen.Select(Gen.Int[1, 25], words.Array[1, 6]).Array[1, 40].Sample(
            rows =>
            {
                double at = 0;
                var cues = rows.Select((r, i) => new Cue(new Seconds(at += r.Item1), null, string.Join(' ', r.Item2), i + 1)).ToList();
                var timeline = new CaptionReading(Make.Lexicon).Read(new CaptionFile(CaptionFormat.Plain, cues));
                return timeline.Bouts.All(b => b.Span.Start >= Seconds.Zero && b.Span.End <= timeline.Recorded && b.Span.Length > Seconds.Zero && b.Confidence is > 0 and < 1)
                    && timeline.Bouts.Zip(timeline.Bouts.Skip(1)).All(p => p.First.Span.End <= p.Second.Span.Start)
                    && timeline.Phases.Zip(timeline.Phases.Skip(1)).All(p => p.First.Span.End <= p.Second.Span.Start);
            },
            iter: 400);
    }

    [Fact]
    public void The_same_captions_always_give_the_same_reading() =>
        Assert.Equal(
            Make.Read(Intervals).Bouts.Select(b => (b.Id, b.MoveId, b.Span, b.Side, b.Confidence)), Make.Read(Intervals).Bouts.Select(b => (b.Id, b.MoveId, b.Span, b.Side, b.Confidence)));

    [Fact]
    public void Changes_of_tempo_are_heard()
    {
        var voice = Make.Read(
            "[0:00] hello and welcome", "[0:10] let's get started squats here we go", "[0:30] now double time", "[0:50] and now pulse it pulse it", "[1:10] slow it down if you need to",
            "[1:30] and rest").Voice!;
        Assert.Equal(2, voice.TempoChanges.Length);
    }
}
