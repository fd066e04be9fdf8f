using System.Globalization;
using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>What numbers are for, told by the words about them, and the weights of the words.</summary>
public sealed class NumberFitTests
{
    private static readonly string[] Roles = Enum.GetNames<NumberRole>();

    private static Speech Said(string said) => new([new Cue(Seconds.Zero, new Seconds(said.Length / 12.0), said, 1)]);

    /// <summary>A judge that knows one trait, of one role.</summary>
    private static NumberJudge Judge(string trait, NumberRole role, int weight) =>
        new(new TraitWeights([.. Roles], [.. Roles.Select(_ => -300)], [(trait, [.. Roles.Select((_, i) => i == (int)role ? weight : 0)])]));

    private static readonly NumberJudge Knowing = Judge("c>0 rounds", NumberRole.Rounds, 600);

    [Theory]
    [InlineData("forty five seconds of work", "45 s")]
    [InlineData("half a minute on", "30 s")]
    [InlineData("a minute and a half each", "90 s")]
    [InlineData("take a full minute", "60 s")]
    [InlineData("two minutes then rest", "120 s")]
    [InlineData("we go through it twice", "2")]
    [InlineData("three rounds of six", "3, 6")]
    [InlineData("welcome to twenty minutes of core", "")]
    [InlineData("one two three four five six", "")]
    [InlineData("five four three two one go", "")]
    [InlineData("one round", "")]
    [InlineData("ten twelve reps", "10, 12")]
    public void Numbers_that_may_be_part_of_a_dose_are_found(string said, string numbers) => Assert.Equal(
        numbers,
        string.Join(", ", Knowing.Judge(Said(said)).Select(j => j.Number.Value.ToString(CultureInfo.InvariantCulture) + (j.Number.IsTime ? " s" : ""))));

    [Theory]
    [InlineData("three rounds", true)]
    [InlineData("three big rounds", false)]
    [InlineData("rounds three", false)]
    [InlineData("three. Rounds", false)]
    public void A_trait_speaks_for_a_role_where_it_is(string said, bool rounds)
    {
        var judged = Assert.Single(Knowing.Judge(Said(said)));
        Assert.Equal(rounds, judged is { Role: NumberRole.Rounds, Share: > 0.9 });
        Assert.Equal(rounds ? 0.95 : 0.05, judged.Of(NumberRole.Rounds), 0.01);
        Assert.Equal(0.05, judged.Of(NumberRole.Sets), 0.01);
    }

    /// <summary>Words of a group count alike, so that what nobody marked can be told by what somebody did.</summary>
    [Theory]
    [InlineData("three circuits", true)]
    [InlineData("three laps", true)]
    [InlineData("three wishes", false)]
    public void Words_of_a_group_count_alike(string said, bool rounds) =>
        Assert.Equal(rounds, Assert.Single(Judge("c>0 #round", NumberRole.Rounds, 600).Judge(Said(said))).Share > 0.9);

    [Fact]
    public void Weights_of_other_roles_are_named() =>
        Assert.Contains("Laps", Assert.Throws<FormatException>(() => new NumberJudge(new TraitWeights(["Laps"], [0], []))).Message);

    private static TraitWeights Fit(bool turned = false)
    {
        var sentences = NumberFit.Sentence.Parse(
        [
            "# a comment", "three=x rounds today", "four=x rounds for you", "we do five=x rounds", "six=x rounds and out", "lift three inches", "two of you", "six to go", "five feet away",
        ]).ToList();
        List<NumberFit.MarkedClass> classes = [Class("four more rounds of applause"), Class("two knees two elbows")];
        return turned ? NumberFit.Fit(sentences.AsEnumerable().Reverse(), [classes[1], classes[0]]) : NumberFit.Fit(sentences, classes);
    }

    private static NumberFit.MarkedClass Class(string said) => new(
        CaptionReader.Read(Encoding.UTF8.GetBytes($"[0:00] hello and welcome everybody to the class\n[0:20] squats down and up\n[0:50] {said}\n[1:30] thank you bye\n")),
        GoldReading.Parse("""{"captions":"a.txt","title":"A","coach":"B","date":"2026-11-27","statedMinutes":1,"phases":[["work",0,70]],"bouts":[["squat",0,60,"both"]]}"""));

    [Fact]
    public void Words_of_marked_numbers_speak_for_their_role()
    {
        var table = Fit();
        Assert.True(table.Weights.Single(w => w.Trait == "c>0 rounds").Weights[(int)NumberRole.Rounds] > 20);
        Assert.Equal(NumberRole.Rounds, new NumberJudge(table).Judge(Said("seven rounds")).Single().Role);
    }

    [Fact]
    public void The_order_of_sentences_and_classes_changes_nothing() => Assert.Equal(Fit().Write(), Fit(turned: true).Write());

