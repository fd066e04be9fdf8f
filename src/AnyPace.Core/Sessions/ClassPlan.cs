using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>A whole class as planned: warm-up, blocks with breaks between, cool-down.</summary>
/// <param name="Break">Seconds between blocks, for water and the change of kit.</param>
public sealed record ClassPlan(Seconds WarmUp, ImmutableArray<BlockPlan> Blocks, Seconds Break, Seconds CoolDown);
