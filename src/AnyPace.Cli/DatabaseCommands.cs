using System.Collections.Immutable;
using System.CommandLine;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using AnyPace.Data;
using AnyPace.Data.Accounts;
using AnyPace.Data.Members;
using AnyPace.Data.Sessions;
using Microsoft.AspNetCore.Identity;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace AnyPace.Cli;

/// <summary><c>migrate</c> and <c>load-demo</c>: what makes a database ready. Both may be run again without harm.</summary>
internal static class DatabaseCommands
{
    /// <summary>Shortest password taken, in characters; the site asks the same.</summary>
    private const int LeastPassword = 12;

    public static Command Migrate()
    {
        var command = new Command("migrate", "Bring the database in ANYPACE_DB to the newest shape.");
        command.SetAction(_ =>
        {
            var ran = Migrator.Migrate(ConnectionString());
            Console.Error.WriteLine(ran.Count == 0 ? "database: up to date" : $"database: {ran.Count} migrations run");
            return 0;
        });
        return command;
    }

    public static Command LoadDemo()
    {
        var folder = new Argument<string>("folder") { Description = "The demo studio's folder." };
        var also = new Option<string[]>("--also") { Description = "Further folders of captions and marked timelines; what they keep aside is left out.", AllowMultipleArgumentsPerToken = true, DefaultValueFactory = _ => [] };
        var peopleOnly = new Option<bool>("--people-only") { Description = "Only the accounts and profiles: for a made-up library." };
        var command = new Command("load-demo", "Load the demo studio into an empty database.") { folder, also, peopleOnly };
        command.SetAction(async (parse, stop) =>
        {
            await using var source = Database.Connect(ConnectionString());
            var database = new Database(source);
            var sessions = new SessionStore(database);
            var (path, alone) = (parse.GetValue(folder)!, parse.GetValue(peopleOnly));
            if (!alone && (await sessions.AllAsync(stop)).Count > 0)
            {
                Console.Error.WriteLine("demo: the database has sessions already; nothing loaded");
                return 0;
            }

            var people = new DeserializerBuilder().WithNamingConvention(CamelCaseNamingConvention.Instance).Build()
                .Deserialize<People>(await File.ReadAllTextAsync(Path.Combine(path, "people.yaml"), stop));
            if (alone && await new AccountStore(database).FindByNameAsync(people.Manager.ToUpperInvariant(), stop) is not null)
            {
                return 0;
            }

            var accounts = await LoadPeopleAsync(database, people, stop);
            if (alone)
            {
                return 0;
            }

            foreach (var from in new[] { path }.Concat(parse.GetValue(also)!))
            {
                await LoadSessionsAsync(sessions, from, people, accounts, from == path, stop);
            }

            await LoadLogsAsync(database, sessions, people, accounts, stop);
            return 0;
        });
        return command;
    }

    public static Command AddAccount()
    {
        var name = new Argument<string>("name") { Description = "What is typed to sign in." };
        var role = new Option<string>("--role") { Description = "manager, cataloguer or member.", DefaultValueFactory = _ => Roles.Member };
        role.AcceptOnlyFromAmong(Roles.Manager, Roles.Cataloguer, Roles.Member);
        var display = new Option<string?>("--display") { Description = "The name others see; the sign-in name where left out." };
        var command = new Command("add-account", "Add an account to the database in ANYPACE_DB; the password is read from standard input.") { name, role, display };
        command.SetAction(async (parse, stop) =>
        {
            var password = (await Console.In.ReadLineAsync(stop))?.Trim() ?? "";
            if (password.Length < LeastPassword)
            {
                Console.Error.WriteLine($"The password on standard input has {password.Length} characters; it needs at least {LeastPassword}.");
                return 2;
            }

            await using var source = Database.Connect(ConnectionString());
            var typed = parse.GetValue(name)!;
            var account = new Account
            {
                Name = typed,
                NormalizedName = typed.ToUpperInvariant(),
                DisplayName = parse.GetValue(display) ?? typed,
                Role = parse.GetValue(role)!,
            };
            account.PasswordHash = new PasswordHasher<Account>().HashPassword(account, password);
            var made = await new AccountStore(new Database(source)).CreateAsync(account, stop);
            Console.Error.WriteLine(made.Succeeded ? $"{typed} can sign in as {account.Role}." : made.Errors.First().Description);
            return made.Succeeded ? 0 : 2;
        });
        return command;
    }

    private static string ConnectionString() => Environment.GetEnvironmentVariable(Database.ConnectionVariable)
        ?? throw new InvalidOperationException($"{Database.ConnectionVariable} is not set: give it an Npgsql connection string.");

