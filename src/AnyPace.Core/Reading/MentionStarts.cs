using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Decides when what is named begins: at once, at the next start, when the rest is over.</summary>
internal static class MentionStarts
{
    /// <summary>An announced move begins at the next start within this many seconds, else where it was named.</summary>
    internal const double AnnounceReach = 45;

    /// <summary>Seconds in which an announced move may be named twice more before it begins.</summary>
    private const double Repeating = 8;

    /// <summary>What follows within so many seconds is said in one breath.</summary>
    private const double OneBreath = 3;

    /// <summary>Cued so often, over so many seconds, it is under way.</summary>
    private const int SeveralCues = 2;
    private const double LongCued = 12;

    /// <summary>A start said this many seconds after the beat is not the one that the beat expects.</summary>
    private const double OffBeat = 8;

    /// <summary>A start called softly so many seconds before the beat only announces it.</summary>
    private const double WellBefore = 5;

    internal static double EffectiveAt(Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions, int index, SaidDose? dose, BeatGrid? beat, HashSet<int> called)
    {
        var (at, role) = (mentions[index].At, mentions[index].Role);
        var reach = at + (role == Role.Announced ? AnnounceReach : 12);
        if (role == Role.Announced && dose is not { Timed: true } && IsJustStarted(marks, at))
        {
            return at;
        }

        var expected = role == Role.Announced && dose is not null ? beat?.StartAfter(at) : null;

        // Another move named as done before that start takes the floor first; the move called out by itself is its start.
        for (var i = index + 1; i < mentions.Count && mentions[i].At < reach; i++)
        {
            if (role == Role.Announced && mentions[i].Move.Id == mentions[index].Move.Id && called.Contains(mentions[i].Token))
            {
                expected ??= mentions[i].At;
            }

            if (mentions[i].Move.Id != mentions[index].Move.Id && mentions[i].Role is Role.Doing && mentions[i].Weight >= 0.8)
            {
                reach = mentions[i].At + 3;
            }

            // Announced this much later, the other is what that start begins; this one has begun long since.
            if (mentions[i].Move.Id != mentions[index].Move.Id && mentions[i].Role is Role.Announced && mentions[i].Weight >= 0.8 && mentions[i].At - at > MentionFinder.AnnouncedApart)
            {
                reach = Math.Min(reach, mentions[i].At - 1);
            }
        }

        foreach (var mark in Clocked.Between(marks, at, reach))
        {
            if (mark is { Kind: MarkKind.Doing, Strength: >= 1 })
            {
                break;
            }

            // The last of the warm-up is done by the time everyone is warm; the start that follows is of the work.
            if (mark.Kind == MarkKind.WarmUpOver && mark.At - at > LongCued)
            {
                return at;
            }

            // Named again and again before anyone counts: it has begun.
            if (mark is { Kind: MarkKind.Start, Strength: <= 0.5 } && mark.At - at > Repeating && IsNamedAgain(mentions, index, mark.At))
            {
                return at;
            }

            // Nor does a start begin what has been named over and over in a class without a clock.
            if (mark.Kind == MarkKind.Start && mark.At - at > LongCued && dose is not { WorkSeconds: not null } && IsNamedAgain(mentions, index, mark.At - 1))
            {
                return at;
            }

            // No rest, and cued for some time: what is called so softly and so late begins nothing.
            if (mark is { Kind: MarkKind.Start, Strength: < 0.9 } && mark.At - at > LongCued && dose is null && Clocked.Between(marks, at + 1, mark.At).Count(m => m.Kind == MarkKind.Doing) >= SeveralCues
                && !Clocked.Between(marks, at - BeatGrid.LongestRest, at).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 }))
            {
                return at;
            }

            // "From the top: squats, one, two, three": that start is of the move named with it.
            if (mark.Kind == MarkKind.Start && CountsOther(speech, mentions, index, mark))
            {
                continue;
            }

            // "Whenever you're ready, change over": half way through.
            if (mark is { Kind: MarkKind.Start, Strength: <= 0.5 } && Clocked.Between(marks, mark.At - OneBreath, mark.At + OneBreath).Any(m => m.Kind == MarkKind.SwitchSide))
            {
                continue;
            }

