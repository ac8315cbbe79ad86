// What a run sounds like, if somebody wants to hear it: click, count, the names of sections, the drone of the pad. Off
// and low until somebody turns it up. Bars, beats and the tone of the pad come from the server.
import { byId } from "./page.js";

/** How far ahead a click is put down, in milliseconds, so that it comes in time whatever the page draws. */
const AHEAD = 150;
const CLICK_HZ = 1000;
const ONE_HZ = 1500;
const CLICK_SECONDS = 0.03;
/** Slower than half or faster than twice nothing sounds: it would be no music. */
const SLOWEST = 0.5;
const FASTEST = 2;

let context = null;
let master = null;
let pad = null;
let told = { beat: -1, section: "" };

const wants = (what) => byId(`hear-${what}`)?.checked ?? false;
const any = () => ["click", "count", "names", "pad"].some(wants);
const level = () => Number(byId("hear-level")?.value ?? 0) / 100;

function ready() {
  context ??= new AudioContext();
  if (!master) {
    master = context.createGain();
    master.connect(context.destination);
  }
  // Loudness grows with the square, so that the low half of the control is quiet.
  master.gain.setTargetAtTime(level() ** 2, context.currentTime, 0.02);
}

function click(at, isOne) {
  const tone = context.createOscillator();
  const gain = context.createGain();
  tone.frequency.value = isOne ? ONE_HZ : CLICK_HZ;
  gain.gain.setValueAtTime(1, at);
  gain.gain.exponentialRampToValueAtTime(0.001, at + CLICK_SECONDS);
  tone.connect(gain).connect(master);
  tone.start(at);
  tone.stop(at + CLICK_SECONDS);
}

function say(words) {
  if (!globalThis.speechSynthesis) return;
  const spoken = new SpeechSynthesisUtterance(words);
  spoken.volume = level() ** 2;
  speechSynthesis.cancel();
  speechSynthesis.speak(spoken);
}

function drone(hertz) {
  if (pad?.hertz === hertz) return;
  pad?.tones.forEach((tone) => tone.stop());
  pad = null;
  if (!hertz) return;
  const gain = context.createGain();
  gain.gain.setValueAtTime(0, context.currentTime);
  gain.gain.linearRampToValueAtTime(0.2, context.currentTime + 2);
  gain.connect(master);
  // Its root, the fifth above it and the octave, as pads without a third are.
  const tones = [1, 1.5, 2].map((ratio) => {
    const tone = context.createOscillator();
    tone.type = "triangle";
    tone.frequency.value = hertz * ratio;
    tone.connect(gain);
    tone.start();
    return tone;
  });
  pad = { hertz, tones };
}

/** When each beat of a song begins, in its milliseconds, and which of its bar it is, from 1. */
function beats(strip) {
  const bars = strip.dataset.bars.split(" ").map((micros) => Number(micros) / 1000);
  const counts = strip.dataset.beats.split(" ").map(Number);
  return counts.flatMap((count, bar) => {
    const beat = (bars[bar + 1] - bars[bar]) / count;
    return Array.from({ length: count }, (_, i) => ({ at: bars[bar] + beat * i, number: i + 1, bar }));
  });
}

let known = { key: "", beats: [] };
/** Sounds what comes next; song in milliseconds, null where none plays. */
export function sound(song, rate) {
  const strip = document.querySelector(".strip");
  if (!any() || !rate || rate < SLOWEST || rate > FASTEST) {
    if (pad) drone(0);
    return;
  }
  ready();
  drone(wants("pad") ? Number(byId("run-strip")?.dataset.pad ?? 0) : 0);
  if (!strip || song === null) return;
  const key = strip.dataset.bars + strip.dataset.beats;
  if (known.key !== key) {
    known = { key, beats: beats(strip) };
    told = { beat: -1, section: "" };
  }
  const next = known.beats.findIndex((beat) => beat.at >= song);
  const beat = known.beats[next];
  if (beat && next !== told.beat && (beat.at - song) / rate < AHEAD) {
    told.beat = next;
    if (wants("click")) click(context.currentTime + (beat.at - song) / rate / 1000, beat.number === 1);
    const blocks = [...strip.querySelectorAll(".strip-block")];
    const section = blocks.find((one) => Number(one.dataset.first) === beat.bar + 2);
    if (wants("names") && section && beat.number === 1) say(section.dataset.name);
    else if (wants("count") && beat.bar < Number(strip.dataset.count ?? 0)) say(String(beat.number));
  }
}
