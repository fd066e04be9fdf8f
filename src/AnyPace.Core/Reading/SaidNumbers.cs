namespace AnyPace.Core.Reading;

/// <summary>A number in speech that may be part of a dose.</summary>
/// <param name="Token">Its first word.</param>
/// <param name="End">The word after its last, its unit included.</param>
/// <param name="Value">Seconds where a unit of time is said, else a count.</param>
/// <param name="IsTime">True where a unit of time is said.</param>
public readonly record struct SaidNumber(int Token, int End, double Value, bool IsTime);

/// <summary>Finds the numbers that may be part of a dose, and what the words about each say of what it is for.</summary>
internal static class SaidNumbers
{
    /// <summary>Seconds; longer is a class or a part of one. No count is that high.</summary>
    private const double LongestTime = 300;

    /// <summary>Words looked at on either side.</summary>
    private const int Near = 7;

    /// <summary>Words within which another number is looked for.</summary>
    private const int OtherNumber = 9;

    /// <summary>Seconds of silence past which words are about something else.</summary>
    private const double Silence = 4;

    /// <summary>Numbers that follow each other one by one, so many in a row, are a count out loud.</summary>
    private const int Counted = 3;

    public static IReadOnlyList<SaidNumber> Find(Speech speech)
    {
        var found = new List<SaidNumber>();
        var tokens = speech.Tokens;
        for (var i = 0; i < tokens.Count; i++)
        {
            if (Of(tokens, i) is { Value: <= LongestTime } number && (number.IsTime || !IsCount(tokens, i)))
            {
                found.Add(number);
                i = number.End - 1;
            }
        }

        return found;
    }

    private static SaidNumber? Of(IReadOnlyList<Token> tokens, int i)
    {
        string Text(int t) => t < tokens.Count ? tokens[t].Text : "";
        if (Text(i) == "half" && Text(i + 1) == "a" && Seconds(Text(i + 2)) == 60)
        {
            return new SaidNumber(i, i + 3, 30, true);
        }

        if (Text(i) == "twice")
        {
            return new SaidNumber(i, i + 1, 2, false);
        }

        // "A minute and a half", "a full minute".
        var number = tokens[i].Number ?? (Text(i) == "a" ? 1 : 0);
        var at = i + (Text(i + 1) is "full" or "whole" or "solid" or "good" ? 2 : 1);
        var unit = Seconds(Text(at));
        if (number > 0 && unit > 0)
        {
            var half = DurationFinder.IsAndAHalf(tokens, at + 1);
            return new SaidNumber(i, at + (half ? 4 : 1), (number + (half ? 0.5 : 0)) * unit, true);
        }

        return tokens[i].Number is >= 2 ? new SaidNumber(i, i + 1, number, false) : null;
    }

    /// <summary>"A minute's rest" is told by its words; the phrases of doses know it in forms of their own.</summary>
    private static int Seconds(string unit) => DurationFinder.SecondsIn(unit == "minute's" ? "minute" : unit);

    private static bool IsCount(IReadOnlyList<Token> tokens, int i)
    {
        foreach (var step in (int[])[1, -1])
        {
            bool Goes(int t) => t >= 0 && t + 1 < tokens.Count && tokens[t + 1].Number - tokens[t].Number == step;
            var (first, last) = (i, i);
            while (Goes(first - 1))
            {
                first--;
            }

            while (Goes(last))
            {
                last++;
            }

            if (last - first + 1 >= Counted)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>The traits of a number: how large it is, the words on both sides and the groups they are of, and the numbers near it.</summary>
    public static HashSet<string> Traits(Speech speech, SaidNumber number) => TraitNames.Of(sink => Tell(sink, speech, number));

    public static void Tell(TraitSink traits, Speech speech, SaidNumber number)
    {
        var tokens = speech.Tokens;
        bool Parts(int t) => tokens[t].Stops || speech.SilentAfter(t, Silence);
        var kind = number.IsTime ? "t" : tokens[number.Token].Number is null ? "w" : "c";
        traits.Add(kind);
        traits.Add($"{kind} {Size(number)}");
        List<string> after = [], before = [];
        for (var t = number.End; t < Math.Min(tokens.Count, number.End + Near) && !Parts(t - 1); t++)
        {
            after.Add(Word(tokens[t]));
        }

        for (var t = number.Token - 1; t >= Math.Max(0, number.Token - Near) && !Parts(t); t--)
        {
            before.Add(Word(tokens[t]));
        }

        after.Add(End);
        before.Add(End);
        foreach (var (words, side) in ((List<string>, char)[])[(after, '>'), (before, '<')])
        {
            PlacedWords.Add(traits, [kind], side, words, WordGroups.Numbers.NameOr);
            if (Other(speech, number, side == '>' ? 1 : -1, Parts) is { } other)
            {
                traits.Add($"{kind}{side} {(other.IsTime ? "t" : "c")} number");
                traits.Add($"{kind}{side} {(other.IsTime ? "t" : "c")} number {Math.Sign(other.Value - number.Value)}");
            }
        }

        traits.Add($"{kind} {before[0]} * {after[0]}");
        traits.Add($"{kind} {WordGroups.Numbers.NameOr(before[0])} * {WordGroups.Numbers.NameOr(after[0])}");
    }

    private const string End = "(end)";

    private static SaidNumber? Other(Speech speech, SaidNumber number, int step, Func<int, bool> parts)
    {
        var from = step > 0 ? number.End : number.Token - 1;
        for (var t = from; t >= 0 && t < speech.Tokens.Count && Math.Abs(t - from) < OtherNumber; t += step)
        {
            if (parts(step > 0 ? t - 1 : t))
            {
                return null;
            }

            if (speech.Tokens[t].Number is not null && Of(speech.Tokens, t) is { } other)
            {
                return other;
            }
        }

        return null;
    }

    private static string Word(Token token) => token.Number switch
    {
        null => token.Text,
        <= 1 => "#1",
        <= 4 => "#few",
        <= 12 => "#some",
        _ => "#many",
    };

    /// <summary>How large, roughly: up to which of these.</summary>
    private static string Size(SaidNumber number)
    {
        var bounds = number.IsTime ? Times : Counts;
        var place = Array.FindIndex(bounds, b => number.Value <= b);
        return place < 0 ? "more" : $"to {bounds[place]}";
    }

    private static readonly int[] Times = [4, 7, 10, 15, 25, 30, 50, 60, 90, 180];
    private static readonly int[] Counts = [2, 3, 4, 6, 9, 12, 16, 25, 30, 50, 60];
}
