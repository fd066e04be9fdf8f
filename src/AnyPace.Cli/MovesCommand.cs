using System.CommandLine;
using System.Text.Json;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using Spectre.Console;

namespace AnyPace.Cli;

/// <summary><c>moves</c>: prints the lexicon.</summary>
internal static class MovesCommand
{
    public static Command Build()
    {
        var json = new Option<bool>("--json") { Description = "Print the whole lexicon as one JSON array." };
        var command = new Command("moves", "Print the move lexicon.") { json };
        command.SetAction(parse =>
        {
            var lexicon = MoveLexicon.Default;
            if (parse.GetValue(json))
            {
                Console.Out.WriteLine(JsonSerializer.Serialize(ReadingDocument.Lexicon(lexicon), Json.Line));
                return 0;
            }

            var table = new Table().AddColumns("move", "id", "impact", "MET", "prime movers");
            foreach (var move in lexicon.Moves)
            {
                table.AddRow(Markup.Escape(move.Name), move.Id, move.Impact.Key(), $"{move.Met.Value:0.0}", string.Join(", ", move.Prime));
            }

            AnsiConsole.Write(table);
            return 0;
        });
        return command;
    }
}
