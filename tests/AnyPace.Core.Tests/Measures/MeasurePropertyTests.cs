using System.Collections.Immutable;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using CsCheck;

namespace AnyPace.Core.Tests.MeasuresTests;

/// <summary>What must hold for any class, whatever its moves, options and schools.</summary>
public sealed class MeasurePropertyTests
{
    private static readonly Gen<MeasureSettings> Settings =
        from impact in Gen.Enum<ImpactSchool>()
        from level in Gen.Enum<LevelSchool>()
        from near in Gen.Enum<Neighbours>()
        select new MeasureSettings(impact, level, near, DifficultyWeights.Usual);

    private static readonly Gen<Timeline> Classes =
        from moves in Gen.OneOfConst([.. Make.Lexicon.Moves]).Array[1, 14]
        from lengths in Gen.Int[5, 120].Array[14]
        from gaps in Gen.Int[0, 40].Array[14]
        from sides in Gen.Enum<Side>().Array[14]
        from warm in Gen.Int[0, 3]
        from options in Gen.Select(Gen.Int[0, 13], Gen.Bool, Gen.OneOfConst([.. Make.Lexicon.Moves]), Gen.Bool).Array[0, 6]
        select Class(moves, lengths, gaps, sides, warm, options);

    private static Timeline Class(Move[] moves, int[] lengths, int[] gaps, Side[] sides, int warm, (int At, bool Easier, Move Instead, bool Named)[] options)
    {
        var bouts = ImmutableArray.CreateBuilder<Bout>();
        double at = 0;
        for (var i = 0; i < moves.Length; i++)
        {
            at += gaps[i];
            bouts.Add(Make.Bout(moves[i].Id, at, at + lengths[i], sides[i]));
            at += lengths[i];
        }

        var edge = warm >= bouts.Count ? bouts[^1].Span.End.Value : bouts[warm].Span.Start.Value;
        return Make.Timeline([Make.Phase(PhaseKind.WarmUp, 0, edge), Make.Phase(PhaseKind.Work, edge, at)], [.. bouts]) with
        {
            Options = [.. options.Select(o => o.Easier ? Make.Easier(moves[o.At % moves.Length].Id, o.Named ? o.Instead.Id : null) : Make.Harder(moves[o.At % moves.Length].Id, o.Named ? o.Instead.Id : null))],
        };
    }

    private static SessionMeasures All(Timeline timeline, MeasureSettings? settings = null) => Measure.All(timeline, Make.Lexicon, settings);

    private const double Near = 1e-6;

    [Fact]
    public void Shares_sum_to_one() => Classes.Sample(timeline =>
    {
        foreach (var sheet in Paces.All.Select(All(timeline).At))
        {
            Assert.True(sheet.Muscles.IsEmpty || Math.Abs(sheet.Muscles.Sum(m => m.Share) - 1) < Near);
            var planes = sheet.Balance.Planes.Values.Sum();
            Assert.True(planes == 0 || Math.Abs(planes - 1) < Near);
            Assert.Equal(1, sheet.Difficulty.Parts.Sum(p => p.Weight), 6);
        }

        var fit = KitFit.Of(timeline, Make.Lexicon, Make.Set("mat"));
        Assert.Equal(1, fit.AsLed + fit.WithSubstitute + fit.WithOption + fit.NotAtAll, 6);
    });

    [Fact]
    public void Ease_is_never_more_than_as_led_nor_that_than_push() => Gen.Select(Classes, Settings).Sample((timeline, settings) =>
    {
        var all = All(timeline, settings);
        foreach (var (less, more) in new[] { (all.Eased, all.AsLed), (all.AsLed, all.Pushed) })
        {
            Assert.True(less.Impact.Class <= more.Impact.Class && less.Impact.Jumps <= more.Impact.Jumps, "impact");
            Assert.True(less.Difficulty.Score <= more.Difficulty.Score + Near, "difficulty");
            Assert.True(less.Effort.Zip(more.Effort).All(p => p.First.Met.Value <= p.Second.Met.Value + Near), "effort");
            Assert.True(less.Energy.High.Value <= more.Energy.High.Value + Near, "energy");
        }
    });

    [Fact]
    public void One_more_bout_never_shortens_the_work() => Gen.Select(Classes, Gen.OneOfConst([.. Make.Lexicon.Moves]), Gen.Int[5, 90]).Sample((timeline, move, length) =>
    {
        var end = timeline.Bouts[^1].Span.End.Value;
        var more = timeline with
        {
            Recorded = new Seconds(end + length),
            Bouts = [.. timeline.Bouts, Make.Bout(move.Id, end, end + length)],
            Phases = [timeline.Phases[0], timeline.Phases[1] with { Span = new Span(timeline.Phases[1].Span.Start, new Seconds(end + length)) }],
        };
        var (before, after) = (All(timeline).AsLed.Time, All(more).AsLed.Time);
        Assert.True(after.Work >= before.Work && after.Class >= before.Class && after.LongestUnbroken >= before.LongestUnbroken);
    });

    [Fact]
    public void Swapping_left_and_right_changes_no_total() => Classes.Sample(timeline =>
    {
        var mirrored = timeline with { Bouts = [.. timeline.Bouts.Select(b => b with { Side = b.Side == Side.Left ? Side.Right : b.Side == Side.Right ? Side.Left : Side.Both })] };
        var (a, b) = (All(timeline).AsLed, All(mirrored).AsLed);
        Assert.Equal(a.Time with { Left = b.Time.Left, Right = b.Time.Right }, b.Time);
        Assert.Equal((a.Time.Left, a.Time.Right), (b.Time.Right, b.Time.Left));
        Assert.Equal(a.Difficulty.Score, b.Difficulty.Score);
        Assert.Equal(a.Muscles.AsEnumerable(), b.Muscles.AsEnumerable());
        Assert.Equal(a.Completeness, b.Completeness);
    });

    [Fact]
    public void The_order_in_which_bouts_are_kept_changes_nothing() => Classes.Sample(timeline =>
    {
        var shuffled = timeline with { Bouts = [.. timeline.Bouts.Reverse()] };
        foreach (var pace in Paces.All)
        {
            var (a, b) = (All(timeline).At(pace), All(shuffled).At(pace));
            Assert.Equal(a.Time, b.Time);
            Assert.Equal(a.Difficulty.Score, b.Difficulty.Score);
            Assert.Equal(a.Effort.AsEnumerable(), b.Effort.AsEnumerable());
            Assert.Equal(a.Impact.PerClass.AsEnumerable(), b.Impact.PerClass.AsEnumerable());
        }
    });

    [Fact]
    public void Scores_stay_within_their_scale() => Gen.Select(Classes, Settings).Sample((timeline, settings) =>
    {
        foreach (var sheet in Paces.All.Select(All(timeline, settings).At))
        {
            Assert.InRange(sheet.Difficulty.Score, 0, 100);
            Assert.InRange(sheet.Difficulty.Level, 1, 5);
            Assert.All(sheet.Difficulty.Parts, p => Assert.InRange(p.Value, 0, 1));
            Assert.InRange(sheet.Completeness.SidesApart, 0, 1);
        }
    });
}
