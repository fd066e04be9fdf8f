using AnyPace.Core.Checks;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Measures;
using AnyPace.Core.Sessions;
using Microsoft.AspNetCore.Html;

namespace AnyPace.Web.Drawing;

/// <summary>The three sizes of the strip.</summary>
public enum StripSize
{
    Desk,
    Compare,
    List,
}

/// <summary>What a strip shows.</summary>
/// <param name="Clock">Length of the drawn clock; all strips on a page share it. Null: the recording's own.</param>
/// <param name="LinkTo">Where a bout's block leads, by its id; null draws blocks without links.</param>
public sealed record StripView(
    Timeline Timeline, MeasureSheet Sheet, StripSize Size, Seconds? Clock = null, string? Selected = null, Func<string, string>? LinkTo = null,
    IReadOnlyList<Finding>? Findings = null);

/// <summary>
/// The sign of the house: a session as one horizontal score. Time runs right; a block is a bout, above the line the right side, below it the
/// left, on it both; its height is effort. Hatched is warm-up, solid work, dotted cool-down; a gap is rest; arcs on the ground line are impact.
/// </summary>
public static class Strip
{
    /// <summary>The textures of the phases, once a page: strips fill their blocks from here.</summary>
    public static readonly IHtmlContent Textures = new HtmlString(
        "<svg class=\"textures\" width=\"0\" height=\"0\" aria-hidden=\"true\"><defs>"
        + "<pattern id=\"hatch\" width=\"6\" height=\"6\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect width=\"2.2\" height=\"6\" class=\"ink\"/></pattern>"
        + "<pattern id=\"dots\" width=\"5\" height=\"5\" patternUnits=\"userSpaceOnUse\"><circle cx=\"1.6\" cy=\"1.6\" r=\"1.3\" class=\"ink\"/></pattern></defs>" + Glyph.Symbols + "</svg>");

    private sealed record Frame(double Width, double Height, double Line, double Half, double Ground, double Arc, double ArcWidth, bool Labels, int CurveStep)
    {
        /// <summary>Small strips are drawn to whole units: a page holds many of them.</summary>
        public bool Coarse => CurveStep > 4;
    };

    public static IHtmlContent Draw(StripView view, MoveLexicon lexicon)
    {
        var frame = view.Size switch
        {
            StripSize.Desk => new Frame(1232, 196, 104, 52, 166, 18, 11, true, 1),
            StripSize.Compare => new Frame(1080, 84, 44, 24, 74, 12, 13, false, 2),
            _ => new Frame(760, 52, 26, 15, 46, 9, 16, false, 8),
        };
        var clock = Math.Max(1, (view.Clock ?? view.Timeline.Recorded).Value);
        double X(Seconds at) => at.Value / clock * frame.Width;

        var svg = new SvgText();
        var kind = view.Size.ToString().ToLowerInvariant();
        svg.Add($"<svg class=\"strip strip-{kind}\" viewBox=\"0 0 {frame.Width} {frame.Height}\" preserveAspectRatio=\"none\"");

        // In a list the strip stands beside its words and is hidden from readers.
        if (view.Size == StripSize.List)
        {
            svg.Raw(" aria-hidden=\"true\">");
        }
        else
        {
            svg.Add($" role=\"{(view.LinkTo is null ? "img" : "group")}\" aria-label=\"{Describe(view, lexicon)}\">");
        }

        foreach (var phase in view.Timeline.Phases)
        {
            if (phase.Kind == PhaseKind.Work)
            {
                svg.Add($"<rect class=\"wash\" x=\"{X(phase.Span.Start)}\" y=\"0\" width=\"{X(phase.Span.End) - X(phase.Span.Start)}\" height=\"{(frame.Labels ? frame.Height - 24 : frame.Height)}\"/>");
            }

            if (frame.Labels && phase.Span.Length.Value / clock > 0.04)
            {
                svg.Add($"<text class=\"label\" x=\"{X(phase.Span.Start) + 5}\" y=\"14\">{phase.Kind.Word()}</text>");
            }
        }

        svg.Add($"<line class=\"line\" x1=\"0\" x2=\"{X(view.Timeline.Recorded)}\" y1=\"{frame.Line}\" y2=\"{frame.Line}\"/>");
        svg.Add($"<line class=\"ground\" x1=\"0\" x2=\"{X(view.Timeline.Recorded)}\" y1=\"{frame.Ground}\" y2=\"{frame.Ground}\"/>");
        var bouts = PaceLayer.Lay(view.Timeline, lexicon, view.Sheet.Pace);
        if (view.LinkTo is null)
        {
            Together(svg, frame, bouts, X);
        }
        else
        {
            foreach (var paced in bouts)
            {
                Block(svg, view, frame, paced, X);
            }
        }

        Curve(svg, view, frame, X);
        if (frame.Labels)
        {
            Flags(svg, view, X);
            Axis(svg, frame, clock);
        }

        return new HtmlString(svg.Raw("</svg>").ToString());
    }

