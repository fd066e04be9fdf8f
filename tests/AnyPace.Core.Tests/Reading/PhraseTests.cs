using System.Reflection;
using System.Text.RegularExpressions;
using AnyPace.Core.Captions;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Phrases are tried only on words that can begin them; what is found has to be what a plain search finds.</summary>
public sealed class PhraseTests
{
    private static Speech Say(string words) => new([new Cue(new(0), new(30), words, 1)]);

    private static List<(int, string)> Found(string words, string pattern) => [.. Say(words).Find(new Regex(@"\G" + pattern)).Select(m => (m.Index, m.Value))];

    [Theory]
    [InlineData("and rest now, rest", @"\brest\b", 2)]
    [InlineData("a 40 second plank and 5 more", @"\b\d+( more)?\b", 2)]
    [InlineData("don't do that, do this", @"\b(do|don't)( this| that)?\b", 3)]
    [InlineData("left leg, other left", @"(?<!other )left\b", 1)]
    [InlineData("the the end", @"\b(the )?(the )?end\b", 1)]
    [InlineData("so we go again, we really go", @"\b(so )?[\w']+ (really )?go\b", 2)]
    [InlineData("i i i", @"\bi\b", 3)]
    [InlineData("x ray", @"\b[^a-w]\b", 1)]
    [InlineData("seven times", @"\b[0-9]{1,2} times\b", 1)]
    [InlineData("squat, squats and a squash", @"\bsquats?\b", 2)]
    [InlineData("on the app, on the mat, in the application", @"\b(in|on) the app\b", 1)]
    [InlineData("step step up", @"\bstep (up )?\w+\b", 1)]
    [InlineData("my gate, my way, mine", @"\bmy [a-z]{3,}\b", 2)]
    [InlineData("go", @"\bgo(ing)?\b", 1)]
    public void Every_match_that_begins_with_a_word_is_found(string words, string pattern, int count) => Assert.Equal(count, Found(words, pattern).Count);

    [Fact]
    public void Matches_do_not_overlap() => Assert.Equal([(0, "slow squats")], Found("slow squats", "(slow squats|squats)"));

    [Fact]
    public void Every_phrase_of_the_reading_finds_in_our_own_classes_what_a_plain_search_finds()
    {
        var phrases = typeof(Speech).Assembly.GetTypes()
            .SelectMany(t => t.GetMethods(BindingFlags.Static | BindingFlags.NonPublic | BindingFlags.Public | BindingFlags.DeclaredOnly))
            .Where(m => m.GetCustomAttribute<GeneratedRegexAttribute>()?.Pattern.StartsWith(@"\G", StringComparison.Ordinal) == true)
            .Select(m => (m.Name, Phrase: (Regex)m.Invoke(null, null)!))
            .ToList();
        Assert.True(phrases.Count > 80, $"only {phrases.Count} phrases are tried word by word");
        var speech = new Speech([.. MarkedReadingTests.Captions().Take(25).SelectMany(f => f.Cues).Select((cue, i) => cue with { Start = new(i * 5), End = new((i + 1) * 5) })]);
        foreach (var (name, phrase) in phrases)
        {
            var plain = new Regex($"(?<![^ ])(?:{phrase.ToString()[2..]})", phrase.Options).Matches(speech.Text).Select(m => (m.Index, m.Value));
            Assert.True(plain.SequenceEqual(speech.Find(phrase).Select(m => (m.Index, m.Value))), $"{name} finds something else word by word");
        }
    }
}
