using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>
/// Punches called by number: "one is your jab, two your cross, three the hook" and then "one two, one two". Heard only where a class says which number is which punch,
/// and only where the numbers cannot be a count: they are said over again, or out of order, or the same few come back all class.
/// </summary>
internal sealed partial class PunchNumbers
{
    /// <summary>Numbers go from the jab to the rear uppercut.</summary>
    private const int Highest = 6;

    /// <summary>So many numbers have to be given their punch.</summary>
    private const int Told = 2;

    /// <summary>"One two three" may be a count; said so many times in a class it is a combination.</summary>
    private const int ComesBack = 3;

    /// <summary>Nobody calls a longer combination.</summary>
    private const int LongestCombination = 5;

    private static readonly ImmutableArray<string> Punches = ["jab", "cross", "hook", "hook", "uppercut", "uppercut"];

    private readonly HashSet<int> _tokens = [];

    public PunchNumbers(IReadOnlyList<Token> tokens, string text)
    {
        Called = IsTold(text) ? [.. Combinations(tokens)] : [];
        foreach (var (_, token, length) in Called)
        {
            _tokens.UnionWith(Enumerable.Range(token, length));
        }
    }

    /// <summary>The moves called by number, where they begin and how many words they have.</summary>
    public ImmutableArray<(string MoveId, int Token, int Length)> Called { get; }

    /// <summary>True for a word that calls a punch and counts nothing.</summary>
    public bool Calls(int token) => _tokens.Contains(token);

    private static bool IsTold(string text) =>
        Tells().Matches(text).Select(m => (Number: int.Parse(m.Groups["n"].ValueSpan, System.Globalization.CultureInfo.InvariantCulture), Punch: m.Groups["punch"].Value))
            .Where(t => t.Punch.StartsWith(Punches[t.Number - 1], StringComparison.Ordinal))
            .Select(t => t.Number).Distinct().Count() >= Told;

    private static IEnumerable<(string MoveId, int Token, int Length)> Combinations(IReadOnlyList<Token> tokens)
    {
        var runs = Runs(tokens).ToList();
        var often = runs.Where(r => r.Once).GroupBy(r => string.Join(' ', r.Numbers)).Where(g => g.Count() >= ComesBack).Select(g => g.Key).ToHashSet();
        return runs.Where(r => !r.Once || often.Contains(string.Join(' ', r.Numbers))).Select(r => (MoveOf(r.Numbers), r.Token, r.Length));
    }

    /// <summary>Runs of numbers up to six; of one that is said over again, the numbers once.</summary>
    private static IEnumerable<(ImmutableArray<int> Numbers, int Token, int Length, bool Once)> Runs(IReadOnlyList<Token> tokens)
    {
        for (var from = 0; from < tokens.Count; from++)
        {
            var to = from;
            while (to < tokens.Count && tokens[to].Number is >= 1 and <= Highest && (to == from || !tokens[to - 1].Stops))
            {
                to++;
            }

            var numbers = Enumerable.Range(from, to - from).Select(t => tokens[t].Number!.Value).ToImmutableArray();
            if (numbers.Length >= 2)
            {
                var period = Enumerable.Range(2, LongestCombination - 1).FirstOrDefault(p => numbers.Length >= 2 * p && Enumerable.Range(p, numbers.Length - p).All(i => numbers[i] == numbers[i - p]));
                var steps = numbers.Zip(numbers.Skip(1), (a, b) => b - a).Distinct().ToList();
                if (period > 0)
                {
                    yield return (numbers[..period], from, numbers.Length, false);
                }
                else if (numbers.Length <= LongestCombination && steps is not [-1])
                {
                    // In order from one it may be a count.
                    yield return (numbers, from, numbers.Length, steps is [1] && numbers[0] == 1);
                }
            }

            from = Math.Max(from, to - 1);
        }
    }

    private static string MoveOf(ImmutableArray<int> numbers) => numbers.Distinct().Order().ToList() switch
    {
        [1] => "jab",
        [1, 2] => "jab-cross",
        [3] or [4] or [3, 4] => "hook",
        [5] or [6] or [5, 6] => "uppercut",
        _ => "punch-combo",
    };

    [GeneratedRegex(@"\b(?<n>[1-6])( (is|are|was|for|means|will be))?( (your|the|a|an|our|that's|my))?( (lead|rear|front|back|left|right|power))? (?<punch>jabs?|cross(es)?|hooks?|uppercuts?)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Tells();
}
