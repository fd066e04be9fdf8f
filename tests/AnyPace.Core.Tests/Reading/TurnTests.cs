using AnyPace.Core.Sessions;

namespace AnyPace.Core.Tests.ReadingTests;

/// <summary>Where within a move something begins: its other side, and its first repetition after a set-up.</summary>
public sealed class TurnTests
{
    public static TheoryData<string> Turns => [.. Make.Lines("Reading", "turns.txt")];

    public static TheoryData<string> Firsts => [.. Make.Lines("Reading", "firsts.txt")];

    [Theory]
    [MemberData(nameof(Turns))]
    public void The_other_side_begins_where_it_is_turned_to_and_not_where_it_is_only_spoken_of(string line)
    {
        foreach (var (move, named, done) in new[]
        {
            ("quad-stretch", "and now for a stretch a quad stretch take hold of your foot", "lovely knees together"),
            ("donkey-kick", "next is donkey kicks on all fours heel to the ceiling", "and press and press"),
        })
        {
            var bouts = Make.Read(
                "[0:00] let's get started", "[0:20] biceps curls elbows in", $"[0:50] {named}", $"[1:05] {done}", $"[1:20] {line[2..]}", $"[1:27] {done}", "[1:50] and rest well done", "[1:58] now squats here we go", "[2:30] and rest")
                .Bouts.Where(b => b.MoveId == move).ToList();
            Assert.Equal(line[0] == '+' ? 2 : 1, bouts.Select(b => b.Side).Distinct().Count());

            // With the turn, or with the first repetition after it.
            Assert.Equal(line[0] == '+', bouts.Exists(b => b.Span.Start.Value is > 74 and < 89));
        }
    }

    [Theory]
    [MemberData(nameof(Firsts))]
    public void A_move_that_is_set_up_at_length_begins_with_its_first_repetition(string line)
    {
        foreach (var (move, named, setUp) in new[]
        {
            ("push-up", "okay next up we've got press ups", "so hands a bit wider than your shoulders and knees down if you need them"),
            ("glute-bridge", "so now glute bridges", "lie on your back feet flat close to your bottom arms by your sides"),
        })
        {
            Assert.InRange(Begins(move, named, setUp, line), 78, 90);
        }
    }

    [Fact]
    public void A_count_in_the_middle_of_the_work_is_no_beginning() =>
        Assert.InRange(Begins("push-up", "okay press ups go", "1 2 3 4 keep going lovely", "one and two and three"), 55, 70);

    private static double Begins(string move, string named, string setUp, string first) => Make.Read(
        "[0:00] let's get started", "[0:20] biceps curls elbows in", "[0:55] and rest", $"[1:02] {named}", $"[1:07] {setUp}", "[1:15] make sure your neck is long and you're comfortable", $"[1:24] {first}", "[1:30] good",
        "[1:55] and rest well done", "[2:03] now squats here we go", "[2:30] and rest").Bouts.First(b => b.MoveId == move).Span.Start.Value;
}
