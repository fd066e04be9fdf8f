namespace AnyPace.Core.Reading;

/// <summary>
/// Judges how likely the move of each mention is done there, by all its traits together, as counted in the marked classes that are tuned on.
/// The rules say what the words do; how much each of their findings is worth beside the others is counted, not guessed.
/// </summary>
/// <remarks>What was counted is in <c>mention-trees.csv</c>; <see cref="MentionFit"/> makes it anew.</remarks>
internal sealed class MentionJudge(BoostedTrees trees)
{
    /// <summary>What a mention that is surely right counts in the division of the recording. Ours, set on our own captions.</summary>
    private const double Surely = 1.4;

    /// <summary>"Lunges next ... and go", and no other name for that start: it counts so much at least, whatever is rarely done by that name in the marked classes.</summary>
    private const double Called = 0.5;

    /// <summary>What the rules give a name that is announced as clearly as that.</summary>
    private const double ClearlyAnnounced = 0.9;

    /// <summary>The mentions, those only faintly heard too, with the weight that their likelihood gives them.</summary>
    public List<Mention> Judge(Speech speech, MentionsHeard heard)
    {
        var traits = new MentionTraits(speech, heard);
        List<Mention> judged = [.. heard.All];
        var asked = judged.Index().Where(m => m.Item.Weight > 0 || m.Item.Faint).Select(m => m.Index).ToList();
        var likelihoods = trees.Likelihoods(asked.ConvertAll(i => traits.Of(judged[i]).ToArray()));
        foreach (var (i, likelihood) in asked.Zip(likelihoods))
        {
            judged[i] = judged[i] with { Weight = Math.Max(Surely * likelihood, IsCalled(traits, judged[i]) ? Called : 0) };
        }

        return judged;
    }

    /// <summary>True for a name that is clearly announced for a start that comes later, where no other move is named for the same one.</summary>
    private static bool IsCalled(MentionTraits traits, Mention m) =>
        m is { Weak: false, Role: Role.Announced, Weight: >= ClearlyAnnounced } && m.EffectiveAt > m.At + 1 && traits.IsAloneAtStart(m);
}
