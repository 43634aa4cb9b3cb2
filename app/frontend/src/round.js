// Taking a round by keys. Every value goes into this device's store first, then to the server; what the server has
// answered is shown as kept, what it has not is shown as waiting. Verdicts and colours come from the server.
(() => {
  const page = document.getElementById("round");
  if (!page) return;
  const roundId = page.dataset.round;
  const digits = Number(page.dataset.digits);
  const cells = Number(page.dataset.cells);
  const pilot = Number(page.dataset.pilot || 0);
  const drawing = document.getElementById("drawing");
  const slate = document.getElementById("slate");
  const said = document.getElementById("said");
  const now = document.getElementById("now");
  const temperature = document.getElementById("temperature");
  const forOneCell = document.getElementById("temperature-cell");
  const csrf = document.querySelector('meta[name="csrf"]');
  const storeName = `round-${roundId}`;
  const colours = ["BROWN", "MILKY", "PARTICLES", "CLEAR"];

  let queue = JSON.parse(localStorage.getItem(storeName) || "[]");
  let sending = false;
  let partial = "";
  let current = 0;
  const done = []; // what was entered here, for undo

  const group = (cell) => drawing.querySelector(`[data-cell="${cell}"]`);
  const svg = () => drawing.querySelector("svg");
  const base = (cell, field) => {
    const known = cell ? (group(cell).dataset.bases ?? "").split(" ") : [];
    const entry = known.find((b) => b.startsWith(`${field}:`));
    return entry ? Number(entry.split(":")[1]) : 0;
  };
  const isDone = (cell) => {
    const waiting = queue.filter((q) => q.cell === cell && ["GRAVITY", "TOO_LOW", "SKIPPED"].includes(q.field)).pop();
    return waiting ? waiting.value !== "" : group(cell).dataset.done === "true";
  };
  const nextAfter = (cell) => {
    if (pilot) return isDone(pilot) ? 0 : pilot;
    for (let step = 1; step <= cells; step++) {
      const candidate = ((cell + step - 1) % cells) + 1;
      if (!isDone(candidate)) return candidate;
    }
    return 0;
  };

  function say(text) {
    said.textContent = text || "";
    said.hidden = !text;
  }

  function paint() {
    drawing.querySelectorAll(".current").forEach((r) => r.classList.remove("current"));
    drawing.querySelectorAll(".typing").forEach((t) => {
      t.classList.remove("typing");
      t.textContent = t.dataset.was || "";
    });
    for (const q of queue) {
      if (q.field !== "GRAVITY" && q.field !== "TOO_LOW") continue;
      const figure = group(q.cell)?.querySelector(".figure");
      if (figure) {
        figure.textContent = q.field === "GRAVITY" ? q.shown : "…";
        figure.classList.add("waiting");
      }
    }
    now.textContent = current ? `${now.dataset.cell.replace("{0}", current)}  ${partial || group(current).querySelector(".figure").textContent}` : "";
    if (!current) return;
    const g = group(current);
    g.querySelector("rect").classList.add("current");
    if (partial) {
      const figure = g.querySelector(".figure");
      if (!figure.classList.contains("typing")) figure.dataset.was = figure.textContent;
      figure.classList.add("typing");
      figure.textContent = `${partial}_`;
    }
  }

  function store() {
    if (queue.length) localStorage.setItem(storeName, JSON.stringify(queue));
    else localStorage.removeItem(storeName);
  }

  function enter(cell, field, value, shown, again) {
    const before = (cell && group(cell).dataset.typed) || "";
    queue.push({ key: crypto.randomUUID(), cell, field, value, shown: shown ?? value, base: again ?? base(cell, field) });
    if (field === "GRAVITY" || field === "TOO_LOW" || field === "SKIPPED") done.push({ cell, field, before });
    store();
    paint();
    send();
  }

  async function send() {
    if (sending || !queue.length) return;
    sending = true;
    const value = queue[0];
    try {
      const answer = await fetch(`/rounds/${roundId}/values`, {
        method: "POST",
        headers: { "Content-Type": "application/x-www-form-urlencoded", [csrf.dataset.header]: csrf.content },
        body: new URLSearchParams({ key: value.key, cell: value.cell, field: value.field, value: value.value, base: value.base }),
        redirect: "manual",
      });
      if (answer.ok) {
        taken();
        swap(await answer.text());
      } else if (answer.status === 422) {
        taken();
        say(await answer.text());
        if (value.cell) current = value.cell;
        refresh(true);
      } else if (answer.status === 409) {
        conflict(value, await answer.text(), Number(answer.headers.get("X-Base")));
      } else if (answer.status === 410) {
        say(await answer.text());
        return;
      } else {
        throw new Error(`answer ${answer.status}`);
      }
    } catch {
      say(page.dataset.waiting.replace("{0}", queue.length));
      setTimeout(() => { sending = false; send(); }, 1500);
      return;
    }
    sending = false;
    if (queue.length) send();
  }

  function taken() {
    queue.shift();
    store();
    if (!queue.length) say("");
  }

  function conflict(value, text, theirs) {
    taken();
    say(text);
    for (const [label, keepMine] of [[page.dataset.mine, true], [page.dataset.theirs, false]]) {
      const button = document.createElement("button");
      button.type = "button";
      button.className = "plain ml-3";
      button.textContent = label;
      button.addEventListener("click", () => {
        say("");
        if (keepMine) enter(value.cell, value.field, value.value, value.shown, theirs);
      });
      said.append(button);
    }
    refresh(true);
  }

  function swap(html) {
    const answer = new DOMParser().parseFromString(html, "text/html");
    drawing.replaceChildren(...answer.querySelector('[data-part="drawing"]').childNodes);
    slate.replaceChildren(...answer.querySelector('[data-part="slate"]').childNodes);
    if (current === 0) current = Number(svg().dataset.next);
    paint();
  }

  async function refresh(always) {
    try {
      const version = always ? -1 : svg().dataset.version;
      const answer = await fetch(`/rounds/${roundId}/board?version=${version}`, { redirect: "manual" });
      if (answer.status === 200) swap(await answer.text());
      else if (answer.status === 410) say(await answer.text());
    } catch {
      // The line is down; values say so themselves.
    }
  }

  const step = (by) => {
    if (pilot) return;
    partial = "";
    current = ((((current || 1) - 1 + by) % cells) + cells) % cells + 1;
    paint();
  };

  function commit() {
    const typed = partial;
    const cell = current;
    partial = "";
    const shown = typed.includes(".") ? typed : digits === 3 ? `1.${typed}` : `${typed[0]}.${typed.slice(1)}`;
    enter(cell, "GRAVITY", typed, shown);
    current = nextAfter(cell);
    paint();
  }

  function digit(d) {
    if (!current) return;
    partial += d;
    const complete = partial.includes(".") ? partial.split(".")[1].length === 3 : partial.length === digits;
    if (complete) commit();
    else paint();
  }

  function undo() {
    const last = done.pop();
    if (!last) return;
    partial = "";
    if (last.field === "GRAVITY") enter(last.cell, "GRAVITY", last.before, last.before);
    else enter(last.cell, last.field, "");
    done.pop();
    current = last.cell;
    paint();
  }

  function colour() {
    const last = queue.concat().reverse().find((q) => q.cell === current && q.field === "COLOUR")?.value || group(current).dataset.colour;
    const now = colours[(colours.indexOf(last) + 1) % colours.length];
    group(current).dataset.colour = now;
    enter(current, "COLOUR", now);
  }

  function mark(field, value) {
    const cell = current;
    enter(cell, field, value);
    current = nextAfter(cell);
    paint();
  }

  const keys = {
    Backspace: () => { if (partial) { partial = partial.slice(0, -1); paint(); } else step(-1); },
    ArrowRight: () => step(1),
    ArrowLeft: () => step(-1),
    ".": () => { if (partial === "1") { partial = "1."; paint(); } },
    ",": () => keys["."](),
    t: () => current && mark("TOO_LOW", "true"),
    s: () => current && mark("SKIPPED", "true"),
    p: () => current && enter(current, "LEVEL", "EXPOSED"),
    l: () => current && enter(current, "LEVEL", "LOW"),
    g: () => current && enter(current, "LEVEL", "RIGHT"),
    o: () => current && enter(current, "LEVEL", "OVER"),
    c: () => current && colour(),
    u: undo,
    r: () => { current = Number(svg().dataset.again) || current; partial = ""; paint(); },
    k: () => { temperature.focus(); temperature.select(); },
  };

  function press(key) {
    if (/^\d$/.test(key)) digit(key);
    else if (keys[key]) keys[key]();
    else return false;
    return true;
  }

  document.addEventListener("keydown", (e) => {
    if (e.ctrlKey || e.metaKey || e.altKey || e.target.closest("input, select, textarea, summary")) return;
    const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
    if (press(key)) e.preventDefault();
  });
  document.addEventListener("click", (e) => {
    const button = e.target.closest("[data-key]");
    if (button) press(button.dataset.key);
    const cell = e.target.closest("[data-cell]");
    if (cell) {
      current = Number(cell.dataset.cell);
      partial = "";
      paint();
    }
  });
  document.addEventListener("paste", (e) => {
    if (e.target.closest("input, textarea") || !current) return;
    for (const text of e.clipboardData.getData("text").split(/[\s;]+/).filter(Boolean)) {
      if (!current) break;
      partial = text;
      commit();
    }
    e.preventDefault();
  });
  temperature.addEventListener("keydown", (e) => { if (e.key === "Enter") temperature.blur(); });
  temperature.addEventListener("change", () => {
    enter(forOneCell.checked && current ? current : 0, "TEMPERATURE", temperature.value.trim());
  });
  document.getElementById("state").addEventListener("change", (e) => e.target.form.submit());
  document.addEventListener("submit", (e) => {
    if (e.target.closest(".close") && queue.length) {
      e.preventDefault();
      say(page.dataset.waiting.replace("{0}", queue.length));
      send();
    }
  });
  addEventListener("online", send);
  setInterval(() => { if (!queue.length && !document.hidden) refresh(false); }, 4000);

  // Values that waited when the page was left go first; then the round goes on where it stopped.
  current = queue.length ? nextAfter(queue[queue.length - 1].cell) : Number(svg().dataset.next);
  paint();
  send();
})();
