// The prompt page and the order by hand: dragging, choosing several. No rule of the job is here.
import { captureKey } from "./capture.js";
import { byId, typing } from "./page.js";
import { isForPage, meant } from "./letters.js";
import { dragging } from "./pointer.js";

const pins = () => [...document.querySelectorAll("#pins .pin")];
let picked = new Set();

function numbers() {
  if (picked.size) return [...picked];
  const chosen = document.querySelector(".pin.chosen, .auto-cue.chosen");
  return byId("cues")?.value ? byId("cues").value.split(",") : chosen?.dataset.cue ? [chosen.dataset.cue] : [];
}
function drawPicked() {
  pins().forEach((pin) => pin.classList.toggle("picked", picked.has(pin.dataset.cue)));
  if (byId("several-words")) byId("several-words").textContent = picked.size > 1 ? `${picked.size} cues chosen` : "";
}
function several(what, fields = {}) {
  const form = byId("several");
  if (!form) return;
  byId("cues").value = numbers().join(",");
  byId("several-do").value = what;
  for (const [name, value] of Object.entries(fields)) byId(name).value = value;
  form.requestSubmit();
}
function nudge(direction, millis) {
  const grid = Number(byId("prompt")?.dataset.grid ?? 0);
  if (millis || grid === 0) several("move", { by: 0, ms: direction });
  else several("move", { by: direction * Math.min(grid, 3840), ms: 0 });
}
const deeds = {
  earlier: () => nudge(-1),
  later: () => nudge(1),
  "ms-earlier": () => nudge(-1, true),
  "ms-later": () => nudge(1, true),
  alike: () => several("alike"),
  remove: () => several("remove"),
};
function walk(step) {
  const sorted = pins()
    .sort((a, b) => a.dataset.at - b.dataset.at || a.dataset.cue - b.dataset.cue)
    .filter((pin, i, all) => all.findIndex((p) => p.dataset.cue === pin.dataset.cue) === i);
  const here = sorted.findIndex((pin) => pin.classList.contains("chosen"));
  const there = sorted[here < 0 ? (step > 0 ? 0 : sorted.length - 1) : here + step];
  if (there) htmx.trigger(there, "click");
}

// Dragging: one transform a frame; the server says where it snaps. A finger drags only what was chosen by a tap before;
// anywhere else it scrolls.
const ratio = (svg) => svg.viewBox.baseVal.height / svg.getBoundingClientRect().height;
function shift(state, dy) {
  state.moved = dy * state.ratio;
  state.frame ||= requestAnimationFrame(() => {
    state.frame = 0;
    state.all.forEach((each) =>
      each.setAttribute(
        "transform",
        `${(each.dataset.base ??= each.getAttribute("transform") ?? "")} translate(0 ${state.moved})`,
      ),
    );
    const line = byId(state.line);
    line.setAttribute("y1", state.at + state.moved);
    line.setAttribute("y2", state.at + state.moved);
    line.setAttribute("visibility", "visible");
  });
}
function putBack(state) {
  cancelAnimationFrame(state.frame);
  state.all.forEach((each) =>
    each.setAttribute("transform", each.dataset.base ?? each.getAttribute("transform") ?? ""),
  );
  byId(state.line)?.setAttribute("visibility", "hidden");
}
// What could not be kept stands where it stood.
for (const name of ["htmx:responseError", "htmx:sendError"])
  document.addEventListener(name, () => {
    document
      .querySelectorAll("#pins [data-base], #order [data-base]")
      .forEach((each) => each.setAttribute("transform", each.dataset.base));
    for (const line of ["drag-line", "drop-line"]) byId(line)?.setAttribute("visibility", "hidden");
  });
dragging.add({
  selector: "#pins .pin",
  byFinger: (pin) => pin.classList.contains("chosen") || pin.classList.contains("picked"),
  start(pin) {
    const numbers = picked.has(pin.dataset.cue) ? picked : new Set([pin.dataset.cue]);
    return {
      pin,
      all: pins().filter((p) => numbers.has(p.dataset.cue)),
      at: Number(pin.dataset.at),
      line: "drag-line",
      ratio: ratio(byId("prompt")),
      moved: 0,
      frame: 0,
    };
  },
  move: (state, event, dx, dy) => shift(state, dy),
  end(state, event, dx, dy) {
    shift(state, dy);
    const svg = byId("prompt");
    const micros = ((state.at + state.moved - svg.dataset.top) / svg.dataset.scale) * 1e6;
    if (!picked.has(state.pin.dataset.cue)) picked = new Set([state.pin.dataset.cue]);
    several("drag", { held: state.pin.dataset.cue, to: Math.max(0, Math.round(micros)) });
  },
  cancel: putBack,
});
dragging.add({
  selector: "#order .part",
  byFinger: (part) => part.classList.contains("chosen"),
  start: (part) => ({
    part,
    all: [part],
    at: Number(part.dataset.y),
    line: "drop-line",
    ratio: ratio(byId("order")),
    moved: 0,
    frame: 0,
  }),
  move: (state, event, dx, dy) => shift(state, dy),
  end(state, event, dx, dy) {
    shift(state, dy);
    const y = state.at + state.moved + 10;
    const others = [...document.querySelectorAll("#order .part")].filter((part) => part !== state.part);
    const next = others.find((part) => Number(part.dataset.y) + part.dataset.height / 2 >= y);
    movePart(state.part.dataset.part, next?.dataset.part ?? 0);
  },
  cancel: putBack,
});
function movePart(part, before) {
  const token = document.querySelector("form [name=_csrf]")?.value;
  htmx.ajax("POST", `${byId("order").dataset.path}/parts/${part}/move`, {
    target: "#page",
    select: "#page",
    swap: "outerHTML",
    values: { before, _csrf: token },
  });
}

