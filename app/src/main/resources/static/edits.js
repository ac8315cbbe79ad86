// What goes along with an edit, and what was typed and not sent yet. No rule of the job is here.
const isEdit = (event) => event.detail.requestConfig.verb === "post";

// Every edit says which revision the page showed, and carries a mark that stays the same until it was answered: sent
// again after an answer that never came, it is made once.
const sendings = new WeakMap();
document.addEventListener("htmx:configRequest", (event) => {
  const { verb, path, parameters, headers, elt } = event.detail;
  if (verb !== "post") return;
  const seen = document.getElementById("top")?.dataset.seen;
  if (seen) headers["Embrack-Seen"] = seen;
  const body = `${path} ${JSON.stringify(parameters)}`;
  const last = sendings.get(elt);
  const mark =
    last?.body === body
      ? last.mark
      : [...crypto.getRandomValues(new Uint32Array(4))].map((part) => part.toString(36)).join("-");
  sendings.set(elt, { body, mark });
  headers["Idempotency-Key"] = mark;
});
document.addEventListener("htmx:afterRequest", (event) => {
  const status = event.detail.xhr.status;
  if (status > 0 && status < 500) sendings.delete(event.detail.elt);
});

// A form that the browser sends by itself, such as one with a file, is sent once, however often its button is pressed.
document.addEventListener("submit", (event) => {
  const form = event.target.closest("form[hx-boost=false]");
  if (!form) return;
  if (form.dataset.sent) event.preventDefault();
  form.dataset.sent = "yes";
});
addEventListener("pageshow", () =>
  document.querySelectorAll("form[data-sent]").forEach((form) => delete form.dataset.sent),
);

// What is typed into a form and not sent yet outlives a link, Back and a reload in this tab.
const kept = "form[method=post] textarea, form[method=post] input:not([type]), form[method=post] input[type=text]";
const isKept = (field) =>
  field.matches?.(kept) && field.name && !field.closest("#draft, [hx-boost=false]") && field.type !== "password";
const unsentKey = (form) => `unsent ${form.getAttribute("action")}`;
const unsent = (form) => JSON.parse(sessionStorage.getItem(unsentKey(form)) ?? "{}");
const called = (field) => field.id || field.name;
function noteUnsent(form) {
  const fields = unsent(form);
  const waiting = [...form.elements].filter(
    (field) => isKept(field) && fields[called(field)] && field.value !== field.defaultValue,
  );
  const changed = waiting.some((field) => fields[called(field)].was !== field.defaultValue);
  let note = form.querySelector(".unsent");
  if (!waiting.length) {
    note?.remove();
    return;
  }
  if (!note) {
    note = document.createElement("p");
    note.className = "unsent";
    note.setAttribute("role", "status");
    note.append(
      document.createElement("span"),
      Object.assign(document.createElement("button"), {
        type: "button",
        className: "button is-quiet",
        textContent: "Forget it",
      }),
    );
    note.querySelector("button").dataset.forget = "";
    form.append(note);
  }
  note.querySelector("span").textContent = changed
    ? "Typed and not kept yet; meanwhile it was changed. "
    : "Typed and not kept yet. ";
}
function restoreUnsent() {
  document.querySelectorAll("form[method=post]").forEach((form) => {
    const fields = unsent(form);
    if (!Object.keys(fields).length || form.dataset.restored) return;
    form.dataset.restored = "yes";
    [...form.elements]
      .filter((field) => isKept(field) && fields[called(field)])
      .forEach((field) => {
        if (field.value === field.defaultValue) field.value = fields[called(field)].typed;
      });
    noteUnsent(form);
  });
}
document.addEventListener("input", (event) => {
  const field = event.target;
  if (!isKept(field)) return;
  const fields = unsent(field.form);
  fields[called(field)] = { typed: field.value, was: fields[called(field)]?.was ?? field.defaultValue };
  if (field.value === field.defaultValue) delete fields[called(field)];
  sessionStorage.setItem(unsentKey(field.form), JSON.stringify(fields));
  field.form.dataset.restored = "yes";
  if (field.form.querySelector(".unsent")) noteUnsent(field.form);
});
document.addEventListener("click", (event) => {
  const form = event.target.closest("[data-forget]")?.form;
  if (!form) return;
  sessionStorage.removeItem(unsentKey(form));
  form.reset();
  noteUnsent(form);
});
// Before the answer is shown: what was sent and accepted waits no more.
document.addEventListener("htmx:beforeOnLoad", (event) => {
  const form = event.detail.elt.closest?.("form[method=post]");
  if (!form || !isEdit(event) || event.detail.xhr.status >= 400) return;
  const fields = unsent(form);
  [...form.elements].forEach((field) => delete fields[called(field)]);
  if (Object.keys(fields).length) sessionStorage.setItem(unsentKey(form), JSON.stringify(fields));
  else sessionStorage.removeItem(unsentKey(form));
});
for (const event of ["htmx:afterSettle", "htmx:historyRestore", "DOMContentLoaded", "pageshow"])
  addEventListener(event, restoreUnsent);
