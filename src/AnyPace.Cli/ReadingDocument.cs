using System.Collections.Immutable;
using AnyPace.Core.Checks;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Cli;

/// <summary>The reading of one caption file in the shape of the public contract, version 1. Keys may be added, none renamed or removed.</summary>
internal static class ReadingDocument
{
    public static object Of(string file, Timeline timeline, MoveLexicon lexicon)
    {
        var measures = Measure.All(timeline, lexicon);
        return new
        {
            version = 1,
            file,
            recordedSeconds = timeline.Recorded.Value,
            kind = timeline.Kind switch { ClassKind.Demonstration => "demonstration", ClassKind.Mixed => "mixed", _ => "follow-along" },
            partOfSeries = timeline.PartOfSeries,
            stated = new
            {
                minutes = timeline.Stated.Minutes,
                impact = timeline.Stated.Impact,
                level = timeline.Stated.Level,
                focus = timeline.Stated.Focus,
                sessionsPerWeek = Pair(timeline.Stated.SessionsPerWeek),
                weeks = Pair(timeline.Stated.Weeks),
            },
            phases = timeline.Phases.Select(p => new { phase = p.Kind.Word(), start = p.Span.Start.Value, end = p.Span.End.Value, confidence = p.Confidence }),
            structures = timeline.Structures.Select(s => new
            {
                type = s.Type.Word(),
                start = s.Span.Start.Value,
                end = s.Span.End.Value,
                workSeconds = s.Work?.Value,
                restSeconds = s.Rest?.Value,
                rounds = Number(s.Rounds),
                sets = s.Sets,
                movesPerRound = s.MovesPerRound,
                roundRestSeconds = s.RoundRest?.Value,
                reps = Number(s.Reps),
                measured = s.Measured,
                evidence = Said(s.Evidence),
            }),
            moves = Moves(timeline, lexicon),
            equipment = timeline.Kit.Select(k => new
            {
                item = k.Item,
                need = k.Need.ToString().ToLowerInvariant(),
                count = k.Count,
                load = k.Load,
                @for = k.For,
                firstNeeded = k.FirstNeeded?.Value,
                evidence = Said(k.Evidence),
            }),
            impact = new { eased = measures.Eased.Impact.Class.Key(), asLed = measures.AsLed.Impact.Class.Key(), pushed = measures.Pushed.Impact.Class.Key() },
            muscles = measures.AsLed.Muscles.Select(m => new { muscle = m.Muscle, share = Math.Round(m.Share, 4) }),
            difficulty = new
            {
                level = measures.AsLed.Difficulty.Level,
                score = measures.AsLed.Difficulty.Score,
                band = new[] { measures.Band.Low, measures.Band.High },
            },
            positions = measures.AsLed.Positions,
            options = timeline.Options.Select(o => new { at = o.At.Value, direction = o.Direction == OptionDirection.Easier ? "easier" : "harder", move = o.MoveId, instead = o.Instead, text = o.Text }),
            cautions = timeline.Cautions.Select(c => new { at = c.At.Value, topic = c.Topic, text = c.Text }),
            claims = timeline.Claims.Select(c => new { at = c.At.Value, type = c.Type, figure = c.Figure, text = c.Text }),
            outside = timeline.Outside.Select(o => new { at = o.At.Value, type = o.Type, text = o.Text, until = o.Until?.Value }),
            findings = Check.All(timeline, lexicon, measures).Select(f => new { rule = f.Rule, severity = f.Severity.ToString().ToLowerInvariant(), at = f.At?.Value, message = f.Message }),
        };
    }

    /// <summary>The lexicon in the contract's shape.</summary>
    public static IEnumerable<object> Lexicon(MoveLexicon lexicon) => lexicon.Moves.Select(m => new
    {
        id = m.Id,
        name = m.Name,
        aliases = m.Aliases.Concat(m.WeakAliases).Distinct(),
        family = m.Family,
        impact = m.Impact.Key(),
        pattern = m.Pattern,
        muscles = new { prime = m.Prime, helper = m.Helper, stabiliser = m.Stabiliser },
        positions = m.Positions,
        planes = m.Planes,
        sides = Word(m.Sides),
        met = m.Met.Value,
        metSource = m.Activity.Source,
        secondsPerRep = m.SecondsPerRep,
        skill = m.Skill,
        kit = m.Kit,
        strains = m.Strains,
        easier = m.Easier,
        harder = m.Harder,
    });

    private static string Word(MoveSides sides) => sides.ToString().ToLowerInvariant();

    private static IEnumerable<object> Moves(Timeline timeline, MoveLexicon lexicon) =>
        timeline.Bouts
            .GroupBy(b => (b.MoveId, Phase: timeline.PhaseOf(b)))
            .Select(g =>
            {
                var move = lexicon[g.Key.MoveId];
                return new
                {
                    id = move.Id,
                    name = move.Name,
                    phase = g.Key.Phase.Word(),
                    impact = move.Impact.Key(),
                    sides = Word(move.Sides),
                    reps = Number(g.Select(b => b.Reps).FirstOrDefault(r => r is not null)),
                    confidence = g.Max(b => b.Confidence),
                    bouts = g.Select(b => new
                    {
                        start = b.Span.Start.Value,
                        end = b.Span.End.Value,
                        side = b.Side switch { Side.Left => "left", Side.Right => "right", _ => "both" },
                        confidence = b.Confidence,
                        doubt = DoubtWords.Of(b, id => lexicon[id].Name) is { Length: > 0 } doubt ? doubt : null,
                        instead = b.Instead,
                    }),
                    evidence = Said([.. g.SelectMany(b => b.Evidence)]),
                };
            });

    private static IEnumerable<object> Said(ImmutableArray<Evidence> evidence) => evidence.Select(e => new { at = e.At.Value, text = e.Text });

    private static object? Number(CountRange? range) => range is { } r ? r.Low == r.High ? r.Low : new[] { r.Low, r.High } : null;

    private static int[]? Pair(CountRange? range) => range is { } r ? [r.Low, r.High] : null;
}
