using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Bench;

/// <summary>A marked recording of one of the corpora.</summary>
internal sealed record MarkedRecording(string Name, GoldReading Gold, CaptionFile Captions, byte[] Bytes)
{
    public ReadingContext Context => new(Gold.Title, Gold.StatedMinutes);

    /// <param name="folders">Folders with captions/ and gold/ in them.</param>
    public static List<MarkedRecording> Load(IEnumerable<string> folders) =>
    [
        .. folders.SelectMany(folder => Directory.GetFiles(Path.Combine(folder, "gold"), "*.json").Order(StringComparer.Ordinal).Select(file =>
        {
            var gold = GoldReading.Parse(File.ReadAllText(file));
            var bytes = File.ReadAllBytes(Path.Combine(folder, "captions", gold.Captions));
            return new MarkedRecording(Path.GetFileNameWithoutExtension(file), gold, CaptionReader.Read(bytes), bytes);
        })),
    ];
}
