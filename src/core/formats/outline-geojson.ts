import { z } from "zod";
import type { DrawnReach, Position } from "../flow/traced-reach";
import { BODY_MARKS } from "../gauge/clarity";
import { InputError } from "../quantity/fault";
import { type Message, message } from "../quantity/message";
import { parseQuantity } from "../quantity/units";
import { readFeatures } from "./geojson";
import type { Rejection } from "./tally";

/** An outline from a file, and the features of it that were refused, by their number. */
export interface OutlineFile extends DrawnReach {
  rejected: Rejection[];
}

const number = z.number();
const position = z.tuple([number.min(-180).max(180), number.min(-90).max(90)]).rest(number);
const feature = z.object({
  type: z.literal("Feature"),
  geometry: z.discriminatedUnion("type", [
    z.object({ type: z.literal("Point"), coordinates: position }),
    z.object({ type: z.literal("LineString"), coordinates: z.array(position).min(2).max(20_000) }),
  ]),
  properties: z.record(z.string(), z.unknown()).nullish(),
});
/** Nobody draws more. */
const MOST = 2000;

type Drawn = z.infer<typeof feature>;

/** Sizes of things whose measures are not given, m. Own choice, told in docs/formats.md. */
const USUAL = {
  boulder: { diameter: 1.2, height: 0.8 },
  log: { width: 0.5, height: 0.5 },
  jam: { width: 2.5, height: 1.2 },
};

/**
 * An outline as GeoJSON (RFC 7946, WGS 84): lines of kind `left-bank` and `right-bank`, each from its upstream end;
 * points
 * of kind `riffle`, `pool`, `boulder` and `depth` (`depth` in m, or a mark of a wader's body); lines of kind `log` and
 * `log-jam`. Other features are refused one by one.
 * @throws InputError "not-json", "not-geojson", "no-banks"
 */
export function readOutline(text: string, file?: string): OutlineFile {
  const { features, properties } = readFeatures(text, file);
  if (features.length > MOST) throw new InputError("too-many-drawn", { most: MOST }, { file });
  const out: OutlineFile = {
    left: [],
    right: [],
    riffles: [],
    pools: [],
    depths: [],
    boulders: [],
    logs: [],
    rejected: [],
  };
  const { slope, name } = properties;
  if (typeof slope === "number") out.slope = slope;
  if (typeof name === "string") out.name = name.slice(0, 120);
  features.forEach((one, k) => {
    const read = feature.safeParse(one);
    const why = read.success ? take(out, read.data) : message("not-a-feature");
    if (why) out.rejected.push({ line: k + 1, reason: why });
  });
  if (out.left.length === 0 || out.right.length === 0) throw new InputError("no-banks", {}, { file });
  return out;
}

/** Takes a feature, or says why it is none. */
function take(out: OutlineFile, { geometry, properties }: Drawn): Message | undefined {
  const of = properties ?? {};
  const kind = typeof of.kind === "string" ? of.kind : "";
  const name = typeof of.name === "string" ? { name: of.name.slice(0, 60) } : {};
  const measure = (key: string, usual: number): number =>
    typeof of[key] === "number" && of[key] > 0 && of[key] <= 100 ? of[key] : usual;
  if (geometry.type === "Point") {
    const at = place(geometry.coordinates);
    switch (kind) {
      case "riffle":
        out.riffles.push(at);
        return undefined;
      case "pool":
        out.pools.push(at);
        return undefined;
      case "boulder": {
        const { diameter, height } = USUAL.boulder;
        out.boulders.push({ at, diameter: measure("diameter", diameter), height: measure("height", height), ...name });
        return undefined;
      }
      case "depth": {
        const depth = depthOf(of.depth);
        if (depth === undefined) return message("not-a-depth", { text: String(of.depth).slice(0, 40) });
        out.depths.push({ at, depth });
        return undefined;
      }
    }
    return message("not-drawn", { kind: kind.slice(0, 40) || "none", geometry: "Point" });
  }
  const line = geometry.coordinates.map(place);
  switch (kind) {
    case "left-bank":
    case "right-bank": {
      const bank = kind === "left-bank" ? out.left : out.right;
      if (bank.length > 0) return message("bank-twice", { bank: kind === "left-bank" ? "left" : "right" });
      bank.push(...line);
      return undefined;
    }
    case "log":
    case "log-jam": {
      const { width, height } = kind === "log" ? USUAL.log : USUAL.jam;
      out.logs.push({
        line,
        width: measure("width", width),
        height: measure("height", height),
        jam: kind === "log-jam",
        ...name,
      });
      return undefined;
    }
  }
  return message("not-drawn", { kind: kind.slice(0, 40) || "none", geometry: "LineString" });
}

const place = ([longitude, latitude]: readonly number[]): Position => [longitude!, latitude!];

/** Depth in m, or by the body of a wader of usual height; "1.2 m" and "3 ft" too. */
export function depthOf(value: unknown): number | undefined {
  if (typeof value === "number") return value > 0 && value < 30 ? value : undefined;
  if (typeof value !== "string") return undefined;
  const text = value.trim().toLowerCase();
  const mark = BODY_MARKS.value.find((one) => one.name === text);
  if (mark) return mark.depth;
  const parsed = parseQuantity(text, "length", "m");
  return parsed.ok ? depthOf(parsed.value) : undefined;
}
