// A run in the browser: pieces of the page come over a socket, what is pressed goes back over it. No rule is here; the
// page moves its paper by its own clock between two words of the server.
import { byId } from "./page.js";
import { isForPage } from "./letters.js";
import { say } from "./socketports.js";
import { sound } from "./runsound.js";
import { isEditing } from "./waiting.js";

/** What a page of its own hangs in: it keeps its time while nobody answers, and is told when that is so. */
export const live = { keepsTime: false, onMove: () => {}, onLost: () => {}, isLost: () => socket === null };

const room = () => document.querySelector("main[data-live-run]");
let socket = null;
let path = "";
let clock = null;
/** Whether a run is on this page; else it waits until one begins. */
const hasRun = () => byId("run-now") ?? byId("run-stand");
let waiting = new Map();
let isDrawing = false;

/** Says an act to the server, while there is no socket as a form does, one after the other; whether a run is here. */
let sent = Promise.resolve();
function act(words) {
  if (!room()) return false;
  const form = byId("acts");
  if (socket?.readyState === WebSocket.OPEN) say(socket, words);
  else if (form) {
    const fields = new URLSearchParams({ act: words, _csrf: form.elements._csrf.value });
    sent = sent.then(() => fetch(form.action, { method: "POST", body: fields, redirect: "manual" })).catch(() => {});
  }
  return true;
}

const AGAIN_MS = 1_000;
const ENDED_MS = 2_000;
function join() {
  const here = room()?.dataset.liveRun ?? "";
  if (here === path && (socket || !here)) return;
  const old = socket;
  socket = null;
  old?.close();
  if (path !== here) clock = null;
  path = here;
  if (!here) return;
  const mine = new WebSocket(new URL(here, location.href.replace(/^http/, "ws")));
  socket = mine;
  mine.onmessage = ({ data }) => {
    if (data === "ended") {
      // Who ended it is led on by the answer; who only watched looks anew.
      setTimeout(() => room()?.dataset.liveRun === here && location.reload(), ENDED_MS);
      return;
    }
    if (!hasRun()) {
      if (!isEditing()) location.reload();
      return;
    }
    live.onLost(false);
    if (data.startsWith("clock ")) {
      const [, micros, rate, going, part, song, show] = data.trim().split(" ");
      clock = {
        at: performance.now(),
        millis: Number(micros),
        rate: going === "true" ? Number(rate) : 0,
        part,
        show: Number(show) - Number(micros),
        song: song === "-" ? null : Number(song) / 1000,
      };
      document.dispatchEvent(new CustomEvent("run-moved"));
    } else {
      const end = data.indexOf("\n");
      waiting.set(data.slice("piece ".length, end).trim(), data.slice(end + 1));
    }
    soon();
  };
  mine.onclose = () => {
    if (socket !== mine) return;
    socket = null;
    if (clock) {
      const stands = live.keepsTime ? clock.rate : 0;
      clock = { ...clock, ...now(), rate: stands, at: performance.now() };
      if (hasRun()) live.onLost(true, clock.millis + clock.show);
    }
    setTimeout(join, AGAIN_MS);
  };
}

/** How far the run and its part are by now, in milliseconds. */
function now() {
  const went = (performance.now() - clock.at) * clock.rate;
  return { millis: clock.millis + went, song: clock.song === null ? null : clock.song + went };
}

// What somebody is just pressing stays where it is until it was let go: a button that is exchanged between the two
// hears no click. Tiles act as the finger comes down, and are drawn at once.
let pressing = null;
document.addEventListener(
  "pointerdown",
  ({ target }) => (pressing = target.closest?.("[data-foot]") ? null : target),
  true,
);
for (const over of ["pointerup", "pointercancel"])
  document.addEventListener(
    over,
    () =>
      setTimeout(() => {
        pressing = null;
        if (waiting.size) soon();
      }),
    true,
  );

// Of a piece that came twice before it was drawn only the newer one is drawn. A page that is not seen draws as well.
const UNSEEN_MS = 250;
function soon() {
  if (isDrawing) return;
  isDrawing = true;
  requestAnimationFrame(draw);
  setTimeout(draw, UNSEEN_MS);
}
function draw() {
  if (!isDrawing) return;
  isDrawing = false;
  const held = document.activeElement?.dataset?.press ?? document.activeElement?.value;
  const at = byId("run-tape")?.querySelector(".run-lines")?.scrollTop ?? 0;
  const drawn = waiting;
  waiting = new Map();
  for (const [id, html] of drawn) {
    const old = byId(id);
    if (!old) continue;
    if (pressing && old.contains(pressing)) {
      if (!waiting.has(id)) waiting.set(id, html);
      continue;
    }
    const parsed = new DOMParser().parseFromString(html, "text/html").body.firstElementChild;
    const active = old.contains(document.activeElement);
    old.replaceWith(parsed);
    if (active && held)
      [...parsed.querySelectorAll("button")].find((one) => one.dataset.foot === held || one.value === held)?.focus();
  }
  const lines = byId("run-tape")?.querySelector(".run-lines");
  if (lines && at > 0) lines.scrollTop = at;
  move();
}

