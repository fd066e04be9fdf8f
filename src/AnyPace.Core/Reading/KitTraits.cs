namespace AnyPace.Core.Reading;

/// <summary>What the words about a piece of kit say of whether it must be there.</summary>
internal static class KitTraits
{
    /// <summary>Words looked at before it and after it.</summary>
    private const int Near = 12;

    /// <summary>Seconds of silence past which words are about something else.</summary>
    private const double Silence = 4;

    private const string End = "(end)";

    /// <summary>Stands for another piece of kit.</summary>
    private const string Another = "#kit";

    /// <param name="all">Every mention of kit, whatever the item.</param>
    public static HashSet<string> Of(Speech speech, KitMention mention, IReadOnlyCollection<KitMention> all) => TraitNames.Of(sink => Tell(sink, speech, mention, all));

    public static void Tell(TraitSink traits, Speech speech, KitMention mention, IReadOnlyCollection<KitMention> all)
    {
        var tokens = speech.Tokens;
        var others = all.Where(m => m.Item != mention.Item && m.Last >= mention.First - Near && m.First <= mention.Last + Near).ToList();
        string Word(int t) => others.Exists(m => t >= m.First && t <= m.Last) ? Another : tokens[t].Number is null ? tokens[t].Text : "#number";
        List<string> before = [], after = [];
        for (var t = mention.First - 1; t >= Math.Max(0, mention.First - Near) && !speech.SilentAfter(t, Silence); t--)
        {
            before.Add(Word(t));
        }

        for (var t = mention.Last + 1; t < Math.Min(tokens.Count, mention.Last + 1 + Near) && !speech.SilentAfter(t - 1, Silence); t++)
        {
            after.Add(Word(t));
        }

        before.Add(End);
        after.Add(End);
        var kind = KindOf(mention.Item);
        traits.Add(kind);
        traits.Add(mention.Item);
        string[] kinds = ["", kind];
        PlacedWords.Add(traits, kinds, '<', before, WordGroups.Kit.NameOr);
        PlacedWords.Add(traits, kinds, '>', after, WordGroups.Kit.NameOr);
        traits.Add($"{WordGroups.Kit.NameOr(before[0])} * {WordGroups.Kit.NameOr(after[0])}");
    }

    /// <summary>Furniture, what is for comfort, what is lain on, leant on or held: the same words say different things of them.</summary>
    private static string KindOf(string item) => item switch
    {
        "chair" or "bench" or "step" => "furniture",
        "cushion" or "blanket" or "bolster" or "towel" or "yoga block" or "strap" => "comfort",
        "mat" or "wall" or "water bottle" => item,
        _ => "held",
    };
}
