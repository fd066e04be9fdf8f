namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Classes that are called out move by move, in many ways of calling: what a reading may not miss.</summary>
public sealed class MadeClassTests
{
    private const string FortyTwenty = "forty seconds of work and twenty seconds of rest";

    public static TheoryData<string> Announced => [.. Make.Lines("Reading", "announced.txt")];

    public static TheoryData<string> TalkedOf => [.. Make.Lines("Reading", "talkedof.txt")];

    /// <summary>A line holds words with their times from the start of the bout: "-10: next up X|0: go".</summary>
    [Theory]
    [MemberData(nameof(Announced))]
    public void A_move_is_read_however_it_is_announced(string line)
    {
        var announce = line.Split('|').Select(p => p.Split(':', 2)).Select(p => (double.Parse(p[0]), p[1].Trim())).ToList();
        for (var seed = 0; seed < 3; seed++)
        {
            var made = new MadeClass(seed);
            made.Say(6, FortyTwenty);
            foreach (var move in made.Pick(8))
            {
                made.Bout(move, announce);
            }

            Assert.InRange(made.Found(made.Read()), 7, 8);
        }
    }

    [Theory]
    [MemberData(nameof(TalkedOf))]
    public void A_move_that_is_only_talked_of_is_not_done(string line)
    {
        for (var seed = 0; seed < 3; seed++)
        {
            var made = new MadeClass(seed);
            made.Say(6, FortyTwenty);
            var moves = made.Pick(8);
            for (var i = 0; i < 6; i++)
            {
                var start = made.Bout(moves[i], (-12, "next up X"), made.Start());
                if (i is 1 or 4)
                {
                    made.Say(start + 17, line.Replace("X", moves[6].Said, StringComparison.Ordinal));
                }
                else if (i == 2)
                {
                    made.Say(start + 43, line.Replace("X", moves[7].Said, StringComparison.Ordinal));
                }
            }

            var read = made.Read();
            Assert.DoesNotContain(read.Bouts, b => b.MoveId == moves[6].Move || b.MoveId == moves[7].Move);
            Assert.Equal(6, made.Found(read));
        }
    }

    [Fact]
    public void What_is_named_for_next_before_the_rest_begins_after_it()
    {
        NearlyAllAreFound((made, _) =>
        {
            made.Say(6, FortyTwenty);
            var moves = made.Pick(8);
            made.Say(28, $"first up {moves[0].Said}");
            for (var i = 0; i < moves.Length; i++)
            {
                var start = made.Bout(moves[i], made.Start());
                if (i + 1 < moves.Length)
                {
                    made.Say(start + 32, i % 2 == 0 ? $"the next one will be {moves[i + 1].Said}" : $"{moves[i + 1].Said} are next");
                }
            }
        });
    }

    /// <summary>Where only a start is called, and nothing else said that a move could be known by, some go astray.</summary>
    private const double Unnamed = 0.83;

    /// <summary>Share of those rounds that are found of which only the first start is called.</summary>
    private const double CalledOnce = 0.91;

    [Theory]
    [InlineData("five moves forty on twenty off three rounds")]
    [InlineData("forty seconds on twenty off and we go round three times")]
    public void Rounds_that_nobody_names_move_by_move_go_on_as_the_first(string dose)
    {
        NearlyAllAreFound((made, seed) =>
        {
            made.Say(6, dose);
            var moves = made.Pick(5);
            for (var round = 0; round < 3; round++)
            {
                foreach (var move in moves)
                {
                    made.Bout(move, round == 0 || (seed + round) % 3 == 0 ? [(-12, "okay X"), made.Start()] : [made.Start()]);
                }
            }
        }, share: Unnamed);
    }

    [Theory]
    [InlineData("five moves three rounds forty on twenty off")]
    [InlineData("five moves forty seconds on twenty off and we run through the whole thing three times")]
    public void Later_rounds_are_laid_over_the_talk_where_only_their_first_start_is_called(string dose)
    {
        NearlyAllAreFound((made, _) =>
        {
            made.Say(6, dose);
            var moves = made.Pick(5);
            for (var round = 0; round < 3; round++)
            {
                made.CallsRest = round == 0;
                foreach (var move in moves)
                {
                    var start = made.Bout(move, round == 0 ? [(-12, "okay X"), made.Start()] : move == moves[0] ? [made.Start()] : []);
                    if (move == moves[4])
                    {
                        made.Say(start + 41, round == 2 ? "and rest" : "okay that's the round done from the top when you're ready");
                    }
                }
            }
        }, share: CalledOnce);
    }