    private static async Task<Dictionary<string, Guid>> LoadPeopleAsync(Database database, People people, CancellationToken stop)
    {
        var store = new AccountStore(database);
        var profiles = new ProfileStore(database);
        var hasher = new PasswordHasher<Account>();
        var ids = new Dictionary<string, Guid>();
        foreach (var person in people.Accounts)
        {
            var account = new Account { Name = person.Name, NormalizedName = person.Name.ToUpperInvariant(), DisplayName = person.DisplayName, Role = person.Role, Demo = true };
            account.PasswordHash = hasher.HashPassword(account, people.Password);
            var made = await store.CreateAsync(account, stop);
            if (!made.Succeeded)
            {
                throw new InvalidOperationException($"demo: account {person.Name}: {made.Errors.First().Description}");
            }

            ids[person.Name] = account.Id;
            if (person.Profile is { } p)
            {
                await profiles.SaveAsync(
                    account.Id,
                    new MemberProfile
                    {
                        Minutes = p.Minutes,
                        MaxImpact = p.MaxImpact is null ? null : Enum.Parse<Impact>(p.MaxImpact, ignoreCase: true),
                        Level = p.Level,
                        Goals = [.. p.Goals],
                        Kit = [.. p.Kit],
                        Spare = [.. p.Spare],
                        Loads = p.Loads.ToImmutableSortedDictionary(),
                        MaxNoise = p.MaxNoise is null ? null : Enum.Parse<Noise>(p.MaxNoise, ignoreCase: true),
                        Days = [.. p.Days.Select(d => Enum.Parse<DayOfWeek>(d, ignoreCase: true))],
                    },
                    stop);
            }
        }

        return ids;
    }

    /// <summary>Takes in every class as its manager would: read, corrected by the cataloguer where it was wrong, published, all but the drafts.</summary>
    /// <param name="withAside">False leaves out the classes that the reading is only ever judged on.</param>
    private static async Task LoadSessionsAsync(SessionStore sessions, string path, People people, Dictionary<string, Guid> accounts, bool withAside, CancellationToken stop)
    {
        var reading = new CaptionReading(MoveLexicon.Default);
        var golds = Directory.GetFiles(Path.Combine(path, "gold"), "*.json").Select(f => GoldReading.Parse(File.ReadAllText(f)))
            .Where(g => withAside || !g.KeptAside)
            .OrderBy(g => g.Date, StringComparer.Ordinal);
        var (manager, cataloguer) = (accounts[people.Manager], accounts[people.Cataloguer]);
        foreach (var gold in golds)
        {
            var captions = CaptionReader.Read(await File.ReadAllBytesAsync(Path.Combine(path, "captions", gold.Captions), stop));
            var facts = new SessionFacts(gold.Title, gold.Coach, DateOnly.ParseExact(gold.Date, "yyyy-MM-dd"), gold.StatedMinutes, people.Series.FirstOrDefault(x => x.Value.Contains(gold.Title)).Key);
            var proposed = reading.Read(captions, new ReadingContext(gold.Title, gold.StatedMinutes));
            var id = await sessions.TakeInAsync(facts, gold.Captions, CaptionWriter.WebVtt(captions.Cues), proposed, manager, stop);
            if (people.Drafts.Contains(gold.Title))
            {
                continue;
            }

            var saved = await sessions.SaveAsync(id, 1, gold.Correct(proposed), "Marked through against the recording", cataloguer, stop);
            await sessions.PublishAsync(id, saved.Saved!.Value, manager, stop);
        }
    }

    /// <summary>What the demo's members did in the days before, so that For me has something to go by.</summary>
    private static async Task LoadLogsAsync(Database database, SessionStore sessions, People people, Dictionary<string, Guid> accounts, CancellationToken stop)
    {
        var log = new LogStore(database);
        var byTitle = (await sessions.AllAsync(stop)).ToDictionary(s => s.Facts.Title, s => s.Id);
        foreach (var person in people.Accounts)
        {
            foreach (var done in person.Log)
            {
                await log.AddAsync(
                    accounts[person.Name],
                    new LogEntry(
                        Guid.CreateVersion7(), byTitle[done.Title], done.Title, DateTimeOffset.UtcNow.AddDays(-done.DaysAgo), Paces.Parse(done.Pace), done.Effort, "", done.Note,
                        done.Loads.ToImmutableSortedDictionary()),
                    stop);
            }
        }
    }

    // The shapes of demo/people.yaml, filled by the deserializer.
    private sealed class People
    {
        public string Password { get; set; } = "";

        public string Manager { get; set; } = "";

        public string Cataloguer { get; set; } = "";

        public List<string> Drafts { get; set; } = [];

        /// <summary>Titles by series.</summary>
        public Dictionary<string, List<string>> Series { get; set; } = [];

        public List<Person> Accounts { get; set; } = [];
    }

    private sealed class Person
    {
        public string Name { get; set; } = "";

        public string DisplayName { get; set; } = "";

        public string Role { get; set; } = "";

        public ProfileYaml? Profile { get; set; }

        public List<DoneYaml> Log { get; set; } = [];
    }

    private sealed class ProfileYaml
    {
        public int? Minutes { get; set; }

        public string? MaxImpact { get; set; }

        public int? Level { get; set; }

        public List<string> Goals { get; set; } = [];

        public string? MaxNoise { get; set; }

        public List<string> Days { get; set; } = [];

        /// <summary>Kilograms by item.</summary>
        public Dictionary<string, double> Loads { get; set; } = [];

        public List<string> Kit { get; set; } = [];

        public List<string> Spare { get; set; } = [];
    }

    private sealed class DoneYaml
    {
        public string Title { get; set; } = "";

        public double DaysAgo { get; set; }

        public string Pace { get; set; } = "led";

        public int? Effort { get; set; }

        public string Note { get; set; } = "";

        /// <summary>Kilograms by move id.</summary>
        public Dictionary<string, double> Loads { get; set; } = [];
    }
}
