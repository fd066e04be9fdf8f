namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Captioning machines write compounds in one word or two and everyday words for rarer ones; the move that was said is read all the same.</summary>
public sealed class WrittenFormTests
{
    private static string Moves(string said) => string.Join(", ", Make.Read(
        "[0:00] hello everyone grab your dumbbells and kettlebell", "[0:08] let's get started", $"[0:20] next we have {said}", "[0:30] and go", "[0:40] keep going", "[1:00] and rest", "[1:10] see you next time")
        .Bouts.Select(b => b.MoveId).Distinct());

    [Theory]
    [InlineData("first up pushups", "push-up")]
    [InlineData("tricep pushups", "close-push-up")]
    [InlineData("decline pushup", "decline-push-up")]
    [InlineData("side lunches", "side-lunge")]
    [InlineData("reverse lunches", "reverse-lunge")]
    [InlineData("courtesy lunges", "curtsy-lunge")]
    [InlineData("curtsy lunches", "curtsy-lunge")]
    [InlineData("squad jumps", "squat-jump")]
    [InlineData("sumo squads", "sumo-squat")]
    [InlineData("squads", "squat")]
    [InlineData("burpies", "burpee")]
    [InlineData("burpes", "burpee")]
    [InlineData("dead bucks", "dead-bug")]
    [InlineData("that bugs", "dead-bug")]
    [InlineData("bear dog", "bird-dog")]
    [InlineData("bird dock", "bird-dog")]
    [InlineData("clam shells", "clamshell")]
    [InlineData("glue bridges", "glute-bridge")]
    [InlineData("glute bridges is", "glute-bridge")]
    [InlineData("cafe raises", "calf-raise")]
    [InlineData("calf races", "calf-raise")]
    [InlineData("lateral rays", "lateral-raise")]
    [InlineData("bent over rose", "bent-over-row")]
    [InlineData("renegade rose", "renegade-row")]
    [InlineData("romanian dead lifts", "romanian-deadlift")]
    [InlineData("remaining deadlifts", "romanian-deadlift")]
    [InlineData("hip trusts", "hip-thrust")]
    [InlineData("mountain climbs", "mountain-climber")]
    [InlineData("mountain climate", "mountain-climber")]
    [InlineData("rushing twists", "russian-twist")]
    [InlineData("bicycle crunch is", "bicycle-crunch")]
    [InlineData("flatter kicks", "flutter-kick")]
    [InlineData("jumping jax", "jumping-jack")]
    [InlineData("hi knees", "high-knees")]
    [InlineData("high needs", "high-knees")]
    [InlineData("but kicks", "butt-kick")]
    [InlineData("bud kicks", "butt-kick")]
    [InlineData("tricep tips", "triceps-dip")]
    [InlineData("tricep over head extension", "triceps-extension")]
    [InlineData("skull crashers", "skull-crusher")]
    [InlineData("over head press", "overhead-press")]
    [InlineData("bicep girls", "biceps-curl")]
    [InlineData("plank shoulder tabs", "plank-shoulder-tap")]
    [InlineData("fire hydrates", "fire-hydrant")]
    [InlineData("kettle bell swings", "kettlebell-swing")]
    [InlineData("inch worms", "walk-out")]
    [InlineData("child's post", "child-pose")]
    [InlineData("downward doc", "downward-dog")]
    [InlineData("ham string curls", "hamstring-curl-step")]
    [InlineData("chest flights", "chest-fly")]
    [InlineData("bare crawl", "bear-crawl")]
    [InlineData("upper cuts", "uppercut")]
    [InlineData("grape vine", "grapevine")]
    [InlineData("lunch pulses", "lunge-pulse")]
    [InlineData("jumping lunches", "lunge-jump")]
    [InlineData("bent over roads", "bent-over-row")]
    [InlineData("front races", "front-raise")]
    [InlineData("inch warms", "walk-out")]
    public void A_word_written_for_another_is_read_as_what_was_said(string written, string id) => Assert.Equal(id, Moves(written));

    [Theory]
    [InlineData("what are you having for lunch")]
    [InlineData("then it's my lunch break")]
    [InlineData("hello squad how are we")]
    [InlineData("stick to it like glue")]
    public void A_meal_a_crowd_and_glue_are_what_they_are(string said) => Assert.Empty(Moves(said));

    [Theory]
    [InlineData("kettle bell swing", "kettlebell-swing")]
    [InlineData("inchworm push up", "walk-out-push-up")]
    [InlineData("diamond pushups", "close-push-up")]
    public void What_is_typed_is_looked_up_in_the_same_form(string typed, string id)
    {
        var words = AnyPace.Core.Lexicon.AliasIndex.Typed(typed.Split(' '));
        Assert.Equal(id, Make.Lexicon.Aliases.Longest([.. words.Select(AnyPace.Core.Lexicon.WordStem.Of)], 0)?.Hit.Move.Id);
    }

    [Fact]
    public void Two_words_for_one_keep_the_time_of_the_first()
    {
        var speech = new AnyPace.Core.Reading.Speech(Make.Captions("[0:10] press over", "[0:14] head and pushups now").Cues);
        Assert.Equal("press overhead and push ups now", speech.Text);
        Assert.True(speech.Tokens[1].At < 14);
        Assert.Equal(speech.Tokens[3].At, speech.Tokens[4].At);
    }
}
