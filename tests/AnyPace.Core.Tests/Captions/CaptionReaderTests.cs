using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.CaptionsTests;

public sealed class CaptionReaderTests
{
    [Fact]
    public void WebVtt_with_header_notes_styles_settings_and_tags_is_read()
    {
        const string text = """
            WEBVTT - made here
            Kind: captions

            STYLE
            ::cue { color: lime }

            NOTE a note
            over two lines

            intro
            00:01.500 --> 00:04.000 align:start position:0%
            <v Bram>Hello &amp; <b>welcome</b>

            01:00:00.000 --> 01:00:02.000
            an hour <01:00:01.000><c>later</c>
            """;
        var file = CaptionReader.Read(text);
        Assert.Equal(CaptionFormat.WebVtt, file.Format);
        Assert.Equal(["Hello & welcome", "an hour later"], file.Cues.Select(c => c.Text));
        Assert.Equal((1.5, 4.0), (file.Cues[0].Start.Value, file.Cues[0].End!.Value.Value));
        Assert.Equal(3600, file.Cues[1].Start.Value);
        Assert.Equal(11, file.Cues[0].Line);
    }

    [Fact]
    public void SubRip_with_counters_commas_and_positions_is_read()
    {
        const string text = "1\r\n00:00:01,000 --> 00:00:03,250\r\n{\\an8}first\r\nsecond line\r\n\r\n2\r\n00:00:04,000 --> 00:00:05,000\r\nthird\r\n";
        var file = CaptionReader.Read(text);
        Assert.Equal(CaptionFormat.SubRip, file.Format);
        Assert.Equal(["first\nsecond line", "third"], file.Cues.Select(c => c.Text));
        Assert.Equal(3.25, file.Cues[0].End!.Value.Value);
    }

    [Fact]
    public void SubRip_without_blank_lines_between_cues_is_read() =>
        Assert.Equal(["one", "two"], CaptionReader.Read("1\n00:00:01,000 --> 00:00:02,000\none\n2\n00:00:03,000 --> 00:00:04,000\ntwo").Cues.Select(c => c.Text));

    [Fact]
    public void Plain_lines_carry_minutes_or_hours_and_wrap()
    {
        var file = CaptionReader.Read("[0:00] hello\n[1:05] squats\nand more squats\n[1:00:10] done");
        Assert.Equal(CaptionFormat.Plain, file.Format);
        Assert.Equal([0.0, 65.0, 3610.0], file.Cues.Select(c => c.Start.Value));
        Assert.Equal("squats and more squats", file.Cues[1].Text);
        Assert.All(file.Cues, c => Assert.Null(c.End));
    }

    [Theory]
    [InlineData("0:05 squats\n1:05 lunges\n1:00:10 done")]
    [InlineData("(0:05) squats\n(1:05) lunges\n(1:00:10) done")]
    [InlineData("0:05\nsquats\n1:05\nlunges\n1:00:10\ndone")]
    [InlineData("0:05 - squats\n1:05 - lunges\n1:00:10 - done")]
    [InlineData("[0:05 - 0:09] squats\n[1:05 - 1:09] lunges\n[1:00:10 - 1:00:11] done")]
    [InlineData("[00:00:05.000 --> 00:00:09.500]   squats\n[00:01:05.000 --> 00:01:09.000]  lunges\n[01:00:10.000 --> 01:00:12.000]  done")]
    public void Times_before_lines_may_be_written_in_other_ways(string text)
    {
        var file = CaptionReader.Read(text);
        Assert.Equal(CaptionFormat.Plain, file.Format);
        Assert.Equal([(5.0, "squats"), (65.0, "lunges"), (3610.0, "done")], file.Cues.Select(c => (c.Start.Value, c.Text)));
    }

    [Fact]
    public void A_range_before_a_line_gives_its_end() => Assert.Equal(9.5, CaptionReader.Read("[0:05 - 0:09.5] squats").Cues[0].End!.Value.Value);

    [Fact]
    public void A_time_that_is_spoken_begins_no_line_where_times_stand_in_brackets() =>
        Assert.Equal(["and now we have 1:30 to go"], CaptionReader.Read("[0:05] and now we have\n1:30 to go").Cues.Select(c => c.Text));

    [Theory]
    [InlineData("utf-8", true)]
    [InlineData("utf-16", true)]
    [InlineData("utf-16BE", true)]
    [InlineData("utf-8", false)]
    public void Byte_order_marks_and_encodings_are_honoured(string encoding, bool mark)
    {
        var e = Encoding.GetEncoding(encoding);
        byte[] bytes = [.. mark ? e.GetPreamble() : [], .. e.GetBytes("[0:01] pliés")];
        Assert.Equal("pliés", CaptionReader.Read(bytes).Cues[0].Text);
    }

