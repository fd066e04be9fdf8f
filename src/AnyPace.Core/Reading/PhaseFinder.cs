using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Divides the class into talk, warm-up, work, break and cool-down, from what is done and what is said.</summary>
internal static partial class PhaseFinder
{
    /// <summary>A gap inside the work longer than this, in seconds, is a break rather than a rest.</summary>
    private const double BreakFrom = 50;

    /// <summary>What a class of stretches ends with.</summary>
    private static readonly HashSet<string> SettlesDown =
        ["savasana", "breathing", "child-pose", "knees-to-chest", "supine-twist", "happy-baby", "legs-up", "full-body-stretch", "seated-twist", "neck-stretch", "overhead-reach"];

    /// <summary>Share of a class of stretches from which "stretch it out" may begin its end.</summary>
    private const double Late = 0.7;

    /// <summary>What speaks against a warm-up or a cool-down of its own; ours, set on our own classes.</summary>
    private const double Divided = 0.5;

    /// <summary>Share of the class from which gentle moves are its work.</summary>
    private const double GentleClass = 0.8;

    /// <summary>The same where nobody speaks of warming up or cooling down: who shows how hips get moving has little else.</summary>
    private const double GentleUnsaid = 0.55;

    /// <summary>What the borders between the bouts tell, with those that rules put, and how sure the rules are.</summary>
    public static (PhaseTraits Traits, double Sure) Asked(Speech speech, MentionsHeard heard, IReadOnlyList<Bout> bouts, MoveLexicon lexicon, ClassKind kind)
    {
        var (work, cool, sure) = Divide(speech, heard.Marks, bouts, lexicon, kind);
        return (new PhaseTraits(speech, heard, bouts, lexicon, kind, (work, cool)), sure);
    }

    public static ImmutableArray<Phase> Find(Speech speech, MentionsHeard heard, IReadOnlyList<Bout> bouts, MoveLexicon lexicon, ClassKind kind, PhaseTrees trees)
    {
        var (marks, end) = (heard.Marks, speech.End.Value);
        if (bouts.Count == 0)
        {
            return end > 0 ? [new Phase(PhaseKind.Talk, Span.Of(0, end), 0.5)] : [];
        }

        var (traits, confidence) = Asked(speech, heard, bouts, lexicon, kind);
        var (work, cool) = PhaseChoice.Choose(traits, trees);
        var phases = new List<Phase>();
        void Add(PhaseKind kind, double from, double to, double sure)
        {
            if (to - from > 1)
            {
                phases.Add(new Phase(kind, Span.Of(Math.Round(from, 1), Math.Round(to, 1)), sure));
            }
        }

        var first = bouts[0].Span.Start.Value;
        var last = Math.Min(end, bouts[^1].Span.End.Value);
        Add(PhaseKind.Talk, 0, first, 0.9);
        var at = first;
        if (work > 0)
        {
            var over = bouts[work - 1].Span.End.Value;
            var next = work < bouts.Count ? bouts[work].Span.Start.Value : last;
            Add(PhaseKind.WarmUp, at, over, confidence);
            if (next - over > 12)
            {
                Add(PhaseKind.Break, over, next, 0.7);
                at = next;
            }
            else
            {
                at = over;
            }
        }

        var coolStart = cool < bouts.Count ? bouts[cool].Span.Start.Value : last;
        for (var i = Math.Max(1, work + 1); i < cool; i++)
        {
            var (from, to) = (bouts[i - 1].Span.End.Value, bouts[i].Span.Start.Value);
            if (to - from >= BreakFrom || (to - from >= 25 && Clocked.Between(marks, from - 5, to).Any(m => m.Kind == MarkKind.Break)))
            {
                Add(PhaseKind.Work, at, from, 0.85);
                Add(PhaseKind.Break, from, to, 0.7);
                at = to;
            }
        }

        if (cool > work)
        {
            var workEnd = cool < bouts.Count ? bouts[cool - 1].Span.End.Value : last;
            Add(PhaseKind.Work, at, workEnd, 0.85);
            at = cool < bouts.Count && coolStart - workEnd > 20 ? coolStart : workEnd;
            if (at > workEnd)
            {
                Add(PhaseKind.Break, workEnd, at, 0.5);
            }
        }

        if (cool < bouts.Count)
        {
            Add(PhaseKind.CoolDown, at, last, confidence);
        }

        Add(PhaseKind.Talk, last, end, 0.9);
        return [.. phases];
    }

