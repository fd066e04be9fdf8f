using System.CommandLine;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;

namespace AnyPace.Bench;

/// <summary><c>fit</c>: makes the weights by which mentions are judged anew, from the marked recordings that are tuned on.</summary>
internal static class FitBench
{
    public static Command Build()
    {
        var folders = new Argument<string[]>("folders") { Description = "Folders with captions/ and gold/.", DefaultValueFactory = _ => ["demo", "tests/corpus"] };
        var output = new Option<string>("--out") { Description = "The table to write.", DefaultValueFactory = _ => "src/AnyPace.Core/Reading/mention-weights.csv" };
        var command = new Command("fit", "Weights of what speaks for a move that is named, from marked recordings. Those kept aside are left out.") { folders, output };
        command.SetAction(parse => Run(parse.GetValue(folders)!, parse.GetValue(output)!));
        return command;
    }

    private static int Run(string[] folders, string output)
    {
        var recordings = MarkedRecording.Load(folders).FindAll(r => !r.Gold.KeptAside);
        var table = MentionFit.Fit([.. recordings.Select(r => MentionFit.Mentions(r.Captions, r.Gold, MoveLexicon.Default))]);
        File.WriteAllText(output, table.Write());
        Console.WriteLine($"{table.Weights.Count} weights from {recordings.Count} recordings, in {output}. They are read once the project is built again.");
        return 0;
    }
}
