using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Where the body is, along the words: what coaches say of it, and what the moves named before imply.</summary>
internal sealed partial class PositionTrack
{
    /// <summary>A position said this many words after a name still belongs to it: "leg raises, lying on your back"; not after "come" or "then".</summary>
    private const int After = 7;

    /// <summary>So many seconds after a position is said, the name of a move that is done elsewhere does not take the body there: "on your side ... and kick back".</summary>
    private const double JustSaid = 25;

    /// <summary>Before anyone says where to be.</summary>
    private const string Unknown = "";

    private readonly List<(int Token, string Position, bool Implied)> _said;

    private static readonly (string Position, Regex Pattern)[] Patterns =
    [
        ("supine", Supine()),
        ("prone", Prone()),
        ("side-lying", SideLying()),
        ("all-fours", AllFours()),
        ("plank", Plank()),
        ("kneeling", Kneeling()),
        ("seated", Seated()),
        ("standing", Standing()),
        (Unknown, Between()),
    ];

    private readonly Speech _speech;

    public PositionTrack(Speech speech)
    {
        (_speech, _said) = (speech, []);
        foreach (var (position, pattern) in Patterns)
        {
            foreach (var match in speech.Find(pattern).Where(m => position != "seated" || !IsSquat(speech, m)))
            {
                _said.Add((speech.TokenAt(match.Index), position, false));
            }
        }

        _said.Sort((a, b) => a.Token.CompareTo(b.Token));
    }

    /// <summary>"Squats, sit down nice and low": nobody sits.</summary>
    private static bool IsSquat(Speech speech, Match said)
    {
        const int before = 14;
        const int after = 8;
        var token = speech.TokenAt(said.Index);
        return said.ValueSpan.StartsWith("sit ", StringComparison.Ordinal) && said.ValueSpan.EndsWith("down", StringComparison.Ordinal)
            && Squats().IsMatch(speech.Preceding(token, before)) && !OnThings().IsMatch(speech.After(speech.TokenAt(said.Index + said.Length - 1) + 1, after));
    }

    [GeneratedRegex(@"\b(squats?|squatting|goblets?|thrusters?)\b", Options)]
    private static partial Regex Squats();

    [GeneratedRegex(@"\b(on|onto|floor|mat|chair|bench|seat|legs (out|long|straight|crossed))\b", Options)]
    private static partial Regex OnThings();

    private PositionTrack(PositionTrack other) => (_speech, _said) = (other._speech, [.. other._said]);

    /// <summary>The same track, to which moves can be added without changing this one.</summary>
    public PositionTrack Copy() => new(this);

    /// <summary>The position at a name: said within a few words after it, else the last one said or implied before.</summary>
    public string At(int token) => Find(token).Position;

    /// <summary>The position at a name, as <see cref="At"/>, and whether nobody said it: it is that of the move before.</summary>
    public (string Position, bool Implied) Find(int token)
    {
        var next = From(token + 1);
        var last = next > 0 ? (_said[next - 1].Position, _said[next - 1].Implied) : (Unknown, true);
        for (; next < _said.Count && _said[next].Token <= token + After && !MovesOn(token, _said[next].Token); next++)
        {
            last = (_said[next].Position, _said[next].Implied);
        }

        return last;
    }

    /// <summary>
    /// For each word where the body is by what was said last and by the names since: a squat ends lying down. Empty where nobody knows.
    /// </summary>
    /// <param name="named">Names and where they stand, in the order of the words.</param>
    /// <param name="isElsewhere">True where a name means another move in a position.</param>
    public string[] Along(IEnumerable<(int Token, Move Move)> named, Func<Move, string, bool> isElsewhere)
    {
        var places = new string[_speech.Tokens.Count];
        Array.Fill(places, Unknown);
        var (place, next) = (Unknown, 0);
        using var names = named.GetEnumerator();
        var more = names.MoveNext();
        for (var t = 0; t < places.Length; t++)
        {
            for (; more && names.Current.Token <= t; more = names.MoveNext())
            {
                // "Kick" is a kick to the front standing, and another one lying on the side.
                var at = names.Current.Move.Positions;
                var justSaid = place.Length > 0 && next > 0 && _said[next - 1].Position == place && _speech.At(names.Current.Token) - _speech.At(_said[next - 1].Token) < JustSaid;
                place = justSaid || at.IsEmpty || isElsewhere(names.Current.Move, place) || at.Contains(place) ? place : at.Length == 1 ? at[0] : Unknown;
            }

            for (; next < _said.Count && _said[next].Token <= t; next++)
            {
                place = _said[next].Position;
            }

            places[t] = place;
        }

        return places;
    }

    /// <summary>Index of the first position said at or after a token.</summary>
    private int From(int token) => Clocked.From(_said, token, static s => s.Token);

