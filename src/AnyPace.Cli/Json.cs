using System.Text.Encodings.Web;
using System.Text.Json;

namespace AnyPace.Cli;

internal static class Json
{
    /// <summary>One document a line, so that folders stream as JSON Lines.</summary>
    public static readonly JsonSerializerOptions Line = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };
}
