import type { LieKind } from "../../core/fish/read";

/**
 * A three-toed print: toes up-current, its number on the heel; heel full for prime, half for feeding, open for resting.
 */
export function Footprint({
  number,
  kind,
  size,
  chosen,
  upCurrent = [1, 0],
}: {
  number: number;
  kind: LieKind;
  size: number;
  chosen: boolean;
  upCurrent?: readonly [number, number];
}) {
  const angle = (Math.atan2(upCurrent[1], upCurrent[0]) * 180) / Math.PI;
  const ink = chosen ? "var(--ochre)" : "var(--ink)";
  const heel = 8.5;
  return (
    <g transform={`scale(${size})`}>
      <g transform={`rotate(${angle})`} fill="none" strokeLinecap="round" strokeLinejoin="round">
        {[
          ["var(--paper)", 5.6],
          [ink, 2.8],
        ].map(([stroke, width]) => (
          <path
            key={stroke}
            d="M7 0H17.5M8 0 14 -6.5M8 0 14 6.5M-7 0H-11"
            stroke={stroke as string}
            strokeWidth={width as number}
          />
        ))}
      </g>
      <circle r={heel} fill="var(--paper)" stroke={ink} strokeWidth={2} />
      {kind === "prime" && <circle r={heel} fill={ink} />}
      {kind === "feeding" && <path d={`M${-heel} 0A${heel} ${heel} 0 0 0 ${heel} 0Z`} fill={ink} />}
      {kind === "feeding" && <circle r={5.6} fill="var(--paper)" />}
      <text y={4.3} textAnchor="middle" fontSize={12.2} fontWeight={700} fill={kind === "prime" ? "var(--paper)" : ink}>
        {number}
      </text>
    </g>
  );
}
