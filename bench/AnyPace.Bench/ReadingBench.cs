using System.CommandLine;
using System.Globalization;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using Spectre.Console;

namespace AnyPace.Bench;

/// <summary><c>reading</c>: holds the reading of marked recordings against their gold timelines, beside a plain keyword reader.</summary>
internal static class ReadingBench
{
    public static Command Build()
    {
        var folders = new Argument<string[]>("folders") { Description = "Folders with captions/ and gold/.", DefaultValueFactory = _ => ["demo", "tests/corpus"] };
        var cases = new Option<bool>("--cases") { Description = "One line for each recording that is tuned on. The kept-aside set is only ever shown as a sum." };
        var worst = new Option<bool>("--worst") { Description = "The five worst of the kept-aside set, with what was missed: for a closing report, not for tuning." };
        var show = new Option<string?>("--show") { Description = "One recording that is tuned on: captions, what was marked (=) and what is proposed (>), on one clock." };
        var turn = new Option<bool>("--in-turn") { Description = "Those that are tuned on are read by what was learned from the others (words, and the trees that judge), in five parts. Takes some minutes." };
        var command = new Command("reading", "Agreement of readings with marked timelines.") { folders, cases, worst, show, turn };
        command.SetAction(parse => parse.GetValue(show) is { } name
            ? MarkedRecording.Load(parse.GetValue(folders)!).FirstOrDefault(r => r.Name == name) is { } recording
                ? Show(recording, new CaptionReading(MoveLexicon.Default).Read(recording.Captions, recording.Context))
                : NotFound(name)
            : Run(parse.GetValue(folders)!, parse.GetValue(cases), parse.GetValue(worst), parse.GetValue(turn)));
        return command;
    }

    /// <summary>Each naming with what the words around it do, and each mark: what the bouts were made from.</summary>
    private static IEnumerable<(double At, int Order, string Text)> Mentions(MarkedRecording recording)
    {
        var speech = new Speech(recording.Captions.Cues);
        var marks = MarkFinder.Find(speech);
        return MentionFinder.Find(speech, MoveLexicon.Default, marks, DoseReader.Read(speech))
            .Select(m => (m.At, 3, $"      . {m.Move.Id} {m.Role}{(m.Weak ? " weak" : "")} {m.Weight:0.00} from {new Seconds(m.EffectiveAt)} by '{string.Join(' ', speech.Tokens.Skip(m.Token).Take(m.Length).Select(t => t.Text))}'"))
            .Concat(marks.Where(m => m.Kind is not MarkKind.Doing).Select(m => (m.At, 3, $"      * {m.Kind} {m.Strength:0.0}")));
    }

    private static int NotFound(string name)
    {
        Console.Error.WriteLine($"There is no marked recording '{name}'.");
        return 1;
    }

    private static int Run(string[] folders, bool cases, bool worst, bool inTurn)
    {
        var lexicon = MoveLexicon.Default;
        var shipped = new CaptionReading(lexicon);
        var plain = new KeywordReader(lexicon);
        var recordings = MarkedRecording.Load(folders);
        var readers = inTurn ? ReadInTurn(recordings.FindAll(r => !r.Gold.KeptAside), lexicon) : [];
        var scores = recordings
            .Select(r => (
                r.Name,
                r.Gold.KeptAside,
                Pace: new Speech(r.Captions.Cues).WordsAMinute,
                Ours: ReadingScore.Of(readers.GetValueOrDefault(r, shipped).Read(r.Captions, r.Context), r.Gold, lexicon),
                Plain: ReadingScore.Of(plain.Read(r.Captions), r.Gold, lexicon)))
            .ToList();
        var tuned = scores.Where(s => !s.KeptAside).ToList();
        var aside = scores.Where(s => s.KeptAside).ToList();
        if (cases)
        {
            Cases([.. tuned.Select(s => (s.Name, s.Ours))]);
        }

        var table = new Table().AddColumns("figure", $"{(inTurn ? "tuned on, in turn" : "tuned on")} ({tuned.Count})", "plain keywords", $"kept aside ({aside.Count})", "plain keywords");
        var columns = new List<List<(string Name, string Value)>>
        {
            Figures([.. tuned.Select(s => s.Ours)]), Figures([.. tuned.Select(s => s.Plain)]),
            Figures([.. aside.Select(s => s.Ours)]), Figures([.. aside.Select(s => s.Plain)]),
        };
        var rows = columns.MaxBy(c => c.Count)!;
        for (var i = 0; i < rows.Count; i++)
        {
            table.AddRow([rows[i].Name, .. columns.Select(c => c.Count == 0 ? "-" : c[i].Value)]);
        }

        AnsiConsole.Write(table);
        ByPace([.. scores.Select(s => (s.KeptAside, s.Pace, s.Ours))]);
        Calibration("tuned on", [.. tuned.SelectMany(s => s.Ours.Proposals)]);
        Calibration("kept aside", [.. aside.SelectMany(s => s.Ours.Proposals)]);
        if (worst)
        {
            Cases([.. aside.OrderBy(s => s.Ours.MovesF1 + s.Ours.BoutsFound + s.Ours.PhaseOverlap).Take(5).Select(s => (s.Name, s.Ours))]);
        }

        return 0;
    }

