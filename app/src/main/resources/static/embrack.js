// Keys, the ground, and calm words when the server does not answer. No rule of the job is here.
(() => {
  "use strict";
  const byId = (id) => document.getElementById(id);
  const typing = (target) => target.closest("input:not([type=radio]):not([type=checkbox]), select, textarea, dialog[open]");

  function switchGround() {
    const root = document.documentElement;
    const dark = root.dataset.theme ? root.dataset.theme === "dark" : matchMedia("(prefers-color-scheme: dark)").matches;
    root.dataset.theme = dark ? "light" : "dark";
    document.cookie = `ground=${dark ? "desk" : "stage"}; path=/; max-age=31536000; samesite=strict`;
  }

  function press(digit) {
    const button = document.querySelector(`[data-press="${digit}"]`);
    if (button) button.click();
    return Boolean(button);
  }

  function openPad(open, query) {
    const panel = byId("pad-panel");
    panel.hidden = !open;
    byId("pad-button").setAttribute("aria-expanded", String(open));
    if (!open) return;
    const field = byId("pad-q");
    if (query === undefined) {
      field.focus();
      return;
    }
    field.value = query;
    htmx.trigger(field.form, "submit");
  }

  const keys = {
    "?": () => byId("help").showModal(),
    d: switchGround,
    n: () => openPad(byId("pad-panel").hidden),
    Escape: () => openPad(false),
    u: () => byId("undo")?.click(),
    r: () => byId("redo")?.click(),
    "/": () => byId("find")?.focus(),
  };

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || typing(event.target)) return;
    if (/^\d$/.test(event.key) ? press(event.key === "0" ? "10" : event.key) : keys[event.key]) {
      event.preventDefault();
      if (keys[event.key]) keys[event.key]();
    }
  });

  document.addEventListener("click", (event) => {
    if (event.target.closest("[data-ground-switch]")) switchGround();
    if (event.target.closest("#pad-button")) openPad(byId("pad-panel").hidden);
    const number = event.target.closest("a[data-number]");
    if (number && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      openPad(true, new URL(number.href).searchParams.get("q"));
    }
    const remark = event.target.closest("[data-go]");
    if (remark) {
      const field = byId(remark.dataset.go);
      field.closest("details")?.setAttribute("open", "");
      field.focus();
      field.setSelectionRange(Number(remark.dataset.from), Number(remark.dataset.to));
    }
    if (event.target.closest("[data-help]")) byId("help").showModal();
    if (event.target.closest("[data-print]")) print();
    const pressed = event.target.closest("[data-press]");
    if (pressed) {
      const tile = pressed.closest(".tile");
      tile.classList.add("down");
      setTimeout(() => tile.classList.remove("down"), 400);
    }
  });

  // What is typed into the editor and not kept yet outlives a link, a reload or a closed tab.
  const draftFields = ["name", "kind", "chart", "box", "reality"];
  const draftKey = () => `draft ${byId("draft")?.dataset.draftOf}`;
  const readDraft = () => draftFields.map((name) => byId(name)?.value ?? "");
  function offerDraft() {
    const offer = byId("draft-offer");
    const stored = offer && localStorage.getItem(draftKey());
    if (stored) offer.hidden = stored === JSON.stringify(readDraft());
  }
  document.addEventListener("input", (event) => {
    if (event.target.closest("#draft")) localStorage.setItem(draftKey(), JSON.stringify(readDraft()));
  });
  document.addEventListener("click", (event) => {
    const choice = event.target.closest("[data-draft]")?.dataset.draft;
    if (choice === "back") {
      JSON.parse(localStorage.getItem(draftKey())).forEach((value, i) => { byId(draftFields[i]).value = value; });
      byId("chart").dispatchEvent(new Event("input", { bubbles: true }));
    }
    if (choice === "forget") localStorage.removeItem(draftKey());
    if (choice) byId("draft-offer").hidden = true;
  });
  document.addEventListener("DOMContentLoaded", () => {
    const kept = document.querySelector("[data-kept]")?.dataset.kept;
    if (kept) localStorage.removeItem(`draft ${kept}`);
    offerDraft();
  });
  document.addEventListener("htmx:afterSettle", offerDraft);

  // A link chosen while an edit is on its way waits for the answer, and is not followed if the edit was refused.
  let editing = 0;
  let wanted = null;
  const isEdit = (event) => event.detail.requestConfig.verb === "post";
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a[href]");
    if (!link || editing === 0) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    wanted = link.getAttribute("href");
  }, true);
  document.addEventListener("htmx:beforeRequest", (event) => {
    if (isEdit(event)) editing++;
  });
  document.addEventListener("htmx:afterRequest", (event) => {
    if (!isEdit(event)) return;
    editing--;
    const to = wanted;
    wanted = null;
    if (!to || !event.detail.successful) return;
    const link = document.querySelector(`a[href="${CSS.escape(to)}"]`);
    if (link) link.click();
    else location.assign(to);
  });

  function say(words) {
    const lost = byId("lost");
    lost.textContent = words;
    lost.hidden = words === "";
  }

  document.addEventListener("htmx:responseError", (event) => {
    const status = event.detail.xhr.status;
    if (status === 404) location.assign("/");
    else if (status === 403) say("This page was open for too long. What you typed is still here; load the page again before you repeat it.");
    else if (status !== 503) say("That did not work, and nothing was changed. What you typed is still here.");
    else say("The database does not answer. What you typed is still here; try again in a moment.");
  });
  document.addEventListener("htmx:sendError", () =>
    say("Embrack does not answer. What you typed is still here; start it again with ./embrack start, then repeat."));
  document.addEventListener("htmx:afterOnLoad", (event) => {
    if (event.detail.xhr.status < 400 || event.detail.xhr.status === 422) say("");
  });
})();
