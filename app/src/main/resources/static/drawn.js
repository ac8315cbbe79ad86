// Links in drawings go as all others do: only the page between the frames is fetched, and no key is lost while the
// browser would load all anew. No rule of the job is here.
document.addEventListener("click", (event) => {
  const link = event.target.closest?.("svg a[href]");
  if (!link || event.defaultPrevented || event.button !== 0) return;
  if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey || link.closest("[hx-boost=false]")) return;
  event.preventDefault();
  htmx.ajax("GET", link.getAttribute("href"), {
    source: link,
    target: "#page",
    select: "#page",
    swap: "outerHTML show:none",
    push: "true",
  });
});