    private static (double Left, double Top, double Width, double Height) Place(PacedBout paced, Frame frame, Func<Seconds, double> x)
    {
        var span = paced.Bout.Span;

        // Effort from standing to the hardest of the lexicon's sources fills half the height.
        var height = frame.Half * Math.Clamp(0.25 + ((paced.Move.Met.Value - Met.Standing.Value) / 8.5 * 0.75), 0.2, 1);
        var top = paced.Bout.Side switch
        {
            Side.Right => frame.Line - height,
            Side.Left => frame.Line,
            _ => frame.Line - (height / 2),
        };
        return (x(span.Start), top, Math.Max(1.5, x(span.End) - x(span.Start) - 1), height);
    }

    private static string Fill(PacedBout paced) => paced.Bout.Doubtful ? "none" : paced.Phase switch
    {
        PhaseKind.WarmUp => "url(#hatch)",
        PhaseKind.CoolDown => "url(#dots)",
        _ => "",
    };

    private static string Arcs(PacedBout paced, Frame frame, double left, double width)
    {
        var rise = frame.Arc * (int)paced.Move.Impact / 3;
        var n = Math.Max(1, (int)(width / frame.ArcWidth));
        var step = width / n;
        var arc = frame.Coarse ? FormattableString.Invariant($"q{step / 2:0} {-2 * rise:0} {step:0} 0") : FormattableString.Invariant($"q{step / 2:0.#} {-2 * rise:0.#} {step:0.#} 0");
        return FormattableString.Invariant($"M{left:0} {frame.Ground}") + string.Concat(Enumerable.Repeat(arc, n));
    }

    private static bool Bounces(PacedBout paced) => paced.Move.Impact > Impact.None && paced.Phase == PhaseKind.Work;

    private static string ArcClass(Impact impact) => impact >= Impact.Moderate ? "arc off" : "arc";

    private static string BoutClass(PacedBout paced) => paced.Bout.Doubtful ? "bout doubtful" : "bout";

    /// <summary>A strip nobody clicks in: all blocks of one look as one path, so that a page of strips stays light.</summary>
    private static void Together(SvgText svg, Frame frame, IReadOnlyList<PacedBout> bouts, Func<Seconds, double> x)
    {
        foreach (var look in bouts.GroupBy(b => (Fill: Fill(b), Class: BoutClass(b))))
        {
            svg.Add($"<path class=\"{look.Key.Class}\"").Raw(look.Key.Fill.Length > 0 ? $" fill=\"{look.Key.Fill}\" d=\"" : " d=\"");
            foreach (var paced in look)
            {
                var (left, top, width, height) = Place(paced, frame, x);
                svg.Raw(frame.Coarse
                    ? FormattableString.Invariant($"M{left:0} {top:0.#}h{width:0}v{height:0.#}h-{width:0}")
                    : FormattableString.Invariant($"M{left:0.#} {top:0.#}h{width:0.#}v{height:0.#}h-{width:0.#}"));
            }

            svg.Raw("\"/>");
        }

        foreach (var look in bouts.Where(Bounces).GroupBy(b => ArcClass(b.Move.Impact)))
        {
            svg.Add($"<path class=\"{look.Key}\" d=\"");
            foreach (var paced in look)
            {
                var (left, _, width, _) = Place(paced, frame, x);
                svg.Raw(Arcs(paced, frame, left, width));
            }

            svg.Raw("\"/>");
        }
    }

