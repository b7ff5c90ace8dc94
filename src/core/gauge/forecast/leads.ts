import { HOUR } from "../series";
import type { FlowGrid } from "./flow-grid";

/** Leads that ways are weighed at, h. Own choice. */
const LEAD_HOURS = [1, 3, 6, 12, 24, 36, 48, 72, 96, 120] as const;

export const leadsOf = ({ step }: Pick<FlowGrid, "step">): number[] =>
  LEAD_HOURS.map((hours) => (hours * HOUR) / step).filter((steps) => Number.isInteger(steps));

/**
 * The value at a number of steps ahead of one that is told at leads: straight between them, beyond them as at the last.
 */
export function betweenLeads(leads: readonly number[], steps: number, at: (lead: number) => number): number {
  const next = leads.findIndex((lead) => lead >= steps);
  if (next <= 0) return at(next < 0 ? leads.length - 1 : 0);
  const share = (steps - leads[next - 1]!) / (leads[next]! - leads[next - 1]!);
  return (1 - share) * at(next - 1) + share * at(next);
}
