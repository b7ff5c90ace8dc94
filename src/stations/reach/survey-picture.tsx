"use client";
import type { Survey } from "../../core/flow/survey";

const W = 560;
const PAD = 10;

/** The soundings from above: dark where deep, odd ones crossed, gaps hatched. Flow runs to the right. */
export function SurveyPicture({ survey }: { survey: Survey }) {
  const scale = (W - 2 * PAD) / Math.max(survey.length, 1);
  const height = Math.max(60, survey.breadth * scale + 2 * PAD);
  const at = (x: number, y: number): [number, number] => [PAD + x * scale, PAD + y * scale];
  // A picture can show so many dots; the figures beside it count them all.
  const every = Math.ceil(survey.points.length / 2500);
  const shown = survey.points.filter((point, k) => point.outlier || k % every === 0);
  const [low, high] = survey.points.reduce(([a, b], { z }) => [Math.min(a, z), Math.max(b, z)], [Infinity, -Infinity]);
  return (
    <svg
      viewBox={`0 0 ${W} ${height}`}
      role="img"
      aria-label="The soundings from above, flow to the right"
      className="w-full rounded-md border border-line bg-deep"
    >
      <defs>
        <pattern id="not-sounded" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M1 0V6" stroke="var(--clay)" strokeWidth="1.4" strokeOpacity="0.7" />
        </pattern>
      </defs>
      <path
        d={survey.gaps.corners
          .map(
            ([x, y]) =>
              `M${at(x, y)
                .map((v) => v.toFixed(1))
                .join(
                  " ",
                )}h${(survey.gaps.size * scale).toFixed(1)}v${(survey.gaps.size * scale).toFixed(1)}h${(-survey.gaps.size * scale).toFixed(1)}z`,
          )
          .join("")}
        fill="url(#not-sounded)"
      />
      {shown.map((point, k) => {
        const [x, y] = at(point.x, point.y);
        return point.outlier ? (
          <path key={k} d={`M${x - 5} ${y - 5}l10 10m0 -10l-10 10`} stroke="var(--clay)" strokeWidth={2.4} />
        ) : (
          <circle
            key={k}
            cx={x}
            cy={y}
            r={2.4}
            stroke="var(--ink)"
            strokeOpacity={0.35}
            strokeWidth={0.5}
            fill={`color-mix(in srgb, var(--water-fast) ${Math.round((100 * (point.z - low)) / Math.max(high - low, 0.01))}%, var(--water-slow))`}
          />
        );
      })}
    </svg>
  );
}
