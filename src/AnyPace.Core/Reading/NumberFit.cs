using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Makes the weights of <see cref="NumberJudge"/> from marked sentences and marked classes. The same give the same weights.</summary>
public static class NumberFit
{
    internal static readonly ImmutableArray<string> Kinds = [.. Enum.GetNames<NumberRole>()];

    /// <summary>What a weight costs: the larger, the less a trait that is seldom seen may say. Where lists of sentences were held back in turn, 0.3 to 4 did about as well.</summary>
    private const double Ridge = 1;

    /// <summary>A trait is weighed if so many numbers with a role have it; each sentence is there three times.</summary>
    private const int LeastNumbers = 4;

    /// <summary>A smaller weight, in hundredths, is left out.</summary>
    private const int LeastWeight = 10;

    private static readonly Dictionary<char, NumberRole> Letters = new()
    {
        ['w'] = NumberRole.Work,
        ['r'] = NumberRole.Rest,
        ['b'] = NumberRole.RoundRest,
        ['x'] = NumberRole.Rounds,
        ['s'] = NumberRole.Sets,
        ['n'] = NumberRole.Repetitions,
        ['m'] = NumberRole.Moves,
    };

    /// <summary>A sentence in which the first word of every number that is part of a dose carries a letter: "forty=w seconds on twenty=r off".</summary>
    public sealed class Sentence
    {
        private readonly string[] _said;

        private Sentence(string[] said, Speech speech, IReadOnlyDictionary<int, NumberRole> roles) => (_said, Speech, Roles) = (said, speech, roles);

        internal Speech Speech { get; }

        internal string Text => string.Join(' ', _said);

        /// <summary>Roles by the tokens of their numbers.</summary>
        internal IReadOnlyDictionary<int, NumberRole> Roles { get; }

        /// <exception cref="FormatException">A letter that is no role, or one on a word that is no number; says which line.</exception>
        public static IEnumerable<Sentence> Parse(IEnumerable<string> lines) => lines.Where(l => l.Length > 0 && l[0] != '#').Select(Parse);

        private static Sentence Parse(string line)
        {
            var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            var said = words.Select(w => w.Split('=')[0]).ToArray();
            var speech = Of(said);
            var numbers = SaidNumbers.Find(speech).Select(n => n.Token).ToHashSet();
            var roles = new Dictionary<int, NumberRole>();
            foreach (var (place, word) in words.Index().Where(w => w.Item.Contains('=', StringComparison.Ordinal)))
            {
                var token = Of(said[..(place + 1)]).Tokens.Count - 1;
                roles[token] = numbers.Contains(token) && word.Split('=')[1] is [var letter] && Letters.TryGetValue(letter, out var role)
                    ? role
                    : throw new FormatException($"'{word}' in '{line}' is no number with one of {string.Join(", ", Letters.Keys)}.");
            }

            return new Sentence(said, speech, roles);
        }

        /// <summary>Its numbers with their roles and traits.</summary>
        internal IEnumerable<(int Role, HashSet<string> Traits)> Examples() => Examples(Speech, 0, Speech.Tokens.Count);

        /// <summary>The same where it is said in the middle of other talk.</summary>
        internal IEnumerable<(int Role, HashSet<string> Traits)> Examples(Sentence before, Sentence after)
        {
            var (first, end) = (before.Speech.Tokens.Count, before.Speech.Tokens.Count + Speech.Tokens.Count);
            var talk = Of([.. before._said, .. _said, .. after._said]);

            // Two numbers that meet may become one.
            return talk.Tokens.Count == end + after.Speech.Tokens.Count ? Examples(talk, first, end) : [];
        }

        private IEnumerable<(int Role, HashSet<string> Traits)> Examples(Speech speech, int first, int end) =>
            SaidNumbers.Find(speech).Where(n => n.Token >= first && n.Token < end).Select(n => (Roles.TryGetValue(n.Token - first, out var role) ? (int)role : None, SaidNumbers.Traits(speech, n)));

        private static Speech Of(string[] words) => new([new Cue(Seconds.Zero, new Seconds(words.Length), string.Join(' ', words), 1)]);
    }

    /// <summary>A class with its marked structures: of its numbers, those that are no part of a dose.</summary>
    public sealed class MarkedClass(CaptionFile file, GoldReading gold)
    {
        internal Speech Speech { get; } = new(file.Cues);

        /// <summary>Numbers that no structure has, and nothing that is read has. Numbers it has may be part of a dose or not; they are no example.</summary>
        internal IEnumerable<SaidNumber> Plain()
        {
            var times = new HashSet<double?>();
            var counts = new HashSet<double?>();
            foreach (var s in gold.Structures ?? [])
            {
                times.UnionWith([s.Work, s.Rest]);
                counts.UnionWith([s.Rounds?.Low, s.Rounds?.High, s.Sets, s.Reps?.Low, s.Reps?.High, s.Moves]);
                if (s.Type == StructureType.Tabata)
                {
                    // Twenty seconds on, ten off, eight times: nobody has to mark it.
                    times.UnionWith([20, 10]);
                    counts.Add(8);
                }
            }

            var read = DoseReader.ReadPhrases(Speech, []);
            times.UnionWith([.. read.Beats.SelectMany(b => new[] { b.Work, b.Rest }), read.RoundRestSeconds]);
            counts.UnionWith([.. times, read.Rounds?.Low, read.Rounds?.High, read.Sets, read.Reps?.Low, read.Reps?.High, read.MovesPerRound]);
            return SaidNumbers.Find(Speech).Where(n => !(n.IsTime ? times : counts).Contains(n.Value));
        }
    }

    /// <summary>The place of no role among the roles.</summary>
    private const int None = -1;

    public static TraitWeights Fit(IEnumerable<Sentence> sentences, IReadOnlyList<MarkedClass> classes)
    {
        var examples = InTalk.Examples(sentences, s => s.Text, s => s.Examples(), (s, before, after) => s.Examples(before, after)).ToList();

        // Rests between rounds are marked in no class: what may be one is no example of plain talk.
        var rough = new NumberJudge(Fit(examples));
        examples.AddRange(classes.AsParallel().AsOrdered().SelectMany(c => c.Plain()
            .Where(n => rough.Judge(c.Speech, n) is not { Role: NumberRole.RoundRest, Share: > 0.5 }).Select(n => (None, SaidNumbers.Traits(c.Speech, n))).ToList()));
        return Fit(examples);
    }

    private static TraitWeights Fit(List<(int Kind, HashSet<string> Traits)> examples) => TraitWeights.Fit(Kinds, examples.ConvertAll(e => (e.Kind == None ? Array.Empty<int>() : [e.Kind], e.Traits)), LeastNumbers, Ridge, LeastWeight);
}
