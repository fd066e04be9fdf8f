using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Tests.LexiconTests;

/// <summary>Moves that are described and not named.</summary>
public sealed class DescriptionTests
{
    [Fact]
    public void What_coaches_describe_is_read_as_the_move_they_mean()
    {
        var wrong = new List<string>();
        foreach (var line in Make.Lines("Lexicon", "descriptions.txt"))
        {
            var split = line.LastIndexOf(':');
            var timeline = Make.Read(
                "[0:00] hi everyone welcome back to another class", $"[0:10] okay so {line[..split]}", "[0:25] keep it going nice and controlled keep breathing",
                "[0:45] ten seconds left", "[0:55] three two one and relax", "[1:10] great job everyone see you next time");
            var read = timeline.Bouts.Select(b => b.MoveId).Distinct().ToList();
            if (read is not [var only] || only != line[(split + 1)..].Trim())
            {
                wrong.Add($"{line} but read as {string.Join(", ", read)}");
            }
        }

        Assert.True(wrong.Count == 0, string.Join(Environment.NewLine, wrong));
    }

    private static IReadOnlyList<DescribedHit> Find(string words, params Move[] moves) =>
        DescriptionIndex.Build(moves).Find([.. words.Split(' ').Select(WordStem.Of)]);

    private static Move Bridge(params string[] says) => Make.Lexicon["glute-bridge"] with { Descriptions = [.. says] };

    [Fact]
    public void All_ideas_must_be_said_in_any_order()
    {
        Assert.Single(Find("up to the ceiling with those hips", Bridge("hip ceiling/sky up")));
        Assert.Empty(Find("up with those hips", Bridge("hip ceiling/sky up")));
    }

    [Fact]
    public void Ideas_far_apart_are_no_description()
    {
        Assert.Empty(Find("hips are stiff today so we take it slow and easy and only later reach the ceiling", Bridge("hip ceiling")));
    }

    [Fact]
    public void The_fullest_description_comes_first() => Assert.Equal(
        3, Find("hips to the ceiling heels down", Bridge("hip ceiling", "hip ceiling heel"))[0].Words.Length);

    [Fact]
    public void One_idea_alone_is_refused() => Assert.Throws<LexiconException>(() => Find("hips", Bridge("hip")));
}
