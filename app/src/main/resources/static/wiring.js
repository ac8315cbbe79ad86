// The wiring picture by hand. No rule of the job is here.
import { dragging } from "./pointer.js";

// The wiring picture: moved with the pointer, made larger and smaller, and a link drawn from port to port.
export const picture = () => document.querySelector("svg[data-pan]");
let view = null;
export function look(svg) {
  if (!view || view.of !== location.href)
    view = { of: location.href, box: svg.getAttribute("viewBox").split(" ").map(Number) };
  svg.setAttribute("viewBox", view.box.join(" "));
  svg.classList.toggle("far", svg.clientWidth / view.box[2] < 0.62);
  return view;
}
export function zoom(factor, at) {
  const svg = picture();
  if (!svg) return;
  look(svg);
  if (factor === 0) view.box = [0, 0, Number(svg.dataset.width), Number(svg.dataset.height)];
  else {
    const [x, y, w, h] = view.box;
    const middle = at ?? [x + w / 2, y + h / 2];
    view.box = [middle[0] - (middle[0] - x) / factor, middle[1] - (middle[1] - y) / factor, w / factor, h / factor];
  }
  look(svg);
}
const pointIn = (svg, event) => {
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return [p.x, p.y];
};
document.addEventListener(
  "wheel",
  (event) => {
    const svg = event.target.closest("svg[data-pan]");
    if (!svg || !(event.ctrlKey || event.metaKey)) return;
    event.preventDefault();
    zoom(event.deltaY < 0 ? 1.12 : 0.89, pointIn(svg, event));
  },
  { passive: false },
);
dragging.add({
  selector: "svg[data-pan] [data-port]",
  byFinger: () => true,
  start(plug) {
    const svg = plug.closest("svg");
    const line = svg.appendChild(document.createElementNS("http://www.w3.org/2000/svg", "path"));
    line.setAttribute("class", "pull");
    const box = plug.getBoundingClientRect();
    return { svg, plug, line, from: pointIn(svg, { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 }) };
  },
  move(state, event) {
    state.line.setAttribute("d", `M${state.from} L${pointIn(state.svg, event)}`);
  },
  end(state, event) {
    state.line.remove();
    const there = document.elementFromPoint(event.clientX, event.clientY)?.closest("[data-port]");
    if (!there || there === state.plug) return;
    const token = document.querySelector("input[name=_csrf]");
    htmx.ajax("POST", `${location.pathname}/links`, {
      target: "#page",
      select: "#page",
      swap: "outerHTML",
      values: { from: state.plug.dataset.port, to: there.dataset.port, _csrf: token.value },
    });
  },
  cancel: (state) => state.line.remove(),
});
dragging.add({
  selector: "svg[data-pan]",
  byFinger: () => true,
  start: (svg, event, from) =>
    from.closest("a") ? null : { svg, start: pointIn(svg, event), before: [...look(svg).box] },
  move(state, event) {
    const [x, y] = pointIn(state.svg, event);
    view.box = [view.box[0] + state.start[0] - x, view.box[1] + state.start[1] - y, view.box[2], view.box[3]];
    look(state.svg);
  },
  end() {},
  cancel(state) {
    view.box = state.before;
    look(state.svg);
  },
});
for (const event of ["htmx:afterSettle", "DOMContentLoaded"])
  document.addEventListener(event, () => {
    const svg = picture();
    if (svg) look(svg);
  });
