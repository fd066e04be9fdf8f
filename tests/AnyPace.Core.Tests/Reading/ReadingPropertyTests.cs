using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What holds for the reading of any words at all, sense or nonsense.</summary>
public sealed class ReadingPropertyTests
{
    private static readonly string[] Words =
    [
        "squat", "squats", "lunge", "lunges", "reverse", "plank", "high", "knees", "knee", "push", "up", "ups", "row", "rows", "press", "curl", "curls", "with", "to", "into", "and",
        "a", "the", "your", "other", "side", "left", "right", "leg", "arm", "rest", "go", "next", "now", "then", "if", "you", "can", "or", "not", "don't", "like", "no", "three", "two",
        "one", "four", "five", "six", "seven", "eight", "ten", "twenty", "thirty", "forty", "seconds", "minute", "minutes", "on", "off", "rounds", "sets", "reps", "of", "each", "for", "work",
        "same", "again", "second", "set", "round", "last", "first", "back", "down", "lie", "stand", "on", "all", "fours", "mat", "chair", "dumbbells", "band", "wall", "calories", "burn",
        "fat", "subscribe", "doctor", "breathe", "stretch", "cool", "warm", "switch", "legs", "hold", "pulse", "jump", "jumping", "jacks", "easier", "harder", "too", "much", "step", "instead",
        "clam", "shall", "dead", "buck", "thank", "see", "time", "let's", "start", "water", "break", "without", "per", "twice", "through", "20", "45", "it's", "is", "that", "half", "way",
    ];

    private static CaptionFile Nonsense(Random random)
    {
        var cues = new List<Cue>();
        var at = 0.0;
        for (var i = random.Next(3, 50); i > 0; i--)
        {
            var words = Enumerable.Range(0, random.Next(1, 25)).Select(_ => Words[random.Next(Words.Length)] + (random.Next(12) == 0 ? "." : random.Next(15) == 0 ? "," : ""));
            var length = random.NextDouble() * 40;
            cues.Add(new Cue(new Seconds(at), random.Next(3) == 0 ? null : new Seconds(at + (length * random.NextDouble() * 1.2)), string.Join(random.Next(9) == 0 ? "\n" : " ", words), i));
            at += length;
        }

        return new CaptionFile(CaptionFormat.Plain, cues);
    }

    private static void AssertSound(Timeline timeline)
    {
        var end = timeline.Recorded.Value + 0.11;
        var before = -0.01;
        foreach (var bout in timeline.Bouts)
        {
            Assert.NotNull(Make.Lexicon.Find(bout.MoveId));
            Assert.InRange(bout.Span.Start.Value, before, end);
            Assert.InRange(bout.Span.End.Value, bout.Span.Start.Value + 0.01, end);
            Assert.InRange(bout.Confidence, 0, 1);
            before = bout.Span.End.Value - 0.11;
        }

        before = -0.01;
        foreach (var phase in timeline.Phases)
        {
            Assert.InRange(phase.Span.Start.Value, before, end);
            Assert.InRange(phase.Span.End.Value, phase.Span.Start.Value, end);
            before = phase.Span.End.Value - 0.11;
        }

        Assert.All(timeline.Structures, s => Assert.True(s.Work is null || s.Work.Value.Value is >= 8 and <= 300));
    }

    [Fact]
    public void Any_words_give_a_sound_timeline()
    {
        var random = new Random(42);
        var reading = new CaptionReading(Make.Lexicon);
        for (var i = 0; i < 300; i++)
        {
            AssertSound(reading.Read(Nonsense(random)));
        }
    }

    /// <summary>
    /// By a clock that runs wrong nothing keeps the beat that is said. What was left between two bouts was once filled over and over again there, less each time, in one class without an end.
    /// </summary>
    [Fact]
    public void A_class_by_a_clock_that_runs_wrong_gives_a_sound_timeline() => Assert.All(MarkedReadingTests.Captions(), file =>
    {
        const double slow = 1.5;
        static Seconds Later(Seconds at) => new(at.Value * slow);
        AssertSound(new CaptionReading(Make.Lexicon).Read(file with { Cues = [.. file.Cues.Select(c => c with { Start = Later(c.Start), End = c.End is { } e ? Later(e) : null })] }));
    });

    [Fact]
    public void The_same_captions_always_give_the_same_reading()
    {
        var random = new Random(43);
        for (var i = 0; i < 20; i++)
        {
            var file = Nonsense(random);
            var (a, b) = (new CaptionReading(Make.Lexicon).Read(file), new CaptionReading(Make.Lexicon).Read(file));
            Assert.Equal(a.Bouts.Select(x => (x.MoveId, x.Span, x.Side, x.Confidence)), b.Bouts.Select(x => (x.MoveId, x.Span, x.Side, x.Confidence)));
            Assert.Equal(a.Phases.AsEnumerable(), b.Phases.AsEnumerable());
        }
    }

    [Fact]
    public void Rolling_captions_read_like_the_words_said_once()
    {
        var lines = new[] { "hello and welcome let's get started", "squats first in three two one go", "sit back and stand up tall", "keep going you are doing well", "and rest shake it out", "lunges next and go", "step back and down", "and rest well done" };
        Cue At(int i, string text) => new(new Seconds(i * 10), new Seconds((i * 10) + 10), text, i + 1);
        var once = new CaptionFile(CaptionFormat.WebVtt, [.. lines.Select((l, i) => At(i, l))]);
        var rolling = new CaptionFile(CaptionFormat.WebVtt, [.. lines.Select((l, i) => At(i, i == 0 ? l : $"{lines[i - 1]}\n{l}"))]);
        Assert.Equal(
            new CaptionReading(Make.Lexicon).Read(once).Bouts.Select(b => (b.MoveId, b.Span)),
            new CaptionReading(Make.Lexicon).Read(rolling).Bouts.Select(b => (b.MoveId, b.Span)));
    }
}
