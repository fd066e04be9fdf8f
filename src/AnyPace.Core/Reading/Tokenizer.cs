using System.Globalization;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Second stage: cues to words, each with a time and, for number words, a value.</summary>
public static class Tokenizer
{
    /// <summary>Slowest believable speech of a short cue, seconds a word: a few words before a long silence were said at its start.</summary>
    private const double SlowestWord = 0.55;

    /// <summary>Cues of more words than this are whole stretches of a class with its pauses inside; each further word may take longer, up to <see cref="SlowestStretch"/>.</summary>
    private const int ShortCue = 10;

    private const double SlowerEachWord = 0.06;

    private const double SlowestStretch = 2;

    /// <summary>Where half of the cues are at least this long, in seconds, the machine cut the speech by the clock, and words may be anywhere in a cue.</summary>
    private const double CutByClock = 20;

    /// <summary>A cue of a whole stretch of speech has at least this many words.</summary>
    private const int FullCue = 12;

    /// <summary>Fewer cues say nothing about how they were cut.</summary>
    private const int LeastCues = 8;

    /// <summary>
    /// In such a cue words are placed over this share of it: a move is set up before it is named, so its name comes late, and the cue's start is
    /// the only certain time.
    /// </summary>
    private const double AheadOfNaming = 0.8;

    private static readonly Dictionary<string, int> Units = new()
    {
        ["zero"] = 0,
        ["one"] = 1,
        ["two"] = 2,
        ["three"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["nine"] = 9,
        ["ten"] = 10,
        ["eleven"] = 11,
        ["twelve"] = 12,
        ["thirteen"] = 13,
        ["fourteen"] = 14,
        ["fifteen"] = 15,
        ["sixteen"] = 16,
        ["seventeen"] = 17,
        ["eighteen"] = 18,
        ["nineteen"] = 19,
    };

    private static readonly Dictionary<string, int> Tens = new()
    {
        ["twenty"] = 20,
        ["thirty"] = 30,
        ["forty"] = 40,
        ["fourty"] = 40,
        ["fifty"] = 50,
        ["sixty"] = 60,
        ["seventy"] = 70,
        ["eighty"] = 80,
        ["ninety"] = 90,
    };

    private static readonly char[] Separators = [' ', '-', '\u2013', '\u2014', '/', '\n', '\t', '\r', '\u2026'];

    /// <param name="cues">Cleaned cues, each with an end.</param>
    public static IReadOnlyList<Token> Tokens(IReadOnlyList<Cue> cues)
    {
        var known = new Dictionary<string, Word>().GetAlternateLookup<ReadOnlySpan<char>>();
        var tensOpen = false;
        var lengths = cues.Select(c => (c.End!.Value - c.Start).Value).Order().ToList();
        var split = cues.Select(c => c.Text.Split(Separators, StringSplitOptions.RemoveEmptyEntries)).ToList();
        var spoken = split.Select(w => w.Length).Order().ToList();
        var tokens = new List<Token>(spoken.Sum());
        var byClock = lengths.Count >= LeastCues && spoken[spoken.Count / 2] >= FullCue && lengths[lengths.Count / 2] >= CutByClock;
        for (var c = 0; c < cues.Count; c++)
        {
            var cue = cues[c];
            var words = split[c];
            var whole = (cue.End!.Value - cue.Start).Value;
            var length = byClock && whole >= CutByClock && words.Length >= FullCue ? whole * AheadOfNaming : Math.Min(whole, words.Length * Math.Min(SlowestStretch, SlowestWord + (Math.Max(0, words.Length - ShortCue) * SlowerEachWord)));
            var letters = Math.Max(1, cue.Text.Length);
            var position = 0;
            foreach (var word in words)
            {
                var at = cue.Start.Value + (length * position / letters);
                position += word.Length + 1;
                Add(tokens, known, word, at, c, ref tensOpen);
            }
        }

        return AsSaid(tokens, known);
    }

    /// <summary>Brings words that a machine writes in more ways than one to the form in which names of moves are looked for.</summary>
    private static List<Token> AsSaid(List<Token> tokens, Dictionary<string, Word>.AlternateLookup<ReadOnlySpan<char>> known)
    {
        Token As(Token token, ReadOnlySpan<char> text)
        {
            var word = Known(known, text);
            return token with { Text = word.Text, Stem = word.Stem, Number = word.Number };
        }

        var said = new List<Token>(tokens.Count);
        for (var i = 0; i < tokens.Count; i++)
        {
            var token = tokens[i];
            var before = said.Count > 0 ? said[^1].Text : "";
            var after = i + 1 < tokens.Count && !token.Pauses ? tokens[i + 1].Text : "";
            if (said.Count > 0 && Fillers.Length(before, token.Text, after, i + 2 < tokens.Count ? tokens[i + 2].Text : "") is > 0 and var filler)
            {
                i += filler - 1;
                said[^1] = said[^1] with { Stops = said[^1].Stops || tokens[i].Stops, Pauses = said[^1].Pauses || tokens[i].Pauses };
            }
            else if (after.Length > 0 && WrittenForms.IsOne(token.Text, after))
            {
                said.Add(As(tokens[++i] with { At = token.At, Cue = token.Cue }, token.Text + after));
            }
            else if (after.Length > 0 && WrittenForms.Meant(token.Text, after) is var (one, two))
            {
                said.Add(As(token, one));
                said.Add(As(tokens[++i], two));
            }
            else if (WrittenForms.PartOf(token.Text) is > 0 and var first)
            {
                said.Add(As(token with { Stops = false, Pauses = false }, token.Text.AsSpan(0, first)));
                said.Add(As(token, token.Text.AsSpan(first)));
            }
            else
            {
                said.Add(WrittenForms.Meant(before, token.Text, after) is { } meant ? As(token, meant) : token);
            }
        }

        return said;
    }

    /// <summary>What a word is, whenever it is said: most of a recording is a few hundred words said again and again.</summary>
    /// <param name="Text">Bare, numbers in digits.</param>
    private readonly record struct Word(string Text, string Stem, int? Number, bool Unit, bool Tens);

    private static Word Known(Dictionary<string, Word>.AlternateLookup<ReadOnlySpan<char>> known, ReadOnlySpan<char> bare)
    {
        if (!known.TryGetValue(bare, out var word))
        {
            known[bare] = word = WordOf(bare);
        }

        return word;
    }

    private static Word WordOf(ReadOnlySpan<char> bare)
    {
        var text = bare.ToString();
        var unit = Units.TryGetValue(text, out var units);
        var tens = Tens.TryGetValue(text, out var whole);
        int? number = int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var digits) && digits < 10000 ? digits : unit ? units : tens ? whole : null;
        var written = number is { } n ? Digits(n) : text;
        return new Word(written, number is null ? WordStem.Of(text) : written, number, unit, tens);
    }

