using System.Text;
using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.Reading;

/// <summary>Moves that nobody names, by all that is said over some seconds.</summary>
public sealed class LearnedMoveTests
{
    private const string Told = "[0:10] feet hip width send your bum back like there is a chair behind you\n[0:16] weight in your heels chest proud and stand all the way up\n";

    private static (Speech Speech, List<(LikeMove Like, int Token, int Length)> Found) Find(string captions, Func<Move, double, bool>? isTold = null, double opening = 0, string named = "")
    {
        var speech = new Speech(CaptionReader.Read(Encoding.UTF8.GetBytes(captions)).Cues);
        var fits = Make.Fits(speech.Stems.Count);
        return (speech, LearnedMoves.Find(speech, Make.Lexicon.Classifier.In(speech.Stems, fits), Make.Lexicon.Likeness.In(speech.Stems, fits), [.. speech.Tokens.Select(t => t.Text == named)], opening, isTold ?? ((_, _) => false)));
    }

    [Fact]
    public void A_move_is_known_by_what_is_said_of_it()
    {
        var (speech, found) = Find(Told);
        var squat = found.Find(f => f.Like.Move.Id == "squat");
        Assert.InRange(speech.At(squat.Token), 9, 17);
        Assert.InRange(squat.Length, 2, 12);
        Assert.True(squat.Like.Words >= 2);
    }

    [Fact]
    public void It_is_not_told_again_where_it_was_heard()
    {
        Assert.DoesNotContain(Find(Told, (move, at) => move.Id == "squat" && at is >= 9 and < 30).Found, f => f.Like.Move.Id == "squat");
        var (speech, found) = Find(Told);
        Assert.All(found.GroupBy(f => f.Like.Move.Id), same =>
        {
            var times = same.Select(f => speech.At(f.Token)).Order().ToList();
            Assert.All(times.Zip(times.Skip(1)), t => Assert.True(t.Second > t.First));
        });
    }

    [Fact]
    public void Nothing_is_told_over_a_name_or_before_the_class_begins()
    {
        var (speech, found) = Find(Told, named: "heels");
        Assert.All(found, f => Assert.DoesNotContain("heels", Enumerable.Range(f.Token, f.Length).Select(t => speech.Tokens[t].Text)));
        Assert.All(Find(Told, opening: 15).Found, f => Assert.True(speech.At(f.Token) >= 15));
        Assert.Empty(Find(Told, opening: 60).Found);
    }

    [Fact]
    public void Talk_is_no_move() =>
        Assert.Empty(Find("[0:10] my neighbour has a new kitten and it keeps us up all night honestly\n[0:17] so if i look tired on the camera today that is the reason\n").Found);

    [Fact]
    public void What_is_said_later_is_not_heard_with_it()
    {
        var (speech, found) = Find("[0:10] feet hip width send your bum back\n[1:10] chest proud and stand all the way up with weight in your heels\n");
        Assert.All(found, f => Assert.True(speech.At(f.Token + f.Length - 1) - speech.At(f.Token) < 12));
    }
}
