using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>
/// A class as it would have come with words lost, fillers between them, captions lost, late or early: what is learned from it and
/// from the class as it is holds for more classes than what is learned from the latter alone. There is no chance in it: the same class gives the same copies.
/// </summary>
/// <remarks>Which copies, and how worn, is ours, by classes held back in turn.</remarks>
public static class WornCaptions
{
    private static readonly string[] Said = ["um", "you know", "okay", "like", "uh", "i mean", "so", "right"];

    /// <summary>Share of the words that are lost in a copy, and of those kept that a filler follows.</summary>
    private static readonly (double Lost, double Filled)[] Words = [(0.08, 0), (0.08, 0), (0.2, 0), (0.02, 0.06)];

    /// <summary>Share of the captions that are lost.</summary>
    private const double CaptionsLost = 0.12;

    /// <summary>Seconds by which a caption may come early or late.</summary>
    private const double Astray = 1.2;

    /// <summary>The copies, from the most alike on.</summary>
    /// <param name="name">What the class is called: no two are worn at the same places.</param>
    public static IEnumerable<CaptionFile> Of(CaptionFile file, string name)
    {
        var whole = file with { Cues = [.. CaptionCleaner.Clean(file.Cues)] };
        var chance = new Chance(name);
        foreach (var (lost, filled) in Words)
        {
            yield return whole with { Cues = [.. whole.Cues.Select(c => c with { Text = Worn(c.Text, lost, filled, chance) })] };
        }

        yield return whole with { Cues = [.. whole.Cues.Where(_ => chance.Next() >= CaptionsLost)] };
        yield return whole with { Cues = [.. Late(whole.Cues, chance)] };
    }

    private static string Worn(string text, double lost, double filled, Chance chance) => string.Join(
        ' ',
        text.Split(' ').Where(_ => chance.Next() >= lost).SelectMany(word => chance.Next() < filled ? [word, Said[chance.Below(Said.Length)]] : new[] { word }));

    private static IEnumerable<Cue> Late(IEnumerable<Cue> cues, Chance chance)
    {
        const double shortest = 0.3;
        var last = 0.0;
        foreach (var cue in cues)
        {
            last = Math.Max(last, cue.Start.Value + (((chance.Next() * 2) - 1) * Astray));
            yield return cue with { Start = new Seconds(last), End = cue.End is { } end ? new Seconds(Math.Max(last + shortest, end.Value)) : null };
        }
    }
}
