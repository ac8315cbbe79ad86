// Real receivers in a run: what comes to a box in it goes on to the real one at a port of this browser, once somebody
// here said yes to that box. What goes is said by the server, and let go by the gate alone.
import { byId } from "./page.js";
import { bringOwn, namesOut, watch } from "./ports.js";
import { isOpen, openGate, sendThrough, shutGate, station, watchGate } from "./gate.js";
import { bringServers } from "./ownports.js";
import { joinSimulated } from "./simulated.js";

const panel = () => byId("run-obey");
let words = "";
let line = "";

function say(said) {
  words = said;
  if (byId("run-obey-state")) byId("run-obey-state").textContent = words;
}

async function post(path, fields) {
  const token = document.querySelector("form [name=_csrf]")?.value ?? "";
  const body = new URLSearchParams({ ports: namesOut().join("\n"), ...fields, station, _csrf: token });
  return fetch(`${panel().dataset.send}${path}`, { method: "POST", body }).catch(() => undefined);
}

async function showBoxes() {
  if (!panel()) return;
  const answer = await post("/run/boxes", {});
  if (!answer?.ok || !byId("run-obey-boxes")) return;
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".obey-boxes");
  if (fresh) byId("run-obey-boxes").replaceChildren(fresh);
  byId("run-obey-shut").hidden = !fresh?.querySelector(".exact");
}

// The boxes that somebody here said yes to.
const obeying = new Set();
// One question at a time; what comes meanwhile is asked for behind it.
let asking = false;
let again = false;
async function obey() {
  if (!panel() || !obeying.size) return;
  again = asking;
  if (asking) return;
  asking = true;
  const answer = await post("/run/next", { line });
  const next = answer?.ok ? await answer.json() : null;
  asking = false;
  if (next) {
    line = String(next.line);
    if ([...obeying].some((box) => !next.open.includes(box))) {
      shutGate();
      say("The gate shut by itself: nothing was sent for ten minutes, or the server was started anew. Say yes again.");
      return;
    }
    say(next.words);
    for (const reply of next.replies) if (!sendThrough(reply) && reply.words) say(reply.words);
  } else say("The server does not answer: nothing was sent.");
  if (again) obey();
}

watchGate(() => {
  for (const box of obeying) if (!isOpen(box)) obeying.delete(box);
  showBoxes();
});
watch(showBoxes);
document.addEventListener("run-moved", obey);

const bringing = {
  "run-obey-own": bringOwn,
  "run-obey-servers": () => bringServers(`${panel().dataset.send}/own/ports`),
  "run-obey-simulated": () => joinSimulated(`${panel().dataset.simulated}?ends`),
};
document.addEventListener("click", async ({ target }) => {
  if (!panel()) return;
  const bring = bringing[target.id];
  if (bring) {
    const trouble = await bring();
    say(trouble);
    showBoxes();
  }
  if (target.dataset?.obey) {
    const box = target.dataset.obey;
    const answer = await post("/open", { box });
    if (!obeying.size) line = "";
    if (answer?.ok) obeying.add(box);
    if (answer?.ok) openGate(box);
    else say("The server does not answer: the gate stays shut.");
    obey();
  }
  if (target.id === "run-obey-shut") {
    shutGate();
    await post("/shut", {});
    say("Shut. Notes are off and pedals are up where they were sent.");
    showBoxes();
  }
});

// Whoever leaves the page has done with sending.
let here = null;
document.addEventListener("htmx:afterSettle", () => {
  if (here && !panel()) shutGate();
  if (panel() && panel() !== here) showBoxes();
  here = panel();
});
