using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Doses as coaches say them, in many words.</summary>
public sealed class DoseTests
{
    private static SaidDose Read(string said) => DoseReader.Read(new Speech(Make.Captions($"[0:05] {said}", "[10:00] keep it going nice and steady", "[10:10] and we are done here")
        .Cues));

    [Theory]
    [InlineData("forty seconds on twenty seconds off", 40, 20)]
    [InlineData("thirty on fifteen off", 30, 15)]
    [InlineData("45 seconds of work and 15 seconds of rest", 45, 15)]
    [InlineData("we work for fifty seconds and rest for ten", 50, 10)]
    [InlineData("working for 40 seconds resting for 20 seconds", 40, 20)]
    [InlineData("it's thirty seconds work ten seconds recovery", 30, 10)]
    [InlineData("each move is forty five seconds with a fifteen second break in between", 45, 15)]
    [InlineData("we'll do each exercise for 40 seconds followed by 20 seconds of rest", 40, 20)]
    [InlineData("50 seconds on with just 10 seconds rest", 50, 10)]
    [InlineData("one minute on thirty seconds off", 60, 30)]
    [InlineData("a minute of work and twenty seconds to recover", 60, 20)]
    [InlineData("three rounds of three minutes one minute off", 180, 60)]
    [InlineData("we hold each position for forty five seconds with fifteen seconds to change", 45, 15)]
    [InlineData("20 seconds of effort 10 seconds of rest", 20, 10)]
    [InlineData("it's a 40 20 split", 40, 20)]
    [InlineData("40/20 format today", 40, 20)]
    [InlineData("forty five seconds of work no rest between the moves", 45, 0)]
    [InlineData("we're working for 30 seconds and then we have a 15 second rest", 30, 15)]
    [InlineData("each exercise is going to be 35 seconds and then you get 25 seconds rest", 35, 25)]
    [InlineData("so we've got 30 seconds of work followed by a 30 second break", 30, 30)]
    [InlineData("intervals of 40 seconds with 15 seconds rest between each", 40, 15)]
    [InlineData("you're gonna work for 45 seconds you're gonna rest for 15", 45, 15)]
    [InlineData("fifty seconds per exercise ten seconds rest", 50, 10)]
    [InlineData("forty seconds each exercise twenty seconds transition", 40, 20)]
    [InlineData("30 seconds for each exercise with 10 seconds to switch", 30, 10)]
    [InlineData("we go for 45 seconds we rest for 15", 45, 15)]
    [InlineData("our timer is set for 40 seconds of work and 20 seconds of rest", 40, 20)]
    [InlineData("25 seconds on 5 seconds to transition", 25, 5)]
    [InlineData("every exercise lasts forty seconds then we have twenty seconds off", 40, 20)]
    [InlineData("the work is 40 seconds the rest is 20 seconds", 40, 20)]
    [InlineData("forty on twenty off we've got six moves", 40, 20)]
    [InlineData("so it's going to be forty seconds of each move twenty seconds to get ready for the next one", 40, 20)]
    [InlineData("we're doing 45 seconds on and 15 seconds off for each move", 45, 15)]
    [InlineData("50 10 so fifty seconds of work ten seconds to change over", 50, 10)]
    [InlineData("you'll be working 40 seconds at a time with 20 seconds rest", 40, 20)]
    [InlineData("it's thirty seconds active ten seconds rest", 30, 10)]
    [InlineData("i've got my timer set to 40 and 20", 40, 20)]
    [InlineData("i have the timer going for 30 seconds with a 10 second break", 30, 10)]
    [InlineData("we've got thirty second intervals with ten seconds in between", 30, 10)]
    [InlineData("fifty seconds hard ten seconds easy", 50, 10)]
    [InlineData("a minute on each exercise and 15 seconds rest in between", 60, 15)]
    [InlineData("one minute per exercise with twenty seconds between", 60, 20)]
    [InlineData("60 seconds of work followed by a 15 second breather", 60, 15)]
    [InlineData("every move is 40 seconds and you'll get 10 seconds to catch your breath", 40, 10)]
    [InlineData("all the exercises are done for 45 seconds and you've 15 seconds to recover", 45, 15)]
    [InlineData("twenty seconds as hard as you can and ten seconds off", 20, 10)]
    [InlineData("you do forty seconds you rest twenty seconds", 40, 20)]
    [InlineData("we are going to perform each exercise for 40 seconds and take 20 seconds rest", 40, 20)]
    [InlineData("30 seconds work 30 seconds rest", 30, 30)]
    [InlineData("45 second work periods 15 second rest periods", 45, 15)]
    [InlineData("forty seconds work then twenty seconds to breathe", 40, 20)]
    [InlineData("each interval is 40 seconds long with a 20 second recovery", 40, 20)]
    [InlineData("each one is for forty five seconds with a fifteen second rest", 45, 15)]
    [InlineData("two minutes on the bag thirty seconds off", 120, 30)]
    [InlineData("90 seconds of work and 30 seconds rest", 90, 30)]
    [InlineData("working in forty second bursts with twenty seconds rest", 40, 20)]
    [InlineData("it's going to be forty five fifteen so forty five seconds working", 45, 15)]
    [InlineData("you have ten seconds rest between exercises and we work for fifty", 50, 10)]
    [InlineData("with fifteen seconds rest in between each exercise we're going to work for 45 seconds", 45, 15)]
    [InlineData("three minute rounds with a minute rest in between", 180, 60)]
    public void Work_and_rest_are_read_however_they_are_said(string said, double work, double rest)
    {
        var dose = Read(said);
        Assert.Equal((work, rest), (dose.WorkSeconds, dose.RestSeconds));
    }

