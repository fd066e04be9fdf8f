namespace AnyPace.Core.Reading;

/// <summary>What a said length of time is for.</summary>
internal enum DurationKind
{
    /// <summary>Something else: time left, the length of a class.</summary>
    Other,

    /// <summary>No word near it says; a rest said right after makes it work.</summary>
    Unclear,
    Work,
    Rest,
}

/// <param name="Token">The number's token.</param>
internal readonly record struct Duration(int Token, double Seconds, DurationKind Kind);

/// <summary>Finds said lengths of time and decides, from the words on both sides, whether each is work, rest or something else.</summary>
internal static class DurationFinder
{
    private static readonly HashSet<string> WorkAfter =
        ["on", "work", "working", "active", "hard", "effort", "each", "per", "every", "interval", "intervals", "hold", "holds", "exercise", "exercises", "bursts", "efforts", "rounds", "everything", "station", "stations"];

    private static readonly HashSet<string> WorkBefore =
        ["work", "working", "works", "exercise", "exercises", "move", "moves", "movement", "each", "every", "hold", "holding", "interval", "intervals", "timer", "lasts", "round", "rounds", "station", "everything", "clock"];

    private static readonly HashSet<string> RestAfter =
        ["rest", "off", "recovery", "recover", "break", "breather", "transition", "transitions", "change", "switch", "swap", "between", "breath", "breathe", "changeover", "pause", "ready", "easy", "reset", "resting", "recovering", "rests", "gap", "breaks"];

    /// <summary>What is done in a rest: "to" and one of these.</summary>
    private static readonly HashSet<string> GetReady =
        ["get", "move", "set", "switch", "change", "transition", "grab", "swap", "reset", "recover", "rest", "breathe", "catch", "prepare", "rotate", "shake", "recharge", "walk"];

    private static readonly HashSet<string> RestBefore = ["rest", "rests", "resting", "break", "recovery", "recover", "transition", "pause"];

    /// <summary>Words that make a length a count of the moment or a whole class: "ten seconds left", "twenty minute workout".</summary>
    private static readonly HashSet<string> OtherAfter =
        ["left", "remaining", "more", "workout", "class", "session", "routine", "gone", "in", "ago", "training", "video", "practice", "away", "later", "cardio", "hiit", "of", "down", "core", "pilates", "yoga", "barre", "flow", "stretch", "full", "total", "long", "low", "beginner", "abs", "strength", "ab", "warm", "warmup", "preview", "intro", "till", "until", "done"];

    private static readonly HashSet<string> ClauseStarts = ["and", "then", "we", "we're", "we'll", "you", "you're", "you'll", "with", "followed", "the", "i", "so"];

    /// <summary>What comes in so many seconds.</summary>
    private static readonly HashSet<string> Awaited = ["go", "going", "begin", "beginning", "start", "starting", "up", "1", "next", "you", "back", "finish", "finished", "done", "change", "changing", "switch", "switching", "rest"];

    /// <summary>What is counted after a rest: "no rest, eighteen exercises".</summary>
    private static readonly HashSet<string> Counted = ["reps", "rep", "rounds", "round", "sets", "set", "times", "more", "exercises", "exercise", "moves", "move", "stations", "circuits", "blocks", "laps", "movements"];

    /// <summary>Words for whose length nobody works.</summary>
    private static readonly HashSet<string> OtherBefore = ["song", "track", "video", "playlist", "drink", "water", "sip"];

    /// <summary>Seconds of silence between two captions after which another thing is said.</summary>
    private const double ClauseSilence = 3;

    private const int Near = 4;
    private const int FarBefore = 7;

    /// <summary>Words within which a rest was spoken of whose length is then told: "rest as long as you like, I usually take about a minute".</summary>
    private const int RestFarBefore = 12;

