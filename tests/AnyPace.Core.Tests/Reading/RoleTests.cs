using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What the words around a move's name do with it.</summary>
public sealed class RoleTests
{
    private static Role RoleOf(string sentence, string move)
    {
        // The class has begun, so that nothing counts as an opening list.
        var speech = new Speech(Make.Captions("[0:00] let's get started here we go", $"[1:00] {sentence}", "[1:20] keep going").Cues);
        return MentionFinder.Find(speech, Make.Lexicon, MarkFinder.Find(speech), DoseReader.Read(speech)).First(m => m.Move.Id == move && m.At > 50).Role;
    }

    [Theory]
    [InlineData("squats keep the chest lifted", "squat")]
    [InlineData("sit deep into those squats", "squat")]
    [InlineData("I'd like you to do push-ups", "push-up")]
    public void Doing(string sentence, string move) => Assert.Equal(Role.Doing, RoleOf(sentence, move));

    [Theory]
    [InlineData("next up we've got reverse lunges", "reverse-lunge")]
    [InlineData("moving on to the dead bug", "dead-bug")]
    [InlineData("mountain climbers coming up", "mountain-climber")]
    [InlineData("the last one is a plank", "plank")]
    public void Announced(string sentence, string move) => Assert.Equal(Role.Announced, RoleOf(sentence, move));

    [Theory]
    [InlineData("this is not a squat", "squat")]
    [InlineData("don't let it turn into a lunge", "lunge")]
    [InlineData("rather than the usual crunches", "crunch")]
    [InlineData("there are no burpees here", "burpee")]
    [InlineData("squats sorry I mean lunges", "squat")]
    public void Negated(string sentence, string move) => Assert.Equal(Role.Negated, RoleOf(sentence, move));

    [Theory]
    [InlineData("it looks like a jumping jack but slower", "jumping-jack")]
    [InlineData("similar to a push-up", "push-up")]
    public void Compared(string sentence, string move) => Assert.Equal(Role.Compared, RoleOf(sentence, move));

    [Theory]
    [InlineData("if jumping is too much march on the spot", "march")]
    [InlineData("or just do a squat", "squat")]
    [InlineData("step jacks instead if you need", "step-jack")]
    [InlineData("for an easier option take a wall push-up", "incline-push-up")]
    public void Alternative(string sentence, string move) => Assert.Equal(Role.Alternative, RoleOf(sentence, move));

    [Theory]
    [InlineData("those were our lunges", "lunge")]
    [InlineData("you're done with the burpees", "burpee")]
    public void Past(string sentence, string move) => Assert.Equal(Role.Past, RoleOf(sentence, move));

    [Theory]
    [InlineData("later we will do some burpees", "burpee")]
    [InlineData("and we finish with a plank", "plank")]
    public void Previewed(string sentence, string move) => Assert.Equal(Role.Previewed, RoleOf(sentence, move));

    [Fact]
    public void The_correction_is_what_is_done()
    {
        var speech = new Speech(Make.Captions("[0:00] let's get started here we go", "[1:00] squats sorry I mean reverse lunges go").Cues);
        var mentions = MentionFinder.Find(speech, Make.Lexicon, MarkFinder.Find(speech), DoseReader.Read(speech));
        Assert.Equal("reverse-lunge", mentions.MaxBy(m => m.Weight)!.Move.Id);
    }

    [Fact]
    public void Moves_listed_before_the_class_begins_are_a_preview()
    {
        var speech = new Speech(Make.Captions(
            "[0:00] hello and welcome today there will be squats lunges push-ups and a plank all of it with a smile", "[0:20] let's get started with marching on the spot", "[1:00] keep marching", "[2:00] and rest").Cues);
        var mentions = MentionFinder.Find(speech, Make.Lexicon, MarkFinder.Find(speech), DoseReader.Read(speech));
        Assert.All(mentions.Where(m => m.At < 18), m => Assert.True(m.Weight < 0.3));
        Assert.Contains(mentions, m => m.Move.Id == "march" && m.Weight > 0.3);
    }
}
