using System.Collections.Concurrent;
using System.Numerics;
using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>
/// The first three characters with which a match of a phrase can begin, worked out from its pattern. Most words of a recording begin no phrase that is looked for;
/// asking this table first saves trying the pattern on them, which is where most of the time of a reading would go.
/// </summary>
/// <remarks>
/// It understands what the phrases of this folder use: literals, escapes, classes, groups, alternatives, repeats and look-arounds, in lower case.
/// It may say yes too often (look-arounds are not considered), never no wrongly; a test holds every phrase against a plain search.
/// </remarks>
internal sealed class PhraseHeads
{
    // A to z, ten digits, the apostrophe, anything else.
    private const int Symbols = 38;
    private const ulong Letters = (1UL << 26) - 1;
    private const ulong Digits = ((1UL << 10) - 1) << 26;
    private const ulong Other = 1UL << 37;
    private const ulong Any = (1UL << Symbols) - 1;

    // By the phrase itself: each is made once, and its pattern is long to hash.
    private static readonly ConcurrentDictionary<Regex, PhraseHeads> Known = new(ReferenceEqualityComparer.Instance);

    // For each two characters the set of those that may come third.
    private readonly ulong[] _may = new ulong[Symbols * Symbols];

    private PhraseHeads(string pattern)
    {
        foreach (var head in new Parser(pattern).All())
        {
            var (first, second, third) = (head.Length > 0 ? head.First : Any, head.Length > 1 ? head.Second : Any, head.Length > 2 ? head.Third : Any);
            for (var ones = first; ones != 0; ones &= ones - 1)
            {
                for (var twos = second; twos != 0; twos &= twos - 1)
                {
                    _may[(BitOperations.TrailingZeroCount(ones) * Symbols) + BitOperations.TrailingZeroCount(twos)] |= third;
                }
            }
        }
    }

    public static PhraseHeads Of(Regex phrase) => Known.GetOrAdd(phrase, static p => new PhraseHeads(p.ToString()));

    /// <summary>What <see cref="First"/> asks of a place in a text, from which the text goes on like this: the third character in the last six bits.</summary>
    public static int Code(ReadOnlySpan<char> text) => (((At(text, 0) * Symbols) + At(text, 1)) << 6) + At(text, 2);

    /// <summary>The first of some places, from one on, at which a match may begin; how many there are, where at none.</summary>
    /// <param name="codes">The <see cref="Code"/> of each place.</param>
    /// <param name="from">The place to begin with.</param>
    public int First(ReadOnlySpan<int> codes, int from)
    {
        var may = _may;
        var i = from;
        while (i < codes.Length && (may[codes[i] >> 6] >> codes[i] & 1) == 0)
        {
            i++;
        }

        return i;
    }

    private static int At(ReadOnlySpan<char> text, int index) => index < text.Length ? Symbol(text[index]) : Symbols - 1;

    private static int Symbol(char c) => c switch
    {
        >= 'a' and <= 'z' => c - 'a',
        >= '0' and <= '9' => c - '0' + 26,
        '\'' => 36,
        _ => 37,
    };

    /// <summary>Up to three characters, each as the set of what it may be.</summary>
    private readonly record struct Head(int Length, ulong First, ulong Second, ulong Third)
    {
        public const int Longest = 3;

        public static readonly Head Empty = new(0, 0, 0, 0);

        public Head Then(Head next) => (Length, next.Length) switch
        {
            (0, _) => next,
            (1, 1) => new Head(2, First, next.First, 0),
            (1, > 1) => new Head(3, First, next.First, next.Second),
            (2, > 0) => new Head(3, First, Second, next.First),
            _ => this,
        };
    }

    private sealed class Parser(string pattern)
    {
        private int _at;

        public HashSet<Head> All() => Alternatives();

        private HashSet<Head> Alternatives()
        {
            var heads = Sequence();
            while (_at < pattern.Length && pattern[_at] == '|')
            {
                _at++;
                heads.UnionWith(Sequence());
            }

            return heads;
        }

