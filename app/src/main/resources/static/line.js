// A line check in the browser: what its ports hear goes to the server, what came of it comes back. No rule is here.
import { byId } from "./page.js";
import { bringOwn, hex, listen, names, watch } from "./ports.js";
import { bringServers } from "./ownports.js";
import { hasSimulated, joinSimulated } from "./simulated.js";
import { back, remember } from "./focus.js";
import { isEditing } from "./waiting.js";

// So many of one number in one sending are told one by one; of more the last one, and how many there were.
const TOLD = 32;
// Of a clock every tick is told; no tempo has so many in one sending.
const TICKS_TOLD = 200;
const CLOCK = 0xf8;
const SENDING_MS = 100;
const HELD_UP_MS = 40;

// Who tells: times are those of this page's own clock, from which the server knows its own by the first telling.
const station = [...crypto.getRandomValues(new Uint32Array(2))].map((part) => part.toString(36)).join("");

// Which browser it is: two people at two boxes each see theirs.
if (!/(^|; )browser=/.test(document.cookie))
  document.cookie = `browser=${station}; path=/rigs; max-age=31536000; samesite=strict`;

// How much the server's clock is before the page's, as network time finds it out: of several round trips the fastest.
const ROUND_TRIPS = 5;
let offset = null;
let spread = 0;
async function measureClock() {
  const path = room()?.dataset.clock;
  if (!path || offset !== null) return;
  let fastest = Infinity;
  for (let i = 0; i < ROUND_TRIPS; i++) {
    const asked = performance.now();
    const answer = await post(path, {}).catch(() => undefined);
    const server = answer?.ok ? Number(await answer.text()) : Number.NaN;
    const came = performance.now();
    if (Number.isNaN(server) || came - asked >= fastest) continue;
    fastest = came - asked;
    offset = Math.round(server - ((asked + came) / 2) * 1000);
    spread = fastest / 2;
  }
}

let heard = [];
let counts = new Map();
let telling = false;
let again = false;
let timer = 0;
let quiet = 0;

const room = () => document.querySelector("main.line-check");
const turn = (page) => Number(page.querySelector("[data-turn]")?.dataset.turn ?? 0);
const byItself = { "Embrack-By-Itself": "line" };

/** Puts what came anew in the place of what is shown, and leaves whoever is in it where they are. */
function show(html) {
  if (isEditing() || byId("freeze")?.checked) return;
  const fresh = new DOMParser().parseFromString(html, "text/html");
  if (turn(fresh) < turn(document)) return;
  remember();
  for (const id of ["line", "found", "monitor"]) {
    const now = fresh.getElementById(id);
    if (!now || !byId(id)) continue;
    byId(id).replaceWith(now);
    htmx.process(now);
  }
  back();
  // Of the simulated boxes the one where somebody is stands at hand.
  const where = byId("line")?.dataset.box;
  for (const box of document.querySelectorAll(".sim-box")) box.hidden = box.dataset.box !== where;
}

async function post(path, fields) {
  const token = document.querySelector("form [name=_csrf]")?.value ?? "";
  return fetch(path, { method: "POST", headers: byItself, body: new URLSearchParams({ ...fields, _csrf: token }) });
}

// A gesture is over when nothing came for so long; the server is asked what it makes of it.
// A page that was held up hears first what waits for it.
function waitForQuiet() {
  clearTimeout(quiet);
  const gap = Number(byId("line")?.dataset.gap ?? 120) + 10;
  const due = performance.now() + gap;
  quiet = setTimeout(() => {
    if (performance.now() - due < HELD_UP_MS) send(true);
    else quiet = setTimeout(() => send(true), HELD_UP_MS);
  }, gap);
}

async function send(evenIfNothing) {
  const path = room()?.dataset.heard;
  if (!path) {
    heard = [];
    return;
  }
  if (telling) {
    again = again || evenIfNothing;
    return;
  }
  if (!heard.length && !evenIfNothing) return;
  telling = true;
  again = false;
  const now = performance.now();
  const ports = names();
  const lines = heard.map(({ at, data, port, count }) => {
    const ago = Math.max(0, Math.round((now - at) * 1000));
    return `${ago} ${ports.indexOf(port)} ${hex(data)}${count > 1 ? ` x${count}` : ""}`;
  });
  heard = [];
  counts = new Map();
  const answer = await post(path, {
    ports: ports.join("\n"),
    messages: lines.join("\n"),
    turn: String(turn(document)),
    station,
    now: String(Math.round(now * 1000)),
    offset: offset === null ? "" : String(offset),
  }).catch(() => undefined);
  telling = false;
  if (!answer?.ok) say("The server does not answer: what was pressed just now was not heard. It is asked again.");
  else if (answer.status === 200) show(await answer.text());
  if (heard.length || again) send(again);
  else if (byId("line")?.dataset.open === "true") waitForQuiet();
}

