using System.Xml.Linq;
using Microsoft.AspNetCore.DataProtection.Repositories;

namespace AnyPace.Data.Accounts;

/// <summary>Data-protection keys in the database, so that every web node reads every node's cookies.</summary>
public sealed class KeyStore(Database database) : IXmlRepository
{
    // The interface is synchronous and used at start and at key roll-over only; waiting here blocks no request.
    public IReadOnlyCollection<XElement> GetAllElements() =>
        database.ReadAsync("select xml from data_protection_key order by id", _ => { }, r => XElement.Parse(r.GetString(0)), CancellationToken.None)
            .GetAwaiter().GetResult();

    public void StoreElement(XElement element, string friendlyName) =>
        database.WriteAsync(
            Audit.Of(null, "key stored", $"key {friendlyName}"),
            "insert into data_protection_key (friendly_name, xml) values ($1, $2)",
            p => p.Text(friendlyName).Text(element.ToString(SaveOptions.DisableFormatting)),
            CancellationToken.None).GetAwaiter().GetResult();
}
