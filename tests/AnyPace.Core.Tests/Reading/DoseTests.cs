using AnyPace.Core.Reading;

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
    public void Work_and_rest_are_read_however_they_are_said(string said, double work, double rest)
    {
        var dose = Read(said);
        Assert.Equal((work, rest), (dose.WorkSeconds, dose.RestSeconds));
    }

    [Theory]
    [InlineData("one minute each no equipment", 60)]
    [InlineData("we do each move for thirty seconds", 30)]
    [InlineData("forty seconds per exercise", 40)]
    [InlineData("60 seconds each move", 60)]
    [InlineData("a minute per move and straight into the next", 60)]
    [InlineData("every exercise is 45 seconds long", 45)]
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
    public void Repetitions_are_read(string said, int low, int high)
    {
        var reps = Read(said).Reps;
        Assert.Equal((low, high), (reps?.Low, reps?.High));
    }

    [Theory]
    [InlineData("three sets of ten", 3)]
    [InlineData("two sets of each exercise", 2)]
    [InlineData("we do four sets", 4)]
    public void Sets_are_read(string said, int sets) => Assert.Equal(sets, Read(said).Sets);

    [Theory]
    [InlineData("we have six exercises", 6)]
    [InlineData("there are eight moves", 8)]
    [InlineData("five different movements today", 5)]
    [InlineData("ten stations", 10)]
    public void Moves_of_a_round_are_read(string said, int moves) => Assert.Equal(moves, Read(said).MovesPerRound);

    [Theory]
    [InlineData("this is a twenty minute workout")]
    [InlineData("ten seconds left keep going")]
    [InlineData("halfway thirty seconds to go")]
    [InlineData("the last two minutes")]
    [InlineData("thirty seconds rest now shake it out")]
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
