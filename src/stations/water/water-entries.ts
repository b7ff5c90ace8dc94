import { z } from "zod";
import { LONGEST_PAIRS, type ReachRecord, type StationRecord, type WaterRecord } from "../../core/book/records";
import { barePairs, readPairs } from "../../core/formats/rating-csv";
import { fitRating, type Gauging } from "../../core/gauge/rating";
import { readConstituents } from "../../core/gauge/tide";
import { kinematicLag } from "../../core/gauge/transfer";
import { answer } from "../../core/quantity/answer";
import { InputError } from "../../core/quantity/fault";
import type { WaterKnowledge } from "../../store/gauges";
import { LATITUDE, LONGITUDE, numberEntry, optional, quantityEntry, textEntry } from "../../words/entry";
import { faultText } from "../../words/messages";
import { entryText, entryUnit, figureText, rangeText, showText, type UnitSystem } from "../../words/quantity";

/** What is typed of a water, and how it becomes what is kept. */

const LONGEST_LAG = 240;
/** Heads the pairs of who thinks in those units; kept with them, so that they stay what they were. */
export const PAIRS_HEADER: Record<UnitSystem, string> = {
  metric: "stage (m), discharge (m3/s)",
  us: "stage (ft), discharge (cfs)",
};

/** A text that a reader turns into data, or refuses with its fault. */
const readBy = <T>(read: (text: string) => T, system: UnitSystem) =>
  z.string().transform((text, context) => {
    const found = answer(() => read(text));
    if (found.ok) return found.value;
    context.addIssue({ code: "custom", message: faultText(found.fault, system) });
    return z.NEVER;
  });

/** Metres of one unit in which amplitudes of the tide are typed. */
const AMPLITUDE: Record<UnitSystem, number> = { metric: 1, us: 0.3048 };

/** Pairs of a rating that can be fitted, and the text that they are kept as, which names its units. */
interface TypedPairs {
  gaugings: Gauging[];
  text: string;
}

/** Without a header they are in the units of who typed them; none where nothing is written. */
function pairsIn(typed: string, system: UnitSystem): TypedPairs {
  if (typed.trim() === "") return { gaugings: [], text: "" };
  const text = barePairs(typed) ? `${PAIRS_HEADER[system]}\n${typed.trim()}` : typed.trim();
  if (text.length > LONGEST_PAIRS) throw new InputError("too-many-pairs", { most: LONGEST_PAIRS });
  const { gaugings, rejected } = readPairs(text);
  if (rejected[0]) throw new InputError(rejected[0].reason.code, rejected[0].reason.values, { line: rejected[0].line });
  fitRating(gaugings);
  return { gaugings, text };
}

export const waterSchema = (system: UnitSystem) => {
  const depth = entryUnit("depth", system);
  return z
    .object({
      latitude: optional(numberEntry(LATITUDE)),
      longitude: optional(numberEntry(LONGITUDE)),
      altitude: optional(
        quantityEntry("length", entryUnit("altitude", system), {
          low: -430,
          high: 6000,
          beyond: rangeText(-430, 6000, "altitude", system),
        }),
      ),
      damNote: textEntry(500),
      fullPool: optional(quantityEntry("length", depth)),
      oneIn: optional(
        numberEntry({ low: 0.1, high: 10_000, beyond: "Enter 0.1 to 10000, such as 10 for one in ten." }),
      ),
      tide: readBy((text) => readConstituents(text, AMPLITUDE[system]), system),
      pairs: readBy((text) => pairsIn(text, system), system),
      areaRatio: optional(
        numberEntry({ low: 0, open: true, high: 1000, beyond: "Enter a number above 0, such as 0.4." }),
      ),
      lag: optional(numberEntry({ low: -LONGEST_LAG, high: LONGEST_LAG, beyond: `Hours within ±${LONGEST_LAG}.` })),
      distance: optional(quantityEntry("length", entryUnit("distance", system))),
      speed: optional(
        quantityEntry("speed", entryUnit("speed", system), { low: 0, open: true, beyond: "A speed above 0." }),
      ),
    })
    .check(({ value, issues }) => {
      const { distance, speed, lag, areaRatio } = value;
      const wrong = (path: keyof typeof value, message: string) =>
        issues.push({ code: "custom", message, path: [path], input: value });
      if ((distance === null) !== (speed === null))
        wrong(distance === null ? "distance" : "speed", "Enter both the distance and the speed.");
      else if (distance !== null && speed !== null && Math.abs(kinematicLag(distance, speed)) > LONGEST_LAG)
        wrong("distance", `That takes more than ${LONGEST_LAG} hours.`);
      if (areaRatio === null && (lag !== null || distance !== null))
        wrong("areaRatio", "Enter it too; 1 if the two are the same.");
    });
};
export type WaterEntries = z.input<ReturnType<typeof waterSchema>>;
type WaterValues = z.output<ReturnType<typeof waterSchema>>;

