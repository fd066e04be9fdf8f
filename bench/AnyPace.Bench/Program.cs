using System.CommandLine;
using AnyPace.Bench;

var root = new RootCommand("Any Pace: what is measured, beside something to compare it with in the same run.");
root.Subcommands.Add(ReadingBench.Build());
root.Subcommands.Add(FitBench.Build());
root.Subcommands.Add(SpeedBench.Build());
root.Subcommands.Add(FindingBench.Build());
root.Subcommands.Add(MatchingBench.Build());
return await root.Parse(args).InvokeAsync();
