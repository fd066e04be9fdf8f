using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Weighs mentions by those around them: names that say the next or the last one again, descriptions of what is under way, lists.</summary>
internal static class MentionWeights
{
    /// <summary>A description with nothing else named around it.</summary>
    private const double DescribedWeight = 0.75;

    /// <summary>"Go! Swing those arms": what is said within so many seconds of a start in the middle of a class is no mobility.</summary>
    private const double JustBegun = 12;

    /// <summary>"Triangle", "attitude", "teaser": where several moves of one school are named in full, a word of that school is its move.</summary>
    internal static void OfOneSchool(List<Mention> mentions)
    {
        const int several = 3;
        var schools = mentions.Where(m => !m.Weak && m.Role is Role.Doing or Role.Announced or Role.Previewed && m.Move.Activity.Id is "hatha" or "pilates" or "barre")
            .GroupBy(m => m.Move.Activity.Id)
            .Where(g => g.Select(m => m.Move.Id).Distinct().Count() >= several)
            .Select(g => g.Key)
            .ToHashSet();
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i] is { Weak: true, Length: 1, Role: Role.Doing or Role.Announced } m && schools.Contains(m.Move.Activity.Id))
            {
                mentions[i] = m with { Weak = false, Weight = MentionFinder.Base(m.Role) * MentionFinder.ShortFormWeight };
            }
        }
    }

    /// <summary>"Sorry, I said fast feet, it's step jacks": what is taken back was not meant when it was first said, either.</summary>
    internal static void TakeBack(Speech speech, List<Mention> mentions)
    {
        const double reach = 30;
        const int named = 5;
        for (var i = 0; i < mentions.Count; i++)
        {
            var (token, length) = (mentions[i].Token, mentions[i].Length);
            if (!RoleReader.IsTakenBack(speech, token, length)
                || (RoleReader.IsMeantOtherwise(speech, token, length) && !mentions.Exists(m => m.Token >= token + length && m.Token <= token + length + named && m.Move.Id != mentions[i].Move.Id)))
            {
                continue;
            }

            var (id, at) = (mentions[i].Move.Id, mentions[i].At);
            for (var j = i; j >= 0 && at - mentions[j].At < reach; j--)
            {
                if (mentions[j].Move.Id == id && mentions[j].Role is Role.Doing or Role.Announced or Role.Negated)
                {
                    mentions[j] = mentions[j] with { Role = Role.Negated, Weight = 0 };
                }
            }
        }
    }

    /// <summary>
    /// Against the clock a bout goes on until it is called off. What is named once in the middle of one, with no start, change or turn said, is talked of:
    /// "lunges are the ones everybody hates".
    /// </summary>
    internal static void ThinTalkedOf(Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions, SaidDose dose)
    {
        const double shortest = 20;
        const double begun = 10;
        const double nearEnd = 8;
        const double atStart = 6;
        const double talkedOf = 0.25;
        const double calledOff = 0.9;
        const int rightBefore = 3;
        if (dose.WorkSeconds is not (>= shortest and { } work))
        {
            return;
        }

        for (var i = 0; i < mentions.Count; i++)
        {
            var m = mentions[i];
            if (m.Role is (Role.Previewed or Role.Compared or Role.Past) && IsCalledOnAndOff(marks, m.At))
            {
                mentions[i] = m with { Weight = 0 };
                continue;
            }

            if (m.Role is not (Role.Doing or Role.Announced) || m.Weak || m.EffectiveAt > m.At + 1)
            {
                continue;
            }

            var since = Clocked.Between(marks, m.At - work, m.At + nearEnd).Where(k => (k.Kind is MarkKind.Start or MarkKind.SwitchSide or MarkKind.Again or MarkKind.Round && k.Strength >= 0.5) || k is { Kind: MarkKind.Stop or MarkKind.Break, Strength: >= calledOff }).ToList();
            if (since.Count == 0 || since[^1] is not { Kind: MarkKind.Start } start || m.At - start.At < begun || m.At - start.At > work - nearEnd
                || !Clocked.Between(marks, start.At + work - atStart, start.At + work + atStart).Any(k => k is { Kind: MarkKind.Stop or MarkKind.Break, Strength: >= calledOff }))
            {
                continue;
            }

            var other = Clocked.Between(mentions, start.At - BeatGrid.LongestRest - work, m.At).Any(r => r.Move.Id != m.Move.Id && !r.Weak && Math.Abs(r.EffectiveAt - start.At) <= atStart && r.Weight >= MentionFinder.ShortFormWeight);
            var once = Clocked.Between(mentions, start.At, start.At + work).Count(r => r.Move.Id == m.Move.Id && r.Weight > talkedOf) == 1;
            if (other && once && !RoleReader.MovesOn(speech, m.Token, rightBefore))
            {
                mentions[i] = m with { Role = Role.Past, Weight = 0 };
            }
        }
    }

    /// <summary>True where both a start and a stop are called within a minute and a half around: nobody has to be asked what is done there by what is only spoken of.</summary>
    private static bool IsCalledOnAndOff(IReadOnlyList<Mark> marks, double at)
    {
        const double around = 45;
        var near = Clocked.Between(marks, at - around, at + around).ToList();
        return near.Exists(k => k is { Kind: MarkKind.Start, Strength: >= 0.5 }) && near.Exists(k => k is { Kind: MarkKind.Stop, Strength: >= 0.9 });
    }

    /// <summary>What is stretched when only the muscle is named, standing and lying.</summary>
    private static readonly Dictionary<string, (string Standing, string Lying)> StretchOf = new()
    {
        [WordStem.Of("quads")] = ("quad-stretch", "side-lying-quad-stretch"),
        [WordStem.Of("quadriceps")] = ("quad-stretch", "side-lying-quad-stretch"),
        [WordStem.Of("hamstring")] = ("hamstring-stretch", "supine-hamstring-stretch"),
        [WordStem.Of("hamstrings")] = ("hamstring-stretch", "supine-hamstring-stretch"),
        [WordStem.Of("calf")] = ("calf-stretch", "calf-stretch"),
        [WordStem.Of("calves")] = ("calf-stretch", "calf-stretch"),
        [WordStem.Of("triceps")] = ("triceps-stretch", "triceps-stretch"),
    };

    /// <summary>What stands before a muscle that is stretched: "that's your hamstring", "for the quads".</summary>
    private static readonly HashSet<string> MuscleAfter = ["your", "the", "those", "that", "into", "is", "that's", "hello", "for", "our", "of", "thigh", "them"];

    private static bool StretchClass(Speech speech) =>
        speech.Text[..Math.Min(speech.Text.Length, 500)].Contains("stretch", StringComparison.Ordinal) && !speech.Text[..Math.Min(speech.Text.Length, 500)].Contains("workout", StringComparison.Ordinal);

    /// <summary>After "let's cool down" a muscle alone ("into the hamstrings") names its stretch, where no stretch is named around it.</summary>
    internal static void MuscleStretches(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, List<Mention> mentions, PositionTrack position, double opening)
    {
        const double around = 9;
        const double weight = 0.6;

        // "Feel the hamstrings" so soon after a stretch is where that one is felt.
        const double justFelt = 25;
        const double lateFrom = 0.6;
        var cool = marks.FirstOrDefault(m => m.Kind == MarkKind.CoolDown && m.At > lateFrom * speech.End.Value).At;

        // A class of stretches is all cool-down in this.
        if (StretchClass(speech))
        {
            cool = 1;
        }

        if (cool <= 0)
        {
            return;
        }

        var added = new List<Mention>();
        for (var t = 1; t < speech.Tokens.Count; t++)
        {
            if (speech.At(t) < Math.Max(cool, opening) || !StretchOf.TryGetValue(speech.Tokens[t].Stem, out var stretch) || !(MuscleAfter.Contains(speech.Tokens[t - 1].Text) || speech.Tokens[t - 1].Pauses || speech.Tokens[t].Stops || speech.Tokens[t - 1].Cue != speech.Tokens[t].Cue))
            {
                continue;
            }

            var at = speech.At(t);
            if ((RoleReader.IsFelt(speech, t) && Named.LastNamed(mentions, at, justFelt, m => m.Move.IsStretch) is not null)
                || Clocked.Between(mentions, at - around, at + around).Any(m => m.Move.IsStretch && m.Weight >= 0.5 && (!m.Weak || m.Move.Id == stretch.Standing || m.Move.Id == stretch.Lying))
                || added.Exists(m => at - m.At < around))
            {
                continue;
            }

            var id = position.At(t) is "supine" or "side-lying" or "prone" ? stretch.Lying : stretch.Standing;
            if (lexicon.Find(id) is { } move)
            {
                added.Add(new Mention(move, t, 1, at, at, Role.Doing, true, weight));
            }
        }

        mentions.AddRange(added);
        mentions.Sort((a, b) => a.At.CompareTo(b.At));
    }

    /// <summary>"Lunges, and go. Reverse lunges ..." : a general name right before a fuller one already means that one.</summary>
    internal static void NameForward(Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions)
    {
        const double soon = 20;
        for (var i = 0; i + 1 < mentions.Count; i++)
        {
            var (m, next) = (mentions[i], mentions.Skip(i + 1).FirstOrDefault(o => !o.Weak && o.Role is Role.Doing or Role.Announced));
            if (!m.Weak && m.Role is Role.Doing or Role.Announced && next is not null && next.At - m.At < soon && !RoleReader.IsUnloaded(speech, m.Token, m.Length) && next.Move.Pattern == m.Move.Pattern && next.Move.NamesMoreThan(m.Move)
                && !Clocked.Between(marks, m.At + 1, next.At).Any(k => k.Kind is MarkKind.Opening or MarkKind.Break or MarkKind.WarmUpOver))
            {
                mentions[i] = m with { Move = next.Move };
            }
        }
    }

    /// <summary>
    /// Many stretches are never named, only described ("ankle over the opposite knee"). Such words count where no other move was just named;
    /// right after a name they say how that one is done.
    /// </summary>
    internal static void WeighDescriptions(Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions, Loosening loosening, double within)
    {
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i] is { Weak: true, Role: Role.Doing or Role.Announced } m)
            {
                mentions[i] = m with { Weight = IsCueToOthers(mentions, m) ? 0 : IsHowDone(speech, marks, mentions, loosening, within, m) ? HowDoneWeight : m.Length > 1 && m.Weight > MentionFinder.VerbWeight * 1.5 ? DescribedWeight : m.Weight };
            }
        }
    }

    /// <summary>Words that say how the move under way is done.</summary>
    private const double HowDoneWeight = 0.15;

    /// <summary>True where a description says how the move is done that was named near by, and is none of its own.</summary>
    /// <param name="within">Seconds after a name in which a description belongs to it.</param>
    private static bool IsHowDone(Speech speech, IReadOnlyList<Mark> marks, List<Mention> mentions, Loosening loosening, double within, Mention m)
    {
        // "Breathe in, breathe out" is a move of its own at both ends of a class; in between it is how moves are done.
        const double opening = 0.12;
        const double closing = 0.8;

        // No clock rules the warm-up and the cool-down: "arms, big circles" is the next thing done.
        const double warmingUp = 0.2;
        var end = speech.End.Value;
        var midClass = (m.Move.IsBreathing || (m.Move.IsGentle && !m.Move.IsStretch && Clocked.Between(marks, m.At - JustBegun, m.At).Any(k => k is { Kind: MarkKind.Start, Strength: >= 1 }))) && m.At > opening * end && m.At < closing * end;
        var movesOn = m.Length > FewWords && RoleReader.MovesOn(speech, m.Token, RightBefore);

        // "Bring one arm across your chest and hug it in": a few words right after a whole description are the end of it.
        return midClass
            || (!movesOn && Clocked.Between(mentions, m.At - MentionFinder.DescribesWithin - MentionStarts.AnnounceReach, m.At + 5).Any(o => !o.Weak && o.Weight >= MentionFinder.WeakWeight && o.Role is Role.Doing or Role.Announced && o.Move.Id != m.Move.Id && !(m.Move.IsStretch && !o.Move.IsStretch && m.At > closing * end) && !(m.Move.IsGentle && MentionFinder.JustStopped(marks, o.EffectiveAt + 1, m.At)) && o.EffectiveAt > m.At - (loosening.Covers(m.At) || ((m.Move.IsGentle || o.Move.IsGentle) && (m.At < warmingUp * end || m.At > closing * end)) ? MentionFinder.DescribesWithin : within) && o.At < m.At + 5))
            || (m.Length <= FewWords && Clocked.Between(mentions, m.At - WholeDescription, m.At).Any(o => o.Weak && o.Length > FewWords && o.Move.Id != m.Move.Id && o.Weight >= MentionFinder.WeakWeight && o.Role is Role.Doing or Role.Announced));
    }

    /// <summary>Right after work is named, "breathe in through the nose" is how it is done; arms that swing while everyone walks belong to the walk, shoulder blades to the row.</summary>
    private static bool IsCueToOthers(List<Mention> mentions, Mention m)
    {
        bool JustNamed(Func<Move, bool> which) => Clocked.Between(mentions, m.At - MentionFinder.DescribesWithin - MentionStarts.AnnounceReach, m.At).Any(o => o.Weight >= 0.5 && o.EffectiveAt > m.At - MentionFinder.DescribesWithin && which(o.Move));
        return (m.Move.IsBreathing && JustNamed(o => !o.IsGentle))
            || (m.Move.Id == "arm-swing" && JustNamed(o => o.Pattern == "locomotion"))
            || (m.Move.Id == "scapula-squeeze" && mentions.Exists(o => o.At < m.At && o.Weight >= 0.5 && o.Move.Pattern.StartsWith("pull", StringComparison.Ordinal)));
    }

    /// <summary>"And now", "next", so many words before a description: it is of another move.</summary>
    private const int RightBefore = 3;

    /// <summary>So many words are the end of a description that began no more than so many seconds before.</summary>
    private const int FewWords = 4;
    private const double WholeDescription = 7;

    /// <summary>"Let your knees drop to one side and the other, windscreen wipers": what is described and then named is what it is named.</summary>
    internal static void NameDescribed(List<Mention> mentions)
    {
        const double soon = 9;
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i] is { Weak: true, Length: > 1, Role: Role.Doing or Role.Announced } m
                && mentions.Skip(i + 1).TakeWhile(o => o.At - m.At < soon).FirstOrDefault(o => o is { Weak: false, Role: Role.Doing or Role.Announced }) is { } next
                && next.Move.Id != m.Move.Id && next.Move.Positions.Intersect(m.Move.Positions).Any() && next.Move.Prime.Intersect(m.Move.Prime).Any())
            {
                mentions[i] = m with { Move = next.Move };
            }
        }
    }

    /// <summary>
    /// "Next is the hip thrust, this is where you need the bench ... drive through your heels, lift your hips": what is described before anyone starts or
    /// stops is what was announced, where it is the plain form of it.
    /// </summary>
    internal static void TellAnnounced(IReadOnlyList<Mark> marks, List<Mention> mentions)
    {
        const double setUp = 40;
        for (var i = 1; i < mentions.Count; i++)
        {
            if (mentions[i] is not { Weak: true, Length: > 1, Role: Role.Doing or Role.Announced } m)
            {
                continue;
            }

            var j = mentions.FindLastIndex(i - 1, o => o is { Weak: false, Role: Role.Doing or Role.Announced });
            if (j >= 0 && mentions[j] is { Role: Role.Announced } told && m.At - told.At < setUp && told.Move.Easier == m.Move.Id
                && !Clocked.Between(marks, told.At, m.At).Any(k => k is { Kind: MarkKind.Start or MarkKind.Stop, Strength: >= 0.5 } or { Kind: MarkKind.SwitchSide or MarkKind.Opening }))
            {
                mentions[i] = m with { Move = told.Move };
            }
        }
    }

    /// <summary>An everyday word that is also a move's name counts only where the move is named in full, or announced, somewhere.</summary>
    internal static void DropLoneEverydayWords(List<Mention> mentions)
    {
        var named = mentions.Where(m => !m.Weak && m.Role is Role.Doing or Role.Announced or Role.Previewed).Select(m => m.Move.Id).ToHashSet();
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i] is { Weak: true, Length: 1, Role: Role.Doing } m && !named.Contains(m.Move.Id))
            {
                mentions[i] = m with { Weight = m.Weight * 0.5 };
            }
        }
    }

    /// <summary>Moves that are also cues to others.</summary>
    private const string Breathing = "breathing";

    /// <summary>"Into your plank", within so many seconds of a move done from there, is where that one starts.</summary>
    private const string Plank = "plank";
    private const double StartsFromPlank = 15;

    /// <summary>What is only passed through has given way to another move by then, in seconds.</summary>
    private const double MomentIsOver = 15;

    /// <summary>Seconds in which one repetition is explained: "step up ... and step down".</summary>
    private const double WayBack = 14;

    /// <summary>"Walk your hands out to a plank": what a move passes through is a part of it, not the next one.</summary>
    internal static void ThinParts(Speech speech, List<Mention> mentions)
    {
        const double sameBreath = 6;
        const double cueWithin = 10;
        for (var i = 1; i < mentions.Count; i++)
        {
            var (part, whole) = (mentions[i], mentions[i - 1]);
            if (part.Move.IsGentle && RoleReader.IsForAMoment(speech, part.Token + part.Length) && mentions.Skip(i + 1).TakeWhile(o => o.At - part.At < MomentIsOver).Any(o => !o.Weak && o.Move.Id != part.Move.Id && o.Role is Role.Doing or Role.Announced))
            {
                mentions[i] = part with { Weight = part.Weight * 0.25 };
                continue;
            }

            // "Arms behind you, big breath in", "stand on your left leg, take the right one out": what is breathed to, and what is done standing so.
            if (part.Move.Id != whole.Move.Id && part.At - whole.At < cueWithin && whole.Weight >= MentionFinder.WeakWeight)
            {
                if (part.Move.Id == Breathing)
                {
                    mentions[i] = part with { Weight = 0 };
                }
                else if (whole.Move.Id == MentionFinder.OnOneLeg && part.Weight >= MentionFinder.WeakWeight && part.Move.Positions.Contains("standing") && part.Move.Pattern is "isolation-leg" or "leg-raise" or "kick" or "stretch")
                {
                    (mentions[i - 1], mentions[i]) = (whole with { Weight = 0 }, part with { Weight = Math.Max(part.Weight, whole.Weight) });
                }
            }

            if (Clocked.Between(mentions, part.At - WayBack, part.At).Any(o => RoleReader.IsWayBack(speech, o, part)))
            {
                mentions[i] = part with { Weight = 0 };
                continue;
            }

            if (part.Move.Id == Plank && RoleReader.IsPassedThrough(speech, part.Token) && !RoleReader.IsHeld(speech, part.Token + part.Length)
                && Clocked.Between(mentions, part.At - StartsFromPlank, part.At + StartsFromPlank).Any(o => !o.Weak && o.Move.Id != Plank && o.Move.Positions.Contains("plank") && o.Role is Role.Doing or Role.Announced))
            {
                mentions[i] = part with { Weight = part.Weight * 0.25 };
                continue;
            }

            if (part.Move.Id != whole.Move.Id && part.At - whole.At < sameBreath && RoleReader.IsSaidOtherwise(speech, whole.Token + whole.Length, part.Token))
            {
                mentions[i] = part with { Weight = 0 };
            }
            else if (part.Move.Id != whole.Move.Id && part.At - whole.At < sameBreath && whole.Weight >= 0.25
                && ((part.Move.IsStretch && whole.Move.IsStretch && speech.Tokens[part.Token].Text == "stretch" && !RoleReader.MovesOn(speech, part.Token)) || RoleReader.IsPassedThrough(speech, part.Token)))
            {
                mentions[i] = part with { Weight = part.Weight * 0.35 };
            }
        }
    }

    /// <summary>Several moves named in one breath are a list; each of them says less about this moment.</summary>
    internal static void ThinLists(List<Mention> mentions, double opening)
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

    }
}
