using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>The shape of the work: as said where it is said, else measured from the bouts and marked so.</summary>
internal static partial class StructureReader
{
    public static ImmutableArray<Structure> Read(
        Speech speech, SaidDose dose, ImmutableArray<Phase> phases, IReadOnlyList<Bout> bouts, MoveLexicon lexicon)
    {
        var work = phases.Where(p => p.Kind == PhaseKind.Work).ToList();
        if (work.Count == 0)
        {
            return [];
        }

        var span = new Span(work[0].Span.Start, work[^1].Span.End);
        var main = bouts.Where(b => b.Span.Middle >= span.Start && b.Span.Middle <= span.End).ToList();
        if (main.Count == 0)
        {
            return [];
        }

        var aloud = CountedAloud(speech, span);

        // What is counted is done, whatever number was said in passing.
        var reps = aloud is { Reps: var counts } && !(dose.Reps is { } said && said.Low <= counts && counts <= said.High) ? CountRange.Of(counts) : dose.Reps ?? Counted(main);
        var repeated = dose is { Timed: true, Sets: null, Ladder: false } ? Repeated(main, dose) : null;
        var rounds = dose.Rounds ?? (repeated is { } again ? CountRange.Of(again.Rounds) : Once(dose, main));
        var few = dose.Reps is not { High: >= FewestReps };
        Structure Make(StructureType type, bool measured, Span? of = null, Seconds? on = null, Seconds? off = null) => new(
            type, of ?? span, on, off, rounds, dose.Sets, dose.MovesPerRound ?? repeated?.Moves,
            dose.RoundRestSeconds is { } b ? new Seconds(b) : null, dose.Timed && type != StructureType.RepSets ? null : reps, measured, measured ? [] : aloud is { Said: var heard } && type == StructureType.RepSets ? [.. dose.Evidence, heard] : [.. dose.Evidence]);

        // What is said with a later beat is of its block alone.
        Structure OfBlock(SaidBeat beat, Structure block) =>
            beat.At > dose.Beats[0].At && RoundsAt(speech, beat.At) is { } own ? block with { Rounds = own, MovesPerRound = null } : block;

        var held = Share(main, b => lexicon[b.MoveId] is { IsHeld: true, IsStretch: false });
        var stretched = Share(main, b => lexicon[b.MoveId].IsStretch);
        if (dose.Timed && !(dose is { Sets: >= 2, Reps: not null, RestSeconds: null }))
        {
            // "Four sets of ten, and then a core circuit, twenty on, ten off".
            return
            [
                .. dose.Sets >= 2 && !few ? [Make(StructureType.RepSets, false)] : ImmutableArray<Structure>.Empty,
                .. Blocks(dose.Beats, span).Select(b => OfBlock(b.Beat, Make(
                    held + stretched >= Mostly ? StructureType.Hold
                    : dose.Ladder ? StructureType.Ladder
                    : b.Beat is { Work: 20, Rest: 10 } ? StructureType.Tabata
                    : StructureType.Intervals,
                    false, b.Span, new Seconds(b.Beat.Work), b.Beat.Rest is { } rest ? new Seconds(rest) : null))),
            ];
        }

        if (dose.Ladder)
        {
            var ladder = Make(StructureType.Ladder, false);
            return [ladder with { Reps = LadderTop(speech) ?? ladder.Reps }];
        }

        if (dose.Supersets)
        {
            // A pair that is gone through three times has three sets of each.
            var pairs = Make(StructureType.Supersets, false);
            return [pairs with { Rounds = pairs.Rounds ?? (pairs.Sets is { } sets ? CountRange.Of(sets) : null), Sets = pairs.Sets ?? (pairs.Rounds is { } through && through.Low == through.High ? through.High : null) }];
        }

        // "We do that three times each side", said in the middle of the work, is of one move, if nothing else gives a dose.
        if (dose.Sets is null && few && !dose.AsMany && !dose.Evidence.Any(e => e.At < span.Start || RoundsNamed().IsMatch(e.Text)))
        {
            rounds = null;
        }

        // Steps go by phrases that are built and repeated, barre work by pulses that are counted; nobody says how many of each.
        if (dose.Sets is null && (rounds is null || few) && Share(main, b => IsStep(lexicon[b.MoveId])) >= Mostly && speech.Find(Phrases()).Count() >= FewestPhrases)
        {
            return [Make(StructureType.Choreography, false)];
        }

        var counted = Share(main, b => IsBarre(lexicon[b.MoveId])) >= CountedFrom && speech.Find(Phrases()).Concat(speech.Find(Tallies())).Count() >= FewestTallies;
        if (!few || dose.Sets is not null || rounds is not null || dose.AsMany || counted || aloud is { Reps: not Phrase } || main.Count(b => b.Reps is not null) * 2 > main.Count)
        {
            return [Make(StructureType.RepSets, false)];
        }

        // Nothing is said: a steady beat of bouts is intervals, measured; stretches flow, however steadily.
        var lengths = main.Select(b => b.Span.Length.Value).Order().ToList();
        var median = lengths[lengths.Count / 2];
        var steady = lengths.Count(l => Math.Abs(l - median) <= 6);
        if (held >= Mostly)
        {
            return [Make(StructureType.Hold, true)];
        }

        if (main.Count >= 5 && median >= ShortestMeasured && steady * 3 >= lengths.Count * 2 && Share(main, b => lexicon[b.MoveId].IsGentle) < Mostly)
        {
            var gaps = main.Zip(main.Skip(1), (a, b) => (b.Span.Start - a.Span.End).Value).Order().ToList();
            return
            [
                Make(
                    StructureType.Intervals, true, null, new Seconds(Math.Round(median / 5) * 5),
                    new Seconds(Math.Max(0, Math.Round(gaps[gaps.Count / 2] / 5) * 5))),
            ];
        }

        return [Make(StructureType.Flow, true)];
    }

