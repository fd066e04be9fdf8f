using System.Globalization;
using System.Text;
using AnyPace.Core.Finding;
using AnyPace.Core.Sessions;
using Npgsql;
using NpgsqlTypes;

namespace AnyPace.Bench;

/// <summary>
/// The yardstick of finding: the same question put to PostgreSQL over a flat table made for it, a row a session and pace, closed facets as bits of one number
/// each, kit as a number of a requirement, everything indexed. One pass gives all counts; a second query gives the page by its index.
/// Words are left out on both sides.
/// </summary>
internal sealed class SqlFinder(NpgsqlDataSource source, IReadOnlyList<string> coaches, IReadOnlyList<string> series, IReadOnlyList<(string Key, Listing Example)> kits) : IAsyncDisposable
{
    private static readonly Facet[] Closed = [.. Facet.All.Where(f => !f.Order.IsEmpty)];

    public static async Task<SqlFinder> BuildAsync(NpgsqlDataSource source, IReadOnlyList<Listing> listings, CancellationToken stop)
    {
        var coaches = listings.Select(l => l.Coach).Distinct().ToList();
        var series = listings.Select(l => l.Series).OfType<string>().Distinct().ToList();
        var kits = listings.GroupBy(KitKey).Select(g => (g.Key, g.First())).ToList();
        var (coachAt, seriesAt, kitAt) = (Numbered(coaches), Numbered(series), Numbered(kits.Select(k => k.Key)));
        await RunAsync(source, $"drop table if exists flat; create table flat (id uuid, pace smallint, published timestamptz, needed integer, score real, coach integer, series integer, kit integer, {string.Join(", ", Closed.Select(f => $"{Column(f)} integer"))})", stop);
        await using (var connection = await source.OpenConnectionAsync(stop))
        {
            await using var rows = await connection.BeginBinaryImportAsync("copy flat from stdin (format binary)", stop);
            foreach (var l in listings)
            {
                foreach (var pace in Paces.All)
                {
                    var p = l.At(pace);
                    await rows.StartRowAsync(stop);
                    await rows.WriteAsync(l.Id, NpgsqlDbType.Uuid, stop);
                    await rows.WriteAsync((short)pace, NpgsqlDbType.Smallint, stop);
                    await rows.WriteAsync(l.PublishedAt, NpgsqlDbType.TimestampTz, stop);
                    await rows.WriteAsync((int)p.Needed.Value, NpgsqlDbType.Integer, stop);
                    await rows.WriteAsync((float)p.Score, NpgsqlDbType.Real, stop);
                    await rows.WriteAsync(coachAt[l.Coach], NpgsqlDbType.Integer, stop);
                    await rows.WriteAsync(l.Series is { } s ? seriesAt[s] : -1, NpgsqlDbType.Integer, stop);
                    await rows.WriteAsync(kitAt[KitKey(l)], NpgsqlDbType.Integer, stop);
                    foreach (var facet in Closed)
                    {
                        await rows.WriteAsync(BitsOf(facet, facet.Values(l, p)), NpgsqlDbType.Integer, stop);
                    }
                }
            }

            await rows.CompleteAsync(stop);
        }

        await RunAsync(
            source,
            "create index on flat (pace, published desc); create index on flat (pace, needed); create index on flat (pace, score); create index on flat (pace, coach); create index on flat (pace, series); create index on flat (pace, kit); "
            + string.Concat(Closed.Select(f => $"create index on flat (pace, {Column(f)}); ")) + "vacuum analyze flat",
            stop);
        return new SqlFinder(source, coaches, series, kits);
    }

