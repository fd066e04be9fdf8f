namespace AnyPace.Core.Sessions;

/// <summary>The three ways through one class: every easier option taken, as the coach does it, every harder option taken.</summary>
public enum Pace
{
    Eased,
    AsLed,
    Pushed,
}

/// <summary>The words for the paces.</summary>
public static class Paces
{
    public static readonly IReadOnlyList<Pace> All = [Pace.Eased, Pace.AsLed, Pace.Pushed];

    public static string Word(this Pace pace) => pace switch
    {
        Pace.Eased => "Ease",
        Pace.Pushed => "Push",
        _ => "As led",
    };

    /// <summary>The short form that stands in a URL.</summary>
    public static string Key(this Pace pace) => pace switch
    {
        Pace.Eased => "ease",
        Pace.Pushed => "push",
        _ => "led",
    };

    public static Pace Parse(string? key) => key switch
    {
        "ease" => Pace.Eased,
        "push" => Pace.Pushed,
        _ => Pace.AsLed,
    };
}
