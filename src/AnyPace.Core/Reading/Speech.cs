using System.Text;
using System.Text.RegularExpressions;
using AnyPace.Core.Captions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>The whole recording as one line of words, so that phrases can be looked for across cue borders and led back to their time.</summary>
public sealed partial class Speech
{
    private readonly int[] _offsets;
    private readonly PhraseHeads.Place[] _heads;
    private readonly Lazy<OtherPeople> _others;
    private readonly Lazy<PunchNumbers> _punches;
    private readonly Lazy<IReadOnlyList<CountRun>> _counts;
    private readonly Lazy<bool> _weights;

    public Speech(IReadOnlyList<Cue> cues)
    {
        Cues = CaptionCleaner.Clean(cues);
        CaptionsEnd = cues.Count == 0 ? Seconds.Zero : cues[^1].End ?? cues[^1].Start;
        Tokens = Tokenizer.Tokens(Cues);
        Stems = [.. Tokens.Select(t => t.Stem)];
        Texts = [.. Tokens.Select(t => t.Text)];
        _offsets = new int[Tokens.Count];
        var text = new StringBuilder();
        for (var i = 0; i < Tokens.Count; i++)
        {
            if (i > 0)
            {
                text.Append(' ');
            }

            _offsets[i] = text.Length;
            text.Append(Tokens[i].Text);
        }

        Text = text.ToString();
        _others = new Lazy<OtherPeople>(() => new OtherPeople(this));
        _punches = new Lazy<PunchNumbers>(() => new PunchNumbers(Tokens, Text));
        _counts = new Lazy<IReadOnlyList<CountRun>>(() => [.. CountRun.Find(this)]);
        _weights = new Lazy<bool>(() => First(Weights()).Success);
        _heads = [.. _offsets.Select(o => PhraseHeads.Place.Of(Text.AsSpan(o)))];

        // To the tenth, as every time of a reading, so that no bout can end after the recording.
        End = Cues.Count == 0 ? Seconds.Zero : new Seconds(Math.Round(Cues[^1].End!.Value.Value, 1));
    }

    /// <summary>Cleaned cues.</summary>
    public IReadOnlyList<Cue> Cues { get; }

    public IReadOnlyList<Token> Tokens { get; }

    public IReadOnlyList<string> Stems { get; }

    public IReadOnlyList<string> Texts { get; }

    /// <summary>All token texts with one space between.</summary>
    public string Text { get; }

    /// <summary>True where weights of any kind are spoken of.</summary>
    internal bool HasWeights => _weights.Value;

    /// <summary>When the class is over: the end of the last cue that is not noise.</summary>
    public Seconds End { get; }

    /// <summary>How much is said, over the whole class.</summary>
    public double WordsAMinute => Tokens.Count / Math.Max(1, End.Value / 60);

    /// <summary>The end of the last caption, noise included.</summary>
    public Seconds CaptionsEnd { get; }

    /// <summary>Who else is on screen.</summary>
    internal OtherPeople Others => _others.Value;

    /// <summary>Punches that are called by number.</summary>
    internal PunchNumbers Punches => _punches.Value;

    /// <summary>What is counted aloud.</summary>
    internal IReadOnlyList<CountRun> Counts => _counts.Value;

    /// <summary>The token that covers a position of <see cref="Text"/>.</summary>
    public int TokenAt(int position)
    {
        var found = Array.BinarySearch(_offsets, position);
        return found >= 0 ? found : Math.Max(0, ~found - 1);
    }

    /// <summary>All matches of a phrase that begin with a word, one after the other as a plain search would find them. The pattern is to begin with <c>\G</c>: it is tried word by word.</summary>
    public IEnumerable<Match> Find(Regex phrase)
    {
        var heads = PhraseHeads.Of(phrase);
        var from = 0;
        for (var i = heads.First(_heads, 0); i < _heads.Length; i = heads.First(_heads, i + 1))
        {
            if (_offsets[i] >= from && phrase.Match(Text, _offsets[i]) is { Success: true } match)
            {
                yield return match;
                from = match.Index + Math.Max(1, match.Length);
            }
        }
    }

    /// <summary>The match of a phrase that begins with this word, or one without success. The pattern is to begin with <c>\G</c>.</summary>
    internal Match At(Regex phrase, int token) => phrase.Match(Text, _offsets[token]);

