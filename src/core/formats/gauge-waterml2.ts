import { type Message, message } from "../quantity/message";
import { InputError } from "../quantity/fault";
import type { Parameter } from "../gauge/series";
import { findUnit } from "../quantity/units";
import { dimensionOf, type GaugeFile, Gathering } from "./gauge-text";
import { ianaZone, instantReader, UTC, type Zone } from "./instant";
import { elementLines } from "./lines";
import { PARAMETER_CODES } from "./parameter-codes";
import { addLines } from "./tally";
import { asNode, listOf as list, parseXml, textOf as text, type XmlNode as Node, xmlParser } from "./xml";

/**
 * WaterML 2.0 Part 1 (OGC 10-126r4): observations whose results are series of time-value pairs with metadata. Prefixes
 * may differ; entities are not expanded.
 */
export const looksLikeWaterML2 = (text: string): boolean =>
  /^\s*(?:\uFEFF)?<(\?xml|[\w.-]*:?(Collection|OM_Observation|MeasurementTimeseries)\b)/.test(text);

const parser = xmlParser(["observationMember", "point", "OM_Observation", "NamedValue", "name"]);

/** Words by which an observed property is known, tried in this order. */
const PROPERTIES: readonly (readonly [RegExp, Parameter])[] = [
  [/turbid/i, "turbidity"],
  [/water.?temp|temperature.*water|^temperature$/i, "waterTemperature"],
  [/precipitation|rain.?fall|^rain$/i, "rain"],
  [/(air|atmospheric|barometric).?pressure/i, "airPressure"],
  [/discharge|stream.?flow|river.?flow|^flow$/i, "discharge"],
  [/gage.?height|gauge.?height|water.?(course)?.?level|river.?level|\bstage\b|^level$/i, "stage"],
];

const attribute = (value: unknown, name: string): string => String(asNode(value)?.[`@${name}`] ?? "").trim();
const at = (value: unknown, ...path: string[]): unknown =>
  path.reduce<unknown>((node, name) => asNode(Array.isArray(node) ? node[0] : node)?.[name], value);

