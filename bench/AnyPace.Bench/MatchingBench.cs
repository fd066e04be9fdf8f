using System.CommandLine;
using System.Globalization;
using AnyPace.Cli.Synth;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Matching;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using Spectre.Console;

namespace AnyPace.Bench;

/// <summary>
/// Matching against made-up members whose true wants the matcher never sees: they tell part of them in a profile, do ten sessions, log how hard each felt.
/// Beside it newest, most popular, and plain overlap of tags.
/// </summary>
internal static class MatchingBench
{
    private const int Members = 60;
    private const int Sessions = 2_000;
    private const int LogLength = 10;
    private const int Top = 10;

    private static readonly DateTimeOffset Now = new(2026, 11, 25, 18, 0, 0, TimeSpan.Zero);

    private sealed record Member(MemberProfile Told, MemberProfile Truth, double LevelTrue, float[] MuscleTaste, ushort StructureTaste, HashSet<string> Moves, List<DoneSession> Log);

    private sealed record Scores(double Ndcg, double Broken, double Variety);

    public static Command Build()
    {
        var seeds = new Option<int>("--seeds") { Description = "How many libraries and crowds of members.", DefaultValueFactory = _ => 5 };
        var command = new Command("matching", "Suggestions for simulated members, beside newest, most popular and tag overlap.") { seeds };
        command.SetAction(parse => Run(parse.GetValue(seeds)));
        return command;
    }

    private static int Run(int seeds)
    {
        var results = new Dictionary<string, List<Scores>>();
        for (var seed = 1; seed <= seeds; seed++)
        {
            foreach (var (name, scores) in One(seed))
            {
                results.TryAdd(name, []);
                results[name].Add(scores);
            }
        }

        var table = new Table().AddColumns("way", "nDCG at 10", "hard limits broken, of 10", "variety, 0 to 1");
        foreach (var (name, scores) in results)
        {
            table.AddRow(name, Spread(scores, s => s.Ndcg, "0.000"), Spread(scores, s => s.Broken, "0.00"), Spread(scores, s => s.Variety, "0.00"));
        }

        AnsiConsole.Write(table);
        Console.WriteLine($"{seeds} seeds, {Members} members and {Sessions} sessions each; mean and standard deviation over the seeds.");
        return results["Any Pace"].TrueForAll(s => s.Broken == 0) ? 0 : 1;
    }

    private static Dictionary<string, Scores> One(int seed)
    {
        var library = new SynthLibrary(MoveLexicon.Default, seed);
        var listings = new Listing[Sessions];
        Parallel.For(0, Sessions, i => listings[i] = library.List(library.Make(i)));
        var snapshot = new CatalogueSnapshot(listings, MoveLexicon.Default);
        var rows = snapshot.Rows.ToList();
        var random = new Random(seed);
        var members = Enumerable.Range(0, Members).Select(_ => Born(rows, random)).ToList();

        // Popular: what this crowd's logs hold most.
        var popular = members.SelectMany(m => m.Log).GroupBy(d => d.Session).ToDictionary(g => g.Key, g => g.Count());
        var sums = new Dictionary<string, List<Scores>>();
        foreach (var member in members)
        {
            var truth = Wishes.Of(member.Truth, [], Signals.None, snapshot, Now);
            var gains = rows.ToDictionary(r => r.Id, r => Gain(r, member, truth));
            var ideal = gains.Values.OrderDescending().Take(Top).ToList();
            var wishes = Wishes.Of(member.Told, member.Log, Signals.None, snapshot, Now);
            var lists = new Dictionary<string, List<(SessionRow Row, Pace Pace)>>
            {
                ["Any Pace"] = [.. Matcher.Suggest(snapshot, wishes, Top).Select(s => (s.Session, s.Pace))],
                ["tag overlap"] = [.. rows.OrderByDescending(r => Overlap(r, member.Told)).ThenByDescending(r => r.Segment.Published[r.Row]).Take(Top).Select(r => (r, Pace.AsLed))],
                ["tag overlap, limits kept"] =
                [
                    .. rows.Select(r => (Row: r, Pace: Paces.All.Where(p => Limits.Breaks(r, wishes, p).Count == 0).Select(p => (Pace?)p).FirstOrDefault()))
                        .Where(x => x.Pace is not null).OrderByDescending(x => Overlap(x.Row, member.Told)).ThenByDescending(x => x.Row.Segment.Published[x.Row.Row]).Take(Top)
                        .Select(x => (x.Row, x.Pace!.Value)),
                ],
                ["most popular"] = [.. rows.OrderByDescending(r => popular.GetValueOrDefault(r.Id)).ThenByDescending(r => r.Segment.Published[r.Row]).Take(Top).Select(r => (r, Pace.AsLed))],
                ["newest"] = [.. rows.OrderByDescending(r => r.Segment.Published[r.Row]).Take(Top).Select(r => (r, Pace.AsLed))],
            };
            foreach (var (name, list) in lists)
            {
                sums.TryAdd(name, []);
                sums[name].Add(new Scores(
                    Dcg(list.Select(l => gains[l.Row.Id])) / Math.Max(1e-9, Dcg(ideal)),
                    list.Count(l => Limits.Breaks(l.Row, wishes, l.Pace).Count > 0),
                    Variety([.. list.Select(l => l.Row)])));
            }
        }

        return sums.ToDictionary(s => s.Key, s => new Scores(s.Value.Average(x => x.Ndcg), s.Value.Average(x => x.Broken), s.Value.Average(x => x.Variety)));
    }

