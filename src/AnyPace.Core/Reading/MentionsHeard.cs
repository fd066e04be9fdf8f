using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Reading;

/// <summary>All that is heard of moves before it is judged: a reading judges it, and <see cref="MentionFit"/> counts how often it is right.</summary>
/// <param name="Mentions">What is named or described.</param>
/// <param name="All">With what speech is only a little like, in the order it is said.</param>
/// <param name="Order">In which order the class does its moves.</param>
/// <param name="Company">Which moves the lexicon knows to be done together.</param>
/// <param name="Opening">When the class proper begins, in seconds.</param>
internal sealed record MentionsHeard(IReadOnlyList<Mark> Marks, SaidDose Dose, MentionFinder.Hearing Hearing, List<Mention> Mentions, List<Mention> All, ClassOrder Order, MoveCompany Company, double Opening)
{
    /// <summary>How sure the surest mark of a kind is that is made within some seconds, 0..1; 0 where there is none.</summary>
    public double Strongest(MarkKind kind, double from, double to) => Clocked.Between(Marks, from, to).Where(m => m.Kind == kind).Select(m => m.Strength).DefaultIfEmpty(0).Max();

    /// <summary>How sure it is that a kind of mark is made at a moment, 0..1; 0 where it is not.</summary>
    public double StrongestAt(MarkKind kind, double at) => Strongest(kind, at - Called, at + Called);

    /// <summary>Seconds around a moment in which it is called.</summary>
    private const double Called = 2;

    public static MentionsHeard In(Speech speech, MoveLexicon lexicon)
    {
        var marks = MarkFinder.Find(speech);
        var dose = DoseReader.Read(speech);
        var hearing = MentionFinder.Hear(speech, lexicon, marks);
        var mentions = MentionFinder.Find(speech, lexicon, marks, dose, hearing);
        var opening = ClassOpening.At(speech, hearing.Raw, marks);
        var order = new ClassOrder(mentions);
        return new MentionsHeard(marks, dose, hearing, mentions, MentionFinder.WithFaint(speech, lexicon, hearing, marks, mentions, order, opening), order, lexicon.Company, opening);
    }
}
