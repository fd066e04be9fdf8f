using AnyPace.Core.Comparing;
using AnyPace.Core.Sessions;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Drawing;

/// <summary>Effort of two to four sessions over each other on one clock. Each line has a stroke of its own and its number at its end; no colour is needed to tell them apart.</summary>
public static class Curves
{
    private const double Width = 1080;
    private const double Height = 220;
    private const double Left = 34;
    private const double Bottom = 26;

    /// <summary>The scale reaches at least so far, that two quiet sessions don't look like mountains.</summary>
    private const double LeastTop = 7.5;

    private static readonly (double Met, string Word)[] Bounds = [(3, "moderate from 3 MET"), (6, "vigorous from 6 MET")];

    public static IHtmlContent Draw(Comparison comparison)
    {
        var clock = Math.Max(60, comparison.Longest.Value);
        var top = Math.Max(LeastTop, comparison.Sides.SelectMany(s => s.Sheet.Effort).Select(p => p.Met.Value).DefaultIfEmpty(0).Max() + 0.5);
        double X(double seconds) => Left + (seconds / clock * (Width - Left - 24));
        double Y(double met) => (Height - Bottom) * (1 - (met / top));
        var svg = new SvgText();
        var names = string.Join("; ", comparison.Sides.Select((s, i) => $"{i + 1} {s.Session.Title}, {s.Sheet.Vigorous} min at 6 MET and over"));
        svg.Add($"<svg class=\"curves\" viewBox=\"0 0 {Width} {Height}\" role=\"img\" aria-label=\"Effort in MET over time: {names}.\">");
        foreach (var (met, _) in Bounds)
        {
            svg.Add($"<path class=\"base\" d=\"M{Left} {Y(met)}H{Width}\"/>");
        }

        for (var i = 0; i < comparison.Sides.Length; i++)
        {
            var points = comparison.Sides[i].Sheet.Effort;
            if (points.IsEmpty)
            {
                continue;
            }

            svg.Add($"<polyline class=\"line n{i + 1}\" points=\"");
            for (var p = 0; p < points.Length; p += 2)
            {
                svg.Raw(FormattableString.Invariant($"{X(points[p].At.Value):0.#},{Y(points[p].Met.Value):0.#} "));
            }

            svg.Add($"\"/><text class=\"number\" x=\"{X(points[^1].At.Value) + 5}\" y=\"{Y(points[^1].Met.Value) + 4 - (i * 3)}\">{i + 1}</text>");
        }

        foreach (var (met, word) in Bounds)
        {
            svg.Add($"<text class=\"label\" x=\"{Left + 4}\" y=\"{Y(met) - 5}\">{word}</text>");
        }

        var step = Math.Max(1, Math.Ceiling(clock / 60 / 10)) * 60;
        for (double t = 0; t <= clock - (step * 0.3); t += step)
        {
            svg.Add($"<text class=\"tick\" x=\"{X(t)}\" y=\"{Height - 6}\" text-anchor=\"{(t == 0 ? "start" : "middle")}\">{new Seconds(t)}</text>");
        }

        return new HtmlString(svg.Raw("</svg>").ToString());
    }
}
