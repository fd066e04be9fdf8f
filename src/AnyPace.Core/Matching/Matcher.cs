using System.Collections.Immutable;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <param name="Fit">0..1.</param>
/// <param name="For">What speaks for it, in plain words.</param>
/// <param name="Against">What speaks against it, or is to be watched.</param>
public sealed record Suggestion(CatalogueEntry Session, Pace Pace, double Fit, ImmutableArray<string> For, ImmutableArray<string> Against);

/// <summary>Sessions for a member: hard limits first, then a weighted fit, then variety.</summary>
public static class Matcher
{
    /// <summary>Minutes a session may run over the time there is.</summary>
    private const double Overrun = 2;

    /// <summary>Seconds of a strain to spare that are still suggested, as something to watch.</summary>
    private const double SpareAllowance = 60;

    // Weights of the fit; they sum to 1. Our defaults.
    private const double TimeWeight = 0.3;
    private const double LevelWeight = 0.3;
    private const double GoalWeight = 0.25;
    private const double SpareWeight = 0.15;

    /// <summary>Maximal marginal relevance: this much for the fit, the rest for being unlike what is listed already.</summary>
    private const double Relevance = 0.7;

    public static ImmutableArray<Suggestion> Suggest(CatalogueSnapshot catalogue, MemberProfile profile, int count = 5)
    {
        var open = catalogue.Entries
            .Select(e => Best(e, profile))
            .OfType<Suggestion>()
            .OrderByDescending(s => s.Fit)
            .ThenBy(s => s.Session.Title, StringComparer.Ordinal)
            .ToList();
        var chosen = new List<Suggestion>();
        while (chosen.Count < count && open.Count > 0)
        {
            var next = open.MaxBy(s => (Relevance * s.Fit) - ((1 - Relevance) * chosen.Select(c => Likeness(c.Session, s.Session)).DefaultIfEmpty(0).Max()))!;
            chosen.Add(next);
            open.Remove(next);
        }

        return [.. chosen];
    }

    /// <summary>Which of the member's limits a session breaks at a pace; empty where none.</summary>
    public static IReadOnlyList<string> Breaks(CatalogueEntry entry, MemberProfile profile, Pace pace)
    {
        var sheet = entry.Measures.At(pace);
        var broken = new List<string>();
        var lacking = entry.Lacking(profile.Kit).Where(k => k != "mat").ToList();
        if (lacking.Count > 0)
        {
            broken.Add($"needs {string.Join(" and ", lacking)}");
        }

        if (profile.MaxImpact is { } most && sheet.Impact.Highest > most)
        {
            broken.Add($"{sheet.Impact.Highest.Word()} for {sheet.Impact.Jumps}");
        }

        if (profile.Minutes is { } minutes && sheet.Time.Needed.Minutes > minutes + Overrun)
        {
            broken.Add($"needs {sheet.Time.Needed} min");
        }

        broken.AddRange(sheet.Strains
            .Where(s => profile.Spare.Contains(s.Strain) && s.Length.Value > SpareAllowance)
            .Select(s => $"{s.Length} on {Named(s.Strain)}"));
        return broken;
    }

    private static Suggestion? Best(CatalogueEntry entry, MemberProfile profile)
    {
        Suggestion? best = null;
        foreach (var pace in new[] { Pace.AsLed, Pace.Eased, Pace.Pushed })
        {
            if (Breaks(entry, profile, pace).Count == 0 && Weigh(entry, profile, pace) is var suggestion && suggestion.Fit > (best?.Fit + 0.001 ?? -1))
            {
                best = suggestion;
            }
        }

        return best;
    }

