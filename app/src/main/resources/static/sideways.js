// Tables that are wider than the page go sideways by themselves, by keys too. No rule of the job is here.
function measure(box) {
  const isWide = box.scrollWidth > box.clientWidth;
  if (isWide === box.hasAttribute("role")) return;
  if (!isWide) {
    ["role", "tabindex", "aria-label"].forEach((name) => box.removeAttribute(name));
    return;
  }
  const heading = box.closest("section, article, main")?.querySelector("h1, h2, h3, h4");
  box.setAttribute("role", "group");
  box.setAttribute("tabindex", "0");
  box.setAttribute("aria-label", heading ? `Table of ${heading.innerText}` : "Table");
}
const observer = new ResizeObserver((changes) =>
  changes.forEach(({ target }) => {
    const box = target.closest(".sideways");
    if (box) measure(box); // a table that was just taken off the page lies in none
  }),
);
function observe() {
  observer.disconnect();
  document.querySelectorAll(".sideways, .sideways > table").forEach((box) => observer.observe(box));
}
for (const event of ["htmx:afterSettle", "DOMContentLoaded"]) document.addEventListener(event, observe);
