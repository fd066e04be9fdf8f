using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>What was named last.</summary>
internal static class Named
{
    /// <summary>True where a mention says, clearly enough, that its move is done or comes next.</summary>
    internal static bool IsNamed(Mention mention) => mention is { Weight: >= 0.5, Role: Role.Doing or Role.Announced };

    /// <summary>The move that was named last before a moment, as done or announced, no longer ago than <paramref name="reach"/> seconds.</summary>
    internal static Mention? LastNamed(List<Mention> mentions, double before, double reach, Func<Mention, bool>? which = null)
    {
        for (var i = Clocked.From(mentions, before) - 1; i >= 0 && before - mentions[i].At <= reach; i--)
        {
            if (IsNamed(mentions[i]) && which?.Invoke(mentions[i]) != false)
            {
                return mentions[i];
            }
        }

        return null;
    }

    /// <summary>The one of two that was said later.</summary>
    internal static Mention? Later(Mention? one, Mention? other) => one is null || other?.At > one.At ? other : one;

    /// <summary>The move that was last described at some length, less than <paramref name="reach"/> seconds ago.</summary>
    internal static Mention? LastDescribed(List<Mention> mentions, double now, double reach) =>
        mentions.FindLast(m => m is { Weak: true, Role: Role.Doing or Role.Announced } && m.Length >= NameFinder.WordsEnough && now - m.At < reach);
}
