using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds move names in speech and decides what the words around each do with it.</summary>
public static partial class MentionFinder
{
    /// <summary>An announced move begins at the next start within this many seconds, else where it was named.</summary>
    private const double AnnounceReach = 45;

    /// <summary>A short form of a move done before ("swings") is surer than an everyday word, less sure than the name.</summary>
    private const double ShortFormWeight = 0.75;

    /// <summary>Seconds before the first start in which a named move is announced rather than listed.</summary>
    private const double FirstAnnouncement = 10;

    /// <summary>Everyday words make weak names; they count this much unless their surroundings agree.</summary>
    private const double WeakWeight = 0.3;

    public static IReadOnlyList<Mention> Find(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks)
    {
        var raw = new List<(AliasHit Hit, int Token, int Length)>();
        for (var i = 0; i < speech.Tokens.Count; i++)
        {
            if (lexicon.Aliases.Longest(speech.Stems, i, k => speech.Tokens[k].Pauses) is { } found)
            {
                raw.Add((found.Hit, i, found.Length));
                i += found.Length - 1;
            }
        }

        Combine(speech, lexicon, raw);
        var opening = OpeningAt(speech, marks);
        var mentions = new List<Mention>(raw.Count);
        foreach (var (hit, token, length) in raw)
        {
            var at = speech.At(token);
            var role = RoleOf(speech, token, length, at < opening);
            if (role == Role.Doing && InRest(marks, at))
            {
                role = Role.Announced;
            }

            var weak = hit.Weak || IsVerb(speech, token, length);
            var weight = Base(role) * (weak ? WeakWeight : hit.Words > 1 ? 1 : 0.85);
            var move = weak ? EarlierOf(speech, mentions, token, length) ?? hit.Move : hit.Move;
            var shortForm = move.Id != hit.Move.Id;
            mentions.Add(new Mention(move, token, length, at, at, role, weak && !shortForm, shortForm ? Base(role) * ShortFormWeight : weight));
        }

        ThinParts(speech, mentions);
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i].Role is Role.Announced or Role.Doing)
            {
                mentions[i] = mentions[i] with { EffectiveAt = EffectiveAt(marks, mentions, i) };
            }
        }

        return ThinLists(WithOtherSides(SettleAnnouncements(mentions, marks), marks), opening);
    }

    /// <summary>When the class proper begins: moves named before are a list of what will come.</summary>
    private static double OpeningAt(Speech speech, IReadOnlyList<Mark> marks)
    {
        var limit = Math.Max(30, speech.End.Value * 0.3);
        foreach (var mark in marks)
        {
            if (mark.At > limit)
            {
                break;
            }

            if (mark is { Kind: MarkKind.Opening, Token: > 4 })
            {
                return speech.At(mark.Token);
            }

            // What is named in the last moments before the first "go" is what begins.
            if (mark is { Kind: MarkKind.Start, Strength: >= 0.5 })
            {
                return mark.At - FirstAnnouncement;
            }
        }

        return 0;
    }

    private static double Base(Role role) => role switch
    {
        Role.Doing => 1,
        Role.Announced => 1.2,
        Role.Previewed => 0.15,
        Role.Compared or Role.Past => 0.1,
        _ => 0,
    };

    private static Role RoleOf(Speech speech, int token, int length, bool beforeOpening)
    {
        var before = speech.Before(token, 8);
        var after = speech.After(token + length, 7);
        if (Correction().IsMatch(after) || Negative().IsMatch(before))
        {
            return Role.Negated;
        }

        if (Comparison().IsMatch(before) && !WouldLike().IsMatch(before))
        {
            return Role.Compared;
        }

        if (Alternative().IsMatch(before) || AlternativeAfter().IsMatch(after))
        {
            return Role.Alternative;
        }

        if (Past().IsMatch(before) || PastAfter().IsMatch(after))
        {
            return Role.Past;
        }

        if (beforeOpening || Later().IsMatch(before) || LaterAfter().IsMatch(after))
        {
            return Role.Previewed;
        }

        return Announce().IsMatch(before) || AnnounceAfter().IsMatch(after) ? Role.Announced : Role.Doing;
    }

    /// <summary>Joins names that are said as one move; a short word such as "press" counts as a second name there.</summary>
    private static void Combine(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const int reach = 4;
        for (var i = 0; i < raw.Count; i++)
        {
            var a = raw[i];
            var end = a.Token + a.Length;
            var next = i + 1 < raw.Count ? raw[i + 1].Token : int.MaxValue;
            if (next <= end + reach && Combination.Of(lexicon, speech, a.Hit.Move, end, raw[i + 1].Hit.Move, next) is { } move)
            {
                raw[i] = (new AliasHit(move, false, a.Hit.Words + raw[i + 1].Hit.Words), a.Token, next + raw[i + 1].Length - a.Token);
                raw.RemoveAt(i + 1);
                continue;
            }

            for (var t = end + 1; t < Math.Min(end + reach, Math.Min(next, speech.Tokens.Count)); t++)
            {
                if (Combination.ShortPart(lexicon, speech.Tokens[t].Stem) is { } part && Combination.Of(lexicon, speech, a.Hit.Move, end, part, t) is { } made)
                {
                    raw[i] = (new AliasHit(made, false, a.Hit.Words + 1), a.Token, t + 1 - a.Token);
                    break;
                }
            }
        }
    }

    /// <summary>"Rows" after renegade rows are those: the last move done whose name ends in the word said.</summary>
    private static Move? EarlierOf(Speech speech, List<Mention> mentions, int token, int length)
    {
        if (length != 1)
        {
            return null;
        }

        var said = speech.Tokens[token].Stem;
        return mentions.LastOrDefault(m => !m.Weak && m.Weight >= 0.8 && WordStem.Of(m.Move.Name.Split(' ', '-')[^1]) == said)?.Move;
    }

    /// <summary>"Push up to standing", "roll up slowly": said once, with nothing that makes it a thing, it is what to do, not a move's name.</summary>
    private static bool IsVerb(Speech speech, int token, int length) =>
        length == 2 && speech.Tokens[token + 1].Text == "up" && !MakesThing().IsMatch(speech.Before(token, 3));

    /// <summary>Between a stop and the next start, whatever is named is about to come.</summary>
    private static bool InRest(IReadOnlyList<Mark> marks, double at)
    {
        const double longestRest = 35;
        var stop = double.NegativeInfinity;
        foreach (var mark in marks)
        {
            if (mark.At > at)
            {
                if (mark is { Kind: MarkKind.Doing, Strength: >= 1 })
                {
                    // Counted out loud: the work has begun.
                    return false;
                }

                if (mark.Kind is not (MarkKind.Start or MarkKind.Stop) || mark.Strength < 0.5)
                {
                    continue;
                }

                return mark.At <= at + longestRest && at - stop <= longestRest && StartsNext(marks, at);
            }

            stop = mark.Kind switch
            {
                MarkKind.Stop when mark.Strength >= 1 => mark.At,
                MarkKind.Start when mark.Strength >= 0.5 => double.NegativeInfinity,
                _ => stop,
            };
        }

        return false;
    }

    /// <summary>True where the next edge that is said is a start.</summary>
    private static bool StartsNext(IReadOnlyList<Mark> marks, double at) =>
        marks.FirstOrDefault(m => m.At >= at && ((m.Kind == MarkKind.Start && m.Strength >= 0.5) || (m.Kind == MarkKind.Stop && m.Strength >= 1))).Kind == MarkKind.Start;

    /// <summary>"Other side" says that the one-sided move goes on: it stands for naming the move again.</summary>
    private static List<Mention> WithOtherSides(List<Mention> mentions, IReadOnlyList<Mark> marks)
    {
        const double reach = 90;
        var added = new List<Mention>();
        foreach (var mark in marks.Where(m => m.Kind == MarkKind.SwitchSide))
        {
            var last = mentions.LastOrDefault(m => m.At < mark.At && m.Weight >= 0.5 && m.Role is Role.Doing or Role.Announced);
            if (last is not null && mark.At - last.At < reach && last.Move.Sides != MoveSides.Alternating)
            {
                var start = marks.FirstOrDefault(m => m.Kind == MarkKind.Start && m.Strength >= 0.5 && m.At >= mark.At && m.At <= mark.At + 15);
                added.Add(last with
                {
                    Token = mark.Token,
                    Length = 1,
                    At = mark.At,
                    EffectiveAt = start.At > 0 ? start.At : mark.At,
                    Role = Role.Doing,
                    Weight = last.Move.Sides == MoveSides.Each ? 0.9 : 0.6,
                });
            }
        }

        mentions.AddRange(added);
        mentions.Sort((a, b) => a.At.CompareTo(b.At));
        return mentions;
    }

    private static double EffectiveAt(IReadOnlyList<Mark> marks, List<Mention> mentions, int index)
    {
        var (at, role) = (mentions[index].At, mentions[index].Role);
        var reach = at + (role == Role.Announced ? AnnounceReach : 12);

        // Another move named as done before that start takes the floor first.
        for (var i = index + 1; i < mentions.Count && mentions[i].At < reach; i++)
        {
            if (mentions[i].Move.Id != mentions[index].Move.Id && mentions[i].Role is Role.Doing && mentions[i].Weight >= 0.8)
            {
                reach = mentions[i].At + 3;
            }
        }

        foreach (var mark in marks)
        {
            if (mark.At < at)
            {
                continue;
            }

            if (mark.At > reach)
            {
                break;
            }

            if (mark is { Kind: MarkKind.Doing, Strength: >= 1 })
            {
                break;
            }

            if (mark is { Kind: MarkKind.Start, Strength: >= 0.5 })
            {
                return mark.At;
            }
        }

        return at;
    }

    /// <summary>Where several moves are named between a stop and the next start, only one of them starts: the one most clearly announced, of equals the last.</summary>
    private static List<Mention> SettleAnnouncements(List<Mention> mentions, IReadOnlyList<Mark> marks)
    {
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

            var stop = marks.LastOrDefault(k => k.Kind == MarkKind.Stop && k.Strength >= 1 && k.At < group.Key && k.At > members[0].m.At - 5).At;
            var running = members.Where(x => x.m.At < stop).ToList();
            var inRest = members.Except(running).ToList();
            var chosen = inRest.Where(x => !x.m.Weak).OrderBy(x => x.m.Weight).Select(x => x.m.Move.Id).LastOrDefault() ?? members[^1].m.Move.Id;
            foreach (var (m, i) in members)
            {
                if (m.At < stop)
                {
                    // Said before the stop, it belongs to what was running.
                    mentions[i] = m with { EffectiveAt = m.At };
                }
                else if (m.Move.Id != chosen)
                {
                    mentions[i] = m with { EffectiveAt = m.At, Weight = m.Weight * 0.35 };
                }
            }
        }

        return mentions;
    }

    /// <summary>"Walk your hands out to a plank": what a move passes through is a part of it, not the next one.</summary>
    private static void ThinParts(Speech speech, List<Mention> mentions)
    {
        const double sameBreath = 6;
        for (var i = 1; i < mentions.Count; i++)
        {
            var (part, whole) = (mentions[i], mentions[i - 1]);
            if (part.Move.Id != whole.Move.Id && part.At - whole.At < sameBreath && whole.Weight >= 0.25 && PassedThrough().IsMatch(speech.Before(part.Token, 4)))
            {
                mentions[i] = part with { Weight = part.Weight * 0.35 };
            }
        }
    }

    /// <summary>Several moves named in one breath are a list; each of them says less about this moment.</summary>
    private static List<Mention> ThinLists(List<Mention> mentions, double opening)
    {
        const double breath = 7;
        for (var i = 0; i < mentions.Count; i++)
        {
            var m = mentions[i];
            if (m.Weight < 0.2 || m.EffectiveAt > m.At + 1)
            {
                continue;
            }

            var others = new HashSet<string>();
            for (var j = i - 1; j >= 0 && m.At - mentions[j].At < breath; j--)
            {
                Note(mentions[j]);
            }

            for (var j = i + 1; j < mentions.Count && mentions[j].At - m.At < breath; j++)
            {
                Note(mentions[j]);
            }

            if (others.Count >= 2)
            {
                mentions[i] = m with { Weight = m.Weight * (m.At < opening + 60 ? 0.4 : 0.6), Role = others.Count >= 3 ? Role.Previewed : m.Role };
            }

            void Note(Mention other)
            {
                if (other.Move.Id != m.Move.Id && other.Weight >= 0.4)
                {
                    others.Add(other.Move.Id);
                }
            }
        }

        return mentions;
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\b(not|isn't|isnt|don't (?!forget|stop)\w+|don't|doesn't|never|no|without|avoid|rather than|instead of|unlike|skip the|forget (about )?the|ain't)( (a|an|the|your|any|doing|just|really|it|into|to|another|more|usual|normal|regular|become|turn|this|going|be|big|proper|full|deep|high|kind|of))*$", Options)]
    private static partial Regex Negative();

    [GeneratedRegex(@"\b(like|similar to|same as|as if|think of|kind of|imagine|remember|than|almost|version of|as in|looks like)( (a|an|the|you|you're|we|we're|our|your|in|doing|it|is|did|1|half|little|were|that|if))*$", Options)]
    private static partial Regex Comparison();

    [GeneratedRegex(@"\b(would|d|i'd|you'd|if you) like\b", Options)]
    private static partial Regex WouldLike();

    [GeneratedRegex(@"(\bif (you|that|this|it|jump|your|the|\w+ing)\b.*|\boptions?\b.*|\b(modif\w+|alternative(ly)?|feel free|easier|harder|beginners?|advanced|too (much|hard|easy|intense)|progress(ion)?|low impact|challenge (yourself|it))\b( \w+){0,5}|\byou (can|could|might|may) (also|always|just|do|take|make|stay|come|drop|go|add|swap|turn|replace|choose|step|try)?\b( \w+){0,4}|\bor( (a|an|the|just|you|can|to|do|into|even|do|take|simply|maybe|hold|stay|go|come))*)$", Options)]
    private static partial Regex Alternative();

    [GeneratedRegex(@"^(\w+ ){0,2}(instead|if (you|that|it|this)|is (also )?(fine|an option|a great option|okay|ok|perfect|good too)|(as )?(an )?option|works too|for (a )?beginners|as well if)\b", Options)]
    private static partial Regex AlternativeAfter();

    [GeneratedRegex(@"\b((that|those|these) (was|were)( our| your| the)?|we (just )?did|you (just )?did|just (did|done)|done with|finished( with)?|earlier|yesterday|used to (do|be)|i (once|used)|remember (the|those)|back from|from (the|our|that)( first| last| warm up)?)( (a|an|the|your|our|those|all|with))*$", Options)]
    private static partial Regex Past();

    [GeneratedRegex(@"^(we did|you did|from (before|earlier|the warm up|round|last)|(are |is |all )?(done|finished|over)|earlier)\b", Options)]
    private static partial Regex PastAfter();

    [GeneratedRegex(@"\b(later( on)?|we'll (be|also|have|do|get|go|come|finish|end|then)|we will|today|followed by|after that|after (this|these)|at the end|before we (do|go|start|get)|next (round|block|circuit|pair|superset|combo|couple|few|two|2|3)\b( \w+){0,9}|going to be doing|coming (up )?(later|soon)|in a (minute|moment|bit)|finish (off |up )?with|end with|the other (exercise|move))( \w+){0,4}$", Options)]
    private static partial Regex Later();

    [GeneratedRegex(@"^(is |are )?(coming up (later|soon|in)|later|in a (minute|moment|bit)|tomorrow|next (week|time|round))\b", Options)]
    private static partial Regex LaterAfter();

    [GeneratedRegex(@"\b(next( up| 1| exercise| move)?|coming up|up next|we're (going|gonna)|going to|gonna|moving (on|into|to)|go(ing)? (straight |right |back |down )?(in ?to|on ?to|for)|we've got|we have|let's (do|try|take|hit|get|go|move)|now (we|it's|for)?|first( up| 1| exercise| move)?|last (1|exercise|move|up)|straight in ?to|switch(ing)? to|start(ing)? (off )?with|then|begin with|it's|this (1 )?is|these are|this is called|time for|back to|on to|onto|exercise (number )?\d)( \w+){0,4}$", Options)]
    private static partial Regex Announce();

    [GeneratedRegex(@"\b(a|an|the|your|our|1|full|regular|next|this|that|knee|more|another|into|with|perfect|is|of)$", Options)]
    private static partial Regex MakesThing();

    [GeneratedRegex(@"\b(to|into|from|through|in|out of)( (a|an|the|your|that))*$", Options)]
    private static partial Regex PassedThrough();

    [GeneratedRegex(@"^(is |are |will be )?(coming up|next|up next|to come)\b", Options)]
    private static partial Regex AnnounceAfter();

    [GeneratedRegex(@"^(\w+ )?(sorry|no wait|wait no|i mean|i meant|i lied|actually no)\b", Options)]
    private static partial Regex Correction();
}
