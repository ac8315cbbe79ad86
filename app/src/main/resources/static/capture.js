// Capture: the clock that runs, and what was pressed when. No rule of the job is here.
import { byId } from "./page.js";
import { bringOwn, listenForGoes, names, watch } from "./ports.js";

// Capture: a clock, a click, and what was pressed when.
let run = null;
const digits = (number, count) => String(Math.floor(number)).padStart(count, "0");
const clock = (ms) => `${Math.floor(ms / 60000)}:${digits((ms / 1000) % 60, 2)}.${digits(ms % 1000, 3)}`;
const now = () => performance.now() - run.started;
// When it was pressed, not when the page came to it.
const pressedAt = (event) => Math.round(event.timeStamp - run.started);
export function captureKey(event, down) {
  if (event.key === " " && event.target.closest?.("input, button, summary, a")) return;
  if (event.key === " " && down && !event.repeat) {
    event.preventDefault();
    toggleRun();
  }
  const key = document.querySelector(`.capture-key[data-digit="${CSS.escape(event.key)}"]`);
  if (key && run && !(down && event.repeat)) hit(key, down, pressedAt(event));
}
function hit(key, down, at) {
  key.classList.toggle("down", down);
  if (at < 0) return;
  run.hits.push(`${at}-${key.dataset.key}${down ? "" : "u"}`);
  byId("capture-count").textContent = `${run.hits.filter((each) => !each.endsWith("u")).length} captured`;
}
function toggleRun() {
  if (run) {
    stopRun();
    return;
  }
  const page = byId("capture");
  const bars = page.dataset.bars
    .split("|")
    .map((each) => ({ at: Number(each.slice(0, each.indexOf(":"))), name: each.slice(each.indexOf(":") + 1) }));
  const from = bars[Math.min(bars.length, Math.max(1, Number(byId("capture-from").value) || 1)) - 1].at;
  run = {
    started: performance.now() + 400 - from,
    bars,
    length: Number(page.dataset.length),
    beats: page.dataset.beats.split(","),
    next: 0,
    hits: [],
    sound: byId("capture-click").checked ? new AudioContext() : null,
  };
  while (run.next < run.beats.length && parseInt(run.beats[run.next], 10) < from) run.next++;
  page.classList.add("running");
  byId("capture-run").firstChild.data = "Stop ";
  tick();
}
function tick() {
  if (!run || !byId("capture-time")) {
    run?.sound?.close();
    run = null;
    return;
  }
  const at = now();
  while (run.next < run.beats.length && parseInt(run.beats[run.next], 10) < at + 120) {
    if (run.sound) click(run.sound, (parseInt(run.beats[run.next], 10) - at) / 1000, run.beats[run.next].endsWith("!"));
    run.next++;
  }
  const bar = run.bars.findLastIndex((each) => each.at <= at);
  byId("capture-time").textContent = at < 0 ? "0:00.000" : clock(at);
  byId("capture-bar").textContent = `bar ${Math.max(0, bar) + 1}`;
  byId("capture-section").textContent = run.bars[Math.max(0, bar)].name;
  if (at > run.length) stopRun();
  else requestAnimationFrame(tick);
}
function click(sound, wait, first) {
  const at = sound.currentTime + Math.max(0, wait);
  const tone = sound.createOscillator();
  const level = sound.createGain();
  tone.frequency.value = first ? 1600 : 1100;
  level.gain.setValueAtTime(0.12, at);
  level.gain.exponentialRampToValueAtTime(0.0005, at + 0.04);
  tone.connect(level).connect(sound.destination);
  tone.start(at);
  tone.stop(at + 0.05);
}
function stopRun() {
  const hits = run.hits;
  run.sound?.close();
  run = null;
  byId("capture").classList.remove("running");
  byId("capture-run").firstChild.data = "Run ";
  if (!hits.length) return;
  byId("hits").value = hits.join(",");
  byId("review").requestSubmit();
}
document.addEventListener("click", (event) => {
  if (event.target.closest("#capture-run")) {
    toggleRun();
    event.target.closest("#capture-run").blur();
  }
});
for (const [name, down] of [
  ["pointerdown", true],
  ["pointerup", false],
])
  document.addEventListener(name, (event) => {
    const key = event.target.closest?.(".capture-key");
    if (key && run) hit(key, down, pressedAt(event));
  });

// The real board, at the ports of this browser: what comes in one go is one press, at the time of its first message.
const GO_MS = 60;
listenForGoes(GO_MS, ({ at, sent }) => {
  const key = [...document.querySelectorAll(".capture-key")].find((each) => each.dataset.hears === sent);
  if (!key || !run || !byId("hear-board")) return;
  hit(key, true, Math.round(at - run.started));
  setTimeout(() => key.classList.remove("down"), 150);
});
function state(words) {
  if (byId("board-state")) byId("board-state").textContent = words;
}
function told() {
  const there = names().join(", ");
  state(there ? `Hears ${there}. Choose which board the keys stand for.` : "No MIDI port is there yet.");
}
watch(told);
document.addEventListener("click", async ({ target }) => {
  if (!target.closest?.("#hear-board")) return;
  const trouble = await bringOwn();
  if (trouble) state(trouble);
});
document.addEventListener("htmx:load", () => names().length && told());
