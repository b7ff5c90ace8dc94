"use client";
import { contours } from "d3-contour";
import { type ReactNode, useId, useMemo } from "react";
import { type Field, sample } from "../../core/flow/grid";
import type { Feature } from "../../core/flow/reach-schema";

export type Point = readonly [number, number];

/** The water in front of an angler: ahead is up, m to px. */
export interface Front {
  width: number;
  height: number;
  at: (place: Point) => Point;
  /** px to a metre */
  scale: number;
}

const W = 360;
/** What is left free about what must be seen, m. */
const FREE = 1.6;
/** Nodes that the water is traced between, across and up. */
const [ACROSS, UP] = [96, 64];

/** A frame in which the way from the stand to the fish goes straight up, and everything named is in sight. */
export function frontOf(
  stand: Point,
  fish: Point,
  seen: readonly Point[],
  height: number,
): Front & { back: (px: Point) => Point } {
  const [dx, dy] = [fish[0] - stand[0], fish[1] - stand[1]];
  const size = Math.hypot(dx, dy) || 1;
  const ahead: Point = [dx / size, dy / size];
  // To the angler's right, x downstream and y to the right bank: turned clockwise on the plan.
  const right: Point = [-ahead[1], ahead[0]];
  const turned = ([x, y]: Point): Point => {
    const [px, py] = [x - stand[0], y - stand[1]];
    return [px * right[0] + py * right[1], px * ahead[0] + py * ahead[1]];
  };
  const all = [stand, fish, ...seen].map(turned);
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs) - FREE, Math.min(...ys) - FREE];
  const span = [Math.max(...xs) + FREE - left, Math.max(...ys) + FREE - low] as const;
  const scale = Math.min(W / span[0], height / span[1]);
  const [shiftX, shiftY] = [(W - span[0] * scale) / 2, (height - span[1] * scale) / 2];
  return {
    width: W,
    height,
    scale,
    at: (place) => {
      const [x, y] = turned(place);
      return [shiftX + (x - left) * scale, height - shiftY - (y - low) * scale];
    },
    back: ([px, py]) => {
      const [x, y] = [(px - shiftX) / scale + left, (height - shiftY - py) / scale + low];
      return [stand[0] + x * right[0] + y * ahead[0], stand[1] + x * right[1] + y * ahead[1]];
    },
  };
}

/** The water as it looks from the stand: slow dark and still, fast pale and streaked; bank, wood and stones. */
export function WaterFront({
  field,
  features,
  front,
  label,
  children,
}: {
  field: Field;
  features: readonly Feature[];
  front: ReturnType<typeof frontOf>;
  label: string;
  children: ReactNode;
}) {
  const { water, tones, streaks } = useMemo(() => waterOf(field, front), [field, front]);
  const clip = useId();
  return (
    <svg viewBox={`0 0 ${front.width} ${front.height}`} className="block w-full" role="img" aria-label={label}>
      <rect width={front.width} height={front.height} fill="var(--paper-deep)" />
      <clipPath id={clip}>
        <path d={water} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <path d={water} fill={toneColour(SLOWEST)} />
        {tones.map(({ tone, path }) => (
          <path key={tone} d={path} fill={toneColour(tone)} />
        ))}
        <path d={streaks} stroke="var(--water-fast)" strokeWidth={0.8} opacity={0.4} />
      </g>
      <path d={water} fill="none" stroke="var(--ink-soft)" strokeWidth={1} opacity={0.6} />
      {features.map((one, k) => (
        <Shape key={one.id ?? k} feature={one} front={front} />
      ))}
      {children}
    </svg>
  );
}

/** The speed, m/s, that is drawn palest; tones in percent of the fast colour, in steps that the eye does not part. */
const PALEST = 1.2;
const [SLOWEST, FASTEST, TONES] = [12, 88, 19];
const toneOf = (speed: number): number => SLOWEST + (FASTEST - SLOWEST) * Math.min(1, speed / PALEST) ** 0.8;
const toneColour = (tone: number): string =>
  `color-mix(in oklab, var(--water-fast) ${Math.round(tone)}%, var(--water-slow))`;
/** Shallower is bank, m. */
const WET = 0.02;

