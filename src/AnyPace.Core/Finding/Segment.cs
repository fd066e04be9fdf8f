using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Finding;

/// <summary>Figures of one pace, a column each. Rows are those of the segment.</summary>
public sealed class PaceColumns(int rows)
{
    /// <summary>Whole seconds, cut at 65 535 (18 hours).</summary>
    public ushort[] Needed { get; } = new ushort[rows];

    public ushort[] Jumps { get; } = new ushort[rows];

    public ushort[] WarmUp { get; } = new ushort[rows];

    public byte[] Level { get; } = new byte[rows];

    /// <summary>Difficulty score in halves of a point, 0..200.</summary>
    public byte[] Score { get; } = new byte[rows];

    public byte[] Highest { get; } = new byte[rows];

    /// <summary>Components of difficulty and shares of the class, in 255ths.</summary>
    public byte[] Strength { get; } = new byte[rows];

    public byte[] Balance { get; } = new byte[rows];

    public byte[] Light { get; } = new byte[rows];

    public byte[] Moderate { get; } = new byte[rows];

    public byte[] Vigorous { get; } = new byte[rows];

    public byte[] Stretching { get; } = new byte[rows];

    public byte[] Loosening { get; } = new byte[rows];

    public byte[] Lacks { get; } = new byte[rows];

    /// <summary>Muscle load shares in 255ths, a row after the other.</summary>
    public byte[] Shares { get; } = new byte[rows * Segment.Muscles];

    public ushort[] Strains { get; } = new ushort[rows * Segment.StrainCount];

    /// <summary>The histogram bar that the time needed falls into.</summary>
    internal byte[] Bar { get; } = new byte[rows];

    /// <summary>Rows from the shortest to the longest.</summary>
    public int[] ByTime { get; internal set; } = [];

    /// <summary>Rows from the easiest to the hardest.</summary>
    public int[] ByScore { get; internal set; } = [];

    internal Dictionary<(Facet, string), ulong[]> Sets { get; } = [];
}

/// <summary>An immutable stretch of the catalogue as columns and bit sets, newest row first.</summary>
public sealed class Segment
{
    public static readonly int Muscles = Vocabulary.Muscles.Length;
    public static readonly int StrainCount = Vocabulary.Strains.Length;

    /// <summary>Bits of <see cref="PaceColumns.Lacks"/>.</summary>
    public const byte LacksWarmUp = 1;
    public const byte LacksCoolDown = 2;
    public const byte LacksEvenSides = 4;

    // What can complete another session: two to twelve minutes, light for four fifths of it. Ours.
    private const int CompletesFrom = 2 * 60;
    private const int CompletesTo = 12 * 60;
    private const byte CompletesLight = 204;

    private readonly Dictionary<(Facet, string), ulong[]> _sets = [];
    private readonly Dictionary<Guid, int> _rowOf;
    private readonly Dictionary<Facet, (ushort[] Codes, string[] Values)> _open = [];
    private readonly string[] _coaches;
    private readonly ImmutableArray<KitRequirement>[] _requirements;
    private readonly ushort[] _kit;
    private readonly ushort[] _coach;
    private readonly ushort[] _moves;
    private readonly int[] _movesFrom;
    private readonly string[] _moveNames;

    public Segment(IEnumerable<Listing> listings)
    {
        var sorted = listings.OrderByDescending(l => l.PublishedAt).ToList();
        Rows = sorted.Count;
        Ids = [.. sorted.Select(l => l.Id)];
        Titles = [.. sorted.Select(l => l.Title)];
        Published = [.. sorted.Select(l => l.PublishedAt.UtcTicks)];
        Versions = [.. sorted.Select(l => l.Version)];
        Structures = [.. sorted.Select(StructureBits)];
        _rowOf = new Dictionary<Guid, int>(Rows);
        for (var row = 0; row < Rows; row++)
        {
            _rowOf[Ids[row]] = row;
        }

        (_coach, _coaches) = Coded(sorted, l => l.Coach);
        _open[Facet.Coach] = (_coach, _coaches);
        _open[Facet.Series] = Coded(sorted, l => l.Series ?? "");
        (_kit, var patterns) = Coded(sorted, l => string.Join('|', l.Kit.Select(k => $"{k.Item}<{string.Join(',', k.StandIns)}")));
        var byPattern = sorted.Zip(_kit).GroupBy(x => x.Second).ToDictionary(g => g.Key, g => g.First().First.Kit);
        _requirements = [.. Enumerable.Range(0, patterns.Length).Select(i => byPattern[(ushort)i])];

        var names = new Dictionary<string, ushort>();
        var moves = new List<ushort>();
        _movesFrom = new int[Rows + 1];
        var postings = new Dictionary<string, List<int>>();
        Columns = [.. Paces.All.Select(_ => new PaceColumns(Rows))];
        for (var row = 0; row < Rows; row++)
        {
            var listing = sorted[row];
            foreach (var move in listing.Moves)
            {
                if (!names.TryGetValue(move, out var code))
                {
                    names[move] = code = (ushort)names.Count;
                }

                moves.Add(code);
            }

            _movesFrom[row + 1] = moves.Count;
            foreach (var facet in Facet.All.Where(f => !f.Paced && !f.Order.IsEmpty))
            {
                Enter(_sets, facet, listing, listing.Paces[0], row);
            }

            foreach (var pace in Paces.All)
            {
                Fill(Columns[(int)pace], listing.At(pace), row);
                foreach (var facet in Facet.All.Where(f => f.Paced))
                {
                    Enter(Columns[(int)pace].Sets, facet, listing, listing.At(pace), row);
                }
            }

            Post(postings, listing, row);
        }

        _moves = [.. moves];
        _moveNames = [.. names.OrderBy(n => n.Value).Select(n => n.Key)];
        Words = new WordIndex(Rows, postings);
        var led = Columns[(int)Pace.AsLed];
        ShortAndLight = [.. Enumerable.Range(0, Rows).Where(r => led.Light[r] >= CompletesLight && led.Needed[r] is >= CompletesFrom and <= CompletesTo)];
        foreach (var columns in Columns)
        {
            columns.ByTime = Ordered(row => columns.Needed[row]);
            columns.ByScore = Ordered(row => columns.Score[row]);
        }
    }

