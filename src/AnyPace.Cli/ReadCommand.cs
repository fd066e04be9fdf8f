using System.CommandLine;
using System.Text.Json;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using Spectre.Console;

namespace AnyPace.Cli;

/// <summary><c>read FILE|DIR</c>: prints the reading of captions, for people or as the public JSON contract.</summary>
internal static class ReadCommand
{
    private const int CannotRead = 2;

    public static Command Build()
    {
        var path = new Argument<string>("path") { Description = "A caption file, or a folder of them." };
        var format = new Option<string>("--format") { Description = "auto, vtt, srt or plain.", DefaultValueFactory = _ => "auto" };
        format.AcceptOnlyFromAmong("auto", "vtt", "srt", "plain");
        var title = new Option<string?>("--title") { Description = "The title the studio gives it." };
        var stated = new Option<double?>("--stated") { Description = "The promised length in minutes." };
        var json = new Option<bool>("--json") { Description = "Print the public JSON, one document a line." };
        var command = new Command("read", "Read captions into a class score.") { path, format, title, stated, json };
        command.SetAction(parse =>
        {
            var target = parse.GetValue(path)!;
            CaptionFormat? wanted = parse.GetValue(format) switch
            {
                "vtt" => CaptionFormat.WebVtt,
                "srt" => CaptionFormat.SubRip,
                "plain" => CaptionFormat.Plain,
                _ => null,
            };
            var context = new ReadingContext(parse.GetValue(title), parse.GetValue(stated));
            return Directory.Exists(target) ? Folder(target, wanted, context, parse.GetValue(json)) : One(target, wanted, context, parse.GetValue(json)).Print();
        });
        return command;
    }

    /// <summary>What reading one file came to: what to print, or why it can't be read.</summary>
    private sealed record Outcome(string File, Timeline? Timeline, string? Json, string? Error)
    {
        public int Print()
        {
            if (Error is not null)
            {
                Console.Error.WriteLine($"{File}: {Error}");
                return CannotRead;
            }

            if (Json is not null)
            {
                Console.Out.WriteLine(Json);
            }
            else
            {
                Show(File, Timeline!);
            }

            return 0;
        }
    }

    /// <summary>All files of a folder, side by side, printed in the order of their names; a bar on standard error where someone watches.</summary>
    private static int Folder(string folder, CaptionFormat? format, ReadingContext context, bool json)
    {
        var files = Directory.GetFiles(folder).Order(StringComparer.Ordinal).ToList();
        var code = 0;
        var read = files.AsParallel().AsOrdered().WithMergeOptions(ParallelMergeOptions.NotBuffered).Select(f => One(f, format, context, json));
        if (Console.IsErrorRedirected || files.Count < 2)
        {
            foreach (var outcome in read)
            {
                code = Math.Max(code, outcome.Print());
            }

            return code;
        }

        var watched = AnsiConsole.Create(new AnsiConsoleSettings { Out = new AnsiConsoleOutput(Console.Error) });
        var late = new List<Outcome>();
        watched.Progress().AutoClear(true).Start(progress =>
        {
            var task = progress.AddTask($"reading {files.Count} files", maxValue: files.Count);
            foreach (var outcome in read)
            {
                task.Increment(1);

                // What goes to a file or a pipe goes at once; the screen has the bar for the while.
                if (Console.IsOutputRedirected && outcome.Error is null)
                {
                    outcome.Print();
                }
                else
                {
                    late.Add(outcome);
                }
            }
        });
        foreach (var outcome in late)
        {
            code = Math.Max(code, outcome.Print());
        }

        return code;
    }

    private static Outcome One(string file, CaptionFormat? format, ReadingContext context, bool json)
    {
        try
        {
            var timeline = new CaptionReading(MoveLexicon.Default).Read(CaptionReader.Read(File.ReadAllBytes(file), format), context);
            return json
                ? new Outcome(file, null, JsonSerializer.Serialize(ReadingDocument.Of(Path.GetFileName(file), timeline, MoveLexicon.Default), Json.Line), null)
                : new Outcome(file, timeline, null, null);
        }
        catch (Exception e) when (e is CaptionException or IOException or UnauthorizedAccessException)
        {
            return new Outcome(file, null, null, e.Message);
        }
    }

    private static void Show(string file, Timeline timeline)
    {
        AnsiConsole.MarkupLineInterpolated($"[bold]{Path.GetFileName(file)}[/]  {timeline.Recorded}  {timeline.Kind}");
        foreach (var s in timeline.Structures)
        {
            AnsiConsole.MarkupLineInterpolated($"{s.Type.Word()}: work {s.Work} rest {s.Rest} rounds {s.Rounds} reps {s.Reps}{(s.Measured ? " (measured)" : "")}");
        }

        var table = new Table().AddColumns("from", "to", "phase", "move", "side", "sure", "or rather");
        foreach (var b in timeline.Bouts)
        {
            table.AddRow(
                b.Span.Start.Clock(), b.Span.End.Clock(), timeline.PhaseOf(b).Word(), Markup.Escape(MoveLexicon.Default[b.MoveId].Name),
                b.Side == Side.Both ? "" : b.Side.ToString().ToLowerInvariant(), $"{b.Confidence:0.00}", Markup.Escape(string.Join(", ", b.Instead.Select(id => MoveLexicon.Default[id].Name))));
        }

        AnsiConsole.Write(table);
        foreach (var k in timeline.Kit)
        {
            AnsiConsole.MarkupLineInterpolated($"{k.Item}: {k.Need.ToString().ToLowerInvariant()} {k.Count} {k.Load}");
        }
    }
}