    /// <summary>For each recording a reading that learned from the others.</summary>
    private static Dictionary<MarkedRecording, CaptionReading> ReadInTurn(List<MarkedRecording> recordings, MoveLexicon lexicon) =>
        recordings.Zip(ReadByOthers.Learn(recordings.ConvertAll(r => new MentionFit.MarkedClass(r.Captions, r.Gold)), lexicon).Readings()).ToDictionary(r => r.First, r => r.Second);

    private static List<(string Name, string Value)> Figures(List<ReadingScore> scores)
    {
        if (scores.Count == 0)
        {
            return [];
        }

        string Mean(Func<ReadingScore, double?> of)
        {
            var known = scores.Select(of).OfType<double>().ToList();
            return known.Count == 0 ? "-" : $"{known.Average():0.00}";
        }

        string Sum(Func<ReadingScore, Tally?> of, Func<Tally, string> show)
        {
            var known = scores.Select(of).OfType<Tally>().ToList();
            return known.Count == 0 ? "-" : show(known.Aggregate((a, b) => a + b));
        }

        string Presence(Tally t) => $"{t.Hits} of {t.Hits + t.Extra + t.Missed} (+{t.Extra} -{t.Missed})";
        string Both(Tally t) => $"{t.F1:0.00} (p {t.Precision:0.00}, r {t.Recall:0.00})";
        string Of(Func<ReadingScore, int> of, int each) => $"{scores.Sum(of)} of {scores.Count * each}";
        return
        [
            ("moves F1", Mean(s => s.MovesF1)),
            ("bouts within 15 s", Mean(s => s.BoutsFound)),
            ("warm-up presence", Sum(s => s.WarmUp, Presence)),
            ("cool-down presence", Sum(s => s.CoolDown, Presence)),
            ("phase seconds", Mean(s => s.PhaseOverlap)),
            ("structure exact", Mean(s => s.StructureExact)),
            ("equipment F1", Sum(s => s.Equipment, Both)),
            ("equipment, items alone", Sum(s => s.EquipmentItems, Both)),
            ("impact exact", Of(s => s.ImpactExact ? 1 : 0, 1)),
            ("muscles, top five", Mean(s => s.MusclesTopFive)),
            ("level within one", Of(s => s.LevelWithinOne ? 1 : 0, 1)),
            ("options", Sum(s => s.Options, Both)),
            ("cautions", Sum(s => s.Cautions, Both)),
            ("promises", Sum(s => s.Claims, Both)),
            ("outside", Sum(s => s.Outside, Both)),
            ("promises and outside", Sum(s => s.Claims is { } c && s.Outside is { } o ? c + o : null, Both)),
        ];
    }

    private static void Cases(List<(string Name, ReadingScore Score)> scores)
    {
        static string F(Tally? t) => t is { } x ? $"{x.Hits}/+{x.Extra}/-{x.Missed}" : "-";
        Console.WriteLine("hits/+extra/-missed");
        foreach (var (name, s) in scores)
        {
            Console.WriteLine(
                $"{name,-22} moves {s.MovesF1:0.00}  bouts {s.BoutsFound:0.00}  phases {s.PhaseOverlap:0.00} {(s.WarmUp.Hits > 0 ? "" : "warm-up! ")}{(s.CoolDown.Hits > 0 ? "" : "cool-down! ")}"
                + $" dose {s.StructureExact?.ToString("0.0", CultureInfo.InvariantCulture) ?? "-"}  kit {F(s.Equipment)}  options {F(s.Options)}  cautions {F(s.Cautions)}"
                + $"  promises {F(s.Claims)}  outside {F(s.Outside)}  impact {(s.ImpactExact ? "ok" : "!")}  muscles {s.MusclesTopFive:0.0}  level {(s.LevelWithinOne ? "ok" : "!")}");
            if (!s.Missed.IsEmpty || !s.Extra.IsEmpty)
            {
                Console.WriteLine($"    missed {string.Join(' ', s.Missed)}   extra {string.Join(' ', s.Extra)}");
            }
        }
    }

