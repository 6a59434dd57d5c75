// The menu of a word, a keyword or a group, the same wherever one stands: called by a click on a word, by the right
// button or the menu key, or by a full stop; it opens beside what it was called to.
(() => {
  "use strict";
  const callable = "[data-word], .w, [data-keyword], [data-group], .keyword-row";
  const place = () => document.getElementById("menu");
  let caller = null;

  const beside = (at) => {
    const menu = place();
    const box = at.getBoundingClientRect();
    const room = innerHeight - menu.offsetHeight - 8;
    const below = box.bottom + 4;
    const above = box.top - menu.offsetHeight - 4;
    const top = below <= room ? below : above >= 8 ? above : Math.max(8, Math.min(below, room));
    // Beside a whole row, not at its far left where its mark is.
    const left = at.matches("tr")
      ? (at.querySelector(".text, .keyword a, .name a") ?? at).getBoundingClientRect().left
      : box.left;
    menu.style.top = `${top}px`;
    menu.style.left = `${Math.max(8, Math.min(left, innerWidth - menu.offsetWidth - 8))}px`;
  };

  const call = (at) => {
    const { word, group, keyword = at.dataset.k } = at.dataset;
    const [kind, of] =
      keyword !== undefined
        ? ["keyword", keyword]
        : group !== undefined
          ? ["group", group]
          : ["word", word ?? at.textContent];
    const fields = new URLSearchParams(
      document.getElementById("keyword-table")?.dataset.query ?? (kind === "group" ? location.search : ""),
    );
    fields.set("of", of);
    caller = at;
    htmx
      .ajax("GET", `${document.body.dataset.base}/menu/${kind}?${fields}`, { target: "#menu", swap: "innerHTML" })
      .then(() => {
        if (!place()?.firstElementChild) return;
        beside(at);
        place().querySelector("a, button:not(:disabled)")?.focus({ preventScroll: true });
      });
  };

  const open = () => Boolean(place()?.firstElementChild);
  const close = () => {
    place().replaceChildren();
    document.dispatchEvent(new CustomEvent("menu-closed"));
    (caller?.closest("[tabindex], a, button") ?? document.getElementById("work"))?.focus({ preventScroll: true });
  };

  const at = (element) => element?.closest?.(callable);
  document.addEventListener("contextmenu", (event) => {
    // With Shift it is the browser's own.
    const found = event.shiftKey || String(getSelection()) ? null : at(event.target);
    if (!found) return;
    event.preventDefault();
    call(found);
  });
  document.addEventListener("click", (event) => {
    if (event.target.closest(".close-menu")) return close();
    const called = event.target.closest(".w, .call-menu");
    if (called) return call(called.matches(".call-menu") ? at(called) : called);
    if (open() && !event.target.closest("#menu")) place().replaceChildren();
  });
  document.addEventListener(
    "keydown",
    (event) => {
      if (event.key === "Escape" && open()) {
        event.stopImmediatePropagation();
        return close();
      }
      const field = event.target.closest("input:not([type=checkbox]), textarea, select");
      if (event.key !== "." || field || localStorage.getItem("smorgas-letters") === "off") return;
      const found = document.querySelector(".w.in") ?? at(event.target) ?? document.querySelector(".keyword-row.at");
      if (found) call(found);
    },
    true,
  );
  // Where a link asks for a menu, it stands under the page's head.
  document.addEventListener("htmx:afterSettle", (event) => {
    if (event.target.id === "menu" && !caller) beside(document.querySelector(".showing") ?? event.target);
  });
})();
