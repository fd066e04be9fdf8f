using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Remarks that are told by all their words together, and the weights of the words.</summary>
public sealed class RemarkFitTests
{
    private const string Pet = "outside off-topic chat";

    private static RemarkJudge Judge(params (string Trait, int Weight)[] weights) =>
        new(RemarkField.Beside, new TraitWeights([Pet], [-100], [.. weights.Select(w => (w.Trait, new[] { w.Weight }))]));

    private static Speech Said(params string[] cues) => new([.. cues.Select((said, i) => new Cue(new Seconds(i * 10), new Seconds((i * 10) + 8), said, i + 1))]);

    private static bool Finds(RemarkJudge judge, double least, params string[] cues) => judge.Judge(Said(cues), least).Remarks.Count > 0;

    [Theory]
    [InlineData("the dog is here again", 1.9, true)]
    [InlineData("the dog is here again", 2.1, false)]
    [InlineData("dog dog dog dog dog", 1.9, true)]
    [InlineData("dog dog dog dog dog", 2.1, false)]
    [InlineData("the cat is here again", -1.1, true)]
    [InlineData("the cat is here again", -0.9, false)]
    public void A_word_counts_once_however_often_it_is_said(string said, double least, bool found) =>
        Assert.Equal(found, Finds(Judge(("dog", 300)), least, said));

    [Theory]
    [InlineData("my dog my dog my dog", true)]
    [InlineData("dog my", false)]
    [InlineData("my big dog", false)]
    public void Two_words_in_a_row_count_in_their_order(string said, bool found) =>
        Assert.Equal(found, Finds(Judge(("my dog", 300)), 1.9, said));

    [Theory]
    [InlineData("the puppy took the ball", true)]
    [InlineData("the puppy and then one two three four five six seven eight took it", false)]
    [InlineData("we took the kitten home", true)]
    public void Two_groups_count_where_they_come_close_together(string said, bool found) =>
        Assert.Equal(found, Finds(Judge(("#pet&told", 300)), 1.9, said));

    /// <summary>What went into a run of words has to go out of it again, or later ones would be taken for it.</summary>
    [Fact]
    public void A_ridge_pulls_weights_to_nothing()
    {
        int[][] features = [[0], [0], [0], []];
        bool[] right = [true, true, true, false];
        var (free, held) = (LogisticFit.Fit(features, right, 1, 0.1), LogisticFit.Fit(features, right, 1, 100));
        Assert.True(free[0] > held[0] && held[0] > 0);
        Assert.InRange(held[0], 0, 0.05);
    }

    [Fact]
    public void What_is_said_long_before_says_nothing_of_what_comes_after()
    {
        var judge = Judge(("dog", 300), ("my dog", 50), ("#pet", 50), ("#me&pet", 50));
        string[] talk = ["my dog is in my way again my dog", .. Enumerable.Repeat("and lift and lower and lift and lower and lift", 5)];
        var found = Assert.Single(judge.Judge(Said(talk), -0.9).Remarks);
        Assert.True(found.End <= 16, $"to word {found.End}");
        Assert.DoesNotContain(judge.Judge(Said([.. talk, "lift and lower"]), -0.99).Remarks, r => r.First > 8);
    }

    [Fact]
    public void A_remark_is_made_after_the_silence_in_the_middle_of_its_words()
    {
        var speech = Said("squeeze and lower", "my dog just came in");
        Assert.Equal(10, speech.At(Assert.Single(Judge(("dog", 300)).Judge(speech, 1).Remarks).Token), 3.0);
    }

    private static GoldReading Gold(string outside) => GoldReading.Parse($$"""
        {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-27","statedMinutes":1,"claims":[],"outside":[{{outside}}],"phases":[["work",0,70]],"bouts":[["squat",0,60,"both"]]}
        """);

    private static RemarkFit.MarkedClass Class(string outside, string said) =>
        new(CaptionReader.Read(Encoding.UTF8.GetBytes($"[0:00] hello and welcome everybody to the class\n[0:20] squats down and up\n[0:50] {said}\n[1:30] thank you bye\n")), RemarkField.Beside.Marked(Gold(outside))!.Value);

    private static TraitWeights Fit(bool turned = false)
    {
        List<RemarkFit.Sentence> sentences =
        [
            new(Pet, "my dog is barking at the gate"), new(Pet, "my dog is asleep on the stairs"), new(Pet, "the neighbour's dog is barking again"),
            new("none", "lift the knee and bark it out"), new("none", "my knee is over my toe"), new("none", "the other leg is straight again"),
        ];
        List<RemarkFit.MarkedClass> classes = [Class($"[50,\"off-topic chat\"]", "our dog is barking out there"), Class("", "lower and lift and lower and lift")];
        return turned ? RemarkFit.Fit(RemarkField.Beside, sentences.AsEnumerable().Reverse(), [classes[1], classes[0]]) : RemarkFit.Fit(RemarkField.Beside, sentences, classes);
    }

    [Fact]
    public void Words_of_marked_remarks_speak_for_one()
    {
        var kind = RemarkField.Beside.Kinds.IndexOf(Pet);
        var table = Fit();
        Assert.True(table.Weights.Single(w => w.Trait == "dog").Weights[kind] > 20);
        Assert.DoesNotContain(table.Weights, w => w.Trait == "gat");
    }

    [Fact]
    public void The_order_of_sentences_and_classes_changes_nothing() => Assert.Equal(Fit().Write(), Fit(turned: true).Write());

    [Fact]
    public void A_table_is_read_as_it_was_written()
    {
        var text = Fit().Write();
        Assert.Equal(text, TraitWeights.Parse(text).Write());
    }

