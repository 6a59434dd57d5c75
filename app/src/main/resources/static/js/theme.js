// Before anything is painted: the look and the band chosen last, else those of the system and the project.
(() => {
  "use strict";
  const system = matchMedia("(prefers-color-scheme: dark)");
  const chosen = () => localStorage.getItem("smorgas-look") || (system.matches ? "dark" : "light");
  const said = document.querySelector("meta[name=said]").dataset;
  const apply = () => {
    document.documentElement.dataset.theme = chosen();
    const button = document.getElementById("theme");
    if (button) button.textContent = chosen() === "dark" ? said.light : said.dark;
  };
  apply();
  system.addEventListener("change", apply);
  document.addEventListener("DOMContentLoaded", apply);
  document.addEventListener("htmx:afterSettle", apply);
  const root = document.documentElement;
  const band = localStorage.getItem("smorgas-band");
  if (band) root.dataset.band = band;
  // Hints that were closed, by their steps.
  root.dataset.hints = localStorage.getItem("smorgas-hints") || "";
  document.addEventListener("click", (event) => {
    const hint = event.target.closest(".close-hint")?.closest("[data-hint]");
    if (!hint) return;
    root.dataset.hints += ` ${hint.dataset.hint}`;
    localStorage.setItem("smorgas-hints", root.dataset.hints);
  });
  document.addEventListener("click", (event) => {
    if (!event.target.closest("#band-turn")) return;
    const now = root.dataset.band || (document.querySelector(".band.begun") ? "line" : "whole");
    root.dataset.band = now === "line" ? "whole" : "line";
    localStorage.setItem("smorgas-band", root.dataset.band);
  });
  document.addEventListener("click", (event) => {
    if (!event.target.closest("#theme")) return;
    localStorage.setItem("smorgas-look", chosen() === "dark" ? "light" : "dark");
    apply();
  });
})();