    [Fact]
    public void A_bout_that_runs_on_through_a_silent_round_gives_way_to_its_places()
    {
        var made = new MadeClass(3);
        made.Say(6, "four moves two rounds forty on twenty off");
        var moves = made.Pick(4);
        foreach (var move in moves)
        {
            made.Bout(move, (-12, "okay X"), made.Start());
        }

        made.CallsRest = false;
        made.Bout(moves[0], (-8, "second round X"), made.Start());
        made.Bout(moves[1]);
        made.Bout(moves[2]);
        made.Bout(moves[3], (-8, "last one X"), made.Start(), (40, "and rest"));
        Assert.Equal(8, made.Found(made.Read()));
    }

    [Fact]
    public void No_round_is_made_up_after_the_last() =>
        Assert.Equal(10, Rounds(10).Bouts.Length);

    [Fact]
    public void Nothing_is_filled_in_where_no_rounds_are_said() =>
        Assert.Equal(5, Rounds(10, FortyTwenty).Bouts.Length);

    /// <summary>Makes six classes, each by its seed, and reads them: of all that was done together nearly everything is found.</summary>
    /// <param name="share">The least share of them.</param>
    private static void NearlyAllAreFound(Action<MadeClass, int> make, double share = 0.95)
    {
        var (found, all) = (0, 0);
        for (var seed = 0; seed < 6; seed++)
        {
            var made = new MadeClass(seed);
            make(made, seed);
            (found, all) = (found + made.Found(made.Read()), all + made.Done.Count);
        }

        Assert.InRange(found, share * all, all);
    }

    /// <summary>Five moves named once in as many bouts as given; two rounds are said.</summary>
    private static Sessions.Timeline Rounds(int bouts, string dose = "five moves two rounds forty on twenty off")
    {
        var made = new MadeClass(4);
        made.Say(6, dose);
        var moves = made.Pick(5);
        for (var i = 0; i < bouts; i++)
        {
            made.Bout(moves[i % 5], i < 5 ? [(-12, "okay X"), made.Start()] : [made.Start()]);
        }

        made.Say(40 + (bouts * 60) + 30, "three two one go");
        return made.Read();
    }

    [Theory]
    [InlineData("let's go into a triceps stretch")]
    [InlineData("now a triceps stretch")]
    public void A_stretch_begins_where_it_is_named_and_goes_on_while_one_relaxes_into_it(string named)
    {
        var made = new MadeClass(2);
        made.Say(6, FortyTwenty);
        foreach (var move in made.Pick(6))
        {
            made.Bout(move, (-12, "next up X"), made.Start());
        }

        made.Say(420, "let's cool down");
        made.Say(428, named);
        made.Say(437, "breathe and relax into it");
        made.Say(446, "hold it there nice and still");
        made.Say(456, "let's go into a calf stretch");
        made.Say(466, "breathe and relax into it");
        made.Say(484, "lovely");
        var read = made.Read();
        Assert.InRange(read.Bouts.Single(b => b.MoveId == "triceps-stretch").Span.Start.Value, 425, 432);
        Assert.InRange(read.Bouts.Single(b => b.MoveId == "triceps-stretch").Span.End.Value, 446, 460);
        Assert.Contains(read.Bouts, b => b.MoveId == "calf-stretch");
    }

    [Theory]
    [InlineData("left leg this time")]
    [InlineData("and the left side")]
    [InlineData("same again on the left")]
    [InlineData("now the left")]
    public void A_second_side_that_is_named_by_itself_has_an_interval_of_its_own(string turn)
    {
        var made = new MadeClass(1);
        made.Say(6, FortyTwenty);
        var first = made.Pick(1)[0];
        var hydrants = ("fire hydrants", "fire-hydrant");
        made.Bout(first, (-12, "first up X"), made.Start());
        made.Bout(hydrants, (-12, "next up X"), made.Start());
        made.Bout(hydrants, (-12, turn), made.Start());
        made.Bout(first, (-12, "next up X"), made.Start());
        var sides = made.Read().Bouts.Where(b => b.MoveId == "fire-hydrant").Select(b => b.Side).ToList();
        Assert.Equal([Sessions.Side.Right, Sessions.Side.Left], sides);
    }
}
