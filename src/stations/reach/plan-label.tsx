import type { ReactNode } from "react";

/** A short text beside a mark on the plan, with a rim of paper that keeps it readable on water. */
export const PlanLabel = ({ colour, children }: { colour: string; children: ReactNode }) => (
  <text
    x={8}
    y={4}
    fontSize={14}
    fontWeight={700}
    fill={colour}
    stroke="var(--paper)"
    strokeWidth={3}
    paintOrder="stroke"
  >
    {children}
  </text>
);
