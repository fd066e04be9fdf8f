using System.Globalization;
using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Checks;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using AnyPace.Data.Members;
using AnyPace.Data.Sessions;
using AnyPace.Data.Studio;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>What is typed to correct or add a bout; texts, so that a slip comes back as it was typed.</summary>
public sealed record BoutFields(string? Bout, string? Move, string? Start, string? End, Side Side, string? Reps);

/// <summary>What is typed to add an item of kit or to change one.</summary>
public sealed record KitFields(string? Item, KitNeed Need, string? Count, string? Load, string? Instead);

/// <summary>What is typed to add a remark or to change one.</summary>
/// <param name="Remark">The key of the one to change; empty for a new one.</param>
/// <param name="What">Kind and type: "Promise|weight loss".</param>
public sealed record RemarkFields(string? Remark, string? What, string? At, string? Text)
{
    public static readonly RemarkFields Empty = new(null, null, null, null);

    public static RemarkFields Of(Remark remark) => new(remark.Key, $"{remark.Kind}|{remark.Type}", remark.At.Clock(), remark.Text);
}

/// <summary>Two people saved from the same version: what the other did, and what was tried here.</summary>
public sealed record Clash(TimelineVersion Theirs, IReadOnlyList<string> TheirLines, string Mine, string Handler, IReadOnlyDictionary<string, string> Fields);

/// <summary>Everything the desk shows; the whole page and its swapped part use the same.</summary>
public sealed record DeskView(
    SessionRecord Session, TimelineVersion Version, SessionMeasures Measures, IReadOnlyList<Finding> Findings, IReadOnlyList<Cue> Cues,
    Bout? Selected, BoutFields Fields, KitFields? Kit, bool OnKit, RemarkFields? Remark, bool Adding, IReadOnlyDictionary<string, string> Errors, Clash? Clash, IReadOnlyList<TimelineVersion> History, string? Done,
    IReadOnlyDictionary<string, Decision> Decisions, IReadOnlyList<Explanation> Why, MassUnit Unit)
{
    /// <summary>What nobody has decided on yet, and decisions that a change of the timeline brought back.</summary>
    public IReadOnlyList<Finding> Open => [.. Findings.Where(f => !Decisions.ContainsKey(f.Fingerprint))];

    public IReadOnlyList<Finding> Settled => [.. Findings.Where(f => Decisions.ContainsKey(f.Fingerprint))];

    public Timeline Timeline => Version.Timeline;

    /// <summary>The said doses, each laid out bout by bout beside what was read.</summary>
    public IEnumerable<(Structure Structure, ImmutableArray<ExpectedBout> Rows)> Laid =>
        Timeline.Structures.Select(s => (s, Expected.Of(s, Timeline))).Where(l => !l.Item2.IsEmpty);

    /// <summary>The other doubtful bouts of the move of the selected one, if that is doubtful.</summary>
    public IReadOnlyList<Bout> Likewise => Selected is { Doubtful: true } bout ? TimelineEdit.Likewise(Timeline, bout.Id) : [];

    public IReadOnlyList<Bout> Doubtful => [.. Timeline.Bouts.Where(b => b.Doubtful)];

    /// <summary>The first doubtful bout after the selected one, else the first of all.</summary>
    public Bout? NextDoubtful => Doubtful.FirstOrDefault(b => Selected is not null && b.Span.Start > Selected.Span.Start) ?? Doubtful.FirstOrDefault(b => b.Id != Selected?.Id);
}

