import assert from "node:assert/strict";
import { webcrypto } from "node:crypto";
import { test } from "node:test";
import { ValueQueue } from "../src/value-queue.js";

// Every browser has it; Debian's Node does not offer it by itself.
globalThis.crypto ??= webcrypto;

function memory() {
  const kept = new Map();
  return {
    getItem: (name) => kept.get(name) ?? null,
    setItem: (name, text) => kept.set(name, text),
    removeItem: (name) => kept.delete(name),
  };
}

const value = (cell, field = "GRAVITY") => ({ key: `k${cell}`, cell, field, value: "281", base: 0 });

/** A queue whose server answers by a script: a status, an answer, or null for a line that is down. */
function queue(answers, store = memory()) {
  const sent = [];
  const kept = [];
  const tasks = [];
  const made = new ValueQueue({
    store,
    name: "round-1",
    send: async (value) => {
      sent.push(value.cell);
      const answer = answers.length ? answers.shift() : 200;
      if (answer === null) throw new Error("down");
      return typeof answer === "number" ? { status: answer, text: `answer ${answer}` } : answer;
    },
    later: (task) => tasks.push(task),
    tell: { kept: (value) => kept.push(value.cell), aside: () => {}, changed: () => {} },
  });
  const wait = async () => {
    while (tasks.length) await tasks.shift()();
  };
  return { made, sent, kept, wait, tasks, store };
}

test("values go one after another, the oldest first, and leave the store when they are kept", async () => {
  const { made, kept, store } = queue([]);
  await Promise.all([made.add(value(1)), made.add(value(2)), made.add(value(3))]);
  assert.deepEqual(kept, [1, 2, 3]);
  assert.equal(store.getItem("round-1"), null);
});

test("without a line everything waits, also beyond a reload, and goes later", async () => {
  const store = memory();
  const first = queue([null, null], store);
  await first.made.add(value(1));
  await first.made.add(value(2));
  assert.equal(first.made.held, "line");
  assert.deepEqual(first.kept, []);

  const reloaded = queue([], store);
  await reloaded.made.run();
  assert.deepEqual(reloaded.kept, [1, 2]);
});

test("a sign-in that has ended holds the values and loses none", async () => {
  const { made, kept, wait } = queue([401, 401]);
  await made.add(value(1));
  assert.equal(made.held, "sign-in");
  await wait();
  assert.deepEqual(kept, [1]);
  assert.equal(made.held, "");
});

for (const status of [400, 403, 404, 418]) {
  test(`an answer of ${status} stands in nobody's way`, async () => {
    const { made, kept } = queue([status]);
    await made.add(value(1));
    await made.add(value(2));
    assert.deepEqual(kept, [2]);
    assert.equal(made.aside[0].why, "failed");
    assert.equal(made.aside[0].value.cell, 1);
  });
}

test("a server that fails is tried again, then the rest goes on and the value can be sent once more", async () => {
  const { made, sent, kept, wait } = queue([500, 500, 500, 500]);
  await made.add(value(1));
  await made.add(value(2));
  await wait();
  assert.deepEqual(sent, [1, 1, 1, 1, 2]);
  assert.deepEqual(kept, [2]);
  await made.again(made.aside[0]);
  assert.deepEqual(kept, [2, 1]);
  assert.deepEqual(made.aside, []);
});

test("a clash stays, with what was typed, until it is dealt with, also beyond a reload", async () => {
  const store = memory();
  const { made } = queue([{ status: 409, text: "Tom read 1.270", base: 17 }, 200], store);
  await made.add(value(1));
  await made.add(value(2));
  const reloaded = queue([], store);
  const [clash] = reloaded.made.aside;
  assert.equal(clash.text, "Tom read 1.270");
  assert.equal(clash.value.value, "281");

  await reloaded.made.again(clash);
  assert.deepEqual(reloaded.made.aside, []);
  assert.deepEqual(reloaded.kept, [1]);
});

test("a second clash does not push the first one out", async () => {
  const { made } = queue([
    { status: 409, text: "first", base: 1 },
    { status: 409, text: "second", base: 2 },
  ]);
  await made.add(value(1));
  await made.add(value(2));
  assert.deepEqual(made.aside.map((item) => item.text), ["first", "second"]);
  made.drop(made.aside[0]);
  assert.deepEqual(made.aside.map((item) => item.text), ["second"]);
});

test("who types a refused cell anew has dealt with the refusal", async () => {
  const { made, kept } = queue([422]);
  await made.add(value(5));
  assert.equal(made.aside[0].why, "refused");
  await made.add(value(5, "LEVEL"));
  assert.equal(made.aside.length, 1);
  await made.add(value(5));
  assert.deepEqual(made.aside, []);
  assert.deepEqual(kept, [5, 5]);
});

test("a round that was closed meanwhile keeps what was typed at hand", async () => {
  const { made } = queue([410, 410]);
  await made.add(value(1));
  await made.add(value(2));
  assert.deepEqual(made.aside.map((item) => item.why), ["gone", "gone"]);
});

test("values stored by an older page are not lost", async () => {
  const store = memory();
  store.setItem("round-1", JSON.stringify([value(3)]));
  const { made, kept } = queue([], store);
  await made.run();
  assert.deepEqual(kept, [3]);
});
