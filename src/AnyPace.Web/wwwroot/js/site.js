// Keys on the desk: whatever carries data-key is clicked or focused by that key. Everything works without this file.
document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  const typing = event.target.closest("input:not([type=checkbox]), select, textarea");
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
  if (target.matches("input:not([type=checkbox]), select")) target.focus();
  else target.click();
});

// On a phone the filters start folded, so that the first thing seen is what fits.
const fold = document.querySelector(".rail-fold");
if (fold && window.matchMedia("(max-width: 760px)").matches) fold.open = false;

// The time bars can be dragged over: from the bar where the finger goes down to the bar where it lifts. The two fields beside them do the same without this.
document.addEventListener("pointerdown", (event) => {
  const bars = event.target.closest("#time-bars");
  if (!bars || event.button > 0) return;
  event.preventDefault();
  const rects = [...bars.querySelectorAll("rect")];
  const box = bars.getBoundingClientRect();
  const at = (x) => Math.max(0, Math.min(rects.length - 1, Math.floor(((x - box.left) / box.width) * rects.length)));
  const first = at(event.clientX);
  let last = first;
  const show = () => rects.forEach((r, i) => r.classList.toggle("in", i >= Math.min(first, last) && i <= Math.max(first, last)));
  const move = (e) => {
    last = at(e.clientX);
    show();
  };
  const up = () => {
    document.removeEventListener("pointermove", move);
    const width = Number(bars.dataset.bar);
    const [from, to] = [Math.min(first, last) * width, (Math.max(first, last) + 1) * width];
    document.getElementById("time-from").value = from || "";
    const field = document.getElementById("time-to");
    field.value = Math.max(first, last) === rects.length - 1 ? "" : to;
    field.dispatchEvent(new Event("change", { bubbles: true }));
  };
  show();
  document.addEventListener("pointermove", move);
  document.addEventListener("pointerup", up, { once: true });
});

// A swap redraws the filters; what was folded open stays open, and the filters stay unfolded on a phone.
document.addEventListener("htmx:beforeSwap", (event) => {
  if (event.detail.target.id !== "find") return;
  const open = [...document.querySelectorAll("#find details")].map((d) => d.open);
  const names = [...document.querySelectorAll("#find details > summary")].map((s) => s.firstChild.textContent.trim());
  document.addEventListener(
    "htmx:afterSwap",
    () => {
      for (const summary of document.querySelectorAll("#find details > summary")) {
        const was = names.indexOf(summary.firstChild.textContent.trim());
        if (was >= 0) summary.parentElement.open = open[was];
      }
    },
    { once: true },
  );
});

// What is put right beside the timeline stays in sight: the page is drawn anew, and would else jump to its end.
document.addEventListener("htmx:beforeSwap", (event) => {
  if (event.detail.target.id !== "desk" || !event.detail.requestConfig.elt.closest(".figures")) return;
  const top = window.scrollY;
  document.addEventListener("htmx:afterSettle", () => window.scrollTo(0, top), { once: true });
});

// A number that was followed here opens to its sum.
const opened = location.hash.startsWith("#why-") && document.getElementById(location.hash.slice(1));
if (opened) {
  opened.open = true;
  opened.scrollIntoView();
}

// A refused swap (signed out, stale form) must be seen, not swallowed.
document.addEventListener("htmx:responseError", () => window.location.reload());
