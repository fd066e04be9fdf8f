using System.CommandLine;
using System.Diagnostics;
using AnyPace.Cli.Synth;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using AnyPace.Data;
using AnyPace.Data.Sessions;
using Spectre.Console;

namespace AnyPace.Bench;

/// <summary>A filter with all its counts and the first 24, and a match over all: the snapshot in memory beside PostgreSQL, in one run; and how both grow.</summary>
internal static class FindingBench
{
    /// <summary>Questions members ask, from one filter to many.</summary>
    private static readonly (string Name, FindQuery Query)[] Questions =
    [
        ("everything", FindQuery.Everything),
        ("up to 20 minutes", FindQuery.Everything with { MaxMinutes = 20 }),
        ("no jumps, level 1 or 2", FindQuery.Everything.With(Facet.ImpactClass, ["none", "low"]).With(Facet.Level, ["1", "2"])),
        ("15 to 25, dumbbells, glutes", FindQuery.Everything.With(Facet.Focus, ["glutes"]) with { MinMinutes = 15, MaxMinutes = 25, Kit = ["dumbbell", "mat"] }),
        ("grumpy knee, neighbours below", FindQuery.Everything.With(Facet.Strains, ["knees"]).With(Facet.NoiseMade, ["quiet"]) with { MaxMinutes = 20, Kit = ["mat"] }),
        ("no floor, whole, by ear, at Ease", FindQuery.Everything.With(Facet.Without, ["floor"]).With(Facet.Whole, ["warm-up", "cool-down"]).With(Facet.Ear, ["yes"]) with { Pace = Pace.Eased }),
        ("shortest intervals on a mat's floor", FindQuery.Everything.With(Facet.StructureType, ["intervals"]).With(Facet.Space, ["mat"]) with { Sort = FindSort.Shortest }),
        ("nothing fits", FindQuery.Everything.With(Facet.ImpactClass, ["high"]).With(Facet.Without, ["standing"]).With(Facet.Strains, ["knees", "wrists", "lower back"]) with { MaxMinutes = 8 }),
    ];

    public static Command Build()
    {
        var sizes = new Option<int[]>("--sizes") { Description = "Library sizes for the growth table.", DefaultValueFactory = _ => [1_000, 10_000, 100_000, 1_000_000], AllowMultipleArgumentsPerToken = true };
        var command = new Command("finding", "Filter with all counts and the first 24, and match, in memory beside PostgreSQL (ANYPACE_DB, filled by synth).") { sizes };
        command.SetAction((parse, stop) => RunAsync(parse.GetValue(sizes)!, stop));
        return command;
    }

    private static async Task<int> RunAsync(int[] sizes, CancellationToken stop)
    {
        var listings = new List<Listing>();
        if (Environment.GetEnvironmentVariable(Database.ConnectionVariable) is { Length: > 0 } connection)
        {
            await using var source = Database.Connect(connection);
            var read = Stopwatch.StartNew();
            listings = [.. (await new ListingStore(new Database(source)).AllAsync(Listing.MadeWith(MoveLexicon.Default, MeasureSettings.Usual), stop)).Select(h => h.Listing).OfType<Listing>()];
            Console.WriteLine($"{listings.Count} listings read from the database in {read.Elapsed.TotalSeconds:0.0} s");
            if (listings.Count > 0)
            {
                await BesidePostgresAsync(source, listings, stop);
            }
        }
        else
        {
            Console.WriteLine($"{Database.ConnectionVariable} is not set: growth only, nothing beside PostgreSQL.");
        }

        Growth(sizes, listings);
        return 0;
    }

