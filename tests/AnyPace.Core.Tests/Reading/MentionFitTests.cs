using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

public sealed class MentionFitTests
{
    private static readonly string[] Columns = ["named", "passing", "noise"];

    private static readonly byte[] Named = [1, 0, 7];
    private static readonly byte[] Passing = [0, 1, 7];
    private static readonly byte[] Neither = [0, 0, 7];

    /// <summary>What is named is right nine times in ten, what is said in passing one time in ten, what is neither half the time. The last column tells nothing.</summary>
    private static (List<byte[]> Told, List<bool> Right) Examples()
    {
        var (told, right) = (new List<byte[]>(), new List<bool>());
        for (var i = 0; i < 400; i++)
        {
            foreach (var (kind, isRight) in new[] { (Named, i % 10 > 0), (Passing, i % 10 == 0), (Neither, i % 2 == 0) })
            {
                told.Add([kind[0], kind[1], (byte)(i / 10 % 5)]);
                right.Add(isRight);
            }
        }

        return (told, right);
    }

    /// <summary>Trees from examples each of which is a group of its own.</summary>
    private static BoostedTrees Fit(List<byte[]> told, List<bool> right) => BoostedTrees.Fit(told, right, [.. Enumerable.Range(0, told.Count)]);

    private static BoostedTrees Fit()
    {
        var (told, right) = Examples();
        return Fit(told, right);
    }

    [Fact]
    public void What_is_right_more_often_is_likelier_and_by_as_much()
    {
        var trees = Fit();
        Assert.InRange(trees.Likelihood(Named), 0.85, 0.93);
        Assert.InRange(trees.Likelihood(Passing), 0.07, 0.15);
        Assert.InRange(trees.Likelihood(Neither), 0.45, 0.55);
    }

    [Fact]
    public void Two_columns_that_only_tell_together_are_learnt_together()
    {
        var (told, right) = (new List<byte[]>(), new List<bool>());
        for (var i = 0; i < 400; i++)
        {
            // Either, but not both; a few more of one kind, or no single question would tell anything.
            var (a, b) = ((byte)(i % 2), (byte)(i % 8 < 5 ? 1 : 0));
            told.Add([a, b]);
            right.Add(a != b);
        }

        var trees = Fit(told, right);
        Assert.All(new byte[][] { [0, 1], [1, 0] }, t => Assert.InRange(trees.Likelihood(t), 0.7, 1));
        Assert.All(new byte[][] { [0, 0], [1, 1] }, t => Assert.InRange(trees.Likelihood(t), 0, 0.3));
    }

    [Fact]
    public void The_order_of_the_examples_changes_nothing()
    {
        var (told, right) = Examples();
        var turned = BoostedTrees.Fit([.. told.AsEnumerable().Reverse()], [.. right.AsEnumerable().Reverse()], [.. Enumerable.Range(0, told.Count).Reverse()]);
        Assert.Equal(Fit().Write(Columns), turned.Write(Columns));
    }

    [Fact]
    public void What_only_one_group_tells_is_believed_less_than_what_many_tell()
    {
        BoostedTrees Told(Func<int, int> group)
        {
            var examples = Enumerable.Range(0, 400).Select(i => (Told: new byte[] { (byte)(i % 2) }, Right: i % 2 == 0, Group: group(i))).ToList();
            return BoostedTrees.Fit([.. examples.Select(e => e.Told)], [.. examples.Select(e => e.Right)], [.. examples.Select(e => e.Group)]);
        }

        Assert.InRange(Told(i => i).Likelihood([0]) - Told(_ => 0).Likelihood([0]), 0.0001, 0.2);
    }

    [Fact]
    public void What_too_few_examples_have_is_not_asked()
    {
        var (told, right) = Examples();
        for (var i = 0; i < 10; i++)
        {
            told.Add([9, 0, 0]);
            right.Add(false);
        }

        var trees = Fit(told, right);
        Assert.Equal(trees.Likelihood([1, 0, 0]), trees.Likelihood([9, 0, 0]));
    }

    [Fact]
    public void Nothing_to_learn_from_says_nothing()
    {
        var trees = Fit([], []);
        Assert.Equal(0.5, trees.Likelihood([1, 2, 3]));
        Assert.Empty(trees.Columns);
    }

    [Fact]
    public void Trees_are_read_as_they_were_written()
    {
        var trees = Fit();
        var read = BoostedTrees.Parse(trees.Write(Columns), Columns);
        Assert.Equal(trees.Write(Columns), read.Write(Columns));
        Assert.All(new[] { Named, Passing, Neither }, t => Assert.Equal(trees.Likelihood(t), read.Likelihood(t)));
    }

    [Theory]
    [InlineData("column,cut,value\nnamed,0\n", "Line 2")]
    [InlineData("column,cut,value\nnamed,300,0\n", "Line 2")]
    [InlineData("column,cut,value\nnamed,0,much\n", "Line 2")]
    [InlineData("column,cut,value\nnamed,0,0\nguessed,0,0\n", "Line 3 of the trees: there is no column 'guessed'")]
    [InlineData("column,cut,value\nnamed,0,0\n", "The trees have 1 lines")]
    public void A_broken_table_says_where(string text, string says) =>
        Assert.Contains(says, Assert.Throws<FormatException>(() => BoostedTrees.Parse(text, Columns)).Message);

