using System.CommandLine;
using System.Diagnostics;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using Spectre.Console;

namespace AnyPace.Bench;

/// <summary><c>speed</c>: one long file warm, and a folder's worth in parallel, each beside the plain keyword reader in the same run.</summary>
internal static class SpeedBench
{
    private const int Warm = 20;
    private const int Runs = 40;

    public static Command Build()
    {
        var files = new Option<int>("--files") { Description = "How many files the folder has.", DefaultValueFactory = _ => 1000 };
        var command = new Command("speed", "How long a 30-minute file takes, and a folder of a thousand.") { files };
        command.SetAction(parse => Run(parse.GetValue(files)));
        return command;
    }

    private static int Run(int files)
    {
        var lexicon = MoveLexicon.Default;
        var reader = new CaptionReading(lexicon);
        var plain = new KeywordReader(lexicon);
        var recordings = MarkedRecording.Load(["demo", "tests/corpus"]);
        var table = new Table().AddColumns("what", "words", "reading, median ms", "keywords, median ms", "ratio");
        foreach (var minutes in new[] { 15, 30, 60, 120 })
        {
            var file = Joined(recordings, minutes * 60);
            var words = file.Cues.Sum(c => c.Text.Split(' ').Length);
            var ours = Median(() => reader.Read(file));
            var theirs = Median(() => plain.Read(file));
            table.AddRow($"{minutes} minutes", $"{words}", $"{ours:0.0}", $"{theirs:0.0}", $"{ours / theirs:0.0}");
        }

        AnsiConsole.Write(table);
        Folder(reader, recordings, files);
        return 0;
    }

    /// <summary>Recordings one after the other until the length is reached: as many words a minute as our captions have.</summary>
    private static CaptionFile Joined(List<MarkedRecording> recordings, double seconds)
    {
        var cues = new List<Cue>();
        var offset = 0.0;
        for (var i = 0; offset < seconds; i++)
        {
            var source = recordings[i % recordings.Count].Captions.Cues;
            cues.AddRange(source.Select(c => c with { Start = new(c.Start.Value + offset), End = c.End is { } e ? new(e.Value + offset) : null })
                .Where(c => c.Start.Value < seconds));
            offset += source[^1].Start.Value + 5;
        }

        return recordings[0].Captions with { Cues = [.. cues] };
    }

    private static double Median(Action read)
    {
        for (var i = 0; i < Warm; i++)
        {
            read();
        }

        var times = new double[Runs];
        for (var i = 0; i < Runs; i++)
        {
            var start = Stopwatch.GetTimestamp();
            read();
            times[i] = Stopwatch.GetElapsedTime(start).TotalMilliseconds;
        }

        Array.Sort(times);
        return times[Runs / 2];
    }

    private static void Folder(CaptionReading reader, List<MarkedRecording> recordings, int files)
    {
        var (done, highest, first) = (0, 0L, 0L);
        var start = Stopwatch.GetTimestamp();
        AnsiConsole.Progress().Start(progress =>
        {
            var task = progress.AddTask($"reading {files} files", maxValue: files);
            Parallel.For(0, files, i =>
            {
                reader.Read(CaptionReader.Read(recordings[i % recordings.Count].Bytes));
                var n = Interlocked.Increment(ref done);
                task.Increment(1);
                if (n % 50 == 0)
                {
                    var used = GC.GetTotalMemory(forceFullCollection: false);
                    InterlockedMax(ref highest, used);
                    Interlocked.CompareExchange(ref first, used, 0);
                }
            });
        });
        var seconds = Stopwatch.GetElapsedTime(start).TotalSeconds;
        AnsiConsole.MarkupLineInterpolated(
            $"{files} files in {seconds:0.0} s, {files / seconds:0} a second on {Environment.ProcessorCount} cores; managed memory {first / 1048576} MB after 50 files, at most {highest / 1048576} MB.");
    }

    private static void InterlockedMax(ref long target, long value)
    {
        for (var seen = Volatile.Read(ref target); value > seen; seen = Volatile.Read(ref target))
        {
            if (Interlocked.CompareExchange(ref target, value, seen) == seen)
            {
                return;
            }
        }
    }
}
