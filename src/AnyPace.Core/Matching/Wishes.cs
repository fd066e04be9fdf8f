using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <summary>A session done, as the member logged it.</summary>
/// <param name="Effort">0 rest to 10 all out; null where not said.</param>
public sealed record DoneSession(Guid Session, DateTimeOffset At, Pace Pace, int? Effort, bool Pain);

/// <summary>What a member said on suggestions.</summary>
/// <param name="NotToday">Sessions waved off for today.</param>
/// <param name="MoreLike">Sessions of which the member wants more of the kind.</param>
public sealed record Signals(ImmutableHashSet<Guid> NotToday, ImmutableHashSet<Guid> MoreLike)
{
    public static readonly Signals None = new([], []);
}

/// <summary>A profile, a log and a moment, ready to be held against every session.</summary>
public sealed class Wishes
{
    /// <summary>Load of the last seven days fades with this half-life; muscles are usually rested after two days.</summary>
    private const double HalfLifeHours = 48;
    private const double LookBackDays = 7;

    /// <summary>Prime movers of a session within this time are not due again (measures sheet).</summary>
    private const double SameMoversHours = 48;

    /// <summary>A muscle with this share of the load was a prime mover of the session. Ours: twice an even share.</summary>
    private const double PrimeShare = 0.11;

    /// <summary>Minutes of full load that leave a muscle tired. Ours.</summary>
    private const double TiredFrom = 8;

    /// <summary>An effort of this much is as a session should feel; ours, "somewhat hard" to "hard".</summary>
    private const double RightEffort = 6;

    /// <summary>This many points of effort off count as one level.</summary>
    private const double EffortALevel = 3;

    private const int EffortsUsed = 5;

    private Wishes(MemberProfile profile, Signals signals)
    {
        (Profile, Signals) = (profile, signals);
        Goals = [.. profile.Goals.Select(g => MemberProfile.AllGoals.IndexOf(g))];
    }

    /// <summary>The profile's goals by their place in the closed list: quick to go through for every session.</summary>
    internal int[] Goals { get; }

    public MemberProfile Profile { get; }

    public Signals Signals { get; }

    /// <summary>How tired each muscle is, 0 rested to 1, in the order of the vocabulary.</summary>
    public float[] Tired { get; } = new float[Segment.Muscles];

    /// <summary>The level to aim at, 1..5, moved by the efforts logged; null where none is told and none logged.</summary>
    public double? Level { get; private init; }

    /// <summary>When each session was last done, in days before now.</summary>
    public IReadOnlyDictionary<Guid, double> DaysSince { get; private init; } = ImmutableDictionary<Guid, double>.Empty;

    /// <summary>Coach and structures of the newest session of the log; null without one.</summary>
    public (string Coach, ushort Structures)? Last { get; private init; }

    /// <summary>Muscle shares (255ths), coach and structures of the sessions of which the member wants more.</summary>
    public ImmutableArray<(byte[] Shares, string Coach, ushort Structures)> Models { get; private init; } = [];

    /// <summary>True where the log tells something.</summary>
    public bool HasHistory => DaysSince.Count > 0;

    /// <param name="log">In any order; sessions that are no longer published count for nothing but their effort.</param>
    public static Wishes Of(MemberProfile profile, IReadOnlyCollection<DoneSession> log, Signals signals, CatalogueSnapshot catalogue, DateTimeOffset now)
    {
        var newest = log.OrderByDescending(d => d.At).ToList();
        var wishes = new Wishes(profile, signals)
        {
            Level = LevelOf(profile, newest, catalogue),
            DaysSince = newest.GroupBy(d => d.Session).ToDictionary(g => g.Key, g => Math.Max(0, (now - g.First().At).TotalDays)),
            Last = newest.Count > 0 && catalogue.Row(newest[0].Session) is { } last ? (last.Coach, last.Segment.Structures[last.Row]) : null,
            Models = [.. signals.MoreLike.Select(catalogue.Row).OfType<SessionRow>().Select(r => (SharesOf(r, Pace.AsLed), r.Coach, r.Segment.Structures[r.Row]))],
        };
        foreach (var done in newest.TakeWhile(d => (now - d.At).TotalDays <= LookBackDays))
        {
            if (catalogue.Row(done.Session) is not { } row)
            {
                continue;
            }

            var hours = Math.Max(0, (now - done.At).TotalHours);
            var minutes = row.At(done.Pace).Needed[row.Row] / 60.0;
            var shares = SharesOf(row, done.Pace);
            for (var m = 0; m < shares.Length; m++)
            {
                var share = shares[m] / 255.0;
                var faded = share * minutes * Math.Pow(0.5, hours / HalfLifeHours) / TiredFrom;
                var again = hours <= SameMoversHours && share >= PrimeShare ? 0.5 : 0;
                wishes.Tired[m] = (float)Math.Min(1, wishes.Tired[m] + faded + again);
            }
        }

        return wishes;
    }

    private static byte[] SharesOf(SessionRow row, Pace pace) => row.At(pace).Shares.AsSpan(row.Row * Segment.Muscles, Segment.Muscles).ToArray();

    /// <summary>Sessions that felt harder than they should lower the aim, easier ones raise it, by a level at most.</summary>
    private static double? LevelOf(MemberProfile profile, List<DoneSession> newest, CatalogueSnapshot catalogue)
    {
        var felt = newest
            .Where(d => d.Effort is not null)
            .Take(EffortsUsed)
            .Select(d => (Done: d, Row: catalogue.Row(d.Session)))
            .Where(x => x.Row is not null)
            .Select(x => (Level: (double)x.Row!.Value.At(x.Done.Pace).Level[x.Row.Value.Row], Right: (RightEffort - x.Done.Effort!.Value) / EffortALevel))
            .ToList();
        if (felt.Count == 0)
        {
            return profile.Level;
        }

        var suits = felt.Average(f => f.Level + f.Right);
        return Math.Clamp(profile.Level is { } told ? Math.Clamp(suits, told - 1, told + 1) : suits, 1, 5);
    }
}
