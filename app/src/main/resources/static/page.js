// What every room of the page asks. No rule of the job is here.
export const byId = (id) => document.getElementById(id);
/** From a field to what it is about, where keys are keys again. */
export function toChosen(field) {
  field.blur();
  document.querySelector(".tile.selected a, .control.selected a, a.pin.chosen")?.focus({ preventScroll: true });
}
export const typing = (target) =>
  target.closest("input:not([type=radio]):not([type=checkbox]), select, textarea, dialog[open]");
