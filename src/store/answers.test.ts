import "fake-indexeddb/auto";
import fc from "fast-check";
import type { Field } from "../core/flow/grid";
import { asKept } from "../core/flow/precomputed";
import { speciesById } from "../core/fish/species";
import { answersSize, AnswerStore, bytesOf, keepAnswer, keptAnswer } from "./answers";
import { approachLie, USUAL_ANGLER } from "../scenario/approach";
import { contentOf, solvedKey } from "../scenario/field";
import { readReach } from "../scenario/read";
import type { ReadingRequest } from "../scenario/reading";
import { solveField } from "../scenario/solve";
import { sampleRun } from "../testing/reach-samples";

const HOUR = 3_600_000;

afterEach(async () => {
  await new AnswerStore("none").delete();
});

test("an answer comes back as it was kept, under its own key and models alone", async () => {
  const store = new AnswerStore("one");
  const answer = {
    lies: [{ x: 1.5, reasons: ["a"] }],
    none: undefined,
    field: Float32Array.of(1.1, 2),
    map: new Map([["k", 1]]),
  };
  await keepAnswer(store, "key", answer, 0);
  expect(await keptAnswer(store, "key", 1)).toEqual({ value: answer });
  expect(await keptAnswer(store, "other", 1)).toBeUndefined();
  // An answer of null is an answer.
  await keepAnswer(store, "null", null, 0);
  expect(await keptAnswer(store, "null", 1)).toEqual({ value: null });
  // Two keys that share a short name are two questions.
  await store.answers.toCollection().modify({ key: "another" });
  expect(await keptAnswer(store, "key", 1)).toBeUndefined();
  store.close();
});

test("answers of other models are deleted when the store is opened", async () => {
  const old = new AnswerStore("old");
  await keepAnswer(old, "key", 1, 0);
  old.close();
  const store = new AnswerStore("new");
  expect(await keptAnswer(store, "key", 1)).toBeUndefined();
  expect(await store.answers.count()).toBe(0);
  store.close();
});

test("any sequence of uses keeps at most its bytes, and what was used last of all", async () => {
  const MOST = 4000;
  const step = fc.record({
    key: fc.constantFrom(..."abcdefgh"),
    size: fc.integer({ min: 1, max: 700 }),
    keep: fc.boolean(),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 30 }), async (steps) => {
      const store = new AnswerStore("one", MOST);
      await store.answers.clear();
      // A plain reference: keys by use, oldest first.
      let known: { key: string; size: number }[] = [];
      let now = 0;
      for (const { key, size, keep } of steps) {
        now += 7 * HOUR;
        const value = new Uint8Array(size);
        if (keep) {
          await keepAnswer(store, key, value, now);
          if (size + 2 > MOST / 4) continue;
          known = [...known.filter((one) => one.key !== key), { key, size }];
          while (known.reduce((sum, one) => sum + one.size + 2, 0) > MOST) known.shift();
        } else {
          const found = await keptAnswer(store, key, now);
          const own = known.find((one) => one.key === key);
          expect((found?.value as Uint8Array | undefined)?.length).toBe(own?.size);
          if (own) known = [...known.filter((one) => one !== own), own];
        }
        expect(await answersSize(store)).toBeLessThanOrEqual(MOST);
      }
      expect((await store.answers.toCollection().primaryKeys()).length).toBe(known.length);
      store.close();
    }),
    { numRuns: 30 },
  );
});

test("bytes are those of texts, figures and arrays", () => {
  expect(bytesOf("abc")).toBe(6);
  expect(bytesOf(new Float32Array(10))).toBe(40);
  expect(bytesOf([1, 2])).toBe(32);
  expect(bytesOf({ ab: 1 })).toBe(26);
  expect(bytesOf(new Map([["a", 1]]))).toBe(bytesOf([["a", 1]]));
});

test("kept answers equal those worked out anew, to the last digit, over fifty scenarios", async () => {
  const store = new AnswerStore("one");
  const fields = [0.8, 2.5, 6].map((discharge): Field => {
    const work = solveField({ reach: sampleRun, discharge, cell: 1 });
    let step = work.next();
    while (!step.done) step = work.next();
    return step.value;
  });
  const fish = ["brown-trout", "smallmouth-bass", "king-salmon", "walleye", "channel-catfish"];
  for (let k = 0; k < 50; k++) {
    const field = asKept(fields[k % fields.length]!);
    const request: ReadingRequest = {
      species: speciesById(fish[k % fish.length]!),
      visibleDepth: 0.3 + 0.05 * k,
      temperature: 4 + 0.4 * k,
      light: k % 4 === 0 ? "night" : "day",
      features: sampleRun.features,
    };
    const fresh = (from: Field) => {
      const reading = readReach(from, request);
      const [lie] = reading.lies;
      const about = {
        reading: request,
        angler: USUAL_ANGLER,
        base: fish[k % fish.length]!,
        sun: undefined,
        leave: false,
      };
      return { reading, approach: lie && approachLie(from, reading, { lie, ...about }) };
    };
    const key = solvedKey({ reach: sampleRun, discharge: field.discharge, cell: 1 }, field) + k;
    await keepAnswer(store, key, fresh(field), k);
    // The field comes back from its own store rounded as it was: what is read of it is the same.
    const again = asKept(field);
    expect(contentOf(again)).toBe(contentOf(field));
    expect((await keptAnswer(store, key, k))!.value).toEqual(fresh(again));
  }
  store.close();
});
