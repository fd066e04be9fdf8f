using AnyPace.Core.Finding;
using AnyPace.Core.Matching;
using AnyPace.Data.Members;

namespace AnyPace.Web.Hosting;

/// <summary>What the signed-in member wants now: profile, log and answers, read for this request only.</summary>
public static class MemberWishes
{
    public static async Task<Wishes> OfAsync(Guid account, ProfileStore profiles, LogStore log, CatalogueSnapshot catalogue, TimeProvider time, CancellationToken stop)
    {
        var now = time.GetUtcNow();
        return Wishes.Of(
            await profiles.FindAsync(account, stop), await log.DoneAsync(account, stop), await log.SignalsAsync(account, new DateTimeOffset(now.Date, TimeSpan.Zero), stop), catalogue, now);
    }
}
