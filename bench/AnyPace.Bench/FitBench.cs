using System.CommandLine;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;

namespace AnyPace.Bench;

/// <summary><c>fit</c>: makes the weights by which mentions and remarks are judged anew, from what is marked and tuned on.</summary>
internal static class FitBench
{
    public static Command Build()
    {
        var folders = new Argument<string[]>("folders") { Description = "Folders with captions/ and gold/.", DefaultValueFactory = _ => ["demo", "tests/corpus"] };
        var sentences = new Option<string[]>("--sentences")
        {
            Description = "Files of marked sentences of promises and asides.",
            DefaultValueFactory = _ => ["tests/corpus/remarks.txt", "tests/AnyPace.Core.Tests/Reading/remarks.txt"],
            AllowMultipleArgumentsPerToken = true,
        };
        var cares = new Option<string[]>("--cares")
        {
            Description = "Files of marked sentences of cautions and of easier and harder ways.",
            DefaultValueFactory = _ => ["tests/corpus/cares.txt", "tests/AnyPace.Core.Tests/Reading/remarks.txt"],
            AllowMultipleArgumentsPerToken = true,
        };
        var numbers = new Option<string[]>("--numbers")
        {
            Description = "Files of sentences in which numbers carry what they are for.",
            DefaultValueFactory = _ => ["tests/corpus/numbers.txt", "tests/corpus/openings.txt", "tests/AnyPace.Core.Tests/Reading/nodose.txt"],
            AllowMultipleArgumentsPerToken = true,
        };
        var kit = new Option<string[]>("--kit")
        {
            Description = "Files of sentences with what they say of kit.",
            DefaultValueFactory = _ => ["tests/corpus/kit.txt", "tests/AnyPace.Core.Tests/Reading/kit.txt"],
            AllowMultipleArgumentsPerToken = true,
        };
        var output = new Option<string>("--out") { Description = "The folder to write the tables to.", DefaultValueFactory = _ => "src/AnyPace.Core/Reading" };
        var lexicon = new Option<string>("--lexicon") { Description = "The folder to write what the lexicon learns to.", DefaultValueFactory = _ => "src/AnyPace.Core/Lexicon" };
        var command = new Command("fit", "Weights of what speaks for a move that is named, for a remark, for the role of a number and for the need of kit, from marked recordings and sentences. Those kept aside are left out. Moves are heard with the roles that the program was built with: if these change, build and run it again.") { folders, sentences, cares, numbers, kit, output, lexicon };
        command.SetAction(parse => Run(parse.GetValue(folders)!, parse.GetValue(sentences)!, parse.GetValue(cares)!, parse.GetValue(numbers)!, parse.GetValue(kit)!, parse.GetValue(output)!, parse.GetValue(lexicon)!));
        return command;
    }

    private static int Run(string[] folders, string[] sentences, string[] cares, string[] numbers, string[] kit, string output, string lexicon)
    {
        var recordings = MarkedRecording.Load(folders).FindAll(r => !r.Gold.KeptAside);
        var roles = NumberFit.Fit(NumberFit.Sentence.Parse(numbers.SelectMany(File.ReadLines)), [.. recordings.Select(r => new NumberFit.MarkedClass(r.Captions, r.Gold))]);
        Write("number-weights.csv", roles.Write(), roles.Weights.Count);
        var needs = KitFit.Fit(KitFit.Sentence.Parse(kit.SelectMany(File.ReadLines)), [.. recordings.Select(r => new KitFit.MarkedClass(r.Captions, r.Gold))]);
        Write("kit-weights.csv", needs.Write(), needs.Weights.Count);
        var classes = recordings.ConvertAll(r => new MentionFit.MarkedClass(r.Captions, r.Gold));
        var others = ReadByOthers.Learn(classes, MoveLexicon.Default);
        var mentions = MentionFit.Fit(others.Mentions);
        WriteTrees("mention-trees.csv", mentions, MentionFit.Traits);
        var choice = MentionFit.Fit(others.Stretches);
        WriteTrees("choice-trees.csv", choice, MoveChoiceFit.Traits);
        var starts = MentionFit.Fit(StartFit.Moments(others, choice));
        WriteTrees("start-trees.csv", starts, StartFit.Traits);
        var phases = PhaseFit.Fit(others, choice, starts);
        WriteTrees("warm-up-trees.csv", phases.WarmUp, PhaseFit.Traits);
        WriteTrees("cool-down-trees.csv", phases.CoolDown, PhaseFit.Traits);
        WriteTrees("sure-trees.csv", MentionFit.Fit(SureFit.Bouts(others)), SureFit.Traits);
        var taught = classes.ConvertAll(MentionFit.Taught);
        File.WriteAllText(Path.Combine(lexicon, "taught-classes.txt"), TaughtClass.Write(taught));
        File.WriteAllText(Path.Combine(lexicon, "move-words.txt"), MoveLexicon.Default.Taught(taught).Classifier.Write());
        foreach (var (field, files) in new[] { (RemarkField.Beside, sentences), (RemarkField.Care, cares) })
        {
            var weights = RemarkFit.Fit(
                field, RemarkFit.Sentence.Parse(files.SelectMany(File.ReadLines)), RemarkFit.MarkedClass.Of(recordings.Select(r => (r.Captions, r.Gold)), field));
            Write(field.File, weights.Write(), weights.Weights.Count);
        }

        return 0;

        void WriteTrees(string name, BoostedTrees trees, IReadOnlyList<string> traits) => Write(name, trees.Write(traits), trees.Columns.Count());

        void Write(string name, string table, int weights)
        {
            var file = Path.Combine(output, name);
            File.WriteAllText(file, table);
            Console.WriteLine($"{weights} traits weighed from {recordings.Count} recordings, in {file}. They are read once the project is built again.");
        }
    }
}