    /// <summary>All counts and the first 24; returns the total.</summary>
    public async Task<long> FindAsync(FindQuery query, CancellationToken stop)
    {
        var where = Limits(query);
        string Others(string but) => where.Where(w => w.Key != but).Select(w => w.Sql).DefaultIfEmpty("true").Aggregate((a, b) => $"{a} and {b}");
        var all = Others("");

        // One pass: every limit as a boolean, every count as a filtered aggregate over them.
        var sql = new StringBuilder("select count(*) filter (where ").Append(Named(where, "")).Append(')');
        foreach (var facet in Closed)
        {
            for (var i = 0; i < facet.Order.Length; i++)
            {
                sql.Append(CultureInfo.InvariantCulture, $", count(*) filter (where {Named(where, facet.Joins == Joins.Any ? facet.Key : "")} and {Column(facet)} & {1 << i} <> 0)");
            }
        }

        sql.Append(" from (select *");
        foreach (var (key, condition) in where)
        {
            sql.Append(CultureInfo.InvariantCulture, $", ({condition}) as is_{key}");
        }

        sql.Append(CultureInfo.InvariantCulture, $" from flat where pace = {(int)query.Pace}) x");
        await using var counts = source.CreateCommand(sql.ToString());
        await using var reader = await counts.ExecuteReaderAsync(stop);
        await reader.ReadAsync(stop);
        var total = reader.GetInt64(0);
        await reader.CloseAsync();
        foreach (var (column, key) in new[] { ("coach", "coach"), ("series", "series"), ("kit", "kit"), ("least(needed / 300, 17)", "time") })
        {
            await DrainAsync($"select {column}, count(*) from flat where pace = {(int)query.Pace} and {Others(key)} group by 1", stop);
        }

        var order = query.Sort switch { FindSort.Shortest => "needed", FindSort.Easiest => "score", _ => "published desc" };
        await DrainAsync($"select id from flat where pace = {(int)query.Pace} and {all} order by {order} limit 24", stop);
        return total;
    }

    public async ValueTask DisposeAsync() => await RunAsync(source, "drop table if exists flat", CancellationToken.None);

    private static string Named(List<(string Key, string Sql)> where, string but) =>
        where.Where(w => w.Key != but).Select(w => $"is_{w.Key}").DefaultIfEmpty("true").Aggregate((a, b) => $"{a} and {b}");

    private List<(string Key, string Sql)> Limits(FindQuery query)
    {
        var limits = new List<(string, string)>();
        foreach (var facet in Facet.All.Where(f => !query.Of(f).IsEmpty))
        {
            var chosen = query.Of(facet);
            limits.Add((facet.Key, facet.Order.IsEmpty
                ? $"{Column(facet)} in ({string.Join(',', chosen.Select(c => (facet == Facet.Coach ? coaches : series).ToList().IndexOf(c)))})"
                : facet.Joins == Joins.Any
                    ? $"{Column(facet)} & {BitsOf(facet, chosen)} <> 0"
                    : $"{Column(facet)} & {BitsOf(facet, chosen)} = {BitsOf(facet, chosen)}"));
        }

        if (query.MinMinutes is not null || query.MaxMinutes is not null)
        {
            limits.Add(("time", $"needed between {(query.MinMinutes ?? 0) * 60} and {(query.MaxMinutes ?? 600) * 60}"));
        }

        if (!query.Kit.IsEmpty)
        {
            limits.Add(("kit", $"kit in ({string.Join(',', kits.Select((k, i) => (k.Example, i)).Where(x => Segment.IsDoable(x.Example.Kit, query.Kit)).Select(x => x.i).DefaultIfEmpty(-1))})"));
        }

        return limits;
    }

    private async Task DrainAsync(string sql, CancellationToken stop)
    {
        await using var command = source.CreateCommand(sql);
        await using var reader = await command.ExecuteReaderAsync(stop);
        while (await reader.ReadAsync(stop))
        {
        }
    }

    private static async Task RunAsync(NpgsqlDataSource source, string sql, CancellationToken stop)
    {
        foreach (var statement in sql.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            await using var command = source.CreateCommand(statement);
            command.CommandTimeout = 600;
            await command.ExecuteNonQueryAsync(stop);
        }
    }

    private static string Column(Facet facet) => facet.Key switch { "rest" => "rested", "without" => "without_", _ => facet.Key };

    private static int BitsOf(Facet facet, IEnumerable<string> values) => values.Aggregate(0, (bits, v) => facet.Order.IndexOf(v) is >= 0 and var i ? bits | (1 << i) : bits);

    private static string KitKey(Listing l) => string.Join('|', l.Kit.Select(k => $"{k.Item}<{string.Join(',', k.StandIns)}"));

    private static Dictionary<string, int> Numbered(IEnumerable<string> values) => values.Select((v, i) => (v, i)).ToDictionary(x => x.v, x => x.i);
}
