using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What is said about work, rest, rounds, sets and repetitions, with the words that said it.</summary>
public sealed record SaidDose(
    double? WorkSeconds,
    double? RestSeconds,
    CountRange? Rounds,
    int? Sets,
    int? MovesPerRound,
    double? RoundRestSeconds,
    CountRange? Reps,
    bool Tabata,
    bool Supersets,
    bool Ladder,
    IReadOnlyList<Evidence> Evidence)
{
    public bool Timed => WorkSeconds is not null;
}

/// <summary>Reads doses out of speech: "forty on twenty off", "three rounds of these five", "twelve to fifteen of each".</summary>
public static partial class DoseReader
{
    public static SaidDose Read(Speech speech)
    {
        var evidence = new List<Evidence>();
        var work = First(speech, WorkSeconds(), evidence);
        var rest = First(speech, RestSeconds(), evidence);
        if (OnOff().Match(speech.Text) is { Success: true } pair)
        {
            (work, rest) = (Length(pair, "w"), Length(pair, "r"));
            Note(speech, pair, evidence);
        }

        var tabata = Tabata().Match(speech.Text) is { Success: true } t && Note(speech, t, evidence);
        if (tabata && work is null)
        {
            (work, rest) = (20, 10);
        }

        var rounds = Counted(speech, Rounds(), evidence);
        var sets = Counted(speech, Sets(), evidence);
        var moves = Counted(speech, MovesPerRound(), evidence);
        var reps = Counted(speech, Reps(), evidence);
        var roundRest = First(speech, RoundRest(), evidence);
        var supersets = Superset().Match(speech.Text) is { Success: true } s && Note(speech, s, evidence);
        var ladder = Ladder().Match(speech.Text) is { Success: true } l && Note(speech, l, evidence);

        // A work length outside 8 s to 5 min is a whole block or a slip of hearing, not a bout.
        if (work is < 8 or > 300)
        {
            work = null;
        }

        return new SaidDose(
            work, work is null ? null : rest is > 180 ? null : rest, rounds is { High: <= 20 } ? rounds : null, sets?.High, moves?.High, roundRest, reps, tabata, supersets, ladder, evidence);
    }

    /// <summary>Repetitions said within a stretch of tokens, such as the words of one bout.</summary>
    public static CountRange? RepsIn(string words) => Reps().Match(words) is { Success: true } match ? Range(match) : null;

    private static bool Note(Speech speech, Match match, List<Evidence> evidence)
    {
        var token = speech.TokenAt(match.Index);
        evidence.Add(new Evidence(new Seconds(Math.Round(speech.At(token), 1)), match.Value));
        return true;
    }

    private static double? First(Speech speech, Regex regex, List<Evidence> evidence)
    {
        var match = regex.Match(speech.Text);
        if (!match.Success)
        {
            return null;
        }

        Note(speech, match, evidence);
        return Length(match, "w");
    }

    private static double Length(Match match, string group)
    {
        var number = match.Groups[group];
        var n = number.Length > 0 && char.IsAsciiDigit(number.Value[0]) ? double.Parse(number.Value, CultureInfo.InvariantCulture) : 1;
        return match.Groups[group + "u"].Value.StartsWith('m') ? n * 60 : n;
    }

    private static CountRange? Counted(Speech speech, Regex regex, List<Evidence> evidence)
    {
        var match = regex.Match(speech.Text);
        if (!match.Success)
        {
            return null;
        }

        Note(speech, match, evidence);
        return Range(match);
    }

    private static CountRange? Range(Match match)
    {
        var low = int.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture);
        var high = match.Groups["m"].Success ? int.Parse(match.Groups["m"].Value, CultureInfo.InvariantCulture) : low;
        return low is < 1 or > 200 || high < low || high > 200 ? null : new CountRange(low, high);
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\b(?<w>\d{1,3}) ?((?<wu>seconds?|secs?|minutes?)( of)?( work(ing)?| on)?|on|of work|work)( and| then| with| followed by| a)* (?<r>\d{1,2}) ?(?<ru>seconds?|secs?|s|minutes?)?( of)? (off|rest|recovery|break|to rest|to recover)\b", Options)]
    private static partial Regex OnOff();

    [GeneratedRegex(@"\bwork(ing)? (for )?(?<w>\d{1,3}) ?(?<wu>seconds?|minutes?)|\b(?<w>\d{1,3}|a|1)? ?(?<wu>seconds?|secs?|minutes?) ?(of work|on\b|work(ing)?( time)?|per (exercise|move)|each( exercise| move)?|(for |on |of )each|for (every|all)|intervals?|a (move|exercise)|per (side|leg))", Options)]
    private static partial Regex WorkSeconds();

    [GeneratedRegex(@"\brest(ing)? (for )?(?<w>\d{1,3})\b ?(?<wu>seconds?|minutes?)?|\b(?<w>\d{1,3}) ?(?<wu>seconds?|secs?|minutes?) ?(of |to )?(rest|off|recover(y)?|break|change( over)?|switch|swap|transition|get (to|into) the next|in between|between (each|exercises|moves|sets))", Options)]
    private static partial Regex RestSeconds();

    [GeneratedRegex(@"\b(?<w>\d{1,3}|a|1)? ?(?<wu>seconds?|minutes?) ?(of )?(rest|break|off)? ?(in )?between (the )?(rounds?|sets|circuits?|blocks?)|\btake (a|1)? ?(?<w>)(?<wu>minute) (between|after each) round", Options)]
    private static partial Regex RoundRest();

    [GeneratedRegex(@"\b(?<n>\d{1,2})( to | or |-)?(?<m>\d{1,2})? (total |full |more )?(rounds|times through|circuits|laps)\b|\bround \d of (?<n>\d)\b|\b(through|circuit|repeat(ed)?( it| this| that| them)?|do (it|this|that|them)( all)?) (?<n>\d)( to | or )?(?<m>\d)? times\b", Options)]
    private static partial Regex Rounds();

    [GeneratedRegex(@"\b(?<n>\d{1,2})( to | or )?(?<m>\d{1,2})? sets\b", Options)]
    private static partial Regex Sets();

    [GeneratedRegex(@"\b(?<n>\d{1,2}) (different |great |simple |total )?(exercises|moves|movements|stations)\b", Options)]
    private static partial Regex MovesPerRound();

    [GeneratedRegex(@"\b(?<n>\d{1,3})( to | or |-| )?(?<m>\d{1,3})? (reps?|repetitions?|of each|of (these|those|them)|on each|each (side|leg|way|arm)|per (side|leg|arm)|times each|on each side|a side)\b", Options)]
    private static partial Regex Reps();

    [GeneratedRegex(@"\b(tabata|tabatas|20 (seconds )?on (and )?10 (seconds )?off|8 rounds of 20)\b", Options)]
    private static partial Regex Tabata();

    [GeneratedRegex(@"\b(super ?sets?|trisets?|tri sets?|giant sets?|pair(s)? of exercises|back to back (with|exercises|pair))\b", Options)]
    private static partial Regex Superset();

    [GeneratedRegex(@"\b(ladder|add(ing)? (on|1|another) (exercise|move)( each| every)?|add on (workout|round)|pyramid)\b", Options)]
    private static partial Regex Ladder();
}
