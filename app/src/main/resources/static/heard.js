// What a receiver hears, looked at anew once a second while something is sent. No rule of the job is here.
import { byId } from "./page.js";

const EVERY = 1000;

async function again() {
  const path = byId("heard")?.dataset.again;
  if (!path) return;
  const answer = await fetch(path).catch(() => undefined);
  if (!answer?.ok) return;
  const { body } = new DOMParser().parseFromString(await answer.text(), "text/html");
  const now = body.querySelector("#heard");
  if (now && byId("heard")?.dataset.again === path) byId("heard").replaceWith(now);
}

setInterval(again, EVERY);