// A box that says that it is there does so at least every 300 ms; when it no longer does, the server is asked.
const SILENT_MS = 350;
const ACTIVE_SENSING = 0xfe;
const sensed = new Map();
function watchOver({ port, data }) {
  if (!sensed.has(port) && data[0] !== ACTIVE_SENSING) return;
  clearTimeout(sensed.get(port));
  sensed.set(
    port,
    setTimeout(() => send(true), SILENT_MS),
  );
}

listen((message) => {
  if (!room()) return;
  watchOver(message);
  const address = `${message.port} ${message.data[0]} ${message.data.length > 2 ? message.data[1] : ""}`;
  const seen = counts.get(address) ?? { count: 0, last: null };
  counts.set(address, seen);
  seen.count += 1;
  if (seen.count > (message.data[0] === CLOCK ? TICKS_TOLD : TOLD)) {
    seen.last.data = message.data;
    seen.last.at = message.at;
    seen.last.count += 1;
  } else {
    seen.last = { ...message, count: 1 };
    heard.push(seen.last);
  }
  timer ||= setTimeout(
    () => {
      timer = 0;
      send(false);
    },
    telling ? SENDING_MS : 5,
  );
  waitForQuiet();
});

function say(words) {
  if (byId("ports-state")) byId("ports-state").textContent = words;
}

async function tellPorts() {
  if (!room()) return;
  const there = names();
  await measureClock();
  const clock = offset === null ? "" : ` Times are those of this page; its clock is known to ${spread.toFixed(1)} ms.`;
  say(there.length ? `Listening.${clock}` : "No MIDI port is there. Plug one in; it is found by itself.");
  const answer = await post(room().dataset.ports, { ports: there.join("\n") }).catch(() => undefined);
  if (!answer?.ok || !byId("ports") || !byId("plugged")) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".ports");
  byId("ports").replaceChildren(...(fresh ? [fresh] : []));
  const plugged = Number(fresh?.dataset.plugged ?? 0);
  byId("plugged-count").textContent = plugged ? `: ${plugged}` : "";
  byId("plugged").open = plugged === 0;
  htmx.process(byId("ports"));
}
watch(tellPorts);

async function showSimulated() {
  const headers = { ...byItself, Accept: "text/html" };
  const answer = await fetch(location.pathname, { headers }).catch(() => undefined);
  if (!answer?.ok) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").getElementById("simulated-here");
  byId("simulated-here")?.replaceWith(fresh);
  htmx.process(fresh);
}

document.addEventListener("click", async ({ target }) => {
  if (target.closest?.("#open-ports")) {
    const trouble = await bringOwn();
    if (trouble) say(trouble);
  }
  if (room() && target.closest?.("#open-servers")) {
    const trouble = await bringServers(room().dataset.own);
    if (trouble) say(trouble);
  }
  if (target.closest?.("#join-simulated")) {
    const trouble = await joinSimulated(room().dataset.simulated);
    if (trouble) say(trouble);
    else if (!byId("simulated")) await showSimulated();
  }
});

// What others do to the same check. What comes while an edit of one's own is on its way is fetched after it.
let told = 0;
let toldOf = "";
async function catchUp() {
  const part = room()?.dataset.part;
  if (part !== toldOf) told = 0;
  toldOf = part;
  if (!part || isEditing() || turn(document) >= told) return;
  const answer = await fetch(part, { headers: byItself }).catch(() => undefined);
  if (answer?.ok) show(await answer.text());
}
document.addEventListener("line-moved", ({ detail }) => {
  told = Math.max(told, detail);
  catchUp();
});
document.addEventListener("htmx:afterSettle", catchUp);
document.addEventListener("change", ({ target }) => target.id === "freeze" && catchUp());
let here = null;
document.addEventListener("htmx:afterSettle", () => {
  if (room() === here) return;
  here = room();
  if (here && (names().length || hasSimulated())) tellPorts();
});
