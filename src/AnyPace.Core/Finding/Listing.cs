using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>A required item, with what the coach says may stand in for it.</summary>
public sealed record KitRequirement(string Item, ImmutableArray<string> StandIns);

/// <summary>What finding and matching need to know of a session at one pace. Worked out, never typed in.</summary>
/// <param name="Shares">Muscle load shares in the order of <see cref="Vocabulary.Muscles"/>; they sum to 1, or to 0 without load.</param>
/// <param name="Strains">Whole seconds in the order of <see cref="Vocabulary.Strains"/>.</param>
/// <param name="Strength">The strength component of difficulty, 0..1; <paramref name="Balance"/> likewise.</param>
/// <param name="Stretching">Share of all bouts' time that is stretches, 0..1.</param>
/// <param name="Loosening">Share of all bouts' time that loosens joints or is easy steps, as warm-ups are, 0..1.</param>
/// <param name="Light">Seconds below 3 MET; moderate up to 6; vigorous above.</param>
public sealed record PacedListing(
    Seconds Needed, Seconds NeededHigh, Impact Impact, Impact Highest, Seconds Jumps, int Level, double Score, ImmutableArray<string> Focus, bool FullBody,
    ImmutableArray<float> Shares, ImmutableArray<string> Positions, ImmutableArray<int> Strains, FloorSpace Space, Noise Noise, Seconds WarmUp,
    bool WarmUpEnough, bool CoolDownEnough, bool SidesEven, double Strength, double Balance, Seconds Light, Seconds Moderate, Seconds Vigorous, double Stretching, double Loosening);

/// <summary>A published session as the catalogue lists it: small, and all that finding and matching look at.</summary>
/// <param name="Version">The published timeline version.</param>
/// <param name="Series">The series it belongs to; null where none.</param>
/// <param name="ByEar">Share of the bouts that can be followed by ear, 0..1; null where nobody knows.</param>
/// <param name="Moves">The moves done, as led.</param>
/// <param name="Words">Stems of the words in its captions that say something.</param>
public sealed record Listing(
    Guid Id, int Version, string Title, string Coach, string? Series, DateTimeOffset PublishedAt, ImmutableArray<PacedListing> Paces, ImmutableArray<KitRequirement> Kit,
    ImmutableArray<string> Structures, double? ByEar, ImmutableArray<string> Moves, ImmutableArray<string> Words)
{
    /// <summary>Of this form are the listings that are kept; a change here makes all of them anew.</summary>
    private const int Form = 2;

    /// <summary>What listings depend on beside the timelines, as a short mark: the lexicon, shipped and own, and how the studio measures.</summary>
    public static string MadeWith(MoveLexicon lexicon, MeasureSettings settings)
    {
        var moves = lexicon.Moves.Select(m => $"{m.Id} {m.Impact} {m.Met} {m.Skill} {m.Sides} {m.SecondsPerRep} {m.Easier} {m.Harder} {string.Join(',', m.Prime)} {string.Join(',', m.Helper)} {string.Join(',', m.Stabiliser)} {string.Join(',', m.Positions)} {string.Join(',', m.Kit)} {string.Join(',', m.Strains)}");
        var weights = settings.Weights;
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes($"{Form} {settings} {weights}\n{string.Join('\n', moves)}")))[..24];
    }

    public PacedListing At(Pace pace) => Paces[(int)pace];

    public static Listing Of(CatalogueEntry entry, int version, string? series, IEnumerable<string> words, MoveLexicon lexicon)
    {
        var (stretching, loosening) = (ShareOf(entry.Timeline, lexicon, m => m.IsStretch), ShareOf(entry.Timeline, lexicon, m => m.Loosens));
        return new(
            entry.Id, version, entry.Title, entry.Coach, series, entry.PublishedAt,
            [.. Sessions.Paces.All.Select(p => Of(entry.Measures.At(p), stretching, loosening))],
            [.. entry.RequiredKit.Select(k => new KitRequirement(k, [.. entry.Timeline.Kit.Where(s => s.Need == KitNeed.Substitute && s.For == k).Select(s => s.Item)]))],
            [.. entry.Timeline.Structures.Select(s => s.Type.Word()).Distinct()],
            entry.Measures.Coaching.ByEar,
            [.. entry.Timeline.Bouts.Select(b => b.MoveId).Distinct()],
            [.. words]);
    }

    private static double ShareOf(Timeline timeline, MoveLexicon lexicon, Predicate<Move> counts) =>
        timeline.Bouts.Where(b => counts(lexicon[b.MoveId])).Sum(b => b.Span.Length.Value) / Math.Max(1, timeline.Bouts.Sum(b => b.Span.Length.Value));

    private static PacedListing Of(MeasureSheet sheet, double stretching, double loosening)
    {
        var shares = sheet.Muscles.ToDictionary(m => m.Muscle, m => (float)m.Share);
        var strains = sheet.Strains.ToDictionary(s => s.Strain, s => (int)Math.Ceiling(s.Length.Value));
        double Part(string name) => sheet.Difficulty.Parts.First(p => p.Name == name).Value;
        return new PacedListing(
            sheet.Time.Needed, sheet.Time.NeededHigh, sheet.Impact.Class, sheet.Impact.Highest, sheet.Impact.Jumps, sheet.Difficulty.Level, sheet.Difficulty.Score,
            sheet.Focus, sheet.FullBody, [.. Vocabulary.Muscles.Select(m => shares.GetValueOrDefault(m))], sheet.Positions,
            [.. Vocabulary.Strains.Select(s => strains.GetValueOrDefault(s))], sheet.Place.Space, sheet.Place.Noise, sheet.Time.WarmUp,
            sheet.Completeness.WarmUpShort == Seconds.Zero, sheet.Completeness.CoolDownShort == Seconds.Zero, sheet.Completeness.SidesEven,
            Part("strength"), Part("balance"), sheet.Light, sheet.Moderate, sheet.Vigorous, stretching, loosening);
    }
}
