// One way to drag, for mouse, pen and finger. A drag begins behind a threshold, holds the pointer, and is over when the
// pointer is let go; it is called off by Escape, by the browser (which takes a finger for scrolling), by a second
// finger, or when what is dragged is no longer there. What was called off did nothing.
const THRESHOLD = 6;
const kinds = [];
let held = null;

// kind: selector; byFinger(target): whether a finger drags it, else a finger scrolls; start(target, event, from) gives
// a state or nothing, from is what was pressed in it; move(state, event, dx, dy); end(state, event, dx, dy);
// cancel(state).
function add(kind) {
  kinds.push(kind);
}
const isActive = () => Boolean(held?.on);

function over() {
  const was = held;
  held = null;
  if (was?.on && was.target.hasPointerCapture?.(was.id)) was.target.releasePointerCapture(was.id);
  if (was?.on) setTimeout(() => document.dispatchEvent(new Event("drag-over")));
  return was;
}
function callOff() {
  const was = over();
  if (was?.on) was.kind.cancel(was.state);
}
// The click that a browser makes of a drag is none.
function swallowClick() {
  const swallow = (click) => {
    click.preventDefault();
    click.stopPropagation();
  };
  addEventListener("click", swallow, { capture: true, once: true });
  setTimeout(() => removeEventListener("click", swallow, true), 0);
}

document.addEventListener("pointerdown", (event) => {
  if (held) {
    callOff();
    return;
  }
  if (event.button !== 0 || !event.isPrimary) return;
  const kind = kinds.find((each) => event.target.closest?.(each.selector));
  const target = kind && event.target.closest(kind.selector);
  if (!target || (event.pointerType === "touch" && !kind.byFinger(target))) return;
  held = {
    kind,
    target,
    from: event.target,
    id: event.pointerId,
    x: event.clientX,
    y: event.clientY,
    on: false,
    state: null,
  };
});
document.addEventListener("pointermove", (event) => {
  if (!held || event.pointerId !== held.id) return;
  if (!held.target.isConnected || (event.pointerType === "mouse" && event.buttons === 0)) {
    callOff();
    return;
  }
  const [dx, dy] = [event.clientX - held.x, event.clientY - held.y];
  if (!held.on) {
    if (Math.hypot(dx, dy) < THRESHOLD) return;
    held.state = held.kind.start(held.target, event, held.from);
    if (!held.state) {
      held = null;
      return;
    }
    held.on = true;
    held.target.setPointerCapture?.(held.id);
  }
  held.kind.move(held.state, event, dx, dy);
  event.preventDefault();
});
document.addEventListener("pointerup", (event) => {
  if (!held || event.pointerId !== held.id) return;
  const [dx, dy] = [event.clientX - held.x, event.clientY - held.y];
  const was = over();
  if (!was.on) return;
  swallowClick();
  if (was.target.isConnected) was.kind.end(was.state, event, dx, dy);
  else was.kind.cancel(was.state);
});
document.addEventListener("pointercancel", (event) => {
  if (held && event.pointerId === held.id) callOff();
});
// A finger is held by what it touched first, until the drag takes it over: that is no loss.
document.addEventListener("lostpointercapture", (event) => {
  if (isActive() && event.pointerId === held.id && !held.target.hasPointerCapture(held.id)) callOff();
});
addEventListener("blur", callOff);
document.addEventListener(
  "keydown",
  (event) => {
    if (event.key !== "Escape" || !isActive()) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    callOff();
    addEventListener("pointerup", swallowClick, { capture: true, once: true });
  },
  true,
);
// The browser's own dragging of links and pictures would call ours off.
document.addEventListener("dragstart", (event) => {
  if (kinds.some((kind) => event.target.closest?.(kind.selector))) event.preventDefault();
});

export const dragging = { add, isActive, callOff };
