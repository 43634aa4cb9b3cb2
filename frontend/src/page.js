// What every page answers at the keyboard: "/" goes to the find box, arrows walk its answers, Escape clears it.
(() => {
  const find = document.getElementById("find");
  const found = document.getElementById("found");
  if (!find) return;
  const typing = (e) => e.target.closest("input, select, textarea");

  document.addEventListener("keydown", (e) => {
    if (e.key === "/" && !typing(e) && !e.ctrlKey && !e.metaKey) {
      e.preventDefault();
      find.focus();
      find.select();
    } else if (e.key === "Escape" && e.target.closest(".finder")) {
      find.value = "";
      found.replaceChildren();
      find.blur();
    } else if ((e.key === "ArrowDown" || e.key === "ArrowUp") && e.target.closest(".finder")) {
      e.preventDefault();
      const links = [find, ...found.querySelectorAll("a")];
      const at = links.indexOf(document.activeElement);
      links[Math.max(0, Math.min(links.length - 1, at + (e.key === "ArrowDown" ? 1 : -1)))].focus();
    }
  });

  // Enter opens the first battery found, three keystrokes and Enter from anywhere; one found for fewer letters is not meant.
  let entered = null;
  const openFirst = () => {
    if (entered !== find.value || found.querySelector("[data-of]")?.dataset.of !== entered) return;
    entered = null;
    const first = found.querySelector("a");
    if (first) location.assign(first.href);
  };
  find.form.addEventListener("submit", (e) => {
    e.preventDefault();
    entered = find.value;
    openFirst();
    if (entered) htmx.trigger(find, "search");
  });
  find.addEventListener("htmx:after:swap", openFirst);
})();

// Keys for every page: "g" and a letter go to a place, "n" does what the big button says, a figure opens the thing of that
// number, "?" lists them. Pages that take keys for their own work say so with data-own-keys.
(() => {
  const dialog = document.getElementById("keys");
  if (!dialog) return;
  const help = document.getElementById("keys-help");
  const slate = document.querySelector("aside.slate");
  if (slate) {
    slate.id = "slate";
    slate.tabIndex = -1;
    document.getElementById("skip-slate").hidden = false;
  }
  help.hidden = false;
  help.addEventListener("click", () => dialog.showModal());
  const own = document.querySelector("[data-own-keys]");
  const things = () => [...document.querySelectorAll(".slate .rest > li")].map((li) => li.querySelector("a")).filter(Boolean);
  const big = () => document.querySelector(".slate a.action, .slate button.action, .now-step .action");
  let going = false;
  document.addEventListener("keydown", (e) => {
    if (e.target.closest?.("input, select, textarea") || e.ctrlKey || e.metaKey || e.altKey) return;
    if (e.key === "?") {
      e.preventDefault();
      if (!dialog.open) dialog.showModal();
      return;
    }
    if (own || document.querySelector("dialog[open]:not(#keys)")) return;
    const to = going && dialog.querySelector(`[data-go="${e.key}"]`);
    going = e.key === "g";
    if (to) location.assign(to.href);
    else if (e.key === "n") big()?.click();
    else if (/^[1-9]$/.test(e.key)) things()[Number(e.key) - 1]?.click();
  });
})();

// A list too long to read is found in by typing: what does not hold the letters is left out, and what is folded opens.
for (const box of document.querySelectorAll("[data-finds]")) {
  const list = document.getElementById(box.dataset.finds);
  const rows = [...list.querySelectorAll("[data-text]")];
  const parts = [...list.querySelectorAll("details[data-part]")];
  box.addEventListener("input", () => {
    const wanted = box.value.trim().toLowerCase();
    for (const row of rows) row.hidden = wanted !== "" && !row.textContent.toLowerCase().includes(wanted);
    for (const part of parts) {
      const found = part.querySelector("[data-text]:not([hidden])");
      part.hidden = !found;
      part.open = wanted !== "" && Boolean(found);
    }
  });
}

// Beside a list stands what helps with the line in focus or under the pointer, where there is room beside it.
(() => {
  const beside = document.getElementById("beside");
  const wide = matchMedia("(min-width: 861px)");
  const afterMs = 160;
  let shown = null;
  let waiting = 0;
  let asked = null;
  if (!beside) return;
  async function show(row) {
    asked?.abort();
    asked = new AbortController();
    try {
      const answer = await fetch(row.dataset.beside, { signal: asked.signal });
      if (answer.ok && !answer.redirected) {
        beside.innerHTML = await answer.text();
        shown?.classList.remove("in-focus");
        shown = row;
        row.classList.add("in-focus");
      }
    } catch {
      // Left as it is: the next line asks again.
    }
  }
  function look(e) {
    const row = e.target.closest?.("[data-beside]");
    clearTimeout(waiting);
    if (row && row !== shown && wide.matches) waiting = setTimeout(() => show(row), afterMs);
  }
  document.addEventListener("focusin", look);
  document.addEventListener("pointerover", look);
})();

// An address that names a folded line opens it.
(() => {
  const named = location.hash.length > 1 && document.getElementById(decodeURIComponent(location.hash.slice(1)));
  const folded = named && named.closest("details");
  if (folded && !folded.open) {
    folded.open = true;
    named.scrollIntoView();
  }
})();

// The first-aid card opens over any page, fetched ahead so that it is there when the network is not.
(() => {
  const dialog = document.getElementById("aid");
  const card = document.getElementById("aid-card");
  const link = document.getElementById("acid");
  const print = document.getElementById("print");
  if (print) {
    print.hidden = false;
    print.addEventListener("click", () => window.print());
  }
  if (document.querySelector("main .aid-card, main.aid-card")) return;
  fetch(card.dataset.from)
    .then((answer) => (answer.ok ? answer.text() : ""))
    .then((text) => {
      card.innerHTML = text;
    })
    .catch(() => {});
  link.addEventListener("click", (e) => {
    if (!card.children.length) return;
    e.preventDefault();
    dialog.showModal();
  });
})();

// What stands in such a form is in the address as well, so that it can be kept, sent and come back to.
for (const form of document.querySelectorAll("form[data-address]")) {
  form.addEventListener("input", () => {
    const values = new URLSearchParams(new FormData(form));
    for (const [name, value] of [...values]) if (!value) values.delete(name);
    history.replaceState(null, "", `${location.pathname}?${values}`);
  });
}

// What is kept is what stands in the other form now, not what it held when last worked out.
for (const form of document.querySelectorAll("form[data-copies]")) {
  form.addEventListener("submit", () => {
    for (const [name, value] of new FormData(document.getElementById(form.dataset.copies))) {
      const copy = form.querySelector(`[type=hidden][name="${CSS.escape(name)}"]`);
      if (copy) copy.value = value;
    }
  });
}

// A choice that changes what may be done is judged as soon as it is made; without this script a button asks for it.
for (const choice of document.querySelectorAll("[data-judge]")) {
  const judge = choice.querySelector("button");
  judge.hidden = true;
  choice.addEventListener("change", () => judge.form.requestSubmit(judge));
}

// The cart's meter counts up: what it has poured since the last press belongs to this battery.
(async () => {
  const buttons = document.querySelectorAll("[data-cart]");
  if (!buttons.length) return;
  const read = async () => Number(await (await fetch(buttons[0].dataset.meter)).text());
  let before = await read();
  for (const button of buttons) {
    button.addEventListener("click", async () => {
      const now = await read();
      document.getElementById(button.dataset.cart).value = Math.max(0, now - before);
      before = now;
    });
  }
})();