    /// <summary>What was marked and what is proposed, on one clock with the captions.</summary>
    private static int Show(MarkedRecording recording, Timeline read)
    {
        if (recording.Gold.KeptAside)
        {
            Console.Error.WriteLine($"{recording.Name} is kept aside: nobody looks at its cases while tuning.");
            return 1;
        }

        var lines = recording.Captions.Cues.Select(c => (At: c.Start.Value, Order: 0, Text: $"        {c.Text.ReplaceLineEndings(" ")}"))
            .Concat(Mentions(recording))
            .Concat(recording.Gold.Bouts.Select(b => (b.Span.Start.Value, 1, $"= {b.MoveId} {b.Side} to {b.Span.End}")))
            .Concat(read.Bouts.Select(b => (b.Span.Start.Value, 2, $"> {b.MoveId} {b.Side} to {b.Span.End} ({b.Confidence:0.00})")))
            .Concat(recording.Gold.Phases.Select(p => (p.Span.Start.Value, 1, $"== {p.Kind} to {p.Span.End}")))
            .Concat(read.Phases.Select(p => (p.Span.Start.Value, 2, $">> {p.Kind} to {p.Span.End}")))
            .Concat((recording.Gold.Options ?? []).Select(o => (o.At, 1, $"=   option {o.Kind}")))
            .Concat(read.Options.Select(o => (o.At.Value, 2, $">   option {o.Direction} {o.MoveId}: {o.Text}")))
            .Concat((recording.Gold.Cautions ?? []).Select(o => (o.At, 1, $"=   caution {o.Kind}")))
            .Concat(read.Cautions.Select(o => (o.At.Value, 2, $">   caution {o.Topic}: {o.Text}")))
            .Concat((recording.Gold.Claims ?? []).Concat(recording.Gold.Outside ?? []).Select(o => (o.At, 1, $"=   {o.Kind}")))
            .Concat(read.Claims.Select(o => (o.At.Value, 2, $">   {o.Type}: {o.Text}")))
            .Concat(read.Outside.Select(o => (o.At.Value, 2, $">   {o.Type}: {o.Text}")))
            .OrderBy(l => l.Item1).ThenBy(l => l.Item2);
        foreach (var (at, _, text) in lines)
        {
            Console.WriteLine($"{new Seconds(at)} {text}");
        }

        Console.WriteLine($"marked: {string.Join("; ", recording.Gold.Kit)}; {string.Join("; ", recording.Gold.Structures ?? [])}");
        Console.WriteLine($"read:   {string.Join("; ", read.Kit.Select(k => $"{k.Item} {k.Need}"))}; {string.Join("; ", read.Structures.Select(s => $"{s.Type} {s.Work} {s.Rest} rounds {s.Rounds} sets {s.Sets} reps {s.Reps} moves {s.MovesPerRound} measured {s.Measured}"))}");
        return 0;
    }

    /// <summary>Who works in front of a camera says a hundred words a minute and more; many classes of ours hold fewer, and are easier to read.</summary>
    private static void ByPace(List<(bool KeptAside, double Pace, ReadingScore Score)> scores)
    {
        (string Name, double From, double To)[] paces = [("under 40", 0, 40), ("40 to 80", 40, 80), ("80 and more", 80, double.PositiveInfinity)];
        var table = new Table().AddColumns("words a minute", "set", "recordings", "moves F1", "bouts", "phase seconds", "structure").Title("By how much is said");
        foreach (var (name, from, to) in paces)
        {
            foreach (var set in scores.Where(s => s.Pace >= from && s.Pace < to).GroupBy(s => s.KeptAside).OrderBy(g => g.Key))
            {
                string Mean(Func<ReadingScore, double?> of) => $"{set.Average(s => of(s.Score)):0.00}";
                table.AddRow(name, set.Key ? "kept aside" : "tuned on", $"{set.Count()}", Mean(s => s.MovesF1), Mean(s => s.BoutsFound), Mean(s => s.PhaseOverlap), Mean(s => s.StructureExact));
            }
        }

        AnsiConsole.Write(table);
    }

    /// <summary>Of bouts proposed at 0.8, about 80 % should be right.</summary>
    private static void Calibration(string set, List<(double Confidence, bool Right)> proposals)
    {
        var table = new Table().AddColumns("sure", "bouts", "said, mean", "right, share").Title($"Calibration, {set}");
        foreach (var band in proposals.GroupBy(p => Math.Floor(p.Confidence * 10) / 10).OrderBy(g => g.Key))
        {
            table.AddRow($"{band.Key:0.0} to {band.Key + 0.1:0.0}", $"{band.Count()}", $"{band.Average(p => p.Confidence):0.00}", $"{band.Average(p => p.Right ? 1 : 0):0.00}");
        }

        AnsiConsole.Write(table);
    }
}
