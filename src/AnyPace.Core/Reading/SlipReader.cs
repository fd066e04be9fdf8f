using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What goes wrong aloud: a count that is lost or jumps, the wrong move announced, a move left out.</summary>
internal static partial class SlipReader
{
    /// <summary>Numbers of one count follow each other within this many seconds.</summary>
    private const double CountPace = 6;

    /// <summary>On both sides of a jump at least this many numbers must be counted in order, else captions that drop a word would make the jump.</summary>
    private const int SureRun = 3;

    /// <summary>A name this close to "we skipped", in tokens, is the move left out.</summary>
    private const int NameReach = 6;

    public static ImmutableArray<Slip> Read(Speech speech, IReadOnlyList<Mention> mentions)
    {
        var slips = new List<Slip>();
        void Add(int token, SlipKind kind, string? moveId) =>
            slips.Add(new Slip(new Seconds(Math.Round(speech.At(token), 1)), kind, moveId, speech.Around(token, 4, 10)));

        foreach (var match in speech.Find(Lost()))
        {
            Add(speech.TokenAt(match.Index), SlipKind.LostCount, null);
        }

        foreach (var token in Jumps(speech))
        {
            Add(token, SlipKind.CountJumps, null);
        }

        foreach (var match in speech.Find(LeftOut()))
        {
            var token = speech.TokenAt(match.Index);
            if (mentions.FirstOrDefault(m => m.Token >= token && m.Token <= token + NameReach && !m.Weak) is { } named)
            {
                Add(token, SlipKind.MoveLeftOut, named.Move.Id);
            }
        }

        foreach (var m in mentions.Where(m => m.Role == Role.Negated && RoleReader.IsTakenBack(speech, m.Token, m.Length)))
        {
            Add(m.Token, SlipKind.WrongMove, m.Move.Id);
        }

        return [.. slips.OrderBy(s => s.At).DistinctBy(s => (s.Kind, Math.Floor(s.At.Value / 10)))];
    }

    /// <summary>Tokens at which a count upwards leaves out numbers or says one twice.</summary>
    private static IEnumerable<int> Jumps(Speech speech)
    {
        var run = new List<(int Token, double Number)>();
        for (var i = 0; i < speech.Tokens.Count; i++)
        {
            if (speech.Tokens[i].Number is not { } n || n > 40 || (i + 1 < speech.Tokens.Count && IsUnit(speech.Tokens[i + 1].Text)))
            {
                continue;
            }

            if (run.Count > 0 && speech.At(i) - speech.At(run[^1].Token) > CountPace)
            {
                run.Clear();
            }

            run.Add((i, n));
            var at = run.Count - SureRun;
            if (at >= SureRun && Ordered(run, at - SureRun) && Ordered(run, at) && run[at].Number - run[at - 1].Number is 0 or 2 or 3)
            {
                yield return run[at].Token;
                run.Clear();
            }
        }
    }

    private static bool IsUnit(string word) => word is "seconds" or "second" or "minutes" or "minute" or "more" or "reps" or "pounds" or "kilos" or "times" or "rounds" or "sets";

    private static bool Ordered(List<(int Token, double Number)> run, int from)
    {
        for (var i = from + 1; i < from + SureRun; i++)
        {
            if (run[i].Number - run[i - 1].Number != 1)
            {
                return false;
            }
        }

        return true;
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b(where (was|were|am) (i|we)\b(?! (from|going))|(i('ve)?|we('ve)?|just) lost (my |the |our )?(count|track)|lost count|how many (is|was|are|have we done|did we do)\b( that| we on)?|what (number|count|rep) (are|were|am) (we|i)|(i|we) (can't|cannot) count|forgot to count|(1|one) too many|miscounted|counting is hard)", Options)]
    private static partial Regex Lost();

    [GeneratedRegex(@"\G\b((i|we)('ve)?( just| totally| completely)? (skipped|missed|forgot|left out)( out)?|i forgot (about )?(the|our|your))\b", Options)]
    private static partial Regex LeftOut();
}
