using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>
/// One move under two names. Coaches say "lunges" and then "reverse lunges", or "squats again" for the goblet squats of round one;
/// this stage gives each segment the name the rest of the class supports.
/// </summary>
internal static class NameSettler
{
    /// <summary>A first naming shorter than this, in seconds, that runs straight into a fuller name is part of it.</summary>
    private const double ShortNaming = 30;

    /// <summary>An earlier round is at most this many bouts back.</summary>
    private const int RoundReach = 120;

    /// <summary>The stretches of a recording, each with its name.</summary>
    public static IReadOnlyList<Segment> Divided(Speech speech, MentionsHeard heard, IReadOnlyList<Mention> judged, MoveLexicon lexicon) =>
        Settle(BoutSegmenter.Segments(speech, heard.Marks, judged, heard.Dose, heard.Opening), lexicon);

    private static IReadOnlyList<Segment> Settle(IReadOnlyList<Segment> segments, MoveLexicon lexicon)
    {
        var settled = segments.ToList();
        for (var i = 0; i < settled.Count; i++)
        {
            if (FullerName(settled, i) is { } move)
            {
                settled[i] = settled[i] with { Move = move };
            }
        }

        return Join(AsCombination(settled, lexicon));
    }

    /// <summary>"Jab, cross, hook ... jab, cross, hook": punches called one upon the other, the same ones again and again, are one combination and not so many bouts.</summary>
    private static List<Segment> AsCombination(List<Segment> segments, MoveLexicon lexicon)
    {
        const double onePunch = 20;
        const double between = 4;
        const int fewest = 4;
        var (settled, first) = (new List<Segment>(segments.Count), 0);
        static bool IsPunch(Segment s) => (s.Move.Pattern == "punch" || s.Move.Id == "bob-and-weave") && s.End - s.Start <= onePunch;
        while (first < segments.Count)
        {
            var end = first + 1;
            while (end < segments.Count && IsPunch(segments[first]) && IsPunch(segments[end]) && segments[end].Start - segments[end - 1].End < between)
            {
                end++;
            }

            var run = segments[first..end];
            var kinds = run.Select(s => s.Move.Id).Distinct().Count();
            if (run.Count >= fewest && kinds > 1 && kinds < run.Count)
            {
                settled.Add(run[0] with { Move = lexicon["punch-combo"], End = run[^1].End, EndMarked = run[^1].EndMarked, Mentions = [.. run.SelectMany(s => s.Mentions)] });
            }
            else
            {
                settled.AddRange(run);
            }

            first = end;
        }

        return settled;
    }

    /// <summary>The fuller name of the neighbour a general name runs into, or of the bout that stood in its place in an earlier round.</summary>
    private static Move? FullerName(List<Segment> segments, int i)
    {
        var s = segments[i];
        foreach (var j in new[] { i + 1, i - 1 })
        {
            if (j >= 0 && j < segments.Count && ((IsFuller(segments[j].Move, s.Move) && (IsNamed(segments[j]) || !IsNamed(s))) || (IsFuller(s.Move, segments[j].Move) && IsNamed(segments[j]) && !IsNamed(s)))
                && Math.Min(s.End - s.Start, segments[j].End - segments[j].Start) < ShortNaming
                && Math.Min(Math.Abs(segments[j].Start - s.End), Math.Abs(s.Start - segments[j].End)) < 4)
            {
                return segments[j].Move;
            }
        }

        for (var j = Math.Max(0, i - RoundReach); j < i - 1; j++)
        {
            if (IsFuller(segments[j].Move, s.Move) && (Same(segments, i - 1, j - 1) || Same(segments, i + 1, j + 1)))
            {
                return segments[j].Move;
            }
        }

        return null;
    }

    /// <summary>"Hands behind the head, curl up" may be a twisting crunch; the "crunch" that is named right after it says what it was.</summary>
    private static bool IsNamed(Segment segment) => segment.Mentions.Any(m => !m.Weak);

    private static bool Same(List<Segment> segments, int i, int j) =>
        i >= 0 && j >= 0 && i < segments.Count && j < segments.Count && segments[i].Move.Id == segments[j].Move.Id;

    /// <summary>True where one name says the other's and more, of the same kind: reverse lunge for lunge.</summary>
    private static bool IsFuller(Move fuller, Move general) =>
        fuller.Pattern == general.Pattern && general.Kit.All(fuller.Kit.Contains) && fuller.NamesMoreThan(general);

    private static List<Segment> Join(List<Segment> segments)
    {
        var joined = new List<Segment>();
        foreach (var s in segments)
        {
            if (joined.Count > 0 && joined[^1].Move.Id == s.Move.Id && s.Start - joined[^1].End < 1 && Math.Min(s.End - s.Start, joined[^1].End - joined[^1].Start) < ShortNaming
                && s.Move.Sides != MoveSides.Each)
            {
                joined[^1] = joined[^1] with { End = s.End, EndMarked = s.EndMarked, Mentions = [.. joined[^1].Mentions, .. s.Mentions] };
            }
            else
            {
                joined.Add(s);
            }
        }

        return joined;
    }
}
