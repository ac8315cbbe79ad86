// Which keys count. No rule of the job is here.
// Keys of one letter, digit or sign can be switched off or exchanged for others, since voices and shaky hands press
// them by accident (WCAG 2.2, 2.1.4); what needs Ctrl, and Escape, Delete and arrows stay.
import { typing } from "./page.js";

const SWITCHED_OFF = "single-keys-off";
export const areOn = () => localStorage.getItem(SWITCHED_OFF) === null;

/** Whether a key is meant for the page: nothing is typed into, nothing is held down with it that a browser uses. */
export function isForPage(event) {
  // AltGr comes as Ctrl and Alt on some machines, and makes signs such as [ on many keyboards.
  const held = (event.ctrlKey || event.altKey) && !event.getModifierState("AltGraph");
  return !held && !event.metaKey && !typing(event.target) && (event.key.length > 1 || areOn());
}

/** Whether it is undo or redo as everywhere: Ctrl or Command with Z, with Shift for redo, or Ctrl with Y. */
export function undoOrRedo(event) {
  if (!(event.ctrlKey || event.metaKey) || event.altKey || typing(event.target)) return null;
  const key = event.key.toLowerCase();
  if (key === "z") return event.shiftKey ? "redo" : "undo";
  return key === "y" ? "redo" : null;
}

// What is pressed, to what it stands for.
const CHANGED = "changed-keys";
const changed = () => JSON.parse(localStorage.getItem(CHANGED) ?? "{}");

/** The key that is meant by the one that was pressed; one for which another was chosen means nothing any more. */
export function meant(event) {
  const keys = changed();
  if (Object.hasOwn(keys, event.key)) return keys[event.key];
  return Object.values(keys).includes(event.key) ? "" : event.key;
}

function keep(keys) {
  localStorage.setItem(CHANGED, JSON.stringify(keys));
  show();
}

function change(was, now) {
  const all = [...document.querySelectorAll("#help dt kbd")].map((key) => key.textContent);
  if (!all.includes(was)) return `\u201c${was}\u201d is no key of this list.`;
  if (all.includes(now) || now in changed()) return `\u201c${now}\u201d does something else already.`;
  const others = Object.entries(changed()).filter(([, stands]) => stands !== was);
  keep({ ...Object.fromEntries(others), [now]: was });
  return "";
}

function show() {
  const box = document.getElementById("single-keys");
  if (!box) return;
  box.checked = areOn();
  const list = document.getElementById("changed-keys");
  list.replaceChildren(
    ...Object.entries(changed()).map(([now, was]) => {
      const line = document.createElement("li");
      const back = Object.assign(document.createElement("button"), {
        type: "button",
        className: "button is-quiet",
        textContent: `${now} for ${was}: as before`,
      });
      back.dataset.keyBack = now;
      line.append(back);
      return line;
    }),
  );
}
document.addEventListener("DOMContentLoaded", show);
document.addEventListener("submit", (event) => {
  if (event.target.id !== "change-key") return;
  event.preventDefault();
  const [was, now] = ["key-was", "key-now"].map((id) => document.getElementById(id));
  const wrong = change(was.value, now.value);
  document.getElementById("key-problem").textContent = wrong;
  if (wrong) now.focus();
  else event.target.reset();
});
document.addEventListener("click", (event) => {
  const now = event.target.closest("[data-key-back]")?.dataset.keyBack;
  if (!now) return;
  keep(Object.fromEntries(Object.entries(changed()).filter(([key]) => key !== now)));
  document.getElementById("key-was").focus();
});
document.addEventListener("change", (event) => {
  if (event.target.id !== "single-keys") return;
  if (event.target.checked) localStorage.removeItem(SWITCHED_OFF);
  else localStorage.setItem(SWITCHED_OFF, "yes");
});
