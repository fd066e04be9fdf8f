namespace AnyPace.Core.Sessions;

/// <summary>The trade's words for phases and structures, as the public contract and every page write them.</summary>
public static class Words
{
    public static string Word(this PhaseKind kind) => kind switch
    {
        PhaseKind.WarmUp => "warm-up",
        PhaseKind.CoolDown => "cool-down",
        _ => kind.ToString().ToLowerInvariant(),
    };

    public static string Word(this StructureType type) => type == StructureType.RepSets ? "rep-sets" : type.ToString().ToLowerInvariant();
}
