using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>The first stages: cleaning, words with times, numbers, marks, doses.</summary>
public sealed class WordsTests
{
    private static Speech Of(params string[] lines) => new(Make.Captions(lines).Cues);

    [Fact]
    public void Rolling_captions_are_said_once()
    {
        var speech = Of("[0:00] and now we are going", "[0:03] and now we are going to do some squats", "[0:06] to do some squats nice and low");
        Assert.Equal("and now we are going to do some squats nice and low", speech.Text);
    }

    [Fact]
    public void A_word_said_twice_is_not_a_rolling_caption() => Assert.Equal("up and down up and down", Of("[0:00] up and down", "[0:03] up and down").Text);

    private static readonly (int At, string Text)[] Said =
        [(0, "squats"), (4, "go"), (10, "three two one"), (14, "go"), (16, "go"), (20, "change legs"), (24, "and rest now everyone"), (30, "other leg")];

    private static string Stamp(double at) => $"00:00:{at:00.000}";

    /// <summary>How machines write the same words: each line once; above the next one; above it and alone between two; anew with each word.</summary>
    private static string Written(string way)
    {
        var cues = new List<(double From, double To, string Text)>();
        for (var i = 0; i < Said.Length; i++)
        {
            var (at, text) = Said[i];
            var end = i + 1 < Said.Length ? Said[i + 1].At : at + 3;
            switch (way)
            {
                case "rolling":
                    cues.Add((at, end, i == 0 ? $" \n{text}" : $"{Said[i - 1].Text}\n{text}"));
                    break;
                case "rolling with stills":
                    cues.Add((at, end - 0.01, i == 0 ? $" \n{text}" : $"{Said[i - 1].Text}\n{text}"));
                    cues.Add((end - 0.01, end, $"{text}\n "));
                    break;
                case "growing":
                    var words = text.Split(' ');
                    cues.AddRange(words.Select((_, w) => (at + (0.3 * w), at + (0.3 * w) + 0.3, string.Join(' ', words.Take(w + 1)))));
                    break;
                default:
                    cues.Add((at, end, text));
                    break;
            }
        }

        return "WEBVTT\n\n" + string.Concat(cues.Select(c => $"{Stamp(c.From)} --> {Stamp(c.To)} align:start position:0%\n{c.Text}\n\n"));
    }

    [Theory]
    [InlineData("once")]
    [InlineData("rolling")]
    [InlineData("rolling with stills")]
    [InlineData("growing")]
    public void However_a_machine_shows_its_lines_each_word_was_said_once_at_its_time(string way)
    {
        var speech = new Speech(CaptionReader.Read(Written(way)).Cues);
        Assert.Equal("squats go 3 2 1 go go change legs and rest now everyone other leg", speech.Text);
        Assert.Equal([0, 4, 10, 14, 16, 20, 24, 30], speech.Tokens.Where(t => t.Text is "squats" or "go" or "3" or "change" or "and" or "other").Select(t => (int)t.At));
    }

    [Theory]
    [InlineData("[Music]")]
    [InlineData("thank you")]
    [InlineData("♪")]
    [InlineData("ご視聴ありがとうございました")]
    public void Noise_after_the_end_is_cut(string noise)
    {
        var speech = Of("[0:00] and rest that's it for today", $"[1:00] {noise}", $"[2:00] {noise}");
        Assert.True(speech.End.Value < 60);
        Assert.Single(speech.Cues);
    }

    [Fact]
    public void Words_are_placed_inside_their_cue_and_never_after_the_next()
    {
        var speech = Of("[0:00] one two three four five six seven eight nine ten", "[0:05] go");
        Assert.Equal(speech.Tokens.Select(t => t.At).Order(), speech.Tokens.Select(t => t.At));
        Assert.True(speech.Tokens[9].At < 5);
        Assert.Equal(5, speech.Tokens[10].At);
    }

    [Fact]
    public void A_short_cue_before_a_long_silence_was_said_at_its_start() => Assert.True(Of("[0:00] squats and go", "[1:00] rest").Tokens[2].At < 3);

