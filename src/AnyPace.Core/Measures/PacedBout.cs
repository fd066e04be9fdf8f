using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Measures;

/// <summary>Where the move of a paced bout comes from.</summary>
public enum PaceSource
{
    AsLed,

    /// <summary>The coach named it as an option.</summary>
    Recording,

    /// <summary>The coach offered an easier or harder way without naming a move; the lexicon's neighbour stands in.</summary>
    Lexicon,
}

/// <summary>A bout with the move that is done at one pace.</summary>
public sealed record PacedBout(Bout Bout, Move Move, PhaseKind Phase, PaceSource Source);

/// <summary>Lays a pace over a timeline.</summary>
public static class PaceLayer
{
    /// <summary>Every bout with its move at the pace. An option never makes Ease harder, nor Push easier, than as led, whatever was said.</summary>
    public static IReadOnlyList<PacedBout> Lay(Timeline timeline, MoveLexicon lexicon, Pace pace, Neighbours neighbours = Neighbours.WhenOffered)
    {
        var direction = pace == Pace.Eased ? OptionDirection.Easier : OptionDirection.Harder;
        var offered = timeline.Options
            .Where(o => pace != Pace.AsLed && o.Direction == direction && o.MoveId is not null)
            .ToLookup(o => o.MoveId!);
        return
        [
            .. timeline.Bouts
                .OrderBy(b => b.Span.Start)
                .Select(b =>
                {
                    var led = lexicon[b.MoveId];
                    var (move, source) = Choose(led, offered[b.MoveId], lexicon, pace, neighbours);
                    return new PacedBout(b, move, timeline.PhaseOf(b), source);
                }),
        ];
    }

    private static (Move Move, PaceSource Source) Choose(Move led, IEnumerable<Option> options, MoveLexicon lexicon, Pace pace, Neighbours neighbours)
    {
        var best = (Move: led, Source: PaceSource.AsLed);
        foreach (var option in options)
        {
            var named = lexicon.Find(option.Instead);
            var move = named ?? lexicon.Find(pace == Pace.Eased ? led.Easier : led.Harder);
            if (move is not null && Goes(move, best.Move, pace))
            {
                best = (move, named is null ? PaceSource.Lexicon : PaceSource.Recording);
            }
        }

        // In the warm-up and cool-down there is nothing to ease.
        if (best.Source == PaceSource.AsLed && neighbours == Neighbours.Always && !led.IsGentle
            && lexicon.Find(pace == Pace.Eased ? led.Easier : pace == Pace.Pushed ? led.Harder : null) is { } near && Goes(near, led, pace))
        {
            best = (near, PaceSource.Lexicon);
        }

        return best;
    }

    private static bool Goes(Move move, Move than, Pace pace) => pace == Pace.Eased
        ? move.Impact <= than.Impact && move.Met.Value <= than.Met.Value && move.Skill <= than.Skill && move.Id != than.Id
        : move.Impact >= than.Impact && move.Met.Value >= than.Met.Value && move.Skill >= than.Skill && move.Id != than.Id;
}
