// Before anything is painted: the look chosen last, else that of the system.
(() => {
  "use strict";
  const system = matchMedia("(prefers-color-scheme: dark)");
  const chosen = () => localStorage.getItem("smorgas-look") || (system.matches ? "dark" : "light");
  const apply = () => {
    document.documentElement.dataset.theme = chosen();
    const button = document.getElementById("theme");
    if (button) button.textContent = chosen() === "dark" ? "Light" : "Dark";
  };
  apply();
  document.addEventListener("DOMContentLoaded", apply);
  document.addEventListener("htmx:afterSettle", apply);
  document.addEventListener("click", (event) => {
    if (!event.target.closest("#theme")) return;
    localStorage.setItem("smorgas-look", chosen() === "dark" ? "light" : "dark");
    apply();
  });
})();