    private static void Block(SvgText svg, StripView view, Frame frame, PacedBout paced, Func<Seconds, double> x)
    {
        var bout = paced.Bout;
        var (left, top, width, height) = Place(paced, frame, x);
        var fill = Fill(paced);
        var side = bout.Side == Side.Both ? "" : ", " + bout.Side.ToString().ToLowerInvariant();
        svg.Add($"<a href=\"{view.LinkTo!(bout.Id)}\" aria-label=\"{bout.Span.Start} {paced.Move.Name}{side}\">");
        svg.Add($"<rect class=\"{BoutClass(paced)}{(bout.Id == view.Selected ? " selected" : "")}\" x=\"{left}\" y=\"{top}\" width=\"{width}\" height=\"{height}\"");
        svg.Raw(fill.Length > 0 ? $" fill=\"{fill}\"" : "");
        svg.Add($"><title>{bout.Span.Start} {paced.Move.Name}{side}</title></rect></a>");
        if (Bounces(paced))
        {
            svg.Add($"<path class=\"{ArcClass(paced.Move.Impact)}\" d=\"").Raw(Arcs(paced, frame, left, width)).Raw("\"/>");
        }
    }

    private static void Curve(SvgText svg, StripView view, Frame frame, Func<Seconds, double> x)
    {
        if (view.Sheet.Effort.IsEmpty)
        {
            return;
        }

        var top = frame.Line - frame.Half;
        svg.Raw("<polyline class=\"curve\" points=\"");
        for (var i = 0; i < view.Sheet.Effort.Length; i += frame.CurveStep)
        {
            var point = view.Sheet.Effort[i];
            var y = top + (frame.Half * 0.55 * (1 - Math.Clamp((point.Met.Value - 1) / 8, 0, 1))) - (frame.Labels ? 14 : 4);
            svg.Raw(frame.Coarse ? FormattableString.Invariant($"{x(point.At):0},{y:0.#} ") : FormattableString.Invariant($"{x(point.At):0.#},{y:0.#} "));
        }

        svg.Raw("\"/>");
    }

    private static void Flags(SvgText svg, StripView view, Func<Seconds, double> x)
    {
        foreach (var finding in (view.Findings ?? []).Where(f => f.At is not null && f.Severity > Severity.Info))
        {
            var at = x(finding.At!.Value);
            svg.Add($"<path class=\"flag\" d=\"M{at} 34v-14l10 4l-10 4\"><title>{finding.Message}</title></path>");
        }
    }

    private static void Axis(SvgText svg, Frame frame, double clock)
    {
        // About eight marks, on whole minutes.
        var step = Math.Max(1, Math.Ceiling(clock / 60 / 10)) * 60;
        for (double t = 0; t <= clock - (step * 0.3); t += step)
        {
            var x = t / clock * frame.Width;
            svg.Add($"<text class=\"tick\" x=\"{x}\" y=\"{frame.Height - 6}\" text-anchor=\"{(t == 0 ? "start" : "middle")}\">{new Seconds(t)}</text>");
        }
    }

    private static string Describe(StripView view, MoveLexicon lexicon)
    {
        var phases = string.Join(", ", view.Timeline.Phases.Where(p => p.Kind != PhaseKind.Talk).Select(p => $"{p.Kind.Word()} {p.Span.Length}"));
        var moves = view.Timeline.Bouts.Select(b => lexicon[b.MoveId].Name).Distinct().Count();
        return $"Score of {view.Timeline.Recorded}: {phases}; {view.Timeline.Bouts.Length} bouts of {moves} moves.";
    }
}
