using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.LexiconTests;

/// <summary>What some seconds of speech say of moves, by what was learned.</summary>
public sealed class MoveClassifierTests
{
    private static readonly Move[] Moves =
    [
        Make.Lexicon["overhead-press"] with { Id = "press", Name = "press", Aliases = [], Descriptions = [], Spoken = ["push it overhead", "elbows under hands and push"], Common = 1 },
        Make.Lexicon["squat"] with { Id = "sit", Name = "sit", Aliases = [], Descriptions = [], Spoken = ["hips back and sit", "knees bend and hips back"], Common = 1 },
        Make.Lexicon["crunch"] with { Id = "curl", Name = "curl", Aliases = [], Descriptions = [], Spoken = ["shoulders off the mat", "curl those shoulders up"], Common = 1 },
    ];

    private static readonly string[] Talk = ["my neighbour bought pizza", "pizza with the neighbour"];

    private static TaughtClass Taught(string move, string begun, string underWay) =>
        new([new TaughtBout(move, [.. Stems(begun)])]) { UnderWay = [new TaughtBout(move, [.. Stems(underWay)])] };

    private static string[] Stems(string said) => [.. said.Split(' ').Select(WordStem.Of)];

    private static MoveClassifier Learned(params TaughtClass[] taught) => MoveClassifierFit.Fit(Moves, Talk, taught);

    private static readonly MoveClassifier Classifier = Learned();

    private static MoveClassifier.Heard In(string said, string place = "", MoveClassifier? by = null)
    {
        var stems = Stems(said);
        return (by ?? Classifier).In(stems, Make.Fits(stems.Length, place));
    }

    private static ToldMove? Of(string said, int move, MoveClassifier? by = null) => In(said, by: by).Of(Moves[move], 0, said.Split(' ').Length);

    private static IEnumerable<string> Likely(string said, string place = "", double least = -3) => In(said, place).Likely(0, said.Split(' ').Length, 3, least).Select(l => l.Move.Id);

    [Theory]
    [InlineData("push those hands overhead", "press")]
    [InlineData("bend the knees hips go back", "sit")]
    [InlineData("shoulders curl up off the mat", "curl")]
    public void Words_are_likeliest_said_of_the_move_they_were_learned_for(string said, string move) => Assert.Equal(move, Likely(said).First());

    [Fact]
    public void Chance_and_lead_are_of_the_move_that_is_asked_for()
    {
        const string said = "bend the knees hips go back";
        var (right, wrong) = (Of(said, 1)!.Value, Of(said, 0)!.Value);
        Assert.InRange(right.Chance, -0.7, 0);
        Assert.True(wrong.Chance < -0.7);
        Assert.True(right.Lead > 0 && wrong.Lead < 0);
        Assert.Equal(1, Moves.Index().Sum(m => Math.Exp(Of(said, m.Index)!.Value.Chance)), 4);
    }

    [Fact]
    public void A_move_is_held_against_another()
    {
        const string said = "bend the knees hips go back";
        var heard = In(said);
        var told = heard.Of(Moves[1], 0, 6, Moves[0])!.Value;
        Assert.Equal(told.Chance - heard.Of(Moves[0], 0, 6)!.Value.Chance, told.Beside!.Value, 4);
        Assert.Null(heard.Of(Moves[1], 0, 6)!.Value.Beside);
    }

    [Fact]
    public void Talk_is_said_of_no_move()
    {
        Assert.True(Of("the neighbour has pizza", 0)!.Value.Idle < 0);
        Assert.True(Of("push it overhead", 0)!.Value.Idle > 0);
        Assert.Empty(Likely("my neighbour bought pizza"));
    }

    [Fact]
    public void Only_what_is_in_the_stretch_counts()
    {
        var heard = In("push it overhead hips back and sit");
        Assert.True(heard.Of(Moves[0], 0, 3)!.Value.Lead > 0);
        Assert.True(heard.Of(Moves[0], 3, 7)!.Value.Lead < 0);
        Assert.Equal(heard.Of(Moves[0], 0, 3), In("push it overhead overhead").Of(Moves[0], 0, 4));
    }

    [Fact]
    public void What_was_asked_before_changes_no_answer()
    {
        const string said = "push it overhead hips back and sit with the knees bend and elbows under hands off the mat";
        var length = said.Split(' ').Length;
        var asked = In(said);
        for (var from = 0; from < length; from += 2)
        {
            for (var end = from + 1; end <= length; end += 3)
            {
                Assert.Equal(In(said).Of(Moves[1], from, end), asked.Of(Moves[1], from, end));
                Assert.Equal(In(said).Of(Moves[2], 0, end), asked.Of(Moves[2], 0, end));
            }
        }
    }

