namespace AnyPace.Core.Reading;

/// <summary>Examples from marked sentences. Nobody speaks in lines: each is one by itself and between others, in an order that has nothing to do with what they say.</summary>
internal static class InTalk
{
    /// <summary>How far off the sentences are between which each is an example too.</summary>
    private static readonly int[] Apart = [1, 4];

    /// <param name="text">What a sentence says; the same sentences in whichever order give the same examples.</param>
    /// <param name="between">A sentence, the one before it and the one after it.</param>
    public static IEnumerable<TExample> Examples<TSentence, TExample>(
        IEnumerable<TSentence> sentences, Func<TSentence, string> text, Func<TSentence, IEnumerable<TExample>> alone, Func<TSentence, TSentence, TSentence, IEnumerable<TExample>> between)
    {
        var all = sentences.OrderBy(s => new Chance(text(s)).Next()).ThenBy(text, StringComparer.Ordinal).ToList();
        TSentence Other(int place) => all[((place % all.Count) + all.Count) % all.Count];
        return all.SelectMany((s, i) => alone(s).Concat(Apart.SelectMany(apart => between(s, Other(i - apart), Other(i + apart)))));
    }
}
