using AnyPace.Core.Measures;
using AnyPace.Data.Studio;

namespace AnyPace.Web.Hosting;

/// <summary>How this node measures: the studio's choices, read at the start and when the catalogue hears of a change.</summary>
public sealed class StudioSettings(SettingStore store)
{
    private volatile MeasureSettings _current = MeasureSettings.Usual;

    public MeasureSettings Current => _current;

    public async Task RefreshAsync(CancellationToken stop) => _current = await store.FindAsync(stop);
}
