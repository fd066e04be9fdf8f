using System.Collections.Concurrent;
using System.CommandLine;
using AnyPace.Core.Captions;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Data;
using AnyPace.Data.Sessions;
using Npgsql;
using NpgsqlTypes;
using Spectre.Console;

namespace AnyPace.Cli.Synth;

/// <summary><c>synth</c>: a made-up library in a database of its own.</summary>
internal static class SynthCommand
{
    /// <summary>Sessions written by this command carry it as their captions' file name; a database that holds any other is refused.</summary>
    private const string Mark = "synth.vtt";

    private const int Batch = 2000;

    public static Command Build()
    {
        var count = new Argument<int>("count") { Description = "Sessions to make, 1 to 1 000 000." };
        var seed = new Option<int>("--seed") { Description = "The same seed makes the same library.", DefaultValueFactory = _ => 1 };
        var command = new Command("synth", "Fill the database in ANYPACE_DB with a made-up library; refused where it holds real sessions.") { count, seed };
        command.SetAction(async (parse, stop) =>
        {
            var wanted = parse.GetValue(count);
            if (wanted is < 1 or > 1_000_000)
            {
                Console.Error.WriteLine($"{wanted} sessions are too many or too few; 1 to 1 000 000.");
                return 2;
            }

            var connection = Environment.GetEnvironmentVariable(Database.ConnectionVariable)
                ?? throw new InvalidOperationException($"{Database.ConnectionVariable} is not set: give it an Npgsql connection string.");
            await using var source = Database.Connect(connection);
            await using (var real = source.CreateCommand($"select count(*) filter (where caption_name <> '{Mark}'), count(*) from session"))
            await using (var reader = await real.ExecuteReaderAsync(stop))
            {
                await reader.ReadAsync(stop);
                if (reader.GetInt64(0) > 0)
                {
                    Console.Error.WriteLine("This database holds real sessions; a made-up library needs a database of its own.");
                    return 2;
                }

                if (reader.GetInt64(1) == wanted)
                {
                    Console.Error.WriteLine($"synth: {wanted} sessions are there already");
                    return 0;
                }
            }

            await using (var clear = source.CreateCommand("truncate session cascade"))
            {
                await clear.ExecuteNonQueryAsync(stop);
            }

            await AnsiConsole.Progress().StartAsync(async progress =>
            {
                var task = progress.AddTask($"making {wanted} sessions", maxValue: wanted);
                var library = new SynthLibrary(MoveLexicon.Default, parse.GetValue(seed));
                for (var from = 0; from < wanted; from += Batch)
                {
                    var size = Math.Min(Batch, wanted - from);
                    var made = new ConcurrentBag<(SynthSession Session, Listing Listing)>();
                    Parallel.For(from, from + size, i =>
                    {
                        var session = library.Make(i);
                        made.Add((session, library.List(session)));
                    });
                    await WriteAsync(source, made, stop);
                    task.Increment(size);
                }
            });
            await using var analyze = source.CreateCommand("analyze");
            await analyze.ExecuteNonQueryAsync(stop);
            return 0;
        });
        return command;
    }

    /// <summary>Published as it is written; the trigger that wakes web nodes says nothing for rows that are not there yet when they ask.</summary>
    private static async Task WriteAsync(NpgsqlDataSource source, IReadOnlyCollection<(SynthSession Session, Listing Listing)> made, CancellationToken stop)
    {
        var madeWith = Listing.MadeWith(MoveLexicon.Default, MeasureSettings.Usual);
        await using var connection = await source.OpenConnectionAsync(stop);
        await using var transaction = await connection.BeginTransactionAsync(stop);
        await using (var sessions = await connection.BeginBinaryImportAsync(
            "copy session (id, title, coach, recorded_on, caption_name, caption_text, published_version, published_at, created_at, series) from stdin (format binary)", stop))
        {
            foreach (var (s, _) in made)
            {
                await sessions.StartRowAsync(stop);
                await sessions.WriteAsync(s.Entry.Id, NpgsqlDbType.Uuid, stop);
                await sessions.WriteAsync(s.Entry.Title, NpgsqlDbType.Text, stop);
                await sessions.WriteAsync(s.Entry.Coach, NpgsqlDbType.Text, stop);
                await sessions.WriteAsync(DateOnly.FromDateTime(s.Entry.PublishedAt.Date), NpgsqlDbType.Date, stop);
                await sessions.WriteAsync(Mark, NpgsqlDbType.Text, stop);
                await sessions.WriteAsync(CaptionWriter.WebVtt(s.Cues), NpgsqlDbType.Text, stop);
                await sessions.WriteAsync(1, NpgsqlDbType.Integer, stop);
                await sessions.WriteAsync(s.Entry.PublishedAt, NpgsqlDbType.TimestampTz, stop);
                await sessions.WriteAsync(s.Entry.PublishedAt, NpgsqlDbType.TimestampTz, stop);
                if (s.Series is null)
                {
                    await sessions.WriteNullAsync(stop);
                }
                else
                {
                    await sessions.WriteAsync(s.Series, NpgsqlDbType.Text, stop);
                }
            }

            await sessions.CompleteAsync(stop);
        }

        await using (var versions = await connection.BeginBinaryImportAsync("copy timeline_version (session_id, number, timeline, why) from stdin (format binary)", stop))
        {
            foreach (var (s, _) in made)
            {
                await versions.StartRowAsync(stop);
                await versions.WriteAsync(s.Entry.Id, NpgsqlDbType.Uuid, stop);
                await versions.WriteAsync(1, NpgsqlDbType.Integer, stop);
                await versions.WriteAsync(TimelineJson.Write(s.Entry.Timeline), NpgsqlDbType.Jsonb, stop);
                await versions.WriteAsync("Made up for a bench", NpgsqlDbType.Text, stop);
            }

            await versions.CompleteAsync(stop);
        }

        await using (var listings = await connection.BeginBinaryImportAsync("copy session_listing (session_id, version, made_with, listing) from stdin (format binary)", stop))
        {
            foreach (var (s, l) in made)
            {
                await listings.StartRowAsync(stop);
                await listings.WriteAsync(s.Entry.Id, NpgsqlDbType.Uuid, stop);
                await listings.WriteAsync(1, NpgsqlDbType.Integer, stop);
                await listings.WriteAsync(madeWith, NpgsqlDbType.Text, stop);
                await listings.WriteAsync(TimelineJson.Write(l), NpgsqlDbType.Jsonb, stop);
            }

            await listings.CompleteAsync(stop);
        }

        await transaction.CommitAsync(stop);
    }
}
