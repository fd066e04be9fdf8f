using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>
/// Lower bounds on all marked classes, those tuned on and those kept aside, so that a change can not make the reading quietly worse.
/// They stand a little below what <c>./anypace bench reading</c> prints.
/// </summary>
public sealed class MarkedReadingTests
{
    private static readonly Lazy<List<(GoldReading Gold, ReadingScore Score)>> Scores = new(() =>
        [.. Marked().Select(m => (m.Gold, Score(new CaptionReading(Make.Lexicon), m)))]);

    private static ReadingScore Score(CaptionReading reading, (GoldReading Gold, CaptionFile Captions) marked) =>
        ReadingScore.Of(reading.Read(marked.Captions, new ReadingContext(marked.Gold.Title, marked.Gold.StatedMinutes)), marked.Gold, Make.Lexicon);

    /// <summary>The kept-aside classes as another reading reads them.</summary>
    internal static List<ReadingScore> Aside(CaptionReading reading) => [.. Marked().Where(m => m.Gold.KeptAside).Select(m => Score(reading, m))];

    /// <summary>All marked classes, in name order.</summary>
    internal static IEnumerable<(GoldReading Gold, CaptionFile Captions)> Marked() =>
        new[] { "demo", Path.Combine("tests", "corpus") }.SelectMany(folder => Directory.GetFiles(Path.Combine(Root, folder, "gold"), "*.json").Order(StringComparer.Ordinal).Select(file =>
        {
            var gold = GoldReading.Parse(File.ReadAllText(file));
            return (gold, CaptionReader.Read(File.ReadAllBytes(Path.Combine(Root, folder, "captions", gold.Captions))));
        }));

    /// <summary>The folder of the project.</summary>
    internal static string Root
    {
        get
        {
            var folder = new DirectoryInfo(AppContext.BaseDirectory);
            while (!Directory.Exists(Path.Combine(folder!.FullName, "demo", "gold")))
            {
                folder = folder.Parent;
            }

            return folder.FullName;
        }
    }

    /// <summary>The captions of every marked class, in name order.</summary>
    public static IEnumerable<CaptionFile> Captions() => Marked().Select(m => m.Captions);

    internal static List<ReadingScore> Of(bool aside) => [.. Scores.Value.Where(s => s.Gold.KeptAside == aside).Select(s => s.Score)];

    [Fact]
    public void There_are_thirty_marked_classes_and_a_third_of_them_is_kept_aside()
    {
        Assert.True(Scores.Value.Count >= 30);
        Assert.InRange(Of(aside: true).Count / (double)Scores.Value.Count, 0.3, 0.4);
    }

    /// <summary>The demo data finds sessions again by their titles.</summary>
    [Fact]
    public void No_two_marked_classes_have_one_title() =>
        Assert.Empty(Scores.Value.GroupBy(s => s.Gold.Title, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1).Select(g => g.Key));

    [Fact]
    public void Every_marked_bout_names_a_move_of_the_lexicon() =>
        Assert.All(Scores.Value.SelectMany(s => s.Gold.Bouts), b => Assert.NotNull(Make.Lexicon.Find(b.MoveId)));

    [Theory]
    [InlineData(false, 0.90, 0.85, 0.90, 0.93, 0.91, 0.89)]
    [InlineData(true, 0.84, 0.75, 0.86, 0.80, 0.83, 0.85)]
    public void Readings_agree_with_the_marked_timelines_at_least_this_far(
        bool aside, double moves, double bouts, double phases, double structures, double kit, double muscles)
    {
        var scores = Of(aside);
        Assert.InRange(scores.Average(s => s.MovesF1), moves, 1);
        Assert.InRange(scores.Average(s => s.BoutsFound), bouts, 1);
        Assert.InRange(scores.Average(s => s.PhaseOverlap), phases, 1);
        Assert.InRange(scores.Select(s => s.StructureExact).OfType<double>().Average(), structures, 1);
        Assert.InRange(scores.Select(s => s.Equipment).Aggregate((a, b) => a + b).F1, kit, 1);
        Assert.InRange(scores.Average(s => s.MusclesTopFive), muscles, 1);
        Assert.True(scores.Count(s => s.ImpactExact) >= scores.Count * 0.85);
        Assert.True(scores.Count(s => s.LevelWithinOne) >= scores.Count * 0.9);
        Assert.True(scores.Sum(s => s.WarmUp.Hits + s.CoolDown.Hits) >= scores.Count * 2 * 0.75);
    }

    [Theory]
    [InlineData(false, 0.75, 0.79)]
    [InlineData(true, 0.64, 0.70)]
    public void Promises_and_asides_are_found_at_least_this_well(bool aside, double precision, double recall)
    {
        var both = Of(aside).SelectMany(s => new[] { s.Claims, s.Outside }).OfType<Tally>().Aggregate((a, b) => a + b);
        Assert.InRange(both.Precision, precision, 1);
        Assert.InRange(both.Recall, recall, 1);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void What_is_said_to_be_surer_is_right_more_often(bool aside)
    {
        var proposals = Of(aside).SelectMany(s => s.Proposals).ToList();
        double Right(double from, double to) => proposals.Where(p => p.Confidence >= from && p.Confidence < to).Average(p => p.Right ? 1 : 0);
        (double From, double To)[] bands = [(0, 0.4), (0.4, 0.7), (0.7, 0.9), (0.9, 1)];
        Assert.All(bands.Zip(bands.Skip(1)), b => Assert.True(Right(b.First.From, b.First.To) < Right(b.Second.From, b.Second.To)));

        // What the program learned from it reads better than it says.
        Assert.All(aside ? bands[1..] : [], b => Assert.InRange(Right(b.From, b.To), b.From, b.To));
    }

    [Fact]
    public void Kept_aside_most_of_what_is_wrong_is_doubtful_and_most_of_what_is_right_is_not()
    {
        var proposals = Of(aside: true).SelectMany(s => s.Proposals).ToList();
        double Doubtful(bool right) => proposals.Where(p => p.Right == right).Average(p => p.Confidence < Core.Sessions.Bout.DoubtBelow ? 1 : 0);
        Assert.InRange(Doubtful(right: false), 0.6, 1);
        Assert.InRange(Doubtful(right: true), 0, 0.22);
    }

    [Fact]
    public void A_gold_reading_scores_one_against_itself()
    {
        foreach (var (gold, _) in Scores.Value)
        {
            var score = ReadingScore.Of(gold.Correct(Core.Sessions.Timeline.Empty), gold, Make.Lexicon);
            Assert.Equal((1.0, 1.0, 1.0, 1.0), (score.MovesF1, score.BoutsFound, score.PhaseOverlap, score.Equipment.F1));
            Assert.True(score.ImpactExact && score.LevelWithinOne);
        }
    }

    [Fact]
    public void An_empty_reading_finds_nothing()
    {
        var (gold, _) = Scores.Value[0];
        var score = ReadingScore.Of(Core.Sessions.Timeline.Empty, gold, Make.Lexicon);
        Assert.Equal((0.0, 0.0), (score.MovesF1, score.BoutsFound));
    }
}
