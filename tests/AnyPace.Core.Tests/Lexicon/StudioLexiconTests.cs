using AnyPace.Core.Captions;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;

namespace AnyPace.Core.Tests.LexiconTests;

/// <summary>A studio's own names and moves, combined moves, and the search.</summary>
public sealed class StudioLexiconTests
{
    private static readonly MoveLexicon Moves = MoveLexicon.Default;

    private static StudioMove Own(string name, params string[] aliases) =>
        new(StudioMove.IdOf(name), name, "squat", [.. aliases], Impact.Low, MoveSides.Alternating, ["towel"]);

    private static string[] Read(MoveLexicon lexicon, string move) =>
        [.. new CaptionReading(lexicon).Read(CaptionReader.Read($"[0:00] hello let's get started\n[0:10] next up {move} three two one go\n[0:40] keep going\n[0:55] and rest")).Bouts.Select(b => b.MoveId)];

    [Fact]
    public void A_name_of_our_own_is_read()
    {
        Assert.Empty(Read(Moves, "wobbly dippers"));
        Assert.Equal(["squat"], Read(Moves.With([new StudioName("wobbly dipper", "squat")], []), "wobbly dippers"));
    }

    [Fact]
    public void A_move_of_our_own_is_read_and_measured_like_its_model()
    {
        var lexicon = Moves.With([], [Own("Mill wheel", "wheel of the mill")]);
        Assert.Equal(["studio-mill-wheel"], Read(lexicon, "mill wheels"));
        Assert.Equal(["studio-mill-wheel"], Read(lexicon, "wheel of the mill"));
        var (own, like) = (lexicon["studio-mill-wheel"], lexicon["squat"]);
        Assert.Equal((like.Prime, like.Met, like.Positions), (own.Prime, own.Met, own.Positions));
        Assert.Equal((MoveSides.Alternating, "towel", "squat"), (own.Sides, own.Kit.Single(), own.Easier));
    }

    [Fact]
    public void A_retired_move_stays_known_by_its_id_only()
    {
        var lexicon = Moves.With([], [Own("Mill wheel", "wheel of the mill") with { Retired = true }]);
        Assert.NotNull(lexicon.Find("studio-mill-wheel"));
        Assert.Empty(Read(lexicon, "wheel of the mill"));
    }

    [Fact]
    public void A_name_that_another_move_has_is_refused_with_both() =>
        Assert.Contains("push-up", Assert.Throws<LexiconException>(() => Moves.With([new StudioName("push-ups", "squat")], [])).Message);

    [Fact]
    public void A_move_like_nothing_is_refused() =>
        Assert.Contains("nowhere", Assert.Throws<LexiconException>(() => Moves.With([], [Own("Mill wheel") with { LikeId = "nowhere" }])).Message);

    [Fact]
    public void Without_anything_of_our_own_the_lexicon_is_the_shipped_one() => Assert.Same(Moves, Moves.With([], []));

    [Theory]
    [InlineData("Mill Wheel", "studio-mill-wheel")]
    [InlineData("  Ines's  twist! ", "studio-ines-s-twist")]
    public void Ids_are_made_from_names(string name, string id) => Assert.Equal(id, StudioMove.IdOf(name));

    [Fact]
    public void A_combined_move_follows_from_its_parts()
    {
        var move = Moves["reverse-lunge+hammer-curl"];
        Assert.Equal("Reverse lunge with hammer curl", move.Name);
        Assert.Subset(move.Prime.ToHashSet(), Moves["reverse-lunge"].Prime.Concat(Moves["hammer-curl"].Prime).ToHashSet());
        Assert.Empty(move.Prime.Intersect(move.Helper));
        Assert.Equal(MoveSides.Alternating, move.Sides);
        Assert.Contains("dumbbell", move.Kit);
        Assert.Equal(Math.Max(Moves["reverse-lunge"].Met.Value, Moves["hammer-curl"].Met.Value), move.Met.Value);
        Assert.Equal("standing", Assert.Single(move.Positions));
    }

    [Fact]
    public void A_combined_move_with_a_name_of_its_own_is_that_one() => Assert.Same(Moves["thruster"], Moves["squat+overhead-press"]);

    [Fact]
    public void Who_goes_down_in_a_combined_move_is_in_both_positions() => Assert.Equal("standing, plank", string.Join(", ", Moves["squat+plank"].Positions));

    [Theory]
    [InlineData("squat+nothing")]
    [InlineData("+squat")]
    [InlineData("squat+")]
    public void Half_a_combined_move_is_none(string id) => Assert.Null(Moves.Find(id));

    [Theory]
    [InlineData("press up", "push-up")]
    [InlineData("RDL", "romanian-deadlift")]
    [InlineData("clam shall", "clamshell")]
    [InlineData("dead bu", "dead-bug")]
    [InlineData("burpe", "burpee")]
    [InlineData("kettlebel swing", "kettlebell-swing")]
    public void The_search_finds_names_roughly_spelled(string words, string id) => Assert.Contains(id, Moves.Search(words).Take(3).Select(m => m.Id));

    [Fact]
    public void The_search_finds_nothing_where_there_is_nothing()
    {
        Assert.Empty(Moves.Search("zzzz"));
        Assert.Equal(Moves.Moves.Length, Moves.Search("  ").Count);
    }

    [Theory]
    [InlineData("dead buck", "dead-bug")]
    [InlineData("glue bridges", "glute-bridge")]
    [InlineData("mountain clinbers", "mountain-climber")]
    [InlineData("reverse lunches", "reverse-lunge")]
    [InlineData("bird dock", "bird-dog")]
    [InlineData("burpies", "burpee")]
    [InlineData("hammer girls", "hammer-curl")]
    [InlineData("russian twits", "russian-twist")]
    [InlineData("calf rays", "calf-raise")]
    [InlineData("fire high drains", null)]
    public void A_word_misheard_is_found_by_sound_or_spelling(string words, string? id) =>
        Assert.Equal(id is null ? [] : [id], Read(Moves, words));

    [Theory]
    [InlineData("side left")]
    [InlineData("pick up the pace")]
    [InlineData("knee left")]
    [InlineData("front rest")]
    public void Everyday_words_are_not_taken_for_slips(string words) => Assert.Empty(Read(Moves, words));

    [Theory]
    [InlineData("bug", "buck")]
    [InlineData("lunge", "lunch")]
    [InlineData("raise", "rays")]
    [InlineData("shell", "shall")]
    [InlineData("plank", "blank")]
    public void What_sounds_alike_has_one_key(string a, string b) => Assert.Equal(SoundKey.Of(a), SoundKey.Of(b));

    [Theory]
    [InlineData("squat", "squats", 1)]
    [InlineData("lunge", "lounge", 1)]
    [InlineData("crunch", "crunch", 0)]
    [InlineData("plank", "bridge", 3)]
    public void Distance_counts_letters_and_stops_above_the_most(string a, string b, int distance) => Assert.Equal(distance, SoundKey.Distance(a, b, 2));
}