    /// <summary>The first match of a phrase that begins with a word, or one without success.</summary>
    public Match First(Regex phrase) => Find(phrase).FirstOrDefault() ?? Match.Empty;

    /// <summary>False where no match of a phrase begins with any word from one up to another, without it: asking this is quicker than trying the phrase.</summary>
    internal bool MayBegin(Regex phrase, int from, int to)
    {
        var (first, end) = (Math.Max(0, from), Math.Min(_heads.Length, to));
        return first < end && PhraseHeads.Of(phrase).First(_heads.AsSpan(0, end), first) < end;
    }

    /// <summary>Time of a token, or the end of the recording past the last one.</summary>
    public double At(int token) => token < Tokens.Count ? Tokens[token].At : End.Value;

    /// <summary>Words around a token, for evidence; at most <paramref name="before"/> + <paramref name="after"/> tokens.</summary>
    public string Around(int token, int before = 6, int after = 10)
    {
        var from = Math.Max(0, token - before);
        var to = Math.Min(Tokens.Count, token + after);
        return string.Join(' ', Tokens.Skip(from).Take(to - from).Select(t => t.Text));
    }

    /// <summary>A pause this long, in seconds, ends a sentence where nobody wrote a full stop.</summary>
    private const double SilenceFrom = 4;

    /// <summary>True where the next word belongs to another caption and follows after more than so many seconds. Within one caption times are only spread.</summary>
    internal bool SilentAfter(int token, double seconds) =>
        token + 1 < Tokens.Count && Tokens[token + 1].Cue != Tokens[token].Cue && At(token + 1) - At(token) > seconds;

    /// <summary>The last word of a phrase that is said in one breath: "and the other" before half a minute of work does not go on after it.</summary>
    internal int LastInOneBreath(int first, int last)
    {
        const double silence = 6;
        for (var t = first; t < last; t++)
        {
            if (SilentAfter(t, silence))
            {
                return t;
            }
        }

        return last;
    }

    private bool Silence(int token) => SilentAfter(token - 1, SilenceFrom);

    /// <summary>Text before a token: back to the last full stop or silence, or as many words as given.</summary>
    public string Before(int token, int words)
    {
        var from = token;
        while (from > 0 && token - from < words && !Tokens[from - 1].Stops && !Silence(from))
        {
            from--;
        }

        return from == token ? "" : Text[_offsets[from]..(_offsets[token] - 1)];
    }

    /// <summary>Text from a token on: up to a full stop or silence, or as many words as given.</summary>
    public string After(int token, int words)
    {
        if (token >= Tokens.Count || (token > 0 && (Tokens[token - 1].Stops || Silence(token))))
        {
            return "";
        }

        var to = token;
        while (to < Tokens.Count && to - token < words)
        {
            to++;
            if (Tokens[to - 1].Stops || (to < Tokens.Count && Silence(to)))
            {
                break;
            }
        }

        return Text[_offsets[token]..(to < Tokens.Count ? _offsets[to] - 1 : Text.Length)];
    }

    /// <summary>The next words whatever stands between: after a count, the word that follows a full stop or a silence says what the count was for.</summary>
    public string Next(int token, int words)
    {
        const double soon = 15;
        var to = token;
        while (to < Tokens.Count && to - token < words && Tokens[to].At - Tokens[Math.Max(0, token - 1)].At < soon)
        {
            to++;
        }

        return to == token ? "" : Text[_offsets[token]..(to < Tokens.Count ? _offsets[to] - 1 : Text.Length)];
    }

    [GeneratedRegex(@"\G\b(dumb ?bells?|kettle ?bells?|bells?|weights|(your|the|a|1|2|light|heavy|any) weight\b(?! (in|on|into|over|back|through|is|goes|to|forward|off|onto|down))|hand ?weights?|d ?bs|(water |milk )?bottles?|tins?|barbells?)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Weights();

    /// <summary>The words before a token whatever stands between.</summary>
    public string Preceding(int token, int words)
    {
        var from = Math.Max(0, token - words);
        return from == token ? "" : Text[_offsets[from]..(_offsets[token] - 1)];
    }
}
