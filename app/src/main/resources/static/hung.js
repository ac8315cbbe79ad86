// Fixtures dragged about the stage as it is seen from above: the fields of their form get the metres, and it is sent.
// No rule of the job is here.
import { byId } from "./page.js";
import { dragging } from "./pointer.js";

const TENTHS = 10;
const moved = (value, metres) => String(Math.round((Number(value) + metres) * TENTHS) / TENTHS);

dragging.add({
  selector: ".hung",
  byFinger: () => true,
  start(target) {
    const drawing = target.ownerSVGElement;
    const { width } = drawing.getBoundingClientRect();
    return {
      target,
      at: target.getAttribute("transform"),
      unit: drawing.viewBox.baseVal.width / width,
      metre: Number(drawing.dataset.metre),
    };
  },
  move({ target, at, unit }, event, dx, dy) {
    target.setAttribute("transform", `${at} translate(${dx * unit} ${dy * unit})`);
  },
  end({ target, unit, metre }, event, dx, dy) {
    const { fixture } = target.dataset;
    const [across, deep] = [byId(`across-${fixture}`), byId(`deep-${fixture}`)];
    across.value = moved(across.value, (dx * unit) / metre);
    deep.value = moved(deep.value, (-dy * unit) / metre);
    across.form.requestSubmit();
  },
  cancel({ target, at }) {
    target.setAttribute("transform", at);
  },
});