function propertyOf(observation: Node): { parameter: Parameter; unitName: string } | undefined {
  const node = observation.observedProperty;
  const [title, href] = [attribute(node, "title"), attribute(node, "href")];
  const code = /(?:^|[^0-9])(\d{5})$/.exec(href)?.[1] ?? /^(\d{5})$/.exec(title)?.[1];
  if (code && PARAMETER_CODES[code]) return PARAMETER_CODES[code];
  const words = [
    title,
    href
      .split(/[/#=:]/)
      .at(-1)!
      .replaceAll(/([a-z])([A-Z])/g, "$1 $2")
      .replaceAll("_", " "),
  ];
  for (const word of words) {
    const found = PROPERTIES.find(([pattern]) => pattern.test(word));
    if (found) return { parameter: found[1], unitName: "" };
  }
  return undefined;
}

/** The unit's code or title, of the series' default metadata. */
function unitOf(series: Node): string {
  const metadata = at(series, "defaultPointMetadata", "DefaultTVPMeasurementMetadata");
  const uom = asNode(metadata)?.uom;
  return (
    [attribute(uom, "code"), attribute(uom, "title"), text(uom)].find((name) => name !== "" && findUnit(name)) ??
    (attribute(uom, "code") || attribute(uom, "title") || text(uom))
  );
}

const isNil = (value: unknown): boolean => /^(true|1)$/.test(attribute(value, "nil")) || text(value) === "";

/** Why a value is missing: its nil reason or qualifier, for the list of codes. */
function reasonOf(value: unknown, pair: unknown): string {
  const qualifier = at(pair, "metadata", "TVPMeasurementMetadata", "qualifier");
  return (
    attribute(value, "nilReason") ||
    attribute(qualifier, "title") ||
    text(at(qualifier, "Category", "value")) ||
    "nil"
  )
    .split(/[/:]/)
    .at(-1)!
    .slice(0, 40);
}

const emptyFile = (): GaugeFile => ({
  station: { id: "", name: "" },
  series: [],
  rejected: [],
  lines: { read: 0, gaps: 0, rejected: 0 },
  codes: {},
  notes: [],
});

/**
 * Reads WaterML 2.0. Points that cannot be are refused with their line; series that say nothing known here become
 * notes.
 */
export function readGaugeWaterML2(source: string, options: { zone?: string; file?: string } = {}): GaugeFile {
  const { file } = options;
  const root = parseXml(source, parser, file);
  const zone = options.zone ? ianaZone(options.zone) : UTC;
  if (!zone) throw new InputError("unknown-zone", { zone: options.zone }, { file });
  const observations = observationsOf(root);
  if (observations.length === 0) throw new InputError("not-waterml2", {}, { file });

  const out = emptyFile();
  const lineOf = elementLines(source, ["point"]);
  const told = { unzoned: 0 };
  let firstPoint = 0;
  for (const observation of observations) {
    const series = asNode(at(observation, "result", "MeasurementTimeseries"));
    const points = list(series?.point);
    readSeries(observation, series, points, firstPoint);
    firstPoint += points.length;
  }
  if (out.series.length === 0) {
    const first = out.rejected[0];
    throw new InputError(
      "no-readings",
      { line: first?.line, reason: first?.reason ?? out.notes[0] },
      { file, line: first?.line },
    );
  }
  if (told.unzoned && !options.zone) out.notes.push(message("no-offset", { unzoned: told.unzoned }));
  return out;

  function leaveOut(note: Message): void {
    out.notes.push(note);
  }

  function readSeries(observation: Node, series: Node | undefined, points: readonly unknown[], first: number): void {
    const name =
      attribute(observation.observedProperty, "title") || attribute(observation.observedProperty, "href") || "unnamed";
    const property = propertyOf(observation);
    if (!series || !property) return leaveOut(message("series-left-out", { name, series: series !== undefined }));
    const { parameter } = property;
    const stated = unitOf(series);
    const unitName = stated || property.unitName;
    const unit = findUnit(unitName);
    if (!unit || unit.dimension !== dimensionOf(parameter))
      return leaveOut(message("series-unit", { name, unit: unitName, known: unit !== undefined, parameter }));
    const station = stationOf(observation);
    if (out.series.some((one) => one.parameter === parameter))
      return leaveOut(message("series-twice", { name, parameter }));
    if (out.station.id && station.id && station.id !== out.station.id)
      return leaveOut(message("series-other-station", { name, other: station.id, own: out.station.id }));

    const gathering = new Gathering([{ index: 0, parameter, unitName }]);
    takePoints(gathering, points, first, zone!);
    const found = gathering.series();
    out.rejected = [...out.rejected, ...gathering.tally.ordered()];
    out.lines = addLines(out.lines, gathering.tally.counts);
    for (const [code, count] of Object.entries(gathering.codes)) out.codes[code] = (out.codes[code] ?? 0) + count;
    if (found.length === 0) return leaveOut(message("series-empty", { name }));
    out.series.push(...found);
    Object.assign(out, gathering.customary);
    out.station = { id: out.station.id || station.id, name: out.station.name || station.name };
  }

  function takePoints(gathering: Gathering, points: readonly unknown[], first: number, own: Zone): void {
    const read = instantReader(own);
    points.forEach((point, k) => {
      const pair = at(point, "MeasurementTVP");
      const instant = read(text(at(pair, "time")));
      const line = lineOf(first + k);
      if (!instant.ok) return gathering.reject(line, instant.reason);
      if (!instant.zoned) told.unzoned++;
      const value = at(pair, "value");
      if (isNil(value)) gathering.missing(line, instant.time, reasonOf(value, pair));
      else gathering.take(line, instant.time, [text(value)]);
    });
  }
}

function observationsOf(root: Node): Node[] {
  const members = list(at(root, "Collection", "observationMember")).flatMap((member) =>
    list(at(member, "OM_Observation")),
  );
  return [...members, ...list(root.OM_Observation)].map(asNode).filter((node): node is Node => node !== undefined);
}

/** The station: the feature of interest, by reference or in place. */
function stationOf(observation: Node): { id: string; name: string } {
  const feature = observation.featureOfInterest;
  const point = at(feature, "MonitoringPoint");
  const named = list(asNode(point)?.name).map(text).find(Boolean);
  const id =
    text(at(point, "identifier")) ||
    (attribute(feature, "href")
      .split(/[/#=:]/)
      .at(-1) ??
      "") ||
    attribute(point, "id");
  return { id: id.slice(0, 40), name: (named ?? attribute(feature, "title")).slice(0, 120) };
}
