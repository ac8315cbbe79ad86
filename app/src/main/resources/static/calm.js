// Calm words when the server does not answer. No rule of the job is here.
import { byId } from "./page.js";

function say(words) {
  const lost = byId("lost");
  lost.textContent = words;
  lost.hidden = words === "";
}

document.addEventListener("htmx:responseError", (event) => {
  const status = event.detail.xhr.status;
  if (status === 404) location.assign("/");
  else if (status === 403)
    say("This page was open for too long. What you typed is still here; load the page again before you repeat it.");
  else
    say(
      event.detail.xhr.getResponseHeader("Embrack-Words") ??
        "That did not work, and nothing was changed. What you typed is still here.",
    );
});
document.addEventListener("htmx:sendError", () =>
  say("Embrack does not answer. What you typed is still here; start it again with ./embrack start, then repeat."),
);
document.addEventListener("htmx:afterOnLoad", (event) => {
  if (event.detail.xhr.status < 400 || event.detail.xhr.status === 422) say("");
});
