using System.Text.RegularExpressions;

namespace AnyPace.Core.Reading;

/// <summary>Who else is on screen, by the names the coach gives them: what they are said to do is another way, not what is led.</summary>
internal sealed partial class OtherPeople
{
    /// <summary>Words back to who does it: "Juno is doing" , "Kiki will walk her burpees back and".</summary>
    private const int Clause = 9;

    /// <summary>Seconds of silence after which a new sentence begins.</summary>
    private const double Silence = 4;

    private readonly Speech _speech;
    private readonly HashSet<string> _names;

    public OtherPeople(Speech speech)
    {
        _speech = speech;
        IEnumerable<Match> Beside(Regex phrase, Func<int, bool> may) => Enumerable.Range(0, speech.Tokens.Count).Where(may).Select(t => speech.At(phrase, t)).Where(m => m.Success);
        _names = [.. speech.Find(Introduced())
            .Concat(Beside(Placed(), t => speech.Texts[t].EndsWith("'s", StringComparison.Ordinal)))
            .Concat(Beside(Showing(), t => t + 1 < speech.Texts.Count && speech.Texts[t + 1] is "is" or "will"))
            .Select(m => m.Groups["n"].Value)];
        _names.ExceptWith(NoNames);
    }

    /// <summary>True where the words before a name of a move say that someone else on screen does it.</summary>
    public bool Does(int token)
    {
        for (var t = token - 1; _names.Count > 0 && t >= 0 && t >= token - Clause && !_speech.Tokens[t].Stops && _speech.At(t + 1) - _speech.At(t) < Silence; t--)
        {
            var word = _speech.Tokens[t].Text;
            if (Resets.Contains(word))
            {
                return false;
            }

            var (name, does) = word.EndsWith("'s", StringComparison.Ordinal) ? (word[..^2], true) : (word, false);
            if (_names.Contains(name))
            {
                // "Gary and I are doing"; "Gary's on the end".
                var withMe = t > 1 && _speech.Tokens[t - 1].Text == "and" && _speech.Tokens[t - 2].Text is "i" or "me";
                return !withMe && (does ? !IsSomewhere().IsMatch(_speech.After(t + 1, 1)) : t + 1 < token && DoesIt().IsMatch(_speech.After(t + 1, 3)));
            }
        }

        return false;
    }

    /// <summary>From these on the coach speaks of everybody again.</summary>
    private static readonly HashSet<string> Resets =
        ["i", "i'm", "i'll", "we", "we're", "we'll", "you", "you're", "you'll", "let's", "go", "rest", "now", "next", "if", "but", "me", "everybody", "everyone", "ready", "1", "2", "3"];

    /// <summary>Words that stand where a name would.</summary>
    private static readonly HashSet<string> NoNames =
    [
        "it", "that", "this", "these", "those", "he", "she", "they", "the", "a", "an", "my", "your", "our", "here", "there", "you", "me", "us", "them", "him", "her", "what", "who", "how", "where", "one", "everyone",
        "everybody", "someone", "somebody", "nobody", "and", "so", "for", "to", "all", "guys", "team", "friends", "friend", "let", "today", "some", "any", "no", "just", "along", "out", "yourself", "with", "both", "body",
        "foot", "knee", "leg", "arm", "head", "back", "chest", "hand", "heel", "hip", "class", "video", "music", "which", "another", "very", "really", "still", "been", "got", "coach", "god", "goodness",
    ];

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b((i've got|we've got|i have|we have|with me( today)?( is| i've got| i have| are| we have)?|joined( today)? by|say (hi|hello) to|thank you|thanks|eyes on|keep an eye on|watch|follow|over to|high five) (my (lovely |good |little )?(friend|mate|colleague|daughter|son|husband|wife|sister|brother|mum|mom|dad|partner|buddy|cousin|neighbou?r)s? )?(?<n>[a-z]{3,})(?= (here|is|who|who's|with|she|he|she's|he's|on|doing|showing|today|and|for|over|okay|at)\b))", Options)]
    private static partial Regex Introduced();

    [GeneratedRegex(@"\G\b(?<n>[a-z]{3,})(?='s (on the (end|left|right)|behind me|next to me|beside me|on my (left|right)|over there|at the back|(doing|showing|taking|demonstrating|modifying|gonna|going to)\b))", Options)]
    private static partial Regex Placed();

    [GeneratedRegex(@"\G\b(?<n>[a-z]{3,})(?= (is|will) (doing|showing|taking|demonstrating|modifying|gonna|going to (do|show|take|be)|be (doing|showing|taking|giving)|show|walk|stay)\b)(?<=\b(and|so|but|okay|now|up|today|friend|mate|down|it|where|while|because|left|right) \w+)", Options)]
    private static partial Regex Showing();

    [GeneratedRegex(@"^(is|will|does|can|might|would|just|only|always|likes|prefers|steps|walks|stays|takes)\b", Options)]
    private static partial Regex DoesIt();

    [GeneratedRegex(@"^(on|here|behind|at|next|over|with|in|beside)\b", Options)]
    private static partial Regex IsSomewhere();
}
