// The MIDI ports of the computer that Embrack runs on, for browsers that have none and for a computer in the rack. What
// goes out by them is held against the gate by the server once more.
import { bring, leave } from "./ports.js";
import { portsOver } from "./socketports.js";
import { station } from "./gate.js";

/** Brings those ports. Says in words why not. */
export async function bringServers(path) {
  try {
    await bring("server", async () => {
      const { access } = await portsOver(`${path}?${station}`, () => leave("server"));
      return access;
    });
    return "";
  } catch {
    return "The computer that Embrack runs on does not answer. Load this page again.";
  }
}
