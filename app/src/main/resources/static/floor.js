// The floor plan by hand: moving about it, what several switches are taken from and put to, the search.
// No rule of the job is here.
import { byId, toChosen } from "./page.js";

// The floor plan: moving about it, and what several switches are taken from and put to.
const tiles = () => [...document.querySelectorAll("#board .tile")];
const chosen = () => document.querySelector("#board .tile.selected");
const stored = (name) => (sessionStorage.getItem(name) ?? "").split("_").filter(Boolean);
export function walk(along, back) {
  const here = chosen();
  const control = document.querySelector(".control.selected");
  if (control) {
    const all = [...document.querySelectorAll(".control")];
    (all[all.indexOf(control) + along + back] ?? document.querySelector("#board a.tile-body"))?.click();
    return;
  }
  if (!here) return;
  const board = here.closest(".board");
  const columns = Number(board.dataset.columns);
  const number = (tile) => Number(tile.dataset.tile.replace(/\D/g, ""));
  const to = number(here) + along + back * columns;
  const beyond = along > 0 && number(here) % columns === 0;
  const there = beyond
    ? document.querySelector("a.control")
    : tiles()
        .find((tile) => tile.closest(".board") === board && number(tile) === to)
        ?.querySelector("a.tile-body");
  there?.click();
}
export function nextBank(step) {
  const banks = [...document.querySelectorAll("nav[aria-label=Banks] a")];
  banks[banks.findIndex((bank) => bank.hasAttribute("aria-current")) + step]?.click();
}
function drawMarks() {
  const marks = stored("marks");
  tiles().forEach((tile) => tile.classList.toggle("marked", marks.includes(tile.dataset.key)));
  const words = byId("clipboard-words");
  const taken = stored("taken").length;
  if (words)
    words.textContent = [marks.length ? `${marks.length} marked` : "", taken ? `${taken} copied` : ""]
      .filter(Boolean)
      .join(", ");
}
export function floor(what) {
  const here = chosen()?.dataset.key;
  const form = byId("floor-form");
  if (!here || !form) return;
  const marks = stored("marks");
  if (what === "mark") {
    sessionStorage.setItem(
      "marks",
      (marks.includes(here) ? marks.filter((key) => key !== here) : [...marks, here]).join("_"),
    );
  } else if (what === "take") {
    sessionStorage.setItem("taken", (marks.length ? marks : [here]).join("_"));
    sessionStorage.removeItem("marks");
  } else {
    byId("clipboard").value = what === "clear" ? (marks.length ? marks : [here]).join("_") : stored("taken").join("_");
    byId("floor-do").value = what;
    if (what === "clear") sessionStorage.removeItem("marks");
    if (what === "move" || what === "swap") sessionStorage.removeItem("taken");
    form.requestSubmit();
  }
  drawMarks();
}
for (const event of ["htmx:afterSettle", "DOMContentLoaded"]) document.addEventListener(event, drawMarks);

// Enter in the search takes the first that is found, once the list is that of what was typed.
let takeFirst = false;
function offerFirst() {
  const field = byId("find");
  const list = byId("offers");
  if (!takeFirst || !field || !list || list.dataset.find !== field.value) return;
  takeFirst = false;
  toChosen(field);
  list.querySelector("button")?.click();
}
document.addEventListener(
  "keydown",
  (event) => {
    if (event.target.id !== "find") return;
    if (event.key !== "Enter") {
      takeFirst = false;
      return;
    }
    event.preventDefault();
    takeFirst = true;
    offerFirst();
    if (takeFirst) htmx.trigger(event.target.form, "submit");
  },
  true,
);
document.addEventListener("htmx:afterSettle", offerFirst);
// After the tape is written, the keys are for the floor plan again.
document.addEventListener("keydown", (event) => {
  if (event.key === "Enter" && event.target.id === "switch-name") setTimeout(() => toChosen(event.target));
});
