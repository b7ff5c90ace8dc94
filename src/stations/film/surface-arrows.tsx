import type { Arrow } from "../../core/film/film-speeds";

/** Arrows whose quality is best are this opaque, the least ones this. */
const OPAQUE = [0.35, 1] as const;

/** Arrows of the surface's speed: longer where it is faster, fainter where the water had little to follow. */
export function SurfaceArrows({
  arrows,
  scale,
  spacing,
  colour,
}: {
  arrows: readonly Arrow[];
  scale: number;
  /** m from one place to the next. */
  spacing: number;
  colour: string;
}) {
  const fastest = arrows.map(({ u, v }) => Math.hypot(u, v)).toSorted((a, b) => a - b)[
    Math.floor(0.95 * arrows.length)
  ];
  const long = (1.6 * spacing * scale) / Math.max(0.01, fastest ?? 1);
  return (
    <g fill="none" stroke={colour} strokeLinecap="round" strokeWidth={1.5} aria-hidden>
      {arrows.map(({ x, y, u, v, quality }) => {
        const [dx, dy] = [u * long, v * long];
        const [ex, ey] = [x * scale + dx / 2, y * scale + dy / 2];
        const barb = (turn: number) => {
          const [c, s] = [Math.cos(turn), Math.sin(turn)];
          const size = Math.min(5, Math.hypot(dx, dy) / 2) / Math.max(1e-6, Math.hypot(dx, dy));
          return `${ex - size * (c * dx - s * dy)} ${ey - size * (s * dx + c * dy)}`;
        };
        return (
          <path
            key={`${x} ${y}`}
            d={`M${x * scale - dx / 2} ${y * scale - dy / 2}L${ex} ${ey}M${barb(0.5)}L${ex} ${ey}L${barb(-0.5)}`}
            opacity={OPAQUE[0] + (OPAQUE[1] - OPAQUE[0]) * Math.min(1, quality / 0.7)}
          />
        );
      })}
    </g>
  );
}