    /// <summary>Index of the first work bout and of the first cool-down bout, by the best division of the bouts into three runs.</summary>
    private static (int Work, int Cool, double Confidence) Divide(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Bout> bouts, MoveLexicon lexicon, ClassKind kind)
    {
        var n = bouts.Count;
        var end = Math.Max(1, speech.End.Value);
        var overSaid = marks.Where(m => m.Kind == MarkKind.WarmUpOver && m.At < end * 0.55).Select(m => m.At).ToList();

        // "That's the warm-up done" calls none.
        var warmSaid = marks.Where(m => m.Kind == MarkKind.WarmUp && m.At < end * Loosening.WarmUpBefore && !overSaid.Contains(m.At)).Select(m => m.At).ToList();

        // Who shows moves with a dose rarely warms up on camera; unless it is said, the first of them is the first of the work.
        var cold = NoWarmUpSaid(speech) || (kind == ClassKind.Demonstration && warmSaid.Count == 0);
        var warmFor = warmSaid.Count > 0 && SaidWarmUp(speech) is { } said ? bouts[0].Span.Start.Value + said : double.NaN;
        var taken = speech.Find(TakesUp()).Select(m => speech.At(speech.TokenAt(m.Index))).Where(t => t > bouts[0].Span.Start.Value + 20 && t < end * 0.5).ToList();

        // "Let's warm up", and what follows is that, whatever it is, until the work is said to begin.
        var warmUntil = !cold && warmSaid.Count > 0 && warmSaid[0] < WarmSaidEarly
            ? overSaid.Concat(taken).Where(t => t > warmSaid[0] + ShortestWarmUp && t < warmSaid[0] + Loosening.LongestWarmUp).DefaultIfEmpty(double.NaN).Min()
            : double.NaN;

        // "Good, now we're warm", "right, first round": nobody called it a warm-up, and that is what it was.
        if (double.IsNaN(warmUntil) && !cold && warmSaid.Count == 0)
        {
            warmUntil = overSaid.Where(t => t > bouts[0].Span.Start.Value + UncalledWarmUp && t < bouts[0].Span.Start.Value + Loosening.LongestWarmUp).DefaultIfEmpty(double.NaN).Min();
        }

        // In a class of stretches and mobility those are the work; only what is said, and lying still at the end, sets phases apart.
        var unsaid = warmSaid.Count == 0 && !marks.Any(m => m.Kind == MarkKind.CoolDown);
        var gentle = bouts.Where(b => lexicon[b.MoveId].IsGentle).Sum(b => b.Span.Length.Value) >= (unsaid ? GentleUnsaid : GentleClass) * bouts.Sum(b => b.Span.Length.Value);
        var coolSaid = marks.Where(m => m.Kind == MarkKind.CoolDown && (m.Strength >= 1 || !gentle || m.At > end * Late) && m.At > end * Loosening.StretchesAfter).Select(m => m.At).ToList();

        double Warm(int i)
        {
            if (gentle)
            {
                var early = bouts[i].Span.Start.Value < end * 0.2;
                return early && !lexicon[bouts[i].MoveId].IsStretch ? 0.9 : warmSaid.Count > 0 && bouts[i].Span.Start.Value < end * 0.3 ? 0.4 : -0.3;
            }

            if (bouts[i].Span.Start.Value < warmUntil - 2)
            {
                return 0.8;
            }

            var move = lexicon[bouts[i].MoveId];
            var late = bouts[i].Span.Start.Value > Math.Max(480, end * 0.4) ? -1.5 : 0;
            return late + (move.IsGentle ? (move.IsStretch ? 0.6 : 1) : move.Met.Value <= 5 && move.Pattern is "locomotion" ? (move.Id is "march" or "side-step" ? 0.35 : 0.15) : move.Impact >= Impact.High ? -0.7 : -0.35);
        }

        double Work(int i)
        {
            if (gentle)
            {
                return 0.3;
            }

            var move = lexicon[bouts[i].MoveId];
            return move.IsGentle ? (move.IsStretch ? -1 : -0.8) : 0.6;
        }

        double Cool(int i)
        {
            if (gentle)
            {
                return SettlesDown.Contains(bouts[i].MoveId) && bouts[i].Span.Start.Value > end * 0.7 ? 0.9 : coolSaid.Count > 0 && bouts[i].Span.Start.Value > coolSaid[0] - 10 ? 0.5 : -0.3;
            }

            var move = lexicon[bouts[i].MoveId];
            var early = bouts[i].Span.Start.Value < end * 0.5 ? -1.5 : 0;
            return early + (move.IsStretch ? 1.1 : move.IsGentle ? 0.6 : -0.9);
        }

        var sums = new (double Warm, double Work, double Cool)[n + 1];
        for (var i = 0; i < n; i++)
        {
            sums[i + 1] = (sums[i].Warm + Warm(i), sums[i].Work + Work(i), sums[i].Cool + Cool(i));
        }

        // The score of a division is what speaks for its first border and what speaks for its second, so each is weighed by itself.
        double WorkFrom(int w)
        {
            var score = sums[w].Warm - sums[w].Work;
            if (w > 0)
            {
                score += -Divided + (warmSaid.Count > 0 ? 1.6 : 0) - (cold ? 3 : 0);
                if (w < n)
                {
                    var (from, to) = (bouts[w - 1].Span.End.Value - 25, bouts[w].Span.Start.Value + 8);
                    score += overSaid.Any(t => t >= from && t <= to) ? 1.6 : taken.Any(t => t >= from && t <= to) ? 0.9 : 0;
                    score += Math.Abs(bouts[w].Span.Start.Value - warmFor) < WarmUpTolerance ? 1.6 : 0;
                    score += Math.Min(1, (bouts[w].Span.Start - bouts[w - 1].Span.End).Value / 40);
                }
            }

            return score;
        }

        double CoolFrom(int c)
        {
            var score = sums[c].Work + (sums[n].Cool - sums[c].Cool);
            if (c < n)
            {
                score -= Divided;
                var from = c > 0 ? bouts[c - 1].Span.Start.Value + 5 : 0;
                score += coolSaid.Any(t => t >= from && t <= bouts[c].Span.Start.Value + 8) ? 2 : coolSaid.Count > 0 ? 0.5 : 0;
            }

            return score;
        }

        var best = (Work: 0, Cool: n, Score: double.NegativeInfinity);
        var second = double.NegativeInfinity;
        var first = (Work: 0, Score: double.NegativeInfinity, Second: double.NegativeInfinity);
        for (var c = 0; c <= n; c++)
        {
            var opening = WorkFrom(c);
            first = opening > first.Score ? (c, opening, first.Score) : first with { Second = Math.Max(first.Second, opening) };
            var closing = CoolFrom(c);
            var score = first.Score + closing;
            if (score > best.Score)
            {
                second = Math.Max(best.Score, first.Second + closing);
                best = (first.Work, c, score);
            }
            else
            {
                second = Math.Max(second, score);
            }
        }

        var margin = double.IsFinite(second) ? best.Score - second : 1;
        return (best.Work, best.Cool, Math.Round(Math.Clamp(0.6 + (0.25 * margin), 0.5, 0.95), 2));
    }

