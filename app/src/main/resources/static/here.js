// Who else is at the rig. No rule of the job is here.
const EVERY = 4_000;
const page = [...crypto.getRandomValues(new Uint32Array(4))].map((part) => part.toString(36)).join("-");
let told = "";

const place = () => document.getElementById("here");
function show() {
  const here = place();
  if (here && here.innerHTML !== told) here.innerHTML = told;
}
async function ask() {
  const here = place();
  if (!here || document.hidden) return;
  const room = document.querySelector("#rail [aria-current] span")?.textContent ?? document.title.split(",")[0];
  const seen = document.getElementById("top")?.dataset.seen ?? "0";
  try {
    const answer = await fetch(here.dataset.here, {
      method: "POST",
      headers: { "Embrack-By-Itself": "here" },
      body: new URLSearchParams({ page, room: room.trim(), seen, _csrf: here.dataset.token }),
    });
    if (!answer.ok) return;
    told = new DOMParser().parseFromString(await answer.text(), "text/html").body.innerHTML.trim();
    show();
  } catch {
    // The server is gone for a moment; asked again soon.
  }
}
document.addEventListener("DOMContentLoaded", ask);
document.addEventListener("htmx:afterSettle", show);
document.addEventListener("visibilitychange", ask);
document.addEventListener("others-changed", ask);
setInterval(ask, EVERY);
