// Pages that were kept for a show, when the server cannot be reached. No rule of the job is here.
"use strict";

/** What is kept: pages by their address, and the styles, scripts and fonts that they ask for. */
const KEPT = "embrack-kept";
/** A page that was kept is shown when the server takes longer than this. */
const SLOW_MS = 10_000;
const SEEN = "Embrack-Seen";
/** How every page begins but that at the door. */
const PAGE = '<div id="page"';
const FILE = /\.(css|js|svg|woff2|png|webmanifest)$/;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== location.origin) return;
  if (FILE.test(url.pathname)) event.respondWith(file(request));
  else if (request.mode === "navigate" || request.headers.has("HX-Boosted")) event.respondWith(page(event));
});

const known = async (address, how) => (await caches.open(KEPT)).match(address, { ignoreVary: true, ...how });

/** A file: the server's, else the one that was kept. */
async function file(request) {
  try {
    return await fetch(request);
  } catch (gone) {
    const kept = await known(request.url);
    if (kept) return kept;
    throw gone;
  }
}

/** A page: the server's, which is kept anew if it is one of those; else as it was seen last. */
async function page(event) {
  const { request } = event;
  const address = request.url.replace(/#.*/, "");
  const kept = await known(address);
  const late = kept && new Promise((done) => setTimeout(() => done(null), SLOW_MS));
  try {
    const asked = fetch(request);
    const answer = await (late ? Promise.race([asked, late]) : asked);
    if (!answer) return frozen(kept);
    if (kept && answer.ok) event.waitUntil(keep(address, answer.clone()));
    return answer;
  } catch (gone) {
    // What is chosen on a page was not kept, but the page was.
    const near = kept ?? (await known(address, { ignoreSearch: true })) ?? (await known(`${location.origin}/kept`));
    if (near) return frozen(near);
    throw gone;
  }
}

/** Keeps a page as it is now, unless only a part of one came, or the page at the door instead. */
async function keep(address, answer) {
  const text = await answer.text();
  if (!text.includes("<html") || !text.includes(PAGE)) return;
  const headers = new Headers(answer.headers);
  headers.delete("Content-Encoding");
  headers.delete("Content-Length");
  headers.set(SEEN, new Date().toISOString());
  await (await caches.open(KEPT)).put(address, new Response(text, { headers }));
}

/** A page that says of itself when it was seen. */
async function frozen(kept) {
  const seen = kept.headers.get(SEEN) ?? "";
  const text = (await kept.text()).replace(PAGE, `${PAGE} data-seen-at="${seen}"`);
  return new Response(text, { headers: kept.headers });
}
