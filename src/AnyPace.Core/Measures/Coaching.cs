using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>How far a member can follow without looking, and what the coach talks about.</summary>
/// <param name="ByEar">Share of main bouts that are named before or within 5 s of their start and ended or timed aloud, 0..1; null without words.</param>
/// <param name="Unheard">The main bouts that fail it.</param>
/// <param name="OffTopic">Seconds of talk beside the class.</param>
public sealed record CoachingFigures(double? ByEar, ImmutableArray<Bout> Unheard, double? WordsPerMinute, double? FormCuesPerMinute, Seconds OffTopic);

/// <summary>Followable by ear, and the coaching mix.</summary>
public static class Coaching
{
    /// <summary>A bout is named in time up to this long after its start (measures sheet).</summary>
    private const double NamedBy = 5;

    /// <summary>A name said longer ago than this is forgotten: the length of a usual round's rest.</summary>
    private const double NamedFrom = 75;

    /// <summary>An end is said within this of the end itself.</summary>
    private const double EndSaid = 12;

    /// <summary>Time left is said within this of the end ("halfway", "ten seconds").</summary>
    private const double TimeSaid = 35;

    public static CoachingFigures Of(Timeline timeline)
    {
        var off = OffTopic(timeline);
        if (timeline.Voice is not { } voice)
        {
            return new CoachingFigures(null, [], null, null, off);
        }

        var main = timeline.BoutsOf(PhaseKind.Work).ToList();
        var unheard = main.Where(b => !Named(b, voice) || !Ended(b, voice)).ToImmutableArray();
        var minutes = Math.Max(1, timeline.Recorded.Minutes);
        return new CoachingFigures(main.Count == 0 ? null : 1 - (unheard.Length / (double)main.Count), unheard, voice.Words / minutes, voice.FormCues / minutes, off);
    }

    private static bool Named(Bout bout, Voice voice) => voice.Heard.Any(h =>
        h.MoveId == bout.MoveId && h.At.Value <= bout.Span.Start.Value + NamedBy && h.At.Value >= bout.Span.Start.Value - NamedFrom);

    private static bool Ended(Bout bout, Voice voice) => voice.Heard.Any(h => h.MoveId is null
        && h.At.Value > bout.Span.Start.Value && h.At.Value <= bout.Span.End.Value + EndSaid / 2
        && h.At.Value >= bout.Span.End.Value - (h.Ends ? EndSaid : TimeSaid));

    private static Seconds OffTopic(Timeline timeline)
    {
        var (sum, until) = (0.0, 0.0);
        foreach (var o in timeline.Outside.Where(o => o.Until is not null).OrderBy(o => o.At))
        {
            var from = Math.Max(until, o.At.Value);
            sum += Math.Max(0, o.Until!.Value.Value - from);
            until = Math.Max(until, o.Until.Value.Value);
        }

        return new Seconds(sum);
    }
}
