using System.Globalization;
using AnyPace.Core.Lexicon;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Drawing;

/// <summary>The plain body, front and back, with muscle groups hatched by how much they work. Density carries the meaning, not colour.</summary>
public static class Figure
{
    private static readonly (string Muscle, string Shape)[] Shapes =
    [
        ("neck", "r 50 34 10 9"), ("neck", "r 160 34 10 9"),
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
        ("calves", "e 152 196 6.5 17"), ("calves", "e 178 196 6.5 17"), ("calves", "e 42 198 4.5 16"), ("calves", "e 68 198 4.5 16"),
    ];

    private const string Outline =
        "M{0} 38 q0 6 -8 8 q-14 2 -17 12 l-6 26 l-6 30 q-1 6 4 6 q4 0 5 -5 l7 -26 l4 -18 l2 26 q-5 12 -6 26 l2 42 l3 48 q0 8 6 8 q6 0 5 -8 l3 -46 l3 -34 h2 l3 34 l3 46 q-1 8 5 8 q6 0 6 -8 l3 -48 l2 -42 q-1 -14 -6 -26 l2 -26 l4 18 l7 26 q1 5 5 5 q5 0 4 -6 l-6 -30 l-6 -26 q-3 -10 -17 -12 q-8 -2 -8 -8";

    /// <param name="weight">0..1 for a muscle group: 1 prime mover, 0 not worked.</param>
    /// <param name="words">What the picture says, for those who don't see it.</param>
    public static IHtmlContent Draw(Func<string, double> weight, string words)
    {
        var svg = new SvgText();
        svg.Add($"<svg class=\"figure\" viewBox=\"0 0 220 246\" role=\"img\" aria-label=\"{words}\">");
        svg.Raw("<defs><pattern id=\"dense\" width=\"3\" height=\"3\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect class=\"ink\" width=\"1.7\" height=\"3\"/></pattern>")
            .Raw("<pattern id=\"thin\" width=\"5\" height=\"5\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect class=\"ink\" width=\"1\" height=\"5\"/></pattern></defs>");
        foreach (var x in new[] { 55, 165 })
        {
            svg.Add($"<circle class=\"body\" cx=\"{x}\" cy=\"20\" r=\"13\"/><path class=\"body\" d=\"{string.Format(CultureInfo.InvariantCulture, Outline, x - 5)}\"/>");
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

        return new HtmlString(svg.Raw("<text class=\"label\" x=\"55\" y=\"243\">front</text><text class=\"label\" x=\"165\" y=\"243\">back</text></svg>").ToString());
    }

    /// <summary>One move: prime movers solid, helpers dense, stabilisers thin.</summary>
    public static IHtmlContent Of(Move move) => Draw(
        m => move.Prime.Contains(m) ? 1 : move.Helper.Contains(m) ? 0.5 : move.Stabiliser.Contains(m) ? 0.25 : 0,
        $"Prime movers: {Words(move.Prime)}. Helpers: {Words(move.Helper)}. Stabilisers: {Words(move.Stabiliser)}.");

    private static string Words(IReadOnlyCollection<string> muscles) => muscles.Count == 0 ? "none" : string.Join(", ", muscles);
}