const bare = (value: number | null | undefined, digits: number): string =>
  value == null ? "" : figureText(Number(value.toFixed(digits)), decimalsOf(Number(value.toFixed(digits))), false);
const decimalsOf = (value: number): number => (String(value).split(".")[1] ?? "").length;

/** What is known, as it stands in the fields. */
export function waterEntries(
  station: StationRecord,
  water: WaterRecord,
  reach: ReachRecord | undefined,
  system: UnitSystem,
): WaterEntries {
  const quantity = (value: number | null, kind: "altitude" | "depth") =>
    value === null ? "" : entryText(value, kind, system);
  return {
    latitude: bare(station.latitude, 6),
    longitude: bare(station.longitude, 6),
    altitude: quantity(water.altitude, "altitude"),
    damNote: water.damNote,
    fullPool: quantity(water.fullPool, "depth"),
    oneIn: bare(water.beachSlope === null ? null : 1 / water.beachSlope, 3),
    tide: water.constituents
      .map((one) => `${one.name} ${Number((one.amplitude / AMPLITUDE[system]).toPrecision(6))} ${one.phase}`)
      .join("\n"),
    pairs: pairsText(water),
    areaRatio: bare(reach?.transfer?.areaRatio, 6),
    lag: bare(reach?.transfer?.lag, 3),
    distance: "",
    speed: "",
  };
}

/** The pairs as they were typed; of a book that kept only their figures, those, in metres. */
const pairsText = ({ gaugings, gaugingsText }: WaterRecord): string =>
  gaugings.length === 0
    ? ""
    : (gaugingsText ?? [PAIRS_HEADER.metric, ...gaugings.map((one) => `${one.stage}, ${one.discharge}`)].join("\n"));

type Known = WaterKnowledge["water"];

/**
 * What is to be kept: of the water only what was changed here, so that what another page says of it stays.
 * `touched` names the fields that were changed.
 */
export function knowledgeOf(
  values: WaterValues,
  touched: ReadonlySet<string>,
  bands: Known["bands"] | undefined,
): WaterKnowledge {
  const water: Known = {
    ...(touched.has("altitude") && { altitude: values.altitude }),
    ...(touched.has("damNote") && { damNote: values.damNote }),
    ...(touched.has("fullPool") && { fullPool: values.fullPool }),
    ...(touched.has("oneIn") && { beachSlope: values.oneIn === null ? null : 1 / values.oneIn }),
    ...(touched.has("tide") && { constituents: values.tide }),
    ...(touched.has("pairs") && { gaugings: values.pairs.gaugings, gaugingsText: values.pairs.text }),
    ...(bands && { bands }),
  };
  const placed = touched.has("latitude") || touched.has("longitude");
  const timed = ["areaRatio", "lag", "distance", "speed"].some((field) => touched.has(field));
  return {
    water,
    ...(placed && { place: { latitude: values.latitude, longitude: values.longitude } }),
    ...(timed && { transfer: transferOf(values) }),
  };
}

function transferOf({ areaRatio, lag, distance, speed }: WaterValues): WaterKnowledge["transfer"] {
  if (areaRatio === null) return null;
  const byWay = distance === null || speed === null ? 0 : Number(kinematicLag(distance, speed).toFixed(2));
  return { areaRatio, lag: lag ?? byWay };
}

/** What the pairs written so far say, or that nothing is written yet. */
export function ratingWords(text: string, system: UnitSystem): string | undefined {
  if (text.trim() === "") return "Gives discharge from stage, or stage from discharge.";
  const found = answer(() => fitRating(pairsIn(text, system).gaugings));
  if (!found.ok) return undefined;
  const { C, h0, b, count, standardError, maxGauged } = found.value;
  const error =
    standardError === null ? "; a fourth pair would show its error" : `, ±${Math.round(standardError * 100)} %`;
  return `Q = ${C.toPrecision(3)} (h ${h0 < 0 ? "+" : "−"} ${figureText(Math.abs(h0), 2)})^${figureText(b, 2)}, ${count} pairs${error}; a guess beyond ${showText(1.5 * maxGauged, "discharge", system)}.`;
}
