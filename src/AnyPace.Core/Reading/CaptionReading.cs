using System.Collections.Immutable;
using System.Text.RegularExpressions;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>What is known about a recording besides its captions.</summary>
/// <param name="StatedMinutes">The promised length, where the studio has one.</param>
public sealed record ReadingContext(string? Title = null, double? StatedMinutes = null);

/// <summary>Captions to a proposed timeline. A pure function of its input: no clock, no files, no state.</summary>
/// <param name="lexicon">The moves.</param>
/// <param name="trees">What it is judged by; null for those shipped with the program.</param>
public sealed partial class CaptionReading(MoveLexicon lexicon, ReadingTrees? trees = null)
{
    private readonly ReadingTrees _trees = trees ?? ReadingTrees.Shipped;

    /// <summary>The kit that is heard in captions, by the names it has in a timeline.</summary>
    public static ImmutableArray<string> KitNames => KitItems.Known;

    public Timeline Read(CaptionFile file, ReadingContext? context = null)
    {
        var speech = new Speech(file.Cues);
        if (speech.Tokens.Count == 0)
        {
            return Timeline.Empty;
        }

        var (read, phases, traits) = Divided(speech);
        var (marks, dose, mentions) = (read.Heard.Marks, read.Heard.Dose, read.Heard.Mentions);
        var bouts = new DoubtReader(speech, read, lexicon, _trees.Choice).Told(HowSure.Told(read.Bouts, traits, _trees.Sure));
        var (judgedRemarks, care) = (RemarkField.Beside.Judge.Judge(speech), RemarkField.Care.Judge.Judge(speech));
        var claimed = FactReader.Claimed(speech, judgedRemarks);
        return new Timeline(
            speech.End,
            read.Kind,
            FactReader.PartOfSeries(speech),
            FactReader.Stated(speech, context?.StatedMinutes),
            phases,
            bouts,
            StructureReader.Read(speech, dose, phases, bouts, lexicon),
            KitReader.Read(speech, bouts, lexicon),
            OptionReader.Read(speech, mentions, bouts, care),
            FactReader.Cautions(speech, care),
            FactReader.Claims(speech, claimed),
            FactReader.Outside(speech, mentions, marks, judgedRemarks, claimed))
        {
            Slips = SlipReader.Read(speech, mentions),
            Voice = VoiceReader.Read(speech, marks, mentions),
        };
    }

    /// <summary>What is done when, each bout from where its move is named or its start is called; when it begins is chosen after.</summary>
    internal (MentionsHeard Heard, IReadOnlyList<Mention> Judged, ImmutableArray<Bout> Bouts) Bouts(Speech speech)
    {
        var heard = MentionsHeard.In(speech, lexicon);
        var (marks, dose, mentions) = (heard.Marks, heard.Dose, heard.Mentions);
        var judged = new MentionJudge(_trees.Mentions).Judge(speech, heard);
        var divided = new MoveChoice(speech, heard, judged).Choose(NameSettler.Divided(speech, heard, judged, lexicon), _trees.Choice);
        var segments = Rests.Kept(divided, marks, dose);
        var bouts = BoutBuilder.Build(speech, marks, WorkStarts.Settle(speech, marks, WorkStarts.AfterOpening(segments, heard.Opening), dose), dose);
        bouts = Rests.Begun(bouts, marks, dose);
        bouts = CountedSets.Fill(bouts, speech, marks, judged, dose, lexicon);
        bouts = LaterRounds.FillAll(bouts, marks, mentions, dose, lexicon);
        bouts = PairedSets.Fill(bouts, speech, marks, dose, lexicon);
        bouts = UnclockedRounds.Fill(bouts, marks, mentions, dose, lexicon);
        bouts = LaidSets.Fill(bouts, dose, lexicon, speech.End.Value);
        bouts = SilentRounds.Fill(bouts, speech, marks, mentions, heard.Hearing.Listened, dose, lexicon);
        bouts = TabataBlocks.Fill(bouts, marks, mentions, dose, speech.End.Value);
        bouts = SecondSides.Part(bouts, speech, marks, lexicon);
        return (heard, judged, bouts);
    }

    /// <summary>What is done when, and in which kind of class.</summary>
    internal BoutsRead Done(Speech speech)
    {
        var (heard, judged, read) = Bouts(speech);
        var bouts = new StartChoice(speech, heard, lexicon, read).Choose(_trees.Starts);
        return new BoutsRead(heard, judged, bouts, KindOf(speech, heard.Marks, bouts, heard.Dose));
    }

    /// <summary>In which phases it is done, and what is told of how sure each bout is.</summary>
    internal (BoutsRead Read, ImmutableArray<Phase> Phases, SureTraits Traits) Divided(Speech speech)
    {
        var read = Done(speech);
        var phases = PhaseFinder.Find(speech, read.Heard, read.Bouts, lexicon, read.Kind, _trees.Phases);
        return (read, phases, new SureTraits(speech, read, phases, lexicon));
    }

    /// <summary>Share of the recording in bouts from which a timed class is done there and then.</summary>
    private const double WorksAlong = 0.6;

    /// <summary>A demonstration prescribes and shows; nobody counts or works along.</summary>
    private static ClassKind KindOf(Speech speech, IReadOnlyList<Mark> marks, IReadOnlyList<Bout> bouts, SaidDose dose)
    {
        var prescribes = speech.Find(Prescription()).Count();
        if (prescribes == 0 || (dose.Reps is null && dose.Sets is null && dose.Rounds is null))
        {
            return ClassKind.FollowAlong;
        }

        // Where the work itself fills the recording, everyone is doing it.
        if (bouts.Sum(b => b.Span.Length.Value) > WorksAlong * speech.End.Value && dose.Timed && prescribes < 3)
        {
            return ClassKind.FollowAlong;
        }

        var counted = marks.Count(m => m is { Kind: MarkKind.Doing, Strength: >= 1 } or { Kind: MarkKind.Start, Strength: >= 1 });
        var minutes = Math.Max(1, speech.End.Minutes);
        return counted / minutes < 0.35 && counted < Math.Max(2, bouts.Count / 2) ? ClassKind.Demonstration
            : counted / minutes < 0.6 && prescribes >= 3 ? ClassKind.Mixed : ClassKind.FollowAlong;
    }

    [GeneratedRegex(@"\G\b((perform|complete|aim for|you('ll| will| are going to|'re going to|'re gonna| should| want to| can) (do|repeat|perform|complete|want to do|be doing)|i want you to (do|repeat|aim|try)|(?<!\b(we|we'll|we're|to|gonna|let's|us|can|will|i'll|and) )(do|repeat))( \w+){0,4} (\d+ (to \d+ )?(rounds|sets|reps|times|repetitions|of each))|((?<!\b(we|we'll|we're|to|gonna|let's|us|can|will|i'll|and) )do|i'd like|i want|aim for|give me) (\d+ of (those|these|them|that)|\d+ sets)( (and|for|times|2|3|twice|sets)){0,3}|\d+ (reps|repetitions|each way|in total)( alternating)?( and)?( again)? (twice|3 times|\d sets)|(do|repeat) (this|these|them|it|the \w+) (once|twice|\d times|every) (a )?(day|week|morning)|(going to|gonna) (show|walk|take) you (through )?(all )?(\w+ )?(exercises|moves|stretches)|i'll (tell|show) you how to put it together|try (this|it) (yourself|at home)|in your own time|on your own|pause the video)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex Prescription();
}
