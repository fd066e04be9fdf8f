namespace AnyPace.Core.Reading;

/// <summary>What a reading is judged by, as learned from marked classes.</summary>
/// <param name="Mentions">What mentions are judged by.</param>
/// <param name="Choice">What the move of a stretch is chosen by.</param>
/// <param name="Starts">What the start of a bout is chosen by.</param>
/// <param name="Phases">What the end of the warm-up and the beginning of the cool-down are chosen by.</param>
/// <param name="Sure">What tells how sure a bout is.</param>
public sealed record ReadingTrees(BoostedTrees Mentions, BoostedTrees Choice, BoostedTrees Starts, PhaseTrees Phases, BoostedTrees Sure)
{
    private static readonly Lazy<ReadingTrees> ShippedTrees = new(() => new(
        Of("mention-trees.csv", MentionTraits.Names),
        Of("choice-trees.csv", MoveChoiceTraits.Names),
        Of("start-trees.csv", StartTraits.Names),
        new PhaseTrees(Of("warm-up-trees.csv", PhaseTraits.Names), Of("cool-down-trees.csv", PhaseTraits.Names)),
        Of("sure-trees.csv", SureTraits.Names)));

    /// <summary>Those shipped with the program.</summary>
    public static ReadingTrees Shipped => ShippedTrees.Value;

    private static BoostedTrees Of(string file, IReadOnlyList<string> traits) => BoostedTrees.Parse(ReadingFiles.Text(file), traits);
}
