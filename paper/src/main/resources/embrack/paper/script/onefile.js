"use strict";
(() => {
  const root = document.documentElement;
  const mine = `embrack:${root.dataset.rig}:`;
  const $ = (id) => document.getElementById(id);
  // Some viewers keep nothing for a file; ticks then last as long as it is open.
  const kept = new Map();
  const keep = (key, value) => {
    kept.set(mine + key, value);
    try {
      localStorage.setItem(mine + key, value);
    } catch {
      // kept until the file is closed
    }
  };
  const read = (key) => {
    if (kept.has(mine + key)) return kept.get(mine + key);
    try {
      return localStorage.getItem(mine + key);
    } catch {
      return null;
    }
  };

  for (const part of document.querySelectorAll("[data-script]")) part.hidden = false;

  const toggle = (button, name, words) => {
    const show = (on) => {
      root.classList.toggle(name, on);
      button.textContent = words[Number(on)];
    };
    show(read(name) === "yes");
    button.addEventListener("click", () => {
      const on = !root.classList.contains(name);
      keep(name, on ? "yes" : "no");
      show(on);
    });
  };
  toggle($("ground"), "stage", ["Stage", "Desk"]);
  toggle($("large"), "large-type", ["Large", "Small"]);

  // Ticks: of each the last time that it was made or taken back, so that the newer of two counts at home.
  const boxes = [...document.querySelectorAll("input[data-key]")];
  const showTicks = () => {
    for (const box of boxes) {
      const said = box.dataset.key.split(" ").map((key) => JSON.parse(read(`tick:${key}`) ?? "null"));
      if (said.every(Boolean)) box.checked = said.every((tick) => tick.done);
    }
  };
  showTicks();
  for (const box of boxes) {
    box.addEventListener("change", () => {
      const tick = JSON.stringify({ done: box.checked, at: new Date().toISOString() });
      for (const key of box.dataset.key.split(" ")) keep(`tick:${key}`, tick);
      showTicks();
    });
  }
  const save = (name, type, text) => {
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([text], { type }));
    link.download = name;
    document.body.append(link);
    link.click();
    link.remove();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  };
  $("ticks").addEventListener("click", () => {
    const ticks = [];
    for (const key of new Set(boxes.flatMap((box) => box.dataset.key.split(" ")))) {
      const tick = JSON.parse(read(`tick:${key}`) ?? "null");
      if (tick) ticks.push({ key, ...tick });
    }
    ticks.sort((a, b) => a.at.localeCompare(b.at));
    const file = { format: "embrack-ticks", version: 1, revision: Number(root.dataset.revision), ticks };
    save("ticks.json", "application/json", JSON.stringify(file, null, 2));
  });
  $("plan").addEventListener("click", () => save("plan.json", "application/json", $("embrack-plan").textContent));

  $("find").addEventListener("input", () => {
    const wanted = $("find").value.trim().toLowerCase();
    for (const line of document.querySelectorAll(".line, tbody tr, .switch, .mark")) {
      line.classList.toggle("away", wanted !== "" && !line.textContent.toLowerCase().includes(wanted));
    }
    for (const block of document.querySelectorAll(".block")) {
      const lines = [...block.querySelectorAll(".line, tbody tr, .switch")];
      const named = block.querySelector("h2")?.textContent.toLowerCase().includes(wanted);
      if (named) for (const line of lines) line.classList.remove("away");
      block.classList.toggle("away", wanted !== "" && !named && lines.every((line) => line.matches(".away, .away *")));
    }
    for (const part of document.querySelectorAll(".part")) {
      part.classList.toggle("away", wanted !== "" && [...part.querySelectorAll(".block")].every((b) => b.matches(".away")));
    }
  });

  // A file from a stick has no clipboard of its own: what is to be copied is chosen, and copied as if by hand.
  for (const button of document.querySelectorAll("[data-copy]")) {
    button.addEventListener("click", () => {
      getSelection().selectAllChildren(button.parentElement.querySelector("pre"));
      button.textContent = document.execCommand("copy") ? "Copied" : "Chosen: copy it";
    });
  }

  // The clock: which part is on, since when, and how long it lasts yet.
  const order = JSON.parse($("embrack-order").textContent || "[]");
  const brief = (seconds) => {
    const whole = Math.abs(Math.round(seconds));
    const text = `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
    return seconds < 0 ? `${text} over` : text;
  };
  const count = () => {
    const on = JSON.parse(read("clock") ?? "null");
    if (!on || !order[on.entry]) return;
    const entry = order[on.entry];
    const gone = (Date.now() - on.since) / 1000;
    $("now").textContent = entry.name;
    $("left").textContent = entry.length > 0 ? brief(entry.length - gone) : brief(gone);
    const next = order[on.entry + 1];
    $("next").textContent = next ? `then ${next.name}` : "the last part";
    for (const button of document.querySelectorAll("[data-entry]")) {
      button.classList.toggle("here", Number(button.dataset.entry) === on.entry);
    }
  };
  for (const button of document.querySelectorAll("[data-entry]")) {
    button.addEventListener("click", () => {
      keep("clock", JSON.stringify({ entry: Number(button.dataset.entry), since: Date.now() }));
      count();
    });
  }
  if (order.length > 0) {
    count();
    setInterval(count, 500);
  }
})();
