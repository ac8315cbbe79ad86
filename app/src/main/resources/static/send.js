// What boxes are asked, in the browser: the server says what goes, the gate lets it go, somebody says what was seen.
import { byId } from "./page.js";
import { allowExclusive, bringOwn, hex, listen, names, namesOut, watch } from "./ports.js";
import { isOpen, sinceSent, sendThrough, openGate, shutGate, station, watchGate } from "./gate.js";
import { bringServers } from "./ownports.js";
import { joinSimulated } from "./simulated.js";
import { back, remember } from "./focus.js";
import { isEditing } from "./waiting.js";

const byItself = { "Embrack-By-Itself": "send" };
const TRIES = 30;
const TRY_MS = 120;
const BACK_MS = 500;
const ANSWER_MS = 2000;
const STEP_MS = 1000;

const room = () => document.querySelector("main.line-send");
const box = () => byId("asked")?.dataset.box ?? "";
const turn = (page) => Number(page.querySelector("#asked")?.dataset.turn ?? 0);

async function post(path, fields) {
  const token = document.querySelector("form [name=_csrf]")?.value ?? "";
  const body = new URLSearchParams({ ...fields, station, _csrf: token });
  return fetch(`${room().dataset.send}${path}`, { method: "POST", headers: byItself, body }).catch(() => undefined);
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

function say(words) {
  if (byId("gate-state")) byId("gate-state").textContent = words;
}

// What of the page goes by whether the gate is open for the box that is looked at.
function showGate() {
  if (!room()) return;
  room().dataset.gate = isOpen(box()) ? "open" : "shut";
}

async function catchUp() {
  const path = room()?.dataset.send;
  if (!path || isEditing()) return;
  const answer = await fetch(`${path}/part`, { headers: byItself }).catch(() => undefined);
  if (!answer?.ok || isEditing() || !byId("asked")) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").getElementById("asked");
  if (!fresh || Number(fresh.dataset.turn) < turn(document)) return;
  remember();
  byId("asked").replaceWith(fresh);
  htmx.process(fresh);
  back();
  showGate();
}

// Asks the server what goes, and lets it go. The words say why not.
async function send(path, fields = {}) {
  const answer = await post(path, { ports: namesOut().join("\n"), ...fields });
  if (!answer?.ok) {
    say("The server does not answer, or refused it: nothing was sent.");
    return null;
  }
  const reply = await answer.json();
  say(reply.words);
  if (!sendThrough(reply)) return null;
  // Nothing is asked before all of it is out.
  await pause((reply.sends.at(-1)?.afterMicros ?? 0) / 1000);
  return reply;
}

async function tellPorts() {
  if (!room()) return;
  const answer = await post("/ports", { outs: namesOut().join("\n"), ins: names().join("\n") });
  if (!answer?.ok || !byId("ports-out")) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".ports");
  byId("ports-out").replaceChildren(...(fresh ? [fresh] : []));
  htmx.process(byId("ports-out"));
  const plugged = Number(fresh?.dataset.plugged ?? 0);
  byId("out-count").textContent = plugged ? `: ${plugged}` : "";
  byId("plugged-out").open = plugged === 0 || names().length + namesOut().length < 4;
  byId("out-state").textContent = namesOut().length
    ? "Nothing is sent before you say yes to a box."
    : "No MIDI port out is there. Plug one in; it is found by itself.";
}
watch(tellPorts);
watchGate(showGate);

// How long messages take that come back: each that goes is waited for at every port in.
const measured = new Map();
let waited = null;
listen(({ at, data, port }) => {
  if (!waited || hex(data) !== waited.hex) return;
  const key = JSON.stringify([waited.port, port]);
  measured.set(key, [...(measured.get(key) ?? []), Math.max(0, Math.round((at - waited.at) * 1000))]);
});

async function measure() {
  measured.clear();
  const to = box();
  for (let i = 0; i < TRIES && isOpen(to); i++) {
    const answer = await post("/measure", { ports: namesOut().join("\n"), box: to });
    const reply = answer?.ok ? await answer.json() : null;
    if (!reply || reply.words) {
      waited = null;
      say(reply?.words ?? "The server does not answer: nothing was measured.");
      return;
    }
    waited = { ...reply.sends[0], at: performance.now() };
    sendThrough(reply);
    say(`Try ${i + 1} of ${TRIES}.`);
    await pause(TRY_MS);
  }
  await pause(BACK_MS);
  waited = null;
  for (const [key, times] of measured) {
    const [out, back] = JSON.parse(key);
    await post("/loop", { out, in: back, micros: times.join(" ") });
  }
  say(measured.size ? "" : "Nothing came back. Lead the end of a way into a port in, and say at which box it hangs.");
  catchUp();
}

// Who the box is: asked by a system exclusive message, which the browser allows apart, and answered by one.
let identifying = "";
listen(({ data }) => {
  if (!identifying || data[0] !== 0xf0 || data[1] !== 0x7e || data[3] !== 6 || data[4] !== 2) return;
  const asked = identifying;
  identifying = "";
  say("");
  post("/identified", { box: asked, bytes: hex(data) }).then(catchUp);
});
async function identify() {
  const trouble = await allowExclusive();
  if (trouble) return say(trouble);
  const asked = box();
  identifying = asked;
  if (!(await send("/identity", { box: asked }))) identifying = "";
  await pause(ANSWER_MS);
  if (identifying === asked)
    say("It does not answer. Many boxes do not know the question, or have no way back to here.");
}

