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
            if (Directory.Exists(target))
            {
                var codes = Directory.GetFiles(target).Order(StringComparer.Ordinal).Select(f => One(f, wanted, context, parse.GetValue(json))).ToList();
                return codes.Count == 0 ? 0 : codes.Max();
            }

            return One(target, wanted, context, parse.GetValue(json));
        });
        return command;
    }

    private static int One(string file, CaptionFormat? format, ReadingContext context, bool json)
    {
        Timeline timeline;
        try
        {
            timeline = new CaptionReading(MoveLexicon.Default).Read(CaptionReader.Read(File.ReadAllBytes(file), format), context);
        }
        catch (CaptionException e)
        {
            Console.Error.WriteLine($"{file}: {e.Message}");
            return CannotRead;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            Console.Error.WriteLine($"{file}: {e.Message}");
            return CannotRead;
        }

        if (json)
        {
            Console.Out.WriteLine(JsonSerializer.Serialize(ReadingDocument.Of(Path.GetFileName(file), timeline, MoveLexicon.Default), Json.Line));
        }
        else
        {
            Show(file, timeline);
        }

        return 0;
    }

    private static void Show(string file, Timeline timeline)
    {
        AnsiConsole.MarkupLineInterpolated($"[bold]{Path.GetFileName(file)}[/]  {timeline.Recorded}  {timeline.Kind}");
        foreach (var s in timeline.Structures)
        {
            AnsiConsole.MarkupLineInterpolated($"{s.Type.Word()}: work {s.Work} rest {s.Rest} rounds {s.Rounds} reps {s.Reps}{(s.Measured ? " (measured)" : "")}");
        }

        var table = new Table().AddColumns("from", "to", "phase", "move", "side", "sure");
        foreach (var b in timeline.Bouts)
        {
            table.AddRow(
                b.Span.Start.Clock(), b.Span.End.Clock(), timeline.PhaseOf(b).Word(), Markup.Escape(MoveLexicon.Default[b.MoveId].Name),
                b.Side == Side.Both ? "" : b.Side.ToString().ToLowerInvariant(), $"{b.Confidence:0.00}");
        }

        AnsiConsole.Write(table);
        foreach (var k in timeline.Kit)
        {
            AnsiConsole.MarkupLineInterpolated($"{k.Item}: {k.Need.ToString().ToLowerInvariant()} {k.Count} {k.Load}");
        }
    }
}
