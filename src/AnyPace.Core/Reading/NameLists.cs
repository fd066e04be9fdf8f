using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>Finds names that are said one after the other, as a list of what is to come.</summary>
internal static class NameLists
{
    /// <summary>A list is said in one breath: at most this many seconds a word.</summary>
    private const double ListPace = 1.2;

    private static readonly HashSet<string> ListWords =
        ["and", "then", "a", "an", "some", "the", "our", "your", "plus", "also", "with", "we've", "got", "we", "have", "into", "1", "finally", "lastly", "by", "followed", "10", "12", "20", "8"];

    /// <summary>"Eight presses on each arm and eight rows".</summary>
    private static readonly HashSet<string> EachSide = ["each", "per", "on", "arm", "leg", "side", "way"];

    /// <summary>Words between two names of a list, and where each side is said.</summary>
    private const int WordsBetween = 4;
    private const int WordsOfSides = 7;

    /// <summary>
    /// Names said one after the other with nothing but small words between are a list of what is to come. Three or more always are;
    /// of two ("a front squat and a bent-over row") only the second waits.
    /// </summary>
    internal static bool[] Listed(Speech speech, List<(AliasHit Hit, int Token, int Length)> raw)
    {
        var listed = new bool[raw.Count];
        for (var i = 0; i < raw.Count;)
        {
            var last = i;
            while (last + 1 < raw.Count && Joined(raw[last], raw[last + 1]) && !SaidBefore(i, last + 1))
            {
                last++;
            }

            var distinct = raw.Skip(i).Take(last - i + 1).Select(r => r.Hit.Move.Id).Distinct().Count();
            for (var k = distinct >= 3 ? i : i + 1; k <= last && (distinct >= 3 || (distinct == 2 && RoleReader.IsPairing(speech, raw[i].Token))); k++)
            {
                listed[k] = !RoleReader.IsAnnouncedAfter(speech, raw[k].Token + raw[k].Length);
            }

            i = last + 1;
        }

        foreach (var index in CodedMoves.Listed(speech, raw))
        {
            // "Number one step-ups, right foot on the bench. Number two dips. Number three ..."
            listed[index] = true;
        }

        return listed;

        // "A reverse lunge with a shoulder press. Lunges, go": the general name after the fuller one begins, the list is over.
        bool SaidBefore(int from, int next) => raw.Skip(from).Take(next - from).Any(r =>
            r.Hit.Move.Id == raw[next].Hit.Move.Id || r.Hit.Move.NamesMoreThan(raw[next].Hit.Move));

        bool Everyday((AliasHit Hit, int Token, int Length) r) => r.Hit.Weak && !(r.Length == 1 && NameFinder.IsSeveral(speech.Tokens[r.Token]));

        bool Joined((AliasHit Hit, int Token, int Length) a, (AliasHit Hit, int Token, int Length) b)
        {
            var end = a.Token + a.Length;
            var joins = 0;
            var sides = end < speech.Tokens.Count && Enumerable.Range(end, Math.Min(2, speech.Tokens.Count - end)).Any(t => speech.Tokens[t].Text is "each" or "per");
            var most = sides ? WordsOfSides : WordsBetween;
            for (var t = end; t < b.Token; t++)
            {
                if (!(ListWords.Contains(speech.Tokens[t].Text) || speech.Tokens[t].Number is not null || (sides && EachSide.Contains(speech.Tokens[t].Text))) || t - end >= most)
                {
                    return false;
                }

                joins += speech.Tokens[t].Text is "and" or "then" or "plus" or "a" or "an" or "some" || speech.Tokens[t].Number is > 1 || (speech.Tokens[t].Text == "with" && RoleReader.IsPairing(speech, a.Token)) ? 1 : 0;
            }

            return b.Token - end <= most && a.Hit.Move.Id != b.Hit.Move.Id && !b.Hit.Move.NamesMoreThan(a.Hit.Move) && !(joins == 0 && SamePart(a.Hit.Move, b.Hit.Move)) && !Everyday(a) && !Everyday(b) && !speech.Tokens[end - 1].Stops
                && (joins > 0 || speech.Tokens[end - 1].Pauses || b.Token == end) && speech.At(b.Token) - speech.At(a.Token) < Math.Min(6, ListPace * (b.Token - a.Token));
        }
    }

    /// <summary>"A bridge, bridge hold": one name inside the other.</summary>
    private static bool SamePart(Move a, Move b) => a.Pattern == b.Pattern && a.Id.Split('-').Intersect(b.Id.Split('-')).Any(w => w.Length > 3);
}
