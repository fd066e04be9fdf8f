using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Equipment as coaches announce it before a class, and as it turns up in the middle of one.</summary>
public sealed class KitTests
{
    private static string Kit(params string[] lines) => string.Join(
        ", ",
        Make.Read(["[0:00] hello and welcome", .. lines]).Kit.Select(k => $"{k.Item} {k.Need.ToString().ToLowerInvariant()}").Order(StringComparer.Ordinal));

    private static string Before(string said) => Kit(
        $"[0:05] {said}", "[0:30] let's get started squats here we go", "[0:50] keep going", "[1:10] and rest", "[1:20] lunges here we go", "[1:50] and rest");

    [Theory]
    [InlineData("all you need is a mat", "mat required")]
    [InlineData("you don't need any equipment today just your body", "")]
    [InlineData("no equipment needed", "")]
    [InlineData("no weights no bands nothing", "")]
    [InlineData("you will need a pair of dumbbells and a mat", "dumbbell required, mat required")]
    [InlineData("grab your dumbbells and your mat", "dumbbell required, mat required")]
    [InlineData("i'm using a pair of ten pound dumbbells today", "dumbbell required")]
    [InlineData("you're going to need a set of weights light to medium", "dumbbell required")]
    [InlineData("for this one you need a resistance band", "resistance band required")]
    [InlineData("we're using a mini band that goes around your thighs", "resistance band required")]
    [InlineData("a mat is optional", "mat optional")]
    [InlineData("you might want a mat for the floor work", "mat optional")]
    [InlineData("if you have a mat grab it if not the carpet is fine", "mat optional")]
    [InlineData("you can use a mat if you like", "mat optional")]
    [InlineData("feel free to grab some light dumbbells", "dumbbell optional")]
    [InlineData("you can add weights if you want more of a challenge", "dumbbell optional")]
    [InlineData("weights are optional for this class", "dumbbell optional")]
    [InlineData("you'll want some water and a towel", "towel optional")]
    [InlineData("have a towel and some water nearby", "towel optional")]
    [InlineData("you need dumbbells if you don't have dumbbells use water bottles", "dumbbell required, water bottle substitute")]
    [InlineData("you need a kettlebell or a dumbbell if you don't have one", "dumbbell substitute, kettlebell required")]
    [InlineData("you need a bench or a sturdy chair", "bench required, chair substitute")]
    [InlineData("a sturdy chair is all you need", "chair required")]
    [InlineData("you're going to need a chair for this one so pull one up", "chair required")]
    [InlineData("keep a chair nearby in case you need it for balance", "chair optional")]
    [InlineData("you can hold on to a chair or a wall for support", "chair optional, wall optional")]
    [InlineData("pop a cushion under your head if your neck needs it", "cushion optional")]
    [InlineData("today's equipment one kettlebell and a mat", "kettlebell required, mat required")]
    [InlineData("you need one heavy dumbbell and a mat", "dumbbell required, mat required")]
    [InlineData("grab a medium set and a heavy set of dumbbells", "dumbbell required")]
    [InlineData("make sure you've got your mat and your weights ready", "dumbbell required, mat required")]
    [InlineData("i've got my stability ball here", "stability ball required")]
    [InlineData("you need a step or the bottom stair", "step required")]
    [InlineData("we've got a barbell today", "bar required")]
    [InlineData("ankle weights are optional", "ankle weight optional")]
    [InlineData("if you don't have a resistance band you can use a towel", "resistance band required, towel substitute")]
    [InlineData("all you need is your mat and yourself", "mat required")]
    [InlineData("you just need a bit of space and a skipping rope", "skipping rope required")]
    [InlineData("no dumbbells no problem use a couple of tins instead", "water bottle substitute")]
    [InlineData("take your dumbbells nice and light", "dumbbell required")]
    public void What_is_said_before_the_class(string said, string kit) => Assert.Equal(kit, Before(said));

    [Theory]
    [InlineData("hold your dumbbells at your sides", "dumbbell required")]
    [InlineData("pick up the weights", "dumbbell required")]
    [InlineData("keep the weight in your heels", "")]
    [InlineData("shift your weight to the right", "")]
    [InlineData("you're pushing through your body weight", "")]
    [InlineData("sit back like there's a chair behind you", "")]
    [InlineData("imagine you're holding a ball", "")]
    [InlineData("if you want more hold a dumbbell", "dumbbell optional")]
    [InlineData("come down onto your mat", "mat required")]
    [InlineData("as if you had your back against a wall", "")]
    [InlineData("raise the bar a little", "")]
    public void What_turns_up_in_the_middle(string said, string kit) => Assert.Equal(
        kit, Kit("[0:10] let's get started squats here we go", $"[0:30] {said}", "[0:50] keep going", "[1:10] and rest", "[1:20] lunges here we go", "[1:50] and rest"));

    [Fact]
    public void A_wall_is_needed_where_a_move_leans_on_it() =>
        Assert.Equal("wall required", Kit("[0:10] let's get started wall sit back against the wall and go", "[0:30] hold it there", "[1:00] and rest", "[1:20] see you"));

    [Fact]
    public void Count_and_load_are_kept_as_said()
    {
        var kit = Assert.Single(Make.Read("[0:00] hello", "[0:05] you need a pair of ten pound dumbbells", "[0:20] let's get started squats here we go", "[0:50] and rest").Kit);
        Assert.Equal((2, "10 pound"), (kit.Count, kit.Load));
    }

    [Fact]
    public void First_needed_is_when_the_class_first_uses_it()
    {
        var kit = Assert.Single(Make.Read(
            "[0:00] hello", "[0:10] let's get started squats here we go", "[0:40] and rest", "[0:45] grab a chair", "[0:50] side leg raises standing here we go", "[1:20] and rest").Kit);
        Assert.InRange(kit.FirstNeeded!.Value.Value, 40, 55);
    }
}
