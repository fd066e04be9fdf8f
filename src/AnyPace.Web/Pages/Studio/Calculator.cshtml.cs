using System.Globalization;
using AnyPace.Core.Sessions;
using AnyPace.Data.Studio;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>One block as it is typed: texts, so that a slip comes back as it was typed.</summary>
public sealed class BlockFields
{
    public BlockKind Kind { get; set; }

    public string? Moves { get; set; } = "6";

    public string? OneSided { get; set; } = "0";

    public bool Shared { get; set; }

    public string? Work { get; set; } = "0:40";

    public string? Rest { get; set; } = "0:20";

    public string? Rounds { get; set; } = "2";

    public string? Sets { get; set; } = "3";

    public string? Change { get; set; } = "0:15";

    public string? RoundRest { get; set; } = "1:00";

    public string? Reps { get; set; } = "10-12";

    public string? Tempo { get; set; } = "4";

    public bool KeepLastRest { get; set; }

    public string? Group { get; set; } = "2";

    public string? Filler { get; set; } = "0:00";

    public string? Beats { get; set; } = "128";

    public string? Eights { get; set; } = "4";

    public string? Repeats { get; set; } = "2";

    public static BlockFields Of(BlockPlan plan) => new()
    {
        Kind = plan.Kind,
        Moves = Number(plan.Moves),
        OneSided = Number(plan.OneSided),
        Shared = plan.SidesShareInterval,
        Work = plan.Work.Clock(),
        Rest = plan.Rest.Clock(),
        Rounds = Range(plan.Rounds),
        Sets = Number(plan.Sets),
        Change = plan.Change.Clock(),
        RoundRest = plan.RoundRest.Clock(),
        Reps = Range(plan.Reps),
        Tempo = Number(plan.SecondsPerRep),
        KeepLastRest = plan.KeepLastRest,
        Group = Number(plan.GroupSize),
        Filler = plan.Filler.Clock(),
        Beats = Number(plan.Beats),
        Eights = Number(plan.Eights),
        Repeats = Number(plan.Repeats),
    };

    /// <summary>The numbers a kind of block is dosed by; the others are not asked for.</summary>
    public bool Asks(string field) => field switch
    {
        "moves" => Kind is not BlockKind.Finisher,
        "oneSided" => Kind is not (BlockKind.Finisher or BlockKind.Phrases),
        "shared" => Kind is BlockKind.TimedSets or BlockKind.Intervals or BlockKind.Holds or BlockKind.Ladder,
        "work" => Kind is BlockKind.Intervals or BlockKind.TimedSets or BlockKind.Ladder or BlockKind.Holds or BlockKind.Finisher,
        "rest" => Kind is BlockKind.Intervals or BlockKind.TimedSets or BlockKind.RepSets or BlockKind.Supersets or BlockKind.Ladder or BlockKind.Holds,
        "rounds" => Kind is BlockKind.Intervals or BlockKind.TwentyTen or BlockKind.Supersets or BlockKind.Holds,
        "sets" => Kind is BlockKind.TimedSets or BlockKind.RepSets,
        "change" => Kind is BlockKind.TimedSets or BlockKind.RepSets or BlockKind.Supersets or BlockKind.Holds,
        "roundRest" => Kind is BlockKind.Intervals or BlockKind.TwentyTen,
        "reps" or "tempo" => Kind is BlockKind.RepSets or BlockKind.Supersets,
        "last" => Kind is BlockKind.Intervals or BlockKind.TwentyTen or BlockKind.TimedSets or BlockKind.RepSets,
        "group" => Kind is BlockKind.Supersets,
        "filler" => Kind is BlockKind.Ladder,
        _ => Kind is BlockKind.Phrases,
    };

    private static string Number(double n) => n.ToString("0.##", CultureInfo.InvariantCulture);

    private static string Range(CountRange range) => range.Low == range.High ? Number(range.Low) : $"{range.Low}-{range.High}";
}

/// <summary>How long is this really? A dose laid out before anything is recorded, and kept as a plan.</summary>
public sealed class CalculatorModel(PlanStore plans) : PageModel
{
    private const int MostBlocks = 6;

