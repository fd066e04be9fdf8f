using AnyPace.Core.Sessions;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Drawing;

/// <summary>A planned class as a strip: hatched warm-up, solid bouts, gaps for rest, dotted cool-down; right side above the line, left below.</summary>
public static class PlanStrip
{
    private const double Width = 1080;
    private const double Line = 30;
    private const double Half = 18;

    public static IHtmlContent Draw(ClassPlan plan, RangeEnd end)
    {
        var total = Math.Max(1, Schedule.LengthOf(plan, end).Value);
        double X(double at) => at / total * Width;
        var svg = new SvgText();
        svg.Add($"<svg class=\"strip\" viewBox=\"0 0 {Width} 78\" role=\"img\" aria-label=\"{Words(plan, end)}\">");
        svg.Raw("<defs><pattern id=\"plan-warm\" width=\"6\" height=\"6\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect class=\"ink\" width=\"2\" height=\"6\"/></pattern>")
            .Raw("<pattern id=\"plan-cool\" width=\"6\" height=\"6\" patternUnits=\"userSpaceOnUse\"><circle class=\"ink\" cx=\"3\" cy=\"3\" r=\"1.3\"/></pattern></defs>");
        svg.Add($"<line class=\"line\" x1=\"0\" y1=\"{Line}\" x2=\"{Width}\" y2=\"{Line}\"/>");
        var at = 0.0;
        void Block(double length, double top, double height, string fill) =>
            svg.Add($"<rect class=\"bout\" x=\"{X(at)}\" y=\"{top}\" width=\"{Math.Max(1, X(length) - 0.8)}\" height=\"{height}\" {new HtmlString(fill)}/>");

        if (plan.WarmUp > Seconds.Zero)
        {
            Block(plan.WarmUp.Value, Line - 10, 20, "fill=\"url(#plan-warm)\"");
            at += plan.WarmUp.Value;
        }

        for (var i = 0; i < plan.Blocks.Length; i++)
        {
            var start = at;
            foreach (var slot in Schedule.Of(plan.Blocks[i], end).Slots)
            {
                at = start + slot.Span.Start.Value;
                if (slot.Kind is SlotKind.Work or SlotKind.Filler)
                {
                    var (top, height) = slot.Side switch
                    {
                        Side.Right => (Line - Half, Half),
                        Side.Left => (Line, Half),
                        _ => (Line - Half, 2 * Half),
                    };
                    Block(slot.Span.Length.Value, top, height, "");
                }

                at = start + slot.Span.End.Value;
            }

            at += i + 1 < plan.Blocks.Length ? plan.Break.Value : 0;
        }

        if (plan.CoolDown > Seconds.Zero)
        {
            Block(plan.CoolDown.Value, Line - 10, 20, "fill=\"url(#plan-cool)\"");
        }

        var step = total > 2400 ? 600 : total > 720 ? 300 : 60;
        for (var tick = 0; tick <= total; tick += step)
        {
            // The last mark stands before its moment, so that it is not cut off.
            var late = X(tick) > Width - 30;
            svg.Add($"<text class=\"tick\" x=\"{X(tick)}\" y=\"72\" text-anchor=\"{(late ? "end" : "start")}\">{new Seconds(tick).Clock()}</text>");
        }

        return new HtmlString(svg.Raw("</svg>").ToString());
    }

    private static string Words(ClassPlan plan, RangeEnd end) =>
        $"A plan of {Schedule.LengthOf(plan, end)}: {(plan.WarmUp > Seconds.Zero ? $"warm-up {plan.WarmUp}, " : "")}{plan.Blocks.Length} {(plan.Blocks.Length == 1 ? "block" : "blocks")} of work{(plan.CoolDown > Seconds.Zero ? $", cool-down {plan.CoolDown}" : "")}.";
}
