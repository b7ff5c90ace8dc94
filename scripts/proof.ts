/** Runs every case the solver is held to and writes docs/proof.md with its table, and two pictures of closed forms. */
import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { type Kernel, SINGLE } from "../src/core/flow/kernel";
import { type Case, CASES, limitOf } from "../src/testing/proof/cases";
import { bumpWithJump, stoker } from "../src/testing/proof/closed-forms";
import { DOUBLE } from "../src/testing/proof/double";
import type { Profile } from "../src/testing/proof/strip";

const docs = join(import.meta.dirname, "..", "docs");
const figure = (value: number): string =>
  value === 0
    ? "0"
    : value
        .toExponential(1)
        .replace("e-", "·10⁻")
        .replace("e+0", "")
        .replace(
          /⁻(\d+)/,
          (_, digits: string) => `⁻${[...digits].map((digit) => "⁰¹²³⁴⁵⁶⁷⁸⁹"[Number(digit)]).join("")}`,
        );

let failed = 0;

/** What a case found on a kernel, its limit, and its order, as cells of the table. */
function held(one: Case, kernel: Kernel): string {
  const found = one.run(kernel);
  const limit = limitOf(one, kernel);
  const good = found.error < limit && (one.order === undefined || found.order! > one.order);
  if (!good) failed++;
  const order = found.order === undefined ? "" : `, order ${found.order.toFixed(2)} (over ${one.order})`;
  process.stdout.write(
    `${good ? "holds" : "FAILS"}  ${kernel.bits} bits: ${one.name}: ${found.error.toExponential(2)} (limit ${limit})${order}\n`,
  );
  return `${figure(found.error)} (${figure(limit)})${order}`;
}
const rows = CASES.map(
  (one) => `| ${one.name} | ${one.source} | ${one.measure} | ${held(one, DOUBLE)} | ${held(one, SINGLE)} |`,
);

/** Bed, truth (a pale broad line) and what the solver found (dots) along a channel, as SVG. */
function picture(name: string, title: string, profile: Profile): void {
  const [width, height, left, bottom] = [720, 300, 56, 34];
  const tops = profile.truth.map((h, k) => h + profile.bed[k]!);
  const [x0, x1] = [profile.x[0]!, profile.x.at(-1)!];
  const high = Math.max(...tops) * 1.08;
  const x = (value: number) => (left + ((width - left - 14) * (value - x0)) / (x1 - x0)).toFixed(1);
  const y = (value: number) => (height - bottom - ((height - bottom - 30) * value) / high).toFixed(1);
  const line = (values: readonly number[]) => values.map((value, k) => `${x(profile.x[k]!)},${y(value)}`).join(" ");
  const dots = profile.found
    .map((h, k) => `<circle cx="${x(profile.x[k]!)}" cy="${y(h + profile.bed[k]!)}" r="2" fill="#1f2d36"/>`)
    .filter((_, k) => k % Math.ceil(profile.x.length / 100) === 0)
    .join("");
  const ticks = [0, 0.5, 1]
    .map(
      (share) =>
        `<text x="${left - 8}" y="${y(high * share)}" text-anchor="end" dominant-baseline="middle">${Number((high * share).toPrecision(2))} m</text>`,
    )
    .join("");
  mkdirSync(join(docs, "proof"), { recursive: true });
  writeFileSync(
    join(docs, "proof", `${name}.svg`),
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="13" fill="#1f2d36"><rect width="${width}" height="${height}" fill="#f4f0e6"/><text x="${left}" y="18">${title}</text>${ticks}<polygon points="${x(x0)},${y(0)} ${line(profile.bed)} ${x(x1)},${y(0)}" fill="#7a6a58"/><polyline points="${line(tops)}" fill="none" stroke="#a4560a" stroke-width="5" stroke-opacity="0.45"/>${dots}<text x="${width - 14}" y="${height - 10}" text-anchor="end">${Number((x1 - x0).toPrecision(2))} m; broad line: closed form; dots: solver</text></svg>\n`,
  );
}
picture("jump", "Flow over a bump with a jump: water surface", bumpWithJump(SINGLE, 200));
picture("stoker", "Stoker’s dam break on a wet bed after 6 s", stoker(SINGLE, 200));

writeFileSync(
  join(docs, "proof.md"),
  `# What the solver is held to

Written by \`npm run proof\`, which runs every case below; the unit tests run the same cases with the same limits (\`src/testing/proof/\`). The kernel is one source in AssemblyScript (\`src/core/flow/kernel/\`), compiled for 32-bit lanes (the application) and for 64-bit lanes (the proof): the first column of figures shows the scheme, the second what single precision makes of it. Each figure is followed by its limit; where an order is given, it is the one observed on halving the cells.

| case | source | measure | 64 bits: found (limit) | 32 bits, as shipped: found (limit) |
|---|---|---|---|---|
${rows.join("\n")}

![Flow over a bump with a jump](proof/jump.svg)

![Stoker's dam break](proof/stoker.svg)

What the cases do not prove: that Manning's n and the eddy viscosity of a real bed are right. Those are the angler's to calibrate; a field is as true as its bed.
`,
);
process.stdout.write(`${2 * CASES.length - failed} hold, ${failed} fail\n`);
process.exit(failed ? 1 : 0);
