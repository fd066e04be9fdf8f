using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>In which order a class does its moves, by what is clearly named: after the swings came the squats.</summary>
/// <param name="mentions">What is named, weighed by the rules, in the order it is said.</param>
/// <remarks>The numbers below are ours; they have no source outside the project.</remarks>
internal sealed class ClassOrder(IEnumerable<Mention> mentions)
{
    /// <summary>A move that is named again within so many seconds is the same bout.</summary>
    private const double SameBout = 30;

    /// <summary>What is named within so many seconds of a mention is the same bout as that.</summary>
    private const double Apart = 20;

    private readonly List<Mention> _named = EachBoutOnce(mentions);

    /// <summary>True for a name that is said of what is done, or is about to be.</summary>
    public static bool IsClear(Mention m) => m is { Weak: false, Weight: > MentionTraits.Clear, Role: Role.Doing or Role.Announced };

    private static List<Mention> EachBoutOnce(IEnumerable<Mention> mentions)
    {
        var named = new List<Mention>();
        foreach (var mention in mentions.Where(IsClear))
        {
            if (named.Count == 0 || named[^1].Move.Id != mention.Move.Id || mention.At - named[^1].At >= SameBout)
            {
                named.Add(mention);
            }
        }

        return named;
    }

    /// <summary>How often another is followed by the move of this one elsewhere in the class, and how often by any.</summary>
    public (int By, int Any) After(Mention before, Mention here) => Beside(before, here, 1);

    /// <summary>How often another comes after the move of this one elsewhere in the class, and how often after any.</summary>
    public (int By, int Any) Before(Mention after, Mention here) => Beside(after, here, -1);

    private (int By, int Any) Beside(Mention neighbour, Mention here, int way)
    {
        var (by, any) = (0, 0);
        for (var i = Math.Max(0, -way); i < Math.Min(_named.Count, _named.Count - way); i++)
        {
            if (_named[i].Move.Id == neighbour.Move.Id && Math.Abs(_named[i].At - neighbour.At) >= SameBout && Math.Abs(_named[i + way].At - here.At) >= Apart)
            {
                any++;
                by += _named[i + way].Move.Id == here.Move.Id ? 1 : 0;
            }
        }

        return (by, any);
    }

    /// <summary>What most often came next after what was named last before a time when that was done before; null where nothing did, or it is longer ago.</summary>
    /// <param name="within">Seconds back.</param>
    public Move? Next(double at, double within)
    {
        var last = Clocked.From(_named, at) - 1;
        if (last < 0 || at - _named[last].At > within)
        {
            return null;
        }

        var move = _named[last].Move.Id;
        return Enumerable.Range(0, last).Where(i => _named[i].Move.Id == move && _named[i + 1].Move.Id != move)
            .GroupBy(i => _named[i + 1].Move.Id).OrderByDescending(g => g.Count()).Select(g => _named[g.First() + 1].Move).FirstOrDefault();
    }
}
