using AnyPace.Core.Measures;
using NpgsqlTypes;

namespace AnyPace.Data.Studio;

/// <summary>How the studio measures.</summary>
public sealed class SettingStore(Database database)
{
    /// <summary>The defaults where nothing was chosen.</summary>
    public async Task<MeasureSettings> FindAsync(CancellationToken stop) =>
        (await database.ReadAsync(
            "select impact_school, level_school, neighbours, weights from studio_setting",
            _ => { },
            r =>
            {
                var w = r.GetFieldValue<double[]>(3);
                return new MeasureSettings(
                    Enum.Parse<ImpactSchool>(r.GetString(0), ignoreCase: true), Enum.Parse<LevelSchool>(r.GetString(1), ignoreCase: true),
                    Enum.Parse<Neighbours>(r.GetString(2), ignoreCase: true), new DifficultyWeights(w[0], w[1], w[2], w[3], w[4], w[5], w[6], w[7]));
            },
            stop)).SingleOrDefault() ?? MeasureSettings.Usual;

    public Task SaveAsync(MeasureSettings settings, Guid? by, CancellationToken stop)
    {
        var w = settings.Weights;
        return database.WriteAsync(
            Audit.Of(by, "settings changed", "studio", settings),
            """
            insert into studio_setting (impact_school, level_school, neighbours, weights, changed_by) values ($1, $2, $3, $4, $5)
            on conflict (only_row) do update set impact_school = excluded.impact_school, level_school = excluded.level_school,
                neighbours = excluded.neighbours, weights = excluded.weights, changed_by = excluded.changed_by, changed_at = now()
            """,
            p => p.Text(Camel(settings.Impact)).Text(Camel(settings.Level)).Text(Camel(settings.Neighbours))
                .With(new[] { w.Effort, w.Density, w.Unbroken, w.Strength, w.Impact, w.Balance, w.Skill, w.UpAndDown }, NpgsqlDbType.Array | NpgsqlDbType.Double).Uuid(by),
            stop);
    }

    private static string Camel<T>(T value) where T : Enum
    {
        var name = value.ToString();
        return char.ToLowerInvariant(name[0]) + name[1..];
    }
}
