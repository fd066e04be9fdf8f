using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds move names in speech and decides what the words around each do with it.</summary>
public static partial class MentionFinder
{
    /// <summary>Two announcements further apart than this, in seconds, are not of one start.</summary>
    internal const double AnnouncedApart = 15;

    /// <summary>A short form of a move done before ("swings") is surer than an everyday word, less sure than the name.</summary>
    internal const double ShortFormWeight = 0.75;

    /// <summary>Everyday words make weak names; they count this much unless their surroundings agree.</summary>
    internal const double WeakWeight = 0.3;

    /// <summary>An everyday word that is announced ("now a row") is most likely meant.</summary>
    private const double WeakAnnounced = 0.5;

    /// <summary>A name of one word ("lunges") may be said of more than a move.</summary>
    private const double OneWordWeight = 0.85;

    /// <summary>"Press up to standing": a word of doing that happens to be a name.</summary>
    internal const double VerbWeight = 0.15;

    /// <summary>A name with a misheard word is a little less sure.</summary>
    private const double MisheardWeight = 0.85;

    /// <summary>A standing move named in passing while everyone lies on the floor is most likely a way of speaking: "circle the arms", "lift the heels".</summary>
    private const double OutOfPlaceWeight = 0.7;

    /// <summary>A description of a floor move while everyone stands describes something else.</summary>
    private const double LyingWhileStanding = 0.3;

    /// <summary>Seconds after a name in which a description belongs to it.</summary>
    internal const double DescribesWithin = 14;

    /// <summary>In a timed class a description belongs to the move that was named until this many seconds before its time is up.</summary>
    private const double NextIsNear = 8;

    /// <summary>Two moves named within so many seconds are told in one breath.</summary>
    internal const double OneBreath = 6;

    /// <summary>A start within so many seconds begins what "we'll be doing" names.</summary>
    private const double StartsSoon = 20;

    /// <summary>"And we're pairing that with" looks this many seconds back.</summary>
    private const double PairReach = 30;

    /// <summary>And for so many of one that was only described, or whose pulse or hold is told by a faint likeness.</summary>
    private const double PulsedWithin = 60;

    /// <summary>Within this many seconds a general word is said of the move that was named last.</summary>
    internal const double StillThatMove = 75;

    public static IReadOnlyList<Mention> Find(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, SaidDose dose) =>
        Find(speech, lexicon, marks, dose, Hear(speech, lexicon, marks));

    /// <summary>"Plank jacks, hands on the floor, jump your feet out": so many seconds after a name that waits, what is like it tells how it will be done.</summary>
    private const double ToldFor = 12;

    /// <summary>The mentions, and what speech is only a little like where nothing is named; those weigh nothing until they are judged.</summary>
    /// <param name="order">In which order the class does its moves.</param>
    /// <param name="opening">When the class proper begins, in seconds.</param>
    internal static List<Mention> WithFaint(Speech speech, MoveLexicon lexicon, Hearing heard, IReadOnlyList<Mark> marks, List<Mention> mentions, ClassOrder order, double opening)
    {
        List<Mention> all = [.. mentions];
        var clear = NameFinder.ClearNames(speech, heard.Raw);
        foreach (var (hit, token, length) in NameFinder.Faint(speech, heard.Listened, heard.Like, clear))
        {
            Add(hit.Move, hit.Like!.Value, token, length);
        }

        // What is described goes by few words; more of them may tell better what is meant.
        var byName = NameFinder.ClearNames(speech, heard.Raw.FindAll(r => !r.Hit.Described));
        bool IsTold(Move move, double at) => all.Exists(m => m.Move.Id == move.Id && m.At > at - ToldBefore && m.At < at + ToldAfter);
        foreach (var (like, token, length) in LearnedMoves.Find(speech, heard.Told, heard.Listened, byName, opening, IsTold))
        {
            Add(like.Move, like, token, length);
        }

        foreach (var (move, token) in NextMoves.Find(order, marks, mentions, opening, IsTold))
        {
            // The class tells it, the lexicon does not.
            Add(move, new LikeMove(move, 0, 0, 0, null), token, 1);
        }

        all.AddRange([.. all.Where(m => m is { Weak: true, Like: not null }).SelectMany(m => Rivals(m, lexicon, heard)).Where(m => !IsOfOther(m.Move, m.At))]);
        all = [.. all.OrderBy(m => m.At)];
        MentionStarts.SetUp(all);
        return all;

        void Add(Move likest, LikeMove like, int token, int length)
        {
            var at = speech.At(token);
            var move = MoveMeant.Here(lexicon, likest, heard.Position.Find(token).Position, weak: true, []);
            if (mentions.Exists(m => m is { Weak: false, Role: Role.Previewed, Weight: 0 } && m.Move.Id == move.Id && at - m.At is >= 0 and < ToldFor) || IsWarnedOf(speech, move, token, length)
                || (Brought().IsMatch(speech.Before(token, BroughtWithin)) && at < opening) || IsOfOther(move, at))
            {
                return;
            }

            all.Add(new Mention(move, token, length, at, at, RoleReader.Of(speech, token, length, likest.IsGentle, beforeOpening: false, described: true), true, 0, like, true));
        }

        // "Press-ups ... little pulses at the bottom": those of no squat.
        bool IsOfOther(Move move, double at) => lexicon.How(move) is not null && Named.LastNamed(mentions, at, PulsedWithin) is { } running && running.Move.Pattern != move.Pattern;
    }

