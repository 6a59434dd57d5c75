// The keyword table by key and by hand: move, pick, judge, words, story. No rule of the job is here.
(() => {
  "use strict";
  // The texts of what is said from here, in the words of the page.
  const said = document.querySelector("meta[name=said]").dataset;
  const base = () => document.body.dataset.base;
  const rows = () => [...document.querySelectorAll(".keyword-row")];
  const table = () => document.getElementById("keyword-table");
  let current = null; // the text of the current row
  let place = 0; // where it stands, for the list after it is gone
  let word = -1; // the place of the current word in it, -1 outside the words

  const at = () => rows().findIndex((row) => row.dataset.k === current);
  const show = (index, focus = true) => {
    const all = rows();
    if (!all.length) return;
    const row = all[Math.max(0, Math.min(all.length - 1, index))];
    document.querySelectorAll(".keyword-row.at").forEach((r) => r.classList.remove("at"));
    document.querySelectorAll(".w.in").forEach((w) => w.classList.remove("in"));
    row.classList.add("at");
    current = row.dataset.k;
    place = all.indexOf(row);
    word = -1;
    if (focus) {
      row.focus({ preventScroll: true });
      row.scrollIntoView({ block: "nearest" });
    }
  };

  // Acts wait for one another, so that of three keys pressed quickly none is lost and none overtakes.
  let queue = Promise.resolve();
  const act = (path, context) => {
    queue = queue.then(() => htmx.ajax("POST", base() + path, context)).catch(() => {});
  };
  const whole = { source: "#head", target: "body", swap: "morph:innerHTML" };

  const query = () => Object.fromEntries(new URLSearchParams(table().dataset.query));
  const judge = (status) => {
    const index = at();
    if (index < 0 || !table()) return;
    const row = rows()[index];
    const values = { ...query(), keyword: row.dataset.k, to: status, row: row.dataset.n };
    act("/judge/row", { source: "#head", values, target: "#head", swap: "none" });
    show(index + 1);
  };

  // The last answer tells all that was picked: until it is here the rows show what was pressed.
  let picking = 0;
  const tray = (way, texts) => {
    picking++;
    act("/tray/" + way, { source: "#tray", values: { keyword: texts }, target: "#tray", swap: "innerHTML" });
    queue = queue.then(() => {
      picking--;
      markPicked();
    });
  };
  const pick = (picked, on) => {
    picked.forEach((row) => {
      row.classList.toggle("picked", on);
      row.querySelector(".pick input").checked = on;
    });
    tray(
      on ? "pick" : "back",
      picked.map((row) => row.dataset.k),
    );
  };
  // The tray knows what is picked; the rows only show it.
  const markPicked = () => {
    if (picking) return;
    const texts = document.getElementById("tray-texts");
    const on = new Set(texts ? texts.value.split("\n") : []);
    rows().forEach((row) => {
      row.classList.toggle("picked", on.has(row.dataset.k));
      row.querySelector(".pick input").checked = on.has(row.dataset.k);
    });
  };

  document.addEventListener("menu-closed", () => show(Math.max(0, at()), false));

  const intoWord = (step) => {
    const words = [...rows()[at()].querySelectorAll(".w")];
    if (!words.length) return;
    word = Math.max(0, Math.min(words.length - 1, word + step));
    document.querySelectorAll(".w.in").forEach((w) => w.classList.remove("in"));
    words[word].classList.add("in");
  };

  const story = () => {
    if (!table()) return rows()[at()]?.querySelector("a")?.click();
    const url = new URL(location.href);
    url.searchParams.set("story", current);
    htmx.ajax("GET", url.pathname + url.search, { target: "body", swap: "morph:innerHTML" });
  };

  // A tag for the current row or for the tray, told in the line above the table.
  const tag = (scope) => {
    const line = document.getElementById("tag-line");
    if (!line || (scope === "row" && at() < 0)) return;
    line.elements.scope.value = scope;
    line.elements.keyword.value = current ?? "";
    document.getElementById("tag-what").textContent = scope === "row" ? current : said.onTray;
    line.hidden = false;
    line.elements.newTag.focus();
  };
  const closeTag = () => {
    document.getElementById("tag-line").hidden = true;
    show(Math.max(0, at()));
  };

  // Why a key did nothing, where acts tell what they did.
  const say = (sentence) => {
    // What is next stays beside it.
    const line = document.querySelector("#message .did") ?? document.getElementById("message");
    if (line) line.textContent = sentence;
  };

  // What can be done with one keyword by mouse, beside the one that is pointed at; by key it is K, X, U and Enter.
  const handles = document.createElement("span");
  handles.className = "row-handles";
  handles.setAttribute("aria-hidden", "true");
  [
    ["\u25c6", "KEPT", said.keep],
    ["\u2014", "DROPPED", said.drop],
    ["\u25c7", "UNDECIDED", said.undecided],
    [said.why, "", said.story],
    ["\u2026", "menu", said.all],
  ].forEach(([sign, to, title]) => {
    const button = document.createElement("button");
    Object.assign(button, { type: "button", className: "button is-small", tabIndex: -1 });
    Object.assign(button, { textContent: sign, title });
    button.dataset.to = to;
    button.classList.toggle("call-menu", to === "menu");
    handles.append(button);
  });
  document.addEventListener("pointerover", (event) => {
    const row = table() && event.target.closest(".keyword-row");
    if (row && !row.contains(handles)) row.querySelector("td.mark")?.append(handles);
  });
  const handle = (button) => {
    show(rows().indexOf(button.closest(".keyword-row")));
    return button.dataset.to ? judge(button.dataset.to) : story();
  };

  const step = (way) => act("/" + way, whole);
  const judgeTray = (to) => act("/judge/tray", { ...whole, values: { to } });
  const statuses = { k: "KEPT", x: "DROPPED", u: "UNDECIDED" };
  const steps = ["gather", "fold", "sift", "group", "serve"];

  const moves = {
    ArrowDown: () => at() + 1,
    ArrowUp: () => at() - 1,
    PageDown: () => at() + 15,
    PageUp: () => at() - 15,
    Home: () => 0,
    End: () => rows().length - 1,
  };

  const onTable = (event) => {
    const key = event.key;
    if (word >= 0 && (key === "ArrowLeft" || key === "ArrowRight")) return intoWord(key === "ArrowLeft" ? -1 : 1);
    if (word >= 0 && key === "Enter") return document.querySelector(".w.in").click();
    if (key in moves) {
      const from = at();
      show(moves[key]());
      if (event.shiftKey) pick(rows().slice(Math.min(from, at()), Math.max(from, at()) + 1), true);
      return;
    }
    if (key === " ") return pick([rows()[at()]], !rows()[at()].classList.contains("picked"));
    if (key === "Enter") return story();
    return false;
  };

  const letters = (event) => {
    const key = event.key.toLowerCase();
    if (event.key === "?") return document.getElementById("help")?.click();
    if (key === "b") return document.getElementById("band-turn")?.click();
    if (key === "l") return document.querySelector(".next")?.click();
    if (key === "/") return document.getElementById("find")?.focus();
    const menu = document.getElementById("views-menu");
    if (menu?.open && /^[1-9]$/.test(key)) return menu.querySelectorAll("li a")[Number(key) - 1]?.click();
    if (menu && key === "s") {
      menu.open = !menu.open;
      return menu.open && menu.querySelector("li a").focus();
    }
    const numbered = /^\d$/.test(key) && document.querySelector(`[data-digit="${key}"]`);
    if (numbered) return numbered.click();
    const place = steps[Number(key) - 1];
    if (place)
      return document
        .querySelector(`.station[href$="/${place}"]`)
        ?.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
    if (key in statuses && event.shiftKey) return judgeTray(statuses[key]);
    if (key in statuses && at() >= 0) return judge(statuses[key]);
    if (key in statuses && table()) return say(said.noKeyword);
    const look = document.querySelector("[data-view=map]") ? "list" : "map";
    if (key === "v") return document.querySelector(`[data-look=${look}]`)?.click();
    if (key === "w" && at() >= 0 && table()) return intoWord(1);
    // To the field of the tray that names a group: one that is there, or a new one.
    const group = document.querySelector(".tray [name=intoGroup]");
    if ((key === "m" || key === "n") && group) return group.focus();
    if (key === "t" && table()) return tag(event.shiftKey ? "tray" : "row");
    return false;
  };

  document.addEventListener("keydown", (event) => {
    const field = event.target.closest("input:not([type=checkbox]), textarea, select");
    if (event.key === "Escape" && event.target.closest("#tag-line")) return closeTag();
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z" && !field) {
      event.preventDefault();
      return step(event.shiftKey ? "redo" : "undo");
    }
    if ((event.ctrlKey || event.metaKey) && event.key === "c" && !field && !String(getSelection())) return copy();
    if (field || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === "Escape" && document.querySelector("#tag-line:not([hidden])")) return closeTag();
    const views = document.querySelector("#views-menu[open]");
    if (event.key === "Escape" && views) return views.removeAttribute("open");
    if (event.key === "Escape") return document.querySelector(".story .close")?.click();
    const control = event.target.closest("a, button, summary, input");
    if (!control && rows().length && onTable(event) !== false) return event.preventDefault();
    if (
      localStorage.getItem("smorgas-letters") !== "off" &&
      !(control && event.key === " ") &&
      letters(event) !== false
    )
      event.preventDefault();
  });

  const copy = async (way = "lines") => {
    const texts = document.getElementById("tray-texts");
    if (!texts) return;
    const count = texts.value.split("\n").length;
    const told = { lines: said.asLines, commas: said.withCommas, figures: said.withFigures }[way];
    const headers = { "X-Tab": sessionStorage.getItem("smorgas-tab") };
    const copied =
      way === "figures"
        ? await (await fetch(`${base()}/tray.tsv`, { headers })).text()
        : texts.value.replaceAll("\n", way === "commas" ? ", " : "\n");
    await navigator.clipboard?.writeText(copied);
    say((count === 1 ? said.copiedOne : said.copiedMany).replace("%1", count.toLocaleString("en")).replace("%2", told));
  };

  document.addEventListener("click", (event) => {
    const target = event.target;
    if (target.closest(".row-handles button")) return handle(target.closest("button"));
    // The menu has it.
    if (target.closest(".w, .call-menu")) return;
    if (target.closest(".close-tag")) return closeTag();
    if (target.closest("#tag-tray")) return tag("tray");
    if (target.closest("[data-copy]")) return copy(target.closest("[data-copy]").dataset.copy);
    if (target.closest("#clear-tray")) return tray("clear", []);
    if (target.id === "pick-page") return pick(rows(), target.checked);
    const row = target.closest(".keyword-row");
    if (!row) return;
    const from = at();
    show(rows().indexOf(row));
    if (target.closest(".pick input")) pick([row], target.checked);
    else if (event.shiftKey && from >= 0) pick(rows().slice(Math.min(from, at()), Math.max(from, at()) + 1), true);
    else if (event.ctrlKey || event.metaKey) pick([row], !row.classList.contains("picked"));
  });

  // The row that one is on goes with what is to be done below it.
  document.addEventListener(
    "submit",
    (event) => {
      if (event.target.id === "below-form") event.target.elements.keyword.value = current ?? "";
    },
    true,
  );

  // Rows that followed are in the address, so that they are there again after the next act.
  document.addEventListener("htmx:beforeSwap", (event) => {
    const upto = event.target.dataset?.upto;
    if (!event.target.matches?.(".more-rows")) return;
    const url = new URL(location.href);
    url.searchParams.set("upto", Number(upto) + 1);
    history.replaceState(history.state, "", url);
    if (table()) table().dataset.query = url.search;
  });

  // A search hands the keys back to the list.
  document.addEventListener(
    "submit",
    (event) => {
      if (event.target.matches(".find, .least")) document.activeElement?.blur();
    },
    true,
  );

  // After the list was drawn anew the current row is found again by its text, or the row at its place is taken.
  document.addEventListener("htmx:afterSettle", () => {
    if (!rows().length) return;
    markPicked();
    const index = at();
    // A list that is the page's work takes the keys up again; one beside others waits until it is entered.
    const active = document.activeElement;
    // Who followed a link to another list on this page goes on with its rows.
    const followed = table() && active?.matches("a[href]") && !active.closest(".side, .words, #menu");
    const free = (table() && active === document.body) || active?.closest(".keyword-row") || followed;
    const into = word;
    show(index >= 0 ? index : place, Boolean(free));
    // Who went into the words while the answer was on its way is still there.
    if (index >= 0 && into >= 0) intoWord(into + 1);
  });
  // Whole columns only: those at the end that do not fit are left out and counted where columns are chosen.
  const fit = () => {
    const place = document.getElementById("table-place");
    if (!place || !table()) return;
    const all = table().tHead.rows[0].cells.length;
    let shown = all;
    delete place.dataset.fit;
    while (shown > 4 && place.scrollWidth > place.clientWidth + 1) place.dataset.fit = --shown;
    const roomy = [...table().tHead.rows[0].cells].filter((cell) => getComputedStyle(cell).display === "none").length;
    const told = document.getElementById("unfit");
    if (told) told.textContent = shown < all ? ` +${roomy}` : "";
  };
  document.addEventListener("htmx:afterSettle", fit);
  document.addEventListener("toggle", (event) => event.target.matches?.(".edge") && fit(), true);
  addEventListener("resize", fit);
  document.addEventListener("DOMContentLoaded", () => {
    show(0, false);
    fit();
  });
})();
