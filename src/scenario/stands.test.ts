import { standsFor } from "../core/approach/stands";
import { type Field, speedAt } from "../core/flow/grid";
import type { Feature, Reach } from "../core/flow/reach-schema";
import { TEMPLATES } from "../core/flow/template-waters";
import { wadingClass } from "../core/water/wading";
import { solveField } from "./solve";

/** Low water, middling, and bank-full for a channel of that size, m3/s: from a trickle to depths nobody wades. */
const FLOWS = [0.6, 4, 16];
const [LENGTH, WIDTH] = [60, 14];

const reachOf = (template: (typeof TEMPLATES)[number]): Reach => ({
  schema: "low-heron/reach@1",
  id: template,
  name: template,
  roughness: 0.035,
  bed: { kind: "template", template, length: LENGTH, width: WIDTH, poolDepth: 1.3, slope: 0.003, wiggle: 2, cell: 1 },
  downstream: { kind: "normal", slope: 0.003 },
  features: [
    // Dry tops in mid-stream that nobody may be sent to stand on.
    { kind: "boulder", id: "stone", x: 26, y: 12, diameter: 3, height: 4 },
    { kind: "log-jam", id: "jam", x: 36, y: 9, length: 6, width: 2, angle: 40, height: 4 },
    { kind: "wall", id: "wall", x: 46, from: 4, to: 12, thickness: 1.5, height: 4 },
  ] satisfies Feature[],
});

function solved(reach: Reach, discharge: number): Field {
  const work = solveField({ reach, discharge, cell: 1 });
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

const cellAt = ({ nx, cell }: Field, [x, y]: readonly [number, number]) =>
  Math.floor(y / cell) * nx + Math.floor(x / cell);

/** Is dry ground joined to the land at a side edge of the reach, over dry cells? Told anew, by flooding from it. */
function joinsLand({ nx, ny, depth }: Field, from: number): boolean {
  const seen = new Set([from]);
  for (const k of seen) {
    const j = Math.floor(k / nx);
    if (j === 0 || j === ny - 1) return true;
    for (const next of [k % nx > 0 ? k - 1 : k, k % nx < nx - 1 ? k + 1 : k, k - nx, k + nx])
      if (depth[next]! <= 0) seen.add(next);
  }
  return false;
}

describe.each(TEMPLATES)("%s", (template) => {
  test.each(FLOWS)(
    "at %d m3/s every stand is reached from land, on foot, through no water that is to be kept out of",
    (flow) => {
      const reach = reachOf(template);
      const field = solved(reach, flow);
      let found = 0;
      for (let x = 8; x < LENGTH - 4; x += 11)
        for (let y = 2; y < field.ny * field.cell - 1; y += 4) {
          const k = cellAt(field, [x, y]);
          if (field.depth[k]! < 0.15) continue;
          const stands = standsFor(field, {
            x,
            y,
            upCurrent: [-1, 0],
            eyeDepth: 0.6 * field.depth[k]!,
            visibleDepth: 1,
            height: 1.75,
            features: reach.features,
          });
          for (const { path, x: sx, y: sy } of stands) {
            found++;
            const first = cellAt(field, path[0]!);
            expect(path.at(-1)).toEqual([sx, sy]);
            expect(field.depth[first]).toBeLessThanOrEqual(0);
            expect(joinsLand(field, first)).toBe(true);
            path.forEach((place, n) => {
              const at = cellAt(field, place);
              expect(wadingClass(field.depth[at]!, speedAt(field, at))).toBeLessThan(4);
              if (n > 0) expect(Math.hypot(place[0] - path[n - 1]![0], place[1] - path[n - 1]![1])).toBeLessThan(1.5);
              // Not on the stone, the jam or the wall.
              expect(Math.hypot(place[0] - 26, place[1] - 12)).toBeGreaterThan(1);
              expect(Math.abs(place[0] - 46) < 0.7 && place[1] > 4.5 && place[1] < 11.5).toBe(false);
            });
          }
        }
      // At low water somebody can stand somewhere on every kind of water.
      if (flow === FLOWS[0]) expect(found).toBeGreaterThan(3);
    },
  );
});
