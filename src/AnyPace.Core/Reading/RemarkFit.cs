using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Makes the weights of <see cref="RemarkJudge"/> from marked sentences and marked classes. The same give the same weights.</summary>
public static class RemarkFit
{
    /// <summary>What a marked promise, and what a marked aside, begins with.</summary>
    internal const string Claim = "claim ";
    internal const string Outside = "outside ";

    /// <summary>The kinds told by their words, as a marked sentence names them: "claim calories".</summary>
    public static readonly ImmutableArray<string> Kinds =
        [.. Remark.Types(RemarkKind.Promise).Select(t => Claim + t), .. Remark.Types(RemarkKind.Aside).Select(t => Outside + t)];

    /// <summary>What a weight costs: the larger, the less a trait that is seldom seen may say.</summary>
    private const double Ridge = 1.5;

    /// <summary>A trait is weighed if so many remarks have it.</summary>
    private const int LeastRemarks = 2;

    /// <summary>A smaller weight, in hundredths, is left out: it keeps the table short and changes nothing that is found.</summary>
    private const int LeastWeight = 10;

    /// <summary>Seconds before and after a marked remark that are no example of plain talk.</summary>
    private const double Before = 12;
    private const double After = 25;

    /// <summary>A sentence with its kind, or any other word where it is none of them.</summary>
    public readonly record struct Sentence(string Kind, string Said)
    {
        /// <summary>Lines of "kind: sentence".</summary>
        /// <exception cref="FormatException">A line without a kind.</exception>
        public static IEnumerable<Sentence> Parse(IEnumerable<string> lines) =>
            lines.Select(line => line.Split(": ", 2) is [var kind, var said] ? new Sentence(kind, said) : throw new FormatException($"'{line}' is not a kind and a sentence."));
    }

    /// <summary>A class with its marked remarks.</summary>
    public sealed class MarkedClass(CaptionFile file, GoldReading gold)
    {
        internal Speech Speech { get; } = new(file.Cues);

        internal IReadOnlyList<(double At, string Kind)> Remarks { get; } =
            [.. (gold.Claims ?? []).Select(c => (c.At, Claim + c.Kind)), .. (gold.Outside ?? []).Select(o => (o.At, Outside + o.Kind))];

        internal bool IsPlain(double at) => !Remarks.Any(r => at > r.At - Before && at < r.At + After);
    }

    public static RemarkWeightTable Fit(IEnumerable<Sentence> sentences, IReadOnlyList<MarkedClass> classes)
    {
        var examples = new List<(int Kind, HashSet<string> Traits)>();
        foreach (var (kind, said) in sentences)
        {
            const double seconds = 8;
            var speech = new Speech([new Cue(Seconds.Zero, new Seconds(seconds), said, 1)]);
            examples.Add((Kinds.IndexOf(kind), RemarkTraits.Of(speech, 0, speech.Tokens.Count)));
        }

        foreach (var marked in classes)
        {
            var speech = marked.Speech;
            const double roughly = 0.3;
            var remarks = marked.Remarks.Select(r => (r.Kind, First: speech.Tokens.Count(t => t.At < r.At - roughly))).ToList();
            foreach (var (from, to) in RemarkTraits.Breaths(speech, 0, speech.Tokens.Count, RemarkJudge.Parted))
            {
                HashSet<string> Sentence(int first) => RemarkTraits.Of(speech, first, Math.Min(to, first + RemarkJudge.Sentence));
                examples.AddRange(remarks.Where(r => r.First >= from && r.First < to).Select(r => (Kinds.IndexOf(r.Kind), Sentence(r.First))));
                for (var first = from; first == from || first + RemarkJudge.Sentence <= to; first += RemarkJudge.Sentence / 4)
                {
                    if (marked.IsPlain(speech.At(first)))
                    {
                        examples.Add((-1, Sentence(first)));
                    }
                }
            }
        }

        // Of the plain words of a class only some are examples; those that a first fit takes for a remark, even a little, are added.
        var rough = new RemarkJudge(Fit(examples));
        examples.AddRange(classes.AsParallel().AsOrdered().SelectMany(c => rough.Judge(c.Speech).Found(RemarkJudge.Least)
            .Where(r => c.IsPlain(c.Speech.At(r.Token))).Select(r => (-1, RemarkTraits.Of(c.Speech, r.First, r.End)))));
        return Fit(examples);
    }

    private static RemarkWeightTable Fit(List<(int Kind, HashSet<string> Traits)> examples)
    {
        var known = examples.Where(e => e.Kind >= 0).SelectMany(e => e.Traits).CountBy(t => t).Where(t => t.Value >= LeastRemarks).Select(t => t.Key).Order(StringComparer.Ordinal).ToList();
        var features = LogisticFit.Numbered(examples.Select(e => e.Traits), known);
        var fits = Kinds.Index().AsParallel().AsOrdered()
            .Select(k => LogisticFit.Fit(features, [.. examples.Select(e => e.Kind == k.Index)], known.Count, Ridge)).ToList();
        static int Hundredths(double weight) => (int)Math.Round(weight * 100);
        return new RemarkWeightTable(
            Kinds,
            [.. fits.Select(f => Hundredths(f[^1]))],
            [
                .. known.Index()
                    .Select(t => (Trait: t.Item, Weights: fits.Select(f => Hundredths(f[t.Index])).Select(w => Math.Abs(w) < LeastWeight ? 0 : w).ToArray()))
                    .Where(t => t.Weights.Any(w => w != 0)),
            ]);
    }
}