    private readonly Dictionary<string, string> _errors = [];

    [BindProperty(SupportsGet = true)]
    public string? WarmUp { get; set; } = "4:00";

    [BindProperty(SupportsGet = true)]
    public string? CoolDown { get; set; } = "3:00";

    [BindProperty(SupportsGet = true)]
    public string? Break { get; set; } = "1:00";

    /// <summary>The length it should come to.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Target { get; set; } = "20:00";

    [BindProperty(SupportsGet = true)]
    public List<BlockFields> Blocks { get; set; } = [];

    [BindProperty]
    public string? Title { get; set; }

    public IReadOnlyDictionary<string, string> Errors => _errors;

    /// <summary>Null where a number does not hold.</summary>
    public ClassPlan? Plan { get; private set; }

    public Seconds Low => Schedule.LengthOf(Plan!, RangeEnd.Low);

    public Seconds High => Schedule.LengthOf(Plan!, RangeEnd.High);

    public double WorkShare => Plan!.Blocks.Sum(b => Schedule.Of(b, RangeEnd.Low).Work.Value) / Math.Max(1, Low.Value);

    public IReadOnlyList<(int Block, Adjustment Way)> Ways { get; private set; } = [];

    public IReadOnlyList<KeptPlan> Kept { get; private set; } = [];

    public string? Done => TempData["Done"] as string;

    public async Task<IActionResult> OnGetAsync(Guid? plan, string? add, int? drop, CancellationToken stop)
    {
        if (plan is { } id)
        {
            if (await plans.FindAsync(id, stop) is not { } kept)
            {
                return NotFound();
            }

            (WarmUp, CoolDown, Break, Title) = (kept.Plan.WarmUp.Clock(), kept.Plan.CoolDown.Clock(), kept.Plan.Break.Clock(), kept.Title);
            Blocks = [.. kept.Plan.Blocks.Select(BlockFields.Of)];
        }

        if (Blocks.Count == 0 || (add is not null && Blocks.Count < MostBlocks))
        {
            Blocks.Add(new BlockFields());
        }

        if (drop is { } at && at >= 0 && at < Blocks.Count && Blocks.Count > 1)
        {
            Blocks.RemoveAt(at);
        }

        if (add is not null || drop is not null)
        {
            // What was bound by index must not come back into the fields that moved up.
            ModelState.Clear();
        }

        await ShowAsync(stop);
        return Request.Headers.ContainsKey("HX-Request") ? Partial("Studio/_Calculator", this) : Page();
    }

    public async Task<IActionResult> OnPostKeepAsync(CancellationToken stop)
    {
        await ShowAsync(stop);
        var title = (Title ?? "").Trim();
        if (title.Length is 0 or > 120)
        {
            _errors["title"] = "Give the plan a title of 1 to 120 characters.";
        }

        if (Plan is null || _errors.Count > 0)
        {
            return Page();
        }

        var id = await plans.KeepAsync(title, Plan, User.AccountId(), stop);
        TempData["Done"] = $"\"{title}\" is kept as a plan.";
        return RedirectToPage(new { plan = id });
    }

    public async Task<IActionResult> OnPostPutAwayAsync(Guid plan, bool back, CancellationToken stop)
    {
        if (await plans.FindAsync(plan, stop) is not { } kept)
        {
            return NotFound();
        }

        await plans.RetireAsync(plan, !back, User.AccountId(), stop);
        TempData["Done"] = back ? $"\"{kept.Title}\" is back." : $"\"{kept.Title}\" is put away.";
        TempData["PutAway"] = back ? null : plan.ToString();
        return RedirectToPage();
    }

