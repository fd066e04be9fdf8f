using YamlDotNet.Serialization;

namespace AnyPace.Core.Reading;

/// <summary>The lists and tables of reading that are shipped inside the assembly.</summary>
internal static class ReadingFiles
{
    public static string Text(string name)
    {
        using var reader = new StreamReader(typeof(ReadingFiles).Assembly.GetManifestResourceStream("reading/" + name)!);
        return reader.ReadToEnd();
    }

    /// <summary>Lists of words by their names.</summary>
    public static Dictionary<string, string[]> WordLists(string name) =>
        new DeserializerBuilder().Build().Deserialize<Dictionary<string, string>>(Text(name))
            .ToDictionary(l => l.Key, l => l.Value.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
}
