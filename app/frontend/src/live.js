// A page that has heard nothing for a while says so and asks anew. What it shows stays, as it was when last heard.
(() => {
  const live = document.getElementById("live");
  const away = document.getElementById("away");
  if (!live) return;
  const patience = 2.4 * (live.dataset.beat || 5000);
  const silence = away.querySelector(".fig");
  const signIn = away.querySelector("a");
  let heard = Date.now();
  let asked = heard;
  let connection = null;

  const isHeard = () => {
    heard = Date.now();
    away.hidden = true;
    signIn.hidden = true;
  };
  live.addEventListener("htmx:sse:after:connection", (e) => {
    connection = e.detail.connection;
  });
  live.addEventListener("htmx:sse:before:message", isHeard);
  live.addEventListener("htmx:sse:close", () => {
    connection = null;
  });
  live.addEventListener("htmx:sse:error", (e) => {
    signIn.hidden = e.detail.status !== 401;
  });

  // A hidden page does not listen; it begins to when it is looked at again.
  document.addEventListener("visibilitychange", () => {
    heard = asked = Date.now();
  });

  setInterval(() => {
    const now = Date.now();
    if (document.hidden || now - heard < patience) return;
    const seconds = Math.round((now - heard) / 1000);
    silence.textContent = seconds < 120 ? `${seconds} s` : `${Math.floor(seconds / 60)} min`;
    away.hidden = false;
    if (now - asked < patience) return;
    asked = now;
    // A line that died without a word is not noticed by the browser for many minutes.
    if (connection) connection.reader?.cancel();
    else htmx.ajax("GET", live.getAttribute("hx-sse:connect"), { source: live });
  }, Math.min(1000, patience / 4));
})();
