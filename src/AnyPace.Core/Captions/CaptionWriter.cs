using System.Globalization;
using System.Text;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Captions;

/// <summary>Writes cues as WebVTT, the form in which captions are kept.</summary>
public static class CaptionWriter
{
    /// <summary>A file that <see cref="CaptionReader"/> reads back to the same starts, ends and words. A missing end stays missing.</summary>
    public static string WebVtt(IEnumerable<Cue> cues)
    {
        var text = new StringBuilder("WEBVTT\n");
        foreach (var cue in cues)
        {
            text.Append('\n').Append(Stamp(cue.Start)).Append(" --> ").Append(cue.End is { } end ? Stamp(end) : "").Append('\n');
            text.Append(cue.Text.Replace("&", "&amp;", StringComparison.Ordinal).Replace("<", "&lt;", StringComparison.Ordinal)
                .Replace("-->", "--&gt;", StringComparison.Ordinal).ReplaceLineEndings("\n").Replace("\n\n", "\n", StringComparison.Ordinal)).Append('\n');
        }

        return text.ToString();
    }

    private static string Stamp(Seconds at)
    {
        var ms = (long)Math.Round(at.Value * 1000);
        return string.Create(CultureInfo.InvariantCulture, $"{ms / 3600000:00}:{ms / 60000 % 60:00}:{ms / 1000 % 60:00}.{ms % 1000:000}");
    }
}
