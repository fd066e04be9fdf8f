using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>
/// Moves called by something that stands for them: "number one goblet squats, number two press-ups, number three rows" before the class begins, and then "rest ... card two ... go"; "A one is
/// squats, A two is rows"; "on the odd minutes swings, on the even minutes press-ups"; "hearts are squats, spades are lunges". Heard only where a class says what stands for what.
/// </summary>
internal static partial class CodedMoves
{
    private enum Kind
    {
        Number,
        Letter,
        Suit,
        Parity,
    }

    /// <summary>Something that stands for a move.</summary>
    private readonly record struct Code(int Token, int Length, Kind Kind, string Key)
    {
        public int End => Token + Length;
    }

    /// <summary>Words after which a number is that of a move.</summary>
    private static readonly HashSet<string> Numbered = ["number", "move", "exercise", "minute", "station", "card", "drill"];

    private static readonly HashSet<string> Suits = ["heart", "hearts", "spade", "spades", "club", "clubs", "diamond", "diamonds"];

    /// <summary>"A one is goblet squats", but "a one and a half squat" and "a two second hold" are no letters.</summary>
    private static readonly HashSet<string> Stands = ["is", "are", "it's", "will", "be", "we've", "got", "the", "our", "your", "some", "for"];

    private static readonly HashSet<string> Courts = ["jack", "queen", "king", "ace"];

    /// <summary>Names told with what stands for them at most so many seconds apart are told one after the other, too soon for any to be done. Ours, as all that follow.</summary>
    private const double TooSoon = 15;

    /// <summary>Words between what stands for a move and its name at most.</summary>
    private const int Reach = 5;

    /// <summary>A start comes so many seconds before or after the call at most, a stop so many before a number alone.</summary>
    private const double Just = 2;
    private const double StartsWithin = 30;
    private const double StoppedWithin = 6;

    /// <summary>Numbers said within so many seconds of each other are counted.</summary>
    private const double Counted = 1.5;

    /// <summary>So many make a list.</summary>
    private static int Fewest(Kind kind) => kind is Kind.Number or Kind.Suit ? 3 : 2;

    /// <summary>The names that are told in a list with what stands for them: none of them is done yet.</summary>
    public static IEnumerable<int> Listed(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw) => Lists(Codes(speech), speech, raw).SelectMany(l => l).Select(t => t.Index);

    private static IEnumerable<List<(int Index, Code Code)>> Lists(List<Code> codes, Speech speech, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var told = Told(codes, speech, raw);
        for (var (i, end) = (0, 0); i < told.Count; i = end)
        {
            end = i + 1;
            while (end < told.Count && Follows(told[end].Code, told[i..end]) && speech.At(raw[told[end].Index].Token) - speech.At(raw[told[end - 1].Index].Token) <= TooSoon)
            {
                end++;
            }

            if (end - i >= Fewest(told[i].Code.Kind))
            {
                yield return told[i..end];
            }
        }
    }

    /// <summary>Numbers go up by one; of anything else each stands for one move.</summary>
    private static bool Follows(Code code, List<(int Index, Code Code)> list) => code.Kind == list[^1].Code.Kind
        && (code.Kind == Kind.Number ? Number(code) == Number(list[^1].Code) + 1 : !list.Exists(l => l.Code.Key == code.Key));

    private static int Number(Code code) => int.Parse(code.Key, CultureInfo.InvariantCulture);

    /// <summary>The names that are told right after something that may stand for them, in the order they are said.</summary>
    private static List<(int Index, Code Code)> Told(List<Code> codes, Speech speech, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var told = new List<(int Index, Code Code)>();
        foreach (var (i, name) in raw.Index())
        {
            var at = codes.FindLastIndex(c => c.End <= name.Token);
            if (at >= 0 && name.Token - codes[at].End < Reach - 1 && (codes[at].Kind == Kind.Number || !name.Hit.Weak) && !told.Exists(t => t.Code == codes[at])
                && (codes[at].Kind != Kind.Letter || Enumerable.Range(codes[at].End, name.Token - codes[at].End).All(t => Stands.Contains(speech.Tokens[t].Text))))
            {
                told.Add((i, codes[at]));
            }
        }

        return told;
    }

