// Copies a piece of keywords, and remembers in this browser which pieces were copied.
(() => {
  const KEY = "smorgas-copied";
  const MOST = 500;
  const known = () => JSON.parse(localStorage.getItem(KEY) ?? "[]");

  const show = () => {
    const piece = document.querySelector("[data-piece]");
    if (piece) {
      piece.querySelector(".copied").hidden = !known().includes(piece.dataset.piece);
    }
  };

  document.addEventListener("click", async (event) => {
    const piece = event.target.closest(".copy-piece")?.closest("[data-piece]");
    if (!piece) {
      return;
    }
    const text = piece.querySelector("textarea");
    text.select();
    // Where the page may not write to the clipboard, what is selected is copied by hand.
    await navigator.clipboard?.writeText(text.value);
    const all = known().filter((mark) => mark !== piece.dataset.piece);
    localStorage.setItem(KEY, JSON.stringify([...all, piece.dataset.piece].slice(-MOST)));
    show();
  });

  document.addEventListener("DOMContentLoaded", show);
  document.addEventListener("htmx:afterSettle", show);
})();
