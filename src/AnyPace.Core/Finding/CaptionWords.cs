using System.Collections.Immutable;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Finding;

/// <summary>The words of a recording by which it can be found.</summary>
public static class CaptionWords
{
    /// <summary>Shorter words say nothing about a class.</summary>
    private const int ShortestWord = 4;

    /// <summary>Words that every class says.</summary>
    private static readonly HashSet<string> Common =
    [
        .. "that this with your just here there have keep going gonna going your we're you're you've we've it's that's then than them they what when where will would could should really little bit from into onto down back over again more right left okay yeah good great nice like want take make some thing doing done come coming going let's don't about another first next last time one's each both other side sides through around much many very well want need know think look looking getting start started minute minutes second seconds three four five seven eight nine ten"
            .Split(' ').Select(WordStem.Of),
    ];

    /// <summary>Distinct stems, in the order in which they are first said.</summary>
    public static ImmutableArray<string> Of(IEnumerable<Cue> cues)
    {
        var seen = new HashSet<string>();
        var words = ImmutableArray.CreateBuilder<string>();
        foreach (var cue in cues)
        {
            foreach (var word in cue.Text.Split([' ', '-', ',', '.', '!', '?', ';', ':', '"', '(', ')', '\n'], StringSplitOptions.RemoveEmptyEntries))
            {
                if (word.Length >= ShortestWord && word.All(c => char.IsLetter(c) || c == '\'') && WordStem.Of(word) is var stem && !Common.Contains(stem) && seen.Add(stem))
                {
                    words.Add(stem);
                }
            }
        }

        return words.ToImmutable();
    }
}
