// MIDI inputs of the browser, told to what stands in for a desk. What messages mean is not known here.
import { byId } from "./page.js";
import { bringOwn, hex, listen, names, watch } from "./ports.js";

const heard = [];
let words = "";
let telling = false;

function say(said) {
  words = said;
  if (byId("midi-state")) byId("midi-state").textContent = words;
}

async function tell() {
  const path = byId("hear-midi")?.dataset.path;
  const token = document.querySelector("form [name=_csrf]")?.value;
  if (!path || !token) heard.length = 0;
  if (telling || !heard.length) return;
  telling = true;
  const now = performance.now();
  const lines = heard.splice(0).map(({ at, data }) => `${Math.max(0, Math.round((now - at) * 1000))} ${hex(data)}`);
  const body = new URLSearchParams({ messages: lines.join("\n"), _csrf: token });
  const answer = await fetch(path, { method: "POST", body }).catch(() => undefined);
  if (!answer?.ok) say("The server does not answer: what was pressed just now was not heard.");
  telling = false;
  tell();
}

listen(({ at, data }) => {
  if (!byId("hear-midi")) return;
  heard.push({ at, data });
  tell();
});

watch(() => {
  const there = names().join(", ");
  say(there ? `Hears ${there}.` : "No MIDI input is there. Plug one in; it is found by itself.");
});

document.addEventListener("click", async ({ target }) => {
  if (!target.closest?.("#hear-midi")) return;
  const trouble = await bringOwn();
  if (trouble) say(trouble);
});

document.addEventListener("htmx:load", () => say(words));
