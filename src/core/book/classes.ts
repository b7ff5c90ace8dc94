import { InputError } from "../quantity/fault";
import { barometerAt } from "../gauge/barometer";
import { CLARITY_CLASSES, clarityClass } from "../gauge/clarity";
import { lightAt } from "../gauge/light";
import { DAY, type Series } from "../gauge/series";
import { lunation } from "../gauge/sky";
import { tideBetween } from "../gauge/tide-state";
import { tideTurns } from "../gauge/tide";
import { LIE_KINDS } from "./bank-records";
import { type Effort } from "./effort";
import { halfHourIntervals, middleOf } from "./half-hours";
import { RETRIEVES } from "../tactics/retrieve-kinds";
import { type Band, bandsBetween, isIn } from "./bands";
import { RATE_KINDS, type RateKind, type RateScale, SI_SCALE } from "./rate-terms";
import { flowBands, type Rates, ratesBy } from "./rates";
import { CLOUDS, WINDS } from "../gauge/weather";
import type { WaterRecord } from "./records";

/** What is known of the water that a reach is on, beyond the efforts themselves. */
export interface AroundReach {
  name: string;
  latitude: number | null;
  longitude: number | null;
  pressure: Series | undefined;
  water: Pick<WaterRecord, "constituents" | "fullPool"> | undefined;
}

export interface Surroundings {
  /** Hour of the day by the clock of a reach's water, 0..24, and month, 0..11. */
  clockOf: (at: number, reach: string) => { hour: number; month: number };
  /** By the reach's id. */
  reaches: ReadonlyMap<string, AroundReach>;
}

/** Nothing is known of the waters, and the clock is UTC. */
export const NOWHERE: Surroundings = {
  clockOf: (at) => {
    const date = new Date(at);
    return { hour: date.getUTCHours() + date.getUTCMinutes() / 60, month: date.getUTCMonth() };
  },
  reaches: new Map(),
};

/** How efforts fall into classes of one kind: pieces of them, the classes in order, and which one a piece is in. */
export interface Classing {
  efforts: readonly Effort[];
  bands: readonly Band[];
  /** Classes are names, not spans of a figure. */
  named: boolean;
  measure: (effort: Effort) => number | null;
}

const ofFigure = (
  efforts: readonly Effort[],
  bands: readonly Band[],
  measure: (effort: Effort) => number | null,
): Classing => ({ efforts, bands, named: false, measure });

const ofLabel = (
  efforts: readonly Effort[],
  labels: readonly string[],
  labelOf: (effort: Effort) => string | null | undefined,
): Classing => ({
  efforts,
  bands: labels.map((key, index) => ({ key, low: index, high: index + 1 })),
  named: true,
  measure: (effort) => {
    const label = labelOf(effort);
    return label == null || label === "" ? null : labels.indexOf(label);
  },
});

/** Most names that are told apart; of more, those with the most hours. */
const MOST_NAMES = 12;

/** Classes of what anglers say in their own words, those with the most hours first. */
function ofWords(efforts: readonly Effort[], wordOf: (effort: Effort) => string | undefined): Classing {
  const hours = new Map<string, number>();
  const plain = (effort: Effort): string => wordOf(effort)?.trim().toLowerCase() ?? "";
  const shown = new Map<string, string>();
  for (const effort of efforts) {
    const word = plain(effort);
    if (!word) continue;
    hours.set(word, (hours.get(word) ?? 0) + effort.hours);
    if (!shown.has(word)) shown.set(word, wordOf(effort)!.trim());
  }
  const most = [...hours].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).slice(0, MOST_NAMES);
  return ofLabel(
    efforts,
    most.map(([word]) => shown.get(word)!),
    (effort) => shown.get(plain(effort)),
  );
}

/** A change of air pressure in three hours that counts as one, hPa. Common practice, no source. */
const TENDENCY_LEAST = 1;
const TENDENCIES = ["falling", "steady", "rising"] as const;
const TIDES = ["flooding", "slack", "ebbing"] as const;
const LIGHTS = ["day", "twilight", "night"] as const;
const MOONS = ["new", "waxing", "full", "waning"] as const;
/** Two months at a time. */
const SEASONS = ["jan-feb", "mar-apr", "may-jun", "jul-aug", "sep-oct", "nov-dec"] as const;
const HOURS = bandsBetween([0, 3, 6, 9, 12, 15, 18, 21, 24]);
/** Ranks of the lies as they were read: the first, the next two, the rest. */
const RANKS = bandsBetween([1, 2, 4, 1000]);