    /// <summary>The address that shows the plan with one block changed.</summary>
    public string Link(int block, BlockPlan changed)
    {
        var blocks = Plan!.Blocks.SetItem(block, changed);
        var query = new List<(string, string?)> { ("WarmUp", WarmUp), ("CoolDown", CoolDown), ("Break", Break), ("Target", Target) };
        for (var i = 0; i < blocks.Length; i++)
        {
            var f = BlockFields.Of(blocks[i]);
            query.AddRange(typeof(BlockFields).GetProperties().Select(p => ($"Blocks[{i}].{p.Name}", p.GetValue(f)?.ToString())));
        }

        return "/studio/calculator?" + string.Join('&', query.Select(q => $"{Uri.EscapeDataString(q.Item1)}={Uri.EscapeDataString(q.Item2 ?? "")}"));
    }

    private async Task ShowAsync(CancellationToken stop)
    {
        var target = Length("target", "The length wanted", Target);
        var (warm, cool, pause) = (Length("warmUp", "Warm-up", WarmUp), Length("coolDown", "Cool-down", CoolDown), Length("break", "Break", Break));
        var blocks = Blocks.Take(MostBlocks).Select((b, i) => Read(b, i)).ToList();
        Kept = await plans.AllAsync(stop);
        if (_errors.Count > 0)
        {
            return;
        }

        Plan = new ClassPlan(warm, [.. blocks], pause, cool);
        Ways =
        [
            .. blocks.SelectMany((b, i) => Adjustments.Toward(target, b, Low - Schedule.Of(b, RangeEnd.Low).Length, new Seconds(45)).Select(way => (i, way)))
                .OrderBy(w => Math.Abs((w.way.Length - target).Value)).Take(6),
        ];
    }

    private BlockPlan Read(BlockFields f, int i)
    {
        int Whole(string field, string name, string? text)
        {
            if (int.TryParse(text, NumberStyles.Integer, CultureInfo.InvariantCulture, out var n))
            {
                return n;
            }

            Refuse(i, field, $"{name}: \"{text}\" is not a whole number.");
            return 1;
        }

        CountRange Counts(string field, string name, string? text)
        {
            var ends = (text ?? "").Split('-', StringSplitOptions.TrimEntries);
            if (ends.Length is 1 or 2 && int.TryParse(ends[0], CultureInfo.InvariantCulture, out var low) && int.TryParse(ends[^1], CultureInfo.InvariantCulture, out var high))
            {
                return new CountRange(low, high);
            }

            Refuse(i, field, $"{name}: \"{text}\" is not a number; write 10 or 10-12.");
            return CountRange.Of(1);
        }

        double Decimal(string field, string name, string? text)
        {
            if (double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n))
            {
                return n;
            }

            Refuse(i, field, $"{name}: \"{text}\" is not a number.");
            return 1;
        }

        Seconds Time(string field, string name, string? text) => Length($"{i}.{field}", $"Block {i + 1}, {name}", text);

        var plan = new BlockPlan(
            f.Kind, Whole("moves", "Moves", f.Moves), Whole("oneSided", "One-sided moves", f.OneSided), f.Shared, Time("work", "work", f.Work), Time("rest", "rest", f.Rest),
            Counts("rounds", "Rounds", f.Rounds), Whole("sets", "Sets", f.Sets), Time("change", "changing moves", f.Change), Time("roundRest", "rest between rounds", f.RoundRest),
            Counts("reps", "Repetitions", f.Reps), Decimal("tempo", "Seconds a repetition", f.Tempo), f.KeepLastRest, Whole("group", "Moves of a superset", f.Group), Time("filler", "filler", f.Filler),
            Decimal("beats", "Beats a minute", f.Beats), Whole("eights", "Counts of eight", f.Eights), Whole("repeats", "Repeats", f.Repeats));
        foreach (var (field, message) in plan.Validate())
        {
            Refuse(i, field, message);
        }

        return plan;
    }

    private void Refuse(int block, string field, string message) => _errors.TryAdd($"{block}.{field}", $"Block {block + 1}: {message}");

    private Seconds Length(string field, string name, string? text)
    {
        if (Seconds.TryParseClock(text, out var time) && time.Minutes <= 180)
        {
            return time;
        }

        _errors.TryAdd(field, $"{name}: \"{text}\" is not a time; write m:ss, up to 3 hours.");
        return Seconds.Zero;
    }
}
