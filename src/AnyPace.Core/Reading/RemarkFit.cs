using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Makes the weights of <see cref="RemarkJudge"/> from marked sentences and marked classes. The same give the same weights.</summary>
public static class RemarkFit
{
    /// <summary>What a weight costs: the larger, the less a trait that is seldom seen may say.</summary>
    private const double Ridge = 1.5;

    /// <summary>A trait is weighed if so many remarks have it.</summary>
    private const int LeastRemarks = 2;

    /// <summary>A smaller weight, in hundredths, is left out: it keeps the table short and changes nothing that is found.</summary>
    private const int LeastWeight = 10;

    /// <summary>Seconds before and after a marked remark that are no example of plain talk.</summary>
    private const double Before = 12;
    private const double After = 25;

    /// <summary>Seconds within which marked remarks are made in the same words.</summary>
    private const double AtOnce = 3;

    /// <summary>A sentence with its kind, or kinds with a plus between; any other word where it is none of them.</summary>
    public readonly record struct Sentence(string Kind, string Said)
    {
        /// <summary>Lines of "kind: sentence".</summary>
        /// <exception cref="FormatException">A line without a kind.</exception>
        public static IEnumerable<Sentence> Parse(IEnumerable<string> lines) =>
            lines.Select(line => line.Split(": ", 2) is [var kind, var said] ? new Sentence(kind, said) : throw new FormatException($"'{line}' is not a kind and a sentence."));
    }

    /// <summary>A class with its marked remarks.</summary>
    public sealed class MarkedClass(CaptionFile file, IReadOnlyList<(double At, string Kind)> remarks)
    {
        internal Speech Speech { get; } = new(file.Cues);

        internal IReadOnlyList<(double At, string Kind)> Remarks => remarks;

        internal bool IsPlain(double at) => !remarks.Any(r => at > r.At - Before && at < r.At + After);

        /// <summary>The classes in which somebody marked the remarks of a field.</summary>
        public static IReadOnlyList<MarkedClass> Of(IEnumerable<(CaptionFile Captions, GoldReading Gold)> classes, RemarkField field) =>
            [.. from c in classes let marked = field.Marked(c.Gold) where marked is not null select new MarkedClass(c.Captions, marked.Value)];
    }

    public static TraitWeights Fit(RemarkField field, IEnumerable<Sentence> sentences, IReadOnlyList<MarkedClass> classes)
    {
        var examples = new List<(int[] Kinds, HashSet<string> Traits)>();
        var talk = classes.Select(c => c.Speech).OrderBy(s => s.Text, StringComparer.Ordinal).ToList();
        foreach (var (kind, said) in sentences)
        {
            examples.Add(Example(field, kind, said));

            // A promise is told by few words, whatever is about them.
            if (talk.Count > 0 && !kind.StartsWith(RemarkField.Claim, StringComparison.Ordinal))
            {
                examples.Add(Example(field, kind, InTalk(said, talk)));
            }
        }

        foreach (var marked in classes)
        {
            var speech = marked.Speech;
            const double roughly = 0.3;
            var remarks = marked.Remarks.Select(r => (r.At, r.Kind, First: speech.Tokens.Count(t => t.At < r.At - roughly))).ToList();
            foreach (var (from, to) in RemarkTraits.Breaths(speech, 0, speech.Tokens.Count, RemarkJudge.Parted))
            {
                HashSet<string> Sentence(int first) => RemarkTraits.Of(speech, first, Math.Min(to, first + RemarkJudge.Sentence), field.Words);
                examples.AddRange(remarks.Where(r => r.First >= from && r.First < to)
                    .Select(r => (Places(field, remarks.Where(o => Math.Abs(o.At - r.At) < AtOnce).Select(o => o.Kind)), Sentence(r.First))));
                for (var first = from; first == from || first + RemarkJudge.Sentence <= to; first += RemarkJudge.Sentence / 4)
                {
                    if (marked.IsPlain(speech.At(first)))
                    {
                        examples.Add(([], Sentence(first)));
                    }
                }
            }
        }

        // Of the plain words of a class only some are examples; those that a first fit takes for a remark, even a little, are added.
        var rough = new RemarkJudge(field, Fit(field, examples));
        examples.AddRange(classes.AsParallel().AsOrdered().SelectMany(c => rough.Judge(c.Speech, RemarkJudge.Least).Remarks
            .Where(r => c.IsPlain(c.Speech.At(r.Token))).Select(r => (Array.Empty<int>(), RemarkTraits.Of(c.Speech, r.First, r.End, field.Words)))));
        return Fit(field, examples);
    }

    private static int[] Places(RemarkField field, IEnumerable<string> kinds) => [.. kinds.Select(k => field.Kinds.IndexOf(k)).Where(k => k >= 0).Distinct()];

    private static (int[] Kinds, HashSet<string> Traits) Example(RemarkField field, string kind, string said)
    {
        const double seconds = 8;
        var speech = new Speech([new Cue(Seconds.Zero, new Seconds(seconds), said, 1)]);
        return (Places(field, kind.Split(" + ")), RemarkTraits.Of(speech, 0, speech.Tokens.Count, field.Words));
    }

    /// <summary>A sentence with words of classes right before and after it, as it is met where nobody wrote a full stop. The same sentence gets the same words.</summary>
    private static string InTalk(string said, IReadOnlyList<Speech> talk)
    {
        const int around = 4;
        var chance = new Chance(said);
        string Words(int count)
        {
            var texts = talk[chance.Below(talk.Count)].Texts;
            return string.Join(' ', texts.Skip(chance.Below(Math.Max(1, texts.Count - count))).Take(count));
        }

        var before = chance.Below(around + 1);
        return $"{Words(before)} {said} {Words(around - before)}";
    }

    private static TraitWeights Fit(RemarkField field, List<(int[] Kinds, HashSet<string> Traits)> examples) => TraitWeights.Fit(field.Kinds, examples, LeastRemarks, Ridge, LeastWeight);
}
