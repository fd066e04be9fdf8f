using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Bench;

/// <summary>
/// The yardstick: what an afternoon of keyword search gives. Every move name that occurs is taken for done, from where it is said to the next
/// name; phases, kit, doses and remarks are taken from single words. It knows the same lexicon, but not what the words around a name do.
/// </summary>
internal sealed partial class KeywordReader(MoveLexicon lexicon)
{
    private static readonly (string Item, string Word)[] Kit =
    [
        ("dumbbell", "dumbbell"), ("dumbbell", "weights"), ("kettlebell", "kettlebell"), ("mat", "mat"), ("chair", "chair"), ("bench", "bench"),
        ("resistance band", "band"), ("towel", "towel"), ("wall", "wall"), ("water bottle", "bottle"), ("skipping rope", "rope"), ("step", "step platform"),
        ("stability ball", "ball"), ("bar", "barbell"), ("cushion", "cushion"), ("foam roller", "roller"), ("yoga block", "block"),
    ];

    public Timeline Read(CaptionFile file)
    {
        var speech = new Speech(file.Cues);
        var bouts = ImmutableArray.CreateBuilder<Bout>();
        var named = new List<(Move Move, double At)>();
        for (var i = 0; i < speech.Tokens.Count; i++)
        {
            if (lexicon.Aliases.Longest(speech.Stems, i) is { Hit.Weak: false } found)
            {
                named.Add((found.Hit.Move, speech.At(i)));
                i += found.Length - 1;
            }
        }

        for (var i = 0; i < named.Count; i++)
        {
            var end = i + 1 < named.Count ? named[i + 1].At : speech.End.Value;
            if (end - named[i].At > 1)
            {
                bouts.Add(new Bout($"b{i + 1}", named[i].Move.Id, Span.Of(Math.Round(named[i].At, 1), Math.Round(end, 1)), Side.Both, null, 0.5, []));
            }
        }

        return new Timeline(
            speech.End, ClassKind.FollowAlong, false, Stated.Nothing, Phases(speech), bouts.ToImmutable(), Structures(speech),
            [
                .. Kit.Where(k => speech.Text.Contains(k.Word, StringComparison.Ordinal)).DistinctBy(k => k.Item)
                    .Select(k => new KitItem(k.Item, KitNeed.Required, null, null, null, null, [])),
            ],
            [
                .. At(speech, Easier()).Select(t => new Option(t, OptionDirection.Easier, null, null, "")),
                .. At(speech, Harder()).Select(t => new Option(t, OptionDirection.Harder, null, null, "")),
            ],
            [
                .. At(speech, Knees()).Select(t => new Caution(t, "knees", "")),
                .. At(speech, Back()).Select(t => new Caution(t, "lower back", "")),
                .. At(speech, Doctor()).Select(t => new Caution(t, "medical", "")),
            ],
            [
                .. At(speech, Calories()).Select(t => new Claim(t, "calories", null, "")),
                .. At(speech, Fat()).Select(t => new Claim(t, "fat burning", null, "")),
                .. At(speech, Results()).Select(t => new Claim(t, "result promise", null, "")),
            ],
            [
                .. At(speech, Subscribe()).Select(t => new Outside(t, "self-promotion", "")),
                .. At(speech, Comments()).Select(t => new Outside(t, "social media", "")),
            ]);
    }

    private static ImmutableArray<Phase> Phases(Speech speech)
    {
        var end = speech.End.Value;
        var warm = WarmUp().Match(speech.Text);
        var cool = CoolDown().Match(speech.Text);
        var work = warm.Success ? Math.Min(end, speech.At(speech.TokenAt(warm.Index)) + 180) : 0;
        var down = cool.Success ? speech.At(speech.TokenAt(cool.Index)) : end;
        var phases = ImmutableArray.CreateBuilder<Phase>();
        void Add(PhaseKind kind, double from, double to)
        {
            if (to - from > 1)
            {
                phases.Add(new Phase(kind, Span.Of(from, to)));
            }
        }

        Add(PhaseKind.WarmUp, 0, work);
        Add(PhaseKind.Work, work, Math.Max(work, down));
        Add(PhaseKind.CoolDown, Math.Max(work, down), end);
        return phases.ToImmutable();
    }

    private static ImmutableArray<Structure> Structures(Speech speech)
    {
        var said = OnOff().Match(speech.Text);
        var span = new Span(Seconds.Zero, speech.End);
        return said.Success
            ? [new Structure(StructureType.Intervals, span, Number(said, "w"), Number(said, "r"), null, null, null, null, null, false, [])]
            : [new Structure(StructureType.Flow, span, null, null, null, null, null, null, null, true, [])];
    }

    private static Seconds Number(Match match, string group) => new(double.Parse(match.Groups[group].Value, CultureInfo.InvariantCulture));

    private static IEnumerable<Seconds> At(Speech speech, Regex regex) =>
        regex.Matches(speech.Text).Select(m => new Seconds(Math.Round(speech.At(speech.TokenAt(m.Index)), 1)));

    [GeneratedRegex(@"\bwarm ?up")]
    private static partial Regex WarmUp();

    [GeneratedRegex(@"\b(cool ?down|stretch)")]
    private static partial Regex CoolDown();

    [GeneratedRegex(@"\b(?<w>\d+)( seconds)? on( and)? (?<r>\d+)( seconds)? off")]
    private static partial Regex OnOff();

    [GeneratedRegex(@"\b(easier|modif\w+|low impact|beginner)")]
    private static partial Regex Easier();

    [GeneratedRegex(@"\b(harder|challenge|advanced)")]
    private static partial Regex Harder();

    [GeneratedRegex(@"\bknees?\b")]
    private static partial Regex Knees();

    [GeneratedRegex(@"\blower back\b")]
    private static partial Regex Back();

    [GeneratedRegex(@"\b(doctor|injury|pregnant)\b")]
    private static partial Regex Doctor();

    [GeneratedRegex(@"\bcalories\b")]
    private static partial Regex Calories();

    [GeneratedRegex(@"\bfat\b")]
    private static partial Regex Fat();

    [GeneratedRegex(@"\bresults\b")]
    private static partial Regex Results();

    [GeneratedRegex(@"\b(subscribe|channel|link)\b")]
    private static partial Regex Subscribe();

    [GeneratedRegex(@"\bcomments?\b")]
    private static partial Regex Comments();
}
