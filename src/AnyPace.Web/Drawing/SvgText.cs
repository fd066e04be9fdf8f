using System.Globalization;
using System.Text;
using System.Text.Encodings.Web;

namespace AnyPace.Web.Drawing;

/// <summary>Builds SVG markup with numbers in one form and every text encoded.</summary>
internal sealed class SvgText
{
    private readonly StringBuilder _text = new();

    public SvgText Raw(string markup)
    {
        _text.Append(markup);
        return this;
    }

    /// <summary>Markup whose holes are numbers, short to two decimals, or text, encoded.</summary>
    public SvgText Add(FormattableString markup)
    {
        var arguments = markup.GetArguments();
        var safe = new object?[arguments.Length];
        for (var i = 0; i < arguments.Length; i++)
        {
            safe[i] = arguments[i] switch
            {
                double d => Math.Round(d, 2).ToString(CultureInfo.InvariantCulture),
                string s => HtmlEncoder.Default.Encode(s),
                var other => Convert.ToString(other, CultureInfo.InvariantCulture),
            };
        }

        _text.AppendFormat(CultureInfo.InvariantCulture, markup.Format, safe);
        return this;
    }

    public override string ToString() => _text.ToString();
}
