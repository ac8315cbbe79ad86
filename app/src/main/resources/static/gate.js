// The one door out: no other code hands messages to a MIDI port. It is shut when a page is loaded, opens for one box
// when somebody says yes to that box here, and shuts with whatever ends the check. What may go is said by the server.
import { portOut, watch } from "./ports.js";

// Who sends: this page and no other, also not the same one loaded again.
export const station = [...crypto.getRandomValues(new Uint32Array(4))].map((part) => part.toString(36)).join("");

const open = new Set();
// What puts each box at rest, by box, as it was told last.
const quiet = new Map();
const watchers = new Set();
// When each message was sent last, by the clock of the page.
const times = new Map();
const REMEMBERED = 1_000;

const tell = () => watchers.forEach((watcher) => watcher());
const bytes = (hex) => Uint8Array.from(hex.match(/../g), (pair) => Number.parseInt(pair, 16));

/** Has it told when the gate opens or shuts. */
export const watchGate = (watcher) => watchers.add(watcher);

/** How many microseconds before a time the page had sent a message; empty where it had not. */
export const sinceSent = (hex, at) =>
  times.has(hex) ? String(Math.max(0, Math.round((at - times.get(hex)) * 1000))) : "";

/** Whether somebody said yes to a box on this page. */
export const isOpen = (box) => open.has(box);

/** Somebody says yes to a box: only ever called for a hand on a button. */
export function openGate(box) {
  open.add(box);
  tell();
}

function hand({ port, hex }) {
  const out = portOut(port);
  if (!out) return;
  try {
    const at = performance.now();
    out.send(bytes(hex), at);
    if (times.size >= REMEMBERED) times.clear();
    times.set(hex, at);
  } catch {
    // The port was pulled between asking and sending: whoever looks on sees that nothing came.
  }
}

// What is to go later goes only if the gate is still as open as it was: nothing follows once it was shut.
let opening = 0;
function handLater(message) {
  const since = opening;
  setTimeout(() => since === opening && hand(message), message.afterMicros / 1000);
}

/** Lets go what the server says may go to the box that it names. False where nobody said yes here. */
export function sendThrough(reply) {
  if (!open.has(reply.box) || reply.words) return false;
  for (const message of reply.sends) (message.afterMicros ? handLater : hand)(message);
  quiet.set(reply.box, reply.quiet);
  return true;
}

/** Shuts it, and puts at rest what was sent to: notes off, pedals up. */
export function shutGate() {
  if (!open.size) return;
  opening++;
  for (const rest of quiet.values()) rest.forEach(hand);
  open.clear();
  quiet.clear();
  tell();
}

addEventListener("pagehide", shutGate);
watch(() => {
  for (const rest of quiet.values()) if (rest.some(({ port }) => !portOut(port))) shutGate();
});
