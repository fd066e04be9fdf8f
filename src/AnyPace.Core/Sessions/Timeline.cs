using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>What a stretch of the recording is for.</summary>
public enum PhaseKind
{
    Talk,
    WarmUp,
    Work,
    Break,
    CoolDown,
}

/// <summary>Which side of the body a bout works. <see cref="Both"/> also stands for alternating work and for moves without sides.</summary>
public enum Side
{
    Both,
    Left,
    Right,
}

/// <summary>Whether the recording is the class, or shows moves for a class done alone afterwards.</summary>
public enum ClassKind
{
    FollowAlong,
    Demonstration,
    Mixed,
}

/// <summary>Words on the recording that made a proposal.</summary>
/// <param name="At">When they were said.</param>
/// <param name="Text">The words, as captioned.</param>
public sealed record Evidence(Seconds At, string Text);

/// <summary>One stretch of the class with one purpose.</summary>
public sealed record Phase(PhaseKind Kind, Span Span, double Confidence = 1);

/// <summary>An inclusive range of whole numbers, such as 12 to 15 repetitions; both ends equal where one number was said.</summary>
public readonly record struct CountRange(int Low, int High)
{
    public static CountRange Of(int n) => new(n, n);

    public override string ToString() => Low == High ? $"{Low}" : $"{Low} to {High}";
}

/// <summary>Why a bout is doubtful.</summary>
public enum DoubtKind
{
    /// <summary>No name of the move is said anywhere in the class; it is told by other words.</summary>
    NeverNamed,

    /// <summary>No name of the move is said in the bout, only elsewhere in the class.</summary>
    NotNamedHere,

    /// <summary>The move is named in the bout, but as something that is talked about rather than done.</summary>
    TalkedAbout,

    /// <summary>Another move is named in the bout, and seems to be done.</summary>
    OtherNamed,

    /// <summary>Hardly a word is said in the bout.</summary>
    Silent,

    /// <summary>It is a stretch between two bouts of work, or work between two stretches.</summary>
    OutOfPlace,

    /// <summary>Nobody says that it starts, or counts or cheers in it as one does with what is done.</summary>
    NoStart,

    /// <summary>It is much shorter than most bouts of the class, or much longer.</summary>
    Short,
    Long,
}

/// <summary>A reason why a bout is doubtful.</summary>
/// <param name="MoveId">The other move, where there is one.</param>
public readonly record struct Doubt(DoubtKind Kind, string? MoveId = null);

/// <summary>One unbroken stretch of one move.</summary>
/// <param name="Id">Stable within a timeline, so that corrections keep their evidence.</param>
/// <param name="MoveId">A lexicon move.</param>
/// <param name="Confidence">0..1: of bouts proposed at 0.8, about 80 % should be right; 1 once a person has confirmed.</param>
public sealed record Bout(
    string Id,
    string MoveId,
    Span Span,
    Side Side,
    CountRange? Reps,
    double Confidence,
    ImmutableArray<Evidence> Evidence)
{
    /// <summary>Under this a bout is drawn as doubtful and asked about: in our own classes that nobody tunes on, one in four is, more than half of those are wrong, and two of three wrong ones are among them.</summary>
    public const double DoubtBelow = 0.7;

    public bool Doubtful => Confidence < DoubtBelow;

    /// <summary>What speaks against a doubtful bout, the plainest first; empty for one that is not.</summary>
    public ImmutableArray<Doubt> Doubts { get; init; } = [];

    /// <summary>Lexicon moves that a doubtful bout may be instead, the likeliest first; empty for one that is not.</summary>
    public ImmutableArray<string> Instead { get; init; } = [];

    /// <summary>The same once a person has said that it is right.</summary>
    public Bout Sure() => this with { Confidence = 1, Doubts = [], Instead = [] };

    public static Bout Confirmed(string id, string moveId, Span span, Side side = Side.Both, CountRange? reps = null) =>
        new(id, moveId, span, side, reps, 1, []);
}

public enum OptionDirection
{
    Easier,
    Harder,
}

/// <summary>An easier or harder way the coach gives.</summary>
/// <param name="MoveId">The move it belongs to, where known.</param>
/// <param name="Instead">The move to do instead, where one is named.</param>
public sealed record Option(Seconds At, OptionDirection Direction, string? MoveId, string? Instead, string Text);

public enum KitNeed
{
    Required,
    Optional,
    Substitute,
}

/// <summary>One thing the class needs or may use.</summary>
/// <param name="Load">As said ("8 to 10 pounds", "heavy"); never converted here.</param>
/// <param name="For">For a substitute: the item it stands in for.</param>
/// <param name="FirstNeeded">When a move first uses it; null when it is only talked about.</param>
public sealed record KitItem(
    string Item,
    KitNeed Need,
    int? Count,
    string? Load,
    string? For,
    Seconds? FirstNeeded,
    ImmutableArray<Evidence> Evidence);

/// <summary>A caution the coach gives, by topic (contract: cautions.topic).</summary>
public sealed record Caution(Seconds At, string Topic, string Text);