    /// <summary>The repetitions that most bouts are said or counted to have; null where they differ.</summary>
    private static CountRange? Counted(IReadOnlyList<Bout> main) =>
        main.Where(b => b.Reps is not null).GroupBy(b => b.Reps).OrderByDescending(g => g.Count()).FirstOrDefault() is { } alike && alike.Count() * 2 > main.Count ? alike.Key : null;

    /// <summary>Counts of a phrase of music, or of half a phrase, which say nothing of sets.</summary>
    private const int Phrase = 8;
    private const int Beats = 4;

    /// <summary>The repetitions that most sets are counted aloud to, from one on or from somewhere on to a number that sets have, and where that is first done; null where they differ, or few sets are counted.</summary>
    private static (int Reps, Evidence Said)? CountedAloud(Speech speech, Span work)
    {
        const int leastSets = 5;
        var sets = speech.Counts.Where(r => r is { Step: 1, Length: > Beats } && (r.First == 1 || r.Last is 10 or 12 or 15 or 20) && work.Contains(new Seconds(speech.At(r.Token)))).ToList();
        return sets.GroupBy(r => r.Last).OrderByDescending(g => g.Count()).FirstOrDefault() is { } alike && alike.Count() >= leastSets && alike.Count() * 2 > sets.Count
            ? (alike.Key, new Evidence(new Seconds(Math.Round(speech.At(alike.First().Token), 1)), speech.Around(alike.First().Token))) : null;
    }

    /// <summary>Seconds from which a steady beat that nobody speaks of is one of intervals; faster changes flow.</summary>
    private const double ShortestMeasured = 20;

    /// <summary>Where so many moves are said and about so many are done, the sides of each together, they are done once.</summary>
    private static CountRange? Once(SaidDose dose, IReadOnlyList<Bout> main)
    {
        const double about = 0.25;
        var done = main.Where((b, i) => i == 0 || main[i - 1].MoveId != b.MoveId).Count();
        return dose is { Timed: true, MovesPerRound: { } moves } && Math.Abs(done - moves) <= about * moves ? CountRange.Of(1) : null;
    }

    /// <summary>
    /// What is done in the same order again and again, and how often, where nobody says one of them: both sides of a move, and its sets, are one place. Null where the order is not kept,
    /// or is another than is said.
    /// </summary>
    private static (int Rounds, int Moves)? Repeated(IReadOnlyList<Bout> main, SaidDose dose)
    {
        const int fewest = 3;
        const double kept = 0.75;
        var places = main.Where((b, i) => i == 0 || main[i - 1].MoveId != b.MoveId).Select(b => b.MoveId).ToList();
        foreach (var moves in dose.MovesPerRound is { } said ? [said] : Enumerable.Range(fewest, Math.Max(0, (places.Count / 2) - fewest + 1)))
        {
            var rounds = (int)Math.Round((double)places.Count / moves);
            if (rounds >= 2 && Math.Abs(places.Count - (rounds * moves)) <= 1 && !(dose.Rounds is { } of && (rounds < of.Low || rounds > of.High))
                && places.Skip(moves).Where((move, i) => move == places[i]).Count() >= kept * (places.Count - moves))
            {
                return (rounds, moves);
            }
        }

        return null;
    }

