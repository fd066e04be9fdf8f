using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Cli.Synth;

/// <summary>A session out of the lexicon and the structures, with captions that name its moves.</summary>
public sealed record SynthSession(CatalogueEntry Entry, string? Series, IReadOnlyList<Cue> Cues);

/// <summary>
/// A plausible library for benches: themes as studios have them, doses laid out by the same arithmetic as the calculator's, warm-ups and cool-downs
/// mostly there, options for some moves. Every name in it is made of ordinary words. The same seed gives the same library.
/// </summary>
public sealed class SynthLibrary(MoveLexicon lexicon, int seed)
{
    private sealed record Theme(string Word, string[] Patterns, string[] Kit, BlockKind[] Doses, double Jumps);

    private static readonly Theme[] Themes =
    [
        new("Strength", ["squat", "lunge", "hinge", "push-horizontal", "push-vertical", "pull-horizontal", "curl", "extension", "plank"], ["dumbbell", "bench"], [BlockKind.Intervals, BlockKind.RepSets, BlockKind.Supersets], 0.1),
        new("Bells", ["squat", "hinge", "push-vertical", "pull-horizontal", "carry", "lunge"], ["kettlebell"], [BlockKind.Intervals, BlockKind.RepSets, BlockKind.TimedSets], 0.1),
        new("Bodyweight", ["squat", "lunge", "push-horizontal", "plank", "trunk-flexion", "bridge", "crawl"], [], [BlockKind.Intervals, BlockKind.TwentyTen, BlockKind.Ladder], 0.3),
        new("Sprint", ["jump", "locomotion", "squat", "plank", "kick"], [], [BlockKind.TwentyTen, BlockKind.Intervals], 0.8),
        new("Walk", ["locomotion", "kick", "squat"], [], [BlockKind.Intervals, BlockKind.Phrases], 0.02),
        new("Steps", ["locomotion", "kick", "jump"], ["step"], [BlockKind.Phrases], 0.4),
        new("Boxing", ["punch", "squat", "locomotion", "trunk-flexion"], [], [BlockKind.Intervals], 0.3),
        new("Barre", ["isolation-leg", "squat", "kick", "leg-raise", "bridge"], ["chair", "bar"], [BlockKind.Intervals, BlockKind.Holds], 0),
        new("Floor", ["trunk-flexion", "bridge", "leg-raise", "rotation", "side-flexion", "trunk-extension", "plank"], [], [BlockKind.Intervals, BlockKind.RepSets], 0),
        new("Chair", ["isolation-leg", "isolation-arm", "curl", "push-vertical", "rotation"], ["chair"], [BlockKind.Intervals, BlockKind.RepSets], 0),
        new("Band", ["pull-horizontal", "pull-vertical", "isolation-leg", "squat", "extension", "curl"], ["resistance band"], [BlockKind.Intervals, BlockKind.RepSets], 0),
        new("Stretch", ["stretch"], [], [BlockKind.Holds], 0),
        new("Mobility", ["mobility", "stretch"], [], [BlockKind.Intervals], 0),
    ];

    private static readonly string[] First = ["Quiet", "Morning", "Copper", "Lantern", "Harbour", "Long", "Plain", "Window", "River", "Paper", "Slate", "Orchard", "Corner", "Rainy", "Amber", "Willow", "Gable", "Meadow", "Cellar", "Thursday", "Chalk", "Ferry", "Attic", "Market"];
    private static readonly string[] Second = ["Circuit", "Ladder", "Hour", "Mile", "Round", "Table", "Bridge", "Turn", "Path", "Yard", "Bench", "Score", "Tide", "Room", "Lane", "Set", "Loop", "Hill"];
    private static readonly string[] Names = ["Ada", "Bruno", "Cleo", "Dario", "Edda", "Florin", "Greta", "Hale", "Ilka", "Jonah", "Kaja", "Leif", "Mira", "Nell", "Osric", "Petra", "Quill", "Runa", "Silas", "Thea"];
    private static readonly string[] Surnames = ["Marsh", "Tallow", "Bloom", "Hobb", "Quay", "Finch", "Larch", "Wick", "Dunn", "Moss"];

    private readonly ILookup<string, Move> _byPattern = lexicon.Moves.ToLookup(m => m.Pattern);

