// MIDI ports that this browser brings: its own, and those of simulated boxes. What messages mean is not known here.
const accesses = new Map();
const listeners = new Set();
const watchers = new Set();

const tell = () => watchers.forEach((watcher) => watcher());

const inputs = () =>
  [...accesses.values()].flatMap((access) =>
    [...access.inputs.values()].filter((input) => input.state !== "disconnected"),
  );

// Two ports of one name are told apart by their order.
function named() {
  const seen = new Map();
  return inputs().map((input) => {
    const times = (seen.get(input.name) ?? 0) + 1;
    seen.set(input.name, times);
    return { input, name: times > 1 ? `${input.name} (${times})` : input.name };
  });
}

function attend() {
  for (const { input, name } of named())
    input.onmidimessage = ({ timeStamp, data }) =>
      listeners.forEach((listener) => listener({ at: timeStamp || performance.now(), data, port: name }));
  tell();
}

/** Brings ports of a sort; the same sort again takes the place of what was brought before. */
export async function bring(sort, ask) {
  const access = await ask();
  accesses.set(sort, access);
  access.onstatechange = attend;
  attend();
}

/** Lets go of ports of a sort. */
export function leave(sort) {
  if (accesses.delete(sort)) attend();
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

// Taken away in the middle: the ports go, and whoever listens is told.
navigator.permissions
  ?.query({ name: "midi" })
  .then((permission) => {
    permission.onchange = () => {
      if (permission.state === "denied") leave("own");
    };
  })
  .catch(() => {});

/** The names of the ports that are there, in order. */
export const names = () => named().map(({ name }) => name);

/** Has whatever comes told: when by the clock of the page in ms, its bytes, and the name of the port. */
export const listen = (listener) => listeners.add(listener);

/** Has what comes in one go told when nothing came for so long: when it began, and the messages in hexadecimal. */
export function listenForGoes(quietMs, told) {
  let came = [];
  let since = 0;
  let over = 0;
  listen(({ at, data }) => {
    if (!came.length) since = at;
    came.push(hex(data));
    clearTimeout(over);
    over = setTimeout(() => {
      const go = came;
      came = [];
      told({ at: since, sent: go.join(" ") });
    }, quietMs);
  });
}

/** Has it told when ports come and go. */
export const watch = (watcher) => watchers.add(watcher);

/** Bytes as two digits each. */
export const hex = (data) => [...data].map((byte) => byte.toString(16).padStart(2, "0")).join("");
