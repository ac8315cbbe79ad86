// What every room of the page asks. No rule of the job is here.
export const byId = (id) => document.getElementById(id);
export const typing = (target) =>
  target.closest("input:not([type=radio]):not([type=checkbox]), select, textarea, dialog[open]");