    public static IReadOnlyList<Duration> Find(Speech speech)
    {
        var found = new List<Duration>();
        var tokens = speech.Tokens;
        for (var i = 0; i < tokens.Count; i++)
        {
            var half = tokens[i].Text is "half" && i + 2 < tokens.Count && tokens[i + 1].Text is "a" && tokens[i + 2].Text is "minute";
            if (half)
            {
                found.Add(new Duration(i, 30, KindOf(speech, i, i + 3)));
                i += 2;
                continue;
            }

            var one = tokens[i].Text is "a" or "an" or "1";
            if (tokens[i].Number is null && !one)
            {
                continue;
            }

            var unit = i + 1 < tokens.Count ? tokens[i + 1].Text : "";
            var factor = SecondsIn(unit);
            var number = tokens[i].Number ?? 1;
            if (factor > 0)
            {
                // "A minute and a half".
                var andHalf = IsAndAHalf(tokens, i + 2);
                found.Add(new Duration(i, (number + (andHalf ? 0.5 : 0)) * factor, KindOf(speech, i, i + (andHalf ? 5 : 2))));
            }
            else if (tokens[i].Number is { } whole && IsAndAHalf(tokens, i + 1) && i + 4 < tokens.Count && tokens[i + 4].Text is "minute" or "minutes")
            {
                found.Add(new Duration(i, (whole + 0.5) * 60, KindOf(speech, i, i + 5)));
                i += 4;
            }
            else if (tokens[i].Number is >= 5 and <= 120 && Bare(tokens, i) is { } kind)
            {
                found.Add(new Duration(i, number, kind));
            }
        }

        return found;
    }

    /// <summary>Seconds of a unit of time, 0 for any other word.</summary>
    internal static int SecondsIn(string unit) => unit switch
    {
        "second" or "seconds" or "sec" or "secs" => 1,
        "minute" or "minutes" or "min" or "mins" => 60,
        _ => 0,
    };

    internal static bool IsAndAHalf(IReadOnlyList<Token> tokens, int at) =>
        at + 2 < tokens.Count && (tokens[at].Text, tokens[at + 1].Text, tokens[at + 2].Text) is ("and", "a", "half");

    /// <summary>A number without a unit counts next to "on" or "off", or after "work for", "rest for".</summary>
    private static DurationKind? Bare(IReadOnlyList<Token> tokens, int i)
    {
        var next = i + 1 < tokens.Count ? tokens[i + 1].Text : "";
        var (before, before2) = (i > 0 ? tokens[i - 1].Text : "", i > 1 ? tokens[i - 2].Text : "");
        return (next, before, before2) switch
        {
            ("off", "for", "on") => DurationKind.Work,
            (_, "for", "on") when i > 2 && tokens[i - 3].Text is "you're" or "we're" or "are" or "be" => DurationKind.Work,
            ("off", _, _) => DurationKind.Rest,
            ("to", _, _) when i + 2 < tokens.Count && GetReady.Contains(tokens[i + 2].Text) && tokens[i + 2].Text is not ("get" or "catch" or "grab" or "shake" or "set") && LengthBefore(tokens, i) => DurationKind.Rest,
            (_, "is", "rest" or "recovery") => DurationKind.Rest,
            (_, "is", "work") when Follows(tokens, i + 1) || LengthBefore(tokens, i) => DurationKind.Work,
            (_, "for", "off") => DurationKind.Rest,
            ("rest", "work", not ("seconds" or "minutes" or "minute")) when i < 2 || tokens[i - 2].Number is null => DurationKind.Work,
            (_, "rest", _) when i > 1 && tokens[i - 2].Number is not null && !Counted.Contains(next) => DurationKind.Rest,
            ("of", _, _) when i + 2 < tokens.Count && tokens[i + 2].Text is "rest" or "recovery" => DurationKind.Rest,
            (_, "is", "time" or "period" or "interval") when i > 2 && tokens[i - 3].Text is "rest" or "recovery" => DurationKind.Rest,
            ("of", _, _) when i + 3 < tokens.Count && tokens[i + 2].Text is "work" && tokens[i + 3].Number is not null => DurationKind.Work,
            ("of", _, _) when i > 2 && tokens[i - 1].Text is "work" && tokens[i - 2].Text is "of" => DurationKind.Rest,
            (_, "on", "clock's" or "timer's") => DurationKind.Work,
            ("rest" or "recovery", "for", "work" or "working") => DurationKind.Work,
            (_, "for", "recover" or "recovering") => DurationKind.Rest,
            ("then" or "and" or "to" or "before", "take", _) when LengthBefore(tokens, i) => DurationKind.Rest,
            (_, "rest", _) when LengthBefore(tokens, i) && !Counted.Contains(next) && !IsClosed(tokens, i - 1) => DurationKind.Rest,
            ("in", "with", _) when i + 2 < tokens.Count && tokens[i + 2].Text is "between" => DurationKind.Rest,
            (_, "resting" or "recovering", _) => DurationKind.Rest,
            ("rest" or "recovery", not "to", _) => DurationKind.Rest,
            ("to", _, _) when i + 3 < tokens.Count && tokens[i + 2].Text is "get" && tokens[i + 3].Text is "ready" or "into" or "set" or "to" or "over" or "across" or "yourself" or "yourselves" or "you" or "us" && LengthBefore(tokens, i) => DurationKind.Rest,
            ("to", _, _) when i + 4 < tokens.Count && tokens[i + 2].Text is "get" or "catch" && tokens[i + 4].Text is "breath" => DurationKind.Rest,
            ("to", "get" or "have" or "got", _) when i + 2 < tokens.Count && tokens[i + 2].Text is "recover" or "rest" or "breathe" => DurationKind.Rest,
            (_, "for", "rest" or "resting") => DurationKind.Rest,
            ("on" or "work", _, _) when Follows(tokens, i + 2) && tokens[i + 2].Text is not ("the" or "your" or "each" or "this" or "that" or "every" or "both") => DurationKind.Work,
            (_, "for", "work" or "working" or "go" or "hard") => DurationKind.Work,
            _ => null,
        };
    }

