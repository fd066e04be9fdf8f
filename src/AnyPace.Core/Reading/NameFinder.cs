using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds the names and descriptions of moves in speech: what was said, before anyone asks what it was said for.</summary>
internal static class NameFinder
{
    /// <summary>What is said over more seconds than this is not one description.</summary>
    private const double LongestDescription = 15;

    /// <summary>No name goes on after this many seconds of silence between two captions.</summary>
    private const double NameGap = 4;

    /// <summary>Nor does a description after this many, by the words a minute: who talks all the time is soon on to something else.</summary>
    private static double DescriptionGap(Speech speech)
    {
        const double longest = 5;
        const double shortest = 2.5;
        const double few = 60;
        const double many = 100;
        return longest - ((longest - shortest) * Math.Clamp((speech.WordsAMinute - few) / (many - few), 0, 1));
    }

    /// <summary>A stretch of speech has to be this much like a move, and this much more than like any other, to be taken for its description; see <see cref="LikeMove"/>.</summary>
    private const double LikeEnough = 34;

    /// <summary>Who talks more than so many words a minute says more that is like a move by chance; at twice as many the stretch has to be this much more like it.</summary>
    private const double FewWordsAMinute = 40;

    private const double MoreForTalk = 4;

    private const double ClearlyLikest = 2;

    /// <summary>So many different words have to speak for it: "all the way up" alone is said of anything.</summary>
    internal const int WordsEnough = 5;

    /// <summary>Fewer will do where it is far from all others.</summary>
    private const int ClearWords = 4;

    private const double FarLikest = 3;

    /// <summary>The same where a start was called and no move named for it.</summary>
    private const int FewWords = 3;

    private const double Likest = 0.5;

    /// <summary>Where a warm-up or stretches were called most of what is said tells what to do: less likeness will do for an easy move, if it is far ahead of all others.</summary>
    private const double EasyLike = 22;
    private const double EasyLead = 6;

    /// <summary>Moves of a warm-up or a cool-down have fewer MET than this as a rule.</summary>
    private const double EasyMet = 4.5;

    private static bool IsEasy(Move move) => move.IsGentle || (move.Kit.IsEmpty && move.Impact <= Impact.Low && move.Met.Value < EasyMet);

    /// <summary>A description whose ideas are all there yields to a move that the words around are this much more like.</summary>
    private const double FarLess = 6;

    /// <summary>One of a move that is not done where the body is yields sooner.</summary>
    private const double LessLike = 1;

    /// <summary>How much the words around have to be like that move for it.</summary>
    private const double MoreLike = 6;

    /// <summary>How many words a description may have: one is told in six, another in twenty.</summary>
    private static readonly int[] Longest = [6, 12, 24];

    /// <summary>The names in speech, one after the other, with where they begin and how many words they have.</summary>
    public static List<(AliasHit Hit, int Token, int Length)> Names(Speech speech, MoveLexicon lexicon)
    {
        var names = new List<(AliasHit Hit, int Token, int Length)>();
        bool Ends(int token) => EndsName(speech, token);
        Func<int, bool> ends = Ends;
        for (var i = 0; i < speech.Tokens.Count; i++)
        {
            if (NameAt(speech, lexicon, i, ends) is { } found && !(found.Hit.Weak && LacksWeights(speech, found.Hit.Move)) && !ClauseBorders.IsTwoClauses(speech, i, found.Length))
            {
                names.Add((found.Hit, i, found.Length));
                i += found.Length - 1;
            }
        }

        return names;
    }

