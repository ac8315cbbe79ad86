// What a swap changed is said once to those who do not see it. No rule of the job is here.
import { byId } from "./page.js";

const LONGEST = 300;
const health = () => [...document.querySelectorAll(".health .mark")].map(words).join(", ");
const revision = () => byId("top")?.dataset.seen;
const words = (element) => element?.innerText.replace(/\s+/g, " ").trim() ?? "";
const all = (...parts) =>
  parts
    .filter((part) => part)
    .map((part) => part.replace(/\.$/, ""))
    .join(". ");
let before = { title: document.title, revision: revision() };

/** Says it; the same words again are said again. */
export function say(text) {
  const news = byId("news");
  if (news && text) news.textContent = news.textContent === text ? `${text}\u00a0` : text;
}

const named = (id) => byId(id)?.title.replace(/^\S+ /, "");
function ofEdit(path) {
  const told = words(document.querySelector(".told, .arrived h2"));
  if (revision() === before.revision)
    return told || document.activeElement?.closest("[data-news]")?.dataset.news || "Nothing changed";
  const done = path.endsWith("/undo")
    ? `Taken back: ${named("redo")}`
    : `${path.endsWith("/redo") ? "Made again" : "Kept"}: ${named("undo")}`;
  return all(told || done, health());
}

function ofPart(part, isEdit) {
  const told = part?.matches("[data-news]") ? part : part?.querySelector("[data-news]");
  return told?.dataset.news || words(told ?? (isEdit ? null : part)).slice(0, LONGEST);
}

function ofPage() {
  const { title } = document;
  const chosen = words(document.querySelector(".side h2"));
  const answer = words(document.querySelector("[data-news=page]"));
  return title === before.title && (chosen || answer)
    ? all(chosen, answer)
    : all(title.replace(/ \u2013 Embrack$/, ""), chosen, answer);
}

document.addEventListener("htmx:beforeSwap", () => (before = { title: document.title, revision: revision() }));
document.addEventListener("htmx:afterOnLoad", (event) => {
  const { requestConfig, xhr } = event.detail;
  const { elt } = requestConfig;
  if (elt.matches?.("[hx-trigger*=intersect]") || event.detail.isError) return;
  if (xhr.status === 422) {
    say(`Not kept: ${words(document.querySelector(".problem, .refused"))}`);
    return;
  }
  const select = elt.closest?.("[hx-select]")?.getAttribute("hx-select") ?? "#page";
  const isEdit = requestConfig.verb === "post";
  const part = select === "#page" ? "" : ofPart(document.querySelector(select), isEdit);
  say(part || (isEdit ? ofEdit(requestConfig.path) : ofPage()));
});

// A page that the browser loaded by itself, with what it could not take.
document.addEventListener("DOMContentLoaded", () => {
  const problem = document.querySelector("#main .problem");
  if (problem) say(`Not kept: ${words(problem)}`);
});
