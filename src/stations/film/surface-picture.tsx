"use client";
import { filmHeading, placeFilm } from "../../core/film/place-film";
import type { MeasuredFilm } from "../../state/film";
import { useSettings } from "../../state/settings";
import { useWidth } from "../../widgets/use-width";
import { filmedWords } from "../../words/film";
import { showText } from "../../words/quantity";
import { Stitches } from "../reach/seam-marks";
import { SurfaceArrows } from "./surface-arrows";

/** Lengths of a scale bar, m. */
const BARS = [1, 2, 5, 10, 20, 50];
const MARGIN = 24;

/** The filmed water from above: arrows of its surface speed, and its seams. */
export function SurfacePicture({ measured }: { measured: MeasuredFilm }) {
  const system = useSettings((settings) => settings.system);
  const { ref: outer, width: room } = useWidth();
  const { spacing } = measured.water;
  if (measured.water.arrows.length === 0) return null;
  // Its flow runs to the right, as on Reach.
  const { arrows, seams } = placeFilm(measured.water, { at: [0, 0], turn: -filmHeading(measured.water.arrows) });
  const bounds = (of: (arrow: (typeof arrows)[number]) => number) => {
    const values = arrows.map(of);
    return [Math.min(...values) - spacing, Math.max(...values) + spacing] as const;
  };
  const [left, right] = bounds(({ x }) => x);
  const [top, bottom] = bounds(({ y }) => y);
  const scale = Math.min((room - 2 * MARGIN) / (right - left), 460 / (bottom - top));
  const [width, height] = [(right - left) * scale + 2 * MARGIN, (bottom - top) * scale + 2 * MARGIN];
  const bar = BARS.findLast((one) => one <= (right - left) / 3) ?? BARS[0]!;
  return (
    <section aria-label="The filmed water from above" className="mt-6">
      <h2 className="mb-2 text-lg">From above</h2>
      <div ref={outer}>
        {room > 0 && (
          <svg
            width={width}
            height={height + 30}
            role="img"
            aria-label={`The filmed water from above. ${filmedWords(measured.water, system)}`}
            className="block"
          >
            <rect width={width} height={height} rx={6} fill="var(--water-slow)" />
            <g transform={`translate(${MARGIN - left * scale} ${MARGIN - top * scale})`}>
              <SurfaceArrows arrows={arrows} scale={scale} spacing={spacing} colour="var(--water-fast)" />
              {seams.map((seam, k) => (
                <Stitches key={k} seam={seam} scale={scale} sure={1} />
              ))}
            </g>
            <g transform={`translate(2 ${height + 8})`}>
              <path d={`M0 0V6H${bar * scale}V0`} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
              <text x={bar * scale + 8} y={8} className="fill-ink text-[13px]">
                {showText(bar, "distance", system)}
              </text>
            </g>
          </svg>
        )}
      </div>
      <p className="mt-1 text-sm text-soft">
        Flow runs to the right. Longer arrows are faster; faint ones are less sure. Stitches mark the seams.
      </p>
    </section>
  );
}
