// What every page needs: the tab's name, the version seen, the token, and files dropped anywhere.
(() => {
  "use strict";
  // The texts of what is said from here, in the words of the page.
  const said = document.querySelector("meta[name=said]").dataset;
  const tab = sessionStorage.getItem("smorgas-tab") || crypto.getRandomValues(new Uint32Array(2)).join("-");
  sessionStorage.setItem("smorgas-tab", tab);

  document.addEventListener("htmx:configRequest", (event) => {
    const { headers, parameters, verb } = event.detail;
    headers["X-Tab"] = tab;
    // htmx knows the buttons inside a form only; one form also serves the buttons of many rows.
    const button = event.detail.triggeringEvent?.submitter;
    if (button?.name && parameters[button.name] === undefined) parameters[button.name] = button.value;
    // htmx remembers the button that was pressed last; a form that is sent as it is changed was sent by none.
    if (!button && event.detail.elt.matches?.("form.live")) {
      event.detail.elt.querySelectorAll("button[name]").forEach((other) => delete parameters[other.name]);
    }
    if (verb !== "get") {
      headers["X-XSRF-TOKEN"] = document.querySelector("meta[name=csrf]").content;
      const seen = document.getElementById("version");
      if (seen) parameters.version = seen.dataset.version;
    }
  });

  // What waits for an answer says so, to style sheets and to tests.
  let waiting = 0;
  const wait = (more) => {
    waiting += more;
    document.documentElement.toggleAttribute("data-waiting", waiting > 0);
  };
  // And to whoever asked, if it takes long: what is shown stays, and is as it was before.
  const LONG = 700;
  const tell = (event) => {
    const doing = event.detail.elt.closest?.("[data-doing]")?.dataset.doing;
    if (!doing && !event.detail.requestConfig.boosted) return undefined;
    return setTimeout(() => {
      const line = document.getElementById("doing");
      if (line) line.textContent = said.asBefore.replace("%1", doing || said.working);
    }, LONG);
  };
  const told = (timer) => {
    if (timer === undefined) return;
    clearTimeout(timer);
    const line = document.getElementById("doing");
    if (line) line.textContent = "";
  };
  document.addEventListener("htmx:beforeSend", (event) => {
    wait(1);
    const timer = tell(event);
    // Not by an event of htmx: who asked may be gone when the answer comes, as a band that an act has made old.
    event.detail.xhr.addEventListener(
      "loadend",
      () => {
        wait(-1);
        told(timer);
      },
      { once: true },
    );
  });

  // htmx refines links of HTML only; those of the band are SVG.
  document.addEventListener("click", (event) => {
    const link = event.target.closest("svg a[href]");
    if (!link || event.button || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
    event.preventDefault();
    const href = link.getAttribute("href");
    htmx.ajax("GET", href, { target: "body", swap: "morph:innerHTML", push: href });
  });

  // Names of groups can be many: they are asked for when a field wants one.
  document.addEventListener("focusin", (event) => {
    const names = document.getElementById("group-names");
    if (!event.target.matches?.("input[list=group-names]") || names.options.length) return;
    htmx.ajax("GET", document.body.dataset.base + "/group/names", { target: "#group-names", swap: "outerHTML" });
  });

  // Arrows go from one link of a picture to the nearest in that direction; only one is in the order of tabs.
  document.addEventListener(
    "keydown",
    (event) => {
      const from = event.target.closest?.("svg[data-arrows] a");
      const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
      if (!from || !way) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      const middle = (link) => {
        const box = (link.querySelector("rect, circle") || link).getBoundingClientRect();
        return [
          box.left + box.width / 2,
          box.top + Math.min(box.height / 2, link.matches(".broader-area") ? 8 : Infinity),
        ];
      };
      const [x, y] = middle(from);
      let best = null;
      let least = Infinity;
      for (const link of from.ownerSVGElement.querySelectorAll("a")) {
        const [dx, dy] = middle(link).map((at, axis) => at - [x, y][axis]);
        const along = dx * way[0] + dy * way[1];
        const across = Math.abs(dx * way[1]) + Math.abs(dy * way[0]);
        if (link !== from && along > 1 && along + 2 * across < least) [best, least] = [link, along + 2 * across];
      }
      if (!best) return;
      from.setAttribute("tabindex", "-1");
      best.setAttribute("tabindex", "0");
      best.focus();
    },
    true,
  );

  document.addEventListener("htmx:sendError", () => {
    const line = document.getElementById("message");
    if (line) line.textContent = said.noAnswer;
  });

  // A list goes back to its top when another page of it is shown.
  let page = "";
  const topOfPage = () => {
    const place = document.getElementById("table-place");
    const shown = place ? location.pathname + document.getElementById("keyword-table").dataset.query : location.href;
    if (place && page !== shown) place.scrollTop = 0;
    page = shown;
  };
  document.addEventListener("htmx:afterSettle", topOfPage);

  const gather = (files) => {
    const form = document.getElementById("drop");
    if (!form || !files.length) return;
    const input = document.getElementById("files");
    input.files = files;
    document.getElementById("working").classList.add("shown");
    form.requestSubmit();
  };
  document.addEventListener("change", (event) => {
    if (event.target.id === "files") gather(event.target.files);
  });
  // A list can be chosen before this script is there.
  document.addEventListener("DOMContentLoaded", () => gather(document.getElementById("files")?.files ?? []));
  // Files that are gathered must not come along with the next paste.
  document.addEventListener("htmx:afterRequest", (event) => {
    if (event.target.id !== "drop") return;
    document.getElementById("working")?.classList.remove("shown");
    const input = document.getElementById("files");
    if (input) input.value = "";
  });
  for (const kind of ["dragover", "dragleave", "drop"]) {
    document.addEventListener(kind, (event) => {
      const form = document.getElementById("drop");
      if (!form) return;
      event.preventDefault();
      form.classList.toggle("over", kind === "dragover");
      if (kind === "drop") gather(event.dataTransfer.files);
    });
  }

  // What was found goes by the arrows, and goes away with Escape or when one goes on elsewhere.
  const found = () => document.getElementById("found");
  document.addEventListener("keydown", (event) => {
    if (!event.target.closest(".find")) return;
    if (event.key === "Escape") {
      found().replaceChildren();
      return document.getElementById("find").focus();
    }
    if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
    const links = [...found().querySelectorAll("a")];
    const next = links.indexOf(document.activeElement) + (event.key === "ArrowDown" ? 1 : -1);
    event.preventDefault();
    (links[next] ?? document.getElementById("find")).focus();
  });
  document.addEventListener("click", (event) => {
    if (!event.target.closest(".find") || event.target.closest("#found a")) found()?.replaceChildren();
  });

  // A choice that stands alone is made at once; its button is for those without scripts.
  document.documentElement.classList.add("scripted");
  document.addEventListener("change", (event) => {
    if (event.target.matches("select.at-once")) event.target.form.requestSubmit();
  });

  // Forms that only ask are sent as they are changed.
  document.addEventListener("change", (event) => {
    const form = event.target.form;
    if (form?.matches(".live") && !event.target.name.match(/^(newTag|view|groupName|ungroupedOnly)$/))
      form.requestSubmit();
  });
  // Some already while one types.
  let typing = 0;
  document.addEventListener("submit", () => clearTimeout(typing), true);
  document.addEventListener("input", (event) => {
    const { form, name } = event.target;
    if (!form?.matches(".as-typed") || !/^(value|least|most)$/.test(name) || event.target.matches("select")) return;
    clearTimeout(typing);
    typing = setTimeout(() => form.isConnected && form.requestSubmit(), 250);
  });
  // What is being typed is not overwritten by an answer to what was asked before. Only fields: of any other element that
  // has the focus, such as a row, the children would not be drawn anew.
  document.addEventListener("htmx:beforeSwap", () => {
    Idiomorph.defaults.ignoreActiveValue = Boolean(
      document.activeElement?.matches("input:not([type=checkbox]), textarea"),
    );
  });
  // Panels of choices that the reader has opened stay open when the page is drawn anew.
  document.addEventListener("DOMContentLoaded", () => {
    Idiomorph.defaults.callbacks.beforeAttributeUpdated = (name, node, change) =>
      !(name === "open" && change === "remove" && node.matches("details.stays"));
    // A picture of thousands of parts is compared part by part, and what differs is put in whole: morphing took seconds.
    Idiomorph.defaults.callbacks.beforeNodeMorphed = (node, fresh) => {
      const picture = "svg[data-arrows]";
      if (!(node instanceof Element && node.matches(picture) && fresh.matches?.(picture))) return true;
      for (const { name, value } of fresh.attributes) {
        if (node.getAttribute(name) !== value) node.setAttribute(name, value);
      }
      const before = [...node.childNodes];
      const after = [...fresh.childNodes];
      after.forEach((part, place) => {
        if (!before[place]) {
          node.append(part);
        } else if (!before[place].isEqualNode(part)) {
          const focused = before[place] === document.activeElement;
          before[place].replaceWith(part);
          if (focused) part.focus();
        }
      });
      before.slice(after.length).forEach((part) => part.remove());
      return false;
    };
  });
  // A menu has done its work when it has acted.
  document.addEventListener("submit", (event) => {
    const menu = event.target.closest("details.all-of-these:not(.columns-menu)");
    if (menu) menu.open = false;
  });
  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape")
      document.querySelectorAll("details.all-of-these[open]").forEach((menu) => {
        menu.open = false;
      });
  });
  // One box ticks all of its family.
  document.addEventListener("change", (event) => {
    if (!event.target.matches(".tick-all")) return;
    event.target
      .closest("details")
      .querySelectorAll("[name=words]")
      .forEach((box) => {
        box.checked = event.target.checked;
      });
  });
  // Words, estimated value, priority and rules stay open or folded to their edge, as one left them.
  document.addEventListener(
    "toggle",
    (event) => {
      const { id, open } = event.target;
      if (event.target.matches?.(".edge")) localStorage.setItem(`smorgas-${id}`, open ? "open" : "shut");
    },
    true,
  );
  const edges = () => {
    document.querySelectorAll(".edge").forEach((panel) => {
      const shut = ["estimatedValue", "priority"].includes(panel.id) || (panel.id === "rules" && innerWidth < 1440);
      const kept = localStorage.getItem(`smorgas-${panel.id}`) || (shut ? "shut" : "open");
      panel.open = "open" in panel.dataset || kept === "open";
    });
  };
  document.addEventListener("DOMContentLoaded", edges);
  document.addEventListener("htmx:afterSwap", edges);

  document.addEventListener("change", (event) => {
    if (event.target.id === "letters-off") localStorage.setItem("smorgas-letters", event.target.checked ? "off" : "on");
  });
  document.addEventListener("htmx:afterSettle", () => {
    const box = document.getElementById("letters-off");
    if (box) box.checked = localStorage.getItem("smorgas-letters") === "off";
  });
})();
