namespace AnyPace.Core.Sessions;

/// <summary>What changed between two versions, in words for the people who made them.</summary>
public static class TimelineDifference
{
    /// <summary>One line a change, in the order of the recording.</summary>
    /// <param name="nameOf">The name of a move by its id.</param>
    public static IReadOnlyList<string> Lines(Timeline from, Timeline to, Func<string, string> nameOf)
    {
        var lines = new List<(Seconds At, string Text)>();
        var before = from.Bouts.ToDictionary(b => b.Id);
        var after = to.Bouts.ToDictionary(b => b.Id);
        foreach (var bout in to.Bouts)
        {
            if (!before.TryGetValue(bout.Id, out var old))
            {
                lines.Add((bout.Span.Start, $"added {Say(bout, nameOf)}"));
            }
            else if ((old.MoveId, old.Span, old.Side, old.Reps) != (bout.MoveId, bout.Span, bout.Side, bout.Reps))
            {
                lines.Add((bout.Span.Start, $"{Say(old, nameOf)} became {Say(bout, nameOf)}"));
            }
            else if (old.Confidence != bout.Confidence)
            {
                lines.Add((bout.Span.Start, $"confirmed {Say(bout, nameOf)}"));
            }
        }

        lines.AddRange(from.Bouts.Where(b => !after.ContainsKey(b.Id)).Select(b => (b.Span.Start, $"removed {Say(b, nameOf)}")));
        if (!from.Phases.SequenceEqual(to.Phases))
        {
            lines.Add((Seconds.Zero, $"phases: {Phases(from)} became {Phases(to)}"));
        }

        return [.. lines.OrderBy(l => l.At).Select(l => l.Text), .. Kit(from, to), .. Remarks(from, to)];
    }

    private static IEnumerable<string> Kit(Timeline from, Timeline to)
    {
        foreach (var item in to.Kit)
        {
            var old = from.Kit.FirstOrDefault(k => k.Item == item.Item);
            if (old is null)
            {
                yield return $"kit: added {Say(item)}";
            }
            else if (Say(old) != Say(item))
            {
                yield return $"kit: {Say(old)} became {Say(item)}";
            }
        }

        foreach (var item in from.Kit.Where(k => to.Kit.All(o => o.Item != k.Item)))
        {
            yield return $"kit: removed {Say(item)}";
        }
    }

    private static IEnumerable<string> Remarks(Timeline from, Timeline to)
    {
        var (before, after) = (Remark.Of(from), Remark.Of(to));
        return after.Except(before).Select(r => (r.At, Text: $"added {Say(r)}")).Concat(before.Except(after).Select(r => (r.At, Text: $"removed {Say(r)}")))
            .OrderBy(l => l.At).Select(l => l.Text);
    }

    private static string Say(Remark remark) => $"{remark.Kind.ToString().ToLowerInvariant()}, {remark.Type}, at {remark.At}: \"{remark.Text}\"";

    private static string Say(KitItem item) =>
        $"{item.Item}{(item.Count is { } n ? $" × {n}" : "")}, {item.Need.ToString().ToLowerInvariant()}{(item.Load is { } load ? $", {load}" : "")}{(item.For is { } instead ? $" for {instead}" : "")}";

    private static string Phases(Timeline timeline) => string.Join(", ", timeline.Phases.Select(p => $"{p.Kind} from {p.Span.Start}"));

    private static string Say(Bout bout, Func<string, string> nameOf) =>
        $"{nameOf(bout.MoveId)} {bout.Span.Start} to {bout.Span.End}{(bout.Side == Side.Both ? "" : ", " + bout.Side.ToString().ToLowerInvariant())}{(bout.Reps is { } r ? $", {r} reps" : "")}";
}