// The paper under its line: each bar is as high as any other, and time goes on evenly in it.
const BAR = 52;
const LINE = 168;
export const brief = (millis) => {
  const seconds = Math.floor(Math.max(0, millis) / 1000);
  const two = (number) => String(number).padStart(2, "0");
  const hours = Math.floor(seconds / 3600);
  const minutes = Math.floor(seconds / 60) % 60;
  return hours ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
};
export const write = (place, words) => {
  if (place && place.textContent !== words) place.textContent = words;
};
const still = matchMedia("(prefers-reduced-motion: reduce)");
function move() {
  const strip = document.querySelector(".strip");
  if (!clock) return;
  write(byId("run-time"), brief(now().millis + clock.show));
  live.onMove(now());
  // How far each loop is in its round.
  for (const round of document.querySelectorAll("[data-round]")) {
    const [since, length] = round.dataset.round.split(" ").map((micros) => Number(micros) / 1000);
    round.value = length ? (((now().millis - since) % length) + length) % length / length : 0;
  }
  if (!strip || clock.song === null) return;
  const bars = strip.dataset.bars.split(" ").map((micros) => Number(micros) / 1000);
  const beats = strip.dataset.beats.split(" ").map(Number);
  const { song } = now();
  let bar = bars.findIndex((start) => start > song) - 1;
  if (bar < 0) bar = song < 0 ? 0 : bars.length - 2;
  const part = (song - bars[bar]) / (bars[bar + 1] - bars[bar]);
  const y = (bar + (still.matches ? 0 : part)) * BAR;
  strip.querySelector(".strip-moves").setAttribute("transform", `translate(0 ${LINE - y})`);
  const blocks = [...strip.querySelectorAll(".strip-block")];
  // What a block is called stays in sight while the block does.
  for (const block of blocks) {
    const [rect, name, guide] = block.children;
    const top = Math.max(Number(rect.getAttribute("y")), y - LINE);
    name.setAttribute("y", top + 24);
    guide.setAttribute("y", top + 44);
  }
  const next = blocks.find((one) => Number(one.dataset.first) > bar + 1);
  const left = next ? Number(next.dataset.first) - 1 - bar - part : 0;
  const words = !next
    ? ""
    : left > 1
      ? `${next.dataset.name} in ${Math.ceil(left)} bars`
      : `${next.dataset.name} in ${Math.max(1, Math.ceil(left * beats[bar]))} beats`;
  write(byId("run-next"), words);
  const beat = Math.min(beats[bar], 1 + Math.floor(Math.max(0, part) * beats[bar]));
  write(byId("run-beat"), song < 0 ? "lead-in" : `bar ${bar + 1}, beat ${beat}`);
}
function frame() {
  if (clock?.rate) move();
  if (clock) sound(now().song, clock.rate);
  requestAnimationFrame(frame);
}
requestAnimationFrame(frame);

// Pressed with mouse or fingers, several at once, held and let go as on the real one.
const fingers = new Map();
document.addEventListener("pointerdown", (event) => {
  const tile = event.target.closest?.("[data-foot]");
  if (!tile || !hasRun() || event.button > 0 || !act(`press ${tile.dataset.foot}`)) return;
  fingers.set(event.pointerId, tile.dataset.foot);
});
const letGo = (event) => {
  const press = fingers.get(event.pointerId);
  if (press) act(`release ${press}`);
  fingers.delete(event.pointerId);
};
document.addEventListener("pointerup", letGo);
document.addEventListener("pointercancel", letGo);

// Buttons of acts go over the socket while there is one; a tile was pressed already, unless by keyboard.
document.addEventListener(
  "submit",
  (event) => {
    const by = event.submitter;
    const form = event.target;
    if (!hasRun() || (form.id !== "acts" && !("acts" in form.dataset))) return;
    const said = form.id === "acts" ? by?.value : new FormData(form).get("act");
    const words = form.dataset.acts === "note" ? `note ${said || "!"}` : said;
    if (!words) return;
    event.preventDefault();
    if (form.dataset.acts === "note") form.reset();
    if (by?.dataset.foot && lastClickWasPointer) return;
    act(words);
  },
  true,
);
let lastClickWasPointer = false;
document.addEventListener("click", (event) => (lastClickWasPointer = event.detail > 0), true);

// Keys 1 to 0 press the switches of the first board, with shift those of the second.
const down = new Map();
document.addEventListener("keydown", (event) => {
  if (!hasRun() || event.repeat || !isForPage(event)) return;
  if (event.key === " " && !event.target.closest("button, summary, a")) {
    event.preventDefault();
    act(clock?.rate ? "pause" : "go");
    return;
  }
  const digit = /^Digit\d$/.test(event.code) ? event.code.at(-1) : "";
  if (!digit) return;
  const board = document.querySelector(`.run-board[data-keys="${event.shiftKey ? "shift" : "plain"}"]`);
  const tile = board?.querySelector(`[data-cap="${digit}"]`);
  if (!tile || !act(`press ${tile.dataset.foot}`)) return;
  event.preventDefault();
  down.set(event.code, tile.dataset.foot);
});
document.addEventListener("keyup", (event) => {
  const press = down.get(event.code);
  if (press) act(`release ${press}`);
  down.delete(event.code);
});

// Pedals by drag: where one stands is told as often as a real one tells it, and where it came to rest in any case.
const PEDAL_MS = 40;
const moving = new Map();
document.addEventListener("input", ({ target }) => {
  const what = target.dataset?.moves;
  if (!what) return;
  const tell = () => act(`${what} ${target.value}`);
  if (moving.has(what)) {
    moving.set(what, tell);
    return;
  }
  tell();
  moving.set(what, null);
  setTimeout(() => {
    const last = moving.get(what);
    moving.delete(what);
    last?.();
  }, PEDAL_MS);
});

document.addEventListener("change", (event) => {
  if (event.target.dataset.actsBy) act(`${event.target.dataset.actsBy} ${event.target.value}`);
  if (event.target.id === "tape-what") event.target.closest(".run-bottom").dataset.what = event.target.value;
});
function enter() {
  const bottom = document.querySelector(".run-bottom");
  if (bottom && !bottom.dataset.what) bottom.dataset.what = byId("tape-what").value;
  join();
}
document.addEventListener("DOMContentLoaded", enter);
document.addEventListener("htmx:afterSettle", enter);
