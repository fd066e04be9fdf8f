using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.MeasuresTests;

/// <summary>Every number opens to its sum, its rule and its source.</summary>
public sealed class ExplainTests
{
    private static Explanation Of(string key, Timeline timeline, MeasureSettings? settings = null, Pace pace = Pace.AsLed) =>
        Explain.All(timeline, Make.Lexicon, Measure.All(timeline, Make.Lexicon, settings), pace).Single(e => e.Key == key);

    [Fact]
    public void Each_has_three_values_a_rule_and_a_source() => Assert.All(
        Explain.All(Make.JumpingClass(), Make.Lexicon, Measure.All(Make.JumpingClass(), Make.Lexicon), Pace.AsLed),
        e => Assert.True(e.Values.Length == 3 && e.Rule.Length > 10 && e.Source.Length > 10 && e.Values.All(v => v.Length > 0)));

    [Fact]
    public void Impact_names_the_moves_and_the_other_school()
    {
        var impact = Of("impact", Make.JumpingClass());
        Assert.Contains(impact.Summands, s => s.What.Contains("squat jump", StringComparison.Ordinal) && s.Amount == "3:20");
        Assert.StartsWith("What prevails would say", impact.Other, StringComparison.Ordinal);
        Assert.StartsWith("The highest would say", Of("impact", Make.JumpingClass(), MeasureSettings.Usual with { Impact = ImpactSchool.Prevailing }).Other, StringComparison.Ordinal);
    }

    [Fact]
    public void The_parts_of_the_level_add_up_to_its_score()
    {
        var timeline = Make.JumpingClass();
        var parts = Of("level", timeline).Summands.Sum(s => double.Parse(s.Amount.Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture));
        Assert.InRange(parts - Measure.All(timeline, Make.Lexicon).AsLed.Difficulty.Score, -0.4, 0.4);
    }

    [Fact]
    public void The_longest_stretch_lists_its_bouts()
    {
        var timeline = Make.Work(Make.Bout("squat", 0, 40), Make.Bout("lunge", 60, 100), Make.Bout("plank", 103, 140));
        Assert.Equal(["Lunge", "Plank"], Of("unbroken", timeline).Summands.Select(s => s.What));
    }

    [Fact]
    public void At_another_pace_other_moves_made_the_number() =>
        Assert.DoesNotContain(Of("impact", Make.JumpingClass(), null, Pace.Eased).Summands, s => s.What.Contains("squat jump", StringComparison.Ordinal));
}

/// <summary>What was said is kept; the reader's unit stands beside it.</summary>
public sealed class LoadTests
{
    [Theory]
    [InlineData("10 pound", MassUnit.Kilograms, "10 pound (4.5 kg)")]
    [InlineData("8 to 10 pounds", MassUnit.Kilograms, "8 to 10 pounds (3.6 to 4.5 kg)")]
    [InlineData("12 kilos", MassUnit.Pounds, "12 kilos (26 lb)")]
    [InlineData("12 kg", MassUnit.Kilograms, "12 kg")]
    [InlineData("heavy", MassUnit.Pounds, "heavy")]
    [InlineData("10s and 15s", MassUnit.Kilograms, "10s and 15s")]
    public void A_load_for_a_reader(string said, MassUnit reader, string shown) => Assert.Equal(shown, Load.For(said, reader));
}
