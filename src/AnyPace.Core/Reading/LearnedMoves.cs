using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Moves that what is said over some seconds is likely said of, by what was learned from marked classes: neither named nor described in so many words.</summary>
public static class LearnedMoves
{
    /// <summary>Every third word that is known is begun with; so many seconds are heard from there on, and so many words at most.</summary>
    private const int Step = 3;
    private const double HeardFor = 11;
    private const int MostWords = 30;

    /// <summary>The two likeliest moves are taken, if they are at least this likely.</summary>
    private const int Most = 2;
    private static readonly double Least = Math.Log(0.2);

    /// <summary>So many different words have to be said of the move itself.</summary>
    private const int OwnWords = 3;

    /// <summary>So many words are shown for it, over so many at most.</summary>
    private const int ShownWords = 8;
    private const int ShownOver = 12;

    /// <summary>The same move is not told twice in so many seconds.</summary>
    private const double Apart = 10;

    /// <summary>The moves, the likeliest first, with where their words begin and how many they are.</summary>
    /// <param name="told">What was learned, asked of the same speech.</param>
    /// <param name="listened">What the lexicon says of its moves, likewise.</param>
    /// <param name="named">For each word whether it clearly names a move: what is said of one goes over no other.</param>
    /// <param name="opening">When the class proper begins, in seconds.</param>
    /// <param name="isTold">Whether a move is heard at some time, in seconds, already.</param>
    public static List<(LikeMove Like, int Token, int Length)> Find(Speech speech, MoveClassifier.Heard told, DescriptionLikeness.Heard listened, bool[] named, double opening, Func<Move, double, bool> isTold)
    {
        var found = new List<(Move Move, ToldMove Told, int From, int End)>();
        var known = 0;
        for (int from = 0, end = 0; from < speech.Tokens.Count; from++)
        {
            if (named[from] || speech.At(from) < opening || !told.IsKnown(from) || known++ % Step != 0)
            {
                continue;
            }

            end = Math.Max(end, from);
            while (end < speech.Tokens.Count && speech.At(end) < speech.At(from) + HeardFor)
            {
                end++;
            }

            var to = Math.Min(end, from + MostWords);
            if (Array.IndexOf(named, true, from, to - from) is >= 0 and var name)
            {
                to = name;
            }

            found.AddRange(told.Likely(from, to, Most, Least).Select(l => (l.Move, l.Told, from, to)));
        }

        var taken = new List<(LikeMove Like, int Token, int Length)>();
        foreach (var (move, says, from, end) in found.OrderByDescending(f => f.Told.Chance))
        {
            var at = speech.At(from);
            if (isTold(move, at) || taken.Exists(t => t.Like.Move.Id == move.Id && Math.Abs(speech.At(t.Token) - at) < Apart)
                || listened.As(move, from, end, says.Lead) is not { } like || like.Words < OwnWords)
            {
                continue;
            }

            var own = Enumerable.Range(from, end - from).Where(t => listened.Says(t, move)).Take(ShownWords).ToList();
            taken.Add((like, own[0], Math.Min(ShownOver, own[^1] - own[0] + 1)));
        }

        return taken;
    }
}