    /// <summary>A length with its unit was said a few words before: "forty seconds, and fifteen to transition".</summary>
    private static bool LengthBefore(IReadOnlyList<Token> tokens, int i)
    {
        for (var t = i - 1; t >= Math.Max(1, i - FarBefore); t--)
        {
            if (tokens[t].Text is "second" or "seconds" or "minute" or "minutes" or "on" && tokens[t - 1].Number is not null)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>"Thirty on" is work only where a number for the rest follows; "twelve on each side" is not.</summary>
    private static bool Follows(IReadOnlyList<Token> tokens, int from)
    {
        for (var t = from; t < Math.Min(tokens.Count, from + 5); t++)
        {
            if (tokens[t].Number is not null)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>True where a number follows at once, or after "time is", "for": the word before is of that number.</summary>
    private static bool OfTheNext(IReadOnlyList<Token> tokens, int from)
    {
        var t = from;
        while (t < Math.Min(tokens.Count, from + 3) && tokens[t].Text is "for" or "time" or "is" or "period" or "periods" or "are" or "of")
        {
            t++;
        }

        if (t + 2 < tokens.Count && tokens[t].Text is "half" && tokens[t + 2].Text is "minute")
        {
            return true;
        }

        if (t >= tokens.Count || tokens[t].Number is null || tokens[t - 1].Pauses)
        {
            return false;
        }

        // "Twenty seconds rest. Ten more seconds of this ..." counts what is left; "ten seconds rest, eight rounds", "twenty seconds rest, forty seconds work" are each their own.
        var next = t + 1 < tokens.Count ? tokens[t + 1].Text : "";
        return !(next is "more" or "left" or "rounds" or "times" or "sets" or "exercises" or "moves" or "reps" or "laps" or "circuits")
            && !(next is "seconds" or "second" or "minutes" or "minute" && t + 2 < tokens.Count && tokens[t + 2].Text is "work" or "working" or "on");
    }

    /// <summary>"You've just done", "that you just held for".</summary>
    private static bool JustDone(IReadOnlyList<Token> tokens, int token)
    {
        const int near = 5;
        for (var t = token - 1; t >= Math.Max(1, token - near); t--)
        {
            if (tokens[t].Text is "done" or "did" or "held" && tokens[t - 1].Text == "just")
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>"Fifteen seconds rest", "no rest": a word of rest that has its length before it has none after it.</summary>
    private static bool IsClosed(IReadOnlyList<Token> tokens, int rest)
    {
        var t = rest - 1;
        t -= t >= 0 && tokens[t].Text is "of" ? 1 : 0;
        return (t >= 1 && SecondsIn(tokens[t].Text) > 0 && tokens[t - 1].Number is not null) || (t >= 0 && tokens[t].Text is "no");
    }

    /// <summary>The last so many words before one.</summary>
    private static IEnumerable<string> Before(IReadOnlyList<Token> tokens, int token, int within) =>
        Enumerable.Range(Math.Max(0, token - within), Math.Min(token, within)).Select(t => tokens[t].Text);

    /// <summary>"We hold every one for": what follows is the length of all holds, not of one.</summary>
    private static bool HoldsAll(IReadOnlyList<Token> tokens, int token)
    {
        const int within = 7;
        var words = Before(tokens, token, within).ToList();
        return words.Exists(w => w is "hold" or "holding" or "held" or "stay" or "staying") && words.Exists(w => w is "each" or "every" or "everything" or "all" or "them" or "these");
    }

    private static DurationKind KindOf(Speech speech, int token, int after)
    {
        var tokens = speech.Tokens;

        // "Thirty to sixty seconds": what is said before is said before the first.
        token -= token > 1 && tokens[token - 1].Text is "to" or "or" && tokens[token - 2].Number < tokens[token].Number ? 2 : 0;
        var justDone = JustDone(tokens, token);

        // "Ten seconds, off we go", "you can do anything for ninety seconds", "a minute at the end of each set".
        if ((after + 2 < tokens.Count && tokens[after].Text is "off" or "here" or "and" && tokens[after + 1].Text is "we" or "you" && tokens[after + 2].Text is "go")
            || (token > 1 && tokens[token - 1].Text is "for" && tokens[token - 2].Text is "anything")
            || (after + 1 < tokens.Count && tokens[after].Text == "after" && tokens[after + 1].Text is "each" or "every")
            || (after + 2 < tokens.Count && tokens[after].Text is "at" or "in" && tokens[after + 1].Text == "the" && tokens[after + 2].Text is "end" or "middle"))
        {
            return DurationKind.Other;
        }

        // "Forty seconds, no rest".
        if (after + 1 < tokens.Count && tokens[after].Text is "no" or "without" && tokens[after + 1].Text is "rest" or "break" or "breaks")
        {
            return DurationKind.Work;
        }

        // "Fifteen seconds for you to recover", "take a minute".
        after += after + 1 < tokens.Count && tokens[after].Text == "for" && tokens[after + 1].Text is "you" or "us" ? 2 : 0;
        if (token > 0 && tokens[token - 1].Text == "take" && tokens[token].Text is "a" or "1")
        {
            return DurationKind.Rest;
        }

        for (var t = after; t < Math.Min(tokens.Count, after + Near) && !speech.SilentAfter(t - 1, ClauseSilence); t++)
        {
            var word = tokens[t].Text;
            // "Fifty seconds a move".
            if (t == after && word is "a" or "an" && t + 1 < tokens.Count && tokens[t + 1].Text is "move" or "exercise" or "station")
            {
                return DurationKind.Work;
            }

            // "Five minutes in already", "thirty seconds, grab some water", "two minutes and we're done".
            if (t == after && ((word == "and" && t + 2 < tokens.Count && tokens[t + 1].Text is "we're" or "you're" && tokens[t + 2].Text is "done" or "out" or "finished" or "through") || (word == "in" && t + 1 < tokens.Count && tokens[t + 1].Text is "already" or "now" or "and" or "so" or "we" or "we're" or "you're") || word is "grab" or "have"))
            {
                return DurationKind.Other;
            }

            // Another number, or the start of the next thing said.
            if (tokens[t].Number is not null || ClauseStarts.Contains(word))
            {
                break;
            }

            // "Forty seconds to work and you'll get twenty to recover", "to get as many as you can".
            if (t == after && word == "to" && t + 1 < tokens.Count && (tokens[t + 1].Text is "work" || (tokens[t + 1].Text is "get" && t + 2 < tokens.Count && tokens[t + 2].Text is "as")))
            {
                return DurationKind.Work;
            }

            // "Fifteen seconds to get into the next one".
            if (t == after && word == "to" && t + 1 < tokens.Count && GetReady.Contains(tokens[t + 1].Text))
            {
                return DurationKind.Rest;
            }

            // "Forty seconds, rest twenty": the word belongs to the number after it.
            if (t == after && word is "rest" or "resting" or "recover" or "recovering" && OfTheNext(tokens, t + 1))
            {
                break;
            }

            // "Twenty seconds before the next one".
            if (t == after && word == "before" && t + 2 < tokens.Count && tokens[t + 1].Text == "the" && tokens[t + 2].Text == "next")
            {
                return DurationKind.Rest;
            }

            if (RestAfter.Contains(word) || (word == "active" && t + 1 < tokens.Count && RestAfter.Contains(tokens[t + 1].Text)))
            {
                return DurationKind.Rest;
            }

            // "There's thirty seconds on the clock".
            if (word == "on" && t + 2 < tokens.Count && tokens[t + 1].Text == "the" && tokens[t + 2].Text is "clock" or "timer")
            {
                break;
            }

            // "You've just done two minutes of work".
            if (WorkAfter.Contains(word) && !justDone)
            {
                // "Ten seconds on each side", "thirty seconds each side": a hold of one move.
                return t + 1 < tokens.Count && (word is "each" or "per" or "on" or "every") && tokens[Math.Min(tokens.Count - 1, t + (word == "on" ? 2 : 1))].Text is "side" or "leg" or "arm" or "sides" && !HoldsAll(tokens, token)
                    ? DurationKind.Other
                    : DurationKind.Work;
            }

            if (OtherAfter.Contains(word) && !(word is "of" or "long" or "in"))
            {
                return DurationKind.Other;
            }
        }

        if (after + 2 < tokens.Count && tokens[after].Text == "to" && tokens[after + 1].Text is "go")
        {
            return DurationKind.Other;
        }

        // "As long as you need to rest, I usually take about a minute".
        if (token > 1 && (tokens[token - 1].Text is "take" || (tokens[token - 1].Text is "about" or "around" && tokens[token - 2].Text is "take")) && Before(tokens, token, RestFarBefore).Any(RestBefore.Contains))
        {
            return DurationKind.Rest;
        }

        // "Forty seconds working, then you get twenty seconds".
        if (token > 2 && tokens[token - 1].Text is "get" or "got" or "have" && tokens[token - 3].Text == "then" && LengthBefore(tokens, token))
        {
            return DurationKind.Rest;
        }

        // "We go in ten seconds", "another ten seconds", "the first five minutes", "that was a minute".
        var (before, before2) = (token > 0 ? tokens[token - 1].Text : "", token > 1 ? tokens[token - 2].Text : "");
        if (before is "another" or "final" or "was" || (before == "in" && Awaited.Contains(before2)) || (before is "first" or "last" && before2 is "the" or "your" or "our" or "that's") || justDone)
        {
            return DurationKind.Other;
        }

        for (var t = token - 1; t >= Math.Max(0, token - FarBefore) && !tokens[t].Stops && !speech.SilentAfter(t, ClauseSilence); t--)
        {
            var word = tokens[t].Text;
            if (tokens[t].Number is not null && word != "1" && token - t > 1)
            {
                break;
            }

            if ((RestBefore.Contains(word) && !IsClosed(tokens, t)) || (word == "stop" && tokens[t + 1].Text == "for" && token - t == 2))
            {
                return DurationKind.Rest;
            }

            // "Forty seconds of work followed by twenty seconds where you can breathe".
            if (word == "by" && t > 0 && tokens[t - 1].Text == "followed" && token - t <= 2 && !(after < tokens.Count && tokens[after].Text == "of"))
            {
                return DurationKind.Rest;
            }

            if (OtherBefore.Contains(word))
            {
                return DurationKind.Other;
            }

            // "We'll be here for thirty seconds", "we go for thirty seconds".
            if (WorkBefore.Contains(word) || (word is "here" or "go" or "going" && (token - t == 1 || (tokens[t + 1].Text == "for" && token - t == 2))))
            {
                return DurationKind.Work;
            }
        }

        return after < tokens.Count && tokens[after].Text is "each" ? DurationKind.Work : DurationKind.Unclear;
    }
}
