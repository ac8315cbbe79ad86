// What somebody opened stays open when something is swapped. No rule of the job is here.

let open = [];
/** Remembers what is open. */
export function note() {
  open = [...document.querySelectorAll("details[id][open]")].map((details) => details.id);
}

/** Opens it again, where it came anew. */
export function reopen() {
  for (const id of open) document.getElementById(id)?.setAttribute("open", "");
}