    private bool MovesOn(int token, int at)
    {
        for (var t = token + 1; t <= at; t++)
        {
            if (_speech.Tokens[t].Text is "come" or "then" or "now" or "roll" or "next" or "go" or "back" or "lower" && _speech.Tokens[t - 1].Text != "so" || _speech.Tokens[t - 1].Stops)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>A move that is done in one position only puts the body there for what follows; a gentle move done standing is often said of the floor, and says nothing.</summary>
    public void Imply(int token, Move move)
    {
        if (move.Positions.Length == 1 && move.Elsewhere.IsEmpty && !(move.IsGentle && move.Positions[0] == "standing"))
        {
            _said.Insert(From(token + 1), (token, move.Positions[0], true));
        }
    }

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b((?<!\b(easy|hard|kind|gentle|nice|pressure|strain|tough|rough|heavy|stress|hands?|pat)( \w+)? )((on|onto|flat on) (your|the)|to your) backs?\b(?! (foot|leg|knee|heel|toes?|of|hip|hand|wall|edge|row)\b)|roll (all the way )?(back|down)( on| onto| to| flat on)? (the|your) (mat|floor|backs?)\b|(lie|lying|lay|laying) (all the way )?(back|down)\b(?! to stand|( \w+){0,2} (on|onto|to) (your|the|our)( left| right| other)? (side|front|belly|tummy|stomach))|(lie|lying|lay|laying) (down )?on (the|your) (floor|mat|ground|bed|carpet)|face up|head (and shoulders )?down on the (mat|floor)|hug your knees)", Options)]
    private static partial Regex Supine();

    [GeneratedRegex(@"\G\b((?<!\b(hands?|palms?|fingers?|fingertips|weight|knees?|chin|chest)( \w+){0,2} )(((on|onto|to) your|(on|onto) the) front\b(?! (foot|leg|knee|heel|toes?|of|edge|end))|(on|onto|to) (your|the) (belly\b(?! button)|bellies|tummy\b|tummies|stomachs?))|face down|forehead (down )?(on|to)|(lie|lying|lay) on your (front|belly|tummy|stomach))", Options)]
    private static partial Regex Prone();

    [GeneratedRegex(@"\G\b((lie|lying|lay|laying|roll|rolling|come|down|flip|turn)( (?!out\b|face\b)\w+){0,3} (on|onto|to) (your|the|our)( left| right| other| opposite| 1)? sides?\b|side lying|onto your( left| right)? side\b|on your (left|right) side\b|(?<!\b(at|to) the )(top|bottom|upper|underneath) (leg|knee)\b)", Options)]
    private static partial Regex SideLying();

    [GeneratedRegex(@"\G\b((down|come|drop|up)( \w+){0,2} (on ?to|to|on) (your |both |the |1 )?(knees\b|kneeling)|half kneeling|tall kneeling|kneel(ing)? (down|up|tall|on)|knee (down )?(on|to) the (ground|floor|mat))", Options)]
    private static partial Regex Kneeling();

    [GeneratedRegex(@"\G\b(all fours|hands and knees|quadruped|table ?top position|(into|in) (a )?table ?top on|hands under( your| the)? shoulders?,? (and )?knees under)", Options)]
    private static partial Regex AllFours();

    [GeneratedRegex(@"\G\b((into|to|in|from|hold) (a|your|that|the) (high |low |forearm |full )?plank|plank position|push ?up position)", Options)]
    private static partial Regex Plank();

    [GeneratedRegex(@"\G(?<!\b(?!(it|that|let|what|who|everyone|everybody|here|there)'s)[a-z]+'s )\b((sit|sitting|seated) (up |back (?!nice|in\b))?(yourself |yourselves |yourself back )?(tall|nice|down\b(?! (into|in|low|lower|deep|deeper|between|to the side|a (little|bit)|and (stand|up|drive|push|come|squeeze)|stand|up|like|through|later|tomorrow|after|when))|on(?! your heels)|in\b|cross|forward|comfortably|with|at\b|near\b|away\b|towards?\b|(on |to )the (front|edge|middle)\b)|(a|gentle|this|today's) (seated|sitting( down)?|chair( based)?) (class|workout|session|routine)|(sit|pop|plonk) (yourself|yourselves) (back )?(down|on)|(come|roll|up|back) (up )?(in)?to (a )?(sit(ting)?|seated|seat)\b|take a seat|have a seat|sit up\b(?!s)|(while|when) (you're |still )?(seated|sitting)\b|chair (based )?(exercises?|fitness|yoga|aerobics|workout|class|routine|session)\b|in (your|the|a) chair|(front|edge) of (your|the) (chair|seat|bench)|legs (long |straight )?out in front|cross legged|stay seated)", Options)]
    private static partial Regex Seated();

    /// <summary>After a round, in a break or when all go down to the floor nobody knows where the body is.</summary>
    [GeneratedRegex(@"\G\b(round (number )?[1-9] (is )?(done|down|over|complete)|(that's|that was|end of) round|(have|grab|get|take) (some|a|your) (drink|water|sip)|water break|down again|(?<!\b(sit|sitting|seat|lie|lying|lay|kneel|kneeling|hands?|palms?|feet|foot|knees?|heads?|toes?|heels?|weights?|dumbbells?|bells?|it|them|those|this|1|arms?|elbows?|forearms?|shoulders?|chest)( (straight|right|back|all the way))? )down (on|onto|to) (the|your) (floor|mat|ground))\b", Options)]
    private static partial Regex Between();

    [GeneratedRegex(@"\G\b((stay|remain|still|keep) standing|(round|around|go|stand|come) (to )?(the )?(back of|behind) (the|your) chair|(hold|holding) (on )?(on ?to |to )?the back of (the|your|a) (chair|seat)|(holding|hold) on( ?to)? (the|your|a|that) (chair|wall|counter|worktop|sink|barre)\b(?! seat)|stand(ing)? (up|tall|nice|with|on|at|behind|facing|straight)|(back |up |come )(up )?(on ?to|to|on) (your|our|the) feet|(come|back|all the way) (up )?to (a )?stand(ing)?|on (to )?your feet|standing\b(?! side)|weight( is| goes| shifts?)? (in ?to|onto|over|in|on|to) (your|the) (left|right|supporting) (leg|foot|side)\b|(come|step|stand|balance|up)( up)? (on ?to|on) (your|the) (left|right) (leg|foot)\b|turn to (face|the side)\b|(turn|face|facing) (to )?(the|your) (chair|barre|counter|worktop)\b|(hands?|fingertips)( \w+){0,3} on (the|your|a) (back of|barre|counter|worktop|wall)\b|at the barre|on the spot|up ?right|we're standing|standing (up|position))\b", Options)]
    private static partial Regex Standing();
}