    public int Rows { get; }

    public Guid[] Ids { get; }

    public string[] Titles { get; }

    /// <summary>UTC ticks.</summary>
    public long[] Published { get; }

    public int[] Versions { get; }

    /// <summary>Structures a row has, as bits in the order of the facet.</summary>
    public ushort[] Structures { get; }

    public PaceColumns[] Columns { get; }

    /// <summary>Rows that can warm up or cool down for another session.</summary>
    internal int[] ShortAndLight { get; }

    internal WordIndex Words { get; }

    public int? RowOf(Guid id) => _rowOf.TryGetValue(id, out var row) ? row : null;

    public string Coach(int row) => _coaches[_coach[row]];

    public ImmutableArray<KitRequirement> Kit(int row) => _requirements[_kit[row]];

    public IEnumerable<string> Moves(int row)
    {
        for (var i = _movesFrom[row]; i < _movesFrom[row + 1]; i++)
        {
            yield return _moveNames[_moves[i]];
        }
    }

    /// <summary>True where a row does one of the moves.</summary>
    public bool Does(int row, IReadOnlySet<string> moves)
    {
        for (var i = _movesFrom[row]; i < _movesFrom[row + 1]; i++)
        {
            if (moves.Contains(_moveNames[_moves[i]]))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>The rows for which a facet's value holds; null where for none.</summary>
    internal ulong[]? Set(Facet facet, string value, Pace pace) =>
        (facet.Paced ? Columns[(int)pace].Sets : _sets).GetValueOrDefault((facet, value));

    /// <summary>How many of some rows have each value of a facet whose values the library decides.</summary>
    internal IEnumerable<(string Value, int Count)> OpenCounts(Facet facet, ulong[] rows)
    {
        var (codes, values) = _open[facet];
        var counts = new int[values.Length];
        foreach (var row in Bits.Rows(rows))
        {
            counts[codes[row]]++;
        }

        return values.Zip(counts).Where(x => x is { First.Length: > 0, Second: > 0 });
    }

    /// <summary>Rows that have one of the values of such a facet.</summary>
    internal ulong[] Open(Facet facet, IReadOnlySet<string> chosen)
    {
        var (codes, values) = _open[facet];
        var wanted = values.Select(chosen.Contains).ToArray();
        var set = new ulong[Bits.WordsFor(Rows)];
        for (var row = 0; row < codes.Length; row++)
        {
            if (wanted[codes[row]])
            {
                Bits.Set(set, row);
            }
        }

        return set;
    }

    /// <summary>Rows that can be done with the kit, substitutes counted.</summary>
    internal ulong[] Doable(IReadOnlySet<string> kit)
    {
        var holds = new bool[_requirements.Length];
        for (var i = 0; i < holds.Length; i++)
        {
            holds[i] = IsDoable(_requirements[i], kit);
        }

        var set = new ulong[Bits.WordsFor(Rows)];
        for (var row = 0; row < Rows; row++)
        {
            if (holds[_kit[row]])
            {
                Bits.Set(set, row);
            }
        }

        return set;
    }

    /// <summary>How many of the rows each distinct list of requirements has.</summary>
    internal IEnumerable<(ImmutableArray<KitRequirement> Requirements, int Count)> KitCounts(ulong[] rows)
    {
        var counts = new int[_requirements.Length];
        foreach (var row in Bits.Rows(rows))
        {
            counts[_kit[row]]++;
        }

        return counts.Select((n, i) => (_requirements[i], n)).Where(x => x.n > 0);
    }

    internal IEnumerable<string> KitItems => _requirements.SelectMany(r => r.Select(k => k.Item)).Distinct();

    public static bool IsDoable(ImmutableArray<KitRequirement> needs, IReadOnlySet<string> kit)
    {
        foreach (var need in needs)
        {
            if (!kit.Contains(need.Item) && !need.StandIns.Any(kit.Contains))
            {
                return false;
            }
        }

        return true;
    }

    private static (ushort[] Codes, string[] Values) Coded(List<Listing> listings, Func<Listing, string> of)
    {
        var codes = new Dictionary<string, ushort>();
        var column = new ushort[listings.Count];
        for (var row = 0; row < column.Length; row++)
        {
            var value = of(listings[row]);
            if (!codes.TryGetValue(value, out var code))
            {
                codes[value] = code = checked((ushort)codes.Count);
            }

            column[row] = code;
        }

        return (column, [.. codes.OrderBy(c => c.Value).Select(c => c.Key)]);
    }

    private void Enter(Dictionary<(Facet, string), ulong[]> sets, Facet facet, Listing listing, PacedListing paced, int row)
    {
        foreach (var value in facet.Values(listing, paced))
        {
            if (!sets.TryGetValue((facet, value), out var set))
            {
                sets[(facet, value)] = set = new ulong[Bits.WordsFor(Rows)];
            }

            Bits.Set(set, row);
        }
    }

    private static void Fill(PaceColumns c, PacedListing p, int row)
    {
        var all = Math.Max(1, (p.Light + p.Moderate + p.Vigorous).Value);
        c.Needed[row] = Whole(p.Needed.Value);
        c.Bar[row] = (byte)Math.Min(CatalogueSnapshot.Bars - 1, c.Needed[row] / (60 * CatalogueSnapshot.BarMinutes));
        c.Jumps[row] = Whole(p.Jumps.Value);
        c.WarmUp[row] = Whole(p.WarmUp.Value);
        c.Level[row] = (byte)p.Level;
        c.Score[row] = (byte)Math.Clamp(Math.Round(p.Score * 2), 0, 200);
        c.Highest[row] = (byte)p.Highest;
        c.Strength[row] = Part(p.Strength);
        c.Balance[row] = Part(p.Balance);
        c.Light[row] = Part(p.Light.Value / all);
        c.Moderate[row] = Part(p.Moderate.Value / all);
        c.Vigorous[row] = Part(p.Vigorous.Value / all);
        c.Stretching[row] = Part(p.Stretching);
        c.Loosening[row] = Part(p.Loosening);
        c.Lacks[row] = (byte)((p.WarmUpEnough ? 0 : LacksWarmUp) | (p.CoolDownEnough ? 0 : LacksCoolDown) | (p.SidesEven ? 0 : LacksEvenSides));
        for (var m = 0; m < Muscles; m++)
        {
            c.Shares[(row * Muscles) + m] = Part(p.Shares[m]);
        }

        for (var s = 0; s < StrainCount; s++)
        {
            c.Strains[(row * StrainCount) + s] = Whole(p.Strains[s]);
        }
    }

    private static ushort Whole(double seconds) => (ushort)Math.Clamp(Math.Round(seconds), 0, ushort.MaxValue);

    private static byte Part(double share) => (byte)Math.Clamp(Math.Round(share * 255), 0, 255);

    private static ushort StructureBits(Listing listing)
    {
        var bits = 0;
        foreach (var structure in listing.Structures)
        {
            bits |= 1 << Math.Max(0, Facet.StructureType.Order.IndexOf(structure));
        }

        return (ushort)bits;
    }

    private static void Post(Dictionary<string, List<int>> postings, Listing listing, int row)
    {
        void Add(string term)
        {
            if (!postings.TryGetValue(term, out var rows))
            {
                postings[term] = rows = [];
            }

            if (rows.Count == 0 || rows[^1] != row)
            {
                rows.Add(row);
            }
        }

        foreach (var text in new[] { listing.Title, listing.Coach, listing.Series ?? "" })
        {
            foreach (var word in text.Split([' ', '-', ',', '.'], StringSplitOptions.RemoveEmptyEntries))
            {
                Add(WordStem.Of(word));
            }
        }

        foreach (var move in listing.Moves)
        {
            Add(WordIndex.MoveMark + move);
        }

        foreach (var word in listing.Words)
        {
            Add(word);
        }
    }

    private int[] Ordered(Func<int, int> by)
    {
        var keys = new int[Rows];
        var order = new int[Rows];
        for (var row = 0; row < Rows; row++)
        {
            // Of equals the newest first: the row itself is the second key.
            keys[row] = by(row);
            order[row] = row;
        }

        Array.Sort(order, (a, b) => keys[a] != keys[b] ? keys[a].CompareTo(keys[b]) : a.CompareTo(b));
        return order;
    }
}
