/**
 * Hours on the bank in any order: casts, moves, pauses, fish, rods laid and lifted, undo, a browser that is killed, and
 * corrections afterwards, against a plain reference (bank-model.ts). Each rod's hours add up to those it fished, at the
 * river that was.
 */
import { isDeepStrictEqual } from "node:util";
import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import { effortOf } from "../../src/core/book/effort";
import type { EffortInterval } from "../../src/core/book/bank-records";
import type { Session } from "../../src/core/book/records";
import { riverState } from "../../src/core/book/river-state";
import { HOUR, MINUTE } from "../../src/core/gauge/series";
import type { GaugeRecord } from "../../src/core/gauge/summary";
import * as bank from "../../src/store/bank";
import { writeBook } from "../../src/store/book";
import type { Undo } from "../../src/store/change";
import { Database } from "../../src/store/database";
import { gaugeAtReach } from "../../src/store/river";
import { endSession, patchSession, startSession } from "../../src/store/sessions";
import {
  countCast,
  fishSpot,
  NO_SPOT,
  openStretches,
  putAway,
  settleStretches,
} from "../../src/store/effort-intervals";
import * as reference from "./bank-model";
import { AUTUMN, LIES, riverBook, sorted, WEEK } from "./bank-river";
import { pick, type Random, randomOf } from "./mutate";
import { type Part, taken } from "./part";

const ANGLERS = ["", "", "Ana"];

interface Day {
  db: Database;
  gauge: GaugeRecord;
  session: Session;
  model: reference.BankModel;
  now: number;
  /** What can be undone: the newest step alone. */
  last: { undo: Undo; model: reference.BankModel } | undefined;
}

type Step = (day: Day, random: Random) => Promise<void>;

/** Runs a command and keeps how to take it back. */
async function does(day: Day, command: () => Promise<Undo>, then: (model: reference.BankModel) => void): Promise<void> {
  const before = reference.copyOf(day.model);
  const undo = await command();
  then(day.model);
  day.last = { undo, model: before };
}

const rodOf = (random: Random) => pick([1, 2, 3], random);

const STEPS: Record<string, Step> = {
  wait: async (day, random) => {
    day.now += pick([0, 1, 7, 20, 90, 400], random) * MINUTE + Math.floor(random() * 3) * 137;
  },
  settle: async (day) => {
    await settleStretches(day.db, day.session, day.now);
  },
  cast: async ({ db, session }, random) => {
    const open = await openStretches(db, session.id);
    if (open.length > 0) await countCast(db, pick(open, random).id, 1, "near");
  },
  move: (day, random) => {
    const [rods, lie] = [random() < 0.3 ? [1, 2] : [rodOf(random)], pick(LIES, random)];
    const left =
      random() < 0.5
        ? undefined
        : { kind: "rest" as const, until: new Date(day.now + HOUR).toISOString(), lie: "jam", place: null };
    return does(
      day,
      () => bank.moveOn(day.db, day.session, rods, { lie }, left, day.now),
      (model) => rods.forEach((rod) => reference.setRod(model, rod, { lie }, day.now)),
    );
  },
  change: (day, random) => {
    const rod = rodOf(random);
    return does(
      day,
      () => bank.changeRig(day.db, day.session, rod, { lure: "worm" }, { what: "colour", accepted: true }, day.now),
      (model) => reference.setRod(model, rod, {}, day.now),
    );
  },
  lay: (day, random) => {
    const [rod, fixed] = [rodOf(random), random() < 0.6];
    return does(
      day,
      () => fishSpot(day.db, day.session, rod, { fixed }, day.now),
      (model) => reference.setRod(model, rod, { fixed }, day.now),
    );
  },
  angler: (day, random) => {
    const [rod, angler] = [rodOf(random), pick(ANGLERS, random)];
    return does(
      day,
      () => fishSpot(day.db, day.session, rod, { angler }, day.now),
      (model) => reference.setRod(model, rod, { angler }, day.now),
    );
  },
  away: (day, random) => {
    const rod = rodOf(random);
    return does(
      day,
      () => putAway(day.db, day.session, rod, day.now),
      (model) => reference.putRodAway(model, rod, day.now),
    );
  },
  pause: (day) =>
    does(
      day,
      () => bank.pauseSession(day.db, day.session, "lunch", day.now),
      (model) => reference.pause(model, day.now),
    ),
  goOn: (day) =>
    does(
      day,
      () => bank.goOn(day.db, day.session, day.now),
      (model) => reference.goOn(model, day.now),
    ),
  hook: (day, random) => {
    const rod = rodOf(random);
    return does(
      day,
      () => bank.hookFish(day.db, day.session, rod, day.now),
      (model) => reference.hook(model, rod, day.now),
    );
  },
  fight: async (day, random) => {
    if (day.model.on === null) return;
    const how = pick(["landed", "lost", "no-fish"] as const, random);
    const outcome = how === "lost" ? { lost: "broke" as const } : {};
    await does(
      day,
      async () =>
        how === "no-fish"
          ? bank.noFish(day.db, day.session, day.now)
          : (await bank.endFight(day.db, day.session, outcome, day.now)).undo,
      (model) => reference.endFight(model, how, day.now),
    );
  },
  undo: async (day) => {
    if (!day.last) return;
    await day.last.undo();
    day.model = day.last.model;
    day.last = undefined;
  },
  kill: async (day) => {
    day.db.close();
    await day.db.open();
    day.last = undefined;
  },
};
const NAMES = Object.keys(STEPS);

const alive = async (day: Day): Promise<EffortInterval[]> =>
  (await day.db.stretches.where({ session: day.session.id }).toArray()).filter((one) => !one.deleted);

