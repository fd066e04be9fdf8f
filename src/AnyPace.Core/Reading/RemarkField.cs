using System.Collections.Immutable;
using AnyPace.Core.Sessions;

namespace AnyPace.Core.Reading;

/// <summary>Remarks that are told against each other, by one table of weights.</summary>
public sealed class RemarkField
{
    /// <summary>What a marked remark of a list begins with, before its type: "claim calories".</summary>
    internal const string Claim = "claim ";
    internal const string Outside = "outside ";
    internal const string Caution = "caution ";
    internal const string Option = "option ";

    /// <summary>Promises and what is beside the class. What a studio is told not to repeat should be a promise, so it has to be surer.</summary>
    public static readonly RemarkField Beside = new(
        "remark-weights.csv",
        WordGroups.Remarks,
        6,
        new(Claim, RemarkKind.Promise, g => g.Claims, From: 0.5, ByTheHour: true),
        new(Outside, RemarkKind.Aside, g => g.Outside, From: 0, ByTheHour: true));

    /// <summary>Cautions and easier and harder ways. Where one is missed somebody may get hurt or give up, so a few false alarms are worth it.</summary>
    public static readonly RemarkField Care = new(
        "care-weights.csv",
        WordGroups.Care,
        0,
        new(Caution, RemarkKind.Caution, g => g.Cautions, From: -0.4, ByTheHour: false),
        new(Option, RemarkKind.Option, g => g.Options, From: 0.25, ByTheHour: false));

    private readonly ImmutableArray<List> _lists;
    private readonly Lazy<RemarkJudge> _judge;

    private RemarkField(string file, WordGroups words, double apart, params ImmutableArray<List> lists)
    {
        File = file;
        Words = words;
        Apart = apart;
        _lists = lists;
        Kinds = [.. lists.SelectMany(l => Remark.Types(l.Of).Select(t => l.Name + t))];
        _judge = new(() => new RemarkJudge(this, TraitWeights.Parse(ReadingFiles.Text(file))));
    }

    /// <summary>A list of a reading.</summary>
    /// <param name="From">Log of the odds from which words are one. Where sentences and classes were held back in turn, hits and false alarms of promises and asides balanced about here; below it more is found and more of it is false.</param>
    /// <param name="ByTheHour">True where they come so often an hour; cautions come with the cues, and those with the words.</param>
    private sealed record List(string Name, RemarkKind Of, Func<GoldReading, ImmutableArray<GoldRemark>?> Marked, double From, bool ByTheHour);

    /// <summary>The file of its weights.</summary>
    public string File { get; }

    /// <summary>The kinds, as a marked sentence names them: "claim calories".</summary>
    public ImmutableArray<string> Kinds { get; }

    internal WordGroups Words { get; }

    /// <summary>Seconds between two remarks of different kinds. None where one sentence may be both, as a caution for the knees and an easier way are.</summary>
    internal double Apart { get; }

    /// <summary>By the weights shipped.</summary>
    public RemarkJudge Judge => _judge.Value;

    /// <summary>Words a minute of the classes that the weights were fitted to.</summary>
    private const double FittedPace = 45;

    /// <summary>Log of the odds from which words are a remark of a kind, by how many are said a minute. What is beside a class comes so often an hour, however much is said: of the words of who talks more, fewer are.</summary>
    public double From(string kind, double wordsAMinute)
    {
        var list = _lists.First(l => kind.StartsWith(l.Name, StringComparison.Ordinal));
        return list.From + (list.ByTheHour ? Math.Log(Math.Max(1, wordsAMinute / FittedPace)) : 0);
    }

    /// <summary>What is marked in a class. Null where nobody marked one of the lists.</summary>
    public ImmutableArray<(double At, string Kind)>? Marked(GoldReading gold) =>
        _lists.Any(l => l.Marked(gold) is null) ? null : [.. _lists.SelectMany(l => l.Marked(gold)!.Value.Select(m => (m.At, l.Name + m.Kind)))];
}
