using System.Globalization;
using System.Net;
using System.Text;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Captions;

/// <summary>Reads WebVTT, SubRip and plain timed lines. Tolerates what recorders really write; refuses, with line and reason, what it can't place in time.</summary>
public static partial class CaptionReader
{
    /// <summary>Largest file taken, in bytes: a three-hour recording's captions are under 1 MB.</summary>
    public const int MaxBytes = 5 * 1024 * 1024;

    /// <summary>Longest clock time believed, in hours. A stamp beyond it is a fault in the file.</summary>
    private const int MaxHours = 24;

    private const string ExpectedAnything =
        "a WebVTT file (first line WEBVTT), a SubRip file (00:00:01,000 --> 00:00:04,000) or lines that begin with [m:ss]";

    /// <summary>Decodes and reads a file's bytes.</summary>
    /// <exception cref="CaptionException">Too large, not text, or not captions.</exception>
    public static CaptionFile Read(ReadOnlySpan<byte> bytes, CaptionFormat? format = null)
    {
        if (bytes.Length > MaxBytes)
        {
            throw new CaptionException(1, $"The file is larger than {MaxBytes / 1024 / 1024} MB.", "a caption file, not the recording itself");
        }

        return Read(Decode(bytes), format);
    }

    /// <exception cref="CaptionException">Not captions.</exception>
    public static CaptionFile Read(string text, CaptionFormat? format = null)
    {
        var lines = text.TrimStart('\uFEFF').ReplaceLineEndings("\n").Split('\n');
        var nul = Array.FindIndex(lines, l => l.Contains('\0'));
        if (nul >= 0)
        {
            throw new CaptionException(nul + 1, "The line holds zero bytes, so this is not a text file.", ExpectedAnything);
        }

        var found = format ?? Detect(lines);
        var cues = found == CaptionFormat.Plain ? ReadPlain(lines) : ReadArrows(lines);
        if (cues.Count == 0)
        {
            throw new CaptionException(lines.Length, "The file ends without a single cue.", ExpectedAnything);
        }

        // Overlapping cues may stand out of order; the clock decides. The sort is stable.
        List<Cue> ordered = [.. cues.OrderBy(c => c.Start)];
        Believable(ordered);
        return new CaptionFile(found, ordered);
    }

    /// <summary>Faster than anyone talks, in words a second over a whole file: quick speech is about 4, and rolling captions show every word three times.</summary>
    private const double FastestSpeech = 20;

    /// <summary>Short files are not held to it: a sentence may well stand in one cue of a second.</summary>
    private const int ManyWords = 5000;

    private static void Believable(List<Cue> cues)
    {
        var words = cues.Sum(c => (long)c.Text.AsSpan().Count(' ') + 1);
        var seconds = Math.Max(60, (cues[^1].Start - cues[0].Start).Value);
        if (words > ManyWords && words / seconds > FastestSpeech)
        {
            throw new CaptionException(
                cues[^1].Line, $"The file has {words} words but its clock runs only from {cues[0].Start} to {cues[^1].Start}.", "cues with the times at which they are said");
        }
    }

    private static string Decode(ReadOnlySpan<byte> bytes)
    {
        if (bytes is [0xFF, 0xFE, ..])
        {
            return Encoding.Unicode.GetString(bytes[2..]);
        }

        if (bytes is [0xFE, 0xFF, ..])
        {
            return Encoding.BigEndianUnicode.GetString(bytes[2..]);
        }

        try
        {
            return new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(bytes);
        }
        catch (DecoderFallbackException)
        {
            // Old editors wrote Western files without saying so; every byte is a character there.
            return Encoding.Latin1.GetString(bytes);
        }
    }

    private static CaptionFormat Detect(string[] lines)
    {
        for (var i = 0; i < lines.Length; i++)
        {
            var line = lines[i].Trim();
            if (line.Length == 0)
            {
                continue;
            }

            if (line.StartsWith("WEBVTT", StringComparison.Ordinal))
            {
                return CaptionFormat.WebVtt;
            }

            if (BracketStamp().IsMatch(line) || BareStamp().IsMatch(line))
            {
                return CaptionFormat.Plain;
            }

            if (line.Contains("-->", StringComparison.Ordinal))
            {
                return CaptionFormat.SubRip;
            }

            if (line.All(char.IsAsciiDigit) && i + 1 < lines.Length && lines[i + 1].Contains("-->", StringComparison.Ordinal))
            {
                return CaptionFormat.SubRip;
            }

            throw new CaptionException(i + 1, $"\"{Short(line)}\" is not the beginning of a caption file.", ExpectedAnything);
        }

        throw new CaptionException(1, "The file is empty.", ExpectedAnything);
    }

    private static List<Cue> ReadPlain(string[] lines)
    {
        var cues = new List<Cue>();

        // One way of writing times a file: where they stand in brackets, "1:30 to go" at the start of a wrapped line is speech.
        Regex? times = null;
        for (var i = 0; i < lines.Length; i++)
        {
            var line = lines[i].Trim();
            if (line.Length == 0)
            {
                continue;
            }

            times ??= BareStamp().IsMatch(line) ? BareStamp() : BracketStamp();
            var match = times.Match(line);
            if (match.Success)
            {
                var at = Clock(match.Groups["t"], i + 1);
                var end = match.Groups["e"].Success ? Clock(match.Groups["e"], i + 1) : (Seconds?)null;
                cues.Add(new Cue(at, end > at ? end : null, Clean(line[match.Length..]), i + 1));
            }
            else if (cues.Count > 0)
            {
                // A wrapped line goes on with the words of the cue above it.
                cues[^1] = cues[^1] with { Text = $"{cues[^1].Text} {Clean(line)}".Trim() };
            }
            else
            {
                throw new CaptionException(i + 1, $"\"{Short(line)}\" has no time before it.", "[m:ss] or [h:mm:ss] at the start of the line");
            }
        }

        return cues;
    }

