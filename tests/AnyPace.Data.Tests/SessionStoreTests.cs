using AnyPace.Core.Captions;
using AnyPace.Core.Finding;
using AnyPace.Core.Lexicon;
using AnyPace.Core.Reading;
using AnyPace.Core.Sessions;
using AnyPace.Data.Sessions;
using Npgsql;

namespace AnyPace.Data.Tests;

public sealed class SessionStoreTests(TestDatabase test) : IClassFixture<TestDatabase>
{
    private static readonly SessionFacts Facts = new("Test Class", "Ottoline Vane", new DateOnly(2026, 10, 1), 20);

    private static readonly Timeline Reading = new CaptionReading(MoveLexicon.Default).Read(CaptionReader.Read(
        """
        [0:00] welcome you need a pair of dumbbells eight to ten pounds, thirty on ten off, two to three rounds
        [0:10] let's get started squats three two one go
        [0:20] keep going if it's too much take a chair squat
        [0:50] and rest next up split squat right leg in front go
        [1:20] other side
        [1:50] and rest protect your lower back this burns 100 calories subscribe to the channel
        """));

    private SessionStore Store => new(test.Database);

    private Task<Guid> TakeInAsync() => Store.TakeInAsync(Facts, "class.txt", "WEBVTT", Reading, null, CancellationToken.None);

    private Task<T> ScalarAsync<T>(string sql) => test.ScalarAsync<T>(sql);

    [Fact]
    public void A_timeline_survives_being_kept()
    {
        Assert.NotEmpty(Reading.Bouts);
        Assert.NotEmpty(Reading.Kit);
        Assert.NotEmpty(Reading.Options);
        Assert.NotEmpty(Reading.Structures);
        var json = TimelineJson.Write(Reading);
        Assert.Equal(json, TimelineJson.Write(TimelineJson.Read(json)));
    }

    [Fact]
    public async Task What_is_taken_in_is_version_one_and_a_draft()
    {
        var id = await TakeInAsync();
        var session = await Store.FindAsync(id, CancellationToken.None);
        Assert.Equal((Facts, 1, (int?)null), (session!.Facts, session.Newest, session.Published));
        var version = await Store.VersionAsync(id, null, CancellationToken.None);
        Assert.Equal(Reading.Bouts.Length, version!.Timeline.Bouts.Length);
        Assert.Equal("WEBVTT", await Store.CaptionsAsync(id, CancellationToken.None));
        Assert.Contains(await Store.AllAsync(CancellationToken.None), s => s.Id == id);
        Assert.Empty(await Store.PublishedAsync([id], CancellationToken.None));
    }

    [Fact]
    public async Task Saving_appends_and_never_overwrites()
    {
        var id = await TakeInAsync();
        var changed = TimelineEdit.ConfirmBout(Reading, Reading.Bouts[0].Id);
        Assert.Equal(2, (await Store.SaveAsync(id, 1, changed, "confirmed", null, CancellationToken.None)).Saved);
        Assert.Equal(3, (await Store.SaveAsync(id, 2, Reading, "back", null, CancellationToken.None)).Saved);
        var history = await Store.HistoryAsync(id, CancellationToken.None);
        Assert.Equal([3, 2, 1], history.Select(v => v.Number));
        Assert.Equal([2, 1, null], history.Select(v => v.BasedOn));
        Assert.Equal(1, (await Store.VersionAsync(id, 2, CancellationToken.None))!.Timeline.Bouts[0].Confidence);
        Assert.NotEqual(1, (await Store.VersionAsync(id, 1, CancellationToken.None))!.Timeline.Bouts[0].Confidence);
    }

    [Fact]
    public async Task The_second_of_two_from_one_version_is_told_who_was_first()
    {
        var id = await TakeInAsync();
        var first = await Store.SaveAsync(id, 1, Reading, "mine", null, CancellationToken.None);
        var second = await Store.SaveAsync(id, 1, Reading, "also mine", null, CancellationToken.None);
        Assert.Equal(2, first.Saved);
        Assert.Null(second.Saved);
        Assert.Equal((2, "mine"), (second.Newest!.Number, second.Newest.Why));
        Assert.Equal(2, (await Store.HistoryAsync(id, CancellationToken.None)).Count);
    }

    [Fact]
    public async Task Of_many_at_once_exactly_one_is_saved()
    {
        var id = await TakeInAsync();
        var results = await Task.WhenAll(Enumerable.Range(0, 12).Select(i => Store.SaveAsync(id, 1, Reading, $"try {i}", null, CancellationToken.None)));
        Assert.Single(results, r => r.Saved == 2);
        Assert.All(results.Where(r => r.Saved is null), r => Assert.Equal(2, r.Newest!.Number));
    }

    [Fact]
    public async Task Publishing_points_at_a_version_and_can_be_taken_back()
    {
        var id = await TakeInAsync();
        await Store.PublishAsync(id, 1, null, CancellationToken.None);
        Assert.Equal(1, (await Store.PublishedAsync([id], CancellationToken.None)).Single().Version.Number);
        await Store.SaveAsync(id, 1, Reading, "later", null, CancellationToken.None);
        Assert.Equal(1, (await Store.PublishedAsync([id, Guid.NewGuid()], CancellationToken.None)).Single().Version.Number);
        Assert.Equal(2, (await Store.NewestVersionsAsync(CancellationToken.None)).Single(v => v.SessionId == id).Number);
        await Store.WithdrawAsync(id, null, CancellationToken.None);
        Assert.Empty(await Store.PublishedAsync([id], CancellationToken.None));
    }

