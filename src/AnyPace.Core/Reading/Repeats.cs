using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Adds what nobody names again: the other side, the next set.</summary>
internal static partial class Repeats
{
    /// <summary>"Over the other knee", "behind your other leg".</summary>
    [GeneratedRegex(@"\b(over|on|onto|to|behind|across|under|against|above|beside|in|inside|into|from|off|past|by|near|towards?|around|through|with|of|as) (the|your)$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex OnTheOther();

    /// <summary>"Change legs, left foot goes back": said within this many seconds it is one change of sides.</summary>
    private const double OneTurn = 11;

    /// <summary>When the next start is said, if it is said within some seconds; else the moment itself.</summary>
    private static double StartAfter(IReadOnlyList<Mark> marks, double at, double within)
    {
        foreach (var mark in Clocked.Between(marks, at, at + within))
        {
            if (mark is { Kind: MarkKind.Start, Strength: >= 0.5 })
            {
                return mark.At;
            }
        }

        return at;
    }

    /// <summary>"Other side" says that the one-sided move goes on: it stands for naming the move again.</summary>
    internal static void WithOtherSides(Speech speech, List<Mention> mentions, IReadOnlyList<Mark> marks, DescriptionLikeness.Heard heard)
    {
        const double reach = 90;
        const double justNamed = 8;
        const double justAnnounced = 30;
        const double runReach = 600;
        const double sameBreath = 8;
        var added = new List<Mention>();
        var turns = SideTurns.Find(marks);
        foreach (var mark in marks.Where(m => m.Kind == MarkKind.SwitchSide).Concat(turns))
        {
            var run = mark is { Kind: MarkKind.SwitchSide, Strength: >= 0.9 } ? SideRun(mentions, marks, turns, mark).FindAll(m => !IsOtherLimb(speech, mark, m.Move)) : [];
            ToldAgain(mentions, mark, run, heard);
            var last = Named.LastNamed(mentions, mark.At, reach);
            if (last is null || (mark.Kind != MarkKind.SwitchSide && mark.At - last.At < justNamed) || SideTurns.IsOtherDirection(mark, last.Move))
            {
                continue;
            }

            if (speech.Tokens[mark.Token].Text == "other" && mark.Kind == MarkKind.SwitchSide && Clocked.Between(mentions, mark.At - sameBreath, mark.At).Any(m => m.Weight >= 0.5 && m.Token < mark.Token && mark.Token < m.Token + m.Length)
                && OnTheOther().IsMatch(speech.Before(mark.Token, 2)))
            {
                // "Ankle over the other knee": how it is done, not the other side.
                continue;
            }

            if (IsOtherLimb(speech, mark, last.Move))
            {
                continue;
            }

            // "Come on to your hands and knees, slide your right knee up": the side is of what comes next.
            if (mark.Kind != MarkKind.SwitchSide && Clocked.Between(marks, Math.Max(last.At + 1, mark.At - sameBreath), mark.At).Any(m => m.Kind == MarkKind.Opening))
            {
                continue;
            }

            // "Change legs, left foot goes back" is one turn.
            if (mark.Kind != MarkKind.SwitchSide && Clocked.Between(marks, mark.At - OneTurn, mark.At).Any(m => m.Kind == MarkKind.SwitchSide))
            {
                continue;
            }

            if (IsMirrored(speech, marks, mark, last))
            {
                Thin(mentions, mark, last.Move);
            }

            // "Left hand to the floor, right arm up and over": the side is part of how the next move is said.
            else if (mark is not { Kind: MarkKind.SwitchSide, Strength: >= 0.9 } && Clocked.Between(mentions, mark.At, mark.At + sameBreath).Any(m => m.Move.Id != last.Move.Id && m.Weight >= 0.5 && m.Role is Role.Doing or Role.Announced))
            {
                continue;
            }

            // "Fire hydrants, alternating sides, lift ... and the other one": both sides in turn.
            if (Clocked.Between(mentions, mark.At - justAnnounced, mark.At).Any(m => m.Move.Id == last.Move.Id && !m.Weak && SideTurns.Alternate(speech, m)))
            {
                continue;
            }

            // A move done on alternate sides is done one side at a time only where a side is named with it.
            if (last.Move.Sides == MoveSides.Alternating && !Clocked.Between(marks, last.At - 4, mark.At).Any(m => m.Kind is MarkKind.Left or MarkKind.Right && m.At < mark.At))
            {
                continue;
            }

            // "Swap", alone, after a move that uses both sides at once is the change to the next move.
            if ((mark.Kind != MarkKind.SwitchSide || mark.Strength < 1 || last.Move.IsStretch) && last.Move.Sides == MoveSides.Both)
            {
                continue;
            }

            // After a run of moves on one side, the other side begins with the first of them again.
            if (run.Count > 1)
            {
                added.AddRange(SecondSide(mentions, marks, mark, run));
                continue;
            }

            // So it does where a move done earlier is named with the change.
            if (Clocked.Between(mentions, mark.At, mark.At + 14).Any(m => m.Weight >= 0.5 && m.Move.Id != last.Move.Id && Named.LastNamed(mentions, mark.At, runReach, o => o.Move.Id == m.Move.Id) is not null))
            {
                continue;
            }

            added.Add(last with
            {
                Token = mark.Token,
                Length = 1,
                At = mark.At,
                EffectiveAt = StartAfter(marks, mark.At, 15),
                Role = Role.Doing,
                Weight = last.Move.Sides == MoveSides.Each ? 0.9 : 0.6,
            });
        }

        mentions.AddRange(added);
        mentions.Sort((a, b) => a.At.CompareTo(b.At));
    }

    /// <summary>"Right heel out in front, toes up ... left heel forward": the same part of the body, on the other side, as began the one-sided move under way.</summary>
    private static bool IsMirrored(Speech speech, IReadOnlyList<Mark> marks, Mark mark, Mention last)
    {
        const double before = 6;
        const double after = 8;
        return mark.Kind is MarkKind.Left or MarkKind.Right && last.Move.Sides == MoveSides.Each && Part(speech, mark) is { } part
            && Clocked.Between(marks, last.At - before, last.At + after).Any(m => m.Kind is MarkKind.Left or MarkKind.Right && m.Kind != mark.Kind && Part(speech, m) == part);
    }

    /// <summary>What is named of a side: "heel" of "left heel"; null for the side itself.</summary>
    private static string? Part(Speech speech, Mark side) =>
        side.Token + 1 < speech.Tokens.Count && speech.Tokens[side.Token].Text is "left" or "right" && speech.Tokens[side.Token + 1].Text is not "side" and not "first" and var part ? part : null;

    /// <summary>What a few words beside a change of sides seem to name is how that side begins.</summary>
    private static void Thin(List<Mention> mentions, Mark mark, Move done)
    {
        const double near = 4;
        const double left = 0.2;
        for (var i = Clocked.From(mentions, mark.At - 1); i < mentions.Count && mentions[i].At <= mark.At + near; i++)
        {
            if (mentions[i].Weak && mentions[i].Move.Id != done.Id && Math.Abs(mentions[i].Token - mark.Token) <= 2)
            {
                mentions[i] = mentions[i] with { Weight = left * mentions[i].Weight };
            }
        }
    }

    /// <summary>"And the other leg" is not said of what the arms did, "the other arm" not of what only the legs do.</summary>
    private static bool IsOtherLimb(Speech speech, Mark mark, Move move)
    {
        bool Says(Func<string, bool> limb) =>
            mark.Kind == MarkKind.SwitchSide && Enumerable.Range(mark.Token, Math.Min(3, speech.Tokens.Count - mark.Token)).Any(t => limb(speech.Tokens[t].Text));
        var muscles = move.Prime.Concat(move.Helper);
        return (Says(w => w is "leg" or "legs" or "foot" or "feet" or "knee") && !muscles.Any(Vocabulary.LowerBody.Contains))
            || (Says(w => w is "arm" or "arms" or "elbow") && move.IsStretch && muscles.All(Vocabulary.LowerBody.Contains));
    }

    /// <summary>
    /// "Other leg. Left leg back, lift and tap": what is told right after the change, in fewer words than the first time, is what was done on the first side, if those words are said of it nearly as often
    /// as of what they are likest.
    /// </summary>
    private static void ToldAgain(List<Mention> mentions, Mark mark, List<Mention> run, DescriptionLikeness.Heard heard)
    {
        const double within = 14;
        const double nearly = 0.6;
        var i = Clocked.From(mentions, mark.At);
        while (i < mentions.Count && mentions[i].At <= mark.At + within && !Named.IsNamed(mentions[i]))
        {
            i++;
        }

        if (i == mentions.Count || mentions[i] is not { Weak: true, Length: > 1 } told || told.At > mark.At + within || run.Exists(r => r.Move.Id == told.Move.Id))
        {
            return;
        }

        double Says(Move move) => heard.For(move, told.Token, told.Token + told.Length);
        var first = run.Where(r => r.Move.Positions.Intersect(told.Move.Positions).Any()).MaxBy(r => Says(r.Move));
        if (first is not null && Says(first.Move) >= nearly * Says(told.Move))
        {
            mentions[i] = told with { Move = first.Move };
        }
    }

    /// <summary>The one-sided moves done one after the other since the side was last changed.</summary>
    private static List<Mention> SideRun(List<Mention> mentions, IReadOnlyList<Mark> marks, IReadOnlyList<Mark> turns, Mark mark)
    {
        const double longest = 300;
        const double bothSides = 90;
        var since = Clocked.Between(marks, mark.At - longest, mark.At - OneTurn).LastOrDefault(m => m.Kind == MarkKind.SwitchSide && m.Strength >= 1).At;
        var run = new List<Mention>();
        foreach (var m in Clocked.Between(mentions, Math.Max(since, mark.At - longest), mark.At - 1))
        {
            if (!Named.IsNamed(m))
            {
                continue;
            }

            // What is stretched after the work is no part of it.
            if (run.Count > 0 && !run[^1].Move.IsStretch && m.Move.IsStretch && Clocked.Between(marks, run[^1].At, m.At).Any(k => k.Kind == MarkKind.CoolDown))
            {
                run.Clear();
            }

            // "Change feet", "other way round" before the next was named: what came before has had both its sides.
            if (m.Move.Sides == MoveSides.Both || (m.Move.Sides == MoveSides.Alternating && !m.Weak) || (run.Count > 0 && (Clocked.Between(marks, run[^1].At + OneTurn, m.At - OneTurn).Any(k => k.Kind == MarkKind.SwitchSide) || Clocked.Between(turns, run[^1].At + OneTurn, m.At - OneTurn).Any())))
            {
                run.Clear();
            }

            // "Change legs, left ankle over the right knee": this is its other side already.
            if (since > 0 && Clocked.Between(mentions, since - bothSides, since).Any(o => Named.IsNamed(o) && o.Move.Id == m.Move.Id))
            {
                run.Clear();
                continue;
            }

            if (m.Move.Sides == MoveSides.Each && !run.Exists(r => r.Move.Id == m.Move.Id))
            {
                run.Add(m);
            }
        }

        return run;
    }

    /// <summary>The run again on the other side at the pace of the first, where nobody names its moves there.</summary>
    private static IEnumerable<Mention> SecondSide(List<Mention> mentions, IReadOnlyList<Mark> marks, Mark mark, List<Mention> run)
    {
        const double around = 14;
        const double weight = 0.8;
        var (first, next, begins) = (run[0], 0, mark.At);
        if (Clocked.Between(mentions, mark.At, mark.At + around).FirstOrDefault(Named.IsNamed) is { } told)
        {
            // The first of them is told again, and the others follow it at the pace of before.
            var at = run.FindIndex(m => m.Move.Id == told.Move.Id);
            if (at < 0)
            {
                yield break;
            }

            (first, next, begins) = (run[at], at + 1, told.EffectiveAt);
        }

        foreach (var m in run.Skip(next))
        {
            var at = begins + (m.EffectiveAt - first.EffectiveAt);
            if (Clocked.Between(mentions, at - around, at + around).Any(o => o.At > mark.At && Named.IsNamed(o))
                || Clocked.Between(marks, mark.At + around, at).Any(k => k.Kind is MarkKind.SwitchSide or MarkKind.SignOff or MarkKind.CoolDown))
            {
                yield break;
            }

            yield return m with { Token = mark.Token, Length = 1, At = at, EffectiveAt = at == mark.At ? StartAfter(marks, mark.At, 15) : at, Role = Role.Doing, Weight = weight };
        }
    }

    /// <summary>"Second set", "one more time": the move just done goes again, though nobody names it.</summary>
    internal static void WithRepeats(List<Mention> mentions, IReadOnlyList<Mark> marks, SaidDose dose)
    {
        const double pairReach = 90;
        // Where sets are said there may be minutes of rest between them.
        var reach = dose.Sets >= 2 ? 330 : 150;
        var added = new List<Mention>();
        const double lately = 25;
        const double sameCall = 6;
        foreach (var mark in marks.Where(m => m.Kind == MarkKind.Again || (m.Kind == MarkKind.Round && dose is { Supersets: true, WorkSeconds: null })))
        {
            // "That's round one, we do that again": the round is meant, not its last move.
            // "Second set" is both.
            if (mark.Kind == MarkKind.Again && dose.Timed && Clocked.Between(marks, mark.At - lately, mark.At).Any(m => m.Kind is MarkKind.Round or MarkKind.Break && Math.Abs(m.Token - mark.Token) > 1))
            {
                continue;
            }

            // "Last set" is both another set and one called by its place.
            if (added.Count > 0 && mark.At - added[^1].At < sameCall)
            {
                continue;
            }

            var last = Named.LastNamed(mentions, mark.At, reach, m => !IsHow(m)) ?? Named.LastNamed(mentions, mark.At, reach);
            var called = false;
            if (added.Count > 0 && mark.At - added[^1].At <= reach && (last is null || last.At < added[^1].At))
            {
                // The set before that was only called a set.
                last = added[^1];
                called = true;
            }

            var named = Clocked.Between(mentions, mark.At - 5, mark.At + 14).Any(m => m.Weight >= 0.5 && !IsHow(m));
            if (last is null || named)
            {
                continue;
            }

            // Of a superset the first move begins the next set, as it began the one that was only called.
            if (dose.Supersets && !called && Named.LastNamed(mentions, last.At, pairReach, m => m.Move.Id != last.Move.Id) is { } first)
            {
                last = first;
            }

            added.Add(last with { Token = mark.Token, Length = 1, At = mark.At, EffectiveAt = StartAfter(marks, mark.At, 20), Role = Role.Doing, Weight = 0.8 });
        }

        mentions.AddRange(added);
        mentions.Sort((a, b) => a.At.CompareTo(b.At));

        // "Second set, off we go, keep your chin tucked": where sets are said, what a few words seem to name in one that was just called is how it is done.
        bool IsHow(Mention m) => dose is { Sets: >= 2, Supersets: false } && m is { Weak: true, Role: Role.Doing, Length: <= FewWords }
            && Clocked.Between(marks, m.At - JustCalled, m.At).Any(k => k.Kind == MarkKind.Again || k is { Kind: MarkKind.Start, Strength: >= 0.9 });
    }

    /// <summary>Seconds after a set is called.</summary>
    private const double JustCalled = 20;

    private const int FewWords = 3;
}