        private HashSet<Head> Sequence()
        {
            var heads = new HashSet<Head> { Head.Empty };
            while (_at < pattern.Length && pattern[_at] is not ('|' or ')'))
            {
                var item = Item();
                var (least, most) = Repeats();
                var repeated = new HashSet<Head>();
                if (least == 0)
                {
                    repeated.Add(Head.Empty);
                }

                // So many characters are all that counts, so more rounds than that add nothing.
                var round = new HashSet<Head> { Head.Empty };
                for (var times = 1; times <= Math.Min(most, Head.Longest); times++)
                {
                    round = Then(round, item);
                    if (times >= Math.Min(least, Head.Longest))
                    {
                        repeated.UnionWith(round);
                    }
                }

                heads = Then(heads, repeated);
            }

            return heads;
        }

        private static HashSet<Head> Then(HashSet<Head> heads, HashSet<Head> next) =>
            heads.All(h => h.Length == Head.Longest) ? heads : [.. heads.SelectMany(h => h.Length == Head.Longest ? [h] : next.Select(h.Then))];

        private HashSet<Head> Item()
        {
            var c = pattern[_at++];
            return c switch
            {
                '(' => Group(),
                '[' => One(Class()),
                '\\' => Escape(pattern[_at++]),
                '^' or '$' => [Head.Empty],
                '.' => One(Any),
                _ => One(1UL << Symbol(c)),
            };
        }

        private static HashSet<Head> One(ulong set) => [new Head(1, set, 0, 0)];

        private static HashSet<Head> Escape(char c) => c is 'b' or 'G' ? [Head.Empty] : One(Escaped(c));

        private static ulong Escaped(char c) => c switch { 'w' => Letters | Digits | Other, 'd' => Digits, 's' => Other, _ => 1UL << Symbol(c) };

        private HashSet<Head> Group()
        {
            var looksAround = false;
            if (pattern[_at] == '?')
            {
                var behind = pattern[_at + 1] == '<';
                looksAround = pattern[_at + 1] is '=' or '!' || (behind && pattern[_at + 2] is '=' or '!');
                _at = looksAround ? _at + (behind ? 3 : 2) : behind ? pattern.IndexOf('>', _at) + 1 : pattern.IndexOf(':', _at) + 1;
            }

            var heads = Alternatives();
            _at++;
            return looksAround ? [Head.Empty] : heads;
        }

        private ulong Class()
        {
            var set = 0UL;
            var negated = pattern[_at] == '^';
            while (pattern[_at] != ']')
            {
                var c = pattern[_at++];
                if (c == '\\')
                {
                    set |= Escaped(pattern[_at++]);
                }
                else if (pattern[_at] == '-' && pattern[_at + 1] != ']')
                {
                    for (var other = c; other <= pattern[_at + 1]; other++)
                    {
                        set |= 1UL << Symbol(other);
                    }

                    _at += 2;
                }
                else
                {
                    set |= 1UL << Symbol(c);
                }
            }

            _at++;
            return negated ? Any : set;
        }

        private (int Least, int Most) Repeats()
        {
            if (_at == pattern.Length || pattern[_at] is not ('?' or '*' or '+' or '{'))
            {
                return (1, 1);
            }

            var c = pattern[_at++];
            var found = c switch { '?' => (0, 1), '*' => (0, int.MaxValue), '+' => (1, int.MaxValue), _ => Braces() };
            if (_at < pattern.Length && pattern[_at] == '?')
            {
                _at++;
            }

            return found;
        }

        private (int Least, int Most) Braces()
        {
            var end = pattern.IndexOf('}', _at);
            var parts = pattern[_at..end].Split(',');
            _at = end + 1;
            var least = int.Parse(parts[0], System.Globalization.CultureInfo.InvariantCulture);
            return (least, parts.Length == 1 ? least : parts[1].Length == 0 ? int.MaxValue : int.Parse(parts[1], System.Globalization.CultureInfo.InvariantCulture));
        }
    }
}