// One a second until somebody says stop, or it is over.
let stepping = 0;
function stopStepping() {
  clearInterval(stepping);
  stepping = 0;
}
async function step() {
  if (!isOpen(box()) || !(await send("/search/next"))) stopStepping();
  await catchUp();
  if (!document.querySelector("[data-step]") || byId("search-over")) stopStepping();
}

// A box that waits is sent its lesson, once or again and again until it has it.
let teaching = 0;
function stopTeaching() {
  clearInterval(teaching);
  teaching = 0;
}
async function teach(lesson) {
  if (!isOpen(box()) || !(await send("/teach", { box: box(), lesson }))) stopTeaching();
  showReceivers();
}
function teachAgain(lesson, pace) {
  stopTeaching();
  if (pace) teaching = setInterval(() => teach(lesson), pace);
  teach(lesson);
}

// What real boards send goes on to the boxes whose gate is open, for as long as somebody wants it.
let drives = false;
document.addEventListener("change", ({ target }) => {
  if (target.id === "drive") drives = target.checked;
});
let driving = Promise.resolve();
listen(({ at, data, port }) => {
  if (!drives || !room()) return;
  const boxes = [...document.querySelectorAll("[data-asked-box]")].map((tab) => tab.dataset.askedBox).filter(isOpen);
  if (!boxes.length) return;
  const since = sinceSent(hex(data), at);
  driving = driving.then(async () => {
    const answer = await post("/drive", { ports: namesOut().join("\n"), from: port, bytes: hex(data), since });
    if (!answer?.ok) return;
    const driven = await answer.json();
    if (driven.words) say(driven.words);
    if (driven.isLoop) {
      drives = false;
      byId("drive").checked = false;
      shutGate();
      return;
    }
    for (const reply of driven.replies) sendThrough(reply);
  });
});

document.addEventListener("click", async ({ target }) => {
  const at = (selector) => target.closest?.(selector);
  if (!room()) return;
  if (at("#open-outs")) {
    const trouble = await bringOwn();
    if (trouble) say(trouble);
  }
  if (at("#open-servers")) {
    const trouble = await bringServers(`${room().dataset.send}/own/ports`);
    if (trouble) say(trouble);
  }
  if (at("#join-receivers")) {
    const trouble = await joinSimulated(`${room().dataset.simulated}?ends`);
    if (trouble) say(trouble);
    else showReceivers();
  }
  if (at("#say-yes")) {
    const to = box();
    const answer = await post("/open", { box: to });
    if (answer?.ok) openGate(to);
    else say("The server does not answer: the gate stays shut.");
  }
  if (at("#shut")) {
    stopTeaching();
    stopStepping();
    shutGate();
    await post("/shut", {});
    say("Shut. Notes are off and pedals are up where they were sent.");
  }
  if (at("[data-next]")) {
    const yes = byId("yes-again")?.checked ?? false;
    const probe = document.querySelector("[data-now]")?.dataset.now ?? "";
    if (await send("/next", { yes, probe })) await catchUp();
    showReceivers();
  }
  if (at("[data-teach]")) teachAgain(at("[data-teach]").dataset.teach, Number(byId("teach-pace")?.value ?? 0));
  if (at(".lessons form")) stopTeaching();
  if (at("#measure")) measure();
  if (at("#identify")) identify();
  if (at("[data-search-next]")) {
    if (await send("/search/next")) await catchUp();
    showReceivers();
  }
  if (at("[data-step]") && !stepping) {
    stepping = setInterval(step, STEP_MS);
    step();
  }
  if (at("[data-stop]")) stopStepping();
});

// What the simulated receivers do now, for who has no gear at hand.
async function showReceivers() {
  if (!room() || !names().some((name) => name.endsWith("(simulated)"))) return;
  const answer = await fetch(room().dataset.receivers, { headers: byItself }).catch(() => undefined);
  if (!answer?.ok || !byId("receivers")) return;
  putReceivers(await answer.text());
}
function putReceivers(html) {
  const fresh = new DOMParser().parseFromString(html, "text/html").getElementById("receivers");
  if (fresh) byId("receivers")?.replaceWith(fresh);
}
document.addEventListener("submit", async (event) => {
  if (event.target.id !== "set-receiver") return;
  event.preventDefault();
  const answer = await fetch(event.target.action, {
    method: "POST",
    headers: byItself,
    body: new URLSearchParams(new FormData(event.target)),
  }).catch(() => undefined);
  if (answer) putReceivers(await answer.text());
  else say("The server does not answer: nothing was set.");
});

document.addEventListener("send-moved", ({ detail }) => {
  if (room() && detail > turn(document)) catchUp();
});
let here = null;
document.addEventListener("htmx:afterSettle", () => {
  showGate();
  if (room() === here) return;
  // Whoever leaves the page has done with sending.
  if (here && !room()) {
    stopTeaching();
    stopStepping();
    shutGate();
  }
  here = room();
  drives = drives && here !== null;
  if (here) {
    byId("drive").checked = drives;
    tellPorts();
    showReceivers();
  }
});
