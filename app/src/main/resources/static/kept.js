// A page that was kept and is shown while the server cannot be reached: it is read and ticked, and nothing else is
// changed. No rule of the job is here.
import { byId } from "./page.js";
import { putAside, rigPath, waitingOf, whenBack } from "./ticks.js";

const seenAt = () => byId("page")?.dataset.seenAt;
const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });
let asking = "";

function banner(words, ...more) {
  let line = byId("kept");
  if (!line) {
    line = document.createElement("p");
    line.id = "kept";
    line.className = "kept";
    line.setAttribute("role", "status");
    byId("main").prepend(line);
  }
  line.replaceChildren(words, ...more);
}

function link(words, href) {
  const a = document.createElement("a");
  a.href = href;
  a.textContent = words;
  return a;
}

/** Shows a line as it is ticked on this device. */
function mark(form, done) {
  const button = form.querySelector("button");
  const tick = '<svg aria-hidden="true"><use href="#tick" /></svg>';
  button.innerHTML = done ? tick : "";
  button.setAttribute("aria-pressed", String(done));
  for (const part of [button, form.closest("li, tr")]) {
    part?.classList.toggle("done", done);
    part?.classList.toggle("open", !done);
  }
  form.elements.done.value = String(!done);
}

function showWaiting() {
  const waiting = waitingOf(rigPath());
  for (const form of document.querySelectorAll("#page .tick-form")) {
    const tick = waiting.get(form.elements.key.value);
    if (tick) mark(form, tick.done);
  }
  return waiting.size;
}

function said() {
  const count = showWaiting();
  const revision = byId("top")?.dataset.seen;
  const seen = seenAt() ? day.format(new Date(seenAt())) : "";
  const of = revision ? `revision ${revision}, ` : "";
  const wait = count ? ` ${count} ${count === 1 ? "tick waits" : "ticks wait"} here and will be sent.` : "";
  if (byId("kept-list"))
    banner(
      location.pathname === "/kept"
        ? "Embrack cannot be reached."
        : "Embrack cannot be reached, and this page is not kept on this device. These are:",
    );
  else if (seenAt())
    banner(
      `Embrack cannot be reached. This is ${of}as seen on ${seen}, to be read and ticked.${wait} `,
      link("What is kept", "/kept"),
    );
  else banner(`Embrack cannot be reached.${wait}`);
}

function back(rig) {
  if (asking === rig) return;
  asking = rig;
  whenBack(rig, (words) => {
    asking = "";
    if (rigPath() !== rig) return show();
    if (seenAt() || words) banner(`Embrack is back. ${words} `, link("The page as it is now", location.href));
  });
}

function freeze() {
  for (const form of document.querySelectorAll("#page form[method=post]:not(.tick-form)"))
    for (const part of form.elements) part.disabled = true;
}

function show() {
  const rig = rigPath();
  if (seenAt() !== undefined) {
    freeze();
    said();
  }
  if (rig && (seenAt() !== undefined || waitingOf(rig).size > 0)) back(rig);
}

function tick(form) {
  const rig = rigPath();
  const done = form.elements.done.value === "true";
  putAside(rig, form.elements.key.value, done);
  mark(form, done);
  said();
  back(rig);
}

document.addEventListener(
  "submit",
  (event) => {
    if (seenAt() === undefined || event.target.method !== "post") return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (event.target.matches(".tick-form")) tick(event.target);
  },
  true,
);
document.addEventListener("htmx:beforeRequest", (event) => {
  if (seenAt() !== undefined && event.detail.requestConfig.verb !== "get") event.preventDefault();
});
// The server went away under a page: a tick is not lost.
document.addEventListener("htmx:sendError", (event) => {
  if (event.detail.elt.matches?.(".tick-form")) {
    tick(event.detail.elt);
    byId("lost").hidden = true;
  }
});
document.addEventListener("DOMContentLoaded", show);
document.addEventListener("htmx:afterSettle", show);
