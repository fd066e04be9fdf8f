// The yardstick of the load runs: a Razor page that says one sentence, served as the site is.
var builder = WebApplication.CreateBuilder(args);
builder.Logging.ClearProviders();
builder.Services.AddRazorPages();
var app = builder.Build();
app.MapRazorPages();
app.Run();