    /// <summary>Seconds: until when a warm-up is announced at the start, and how short none is.</summary>
    private const double WarmSaidEarly = 150;
    private const double ShortestWarmUp = 40;

    /// <summary>Moves of at least so many seconds before the work is said to begin are a warm-up though nobody says so.</summary>
    private const double UncalledWarmUp = 75;

    /// <summary>A warm-up of a said length ends this near to it, in seconds: coaches run over.</summary>
    private const double WarmUpTolerance = 40;

    /// <summary>Seconds the warm-up is said to take ("three minutes of warm up"), or null.</summary>
    private static double? SaidWarmUp(Speech speech)
    {
        var match = WarmUpLength().Match(speech.Text[..Math.Min(speech.Text.Length, 2500)]);
        return match.Success ? 60 * double.Parse(match.Groups["n"].Value, System.Globalization.CultureInfo.InvariantCulture) : null;
    }

    [GeneratedRegex(@"\b(?<n>[2-9]|10) minutes?( of)?( a)?( quick| nice| gentle| easy| short)? warm(ing)? ?up\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex WarmUpLength();

    /// <summary>Weights, bell, band or chair are taken up when the warm-up is over.</summary>
    [GeneratedRegex(@"\G\b((grab|pick up|take|get|collect|reach for) (a hold of |hold of )?(your|the|those|that|both|1|a|some)( \w+)? ?(weights?|dumb ?bells?|kettle ?bells?|bells?|bands?|chair|bar)|(turn (and|to) )?face (your|the) (chair|barre?|wall|counter|step)|weights in (your )?hands?|come to (your|the) (mat|chair|barre?)|first (proper |real |working )?(move|exercise)( proper move)?( of the (workout|day))? (is|we have|we've got|will be)|(exercise|move|number|block|combo|minute|round) (number )?1 (is|we)|we start in \d+)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex TakesUp();

    private static bool NoWarmUpSaid(Speech speech)
    {
        var opening = speech.Text[..Math.Min(speech.Text.Length, 2500)];
        return ComeWarm().IsMatch(opening);
    }

    /// <summary>The warm-up is somebody else's or was done before; "let's warm up first" is this class's own.</summary>
    [GeneratedRegex(@"\b(no warm up|(already|come|came|be|arrive|are) warm(ed)?( up)?\b(?! (now|in here))|(?<!\b(get|getting|us|all|ourselves|everyone|everybody|you|body|bodies) )warmed up (before|already|first|and ready)|(please|sure( that)?( you)?|do a|done a|need to|you should|did your|done your) warm(ed)?( |-)?ups?( first| before)?|warm yourself up|(do|get|have) a (bit of a |quick |short |little |proper |good |\d+ minute )*warm( |-)?up (before|first before) you|after your warm up|warm up (on your own|by yourself|beforehand|before you (begin|start|join))|go( ahead)? and (do (a|my|the|your)( \d+ minute)? warm|warm) ?up|skip(ping)? the warm up|straight in(to it)? (with )?no warm)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex ComeWarm();
}
