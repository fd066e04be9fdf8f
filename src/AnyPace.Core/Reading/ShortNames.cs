using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds moves that are called by a part of a name said before, joined with another, or pulsed and held where they are.</summary>
internal static class ShortNames
{
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
    internal static void Recalled(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
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
                && ((NameFinder.IsSeveral(word) && (speech.Tokens[t - 1].Cue != word.Cue || BeforeShort.Contains(speech.Tokens[t - 1].Text) || speech.Tokens[t - 1].Pauses))
                    || (speech.Tokens[t - 1].Cue != word.Cue && t + 1 < speech.Tokens.Count && NamesBoth(lexicon, begun.Move, word.Stem, speech.Tokens[t + 1].Stem))))
            {
                added.Add((new AliasHit(begun.Move, true, 1), t, 1));
                continue;
            }

            if (ShortStems.Contains(word.Stem) && last.TryGetValue(word.Stem, out var named) && speech.At(t) - named.At < sameClass
                && t > 0 && (speech.Tokens[t - 1].Pauses || speech.Tokens[t - 1].Number is not null || BeforeShort.Contains(speech.Tokens[t - 1].Text) || OfOneSide(speech, t - 1))
                && (NameFinder.IsSeveral(word) || OfOneSide(speech, t - 1) || word.Text is [.., 'e', 's'] || speech.Tokens[t - 1].Text is "that" or "those" or "these" or "same" || IsAllSaid(speech, t)))
            {
                added.Add((new AliasHit(named.Move, true, 1), t, 1));
            }
        }

        raw.AddRange(added);
        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>"Pick up your heavies and press", and then nothing: it calls the move, and does not tell what to press.</summary>
    private static bool IsAllSaid(Speech speech, int token) =>
        speech.Tokens[token - 1].Text is "and" or "then" or "now" && speech.SilentAfter(token, CallSilence);

    /// <summary>Seconds of silence after a move that is called and not told.</summary>
    private const double CallSilence = 2.5;

    /// <summary>"Right arm press": the side is said before the short name.</summary>
    private static bool OfOneSide(Speech speech, int token) =>
        token > 0 && speech.Tokens[token].Text is "arm" or "hand" or "leg" or "side" && speech.Tokens[token - 1].Text is "left" or "right" or "other";

    /// <summary>Words that are called out for other things than a move.</summary>
    private static readonly HashSet<string> NeverCalled =
        [.. new[] { "rest", "go", "up", "down", "back", "lower", "side", "left", "right", "hold", "step", "out", "in", "on", "high", "low", "leg", "arm", "hand", "body", "chest", "one", "two", "stand", "touch", "round", "set", "work", "first", "half", "full", "single", "double", "good", "big", "slow", "fast", "over", "run", "walk", "roll", "turn", "lift", "stretch", "open", "top", "front", "the", "with", "and", "spot", "seated", "kneeling", "lying", "standing", "alternating", "to", "of", "a", "from", "for", "now", "release" }.Select(WordStem.Of)];

    /// <summary>Words of doing that call a move even beside others: "press, second time".</summary>
    private static readonly HashSet<string> OwnCall = [.. new[] { "push", "pull", "press", "jump", "squat", "lunge" }.Select(WordStem.Of)];

    /// <summary>"Push into the toes" calls nothing.</summary>
    private static readonly HashSet<string> CallGoesOn = ["into", "the", "your", "through", "off", "away", "out", "against", "back", "from", "on", "it", "that"];

    /// <summary>"Climb" is short for climbers from this many letters on.</summary>
    private const int ClearStem = 4;

    /// <summary>
    /// Adds moves that are called out by one word of a name said not long before, in an utterance of a few words: "jumps", "skate", "press, go".
    /// Returns their tokens.
    /// </summary>
    internal static HashSet<int> CalledOut(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const int fewWords = 5;
        const double recently = 330;
        var found = new HashSet<int>();
        var added = new List<(AliasHit Hit, int Token, int Length)>();
        bool Ends(int t) => t < 0 || t + 1 >= speech.Tokens.Count || speech.Tokens[t].Stops || speech.SilentAfter(t, CallSilence);
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
                    if (NeverCalled.Contains(stem) || (end > start && BodyWords.Contains(stem) && !(OwnCall.Contains(stem) && !(t < end && CallGoesOn.Contains(speech.Tokens[t + 1].Text)))) || (under >= 0 && !(raw[under].Hit.Weak && raw[under].Length == 1)))
                    {
                        continue;
                    }

                    var at = speech.At(t);
                    if (t > 0 && speech.Tokens[t - 1].Number == 1 && raw.Exists(r => r.Token < t && at - speech.At(r.Token) < MentionFinder.AnnouncedApart && NameFinder.IsClear(speech, r)))
                    {
                        // "Skaters next ... three, two, one, jump": what is called has its name already.
                        continue;
                    }

                    var named = raw.Where(r => r.Token < start && at - speech.At(r.Token) < recently && (!r.Hit.Weak || r.Length > 1) && !r.Hit.Move.IsGentle && lexicon.NameStems(r.Hit.Move).Any(n => n == stem || (stem.Length >= ClearStem && n.StartsWith(stem, StringComparison.Ordinal)))
                        && RoleReader.Of(speech, r.Token, r.Length, false, false, r.Hit.Described) is Role.Doing or Role.Announced or Role.Previewed).ToList();
                    if (named.Count > 0)
                    {
                        // Of two named in one breath ("curls into hammer curls") the first is called first.
                        var meant = named.First(r => speech.At(named[^1].Token) - speech.At(r.Token) < MentionFinder.OneBreath).Hit.Move;
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

    /// <summary>Joins names that are said as one move; a short word such as "press" counts as a second name there.</summary>
    internal static void Combine(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
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

            if (next <= end + reach && !speech.Punches.Calls(next) && raw[i + 1].Hit.Move.Id != Slip && Combination.Of(lexicon, speech, a.Hit.Move, end, raw[i + 1].Hit.Move, next) is { } move)
            {
                raw[i] = (new AliasHit(move, false, a.Hit.Words + raw[i + 1].Hit.Words), a.Token, next + raw[i + 1].Length - a.Token);
                raw.RemoveAt(i + 1);
                continue;
            }

            if (speech.Punches.Calls(a.Token) && next <= end + 1 && i + 1 < raw.Count && raw[i + 1].Hit.Move.Id == Slip)
            {
                // "One two, slip, slip": what is practised comes last.
                raw.RemoveAt(i--);
                continue;
            }

            for (var t = speech.Punches.Calls(a.Token) ? end : end + 1; t < Math.Min(end + reach, Math.Min(next, speech.Tokens.Count)); t++)
            {
                if (Combination.ShortPart(lexicon, speech.Tokens[t].Stem) is { } part && Combination.Of(lexicon, speech, a.Hit.Move, end, part, t) is { } made)
                {
                    raw[i] = (new AliasHit(made, false, a.Hit.Words + 1), a.Token, t + 1 - a.Token);
                    break;
                }
            }
        }
    }

    private const string Slip = "bob-and-weave";

    /// <summary>"Hold the chair, lunges": a thing to hold, though it is short for a move as well.</summary>
    private static bool IsThing(Speech speech, int token, int length) =>
        length == 1 && speech.Tokens[token].Text is "chair" or "bench" or "step" or "wall" or "ball" or "band" && token > 0 && speech.Tokens[token - 1].Text is "the" or "your" or "a";

    private static bool IsPartOf(MoveLexicon lexicon, Move part, Move whole) =>
        lexicon.NameStems(whole) is var stems && lexicon.NameStems(part) is var few && few.Length < stems.Length && few.All(stems.Contains);

    /// <summary>A hold that gives way to pulses within so many seconds is none.</summary>
    private const double HeldFirst = 10;

    /// <summary>Adds the pulses and holds of the move under way that are not named with it: "stay down and pulse it", "hold it there".</summary>
    internal static void Variants(Speech speech, MoveLexicon lexicon, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        const double begun = 8;
        var added = new List<(AliasHit, int, int)>();
        var next = 0;
        (Move Move, double At)? under = null;
        (Move Move, double At)? held = null;
        for (var t = 0; t < speech.Tokens.Count; t++)
        {
            for (; next < raw.Count && raw[next].Token <= t; next++)
            {
                under = NameFinder.IsClear(speech, raw[next]) ? (raw[next].Hit.Move, speech.At(raw[next].Token)) : under;
            }

            if (held is { } still && speech.At(t) - still.At < HeldFirst && RoleReader.Pulses(speech, t) && lexicon.Variant(still.Move, MoveLexicon.Pulse) is { } pulsed)
            {
                // "Hold it down there, and pulse": the hold was the way into the pulses.
                added[^1] = (new AliasHit(pulsed, true, 2, Described: true), t, 2);
                held = null;
                continue;
            }

            if (under is { } move && speech.At(t) - move.At is >= begun and < MentionFinder.StillThatMove && (RoleReader.Pulses(speech, t) ? MoveLexicon.Pulse : RoleReader.HoldsIt(speech, t) ? MoveLexicon.Hold : null) is { } how
                && lexicon.Variant(move.Move, how) is { } variant && !raw.Exists(r => r.Token <= t && t < r.Token + r.Length))
            {
                added.Add((new AliasHit(variant, true, 2, Described: true), t, 2));
                under = (move.Move, speech.At(t));
                held = how == MoveLexicon.Hold ? (move.Move, speech.At(t)) : null;
            }
        }

        raw.AddRange(added);
        raw.Sort((a, b) => a.Token.CompareTo(b.Token));
    }
}
