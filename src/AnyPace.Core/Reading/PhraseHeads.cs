using System.Collections.Concurrent;
using System.Numerics;
using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>
/// The first few characters with which a match of a phrase can begin, worked out from its pattern. Most words of a recording begin no phrase that is looked for;
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

    /// <summary>So many characters are looked up in a table; most words fail there.</summary>
    private const int InTable = 3;

    /// <summary>So many more are held against the beginnings that are known.</summary>
    private const int Further = 3;

    /// <summary>A head is followed no further where its characters may be so many.</summary>
    private const int MostBeginnings = 200;

    // By the phrase itself: each is made once, and its pattern is long to hash.
    private static readonly ConcurrentDictionary<Regex, PhraseHeads> Known = new(ReferenceEqualityComparer.Instance);

    // For each two characters the set of those that may come third, and of those with which anything may go on.
    private readonly ulong[] _may = new ulong[Symbols * Symbols];
    private readonly ulong[] _whatever = new ulong[Symbols * Symbols];

    // The beginnings of four, five and six characters.
    private readonly HashSet<uint>?[] _beginnings = new HashSet<uint>?[Further];

    private PhraseHeads(string pattern)
    {
        foreach (var sets in new Parser(pattern).All())
        {
            var length = Followed(sets);
            Note(sets, _may);
            if (length <= InTable)
            {
                Note(sets, _whatever);
                continue;
            }

            var beginnings = _beginnings[length - InTable - 1] ??= [];
            foreach (var beginning in Beginnings(sets.AsMemory(0, length)))
            {
                beginnings.Add(beginning);
            }
        }
    }

    public static PhraseHeads Of(Regex phrase) => Known.GetOrAdd(phrase, static p => new PhraseHeads(p.ToString()));

    /// <summary>How a text goes on from a place: what <see cref="First"/> asks of it.</summary>
    /// <param name="Three">Its first three characters, the third in the last six bits.</param>
    /// <param name="Six">Its first six characters, as one number.</param>
    public readonly record struct Place(int Three, uint Six)
    {
        public static Place Of(ReadOnlySpan<char> text)
        {
            var six = 0u;
            for (var i = 0; i < InTable + Further; i++)
            {
                six = (six * Symbols) + (uint)At(text, i);
            }

            return new Place((((At(text, 0) * Symbols) + At(text, 1)) << 6) + At(text, 2), six);
        }
    }

    /// <summary>The first of some places, from one on, at which a match may begin; how many there are, where at none.</summary>
    /// <param name="from">The place to begin with.</param>
    public int First(ReadOnlySpan<Place> places, int from)
    {
        var may = _may;
        var i = from;
        while (i < places.Length && ((may[places[i].Three >> 6] >> places[i].Three & 1) == 0 || !GoesOn(places[i])))
        {
            i++;
        }

        return i;
    }

    private bool GoesOn(Place place)
    {
        const uint two = Symbols * Symbols;
        return (_whatever[place.Three >> 6] >> place.Three & 1) != 0
            || _beginnings[2]?.Contains(place.Six) == true
            || _beginnings[1]?.Contains(place.Six / Symbols) == true
            || _beginnings[0]?.Contains(place.Six / two) == true;
    }

    private static int At(ReadOnlySpan<char> text, int index) => index < text.Length ? Symbol(text[index]) : Symbols - 1;

    private static int Symbol(char c) => c switch
    {
        >= 'a' and <= 'z' => c - 'a',
        >= '0' and <= '9' => c - '0' + 26,
        '\'' => 36,
        _ => 37,
    };

    /// <summary>How many characters of a head are followed: as long as they are few.</summary>
    private static int Followed(ulong[] sets)
    {
        var (length, beginnings) = (0, 1L);
        while (length < sets.Length && (beginnings *= BitOperations.PopCount(sets[length])) <= MostBeginnings)
        {
            length++;
        }

        return length;
    }

    /// <summary>Enters the first three characters of a head in a table.</summary>
    private static void Note(ulong[] sets, ulong[] table)
    {
        ulong Set(int i) => i < sets.Length ? sets[i] : Any;
        for (var ones = Set(0); ones != 0; ones &= ones - 1)
        {
            for (var twos = Set(1); twos != 0; twos &= twos - 1)
            {
                table[(BitOperations.TrailingZeroCount(ones) * Symbols) + BitOperations.TrailingZeroCount(twos)] |= Set(2);
            }
        }
    }

    /// <summary>All that a head can be, each as one number.</summary>
    private static IEnumerable<uint> Beginnings(ReadOnlyMemory<ulong> sets)
    {
        if (sets.IsEmpty)
        {
            yield return 0;
            yield break;
        }

        foreach (var before in Beginnings(sets[..^1]))
        {
            for (var last = sets.Span[^1]; last != 0; last &= last - 1)
            {
                yield return (before * Symbols) + (uint)BitOperations.TrailingZeroCount(last);
            }
        }
    }

    /// <summary>Heads are the same if all their characters may be the same.</summary>
    private sealed class SameSets : IEqualityComparer<ulong[]>
    {
        public static readonly SameSets Instance = new();

        public bool Equals(ulong[]? x, ulong[]? y) => x.AsSpan().SequenceEqual(y);

        public int GetHashCode(ulong[] sets)
        {
            var hash = default(HashCode);
            hash.AddBytes(System.Runtime.InteropServices.MemoryMarshal.AsBytes(sets.AsSpan()));
            return hash.ToHashCode();
        }
    }

    /// <summary>Reads the heads out of a pattern: for each of their first characters the set of what it may be.</summary>
    private sealed class Parser(string pattern)
    {
        private int _at;

        private const int Longest = InTable + Further;

        public HashSet<ulong[]> All() => Alternatives();

        private static readonly ulong[] Nothing = [];

        private static HashSet<ulong[]> Heads(params IEnumerable<ulong[]> heads) => new(heads, SameSets.Instance);

        private HashSet<ulong[]> Alternatives()
        {
            var heads = Sequence();
            while (_at < pattern.Length && pattern[_at] == '|')
            {
                _at++;
                heads.UnionWith(Sequence());
            }

            return heads;
        }

        private HashSet<ulong[]> Sequence()
        {
            var heads = Heads(Nothing);
            while (_at < pattern.Length && pattern[_at] is not ('|' or ')'))
            {
                var item = Item();
                var (least, most) = Repeats();
                var repeated = least == 0 ? Heads(Nothing) : Heads();

                // So many characters are all that counts, so more rounds than that add nothing.
                var round = Heads(Nothing);
                for (var times = 1; times <= Math.Min(most, Longest); times++)
                {
                    round = Then(round, item);
                    if (times >= Math.Min(least, Longest))
                    {
                        repeated.UnionWith(round);
                    }
                }

                heads = Then(heads, repeated);
            }

            return heads;
        }

        private static HashSet<ulong[]> Then(HashSet<ulong[]> heads, HashSet<ulong[]> next)
        {
            if (heads.All(IsLong))
            {
                return heads;
            }

            var joined = Heads();
            foreach (var head in heads)
            {
                if (IsLong(head))
                {
                    joined.Add(head);
                    continue;
                }

                foreach (var more in next)
                {
                    joined.Add(more.Length == 0 ? head : [.. head, .. more.AsSpan(0, Math.Min(more.Length, Longest - head.Length))]);
                }
            }

            return joined;
        }

        /// <summary>True for a head of which no more is asked, also since nearly anything comes next.</summary>
        private static bool IsLong(ulong[] head) => head.Length >= Longest || (head.Length > InTable && BitOperations.PopCount(head[^1]) > Wide);

        /// <summary>More characters than this tell nothing.</summary>
        private const int Wide = 12;

        private HashSet<ulong[]> Item()
        {
            var c = pattern[_at++];
            return c switch
            {
                '(' => Group(),
                '[' => One(Class()),
                '\\' => Escape(pattern[_at++]),
                '^' or '$' => Heads(Nothing),
                '.' => One(Any),
                _ => One(1UL << Symbol(c)),
            };
        }

        private static HashSet<ulong[]> One(ulong set) => Heads([set]);

        private static HashSet<ulong[]> Escape(char c) => c is 'b' or 'G' ? Heads(Nothing) : One(Escaped(c));

        private static ulong Escaped(char c) => c switch { 'w' => Letters | Digits | Other, 'd' => Digits, 's' => Other, _ => 1UL << Symbol(c) };

        private HashSet<ulong[]> Group()
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
            return looksAround ? Heads(Nothing) : heads;
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