/// <summary>A promise or remark a studio should not repeat (contract: claims.type).</summary>
public sealed record Claim(Seconds At, string Type, double? Figure, string Text);

/// <summary>Something that is not the class: plugs, brands, adverts, small talk (contract: outside.type).</summary>
/// <param name="Until">When the class goes on; null where it is a remark in passing.</param>
public sealed record Outside(Seconds At, string Type, string Text, Seconds? Until = null);

/// <summary>What goes wrong aloud.</summary>
public enum SlipKind
{
    /// <summary>The coach says so: "where was I?".</summary>
    LostCount,

    /// <summary>A count leaves out numbers, or says one twice.</summary>
    CountJumps,

    /// <summary>A move is announced and taken back.</summary>
    WrongMove,

    /// <summary>The coach says that a move was left out.</summary>
    MoveLeftOut,
}

/// <summary>A slip of the coach, with the move it concerns where one is named.</summary>
public sealed record Slip(Seconds At, SlipKind Kind, string? MoveId, string Text);

/// <summary>Something said aloud that a member who does not look can go by.</summary>
/// <param name="MoveId">The move that is named; null for time called or an end said.</param>
/// <param name="Ends">True where the end of a bout is said, false where time is called on the way.</param>
public readonly record struct Heard(Seconds At, string? MoveId, bool Ends);

/// <summary>What the words of a class come to, kept with the timeline so that it can be measured without the captions.</summary>
/// <param name="Words">All words while the class goes on.</param>
/// <param name="FormCues">Phrases that say how to do it.</param>
public sealed record Voice(int Words, int FormCues, ImmutableArray<Heard> Heard)
{
    /// <summary>Moves announced in so many words, whether done or not.</summary>
    public ImmutableArray<Heard> Announced { get; init; } = [];

    /// <summary>The names moves go by in this class, where one goes by more than one.</summary>
    public ImmutableArray<SpokenName> Names { get; init; } = [];

    /// <summary>Stretches in which nobody speaks, each 45 s or longer.</summary>
    public ImmutableArray<Span> Silences { get; init; } = [];

    /// <summary>Captions after this moment are noise: the class is over. Null where there are none.</summary>
    public Seconds? NoiseFrom { get; init; }

    /// <summary>True where the coach says goodbye.</summary>
    public bool SignedOff { get; init; }

    /// <summary>When the pace of a move is said to change: "double time", "now pulse it", "slow, four counts down".</summary>
    public ImmutableArray<Seconds> TempoChanges { get; init; } = [];
}

/// <summary>A name a move was called by.</summary>
public sealed record SpokenName(string MoveId, string Name, Seconds At);

/// <summary>What the coach says about the class as a whole.</summary>
public sealed record Stated(
    ImmutableArray<double> Minutes,
    string? Impact,
    string? Level,
    ImmutableArray<string> Focus,
    CountRange? SessionsPerWeek,
    CountRange? Weeks)
{
    /// <summary>"No equipment needed" and when it is said; null where it is not.</summary>
    public Seconds? NoKit { get; init; }

    public static readonly Stated Nothing = new([], null, null, [], null, null);
}

/// <summary>The class score: everything a member or a manager sees is worked out from this.</summary>
public sealed record Timeline(
    Seconds Recorded,
    ClassKind Kind,
    bool PartOfSeries,
    Stated Stated,
    ImmutableArray<Phase> Phases,
    ImmutableArray<Bout> Bouts,
    ImmutableArray<Structure> Structures,
    ImmutableArray<KitItem> Kit,
    ImmutableArray<Option> Options,
    ImmutableArray<Caution> Cautions,
    ImmutableArray<Claim> Claims,
    ImmutableArray<Outside> Outside)
{
    /// <summary>What went wrong aloud, in time order; empty in timelines saved before slips were read.</summary>
    public ImmutableArray<Slip> Slips { get; init; } = [];

    /// <summary>What can be followed by ear; null in timelines made without captions, or saved before it was read.</summary>
    public Voice? Voice { get; init; }

    public static readonly Timeline Empty = new(Seconds.Zero, ClassKind.FollowAlong, false, Stated.Nothing, [], [], [], [], [], [], [], []);

    /// <summary>The phase a moment belongs to; talk where nothing is marked.</summary>
    public PhaseKind PhaseAt(Seconds at)
    {
        foreach (var phase in Phases)
        {
            if (phase.Span.Contains(at))
            {
                return phase.Kind;
            }
        }

        return PhaseKind.Talk;
    }

    /// <summary>The phase a bout counts for: where its middle lies. A bout left in talk or a break is work by nature.</summary>
    public PhaseKind PhaseOf(Bout bout)
    {
        var kind = PhaseAt(bout.Span.Middle);
        return kind is PhaseKind.Talk or PhaseKind.Break ? PhaseKind.Work : kind;
    }

    public IEnumerable<Bout> BoutsOf(PhaseKind kind) => Bouts.Where(b => PhaseOf(b) == kind);
}
