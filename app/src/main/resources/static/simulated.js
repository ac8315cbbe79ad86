// Boxes that are there when no gear is, behind the interface that a browser has for MIDI. What they send is worked out
// by the server.
import { bring, leave } from "./ports.js";

let socket = null;

const bytes = (hex) => Uint8Array.from(hex.match(/../g), (pair) => Number.parseInt(pair, 16));

class Input {
  state = "connected";
  type = "input";
  onmidimessage = null;

  constructor(name, number) {
    this.name = name;
    this.id = `simulated-${number}`;
  }
}

class Output {
  state = "connected";
  type = "output";

  constructor(name, number) {
    this.name = name;
    this.id = `simulated-out-${number}`;
    this.number = number;
  }

  send(data, at = 0) {
    const line = `to ${this.number} ${[...data].map((byte) => byte.toString(16).padStart(2, "0")).join("")}`;
    setTimeout(() => socket?.readyState === WebSocket.OPEN && socket.send(line), Math.max(0, at - performance.now()));
  }
}

/** Ports as navigator.requestMIDIAccess() gives them, over a socket to the server. */
function simulatedAccess(path) {
  const access = { inputs: new Map(), outputs: new Map(), onstatechange: null, sysexEnabled: false };
  return new Promise((resolve, reject) => {
    socket?.close();
    const line = new WebSocket(new URL(path, location.href.replace(/^http/, "ws")));
    socket = line;
    line.onerror = () => reject(new Error("no answer"));
    line.onclose = () => {
      if (socket !== line) return;
      socket = null;
      leave("simulated");
    };
    line.onmessage = ({ data }) => {
      const came = performance.now();
      for (const row of data.trim().split(/\r?\n/)) {
        const [what, ...rest] = row.split(" ");
        if (what === "port") {
          const input = new Input(rest.join(" "), access.inputs.size);
          access.inputs.set(input.id, input);
          continue;
        }
        if (what === "out") {
          const output = new Output(rest.join(" "), access.outputs.size);
          access.outputs.set(output.id, output);
          continue;
        }
        const [after, port, hex] = rest;
        const at = came + Number(after) / 1000;
        const input = access.inputs.get(`simulated-${port}`);
        setTimeout(() => input.onmidimessage?.({ timeStamp: at, data: bytes(hex) }), at - performance.now());
      }
      resolve(access);
    };
  });
}

const tread = (how, at) => socket?.readyState === WebSocket.OPEN && socket.send(`${how} ${at}`);

/** Joins the simulated boxes to the ports of this browser. Says in words why not. */
export async function joinSimulated(path) {
  try {
    await bring("simulated", () => simulatedAccess(path));
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
  if (target.dataset?.move && socket?.readyState === WebSocket.OPEN)
    socket.send(`move ${target.dataset.move} ${target.value}`);
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
  if (socket && !document.querySelector("main.line-check, main.line-send")) socket.close();
});