    private static void Add(List<Token> tokens, Dictionary<string, Word>.AlternateLookup<ReadOnlySpan<char>> known, string word, double at, int cue, ref bool tensOpen)
    {
        var stops = word[^1] is '.' or '!' or '?' || (word.Length > 1 && word[^1] is '"' or ')' && word[^2] is '.' or '!' or '?');
        var pauses = stops || word[^1] is ',' or ';' or ':';
        Span<char> buffer = word.Length <= 64 ? stackalloc char[64] : new char[word.Length];
        var bare = buffer[..Bare(word, buffer)];
        if (bare.IsEmpty || bare is "um" or "umm" or "uh" or "uhm" or "erm" or "er" or "hmm")
        {
            if (stops && tokens.Count > 0)
            {
                tokens[^1] = tokens[^1] with { Stops = true, Pauses = true };
            }

            return;
        }

        var said = Known(known, bare);

        // "twenty five": a unit joins the tens that were said, as a word, just before it.
        var joins = tensOpen;
        tensOpen = said.Tens && !pauses;
        if (joins && said.Unit && said.Number is > 0 and < 10)
        {
            var number = tokens[^1].Number + said.Number;
            var whole = Digits(number!.Value);
            tokens[^1] = tokens[^1] with { Text = whole, Stem = whole, Number = number, Stops = stops, Pauses = pauses };
            return;
        }

        if (said.Number == 2 && tokens is [.., { Number: > 20 and { } count, Pauses: false } joined] && count % 10 == 1)
        {
            // "Twenty, one, two, three": how many of them, and the first.
            var tens = Digits(count - 1);
            tokens[^1] = joined with { Text = tens, Stem = tens, Number = count - 1 };
            tokens.Add(joined with { Text = "1", Stem = "1", Number = 1, At = (joined.At + at) / 2 });
        }

        tokens.Add(new Token(said.Text, said.Stem, at, said.Number, stops, pauses, cue));
    }

    private static string Digits(int number) => number.ToString(CultureInfo.InvariantCulture);

    /// <summary>Letters, digits and inner apostrophes, lower case; "20-minute" was split before. Returns how many characters there are.</summary>
    private static int Bare(string word, Span<char> buffer)
    {
        var n = 0;
        foreach (var c in word)
        {
            if (char.IsLetterOrDigit(c))
            {
                buffer[n++] = char.ToLowerInvariant(c);
            }
            else if (c is '\'' or '’' && n > 0)
            {
                buffer[n++] = '\'';
            }
        }

        while (n > 0 && buffer[n - 1] == '\'')
        {
            n--;
        }

        return n;
    }
}
