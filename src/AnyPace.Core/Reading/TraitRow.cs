namespace AnyPace.Core.Reading;

/// <summary>What is told of one thing that trees are asked about: a byte a trait, <see cref="MentionTraits.NotTold"/> where nothing is told.</summary>
internal static class TraitRow
{
    public static byte[] Untold(int traits)
    {
        var row = new byte[traits];
        Array.Fill(row, MentionTraits.NotTold);
        return row;
    }

    /// <summary>Tells a trait of a row, to the nearest whole number; nothing where there is no value.</summary>
    public static void Tell(byte[] row, int trait, double? value)
    {
        if (value is { } told)
        {
            row[trait] = Told(Math.Round(told));
        }
    }

    /// <summary>A value as it is told: a whole number from 0 on, those beyond the largest as that one.</summary>
    public static byte Told(double value) => (byte)Math.Clamp(value, 0, MentionTraits.NotTold - 1);
}
