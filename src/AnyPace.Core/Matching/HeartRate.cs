namespace AnyPace.Core.Matching;

/// <summary>Heart rates of the effort zones, where a member gives an age; estimates.</summary>
public static class HeartRate
{
    /// <summary>HRmax = 208 - 0.7 x age (Tanaka, Monahan and Seals 2001, of the measures sheet).</summary>
    public static double Max(int age) => 208 - (0.7 * age);

    /// <summary>
    /// Beats a minute at a share of the reserve (Karvonen): rest + share x (max - rest). Moderate effort is 40 to 59 %, vigorous 60 to 89 % of the
    /// reserve (American College of Sports Medicine).
    /// </summary>
    /// <param name="restingRate">60 where the member gives none.</param>
    public static (int Low, int High) Range(int age, int? restingRate, double fromShare, double toShare)
    {
        double rest = restingRate ?? 60;
        var reserve = Max(age) - rest;
        return ((int)Math.Round(rest + (fromShare * reserve)), (int)Math.Round(rest + (toShare * reserve)));
    }

    public static (int Low, int High) Moderate(int age, int? restingRate) => Range(age, restingRate, 0.40, 0.59);

    public static (int Low, int High) Vigorous(int age, int? restingRate) => Range(age, restingRate, 0.60, 0.89);
}