    private static List<Code> Codes(Speech speech)
    {
        var codes = new List<Code>();
        for (var t = 0; t < speech.Tokens.Count; t++)
        {
            var (text, number) = (speech.Tokens[t].Text, speech.Tokens[t].Number);
            var next = t + 1 < speech.Tokens.Count ? speech.Tokens[t + 1] : default;
            if (number is { } n && t > 0 && Numbered.Contains(speech.Tokens[t - 1].Text))
            {
                codes.Add(new Code(t - 1, 2, Kind.Number, n.ToString(CultureInfo.InvariantCulture)));
            }
            else if (text is "a" or "b" or "c" or "d" && next.Number is >= 1 and <= 6)
            {
                codes.Add(new Code(t, 2, Kind.Letter, $"{text}{next.Number}"));
            }
            else if (text is [>= 'a' and <= 'd', >= '1' and <= '6'])
            {
                codes.Add(new Code(t, 1, Kind.Letter, text));
            }
            else if (Suits.Contains(text))
            {
                var suit = text.TrimEnd('s');
                var ranked = t > 1 && speech.Tokens[t - 1].Text == "of" && (speech.Tokens[t - 2].Number is not null || Courts.Contains(speech.Tokens[t - 2].Text));
                codes.Add(ranked ? new Code(t - 2, 3, Kind.Suit, suit) : new Code(t, 1, Kind.Suit, suit));
            }
            else if (text is "odd" or "even" && next.Text is "minute" or "minutes")
            {
                codes.Add(new Code(t, 2, Kind.Parity, text));
            }
        }

        return codes;
    }

    /// <summary>Adds the calls of moves by what stands for them.</summary>
    public static void Call(Speech speech, IReadOnlyList<Mark> marks, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var codes = Codes(speech);
        var told = Lists(codes, speech, raw).SelectMany(l => l).ToList();
        if (told.Count == 0)
        {
            return;
        }

        var moves = new Dictionary<(Kind Kind, string Key), Move>();
        foreach (var (index, code) in told)
        {
            moves[(code.Kind, code.Key)] = raw[index].Hit.Move;
        }

        var from = raw[told[^1].Index].Token;
        var calls = codes.FindAll(c => c.Token > from && MoveOf(c) is not null && IsCalled(c));
        calls.AddRange([.. CalledAlone(told.Where(t => t.Code.Kind == Kind.Number).Select(t => Number(t.Code)).DefaultIfEmpty(0).Max())]);
        foreach (var call in calls)
        {
            raw.RemoveAll(r => r.Token < call.End && r.Token + r.Length > call.Token);
            raw.Add((new AliasHit(MoveOf(call)!, false, 2), call.Token, call.Length));
        }

        raw.Sort((a, b) => a.Token.CompareTo(b.Token));

        // "Minute three" is of the odd ones, where no move has its number.
        Move? MoveOf(Code code) => moves.GetValueOrDefault((code.Kind, code.Key))
            ?? (code.Kind == Kind.Number && speech.Tokens[code.Token].Text == "minute" ? moves.GetValueOrDefault((Kind.Parity, int.IsOddInteger(Number(code)) ? "odd" : "even")) : null);

        bool IsCalled(Code code) => !Over().IsMatch(speech.Before(code.Token, 2)) && !raw.Exists(r => r.Token >= code.End && r.Token < code.End + Reach && !r.Hit.Weak)
            && (code.Kind == Kind.Suit ? code.Length > 1 : IsBeforeStart(code.Token));

        // "Go, minute one" as well as "minute one, go".
        bool IsBeforeStart(int t) => Clocked.Between(marks, speech.At(t) - Just, speech.At(t) + StartsWithin).Any(m => m is { Kind: MarkKind.Start, Strength: >= 0.5 });

        // "And rest. Two.": right after the stop, next in turn, and neither counted nor of anything.
        IEnumerable<Code> CalledAlone(int highest)
        {
            var last = 0;
            for (var t = from + 1; highest > 0 && t < speech.Tokens.Count; t++)
            {
                var next = (last % highest) + 1;
                if (calls.Find(c => c.Token <= t && c.End > t) is { Length: > 0 } call)
                {
                    last = call.Kind == Kind.Number ? Number(call) : last;
                }
                else if (speech.Tokens[t].Number == next && IsAlone(t) && IsBeforeStart(t))
                {
                    last = next;
                    var code = new Code(t, 1, Kind.Number, next.ToString(CultureInfo.InvariantCulture));
                    if (MoveOf(code) is not null)
                    {
                        yield return code;
                    }
                }
            }
        }

        bool IsAlone(int t) => !IsNumber(t - 1, t) && !IsNumber(t + 1, t) && !Unit().IsMatch(speech.After(t + 1, 1))
            && Clocked.Between(marks, speech.At(t) - StoppedWithin, speech.At(t)).Any(m => m is { Kind: MarkKind.Stop, Strength: >= 0.5 });

        bool IsNumber(int other, int t) => other >= 0 && other < speech.Tokens.Count && speech.Tokens[other].Number is not null && Math.Abs(speech.At(other) - speech.At(t)) < Counted;
    }

    [GeneratedRegex(@"\b(that's|that was|was|after|did|done|end of)$", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Over();

    [GeneratedRegex(@"^(seconds?|minutes?|more|left|to|of|each|reps?|rounds?|sets?|times?|done|down|out|breaths?|pounds?|kilos?)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Unit();
}