/** Weights of a rig, g: shot, small heads, heads, sinkers. Cast up, up and across, across, down and across, down. */
const WEIGHTS = bandsBetween([0, 0.5, 1.5, 4, 8, 15, 30, 60, 1001]);
const CAST_ANGLES = bandsBetween([0, 30, 75, 105, 150, 180.1]);

/** How efforts are told apart by one property. */
type Property = (efforts: readonly Effort[], scale: RateScale, around: Surroundings) => Classing;

const reachOf = (around: Surroundings, effort: Effort) => around.reaches.get(effort.reach);
const ofStretch =
  (key: "lure" | "colour" | "piece" | "method"): Property =>
  (efforts) =>
    ofWords(efforts, ({ stretch }) => stretch?.[key] ?? undefined);

/** The registry of properties: one that is named in rate-terms.ts and missing here does not compile. */
const PROPERTIES: Record<RateKind, Property> = {
  flow: (efforts, scale) => ofFigure(efforts, flowBands(efforts, scale.flow), ({ river }) => river?.discharge ?? null),
  exceedance: (efforts) =>
    ofFigure(efforts, bandsBetween([0, 0.1, 0.3, 0.7, 0.9, 1.0001]), ({ river }) => river?.exceedance ?? null),
  trend: (efforts) => ofLabel(efforts, ["rising", "steady", "falling"], ({ river }) => river?.trend),
  clarity: (efforts) =>
    ofLabel(
      efforts,
      CLARITY_CLASSES.value.map((entry) => entry.name),
      ({ river }) => (river?.visibleDepth == null ? null : clarityClass(river.visibleDepth)),
    ),
  temperature: (efforts, scale) =>
    ofFigure(efforts, bandsBetween(scale.temperature), ({ river }) => river?.waterTemperature ?? null),
  hour: (efforts, _, around) =>
    ofFigure(halfHourIntervals(efforts), HOURS, (piece) => around.clockOf(middleOf(piece), piece.reach).hour),
  season: (efforts, _, around) =>
    ofLabel(efforts, SEASONS, ({ start, reach }) => SEASONS[Math.floor(around.clockOf(start, reach).month / 2)]),
  light: (efforts, _, around) =>
    ofLabel(halfHourIntervals(efforts), LIGHTS, (piece) => lightOf(reachOf(around, piece), middleOf(piece))),
  barometer: (efforts, _, around) =>
    ofLabel(halfHourIntervals(efforts), TENDENCIES, (piece) =>
      tendencyOf(reachOf(around, piece)?.pressure, middleOf(piece)),
    ),
  wind: (efforts) => ofLabel(efforts, WINDS, ({ sky }) => sky?.wind),
  cloud: (efforts) => ofLabel(efforts, CLOUDS, ({ sky }) => sky?.cloud),
  tide: (efforts, _, around) => ofLabel(halfHourIntervals(efforts), TIDES, tideOf(efforts, around)),
  pool: (efforts, scale, around) =>
    ofFigure(efforts, bandsBetween(scale.pool), (effort) => {
      const [full, stage] = [reachOf(around, effort)?.water?.fullPool, effort.river?.stage];
      return full == null || stage == null ? null : full - stage;
    }),
  moon: (efforts) => ofLabel(efforts, MOONS, ({ start }) => MOONS[Math.round(lunation(start) * 4) % 4]),
  kind: (efforts) => ofLabel(efforts, LIE_KINDS, ({ stretch }) => stretch?.read?.kind),
  rank: (efforts) => ofFigure(efforts, RANKS, ({ stretch }) => stretch?.read?.rank ?? null),
  depth: (efforts, scale) => ofFigure(efforts, bandsBetween(scale.depth), ({ stretch }) => stretch?.depth ?? null),
  lie: (efforts, _, around) => ofWords(efforts, lieOf(efforts, around)),
  lure: ofStretch("lure"),
  colour: ofStretch("colour"),
  piece: ofStretch("piece"),
  method: ofStretch("method"),
  retrieve: (efforts) => ofLabel(efforts, RETRIEVES, ({ stretch }) => stretch?.rig?.retrieve),
  weight: (efforts) => ofFigure(efforts, WEIGHTS, ({ stretch }) => stretch?.rig?.grams ?? null),
  "cast-angle": (efforts) => ofFigure(efforts, CAST_ANGLES, ({ stretch }) => stretch?.rig?.castAngle ?? null),
};

