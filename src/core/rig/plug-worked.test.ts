import { GRAVITY, WATER_DENSITY } from "../quantity/provenance";
import { castLength } from "./cast-length";
import { lineShape } from "./line-shape";
import { lipForce, type Plug, plugDepth, plugFor, type PlugQuestion, setPlug, suspendWeight } from "./plug";

/** A plug beside the fish, told anew from the shape of its line (common practice, no source, but for the line). */

const plug: Plug = { grams: 9, dives: 2, buoyancy: 1.2, least: 0.4, best: 0.9, length: 0.07 };
const question = (
  own: Partial<Plug>,
  meanSpeed: number,
  change: Partial<PlugQuestion> = {},
  depth = 1.5,
): PlugQuestion => ({
  species: "smallmouth-bass",
  water: { depth, meanSpeed, bedRoughness: 0.1, temperature: 14 },
  distance: 14,
  lineDiameter: 0.00025,
  rod: 2.1,
  length: 0.07,
  tackle: { plug: { ...plug, ...own } },
  ...change,
});

/** Depth on each length of line, to forty metres: drag of the plug along it, its lip less its buoyancy down. */
function divesAt({ dives, ...rest }: Plug, diameter: number, speed: number) {
  const own = { dives, ...rest };
  const pull = lipForce(own) * speed ** 2 - (own.buoyancy / 1000) * GRAVITY;
  const drag = 0.5 * WATER_DENSITY * 0.03 * (own.length ?? 0.07) ** 2 * speed ** 2;
  return lineShape(
    {
      passing: () => speed,
      length: 40,
      lineDiameter: diameter,
      weights: [],
      end: { along: drag, down: pull },
      steps: 240,
    },
    0,
  ).shape;
}

test.each([
  [0.1, {}],
  [0.5, {}],
  [0.8, {}],
  [0.9, {}],
  [1.2, {}],
  [1.7, {}],
  [2.2, {}],
  [0.5, { best: 1.4 }],
  [0.5, { dives: 0.5 }],
  [0.3, { buoyancy: -2 }],
  [0.3, { length: undefined, buoyancy: 0 }],
] as [number, Partial<Plug>][])(
  "in %f m/s, %j: its way, its speed, its depth and the line that it wants",
  (current, own) => {
    for (const perTurn of [undefined, 0.4])
      for (const distance of [8, 14, 30])
        for (const depth of [0.6, 1.5, 4]) {
          const asked = question(own, current, { distance }, depth);
          if (perTurn) asked.tackle.perTurn = perTurn;
          const mine = asked.tackle.plug!;
          const { rig, reasons } = setPlug(asked);
          const reel = (perTurn ?? 0.7) * 2.5;
          const over = current - mine.best;
          // Bait fish do not swim hard upstream.
          const withIt = over > 0 || current + mine.best <= reel;
          const speed = withIt ? Math.min(mine.best, Math.max(0, reel - current)) : mine.best;
          const retrieve = withIt ? current + speed : Math.max(0, mine.best - current);
          const shape = divesAt(mine, 0.00025, Math.max(speed, mine.least));
          const nearest = shape.reduce((best, one) =>
            Math.abs(one.s - distance) < Math.abs(best.s - distance) ? one : best,
          );
          const free = Math.max(0, nearest.z);
          const there = shape.find(({ z }) => z >= depth - 0.08);
          const cast = there ? Math.max(there.s, distance) + 3 * depth : Infinity;
          expect(rig).toMatchObject({
            direction: withIt ? "with" : "against",
            touches: free >= depth - 0.08,
            feasible: speed >= mine.least && (withIt || over <= 0.894),
            lineOut: distance,
          });
          expect(rig.over).toBeCloseTo(over, 9);
          expect(rig.retrieve).toBeCloseTo(retrieve, 9);
          expect(rig.turns).toBeCloseTo(retrieve / (perTurn ?? 0.7), 9);
          expect(rig.depthReached).toBeCloseTo(Math.min(depth, free), 9);
          expect(rig.lineNeeded).toBe(there ? there.s : null);
          if (cast <= Math.min(40, castLength(9, 2.1, 0.00025))) expect(rig.castNeeded).toBeCloseTo(cast, 9);
          else expect(rig.castNeeded).toBeNull();
          expect(rig.suspend).toBe(suspendWeight(mine, 14));
          const codes = reasons.map(({ code }) => code);
          expect(codes).toEqual([
            rig.touches ? "plug-touches" : "plug-short",
            ...(!rig.touches && there ? ["plug-line"] : []),
            ...(rig.castNeeded !== null ? ["plug-cast"] : rig.touches ? [] : ["plug-other"]),
            ...(over > 0.894 ? ["plug-unnatural"] : []),
            rig.feasible ? `plug-${rig.direction}` : "plug-reel",
            rig.suspend === null ? "plug-sinks" : "plug-suspend",
            "plug-true",
          ]);
        }
  },
);

test("the plug that is owned, else a usual one of the lure's length for the fish", () => {
  expect(plugFor({ species: "brown-trout", length: 0.05, tackle: { plug } })).toBe(plug);
  expect(plugFor({ species: "brown-trout", length: 0.05, tackle: {} })).toMatchObject({ length: 0.05, dives: 1.2 });
  expect(plugFor({ species: "walleye", length: 0.08, tackle: {} })).toMatchObject({ length: 0.08, dives: 3 });
});

test("what floats too much to be pulled down stays at the surface", () => {
  expect(plugDepth({ ...plug, buoyancy: 30 }, 0.01, 0.0003, 0.5, 20)).toBe(0);
  expect(plugDepth(plug, lipForce(plug), 0.0003, 1.2, 30)).toBeCloseTo(2, 2);
});
