// The editor of a model. No rule of the job is here.
import { byId } from "./page.js";

// What is typed into the editor and not kept yet outlives a link, a reload or a closed tab.
const draftFields = ["name", "kind", "chart", "box", "reality"];
const draftKey = () => `draft ${byId("draft")?.dataset.draftOf}`;
const readDraft = () => draftFields.map((name) => byId(name)?.value ?? "");
function offerDraft() {
  const offer = byId("draft-offer");
  const stored = offer && localStorage.getItem(draftKey());
  if (stored) offer.hidden = stored === JSON.stringify(readDraft());
}
document.addEventListener("input", (event) => {
  if (event.target.closest("#draft")) localStorage.setItem(draftKey(), JSON.stringify(readDraft()));
});
document.addEventListener("click", (event) => {
  const choice = event.target.closest("[data-draft]")?.dataset.draft;
  if (choice === "back") {
    JSON.parse(localStorage.getItem(draftKey())).forEach((value, i) => {
      byId(draftFields[i]).value = value;
    });
    byId("chart").dispatchEvent(new Event("input", { bubbles: true }));
  }
  if (choice === "forget") localStorage.removeItem(draftKey());
  if (choice) byId("draft-offer").hidden = true;
});
document.addEventListener("DOMContentLoaded", () => {
  const kept = document.querySelector("[data-kept]")?.dataset.kept;
  if (kept) localStorage.removeItem(`draft ${kept}`);
  offerDraft();
});
document.addEventListener("htmx:afterSettle", offerDraft);