    private static Seconds Clock(Group stamp, int line) => Seconds.TryParseClock(stamp.Value, out var at)
        ? at
        : throw new CaptionException(line, $"\"{stamp.Value}\" is not a time.", "[m:ss] or [h:mm:ss] with seconds and minutes under 60");

    /// <summary>WebVTT and SubRip differ in header, notes and the decimal mark; both are read tolerantly here.</summary>
    private static List<Cue> ReadArrows(string[] lines)
    {
        var cues = new List<Cue>();
        var i = 0;
        while (i < lines.Length)
        {
            var line = lines[i].Trim();
            if (IsSkippedBlock(line))
            {
                while (i < lines.Length && lines[i].Trim().Length > 0)
                {
                    i++;
                }

                continue;
            }

            if (!line.Contains("-->", StringComparison.Ordinal))
            {
                i++;
                continue;
            }

            var number = i + 1;
            var (start, end) = Timing(line, number);
            var text = new List<string>();
            i++;

            // Rolling captions keep the place of a line that is gone with a blank in it; only an empty line ends a cue.
            while (i < lines.Length && lines[i].Length > 0 && string.IsNullOrWhiteSpace(lines[i]))
            {
                i++;
            }

            while (i < lines.Length && lines[i].Trim().Length > 0)
            {
                // A timing line without a blank line before it begins the next cue; a bare number above it is its counter.
                if (lines[i].Contains("-->", StringComparison.Ordinal))
                {
                    break;
                }

                text.Add(lines[i].Trim());
                i++;
            }

            if (i < lines.Length && lines[i].Contains("-->", StringComparison.Ordinal) && text.Count > 0 && text[^1].All(char.IsAsciiDigit))
            {
                text.RemoveAt(text.Count - 1);
            }

            var words = Clean(string.Join('\n', text));
            if (words.Length > 0)
            {
                cues.Add(new Cue(start, end > start ? end : null, words, number));
            }
        }

        return cues;
    }

    private static bool IsSkippedBlock(string line) =>
        line.StartsWith("NOTE", StringComparison.Ordinal) || line is "STYLE" or "REGION" || line.StartsWith("WEBVTT", StringComparison.Ordinal);

    private static (Seconds Start, Seconds? End) Timing(string line, int number)
    {
        var arrow = line.IndexOf("-->", StringComparison.Ordinal);
        var left = line[..arrow].Trim();
        var right = line[(arrow + 3)..].Trim().Split(' ', '\t')[0];
        return (
            Stamp(left) ?? throw new CaptionException(number, $"\"{Short(left)}\" is not a time.", "h:mm:ss.mmm or mm:ss.mmm before -->"),
            right.Length == 0
                ? null
                : Stamp(right) ?? throw new CaptionException(number, $"\"{Short(right)}\" is not a time.", "h:mm:ss.mmm or mm:ss.mmm after -->"));
    }

    private static Seconds? Stamp(string text)
    {
        var match = ArrowStamp().Match(text);
        if (!match.Success)
        {
            return null;
        }

        var hours = match.Groups["h"].Success ? int.Parse(match.Groups["h"].Value, CultureInfo.InvariantCulture) : 0;
        var minutes = int.Parse(match.Groups["m"].Value, CultureInfo.InvariantCulture);
        var seconds = double.Parse(match.Groups["s"].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        return hours >= MaxHours || minutes >= 60 || seconds >= 60 ? null : new Seconds(Math.Round((hours * 3600) + (minutes * 60) + seconds, 3));
    }

    /// <summary>Takes styling tags, inline clocks and entities out of cue text.</summary>
    private static string Clean(string text)
    {
        var plain = text.Contains('<', StringComparison.Ordinal) ? Tag().Replace(text, "") : text;
        plain = plain.Contains('{', StringComparison.Ordinal) ? Override().Replace(plain, "") : plain;
        return (plain.Contains('&', StringComparison.Ordinal) ? WebUtility.HtmlDecode(plain) : plain).Replace('\u00A0', ' ').Trim();
    }

    private static string Short(string text) => text.Length <= 40 ? text : text[..40] + "...";

    /// <summary>"[1:05]", "[1:05 - 1:09]", "[00:01:05.000 --> 00:01:09.000]".</summary>
    [GeneratedRegex(@"^\[(?<t>\d[\d:.]*)(?: *(?:-->|[-\u2013]) *(?<e>\d[\d:.]*))?\]\s*", RegexOptions.CultureInvariant)]
    private static partial Regex BracketStamp();

    /// <summary>"1:05 squats", "(1:05) squats", or the time on a line of its own above what is said.</summary>
    [GeneratedRegex(@"^\(?(?<t>\d{1,3}(?::\d{1,2}){1,2}(?:\.\d{1,3})?)\)?(?:$|\s+(?!-->)(?:[-\u2013]\s+)?)", RegexOptions.CultureInvariant)]
    private static partial Regex BareStamp();

    [GeneratedRegex(@"^(?:(?<h>\d{1,3}):)?(?<m>\d{1,2}):(?<s>\d{1,2}(?:[.,]\d{1,9})?)$", RegexOptions.CultureInvariant)]
    private static partial Regex ArrowStamp();

    [GeneratedRegex(@"</?[a-zA-Z0-9:][^<>\n]{0,200}>", RegexOptions.CultureInvariant)]
    private static partial Regex Tag();

    /// <summary>SubRip files from subtitle editors carry positions such as {\an8}.</summary>
    [GeneratedRegex(@"\{\\[^{}\n]{0,60}\}", RegexOptions.CultureInvariant)]
    private static partial Regex Override();
}