    [Fact]
    public void Words_that_nobody_said_before_say_nothing()
    {
        Assert.Null(Of("xylophone quartz", 0));
        Assert.Null(In("push it overhead").Of(Make.Lexicon["lunge"], 0, 3));
        Assert.False(In("quartz").IsKnown(0));
        Assert.Empty(Likely("push overhead"));
    }

    [Fact]
    public void What_is_said_of_a_move_tells_of_those_that_have_much_in_common_with_it()
    {
        var akin = Moves[0] with { Id = "akin", Name = "akin", Spoken = ["palms face in"] };
        var learned = MoveClassifierFit.Fit([.. Moves, akin], Talk, []);
        var word = WordStem.Of("overhead");
        Assert.True(learned[word, "press"] > learned[word, "akin"]);
        Assert.True(learned[word, "akin"] > learned[word, "sit"]);
        Assert.True(learned[word, "akin"] > learned[word, "curl"]);
    }

    [Fact]
    public void A_move_that_is_not_done_where_the_body_is_is_less_likely()
    {
        const string said = "curl those shoulders up";
        Assert.Equal("curl", Likely(said).First());
        Assert.DoesNotContain("curl", Likely(said, "standing"));
    }

    [Fact]
    public void Fewer_are_likely_where_more_is_asked_for()
    {
        const string said = "push bend curl";
        Assert.True(Likely(said, least: -10).Count() > Likely(said, least: -0.9).Count());
        Assert.Equal(2, In(said).Likely(0, 3, 2, -10).Count);
    }

    [Fact]
    public void Marked_classes_teach_what_else_is_said()
    {
        const string said = "push hands like a lighthouse hips";
        var (before, after) = (Of(said, 1)!.Value, Of(said, 1, Learned([.. Enumerable.Repeat(Taught("sit", "push hands and hips", "hands push hands"), 20)]))!.Value);
        Assert.True(after.Chance > before.Chance + 0.5);
        Assert.Equal(Classifier.Write(), Learned(Taught("unknown", "push", "push")).Write());
    }

    [Fact]
    public void The_same_is_learned_from_the_same() => Assert.Equal(Learned().Write(), Learned().Write());

    [Fact]
    public void It_comes_back_as_it_was_written()
    {
        var read = MoveClassifier.Parse(Classifier.Write()).On(Moves);
        Assert.Equal(Classifier.Write(), read.Write());
        Assert.Equal(Of("push it overhead", 0), Of("push it overhead", 0, read));
        Assert.NotEqual(0, read["push", "press"]);
        Assert.Equal(0, read["quartz", "press"]);
        Assert.Equal(0, read["push", "lunge"]);
    }

    [Fact]
    public void Moves_that_are_gone_are_never_likely_and_new_ones_are_not_told()
    {
        var read = MoveClassifier.Parse(Classifier.Write()).On([Moves[0], Moves[2], Make.Lexicon["lunge"]]);
        const string said = "bend the knees hips go back";
        Assert.DoesNotContain("sit", In(said, by: read).Likely(0, 6, 3, -20).Select(l => l.Move.Id));
        Assert.Null(In(said, by: read).Of(Moves[1], 0, 6));
        Assert.Null(In(said, by: read).Of(Make.Lexicon["lunge"], 0, 6));
        Assert.True(float.IsFinite(In(said, by: read).Of(Moves[0], 0, 6)!.Value.Chance));
    }

    [Theory]
    [InlineData("a b\npush PPP\nsit PP\n", "Line 3")]
    [InlineData("a b\npush PPP\npush PPP\n", "Line 3")]
    [InlineData("# remark\na b\npushPPP\n", "Line 3")]
    [InlineData("a b\npush P\u0007P\n", "Line 2")]
    public void A_broken_table_says_where(string text, string says) =>
        Assert.Contains(says, Assert.Throws<FormatException>(() => MoveClassifier.Parse(text)).Message);

    [Fact]
    public void Nothing_learned_tells_nothing()
    {
        var heard = In("push it overhead", by: MoveClassifier.None);
        Assert.Null(heard.Of(Moves[0], 0, 3));
        Assert.Empty(heard.Likely(0, 3, 3, -10));
    }
}
