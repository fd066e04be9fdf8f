namespace AnyPace.Core.Sessions;

/// <summary>Metabolic equivalent: effort as a multiple of sitting quietly (1 MET = 3.5 ml oxygen per kg and minute). Always an estimate.</summary>
public readonly record struct Met(double Value) : IComparable<Met>
{
    /// <summary>Standing quietly, Compendium of Physical Activities 2011, code 07040.</summary>
    public static readonly Met Standing = new(1.3);

    public int CompareTo(Met other) => Value.CompareTo(other.Value);

    /// <summary>Below 3 MET light, 3 up to 6 moderate, 6 and over vigorous (Physical Activity Guidelines Advisory Committee, 2018).</summary>
    public Intensity Intensity => Value < 3 ? Intensity.Light : Value < 6 ? Intensity.Moderate : Intensity.Vigorous;

    /// <summary>Energy by the ACSM conversion: MET x 3.5 x mass / 200 kilocalories a minute.</summary>
    public Kilocalories Energy(Kilograms mass, Seconds length) => new(Value * 3.5 * mass.Value / 200 * length.Minutes);
}

/// <summary>Bands of effort in MET.</summary>
public enum Intensity
{
    Light,
    Moderate,
    Vigorous,
}

/// <summary>A mass in kilograms.</summary>
public readonly record struct Kilograms(double Value);

/// <summary>An amount of energy in kilocalories; shown only as a range.</summary>
public readonly record struct Kilocalories(double Value);