    private static async Task BesidePostgresAsync(Npgsql.NpgsqlDataSource source, List<Listing> listings, CancellationToken stop)
    {
        var (snapshot, megabytes, seconds) = Snapshot(listings);
        Console.WriteLine($"snapshot of {snapshot.Count} sessions: built in {seconds:0.00} s, {megabytes:0} MB");
        var flat = Stopwatch.StartNew();
        await using var sql = await SqlFinder.BuildAsync(source, listings, stop);
        Console.WriteLine($"flat table with its indexes in PostgreSQL: {flat.Elapsed.TotalSeconds:0.0} s");
        var table = new Table().AddColumns("question", "fit", "in memory, median ms", "p99 ms", "PostgreSQL, median ms", "times faster");
        var ratios = new List<double>();
        foreach (var (name, query) in Questions)
        {
            var total = snapshot.Find(query, rows: 24).Total;
            var counted = await sql.FindAsync(query, stop);
            if (counted != total)
            {
                throw new InvalidOperationException($"'{name}': {total} in memory, {counted} in PostgreSQL; the bench compares two different answers.");
            }

            var memory = Times(200, () => snapshot.Find(query, rows: 24));
            var postgres = new List<double>();
            for (var i = 0; i < 9; i++)
            {
                var watch = Stopwatch.StartNew();
                await sql.FindAsync(query, stop);
                postgres.Add(watch.Elapsed.TotalMilliseconds);
            }

            postgres.Sort();
            ratios.Add(postgres[4] / memory[100]);
            table.AddRow(name, $"{total}", $"{memory[100]:0.00}", $"{memory[197]:0.00}", $"{postgres[4]:0.0}", $"{ratios[^1]:0}");
        }

        AnsiConsole.Write(table);
        Console.WriteLine($"median over the questions: {ratios.Order().ElementAt(ratios.Count / 2):0} times faster in memory");
        var words = Times(50, () => snapshot.Find(FindQuery.Everything with { Words = "with glute bridges and soft knees" }, rows: 24));
        var slip = Times(50, () => snapshot.Find(FindQuery.Everything with { Words = "lantren mornng" }, rows: 24));
        Console.WriteLine($"words: {words[25]:0.00} ms; words misspelt: {slip[25]:0.00} ms (median)");
        Console.WriteLine($"match over all: {Match(snapshot):0.0} ms (median)");
    }

    private static void Growth(int[] sizes, List<Listing> listings)
    {
        const int distinct = 20_000;
        if (listings.Count < Math.Min(distinct, sizes.Max()))
        {
            var library = new SynthLibrary(MoveLexicon.Default, 1);
            var made = new Listing[Math.Min(distinct, sizes.Max())];
            Parallel.For(0, made.Length, i => made[i] = library.List(library.Make(i)));
            listings = [.. made];
        }

        var table = new Table().AddColumns("sessions", "build s", "MB", "find, median ms", "find, p99 ms", "match, median ms", "one change ms");
        foreach (var size in sizes)
        {
            // Beyond what was measured, measured sessions come again under other ids and dates: bit sets and columns don't care.
            var many = Enumerable.Range(0, size).Select(i => i < listings.Count ? listings[i] : listings[i % listings.Count] with { Id = Guid.NewGuid(), PublishedAt = listings[i % listings.Count].PublishedAt.AddMinutes(-i) });
            var (snapshot, megabytes, seconds) = Snapshot(many);
            var all = Questions.SelectMany(q => Times(size > 500_000 ? 20 : 60, () => snapshot.Find(q.Query, rows: 24))).Order().ToList();
            var change = Times(20, () => snapshot.With(listings[0].Id, listings[0] with { Title = "Changed" }));
            table.AddRow($"{size:N0}", $"{seconds:0.00}", $"{megabytes:0}", $"{all[all.Count / 2]:0.00}", $"{all[all.Count * 99 / 100]:0.00}", $"{Match(snapshot):0.0}", $"{change[10]:0.00}");
        }

        AnsiConsole.Write(table);
    }

    private static (CatalogueSnapshot Snapshot, double Megabytes, double Seconds) Snapshot(IEnumerable<Listing> listings)
    {
        GC.Collect(2, GCCollectionMode.Forced, true, true);
        var before = GC.GetTotalMemory(true);
        var watch = Stopwatch.StartNew();
        var snapshot = new CatalogueSnapshot(listings, MoveLexicon.Default);
        var seconds = watch.Elapsed.TotalSeconds;
        GC.Collect(2, GCCollectionMode.Forced, true, true);
        return (snapshot, (GC.GetTotalMemory(true) - before) / 1e6, seconds);
    }

    private static double Match(CatalogueSnapshot snapshot)
    {
        var profile = MemberProfile.Blank with { Minutes = 25, Level = 2, Goals = ["strength"], Kit = ["mat", "dumbbell"], MaxImpact = Impact.Low, Spare = ["wrists"] };
        var wishes = Wishes.Of(profile, [], Signals.None, snapshot, DateTimeOffset.UnixEpoch);
        return Times(15, () => Matcher.Suggest(snapshot, wishes))[7];
    }

    /// <summary>Milliseconds in order, after a few rounds to warm up.</summary>
    private static List<double> Times(int rounds, Func<object> run)
    {
        for (var i = 0; i < 5; i++)
        {
            GC.KeepAlive(run());
        }

        var times = new List<double>(rounds);
        for (var i = 0; i < rounds; i++)
        {
            var watch = Stopwatch.StartNew();
            GC.KeepAlive(run());
            times.Add(watch.Elapsed.TotalMilliseconds);
        }

        times.Sort();
        return times;
    }
}
