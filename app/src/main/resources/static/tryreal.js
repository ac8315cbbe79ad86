// Try it, played from the real board: what it sends for a foot is told to the server, which knows what the foot did.
import { byId } from "./page.js";
import { bringOwn, listenForGoes, names, watch } from "./ports.js";

const GO_MS = 120;
let hears = false;
let words = "";

function say(said) {
  words = said;
  if (byId("try-real-state")) byId("try-real-state").textContent = words;
}

listenForGoes(GO_MS, ({ sent, port }) => {
  const where = document.querySelector(".from-real");
  if (!hears || !where) return;
  const token = document.querySelector("form [name=_csrf]").value;
  htmx.ajax("POST", where.dataset.path, {
    source: where,
    target: "#trial",
    select: "#trial",
    swap: "outerHTML",
    values: { port, sent, here: where.dataset.here, _csrf: token },
  });
});

watch(() => {
  if (!hears) return;
  const there = names().join(", ");
  say(there ? `Hears ${there}. Which box hangs where is said in Line check.` : "No MIDI port is there yet.");
});

document.addEventListener("click", async ({ target }) => {
  if (!target.closest?.("#try-real")) return;
  hears = true;
  const trouble = await bringOwn();
  hears = !trouble;
  if (trouble) say(trouble);
});
document.addEventListener("htmx:load", () => say(words));
