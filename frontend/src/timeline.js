// The plan over time: a charge is dragged to another hour or charger, or moved by the arrows and put down with Enter; the plan that
// follows is proposed with what it costs, and what cannot be is said.
(() => {
  const drawing = document.getElementById("timeline");
  if (!drawing?.dataset.move) return;
  const { from, until, left, right, row } = Object.fromEntries(["from", "until", "left", "right", "row"].map((k) => [k, Number(drawing.dataset[k])]));
  const chargers = drawing.dataset.rows.split(" ");
  const MINUTES = 5;
  const KEY_MINUTES = 15;
  const perUnit = (until - from) / (right - left);
  const point = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(drawing.getScreenCTM().inverse());
  const clock = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: drawing.dataset.zone });

  const put = (bar) => {
    const form = document.getElementById("move");
    form.elements.job.value = bar.dataset.job;
    form.elements.charger.value = chargers[bar.at.row];
    form.elements.start.value = new Date(bar.at.start * 1000).toISOString();
    form.requestSubmit();
  };
  const draw = (bar) => {
    const dx = (bar.at.start - Number(bar.dataset.start)) / perUnit;
    const dy = (bar.at.row - bar.home.row) * row;
    bar.setAttribute("transform", `translate(${dx} ${dy})`);
    document.getElementById("move-said").textContent = `${chargers[bar.at.row]} ${clock.format(new Date(bar.at.start * 1000))}`;
  };
  const move = (bar, start, at, step) => {
    const whole = Math.round(start / (60 * step)) * 60 * step;
    bar.at = { start: Math.max(Math.ceil(from / 60) * 60, Math.min(until - 60, whole)), row: Math.max(0, Math.min(chargers.length - 1, at)) };
    draw(bar);
  };
  const back = (bar) => {
    bar.at = { ...bar.home };
    bar.removeAttribute("transform");
    document.getElementById("move-said").textContent = "";
  };
  const isElsewhere = (bar) => bar.at.start !== bar.home.start || bar.at.row !== bar.home.row;

  for (const bar of drawing.querySelectorAll("[data-job]")) {
    bar.home = { start: Number(bar.dataset.start), row: chargers.indexOf(bar.dataset.charger) };
    bar.at = { ...bar.home };
    let held = null;
    let moved = false;
    bar.addEventListener("dragstart", (e) => e.preventDefault());
    bar.addEventListener("pointerdown", (e) => {
      held = point(e);
      moved = false;
      bar.setPointerCapture(e.pointerId);
      bar.classList.add("held");
    });
    bar.addEventListener("pointermove", (e) => {
      if (!held) return;
      const p = point(e);
      moved ||= Math.hypot(p.x - held.x, p.y - held.y) > 5;
      if (moved) move(bar, bar.home.start + (p.x - held.x) * perUnit, bar.home.row + Math.round((p.y - held.y) / row), MINUTES);
    });
    bar.addEventListener("pointerup", () => {
      bar.classList.remove("held");
      held = null;
      if (moved && isElsewhere(bar)) put(bar);
      else if (moved) back(bar);
    });
    bar.addEventListener("click", (e) => {
      if (moved) e.preventDefault();
    });
    bar.addEventListener("keydown", (e) => {
      const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
      if (way) {
        e.preventDefault();
        move(bar, bar.at.start + way[0] * 60 * KEY_MINUTES, bar.at.row + way[1], 1);
      } else if (e.key === "Enter" && isElsewhere(bar)) {
        e.preventDefault();
        put(bar);
      } else if (e.key === "Escape") {
        back(bar);
      }
    });
  }
})();
