using System.Collections.Immutable;

namespace AnyPace.Core.Sessions;

/// <summary>What a stretch of a schedule is for.</summary>
public enum SlotKind
{
    Work,
    Rest,
    Change,
    RoundRest,
    Filler,
}

/// <summary>One stretch of a schedule.</summary>
/// <param name="Move">Index of the move, from 0; -1 for rests.</param>
/// <param name="Round">Round, set or step, from 1.</param>
public readonly record struct Slot(SlotKind Kind, Span Span, int Move, int Round, Side Side);

/// <summary>Which end of a said range is laid out.</summary>
public enum RangeEnd
{
    Low,
    High,
}

/// <summary>
/// A dose laid out second by second. The lengths in the craft's table of structures are what this comes to; tests hold the two against each other.
/// </summary>
public sealed record Schedule(ImmutableArray<Slot> Slots)
{
    /// <summary>End of the last slot.</summary>
    public Seconds Length => Slots.IsEmpty ? Seconds.Zero : Slots[^1].Span.End;

    public Seconds Work => Sum(SlotKind.Work) + Sum(SlotKind.Filler);

    /// <summary>Work as a share of the whole, 0..1.</summary>
    public double WorkShare => Work / Length;

    public static Schedule Of(BlockPlan plan, RangeEnd end)
    {
        var builder = new Builder(plan, end);
        builder.Lay();
        return new Schedule(builder.Slots.ToImmutable());
    }

    /// <summary>A whole class: the length from the first warm-up move to the end of the cool-down.</summary>
    public static Seconds LengthOf(ClassPlan plan, RangeEnd end) =>
        plan.WarmUp + plan.CoolDown + (plan.Break * Math.Max(0, plan.Blocks.Length - 1))
        + plan.Blocks.Aggregate(Seconds.Zero, (sum, b) => sum + Of(b, end).Length);

    private Seconds Sum(SlotKind kind) => Slots.Where(s => s.Kind == kind).Aggregate(Seconds.Zero, (sum, s) => sum + s.Span.Length);

    private sealed class Builder(BlockPlan plan, RangeEnd end)
    {
        private Seconds _at;

        public ImmutableArray<Slot>.Builder Slots { get; } = ImmutableArray.CreateBuilder<Slot>();

        private int Rounds => end == RangeEnd.Low ? plan.Rounds.Low : plan.Rounds.High;

        private int Reps => end == RangeEnd.Low ? plan.Reps.Low : plan.Reps.High;

        public void Lay()
        {
            switch (plan.Kind)
            {
                case BlockKind.Intervals:
                    Intervals(plan.Work, plan.Rest, Rounds);
                    break;
                case BlockKind.TwentyTen:
                    TwentyTens();
                    break;
                case BlockKind.TimedSets:
                    Sets(move => Timed(move, plan.Work));
                    break;
                case BlockKind.RepSets:
                    Sets(Counted);
                    break;
                case BlockKind.Supersets:
                    Supersets();
                    break;
                case BlockKind.Ladder:
                    Ladder();
                    break;
                case BlockKind.Phrases:
                    Phrases();
                    break;
                case BlockKind.Holds:
                    Sets(move => Timed(move, plan.Work), Rounds);
                    break;
                default:
                    Add(SlotKind.Work, plan.Work, 0, 1);
                    break;
            }
        }

        /// <summary>R*(N*w + (N-1)*r) + (R-1)*B; N*r where the last rest is kept; a one-sided move that takes an interval a side counts twice.</summary>
        private void Intervals(Seconds work, Seconds rest, int rounds)
        {
            var slots = Enumerable.Range(0, plan.Moves)
                .SelectMany(m => IsOneSided(m) && !plan.SidesShareInterval ? new[] { (m, Side.Right), (m, Side.Left) } : [(m, Side.Both)])
                .ToList();
            for (var round = 1; round <= rounds; round++)
            {
                for (var i = 0; i < slots.Count; i++)
                {
                    var (move, side) = slots[i];
                    if (side == Side.Both)
                    {
                        Timed(move, work, round);
                    }
                    else
                    {
                        Add(SlotKind.Work, work, move, round, side);
                    }

                    if (i + 1 < slots.Count || plan.KeepLastRest)
                    {
                        Add(SlotKind.Rest, rest, -1, round);
                    }
                }

                if (round < rounds)
                {
                    Add(SlotKind.RoundRest, plan.RoundRest, -1, round);
                }
            }
        }