    public static TheoryData<string> Doses => [.. Make.Lines("Reading", "doses.txt")];

    /// <summary>A line holds what is said, then work, rest, rounds and moves; 0 is nothing said, or no rest.</summary>
    [Theory]
    [MemberData(nameof(Doses))]
    public void A_dose_is_read_whole(string line)
    {
        var parts = line.Split('|');
        var dose = Read(parts[0]);
        var (work, rest) = (double.Parse(parts[1]), double.Parse(parts[2]));
        Assert.Equal((work, rest), (dose.WorkSeconds, dose.RestSeconds ?? 0));
        Assert.True(parts[3] == "0" || dose.Rounds?.ToString() == parts[3], $"rounds: {dose.Rounds}");
        Assert.True(parts[4] == "0" || dose.MovesPerRound?.ToString() == parts[4], $"moves: {dose.MovesPerRound}");
    }

    [Theory]
    [InlineData("one minute each no equipment", 60)]
    [InlineData("we do each move for thirty seconds", 30)]
    [InlineData("forty seconds per exercise", 40)]
    [InlineData("60 seconds each move", 60)]
    [InlineData("a minute per move and straight into the next", 60)]
    [InlineData("every exercise is 45 seconds long", 45)]
    [InlineData("we are doing everything for thirty seconds", 30)]
    [InlineData("forty five seconds on each one", 45)]
    [InlineData("fifty seconds a move", 50)]
    [InlineData("thirty seconds an exercise", 30)]
    [InlineData("we'll spend a minute on each exercise", 60)]
    [InlineData("one minute for every move", 60)]
    [InlineData("each exercise is performed for forty seconds", 40)]
    [InlineData("you hold every stretch for thirty seconds", 30)]
    public void Work_may_be_said_without_a_rest(string said, double work) => Assert.Equal(work, Read(said).WorkSeconds);

    [Theory]
    [InlineData("three rounds of five exercises", 3, 3)]
    [InlineData("we'll go through it twice", 2, 2)]
    [InlineData("and we do the whole thing twice through", 2, 2)]
    [InlineData("repeat three to four times", 3, 4)]
    [InlineData("complete three to five rounds", 3, 5)]
    [InlineData("we'll do that circuit three times", 3, 3)]
    [InlineData("three times through", 3, 3)]
    [InlineData("two rounds and then we're done", 2, 2)]
    [InlineData("this is round one of three", 3, 3)]
    [InlineData("we're going to repeat it one more time", 2, 2)]
    [InlineData("we do these six moves two times", 2, 2)]
    [InlineData("going around three times", 3, 3)]
    [InlineData("there are four rounds today", 4, 4)]
    [InlineData("we are going through the whole circuit 4 times", 4, 4)]
    [InlineData("you'll perform each pair three times", 3, 3)]
    [InlineData("we'll repeat the circuit twice", 2, 2)]
    [InlineData("we'll be doing three rounds of that", 3, 3)]
    [InlineData("you're going to do this circuit 3 times", 3, 3)]
    [InlineData("we go through it three times in total", 3, 3)]
    [InlineData("repeat for three rounds", 3, 3)]
    [InlineData("so that's two rounds of everything", 2, 2)]
    [InlineData("we're going to do it all again a second time so two rounds in total", 2, 2)]
    [InlineData("complete the circuit 3 to 4 times", 3, 4)]
    [InlineData("do the whole thing three or four times", 3, 4)]
    [InlineData("aim for three to five rounds", 3, 5)]
    [InlineData("a total of four rounds", 4, 4)]
    [InlineData("each block we do twice", 2, 2)]
    [InlineData("we run through that list two times", 2, 2)]
    [InlineData("we do the sequence three times", 3, 3)]
    [InlineData("three rounds in total", 3, 3)]
    [InlineData("we're doing everything twice", 2, 2)]
    [InlineData("two times through the whole circuit", 2, 2)]
    [InlineData("work your way through the list 3 times", 3, 3)]
    [InlineData("round number one of four", 4, 4)]
    [InlineData("you'll do each superset three times", 3, 3)]
    [InlineData("we'll do both exercises three times", 3, 3)]
    [InlineData("repeating each circuit twice", 2, 2)]
    [InlineData("we're going to come back and repeat that one more time", 2, 2)]
    [InlineData("two full rounds", 2, 2)]
    [InlineData("this is a three round workout", 3, 3)]
    [InlineData("it's two circuits of six moves three rounds each", 3, 3)]
    public void Rounds_are_read(string said, int low, int high)
    {
        var rounds = Read(said).Rounds;
        Assert.Equal((low, high), (rounds?.Low, rounds?.High));
    }

