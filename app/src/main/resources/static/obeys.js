// MIDI inputs of the browser, told to what stands in for a desk. What messages mean is not known here.
import { byId } from "./page.js";

const heard = [];
const inputs = new Map();
let words = "";
let telling = false;

function say(said) {
  words = said;
  if (byId("midi-state")) byId("midi-state").textContent = words;
}

const hex = (bytes) => [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");

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

function listen(access) {
  inputs.clear();
  for (const input of access.inputs.values()) {
    inputs.set(input.id, input.name);
    input.onmidimessage = ({ timeStamp, data }) => {
      heard.push({ at: timeStamp || performance.now(), data });
      tell();
    };
  }
  const names = [...inputs.values()].join(", ");
  say(names ? `Hears ${names}.` : "No MIDI input is there. Plug one in; it is found by itself.");
}

document.addEventListener("click", async ({ target }) => {
  if (!target.closest?.("#hear-midi")) return;
  if (!navigator.requestMIDIAccess) {
    say("This browser hears no MIDI. Take one that does, on the computer that runs Embrack.");
    return;
  }
  try {
    const access = await navigator.requestMIDIAccess();
    access.onstatechange = () => listen(access);
    listen(access);
  } catch {
    say("The browser was not allowed to hear MIDI. Allow it beside the address, and press again.");
  }
});

document.addEventListener("htmx:load", () => say(words));