    /// <summary>Session number <paramref name="index"/>, the same whichever others are made.</summary>
    public SynthSession Make(int index)
    {
        var random = new Random(unchecked((seed * 1_000_003) ^ (index * 7919)));
        var theme = Themes[random.Next(Themes.Length)];
        var minutes = theme.Word is "Stretch" or "Mobility" && random.NextDouble() < 0.5 ? random.Next(4, 12) : (int)Math.Round(Math.Clamp(22 + (NextNormal(random) * 10), 6, 60));
        var moves = Choose(theme, random);
        var gentle = theme.Word is "Stretch" or "Mobility";
        var warm = gentle ? 0 : random.NextDouble() < 0.8 ? random.Next(120, 380) : 0;
        var cool = gentle ? 0 : random.NextDouble() < 0.75 ? random.Next(90, 300) : 0;
        var bouts = new List<Bout>();
        var phases = new List<Phase> { new(PhaseKind.Talk, Span.Of(0, 20)) };
        var at = 20.0;
        void Add(Move move, double length, Side side = Side.Both)
        {
            bouts.Add(Bout.Confirmed($"b{bouts.Count + 1}", move.Id, Span.Of(at, at + length), side));
            at += length;
        }

        if (warm > 0)
        {
            var start = at;
            foreach (var move in Few(_byPattern["mobility"].Concat(_byPattern["locomotion"].Where(m => m.Impact <= Impact.Low)), random, Math.Max(3, warm / 40)))
            {
                Add(move, 40);
            }

            phases.Add(new Phase(PhaseKind.WarmUp, Span.Of(start, at)));
        }

        var plan = Plan(theme.Doses[random.Next(theme.Doses.Length)], moves.Count, (minutes * 60) - warm - cool, random);
        var slots = Schedule.Of(plan, RangeEnd.Low).Slots;
        var work = at;
        foreach (var slot in slots)
        {
            if (slot.Kind is SlotKind.Work or SlotKind.Filler)
            {
                Add(moves[Math.Abs(slot.Move) % moves.Count], slot.Span.Length.Value, slot.Side);
            }
            else
            {
                at += slot.Span.Length.Value;
            }
        }

        phases.Add(new Phase(gentle ? PhaseKind.CoolDown : PhaseKind.Work, Span.Of(work, at)));
        var structure = new Structure(TypeOf(plan.Kind), Span.Of(work, at), plan.Work, plan.Rest, plan.Rounds, plan.Sets, moves.Count, plan.RoundRest, null, false, []);
        if (cool > 0)
        {
            var start = at;
            foreach (var move in Few(_byPattern["stretch"], random, Math.Max(3, cool / 35)))
            {
                Add(move, 35);
            }

            phases.Add(new Phase(PhaseKind.CoolDown, Span.Of(start, at)));
        }

        var used = bouts.Select(b => lexicon[b.MoveId]).DistinctBy(m => m.Id).ToList();
        var timeline = Timeline.Empty with
        {
            Recorded = new Seconds(at + 10),
            Phases = [.. phases],
            Bouts = [.. bouts],
            Structures = [structure],
            Kit = [.. KitOf(theme, used, random)],
            Options = [.. OptionsOf(used, random)],
            Voice = new Voice((int)(at * 2), (int)(at / 20), [.. HeardOf(bouts, random)]),
        };
        var (first, second) = (First[random.Next(First.Length)], Second[random.Next(Second.Length)]);
        var title = $"{first} {second}: {theme.Word} {minutes}";
        var coach = $"{Names[random.Next(Names.Length)]} {Surnames[random.Next(Surnames.Length)]}";
        var published = new DateTimeOffset(2026, 11, 1, 8, 0, 0, TimeSpan.Zero).AddMinutes(-30.0 * index);
        var entry = CatalogueEntry.Of(IdOf(random), title, coach, published, timeline, lexicon);
        return new SynthSession(entry, random.NextDouble() < 0.15 ? $"{first} {second}" : null, Captions(bouts, random));
    }

    public Listing List(SynthSession session) => Listing.Of(session.Entry, 1, session.Series, CaptionWords.Of(session.Cues), lexicon);

    private List<Move> Choose(Theme theme, Random random)
    {
        var count = random.Next(4, 10);
        var moves = new List<Move>();
        for (var tries = 0; moves.Count < count && tries < 200; tries++)
        {
            var pool = _byPattern[theme.Patterns[random.Next(theme.Patterns.Length)]].ToList();
            if (pool.Count == 0)
            {
                continue;
            }

            var move = pool[random.Next(pool.Count)];
            if ((move.Impact >= Impact.Moderate && random.NextDouble() > theme.Jumps) || moves.Contains(move) || !move.Kit.All(k => theme.Kit.Contains(k) || k == "mat"))
            {
                continue;
            }

            moves.Add(move);
        }

        return moves.Count == 0 ? [lexicon["squat"]] : moves;
    }

