using System.Collections.Immutable;
using System.Globalization;

namespace AnyPace.Core.Reading;

/// <summary>
/// A likelihood as a sum of small trees, each grown on what those before it left over (gradient boosting with the logistic loss, second order).
/// No chance is in it: the same examples in the same order give the same trees.
/// </summary>
/// <remarks>After J. H. Friedman, "Greedy function approximation: a gradient boosting machine", Annals of Statistics 29 (2001), 1189-1232, and
/// "Stochastic gradient boosting", Computational Statistics and Data Analysis 38 (2002), 367-378.</remarks>
public sealed class BoostedTrees
{
    private const string Head = "column,cut,value";

    /// <summary>How many nodes a tree of <see cref="Depth"/> questions has: one of each branch, and its leaves.</summary>
    private const int Nodes = (1 << (Depth + 1)) - 1;

    /// <summary>How many of them may be branches.</summary>
    private const int Branches = (1 << Depth) - 1;

    /// <summary>Questions from the root of a tree to a leaf; trees, and how much of each is taken. Ours, as all that follow, by classes held back in turn.</summary>
    private const int Depth = 4;
    private const int Trees = 600;
    private const double Rate = 0.06;

    /// <summary>What a leaf costs, as so many examples that say nothing would; the fewest examples in a leaf.</summary>
    private const double Ridge = 8;
    private const int LeastInLeaf = 15;

    /// <summary>Each tree asks one column in so many, another set each time.</summary>
    private const int OneColumnIn = 3;

    /// <summary>Each tree is grown on all but one group of examples in so many, others each time (stochastic gradient boosting).</summary>
    private const int OneGroupIn = 2;

    /// <summary>A split has to be better by so much than one in an earlier column: two that are equal but for rounding are one on every machine.</summary>
    private const double Better = 1e-6;

    /// <summary>All nodes of all trees. The children of the node <c>n</c> of a tree are <c>2n + 1</c> and <c>2n + 2</c>.</summary>
    private readonly ImmutableArray<Node> _nodes;

    /// <summary>The same laid out to be asked quickly, all trees down to their full depth: two bytes a question, and the leaves beside.</summary>
    private readonly (byte Column, byte Cut)[] _questions;
    private readonly double[] _leaves;

    private BoostedTrees(IEnumerable<Node> nodes)
    {
        _nodes = [.. nodes];
        var trees = _nodes.Length / Nodes;
        (_questions, _leaves) = (new (byte, byte)[trees * Branches], new double[trees * (Branches + 1)]);
        for (var tree = 0; tree < trees; tree++)
        {
            LayOut(tree, 0, 0);
        }
    }

    /// <summary>A leaf above the full depth goes on to the left, whatever is told.</summary>
    private void LayOut(int tree, int node, int at)
    {
        var of = _nodes[(tree * Nodes) + node];
        if (at >= Branches)
        {
            _leaves[(tree * (Branches + 1)) + at - Branches] = of.Value;
            return;
        }

        var leaf = of.Column == None;
        _questions[(tree * Branches) + at] = leaf ? ((byte)0, byte.MaxValue) : ((byte)of.Column, of.Cut);
        LayOut(tree, leaf ? node : (2 * node) + 1, (2 * at) + 1);
        if (!leaf)
        {
            LayOut(tree, (2 * node) + 2, (2 * at) + 2);
        }
    }

    /// <summary>The column of a leaf.</summary>
    private const int None = -1;

    /// <summary>A question, or, where there is no column to ask, a leaf.</summary>
    /// <param name="Cut">Up to this value to the left.</param>
    private readonly record struct Node(int Column, byte Cut, double Value);

    /// <summary>How likely it is, 0..1.</summary>
    /// <param name="told">A value for each column.</param>
    public double Likelihood(byte[] told) => Likelihoods([told])[0];

