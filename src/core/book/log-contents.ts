import type { Observation, Photo, RuleRecord, EffortInterval } from "./bank-records";
import type { Preference, WeatherRecord } from "./preferences";
import type { TackleItem } from "../rig/tackle-item";
import type {
  Catch,
  FieldReading,
  Profile,
  ReachRecord,
  SeriesRecord,
  Session,
  StationRecord,
  WaterRecord,
} from "./records";

/** A whole book by its parts: every kind of record that an archive holds. */
export interface Book {
  stations: StationRecord[];
  series: SeriesRecord[];
  reaches: ReachRecord[];
  sessions: Session[];
  catches: Catch[];
  waters: WaterRecord[];
  readings: FieldReading[];
  profiles: Profile[];
  tackle: TackleItem[];
  stretches: EffortInterval[];
  observations: Observation[];
  rules: RuleRecord[];
  photos: Photo[];
  preferences: Preference[];
  weather: WeatherRecord[];
}
export type PartName = keyof Book;

/** Parts that archives written before them lack. */
export const LATER_PARTS: readonly string[] = [
  "waters",
  "readings",
  "profiles",
  "tackle",
  "stretches",
  "observations",
  "rules",
  "photos",
  "preferences",
  "weather",
];

export const emptyBook = (): Book => ({
  stations: [],
  series: [],
  reaches: [],
  sessions: [],
  catches: [],
  waters: [],
  readings: [],
  profiles: [],
  tackle: [],
  stretches: [],
  observations: [],
  rules: [],
  photos: [],
  preferences: [],
  weather: [],
});
export const PART_NAMES = Object.keys(emptyBook()) as PartName[];
