// A board described by pressing it: what comes is told to the server, which says what its text is. No rule is here.
import { byId } from "./page.js";
import { bringOwn, listenForGoes, names, watch } from "./ports.js";

const GO_MS = 120;
let goes = [];
let hears = false;

const state = (words) => byId("press-state") && (byId("press-state").textContent = words);

async function tell() {
  const panel = byId("pressing");
  if (!panel) return;
  const body = new URLSearchParams({
    switches: byId("press-switches").value,
    columns: byId("press-columns").value,
    banks: byId("press-banks").value,
    goes: goes.join("\n"),
    box: byId("box").value,
    _csrf: document.querySelector("form [name=_csrf]").value,
  });
  const answer = await fetch(panel.dataset.path, { method: "POST", body }).catch(() => undefined);
  if (!answer) {
    state("The server does not answer. What was pressed is kept; press Listen again.");
    return;
  }
  const fresh = new DOMParser().parseFromString(await answer.text(), "text/html").getElementById("described");
  if (fresh) byId("described").replaceWith(fresh);
}

listenForGoes(GO_MS, ({ sent }) => {
  if (!hears || !byId("pressing")?.open) return;
  goes.push(sent);
  tell();
});

function told() {
  const there = names().join(", ");
  state(there ? `Hears ${there}.` : "No MIDI port is there yet.");
}
watch(told);

document.addEventListener("click", async ({ target }) => {
  const what = target.closest?.("[data-pressing]")?.dataset.pressing;
  if (!what) return;
  if (what === "listen") {
    const trouble = await bringOwn();
    hears = !trouble;
    if (trouble) state(trouble);
    else tell();
  }
  if (what === "nothing") goes.push("-");
  if (what === "back") goes.pop();
  if (what === "anew") goes = [];
  if (what === "take") {
    byId("box").value = byId("described").dataset.text;
    byId("box").dispatchEvent(new Event("input", { bubbles: true }));
    byId("box").focus();
  } else if (what !== "listen") tell();
});
document.addEventListener("htmx:afterSettle", () => {
  if (byId("pressing")) return;
  goes = [];
  hears = false;
});
