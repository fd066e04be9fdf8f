using System.Numerics;
using System.Runtime.InteropServices;

namespace AnyPace.Core.Finding;

/// <summary>Sets of rows, a bit a row. Whole vectors are joined at once; a tail shorter than one goes word by word.</summary>
internal static class Bits
{
    public static int WordsFor(int rows) => (rows + 63) / 64;

    public static ulong[] All(int rows)
    {
        var set = new ulong[WordsFor(rows)];
        Array.Fill(set, ulong.MaxValue);
        if (rows % 64 != 0)
        {
            set[^1] = (1UL << (rows % 64)) - 1;
        }

        return set;
    }

    public static void Set(ulong[] set, int row) => set[row >> 6] |= 1UL << (row & 63);

    public static bool Has(ulong[] set, int row) => (set[row >> 6] & (1UL << (row & 63))) != 0;

    public static void And(Span<ulong> into, ReadOnlySpan<ulong> other)
    {
        var a = MemoryMarshal.Cast<ulong, Vector<ulong>>(into);
        var b = MemoryMarshal.Cast<ulong, Vector<ulong>>(other);
        for (var i = 0; i < a.Length; i++)
        {
            a[i] &= b[i];
        }

        for (var i = a.Length * Vector<ulong>.Count; i < into.Length; i++)
        {
            into[i] &= other[i];
        }
    }

    public static void Or(Span<ulong> into, ReadOnlySpan<ulong> other)
    {
        var a = MemoryMarshal.Cast<ulong, Vector<ulong>>(into);
        var b = MemoryMarshal.Cast<ulong, Vector<ulong>>(other);
        for (var i = 0; i < a.Length; i++)
        {
            a[i] |= b[i];
        }

        for (var i = a.Length * Vector<ulong>.Count; i < into.Length; i++)
        {
            into[i] |= other[i];
        }
    }

    public static int Count(ReadOnlySpan<ulong> set)
    {
        var sum = 0;
        foreach (var word in set)
        {
            sum += BitOperations.PopCount(word);
        }

        return sum;
    }

    /// <summary>How many rows both sets hold, without making the set.</summary>
    public static int CountBoth(ReadOnlySpan<ulong> a, ReadOnlySpan<ulong> b)
    {
        var (one, two) = (0, 0);
        var i = 0;
        for (; i + 1 < a.Length; i += 2)
        {
            one += BitOperations.PopCount(a[i] & b[i]);
            two += BitOperations.PopCount(a[i + 1] & b[i + 1]);
        }

        return i < a.Length ? one + two + BitOperations.PopCount(a[i] & b[i]) : one + two;
    }

    /// <summary>The rows of a set, lowest first.</summary>
    public static RowEnumerator Rows(ulong[] set) => new(set);

    public struct RowEnumerator(ulong[] set)
    {
        private int _word = -1;
        private ulong _left;

        public int Current { get; private set; }

        public readonly RowEnumerator GetEnumerator() => this;

        public bool MoveNext()
        {
            while (_left == 0)
            {
                if (++_word >= set.Length)
                {
                    return false;
                }

                _left = set[_word];
            }

            Current = (_word << 6) + BitOperations.TrailingZeroCount(_left);
            _left &= _left - 1;
            return true;
        }
    }
}
