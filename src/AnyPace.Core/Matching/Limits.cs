using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Matching;

/// <summary>What a suggestion never breaks: kit, impact, time, strains to spare, place and noise.</summary>
public static class Limits
{
    /// <summary>Minutes a session may run over the time there is.</summary>
    public const double Overrun = 2;

    /// <summary>The rows of a segment that keep every limit at a pace.</summary>
    internal static ulong[] Keeping(Segment segment, ulong[] live, Wishes wishes, Pace pace)
    {
        var profile = wishes.Profile;
        var columns = segment.Columns[(int)pace];
        var set = segment.Doable(Owned(profile));
        Bits.And(set, live);
        foreach (var strain in profile.Spare)
        {
            Narrow(segment.Set(Facet.Strains, strain, pace));
        }

        if (profile.MaxNoise is { } noise)
        {
            Narrow(Any(segment, Facet.NoiseMade, pace, (int)noise));
        }

        if (profile.MaxSpace is { } space)
        {
            Narrow(Any(segment, Facet.Space, pace, (int)space));
        }

        if (profile.Minutes is not null || profile.MaxImpact is not null)
        {
            var most = profile.Minutes is { } m ? (int)((m + Overrun) * 60) : int.MaxValue;
            var impact = profile.MaxImpact is { } i ? (int)i : int.MaxValue;
            var fits = new ulong[set.Length];
            for (var row = 0; row < segment.Rows; row++)
            {
                if (columns.Needed[row] <= most && columns.Highest[row] <= impact)
                {
                    Bits.Set(fits, row);
                }
            }

            Bits.And(set, fits);
        }

        foreach (var id in wishes.Signals.NotToday)
        {
            if (segment.RowOf(id) is { } row)
            {
                set[row >> 6] &= ~(1UL << (row & 63));
            }
        }

        return set;

        void Narrow(ulong[]? with)
        {
            if (with is null)
            {
                Array.Clear(set);
            }
            else
            {
                Bits.And(set, with);
            }
        }
    }

    /// <summary>Which limits a session breaks at a pace, in words; empty where none.</summary>
    public static IReadOnlyList<string> Breaks(SessionRow at, Wishes wishes, Pace pace)
    {
        var profile = wishes.Profile;
        var columns = at.At(pace);
        var broken = new List<string>();
        var kit = Owned(profile);
        var lacking = at.Kit.Where(k => !kit.Contains(k.Item) && !k.StandIns.Any(kit.Contains)).Select(k => k.Item).ToList();
        if (lacking.Count > 0)
        {
            broken.Add($"needs {string.Join(" and ", lacking)}, which you don't list");
        }

        if (profile.MaxImpact is { } most && columns.Highest[at.Row] > (int)most)
        {
            broken.Add($"{((Impact)columns.Highest[at.Row]).Word()} for {new Seconds(columns.Jumps[at.Row])} min");
        }

        if (profile.Minutes is { } minutes && columns.Needed[at.Row] > (minutes + Overrun) * 60)
        {
            broken.Add($"needs {new Seconds(columns.Needed[at.Row])} of your {minutes} min");
        }

        for (var s = 0; s < Segment.StrainCount; s++)
        {
            var seconds = columns.Strains[(at.Row * Segment.StrainCount) + s];
            if (profile.Spare.Contains(Vocabulary.Strains[s]) && seconds > Facet.SparedStrain)
            {
                broken.Add($"{new Seconds(seconds)} min on {Named(Vocabulary.Strains[s])}");
            }
        }

        if (profile.MaxNoise is { } noise && Any(at.Segment, Facet.NoiseMade, pace, (int)noise) is var quiet && !Bits.Has(quiet, at.Row))
        {
            broken.Add($"louder than {noise.Word()}");
        }

        if (profile.MaxSpace is { } space && Any(at.Segment, Facet.Space, pace, (int)space) is var small && !Bits.Has(small, at.Row))
        {
            broken.Add($"takes more floor than {space.Word()}");
        }

        if (wishes.Signals.NotToday.Contains(at.Id))
        {
            broken.Add("you said \"not today\"");
        }

        return broken;
    }

    /// <summary>The strain as it reads in a sentence.</summary>
    public static string Named(string strain) => strain switch
    {
        "getting to the floor" or "single-leg balance" or "long holds" => strain,
        "shoulders overhead" => "shoulders, arms overhead",
        "head below heart" => "head lower than the heart",
        _ => $"the {strain}",
    };

    /// <summary>A soft floor stands in for a mat: its lack stops nobody.</summary>
    private static IReadOnlySet<string> Owned(MemberProfile profile) => profile.Kit.Add("mat");

    private static ulong[] Any(Segment segment, Facet facet, Pace pace, int upTo)
    {
        var set = new ulong[Bits.WordsFor(segment.Rows)];
        foreach (var value in facet.Order.Take(upTo + 1))
        {
            if (segment.Set(facet, value, pace) is { } rows)
            {
                Bits.Or(set, rows);
            }
        }

        return set;
    }
}