    [Theory]
    [InlineData("ten reps of each", 10, 10)]
    [InlineData("twelve to fifteen of each", 12, 15)]
    [InlineData("eight to ten repetitions", 8, 10)]
    [InlineData("ten twelve reps", 10, 12)]
    [InlineData("five each way", 5, 5)]
    [InlineData("twelve per side", 12, 12)]
    [InlineData("sets of ten", 10, 10)]
    [InlineData("ten of everything", 10, 10)]
    [InlineData("exercise six twelve reps", 12, 12)]
    [InlineData("for twelve reps each", 12, 12)]
    [InlineData("fifteen reps each", 15, 15)]
    [InlineData("ten on each leg", 10, 10)]
    [InlineData("ten reps per side", 10, 10)]
    [InlineData("you're looking at eight to twelve reps", 8, 12)]
    [InlineData("we'll do ten each side", 10, 10)]
    [InlineData("twelve repetitions each leg", 12, 12)]
    [InlineData("eight each arm", 8, 8)]
    [InlineData("shoot for fifteen reps", 15, 15)]
    [InlineData("we've got ten reps on the clock", 10, 10)]
    [InlineData("go for twenty reps", 20, 20)]
    public void Repetitions_are_read(string said, int low, int high)
    {
        var reps = Read(said).Reps;
        Assert.Equal((low, high), (reps?.Low, reps?.High));
    }

    [Theory]
    [InlineData("we're doing 12 of these", 12)]
    [InlineData("let's do 10 of them", 10)]
    [InlineData("do 10 then switch", 10)]
    [InlineData("we're going to do a set of 16", 16)]
    [InlineData("aim for 8", 8)]
    public void How_many_of_the_move_at_hand(string words, int reps) => Assert.Equal(CountRange.Of(reps), DoseReader.RepsIn(words));

    [Theory]
    [InlineData("we'll go for 30 seconds")]
    [InlineData("10 more then rest")]
    public void Not_how_many(string words) => Assert.Null(DoseReader.RepsIn(words));

    [Theory]
    [InlineData("three sets of ten", 3)]
    [InlineData("two sets of each exercise", 2)]
    [InlineData("we do four sets", 4)]
    [InlineData("3 sets of 12", 3)]
    [InlineData("you do three sets", 3)]
    [InlineData("this is your second set of three", 3)]
    [InlineData("set one of four", 4)]
    [InlineData("aim for two to three sets", 3)]
    [InlineData("repeat for a total of three sets", 3)]
    public void Sets_are_read(string said, int sets) => Assert.Equal(sets, Read(said).Sets);

    [Theory]
    [InlineData("we have six exercises", 6)]
    [InlineData("there are eight moves", 8)]
    [InlineData("five different movements today", 5)]
    [InlineData("ten stations", 10)]
    [InlineData("we're gonna do six exercises", 6)]
    [InlineData("i've got seven moves for you", 7)]
    [InlineData("a circuit of five", 5)]
    [InlineData("only four exercises", 4)]
    [InlineData("eight different stations", 8)]
    [InlineData("there's ten exercises in total", 10)]
    [InlineData("five upper body exercises", 5)]
    [InlineData("six bodyweight moves", 6)]
    public void Moves_of_a_round_are_read(string said, int moves) => Assert.Equal(moves, Read(said).MovesPerRound);

    [Theory]
    [InlineData("this is a twenty minute workout")]
    [InlineData("ten seconds left keep going")]
    [InlineData("halfway thirty seconds to go")]
    [InlineData("the last two minutes")]
    [InlineData("thirty seconds rest now shake it out")]
    [InlineData("ten seconds to go")]
    [InlineData("thirty seconds down thirty to go")]
    [InlineData("it's only ten minutes long")]
    [InlineData("just twenty more seconds")]
    [InlineData("we've done five minutes already")]
    [InlineData("rest for a minute now")]
    public void What_is_no_dose_gives_no_work(string said) => Assert.Null(Read(said).WorkSeconds);

    [Fact]
    public void A_change_of_beat_is_kept_with_its_time()
    {
        var dose = DoseReader.Read(new Speech(Make.Captions("[0:05] forty seconds on twenty seconds off", "[8:00] now it is thirty on ten off", "[14:00] done").Cues));
        Assert.Equal([(40.0, 20.0), (30.0, 10.0)], dose.Beats.Select(b => (b.Work, b.Rest ?? -1)));
        Assert.InRange(dose.Beats[1].At, 480, 484);
    }

    [Fact]
    public void Tabata_is_eight_times_twenty_and_ten_where_no_more_is_said()
    {
        var dose = Read("this is a tabata");
        Assert.Equal((20.0, 10.0), (dose.WorkSeconds, dose.RestSeconds));
    }
}
