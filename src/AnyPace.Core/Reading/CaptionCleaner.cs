using System.Text.RegularExpressions;
using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>First stage: takes away what the captioning machine added, so that every word was said once, at its time.</summary>
public static partial class CaptionCleaner
{
    /// <summary>Rolling captions repeat at least this many words of the cue before; fewer may be chance ("and three, and three").</summary>
    private const int LeastRepeat = 4;

    /// <summary>Words that a machine hears in music and room noise.</summary>
    private static readonly HashSet<string> NoiseWords =
        ["thank", "you", "thanks", "bye", "oh", "uh", "um", "hmm", "ah", "yeah", "foreign", "music", "applause", "laughter", "okay"];

    /// <summary>Everyday words that hold most English speech together; a tail without any is another language or noise.</summary>
    private static readonly HashSet<string> EverydayWords =
    [
        "the", "and", "to", "you", "your", "a", "it", "we", "that", "is", "in", "of", "this", "up", "on", "down", "for", "so", "i", "are",
        "for", "with", "out", "one", "two", "three", "go", "be", "just", "all", "now", "have", "as", "can", "if", "at", "back", "or", "do", "see",
    ];

    /// <summary>Share of the cues of a rolling file that show the line before once more; elsewhere two lines are the same by chance.</summary>
    private const double RollingShare = 0.2;

    /// <summary>Share of the cues of a file in which a line is shown anew with each word that is added to it.</summary>
    private const double GrowingShare = 0.4;

    /// <summary>Cleaned cues in time order, each with an end, cut where the class is over.</summary>
    public static IReadOnlyList<Cue> Clean(IReadOnlyList<Cue> cues)
    {
        var kept = new List<Cue>(cues.Count);
        List<string> before = [];
        var shown = 0;
        var lastLine = "";
        var split = cues.Select(c => c.Text.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)).ToList();
        bool Rolls(int cue) => split[cue].Length > 1 && cue > 0 && split[cue - 1] is [.., var last] && last == split[cue][0];
        bool Grows(int cue) => cue > 0 && cues[cue].Text.Length > cues[cue - 1].Text.Length && cues[cue].Text.StartsWith(cues[cue - 1].Text, StringComparison.Ordinal) && cues[cue].Text[cues[cue - 1].Text.Length] is ' ' or '\n';
        var rolling = Enumerable.Range(0, cues.Count).Count(Rolls) >= RollingShare * cues.Count;
        var growing = Enumerable.Range(0, cues.Count).Count(Grows) >= GrowingShare * cues.Count;
        for (var i = 0; i < cues.Count; i++)
        {
            var (cue, lines) = (cues[i], split[i]);

            // Between two lines a rolling file shows the first once more, alone: however short, it was said once.
            if (rolling && lines.Length == 1 && lines[0] == lastLine)
            {
                continue;
            }

            // Rolling captions show the line before once more above the new one.
            var rolls = lines.Length > 1 && lines[0] == lastLine;
            lastLine = lines.Length > 0 ? lines[^1] : lastLine;
            if (rolls)
            {
                before = [];
            }

            var text = rolls ? string.Join(' ', lines.Skip(1)) : cue.Text;
            var words = Words((text.AsSpan().ContainsAny('[', '(', '\u266A') ? NoiseTag().Replace(text, " ") : text).Replace(">>", " ", StringComparison.Ordinal));
            var repeat = growing && !rolls && Grows(i) ? shown : Repeated(before, words);
            shown = words.Count;
            if (words.Count > 0)
            {
                before = words;
            }

            if (repeat < words.Count)
            {
                kept.Add(cue with { Text = string.Join(' ', words.Skip(repeat)) });
            }
        }

        while (kept.Count > 1 && IsNoise(kept[^1]))
        {
            kept.RemoveAt(kept.Count - 1);
        }

        for (var i = 0; i < kept.Count; i++)
        {
            var spoken = kept[i].Start + new Seconds(Math.Max(1, 0.45 * Words(kept[i].Text).Count));
            var end = kept[i].End ?? (i + 1 < kept.Count ? kept[i + 1].Start : spoken);
            if (i + 1 < kept.Count)
            {
                end = Seconds.Min(end, kept[i + 1].Start);
            }

            kept[i] = kept[i] with { End = Seconds.Max(end, kept[i].Start) };
        }

        return kept;
    }

    private static List<string> Words(string text) =>
        [.. text.Split([' ', '\n', '\t', '\r'], StringSplitOptions.RemoveEmptyEntries)];

    /// <summary>How many leading words of <paramref name="words"/> only repeat the end of the cue before.</summary>
    private static int Repeated(List<string> before, List<string> words)
    {
        for (var n = Math.Min(before.Count, words.Count); n >= LeastRepeat; n--)
        {
            var same = true;
            for (var k = 0; k < n && same; k++)
            {
                same = string.Equals(before[before.Count - n + k], words[k], StringComparison.OrdinalIgnoreCase);
            }

            if (same)
            {
                return n;
            }
        }

        return 0;
    }

    private static bool IsNoise(Cue cue)
    {
        var words = Words(cue.Text)
            .Select(w => new string([.. w.Where(char.IsLetter)]).ToLowerInvariant())
            .Where(w => w.Length > 0)
            .ToList();
        if (words.Count == 0 || words.All(NoiseWords.Contains))
        {
            return true;
        }

        var foreign = words.Sum(w => w.Count(c => c > 0x024F));
        var letters = words.Sum(w => w.Length);
        return foreign * 2 > letters || (words.Count >= 5 && !words.Any(EverydayWords.Contains));
    }

    [GeneratedRegex(@"\[[^\]\[]{0,40}\]|\((?:music|applause|laughter|laughs|upbeat|gentle|soft)[^()]{0,40}\)|♪", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex NoiseTag();
}
