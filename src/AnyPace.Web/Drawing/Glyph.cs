using AnyPace.Core.Lexicon;
using AnyPace.Core.Sessions;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Drawing;

/// <summary>The small signs: pace rings, bounce arcs, the level rule. Each stands beside its word and is hidden from readers.</summary>
public static class Glyph
{
    public static IHtmlContent Ring(Pace pace)
    {
        var svg = new SvgText().Raw("<svg class=\"ring\" viewBox=\"0 0 16 16\" aria-hidden=\"true\"><circle cx=\"8\" cy=\"8\" r=\"6\" class=\"edge\"/>");
        _ = pace switch
        {
            Pace.AsLed => svg.Raw("<path d=\"M8 2a6 6 0 0 0 0 12z\" class=\"full\"/>"),
            Pace.Pushed => svg.Raw("<circle cx=\"8\" cy=\"8\" r=\"6\" class=\"full\"/>"),
            _ => svg,
        };
        return new HtmlString(svg.Raw("</svg>").ToString());
    }

    private static string Arcs(Impact impact)
    {
        var svg = new SvgText().Raw("<path class=\"sign-ground\" d=\"M1 16h38\"/>");
        if (impact > Impact.None)
        {
            var rise = (int)impact * -9.5;
            svg.Add($"<path class=\"sign-arc{(impact >= Impact.Moderate ? " sign-off" : "")}\" d=\"M3 16q5.6 {rise} 11.3 0q5.6 {rise} 11.3 0q5.6 {rise} 11.3 0\"/>");
        }

        return svg.ToString();
    }

    /// <summary>The signs that come many times on a page, once: each use refers to them.</summary>
    public static readonly string Symbols = string.Concat(Enum.GetValues<Impact>().Select(i => $"<symbol id=\"bounce-{i.Key()}\" viewBox=\"0 0 40 18\">{Arcs(i)}</symbol>"))
        + "<symbol id=\"level-rule\" viewBox=\"0 0 72 16\"><path class=\"sign-base\" d=\"M6 8h60M6 5v6M21 5v6M36 5v6M51 5v6M66 5v6\"/></symbol>";

    public static IHtmlContent Bounce(Impact impact) =>
        new HtmlString($"<svg class=\"bounce\" viewBox=\"0 0 40 18\" aria-hidden=\"true\"><use href=\"#bounce-{impact.Key()}\"/></svg>");

    /// <summary>A span on a rule of 1 to 5 with a tick at the level of the pace shown.</summary>
    public static IHtmlContent Level(int low, int high, int at)
    {
        double X(int level) => 6 + ((level - 1) * 15);
        var svg = new SvgText().Raw("<svg class=\"rule\" viewBox=\"0 0 72 16\" aria-hidden=\"true\"><use href=\"#level-rule\"/>");
        svg.Add($"<rect class=\"span\" x=\"{X(low) - 3}\" y=\"5\" width=\"{X(high) - X(low) + 6}\" height=\"6\" rx=\"3\"/>");
        svg.Add($"<path class=\"at\" d=\"M{X(at)} 1v14\"/></svg>");
        return new HtmlString(svg.ToString());
    }
}
