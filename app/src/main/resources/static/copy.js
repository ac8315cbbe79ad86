// Copies what a button names, one thing a line. No rule of the job is here.
import { say } from "./news.js";

document.addEventListener("click", async (event) => {
  const button = event.target.closest("[data-copy]");
  if (!button) return;
  const lines = [...document.querySelectorAll(button.dataset.copy)].map((line) => line.innerText.replace(/\s+/g, " "));
  const said = button.querySelector("span");
  try {
    await navigator.clipboard.writeText(lines.join("\n"));
    said.textContent = "done";
  } catch {
    said.textContent = "not allowed by the browser";
  }
  say(button.innerText);
});
