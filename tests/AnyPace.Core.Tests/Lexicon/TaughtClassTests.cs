using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.LexiconTests;

/// <summary>What the lexicon learns from classes that were marked by hand.</summary>
public sealed class TaughtClassTests
{
    private static TaughtClass Class(params string[] lines) => Assert.Single(TaughtClass.Parse(string.Join('\n', lines)));

    [Fact]
    public void Classes_come_back_as_they_were_written()
    {
        const string text = "squat sit back and down\nlunge\n\nplank hold it ther\n";
        var classes = TaughtClass.Parse(text);
        Assert.Equal([2, 1], classes.Select(c => c.Bouts.Length));
        Assert.Equal("lunge", classes[0].Bouts[1].MoveId);
        Assert.Empty(classes[0].Bouts[1].Words);
        Assert.Equal("hold it ther", string.Join(' ', classes[1].Bouts[0].Words));
        Assert.EndsWith(text, TaughtClass.Write(classes), StringComparison.Ordinal);
        Assert.Equal(TaughtClass.Write(classes), TaughtClass.Write(TaughtClass.Parse(TaughtClass.Write(classes))));
    }

    [Fact]
    public void Nothing_is_no_class() => Assert.Empty(TaughtClass.Parse("# remark\n\n\n"));

    /// <summary>A lexicon of two moves that are said alike, and what it likens some words to.</summary>
    private static string Likest(string said, params TaughtClass[] taught)
    {
        Move Made(string id) => Make.Lexicon["overhead-press"] with { Id = id, Name = id, Aliases = [], WeakAliases = [], Descriptions = [], Spoken = ["curl the shoulder up"] };
        var stems = said.Split(' ');
        return new MoveLexicon([Made("a"), Made("b")], ["like a penguin again"], taught, MoveClassifier.None).Likeness.In(stems, Make.Fits(stems.Length)).Of(0, stems.Length, 1)!.Value.Move.Id;
    }

    [Fact]
    public void What_was_said_as_a_move_began_speaks_for_it()
    {
        const string said = "curl up from the shoulder lik a penguin";
        Assert.Equal("a", Likest(said));
        Assert.Equal("b", Likest(said, Class("b up penguin up penguin shoulder", "b down lik a penguin again")));
    }

    [Fact]
    public void Words_that_the_lexicon_does_not_know_teach_nothing() =>
        Assert.Equal("a", Likest("curl shoulder pizza for breakfast", Class("b pizza for breakfast ther is pizza", "b cold pizza for my breakfast today")));

    [Fact]
    public void A_few_words_teach_nothing() =>
        Assert.Equal("a", Likest("curl up from the shoulder lik a penguin", Class("b lik a penguin", "b a penguin shoulder")));

    private static readonly MoveCompany Company = new(TaughtClass.Parse("plie\nrise\nplie\nrise\n\nplie\nrise\njab\n\njab\nhook\njab\nhook\n"), 10);

    [Fact]
    public void A_move_is_likelier_among_those_it_is_done_with()
    {
        Assert.True(Company.Together("rise", ["plie"]) > 0);
        Assert.True(Company.Together("rise", ["plie"]) > Company.Together("rise", ["jab"]));
        Assert.Equal(0, Company.Together("hook", ["plie"]));
    }

    [Fact]
    public void Who_is_alone_or_unknown_says_nothing()
    {
        Assert.Equal(0, Company.Together("rise", []));
        Assert.Equal(0, Company.Together("rise", ["rise"]));
        Assert.Equal(0, Company.Together("rise", ["never-taught"]));
        Assert.Equal(Company.Together("rise", ["plie"]), Company.Together("rise", ["plie", "never-taught"]), 9);
    }

    [Fact]
    public void A_move_is_likelier_right_after_the_one_it_follows()
    {
        Assert.True(Company.After("plie", "rise") > 0);
        Assert.True(Company.After("plie", "rise") > Company.After("rise", "hook"));
        Assert.Equal(0, Company.After("plie", "hook"));
        Assert.Equal(0, Company.After("never-taught", "rise"), 9);
    }