/// <summary>The marking desk: confirm a score fast, correct what is wrong, publish.</summary>
public sealed class DeskModel(
    SessionStore sessions, DecisionStore decisions, ProfileStore profiles, MoveLexicon lexicon, MeasureSettings settings, Catalogue catalogue, CaptionReading reading) : PageModel
{
    private readonly Dictionary<string, string> _errors = [];
    private Clash? _clash;
    private KitFields? _kit;
    private bool _onKit;
    private RemarkFields? _remark;
    private string? _remarkToChange;
    private string? _done;

    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The version a form was made from.</summary>
    [BindProperty]
    public int BasedOn { get; set; }

    /// <summary>Whether what is said of a bout is said of the other doubtful ones of its move too.</summary>
    [BindProperty]
    public bool Likewise { get; set; }

    public DeskView View { get; private set; } = null!;

    /// <param name="remark">The key of a remark to change.</param>
    public async Task<IActionResult> OnGetAsync(string? bout, bool add, string? remark, CancellationToken stop)
    {
        _remarkToChange = remark;
        return await ShowAsync(bout, null, add, stop);
    }

    public Task<IActionResult> OnPostCorrectAsync(BoutFields fields, CancellationToken stop) => ChangeBoutAsync(
        fields, "Correct",
        (timeline, move, span, reps) => (
            Others(timeline, fields.Bout).Aggregate(TimelineEdit.CorrectBout(timeline, fields.Bout ?? "", move, span, fields.Side, reps), (changed, other) => TimelineEdit.RenameBout(changed, other, move)), fields.Bout),
        stop);

    /// <summary>One of the moves that a doubtful bout may be instead is the right one.</summary>
    public Task<IActionResult> OnPostInsteadAsync(string? bout, string? instead, CancellationToken stop)
    {
        var move = lexicon.Find(instead);
        return SayAsync(
            "Instead", bout, $"Bout {bout} is {move?.Name ?? instead}",
            (timeline, of) => TimelineEdit.RenameBout(timeline, of, move?.Id ?? throw new TimelineEditException("move", $"No move is called \"{instead}\". Choose one of the list.")),
            stop, ("instead", instead));
    }

    public Task<IActionResult> OnPostAddAsync(BoutFields fields, CancellationToken stop) =>
        ChangeBoutAsync(
            fields,
            "Add",
            (timeline, move, span, reps) =>
            {
                var changed = TimelineEdit.AddBout(timeline, move, span, fields.Side, reps);
                return (changed, changed.Bouts.First(b => timeline.Bouts.All(old => old.Id != b.Id)).Id);
            },
            stop);

    public Task<IActionResult> OnPostConfirmAsync(string? bout, CancellationToken stop) => SayAsync("Confirm", bout, $"Confirm bout {bout}", TimelineEdit.ConfirmBout, stop);

    public Task<IActionResult> OnPostRemoveAsync(string? bout, CancellationToken stop) => SayAsync("Remove", bout, $"Remove bout {bout}", TimelineEdit.RemoveBout, stop);

    /// <summary>Says something of a bout, and of the others of its move where that is asked for, and goes on to the next doubtful one.</summary>
    private Task<IActionResult> SayAsync(string handler, string? bout, string mine, Func<Timeline, string, Timeline> change, CancellationToken stop, params IEnumerable<(string Name, string? Value)> form) => ChangeAsync(
        handler, BoutForm(bout, form), mine + AndOthers, bout,
        timeline => (Others(timeline, bout).Aggregate(change(timeline, bout ?? ""), change), NextDoubtful(timeline, bout)),
        stop);

    /// <summary>The other doubtful bouts of the move of one, where what is said of that is said of them too.</summary>
    private IEnumerable<string> Others(Timeline timeline, string? bout) => Likewise ? TimelineEdit.Likewise(timeline, bout ?? "").Select(b => b.Id) : [];

    private string AndOthers => Likewise ? " and the other doubtful ones of its move" : "";

    private Dictionary<string, string> BoutForm(string? bout, params IEnumerable<(string Name, string? Value)> more) =>
        new([new("bout", bout ?? ""), new("likewise", Likewise ? "true" : "false"), .. more.Select(m => KeyValuePair.Create(m.Name, m.Value ?? ""))]);

    /// <summary>The bout to go on with: the first doubtful one after, that nothing was said of yet, else the same.</summary>
    private string? NextDoubtful(Timeline timeline, string? bout)
    {
        var here = timeline.Bouts.First(b => b.Id == bout);
        return timeline.Bouts.FirstOrDefault(b => b.Doubtful && b.Span.Start > here.Span.Start && !(Likewise && b.MoveId == here.MoveId))?.Id ?? bout;
    }

    public Task<IActionResult> OnPostPhaseAsync(int edge, string? at, CancellationToken stop) => ChangeAsync(
        "Phase", new() { ["edge"] = $"{edge}", ["at"] = at ?? "" }, $"Move a phase edge to {at}", null,
        timeline => Seconds.TryParseClock(at, out var time)
            ? (TimelineEdit.MovePhaseEdge(timeline, edge, time), null)
            : throw new TimelineEditException($"edge{edge}", $"\"{at}\" is not a time; write m:ss."),
        stop, $"edge{edge}");

    public Task<IActionResult> OnPostKitAsync(KitFields fields, CancellationToken stop)
    {
        (_kit, _onKit) = (fields, true);
        var form = new Dictionary<string, string>
        {
            ["item"] = fields.Item ?? "",
            ["need"] = fields.Need.ToString(),
            ["count"] = fields.Count ?? "",
            ["load"] = fields.Load ?? "",
            ["instead"] = fields.Instead ?? "",
        };
        return ChangeAsync(
            "Kit", form, $"Kit: {fields.Item} {fields.Need.ToString().ToLowerInvariant()}", null,
            timeline =>
            {
                int? count = string.IsNullOrWhiteSpace(fields.Count) ? null
                    : int.TryParse(fields.Count, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n
                    : throw new TimelineEditException("count", $"\"{fields.Count}\" is not a number of items.");
                return (TimelineEdit.PutKit(timeline, fields.Item ?? "", fields.Need, count, fields.Load, fields.Instead), null);
            },
            stop, "kit");
    }

    public Task<IActionResult> OnPostRemoveKitAsync(string? item, CancellationToken stop)
    {
        _onKit = true;
        return ChangeAsync("RemoveKit", new() { ["item"] = item ?? "" }, $"Remove {item} from the kit", null, timeline => (TimelineEdit.RemoveKit(timeline, item ?? ""), null), stop, "kit");
    }

    /// <summary>A remark is added, or another kind, time or wording put in the place of one that was read. Without a text, what the captions have there is taken.</summary>
    public async Task<IActionResult> OnPostRemarkAsync(RemarkFields fields, CancellationToken stop)
    {
        _remark = fields;
        var cues = !string.IsNullOrWhiteSpace(fields.Text) || await sessions.FindAsync(Id, stop) is null ? [] : await CuesAsync(stop);
        var form = new Dictionary<string, string> { ["remark"] = fields.Remark ?? "", ["what"] = fields.What ?? "", ["at"] = fields.At ?? "", ["text"] = fields.Text ?? "" };
        return await ChangeAsync(
            "Remark", form, $"Remark at {fields.At}: {fields.What?.Replace("|", ", ", StringComparison.Ordinal).ToLowerInvariant()}", null,
            timeline =>
            {
                if (fields.What?.Split('|') is not [var name, var type] || !Enum.TryParse<RemarkKind>(name, out var kind))
                {
                    throw new TimelineEditException("type", "Say what kind of remark it is.");
                }

                if (!Seconds.TryParseClock(fields.At, out var at))
                {
                    throw new TimelineEditException("at", $"\"{fields.At}\" is not a time; write m:ss.");
                }

                // The clock shows whole seconds: a time that nobody changed is kept as it was read.
                var old = Remark.Of(timeline).FirstOrDefault(r => r.Key == fields.Remark);
                var key = string.IsNullOrEmpty(fields.Remark) ? null : fields.Remark;
                var text = string.IsNullOrWhiteSpace(fields.Text) ? SaidAt(cues, at) : fields.Text.Trim();
                return (TimelineEdit.PutRemark(timeline, key, new Remark(kind, type, old?.At.Clock() == at.Clock() ? old.At : at, text)), null);
            },
            stop, "remark");
    }

    public Task<IActionResult> OnPostRemoveRemarkAsync(string? remark, CancellationToken stop)
    {
        _remark = RemarkFields.Empty;
        return ChangeAsync("RemoveRemark", new() { ["remark"] = remark ?? "" }, "Remove a remark", null, timeline => (TimelineEdit.RemoveRemark(timeline, remark ?? ""), null), stop, "remark");
    }

    /// <summary>What the captions have around a moment, for a remark that was added by its time only.</summary>
    private static string SaidAt(IReadOnlyList<Cue> cues, Seconds at)
    {
        const int longest = 200;
        var (from, to) = (at - new Seconds(2), at + new Seconds(6));
        var words = string.Join(' ', cues.Where(c => c.End > from && c.Start < to).Select(c => c.Text));
        return words.Length <= longest ? words : words[..longest];
    }

    private async Task<IReadOnlyList<Cue>> CuesAsync(CancellationToken stop) => CaptionCleaner.Clean(CaptionReader.Read(await sessions.CaptionsAsync(Id, stop)).Cues);

    /// <summary>Goes back by saving an earlier version anew, so that the way back can be undone too.</summary>
    public async Task<IActionResult> OnPostRestoreAsync(int version, CancellationToken stop)
    {
        if (await sessions.VersionAsync(Id, version, stop) is not { } old)
        {
            return NotFound();
        }

        return await ChangeAsync("Restore", new() { ["version"] = $"{version}" }, $"Restore version {version}", null, _ => (old.Timeline, null), stop);
    }

    /// <summary>With the moves and names that the studio has by now.</summary>
    public async Task<IActionResult> OnPostReadAgainAsync(CancellationToken stop)
    {
        if (await sessions.FindAsync(Id, stop) is not { } session)
        {
            return NotFound();
        }

        var proposed = reading.Read(CaptionReader.Read(await sessions.CaptionsAsync(Id, stop)), new ReadingContext(session.Facts.Title, session.Facts.StatedMinutes));
        return await ChangeAsync("ReadAgain", [], "Read the captions again", null, timeline => (TimelineEdit.ReadAgain(timeline, proposed), null), stop);
    }

    /// <summary>What was typed when the recording was taken in, put right. Members see it at once where the session is published.</summary>
    public async Task<IActionResult> OnPostFactsAsync(string? title, string? coach, string? series, DateOnly? recordedOn, string? stated, CancellationToken stop)
    {
        if (await sessions.FindAsync(Id, stop) is null)
        {
            return NotFound();
        }

        double? minutes = null;
        if (string.IsNullOrWhiteSpace(title) || title.Trim().Length > 120)
        {
            _errors["facts"] = "A title has 1 to 120 characters.";
        }
        else if (string.IsNullOrWhiteSpace(coach) || coach.Trim().Length > 80)
        {
            _errors["facts"] = "A coach's name has 1 to 80 characters.";
        }
        else if (series?.Trim().Length > 80)
        {
            _errors["facts"] = "A series' name has at most 80 characters.";
        }
        else if (recordedOn is null)
        {
            _errors["facts"] = "Say when it was recorded.";
        }
        else if (!string.IsNullOrWhiteSpace(stated))
        {
            if (double.TryParse(stated.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var m) && m is > 0 and <= 600)
            {
                minutes = m;
            }
            else
            {
                _errors["facts"] = $"\"{stated}\" is not a number of minutes between 0 and 600.";
            }
        }

        if (_errors.Count > 0)
        {
            return await ShowAsync(null, null, false, stop);
        }

        await sessions.ChangeFactsAsync(
            Id, new SessionFacts(title!.Trim(), coach!.Trim(), recordedOn!.Value, minutes, string.IsNullOrWhiteSpace(series) ? null : series.Trim()), User.AccountId(), stop);
        await catalogue.RefreshAsync(stop);
        return await DoneAsync("Title, coach and series are changed.", null, stop);
    }

    public async Task<IActionResult> OnPostPublishAsync(CancellationToken stop)
    {
        if (await sessions.FindAsync(Id, stop) is not { } session)
        {
            return NotFound();
        }

        if (session.Newest != BasedOn)
        {
            _errors["publish"] = $"Version {session.Newest} was saved while you looked at version {BasedOn}. Look it over, then publish.";
            return await ShowAsync(null, null, false, stop);
        }

        await sessions.PublishAsync(Id, BasedOn, User.AccountId(), stop);
        await catalogue.RefreshAsync(stop);
        return await DoneAsync($"Version {BasedOn} is published. Members can find it now.", null, stop);
    }

    public async Task<IActionResult> OnPostWithdrawAsync(CancellationToken stop)
    {
        if (await sessions.FindAsync(Id, stop) is null)
        {
            return NotFound();
        }

        await sessions.WithdrawAsync(Id, User.AccountId(), stop);
        await catalogue.RefreshAsync(stop);
        return await DoneAsync("Withdrawn. Members no longer find it; publish to bring it back.", null, stop);
    }

    /// <summary>A finding is fixed, or accepted with a reason. The decision holds until the finding's moment or figures change.</summary>
    public async Task<IActionResult> OnPostSettleAsync(string? fingerprint, string? decision, string? reason, CancellationToken stop)
    {
        if (await sessions.VersionAsync(Id, null, stop) is not { } version)
        {
            return NotFound();
        }

        var why = (reason ?? "").Trim();
        if (!Check.All(version.Timeline, lexicon, Measure.All(version.Timeline, lexicon, settings)).Any(f => f.Fingerprint == fingerprint))
        {
            _errors["settle"] = "That finding is gone: the timeline has changed since. The list is new.";
        }
        else if (decision is not ("fixed" or "accepted"))
        {
            _errors["settle"] = "Say whether it is fixed or accepted.";
        }
        else if (decision == "accepted" && why.Length == 0)
        {
            _errors["settle"] = "Give a reason to accept it; the next person will ask.";
        }
        else if (why.Length > 300)
        {
            _errors["settle"] = "A reason has at most 300 characters.";
        }

        if (_errors.Count > 0)
        {
            return await ShowAsync(null, null, false, stop);
        }

        await decisions.SettleAsync(Id, fingerprint!, decision == "fixed", why, User.AccountId(), stop);
        return await DoneAsync("Settled. It comes back if the timeline changes there.", null, stop);
    }

    public async Task<IActionResult> OnPostReopenAsync(string? fingerprint, CancellationToken stop)
    {
        if (await sessions.FindAsync(Id, stop) is null)
        {
            return NotFound();
        }

        await decisions.ReopenAsync(Id, fingerprint ?? "", User.AccountId(), stop);
        return await DoneAsync("Open again.", null, stop);
    }

    private Task<IActionResult> ChangeBoutAsync(
        BoutFields fields, string handler, Func<Timeline, string, Span, CountRange?, (Timeline, string?)> change, CancellationToken stop)
    {
        var form = BoutForm(fields.Bout, ("move", fields.Move), ("start", fields.Start), ("end", fields.End), ("side", fields.Side.ToString()), ("reps", fields.Reps));
        var side = fields.Side == Side.Both ? "" : ", " + fields.Side.ToString().ToLowerInvariant();
        return ChangeAsync(
            handler,
            form,
            $"{(handler == "Add" ? "Add" : "Change to")} {fields.Move} {fields.Start} to {fields.End}{side}{AndOthers}",
            fields.Bout,
            timeline =>
            {
                var move = FindMove(fields.Move) ?? throw new TimelineEditException("move", $"No move is called \"{fields.Move}\". Choose one of the list.");
                if (!Seconds.TryParseClock(fields.Start, out var start))
                {
                    throw new TimelineEditException("start", $"\"{fields.Start}\" is not a time; write m:ss.");
                }

                if (!Seconds.TryParseClock(fields.End, out var end))
                {
                    throw new TimelineEditException("end", $"\"{fields.End}\" is not a time; write m:ss.");
                }

                return change(timeline, move.Id, new Span(start, end), ParseReps(fields.Reps));
            },
            stop,
            fields: fields);
    }

    /// <summary>Applies a change to the version it was made from and saves it, or shows what stands in the way.</summary>
    private async Task<IActionResult> ChangeAsync(
        string handler, Dictionary<string, string> form, string mine, string? bout, Func<Timeline, (Timeline Changed, string? Select)> change, CancellationToken stop,
        string? field = null, BoutFields? fields = null)
    {
        if (await sessions.VersionAsync(Id, BasedOn, stop) is not { } version)
        {
            return NotFound();
        }

        (Timeline Changed, string? Select) result;
        try
        {
            result = change(version.Timeline);
        }
        catch (TimelineEditException e)
        {
            _errors[field ?? e.Field] = e.Message;
            return await ShowAsync(bout, fields, handler == "Add", stop);
        }

        var saved = await sessions.SaveAsync(Id, BasedOn, result.Changed, mine, User.AccountId(), stop);
        if (saved.Saved is null)
        {
            _clash = new Clash(
                saved.Newest!, TimelineDifference.Lines(version.Timeline, saved.Newest!.Timeline, id => lexicon[id].Name), mine, handler, form);
            return await ShowAsync(bout, fields, handler == "Add", stop);
        }

        return await DoneAsync(null, result.Select, stop);
    }

    private async Task<IActionResult> DoneAsync(string? done, string? bout, CancellationToken stop)
    {
        if (IsSwap)
        {
            _done = done;
            return await ShowAsync(bout, null, false, stop);
        }

        TempData["Done"] = done;
        return RedirectToPage(new { id = Id, bout });
    }

    private bool IsSwap => Request.Headers.ContainsKey("HX-Request");

    private async Task<IActionResult> ShowAsync(string? bout, BoutFields? fields, bool adding, CancellationToken stop)
    {
        if (await sessions.FindAsync(Id, stop) is not { } session)
        {
            return NotFound();
        }

        var version = (await sessions.VersionAsync(Id, null, stop))!;
        var timeline = version.Timeline;
        var selected = timeline.Bouts.FirstOrDefault(b => b.Id == bout) ?? timeline.Bouts.FirstOrDefault(b => b.Doubtful) ?? timeline.Bouts.FirstOrDefault();
        var measures = Measure.All(timeline, lexicon, settings);
        var cues = await CuesAsync(stop);
        var shown = adding
            ? new BoutFields(null, null, selected?.Span.End.Clock(), null, Side.Both, null)
            : new BoutFields(
                selected?.Id, selected is null ? null : lexicon[selected.MoveId].Name, selected?.Span.Start.Clock(), selected?.Span.End.Clock(), selected?.Side ?? Side.Both,
                selected?.Reps is { } r ? r.Low == r.High ? $"{r.Low}" : $"{r.Low}-{r.High}" : null);
        View = new DeskView(
            session, version, measures, Check.All(timeline, lexicon, measures), cues, selected, fields ?? shown, _errors.ContainsKey("kit") ? _kit : null, _onKit, ShownRemark(timeline), adding || timeline.Bouts.IsEmpty, _errors, _clash,
            await sessions.HistoryAsync(Id, stop), _done ?? TempData["Done"] as string,
            (await decisions.OfAsync(Id, stop)).ToDictionary(d => d.Fingerprint), Explain.All(timeline, lexicon, measures, Pace.AsLed), (await profiles.FindAsync(User.AccountId(), stop)).Unit);
        return IsSwap ? Partial("Studio/_Desk", View) : Page();
    }

    /// <summary>What the form for a remark shows: what was typed where it could not be saved, nothing where it was, else the remark to change. Null where none is asked for, and all stay folded.</summary>
    private RemarkFields? ShownRemark(Timeline timeline) =>
        _remark is null ? Remark.Of(timeline).Where(r => r.Key == _remarkToChange).Select(RemarkFields.Of).FirstOrDefault()
        : _errors.ContainsKey("remark") || _clash is not null ? _remark : RemarkFields.Empty;

    /// <summary>By name, id, or any alias.</summary>
    private Move? FindMove(string? text)
    {
        var name = (text ?? "").Trim();
        return lexicon.Find(name)
            ?? lexicon.Moves.FirstOrDefault(m => string.Equals(m.Name, name, StringComparison.OrdinalIgnoreCase))
            ?? lexicon.Moves.FirstOrDefault(m => m.Aliases.Contains(name, StringComparer.OrdinalIgnoreCase));
    }

    private static CountRange? ParseReps(string? text)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }

        var parts = text.Split('-', StringSplitOptions.TrimEntries);
        return parts.Length is 1 or 2 && int.TryParse(parts[0], out var low) && int.TryParse(parts[^1], out var high)
            ? new CountRange(low, high)
            : throw new TimelineEditException("reps", $"\"{text}\" is not a number of repetitions; write 12 or 12-15.");
    }
}
