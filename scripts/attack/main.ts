/**
 * `npm run attack -- [--seed N] [--cases N] [--minutes N] [--kills N] [--only PART]`:
 * damaged files, archives and requests, divergent
 * books, random beds, commands and failing disks; and a browser that is killed, N times. Prints a table of cases and
 * failures; the same seed tries the same cases. Exit code 1 on a failure.
 */
import { parseArgs } from "node:util";
import { kill } from "./kills";
import { randomOf } from "./mutate";
import { taken } from "./part";
import { PARTS as ALL } from "./parts";

const { values } = parseArgs({
  options: {
    seed: { type: "string" },
    cases: { type: "string" },
    minutes: { type: "string" },
    kills: { type: "string" },
    only: { type: "string" },
  },
});
const seed = Number(values.seed ?? 1);
const cases = Number(values.cases ?? 4000);
const until = values.minutes ? performance.now() + Number(values.minutes) * 60_000 : undefined;

/** One part alone, with all of the cases. */
const PARTS = values.only ? ALL.filter(({ name }) => name === values.only).map((one) => ({ ...one, share: 1 })) : ALL;

/**
 * No case takes longer, ms of this process's own work, or of the clock, where other work beside it may hold it up; nor
 * is more held at its end, MB.
 */
const SLOWEST = { own: 5000, clock: 30_000 };
const MOST_HELD = 1024;
const LEAST_CASES = 5;
/** Failures told of a part. */
const TOLD = 5;

interface Row {
  part: string;
  cases: number;
  taken: number;
  failures: number;
  slowest: number;
  held: number;
}

const rows: Row[] = PARTS.map(({ name }) => ({ part: name, cases: 0, taken: 0, failures: 0, slowest: 0, held: 0 }));
const trials = PARTS.map(({ trial }) => trial());

async function round(turn: number): Promise<void> {
  for (const [index, { name, share }] of PARTS.entries()) {
    const row = rows[index]!;
    for (let count = Math.max(LEAST_CASES, Math.round(cases * share)); count > 0; count--) {
      const number = row.cases++;
      const [begun, before, worked] = [performance.now(), taken.count, process.cpuUsage()];
      let wrong: string | undefined;
      try {
        wrong = await trials[index]!(randomOf(seed + 7919 * index + 104_729 * number + turn), number);
      } catch (error) {
        wrong = `threw ${String((error as Error).stack ?? error).slice(0, 400)}`;
      }
      const clock = performance.now() - begun;
      const { user, system } = process.cpuUsage(worked);
      const took = (user + system) / 1000;
      row.taken += taken.count - before;
      row.slowest = Math.max(row.slowest, took);
      row.held = Math.max(row.held, process.memoryUsage().rss / 1048576);
      if (!wrong && (took > SLOWEST.own || clock > SLOWEST.clock))
        wrong = `took ${Math.round(took)} ms of ${Math.round(clock)}`;
      if (!wrong && row.held > MOST_HELD) wrong = `${Math.round(row.held)} MB held`;
      if (wrong && row.failures++ < TOLD) process.stdout.write(`${name}, case ${number} of seed ${seed}: ${wrong}\n`);
    }
  }
}

let turn = 0;
do await round(turn++);
while (until !== undefined && performance.now() < until);

const line = (cells: readonly (string | number)[]) => `| ${cells.join(" | ")} |`;
process.stdout.write(
  [
    line(["part", "cases", "taken", "failures", "slowest, ms", "most held, MB"]),
    line(["---", "---:", "---:", "---:", "---:", "---:"]),
    ...rows.map((row) =>
      line([row.part, row.cases, row.taken, row.failures, Math.round(row.slowest), Math.round(row.held)]),
    ),
  ].join("\n") + "\n",
);
const killed = values.kills ? await kill(Number(values.kills), randomOf(seed)) : undefined;
if (killed)
  process.stdout.write(
    `\n${killed.kills} kills, ${killed.acknowledged} acknowledged actions, ${killed.lost} lost, ${killed.broken} half written\n`,
  );
if (killed && killed.lost + killed.broken > 0) process.exit(1);
process.exit(rows.some((row) => row.failures > 0) ? 1 : 0);
