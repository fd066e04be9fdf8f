using System.CommandLine;
using AnyPace.Bench;

var root = new RootCommand("Any Pace: what is measured, beside something to compare it with in the same run.");
root.Subcommands.Add(ReadingBench.Build());
root.Subcommands.Add(SpeedBench.Build());
return await root.Parse(args).InvokeAsync();
