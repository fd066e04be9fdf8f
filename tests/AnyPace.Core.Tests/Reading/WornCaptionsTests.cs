using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Copies of a class as worse captions would have brought it.</summary>
public sealed class WornCaptionsTests
{
    private static readonly CaptionFile Class = Make.Captions([.. Enumerable.Range(0, 200).Select(i => $"[{i * 5 / 60}:{i * 5 % 60:00}] keep those heels down number {i} and drive up nice and tall")]);

    private static int Words(CaptionFile file) => file.Cues.Sum(c => c.Text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Length);

    [Fact]
    public void The_same_class_gives_the_same_copies() => Assert.Equal(WornCaptions.Of(Class, "one").SelectMany(f => f.Cues), WornCaptions.Of(Class, "one").SelectMany(f => f.Cues));

    [Fact]
    public void No_two_copies_nor_classes_are_worn_alike()
    {
        var all = WornCaptions.Of(Class, "one").Concat(WornCaptions.Of(Class, "another")).Select(f => string.Join('\n', f.Cues)).ToList();
        Assert.Equal(all.Count, all.Distinct().Count());
    }

    [Theory]
    [InlineData(0, 0.92)]
    [InlineData(1, 0.92)]
    [InlineData(2, 0.8)]
    [InlineData(3, 0.98 * 1.07)]
    public void Words_are_lost_and_fillers_come_in_between(int copy, double share) =>
        Assert.InRange(Words(WornCaptions.Of(Class, "one").ElementAt(copy)) / (double)Words(Class), share - 0.04, share + 0.04);

    [Fact]
    public void Captions_are_lost() => Assert.InRange(WornCaptions.Of(Class, "one").ElementAt(4).Cues.Count / 200.0, 0.8, 0.95);

    [Fact]
    public void Captions_come_a_little_early_or_late_and_in_order()
    {
        var late = WornCaptions.Of(Class, "one").ElementAt(5).Cues;
        Assert.All(late.Zip(Class.Cues), c => Assert.InRange(c.First.Start.Value - c.Second.Start.Value, -1.2, 1.2));
        Assert.Equal(late.Select(c => c.Start.Value).Order(), late.Select(c => c.Start.Value));
        Assert.Contains(late.Zip(Class.Cues), c => Math.Abs(c.First.Start.Value - c.Second.Start.Value) > 0.5);
    }
}
