// A run, played from real boards: what they send for a foot is told to the server, with how long ago it began.
import { byId } from "./page.js";
import { bringOwn, listenForGoes, names, watch } from "./ports.js";

const GO_MS = 120;
let hears = false;
let words = "";

const room = () => document.querySelector("main[data-live-run]");
function say(said) {
  words = said;
  if (byId("run-real-state")) byId("run-real-state").textContent = words;
}

// One go after the other, as they came.
let sent = Promise.resolve();
listenForGoes(GO_MS, ({ at, sent: bytes, port }) => {
  const form = byId("acts");
  if (!hears || !room() || !form) return;
  sent = sent
    .then(() => {
      const fields = { port, sent: bytes, ago: performance.now() - at, _csrf: form.elements._csrf.value };
      return fetch(form.action.replace(/act$/, "heard"), { method: "POST", body: new URLSearchParams(fields) });
    })
    .catch(() => {});
});

watch(() => {
  if (!hears) return;
  const there = names().join(", ");
  say(there ? `Hears ${there}. Which box hangs where is said in Line check.` : "No MIDI port is there yet.");
});

document.addEventListener("click", async ({ target }) => {
  if (!target.closest?.("#run-real")) return;
  hears = true;
  const trouble = await bringOwn();
  hears = !trouble;
  if (trouble) say(trouble);
});
document.addEventListener("htmx:load", () => say(words));
