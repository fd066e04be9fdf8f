using System.Collections.Immutable;

namespace AnyPace.Core.Lexicon;

/// <summary>A move of a class that was marked by hand, and the stems of the words that were said as it began.</summary>
public sealed record TaughtBout(string MoveId, ImmutableArray<string> Words);

/// <summary>A class that was marked by hand, as far as the lexicon learns from it: how its moves are said, and which are done together and after each other.</summary>
public sealed record TaughtClass(ImmutableArray<TaughtBout> Bouts)
{
    /// <summary>What is said while moves are under way, some seconds at a time. Only to fit the <see cref="MoveClassifier"/>: not written.</summary>
    public ImmutableArray<TaughtBout> UnderWay { get; init; } = [];

    /// <summary>What is said where nothing is done or about to begin, likewise.</summary>
    public ImmutableArray<ImmutableArray<string>> Idle { get; init; } = [];

    private const string Remark = "#";

    /// <summary>Classes as text: a line a bout, its move and then the words; an empty line between classes.</summary>
    public static string Write(IEnumerable<TaughtClass> classes) =>
        $"{Remark} Moves of marked classes in the order they are done, with the stems of what was said as each began. `./anypace bench fit` makes this anew.\n"
        + string.Join('\n', classes.Select(c => string.Concat(c.Bouts.Select(b => string.Join(' ', b.Words.Prepend(b.MoveId)) + "\n"))));

    /// <summary>Reads what <see cref="Write"/> wrote.</summary>
    public static IReadOnlyList<TaughtClass> Parse(string text)
    {
        var classes = new List<TaughtClass>();
        var bouts = ImmutableArray.CreateBuilder<TaughtBout>();
        foreach (var line in text.Split('\n').Where(l => !l.StartsWith(Remark, StringComparison.Ordinal)).Append(string.Empty))
        {
            var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
            if (words.Length > 0)
            {
                bouts.Add(new TaughtBout(words[0], [.. words[1..]]));
            }
            else if (bouts.Count > 0)
            {
                classes.Add(new TaughtClass(bouts.DrainToImmutable()));
            }
        }

        return classes;
    }
}
