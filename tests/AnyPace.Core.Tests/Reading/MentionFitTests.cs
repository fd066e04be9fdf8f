using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

public sealed class MentionFitTests
{
    private static readonly TraitValue Named = new(Trait.Said, false, 0, 0, 1);
    private static readonly TraitValue Passing = new(Trait.Said, false, 0, 1, 1);
    private static readonly TraitValue Faintly = new(Trait.Like, true, 5, 0, 0);

    /// <summary>Eight classes in which what is named is right nine times in ten, what is said in passing one time in ten, and what is faintly heard half the time.</summary>
    private static List<MentionFit.Examples> Classes() =>
    [
        .. Enumerable.Range(0, 8).Select(_ => new MentionFit.Examples(
        [
            .. Enumerable.Range(0, 10).SelectMany(i => new (bool, TraitValue[], bool)[]
            {
                (false, [Named], i > 0),
                (false, [Passing], i == 0),
                (true, [Faintly], i % 2 == 0),
            }),
        ])),
    ];

    private static double Likelihood(MentionWeightTable table, TraitValue trait) =>
        LogisticFit.Share((trait.Faint ? table.FaintBase : table.Base) + table.Weights[trait]);

    [Fact]
    public void What_is_right_more_often_is_likelier()
    {
        var table = MentionFit.Fit(Classes());
        Assert.InRange(Likelihood(table, Named), 0.7, 0.9);
        Assert.InRange(Likelihood(table, Passing), 0.1, 0.3);
        Assert.InRange(Likelihood(table, Faintly), 0.45, 0.55);
    }

    [Fact]
    public void The_order_of_the_classes_and_of_their_mentions_changes_nothing()
    {
        var classes = Classes();
        var turned = classes.AsEnumerable().Reverse().Select(c => new MentionFit.Examples([.. c.Of.Reverse()])).ToList();
        Assert.Equal(MentionFit.Fit(classes).Write(), MentionFit.Fit(turned).Write());
    }

    [Fact]
    public void What_is_seen_in_few_classes_only_is_not_weighed()
    {
        var seldom = new TraitValue(Trait.Turn, false, 1, 1, 0);
        var classes = Classes();
        classes[0] = new MentionFit.Examples([.. classes[0].Of, (false, [Named, seldom], true)]);
        Assert.DoesNotContain(seldom, MentionFit.Fit(classes).Weights.Keys);
    }

    [Fact]
    public void A_ridge_pulls_weights_to_nothing()
    {
        int[][] features = [[0], [0], [0], []];
        bool[] right = [true, true, true, false];
        var (free, held) = (LogisticFit.Fit(features, right, 1, 0.1), LogisticFit.Fit(features, right, 1, 100));
        Assert.True(free[0] > held[0] && held[0] > 0);
        Assert.InRange(held[0], 0, 0.05);
    }

    [Fact]
    public void A_table_is_read_as_it_was_written()
    {
        var table = MentionFit.Fit(Classes());
        var read = MentionWeightTable.Parse(table.Write());
        Assert.Equal((table.Base, table.FaintBase), (read.Base, read.FaintBase));
        Assert.Equal(table.Weights.OrderBy(w => w.Key.ToString()), read.Weights.OrderBy(w => w.Key.ToString()));
    }

    [Theory]
    [InlineData("trait,faint,a,b,c,weight\nSaid,0,1,0\n", "Line 2")]
    [InlineData("trait,faint,a,b,c,weight\nSaid,0,1,0,0,much\n", "Line 2")]
    [InlineData("trait,faint,a,b,c,weight\nSaid,0,1,0,0,0.5\nGuessed,0,1,0,0,0.5\n", "Line 3 of the weights: there is no trait 'Guessed'")]
    public void A_broken_table_says_where(string text, string says) =>
        Assert.Contains(says, Assert.Throws<FormatException>(() => MentionWeightTable.Parse(text)).Message);

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
        var mention = Assert.Single(MentionFit.Mentions(file, gold, Make.Lexicon).Of, m => !m.Faint);
        Assert.Equal(right, mention.Right);
    }

    /// <summary>Whoever changes what is heard, or a marked class, runs <c>./anypace bench fit</c>.</summary>
    [Fact]
    public void The_shipped_weights_are_those_of_the_marked_classes()
    {
        using var shipped = new StreamReader(typeof(MentionFit).Assembly.GetManifestResourceStream("reading/mention-weights.csv")!);
        var (table, fitted) = (MentionWeightTable.Parse(shipped.ReadToEnd()), MentionFit.Fit([.. MarkedReadingTests.Marked().Where(m => !m.Gold.KeptAside).Select(m => MentionFit.Mentions(m.Captions, m.Gold, Make.Lexicon))]));
        Assert.Equal(fitted.Weights.Keys.Select(k => k.ToString()).Order(), table.Weights.Keys.Select(k => k.ToString()).Order());

        // Another machine may round the last digit the other way.
        Assert.All(table.Weights, w => Assert.Equal(fitted.Weights[w.Key], w.Value, 0.021));
    }
}
