using AnyPace.Core.Lexicon;

namespace AnyPace.Core.Tests.LexiconTests;

public sealed class LexiconTests
{
    private static readonly MoveLexicon Moves = MoveLexicon.Default;

    private const string Activities = "activities:\n- {id: light, code: \"02024\", met: 2.8, name: light effort}\n";
    private const string Defaults = "family: test\ndefaults: {pattern: squat, positions: [standing], impact: low, sides: both, planes: [sagittal], activity: light, seconds: 3, skill: 1, strains: [], prime: [quads], helper: [], stab: []}\nmoves:\n";

    [Fact]
    public void There_are_at_least_350_moves_each_with_what_the_measures_need()
    {
        Assert.True(Moves.Moves.Length >= 350);
        Assert.All(Moves.Moves, m =>
        {
            Assert.NotEmpty(m.Prime);
            Assert.NotEmpty(m.Positions);
            Assert.NotEmpty(m.Planes);
            Assert.InRange(m.Met.Value, 1.3, 13);
            Assert.InRange(m.SecondsPerRep, 0.5, 120);
            Assert.InRange(m.Skill, 1, 3);
            Assert.Empty(m.Prime.Intersect(m.Helper));
        });
    }

    [Fact]
    public void Impact_agrees_with_position()
    {
        // Who is on the back, side or front meets the ground with no force; who jumps stands.
        Assert.All(Moves.Moves.Where(m => m.Positions is ["supine"] or ["prone"] or ["side-lying"]), m => Assert.Equal(Impact.None, m.Impact));
        Assert.All(Moves.Moves.Where(m => m.Impact == Impact.High), m => Assert.Contains("standing", m.Positions));
    }

    [Fact]
    public void The_easier_neighbour_is_never_harder_on_the_ground() =>
        Assert.All(Moves.Moves.Where(m => m.Easier is not null), m =>
            Assert.True(Moves[m.Easier!].Impact <= m.Impact || m.Impact == Impact.None, $"{m.Id} -> {m.Easier}"));

    [Theory]
    [InlineData("press ups", "push-up")]
    [InlineData("pushups", "push-up")]
    [InlineData("plié squat", "sumo-squat")]
    [InlineData("RDL", "romanian-deadlift")]
    [InlineData("straight leg deadlifts", "romanian-deadlift")]
    [InlineData("supermans", "superman")]
    [InlineData("lunging", "lunge")]
    [InlineData("dead buck", "dead-bug")]
    [InlineData("clam shall", "clamshell")]
    [InlineData("circle your arms", "arm-circle")]
    [InlineData("one arm rows", "single-arm-row")]
    [InlineData("jumping jacks", "jumping-jack")]
    public void One_move_is_found_under_its_many_names(string words, string id)
    {
        var stems = words.Split(' ').Select(WordStem.Of).ToList();
        var found = Moves.Aliases.Longest(stems, 0);
        Assert.Equal(id, found?.Hit.Move.Id);
        Assert.Equal(stems.Count, found?.Length);
    }

    public static TheoryData<string, string> Names()
    {
        var data = new TheoryData<string, string>();
        foreach (var line in Make.Lines("Lexicon", "names.txt"))
        {
            var parts = line.Split(": ");
            data.Add(parts[0], parts[1]);
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void What_coaches_call_it_is_found(string words, string id)
    {
        var stems = new Core.Reading.Speech(Make.Captions($"[0:00] {words}").Cues).Stems;
        var found = Moves.Aliases.Longest(stems, 0);
        Assert.Equal(id == "none" ? null : id, found?.Hit.Move.Id);
        Assert.True(found is null || found.Value.Length == stems.Count, "The name takes only a part of the words.");
    }

    [Fact]
    public void The_longest_name_wins()
    {
        var stems = "reverse lunge to knee drive".Split(' ').Select(WordStem.Of).ToList();
        Assert.Equal("reverse-lunge-knee-drive", Moves.Aliases.Longest(stems, 0)?.Hit.Move.Id);
    }

    [Fact]
    public void No_name_runs_across_a_pause()
    {
        var stems = "press through the heels lift the hips".Split(' ').Select(WordStem.Of).ToList();
        Assert.NotNull(Moves.Aliases.Longest(stems, 3));
        Assert.Null(Moves.Aliases.Longest(stems, 3, i => i == 3));
    }

    [Theory]
    [InlineData("lunge", "lunges", "lunging")]
    [InlineData("squat", "squats", "squatting")]
    [InlineData("raise", "raises", "raising")]
    [InlineData("press", "presses", "pressing")]
    [InlineData("fly", "flies", "flys")]
    public void Forms_of_one_word_meet(string a, string b, string c)
    {
        Assert.Equal(WordStem.Of(a), WordStem.Of(b));
        Assert.Equal(WordStem.Of(a), WordStem.Of(c));
    }

    [Fact]
    public void Unlike_words_stay_apart() => Assert.NotEqual(WordStem.Of("plank"), WordStem.Of("plant"));

    [Theory]
    [InlineData("- {id: a, name: A, easier: nowhere}", "neighbour")]
    [InlineData("- {id: a, name: A}\n- {id: a, name: B}", "id 'a'")]
    [InlineData("- {id: a, name: Swap, aka: [swap]}\n- {id: b, name: Swap}", "same name")]
    [InlineData("- {id: a, name: A, prime: [heart]}", "'heart'")]
    [InlineData("- {id: a, name: A, impact: huge}", "'huge'")]
    [InlineData("- {id: a, name: A, activity: flying}", "'flying'")]
    [InlineData("- {id: a, name: A, pattern: wobble}", "'wobble'")]
    [InlineData("- {id: a, name: A, prime: []}", "prime mover")]
    [InlineData("- {name: A}", "'id'")]
    public void A_lexicon_at_fault_is_refused_with_the_reason(string move, string said)
    {
        var e = Assert.Throws<LexiconException>(() => LexiconLoader.Load(Activities, [("test.yaml", Defaults + move)]));
        Assert.Contains(said, e.Message);
    }

    [Fact]
    public void Broken_yaml_names_file_and_line() =>
        Assert.Contains("test.yaml, line", Assert.Throws<LexiconException>(() => LexiconLoader.Load(Activities, [("test.yaml", "family: [")])).Message);

    [Fact]
    public void An_unknown_id_says_which() =>
        Assert.Contains("teleport", Assert.Throws<KeyNotFoundException>(() => Moves["teleport"]).Message);

    [Fact]
    public void Every_move_that_is_work_has_an_easier_or_a_harder_neighbour() =>
        Assert.Empty(Make.Lexicon.Moves.Where(m => !m.IsGentle && m.Easier is null && m.Harder is null).Select(m => m.Id));
}
