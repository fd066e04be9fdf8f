using AnyPace.Core.Finding;
using NpgsqlTypes;

namespace AnyPace.Data.Sessions;

/// <param name="Listing">Null where none is kept for this version and these settings.</param>
/// <param name="Touched">Number of the last change that members can see.</param>
public sealed record PublishedHead(Guid Id, int? Published, long Touched, Listing? Listing);

/// <summary>What the catalogue keeps of published sessions.</summary>
public sealed class ListingStore(Database database)
{
    private const string Select =
        """
        select s.id, s.published_version, s.touched, s.title, s.coach, s.series, s.published_at, l.listing::text
        from session s left join session_listing l on l.session_id = s.id and l.version = s.published_version and l.made_with = $1
        """;

    /// <summary>All published sessions.</summary>
    public Task<List<PublishedHead>> AllAsync(string madeWith, CancellationToken stop) =>
        database.ReadAsync($"{Select} where s.published_version is not null", p => p.Text(madeWith), Row, stop);

    /// <summary>Sessions changed after a moment of the catalogue's clock, withdrawn ones among them.</summary>
    public Task<List<PublishedHead>> SinceAsync(string madeWith, long touched, CancellationToken stop) =>
        database.ReadAsync(
            $"{Select} where s.touched > $2 order by s.touched", p => p.Text(madeWith).With(touched, NpgsqlDbType.Bigint), Row, stop);

    public async Task<long> ClockAsync(CancellationToken stop) =>
        (await database.ReadAsync("select coalesce(max(touched), 0) from session", _ => { }, r => r.GetInt64(0), stop)).Single();

    public Task KeepAsync(string madeWith, Listing listing, CancellationToken stop) => database.DeriveAsync(
        """
        insert into session_listing (session_id, version, made_with, listing) values ($1, $2, $3, $4)
        on conflict (session_id) do update set version = excluded.version, made_with = excluded.made_with, listing = excluded.listing
        """,
        p => p.Uuid(listing.Id).Int(listing.Version).Text(madeWith).With(TimelineJson.Write(listing), NpgsqlDbType.Jsonb),
        stop);

    private static PublishedHead Row(Npgsql.NpgsqlDataReader r)
    {
        var published = r.IsDBNull(1) ? (int?)null : r.GetInt32(1);

        // What can change without a new timeline is read from the session, not from what was kept with the version.
        var listing = r.IsDBNull(7) || published is null
            ? null
            : TimelineJson.ReadListing(r.GetString(7)) with
            {
                Title = r.GetString(3),
                Coach = r.GetString(4),
                Series = r.IsDBNull(5) ? null : r.GetString(5),
                PublishedAt = r.GetFieldValue<DateTimeOffset>(6),
            };
        return new PublishedHead(r.GetGuid(0), published, r.GetInt64(2), listing);
    }
}
