// MIDI ports that this browser brings: its own, and those of simulated boxes. What messages mean is not known here.
const accesses = new Map();
const listeners = new Set();
const watchers = new Set();

const tell = () => watchers.forEach((watcher) => watcher());

// Ports of a direction that are there. Two of one name are told apart by their order.
function named(direction) {
  const seen = new Map();
  return [...accesses.values()]
    .flatMap((access) => [...(access[direction]?.values() ?? [])])
    .filter((port) => port.state !== "disconnected")
    .map((port) => {
      const times = (seen.get(port.name) ?? 0) + 1;
      seen.set(port.name, times);
      return { port, name: times > 1 ? `${port.name} (${times})` : port.name };
    });
}

function attend() {
  for (const { port, name } of named("inputs"))
    port.onmidimessage = ({ timeStamp, data }) =>
      listeners.forEach((listener) => listener({ at: timeStamp || performance.now(), data, port: name }));
  tell();
}

// Ports that are brought once more are others to the browser: at those from before nothing is heard any longer, or all
// would come twice.
function letGo(sort) {
  const before = accesses.get(sort);
  if (!before) return false;
  before.onstatechange = null;
  for (const port of before.inputs?.values() ?? []) port.onmidimessage = null;
  return accesses.delete(sort);
}

/** Brings ports of a sort; the same sort again takes the place of what was brought before. */
export async function bring(sort, ask) {
  const access = await ask();
  letGo(sort);
  accesses.set(sort, access);
  access.onstatechange = attend;
  attend();
}

/** Lets go of ports of a sort. */
export function leave(sort) {
  if (letGo(sort)) attend();
}

/** The browser's own ports; it asks whoever sits there. Says in words why there are none. */
export async function bringOwn() {
  if (!navigator.requestMIDIAccess)
    return "This browser hears no MIDI. Take one that does, on this machine or on the computer that runs Embrack.";
  try {
    await bring("own", () => navigator.requestMIDIAccess());
    return "";
  } catch {
    return "The browser was not allowed to hear MIDI. Allow it beside the address, and press again.";
  }
}

/** Has the browser's own ports, where there are any, send system exclusive messages too. Says in words why not. */
export async function allowExclusive() {
  if (!accesses.has("own") || accesses.get("own").sysexEnabled) return "";
  try {
    await bring("own", () => navigator.requestMIDIAccess({ sysex: true }));
    return "";
  } catch {
    return "The browser was not allowed to send system exclusive messages. All else goes on without.";
  }
}

// Taken away in the middle: the ports go, and whoever listens is told.
navigator.permissions
  ?.query({ name: "midi" })
  .then((permission) => {
    permission.onchange = () => {
      if (permission.state === "denied") leave("own");
    };
  })
  .catch(() => {});

/** The names of the ports in that are there, in order. */
export const names = () => named("inputs").map(({ name }) => name);

/** The names of the ports out that are there, in order. */
export const namesOut = () => named("outputs").map(({ name }) => name);

/** A port out by its name; for the gate alone. */
export const portOut = (name) => named("outputs").find((out) => out.name === name)?.port;

/** Has whatever comes told: when by the clock of the page in ms, its bytes, and the name of the port. */
export const listen = (listener) => listeners.add(listener);

/**
 * Has what comes in one go told when nothing came for so long: when it began, the
 * messages in hexadecimal, and the port of the first of them. */
export function listenForGoes(quietMs, told) {
  let came = [];
  let since = 0;
  let from = "";
  let over = 0;
  listen(({ at, data, port }) => {
    if (!came.length) {
      since = at;
      from = port;
    }
    came.push(hex(data));
    clearTimeout(over);
    over = setTimeout(() => {
      const go = came;
      came = [];
      told({ at: since, sent: go.join(" "), port: from });
    }, quietMs);
  });
}

/** Has it told when ports come and go. */
export const watch = (watcher) => watchers.add(watcher);

/** Bytes as two digits each. */
export const hex = (data) => [...data].map((byte) => byte.toString(16).padStart(2, "0")).join("");
