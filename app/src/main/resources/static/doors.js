// The list at doors, ticked by what real boards send. What it tells of which line is the server's to know.
import { byId } from "./page.js";
import { bringOwn, listenForGoes, names, watch } from "./ports.js";

const GO_MS = 120;
// Of a pedal on its way only where it came to counts.
const LAST = 200;
let hears = false;

const ears = () => document.querySelector(".doors-ears");

function say(words) {
  if (byId("doors-heard")) byId("doors-heard").textContent = words;
}

listenForGoes(GO_MS, ({ sent, port }) => {
  if (!hears || !ears()) return;
  const token = document.querySelector("form [name=_csrf]").value;
  htmx.ajax("POST", ears().dataset.path, {
    source: ears(),
    target: "#doors-list",
    select: "#doors-list",
    selectOOB: "#doors-done",
    swap: "outerHTML",
    values: { port, sent: sent.split(" ").slice(-LAST).join(" "), _csrf: token },
  });
});

watch(() => {
  if (!hears) return;
  const there = names().join(", ");
  say(there ? `Hears ${there}. Which box hangs where is said in Line check.` : "No MIDI port is there yet.");
});

document.addEventListener("click", async ({ target }) => {
  if (!target.closest?.("#doors-listen")) return;
  hears = true;
  const trouble = await bringOwn();
  hears = !trouble;
  if (trouble) say(trouble);
});
