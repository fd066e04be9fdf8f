using System.CommandLine;
using System.Diagnostics;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Columns;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Diagnosers;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Loggers;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using Spectre.Console;

namespace AnyPace.Bench;

/// <summary>One file of each length read by the reading and by the plain keyword reader, in one run, so that the ratio holds on any machine.</summary>
public class ReadingSpeed
{
    /// <summary>Words a second of a coach who talks all the time.</summary>
    private const double Pace = 2.4;

    private const int WordsInCue = 8;

    private readonly CaptionReading _reader = new(MoveLexicon.Default);
    private readonly KeywordReader _plain = new(MoveLexicon.Default);
    private CaptionFile _file = null!;

    /// <summary>Minutes.</summary>
    [Params(15, 30, 60)]
    public int Length { get; set; }

    /// <summary>The words of all marked recordings one after the other, at a steady pace, in cues of a few words.</summary>
    [GlobalSetup]
    public void Fill()
    {
        var words = MarkedRecording.Load(["demo", "tests/corpus"]).SelectMany(r => new Speech(r.Captions.Cues).Tokens.Select(t => t.Text)).ToList();
        var cues = Enumerable.Range(0, (int)(Length * 60 * Pace / WordsInCue)).Select(i => new Cue(
            new(i * WordsInCue / Pace), new((i + 1) * WordsInCue / Pace),
            string.Join(' ', Enumerable.Range(i * WordsInCue, WordsInCue).Select(w => words[w % words.Count])), i + 1));
        _file = new CaptionFile(CaptionFormat.WebVtt, [.. cues]);
    }

    [Benchmark(Baseline = true)]
    public object Keywords() => _plain.Read(_file);

    [Benchmark]
    public object Reading() => _reader.Read(_file);
}

/// <summary><c>speed</c>: files of some lengths warm, and a folder's worth in parallel.</summary>
internal static class SpeedBench
{
    public static Command Build()
    {
        var files = new Option<int>("--files") { Description = "How many files the folder has.", DefaultValueFactory = _ => 1000 };
        var command = new Command("speed", "How long a file takes beside a plain keyword reader, and a folder of a thousand.") { files };
        command.SetAction(parse => Run(parse.GetValue(files)));
        return command;
    }

    private static int Run(int files)
    {
        BenchmarkRunner.Run<ReadingSpeed>(ManualConfig.CreateEmpty()
            .AddJob(Job.Default.WithWarmupCount(25).WithIterationCount(8).WithToolchain(new InProcessEmitToolchain(TimeSpan.FromMinutes(10), logOutput: false)))
            .AddColumnProvider(DefaultColumnProviders.Instance)
            .AddDiagnoser(MemoryDiagnoser.Default)
            .AddLogger(ConsoleLogger.Default)
            .WithArtifactsPath(Path.Combine(Path.GetTempPath(), "anypace-bench")));
        Folder(new CaptionReading(MoveLexicon.Default), MarkedRecording.Load(["demo", "tests/corpus"]), files);
        return 0;
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
        var minutes = Enumerable.Range(0, files).Sum(i => recordings[i % recordings.Count].Gold.Phases[^1].Span.End.Minutes);
        AnsiConsole.MarkupLineInterpolated($"They hold {minutes:0} minutes of classes as they are spoken: {1000 * seconds * Environment.ProcessorCount / (minutes / 30):0} ms of one core for 30 minutes of them, parsing and all.");
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
