// Keys and buttons that every room has, the ground, the number pad. No rule of the job is here.
import { byId, typing } from "./page.js";
import { isForPage, meant, undoOrRedo } from "./letters.js";
import { floor, nextBank, walk } from "./floor.js";
import { zoom } from "./wiring.js";

function switchGround() {
  const root = document.documentElement;
  const dark = root.dataset.theme ? root.dataset.theme === "dark" : matchMedia("(prefers-color-scheme: dark)").matches;
  root.dataset.theme = dark ? "light" : "dark";
  document.cookie = `ground=${dark ? "desk" : "stage"}; path=/; max-age=31536000; samesite=strict`;
}

function press(digit) {
  const button = document.querySelector(`[data-press="${digit}"]`);
  if (button) button.click();
  return Boolean(button);
}

function openPad(open, query) {
  const panel = byId("pad-panel");
  panel.hidden = !open;
  byId("pad-button").setAttribute("aria-expanded", String(open));
  if (!open) return;
  const field = byId("pad-q");
  if (query === undefined) {
    field.focus();
    return;
  }
  field.value = query;
  htmx.trigger(field.form, "submit");
}

// The list of keys, with the way to the handbook of the room that the page is of.
function help() {
  const room = document.querySelector(".rail a[aria-current]")?.pathname.split("/").at(-1);
  byId("handbook").href = room ? `/handbook/${room}` : "/handbook";
  byId("help").showModal();
}

const keys = {
  ArrowLeft: () => walk(-1, 0),
  ArrowRight: () => walk(1, 0),
  ArrowUp: () => walk(0, 1),
  ArrowDown: () => walk(0, -1),
  "[": () => nextBank(-1),
  "]": () => nextBank(1),
  t: () => byId("switch-name")?.focus(),
  m: () => floor("mark"),
  c: () => floor("take"),
  v: () => floor("copy"),
  b: () => floor("move"),
  x: () => floor("swap"),
  Delete: () => floor("clear"),
  "?": help,
  d: switchGround,
  n: () => openPad(byId("pad-panel").hidden),
  u: () => byId("undo")?.click(),
  r: () => byId("redo")?.click(),
  "/": () => byId("find")?.focus(),
  "+": () => zoom(1.25),
  "-": () => zoom(0.8),
  Escape: () => {
    openPad(false);
    document.querySelector(".floor-tools a")?.click();
  },
};

document.addEventListener("keydown", (event) => {
  if (event.key === "Escape" && event.target.closest?.("#pad-panel")) {
    event.preventDefault();
    openPad(false);
    byId("pad-button").focus();
    return;
  }
  if (event.key === "Escape" && typing(event.target)) event.target.blur();
  const turn = undoOrRedo(event);
  if (turn && byId(turn)) {
    event.preventDefault();
    byId(turn).click();
    return;
  }
  if (event.repeat || !isForPage(event)) return;
  const key = meant(event);
  const onFloor = /^Arrow|^[[\]tmcvbx]$|^Delete$/.test(key);
  if (
    onFloor &&
    ((!document.querySelector("#board .tile.selected, .control.selected") &&
      key !== "t" &&
      key !== "[" &&
      key !== "]") ||
      event.target.closest("summary, .sideways, [role=region]"))
  )
    return;
  if (/^\d$/.test(key) ? press(key === "0" ? "10" : key) : keys[key]) {
    event.preventDefault();
    if (keys[key]) keys[key]();
  }
});

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-ground-switch]")) switchGround();
  const several = event.target.closest("[data-floor]");
  if (several) floor(several.dataset.floor);
  if (event.target.closest("#pad-button")) openPad(byId("pad-panel").hidden);
  const number = event.target.closest("a[data-number]");
  if (number && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    openPad(true, new URL(number.href).searchParams.get("q"));
  }
  const remark = event.target.closest("[data-go]");
  if (remark) {
    const field = byId(remark.dataset.go);
    field.closest("details")?.setAttribute("open", "");
    field.focus();
    field.setSelectionRange(Number(remark.dataset.from), Number(remark.dataset.to));
  }
  const larger = event.target.closest("[data-zoom]");
  if (larger) zoom({ in: 1.25, out: 0.8 }[larger.dataset.zoom] ?? 0);
  if (event.target.closest("[data-help]")) help();
  if (event.target.closest("[data-print]")) print();
  const pressed = event.target.closest("[data-press]");
  if (pressed) {
    const tile = pressed.closest(".tile");
    tile.classList.add("down");
    setTimeout(() => tile.classList.remove("down"), 400);
  }
});