    private static Member Born(List<SessionRow> rows, Random random)
    {
        T Pick<T>(params T[] from) => from[random.Next(from.Length)];
        var truth = MemberProfile.Blank with
        {
            Minutes = Pick(10, 15, 20, 25, 30, 40),
            Level = random.Next(1, 5),
            Goals = [Pick([.. MemberProfile.AllGoals])],
            Kit = [.. MemberProfile.KitChoices.Where(_ => random.NextDouble() < 0.35)],
            MaxImpact = random.NextDouble() < 0.5 ? Pick(Impact.Low, Impact.Moderate) : null,
            MaxNoise = random.NextDouble() < 0.3 ? Noise.Quiet : null,
            Spare = random.NextDouble() < 0.35 ? [Pick("wrists", "neck", "shoulders overhead", "single-leg balance")] : [],
            LikedCoaches = [.. rows.Select(r => r.Coach).Distinct().Where(_ => random.NextDouble() < 0.05)],
        };

        // Kit and limits are told, for nobody would be safe else; of the rest each may be left out, and the level is a guess.
        var told = truth with
        {
            Minutes = random.NextDouble() < 0.8 ? truth.Minutes : null,
            Level = random.NextDouble() < 0.7 ? Math.Clamp(truth.Level!.Value + random.Next(-1, 2), 1, 5) : null,
            Goals = random.NextDouble() < 0.7 ? truth.Goals : [],
            LikedCoaches = random.NextDouble() < 0.3 ? truth.LikedCoaches : [],
        };
        var member = new Member(
            told, truth, truth.Level!.Value + ((random.NextDouble() - 0.5) * 0.8), [.. Enumerable.Range(0, Segment.Muscles).Select(_ => (float)random.NextDouble())],
            (ushort)(random.Next(1, 256)), [.. rows[random.Next(rows.Count)] is var r ? r.Segment.Moves(r.Row).Take(4) : []], []);
        for (var i = 0; i < LogLength; i++)
        {
            var row = rows[random.Next(rows.Count)];
            var felt = 6 + ((Weighing.LevelAt(row.At(Pace.AsLed).Score[row.Row] / 2f) - member.LevelTrue) * 2.5) + ((random.NextDouble() - 0.5) * 1.5);
            member.Log.Add(new DoneSession(row.Id, Now.AddDays(-1 - (i * 1.7)), Pace.AsLed, (int)Math.Clamp(Math.Round(felt), 0, 10), false));
        }

        return member;
    }

    /// <summary>What the session is truly worth to the member, 0..1: 0 where it breaks what the member can't have, at the best of the paces otherwise.</summary>
    private static double Gain(SessionRow row, Member member, Wishes truth)
    {
        var best = 0.0;
        foreach (var pace in Paces.All)
        {
            if (Limits.Breaks(row, truth, pace).Count > 0)
            {
                continue;
            }

            var c = row.At(pace);
            var minutes = c.Needed[row.Row] / 60.0;
            var time = Math.Max(0, 1 - (Math.Abs(member.Truth.Minutes!.Value - minutes) / 12));
            var level = Math.Max(0, 1 - (Math.Abs(Weighing.LevelAt(c.Score[row.Row] / 2f) - member.LevelTrue) / 2));
            var goal = Weighing.GoalFit(c, row.Row, member.Truth.Goals[0]);
            var muscles = 0.0;
            for (var m = 0; m < Segment.Muscles; m++)
            {
                muscles += c.Shares[(row.Row * Segment.Muscles) + m] / 255.0 * member.MuscleTaste[m];
            }

            var taste = (member.Truth.LikedCoaches.Contains(row.Coach) ? 0.5 : 0) + ((row.Segment.Structures[row.Row] & member.StructureTaste) != 0 ? 0.25 : 0) + (row.Segment.Does(row.Row, member.Moves) ? 0.25 : 0);
            best = Math.Max(best, (0.25 * time) + (0.27 * level) + (0.2 * goal) + (0.13 * muscles) + (0.15 * taste));
        }

        // Only what comes near a member's best is worth listing.
        return Math.Max(0, (best - 0.4) / 0.6);
    }

    private static int Overlap(SessionRow row, MemberProfile told)
    {
        var c = row.At(Pace.AsLed);
        return (told.Minutes is { } m && Math.Abs((c.Needed[row.Row] / 60.0) - m) <= 5 ? 1 : 0)
            + (told.Level == c.Level[row.Row] ? 1 : 0)
            + (row.Kit.All(k => told.Kit.Contains(k.Item)) ? 1 : 0)
            + (told.MaxImpact is { } i && c.Highest[row.Row] <= (int)i ? 1 : 0)
            + (told.Goals.Any(g => Weighing.GoalFit(c, row.Row, g) >= 0.5) ? 1 : 0)
            + (told.LikedCoaches.Contains(row.Coach) ? 1 : 0);
    }

    private static double Dcg(IEnumerable<double> gains) => gains.Select((g, i) => g / Math.Log2(i + 2)).Sum();

    private static double Variety(List<SessionRow> rows)
    {
        var pairs = rows.SelectMany((a, i) => rows.Skip(i + 1).Select(b => 1 - Matcher.Likeness(a, b))).ToList();
        return pairs.Count == 0 ? 0 : pairs.Average();
    }

    private static string Spread(List<Scores> scores, Func<Scores, double> of, string form)
    {
        var mean = scores.Average(of);
        var deviation = Math.Sqrt(scores.Average(s => Math.Pow(of(s) - mean, 2)));
        return $"{mean.ToString(form, CultureInfo.InvariantCulture)} ± {deviation.ToString(form, CultureInfo.InvariantCulture)}";
    }
}
