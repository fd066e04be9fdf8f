using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Equipment as coaches announce it before a class, and as it turns up in the middle of one.</summary>
public sealed class KitTests
{
    private static string Kit(params string[] lines) => string.Join(
        ", ",
        Make.Read(["[0:00] hello and welcome", .. lines]).Kit.Select(k => $"{k.Item} {k.Need.ToString().ToLowerInvariant()}").Order(StringComparer.Ordinal));

    /// <summary>The kit of a small class before which something is said.</summary>
    internal static string Before(string said) => Kit(
        $"[0:05] {said}", "[0:30] let's get started squats here we go", "[0:50] keep going", "[1:10] and rest", "[1:20] lunges here we go", "[1:50] and rest");

    public static TheoryData<string> Said => [.. Make.Lines("Reading", "kit.txt").Except(Unclear)];

    /// <summary>What the weights learn from, but is not read where nothing else is said.</summary>
    private static readonly string[] Unclear =
    [
        "hands on the bench feet back|bench required", "lower your spine back to the mat one bone at a time|mat required", "loop the strap round the ball of your foot|strap required",
        "find yourself a step or a low box|step required", "sweat towel water let's go|towel optional, water bottle optional", "put your feet up on a chair and now it's harder|chair optional",
    ];

    [Theory]
    [MemberData(nameof(Said))]
    public void Kit_is_read_in_whatever_words(string line) => Assert.Equal(line.Split('|')[1], Before(line.Split('|')[0]));

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
    [InlineData("you'll want some water and a towel", "towel optional, water bottle optional")]
    [InlineData("have a towel and some water nearby", "towel optional, water bottle optional")]
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
    [InlineData("you'll need two dumbbells for today", "dumbbell required")]
    [InlineData("i'm going to be using my five kilo dumbbells and i've got a mat down too", "dumbbell required, mat required")]
    [InlineData("equipment wise you just need a mat", "mat required")]
    [InlineData("no kit needed just a bit of space", "")]
    [InlineData("completely equipment free so all you need is you", "")]
    [InlineData("you can use a mat or just a towel on the floor", "mat optional, towel substitute")]
    [InlineData("if your floor is hard pop a mat down", "mat optional")]
    [InlineData("we're going to be on the mat today", "mat required")]
    [InlineData("get yourself on a mat and we'll begin", "mat required")]
    [InlineData("you can do this with or without weights", "dumbbell optional")]
    [InlineData("grab something heavy a dumbbell or a kettlebell", "dumbbell required, kettlebell substitute")]
    [InlineData("one dumbbell is all you need", "dumbbell required")]
    [InlineData("just the one weight today", "dumbbell required")]
    [InlineData("i have a light pair and a heavier pair of dumbbells", "dumbbell required")]
    [InlineData("a long resistance band and a sturdy chair", "chair required, resistance band required")]
    [InlineData("get your loop band ready it goes just above the knees", "resistance band required")]
    [InlineData("if you haven't got a band no problem you can do it without", "resistance band optional")]
    [InlineData("a chair a wall or a kitchen counter for balance", "chair optional, wall optional")]
    [InlineData("get hold of a chair and make sure it isn't on wheels", "chair required")]
    [InlineData("you'll want a step if you have one a stair works too", "step optional")]
    [InlineData("if you have weights great if not use a couple of water bottles", "dumbbell optional, water bottle substitute")]
    [InlineData("tins of beans work just as well as dumbbells", "dumbbell required, water bottle substitute")]
    [InlineData("you'll need your kettlebell any weight will do", "kettlebell required")]
    [InlineData("we will not be needing any equipment", "")]
    [InlineData("bodyweight only today so no equipment", "")]
    [InlineData("a small pilates ball if you have one", "pilates ball optional")]
    [InlineData("have a block or a book handy", "yoga block optional")]
    [InlineData("a pillow for under the knees if you like", "cushion optional")]
    [InlineData("a pair of light hand weights one to two pounds", "dumbbell required")]
    [InlineData("put your wraps and gloves on if you have a bag if not just shadow box", "boxing gloves optional")]
    [InlineData("today it's dumbbells only", "dumbbell required")]
    [InlineData("get a drink of water ready and a sweat towel", "towel optional")]
    [InlineData("roll out your mat", "mat required")]
    [InlineData("weights wise i've got eights and tens", "dumbbell required")]
    [InlineData("you might like to have some light weights for the arm section", "dumbbell optional")]
    [InlineData("mat and dumbbells ready let's go", "dumbbell required, mat required")]
    [InlineData("all you'll need is a mat and a little bit of motivation", "mat required")]
    [InlineData("we only need a chair", "chair required")]
    [InlineData("find a chair that does not slide", "chair required")]
    [InlineData("dumbbells optional", "dumbbell optional")]
    [InlineData("a mat if you're on a hard floor", "mat optional")]
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
    [InlineData("let's get down on the mat", "mat required")]
    [InlineData("grab that heavier dumbbell", "dumbbell required")]
    [InlineData("put the dumbbells down we don't need them", "")]
    [InlineData("reach for the ceiling like you're holding a beach ball", "")]
    [InlineData("all your weight in the front heel", "")]
    [InlineData("bring your chair in front of you", "chair required")]
    [InlineData("step onto your band", "resistance band required")]
    [InlineData("if you have got a step you can put your foot on it", "step optional")]
    [InlineData("grab your towel wipe the sweat off", "towel optional")]
    [InlineData("you can pop a dumbbell on your hips if you want to", "dumbbell optional")]
    [InlineData("the weight drops down to the side", "")]
    [InlineData("my mug fell off the step this morning", "")]
    [InlineData("we had bands playing at the wedding and a bar", "")]
    [InlineData("press up through the cushion of your heel", "")]
    [InlineData("my gran used to do it from a chair", "")]
    [InlineData("pop a cushion under that knee", "cushion optional")]
    [InlineData("for this one we're sat on the chair", "chair required")]
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
