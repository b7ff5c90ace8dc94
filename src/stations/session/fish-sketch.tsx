/** A fish with its length under it. */
export const FishSketch = ({ length }: { length: string | undefined }) => (
  <svg viewBox="0 0 360 120" className="mx-auto block w-full max-w-sm" aria-hidden>
    <path
      d="M40 52C86 14 178 12 262 46L300 22C292 40 292 64 300 84L262 58C178 92 86 90 40 52Z"
      fill="var(--reed-soft)"
      stroke="var(--ink)"
      strokeWidth={2.5}
      strokeLinejoin="round"
    />
    <path d="M140 21q20 -14 44 -2M196 83q10 12 24 8" fill="none" stroke="var(--ink)" strokeWidth={2.5} />
    <circle cx={68} cy={47} r={4} fill="var(--ink)" />
    <path d="M92 34q10 18 0 36" fill="none" stroke="var(--ink)" strokeWidth={1.6} />
    <path d="M40 102H300M40 96V108M300 96V108" stroke="var(--ink-soft)" strokeWidth={1.5} />
    <text
      x={170}
      y={107}
      textAnchor="middle"
      className="text-[15px] font-semibold"
      fill="var(--ink)"
      stroke="var(--paper)"
      strokeWidth={8}
      paintOrder="stroke"
    >
      {length ?? "not measured yet"}
    </text>
  </svg>
);
