using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>
/// What reads marked classes as one that nobody marked: the classes are in parts, and each part is heard by a lexicon, and judged by trees, that learned from the other parts only.
/// </summary>
public sealed class ReadByOthers
{
    /// <summary>In how many parts the classes are.</summary>
    private const int Parts = 5;

    private readonly IReadOnlyList<MentionFit.MarkedClass> _classes;

    private readonly Lazy<List<BoostedTrees>> _trees;
    private readonly Lazy<IReadOnlyList<MentionFit.Examples>> _stretches;

    private ReadByOthers(IReadOnlyList<MentionFit.MarkedClass> classes, MoveLexicon lexicon)
    {
        _classes = classes;
        var taught = classes.Select(MentionFit.Taught).ToList();
        Lexicons = [.. Enumerable.Range(0, Parts).Select(part => lexicon.Taught([.. taught.Where((_, i) => PartOf(i) != part)]))];
        Mentions = OfEach((marked, part) => MentionFit.MentionsOf(marked, Lexicons[part]));
        _trees = new(() => TreesOfOthers(Mentions));
        _stretches = new(() => MoveChoiceFit.Stretches(this));
    }

    /// <summary>Learns a lexicon for each part, and hears the classes with it.</summary>
    public static ReadByOthers Learn(IReadOnlyList<MentionFit.MarkedClass> classes, MoveLexicon lexicon) => new(classes, lexicon);

    /// <summary>The mentions of each class: what the trees are grown from.</summary>
    public IReadOnlyList<MentionFit.Examples> Mentions { get; }

    /// <summary>The stretches of each class: what the trees that choose a move are grown from.</summary>
    public IReadOnlyList<MentionFit.Examples> Stretches => _stretches.Value;

    /// <summary>A lexicon for each part.</summary>
    internal IReadOnlyList<MoveLexicon> Lexicons { get; }

    /// <summary>Trees of mentions for each part.</summary>
    internal IReadOnlyList<BoostedTrees> Trees => _trees.Value;

    /// <summary>Which part a class is in; scattered, so that those written together are not together (Knuth's multiplicative hash).</summary>
    internal static int PartOf(int index) => (int)(((uint)(index + 1) * 2654435761u >> 16) % Parts);

    /// <summary>What is asked of each class and its part, in the order of the classes.</summary>
    internal IReadOnlyList<T> OfEach<T>(Func<MentionFit.MarkedClass, int, T> ask) => [.. _classes.Select((c, i) => (Class: c, Part: PartOf(i))).AsParallel().AsOrdered().Select(c => ask(c.Class, c.Part))];

    /// <summary>Trees for each part, grown on the classes of the others.</summary>
    internal static List<BoostedTrees> TreesOfOthers(IReadOnlyList<MentionFit.Examples> classes) => [.. Enumerable.Range(0, Parts).Select(part => MentionFit.Fit(classes, i => PartOf(i) != part))];

    /// <summary>A reading that hears, and judges mentions, by what it learned from the other parts.</summary>
    internal CaptionReading Reading(int part, ReadingTrees trees) => new(Lexicons[part], trees with { Mentions = Trees[part] });

    /// <summary>For each part what a <see cref="Reading"/> is judged by, grown on the classes of the others; how sure a bout is that does not tell yet.</summary>
    internal IReadOnlyList<ReadingTrees> AllTrees()
    {
        var choices = TreesOfOthers(Stretches);
        var starts = TreesOfOthers(StartFit.Moments(this, part => choices[part]));
        var (warm, cool) = PhaseFit.Borders(this, part => choices[part], part => starts[part]);
        var (warmUps, coolDowns) = (TreesOfOthers(warm), TreesOfOthers(cool));
        return [.. Enumerable.Range(0, Parts).Select(part => ReadingTrees.Shipped with { Choice = choices[part], Starts = starts[part], Phases = new PhaseTrees(warmUps[part], coolDowns[part]) })];
    }

    /// <summary>For each class a reading that learned from the others only.</summary>
    public IReadOnlyList<CaptionReading> Readings()
    {
        var trees = AllTrees();
        var sure = TreesOfOthers(SureFit.Bouts(this, trees));
        var readings = trees.Select((t, part) => Reading(part, t with { Sure = sure[part] })).ToList();
        return [.. _classes.Select((_, i) => readings[PartOf(i)])];
    }
}