        /// <summary>Eight times 20/10 for each block; 3:50 without the last rest, 4:00 with it. Rounds stand for blocks.</summary>
        private void TwentyTens()
        {
            const int times = 8;
            var (on, off) = (new Seconds(20), new Seconds(10));
            for (var block = 1; block <= Rounds; block++)
            {
                for (var i = 0; i < times; i++)
                {
                    Timed(i % plan.Moves, on, block);
                    if (i + 1 < times || plan.KeepLastRest)
                    {
                        Add(SlotKind.Rest, off, -1, block);
                    }
                }

                if (block < Rounds)
                {
                    Add(SlotKind.RoundRest, plan.RoundRest, -1, block);
                }
            }
        }

        /// <summary>N*(S*w + (S-1)*r) + (N-1)*T.</summary>
        private void Sets(Action<int> one, int? sets = null)
        {
            var times = sets ?? plan.Sets;
            for (var move = 0; move < plan.Moves; move++)
            {
                for (var set = 1; set <= times; set++)
                {
                    _round = set;
                    one(move);
                    if (set < times || plan.KeepLastRest)
                    {
                        Add(SlotKind.Rest, plan.Rest, -1, set);
                    }
                }

                if (move + 1 < plan.Moves)
                {
                    Add(SlotKind.Change, plan.Change, -1, times);
                }
            }
        }

        private void Supersets()
        {
            for (var from = 0; from < plan.Moves; from += plan.GroupSize)
            {
                var to = Math.Min(plan.Moves, from + plan.GroupSize);
                for (var time = 1; time <= Rounds; time++)
                {
                    _round = time;
                    for (var move = from; move < to; move++)
                    {
                        Counted(move);
                    }

                    if (time < Rounds || plan.KeepLastRest)
                    {
                        Add(SlotKind.Rest, plan.Rest, -1, time);
                    }
                }

                if (to < plan.Moves)
                {
                    Add(SlotKind.Change, plan.Change, -1, Rounds);
                }
            }
        }

        /// <summary>The sum over k of the first k moves, with a filler between the steps.</summary>
        private void Ladder()
        {
            for (var step = 1; step <= plan.Moves; step++)
            {
                _round = step;
                for (var move = 0; move < step; move++)
                {
                    Timed(move, plan.Work);
                    if (move + 1 < step || plan.KeepLastRest)
                    {
                        Add(SlotKind.Rest, plan.Rest, -1, step);
                    }
                }

                if (step < plan.Moves)
                {
                    Add(SlotKind.Filler, plan.Filler, -1, step);
                }
            }
        }

        /// <summary>Counts of eight: 8 x 60 / beats seconds each; every phrase on the right lead, then on the left.</summary>
        private void Phrases()
        {
            var eight = new Seconds(8 * 60 / plan.Beats);
            for (var move = 0; move < plan.Moves; move++)
            {
                foreach (var side in new[] { Side.Right, Side.Left })
                {
                    Add(SlotKind.Work, eight * (plan.Eights * plan.Repeats), move, 1, side);
                }
            }
        }

        private int _round = 1;

        private void Timed(int move, Seconds work, int? round = null)
        {
            if (!IsOneSided(move))
            {
                Add(SlotKind.Work, work, move, round ?? _round);
                return;
            }

            // In sets a one-sided move takes a set a side, unless the sides share it.
            var each = plan.SidesShareInterval || plan.Kind is BlockKind.Intervals or BlockKind.TwentyTen ? work * 0.5 : work;
            Add(SlotKind.Work, each, move, round ?? _round, Side.Right);
            Add(SlotKind.Work, each, move, round ?? _round, Side.Left);
        }

        private void Counted(int move)
        {
            var (low, high) = Dose.Reps(plan.Reps, plan.SecondsPerRep, 1);
            var work = end == RangeEnd.Low ? low : high;
            foreach (var side in IsOneSided(move) ? new[] { Side.Right, Side.Left } : [Side.Both])
            {
                Add(SlotKind.Work, work, move, _round, side);
            }
        }

        /// <summary>The last moves of the list are the one-sided ones.</summary>
        private bool IsOneSided(int move) => move >= plan.Moves - plan.OneSided;

        private void Add(SlotKind kind, Seconds length, int move, int round, Side side = Side.Both)
        {
            if (length > Seconds.Zero)
            {
                Slots.Add(new Slot(kind, new Span(_at, _at + length), move, round, side));
                _at += length;
            }
        }
    }
}
