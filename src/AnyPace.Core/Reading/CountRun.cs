namespace AnyPace.Core.Reading;

/// <summary>Numbers said one after the other, up or down, as repetitions and seconds are counted.</summary>
/// <param name="Token">The first number.</param>
/// <param name="LastToken">The last number.</param>
/// <param name="Next">The word after the run and what it passed over.</param>
/// <param name="Step">1 for counting up, -1 for counting down.</param>
/// <param name="Length">How many numbers are said.</param>
public readonly record struct CountRun(int Token, int LastToken, int Next, int First, int Last, int Step, int Length)
{
    /// <summary>What is said between counted repetitions is any few words ("up one and down up two, keep it slow, three"), but not these: what is counted there are moves or rounds.</summary>
    private static readonly HashSet<string> CountsOther = ["number", "exercise", "exercises", "move", "moves", "round", "rounds", "set", "sets", "step", "block", "blocks", "minute", "minutes", "second", "seconds", "pounds", "kilos", "times", "of"];

    /// <summary>What is said where a count that goes on through talk is over.</summary>
    private static readonly HashSet<string> EndsCount = ["set", "sets", "round", "rounds", "rest", "exercise"];

    /// <summary>Words between two numbers at the most; and where each is told off: "that's one, and the other leg, that's two".</summary>
    private const int WordsBetweenRepetitions = 5;
    private const int WordsBetweenToldOff = 14;

    /// <summary>And after "one" and "two".</summary>
    private const int WordsBetweenCounted = 7;

    /// <summary>Seconds from one number to the next at the most.</summary>
    private const double LongestRepetition = 8;
    private const int Shortest = 3;

    /// <summary>From so many numbers on nobody doubts that repetitions are counted: who talks all the time says more between them, and not every number is heard.</summary>
    private const int SurelyCounted = 3;

    /// <summary>Words, and seconds, from one number to the next at the most where repetitions are surely counted.</summary>
    private const int WordsBetweenSurely = 22;
    private const double LongestTalkedOver = 14;

    /// <summary>"Don't let your back round", "shoulders up round your ears": no round of the class.</summary>
    private static bool IsShape(IReadOnlyList<Token> tokens, int token) => tokens[token].Text == "round" && token > 0 && BeforeShape.Contains(tokens[token - 1].Text);

    private static readonly HashSet<string> BeforeShape = ["back", "spine", "shoulders", "chest", "up", "it", "not", "don't", "to", "way", "knees", "forward", "over", "turn", "come"];

    /// <summary>All runs of three numbers and more, in time order; punches that are called by number are none.</summary>
    public static IEnumerable<CountRun> Find(Speech speech)
    {
        var tokens = speech.Tokens;
        var i = 0;
        while (i < tokens.Count)
        {
            if (tokens[i].Number is not { } first || speech.Punches.Calls(i))
            {
                i++;
                continue;
            }

            var toldOff = i > 0 && tokens[i - 1].Text is "that's" or "there's";
            var length = 1;
            var step = 0;
            var previous = first;
            var j = i + 1;
            var counted = i;
            for (; j < tokens.Count; j++)
            {
                // A counted number may wait a moment; words between ("and three, and two") are passed over.
                var surely = first == 1 && step == 1 && length >= SurelyCounted;
                if (tokens[j].Number is not { } next)
                {
                    var (most, ends) = surely ? (WordsBetweenSurely, EndsCount) : (toldOff ? WordsBetweenToldOff : length > 1 ? WordsBetweenCounted : WordsBetweenRepetitions, CountsOther);
                    if (tokens[j].Text is "and" or "uh" or "more" || (first == 1 && step >= 0 && j - counted <= most && !(ends.Contains(tokens[j].Text) && !IsShape(tokens, j))))
                    {
                        continue;
                    }

                    break;
                }

                var difference = next - previous;
                var waited = tokens[j].At - tokens[counted].At;
                if (surely && difference != 1 && j - counted <= WordsBetweenSurely && waited <= LongestTalkedOver && (next != 1 || tokens[j - 1].Text is "last" or "that" or "this" or "the" or "to"))
                {
                    // "Five, is it five? Six", "six, keep it up, eight", "elbows at forty five", "nine and last one ten".
                    if (difference == 2)
                    {
                        (counted, previous) = (j, next);
                        length++;
                    }

                    continue;
                }

                if (difference is not (1 or -1) || (step != 0 && difference != step) || tokens[j].At - tokens[j - 1].At > (surely ? LongestRepetition : 6) || waited > (surely || toldOff ? LongestTalkedOver : LongestRepetition))
                {
                    break;
                }

                counted = j;
                step = difference;
                previous = next;
                length++;
            }

            if (length >= Shortest)
            {
                yield return new CountRun(i, counted, j, first, previous, step, length);
            }

            i = Math.Max(j, i + 1);
        }
    }
}
