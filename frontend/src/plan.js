// The plan of a room: a stand is dragged, or moved by the arrows; where it is put is kept at once, and a refusal puts it back.
(() => {
  const plan = document.getElementById("plan");
  if (!plan) return;
  const said = document.getElementById("plan-said");
  const csrf = document.querySelector("meta[name=csrf]");
  const STEP = 10;
  const LONG_STEP = 50;
  const width = Number(plan.dataset.width);
  const place = (stand, x, y) => {
    const most = { x: width - Number(stand.dataset.w), y: Number(stand.dataset.front) - Number(stand.dataset.d) };
    stand.at = { x: Math.max(0, Math.min(most.x, Math.round(x / STEP) * STEP)), y: Math.max(0, Math.min(most.y, Math.round(y / STEP) * STEP)) };
    stand.setAttribute("transform", `translate(${stand.at.x} ${stand.at.y})`);
  };
  const keep = async (stand) => {
    const { x, y } = stand.at;
    let answer = null;
    try {
      answer = await fetch(stand.dataset.move, {
        method: "POST",
        headers: { [csrf.dataset.header]: csrf.content },
        body: new URLSearchParams({ x, y }),
      });
    } catch {
      // Told below, as any other refusal.
    }
    if (answer?.ok) {
      stand.dataset.x = x;
      stand.dataset.y = y;
      said.hidden = true;
    } else {
      place(stand, Number(stand.dataset.x), Number(stand.dataset.y));
      said.textContent = plan.dataset.refused;
      said.hidden = false;
    }
  };
  const point = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(plan.getScreenCTM().inverse());
  for (const stand of plan.querySelectorAll(".plan-stand")) {
    place(stand, Number(stand.dataset.x), Number(stand.dataset.y));
    let from = null;
    let moved = false;
    let waiting = 0;
    stand.addEventListener("dragstart", (e) => e.preventDefault());
    stand.addEventListener("pointerdown", (e) => {
      const p = point(e);
      from = { x: p.x - stand.at.x, y: p.y - stand.at.y };
      moved = false;
      stand.setPointerCapture(e.pointerId);
      stand.classList.add("held");
    });
    stand.addEventListener("pointermove", (e) => {
      if (!from) return;
      const p = point(e);
      const before = stand.at;
      place(stand, p.x - from.x, p.y - from.y);
      moved ||= before.x !== stand.at.x || before.y !== stand.at.y;
    });
    stand.addEventListener("pointerup", () => {
      stand.classList.remove("held");
      if (from && moved) keep(stand);
      from = null;
    });
    stand.addEventListener("click", (e) => {
      if (moved) e.preventDefault();
      moved = false;
    });
    stand.addEventListener("keydown", (e) => {
      const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
      if (!way) return;
      e.preventDefault();
      const step = e.shiftKey ? LONG_STEP : STEP;
      place(stand, stand.at.x + way[0] * step, stand.at.y + way[1] * step);
      clearTimeout(waiting);
      waiting = setTimeout(() => keep(stand), 400);
    });
  }
})();
