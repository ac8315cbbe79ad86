// Which keys count. No rule of the job is here.
// Keys of one letter, digit or sign can be switched off, since voices and shaky hands press them by accident
// (WCAG 2.2, 2.1.4); what needs Ctrl, and Escape, Delete and arrows stay.
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

function show() {
  const box = document.getElementById("single-keys");
  if (box) box.checked = areOn();
}
document.addEventListener("DOMContentLoaded", show);
document.addEventListener("change", (event) => {
  if (event.target.id !== "single-keys") return;
  if (event.target.checked) localStorage.removeItem(SWITCHED_OFF);
  else localStorage.setItem(SWITCHED_OFF, "yes");
});