            // "Get ready", said well before the beat: not yet.
            if (mark is { Kind: MarkKind.Start, Strength: <= 0.5 } && mark.At < expected - WellBefore)
            {
                continue;
            }

            // A start that comes long after the beat is a later one.
            if (mark is { Kind: MarkKind.Start, Strength: >= 0.5 } && !(mark.At > expected + OffBeat && !(mark.Strength >= 1 && IsLongRest(marks, at))))
            {
                return LastCall(marks, mark.At);
            }
        }

        return expected is { } next && next < reach ? next : RestOver(marks, at, role, dose) ?? AfterThisBout(speech, mentions, index, dose) ?? at;
    }

    /// <summary>"Let's go again, set two, lying back and press": the set was called before what is done in it, and no other start is soon.</summary>
    private static bool IsJustStarted(IReadOnlyList<Mark> marks, double at)
    {
        const double just = 2.5;
        const double soon = 15;
        const double sure = 0.9;
        return Clocked.Between(marks, at - just, at + just).Any(m => m.Kind is MarkKind.Round or MarkKind.Again)
            && Clocked.Between(marks, at - just, at).LastOrDefault(m => m.Kind is MarkKind.Start or MarkKind.Stop && m.Strength >= sure).Kind == MarkKind.Start
            && !Clocked.Between(marks, Math.BitIncrement(at), at + soon).Any(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 });
    }

    /// <summary>"One more block, last minute of rest, bicycles next": between blocks the beat waits for the start.</summary>
    private static bool IsLongRest(IReadOnlyList<Mark> marks, double at) =>
        Clocked.Between(marks, at - BeatGrid.LongestRest, at).LastOrDefault(m => m.Kind is MarkKind.Break or MarkKind.Round or MarkKind.Start or MarkKind.Doing && m.Strength >= 0.9).Kind is MarkKind.Break or MarkKind.Round;

    /// <summary>True where a move is named twice more until a moment.</summary>
    private static bool IsNamedAgain(List<Mention> mentions, int index, double until)
    {
        const int twice = 2;
        return Clocked.Between(mentions, mentions[index].At + 1, until).Count(m => m.Move.Id == mentions[index].Move.Id && !m.Weak) >= twice;
    }

    /// <summary>True where the repetitions that begin at a mark are counted right after the name of another move.</summary>
    private static bool CountsOther(Speech speech, List<Mention> mentions, int index, Mark mark)
    {
        if (speech.Tokens[mark.Token].Number != 1)
        {
            return false;
        }

        Mention? counted = null;
        for (var i = index + 1; i < mentions.Count && mentions[i].Token < mark.Token; i++)
        {
            counted = mentions[i].Token + mentions[i].Length == mark.Token ? mentions[i] : counted;
        }

        return counted is { Weak: false } && counted.Move.Id != mentions[index].Move.Id;
    }

    /// <summary>"Three, two, one ... let's go": of starts that are called one upon the other the last.</summary>
    private static double LastCall(IReadOnlyList<Mark> marks, double start)
    {
        const double uponIt = 5;
        foreach (var mark in Clocked.Between(marks, start, start + uponIt))
        {
            if (mark.Kind is MarkKind.Doing or MarkKind.Stop && mark.Strength >= 0.9 && mark.At > start)
            {
                break;
            }

            if (mark is { Kind: MarkKind.Start, Strength: >= 0.9 } && mark.At > start)
            {
                return LastCall(marks, mark.At);
            }
        }

        return start;
    }

    /// <summary>"Curtsy lunges are next", said towards the end of a bout of known length, and nobody says when: they begin when that bout and its rest are over.</summary>
    private static double? AfterThisBout(Speech speech, List<Mention> mentions, int index, SaidDose? dose)
    {
        const double least = 15;
        const double clear = 0.8;
        if (dose is not { WorkSeconds: >= least and { } work, RestSeconds: <= BeatGrid.LongestRest and { } rest } || !RoleReader.IsNext(speech, mentions[index].Token, mentions[index].Length))
        {
            return null;
        }

        var (at, move) = (mentions[index].At, mentions[index].Move.Id);
        var running = mentions.FindLastIndex(index, m => !m.Weak && m.Weight >= clear && m.Move.Id != move && m.Role is Role.Doing or Role.Announced && m.EffectiveAt < at);
        return running >= 0 && mentions[running].EffectiveAt + work + rest is var over && over - at > 0 && over - at <= work / 2 ? over : null;
    }

    /// <summary>Named in a rest of known length, with no start said: the bout begins when the rest is over.</summary>
    private static double? RestOver(IReadOnlyList<Mark> marks, double at, Role role, SaidDose? dose)
    {
        const double sameBreath = 4;
        if (dose is not { WorkSeconds: not null, RestSeconds: > 5 and <= BeatGrid.LongestRest and { } rest })
        {
            return null;
        }

        var stop = LastStop(marks, at - BeatGrid.LongestRest, at);
        return stop > 0 && at - stop < (role == Role.Announced ? rest : sameBreath) ? stop + rest : null;
    }

    /// <summary>When work was last stopped for sure between two moments; 0 where it was not.</summary>
    internal static double LastStop(IReadOnlyList<Mark> marks, double from, double to) => Clocked.Between(marks, from, to).LastOrDefault(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 }).At;

    /// <summary>What is told of a move, or of one that it joins with another, between its announcement and its start sets it up; it begins no sooner.</summary>
    internal static void SetUp(List<Mention> mentions)
    {
        for (var i = 0; i < mentions.Count; i++)
        {
            var told = mentions[i];
            if (told is not { Weak: false, Role: Role.Announced } || told.EffectiveAt <= told.At + 1)
            {
                continue;
            }

            // "Up, a standing one, knee to elbow: standing crunches": told in the breath before its name, too.
            for (var j = Clocked.From(mentions, told.At - OneBreath); j < mentions.Count && mentions[j].At < told.EffectiveAt - 1; j++)
            {
                if ((j > i || mentions[j].Weak) && (mentions[j].Move.Id == told.Move.Id || (mentions[j].Weak && told.Move.Parts.Contains(mentions[j].Move.Id))) && mentions[j].EffectiveAt < told.EffectiveAt)
                {
                    mentions[j] = mentions[j] with { EffectiveAt = told.EffectiveAt };
                }
            }
        }
    }

    /// <summary>Where several moves are named between a stop and the next start, only one of them starts: the one most clearly announced, of equals the last.</summary>
    /// <param name="timed">True where work and rest are by the clock.</param>
    internal static void SettleAnnouncements(Speech speech, List<Mention> mentions, IReadOnlyList<Mark> marks, bool timed)
    {
        const double passing = 0.35;
        const double sameBreath = 6;
        foreach (var group in mentions
            .Select((m, i) => (m, i))
            .Where(x => x.m.Role is Role.Announced or Role.Doing && x.m.EffectiveAt > x.m.At + 1)
            .GroupBy(x => x.m.EffectiveAt)
            .ToList())
        {
            var members = group.ToList();
            if (members.Select(x => x.m.Move.Id).Distinct().Count() < 2)
            {
                continue;
            }

            var stop = LastStop(marks, members[0].m.At - BeatGrid.LongestRest, Math.BitDecrement(group.Key));

            // "Good, lunges are next, shake it out": said before the stop, and yet of what comes.
            bool IsRunning(Mention m) => m.At < stop && !(stop - m.At < sameBreath && RoleReader.IsNext(speech, m.Token, m.Length));
            var running = members.Where(x => IsRunning(x.m)).ToList();
            var inRest = members.Except(running).ToList();
            var clear = inRest.Where(x => !x.m.Weak).ToList();
            var next = clear.FindAll(x => RoleReader.IsNext(speech, x.m.Token, x.m.Length));
            var named = (next.Count > 0 ? next : clear).OrderBy(x => x.m.Weight).Select(x => x.m.Move.Id).LastOrDefault();
            var chosen = named ?? members[^1].m.Move.Id;
            foreach (var (m, i) in members)
            {
                if (IsRunning(m))
                {
                    // Said before the stop, it belongs to what was running.
                    mentions[i] = m with { EffectiveAt = m.At };
                }
                else if (m.Move.Id != chosen)
                {
                    // In a rest that is called off and on again nothing else is done; else it may have been.
                    mentions[i] = m with { EffectiveAt = m.At, Weight = stop > 0 && timed && named is not null && (m.Move.Pattern != "locomotion" || m.Role == Role.Announced) ? 0 : m.Weight * passing };
                }
            }
        }
    }
}
