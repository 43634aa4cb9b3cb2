// Taking a round by keys. Every value goes into this device's store first, then to the server; what the server has
// answered is shown as kept, what it has not is shown as waiting. Verdicts and colours come from the server.
import { ValueQueue } from "./value-queue.js";

function takeRound(page) {
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
  const colours = document.getElementById("colours");
  const ways = ["GRAVITY", "TOO_LOW", "SKIPPED"]; // a cell is read, or too low, or passed over

  let partial = "";
  let current = 0;
  let justRead = 0; // the cell whose sample was read last, while nothing was begun at another
  let coloured = 0; // the cell whose colour is being picked, 0 for none
  let gone = ""; // said once the round was closed elsewhere
  const done = []; // what was entered here, for undo

  const queue = new ValueQueue({
    store: localStorage,
    name: `round-${roundId}`,
    send,
    later: (task, ms) => setTimeout(task, ms),
    tell: {
      changed: () => report(),
      kept: (value, html) => swap(html),
      aside: (item) => {
        // Who has begun the next figure goes on with it: the refusal stays in sight.
        if (item.why === "refused" && item.value.cell && !partial) current = item.value.cell;
        refresh(true);
      },
    },
  });

  const group = (cell) => drawing.querySelector(`[data-cell="${cell}"]`);
  const svg = () => drawing.querySelector("svg");
  const base = (cell, field) => {
    const known = cell ? (group(cell).dataset.bases ?? "").split(" ") : [];
    const entry = known.find((b) => b.startsWith(`${field}:`));
    return entry ? Number(entry.split(":")[1]) : 0;
  };
  const isDone = (cell) => {
    const waiting = queue.waiting.filter((q) => q.cell === cell && ways.includes(q.field)).pop();
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

  const button = (label, task) => {
    const made = document.createElement("button");
    made.type = "button";
    made.className = "plain";
    made.textContent = label;
    made.addEventListener("click", task);
    return made;
  };

  function line(text, ...buttons) {
    const made = document.createElement("div");
    made.append(text, ...buttons);
    return made;
  }

  const told = (name, ...values) => values.reduce((text, value, i) => text.replace(`{${i}}`, value), page.dataset[name]);

  function report() {
    const lines = queue.aside.map((item) => {
      const again = () => queue.again(item);
      const drop = () => queue.drop(item);
      if (item.why === "clash") return line(item.text, button(told("mine"), again), button(told("theirs"), drop));
      if (item.why === "failed") {
        return line(told("failed", item.value.cell, item.value.shown), button(told("again"), again), button(told("drop"), drop));
      }
      return line(item.text, button(told("drop"), drop));
    });
    if (queue.waiting.length && queue.held) {
      lines.unshift(line(told(queue.held === "line" ? "waiting" : "signedOut", queue.waiting.length)));
    }
    if (gone && !lines.length) lines.push(line(gone));
    said.replaceChildren(...lines);
    said.hidden = !lines.length;
  }

  function paint() {
    drawing.querySelectorAll(".current").forEach((r) => r.classList.remove("current"));
    drawing.querySelectorAll(".typing").forEach((t) => {
      t.classList.remove("typing");
      t.textContent = t.dataset.was || "";
    });
    for (const q of queue.waiting) {
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

  // What stands in a field now, kept or waiting; of the three ways in which a cell is done, the one that counts.
  function standing(cell, field) {
    const alike = ways.includes(field) ? ways : [field];
    const waiting = queue.waiting.filter((q) => q.cell === cell && alike.includes(q.field)).pop();
    if (waiting) return { field: waiting.value === "" ? field : waiting.field, value: waiting.value };
    if (!cell) return { field, value: temperature.defaultValue };
    const known = group(cell).dataset;
    if (alike === ways) return known.typed ? { field: "GRAVITY", value: known.typed } : { field: known.way || field, value: known.way ? "true" : "" };
    return { field, value: { LEVEL: known.level, COLOUR: known.colour, TEMPERATURE: known.temperature }[field] ?? "" };
  }

  function enter(cell, field, value, shown) {
    done.push({ cell, field, before: standing(cell, field) });
    put(cell, field, value, shown);
  }

  function put(cell, field, value, shown) {
    queue.add({ key: crypto.randomUUID(), cell, field, value, shown: shown ?? value, base: base(cell, field) });
    paint();
  }

  async function send(value) {
    const answer = await fetch(page.dataset.valuesAt, {
      method: "POST",
      headers: { "Content-Type": "application/x-www-form-urlencoded", [csrf.dataset.header]: csrf.content },
      body: new URLSearchParams({ key: value.key, cell: value.cell, field: value.field, value: value.value, base: value.base }),
      redirect: "manual",
    });
    // A sign-in that has ended leads elsewhere: that is an answer to somebody else.
    const status = answer.type === "opaqueredirect" ? 401 : answer.status;
    return { status, text: await answer.text(), base: Number(answer.headers.get("X-Base")) };
  }

  function swap(html) {
    const answer = new DOMParser().parseFromString(html, "text/html");
    // A late answer would show cells as empty that were read since.
    const version = Number(answer.querySelector('[data-part="drawing"] svg').dataset.version);
    if (version < Number(svg().dataset.version)) return;
    drawing.replaceChildren(...answer.querySelector('[data-part="drawing"]').childNodes);
    slate.replaceChildren(...answer.querySelector('[data-part="slate"]').childNodes);
    if (current === 0) current = Number(svg().dataset.next);
    paint();
  }

  async function refresh(always) {
    try {
      const version = always ? -1 : svg().dataset.version;
      const answer = await fetch(`${page.dataset.boardAt}?version=${version}`, { redirect: "manual" });
      if (answer.status === 200) swap(await answer.text());
      else if (answer.status === 410) {
        gone = await answer.text();
        report();
      }
    } catch {
      // The line is down; values say so themselves.
    }
  }

  const step = (by) => {
    if (pilot) return;
    partial = "";
    justRead = 0;
    current = ((((current || 1) - 1 + by) % cells) + cells) % cells + 1;
    paint();
  };

  function commit() {
    const typed = partial;
    const cell = current;
    partial = "";
    const shown = typed.includes(".") ? typed : digits === 3 ? `1.${typed}` : `${typed[0]}.${typed.slice(1)}`;
    enter(cell, "GRAVITY", typed, shown);
    justRead = cell;
    current = nextAfter(cell);
    paint();
  }

  function digit(d) {
    if (!current) return;
    partial += d;
    justRead = 0;
    const complete = partial.includes(".") ? partial.split(".")[1].length === 3 : partial.length === digits;
    if (complete) commit();
    else paint();
  }

  function undo() {
    const last = done.pop();
    if (!last) return;
    partial = "";
    justRead = 0;
    const { field, value } = last.before;
    put(last.cell, value === "" ? last.field : field, value);
    if (last.cell) current = last.cell;
    else temperature.value = value;
    paint();
  }

  // The colour is that of the sample in the barrel: of the cell just read, although the next one is lit already.
  function askColour() {
    coloured = justRead || current;
    if (coloured) showColours();
  }

  function showColours() {
    colours.hidden = !coloured;
    if (!coloured) return;
    colours.querySelector("b").textContent = colours.dataset.cell.replace("{0}", coloured);
    const is = standing(coloured, "COLOUR").value;
    colours.querySelectorAll("button").forEach((b) => b.setAttribute("aria-pressed", String(b.dataset.colour === is)));
  }

  function pickColour(button) {
    enter(coloured, "COLOUR", button.dataset.colour);
    coloured = 0;
    showColours();
  }

  function colourKey(key) {
    const picked = colours.querySelector(`[data-digit="${key}"]`);
    if (picked) {
      pickColour(picked);
      return true;
    }
    if (key === "ArrowLeft" || key === "ArrowRight") {
      coloured = ((coloured - 1 + (key === "ArrowLeft" ? cells - 1 : 1)) % cells) + 1;
      showColours();
      return true;
    }
    coloured = 0;
    showColours();
    return key === "Escape" || key === "c";
  }

  function mark(field, value) {
    const cell = current;
    enter(cell, field, value);
    justRead = 0;
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
    c: askColour,
    u: undo,
    r: () => { current = Number(svg().dataset.again) || current; partial = ""; paint(); },
    k: () => { temperature.focus(); temperature.select(); },
  };

  function press(key) {
    if (coloured && colourKey(key)) return true;
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
    const picked = e.target.closest("[data-colour][data-digit]");
    if (picked) pickColour(picked);
    const cell = e.target.closest("svg [data-cell]");
    if (cell) {
      justRead = 0;
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
    const open = queue.waiting.length || queue.aside.some((item) => item.why !== "refused");
    if (e.target.closest(".close") && open) {
      e.preventDefault();
      report();
      said.scrollIntoView({ block: "center" });
      queue.run();
    }
  });
  addEventListener("online", () => queue.run());
  setInterval(() => { if (!queue.waiting.length && !document.hidden) refresh(false); }, 4000);

  // Values that waited when the page was left go first; then the round goes on where it stopped.
  current = queue.waiting.length ? nextAfter(queue.waiting.at(-1).cell) : Number(svg().dataset.next);
  paint();
  report();
  queue.run();
}

const page = document.getElementById("round");
if (page) takeRound(page);
