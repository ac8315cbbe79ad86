// What goes on by itself, looked at anew once a second: what a receiver hears, what is worked out. No rule is here.
import { back, remember } from "./focus.js";

const EVERY = 1000;

async function again() {
  const here = [...document.querySelectorAll("[data-again]")];
  for (const path of new Set(here.map((one) => one.dataset.again))) {
    const answer = await fetch(path).catch(() => undefined);
    if (!answer?.ok) continue;
    const { body } = new DOMParser().parseFromString(await answer.text(), "text/html");
    for (const old of here.filter((one) => one.dataset.again === path && one.isConnected)) {
      const now = body.querySelector(`#${CSS.escape(old.id)}`);
      if (!now) continue;
      remember();
      old.replaceWith(now);
      htmx.process(now);
      back();
    }
  }
}

setInterval(again, EVERY);
