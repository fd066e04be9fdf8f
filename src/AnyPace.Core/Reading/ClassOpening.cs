using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds when the class proper begins; moves named before are a list of what will come.</summary>
internal static class ClassOpening
{
    /// <summary>Seconds before the first start in which a named move is announced rather than listed.</summary>
    private const double FirstAnnouncement = 15;

    /// <summary>Seconds before the first change of sides in which the first side is done.</summary>
    private const double FirstSide = 40;

    /// <summary>When the class proper begins, said or seen: moves named before are a list of what will come.</summary>
    internal static double At(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw, IReadOnlyList<Mark> marks) =>
        Math.Min(OpeningAt(speech, marks), FirstDone(speech, raw, marks));

    /// <summary>When it is said to begin.</summary>
    private static double OpeningAt(Speech speech, IReadOnlyList<Mark> marks)
    {
        var limit = Math.Max(30, speech.End.Value * 0.3);
        foreach (var mark in marks)
        {
            if (mark.At > limit)
            {
                break;
            }

            if (mark.Kind == MarkKind.Opening)
            {
                return speech.At(mark.Token);
            }

            // The side is changed: it has begun.
            if (mark is { Kind: MarkKind.SwitchSide, Strength: >= 1 })
            {
                return mark.At - FirstSide;
            }

            // What is named in the last moments before the first "go" is what begins.
            if (mark is { Kind: MarkKind.Start, Strength: >= 0.5 })
            {
                return mark.At - FirstAnnouncement;
            }
        }

        return 0;
    }

    /// <summary>What is named within this many seconds of "let's warm up" is the warm-up.</summary>
    private const double SoonAfterWarmUp = 6;

    /// <summary>
    /// When an easy move is first done though nobody says that the class begins: it is named by itself, and for some time nothing else is
    /// ("just walk on the spot"). What is listed is named in one breath.
    /// </summary>
    private static double FirstDone(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw, IReadOnlyList<Mark> marks)
    {
        const double underWay = 20;
        const double alone = 9;
        const double latest = 240;
        for (var i = 0; i < raw.Count; i++)
        {
            var (hit, token, length) = raw[i];
            var at = speech.At(token);
            if (at > latest)
            {
                break;
            }

            // Right after "let's warm up" only a clear name is the next of a list: "march, knees up, swing your arms".
            var warming = Clocked.Between(marks, at - SoonAfterWarmUp, at).Any(m => m.Kind == MarkKind.WarmUp);
            var next = raw.Skip(i + 1).FirstOrDefault(r => r.Hit.Move.Id != hit.Move.Id && !r.Hit.Move.IsBreathing && (!warming || NameFinder.IsClear(speech, r)));
            var easy = hit.Move.IsGentle || hit.Move is { Pattern: "locomotion", Impact: <= Impact.Low };

            // What follows "warming up" is the warm-up.
            easy |= warming || SaysWarmUp(speech, token);

            // Any other move must be seen to go on: counted, cued.
            easy |= (next.Length == 0 || speech.At(next.Token) - at >= underWay) && Clocked.Between(marks, at + 2, at + underWay).Any(m => m.Kind == MarkKind.Doing);
            var last = raw.FindLastIndex(i, r => r.Token < token && !r.Hit.Move.IsBreathing && NameFinder.IsClear(speech, r));
            if (easy && (!hit.Weak || length > 2) && (next.Length == 0 || speech.At(next.Token) - at >= alone) && (last < 0 || at - speech.At(raw[last].Token) >= alone)
                && !RoleReader.IsOfTheClass(speech, token, warming) && RoleReader.Of(speech, token, length, true, false) is Role.Doing or Role.Announced)
            {
                return at - 1;
            }
        }

        return double.PositiveInfinity;
    }

    /// <summary>"A quick warm-up and then we go", not long before.</summary>
    private static bool SaysWarmUp(Speech speech, int token)
    {
        const double lately = 40;
        for (var t = token - 1; t >= 0 && speech.At(token) - speech.At(t) < lately; t--)
        {
            if (speech.Tokens[t].Text is "warm" or "warmup" or "warming" && !MarkFinder.IsWarmUpElsewhere(speech, t))
            {
                return true;
            }
        }

        return false;
    }
}
