using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>What the words around a move's name do with it.</summary>
public enum Role
{
    /// <summary>It is done now, or named while it is done.</summary>
    Doing,

    /// <summary>It is announced and begins at the next start.</summary>
    Announced,

    /// <summary>It comes later: a list of the class, a teaser.</summary>
    Previewed,

    /// <summary>It is not done: "not a squat", "rather than".</summary>
    Negated,

    /// <summary>It is only likened to.</summary>
    Compared,

    /// <summary>It is another way of doing what is done.</summary>
    Alternative,

    /// <summary>It was done before.</summary>
    Past,

    /// <summary>It is told of other days, or of other people.</summary>
    Told,
}

/// <summary>One time a move is named.</summary>
/// <param name="At">When it is named.</param>
/// <param name="EffectiveAt">When it would begin, if this mention begins it.</param>
/// <param name="Weight">How much this mention speaks for doing the move, 0..1.5.</param>
/// <param name="Like">How much the words are like the move, where that is how it was found.</param>
/// <param name="Faint">True where they are only a little like it.</param>
public sealed record Mention(Move Move, int Token, int Length, double At, double EffectiveAt, Role Role, bool Weak, double Weight, LikeMove? Like = null, bool Faint = false)
{
    /// <summary>True where it is a name of the move, not words that may mean it or are a little like it.</summary>
    public bool IsClear => !Weak && !Faint;
}
