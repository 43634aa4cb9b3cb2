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
  let refused = null;
  let connection = null;

  const tell = (since) => {
    const seconds = Math.round((Date.now() - since) / 1000);
    silence.textContent = seconds < 120 ? `${seconds} s` : `${Math.floor(seconds / 60)} min`;
    away.hidden = false;
  };
  const isWell = () => {
    refused = null;
    away.hidden = true;
    signIn.hidden = true;
  };
  const isHeard = () => {
    heard = Date.now();
    if (!refused) isWell();
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
  // A stream that was opened before the sign-in ended goes on beating, but nothing that it tells of can be fetched any more: it is
  // opened anew until somebody has signed in.
  document.addEventListener("htmx:after:request", (e) => {
    const status = e.detail.ctx.response.status;
    if (status === 401) {
      if (!refused) connection?.reader?.cancel();
      refused ??= Date.now();
      signIn.hidden = false;
      tell(refused);
    } else if (refused && status < 400) isWell();
  });

  // A hidden page does not listen; it begins to when it is looked at again.
  document.addEventListener("visibilitychange", () => {
    heard = asked = Date.now();
  });

  setInterval(() => {
    const now = Date.now();
    if (document.hidden || now - heard < patience) return;
    tell(heard);
    if (now - asked < patience) return;
    asked = now;
    // A line that died without a word is not noticed by the browser for many minutes.
    if (connection) connection.reader?.cancel();
    else htmx.ajax("GET", live.getAttribute("hx-sse:connect"), { source: live, timeout: 8000 });
  }, Math.min(1000, patience / 4));
})();

// A device that was allowed to sounds when a grave alarm begins that it has not shown before.
(() => {
  const strip = document.getElementById("alarms");
  const button = document.getElementById("sound");
  const KEPT = "ostendum.sound";
  let context = null;
  const sound = () => {
    context ??= new AudioContext();
    for (const [at, pitch] of [[0, 740], [0.28, 590], [0.56, 740]]) {
      const tone = context.createOscillator();
      const loudness = context.createGain();
      tone.frequency.value = pitch;
      loudness.gain.value = 0.25;
      tone.connect(loudness).connect(context.destination);
      tone.start(context.currentTime + at);
      tone.stop(context.currentTime + at + 0.22);
    }
  };
  if (button) {
    const show = () => {
      button.textContent = localStorage.getItem(KEPT) ? button.dataset.on : button.dataset.off;
      button.setAttribute("aria-pressed", String(Boolean(localStorage.getItem(KEPT))));
    };
    button.hidden = false;
    show();
    button.addEventListener("click", () => {
      if (localStorage.getItem(KEPT)) localStorage.removeItem(KEPT);
      else {
        localStorage.setItem(KEPT, "yes");
        sound();
      }
      show();
    });
  }
  if (!strip) return;
  const ringing = () => new Set([...strip.querySelectorAll(".alarm-STOP, .alarm-ACT")].map((a) => a.getAttribute("href")));
  let known = ringing();
  new MutationObserver(() => {
    const now = ringing();
    const isNew = [...now].some((alarm) => !known.has(alarm));
    known = now;
    if (isNew && localStorage.getItem(KEPT)) {
      strip.dataset.sounded = String(Number(strip.dataset.sounded || 0) + 1);
      sound();
    }
  }).observe(strip, { childList: true, subtree: true });
})();