    [Theory]
    [InlineData("twenty five seconds", "25 seconds")]
    [InlineData("forty-five", "45")]
    [InlineData("twenty, five", "20 5")]
    [InlineData("thirty fifteen", "30 15")]
    [InlineData("twelve to fifteen", "12 to 15")]
    [InlineData("a 20-minute class", "a 20 minute class")]
    public void Numbers_are_digits_whether_said_or_written(string said, string text) => Assert.Equal(text, Of($"[0:00] {said}").Text);

    [Theory]
    [InlineData("and here we go", MarkKind.Start)]
    [InlineData("three two one go", MarkKind.Start)]
    [InlineData("and rest shake it out", MarkKind.Stop)]
    [InlineData("three two one and rest", MarkKind.Stop)]
    [InlineData("keep going ten seconds left", MarkKind.Doing)]
    [InlineData("one two three four five", MarkKind.Doing)]
    [InlineData("now the other side please", MarkKind.SwitchSide)]
    [InlineData("switch legs", MarkKind.SwitchSide)]
    [InlineData("right leg in front", MarkKind.Right)]
    [InlineData("that's round one", MarkKind.Round)]
    [InlineData("you're warm now", MarkKind.WarmUpOver)]
    [InlineData("let's cool down", MarkKind.CoolDown)]
    [InlineData("grab some water", MarkKind.Break)]
    [InlineData("see you next time", MarkKind.SignOff)]
    public void Phrases_that_steer_a_class_are_marked(string words, MarkKind kind) =>
        Assert.Contains(MarkFinder.Find(Of($"[0:10] {words}")), m => m.Kind == kind && m.Strength >= 0.5);

    [Fact]
    public void A_count_down_that_ends_in_rest_is_no_start() =>
        Assert.DoesNotContain(MarkFinder.Find(Of("[0:10] three two one and rest")), m => m.Kind == MarkKind.Start);

    [Theory]
    [InlineData("forty seconds on twenty seconds off", 40.0, 20.0)]
    [InlineData("it's thirty on fifteen off", 30.0, 15.0)]
    [InlineData("we work for forty seconds and we rest for twenty", 40.0, 20.0)]
    [InlineData("forty five seconds of work fifteen seconds rest", 45.0, 15.0)]
    [InlineData("thirty seconds each, ten seconds to change over", 30.0, 10.0)]
    [InlineData("one minute of work", 60.0, null)]
    public void Work_and_rest_are_read_as_said(string words, double work, double? rest)
    {
        var dose = DoseReader.Read(Of($"[0:05] {words}"));
        Assert.Equal((work, rest), (dose.WorkSeconds, dose.RestSeconds));
        Assert.NotEmpty(dose.Evidence);
    }

    [Theory]
    [InlineData("three to four rounds", 3, 4)]
    [InlineData("we go round two of three", 3, 3)]
    [InlineData("do this three times", 3, 3)]
    public void Rounds_may_be_a_range(string words, int low, int high) => Assert.Equal(new(low, high), DoseReader.Read(Of($"[0:05] {words}")).Rounds);

    [Theory]
    [InlineData("ten to twelve repetitions", 10, 12)]
    [InlineData("12 reps", 12, 12)]
    [InlineData("five each side", 5, 5)]
    public void Repetitions_are_read(string words, int low, int high) => Assert.Equal(new(low, high), DoseReader.Read(Of($"[0:05] {words}")).Reps);

    [Fact]
    public void Counting_out_loud_is_no_interval() => Assert.False(DoseReader.Read(Of("[0:05] nine ten eleven twelve and rest")).Timed);

    [Fact]
    public void Twenty_tens_are_known_by_name() =>
        Assert.Equal((20.0, 10.0, true), DoseReader.Read(Of("[0:05] this is a tabata")) is var d ? (d.WorkSeconds!.Value, d.RestSeconds!.Value, d.Tabata) : default);
}
