using System.CommandLine;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using Spectre.Console;

namespace AnyPace.Cli;

/// <summary><c>bench reading DIR</c>: holds the reading of a folder's captions against the gold timelines beside them.</summary>
internal static class BenchCommand
{
    /// <summary>Kept aside: nobody looks at their cases while tuning; only their totals are printed.</summary>
    private static readonly HashSet<string> TestSet = ["corner-drills", "chair-and-wall", "morning-unwind"];

    public static Command Build()
    {
        var folder = new Argument<string>("folder") { Description = "A folder with captions/ and gold/.", DefaultValueFactory = _ => "demo" };
        var reading = new Command("reading", "Agreement of readings with marked timelines.") { folder };
        reading.SetAction(parse => Reading(parse.GetValue(folder)!));
        return new Command("bench", "Measure.") { reading };
    }

    private static int Reading(string folder)
    {
        var reader = new CaptionReading(MoveLexicon.Default);
        var scores = new List<(string Name, bool Test, ReadingScore Score)>();
        foreach (var file in Directory.GetFiles(Path.Combine(folder, "gold"), "*.json").Order(StringComparer.Ordinal))
        {
            var gold = GoldReading.Parse(File.ReadAllText(file));
            var captions = CaptionReader.Read(File.ReadAllBytes(Path.Combine(folder, "captions", gold.Captions)));
            var name = Path.GetFileNameWithoutExtension(file);
            scores.Add((name, TestSet.Contains(name), ReadingScore.Of(reader.Read(captions, new ReadingContext(gold.Title, gold.StatedMinutes)), gold)));
        }

        var table = new Table().AddColumns("set", "moves F1", "bouts within 15 s", "phase seconds", "equipment F1", "warm-up, cool-down", "missed", "extra");
        foreach (var (name, _, score) in scores.Where(s => !s.Test))
        {
            Row(table, name, [score], string.Join(", ", score.Missed), string.Join(", ", score.Extra));
        }

        Row(table, "[bold]tuned on[/]", [.. scores.Where(s => !s.Test).Select(s => s.Score)], "", "");
        Row(table, "[bold]kept aside[/]", [.. scores.Where(s => s.Test).Select(s => s.Score)], "", "");
        AnsiConsole.Write(table);
        Calibration([.. scores.Where(s => !s.Test).SelectMany(s => s.Score.Proposals)]);
        return 0;
    }

    /// <summary>Of bouts proposed at 0.8, about 80 % should be right.</summary>
    private static void Calibration(List<(double Confidence, bool Right)> proposals)
    {
        var table = new Table().AddColumns("sure", "bouts", "right, share").Title("Calibration, tuned on");
        foreach (var band in proposals.GroupBy(p => Math.Floor(p.Confidence * 10) / 10).OrderBy(g => g.Key))
        {
            table.AddRow($"{band.Key:0.0} to {band.Key + 0.1:0.0}", $"{band.Count()}", $"{band.Average(p => p.Right ? 1 : 0):0.00}");
        }

        AnsiConsole.Write(table);
    }

    private static void Row(Table table, string name, List<ReadingScore> scores, string missed, string extra)
    {
        if (scores.Count == 0)
        {
            return;
        }

        table.AddRow(
            name, $"{scores.Average(s => s.MovesF1):0.00}", $"{scores.Average(s => s.BoutsFound):0.00}", $"{scores.Average(s => s.PhaseOverlap):0.00}",
            $"{scores.Average(s => s.EquipmentF1):0.00}", $"{scores.Sum(s => (s.WarmUpRight ? 1 : 0) + (s.CoolDownRight ? 1 : 0))} of {2 * scores.Count}",
            Markup.Escape(missed), Markup.Escape(extra));
    }
}
