// Ticks that are made while the server cannot be reached wait on this device and are sent in order when it is back.
// Which of two ticks counts is the server's to know.
const WAITING = "embrack:ticks";
const SKEW = "embrack:skew";
const ASK_MS = 3_000;

const read = (key, otherwise) => JSON.parse(localStorage.getItem(key) ?? "null") ?? otherwise;
const waiting = () => read(WAITING, []);
const write = (ticks) => localStorage.setItem(WAITING, JSON.stringify(ticks));

/** Where the pages of the rig are that is shown; empty for none. */
export const rigPath = () => location.pathname.match(/^\/rigs\/\d+/)?.[0] ?? "";

/** Ticks of a rig that wait, by the key of their line. */
export const waitingOf = (rig) => new Map(waiting().filter((tick) => tick.rig === rig).map((tick) => [tick.key, tick]));

/** Puts a tick aside until the server is back; dated by the server's clock as far as it is known. */
export function putAside(rig, key, done) {
  const at = new Date(Date.now() + read(SKEW, 0)).toISOString();
  write([...waiting().filter((tick) => tick.rig !== rig || tick.key !== key), { rig, key, done, at }]);
}

/** Remembers how far the clock of this device is from that of the server. */
export const heardTime = (now) => localStorage.setItem(SKEW, String(Date.parse(now) - Date.now()));

/** Sends what waits; null while the server cannot be reached, else what came of it in words. */
async function send(rig) {
  const answer = await fetch(`${rig}/folder/awake.json`, { cache: "no-store" });
  if (!answer.ok) return null;
  const { now, token } = await answer.json();
  heardTime(now);
  const ticks = [...waitingOf(rig).values()];
  if (ticks.length === 0) return "";
  const sent = await fetch(`${rig}/folder/ticks/sent`, {
    method: "POST",
    body: new URLSearchParams({ _csrf: token, ticks: JSON.stringify({ format: "embrack-ticks", version: 1, ticks }) }),
  });
  if (!sent.ok) return null;
  const gone = new Set(ticks.map((tick) => JSON.stringify(tick)));
  write(waiting().filter((tick) => !gone.has(JSON.stringify(tick))));
  return (await sent.json()).words;
}

/** Asks for the server until it is there, and sends what waits; one page of all that are open does it. */
export function whenBack(rig, told) {
  const ask = async () => {
    try {
      const words = await (navigator.locks ? navigator.locks.request(WAITING, () => send(rig)) : send(rig));
      if (words !== null) return told(words);
    } catch {
      // still away
    }
    setTimeout(ask, ASK_MS);
  };
  ask();
}