    /// <summary>How likely each of some is, 0..1. All are asked by one tree before the next, since the questions of a tree are soon at hand, those of all trees are not.</summary>
    /// <param name="told">For each a value for each column.</param>
    public double[] Likelihoods(IReadOnlyList<byte[]> told)
    {
        var sums = new double[told.Count];
        for (var (root, leaves) = (0, 0); root < _questions.Length; (root, leaves) = (root + Branches, leaves + Branches + 1))
        {
            var tree = _questions.AsSpan(root, Branches);
            for (var i = 0; i < sums.Length; i++)
            {
                var of = told[i];
                var at = 0;
                while (at < Branches)
                {
                    at = (2 * at) + 1 + (of[tree[at].Column] > tree[at].Cut ? 1 : 0);
                }

                sums[i] += _leaves[leaves + at - Branches];
            }
        }

        return Array.ConvertAll(sums, LogisticFit.Share);
    }

    /// <summary>The columns that are asked for.</summary>
    public IEnumerable<int> Columns => _nodes.Select(n => n.Column).Where(c => c != None).Distinct().Order();

    /// <param name="told">For each example a value for each column.</param>
    /// <param name="right">Whether each example is right.</param>
    /// <param name="groups">A number for each example; those with the same number are alike and left out together.</param>
    public static BoostedTrees Fit(IReadOnlyList<byte[]> told, IReadOnlyList<bool> right, IReadOnlyList<int> groups)
    {
        var grower = new Grower(told, right, groups);
        return new BoostedTrees(Enumerable.Range(0, Trees).SelectMany(grower.Grow));
    }

    /// <exception cref="FormatException">Not such a table; says which line.</exception>
    public static BoostedTrees Parse(string text, IReadOnlyList<string> columns)
    {
        var places = columns.Index().ToDictionary(c => c.Item, c => c.Index);
        places.Add(string.Empty, None);
        var nodes = new List<Node>();
        foreach (var (i, line) in text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Index().Skip(1))
        {
            var cells = line.Split(',');
            if (cells is not [var name, var cut, var value] || !byte.TryParse(cut, NumberStyles.None, CultureInfo.InvariantCulture, out var upTo)
                || !double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var leaf))
            {
                throw new FormatException($"Line {i + 1} of the trees, '{line}', is not '{Head}'.");
            }

            nodes.Add(places.TryGetValue(name, out var column) ? new Node(column, upTo, leaf) : throw new FormatException($"Line {i + 1} of the trees: there is no column '{name}'."));
        }

