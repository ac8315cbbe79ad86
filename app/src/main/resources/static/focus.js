// Where somebody is stays where it was when something is swapped. No rule of the job is here.
import { note, reopen } from "./opened.js";

/** What finds an element again in a page that came anew, else what stands in its place: selectors, and which of all. */
function address(element) {
  const quoted = (value) => `"${CSS.escape(value)}"`;
  const named = (name) => (element.hasAttribute(name) ? `[${name}=${quoted(element.getAttribute(name))}]` : "");
  const form = element.form ?? element.closest("form");
  const action = form?.getAttribute("action");
  const within = action ? `form[action=${quoted(action)}] ` : "";
  const value = /^(radio|checkbox|submit)$/.test(element.type) ? named("value") : "";
  const selector = element.id
    ? `#${CSS.escape(element.id)}`
    : `${within}${element.localName}${named("name")}${value}${named("href")}${named("data-press")}${named("hx-post")}`;
  const among = (all) => ({ selector: all, nth: [...document.querySelectorAll(all)].indexOf(element) });
  return within ? [among(selector), among(within + element.localName)] : [among(selector)];
}

let was = [];
/** Remembers where somebody is, before something is put in the place of something else. */
export function remember() {
  note();
  const here = document.activeElement;
  was = [];
  // A list that was chosen from by mouse or finger lets go, so that keys are the page's again.
  if (!here || here === document.body || here.matches("select:not(:focus-visible)")) return;
  was = address(here);
  for (let around = here.parentElement?.closest("[id]"); around; around = around.parentElement?.closest("[id]"))
    was.push({ selector: `#${CSS.escape(around.id)}`, nth: 0 });
}

/** Brings them back there, if they are nowhere now. */
export function back() {
  reopen();
  if (!was.length || (document.activeElement && document.activeElement !== document.body)) return;
  for (const { selector, nth } of was) {
    const found = document.querySelectorAll(selector);
    const here = found[Math.min(nth, found.length - 1)];
    if (!here || here.disabled || !here.checkVisibility()) continue;
    if (here.tabIndex < 0) here.tabIndex = -1;
    here.focus({ preventScroll: true });
    if (document.activeElement === here) break;
  }
}
document.addEventListener("htmx:beforeSwap", remember);
// As soon as the page is there: a key pressed right after must not go astray.
document.addEventListener("htmx:afterSwap", back);
document.addEventListener("htmx:afterSettle", () => {
  back();
  was = [];
});
