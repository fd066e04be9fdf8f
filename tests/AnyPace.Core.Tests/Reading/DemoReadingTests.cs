using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Lower bounds on the demo studio's classes, so that a change can not make the reading quietly worse.</summary>
public sealed class DemoReadingTests
{
    private static string Demo
    {
        get
        {
            var folder = new DirectoryInfo(AppContext.BaseDirectory);
            while (folder is not null && !Directory.Exists(Path.Combine(folder.FullName, "demo", "gold")))
            {
                folder = folder.Parent;
            }

            return Path.Combine(folder!.FullName, "demo");
        }
    }

    private static List<(GoldReading Gold, ReadingScore Score)> Scores() =>
    [
        .. Directory.GetFiles(Path.Combine(Demo, "gold"), "*.json").Select(file =>
        {
            var gold = GoldReading.Parse(File.ReadAllText(file));
            var captions = CaptionReader.Read(File.ReadAllBytes(Path.Combine(Demo, "captions", gold.Captions)));
            return (gold, ReadingScore.Of(new CaptionReading(Make.Lexicon).Read(captions, new ReadingContext(gold.Title, gold.StatedMinutes)), gold, Make.Lexicon));
        }),
    ];

    [Fact]
    public void Every_marked_bout_names_a_move_of_the_lexicon() =>
        Assert.All(Scores().SelectMany(s => s.Gold.Bouts), b => Assert.NotNull(Make.Lexicon.Find(b.MoveId)));

    [Fact]
    public void Readings_agree_with_the_marked_timelines_at_least_this_far()
    {
        var scores = Scores().Select(s => s.Score).ToList();
        Assert.True(scores.Count >= 8);
        Assert.InRange(scores.Average(s => s.MovesF1), 0.85, 1);
        Assert.InRange(scores.Average(s => s.BoutsFound), 0.75, 1);
        Assert.InRange(scores.Average(s => s.PhaseOverlap), 0.78, 1);
    }

    [Fact]
    public void A_gold_reading_scores_one_against_itself()
    {
        foreach (var (gold, _) in Scores())
        {
            var corrected = gold.Correct(Core.Sessions.Timeline.Empty);
            var score = ReadingScore.Of(corrected, gold, Make.Lexicon);
            Assert.Equal((1.0, 1.0, 1.0, 1.0), (score.MovesF1, score.BoutsFound, score.PhaseOverlap, score.Equipment.F1));
        }
    }

    [Fact]
    public void An_empty_reading_finds_nothing()
    {
        var (gold, _) = Scores()[0];
        var score = ReadingScore.Of(Core.Sessions.Timeline.Empty, gold, Make.Lexicon);
        Assert.Equal((0.0, 0.0), (score.MovesF1, score.BoutsFound));
    }
}