    [Fact]
    public void A_stretch_of_speech_has_rivals_the_likest_first()
    {
        var stems = "step back and bend both knees".Split(' ').Select(WordStem.Of).ToList();
        var heard = Make.Lexicon.Likeness.In(stems, Make.Fits(stems.Count, "standing"));
        var best = heard.Of(0, stems.Count, 1)!.Value;
        var rivals = heard.Beside(best.Move, 0, stems.Count, 3, 20);
        Assert.Equal(3, rivals.Count);
        Assert.DoesNotContain(rivals, r => r.Move.Id == best.Move.Id);
        Assert.Equal(rivals.OrderByDescending(r => r.Score), rivals);
        Assert.All(rivals, r => Assert.Equal(r.Score - best.Score, r.Lead, 3));
        Assert.Equal(rivals.Count(r => r.Lead > -4), heard.Beside(best.Move, 0, stems.Count, 3, 4).Count);
        Assert.Empty(heard.Beside(best.Move, 0, stems.Count, 3, 0));
    }

    /// <summary>A class in which a move is called what nobody else calls it.</summary>
    private static MentionFit.MarkedClass Marked => new(
        CaptionReader.Read(Encoding.UTF8.GetBytes(
            "[0:00] hello let's get started\n[0:20] dive the dog under the fence and stir the pot with a spoon in the garden\n[0:30] stir the pot in the garden dog under the fence\n[0:50] keep going\n[1:10] thank you bye\n")),
        GoldReading.Parse("""
            {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-27","statedMinutes":1,"phases":[["work",0,70]],"bouts":[["squat",20,40,"both"],["lunge",40,60,"both"],["squat",20,45,"both"]]}
            """));

    [Fact]
    public void A_marked_class_teaches_what_is_said_as_each_move_begins()
    {
        var taught = MentionFit.Taught(Marked);
        Assert.Equal(["squat", "lunge", "squat"], taught.Bouts.Select(b => b.MoveId));
        Assert.Contains("spoon", taught.Bouts[0].Words);
        Assert.DoesNotContain("hello", taught.Bouts[0].Words);
        Assert.DoesNotContain("spoon", taught.Bouts[1].Words);
    }

    [Fact]
    public void A_marked_class_teaches_what_is_said_under_way_and_between()
    {
        static string Said(IEnumerable<string> words) => string.Join(' ', words);
        var taught = MentionFit.Taught(new(
            CaptionReader.Read(Encoding.UTF8.GetBytes(
                "[0:00] my neighbour has a brand new bicycle today\n[1:00] squats here we go now\n[1:20] keep your chest up and breathe\n[2:00] rest and shake it out for me\n[3:30] the bicycle is a red one by the way\n")),
            GoldReading.Parse("""
                {"captions":"a.txt","title":"A","coach":"B","date":"2026-11-29","statedMinutes":4,"phases":[["work",0,220]],"bouts":[["squat",60,100,"both"]]}
                """)));
        Assert.All(taught.UnderWay, b => Assert.Equal("squat", b.MoveId));
        Assert.Contains(taught.UnderWay, b => Said(b.Words).Contains("chest", StringComparison.Ordinal));
        Assert.DoesNotContain(taught.UnderWay, b => Said(b.Words).Contains("bicycl", StringComparison.Ordinal));
        Assert.Contains(taught.Idle, w => Said(w).Contains("bicycl", StringComparison.Ordinal));
        Assert.DoesNotContain(taught.Idle, w => Said(w).Contains("squat", StringComparison.Ordinal) || Said(w).Contains("chest", StringComparison.Ordinal));
    }

    [Fact]
    public void A_class_is_heard_by_what_others_taught_when_it_is_learned_from()
    {
        static bool HearsIt(MentionFit.Examples examples) => examples.Of.Any(e => e.Right);
        Assert.True(HearsIt(MentionFit.Mentions(Marked.Captions, Marked.Gold, Make.Lexicon.Taught([.. Enumerable.Repeat(MentionFit.Taught(Marked), 20)]))));
        Assert.False(HearsIt(Assert.Single(ReadByOthers.Learn([Marked], Make.Lexicon).Mentions)));
        Assert.DoesNotContain(Assert.Single(ReadByOthers.Learn([Marked], Make.Lexicon).Readings()).Read(Marked.Captions).Bouts, b => b.MoveId == "squat");
    }

    [Fact]
    public void A_studio_s_lexicon_knows_what_was_taught()
    {
        var lexicon = Make.Lexicon.Taught([Class("squat", "jab")]).With([new StudioName("the wobbly one", "squat")], []);
        Assert.True(lexicon.Company.After("squat", "jab") > 0);
    }
}
