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

    public static TraitWeights Fit(IEnumerable<Sentence> sentences, IReadOnlyList<MarkedClass> classes)
    {
        var examples = new List<(int Kind, HashSet<string> Traits)>();
        var talk = classes.Select(c => c.Speech).OrderBy(s => s.Text, StringComparer.Ordinal).ToList();
        foreach (var (kind, said) in sentences)
        {
            examples.Add(Example(kind, said));

            // A promise is told by few words, whatever is about them.
            if (talk.Count > 0 && !kind.StartsWith(Claim, StringComparison.Ordinal))
            {
                examples.Add(Example(kind, InTalk(said, talk)));
            }
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

    private static (int Kind, HashSet<string> Traits) Example(string kind, string said)
    {
        const double seconds = 8;
        var speech = new Speech([new Cue(Seconds.Zero, new Seconds(seconds), said, 1)]);
        return (Kinds.IndexOf(kind), RemarkTraits.Of(speech, 0, speech.Tokens.Count));
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

    private static TraitWeights Fit(List<(int Kind, HashSet<string> Traits)> examples) => TraitWeights.Fit(Kinds, examples, LeastRemarks, Ridge, LeastWeight);
}
