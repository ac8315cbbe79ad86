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

  // The floor plan: moving about it, and what several switches are taken from and put to.
  const tiles = () => [...document.querySelectorAll("#board .tile")];
  const chosen = () => document.querySelector("#board .tile.selected");
  const stored = (name) => (sessionStorage.getItem(name) ?? "").split("_").filter(Boolean);
  function walk(along, back) {
    const here = chosen();
    const control = document.querySelector(".control.selected");
    if (control) {
      const all = [...document.querySelectorAll(".control")];
      (all[all.indexOf(control) + along + back] ?? document.querySelector("#board a.tile-body"))?.click();
      return;
    }
    if (!here) return;
    const columns = Number(/columns-(\d+)/.exec(byId("board").className)?.[1] ?? 1);
    const to = Number(here.dataset.tile) + along + back * columns;
    const beyond = along > 0 && Number(here.dataset.tile) % columns === 0;
    const there = beyond ? document.querySelector("a.control") : tiles().find((tile) => Number(tile.dataset.tile) === to)?.querySelector("a.tile-body");
    there?.click();
  }
  function nextBank(step) {
    const banks = [...document.querySelectorAll("nav[aria-label=Banks] a")];
    banks[banks.findIndex((bank) => bank.hasAttribute("aria-current")) + step]?.click();
  }
  function drawMarks() {
    const marks = stored("marks");
    tiles().forEach((tile) => tile.classList.toggle("marked", marks.includes(tile.dataset.key)));
    const words = byId("clipboard-words");
    const taken = stored("taken").length;
    if (words) words.textContent = [marks.length ? `${marks.length} marked` : "", taken ? `${taken} copied` : ""].filter(Boolean).join(", ");
  }
  function floor(what) {
    const here = chosen()?.dataset.key;
    const form = byId("floor-form");
    if (!here || !form) return;
    const marks = stored("marks");
    if (what === "mark") {
      sessionStorage.setItem("marks", (marks.includes(here) ? marks.filter((key) => key !== here) : [...marks, here]).join("_"));
    } else if (what === "take") {
      sessionStorage.setItem("taken", (marks.length ? marks : [here]).join("_"));
      sessionStorage.removeItem("marks");
    } else {
      byId("clipboard").value = what === "clear" ? (marks.length ? marks : [here]).join("_") : stored("taken").join("_");
      byId("floor-do").value = what;
      if (what === "clear") sessionStorage.removeItem("marks");
      if (what === "move" || what === "swap") sessionStorage.removeItem("taken");
      form.requestSubmit();
    }
    drawMarks();
  }
  for (const event of ["htmx:afterSettle", "DOMContentLoaded"]) document.addEventListener(event, drawMarks);

  // Enter in the search takes the first that is found, once the list is that of what was typed.
  let takeFirst = false;
  function offerFirst() {
    const field = byId("find");
    const list = byId("offers");
    if (!takeFirst || !field || !list || list.dataset.find !== field.value) return;
    takeFirst = false;
    field.blur();
    list.querySelector("button")?.click();
  }
  document.addEventListener("keydown", (event) => {
    if (event.target.id !== "find") return;
    if (event.key !== "Enter") { takeFirst = false; return; }
    event.preventDefault();
    takeFirst = true;
    offerFirst();
    if (takeFirst) htmx.trigger(event.target.form, "submit");
  }, true);
  document.addEventListener("htmx:afterSettle", offerFirst);
  // After the tape is written, the keys are for the floor plan again.
  document.addEventListener("keydown", (event) => {
    if (event.key === "Enter" && event.target.id === "switch-name") setTimeout(() => event.target.blur());
  });

  const keys = {
    ArrowLeft: () => walk(-1, 0),
    ArrowRight: () => walk(1, 0),
    ArrowUp: () => walk(0, 1),
    ArrowDown: () => walk(0, -1),
    "[": () => nextBank(-1),
    "]": () => nextBank(1),
    t: () => byId("switch-name")?.focus(),
    m: () => floor("mark"),
    c: () => floor("take"),
    v: () => floor("copy"),
    b: () => floor("move"),
    x: () => floor("swap"),
    Delete: () => floor("clear"),
    "?": () => byId("help").showModal(),
    d: switchGround,
    n: () => openPad(byId("pad-panel").hidden),
    u: () => byId("undo")?.click(),
    r: () => byId("redo")?.click(),
    "/": () => byId("find")?.focus(),
    "+": () => zoom(1.25),
    "-": () => zoom(0.8),
    Escape: () => { openPad(false); document.querySelector(".floor-tools a")?.click(); },
  };

  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape" && typing(event.target)) event.target.blur();
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || typing(event.target)) return;
    const onFloor = /^Arrow|^[[\]tmcvbx]$|^Delete$/.test(event.key);
    if (onFloor && (!document.querySelector("#board .tile.selected, .control.selected") && event.key !== "t" && event.key !== "[" && event.key !== "]" || event.target.closest("summary, [role=region]"))) return;
    if (/^\d$/.test(event.key) ? press(event.key === "0" ? "10" : event.key) : keys[event.key]) {
      event.preventDefault();
      if (keys[event.key]) keys[event.key]();
    }
  });

  document.addEventListener("click", (event) => {
    if (event.target.closest("[data-ground-switch]")) switchGround();
    const several = event.target.closest("[data-floor]");
    if (several) floor(several.dataset.floor);
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
    const larger = event.target.closest("[data-zoom]");
    if (larger) zoom({ in: 1.25, out: 0.8 }[larger.dataset.zoom] ?? 0);
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

  // The wiring picture: moved with the pointer, made larger and smaller, and a link drawn from port to port.
  const picture = () => document.querySelector("svg[data-pan]");
  let view = null;
  function look(svg) {
    if (!view || view.of !== location.href) view = { of: location.href, box: svg.getAttribute("viewBox").split(" ").map(Number) };
    svg.setAttribute("viewBox", view.box.join(" "));
    svg.classList.toggle("far", svg.clientWidth / view.box[2] < 0.62);
    return view;
  }
  function zoom(factor, at) {
    const svg = picture();
    if (!svg) return;
    look(svg);
    if (factor === 0) view.box = [0, 0, Number(svg.dataset.width), Number(svg.dataset.height)];
    else {
      const [x, y, w, h] = view.box;
      const middle = at ?? [x + w / 2, y + h / 2];
      view.box = [middle[0] - (middle[0] - x) / factor, middle[1] - (middle[1] - y) / factor, w / factor, h / factor];
    }
    look(svg);
  }
  const pointIn = (svg, event) => {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return [p.x, p.y];
  };
  document.addEventListener("wheel", (event) => {
    const svg = event.target.closest("svg[data-pan]");
    if (!svg || !(event.ctrlKey || event.metaKey)) return;
    event.preventDefault();
    zoom(event.deltaY < 0 ? 1.12 : 0.89, pointIn(svg, event));
  }, { passive: false });
  dragging.add({
    selector: "svg[data-pan] [data-port]",
    byFinger: () => true,
    start(plug) {
      const svg = plug.closest("svg");
      const line = svg.appendChild(document.createElementNS("http://www.w3.org/2000/svg", "path"));
      line.setAttribute("class", "pull");
      const box = plug.getBoundingClientRect();
      return { svg, plug, line, from: pointIn(svg, { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 }) };
    },
    move(state, event) {
      state.line.setAttribute("d", `M${state.from} L${pointIn(state.svg, event)}`);
    },
    end(state, event) {
      state.line.remove();
      const there = document.elementFromPoint(event.clientX, event.clientY)?.closest("[data-port]");
      if (!there || there === state.plug) return;
      const token = document.querySelector("input[name=_csrf]");
      htmx.ajax("POST", `${location.pathname}/links`, { target: "#page", select: "#page", swap: "outerHTML", values: { from: state.plug.dataset.port, to: there.dataset.port, _csrf: token.value } });
    },
    cancel: (state) => state.line.remove(),
  });
  dragging.add({
    selector: "svg[data-pan]",
    byFinger: () => true,
    start: (svg, event, from) => (from.closest("a") ? null : { svg, start: pointIn(svg, event), before: [...look(svg).box] }),
    move(state, event) {
      const [x, y] = pointIn(state.svg, event);
      view.box = [view.box[0] + state.start[0] - x, view.box[1] + state.start[1] - y, view.box[2], view.box[3]];
      look(state.svg);
    },
    end() {},
    cancel(state) {
      view.box = state.before;
      look(state.svg);
    },
  });
  for (const event of ["htmx:afterSettle", "DOMContentLoaded"]) document.addEventListener(event, () => { const svg = picture(); if (svg) look(svg); });

  // What others change shows here at once; what is being typed stays. What comes during a drag, or while an edit of one's
  // own is on its way, is fetched after it.
  let changes = null;
  let told = 0;
  function listen() {
    const room = document.querySelector("[data-changes]");
    if (changes && changes.url.endsWith(room?.dataset.changes ?? "none")) return;
    changes?.close();
    told = 0;
    changes = room ? new EventSource(room.dataset.changes) : null;
    changes?.addEventListener("revision", (event) => { told = Math.max(told, Number(event.data)); refresh(); });
  }
  async function refresh() {
    const room = document.querySelector("[data-revision]");
    if (!room || Number(room.dataset.revision) >= told || dragging.isActive() || editing > 0) return;
    const answer = await fetch(location.href, { headers: { Accept: "text/html" } });
    if (!answer.ok || editing > 0 || dragging.isActive() || !room.isConnected) return;
    const fresh = new DOMParser().parseFromString(await answer.text(), "text/html");
    if (editing > 0 || dragging.isActive() || !room.isConnected) return;
    const parts = [...document.querySelectorAll("[data-live], #top, #rail")];
    parts.filter((part) => !part.contains(document.activeElement) || !typing(document.activeElement)).forEach((part) => {
      const now = fresh.getElementById(part.id);
      if (!now) return;
      part.replaceWith(now);
      htmx.process(now);
    });
    const now = document.querySelector("[data-revision]");
    const shown = fresh.querySelector("[data-revision]");
    if (now && shown) now.dataset.revision = shown.dataset.revision;
    const svg = picture();
    if (svg) look(svg);
  }
  document.addEventListener("DOMContentLoaded", listen);
  document.addEventListener("htmx:afterSettle", () => { listen(); refresh(); });
  document.addEventListener("drag-over", refresh);

  function say(words) {
    const lost = byId("lost");
    lost.textContent = words;
    lost.hidden = words === "";
  }

  document.addEventListener("htmx:responseError", (event) => {
    const status = event.detail.xhr.status;
    if (status === 404) location.assign("/");
    else if (status === 403) say("This page was open for too long. What you typed is still here; load the page again before you repeat it.");
    else say(event.detail.xhr.getResponseHeader("Embrack-Words") ?? "That did not work, and nothing was changed. What you typed is still here.");
  });
  document.addEventListener("htmx:sendError", () =>
    say("Embrack does not answer. What you typed is still here; start it again with ./embrack start, then repeat."));
  document.addEventListener("htmx:afterOnLoad", (event) => {
    if (event.detail.xhr.status < 400 || event.detail.xhr.status === 422) say("");
  });
})();