        return nodes.Count % Nodes == 0 ? new BoostedTrees(nodes) : throw new FormatException($"The trees have {nodes.Count} lines, which is no multiple of {Nodes}.");
    }

    /// <summary>The trees as text, a line a node.</summary>
    public string Write(IReadOnlyList<string> columns) => string.Join('\n',
    [
        Head,
        .. _nodes.Select(n => string.Create(CultureInfo.InvariantCulture, $"{(n.Column == None ? string.Empty : columns[n.Column])},{n.Cut},{n.Value}")),
        string.Empty,
    ]);

    /// <summary>Grows one tree after the other.</summary>
    private sealed class Grower
    {
        /// <summary>What is told, by column and then by example: a column is gone through in one run.</summary>
        private readonly byte[][] _columns;
        private readonly IReadOnlyList<bool> _right;
        private readonly IReadOnlyList<int> _groups;
        private readonly double[] _sums;
        private readonly double[] _slopes;
        private readonly double[] _curves;

        public Grower(IReadOnlyList<byte[]> told, IReadOnlyList<bool> right, IReadOnlyList<int> groups)
        {
            (_right, _groups) = (right, groups);
            _columns = [.. Enumerable.Range(0, told.Count == 0 ? 0 : told[0].Length).Select(c => told.Select(t => t[c]).ToArray())];
            (_sums, _slopes, _curves) = (new double[told.Count], new double[told.Count], new double[told.Count]);
        }

        public Node[] Grow(int number)
        {
            for (var i = 0; i < _sums.Length; i++)
            {
                var share = LogisticFit.Share(_sums[i]);
                (_slopes[i], _curves[i]) = ((_right[i] ? 1 : 0) - share, share * (1 - share));
            }

            var tree = new Node[Nodes];
            Array.Fill(tree, new Node(None, 0, 0));
            var columns = Enumerable.Range(0, _columns.Length).Where(c => Asks(number, c)).ToArray();
            Split(tree, 0, [.. Enumerable.Range(0, _sums.Length).Where(i => !LeavesOut(number, _groups[i]))], Depth, columns);
            for (var i = 0; i < _sums.Length; i++)
            {
                _sums[i] += Leaf(tree, i);
            }

            return tree;
        }

        private double Leaf(Node[] tree, int example)
        {
            var at = 0;
            while (tree[at].Column != None)
            {
                at = (2 * at) + (_columns[tree[at].Column][example] <= tree[at].Cut ? 1 : 2);
            }

            return tree[at].Value;
        }

        /// <summary>Scattered, so that every few columns are together in some tree; Knuth's multiplicative hash.</summary>
        private static bool Asks(int tree, int column) => ((uint)((tree + 1) * (column + 1)) * 2654435761u >> 16) % OneColumnIn == 0;

        /// <summary>Scattered likewise, with another multiplier, so that the columns of a tree say nothing of its groups.</summary>
        private static bool LeavesOut(int tree, int group) => ((uint)((tree + 1) * (group + 7)) * 2246822519u >> 15) % OneGroupIn == 0;

        private void Split(Node[] tree, int at, int[] examples, int deeper, int[] columns)
        {
            var (slope, curve) = (examples.Sum(i => _slopes[i]), examples.Sum(i => _curves[i]));
            var (best, column, cut) = (0.0, None, 0);
            if (deeper > 0 && examples.Length >= 2 * LeastInLeaf)
            {
                foreach (var (c, gain, upTo) in columns.AsParallel().AsOrdered().Select(c => BestCut(c, examples, slope, curve)))
                {
                    if (gain > best + Better)
                    {
                        (best, column, cut) = (gain, c, upTo);
                    }
                }
            }

            // To four places, so that no rounding of this machine is carried on.
            tree[at] = new Node(column, (byte)cut, column == None ? Math.Round(Rate * slope / (curve + Ridge), 4) : 0);
            if (column != None)
            {
                Split(tree, (2 * at) + 1, Array.FindAll(examples, i => _columns[column][i] <= cut), deeper - 1, columns);
                Split(tree, (2 * at) + 2, Array.FindAll(examples, i => _columns[column][i] > cut), deeper - 1, columns);
            }
        }

        /// <summary>Where a column parts the examples best, and how much that gains.</summary>
        private (int Column, double Gain, int Cut) BestCut(int column, int[] examples, double slope, double curve)
        {
            const int values = byte.MaxValue + 1;
            Span<double> slopes = stackalloc double[values];
            Span<double> curves = stackalloc double[values];
            Span<int> counts = stackalloc int[values];
            var told = _columns[column];
            foreach (var i in examples)
            {
                var value = told[i];
                slopes[value] += _slopes[i];
                curves[value] += _curves[i];
                counts[value]++;
            }

            static double Of(double slope, double curve) => slope * slope / (curve + Ridge);
            var whole = Of(slope, curve);
            var (best, cut, left, leftCurve, count) = (0.0, 0, 0.0, 0.0, 0);
            for (var value = 0; value < byte.MaxValue; value++)
            {
                if (counts[value] == 0)
                {
                    continue;
                }

                left += slopes[value];
                leftCurve += curves[value];
                count += counts[value];
                if (count >= LeastInLeaf && examples.Length - count >= LeastInLeaf
                    && Of(left, leftCurve) + Of(slope - left, curve - leftCurve) - whole is var gain && gain > best + Better)
                {
                    (best, cut) = (gain, value);
                }
            }

            return (column, best, cut);
        }
    }
}
