// Values that were typed and are not kept yet. They are sent one after another, the oldest first, and lie in the device's store until
// the server has answered for them. Nothing is lost, and nothing stands in the way of the rest: what the server does not take is put
// aside until somebody has dealt with it.

const PATIENCE = 1500; // ms until a value is tried again
const TRIES = 4; // answers of 500 that one value is worth before the others go on

export class ValueQueue {
  /**
   * @param store with getItem, setItem, removeItem
   * @param name under which it is stored
   * @param send (value) → {status, text, base}; throws where nothing answers
   * @param later (task, ms)
   * @param tell {kept(value, text), aside(item), changed()}
   */
  constructor({ store, name, send, later, tell }) {
    Object.assign(this, { store, name, send, later, tell });
    const known = JSON.parse(store.getItem(name) || "null") || {};
    this.waiting = Array.isArray(known) ? known : known.waiting || [];
    this.aside = known.aside || [];
    this.tries = 0;
    this.sending = false;
    this.held = ""; // why nothing goes at present: "line" or "sign-in"
  }

  add(value) {
    // Who types a cell anew has dealt with what was put aside of it.
    this.aside = this.aside.filter((item) => item.value.cell !== value.cell || item.value.field !== value.field);
    this.waiting.push(value);
    this.keep();
    return this.run();
  }

  /** Sends a value that was put aside once more, on top of what the other has written. */
  again(item) {
    return this.add({ ...item.value, key: crypto.randomUUID(), base: item.theirs ?? item.value.base });
  }

  drop(item) {
    this.aside = this.aside.filter((other) => other !== item);
    this.keep();
  }

  async run() {
    if (this.sending || !this.waiting.length) return;
    this.sending = true;
    try {
      while (this.waiting.length && (await this.one())) this.tries = 0;
    } finally {
      this.sending = false;
    }
    if (this.waiting.length) this.later(() => this.run(), PATIENCE);
  }

  /** @return whether the next one can go */
  async one() {
    const value = this.waiting[0];
    let answer;
    try {
      answer = await this.send(value);
    } catch {
      return this.hold("line");
    }
    if (answer.status === 401) return this.hold("sign-in");
    this.held = "";
    if (answer.status >= 200 && answer.status < 300) {
      this.waiting.shift();
      this.keep();
      this.tell.kept(value, answer.text);
      return true;
    }
    if (answer.status >= 500 && ++this.tries < TRIES) return false;
    this.putAside(value, answer);
    return true;
  }

  hold(why) {
    this.held = why;
    this.tell.changed();
    return false;
  }

  putAside(value, answer) {
    const why = { 409: "clash", 410: "gone", 422: "refused" }[answer.status] || "failed";
    const item = { value, why, text: why === "failed" ? "" : answer.text, theirs: answer.base };
    this.waiting.shift();
    this.aside.push(item);
    this.keep();
    this.tell.aside(item);
  }

  keep() {
    if (this.waiting.length || this.aside.length) {
      this.store.setItem(this.name, JSON.stringify({ waiting: this.waiting, aside: this.aside }));
    } else {
      this.store.removeItem(this.name);
    }
    this.tell.changed();
  }
}