// A click beside the labels puts a new cue there; Shift or Ctrl chooses several.
document.addEventListener(
  "click",
  (event) => {
    const pin = event.target.closest("#pins .pin");
    if (pin && (event.shiftKey || event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      event.stopPropagation();
      if (!picked.size) document.querySelectorAll(".pin.chosen").forEach((chosen) => picked.add(chosen.dataset.cue));
      if (!picked.delete(pin.dataset.cue)) picked.add(pin.dataset.cue);
      drawPicked();
      return;
    }
    const lane = event.target.closest("#prompt .lane");
    if (lane) {
      const svg = byId("prompt");
      const box = svg.getBoundingClientRect();
      const y = ((event.clientY - box.top) * svg.viewBox.baseVal.height) / box.height;
      const near = Math.max(0, Math.round(((y - svg.dataset.top) / svg.dataset.scale) * 1e6));
      const look = new URLSearchParams(location.search);
      htmx.ajax(
        "GET",
        `${svg.dataset.path}?near=${near}&on=${lane.dataset.device}&grid=${svg.dataset.grid}` +
          `&zoom=${look.get("zoom") ?? 0}`,
        { target: "#page", select: "#page", swap: "outerHTML" },
      );
    }
  },
  true,
);
document.addEventListener("click", (event) => {
  const several = event.target.closest("[data-several]");
  if (several) deeds[several.dataset.several]();
});
document.addEventListener("change", (event) => {
  if (event.target.matches("[data-submit]")) event.target.form.requestSubmit();
  if (event.target.id === "strip-box") {
    byId("strip").value = event.target.checked;
    event.target.form.requestSubmit();
  }
});
// What is typed as the moment of a new cue goes with whatever is added next, even before the list has followed.
document.addEventListener("input", (event) => {
  if (event.target.id === "new-at")
    document.querySelectorAll("#foot-at, #offers [name=at]").forEach((field) => {
      field.value = event.target.value;
    });
});

// A key that comes while a page is being swapped waits until what came is at work.
function atWork(deed) {
  if (document.querySelector(".htmx-request:not(.ways-out), .htmx-swapping, .htmx-settling, .htmx-added"))
    setTimeout(() => atWork(deed), 20);
  else deed();
}
const keys = {
  ",": deeds.earlier,
  ".": deeds.later,
  ";": deeds["ms-earlier"],
  ":": deeds["ms-later"],
  a: deeds.alike,
  Delete: deeds.remove,
  ArrowDown: () => walk(1),
  ArrowUp: () => walk(-1),
};
document.addEventListener("keydown", (event) => {
  // What is captured is pressed on purpose, also where keys of one letter are switched off.
  if (byId("capture") && !typing(event.target) && !event.ctrlKey && !event.metaKey && !event.altKey) {
    captureKey(event, true);
    return;
  }
  if (!isForPage(event)) return;
  const key = meant(event);
  if (byId("prompt") && keys[key]) {
    event.preventDefault();
    atWork(keys[key]);
  } else if (byId("order") && (key === "," || key === ".")) {
    atWork(() => byId(key === "," ? "part-up" : "part-down")?.click());
  }
});
document.addEventListener("keyup", (event) => {
  if (byId("capture") && !typing(event.target)) captureKey(event, false);
});

// Where the page was scrolled to stays over an edit; a chosen cue is brought into view.
let scrolled = { path: "", top: 0, left: 0 };
document.addEventListener("htmx:beforeSwap", () => {
  const scroll = byId("prompt-scroll");
  if (scroll)
    scrolled = {
      path: location.pathname + new URLSearchParams(location.search).get("zoom"),
      top: scroll.scrollTop,
      left: scroll.scrollLeft,
    };
});
for (const name of ["htmx:afterSettle", "DOMContentLoaded"])
  document.addEventListener(name, () => {
    const scroll = byId("prompt-scroll");
    if (!scroll || scroll.dataset.ready) return;
    scroll.dataset.ready = "yes";
    picked = new Set();
    if (scrolled.path === location.pathname + new URLSearchParams(location.search).get("zoom"))
      scroll.scrollTo(scrolled.left, scrolled.top);
    const chosen = document.querySelector(".pin.chosen");
    if (
      chosen &&
      (chosen.dataset.at < scroll.scrollTop || chosen.dataset.at > scroll.scrollTop + scroll.clientHeight - 30)
    )
      scroll.scrollTop = chosen.dataset.at - 120;
  });
