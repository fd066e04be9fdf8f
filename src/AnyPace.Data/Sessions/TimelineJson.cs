using System.Text.Json;
using System.Text.Json.Serialization;
using AnyPace.Core.Finding;
using AnyPace.Core.Sessions;

namespace AnyPace.Data.Sessions;

/// <summary>Timelines, listings and plans as they are kept: names as words, times as seconds.</summary>
public static class TimelineJson
{
    private static readonly JsonSerializerOptions Options = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase), new SecondsConverter() },
    };

    public static string Write(Timeline timeline) => JsonSerializer.Serialize(timeline, Options);

    public static string Write(ClassPlan plan) => JsonSerializer.Serialize(plan, Options);

    public static string Write(Listing listing) => JsonSerializer.Serialize(listing, Options);

    /// <exception cref="JsonException">Not a listing.</exception>
    public static Listing ReadListing(string json) => JsonSerializer.Deserialize<Listing>(json, Options) ?? throw new JsonException("The listing is null.");

    /// <exception cref="JsonException">Not a plan.</exception>
    public static ClassPlan ReadPlan(string json) => JsonSerializer.Deserialize<ClassPlan>(json, Options) ?? throw new JsonException("The plan is null.");

    /// <exception cref="JsonException">Not a timeline.</exception>
    public static Timeline Read(string json) =>
        JsonSerializer.Deserialize<Timeline>(json, Options) ?? throw new JsonException("The timeline is null.");

    private sealed class SecondsConverter : JsonConverter<Seconds>
    {
        public override Seconds Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => new(reader.GetDouble());

        public override void Write(Utf8JsonWriter writer, Seconds value, JsonSerializerOptions options) => writer.WriteNumberValue(value.Value);
    }
}
