using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Makes the weights of <see cref="KitJudge"/> from marked sentences and marked classes. The same give the same weights.</summary>
public static class KitFit
{
    internal static readonly ImmutableArray<string> Kinds = [.. Enum.GetNames<KitNeed>()];

    /// <summary>What a weight costs: the larger, the less a trait that is seldom seen may say.</summary>
    private const double Ridge = 2;

    /// <summary>A trait is weighed if so many mentions with a need have it; each sentence is there three times.</summary>
    private const int LeastMentions = 5;

    /// <summary>A smaller weight, in hundredths, is left out.</summary>
    private const int LeastWeight = 10;

    /// <summary>The place of no need among the needs.</summary>
    private const int None = -1;

    /// <summary>A sentence with what it says of kit: "have a chair nearby in case|chair optional"; kit that is spoken of and not marked is not to be had.</summary>
    public sealed class Sentence
    {
        private readonly IReadOnlyDictionary<string, KitNeed> _needs;

        private Sentence(string text, IReadOnlyDictionary<string, KitNeed> needs) => (Text, _needs) = (text, needs);

        internal string Text { get; }

        /// <exception cref="FormatException">A line that is no such sentence; says which.</exception>
        public static IEnumerable<Sentence> Parse(IEnumerable<string> lines) => lines.Where(l => l.Length > 0 && l[0] != '#').Select(Parse);

        private static Sentence Parse(string line)
        {
            FormatException Odd(string what) => new($"'{what}' in '{line}' is no item with one of {string.Join(", ", Kinds)}.");
            if (line.Split('|') is not [var text, var marks])
            {
                throw Odd(line);
            }

            var needs = new Dictionary<string, KitNeed>();
            foreach (var mark in marks.Split(", ", StringSplitOptions.RemoveEmptyEntries))
            {
                var (item, need) = GoldKit.Of(mark) ?? throw Odd(mark);
                needs[item] = need;
            }

            return new Sentence(text, needs);
        }

        internal IEnumerable<(int Need, HashSet<string> Traits)> Examples(string before, string after)
        {
            var from = Of(before).Tokens.Count;
            var speech = Of($"{before} {Text} {after}");
            var end = from + Of(Text).Tokens.Count;
            var all = KitItems.Find(speech).ToList();
            return all.Where(m => m.First >= from && m.Last < end).Select(m => (_needs.TryGetValue(m.Item, out var need) ? (int)need : None, KitTraits.Of(speech, m, all)));
        }

        private static Speech Of(string text) => new([new Cue(Seconds.Zero, new Seconds(1 + (text.Length / 12.0)), text, 1)]);
    }

    /// <summary>A class with its marked kit.</summary>
    public sealed class MarkedClass(CaptionFile file, GoldReading gold)
    {
        /// <summary>Mentions of which the phrases say what is marked. The others may be of kit that is in use by then, or told of someone else; they are no example.</summary>
        internal IEnumerable<(int Need, HashSet<string> Traits)> Examples()
        {
            var speech = new Speech(file.Cues);
            var needs = gold.Kit.Select(GoldKit.Parse).ToLookup(k => k.Item, k => k.Need);
            var all = KitItems.Find(speech).ToList();
            return all.Select(m => (Mention: m, Said: KitReader.NeedByPhrases(speech, m)))
                .Where(m => m.Said is { } need ? needs[m.Mention.Item].Contains(need) : !needs.Contains(m.Mention.Item))
                .Select(m => (m.Said is { } need ? (int)need : None, KitTraits.Of(speech, m.Mention, all)));
        }
    }

    public static TraitWeights Fit(IEnumerable<Sentence> sentences, IReadOnlyList<MarkedClass> classes)
    {
        var examples = InTalk.Examples(sentences, s => s.Text, s => s.Examples("", ""), (s, before, after) => s.Examples(before.Text, after.Text))
            .Concat(classes.AsParallel().AsOrdered().SelectMany(c => c.Examples().ToList()));
        return TraitWeights.Fit(Kinds, [.. examples.Select(e => (e.Need == None ? Array.Empty<int>() : [e.Need], e.Traits))], LeastMentions, Ridge, LeastWeight);
    }
}
