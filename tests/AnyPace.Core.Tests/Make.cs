using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests;

/// <summary>Small things to test with, said in the craft's words.</summary>
internal static class Make
{
    public static readonly MoveLexicon Lexicon = MoveLexicon.Default;

    /// <summary>The body in one position for so many words, with all kit at hand; nobody knows where for an empty one.</summary>
    public static MoveFits Fits(int words, string place = "") => new([.. Enumerable.Repeat(place, words)], _ => true);

    /// <summary>The lines of a list that lies beside the tests; empty ones and those that begin with # are left out.</summary>
    public static IEnumerable<string> Lines(string folder, string file) => File.ReadLines(Path.Combine(AppContext.BaseDirectory, folder, file)).Where(l => l.Length > 0 && l[0] != '#');

    /// <summary>Captions from lines such as "[0:05] and squats".</summary>
    public static CaptionFile Captions(params string[] lines) => CaptionReader.Read(string.Join('\n', lines));

    /// <summary>The marks in such lines.</summary>
    public static IReadOnlyList<Mark> Marks(params string[] lines) => MarkFinder.Find(new Speech(Captions(lines).Cues));

    public static Timeline Read(params string[] lines) => new CaptionReading(Lexicon).Read(Captions(lines));

    /// <summary>A class from what is said when, in whichever order.</summary>
    public static Timeline Read(IEnumerable<(double At, string Words)> said) =>
        Read([.. said.OrderBy(s => s.At).Select(s => $"[{(int)s.At / 60}:{(int)s.At % 60:00}] {s.Words}")]);

    /// <summary>One tree of one question: likely where a trait is more than so much, or up to it. Without a trait it tells nothing.</summary>
    public static BoostedTrees Tree(IReadOnlyList<string> traits, string? trait = null, int cut = 0, bool upTo = false)
    {
        const int nodes = 31;
        string[] tree = trait is null ? [] : [$"{trait},{cut},0", .. upTo ? [",0,3", ",0,-3"] : new[] { ",0,-3", ",0,3" }, .. Enumerable.Repeat(",0,0", nodes - 3)];
        return BoostedTrees.Parse(string.Join('\n', ["column,cut,value", .. tree, string.Empty]), traits);
    }

    public static Bout Bout(string move, double start, double end, Side side = Side.Both) => Core.Sessions.Bout.Confirmed($"{move}@{start}", move, Span.Of(start, end), side);

    /// <summary>A class whose bouts are all work.</summary>
    public static Timeline Work(params Bout[] bouts) => Timeline([new Phase(PhaseKind.Work, new Span(bouts[0].Span.Start, bouts[^1].Span.End))], bouts);

    public static Timeline Timeline(Phase[] phases, params Bout[] bouts) => Core.Sessions.Timeline.Empty with
    {
        Recorded = new Seconds(Math.Max(phases.Max(p => p.Span.End.Value), bouts.Length == 0 ? 0 : bouts.Max(b => b.Span.End.Value))),
        Phases = [.. phases],
        Bouts = [.. bouts],
    };

    public static Phase Phase(PhaseKind kind, double start, double end) => new(kind, Span.Of(start, end));

    public static KitItem Kit(string item, KitNeed need = KitNeed.Required, string? instead = null) => new(item, need, null, null, instead, null, []);

    public static Option Easier(string move, string? instead = null) => new(Seconds.Zero, OptionDirection.Easier, move, instead, "an easier way");

    public static Option Harder(string move, string? instead = null) => new(Seconds.Zero, OptionDirection.Harder, move, instead, "a harder way");

    public static CatalogueEntry Entry(string title, Timeline timeline, string coach = "Ottoline Vane", int day = 1) =>
        CatalogueEntry.Of(Guid.CreateVersion7(), title, coach, new DateTimeOffset(2026, 9, day, 9, 0, 0, TimeSpan.Zero), timeline, Lexicon);

    public static Listing Listing(CatalogueEntry entry, string? series = null, params string[] words) =>
        Core.Finding.Listing.Of(entry, 1, series, words.Select(WordStem.Of), Lexicon);

    public static CatalogueSnapshot Library(params CatalogueEntry[] entries) => new(entries.Select(e => Listing(e)), Lexicon);

    /// <summary>Twenty quiet minutes: a warm-up, squats and bridges, a cool-down; a mat.</summary>
    public static Timeline QuietClass(double scale = 1) => Timeline(
        [Phase(PhaseKind.WarmUp, 0, 240 * scale), Phase(PhaseKind.Work, 240 * scale, 1020 * scale), Phase(PhaseKind.CoolDown, 1020 * scale, 1200 * scale)],
        Bout("march", 0, 240 * scale),
        Bout("squat", 240 * scale, 600 * scale),
        Bout("glute-bridge", 620 * scale, 1020 * scale),
        Bout("hamstring-stretch", 1020 * scale, 1200 * scale)) with
    { Kit = [Kit("mat")] };

    /// <summary>Fifteen minutes with jumps, and steps offered for them.</summary>
    public static Timeline JumpingClass() => Timeline(
        [Phase(PhaseKind.WarmUp, 0, 200), Phase(PhaseKind.Work, 200, 800), Phase(PhaseKind.CoolDown, 800, 900)],
        Bout("march", 0, 200),
        Bout("squat-jump", 200, 400),
        Bout("jumping-jack", 420, 600),
        Bout("push-up", 620, 800),
        Bout("quad-stretch", 800, 900)) with
    { Options = [Easier("squat-jump", "squat"), Easier("jumping-jack", "step-jack")] };

    public static ImmutableSortedSet<string> Set(params string[] items) => [.. items];
}