    /// <summary>Adds punches that are called by number.</summary>
    internal static void Numbered(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        foreach (var (id, token, length) in speech.Punches.Called)
        {
            raw.RemoveAll(r => r.Token < token + length && r.Token + r.Length > token);
            raw.Add((new AliasHit(lexicon[id], false, length), token, length));
        }

        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>The longest name that begins at a word; of "squats press ups" the first only, since the second takes the word between.</summary>
    /// <param name="ends"><see cref="EndsName"/> of this speech.</param>
    private static (AliasHit Hit, int Length)? NameAt(Speech speech, MoveLexicon lexicon, int start, Func<int, bool> ends) =>
        lexicon.Aliases.Longest(speech.Stems, start, ends) is { } found ? UpToNext(speech, lexicon, start, ends, found) : null;

    private static (AliasHit Hit, int Length) UpToNext(Speech speech, MoveLexicon lexicon, int start, Func<int, bool> ends, (AliasHit Hit, int Length) found)
    {
        for (var t = start + 1; t < start + found.Length; t++)
        {
            if (IsSeveral(speech.Tokens[t - 1]) && lexicon.Aliases.Longest(speech.Stems, t, ends) is { } next && t + next.Length > start + found.Length
                && lexicon.Aliases.Longest(speech.Stems, start, k => k >= t - 1 || ends(k)) is { } first && first.Length == t - start)
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
    internal static bool IsSeveral(Token word) => word.Text is [.., not ('s' or '\''), 's'];

    /// <summary>Adds names with a misheard word where no name was heard right; returns where they begin.</summary>
    internal static HashSet<int> Misheard(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
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

    /// <summary>
    /// One ear goes to a shoulder in a stretch, "shoulders away from your ears" is said of every move; one ankle lies across a knee, "knees over your ankles" is how to stand.
    /// </summary>
    private static readonly Dictionary<string, string> OfBoth = new() { ["neck-stretch"] = "ears", ["figure-four-stretch"] = "ankles" };

    /// <summary>Adds moves that are described where nothing is named, and narrows general names by what is said around them ("squat ... explode up").</summary>
    internal static void Described(Speech speech, MoveLexicon lexicon, DescriptionLikeness.Heard heard, string[] places, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var gap = DescriptionGap(speech);
        var silences = new int[speech.Tokens.Count + 1];
        for (var t = 0; t < speech.Tokens.Count; t++)
        {
            silences[t + 1] = silences[t] + (speech.SilentAfter(t, gap) ? 1 : 0);
        }

        // Words that something was found in, so that only there is asked what.
        var taken = new bool[speech.Tokens.Count];
        foreach (var (_, token, length) in raw)
        {
            Array.Fill(taken, true, token, length);
        }

        foreach (var hit in lexicon.Described.Find(speech.Stems, (from, to) => speech.At(to) - speech.At(from) <= LongestDescription && silences[to] == silences[from]))
        {
            var end = hit.Start + hit.Length;

            // "Hands behind the head, take the elbow" is hardly a stretch of the arms to someone who lies down.
            var inPlace = places[end - 1] is not { Length: > 0 } place || hit.Move.IsDone(place);
            if (OfBoth.TryGetValue(hit.Move.Id, out var both) && Enumerable.Range(hit.Start, hit.Length).Any(t => speech.Tokens[t].Text == both))
            {
                continue;
            }

            if (HoldsBreath(speech, hit))
            {
                continue;
            }

            var within = taken.AsSpan(hit.Start, hit.Length).Contains(true) ? raw.FindAll(r => r.Token < end && r.Token + r.Length > hit.Start) : [];
            bool Yields((AliasHit Hit, int Token, int Length) r) => MayBeNoName(speech, r)
                ? hit.Names || (r.Hit.Words < hit.Words.Length && !(r.Hit.Move.Id == hit.Move.Id && r.Length == 1 && IsSeveral(speech.Tokens[r.Token])))
                : hit.Names && r.Hit.Move.Id != hit.Move.Id && !RoleReader.IsCalled(speech, r.Token) && r.Hit.Words < hit.Words.Length && MayNarrow(lexicon, r.Hit, hit.Move) && IsIn(hit, r);
            if (within.TrueForAll(Yields) && (hit.Names ? within.Exists(r => !RoleReader.IsVerb(speech, r.Token, r.Length) && IsIn(hit, r)) : !Outdone(speech, heard, hit, inPlace ? FarLess : LessLike)))
            {
                raw.RemoveAll(within.Contains);
                raw.Add((new AliasHit(hit.Move, !hit.Names, hit.Words.Length, Described: !hit.Names), hit.Start, hit.Length));
                Array.Fill(taken, true, hit.Start, hit.Length);
            }
        }

        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>True where a word of the name is one of the description: "feet wide, hands up, like a good morning, push your hips back" names no push-up.</summary>
    private static bool IsIn(DescribedHit hit, (AliasHit Hit, int Token, int Length) name) => Enumerable.Range(name.Token, name.Length).Any(t => hit.Words.Contains(t));

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
        return heard.Of(from, to - from, ClearWords, hit.Move) is { Score: >= MoreLike } like && like.Beside < like.Score - less;
    }

    /// <summary>True where some of these times and those from one up to another overlap. A plain loop: it is asked for every third word.</summary>
    private static bool Waits(List<(double From, double To)> awaited, double from, double to)
    {
        foreach (var one in awaited)
        {
            if (to > one.From && from < one.To)
            {
                return true;
            }
        }

        return false;
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
    internal static bool IsClear(Speech speech, (AliasHit Hit, int Token, int Length) raw) => raw.Hit.Described || !MayBeNoName(speech, raw) || (raw.Length == 1 && IsSeveral(speech.Tokens[raw.Token]));

    /// <summary>Where a description that begins at a word and may go up to another ends at the latest, being said in one go; it keeps its least words.</summary>
    private static int InOneGo(Speech speech, int from, int to, int least)
    {
        while (to > least && speech.At(to - 1) - speech.At(from) > LongestDescription)
        {
            to--;
        }

        return to;
    }

    /// <summary>
    /// Stretches of speech that are at least a little like a move, at several lengths each. None goes over a clear name, but everyday words that may be one
    /// ("crunch it", "pull down") are a part of what is said of another.
    /// </summary>
    internal static List<(LikeMove Like, int From, int Count)> Like(Speech speech, IReadOnlyList<Mark> marks, DescriptionLikeness.Heard heard, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const double little = 14;
        return Stretches(speech, marks, heard, raw.FindAll(r => IsClear(speech, r)), (at, count) => heard.UpTo(at + count, FewWords, little));
    }

    /// <summary>Adds moves to which stretches of speech without a name or a description are most like, where one is clearly the likest.</summary>
    internal static void Likened(
        Speech speech, IReadOnlyList<Mark> marks, Loosening loosening, DescriptionLikeness.Heard heard, List<(LikeMove Like, int From, int Count)> stretches, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const int shortest = 5;

        // Nobody describes two moves in so few seconds.
        const double describedApart = 9;
        var clear = raw.FindAll(r => IsClear(speech, r));
        var enough = LikeEnough + (MoreForTalk * Math.Clamp((speech.WordsAMinute / FewWordsAMinute) - 1, 0, 1));
        var awaited = Awaited(marks, [.. clear.Select(r => speech.At(r.Token))]);

        bool IsLikest((LikeMove Like, int From, int Count) stretch)
        {
            // Where a start waits for its move, less has to be said for one.
            var (like, from, count) = stretch;
            var (loosens, waits) = (loosening.Covers(speech.At(from)), Waits(awaited, speech.At(from), speech.At(from + count - 1)));
            return (like.Score >= enough && (waits || (count >= shortest && like.Words >= ClearWords)) && like.Lead >= (waits ? Likest : like.Words >= WordsEnough ? ClearlyLikest : FarLikest))
                || (loosens && like.Score >= EasyLike && IsEasy(like.Move) && like.Lead >= EasyLead);
        }

        // Stretches hold nothing that is clear already.
        foreach (var (like, from, count) in LikestOf(speech, stretches.FindAll(IsLikest), describedApart))
        {
            raw.RemoveAll(r => r.Token >= from && r.Token + r.Length <= from + count);
            raw.Add(Told(heard, like, from, count));
        }

        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>Moves that stretches of speech are a little like, beside all that was found: whether they are done is for <see cref="MentionJudge"/> to say.</summary>
    internal static List<(AliasHit Hit, int Token, int Length)> Faint(
        Speech speech, DescriptionLikeness.Heard heard, List<(LikeMove Like, int From, int Count)> stretches, bool[] named)
    {
        const double apart = 6;
        var open = stretches.FindAll(s => !named.AsSpan(s.From, s.Count).Contains(true));
        return [.. LikestOf(speech, open, apart).Select(f => Told(heard, f.Like, f.From, f.Count)).OrderBy(f => f.Token)];
    }

    /// <summary>For each word whether it is one of a clear name.</summary>
    internal static bool[] ClearNames(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var clear = new bool[speech.Tokens.Count];
        foreach (var (_, token, length) in raw.Where(r => IsClear(speech, r)))
        {
            Array.Fill(clear, true, token, length);
        }

        return clear;
    }

    /// <summary>Asks of stretches of speech, at several lengths each, which move they are like. None goes over a name, a start or a stop, how something is done, or a silence.</summary>
    /// <param name="taken">Names that are known already.</param>
    /// <param name="likeness">The move that so many words from one on are like, or null.</param>
    private static List<(LikeMove Like, int From, int Count)> Stretches(
        Speech speech, IReadOnlyList<Mark> marks, DescriptionLikeness.Heard heard, List<(AliasHit Hit, int Token, int Length)> taken, Func<int, int, LikeMove?> likeness)
    {
        const int step = 3;
        var gap = DescriptionGap(speech);
        var borders = new bool[speech.Tokens.Count + 1];
        foreach (var (_, token, length) in taken)
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

        // What was told is done and counted; what is told next is another thing.
        foreach (var run in speech.Counts.Where(r => r.Length >= Counted && r.LastToken - r.Token < 2 * r.Length))
        {
            Array.Fill(borders, true, run.Token, run.LastToken - run.Token + 1);
        }

        var found = new List<(LikeMove Like, int From, int Count)>();
        for (var from = 0; from < speech.Tokens.Count;)
        {
            var to = from + 1;
            while (to < speech.Tokens.Count && !borders[to] && speech.At(to) - speech.At(to - 1) <= gap)
            {
                to++;
            }

            var known = 0;
            for (var at = from; at + FewWords <= to; at++)
            {
                // A description begins with a word that says something; every third is begun with.
                if (!heard.IsKnown(at) || known++ % step != 0)
                {
                    continue;
                }

                heard.Begin(at);
                foreach (var longest in Longest)
                {
                    var count = InOneGo(speech, at, Math.Min(at + longest, to), at + FewWords) - at;
                    if (count >= FewWords && likeness(at, count) is { } like)
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

        return found;
    }

    /// <summary>So many numbers in a row count what was told before.</summary>
    private const int Counted = 4;

    /// <summary>Of stretches that overlap, or begin within so many seconds, the likest.</summary>
    private static List<(LikeMove Like, int From, int Count)> LikestOf(Speech speech, List<(LikeMove Like, int From, int Count)> found, double apart)
    {
        var likest = new List<(LikeMove Like, int From, int Count)>();
        foreach (var stretch in found.OrderByDescending(f => f.Like.Score + f.Like.Lead))
        {
            if (!likest.Exists(l => (l.From < stretch.From + stretch.Count && l.From + l.Count > stretch.From) || Math.Abs(speech.At(l.From) - speech.At(stretch.From)) < apart))
            {
                likest.Add(stretch);
            }
        }

        return likest;
    }

    /// <summary>What a stretch is like, from the first of its words that is said of the move up to the last.</summary>
    private static (AliasHit Hit, int Token, int Length) Told(DescriptionLikeness.Heard heard, LikeMove like, int from, int count)
    {
        var words = Enumerable.Range(from, count).Where(t => heard.Says(t, like.Move)).ToList();
        return (new AliasHit(like.Move, true, words.Count, Described: true, like), words[0], words[^1] - words[0] + 1);
    }

    private static readonly HashSet<string> Held =
        ["a", "an", "1", "2", "the", "your", "on", "onto", "it", "that", "both", "weight", "weights", "dumbbell", "dumbbells", "something"];

    /// <summary>"Sumo squats, hold one weight": to hold something is not a hold.</summary>
    private static bool HoldsSomething(Speech speech, int token) =>
        speech.Tokens[token].Text == "hold" && token + 1 < speech.Tokens.Count && Held.Contains(speech.Tokens[token + 1].Text);

    /// <summary>"Squats, don't hold your breath": no squat is held.</summary>
    private static bool HoldsBreath(Speech speech, DescribedHit hit) =>
        Enumerable.Range(hit.Start, hit.Length).Any(t => speech.Tokens[t].Text is "hold" or "holding" && hit.Words.Contains(t) && t + 2 < speech.Tokens.Count && speech.Tokens[t + 2].Text == "breath");

    private static readonly HashSet<string> Directions = [.. new[] { "forward", "reverse", "side", "curtsy", "diagonal" }.Select(WordStem.Of)];

    /// <summary>"Forward lunge, step back": a move that is named with its direction is not one of another direction.</summary>
    private static bool MayNarrow(MoveLexicon lexicon, AliasHit general, Move fuller)
    {
        var (one, other) = (lexicon.NameStems(general.Move), lexicon.NameStems(fuller));
        return one[^1] != other[^1]
            ? general.Words == 1 || one.Any(other.Contains)
            : !one.Any(Directions.Contains) || !other.Any(Directions.Contains) || one[0] == other[0];
    }

    /// <summary>True where a move needs what is never spoken of: "cheeky face, please" is no face pull where there is no band. Weights have too many names for this.</summary>
    private static bool LacksKit(Speech speech, Move move) =>
        move.Kit.Any(k => k is not ("dumbbell" or "kettlebell") && !speech.Text.Contains(k.Split(' ')[^1], StringComparison.Ordinal));

    /// <summary>True where a move needs a bell and no weight is spoken of all class: to swing the arms is no kettlebell swing.</summary>
    private static bool LacksWeights(Speech speech, Move move) => move.Kit is ["kettlebell"] && !speech.HasWeights;

    internal static bool AtHand(Speech speech, Move move) => !move.Kit.IsEmpty && move.Kit.All(k => speech.Text.Contains(k, StringComparison.Ordinal));
}
