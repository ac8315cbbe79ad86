// A pair is tried by pulling a lead: when messages came meanwhile is kept, and goes along with what somebody saw.
import { byId } from "./page.js";
import { bringOwn, listen, names, watch } from "./ports.js";

// As many times of a port as the server looks at.
const MOST = 4096;
const ACTIVE_SENSING = 0xfe;

// The pair whose lead is out, and when messages came at each port since.
let pulling = null;
let times = new Map();

listen(({ at, data, port }) => {
  if (!pulling || data[0] === ACTIVE_SENSING) return;
  const came = times.get(port) ?? [];
  if (came.length < MOST) came.push(Math.round(at * 1000));
  times.set(port, came);
});

const most = () => Math.max(0, ...[...times.values()].map((came) => came.length));

document.addEventListener("click", async ({ target }) => {
  if (target.closest?.("#pairs-listen")) {
    const trouble = await bringOwn();
    if (trouble) byId("pairs-heard").textContent = trouble;
  }
  const what = target.closest?.("[data-pulling]")?.dataset.pulling;
  const trial = target.closest?.(".pair-trial");
  if (!what || !trial) return;
  const state = trial.querySelector("[data-pulling-state]");
  if (what === "begin") {
    pulling = trial;
    times = new Map();
    state.textContent = names().length ? "Listening." : "Nothing is listened to: say below how long it was.";
  } else if (pulling === trial) {
    trial.querySelector("[name=times]").value = [...times.values()].map((came) => came.join(" ")).join("\n");
    state.textContent = `${most()} messages came.`;
    pulling = null;
  }
});
watch(() => {
  if (byId("pairs-heard") && names().length) byId("pairs-heard").textContent = `Hears ${names().join(", ")}.`;
});