    [Fact]
    public async Task A_version_that_is_not_there_can_not_be_published()
    {
        var id = await TakeInAsync();
        await Assert.ThrowsAsync<PostgresException>(() => Store.PublishAsync(id, 7, null, CancellationToken.None));
        Assert.Null((await Store.FindAsync(id, CancellationToken.None))!.Published);
    }

    [Fact]
    public async Task Every_write_leaves_its_audit_row()
    {
        var id = await TakeInAsync();
        await Store.SaveAsync(id, 1, Reading, "x", null, CancellationToken.None);
        await Store.ChangeFactsAsync(id, Facts with { Title = "Renamed" }, null, CancellationToken.None);
        await Store.PublishAsync(id, 2, null, CancellationToken.None);
        await Store.WithdrawAsync(id, null, CancellationToken.None);
        Assert.Equal(
            "session taken in,timeline saved,session changed,published,withdrawn",
            await ScalarAsync<string>($"select string_agg(action, ',' order by id) from audit where subject = 'session {id}'"));
        Assert.Equal("Renamed", (await Store.FindAsync(id, CancellationToken.None))!.Facts.Title);
    }

    [Fact]
    public async Task A_write_that_fails_leaves_neither_row_nor_audit()
    {
        var before = await ScalarAsync<long>("select count(*) from audit");
        await Assert.ThrowsAsync<PostgresException>(
            () => Store.TakeInAsync(Facts with { Title = new string('x', 200) }, "a", "b", Reading, null, CancellationToken.None));
        Assert.Equal(before, await ScalarAsync<long>("select count(*) from audit"));
    }

    [Fact]
    public async Task Publishing_is_heard_by_whoever_listens()
    {
        var id = await TakeInAsync();
        await using var connection = await test.Source.OpenConnectionAsync();
        await using (var listen = new NpgsqlCommand("listen catalogue", connection))
        {
            await listen.ExecuteNonQueryAsync();
        }

        var heard = "";
        connection.Notification += (_, e) => heard = e.Payload;
        await Store.PublishAsync(id, 1, null, CancellationToken.None);
        Assert.True(await connection.WaitAsync(TimeSpan.FromSeconds(10)));
        Assert.Equal(id.ToString(), heard);
    }

    [Fact]
    public async Task An_unknown_session_is_null_not_an_error() => Assert.Null(await Store.FindAsync(Guid.NewGuid(), CancellationToken.None));

    [Fact]
    public void Migrating_again_changes_nothing() => Assert.Empty(Migrator.Migrate(test.ConnectionString));

    private static Listing ListingOf(Guid id, int version = 1) => Listing.Of(
        CatalogueEntry.Of(id, "Kept", "Kept Coach", DateTimeOffset.UnixEpoch, Reading, MoveLexicon.Default), version, null, ["lantern"], MoveLexicon.Default);

    [Fact]
    public async Task A_listing_survives_being_kept_and_takes_title_coach_and_series_from_the_session()
    {
        var listings = new ListingStore(test.Database);
        var id = await TakeInAsync();
        await Store.PublishAsync(id, 1, null, CancellationToken.None);
        await listings.KeepAsync("mark", ListingOf(id), CancellationToken.None);
        await Store.ChangeFactsAsync(id, Facts with { Series = "A Series" }, null, CancellationToken.None);
        var back = (await listings.AllAsync("mark", CancellationToken.None)).Single(h => h.Id == id).Listing!;
        Assert.Equal(("Test Class", "Ottoline Vane", "A Series"), (back.Title, back.Coach, back.Series));
        Assert.Equal(TimelineJson.Write(ListingOf(id)), TimelineJson.Write(back with { Title = "Kept", Coach = "Kept Coach", Series = null, PublishedAt = DateTimeOffset.UnixEpoch }));
        Assert.Equal("lantern", Assert.Single(back.Words));
    }

    [Fact]
    public async Task A_listing_of_another_version_or_other_settings_is_none()
    {
        var listings = new ListingStore(test.Database);
        var id = await TakeInAsync();
        await Store.PublishAsync(id, 1, null, CancellationToken.None);
        await listings.KeepAsync("old", ListingOf(id), CancellationToken.None);
        Assert.Null((await listings.AllAsync("new", CancellationToken.None)).Single(h => h.Id == id).Listing);
        await listings.KeepAsync("new", ListingOf(id, 7), CancellationToken.None);
        Assert.Null((await listings.AllAsync("new", CancellationToken.None)).Single(h => h.Id == id).Listing);
    }

    [Fact]
    public async Task The_catalogues_clock_tells_every_change_that_members_see_and_no_other()
    {
        var listings = new ListingStore(test.Database);
        var id = await TakeInAsync();
        var before = await listings.ClockAsync(CancellationToken.None);
        await Store.SaveAsync(id, 1, Reading, "nobody sees this", null, CancellationToken.None);
        Assert.DoesNotContain(await listings.SinceAsync("m", before, CancellationToken.None), h => h.Id == id);
        await Store.PublishAsync(id, 2, null, CancellationToken.None);
        Assert.Equal(2, (await listings.SinceAsync("m", before, CancellationToken.None)).Single(h => h.Id == id).Published);
        var published = await listings.ClockAsync(CancellationToken.None);
        await Store.WithdrawAsync(id, null, CancellationToken.None);
        Assert.Null((await listings.SinceAsync("m", published, CancellationToken.None)).Single(h => h.Id == id).Published);
    }
}