    [Theory]
    [InlineData(20, 60, true)]
    [InlineData(32, 60, true)]
    [InlineData(5, 60, true)]
    [InlineData(40, 60, false)]
    [InlineData(0, 4, false)]
    public void A_mention_is_right_if_its_move_begins_about_then_or_is_under_way(double start, double end, bool right)
    {
        var file = CaptionReader.Read(Encoding.UTF8.GetBytes("[0:00] hello and welcome everybody\n[0:20] squats\n[0:50] keep going\n[1:10] thank you bye\n"));
        var gold = GoldReading.Parse($$"""
            {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-27","statedMinutes":1,"phases":[["work",0,70]],"bouts":[["squat",{{start}},{{end}},"both"]]}
            """);
        var faint = MentionFit.Traits.ToList().IndexOf(nameof(Trait.Faint));
        var mention = Assert.Single(MentionFit.Mentions(file, gold, Make.Lexicon).Of, m => m.Told[faint] == 0);
        Assert.Equal(right, mention.Right);
    }

    private static List<MentionFit.MarkedClass> Tuned => [.. MarkedReadingTests.Marked().Where(m => !m.Gold.KeptAside).Select(m => new MentionFit.MarkedClass(m.Captions, m.Gold))];

    [Fact]
    public void The_lexicon_ships_what_it_learns_from_the_marked_classes()
    {
        using var shipped = new StreamReader(typeof(MentionFit).Assembly.GetManifestResourceStream("taught-classes.txt")!);
        Assert.Equal(TaughtClass.Write(Tuned.Select(MentionFit.Taught)), shipped.ReadToEnd());
    }

    /// <summary>Whoever changes what the lexicon says of moves, or a marked class, runs <c>./anypace bench fit</c>.</summary>
    [Fact]
    public void The_shipped_words_of_moves_are_those_of_the_lexicon_and_the_marked_classes()
    {
        var (shipped, fitted) = (Make.Lexicon.Classifier, Make.Lexicon.Taught([.. Tuned.Select(MentionFit.Taught)]).Classifier);
        var words = fitted.Write().Split('\n').Skip(2).Select(l => l.Split(' ')[0]).Where(w => w.Length > 0).ToList();
        var moves = Make.Lexicon.Moves.Where(m => m.Parts.IsEmpty).ToList();

        // Another machine may add up in another order.
        Assert.InRange(words.Average(w => moves.Average(m => Math.Abs(shipped[w, m.Id] - fitted[w, m.Id]))), 0, 0.01);
    }

    private static readonly Lazy<ReadByOthers> Others = new(() => ReadByOthers.Learn(Tuned, Make.Lexicon));

    /// <summary>Whoever changes what is heard, or a marked class, runs <c>./anypace bench fit</c>.</summary>
    [Fact]
    public void The_shipped_trees_are_those_of_the_marked_classes() => AssertShipped("mention-trees.csv", MentionFit.Traits, Others.Value.Mentions);

    /// <summary>Likewise, and whoever changes how a recording is divided.</summary>
    [Fact]
    public void The_shipped_trees_of_the_choice_are_those_of_the_marked_classes() =>
        AssertShipped("choice-trees.csv", MoveChoiceFit.Traits, MoveChoiceFit.Stretches(Others.Value));

    /// <summary>Likewise, and whoever changes what a bout is read from.</summary>
    [Fact]
    public void The_shipped_trees_of_starts_are_those_of_the_marked_classes() =>
        AssertShipped("start-trees.csv", StartFit.Traits, StartFit.Moments(Others.Value, Shipped("choice-trees.csv", MoveChoiceFit.Traits)), 0.025);

    /// <summary>Likewise, and whoever changes the rules by which phases are divided.</summary>
    [Fact]
    public void The_shipped_trees_of_phases_are_those_of_the_marked_classes()
    {
        var (warm, cool) = PhaseFit.Borders(Others.Value, Shipped("choice-trees.csv", MoveChoiceFit.Traits), Shipped("start-trees.csv", StartFit.Traits));
        AssertShipped("warm-up-trees.csv", PhaseFit.Traits, warm);
        AssertShipped("cool-down-trees.csv", PhaseFit.Traits, cool);
    }

    private static void AssertShipped(string file, IReadOnlyList<string> traits, IReadOnlyList<MentionFit.Examples> examples, double within = 0.01)
    {
        var (trees, fitted) = (Shipped(file, traits), MentionFit.Fit(examples));

        // Another machine may round the last digit the other way, and ask another of two questions that tell the same.
        var told = examples.SelectMany(e => e.Of).Select(e => e.Told).ToList();
        Assert.InRange(told.Average(t => Math.Abs(trees.Likelihood(t) - fitted.Likelihood(t))), 0, within);
    }

    private static BoostedTrees Shipped(string file, IReadOnlyList<string> traits)
    {
        using var shipped = new StreamReader(typeof(MentionFit).Assembly.GetManifestResourceStream("reading/" + file)!);
        return BoostedTrees.Parse(shipped.ReadToEnd(), traits);
    }
}
