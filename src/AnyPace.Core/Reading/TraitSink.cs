using System.Globalization;
using System.Runtime.CompilerServices;

namespace AnyPace.Core.Reading;

/// <summary>
/// What the traits of some words are told to, one by one. They are written into one place and not made strings of: of the traits of a mention hardly one in ten is weighed,
/// and strings for all would cost more than the weighing.
/// </summary>
internal abstract class TraitSink
{
    private char[] _room = new char[64];

    /// <summary>Takes in a trait; one that was told before says nothing more.</summary>
    public abstract void Add(ReadOnlySpan<char> trait);

    public void Add([InterpolatedStringHandlerArgument("")] ref Written trait) => Add(trait.Said);

    /// <summary>An interpolated trait, as the compiler writes it: piece by piece.</summary>
    [InterpolatedStringHandler]
    public ref struct Written
    {
        /// <summary>Letters that a word has room for before there has to be more of it.</summary>
        private const int Word = 16;

        private readonly TraitSink _sink;
        private int _length;

        public Written(int letters, int words, TraitSink sink)
        {
            _sink = sink;
            Fit(letters + (words * Word));
        }

        public readonly ReadOnlySpan<char> Said => _sink._room.AsSpan(0, _length);

        public void AppendLiteral(string text) => AppendFormatted(text.AsSpan());

        public void AppendFormatted(string text) => AppendFormatted(text.AsSpan());

        public void AppendFormatted(char letter)
        {
            Fit(_length + 1);
            _sink._room[_length++] = letter;
        }

        public void AppendFormatted(int number) => AppendFormatted(number.ToString(CultureInfo.InvariantCulture));

        public void AppendFormatted(ReadOnlySpan<char> text)
        {
            Fit(_length + text.Length);
            text.CopyTo(_sink._room.AsSpan(_length));
            _length += text.Length;
        }

        private readonly void Fit(int length)
        {
            if (length > _sink._room.Length)
            {
                Array.Resize(ref _sink._room, Math.Max(2 * _sink._room.Length, length));
            }
        }
    }
}

/// <summary>Keeps the traits by their names, to fit weights to.</summary>
internal sealed class TraitNames : TraitSink
{
    private readonly HashSet<string> _names = [];

    /// <summary>All that is told.</summary>
    public static HashSet<string> Of(Action<TraitSink> tell)
    {
        var sink = new TraitNames();
        tell(sink);
        return sink._names;
    }

    public override void Add(ReadOnlySpan<char> trait) => _names.GetAlternateLookup<ReadOnlySpan<char>>().Add(trait);
}
