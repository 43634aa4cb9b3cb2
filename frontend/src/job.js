// A step that has only just come up is not confirmed by the press that confirmed the one before: a button pressed twice, a key
// held down.
(() => {
  const settleMs = 350;
  const step = document.querySelector(".now-step");
  if (!step) return;
  setTimeout(() => (step.dataset.ready = ""), settleMs);
  step.addEventListener("click", (e) => {
    if (!("ready" in step.dataset) && e.target.closest("button")) e.preventDefault();
  });
  step.addEventListener("keydown", (e) => {
    if (e.repeat && e.key === "Enter" && !e.target.closest("textarea")) e.preventDefault();
  });
})();

// The clock of a waiting step. How much is left comes from the server, whose clock counts; here it is only counted down.
(() => {
  const clock = document.querySelector(".clock");
  if (!clock) return;
  const ends = Date.now() + Number(clock.dataset.left);
  const two = (n) => String(n).padStart(2, "0");

  function tick() {
    const left = Math.max(0, Math.ceil((ends - Date.now()) / 1000));
    const hours = Math.floor(left / 3600);
    clock.textContent = `${hours ? `${hours}:` : ""}${two(Math.floor(left / 60) % 60)}:${two(left % 60)}`;
    document.title = document.title.replace(/^([\d:]+ · )?/, left ? `${clock.textContent} · ` : "");
    if (left) return setTimeout(tick, 1000);
    if (!clock.dataset.over) location.reload();
  }
  clock.dataset.over = ends <= Date.now() ? "true" : "";
  tick();
})();
