using AnyPace.Web.Hosting;

var builder = WebApplication.CreateBuilder(args);
builder.AddAnyPace();
var app = builder.Build();
app.UseAnyPace();
app.Run();

/// <summary>Named so that tests can start the site.</summary>
public partial class Program;
