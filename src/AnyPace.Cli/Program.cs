using System.CommandLine;
using AnyPace.Cli;
using AnyPace.Cli.Synth;

var root = new RootCommand("Any Pace: captions in, a class score out.");
root.Subcommands.Add(ReadCommand.Build());
root.Subcommands.Add(MovesCommand.Build());
root.Subcommands.Add(MeasuresCommand.Build());
root.Subcommands.Add(DatabaseCommands.Migrate());
root.Subcommands.Add(DatabaseCommands.LoadDemo());
root.Subcommands.Add(DatabaseCommands.AddAccount());
root.Subcommands.Add(SynthCommand.Build());
return await root.Parse(args).InvokeAsync();
