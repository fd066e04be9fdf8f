using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Finding;

/// <summary>Which rows say a word: title, coach, series, moves and captions. Frequent words are kept as bit sets, rare ones as lists.</summary>
internal sealed class WordIndex
{
    /// <summary>A list of rows takes 32 bits a row, a bit set one; where more than this part of the rows say a word the set is smaller.</summary>
    private const int DenseFrom = 32;

    /// <summary>Beginnings and slips of the pen are looked for from this many letters on.</summary>
    private const int FuzzyFrom = 4;

    private readonly int _rows;
    private readonly Dictionary<string, int[]> _sparse = [];
    private readonly Dictionary<string, ulong[]> _dense = [];
    private readonly string[] _terms;

    /// <summary>Terms by their letters count, for those that differ by a letter or two.</summary>
    private readonly ILookup<int, string> _byLength;

    public WordIndex(int rows, Dictionary<string, List<int>> postings)
    {
        _rows = rows;
        foreach (var (term, at) in postings)
        {
            if (at.Count > rows / DenseFrom)
            {
                var set = new ulong[Bits.WordsFor(rows)];
                foreach (var row in at)
                {
                    Bits.Set(set, row);
                }

                _dense[term] = set;
            }
            else
            {
                _sparse[term] = [.. at];
            }
        }

        _terms = [.. postings.Keys.Where(t => !t.StartsWith(MoveMark)).Order(StringComparer.Ordinal)];
        _byLength = _terms.ToLookup(t => t.Length);
    }

    /// <summary>Moves stand in the index under their id behind this mark, which no word holds.</summary>
    public const char MoveMark = '#';

    /// <summary>Rows that say a word: so, beginning so, or, where nobody says that and <paramref name="nearly"/>, with a letter or two wrong.</summary>
    public ulong[] Saying(string word, bool nearly = true)
    {
        var stem = WordStem.Of(word);
        var set = new ulong[Bits.WordsFor(_rows)];
        var any = Add(set, stem);
        var first = Array.BinarySearch(_terms, stem, StringComparer.Ordinal);
        for (var i = first < 0 ? ~first : first; i < _terms.Length && _terms[i].StartsWith(stem, StringComparison.Ordinal); i++)
        {
            any |= Add(set, _terms[i]);
        }

        if (!any && nearly && stem.Length >= FuzzyFrom)
        {
            var slips = stem.Length >= 6 ? 2 : 1;
            for (var length = stem.Length - slips; length <= stem.Length + slips; length++)
            {
                foreach (var term in _byLength[length].Where(t => t[0] == stem[0] && SoundKey.Distance(t, stem, slips) <= slips))
                {
                    Add(set, term);
                }
            }
        }

        return set;
    }

    /// <summary>Rows in which a move is done.</summary>
    public ulong[] Doing(string move)
    {
        var set = new ulong[Bits.WordsFor(_rows)];
        Add(set, MoveMark + move);
        return set;
    }

    private bool Add(ulong[] set, string term)
    {
        if (_dense.TryGetValue(term, out var dense))
        {
            Bits.Or(set, dense);
            return true;
        }

        if (!_sparse.TryGetValue(term, out var rows))
        {
            return false;
        }

        foreach (var row in rows)
        {
            Bits.Set(set, row);
        }

        return true;
    }
}