    private static BlockPlan Plan(BlockKind kind, int moves, double seconds, Random random)
    {
        var work = kind == BlockKind.Holds ? random.Next(5, 10) * 5 : random.Next(4, 13) * 5;
        var plan = BlockPlan.Usual with
        {
            Kind = kind,
            Moves = moves,
            Work = new Seconds(work),
            Rest = new Seconds(random.Next(0, 5) * 5),
            Sets = random.Next(2, 5),
            RoundRest = new Seconds(random.Next(0, 4) * 20),
            SecondsPerRep = random.Next(2, 5),
            Reps = CountRange.Of(random.Next(8, 16)),
            Rounds = CountRange.Of(1),
        };

        // As many rounds as come nearest to the length wanted.
        var one = Math.Max(20, Schedule.Of(plan, RangeEnd.Low).Length.Value);
        return plan with { Rounds = CountRange.Of((int)Math.Clamp(Math.Round(seconds / one), 1, 12)) };
    }

    private static StructureType TypeOf(BlockKind kind) => kind switch
    {
        BlockKind.TwentyTen => StructureType.Tabata,
        BlockKind.RepSets or BlockKind.TimedSets => StructureType.RepSets,
        BlockKind.Supersets => StructureType.Supersets,
        BlockKind.Ladder => StructureType.Ladder,
        BlockKind.Phrases => StructureType.Choreography,
        BlockKind.Holds => StructureType.Hold,
        _ => StructureType.Intervals,
    };

    private static IEnumerable<KitItem> KitOf(Theme theme, List<Move> used, Random random)
    {
        foreach (var item in used.SelectMany(m => m.Kit).Distinct())
        {
            yield return new KitItem(item, KitNeed.Required, null, null, null, null, []);
            if (item is "dumbbell" or "kettlebell" && random.NextDouble() < 0.3)
            {
                yield return new KitItem(item == "dumbbell" ? "water bottle" : "dumbbell", KitNeed.Substitute, null, null, item, null, []);
            }
        }

        if (used.Exists(m => m.Positions.Any(Vocabulary.IsFloor)) && !used.Exists(m => m.Kit.Contains("mat")))
        {
            yield return new KitItem("mat", random.NextDouble() < 0.7 ? KitNeed.Required : KitNeed.Optional, null, null, null, null, []);
        }

        if (theme.Word == "Chair" && !used.Exists(m => m.Kit.Contains("chair")))
        {
            yield return new KitItem("chair", KitNeed.Required, null, null, null, null, []);
        }
    }

    private static IEnumerable<Option> OptionsOf(List<Move> used, Random random)
    {
        foreach (var move in used)
        {
            if (move.Easier is { } easier && random.NextDouble() < 0.5)
            {
                yield return new Option(Seconds.Zero, OptionDirection.Easier, move.Id, easier, "an easier way");
            }

            if (move.Harder is { } harder && random.NextDouble() < 0.35)
            {
                yield return new Option(Seconds.Zero, OptionDirection.Harder, move.Id, harder, "a harder way");
            }
        }
    }

    private static IEnumerable<Heard> HeardOf(List<Bout> bouts, Random random)
    {
        var told = random.NextDouble();
        foreach (var bout in bouts.Where(_ => random.NextDouble() < told))
        {
            yield return new Heard(bout.Span.Start, bout.MoveId, false);
            yield return new Heard(bout.Span.End, null, true);
        }
    }

    private List<Cue> Captions(List<Bout> bouts, Random random)
    {
        string[] lines = ["shoulders away from the ears", "breathe out as you lift", "soft knees", "weight in the heels", "chest proud", "slow and steady", "belly gently in", "find your balance", "press the floor away"];
        return [.. bouts.Select(b => new Cue(b.Span.Start, b.Span.End, $"{lexicon[b.MoveId].Name}, {lines[random.Next(lines.Length)]}", 0))];
    }

    private static IEnumerable<Move> Few(IEnumerable<Move> from, Random random, int count)
    {
        var pool = from.Where(m => m.Kit.IsEmpty).ToList();
        return Enumerable.Range(0, count).Select(_ => pool[random.Next(pool.Count)]);
    }

    private static Guid IdOf(Random random)
    {
        var bytes = new byte[16];
        random.NextBytes(bytes);
        return new Guid(bytes);
    }

    private static double NextNormal(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
