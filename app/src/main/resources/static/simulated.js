// Boxes that are there when no gear is, behind the interface that a browser has for MIDI. What they send is worked out
// by the server.
import { bring, leave } from "./ports.js";
import { portsOver, say } from "./socketports.js";

let socket = null;
// The page on which they were taken: on another one other ends are heard.
let taken = "";

const tread = (how, at) => say(socket, `${how} ${at}`);

/** Joins the simulated boxes to the ports of this browser. Says in words why not. */
export async function joinSimulated(path) {
  try {
    socket?.close();
    taken = ["main.line-send", "main.run-room"].find((main) => document.querySelector(main)) ?? "main.line-check";
    await bring("simulated", async () => {
      const joined = await portsOver(path, (ended) => {
        if (socket !== ended) return;
        socket = null;
        leave("simulated");
      });
      socket = joined.socket;
      return joined.access;
    });
    return "";
  } catch {
    return "The simulated boxes do not answer. Load this page again.";
  }
}

export const hasSimulated = () => socket !== null;

// A foot on a simulated switch: down and up as a finger, mouse button or key goes down and up.
let down = null;
function press(button) {
  if (!button || down) return;
  down = button;
  button.classList.add("down");
  tread("down", button.dataset.tread);
}
function letGo() {
  if (!down) return;
  down.classList.remove("down");
  tread("up", down.dataset.tread);
  down = null;
}
document.addEventListener("input", ({ target }) => {
  if (target.dataset?.move) say(socket, `move ${target.dataset.move} ${target.value}`);
});
const footOf = (event) => event.target.closest?.("[data-tread]");
document.addEventListener("pointerdown", (event) => event.button === 0 && press(footOf(event)));
for (const over of ["pointerup", "pointercancel", "blur"]) addEventListener(over, letGo);
document.addEventListener("keydown", (event) => {
  if ((event.key === "Enter" || event.key === " ") && !event.repeat && footOf(event)) {
    event.preventDefault();
    press(footOf(event));
  }
});
document.addEventListener("keyup", (event) => {
  if (event.key === "Enter" || event.key === " ") letGo();
});
document.addEventListener("htmx:afterSettle", () => {
  if (socket && !document.querySelector(taken)) socket.close();
});
