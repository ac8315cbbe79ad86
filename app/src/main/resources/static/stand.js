// The performer's page: it follows the run, keeps its time when nobody answers, and does not go to sleep.
import { byId } from "./page.js";
import { brief, live, write } from "./run.js";

live.keepsTime = true;

const bars = (stand) => stand.dataset.bars.split(" ").map((micros) => Number(micros) / 1000);

/** How far off a moment of the song is, in bars while it is more than one, then in beats. */
function off(stand, song, at) {
  const starts = bars(stand);
  const inBars = (millis) => {
    let bar = starts.findIndex((start) => start > millis) - 1;
    if (bar < 0) bar = millis < 0 ? 0 : starts.length - 2;
    return { bar, place: bar + (millis - starts[bar]) / (starts[bar + 1] - starts[bar]) };
  };
  const here = inBars(song);
  const left = inBars(at).place - here.place;
  if (left > 1) return `${Math.ceil(left)} bars`;
  const beats = Math.max(0, Math.ceil(left * Number(stand.dataset.beats.split(" ")[here.bar])));
  return beats === 1 ? "1 beat" : `${beats} beats`;
}

/** The section that goes by the clock of this page, and how much of it is left. */
function section(stand, song) {
  const all = [...stand.querySelectorAll(".stand-section")];
  if (!all.length || song === null) return;
  // While the server speaks it knows better which one goes: one is played again, or goes round.
  let at = all.findIndex((one) => !one.hidden);
  if (live.isLost()) {
    const next = all.findIndex((one) => Number(one.dataset.from) / 1000 > song);
    at = next < 0 ? all.length - 1 : Math.max(0, next - 1);
    all.forEach((one, i) => (one.hidden = i !== at));
  }
  if (at < 0) return;
  const starts = bars(stand);
  const end = at + 1 < all.length ? Number(all[at + 1].dataset.from) / 1000 : starts.at(-1);
  write(all[at].querySelector(".stand-left"), `, ${off(stand, song, end)}`);
}

const inSong = (stand, song, at) => (song < at ? `in ${off(stand, song, at)},` : "now,");
const inRun = (millis, at) => (at > millis + 1000 ? `in ${brief(at - millis)},` : "");

/** The press that comes next, and how long until then. */
function presses(stand, now) {
  const all = [...stand.querySelectorAll(".stand-press")];
  if (live.isLost()) {
    const gone = all.findIndex((one) => !one.dataset.song || now.song === null || one.dataset.song / 1000 >= now.song);
    all.forEach((one, i) => (one.hidden = i !== (gone < 0 ? all.length - 1 : gone)));
  }
  for (const one of all.filter((press) => !press.hidden)) {
    const { song, run } = one.dataset;
    const words = song && now.song !== null ? inSong(stand, now.song, song / 1000) : inRun(now.millis, run / 1000);
    write(one.querySelector(".stand-in"), words);
  }
}

live.onMove = (now) => {
  const stand = byId("run-stand");
  if (!stand) return;
  section(stand, now.song);
  presses(stand, now);
};

live.onLost = (isLost, now) => {
  const notice = byId("stand-lost");
  notice.hidden = !isLost;
  if (isLost)
    write(notice, `No word from Embrack since ${brief(now)}. Time goes on here as it went; presses are not seen.`);
};

// What was marked is said on the button itself for as long as an eye needs.
const SAID_MS = 4_000;
document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-marks]");
  if (!button) return;
  write(button, "marked");
  setTimeout(() => write(document.querySelector("[data-marks]"), "Mark it !"), SAID_MS);
});

// A tablet on a stand does not go to sleep while its page is seen, where the browser can see to that.
async function stayAwake() {
  if (document.visibilityState === "visible") await navigator.wakeLock?.request("screen").catch(() => {});
}
document.addEventListener("visibilitychange", stayAwake);
stayAwake();
