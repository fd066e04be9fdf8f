using System.Globalization;

namespace AnyPace.Core.Sessions;

/// <summary>A length or a point of time on a recording's clock, in seconds from its start. May be fractional; a length may be negative only as a difference.</summary>
public readonly record struct Seconds(double Value) : IComparable<Seconds>
{
    public static readonly Seconds Zero = new(0);

    public static Seconds FromMinutes(double minutes) => new(minutes * 60);

    public double Minutes => Value / 60;

    public static Seconds operator +(Seconds a, Seconds b) => new(a.Value + b.Value);

    public static Seconds operator -(Seconds a, Seconds b) => new(a.Value - b.Value);

    public static Seconds operator *(Seconds a, double factor) => new(a.Value * factor);

    /// <summary>The ratio of two lengths; 0 when the second is zero.</summary>
    public static double operator /(Seconds a, Seconds b) => b.Value == 0 ? 0 : a.Value / b.Value;

    public static bool operator <(Seconds a, Seconds b) => a.Value < b.Value;

    public static bool operator >(Seconds a, Seconds b) => a.Value > b.Value;

    public static bool operator <=(Seconds a, Seconds b) => a.Value <= b.Value;

    public static bool operator >=(Seconds a, Seconds b) => a.Value >= b.Value;

    public static Seconds Min(Seconds a, Seconds b) => a < b ? a : b;

    public static Seconds Max(Seconds a, Seconds b) => a > b ? a : b;

    public int CompareTo(Seconds other) => Value.CompareTo(other.Value);

    /// <summary>As the house writes times: <c>m:ss</c> under an hour, <c>h:mm:ss</c> from there on, rounded to the second.</summary>
    public string Clock()
    {
        var total = (long)Math.Round(Math.Abs(Value), MidpointRounding.AwayFromZero);
        var sign = Value < 0 && total > 0 ? "-" : "";
        return total < 3600
            ? string.Create(CultureInfo.InvariantCulture, $"{sign}{total / 60}:{total % 60:00}")
            : string.Create(CultureInfo.InvariantCulture, $"{sign}{total / 3600}:{total / 60 % 60:00}:{total % 60:00}");
    }

    /// <summary>Reads <c>ss</c>, <c>m:ss</c> or <c>h:mm:ss</c>, each with optional decimals on the last part.</summary>
    public static bool TryParseClock(string? text, out Seconds value)
    {
        value = Zero;
        var parts = (text ?? "").Trim().Split(':');
        if (parts.Length is < 1 or > 3)
        {
            return false;
        }

        double total = 0;
        for (var i = 0; i < parts.Length; i++)
        {
            var last = i == parts.Length - 1;
            var style = last ? NumberStyles.AllowDecimalPoint : NumberStyles.None;
            if (!double.TryParse(parts[i], style, CultureInfo.InvariantCulture, out var part) || (i > 0 && part >= 60))
            {
                return false;
            }

            total = (total * 60) + part;
        }

        // A day is longer than any class; more than that is a slip of the keyboard.
        if (!double.IsFinite(total) || total > 86400)
        {
            return false;
        }

        value = new Seconds(total);
        return true;
    }

    public override string ToString() => Clock();
}