    [Theory]
    [InlineData("", "The second line")]
    [InlineData("trait,a,b\ndog,1,2\n", "The second line")]
    [InlineData("trait,a,b\n(base),1,2\ndog,1\n", "Line 3")]
    [InlineData("trait,a,b\n(base),1,2\ndog,1,2.5\n", "Line 3")]
    public void A_broken_table_says_where(string text, string says) =>
        Assert.Contains(says, Assert.Throws<FormatException>(() => TraitWeights.Parse(text)).Message);

    [Fact]
    public void A_group_of_words_that_there_is_not_is_named() =>
        Assert.Contains("'unicorns'", Assert.Throws<FormatException>(() => Judge(("#unicorns", 10))).Message);

    [Fact]
    public void A_line_without_a_kind_is_named() =>
        Assert.Contains("my dog", Assert.Throws<FormatException>(() => RemarkFit.Sentence.Parse(["my dog"]).ToList()).Message);

    private static IEnumerable<RemarkFit.Sentence> Sentences(params string[] path) => RemarkFit.Sentence.Parse(File.ReadLines(Path.Combine([MarkedReadingTests.Root, .. path])));

    /// <summary>Whoever changes the marked sentences, a marked class or the groups of words runs <c>./anypace bench fit</c>.</summary>
    [Theory]
    [InlineData("remarks.txt", false)]
    [InlineData("cares.txt", true)]
    public void The_shipped_weights_are_those_of_the_marked_sentences_and_classes(string sentences, bool care)
    {
        var field = care ? RemarkField.Care : RemarkField.Beside;
        var fitted = RemarkFit.Fit(
            field,
            Sentences("tests", "corpus", sentences).Concat(Sentences("tests", "AnyPace.Core.Tests", "Reading", "remarks.txt")),
            RemarkFit.MarkedClass.Of(MarkedReadingTests.Marked().Where(m => !m.Gold.KeptAside).Select(m => (m.Captions, m.Gold)), field));
        ShippedWeights.AreThose(field.File, fitted);
    }

    /// <summary>A class in which only promises and asides are marked says nothing of cautions.</summary>
    [Fact]
    public void A_class_counts_where_all_lists_of_a_field_are_marked()
    {
        var gold = Gold("[50,\"off-topic chat\"]");
        Assert.Equal((50, Pet), Assert.Single(RemarkField.Beside.Marked(gold)!.Value));
        Assert.Null(RemarkField.Care.Marked(gold));
        Assert.Empty(RemarkField.Care.Marked(gold with { Options = [], Cautions = [] })!.Value);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void A_sentence_may_be_of_two_kinds(bool both)
    {
        const string knees = "caution knees", easier = "option easier";
        List<RemarkFit.Sentence> sentences =
        [
            .. Enumerable.Range(0, 6).Select(i => new RemarkFit.Sentence(both ? $"{knees} + {easier}" : i % 2 == 0 ? knees : easier, "mind the knee and step it")),
            .. Enumerable.Range(0, 6).Select(i => new RemarkFit.Sentence("none", "punch and turn and punch")),
        ];
        var judge = new RemarkJudge(RemarkField.Care, RemarkFit.Fit(RemarkField.Care, sentences, []));
        string[] kinds = [.. judge.Judge(Said("mind the knee and step it"), 0.5).Remarks.Select(r => r.Kind)];
        Assert.Equal(both, kinds.Contains(knees) && kinds.Contains(easier));
    }

    /// <summary>Sentences that nothing was fitted or tuned to: of the remarks a little less than is read, of the plain ones a little more than is mistaken.</summary>
    [Fact]
    public void Of_sentences_kept_aside_four_in_ten_remarks_are_told_and_few_others_taken_for_one()
    {
        var read = Sentences("tests", "corpus", "remarks-aside.txt").Select(s =>
        {
            var found = RemarkTests.During(s.Said);
            return (s.Kind, Kinds: found.Claims.Select(c => "claim " + c.Type).Concat(found.Outside.Select(o => "outside " + o.Type)).ToList());
        }).ToList();
        var (plain, remarks) = (read.FindAll(r => r.Kind == "none"), read.FindAll(r => r.Kind != "none"));
        Assert.InRange(remarks.Count(r => r.Kinds.Contains(r.Kind)) / (double)remarks.Count, 0.4, 1);
        Assert.InRange(plain.Count(r => r.Kinds.Count > 0) / (double)plain.Count, 0, 0.1);
    }

    /// <summary>Cautions and options that no phrase was written for and no weight fitted to: a little less than is read.</summary>
    [Fact]
    public void Of_cautions_and_options_kept_aside_nearly_half_are_told()
    {
        var read = Sentences("tests", "corpus", "cares-aside.txt").Select(s =>
        {
            var found = RemarkTests.During(s.Said);
            return found.Cautions.Select(c => "caution " + c.Topic).Concat(found.Options.Select(o => "option " + o.Direction.ToString().ToLowerInvariant())).Contains(s.Kind);
        }).ToList();
        Assert.InRange(read.Count(r => r) / (double)read.Count, 0.49, 1);
    }

    /// <summary>A mark whose kind no reading can have would be missed for ever.</summary>
    [Fact]
    public void Marked_remarks_are_of_kinds_that_there_are()
    {
        foreach (var field in new[] { RemarkField.Beside, RemarkField.Care })
        {
            Assert.All(MarkedReadingTests.Marked(), m => Assert.All(field.Marked(m.Gold) ?? [], r => Assert.Contains(r.Kind, field.Kinds)));
            Assert.All(Sentences("tests", "corpus", field == RemarkField.Care ? "cares.txt" : "remarks.txt"), s => Assert.All(s.Kind.Split(" + "), k => Assert.True(k == "none" || field.Kinds.Contains(k), k)));
        }
    }
}
