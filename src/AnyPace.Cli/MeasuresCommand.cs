using System.CommandLine;
using System.Globalization;
using AnyPace.Core.Captions;
using AnyPace.Core.Checks;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using Spectre.Console;

namespace AnyPace.Cli;

/// <summary><c>measures DIR</c>: a table of what a folder of captions comes to, at the three paces.</summary>
internal static class MeasuresCommand
{
    public static Command Build()
    {
        var folder = new Argument<DirectoryInfo>("folder") { Description = "A folder of caption files." };
        folder.AcceptExistingOnly();
        var markdown = new Option<bool>("--markdown") { Description = "Print the table as Markdown." };
        var command = new Command("measures", "Measure a folder of captions, at the three paces.") { folder, markdown };
        command.SetAction(parse => Print(parse.GetValue(folder)!, parse.GetValue(markdown)));
        return command;
    }

    private static int Print(DirectoryInfo folder, bool markdown)
    {
        var lexicon = MoveLexicon.Default;
        var reader = new CaptionReading(lexicon);
        var table = new Table { Border = markdown ? TableBorder.Markdown : TableBorder.Rounded }
            .AddColumns("class", "time", "work %", "impact E / L / P", "level E / L / P", "focus as led", "turning %", "place", "by ear %", "lacks", "findings");
        var code = 0;
        foreach (var file in folder.GetFiles().OrderBy(f => f.Name, StringComparer.Ordinal))
        {
            try
            {
                var timeline = reader.Read(CaptionReader.Read(File.ReadAllBytes(file.FullName)));
                var all = Measure.All(timeline, lexicon);
                var led = all.AsLed;
                string Each(Func<MeasureSheet, string> value) => string.Join(" / ", Paces.All.Select(all.At).Select(value));
                table.AddRow(
                    new[]
                    {
                        Path.GetFileNameWithoutExtension(file.Name), led.Time.NeededHigh > led.Time.Needed ? $"{led.Time.Needed}-{led.Time.NeededHigh}" : $"{led.Time.Needed}", Percent(led.Time.Density),
                        Each(s => s.Impact.Class.Key()), Each(s => $"{s.Difficulty.Level}"), led.FullBody ? "whole body" : string.Join(", ", led.Focus.Take(3)),
                        Percent(led.Balance.Planes.GetValueOrDefault("transverse")), $"{led.Place.Space.Word()}, {led.Place.Noise.Word()}",
                        all.Coaching.ByEar is { } ear ? Percent(ear) : "", string.Join(", ", led.Completeness.Lacks), $"{Check.All(timeline, lexicon, all).Count}",
                    }.Select(Markup.Escape).ToArray());
            }
            catch (CaptionException e)
            {
                Console.Error.WriteLine($"{file.Name}: {e.Message}");
                code = 2;
            }
        }

        if (markdown)
        {
            // As wide as it gets: a table in a file is not folded.
            AnsiConsole.Profile.Width = 400;
        }

        AnsiConsole.Write(table);
        return code;
    }

    private static string Percent(double share) => (share * 100).ToString("0", CultureInfo.InvariantCulture);
}
