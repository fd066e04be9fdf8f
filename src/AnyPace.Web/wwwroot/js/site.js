// Keys on the desk: whatever carries data-key is clicked or focused by that key. Everything works without this file.
document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const typing = event.target.closest("input, select, textarea");
  if (typing) {
    if (event.key === "Escape") typing.blur();
    return;
  }
  if (event.key === "?") {
    const keys = document.getElementById("keys");
    if (keys) {
      event.preventDefault();
      if (keys.open) keys.close();
      else keys.showModal();
    }
    return;
  }
  if (event.key === "Enter" && event.target.closest("a, button, summary, dialog")) return;
  const target = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
  if (!target) return;
  event.preventDefault();
  if (target.matches("input, select")) target.focus();
  else target.click();
});

// On a phone the filters start folded, so that the first thing seen is what fits.
const fold = document.querySelector(".rail-fold");
if (fold && window.matchMedia("(max-width: 760px)").matches) fold.open = false;

// A number that was followed here opens to its sum.
const opened = location.hash.startsWith("#why-") && document.getElementById(location.hash.slice(1));
if (opened) {
  opened.open = true;
  opened.scrollIntoView();
}

// A refused swap (signed out, stale form) must be seen, not swallowed.
document.addEventListener("htmx:responseError", () => window.location.reload());
