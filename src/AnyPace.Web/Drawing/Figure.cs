using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Drawing;

/// <summary>The plain body, front and back, with muscle groups hatched by how much they work. Density carries the meaning, not colour.</summary>
public static class Figure
{
    private static readonly (string Muscle, string Shape)[] Shapes =
    [
        ("neck", "r 51.5 31 7 10"), ("neck", "r 161.5 31 7 10"),
        ("shoulders", "e 35 53 9 8"), ("shoulders", "e 75 53 9 8"), ("shoulders", "e 145 53 9 8"), ("shoulders", "e 185 53 9 8"),
        ("chest", "e 46 62 9.5 8"), ("chest", "e 64 62 9.5 8"),
        ("biceps", "e 28 75 5 12"), ("biceps", "e 82 75 5 12"),
        ("forearms", "e 23 103 4.5 14"), ("forearms", "e 87 103 4.5 14"), ("forearms", "e 133 103 4.5 14"), ("forearms", "e 197 103 4.5 14"),
        ("abs", "r 48.5 72 13 26"), ("obliques", "e 41 87 5 14"), ("obliques", "e 69 87 5 14"), ("deep core", "r 43 100 24 7"),
        ("hip flexors", "e 46 114 6.5 5.5"), ("hip flexors", "e 64 114 6.5 5.5"),
        ("abductors", "e 35 124 4 11"), ("abductors", "e 75 124 4 11"), ("adductors", "e 51.5 134 3.5 14"), ("adductors", "e 58.5 134 3.5 14"),
        ("quads", "e 43 146 6.5 24"), ("quads", "e 67 146 6.5 24"),
        ("upper back", "e 165 57 17 10"), ("lats", "e 153 79 8 14"), ("lats", "e 177 79 8 14"),
        ("triceps", "e 138 75 5 12"), ("triceps", "e 192 75 5 12"), ("lower back", "r 157 88 16 16"),
        ("glutes", "e 155 118 10 10"), ("glutes", "e 175 118 10 10"),
        ("hamstrings", "e 153 150 8 22"), ("hamstrings", "e 177 150 8 22"),
        ("calves", "e 153 192 5.5 18"), ("calves", "e 177 192 5.5 18"), ("calves", "e 43 194 4 17"), ("calves", "e 67 194 4 17"),
    ];

    /// <summary>One half of the body from the neck down; the other is its mirror.</summary>
    private const string Half =
        "M4 31v7q1 5 10 7q11 2 13 13l6 26l5 28q1 6 -3 6q-4 0 -5 -5l-8 -27l-3 -16l-2 22q5 12 6 26l-2 42l-3 48q0 8 -6 8q-5 0 -5 -8l-3 -46l-3 -34h-1";

    /// <param name="weight">0..1 for a muscle group: 1 prime mover, 0 not worked.</param>
    /// <param name="words">What the picture says, for those who don't see it.</param>
    public static IHtmlContent Draw(Func<string, double> weight, string words)
    {
        var svg = new SvgText();
        svg.Add($"<svg class=\"figure\" viewBox=\"0 0 220 236\" role=\"img\" aria-label=\"{words}\">");
        svg.Raw("<defs><pattern id=\"dense\" width=\"3\" height=\"3\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect class=\"ink\" width=\"1.7\" height=\"3\"/></pattern>")
            .Raw("<pattern id=\"thin\" width=\"5\" height=\"5\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect class=\"ink\" width=\"1\" height=\"5\"/></pattern></defs>");
        foreach (var x in new[] { 55, 165 })
        {
            svg.Add($"<circle class=\"body\" cx=\"{x}\" cy=\"19\" r=\"12\"/><path class=\"body\" transform=\"translate({x})\" d=\"{Half}\"/><path class=\"body\" transform=\"translate({x}) scale(-1 1)\" d=\"{Half}\"/>");
        }

        foreach (var (muscle, shape) in Shapes)
        {
            var fill = weight(muscle) switch
            {
                >= 0.75 => "class=\"ink\"",
                >= 0.4 => "fill=\"url(#dense)\"",
                > 0 => "fill=\"url(#thin)\"",
                _ => null,
            };
            if (fill is null)
            {
                continue;
            }

            var p = shape.Split(' ');
            svg.Raw(p[0] == "e"
                ? $"<ellipse cx=\"{p[1]}\" cy=\"{p[2]}\" rx=\"{p[3]}\" ry=\"{p[4]}\" {fill}/>"
                : $"<rect x=\"{p[1]}\" y=\"{p[2]}\" width=\"{p[3]}\" height=\"{p[4]}\" rx=\"3\" {fill}/>");
        }

        return new HtmlString(svg.Raw("<text class=\"label\" x=\"55\" y=\"232\">front</text><text class=\"label\" x=\"165\" y=\"232\">back</text></svg>").ToString());
    }

    /// <summary>A session: the muscle that carries most solid, those that carry less hatched by their share of it.</summary>
    public static IHtmlContent Of(IReadOnlyList<MuscleShare> muscles)
    {
        var most = muscles.Count == 0 ? 1 : muscles[0].Share;
        return Draw(
            m => muscles.FirstOrDefault(s => s.Muscle == m) is { } share ? Math.Max(share.Share / most, share.Share > 0.01 ? 0.05 : 0) : 0,
            muscles.Count == 0 ? "No muscle is loaded." : string.Join(", ", muscles.Take(6).Select(m => $"{m.Muscle} {m.Share * 100:0} %")) + ".");
    }

    /// <summary>One move: prime movers solid, helpers dense, stabilisers thin.</summary>
    public static IHtmlContent Of(Move move) => Draw(
        m => move.Prime.Contains(m) ? 1 : move.Helper.Contains(m) ? 0.5 : move.Stabiliser.Contains(m) ? 0.25 : 0,
        $"Prime movers: {Words(move.Prime)}. Helpers: {Words(move.Helper)}. Stabilisers: {Words(move.Stabiliser)}.");

    private static string Words(IReadOnlyCollection<string> muscles) => muscles.Count == 0 ? "none" : string.Join(", ", muscles);
}
