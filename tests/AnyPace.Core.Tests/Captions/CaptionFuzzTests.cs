using System.Text;
using AnyPace.Core.Captions;

namespace AnyPace.Core.Tests.CaptionsTests;

/// <summary>Whatever bytes come in: captions, or an error that says where. Seeds are fixed, so a failure comes back.</summary>
public sealed class CaptionFuzzTests
{
    /// <summary>Inputs of each of the four kinds.</summary>
    private const int Each = 30_000;

    private static readonly string[] Seeds =
    [
        "WEBVTT - made\nKind: captions\n\nSTYLE\n::cue { color: lime }\n\nNOTE a\nb\n\nid\n00:01.500 --> 00:04.000 align:start position:0%\n<v A>Hello &amp; <b>all</b>\n\n01:00:00.000 --> 01:00:02.000\nan hour <01:00:01.000><c>later</c>\n",
        "1\r\n00:00:01,000 --> 00:00:03,250\r\n{\\an8}first\r\nsecond\r\n\r\n2\r\n00:00:04,000 --> 00:00:05,000\r\nthird\r\n",
        "[0:00] hello\n[1:05] squats\nand more squats\n[1:00:10] done",
        "WEBVTT\n\n00:00:00.000 --> 00:00:02.000\nand one\n\n00:00:02.000 --> 00:00:04.000\nand one\nand two\n\n00:00:03.000 --> \nand three\n",
    ];

    private static readonly string[] Pieces =
        ["-->", "\n", "\r\n", "\n\n", "[", "]", ":", ",", ".", "00:", "99:99", "WEBVTT", "NOTE ", "STYLE", "<", ">", "</c>", "&amp;", "&#0;", "{\\", "}", "\uFEFF", "\0", "\u00A0", "é", "字", "9999999999", " ", "[0:0", "1\n"];

    [Fact]
    public void Random_bytes_are_read_or_refused_with_a_line()
    {
        var random = new Random(20261124);
        for (var i = 0; i < Each; i++)
        {
            var bytes = new byte[random.Next(0, 200)];
            random.NextBytes(bytes);
            Try(bytes);
        }
    }

    [Fact]
    public void Random_pieces_of_captions_are_read_or_refused_with_a_line()
    {
        var random = new Random(7);
        for (var i = 0; i < Each; i++)
        {
            var text = new StringBuilder();
            for (var k = random.Next(1, 40); k > 0; k--)
            {
                text.Append(Pieces[random.Next(Pieces.Length)]);
            }

            Try(Encoding.UTF8.GetBytes(text.ToString()));
        }
    }

    [Fact]
    public void Mutated_captions_are_read_or_refused_with_a_line()
    {
        var random = new Random(11);
        for (var i = 0; i < Each; i++)
        {
            var bytes = Encoding.UTF8.GetBytes(Seeds[i % Seeds.Length]).ToList();
            for (var k = random.Next(1, 12); k > 0; k--)
            {
                var at = random.Next(bytes.Count);
                switch (random.Next(4))
                {
                    case 0:
                        bytes[at] = (byte)random.Next(256);
                        break;
                    case 1:
                        bytes.RemoveAt(at);
                        break;
                    case 2:
                        bytes.InsertRange(at, Encoding.UTF8.GetBytes(Pieces[random.Next(Pieces.Length)]));
                        break;
                    default:
                        var from = random.Next(bytes.Count);
                        bytes.InsertRange(at, bytes.GetRange(from, Math.Min(random.Next(20), bytes.Count - from)));
                        break;
                }

                if (bytes.Count == 0)
                {
                    break;
                }
            }

            Try([.. bytes]);
        }
    }

    [Fact]
    public void Captions_cut_off_anywhere_are_read_or_refused_with_a_line()
    {
        var whole = Seeds.Select(s => Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat(s + "\n\n", 6)))).ToArray();
        var random = new Random(13);
        for (var i = 0; i < Each / 3; i++)
        {
            var bytes = whole[i % whole.Length];
            Try(bytes[..random.Next(bytes.Length)]);
        }
    }

    [Fact]
    public void Five_megabytes_of_one_line_or_of_nothing_but_arrows_end()
    {
        var size = CaptionReader.MaxBytes;
        foreach (var piece in new[] { "a", "-->", "[0:00]", "<", "&", "\n", "1\n", "[0:01] a\n", "00:01.000 --> 00:02.000\na\n\n" })
        {
            var text = new StringBuilder("WEBVTT\n\n00:01.000 --> 00:02.000\n", size + 64);
            while (text.Length < size - piece.Length - 64)
            {
                text.Append(piece);
            }

            Try(Encoding.UTF8.GetBytes(text.ToString()));
        }
    }

    [Fact]
    public void More_than_five_megabytes_are_refused_unread() =>
        Assert.Contains("5 MB", Assert.Throws<CaptionException>(() => CaptionReader.Read(new byte[CaptionReader.MaxBytes + 1])).Message);

    [Fact]
    public void A_clock_that_stands_still_under_thousands_of_words_is_refused()
    {
        var e = Assert.Throws<CaptionException>(() => CaptionReader.Read("[0:01] " + string.Join(' ', Enumerable.Repeat("squat", 6000))));
        Assert.Contains("6000 words", e.Message);
    }

    private static void Try(byte[] bytes)
    {
        try
        {
            var file = CaptionReader.Read(bytes);
            Assert.NotEmpty(file.Cues);
            var before = 0.0;
            foreach (var cue in file.Cues)
            {
                Assert.InRange(cue.Start.Value, before, 86400 * 2);
                Assert.True(cue.End is null || cue.End.Value.Value >= cue.Start.Value);
                before = cue.Start.Value;
            }
        }
        catch (CaptionException e)
        {
            Assert.True(e.Line >= 1);
            Assert.NotEmpty(e.Expected);
        }
    }
}