/** Water, its tones and its streaks as paths: traced between the nodes of a grid, so that nothing has steps. */
function waterOf(
  field: Field,
  { back, at, width, height }: ReturnType<typeof frontOf>,
): { water: string; tones: { tone: number; path: string }[]; streaks: string } {
  const { nx, ny, cell, depth, u, v } = field;
  const [columns, rows] = [ACROSS, UP];
  const [depths, tone] = [new Float64Array(columns * rows), new Float64Array(columns * rows)];
  const streaks: string[] = [];
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      const middle: Point = [((x + 0.5) * width) / columns, ((y + 0.5) * height) / rows];
      const [px, py] = back(middle);
      if (px < 0 || py < 0 || px > nx * cell || py > ny * cell) continue;
      const k = y * columns + x;
      depths[k] = sample(depth, nx, ny, cell, px, py);
      if (!(depths[k]! > WET)) continue;
      const [a, b] = [sample(u, nx, ny, cell, px, py), sample(v, nx, ny, cell, px, py)];
      const speed = Math.hypot(a, b);
      tone[k] = toneOf(speed);
      if (speed <= 0.15 || x % 2 !== 0 || (x / 2 + 2 * y) % 6 !== 0) continue;
      const [ex, ey] = at([px + (0.45 * a) / speed, py + (0.45 * b) / speed]);
      streaks.push(
        `M${(2 * middle[0] - ex).toFixed(1)} ${(2 * middle[1] - ey).toFixed(1)}L${ex.toFixed(1)} ${ey.toFixed(1)}`,
      );
    }
  const traced = contours().size([columns, rows]).smooth(true);
  const pathAt = (values: Float64Array, level: number): string =>
    traced
      .contour(values as unknown as number[], level)
      .coordinates.flat()
      .map(
        (ring) =>
          `M${ring.map(([x, y]) => `${((x! * width) / columns).toFixed(1)} ${((y! * height) / rows).toFixed(1)}`).join("L")}Z`,
      )
      .join("");
  const steps = Array.from({ length: TONES }, (_, k) => SLOWEST + ((k + 1) * (FASTEST - SLOWEST)) / TONES);
  return {
    water: pathAt(depths, WET),
    tones: steps.map((level) => ({ tone: level, path: pathAt(tone, level) })).filter(({ path }) => path !== ""),
    streaks: streaks.join(""),
  };
}

const DRAWN: Partial<Record<Feature["kind"], string>> = {
  boulder: "var(--stone)",
  pier: "var(--stone)",
  wall: "var(--stone)",
  log: "var(--clay)",
  "log-jam": "var(--clay)",
};

/** A stone, or wood, by its outline. */
function Shape({ feature, front }: { feature: Feature; front: Front }) {
  const fill = DRAWN[feature.kind];
  if (!fill) return null;
  if (feature.kind === "boulder" || feature.kind === "pier") {
    const [x, y] = front.at([feature.x, feature.y]);
    return <circle cx={x} cy={y} r={Math.max(2, (front.scale * feature.diameter) / 2)} fill={fill} />;
  }
  if (!("length" in feature)) return null;
  const angle = (feature.angle * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corner = (a: number, b: number) => {
    const [x, y] = front.at([
      feature.x + (c * a * feature.length) / 2 - (s * b * feature.width) / 2,
      feature.y + (s * a * feature.length) / 2 + (c * b * feature.width) / 2,
    ]);
    return `${x.toFixed(1)},${y.toFixed(1)}`;
  };
  return (
    <polygon
      points={[corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)].join(" ")}
      fill={fill}
      opacity={0.9}
    />
  );
}

/** Words on the water, with a rim so that they can be read over it. */
export const OnWater = ({
  x,
  y,
  anchor = "middle",
  children,
}: {
  x: number;
  y: number;
  anchor?: "start" | "middle" | "end";
  children: ReactNode;
}) => (
  <text
    x={x}
    y={y}
    textAnchor={anchor}
    className="text-[14px] font-semibold"
    fill="var(--ink)"
    stroke="var(--paper)"
    strokeWidth={4}
    strokeLinejoin="round"
    paintOrder="stroke"
    aria-hidden
  >
    {children}
  </text>
);

/** Where the angler stands. */
export const You = ({ at: [x, y] }: { at: Point }) => {
  const aside = x > W - 60;
  return (
    <>
      <path
        d={`M${x - 7} ${y + 9}q7 -18 14 0z`}
        fill="var(--ink)"
        stroke="var(--paper)"
        strokeWidth={2}
        paintOrder="stroke"
      />
      <OnWater x={x + (aside ? -14 : 14)} y={y + 8} anchor={aside ? "end" : "start"}>
        you
      </OnWater>
    </>
  );
};
