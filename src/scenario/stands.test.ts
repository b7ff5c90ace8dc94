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

/** Does a line cross the middle of the jam, as two stretches cross, well before its end? Told anew by orientation. */
function crossesJam([ax, ay]: readonly [number, number], [ex, ey]: readonly [number, number]): boolean {
  const length = Math.hypot(ex - ax, ey - ay);
  const share = Math.max(0, length - 1.2) / length;
  const [bx, by] = [ax + (ex - ax) * share, ay + (ey - ay) * share];
  const turn = (40 * Math.PI) / 180;
  const [px, py, qx, qy] = [
    36 - 3 * Math.cos(turn),
    9 - 3 * Math.sin(turn),
    36 + 3 * Math.cos(turn),
    9 + 3 * Math.sin(turn),
  ];
  const side = (ox: number, oy: number, tx: number, ty: number, x: number, y: number) =>
    Math.sign((tx - ox) * (y - oy) - (ty - oy) * (x - ox));
  return (
    side(ax, ay, bx, by, px, py) !== side(ax, ay, bx, by, qx, qy) &&
    side(px, py, qx, qy, ax, ay) !== side(px, py, qx, qy, bx, by)
  );
}

/** Does a line come within a pace of a fish that lies well before its end? */
function passesOver(
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
  { x, y }: { x: number; y: number },
): boolean {
  const length = Math.hypot(bx - ax, by - ay);
  for (let away = 0.2; away < length - 1.6; away += 0.1)
    if (Math.hypot(ax + ((bx - ax) * away) / length - x, ay + ((by - ay) * away) / length - y) < 0.8) return true;
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
          const others = [
            { x: x + 4, y: y + 2 },
            { x: x - 4, y: y + 3 },
          ];
          const { stands } = standsFor(field, {
            x,
            y,
            upCurrent: [-1, 0],
            eyeDepth: 0.6 * field.depth[k]!,
            visibleDepth: 1,
            height: 1.75,
            features: reach.features,
            casts: 7,
            others,
          });
          for (const { path, x: sx, y: sy, casts } of stands) {
            found++;
            // The casts of the list are those that were asked for, and no line crosses the jam or a nearer fish.
            expect(casts.reduce((sum, one) => sum + one.casts, 0)).toBe(7);
            for (const { landing } of casts) {
              expect(crossesJam([sx, sy], landing.point)).toBe(false);
              for (const other of others) expect(passesOver([sx, sy], landing.point, other)).toBe(false);
            }
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