    private static Suggestion Weigh(CatalogueEntry entry, MemberProfile profile, Pace pace)
    {
        var sheet = entry.Measures.At(pace);
        var speaksFor = ImmutableArray.CreateBuilder<string>();
        var against = ImmutableArray.CreateBuilder<string>();

        var time = 0.7;
        if (profile.Minutes is { } minutes)
        {
            var spare = minutes - sheet.Time.Needed.Minutes;
            time = spare < 0 ? 0.8 : Math.Max(0, 1 - (spare / minutes));
            if (time >= 0.75)
            {
                speaksFor.Add($"{sheet.Time.Needed} of your {minutes} min");
            }
            else
            {
                against.Add($"takes only {sheet.Time.Needed} of your {minutes} min");
            }
        }

        var level = 0.7;
        if (profile.Level is { } wanted)
        {
            var off = sheet.Difficulty.Level - wanted;
            level = Math.Max(0, 1 - (Math.Abs(off) / 3.0));
            if (off == 0)
            {
                speaksFor.Add($"level {sheet.Difficulty.Level} at {pace.Word()}, like yours");
            }
            else
            {
                against.Add($"level {sheet.Difficulty.Level} at {pace.Word()}, {(off > 0 ? "above" : "below")} yours");
            }
        }

        var goal = GoalFit(sheet, profile.Goal);
        if (profile.Goal is not null && goal >= 0.5)
        {
            speaksFor.Add(GoalReason(sheet, profile.Goal));
        }

        if (profile.MaxImpact is not null)
        {
            speaksFor.Add(sheet.Impact.Jumps > Seconds.Zero ? $"{sheet.Impact.Highest.Word()} at the most" : "feet stay on the floor");
        }

        if (!entry.RequiredKit.IsEmpty)
        {
            speaksFor.Add(entry.RequiredKit.All(k => k == "mat") && !profile.Kit.Contains("mat") ? "needs no kit but a soft floor" : $"uses your {string.Join(" and ", entry.RequiredKit)}");
        }
        else
        {
            speaksFor.Add("needs no kit");
        }

        var touched = sheet.Strains.Where(s => profile.Spare.Contains(s.Strain)).ToList();
        foreach (var strain in touched)
        {
            against.Add($"{strain.Length} on {Named(strain.Strain)}{(strain.WaysOut > 0 ? ", another way is shown" : "")}");
        }

        foreach (var free in profile.Spare.Where(s => touched.All(t => t.Strain != s)))
        {
            speaksFor.Add($"spares {Named(free)}");
        }

        if (sheet.Time.Work > Seconds.Zero && sheet.Time.WarmUp < Constants.WarmUpLeast)
        {
            against.Add(sheet.Time.WarmUp > Seconds.Zero ? $"short warm-up, {sheet.Time.WarmUp}" : "starts without a warm-up");
        }

        var sparing = touched.Count == 0 ? 1 : 0.5;
        var fit = (TimeWeight * time) + (LevelWeight * level) + (GoalWeight * goal) + (SpareWeight * sparing);
        return new Suggestion(entry, pace, Math.Round(fit, 4), speaksFor.ToImmutable(), against.ToImmutable());
    }

    private static double GoalFit(MeasureSheet sheet, string? goal)
    {
        var all = Math.Max(1, (sheet.Light + sheet.Moderate + sheet.Vigorous).Value);
        double Part(string name) => sheet.Difficulty.Parts.First(p => p.Name == name).Value;
        return goal switch
        {
            "strength" => Math.Min(1, Part("strength") * 1.8),
            "stamina" => Math.Min(1, (sheet.Vigorous.Value + (0.5 * sheet.Moderate.Value)) / all * 1.4),
            "mobility" => Math.Min(1, sheet.Light.Value / all * 1.2),
            "balance" => Math.Min(1, Part("balance") * 3),
            "steady habit" => sheet.Difficulty.Level <= 2 ? 1 : 0.5,
            _ => 0.6,
        };
    }

    private static string GoalReason(MeasureSheet sheet, string goal) => goal switch
    {
        "strength" => $"strength work for {string.Join(" and ", sheet.Focus.Take(2))}",
        "stamina" => $"{sheet.Vigorous + sheet.Moderate} at moderate effort or above",
        "mobility" => $"{sheet.Light} of light, easy movement",
        "balance" => "a good share on one leg",
        _ => "gentle enough to come back to tomorrow",
    };

    /// <summary>How alike two sessions are, 0..1: shared muscle load, half and half with the coach being the same.</summary>
    private static double Likeness(CatalogueEntry a, CatalogueEntry b)
    {
        var other = b.Measures.AsLed.Muscles.ToDictionary(m => m.Muscle, m => m.Share);
        var shared = a.Measures.AsLed.Muscles.Sum(m => Math.Min(m.Share, other.GetValueOrDefault(m.Muscle)));
        return (0.7 * shared) + (a.Coach == b.Coach ? 0.3 : 0);
    }

    private static string Named(string strain) => strain switch
    {
        "getting to the floor" or "single-leg balance" or "long holds" => strain,
        "shoulders overhead" => "shoulders, arms overhead",
        "head below heart" => "head lower than the heart",
        _ => $"the {strain}",
    };
}