    /// <summary>What is told over some seconds is not told anew where its move was heard so many seconds before, or is so many after.</summary>
    private const double ToldBefore = 8;
    private const double ToldAfter = 10;

    /// <summary>Words before what is told in which it is said to be fetched.</summary>
    private const int BroughtWithin = 5;

    /// <summary>"Grab your dumbbells and let's get started": what is fetched before the class begins is a little like whatever is done with it.</summary>
    [GeneratedRegex(@"\b(grab|fetch|find|need|bring|you'll want|get) (a|an|your|some|the|yourself|any)?( [\w']+){0,3}$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Brought();

    /// <summary>"Hips level, don't open out like a gate": told by an image, of what is not to be done.</summary>
    private static bool IsWarnedOf(Speech speech, Move move, int token, int length)
    {
        const int rightBefore = 2;
        var from = Math.Max(0, token - rightBefore);
        return move.IsImage && Enumerable.Range(from, token + length - from).Any(t => speech.Tokens[t].Text is "don't" or "never" or "not");
    }

    /// <summary>What the words of a mention are nearly as like: of three told in other words two are the likest move, and most of the rest one of these.</summary>
    private static IEnumerable<Mention> Rivals(Mention m, MoveLexicon lexicon, Hearing heard)
    {
        const int most = 3;
        const double within = 8;
        const double least = 10;
        var place = heard.Position.Find(m.Token).Position;
        return heard.Listened.Beside(m.Like!.Value.Move, m.Token, m.Length, most, within).Where(r => r.Score >= least)
            .Select(r => m with { Move = MoveMeant.Here(lexicon, r.Move, place, weak: true, []), EffectiveAt = m.At, Weight = 0, Like = r, Faint = true })
            .Where(r => r.Move.Id != m.Move.Id);
    }

    /// <summary>Seconds after a name in which a description belongs to it: in a timed class until its time is nearly up.</summary>
    private static double DescribesFor(SaidDose dose) => Math.Max(DescribesWithin, dose.WorkSeconds - NextIsNear ?? 0);

    /// <summary>What was heard, before anyone asks what it was said for.</summary>
    /// <param name="Raw">Names and descriptions, where they begin and how many words they have.</param>
    /// <param name="Misheard">Which of them have a word misheard.</param>
    /// <param name="Like">Stretches that are a little like a move.</param>
    /// <param name="Places">Where the body is at each word, by what was said and by the names before.</param>
    internal sealed record Hearing(
        List<(AliasHit Hit, int Token, int Length)> Raw, HashSet<int> Misheard, List<(LikeMove Like, int From, int Count)> Like, DescriptionLikeness.Heard Listened, MoveClassifier.Heard Told, PositionTrack Position, string[] Places, Loosening Loosening);

    internal static List<Mention> Find(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, SaidDose dose, Hearing heard)
    {
        var (position, loosening, misheard) = (heard.Position.Copy(), heard.Loosening, heard.Misheard);
        List<(AliasHit Hit, int Token, int Length)> raw = [.. heard.Raw];
        ShortNames.Recalled(speech, lexicon, raw);
        var called = ShortNames.CalledOut(speech, lexicon, raw);
        ShortNames.Combine(speech, lexicon, raw);
        ShortNames.Variants(speech, lexicon, raw);
        var listed = NameLists.Listed(speech, raw);
        var opening = ClassOpening.At(speech, raw, marks);
        var beat = BeatGrid.Of(marks, dose);
        var quiet = RoleReader.SaysQuiet(speech);
        var walking = MoveMeant.IsWalk(speech);
        var mentions = new List<Mention>(raw.Count);
        var names = new List<ImmutableArray<string>>(raw.Count);
        for (var i = 0; i < raw.Count; i++)
        {
            var (hit, token, length) = raw[i];
            var at = speech.At(token);
            Mention? UnderWay() => Named.Later(Named.LastNamed(mentions, at, StillThatMove), Named.LastDescribed(mentions, at, PulsedWithin));
            var role = RoleReader.Of(speech, token, length, hit.Move.IsGentle, at < opening, hit.Described);
            if (role == Role.Doing && (InRest(marks, at) || (!hit.Move.IsStretch && beat?.StartAfter(at) is not null)))
            {
                role = Role.Announced;
            }

            if (role == Role.Announced && IsInWork(marks, at, dose) && !RoleReader.IsNext(speech, token, length))
            {
                role = Role.Doing;
            }

            if (role == Role.Previewed && at >= opening && !listed[i]
                && ((RoleReader.IsWeWillBe(speech, token, length) && Clocked.Between(marks, at, at + StartsSoon).Any(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 }))
                    || (InRest(marks, at) && RoleReader.MayBeNext(speech, token, length) && IsAloneInRest(speech, marks, raw, mentions, i))))
            {
                role = Role.Announced;
            }

            if (role == Role.Compared && hit.Move.IsImage && RoleReader.IsLike(speech, token))
            {
                role = RoleReader.IsWarned(speech, token) ? Role.Negated : Role.Doing;
            }

            if (hit.Described && IsWarnedOf(speech, hit.Move, token, length))
            {
                role = Role.Negated;
            }

            if (role is Role.Doing or Role.Announced)
            {
                role = OfferedOrLater(speech, mentions, raw[i], at, listed[i], dose, role);
            }

            if (hit.Move.Id == GoodMorning && RoleReader.IsGreeting(speech, token, length))
            {
                role = Role.Past;
            }

            if (hit.Weak && length == 1 && speech.Tokens[token].Text.EndsWith("ed", StringComparison.Ordinal))
            {
                // "My dog just walked in."
                role = Role.Past;
            }

            var several = hit.Weak && ((!hit.Described && RoleReader.IsNamed(speech, token)) || (length == 1 && (called.Contains(token) || NameFinder.IsSeveral(speech.Tokens[token]) || (walking && MoveMeant.Walks(speech, token)))));
            var verb = RoleReader.IsVerb(speech, token, length);
            var weak = (hit.Weak && !several) || verb || RoleReader.IsClause(speech, token, length) || (hit.Move.Id == OnOneLeg && RoleReader.NamesSide(speech, token, length));
            var (place, implied) = position.Find(token);
            var move = MoveMeant.OneLimb(speech, lexicon, MoveMeant.Here(lexicon, hit.Move, place, hit.Weak, speech.Stems.Skip(token).Take(length)), token, length);
            var general = lexicon.NameStems(move).Length == 1 || (hit.Words == 1 && speech.Tokens[token + length - 1].Stem == lexicon.NameStems(move)[^1]) || !move.Parts.IsEmpty;
            var ofNone = false;
            if (hit.Weak && lexicon.How(move) is { } how && UnderWay() is { } under)
            {
                // "Stay down there and pulse", after the wide squat or the lunge; after push-ups they are push-ups.
                var variant = lexicon.Variant(under.Move, how);
                ofNone = variant is null && under.Move.Pattern != move.Pattern;
                role = ofNone ? Role.Compared : role;
                move = variant ?? move;
            }

            move = MoveMeant.Pressed(speech, mentions, token, length, at) ?? MoveMeant.Going(speech, lexicon, move, token, length, UnderWay) ?? move;
            if (move.Harder is { } fromToes && move.Positions.Contains("kneeling") && RoleReader.OrToes(speech, token + length))
            {
                // "Press-ups on your knees or on your toes": both are meant.
                move = lexicon[fromToes];
            }

            if (quiet && MoveMeant.Stepped(speech, lexicon, move, token, length) is { } low)
            {
                move = low;
            }

            var fuller = RoleReader.IsPlain(speech, token) ? null : MoveMeant.PartOf(lexicon, mentions, hit, token, length, speech, at) ?? (general && !RoleReader.IsUnloaded(speech, token, length) ? MoveMeant.EarlierOf(lexicon, mentions, names, move, weak || several, at, NameFinder.AtHand(speech, move)) : null);
            var meant = fuller ?? move;
            // "Exercise one is ten thrusters, so it's a squat and you press": told in the list, not done.
            var inList = listed[i] || (i > 0 && listed[i - 1] && role is Role.Doing or Role.Announced && mentions[^1].Move.Id == meant.Id && at - mentions[^1].At < OneBreath);
            role = inList && role != Role.Alternative ? Role.Previewed : role;

            var ruledOut = ofNone || (hit.Move.Id == ShakeOut && JustStopped(marks, at))
                || (role == Role.Previewed && (at < opening || inList))
                || (role == Role.Compared && RoleReader.IsPicture(speech, token))
                || (weak && RoleReader.GetsUp(speech, token, length))
                || (length == 1 && hit.Move.Pattern == "curl" && RoleReader.CurlsBody(speech, token))
                || (role == Role.Past && (weak || hit.Move.Id == GoodMorning));
            var weight = ruledOut ? 0
                : verb && !hit.Weak ? VerbWeight
                : weak ? fuller is not null ? ShortFormWeight : role == Role.Announced ? WeakAnnounced : WeakWeight
                : hit.Words > 1 ? 1 : several ? ShortFormWeight : OneWordWeight;
            var said = misheard.Contains(token) ? MisheardWeight : 1;
            var passing = weak && fuller is null && !(hit.Described && hit.Words >= NameFinder.WordsEnough && (implied || hit.Move.IsGentle));
            mentions.Add(new Mention(meant, token, length, at, at, role, weak && fuller is null, Base(role) * weight * said * Fits(mentions, meant, at, role, passing, place, implied), hit.Like));
            names.Add(lexicon.NameStems(meant));
            if (role is Role.Doing or Role.Announced && !weak)
            {
                position.Imply(token, move);
            }
        }

        return Weighed(speech, lexicon, marks, dose, mentions, position, heard.Listened, loosening, opening, beat, called);
    }

    /// <summary>Everything in speech that is or may be the name of a move, or its description.</summary>
    internal static Hearing Hear(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks)
    {
        var position = new PositionTrack(speech);
        var loosening = Loosening.In(speech, marks);
        var raw = NameFinder.Names(speech, lexicon);
        NameFinder.Numbered(speech, lexicon, raw);
        CodedMoves.Call(speech, marks, raw);
        var misheard = NameFinder.Misheard(speech, lexicon, raw);
        var places = position.Along(raw.Where(r => NameFinder.IsClear(speech, r)).Select(r => (r.Token, r.Hit.Move)), (move, place) => place.Length > 0 && move.Elsewhere.Any(id => lexicon[id].Positions.Contains(place)));
        var fits = new MoveFits(places, m => NameFinder.AtHand(speech, m));
        var listened = lexicon.Likeness.In(speech.Stems, fits);
        NameFinder.Described(speech, lexicon, listened, places, raw);
        var like = NameFinder.Like(speech, marks, listened, raw);
        NameFinder.Likened(speech, marks, loosening, listened, like, raw);
        return new Hearing(raw, misheard, like, listened, lexicon.Classifier.In(speech.Stems, fits), position, places, loosening);
    }

    /// <summary>The role of a move that is named as if it were done: it may be offered, told for later, or the second of a pair.</summary>
    private static Role OfferedOrLater(Speech speech, List<Mention> mentions, (AliasHit Hit, int Token, int Length) name, double at, bool listed, SaidDose dose, Role role)
    {
        var (hit, token, _) = name;
        if (listed)
        {
            return Role.Previewed;
        }

        if (role == Role.Doing && mentions.Count > 0 && mentions[^1] is { Role: Role.Alternative } offered && offered.Move.Id == hit.Move.Id && at - offered.At < OneBreath)
        {
            // "Just march it, but march like you mean it."
            return Role.Alternative;
        }

        if (dose.Ladder && RoleReader.IsAdded(speech, token))
        {
            // "Now we add ten press-ups": after all that came before.
            return Role.Previewed;
        }

        // "Chest press, lying on your back, and then a dead bug": the second of two that are told is not done yet.
        return !hit.Described
            && (RoleReader.IsPairedWith(speech, token) ? PairReach : RoleReader.IsThenAnother(speech, token) ? OneBreath : 0) is > 0 and var back
            && mentions.Exists(m => !m.Weak && m.Move.Id != hit.Move.Id && at - m.At < back && m.Role is Role.Doing or Role.Announced or Role.Previewed)
            ? Role.Previewed : role;
    }

    /// <summary>How far a move agrees with where the body is, 0..1.</summary>
    /// <param name="passing">True for words that may be no name.</param>
    /// <param name="implied">True where nobody said where the body is: it is where the move before left it.</param>
    private static double Fits(List<Mention> mentions, Move move, double at, Role role, bool passing, string place, bool implied)
    {
        // "Knees to chest", "quick feet", right after a plank or climbers were named: how those are done.
        var fromPlank = place == "plank" && (OutOfPlace(move, place) || (!move.Positions.IsEmpty && move.Positions.All(p => p is "supine" or "side-lying")));
        if (role == Role.Doing && fromPlank && Named.LastNamed(mentions, at, DescribesWithin) is not null)
        {
            return LyingWhileStanding;
        }

        if (role == Role.Doing && OutOfPlace(move, place))
        {
            return OutOfPlaceWeight;
        }

        var lies = !move.Positions.IsEmpty && move.Positions.All(p => Vocabulary.IsFloor(p) || (p == "seated" && place != p));
        return !(passing && place is "standing" or "seated" && lies) ? 1 : role == Role.Announced && implied ? OutOfPlaceWeight : LyingWhileStanding;
    }

    /// <summary>The mentions weighed by those around them, with when they begin, and with what nobody names again.</summary>
    private static List<Mention> Weighed(
        Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, SaidDose dose, List<Mention> mentions, PositionTrack position, DescriptionLikeness.Heard listened, Loosening loosening, double opening, BeatGrid? beat, HashSet<int> called)
    {
        // In a class of work its clock does not rule the warm-up and the stretches.
        var named = mentions.Where(m => !m.Weak && m.Role is Role.Doing or Role.Announced).ToList();
        var gentleClass = named.Count(m => m.Move.IsGentle) > 0.7 * named.Count;
        MentionWeights.TakeBack(speech, mentions);
        MentionWeights.OfOneSchool(mentions);
        MoveMeant.OneArm(speech, lexicon, marks, mentions);
        MentionWeights.NameForward(speech, marks, mentions);
        MentionWeights.NameDescribed(mentions);
        MentionWeights.TellAnnounced(marks, mentions);
        MentionWeights.DropLoneEverydayWords(mentions);
        MentionWeights.ThinParts(speech, mentions);
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i].Role is Role.Announced or Role.Doing)
            {
                mentions[i] = mentions[i] with { EffectiveAt = MentionStarts.EffectiveAt(speech, marks, mentions, i, mentions[i].Move.IsGentle && !gentleClass ? null : dose, beat, called) };
            }
        }

        BlockPreviews.Settle(speech, marks, mentions);
        MentionWeights.ThinTalkedOf(speech, marks, mentions, dose);
        MentionWeights.WeighDescriptions(speech, marks, mentions, loosening, DescribesFor(dose));
        MentionWeights.MuscleStretches(speech, lexicon, marks, mentions, position, opening);
        MentionStarts.SettleAnnouncements(speech, mentions, marks, dose is { WorkSeconds: not null, RestSeconds: > 0 });
        Repeats.WithOtherSides(speech, mentions, marks, listened);
        Repeats.WithRepeats(mentions, marks, dose);
        MentionWeights.ThinLists(mentions, opening);
        return mentions;
    }

    private static bool OutOfPlace(Move move, string position) =>
        position is "supine" or "prone" or "side-lying" or "all-fours" or "plank" or "seated" && move.Kit.IsEmpty && !move.IsStretch && !move.IsBreathing && move.Positions.All(p => p == "standing") && !move.IsDone(position);

    internal static double Base(Role role) => role switch
    {
        Role.Doing => 1,
        Role.Announced => 1.2,
        Role.Previewed => 0.15,
        Role.Past or Role.Compared => 0.1,
        _ => 0,
    };

    /// <summary>Between a stop and the next start, whatever is named is about to come.</summary>
    private static bool InRest(IReadOnlyList<Mark> marks, double at)
    {
        var stop = double.NegativeInfinity;
        for (var i = Clocked.From(marks, at - BeatGrid.LongestRest - 1); i < marks.Count; i++)
        {
            var mark = marks[i];
            if (mark.At > at + BeatGrid.LongestRest)
            {
                return false;
            }

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

                return at - stop <= BeatGrid.LongestRest && StartsNext(marks, at, at + BeatGrid.LongestRest);
            }

            stop = mark.Kind switch
            {
                MarkKind.Stop when mark.Strength >= 0.9 => mark.At,
                MarkKind.Start when mark.Strength >= 0.5 => double.NegativeInfinity,
                _ => stop,
            };
        }

        return false;
    }

    /// <summary>True where no other move is clearly named in the rest that a name is said in: what starts then is that one.</summary>
    private static bool IsAloneInRest(Speech speech, IReadOnlyList<Mark> marks, List<(AliasHit Hit, int Token, int Length)> raw, List<Mention> mentions, int index)
    {
        var (hit, token, _) = raw[index];
        var at = speech.At(token);
        var stop = MentionStarts.LastStop(marks, at - BeatGrid.LongestRest, at);
        var start = Clocked.Between(marks, at, at + BeatGrid.LongestRest).FirstOrDefault(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 }).At;
        return !mentions.Exists(m => m.At > stop && !m.Weak && m.Move.Id != hit.Move.Id && m.Role is Role.Announced or Role.Doing)
            && !raw.Skip(index + 1).TakeWhile(r => speech.At(r.Token) < start).Any(r => !r.Hit.Weak && r.Hit.Move.Id != hit.Move.Id);
    }

    /// <summary>"It's a side crunch, so crunch": said while work by the clock goes on for some time yet, it is of what is done.</summary>
    private static bool IsInWork(IReadOnlyList<Mark> marks, double at, SaidDose dose)
    {
        const double begun = 4;
        return dose is { KeepsTime: true, WorkSeconds: { } work }
            && Clocked.Between(marks, at - work, at).LastOrDefault(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 } or { Kind: MarkKind.Stop, Strength: >= 0.5 }) is { Kind: MarkKind.Start } start
            && at - start.At > begun && start.At + work - at > NextIsNear;
    }

    internal static bool JustStopped(IReadOnlyList<Mark> marks, double at)
    {
        const double just = 12;
        return Clocked.Between(marks, at - just, at).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 });
    }

    /// <summary>"Stop there. Arms out, big circles": the move before is over.</summary>
    internal static bool JustStopped(IReadOnlyList<Mark> marks, double from, double at)
    {
        const double just = 4;
        return Clocked.Between(marks, Math.Max(from, at - just), at).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.5 });
    }

    /// <summary>True where the next edge that is said is a start.</summary>
    private static bool StartsNext(IReadOnlyList<Mark> marks, double at, double until) =>
        Clocked.Between(marks, at, until).FirstOrDefault(m => (m.Kind == MarkKind.Start && m.Strength >= 0.5) || (m.Kind == MarkKind.Stop && m.Strength >= 0.9)).Kind == MarkKind.Start;

    /// <summary>A move, or only how the other leg is freed.</summary>
    internal const string OnOneLeg = "single-leg-stand";

    /// <summary>A move, or a greeting.</summary>
    private const string GoodMorning = "good-morning";

    /// <summary>What everyone does in a rest.</summary>
    private const string ShakeOut = "shake-out";
}
