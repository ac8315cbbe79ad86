// Keeps the pages of a rig on this device, and lists what is kept. What there is to keep is the server's to know.
import { byId } from "./page.js";
import { heardTime, rigPath } from "./ticks.js";

const KEPT = "embrack-kept";
const LIST = "/kept/list.json";
const AT_ONCE = 4;
const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });

const NOT_TRUSTED =
  "This browser keeps nothing from here: " +
  "it does so at this machine itself, or over HTTPS with a certificate that it trusts.";
const NOT_ALL =
  "Not all could be kept: the server went away, or this device is full. What was kept before is still here.";
const canKeep = () => "serviceWorker" in navigator && "caches" in window;
// Only where something is kept there is a worker between page and server.
const work = () => navigator.serviceWorker.register("/worker.js");
if (canKeep()) caches.has(KEPT).then((has) => has && work()).catch(() => {});

const absolute = (path) => new URL(path, location.origin).href;
const list = async (cache) => (await (await cache.match(absolute(LIST)))?.json()) ?? {};
const writeList = (cache, rigs) => cache.put(absolute(LIST), new Response(JSON.stringify(rigs)));

async function put(cache, path) {
  const answer = await fetch(path, { headers: { Accept: "text/html,*/*" } });
  const body = await answer.blob();
  const isPage = answer.headers.get("Content-Type")?.startsWith("text/html");
  if (!answer.ok || (isPage && !(await body.text()).includes('<div id="page"'))) return false;
  const headers = new Headers(answer.headers);
  for (const name of ["Content-Encoding", "Content-Length"]) headers.delete(name);
  headers.set("Embrack-Seen", new Date().toISOString());
  await cache.put(absolute(path), new Response(body, { headers }));
  return true;
}

async function keep(rig, told) {
  const answer = await fetch(`${rig}/folder/keep.json`);
  if (!answer.ok) throw new Error(answer.status);
  const { name, revision, now: time, pages, files } = await answer.json();
  heardTime(time);
  const cache = await caches.open(KEPT);
  const own = [...document.querySelectorAll("link[rel=stylesheet],script[src]")].map((part) => part.href || part.src);
  const all = [...new Set([...files.map(absolute), ...own])];
  const rigs = await list(cache);
  const was = rigs[rig]?.pages ?? [];
  const left = [...all, "/", "/kept", ...pages.map((page) => page.href)];
  const count = left.length;
  const missed = [];
  const some = async () => {
    for (let path = left.shift(); path; path = left.shift()) {
      if (!(await put(cache, path))) missed.push(path);
      told(`${count - left.length} of ${count}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, some));
  rigs[rig] = { name, revision, at: new Date().toISOString(), pages };
  await writeList(cache, rigs);
  if (missed.length > 0) throw new Error(missed.join(", "));
  const now = new Set(pages.map((page) => page.href));
  for (const page of was) if (!now.has(page.href)) await cache.delete(absolute(page.href));
}

async function forget(rig) {
  const cache = await caches.open(KEPT);
  const rigs = await list(cache);
  for (const page of rigs[rig]?.pages ?? []) await cache.delete(absolute(page.href));
  delete rigs[rig];
  await writeList(cache, rigs);
  if (Object.keys(rigs).length > 0) return;
  await caches.delete(KEPT);
  for (const worker of await navigator.serviceWorker.getRegistrations()) await worker.unregister();
}

const kept = async (rig) => (await caches.has(KEPT)) && (await list(await caches.open(KEPT)))[rig];

async function panel() {
  const panel = byId("keep");
  if (!panel) return;
  const rig = rigPath();
  const words = byId("keep-words");
  byId("keep-here").disabled = !canKeep();
  if (!canKeep()) words.textContent = NOT_TRUSTED;
  const mine = canKeep() && (await kept(rig));
  byId("keep-forget").hidden = !mine;
  if (!mine) return;
  const isOlder = Number(byId("top").dataset.seen) > mine.revision;
  words.textContent =
    `Revision ${mine.revision} is kept here since ${day.format(new Date(mine.at))}.` +
    (isOlder ? " There is a newer one: keep it anew. Pages that were opened here since are newer already." : "");
  byId("keep-here").textContent = "Keep it anew";
}

document.addEventListener("click", async ({ target }) => {
  const rig = rigPath();
  if (target.id === "keep-here") {
    const say = (words) => (byId("keep-words").textContent = words);
    target.disabled = true;
    const trouble = await work().then(
      () => keep(rig, (words) => say(`Keeping ${words}`)).then(() => "", () => NOT_ALL),
      () => NOT_TRUSTED,
    );
    await panel();
    if (trouble) say(trouble);
    byId("keep-here").disabled = false;
  }
  if (target.id === "keep-forget") {
    await forget(rig);
    byId("keep-words").textContent = "Nothing of this rig is kept here any more.";
    target.hidden = true;
  }
});

/** The list of all that is kept on this device. */
async function fill() {
  const place = byId("kept-list");
  if (!place || !canKeep() || !(await caches.has(KEPT))) return;
  const rigs = Object.values(await list(await caches.open(KEPT)));
  byId("kept-none").hidden = rigs.length > 0;
  place.replaceChildren(
    ...rigs.map((rig) => {
      const part = byId("kept-rig").content.cloneNode(true);
      part.querySelector("h2").textContent = rig.name;
      part.querySelector("p").textContent = `Revision ${rig.revision}, kept on ${day.format(new Date(rig.at))}.`;
      part.querySelector("ul").append(
        ...rig.pages.filter((page) => page.words).map((page) => {
          const item = document.createElement("li");
          const link = document.createElement("a");
          link.href = page.href;
          link.textContent = page.words;
          item.append(link);
          return item;
        }),
      );
      return part;
    }),
  );
}

for (const moment of ["DOMContentLoaded", "htmx:afterSettle"])
  document.addEventListener(moment, () => {
    panel();
    fill();
  });
