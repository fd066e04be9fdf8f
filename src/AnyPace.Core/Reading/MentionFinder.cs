using System.Collections.Immutable;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds move names in speech and decides what the words around each do with it.</summary>
public static class MentionFinder
{
    /// <summary>An announced move begins at the next start within this many seconds, else where it was named.</summary>
    private const double AnnounceReach = 45;

    /// <summary>Two announcements further apart than this, in seconds, are not of one start.</summary>
    private const double AnnouncedApart = 15;

    /// <summary>A short form of a move done before ("swings") is surer than an everyday word, less sure than the name.</summary>
    private const double ShortFormWeight = 0.75;

    /// <summary>Seconds before the first start in which a named move is announced rather than listed.</summary>
    private const double FirstAnnouncement = 15;

    /// <summary>Seconds in which an announced move may be named twice more before it begins.</summary>
    private const double Repeating = 8;

    /// <summary>A start said this many seconds after the beat is not the one that the beat expects.</summary>
    private const double OffBeat = 8;

    /// <summary>Everyday words make weak names; they count this much unless their surroundings agree.</summary>
    private const double WeakWeight = 0.3;

    /// <summary>An everyday word that is announced ("now a row") is most likely meant.</summary>
    private const double WeakAnnounced = 0.5;

    /// <summary>"Press up to standing": a word of doing that happens to be a name.</summary>
    private const double VerbWeight = 0.15;

    /// <summary>A name with a misheard word is a little less sure.</summary>
    private const double MisheardWeight = 0.85;

    /// <summary>A standing move named in passing while everyone lies on the floor is most likely a way of speaking: "circle the arms", "lift the heels".</summary>
    private const double OutOfPlaceWeight = 0.7;

    /// <summary>A description of a floor move while everyone stands describes something else.</summary>
    private const double LyingWhileStanding = 0.3;

    /// <summary>What is said over more seconds than this is not one description.</summary>
    private const double LongestDescription = 15;

    /// <summary>No name goes on after this many seconds of silence between two captions.</summary>
    private const double NameGap = 4;

    /// <summary>"Change legs, left foot goes back": said within this many seconds it is one change of sides.</summary>
    private const double OneTurn = 11;

    /// <summary>A list is said in one breath: at most this many seconds a word.</summary>
    private const double ListPace = 1.2;

    /// <summary>A description with nothing else named around it.</summary>
    private const double DescribedWeight = 0.75;

    /// <summary>Seconds after a name in which a description belongs to it.</summary>
    private const double DescribesWithin = 14;

    /// <summary>A stretch of speech has to be this much like a move, and this many times as much as like any other, to be taken for its description.</summary>
    private const double LikeEnough = 5;
    private const double ClearlyLikest = 1.35;

    /// <summary>Who talks more than so many words a minute says more that is like a move by chance: the likeness must be so many times as great, at most.</summary>
    private const double FewWordsAMinute = 40;
    private const double MostForTalk = 1.5;

    /// <summary>So many different words have to speak for it: "all the way up" alone is said of anything.</summary>
    private const int WordsEnough = 5;

    /// <summary>Fewer will do where nothing else is half as likely.</summary>
    private const int ClearWords = 4;
    private const double FarLikest = 2;

    /// <summary>The same where a start was called and no move named for it.</summary>
    private const int FewWords = 3;
    private const double Likest = 1.1;

    /// <summary>A description whose ideas are all there yields to a move that the words around are so much more like.</summary>
    private const double FarLess = 0.6;

    /// <summary>One of a move that is not done where the body is yields sooner.</summary>
    private const double LessLike = 0.9;

    /// <summary>"Go! Swing those arms": what is said within so many seconds of a start in the middle of a class is no mobility.</summary>
    private const double JustBegun = 12;

    /// <summary>In a timed class a description belongs to the move that was named until this many seconds before its time is up.</summary>
    private const double NextIsNear = 8;

    /// <summary>Two moves named within so many seconds are told in one breath.</summary>
    private const double OneBreath = 6;

    /// <summary>"And we're pairing that with" looks this many seconds back.</summary>
    private const double PairReach = 30;

    /// <summary>Within this many seconds a general word is said of the move that was named last.</summary>
    private const double StillThatMove = 75;

    /// <summary>How many words a description may have: one is told in six, another in twenty.</summary>
    private static readonly int[] Longest = [6, 12, 24];

    /// <summary>Moves whose names are what they look like.</summary>
    private static readonly HashSet<string> Images = ["windshield-wiper", "rolling-ball", "butterfly-stretch", "clamshell", "corkscrew", "scissor-kick", "hollow-rock", "rocking-horse", "frog-bridge", "happy-baby"];

    private static readonly HashSet<string> ListWords =
        ["and", "then", "a", "an", "some", "the", "our", "your", "plus", "also", "with", "we've", "got", "we", "have", "into", "1", "finally", "lastly", "by", "followed", "10", "12", "20", "8"];

