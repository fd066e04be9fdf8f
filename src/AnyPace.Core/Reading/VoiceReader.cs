using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What a member who does not look can go by: names, time called, ends said, and how to do it.</summary>
internal static partial class VoiceReader
{
    /// <summary>A mention says what is done from this weight on.</summary>
    private const double SaysSo = 0.4;

    public static Voice Read(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Mention> mentions)
    {
        var heard = mentions.Where(m => m.Weight >= SaysSo).Select(m => new Heard(Tenth(m.At), m.Move.Id, false))
            .Concat(marks.Where(m => m.Kind is MarkKind.Stop or MarkKind.SwitchSide or MarkKind.Break && m.Strength >= 0.5).Select(m => new Heard(Tenth(m.At), null, true)))
            .Concat(speech.Find(TimeCalled()).Select(m => new Heard(Tenth(speech.At(speech.TokenAt(m.Index))), null, false)));
        return new Voice(speech.Tokens.Count, speech.Find(FormCue()).Count(), [.. heard.Distinct().OrderBy(h => h.At)])
        {
            Announced = [.. mentions.Where(m => m is { Role: Role.Announced, Weak: false, Weight: >= 0.8, Length: > 1 }).Select(m => new Heard(Tenth(m.At), m.Move.Id, false)).DistinctBy(h => h.MoveId)],
            Names = Names(speech, mentions),
            Silences = Silences(speech),
            NoiseFrom = speech.CaptionsEnd - speech.End > new Seconds(NoiseFrom) ? speech.End : null,
            TempoChanges = TempoChanges(speech),
            SignedOff = marks.Any(m => m.Kind == MarkKind.SignOff && m.At > speech.End.Value - SignOffWithin),
        };
    }

    /// <summary>Two said within this many seconds are one change.</summary>
    private const double SameChange = 8;

    private static ImmutableArray<Seconds> TempoChanges(Speech speech)
    {
        var found = ImmutableArray.CreateBuilder<Seconds>();
        foreach (var match in speech.Find(TempoChange()))
        {
            var at = Tenth(speech.At(speech.TokenAt(match.Index)));
            if (found.Count == 0 || (at - found[^1]).Value >= SameChange)
            {
                found.Add(at);
            }
        }

        return found.ToImmutable();
    }

    [GeneratedRegex(@"\G\b((double|half) (time|tempo|speed)|tempo (change|up|down)|change (of )?(the )?(tempo|pace|speed)|(pick|speed) (it|the (pace|tempo)) up|slow (it|this) (right )?down\b(?! (if|when|any))|singles\b|(now|and|go) (faster|quicker|slower)\b(?! if)|(now|and|then) (pulse|hold it)\b|pulse it\b|(2|3|4) counts? (down|up)|slow(ly)? for (2|3|4)\b|(up|down) (in|for) (2|3|4)\b)", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex TempoChange();

    /// <summary>Captions this many seconds past the end of the class are noise worth a word.</summary>
    private const double NoiseFrom = 20;

    /// <summary>A goodbye belongs to the last two minutes.</summary>
    private const double SignOffWithin = 120;

    /// <summary>From this many seconds without a word on, a stretch is silent.</summary>
    private const double SilentFrom = 45;

    private static ImmutableArray<Span> Silences(Speech speech)
    {
        var found = ImmutableArray.CreateBuilder<Span>();
        for (var i = 1; i < speech.Tokens.Count; i++)
        {
            if (speech.At(i) - speech.At(i - 1) >= SilentFrom)
            {
                found.Add(new Span(Tenth(speech.At(i - 1)), Tenth(speech.At(i))));
            }
        }

        return found.ToImmutable();
    }

    /// <summary>Of each move that goes by several names, the first time each is said. A longer form of one name is the same name.</summary>
    private static ImmutableArray<SpokenName> Names(Speech speech, IReadOnlyList<Mention> mentions)
    {
        var names = ImmutableArray.CreateBuilder<SpokenName>();
        foreach (var group in mentions.Where(m => m is { Weak: false, Role: Role.Doing or Role.Announced, Length: > 1 and <= 5 } && m.Move.Parts.IsEmpty && !m.Move.IsGentle).GroupBy(m => m.Move.Id))
        {
            var said = new List<(SpokenName Name, HashSet<string> Stems)>();
            foreach (var m in group)
            {
                var stems = speech.Stems.Skip(m.Token).Take(m.Length).ToHashSet();
                if (!said.Exists(s => s.Stems.IsSubsetOf(stems) || stems.IsSubsetOf(s.Stems) || s.Stems.Overlaps(stems)))
                {
                    said.Add((new SpokenName(m.Move.Id, string.Join(' ', speech.Texts.Skip(m.Token).Take(m.Length)), Tenth(m.At)), stems));
                }
            }

            if (said.Count > 1)
            {
                names.AddRange(said.Select(s => s.Name));
            }
        }

        return names.ToImmutable();
    }

    private static Seconds Tenth(double at) => new(Math.Round(at, 1));

    private const RegexOptions Options = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture;

    [GeneratedRegex(@"\G\b(half ?way|\d+ (more )?(seconds?|reps?)|\d+ (to go|more|left)|last (1|2|3|4|few|couple|5|10|minute)|nearly there|almost (there|done)|(3|5) 2 1|3 2 1|4 3 2|and (last|final))\b", Options)]
    private static partial Regex TimeCalled();

    [GeneratedRegex(@"\G\b((chest|hips|chin|gaze|eyes|elbows?|shoulders?|knees?|heels?|toes|ribs|spine|back|tailbone|core|belly|tummy|abs|glutes|pelvis|head) (up|down|lifted|tall|proud|back|away|out|soft|in|over|behind|flat|straight|long|tight|engaged|on|under|neutral|square|stacked|level|tucked|drawn|braced)|squeeze|brace|engage|exhale|inhale|breathe (in|out)|weight (in|into|through)|(push|press|drive) through|don't let|make sure|keep (your|the|those|that|a)|stand tall|sit tall|nice and (slow|tall|controlled)|with control|soft bend|long (neck|spine)|tuck your)\b", Options)]
    private static partial Regex FormCue();
}