/** Efforts by one property. */
export const classing = (
  kind: RateKind,
  efforts: readonly Effort[],
  scale: RateScale,
  around: Surroundings,
): Classing => PROPERTIES[kind](efforts, scale, around);

/** Catch rates in classes of one property. */
export function ratesIn(
  kind: RateKind,
  efforts: readonly Effort[],
  scale: RateScale = SI_SCALE,
  around: Surroundings = NOWHERE,
): Rates {
  const { efforts: pieces, bands, named, measure } = classing(kind, efforts, scale, around);
  const rates = ratesBy(pieces, bands, measure);
  if (!named) return rates;
  // Of the sorts of places only those that were fished are told: nobody has all of them.
  const classes = rates.classes.filter((one) => kind !== "kind" || one.hours > 0);
  return { ...rates, classes: classes.map((one) => ({ ...one, low: null, high: null })) };
}

const lightOf = (reach: AroundReach | undefined, at: number): string | null =>
  reach?.latitude == null || reach.longitude == null ? null : lightAt(at, reach.latitude, reach.longitude);

function tendencyOf(pressure: Series | undefined, at: number): (typeof TENDENCIES)[number] | null {
  const tendency = pressure && barometerAt(pressure, at)?.tendency;
  return tendency == null
    ? null
    : tendency <= -TENDENCY_LEAST
      ? "falling"
      : tendency >= TENDENCY_LEAST
        ? "rising"
        : "steady";
}

/** State of the tide by reach: its turns are worked out once for all that was fished there. */
function tideOf(efforts: readonly Effort[], around: Surroundings): (effort: Effort) => string | null {
  const span = (reach: string): [number, number] => {
    const own = efforts.filter((effort) => effort.reach === reach);
    return [Math.min(...own.map((one) => one.start)) - 2 * DAY, Math.max(...own.map((one) => one.end)) + 2 * DAY];
  };
  const turns = new Map(
    [...new Set(efforts.map((effort) => effort.reach))].map((reach) => {
      const constituents = around.reaches.get(reach)?.water?.constituents ?? [];
      return [reach, constituents.length > 0 ? tideTurns(constituents, ...span(reach)) : []] as const;
    }),
  );
  return (piece) => tideBetween(turns.get(piece.reach) ?? [], middleOf(piece))?.flow ?? null;
}

/** The place by name; of more than one reach with the reach's name, since two may have places of one name. */
function lieOf(efforts: readonly Effort[], around: Surroundings): (effort: Effort) => string | undefined {
  const several = new Set(efforts.map((effort) => effort.reach)).size > 1;
  return ({ stretch, reach }) =>
    stretch?.lie && several ? `${around.reaches.get(reach)?.name ?? reach}: ${stretch.lie}` : stretch?.lie;
}

export function rateKind(name: string): RateKind {
  if ((RATE_KINDS as readonly string[]).includes(name)) return name as RateKind;
  throw new InputError(
    "unknown-class",
    { known: RATE_KINDS, name },
    {
      path: "by",
    },
  );
}

/** What was fished in one class of a property, by the class's key. */
export function fishedIn(
  kind: RateKind,
  key: string,
  efforts: readonly Effort[],
  scale: RateScale,
  around: Surroundings,
): Effort[] {
  const { efforts: pieces, bands, measure } = classing(kind, efforts, scale, around);
  const band = bands.find((one) => one.key === key);
  return band ? pieces.filter((piece) => isIn(measure(piece), band)) : [];
}