/** What is wrong with the book, held against the reference; undefined: nothing. */
async function wrongIn(day: Day): Promise<string | undefined> {
  const stretches = await alive(day);
  const end = day.model.end ?? day.now;
  const span = (one: EffortInterval) =>
    [Date.parse(one.start), one.end === null ? day.now : Date.parse(one.end)] as const;
  const sums = new Map<string, number>();
  for (const one of stretches) {
    const [from, to] = span(one);
    if (to > from) sums.set(`${one.rod} ${one.lie}`, (sums.get(`${one.rod} ${one.lie}`) ?? 0) + to - from);
    if (from < day.model.start || to > end) return "a stretch reaches out of its session";
    if (!isDeepStrictEqual(one.river, riverState(day.gauge, from))) return `the river of ${one.start} is another one`;
  }
  const wanted = reference.fishedBy(day.model, day.now);
  if (!isDeepStrictEqual(sorted(sums), sorted(wanted)))
    return `hours ${JSON.stringify(sorted(sums))} instead of ${JSON.stringify(sorted(wanted))}`;
  for (const rod of [1, 2, 3]) {
    const own = stretches
      .filter((one) => one.rod === rod)
      .map(span)
      .filter(([from, to]) => to > from)
      .sort((a, b) => a[0] - b[0]);
    if (own.some(([from], k) => k > 0 && from < own[k - 1]![1])) return `rod ${rod} fishes twice at once`;
    const open = stretches.filter((one) => one.rod === rod && one.end === null).length;
    if (open !== Number(day.model.rods.get(rod)?.state === "fishing")) return `rod ${rod} has ${open} open stretches`;
  }
  const fish = (await day.db.catches.where({ session: day.session.id }).toArray()).filter((one) => !one.deleted);
  const landed = fish.filter((one) => one.lost === undefined);
  if (landed.length !== day.model.landed || fish.length !== day.model.landed + day.model.lost)
    return "fish are missing";
  const session = (await day.db.sessions.get(day.session.id))!;
  const efforts = effortOf([session], fish, day.now, undefined, stretches);
  if (stretches.length > 0 && efforts.flatMap((one) => one.catches).length !== landed.length)
    return "a fish is of no stretch, or of two";
  return fish.some((one) => !isDeepStrictEqual(one.river, riverState(day.gauge, Date.parse(one.at))))
    ? "the river of a fish is another one"
    : undefined;
}

/** Afterwards: other times, or a week later, and back. */
async function corrected(day: Day, random: Random): Promise<string | undefined> {
  const { start, end } = day.model;
  const by = pick([-WEEK, WEEK, 0], random);
  const shift = () => Math.floor((random() - 0.5) * 6) * 11 * MINUTE;
  const to = by !== 0 ? { start: start + by, end: end! + by } : { start: start + shift(), end: end! + shift() };
  if (to.end <= to.start) return undefined;
  const session = (await day.db.sessions.get(day.session.id))!;
  const before = reference.copyOf(day.model);
  const { undo } = await patchSession(day.db, session, to);
  reference.correct(day.model, to.start, to.end);
  const wrong = await wrongIn(day);
  if (wrong) return `corrected: ${wrong}`;
  await undo();
  day.model = before;
  const back = await wrongIn(day);
  return back && `corrected and undone: ${back}`;
}

/** Seeds of sequences that once went wrong, tried first: a transaction that was let go between awaits. */
const REPLAYED = [225_835_724];

export const bankSequences: Part = {
  name: "hours on the bank",
  share: 0.03,
  trial: () => {
    const ground = { indexedDB: new IDBFactory(), IDBKeyRange };
    const db = new Database("bank", ground);
    const ready = writeBook(db, riverBook());
    return async (drawn, k) => {
      await ready;
      const random = REPLAYED[k] === undefined ? drawn : randomOf(REPLAYED[k]);
      const [reach] = await db.reaches.toArray();
      const gauge = (await gaugeAtReach(db, reach))!;
      const start = AUTUMN + Math.floor(random() * 24) * HOUR + Math.floor(random() * 3_600_000);
      const rods = pick([1, 2, 3], random);
      const spots = Array.from({ length: rods }, (_, k) => ({ ...NO_SPOT, rod: k + 1, angler: "", lie: "jam" }));
      await startSession(db, reach!.id, "brown-trout", start, { spots });
      const session = (await db.sessions.toArray()).find((one) => one.end === null && !one.deleted)!;
      const day: Day = { db, gauge, session, model: reference.newModel(start), now: start, last: undefined };
      for (const { rod, lie } of spots) reference.setRod(day.model, rod, { lie }, start);
      const told: string[] = [];
      let wrong: string | undefined;
      for (let count = 4 + Math.floor(random() * 22); count > 0 && !wrong; count--) {
        if (random() < 0.5) await STEPS.wait!(day, random);
        const name = pick(NAMES, random);
        told.push(`${name}@${Math.round((day.now - start) / MINUTE)}`);
        try {
          await STEPS[name]!(day, random);
          wrong = await wrongIn(day);
        } catch (error) {
          wrong = `threw ${String((error as Error).stack ?? error).slice(0, 400)}`;
        }
      }
      await endSession(db, session, day.now);
      reference.finish(day.model, day.now);
      wrong ??= (await wrongIn(day)) ?? (await corrected(day, random));
      taken.count++;
      for (const table of [db.sessions, db.stretches, db.catches, db.observations]) await table.clear();
      return wrong && `${wrong}, after ${rods} rods: ${told.join(" ")}`;
    };
  },
};
