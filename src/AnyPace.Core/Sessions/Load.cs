using System.Globalization;
using System.Text.RegularExpressions;

namespace AnyPace.Core.Sessions;

/// <summary>The unit of mass a reader prefers.</summary>
public enum MassUnit
{
    Kilograms,
    Pounds,
}

/// <summary>Loads as they were said, with the reader's unit beside them. What was said is never changed.</summary>
public static partial class Load
{
    /// <summary>Kilograms in a pound: exact by definition (international avoirdupois pound, 1959).</summary>
    private const double KilogramsPerPound = 0.45359237;

    public static double InKilograms(double amount, MassUnit unit) => unit == MassUnit.Kilograms ? amount : amount * KilogramsPerPound;

    /// <summary>Kilograms as the reader reads them, to one decimal, without the unit.</summary>
    public static string Amount(double kilograms, MassUnit reader) =>
        (reader == MassUnit.Kilograms ? kilograms : kilograms / KilogramsPerPound).ToString("0.#", CultureInfo.InvariantCulture);

    public static string Word(this MassUnit unit) => unit == MassUnit.Kilograms ? "kg" : "lb";

    /// <summary>"10 pound" for a reader of kilograms: "10 pound (4.5 kg)". A load without a number or unit comes back as it is.</summary>
    public static string For(string said, MassUnit reader)
    {
        var match = SaidAmount().Match(said);
        if (!match.Success)
        {
            return said;
        }

        var unit = match.Groups["unit"].Value.StartsWith('k') ? MassUnit.Kilograms : MassUnit.Pounds;
        if (unit == reader)
        {
            return said;
        }

        string Converted(string number)
        {
            var value = double.Parse(number, CultureInfo.InvariantCulture);
            return (reader == MassUnit.Kilograms ? value * KilogramsPerPound : value / KilogramsPerPound).ToString(value < 20 && reader == MassUnit.Kilograms ? "0.#" : "0", CultureInfo.InvariantCulture);
        }

        var high = match.Groups["high"];
        var range = high.Success ? $"{Converted(match.Groups["low"].Value)} to {Converted(high.Value)}" : Converted(match.Groups["low"].Value);
        return $"{said} ({range} {(reader == MassUnit.Kilograms ? "kg" : "lb")})";
    }

    [GeneratedRegex(@"(?<low>\d+(\.\d+)?)( ?(to|or|-) ?(?<high>\d+(\.\d+)?))? ?(?<unit>pounds?|lbs?|kilos?|kgs?|kilograms?)\b", RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture)]
    private static partial Regex SaidAmount();
}