    public static IReadOnlyList<Mention> Find(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, SaidDose dose)
    {
        var raw = new List<(AliasHit Hit, int Token, int Length)>();
        for (var i = 0; i < speech.Tokens.Count; i++)
        {
            if (NameAt(speech, lexicon, i) is { } found && !RoleReader.IsTwoClauses(speech, i, found.Length))
            {
                raw.Add((found.Hit, i, found.Length));
                i += found.Length - 1;
            }
        }

        var misheard = Misheard(speech, lexicon, raw);
        var position = new PositionTrack(speech);
        var places = position.Along(raw.Where(r => IsClear(speech, r)).Select(r => (r.Token, r.Hit.Move)));
        var listened = lexicon.Likeness.In(speech.Stems, places, m => AtHand(speech, m));
        Described(speech, lexicon, listened, places, raw);
        Likened(speech, marks, listened, raw);
        ShortNames(speech, lexicon, raw);
        var called = CalledOut(speech, lexicon, raw);
        Combine(speech, lexicon, raw);
        Variants(speech, lexicon, raw);
        var listed = Listed(speech, raw);
        var opening = Math.Min(OpeningAt(speech, marks), FirstDone(speech, raw, marks));
        var beat = BeatGrid.Of(marks, dose);
        var quiet = RoleReader.SaysQuiet(speech);
        var mentions = new List<Mention>(raw.Count);
        var names = new List<ImmutableArray<string>>(raw.Count);
        for (var i = 0; i < raw.Count; i++)
        {
            var (hit, token, length) = raw[i];
            var at = speech.At(token);
            var role = RoleReader.Of(speech, token, length, hit.Move.IsGentle, at < opening, hit.Described);
            if (role == Role.Doing && (InRest(marks, at) || (!hit.Move.IsStretch && beat?.StartAfter(at) is not null)))
            {
                role = Role.Announced;
            }

            if (role == Role.Compared && Images.Contains(hit.Move.Id) && RoleReader.IsLike(speech, token))
            {
                // "Drop the knees from side to side like a windscreen wiper": an image that is the name.
                role = Role.Doing;
            }

            if (listed[i] && role is Role.Doing or Role.Announced)
            {
                role = Role.Previewed;
            }

            if (role == Role.Doing && mentions.Count > 0 && mentions[^1] is { Role: Role.Alternative } offered && offered.Move.Id == hit.Move.Id && at - offered.At < OneBreath)
            {
                // "Just march it, but march like you mean it."
                role = Role.Alternative;
            }

            if (dose.Ladder && role is Role.Doing or Role.Announced && RoleReader.IsAdded(speech, token))
            {
                // "Now we add ten press-ups": after all that came before.
                role = Role.Previewed;
            }

            if (role is Role.Doing or Role.Announced && !hit.Described
                && (RoleReader.IsPairedWith(speech, token) ? PairReach : RoleReader.IsThenAnother(speech, token) ? OneBreath : 0) is > 0 and var back
                && mentions.Exists(m => !m.Weak && m.Move.Id != hit.Move.Id && at - m.At < back && m.Role is Role.Doing or Role.Announced or Role.Previewed))
            {
                // "Chest press, lying on your back, and then a dead bug": the second of two that are told, not done yet.
                role = Role.Previewed;
            }

            if (hit.Weak && length == 1 && speech.Tokens[token].Text.EndsWith("ed", StringComparison.Ordinal))
            {
                // "My dog just walked in."
                role = Role.Past;
            }

            var several = hit.Weak && length == 1 && (called.Contains(token) || IsSeveral(speech.Tokens[token]));
            var verb = RoleReader.IsVerb(speech, token, length);
            var weak = (hit.Weak && !several) || verb || (hit.Move.Id == OnOneLeg && Enumerable.Range(token, length).Any(t => speech.Tokens[t].Text is "left" or "right")) || RoleReader.IsClause(speech, token, length);
            var (place, implied) = position.Find(token);
            var move = OneLimb(speech, lexicon, Here(lexicon, hit.Move, place, hit.Weak, speech.Stems.Skip(token).Take(length)), token, length);
            var general = lexicon.NameStems(move).Length == 1 || (hit.Words == 1 && speech.Tokens[token + length - 1].Stem == lexicon.NameStems(move)[^1]) || !move.Parts.IsEmpty;
            if (hit.Weak && lexicon.How(move) is { } how && LastNamed(mentions, at, StillThatMove) is { } under)
            {
                // "Stay down there and pulse", after the wide squat or the lunge; after push-ups they are push-ups.
                var variant = lexicon.Variant(under.Move, how);
                role = variant is null && under.Move.Pattern != move.Pattern ? Role.Compared : role;
                move = variant ?? move;
            }

            if (move.Harder is { } fromToes && move.Positions.Contains("kneeling") && RoleReader.OrToes(speech, token + length))
            {
                // "Press-ups on your knees or on your toes": both are meant.
                move = lexicon[fromToes];
            }

            if (quiet && Stepped(speech, lexicon, move, token, length) is { } low)
            {
                move = low;
            }

            var fuller = PartOf(lexicon, mentions, hit, token, length, speech, at) ?? (general ? EarlierOf(lexicon, mentions, names, move, weak || several, at, AtHand(speech, move)) : null);
            var weight = hit.Move.Id == ShakeOut && JustStopped(marks, at) ? 0 : verb && !hit.Weak ? VerbWeight : fuller is not null && weak ? ShortFormWeight : weak ? role == Role.Announced ? WeakAnnounced : WeakWeight : hit.Words > 1 ? 1 : several ? ShortFormWeight : 0.85;
            var heard = misheard.Contains(token) ? MisheardWeight : 1;
            var fits = role == Role.Doing && place == "plank" && implied && (OutOfPlace(fuller ?? move, place) || (!move.Positions.IsEmpty && move.Positions.All(p => p is "supine" or "side-lying"))) && LastNamed(mentions, at, DescribesWithin) is not null ? LyingWhileStanding
                : role == Role.Doing && OutOfPlace(fuller ?? move, place) ? OutOfPlaceWeight
                : weak && fuller is null && !(hit.Described && hit.Words >= WordsEnough && (implied || hit.Move.IsGentle)) && place is "standing" or "seated" && !move.Positions.IsEmpty && move.Positions.All(p => Vocabulary.IsFloor(p) || (p == "seated" && place != p)) ? role == Role.Announced && implied ? OutOfPlaceWeight : LyingWhileStanding : 1;
            mentions.Add(new Mention(fuller ?? move, token, length, at, at, role, weak && fuller is null, Base(role) * weight * heard * fits));
            names.Add(lexicon.NameStems(mentions[^1].Move));
            if (role is Role.Doing or Role.Announced && !weak)
            {
                position.Imply(token, move);
            }
        }

        // In a class of work its clock does not rule the warm-up and the stretches.
        var named = mentions.Where(m => !m.Weak && m.Role is Role.Doing or Role.Announced).ToList();
        var gentleClass = named.Count(m => m.Move.IsGentle) > 0.7 * named.Count;
        TakeBack(speech, mentions);
        OfOneSchool(mentions);
        OneArm(lexicon, marks, mentions);
        NameForward(marks, mentions);
        NameDescribed(mentions);
        DropLoneEverydayWords(mentions);
        ThinParts(speech, mentions);
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i].Role is Role.Announced or Role.Doing)
            {
                mentions[i] = mentions[i] with { EffectiveAt = EffectiveAt(marks, mentions, i, mentions[i].Move.IsGentle && !gentleClass ? null : dose, beat, called) };
            }
        }

        WeighDescriptions(marks, mentions, speech.End.Value, Math.Max(DescribesWithin, dose.WorkSeconds - NextIsNear ?? 0));
        MuscleStretches(speech, lexicon, marks, mentions, position, opening);

        return ThinLists(WithRepeats(WithOtherSides(speech, SettleAnnouncements(mentions, marks), marks), marks, dose), opening);
    }

    /// <summary>The longest name that begins at a word; of "squats press ups" the first only, since the second takes the word between.</summary>
    private static (AliasHit Hit, int Length)? NameAt(Speech speech, MoveLexicon lexicon, int start)
    {
        if (lexicon.Aliases.Longest(speech.Stems, start, k => EndsName(speech, k)) is not { } found)
        {
            return null;
        }

        for (var t = start + 1; t < start + found.Length; t++)
        {
            if (IsSeveral(speech.Tokens[t - 1]) && lexicon.Aliases.Longest(speech.Stems, t, k => EndsName(speech, k)) is { } next && t + next.Length > start + found.Length
                && lexicon.Aliases.Longest(speech.Stems, start, k => k >= t - 1 || EndsName(speech, k)) is { } first && first.Length == t - start)
            {
                return first;
            }
        }

        return found;
    }

    /// <summary>True for a word after which no name goes on: the speaker pauses, falls silent until the next caption, or says what is held.</summary>
    private static bool EndsName(Speech speech, int token) =>
        speech.Tokens[token].Pauses || speech.SilentAfter(token, NameGap) || (token + 1 < speech.Tokens.Count && HoldsSomething(speech, token + 1));

    /// <summary>"Rows", "swings": several of them are a move, one "row" or "swing" may be anything.</summary>
    private static bool IsSeveral(Token word) => word.Text is [.., not ('s' or '\''), 's'];

    /// <summary>Adds names with a misheard word where no name was heard right; returns where they begin.</summary>
    private static HashSet<int> Misheard(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var taken = new bool[speech.Tokens.Count + 1];
        foreach (var (hit, token, length) in raw)
        {
            // An everyday word may be the part of a name that was heard right: the "press" of "over head press".
            for (var t = token; t < token + length && !hit.Weak; t++)
            {
                taken[t] = true;
            }
        }

        var found = new HashSet<int>();
        foreach (var (hit, start, length) in lexicon.Aliases.Misheard(speech.Texts, speech.Stems, t => taken[t], t => speech.Tokens[t].Pauses || taken[t + 1]).ToList())
        {
            if (!LacksKit(speech, hit.Move) && !raw.Exists(r => r.Token <= start && r.Token + r.Length >= start + length))
            {
                raw.RemoveAll(r => r.Token >= start && r.Token < start + length);
                raw.Add((hit, start, length));
                found.Add(start);
            }
        }

        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
        return found;
    }

    /// <summary>Adds moves that are described where nothing is named, and narrows general names by what is said around them ("squat ... explode up").</summary>
    private static void Described(Speech speech, MoveLexicon lexicon, DescriptionLikeness.Heard heard, string[] places, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        foreach (var hit in lexicon.Described.Find(speech.Stems, (from, to) => speech.At(to) - speech.At(from) <= LongestDescription))
        {
            var end = hit.Start + hit.Length;

            // "Hands behind the head, take the elbow" is hardly a stretch of the arms to someone who lies down.
            var inPlace = places[end - 1] is not { Length: > 0 } place || hit.Move.IsDone(place);
            var within = raw.FindAll(r => r.Token < end && r.Token + r.Length > hit.Start);
            if (hit.Move.IsStretch && hit.Move.Prime.Contains("neck") && Enumerable.Range(hit.Start, hit.Length).Any(t => speech.Tokens[t].Text == "ears"))
            {
                // One ear goes to a shoulder in a stretch; "shoulders away from your ears" is said of every move.
                continue;
            }

            bool Yields((AliasHit Hit, int Token, int Length) r) => MayBeNoName(speech, r)
                ? hit.Names || (r.Hit.Words < hit.Words.Length && !(r.Hit.Move.Id == hit.Move.Id && r.Length == 1 && IsSeveral(speech.Tokens[r.Token])))
                : hit.Names && r.Hit.Move.Id != hit.Move.Id && !RoleReader.IsCalled(speech, r.Token) && r.Hit.Words < hit.Words.Length && MayNarrow(lexicon, r.Hit, hit.Move) && Enumerable.Range(r.Token, r.Length).Any(t => hit.Words.Contains(t));
            if (within.TrueForAll(Yields) && (hit.Names ? within.Exists(r => !RoleReader.IsVerb(speech, r.Token, r.Length)) : !Outdone(speech, heard, hit, inPlace ? FarLess : LessLike)))
            {
                raw.RemoveAll(within.Contains);
                raw.Add((new AliasHit(hit.Move, !hit.Names, hit.Words.Length, Described: !hit.Names), hit.Start, hit.Length));
            }
        }

        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>"Hands behind your head, elbows wide, curl your shoulders up" holds all ideas of a triceps stretch, but is far more like a crunch.</summary>
    private static bool Outdone(Speech speech, DescriptionLikeness.Heard heard, DescribedHit hit, double less)
    {
        const int before = 4;
        const int after = 10;
        var end = hit.Start + hit.Length;
        var from = Math.Max(0, hit.Start - before);
        while (from < hit.Start && speech.At(hit.Start) - speech.At(from) > NameGap)
        {
            from++;
        }

        var to = InOneGo(speech, hit.Start, Math.Min(speech.Tokens.Count, end + after), end);
        return heard.Of(from, to - from, ClearWords, hit.Move) is { Score: >= LikeEnough } like && like.Beside < less * like.Score;
    }

    /// <summary>The times around starts for which no move was named or fully described: from the stop or start before up to some seconds into the work.</summary>
    /// <param name="named">When the clear names and descriptions are said, in order.</param>
    private static List<(double From, double To)> Awaited(IReadOnlyList<Mark> marks, List<double> named)
    {
        const double into = 8;
        const double before = 30;
        var awaited = new List<(double, double)>();
        var since = 0.0;
        foreach (var mark in marks.Where(m => m is { Kind: MarkKind.Start or MarkKind.Stop, Strength: >= 0.5 }))
        {
            var from = Math.Max(since, mark.At - before);
            if (mark.Kind == MarkKind.Start && Clocked.From(named, from, static t => t) is var next && (next == named.Count || named[next] > mark.At + into))
            {
                awaited.Add((from, mark.At + into));
            }

            since = mark.At;
        }

        return awaited;
    }

    /// <summary>An everyday phrase ("knee up", "roll back"), or words that say what to do rather than name a move.</summary>
    private static bool MayBeNoName(Speech speech, (AliasHit Hit, int Token, int Length) raw) =>
        raw.Hit.Weak || RoleReader.IsVerb(speech, raw.Token, raw.Length) || RoleReader.IsClause(speech, raw.Token, raw.Length);

    /// <summary>A name that can be nothing else ("crunches", several of them, are a move), or a description with all its ideas.</summary>
    private static bool IsClear(Speech speech, (AliasHit Hit, int Token, int Length) raw) => raw.Hit.Described || !MayBeNoName(speech, raw) || (raw.Length == 1 && IsSeveral(speech.Tokens[raw.Token]));

    /// <summary>Where a description that begins at a word and may go up to another ends at the latest, being said in one go; it keeps its least words.</summary>
    private static int InOneGo(Speech speech, int from, int to, int least)
    {
        while (to > least && speech.At(to - 1) - speech.At(from) > LongestDescription)
        {
            to--;
        }

        return to;
    }

    /// <summary>Adds moves to which stretches of speech without a name or a description are most like, where one is clearly the likest.</summary>
    private static void Likened(Speech speech, IReadOnlyList<Mark> marks, DescriptionLikeness.Heard heard, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const int shortest = 5;
        const int step = 4;

        // Nobody describes two moves in so few seconds.
        const double describedApart = 9;
        var borders = new bool[speech.Tokens.Count + 1];
        var clear = raw.FindAll(r => IsClear(speech, r));
        foreach (var (_, token, length) in clear)
        {
            Array.Fill(borders, true, token, length + 1);
        }

        foreach (var mark in marks.Where(m => m.Kind is MarkKind.Start or MarkKind.Stop or MarkKind.Break or MarkKind.Round))
        {
            borders[mark.Token] = true;
        }

        foreach (var (token, length) in RoleReader.FormCues(speech))
        {
            Array.Fill(borders, true, token, length);
        }

        var enough = LikeEnough * Math.Clamp(speech.Tokens.Count / Math.Max(1, speech.End.Value / 60) / FewWordsAMinute, 1, MostForTalk);
        var awaited = Awaited(marks, [.. clear.Select(r => speech.At(r.Token))]);
        var found = new List<(LikeMove Like, int From, int Count)>();
        for (var from = 0; from < speech.Tokens.Count;)
        {
            var to = from + 1;
            while (to < speech.Tokens.Count && !borders[to] && speech.At(to) - speech.At(to - 1) <= NameGap + 1)
            {
                to++;
            }

            for (var at = from; at == from || at + FewWords <= to; at += step)
            {
                heard.Begin(at);
                foreach (var longest in Longest)
                {
                    var count = InOneGo(speech, at, Math.Min(at + longest, to), at + shortest) - at;

                    // Where a start waits for its move, less has to be said for one.
                    var waits = awaited.Exists(a => speech.At(at + count - 1) > a.From && speech.At(at) < a.To);
                    if (count >= (waits ? FewWords : shortest) && heard.UpTo(at + count, waits ? FewWords : ClearWords) is { } like && like.Score >= enough && like.Lead >= (waits ? Likest : like.Words >= WordsEnough ? ClearlyLikest : FarLikest))
                    {
                        found.Add((like, at, count));
                    }

                    if (at + longest >= to)
                    {
                        break;
                    }
                }
            }

            from = to;
        }

        // Stretches hold nothing that is clear already; of those that overlap the likest is taken.
        var added = new List<(AliasHit Hit, int Token, int Length)>();
        foreach (var (like, from, count) in found.OrderByDescending(f => f.Like.Score * f.Like.Lead))
        {
            if (added.Exists(r => (r.Token < from + count && r.Token + r.Length > from) || Math.Abs(speech.At(r.Token) - speech.At(from)) < describedApart))
            {
                continue;
            }

            var words = Enumerable.Range(from, count).Where(t => heard.Says(t, like.Move)).ToList();
            raw.RemoveAll(r => r.Token >= from && r.Token + r.Length <= from + count);
            added.Add((new AliasHit(like.Move, true, words.Count, Described: true), words[0], words[^1] - words[0] + 1));
        }

        raw.AddRange(added);
        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    private static readonly HashSet<string> Held =
        ["a", "an", "1", "2", "the", "your", "on", "onto", "it", "that", "both", "weight", "weights", "dumbbell", "dumbbells", "something"];

    /// <summary>"Sumo squats, hold one weight": to hold something is not a hold.</summary>
    private static bool HoldsSomething(Speech speech, int token) =>
        speech.Tokens[token].Text == "hold" && token + 1 < speech.Tokens.Count && Held.Contains(speech.Tokens[token + 1].Text);

    private static readonly HashSet<string> Directions = [.. new[] { "forward", "reverse", "side", "curtsy", "diagonal" }.Select(WordStem.Of)];

    /// <summary>"Forward lunge, step back": a move that is named with its direction is not one of another direction.</summary>
    private static bool MayNarrow(MoveLexicon lexicon, AliasHit general, Move fuller)
    {
        var (one, other) = (lexicon.NameStems(general.Move), lexicon.NameStems(fuller));
        return one[^1] != other[^1]
            ? general.Words == 1 || one.Any(other.Contains)
            : !one.Any(Directions.Contains) || !other.Any(Directions.Contains) || one[0] == other[0];
    }

    /// <summary>Words that stand for a longer name said before: "into the presses" after a shoulder press.</summary>
    private static readonly HashSet<string> ShortStems =
        [.. new[] { "press", "raise", "extension", "fly", "pull", "kick", "hold", "twist", "circle", "lift", "drive", "tap", "dip", "thrust", "jack", "punch", "drop", "reach", "opener", "pulse", "chop", "bicycle", "swing", "thruster", "clean", "snatch", "rotation" }.Select(WordStem.Of)];

    /// <summary>What may stand before a short name; any other word would make it another move's ("arm raises").</summary>
    private static readonly HashSet<string> BeforeShort =
        ["the", "your", "our", "those", "these", "that", "same", "of", "more", "into", "to", "and", "on", "with", "for", "last", "first", "both", "some", "again", "now", "then", "okay", "next", "go"];

    /// <summary>Parts of the body begin many names and are said all the time.</summary>
    private static readonly HashSet<string> BodyWords =
        [.. new[] { "arm", "leg", "knee", "heel", "toe", "hip", "shoulder", "hand", "foot", "elbow", "head", "neck", "back", "chest", "side", "front", "calf", "ankle", "wrist", "glute", "hamstring", "quad", "triceps", "biceps", "step", "squat", "lunge", "jump", "push", "pull", "press", "up", "big", "high", "low", "stand", "seated", "single", "double", "body", "round", "work", "set", "one", "little", "small" }.Select(WordStem.Of)];

    /// <summary>How a move is done may begin any name: "banded squats" after banded walks.</summary>
    private static readonly HashSet<string> HowWords =
        [.. new[] { "banded", "weighted", "dumbbell", "kettlebell", "alternating", "elevated", "kneeling", "lying", "walking", "jumping", "pulsing", "reverse", "forward", "lateral" }.Select(WordStem.Of)];

    private static bool NamesBoth(MoveLexicon lexicon, Move move, string one, string two) =>
        move.Aliases.Any(a => a.Split(' ', '-').Select(WordStem.Of).ToList() is [var x, var y, _, ..] && x == one && y == two) || (lexicon.NameStems(move) is [var p, var q, _, ..] && p == one && q == two);

    /// <summary>Adds lone short words for the move that was last named in full with that word at its end.</summary>
    private static void ShortNames(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const double sameClass = 1500;
        var last = new Dictionary<string, (Move Move, double At)>();
        var first = new Dictionary<string, (Move Move, double At)>();
        var added = new List<(AliasHit, int, int)>();
        var next = 0;
        for (var t = 0; t < speech.Tokens.Count; t++)
        {
            while (next < raw.Count && raw[next].Token < t)
            {
                // Begins within another.
                next++;
            }

            if (next < raw.Count && raw[next].Token == t)
            {
                var (hit, _, length) = raw[next++];
                var word0 = speech.Tokens[t].Stem;
                if ((!hit.Weak || hit.Described) && hit.Words > 1)
                {
                    last[lexicon.NameStems(hit.Move)[^1]] = (hit.Move, speech.At(t));
                    if (!hit.Described && !BodyWords.Contains(word0) && !HowWords.Contains(word0))
                    {
                        first[word0] = (hit.Move, speech.At(t));
                    }
                }

                t += length - 1;
                continue;
            }

            var word = speech.Tokens[t];
            // "Goblets", "cross body": the first word of a name said before, where it can be nothing else.
            if (first.TryGetValue(word.Stem, out var begun) && speech.At(t) - begun.At < sameClass && t > 0
                && ((IsSeveral(word) && (speech.Tokens[t - 1].Cue != word.Cue || BeforeShort.Contains(speech.Tokens[t - 1].Text) || speech.Tokens[t - 1].Pauses))
                    || (speech.Tokens[t - 1].Cue != word.Cue && t + 1 < speech.Tokens.Count && NamesBoth(lexicon, begun.Move, word.Stem, speech.Tokens[t + 1].Stem))))
            {
                added.Add((new AliasHit(begun.Move, true, 1), t, 1));
                continue;
            }

            if (ShortStems.Contains(word.Stem) && last.TryGetValue(word.Stem, out var named) && speech.At(t) - named.At < sameClass
                && t > 0 && (speech.Tokens[t - 1].Pauses || speech.Tokens[t - 1].Number is not null || BeforeShort.Contains(speech.Tokens[t - 1].Text) || OfOneSide(speech, t - 1))
                && (IsSeveral(word) || OfOneSide(speech, t - 1) || word.Text is [.., 'e', 's'] || speech.Tokens[t - 1].Text is "that" or "those" or "these" or "same"))
            {
                added.Add((new AliasHit(named.Move, true, 1), t, 1));
            }
        }

        raw.AddRange(added);
        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>"Right arm press": the side is said before the short name.</summary>
    private static bool OfOneSide(Speech speech, int token) =>
        token > 0 && speech.Tokens[token].Text is "arm" or "hand" or "leg" && speech.Tokens[token - 1].Text is "left" or "right" or "other";

    /// <summary>Words that are called out for other things than a move.</summary>
    private static readonly HashSet<string> NeverCalled =
        [.. new[] { "rest", "go", "up", "down", "back", "lower", "side", "left", "right", "hold", "step", "out", "in", "on", "high", "low", "leg", "arm", "hand", "body", "chest", "one", "two", "stand", "touch", "round", "set", "work", "first", "half", "full", "single", "double", "good", "big", "slow", "fast", "over", "run", "walk", "roll", "turn", "lift", "stretch", "open", "top", "front", "the", "with", "and", "spot", "seated", "kneeling", "lying", "standing", "alternating", "to", "of", "a", "from", "for", "now", "release" }.Select(WordStem.Of)];

    /// <summary>Words of doing that call a move even beside others: "press, second time".</summary>
    private static readonly HashSet<string> OwnCall = [.. new[] { "push", "pull", "press", "jump", "squat", "lunge" }.Select(WordStem.Of)];

    /// <summary>"Climb" is short for climbers from this many letters on.</summary>
    private const int ClearStem = 4;

    /// <summary>
    /// Adds moves that are called out by one word of a name said not long before, in an utterance of a few words: "jumps", "skate", "press, go".
    /// Returns their tokens.
    /// </summary>
    private static HashSet<int> CalledOut(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const int fewWords = 5;
        const double silence = 2.5;
        const double recently = 330;
        var found = new HashSet<int>();
        var added = new List<(AliasHit Hit, int Token, int Length)>();
        bool Ends(int t) => t < 0 || t + 1 >= speech.Tokens.Count || speech.Tokens[t].Stops || speech.SilentAfter(t, silence);
        for (var start = 0; start < speech.Tokens.Count;)
        {
            var end = start;
            while (!Ends(end))
            {
                end++;
            }

            if (end - start < fewWords)
            {
                for (var t = start; t <= end; t++)
                {
                    var stem = speech.Tokens[t].Stem;
                    var under = raw.FindIndex(r => r.Token <= t && t < r.Token + r.Length);
                    if (NeverCalled.Contains(stem) || (end > start && BodyWords.Contains(stem) && !OwnCall.Contains(stem)) || (under >= 0 && !(raw[under].Hit.Weak && raw[under].Length == 1)))
                    {
                        continue;
                    }

                    var at = speech.At(t);
                    if (t > 0 && speech.Tokens[t - 1].Number == 1 && raw.Exists(r => r.Token < t && at - speech.At(r.Token) < AnnouncedApart && IsClear(speech, r)))
                    {
                        // "Skaters next ... three, two, one, jump": what is called has its name already.
                        continue;
                    }

                    var named = raw.Where(r => r.Token < start && at - speech.At(r.Token) < recently && (!r.Hit.Weak || r.Length > 1) && !r.Hit.Move.IsGentle && lexicon.NameStems(r.Hit.Move).Any(n => n == stem || (stem.Length >= ClearStem && n.StartsWith(stem, StringComparison.Ordinal)))
                        && RoleReader.Of(speech, r.Token, r.Length, false, false, r.Hit.Described) is Role.Doing or Role.Announced or Role.Previewed).ToList();
                    if (named.Count > 0)
                    {
                        // Of two named in one breath ("curls into hammer curls") the first is called first.
                        var meant = named.First(r => speech.At(named[^1].Token) - speech.At(r.Token) < OneBreath).Hit.Move;
                        if (under >= 0)
                        {
                            raw.RemoveAt(under);
                        }

                        added.Add((new AliasHit(meant, true, 1), t, 1));
                        found.Add(t);
                        break;
                    }
                }
            }

            start = end + 1;
        }

        raw.AddRange(added);
        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
        return found;
    }

    /// <summary>In a class that promises no jumps, a name that has a stepping form means that one, unless a jump is named.</summary>
    private static Move? Stepped(Speech speech, MoveLexicon lexicon, Move move, int token, int length)
    {
        if (move.Impact < Impact.Moderate || move.Easier is not { } id || lexicon.Find(id) is not { Impact: <= Impact.Low } low || lexicon.NameStems(low)[^1] != lexicon.NameStems(move)[^1])
        {
            return null;
        }

        for (var t = token; t < token + length; t++)
        {
            if (speech.Tokens[t].Stem is "jump" or "hop" or "bound")
            {
                return null;
            }
        }

        return low;
    }

    private static readonly HashSet<string> LooseWords = ["low", "high", "big", "little", "small", "slow", "fast", "quick"];

    /// <summary>Words out of the name of the move under way are that move: "walk, walk, walk" in walk-outs, "squat and knee, squat" in squats with a knee drive.</summary>
    private static Move? PartOf(MoveLexicon lexicon, List<Mention> mentions, AliasHit hit, int token, int length, Speech speech, double at)
    {
        const double underWay = 60;
        if (hit.Words == 2 && LooseWords.Contains(speech.Tokens[token].Text))
        {
            // "Legs out long and low, kick, kick" in flutter kicks.
            (token, length) = (token + length - 1, 1);
        }

        var mayBePart = hit.Words == 1 ? hit.Weak && !AtHand(speech, hit.Move) : !hit.Described;
        return mayBePart
            && LastNamed(mentions, at, underWay) is { } running && running.Move.Id != hit.Move.Id
            && lexicon.NameStems(running.Move) is [_, _, ..] stems && stems.Length > length && Enumerable.Range(token, length).All(t => stems.Contains(speech.Tokens[t].Stem))
            ? running.Move : null;
    }

    /// <summary>"Rows, right arm first ... swap arms": the one-armed form, in every round of it.</summary>
    private static void OneArm(MoveLexicon lexicon, IReadOnlyList<Mark> marks, List<Mention> mentions)
    {
        const double soon = 25;
        var changed = new Dictionary<string, Move>();
        foreach (var m in mentions.Where(m => m.Role is Role.Doing or Role.Announced && m.Move.Sides == MoveSides.Both && (!m.Weak || m.Weight >= 0.5)))
        {
            if (lexicon.Find("single-arm-" + m.Move.Id[(m.Move.Id.LastIndexOf('-') + 1)..]) is { } one && one.Easier == m.Move.Id
                && Clocked.Between(marks, m.At - 1, m.At + soon).Any(k => k.Kind is MarkKind.Left or MarkKind.Right)
                && (Clocked.Between(marks, m.At + 3, m.At + 45).Any(k => k.Kind == MarkKind.SwitchSide) || BothSides(marks, m.At)))
            {
                changed[m.Move.Id] = one;
            }
        }

        for (var i = 0; i < mentions.Count; i++)
        {
            if (changed.TryGetValue(mentions[i].Move.Id, out var one))
            {
                mentions[i] = mentions[i] with { Move = one };
            }
        }
    }

    /// <summary>"Right arm, six ... left arm": both sides are called within one bout and its other side.</summary>
    private static bool BothSides(IReadOnlyList<Mark> marks, double at)
    {
        var sides = Clocked.Between(marks, at - 1, at + 60).Where(k => k.Kind is MarkKind.Left or MarkKind.Right).ToList();
        return sides.Count > 1 && sides.Exists(k => k.Kind != sides[0].Kind && k.At - sides[0].At > 8);
    }

    /// <summary>"Triangle", "attitude", "teaser": where several moves of one school are named in full, a word of that school is its move.</summary>
    private static void OfOneSchool(List<Mention> mentions)
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
                mentions[i] = m with { Weak = false, Weight = Base(m.Role) * ShortFormWeight };
            }
        }
    }

    /// <summary>"Sorry, I said fast feet, it's step jacks": what is taken back was not meant when it was first said, either.</summary>
    private static void TakeBack(Speech speech, List<Mention> mentions)
    {
        const double reach = 30;
        for (var i = 0; i < mentions.Count; i++)
        {
            if (!RoleReader.IsTakenBack(speech, mentions[i].Token, mentions[i].Length))
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
    private static void MuscleStretches(Speech speech, MoveLexicon lexicon, IReadOnlyList<Mark> marks, List<Mention> mentions, PositionTrack position, double opening)
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
            var at = speech.At(t);
            if (at < Math.Max(cool, opening) || (RoleReader.IsFelt(speech, t) && LastNamed(mentions, at, justFelt, m => m.Move.IsStretch) is not null) || !(MuscleAfter.Contains(speech.Tokens[t - 1].Text) || speech.Tokens[t - 1].Pauses || speech.Tokens[t].Stops || speech.Tokens[t - 1].Cue != speech.Tokens[t].Cue) || !StretchOf.TryGetValue(speech.Tokens[t].Stem, out var stretch)
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

    /// <summary>True where a move needs what is never spoken of: "cheeky face, please" is no face pull where there is no band. Weights have too many names for this.</summary>
    private static bool LacksKit(Speech speech, Move move) =>
        move.Kit.Any(k => k is not ("dumbbell" or "kettlebell") && !speech.Text.Contains(k.Split(' ')[^1], StringComparison.Ordinal));

    private static bool AtHand(Speech speech, Move move) => !move.Kit.IsEmpty && move.Kit.All(k => speech.Text.Contains(k, StringComparison.Ordinal));

    private static bool OutOfPlace(Move move, string position) =>
        position is "supine" or "prone" or "side-lying" or "all-fours" or "plank" or "seated" && move.Kit.IsEmpty && !move.IsStretch && move.Pattern != "breathing" && move.Positions.All(p => p == "standing") && !move.IsDone(position);

    /// <summary>"Overhead press, one arm": the one-sided form of the move, where the lexicon has it.</summary>
    private static Move OneLimb(Speech speech, MoveLexicon lexicon, Move move, int token, int length)
    {
        for (var t = token + length; t + 1 < speech.Tokens.Count && t <= token + length + 2; t++)
        {
            if (speech.Tokens[t].Text is "1" or "single" && speech.Tokens[t + 1].Text is "arm" or "leg" && lexicon.Find($"single-{speech.Tokens[t + 1].Text}-{move.Id[(move.Id.LastIndexOf('-') + 1)..]}") is { } one)
            {
                return one.Pattern == move.Pattern ? one : move;
            }
        }

        return move;
    }

    /// <summary>The move a name means where the body is: a leg raise standing, on the side, seated.</summary>
    private static Move Here(MoveLexicon lexicon, Move named, string position, bool weak, IEnumerable<string> said)
    {
        if (named.Elsewhere.IsEmpty || position.Length == 0 || named.Positions.Contains(position))
        {
            return named;
        }

        // A name that the other move never goes by stays what it is: a bird dog is none lying down, though "opposite arm and leg" may be.
        // Of several there, the one that goes by more of the words said.
        var other = named.Elsewhere
            .Where(id => lexicon[id].Positions.Contains(position) && (weak || GoesBy(lexicon[id], lexicon.NameStems(named)[^1])))
            .OrderByDescending(id => said.Count(stem => GoesBy(lexicon[id], stem)))
            .FirstOrDefault();
        return other is null ? named : lexicon[other];
    }

    private static bool GoesBy(Move move, string stem) =>
        move.Aliases.Prepend(move.Name).Any(a => a.Split(' ', '-').Any(w => WordStem.Of(w) == stem));

    /// <summary>"Number one step-ups, right foot on the bench. Number two dips. Number three ...": told one after the other, too soon for any to be done.</summary>
    private static void NumberedLists(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw, bool[] listed)
    {
        const double tooSoon = 15;
        const int fewest = 3;
        var numbered = raw.Select((r, i) => (Index: i, Number: NumberBefore(speech, r.Token), At: speech.At(r.Token))).Where(n => n.Number > 0).ToList();
        for (var i = 0; i < numbered.Count;)
        {
            var end = i + 1;
            while (end < numbered.Count && numbered[end].Number == numbered[end - 1].Number + 1 && numbered[end].At - numbered[end - 1].At <= tooSoon)
            {
                end++;
            }

            for (var k = i; k < end && end - i >= fewest; k++)
            {
                listed[numbered[k].Index] = true;
            }

            i = end;
        }
    }

    /// <summary>Which number of a list a name is: "number three, climbers"; 0 for none.</summary>
    private static int NumberBefore(Speech speech, int token)
    {
        const int reach = 5;
        for (var t = token - 1; t > Math.Max(0, token - reach); t--)
        {
            if (speech.Tokens[t] is { Number: { } number } && speech.Tokens[t - 1].Text is "number" or "move" or "exercise" or "minute" or "station")
            {
                return number;
            }
        }

        return 0;
    }

    /// <summary>
    /// Names said one after the other with nothing but small words between are a list of what is to come. Three or more always are;
    /// of two ("a front squat and a bent-over row") only the second waits.
    /// </summary>
    private static bool[] Listed(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var listed = new bool[raw.Count];
        for (var i = 0; i < raw.Count;)
        {
            var last = i;
            while (last + 1 < raw.Count && Joined(raw[last], raw[last + 1]) && !SaidBefore(i, last + 1))
            {
                last++;
            }

            var distinct = raw.Skip(i).Take(last - i + 1).Select(r => r.Hit.Move.Id).Distinct().Count();
            for (var k = distinct >= 3 ? i : i + 1; k <= last && (distinct >= 3 || (distinct == 2 && RoleReader.IsPairing(speech, raw[i].Token))); k++)
            {
                listed[k] = !RoleReader.IsAnnouncedAfter(speech, raw[k].Token + raw[k].Length);
            }

            i = last + 1;
        }

        NumberedLists(speech, raw, listed);
        return listed;

        // "A reverse lunge with a shoulder press. Lunges, go": the general name after the fuller one begins, the list is over.
        bool SaidBefore(int from, int next) => raw.Skip(from).Take(next - from).Any(r =>
            r.Hit.Move.Id == raw[next].Hit.Move.Id || r.Hit.Move.NamesMoreThan(raw[next].Hit.Move));

        bool Everyday((AliasHit Hit, int Token, int Length) r) => r.Hit.Weak && !(r.Length == 1 && IsSeveral(speech.Tokens[r.Token]));

        bool Joined((AliasHit Hit, int Token, int Length) a, (AliasHit Hit, int Token, int Length) b)
        {
            var end = a.Token + a.Length;
            var joins = 0;
            for (var t = end; t < b.Token; t++)
            {
                if (!(ListWords.Contains(speech.Tokens[t].Text) || speech.Tokens[t].Number is not null) || t - end > 3)
                {
                    return false;
                }

                joins += speech.Tokens[t].Text is "and" or "then" or "plus" or "a" or "an" or "some" || speech.Tokens[t].Number is > 1 || (speech.Tokens[t].Text == "with" && RoleReader.IsPairing(speech, a.Token)) ? 1 : 0;
            }

            return b.Token - end <= 4 && a.Hit.Move.Id != b.Hit.Move.Id && !b.Hit.Move.NamesMoreThan(a.Hit.Move) && !(joins == 0 && SamePart(a.Hit.Move, b.Hit.Move)) && !Everyday(a) && !Everyday(b) && !speech.Tokens[end - 1].Stops
                && (joins > 0 || speech.Tokens[end - 1].Pauses || b.Token == end) && speech.At(b.Token) - speech.At(a.Token) < Math.Min(6, ListPace * (b.Token - a.Token));
        }
    }

    /// <summary>"Lunges, and go. Reverse lunges ..." : a general name right before a fuller one already means that one.</summary>
    private static void NameForward(IReadOnlyList<Mark> marks, List<Mention> mentions)
    {
        const double soon = 20;
        for (var i = 0; i + 1 < mentions.Count; i++)
        {
            var (m, next) = (mentions[i], mentions.Skip(i + 1).FirstOrDefault(o => !o.Weak && o.Role is Role.Doing or Role.Announced));
            if (!m.Weak && m.Role is Role.Doing or Role.Announced && next is not null && next.At - m.At < soon && next.Move.Pattern == m.Move.Pattern && next.Move.NamesMoreThan(m.Move)
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
    private static void WeighDescriptions(IReadOnlyList<Mark> marks, List<Mention> mentions, double end, double within)
    {
        // "Breathe in, breathe out" is a move of its own at both ends of a class; in between it is how moves are done.
        const double opening = 0.12;
        const double closing = 0.8;

        // No clock rules the warm-up and the cool-down: "arms, big circles" is the next thing done.
        const double warmingUp = 0.2;
        for (var i = 0; i < mentions.Count; i++)
        {
            if (mentions[i] is not { Weak: true, Role: Role.Doing or Role.Announced } m)
            {
                continue;
            }

            var midClass = (m.Move.Pattern == "breathing" || (m.Move.IsGentle && !m.Move.IsStretch && Clocked.Between(marks, m.At - JustBegun, m.At).Any(k => k is { Kind: MarkKind.Start, Strength: >= 1 }))) && m.At > opening * end && m.At < closing * end;
            var underway = midClass || Clocked.Between(mentions, m.At - DescribesWithin - AnnounceReach, m.At + 5).Any(o => !o.Weak && o.Weight >= WeakWeight && o.Role is Role.Doing or Role.Announced && o.Move.Id != m.Move.Id && !(m.Move.IsStretch && !o.Move.IsStretch && m.At > closing * end) && !(m.Move.IsGentle && JustStopped(marks, o.EffectiveAt + 1, m.At)) && o.EffectiveAt > m.At - (m.Move.IsGentle && (m.At < warmingUp * end || m.At > closing * end) ? DescribesWithin : within) && o.At < m.At + 5);

            // Right after work is named, "breathe in through the nose" is how it is done; arms that swing while everyone walks belong to the walk.
            bool JustNamed(Func<Move, bool> which) => Clocked.Between(mentions, m.At - DescribesWithin - AnnounceReach, m.At).Any(o => o.Weight >= 0.5 && which(o.Move));
            underway = underway
                || (m.Move.Pattern == "breathing" && JustNamed(o => !o.IsGentle))
                || (m.Move.Id == "arm-swing" && JustNamed(o => o.Pattern == "locomotion"))
                || (m.Move.Id == "scapula-squeeze" && JustNamed(o => o.Pattern.StartsWith("pull", StringComparison.Ordinal)));
            mentions[i] = m with { Weight = underway ? 0.15 : m.Length > 1 && m.Weight > VerbWeight * 1.5 ? DescribedWeight : m.Weight };
        }
    }

    /// <summary>"Let your knees drop to one side and the other, windscreen wipers": what is described and then named is what it is named.</summary>
    private static void NameDescribed(List<Mention> mentions)
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

    /// <summary>"A bridge, bridge hold": one name inside the other.</summary>
    private static bool SamePart(Move a, Move b) => a.Pattern == b.Pattern && a.Id.Split('-').Intersect(b.Id.Split('-')).Any(w => w.Length > 3);

    /// <summary>An everyday word that is also a move's name counts only where the move is named in full, or announced, somewhere.</summary>
    private static void DropLoneEverydayWords(List<Mention> mentions)
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

            if (mark.Kind == MarkKind.Opening)
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
            var next = raw.Skip(i + 1).FirstOrDefault(r => r.Hit.Move.Id != hit.Move.Id && (!warming || IsClear(speech, r)));
            var easy = hit.Move.IsGentle || hit.Move is { Pattern: "locomotion", Impact: <= Impact.Low };

            // What follows "warming up" is the warm-up.
            easy |= warming || SaysWarmUp(speech, token);

            // Any other move must be seen to go on: counted, cued.
            easy |= (next.Length == 0 || speech.At(next.Token) - at >= underWay) && Clocked.Between(marks, at + 2, at + underWay).Any(m => m.Kind == MarkKind.Doing);
            var last = raw.FindLastIndex(i, r => r.Token < token && IsClear(speech, r));
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
            if (speech.Tokens[t].Text is "warm" or "warmup" or "warming")
            {
                return true;
            }
        }

        return false;
    }

    private static double Base(Role role) => role switch
    {
        Role.Doing => 1,
        Role.Announced => 1.2,
        Role.Previewed => 0.15,
        Role.Compared or Role.Past => 0.1,
        _ => 0,
    };

    /// <summary>Joins names that are said as one move; a short word such as "press" counts as a second name there.</summary>
    private static void Combine(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const int reach = 4;
        for (var i = 0; i < raw.Count; i++)
        {
            var a = raw[i];
            var end = a.Token + a.Length;
            var next = i + 1 < raw.Count ? raw[i + 1].Token : int.MaxValue;
            if (RoleReader.IsNamedPair(speech, a.Token) || RoleReader.IsLike(speech, a.Token) || IsThing(speech, a.Token, a.Length))
            {
                continue;
            }

            if (next <= end + reach && RoleReader.IsWith(speech, end, next) && IsPartOf(lexicon, a.Hit.Move, raw[i + 1].Hit.Move))
            {
                // "A plank with shoulder taps": what is done with it has a name of its own.
                raw[i] = (raw[i + 1].Hit with { Weak = false, Words = a.Hit.Words + raw[i + 1].Hit.Words }, a.Token, next + raw[i + 1].Length - a.Token);
                raw.RemoveAt(i + 1);
                continue;
            }

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

    /// <summary>"Hold the chair, lunges": a thing to hold, though it is short for a move as well.</summary>
    private static bool IsThing(Speech speech, int token, int length) =>
        length == 1 && speech.Tokens[token].Text is "chair" or "bench" or "step" or "wall" or "ball" or "band" && token > 0 && speech.Tokens[token - 1].Text is "the" or "your" or "a";

    private static bool IsPartOf(MoveLexicon lexicon, Move part, Move whole) =>
        lexicon.NameStems(whole) is var stems && lexicon.NameStems(part) is var few && few.Length < stems.Length && few.All(stems.Contains);

    /// <summary>Adds the pulses and holds of the move under way that are not named with it: "stay down and pulse it", "hold it there".</summary>
    private static void Variants(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const double begun = 8;
        var added = new List<(AliasHit, int, int)>();
        var next = 0;
        (Move Move, double At)? under = null;
        for (var t = 0; t < speech.Tokens.Count; t++)
        {
            for (; next < raw.Count && raw[next].Token <= t; next++)
            {
                under = IsClear(speech, raw[next]) ? (raw[next].Hit.Move, speech.At(raw[next].Token)) : under;
            }

            if (under is { } move && speech.At(t) - move.At is >= begun and < StillThatMove && (RoleReader.Pulses(speech, t) ? MoveLexicon.Pulse : RoleReader.HoldsIt(speech, t) ? MoveLexicon.Hold : null) is { } how
                && lexicon.Variant(move.Move, how) is { } variant && !raw.Exists(r => r.Token <= t && t < r.Token + r.Length))
            {
                added.Add((new AliasHit(variant, true, 2, Described: true), t, 2));
                under = null;
            }
        }

        raw.AddRange(added);
        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>
    /// A general name after a fuller one means that one: "rows" after renegade rows, "squats" in the second round of goblet squats;
    /// not where the general move itself was done since.
    /// </summary>
    private static Move? EarlierOf(MoveLexicon lexicon, List<Mention> mentions, List<ImmutableArray<string>> names, Move general, bool weak, double at, bool kitAtHand)
    {
        var word = lexicon.NameStems(general)[^1];
        const double sameClass = 2400;
        for (var i = mentions.Count - 1; i >= 0 && at - mentions[i].At < sameClass; i--)
        {
            var m = mentions[i];

            // What was just described is as good as named where its own word is called.
            var justDescribed = m is { Weak: true, Length: > 1 } && m.Move.Id == general.Id && at - m.At < StillThatMove;
            if ((m.Weak && !justDescribed) || m.Role is not (Role.Doing or Role.Announced or Role.Previewed))
            {
                continue;
            }

            if (m.Move.Id == general.Id)
            {
                return weak ? general : null;
            }

            // "Swings" with a kettlebell at hand are not the arm swings of the warm-up.
            if (weak && m.Move.IsGentle && !general.Kit.IsEmpty && kitAtHand)
            {
                continue;
            }

            // "Step back into your lunge" while lunge and curl are done as one.
            if (at - m.At < StillThatMove && m.Move.Parts.Any(p => Says(p, general)))
            {
                return m.Move;
            }

            if (general.Parts.Length == 2 && m.Move.Parts.Length == 2 && m.Move.Parts[1] == general.Parts[1] && Says(m.Move.Parts[0], general.Parts[0]))
            {
                return m.Move;
            }

            var stems = names[i];
            if ((stems[^1] == word || (weak && stems.Contains(word)))
                && (weak || (m.Move.Pattern == general.Pattern && m.Move.Positions.Intersect(general.Positions).Any())))
            {
                return m.Move;
            }
        }

        return null;
    }

    private static bool Says(string fullerId, Move general) => general.Parts.IsEmpty && Says(fullerId, general.Id);

    /// <summary>True where one id is the other with words before it: reverse-lunge for lunge.</summary>
    private static bool Says(string fullerId, string generalId) => fullerId == generalId || fullerId.EndsWith('-' + generalId, StringComparison.Ordinal);

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

    private static bool JustStopped(IReadOnlyList<Mark> marks, double at)
    {
        const double just = 12;
        return Clocked.Between(marks, at - just, at).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 });
    }

    /// <summary>"Stop there. Arms out, big circles": the move before is over.</summary>
    private static bool JustStopped(IReadOnlyList<Mark> marks, double from, double at)
    {
        const double just = 4;
        return Clocked.Between(marks, Math.Max(from, at - just), at).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.5 });
    }

    /// <summary>True where the next edge that is said is a start.</summary>
    private static bool StartsNext(IReadOnlyList<Mark> marks, double at, double until) =>
        Clocked.Between(marks, at, until).FirstOrDefault(m => (m.Kind == MarkKind.Start && m.Strength >= 0.5) || (m.Kind == MarkKind.Stop && m.Strength >= 0.9)).Kind == MarkKind.Start;

    /// <summary>True where a mention says, clearly enough, that its move is done or comes next.</summary>
    private static bool IsNamed(Mention mention) => mention is { Weight: >= 0.5, Role: Role.Doing or Role.Announced };

    /// <summary>The move that was named last before a moment, as done or announced, no longer ago than <paramref name="reach"/> seconds.</summary>
    private static Mention? LastNamed(List<Mention> mentions, double before, double reach, Func<Mention, bool>? which = null)
    {
        for (var i = Clocked.From(mentions, before) - 1; i >= 0 && before - mentions[i].At <= reach; i--)
        {
            if (IsNamed(mentions[i]) && which?.Invoke(mentions[i]) != false)
            {
                return mentions[i];
            }
        }

        return null;
    }

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
    private static List<Mention> WithOtherSides(Speech speech, List<Mention> mentions, IReadOnlyList<Mark> marks)
    {
        const double reach = 90;
        const double justNamed = 8;
        const double runReach = 600;
        const double sameBreath = 8;
        var added = new List<Mention>();
        var turns = SideTurns.Find(marks);
        foreach (var mark in marks.Where(m => m.Kind == MarkKind.SwitchSide).Concat(turns))
        {
            var last = LastNamed(mentions, mark.At, reach);
            if (last is null || (mark.Kind != MarkKind.SwitchSide && mark.At - last.At < justNamed) || SideTurns.IsOtherDirection(mark, last.Move))
            {
                continue;
            }

            if (IsOtherLeg(speech, mark) && !last.Move.Prime.Concat(last.Move.Helper).Any(Vocabulary.LowerBody.Contains))
            {
                // "And the other leg" is not said of what the arms did.
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

            // "Left hand to the floor, right arm up and over": the side is part of how the next move is said.
            if (mark is not { Kind: MarkKind.SwitchSide, Strength: >= 0.9 } && Clocked.Between(mentions, mark.At, mark.At + sameBreath).Any(m => m.Move.Id != last.Move.Id && m.Weight >= 0.5 && m.Role is Role.Doing or Role.Announced))
            {
                continue;
            }

            // A move done on alternate sides is done one side at a time only where a side is named with it.
            if (last.Move.Sides == MoveSides.Alternating && !Clocked.Between(marks, last.At - 4, mark.At).Any(m => m.Kind is MarkKind.Left or MarkKind.Right && m.At < mark.At))
            {
                continue;
            }

            // "Swap", alone, after a move that uses both sides at once is the change to the next move.
            if ((mark.Kind != MarkKind.SwitchSide || mark.Strength < 1) && last.Move.Sides == MoveSides.Both)
            {
                continue;
            }

            // After a run of moves on one side, the other side begins with the first of them again.
            if (mark is { Kind: MarkKind.SwitchSide, Strength: >= 0.9 } && SideRun(mentions, marks, turns, mark) is { Count: > 1 } run)
            {
                added.AddRange(SecondSide(mentions, marks, mark, run));
                continue;
            }

            // So it does where a move done earlier is named with the change.
            if (Clocked.Between(mentions, mark.At, mark.At + 14).Any(m => m.Weight >= 0.5 && m.Move.Id != last.Move.Id && LastNamed(mentions, mark.At, runReach, o => o.Move.Id == m.Move.Id) is not null))
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
        return mentions;
    }

    private static bool IsOtherLeg(Speech speech, Mark mark) =>
        mark.Kind == MarkKind.SwitchSide && Enumerable.Range(mark.Token, Math.Min(3, speech.Tokens.Count - mark.Token)).Any(t => speech.Tokens[t].Text is "leg" or "legs" or "foot" or "feet" or "knee");

    /// <summary>The one-sided moves done one after the other since the side was last changed.</summary>
    private static List<Mention> SideRun(List<Mention> mentions, IReadOnlyList<Mark> marks, IReadOnlyList<Mark> turns, Mark mark)
    {
        const double longest = 300;
        var since = Clocked.Between(marks, mark.At - longest, mark.At - OneTurn).LastOrDefault(m => m.Kind == MarkKind.SwitchSide && m.Strength >= 1).At;
        var run = new List<Mention>();
        foreach (var m in Clocked.Between(mentions, Math.Max(since, mark.At - longest), mark.At - 1))
        {
            if (!IsNamed(m))
            {
                continue;
            }

            // "Change feet", "other way round" before the next was named: what came before has had both its sides.
            if (m.Move.Sides != MoveSides.Each || (run.Count > 0 && (Clocked.Between(marks, run[^1].At + OneTurn, m.At - OneTurn).Any(k => k.Kind == MarkKind.SwitchSide) || Clocked.Between(turns, run[^1].At + OneTurn, m.At - OneTurn).Any())))
            {
                run.Clear();
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
        if (Clocked.Between(mentions, mark.At, mark.At + around).Any(IsNamed))
        {
            yield break;
        }

        foreach (var m in run)
        {
            var at = mark.At + (m.EffectiveAt - run[0].EffectiveAt);
            if (Clocked.Between(mentions, at - around, at + around).Any(o => o.At > mark.At && IsNamed(o))
                || Clocked.Between(marks, mark.At + around, at).Any(k => k.Kind is MarkKind.SwitchSide or MarkKind.SignOff or MarkKind.CoolDown))
            {
                yield break;
            }

            yield return m with { Token = mark.Token, Length = 1, At = at, EffectiveAt = at == mark.At ? StartAfter(marks, mark.At, 15) : at, Role = Role.Doing, Weight = weight };
        }
    }

    /// <summary>"Second set", "one more time": the move just done goes again, though nobody names it.</summary>
    private static List<Mention> WithRepeats(List<Mention> mentions, IReadOnlyList<Mark> marks, SaidDose dose)
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

            var last = LastNamed(mentions, mark.At, reach);
            if (added.Count > 0 && mark.At - added[^1].At <= reach && (last is null || last.At < added[^1].At))
            {
                // The set before that was only called a set.
                last = added[^1];
            }

            var named = Clocked.Between(mentions, mark.At - 5, mark.At + 14).Any(m => m.Weight >= 0.5);
            if (last is null || named)
            {
                continue;
            }

            // Of a superset the first move begins the next set.
            if (dose.Supersets && LastNamed(mentions, last.At, pairReach, m => m.Move.Id != last.Move.Id) is { } first)
            {
                last = first;
            }

            added.Add(last with { Token = mark.Token, Length = 1, At = mark.At, EffectiveAt = StartAfter(marks, mark.At, 20), Role = Role.Doing, Weight = 0.8 });
        }

        mentions.AddRange(added);
        mentions.Sort((a, b) => a.At.CompareTo(b.At));
        return mentions;
    }

    private static double EffectiveAt(IReadOnlyList<Mark> marks, List<Mention> mentions, int index, SaidDose? dose, BeatGrid? beat, HashSet<int> called)
    {
        var (at, role) = (mentions[index].At, mentions[index].Role);
        var reach = at + (role == Role.Announced ? AnnounceReach : 12);
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
            if (mentions[i].Move.Id != mentions[index].Move.Id && mentions[i].Role is Role.Announced && mentions[i].Weight >= 0.8 && mentions[i].At - at > AnnouncedApart)
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

            // Named again and again before anyone counts: it has begun.
            if (mark is { Kind: MarkKind.Start, Strength: <= 0.5 } && mark.At - at > Repeating && Clocked.Between(mentions, at + 1, mark.At).Count(m => m.Move.Id == mentions[index].Move.Id && !m.Weak) >= 2)
            {
                return at;
            }

            // A start that comes long after the beat is a later one.
            if (mark is { Kind: MarkKind.Start, Strength: >= 0.5 } && !(mark.At > expected + OffBeat))
            {
                return mark.At;
            }
        }

        return expected is { } next && next < reach ? next : RestOver(marks, at, role, dose) is { } over ? over : at;
    }

    /// <summary>Named in a rest of known length, with no start said: the bout begins when the rest is over.</summary>
    private static double? RestOver(IReadOnlyList<Mark> marks, double at, Role role, SaidDose? dose)
    {
        const double sameBreath = 4;
        if (dose is not { WorkSeconds: not null, RestSeconds: > 5 and <= BeatGrid.LongestRest and { } rest })
        {
            return null;
        }

        var stop = Clocked.Between(marks, at - BeatGrid.LongestRest, at).LastOrDefault(m => m is { Kind: MarkKind.Stop, Strength: >= 0.9 });
        return stop.At > 0 && at - stop.At < (role == Role.Announced ? rest : sameBreath) ? stop.At + rest : null;
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

            var stop = Clocked.Between(marks, members[0].m.At - 5, group.Key).LastOrDefault(k => k is { Kind: MarkKind.Stop, Strength: >= 0.9 } && k.At < group.Key).At;
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

    /// <summary>Moves that are also cues to others.</summary>
    private const string Breathing = "breathing";
    private const string OnOneLeg = "single-leg-stand";

    /// <summary>Seconds in which one repetition is explained: "step up ... and step down".</summary>
    private const double WayBack = 14;

    /// <summary>What everyone does in a rest.</summary>
    private const string ShakeOut = "shake-out";

    /// <summary>"Walk your hands out to a plank": what a move passes through is a part of it, not the next one.</summary>
    private static void ThinParts(Speech speech, List<Mention> mentions)
    {
        const double sameBreath = 6;
        const double cueWithin = 10;
        for (var i = 1; i < mentions.Count; i++)
        {
            var (part, whole) = (mentions[i], mentions[i - 1]);
            if (part.Move.IsGentle && RoleReader.IsForAMoment(speech, part.Token + part.Length))
            {
                mentions[i] = part with { Weight = part.Weight * 0.25 };
                continue;
            }

            // "Arms behind you, big breath in", "stand on your left leg, take the right one out": what is breathed to, and what is done standing so.
            if (part.Move.Id != whole.Move.Id && part.At - whole.At < cueWithin && whole.Weight >= WeakWeight)
            {
                if (part.Move.Id == Breathing)
                {
                    mentions[i] = part with { Weight = part.Weight * 0.25 };
                }
                else if (whole.Move.Id == OnOneLeg && part.Weight >= WeakWeight && part.Move.Positions.Contains("standing") && part.Move.Pattern is "isolation-leg" or "leg-raise" or "kick" or "stretch")
                {
                    (mentions[i - 1], mentions[i]) = (whole with { Weight = whole.Weight * VerbWeight }, part with { Weight = Math.Max(part.Weight, whole.Weight) });
                }
            }

            if (Clocked.Between(mentions, part.At - WayBack, part.At).Any(o => RoleReader.IsWayBack(speech, o, part)) || (part.Move.Id != whole.Move.Id && part.At - whole.At < sameBreath && whole.Weight >= 0.25
                && ((part.Move.IsStretch && whole.Move.IsStretch && speech.Tokens[part.Token].Text == "stretch" && !RoleReader.MovesOn(speech, part.Token)) || RoleReader.IsPassedThrough(speech, part.Token) || RoleReader.IsSaidOtherwise(speech, whole.Token + whole.Length, part.Token))))
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
}
