namespace AnyPace.Core.Reading;

/// <summary>Numbers in 0..1 that look like chance and are the same on every machine.</summary>
/// <remarks>SplitMix64: G. L. Steele, D. Lea, C. H. Flood, "Fast splittable pseudorandom number generators", OOPSLA 2014; begun with the FNV-1a hash of a name.</remarks>
internal sealed class Chance(string name)
{
    private ulong _state = name.Aggregate(14695981039346656037UL, (hash, letter) => (hash ^ letter) * 1099511628211UL);

    /// <summary>A whole number from 0 up to another, without it.</summary>
    public int Below(int end) => (int)(Next() * end);

    public double Next()
    {
        _state += 0x9E3779B97F4A7C15UL;
        var z = (_state ^ (_state >> 30)) * 0xBF58476D1CE4E5B9UL;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EBUL;
        return ((z ^ (z >> 31)) >> 11) / (double)(1UL << 53);
    }
}
