// Links while an edit is on its way. No rule of the job is here.
// A link chosen while an edit is on its way waits for the answer, and is not followed if the edit was refused.
let editing = 0;
let wanted = null;
const isEdit = (event) => event.detail.requestConfig.verb === "post";
document.addEventListener(
  "click",
  (event) => {
    const link = event.target.closest("a[href]");
    if (!link || editing === 0) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    wanted = link.getAttribute("href");
  },
  true,
);
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
  // Links in drawings have no click() of their own.
  if (link) link.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
  else location.assign(to);
});

/** Whether an edit is on its way. */
export const isEditing = () => editing > 0;
