// What others change. No rule of the job is here.
import { typing } from "./page.js";
import { dragging } from "./pointer.js";
import { isEditing } from "./waiting.js";
import { look, picture } from "./wiring.js";
import { back, remember } from "./focus.js";
import { say } from "./news.js";

// What others change shows here at once; what is being typed stays. What comes during a drag, or while an edit of one's
// own is on its way, is fetched after it.
let changes = null;
let told = 0;
// For each that is told the page is drawn anew once, also where it comes from what was kept without a network.
let drawnFor = 0;
// A page that is the answer to what was sent is not to be had again by its address.
let isAnswer = false;
/** What is written and not yet sent, or was sent and refused. */
const isWriting = () =>
  typing(document.activeElement) ||
  document.querySelector("#page :is(.problem, .told.refused), dialog[open]") ||
  [...document.querySelectorAll("#main :is(input, textarea)")].some((field) => field.value !== field.defaultValue);
/** Whether the room shows by itself what others do; rooms that keep parts of their own up to date look after it. */
const whole = () => {
  const main = document.getElementById("main");
  return main && !isAnswer && !main.matches("[data-changes], [data-stays], [data-live-run]");
};
function listen() {
  const room = document.querySelector("main[data-changes]") ?? document.querySelector("#top[data-changes]");
  // A browser keeps few lines to one server open: what nobody looks at listens to nothing.
  if (document.hidden && room?.id === "top") {
    changes?.close();
    changes = null;
    return;
  }
  if (changes && changes.url.endsWith(room?.dataset.changes ?? "none")) return;
  changes?.close();
  told = 0;
  drawnFor = 0;
  changes = room ? new EventSource(room.dataset.changes) : null;
  changes?.addEventListener("revision", (event) => {
    told = Math.max(told, Number(event.data));
    refresh();
    if (Number(document.getElementById("top")?.dataset.seen) < told && !isEditing())
      document.dispatchEvent(new CustomEvent("others-changed"));
  });
  changes?.addEventListener("line", (event) =>
    document.dispatchEvent(new CustomEvent("line-moved", { detail: Number(event.data) })),
  );
  changes?.addEventListener("send", (event) =>
    document.dispatchEvent(new CustomEvent("send-moved", { detail: Number(event.data) })),
  );
}
async function refresh() {
  const top = document.getElementById("top");
  const isOld = Number(top?.dataset.seen) < told && drawnFor < told;
  if (whole() && isOld && !dragging.isActive() && !isEditing() && !isWriting()) {
    drawnFor = told;
    return htmx.ajax("GET", location.pathname + location.search, {
      target: "#page",
      select: "#page",
      swap: "outerHTML show:none",
      headers: { "Embrack-By-Itself": "changes" },
    });
  }
  const room = document.querySelector("main[data-changes][data-revision]");
  if (!room || Number(room.dataset.revision) >= told || dragging.isActive() || isEditing()) return;
  const answer = await fetch(location.href, { headers: { Accept: "text/html", "Embrack-By-Itself": "changes" } });
  if (!answer.ok || isEditing() || dragging.isActive() || !room.isConnected) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
  if (isEditing() || dragging.isActive() || !room.isConnected) return;
  remember();
  const parts = [...document.querySelectorAll("[data-live], #top, #rail")];
  parts
    .filter((part) => !part.contains(document.activeElement) || !typing(document.activeElement))
    .forEach((part) => {
      const now = fresh.getElementById(part.id);
      if (!now) return;
      part.replaceWith(now);
      htmx.process(now);
    });
  back();
  const now = document.querySelector("main[data-revision]");
  const shown = fresh.querySelector("[data-revision]");
  if (now && shown) now.dataset.revision = shown.dataset.revision;
  const svg = picture();
  if (svg) look(svg);
  const last = document.getElementById("undo")?.title.replace(/^\S+ /, "");
  say(`Changed on another page: ${last}`);
}
document.addEventListener("DOMContentLoaded", listen);
document.addEventListener("htmx:afterSettle", () => {
  listen();
  refresh();
});
// Whoever began to write while the page was on its way keeps theirs.
document.addEventListener("htmx:beforeSwap", (event) => {
  if (event.detail.requestConfig.headers["Embrack-By-Itself"] !== "changes" || !isWriting()) return;
  event.detail.shouldSwap = false;
  drawnFor = 0;
});
document.addEventListener("htmx:afterRequest", (event) => {
  const { requestConfig, xhr } = event.detail;
  if (event.detail.target?.id === "page" && xhr.responseURL)
    isAnswer = requestConfig.verb === "post" && new URL(xhr.responseURL).pathname === requestConfig.path;
});
document.addEventListener("drag-over", refresh);
document.addEventListener("visibilitychange", listen);
document.addEventListener("focusout", () => setTimeout(refresh));
