// MIDI ports at the other end of a socket, behind the interface that a browser has for its own: those of simulated
// boxes, and those of the computer that Embrack runs on.
class Port {
  state = "connected";

  constructor(type, name, number) {
    this.type = type;
    this.name = name;
    this.id = `${type}-${number}`;
    this.number = number;
  }
}

class Input extends Port {
  onmidimessage = null;

  constructor(name, number) {
    super("input", name, number);
  }
}

class Output extends Port {
  constructor(name, number, line) {
    super("output", name, number);
    this.line = line;
  }

  send(data, at = 0) {
    const line = `to ${this.number} ${[...data].map((byte) => byte.toString(16).padStart(2, "0")).join("")}`;
    const wait = at - performance.now();
    // At once where it is due: a page that is left runs nothing later.
    if (wait > 0) setTimeout(() => say(this.line, line), wait);
    else say(this.line, line);
  }
}

const bytes = (hex) => Uint8Array.from(hex.match(/../g), (pair) => Number.parseInt(pair, 16));

/** Says a line at a socket, if anybody is there. */
export const say = (socket, line) => socket?.readyState === WebSocket.OPEN && socket.send(line);

/**
 * Ports as navigator.requestMIDIAccess() gives them, over a socket to the server. What is gone when it ends is told.
 * Gives the socket with them.
 */
export function portsOver(path, gone) {
  const access = { inputs: new Map(), outputs: new Map(), onstatechange: null, sysexEnabled: false };
  return new Promise((resolve, reject) => {
    const socket = new WebSocket(new URL(path, location.href.replace(/^http/, "ws")));
    socket.onerror = () => reject(new Error("no answer"));
    socket.onclose = () => gone(socket);
    socket.onmessage = ({ data }) => {
      const came = performance.now();
      for (const row of data.trim().split(/\r?\n/)) {
        const [what, ...rest] = row.split(" ");
        if (what === "port") {
          const input = new Input(rest.join(" "), access.inputs.size);
          access.inputs.set(input.id, input);
        } else if (what === "out") {
          const output = new Output(rest.join(" "), access.outputs.size, socket);
          access.outputs.set(output.id, output);
        } else if (what === "sent") {
          const [after, port, hex] = rest;
          const at = came + Number(after) / 1000;
          const input = access.inputs.get(`input-${port}`);
          setTimeout(() => input?.onmidimessage?.({ timeStamp: at, data: bytes(hex) }), at - performance.now());
        }
      }
      resolve({ access, socket });
    };
  });
}