    [Fact]
    public void Western_bytes_that_are_no_utf8_are_read_as_such() =>
        Assert.Equal("pliés", CaptionReader.Read(Encoding.Latin1.GetBytes("[0:01] pliés")).Cues[0].Text);

    [Fact]
    public void Cues_out_of_order_are_put_in_order() =>
        Assert.Equal(["b", "a"], CaptionReader.Read("WEBVTT\n\n00:05.000 --> 00:06.000\na\n\n00:01.000 --> 00:09.000\nb").Cues.Select(c => c.Text));

    [Fact]
    public void An_end_before_its_start_counts_as_not_given() =>
        Assert.Null(CaptionReader.Read("WEBVTT\n\n00:05.000 --> 00:04.000\na").Cues[0].End);

    [Theory]
    [InlineData("", 1, "empty")]
    [InlineData("hello there\n[0:10] squats", 1, "hello there")]
    [InlineData("[0:10] squats\n[1:75] lunges", 2, "1:75")]
    [InlineData("0:10 squats\n1:75 lunges", 2, "1:75")]
    [InlineData("[0:10 - 0:75] squats", 1, "0:75")]
    [InlineData("WEBVTT\n\n00:0x.000 --> 00:04.000\nhi", 3, "00:0x.000")]
    [InlineData("WEBVTT\n\n00:01.000 --> soon\nhi", 3, "soon")]
    [InlineData("WEBVTT\n\n00:61.000 --> 00:62.000\nhi", 3, "00:61.000")]
    [InlineData("WEBVTT\n\nNOTE nothing here", 3, "single cue")]
    [InlineData("[0:01] a\0b", 1, "zero bytes")]
    public void What_can_not_be_read_says_line_reason_and_what_was_expected(string text, int line, string said)
    {
        var e = Assert.Throws<CaptionException>(() => CaptionReader.Read(text));
        Assert.Equal(line, e.Line);
        Assert.Contains(said, e.Reason);
        Assert.NotEmpty(e.Expected);
        Assert.StartsWith($"Line {line}: ", e.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_file_over_five_megabytes_is_refused() =>
        Assert.Contains("5 MB", Assert.Throws<CaptionException>(() => CaptionReader.Read(new byte[CaptionReader.MaxBytes + 1])).Reason);

    [Fact]
    public void A_format_that_is_given_is_believed() =>
        Assert.Throws<CaptionException>(() => CaptionReader.Read("WEBVTT\n\n00:01.000 --> 00:02.000\nhi", CaptionFormat.Plain));

    [Fact]
    public void Nothing_typed_at_random_makes_it_crash()
    {
        var pieces = new[] { "WEBVTT", "\n", "\n\n", "-->", "00:01.000", "00:00:01,5", "[0:10]", "[9:99]", "<b>", "</", "&amp;", "&#x41;", "{\\an8}", "\uFEFF", "1", " ", "squats", "\0", "NOTE", "é", "\uD83D" };
        Gen.OneOfConst(pieces).Array[0, 40].Select(string.Concat).Sample(
            text =>
            {
                try
                {
                    return CaptionReader.Read(text).Cues.All(c => double.IsFinite(c.Start.Value));
                }
                catch (CaptionException e)
                {
                    return e.Line >= 1;
                }
            },
            iter: 5000);
    }

    [Fact]
    public void Random_bytes_are_read_or_refused_never_worse() =>
        Gen.Byte.Array[0, 300].Sample(
            bytes =>
            {
                try
                {
                    CaptionReader.Read(bytes);
                }
                catch (CaptionException)
                {
                    // Refused with a reason, as it should.
                }
            },
            iter: 5000);

    [Fact]
    public void What_is_written_is_read_back_the_same()
    {
        var words = Gen.OneOfConst("squats & lunges", "knees < hips", "a --> b", "Déjà vu", "line one\nline two", "1");
        Gen.Select(Gen.Int[0, 5_000_000], Gen.Int[1, 60_000], Gen.Bool, words).Array[1, 20].Sample(
            rows =>
            {
                var cues = rows
                    .Select(r => new Cue(new Seconds(r.Item1 / 1000.0), r.Item3 ? new Seconds((r.Item1 + r.Item2) / 1000.0) : null, r.Item4, 1))
                    .OrderBy(c => c.Start)
                    .ToList();
                var back = CaptionReader.Read(CaptionWriter.WebVtt(cues)).Cues;
                return cues.Select(c => (c.Start, c.End, c.Text)).SequenceEqual(back.Select(c => (c.Start, c.End, c.Text)));
            },
            iter: 1000);
    }
}