    /// <summary>Share of the work from which it has a character.</summary>
    private const double Mostly = 0.5;

    /// <summary>Share of barre work from which counting out loud is its dose.</summary>
    private const double CountedFrom = 0.3;

    /// <summary>"Two each side" is a passing remark, eight of each is a dose.</summary>
    private const int FewestReps = 4;

    /// <summary>So often words of a phrase, or of counting, are said where that is how the class goes.</summary>
    private const int FewestPhrases = 2;
    private const int FewestTallies = 5;

    private static bool IsStep(Move move) => move.Pattern is "locomotion" or "kick";

    private static bool IsBarre(Move move) => move is { Activity.Id: "barre" } or { Family: "barre and floor leg work", Positions: ["standing"] };

    private static double Share(IReadOnlyList<Bout> bouts, Func<Bout, bool> which) =>
        bouts.Where(which).Sum(b => b.Span.Length.Value) / bouts.Sum(b => b.Span.Length.Value);

    /// <summary>The most repetitions of a ladder: "ten down to one", "from two up to twenty"; null where its ends are not said.</summary>
    private static CountRange? LadderTop(Speech speech)
    {
        const int least = 5;
        var ends = LadderEnds().Match(speech.Text);
        return ends.Success && Math.Max(Number("a"), Number("b")) is >= least and var top ? CountRange.Of(top) : null;

        int Number(string name) => int.Parse(ends.Groups[name].Value, CultureInfo.InvariantCulture);
    }

    [GeneratedRegex(@"\b((?<a>[1-9]\d?)( all the way)?( down)? to (?<b>[123])|(?<a>[123])( all the way)?( up)? to (?<b>[1-9]\d?))\b(?! (seconds?|minutes?|more|times|rounds|sets|left))", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex LadderEnds();

    /// <summary>The rounds that are said with a later beat: "twenty on, ten off, eight rounds"; null where none are.</summary>
    private static CountRange? RoundsAt(Speech speech, double at)
    {
        const int within = 14;
        return BeatRounds().Match(speech.Around(Clocked.From(speech.Tokens, at), 0, within)) is { Success: true } said
            ? CountRange.Of(int.Parse(said.Groups["n"].Value, CultureInfo.InvariantCulture)) : null;
    }

    [GeneratedRegex(@"\b(?<n>[2-9]|1\d|20) (rounds|times)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex BeatRounds();

    /// <summary>Each said beat from where it is said, or from the start of the work, to where the next is said.</summary>
    private static IEnumerable<(SaidBeat Beat, Span Span)> Blocks(IReadOnlyList<SaidBeat> beats, Span work)
    {
        for (var i = 0; i < beats.Count; i++)
        {
            var start = i == 0 ? work.Start.Value : Math.Max(work.Start.Value, beats[i].At);
            var end = i + 1 < beats.Count ? Math.Min(work.End.Value, beats[i + 1].At) : work.End.Value;
            if (end > start)
            {
                yield return (beats[i], Span.Of(Math.Round(start, 1), Math.Round(end, 1)));
            }
        }
    }

    [GeneratedRegex(@"\b(rounds?|around|circuits?|laps?|once|repeats?|times through|through (it|this|that|the|them)|from the (top|start|beginning)|(the )?(whole|all of|full) (thing|lot|class|flow|sequence|set|that|it|of))\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex RoundsNamed();

    [GeneratedRegex(@"\G\b(5 6 7 8|8 counts?|counts? of 8|for 8\b|from the top|(lead with|other lead)|phrase|choreo\w*|on the beat|combination|routine|add on)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Phrases();

    [GeneratedRegex(@"\G\b(7 8\b|8 7 6|4 3 2\b|2 3 4\b|8 more|(last|4) (8|4|more)|and (up|down|out|in|lift|pulse|squeeze) (2 3|and (up|down|out|in|lift|pulse)))", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Tallies();
}