    [Theory]
    [InlineData("three=q rounds", "'three=q'")]
    [InlineData("three=xx rounds", "'three=xx'")]
    [InlineData("three rounds=x", "'rounds=x'")]
    [InlineData("one=x round", "'one=x'")]
    public void A_mark_that_is_none_is_named(string line, string says) =>
        Assert.Contains(says, Assert.Throws<FormatException>(() => NumberFit.Sentence.Parse([line]).ToList()).Message);

    private static string[] Lines(params string[] path) => [.. File.ReadLines(Path.Combine([MarkedReadingTests.Root, .. path])).Where(l => l[0] != '#')];

    /// <summary>Whoever changes the marked sentences, a marked class or the groups of words runs <c>./anypace bench fit</c>.</summary>
    [Fact]
    public void The_shipped_weights_are_those_of_the_marked_sentences_and_classes()
    {
        var fitted = NumberFit.Fit(
            NumberFit.Sentence.Parse([.. Lines("tests", "corpus", "numbers.txt"), .. Lines("tests", "corpus", "openings.txt"), .. Lines("tests", "AnyPace.Core.Tests", "Reading", "nodose.txt")]),
            [.. MarkedReadingTests.Marked().Where(m => !m.Gold.KeptAside).Select(m => new NumberFit.MarkedClass(m.Captions, m.Gold))]);
        ShippedWeights.AreThose("number-weights.csv", fitted);
    }

    /// <summary>The parts of a dose as they are marked, and as they are read where the sentence opens a class. A rest is read beside its work only.</summary>
    private static (string Marked, string Read) Dose(string line)
    {
        var words = line.Split(' ');
        var said = words.Select(w => w.Split('=')[0]).ToArray();
        var marked = new SortedDictionary<char, string>();
        for (var i = 0; i < words.Length; i++)
        {
            if (words[i].Split('=') is [_, [var letter]])
            {
                var tokens = Said(string.Join(' ', said[..(i + 1)])).Tokens.Count;
                var number = Knowing.Judge(Said(string.Join(' ', said))).Single(j => j.Number.Token == tokens - 1).Number.Value;
                if (marked.TryAdd(letter, Text(number)))
                {
                    continue;
                }

                if (letter is 'n' or 'x' && said[i - 1] is "to" or "or" or "and" && words[i - 2].EndsWith(letter))
                {
                    marked[letter] += " to " + Text(number);
                }
            }
        }

        var dose = DoseReader.Read(new Speech([new Cue(Seconds.Zero, new Seconds(4), "hello and welcome everyone", 1), new Cue(new Seconds(10), new Seconds(20), string.Join(' ', said), 2), new Cue(new Seconds(900), new Seconds(903), "well done", 3)]));
        (char Letter, string? Value)[] read =
        [
            ('w', Text(dose.WorkSeconds)), ('r', marked.ContainsKey('w') && dose.RestSeconds > 0 ? Text(dose.RestSeconds) : null), ('b', Text(dose.RoundRestSeconds)), ('x', dose.Rounds?.ToString()),
            ('s', dose.Sets?.ToString(CultureInfo.InvariantCulture)), ('n', dose.Reps?.ToString()), ('m', dose.MovesPerRound?.ToString(CultureInfo.InvariantCulture)),
        ];
        if (!marked.ContainsKey('w'))
        {
            marked.Remove('r');
        }

        string All(IEnumerable<(char Letter, string? Value)> parts) => string.Join(' ', parts.Where(p => !string.IsNullOrEmpty(p.Value)).OrderBy(p => p.Letter).Select(p => $"{p.Letter}={p.Value}"));
        return (All(marked.Select(m => (m.Key, (string?)m.Value))), All(read));

        static string Text(double? number) => number?.ToString(CultureInfo.InvariantCulture) ?? "";
    }

    private static double ShareRead(string file) => Lines("tests", "corpus", file) is var lines ? lines.Count(l => Dose(l) is var (marked, read) && marked == read) / (double)lines.Length : 0;

    [Fact]
    public void Of_the_sentences_it_was_fitted_to_nine_in_ten_are_read_whole() => Assert.InRange(ShareRead("numbers.txt"), 0.9, 1);

    /// <summary>What is said before a class begins, whole: a hundred words with all that is in them.</summary>
    [Fact]
    public void Of_the_openings_it_was_fitted_to_three_in_five_are_read_whole() => Assert.InRange(ShareRead("openings.txt"), 0.62, 1);

    /// <summary>The same, that nothing was fitted or tuned to; plainer than those, and a little less than is read.</summary>
    [Fact]
    public void Of_openings_kept_aside_four_in_five_are_read_whole() => Assert.InRange(ShareRead("openings-aside.txt"), 0.8, 1);

    /// <summary>Sentences that nothing was fitted or tuned to; a little less than is read. By phrases alone it was little more than half.</summary>
    [Fact]
    public void Of_sentences_kept_aside_two_in_three_are_read_whole() => Assert.InRange(ShareRead("numbers-aside.txt"), 0.66, 1);
}
