using AnyPace.Core.Sessions;

namespace AnyPace.Data.Sessions;

/// <summary>What is typed when a recording is taken in.</summary>
/// <param name="StatedMinutes">The promised length; null where none is promised.</param>
/// <param name="Series">The series it is part of; null where none.</param>
public sealed record SessionFacts(string Title, string Coach, DateOnly RecordedOn, double? StatedMinutes, string? Series = null);

/// <summary>A session of the library, without its timelines.</summary>
/// <param name="Newest">Number of the newest timeline version.</param>
/// <param name="Published">Number of the published version; null while members can't see it.</param>
public sealed record SessionRecord(Guid Id, SessionFacts Facts, string CaptionName, int Newest, int? Published, DateTimeOffset CreatedAt, DateTimeOffset? PublishedAt = null);

/// <summary>One version of a session's timeline.</summary>
public sealed record TimelineVersion(Guid SessionId, int Number, int? BasedOn, Timeline Timeline, string Why, string MadeBy, DateTimeOffset MadeAt);

/// <summary>The outcome of saving a version.</summary>
/// <param name="Saved">The new version's number; null on a clash.</param>
/// <param name="Newest">Who was first, where someone was: the version that stands.</param>
public sealed record SaveResult(int? Saved, TimelineVersion? Newest);
