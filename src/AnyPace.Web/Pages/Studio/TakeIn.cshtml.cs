using System.ComponentModel.DataAnnotations;
using System.Globalization;
using AnyPace.Core.Captions;
using AnyPace.Core.Reading;
using AnyPace.Data.Sessions;
using AnyPace.Web.Hosting;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace AnyPace.Web.Pages.Studio;

/// <summary>Captions in: a new session with its first reading.</summary>
[RequestSizeLimit(3 * CaptionReader.MaxBytes)]
[RequestFormLimits(ValueLengthLimit = 3 * CaptionReader.MaxBytes)]
public sealed class TakeInModel(SessionStore sessions, CaptionReading reading, TimeProvider time) : PageModel
{
    public sealed class Fields
    {
        public IFormFile? Captions { get; set; }

        /// <summary>A file that was read but could not be saved yet, so that it need not be chosen again.</summary>
        public string? KeptName { get; set; }

        public string? KeptText { get; set; }

        [Required(ErrorMessage = "Give it a title.")]
        [StringLength(120, ErrorMessage = "A title has at most 120 characters.")]
        public string Title { get; set; } = "";

        [Required(ErrorMessage = "Say who coaches.")]
        [StringLength(80, ErrorMessage = "A coach's name has at most 80 characters.")]
        public string Coach { get; set; } = "";

        [StringLength(80, ErrorMessage = "A series' name has at most 80 characters.")]
        public string? Series { get; set; }

        [Required(ErrorMessage = "Say when it was recorded.")]
        public DateOnly? RecordedOn { get; set; }

        /// <summary>Kept as typed, so that a slip comes back with its message.</summary>
        public string? StatedMinutes { get; set; }
    }

    [BindProperty]
    public Fields Input { get; set; } = new();

    public IReadOnlyList<string> Coaches { get; private set; } = [];

    public async Task OnGetAsync(CancellationToken stop)
    {
        Input.RecordedOn = DateOnly.FromDateTime(time.GetUtcNow().Date);
        await LoadAsync(stop);
    }

    public async Task<IActionResult> OnPostAsync(CancellationToken stop)
    {
        await LoadAsync(stop);
        double? stated = null;
        if (!string.IsNullOrWhiteSpace(Input.StatedMinutes))
        {
            if (double.TryParse(Input.StatedMinutes.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var m) && m is > 0 and <= 600)
            {
                stated = m;
            }
            else
            {
                ModelState.AddModelError("Input.StatedMinutes", $"\"{Input.StatedMinutes}\" is not a number of minutes between 0 and 600.");
            }
        }

        var file = await CaptionsAsync(stop);
        if (!ModelState.IsValid || file is null)
        {
            return Page();
        }

        var timeline = reading.Read(file, new ReadingContext(Input.Title, stated));
        var id = await sessions.TakeInAsync(
            new SessionFacts(Input.Title.Trim(), Input.Coach.Trim(), Input.RecordedOn!.Value, stated, string.IsNullOrWhiteSpace(Input.Series) ? null : Input.Series.Trim()), Input.KeptName!, Input.KeptText!, timeline, User.AccountId(), stop);
        return RedirectToPage("/Studio/Desk", new { id });
    }

    /// <summary>The uploaded or kept captions; null, with an error that says which line and why, where they can't be read.</summary>
    private async Task<CaptionFile?> CaptionsAsync(CancellationToken stop)
    {
        try
        {
            CaptionFile file;
            if (Input.Captions is { Length: > 0 } upload)
            {
                using var bytes = new MemoryStream();
                await upload.CopyToAsync(bytes, stop);
                file = CaptionReader.Read(bytes.ToArray());
                Input.KeptName = Path.GetFileName(upload.FileName) is { Length: > 120 } name ? name[..120] : Path.GetFileName(upload.FileName);
                Input.KeptText = CaptionWriter.WebVtt(file.Cues);
                ModelState.Remove("Input.KeptName");
                ModelState.Remove("Input.KeptText");
            }
            else if (Input.KeptText is { Length: > 0 } kept)
            {
                file = CaptionReader.Read(kept);
            }
            else
            {
                ModelState.AddModelError("Input.Captions", "Choose a caption file.");
                return null;
            }

            return file;
        }
        catch (CaptionException e)
        {
            ModelState.AddModelError("Input.Captions", $"The captions can't be read. Line {e.Line}: {e.Reason} Expected {e.Expected}.");
            return null;
        }
    }

    private async Task LoadAsync(CancellationToken stop) =>
        Coaches = [.. (await sessions.AllAsync(stop)).Select(s => s.Facts.Coach).Distinct().Order()];
}
