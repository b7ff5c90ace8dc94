import type { Band } from "../book/bands";
import type { RuleRecord } from "../book/bank-records";
import type { FishesWell } from "../gauge/band";
import type { Outlook } from "../gauge/outlook";
import type { OwnWater } from "../gauge/summary";
import type { TideTurn } from "../gauge/tide-state";
import type { Exposure } from "./weather-factors";

/** What the log says of a class of flow on a reach. */
export interface LogRate extends Pick<Band, "low" | "high"> {
  hours: number;
  /** Fish in those hours. */
  events: number;
  rate: number;
  interval: [number, number];
}

/** How good a reach's lies are at a flow, by its solved water; comparable between reaches for one fish and one day. */
export interface LieQuality {
  discharge: number;
  /** How far one sees then, m; null where nothing says. */
  visibleDepth: number | null;
  /** Mean score of its best three lies. */
  score: number;
}

export type Relief = "inflow" | "shade";

/** A reach as the plan sees it. */
export interface PlanReach extends Exposure {
  id: string;
  name: string;
  place: { latitude: number; longitude: number } | undefined;
  outlook: Outlook | null;
  /** Stands in for what its gauge does not tell; null where nothing was read. */
  own: OwnWater | null;
  rules: readonly RuleRecord[];
  bands: readonly FishesWell[];
  /** High and low waters of the days ahead; none: no tide. */
  turns: readonly TideTurn[];
  /** Rates by flow of the log there, and over all of it; none: nothing is known. */
  log: readonly LogRate[];
  /** Per rod-hour, over everything that was fished for this fish. */
  usualRate: number | null;
  /** In order of flow; none: not solved yet. */
  lies: readonly LieQuality[];
  /** Minutes from home; null where nobody said. */
  travel: number | null;
  /** What eases the heat there: roofs and cut banks, or colder water that comes in. */
  relief: readonly Relief[];
  /** Where on it fish are known to be, while the angler is new to the season or the fish; null otherwise. */
  known: string | null;
  /** By its last readings it rises so fast that it is left. */
  risingFast: boolean;
  /** Zone of its clocks, of the IANA database; null where nobody said. */
  zone: string | null;
  /** What a dam above does, in the angler's words; empty: none. */
  damNote: string;
}
