/** The parts of the attack: each tries its cases and tells what went wrong. */
import { bankSequences } from "./bank";
import { editSequences } from "./edits";
import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strToU8 } from "fflate";
import { rasteriseReach } from "../../src/core/flow/rasterise";
import { readReach } from "../../src/core/flow/reach";
import { solveSteady } from "../../src/core/flow/steady";
import { survey } from "../../src/core/flow/survey";
import { readField, writeField } from "../../src/core/formats/field-file";
import { readGaugeFile } from "../../src/core/formats/gauge-file";
import { readPairs } from "../../src/core/formats/rating-csv";
import { readSoundings } from "../../src/core/formats/soundings-file";
import { summariseGauge } from "../../src/core/gauge/summary";
import { fitRating } from "../../src/core/gauge/rating";
import { readRequest } from "../../src/core/quantity/request";
import { adviseRig } from "../../src/core/rig/advise";
import type { RigRequest } from "../../src/core/rig/request";
import { DEMO_REACHES } from "../../src/demo/river";
import { DEMO_STATION } from "../../src/demo/station";
import { gaugeCsv } from "../../src/standins/gauge";
import { sounderLog } from "../../src/standins/sounder";
import { unseenBeds } from "../bench/unseen";
import { failedWrite } from "./failed-writes";
import { damaged, damagedBytes, damagedData, pick } from "./mutate";
import { archives, merges } from "./books";
import { NOW, type Part, refusable, taken } from "./part";
import { sentences } from "./sentences";

const CSV = gaugeCsv(NOW - 60 * 3_600_000, NOW);
const RDB = `# made up\nagency_cd\tsite_no\tdatetime\ttz_cd\t1_00060\t1_00060_cd\n5s\t15s\t20d\t6s\t14n\t10s\n${Array.from(
  { length: 40 },
  (_, k) => `MADE\t1\t2026-01-02 ${String(k % 24).padStart(2, "0")}:00\tUTC\t${3 + k}\tP`,
).join("\n")}\n`;
const WATERML = `<om:OM_Observation xmlns:om="o" xmlns:w="w" xmlns:xlink="x"><om:observedProperty xlink:title="Discharge"/><om:result><w:MeasurementTimeseries><w:defaultPointMetadata><w:DefaultTVPMeasurementMetadata><w:uom code="m3/s"/></w:DefaultTVPMeasurementMetadata></w:defaultPointMetadata>${Array.from(
  { length: 30 },
  (_, k) =>
    `<w:point><w:MeasurementTVP><w:time>2026-01-0${1 + (k % 9)}T00:00:00Z</w:time><w:value>${k}</w:value></w:MeasurementTVP></w:point>`,
).join("\n")}</w:MeasurementTimeseries></om:result></om:OM_Observation>`;
const GAUGES = [CSV, CSV, RDB, WATERML];

/** Lines of a CSV that hold data, counted without its reader: where no quote pairs lines. */
function dataLines(text: string): number | undefined {
  if (text.includes('"')) return undefined;
  const lines = text.replace(/^\uFEFF/, "").split(/\r\n|\n|\r/);
  const first = lines.findIndex((line) => line.trim() !== "" && !line.startsWith("#"));
  return lines.slice(first + 1).filter((line) => line.trim() !== "" && (!line.startsWith("#") || /[,;\t|]/.test(line)))
    .length;
}

const gauges: Part = {
  name: "gauge files",
  share: 0.3,
  trial: () => (random) => {
    const source = pick(GAUGES, random);
    const text = damaged(source, random);
    return refusable(() => {
      const file = readGaugeFile(text);
      const { read, gaps, rejected } = file.lines;
      if (new Set(file.rejected.map((one) => one.line)).size > rejected) return "more lines told than counted";
      const expected = source === CSV && !text.includes("<") ? dataLines(text) : undefined;
      if (
        expected !== undefined &&
        !text.includes("agency_cd") &&
        Math.abs(read + gaps + rejected - expected) > countedComments(text)
      )
        return `${read} + ${gaps} + ${rejected} of ${expected} lines`;
      for (const one of file.series)
        for (let k = 1; k < one.times.length; k++)
          if (!(one.times[k]! > one.times[k - 1]!)) return "times do not ascend";
      summariseGauge(file);
      return undefined;
    });
  },
};
/** Lines that may be a comment or not, by the delimiter that is guessed. */
const countedComments = (text: string): number =>
  text.split(/\r\n|\n|\r/).filter((line) => line.startsWith("#")).length;

const SOUNDED = [
  sounderLog(DEMO_REACHES[0]!, { ...DEMO_STATION, heading: 200 }, NOW, 0.002, 1),
  `lat,lon,depth\n${Array.from({ length: 60 }, (_, k) => `${53 + (k % 10) * 1e-5},${-6 + Math.floor(k / 10) * 1e-5},${1 + (k % 7) / 5}`).join("\n")}\n`,
  `<gpx version="1.1"><trk><trkseg>${Array.from({ length: 60 }, (_, k) => `<trkpt lat="${53 + (k % 10) * 1e-5}" lon="-6.0000${k}"><name>${1 + (k % 5) / 3} m</name></trkpt>`).join("\n")}</trkseg></trk></gpx>`,
  JSON.stringify({
    type: "FeatureCollection",
    features: Array.from({ length: 60 }, (_, k) => ({
      type: "Feature",
      geometry: { type: "Point", coordinates: [-6 + (k % 10) * 1e-5, 53 + Math.floor(k / 10) * 1e-5] },
      properties: { depth: 1 + (k % 6) / 4 },
    })),
  }),
];

const soundings: Part = {
  name: "soundings",
  share: 0.15,
  trial: () => (random) => {
    const text = damaged(pick(SOUNDED, random).slice(0, 20_000), random);
    return refusable(() => {
      const file = readSoundings(text);
      if (file.lines.read < file.soundings.length) return "fewer lines read than soundings";
      survey(file, { waterSurfaceSlope: 0.002, transducerDraft: 0 });
      return undefined;
    });
  },
};

const PAIRS = `stage (m),discharge (m3/s)\n${Array.from({ length: 20 }, (_, k) => `${0.3 + k / 10},${(10 * (0.1 + k / 10) ** 1.8).toFixed(3)}`).join("\n")}\n`;
const pairs: Part = {
  name: "rating pairs",
  share: 0.1,
  trial: () => (random) =>
    refusable(() => {
      fitRating(readPairs(damaged(PAIRS, random)).gaugings);
      return undefined;
    }),
};

const RIG = {
  method: "float",
  species: "brown-trout",
  water: { depth: 1.2, meanSpeed: 0.4, bedRoughness: 0.15, visibleDepth: 1, temperature: 11 },
  tackle: {},
  style: {},
};
const documents: Part = {
  name: "rig requests and fields",
  share: 0.05,
  trial: () => {
    const grid = rasteriseReach({ ...DEMO_REACHES[0]!, features: [] }, 4);
    const field = JSON.parse(
      writeField(solveSteady(grid, { discharge: 6, downstream: DEMO_REACHES[0]!.downstream })),
    ) as unknown;
    return (random) =>
      refusable(() => {
        if (random() < 0.5) adviseRig(readRequest(JSON.stringify(damagedData(RIG, random))) as RigRequest);
        else readField(JSON.stringify(damagedData(field, random)), 0.035);
        return undefined;
      });
  },
};

const reaches: Part = {
  name: "reach files",
  share: 0.2,
  trial: () => {
    const small = {
      schema: "low-heron/reach@1",
      id: "s",
      name: "S",
      bed: {
        kind: "grid",
        nx: 12,
        ny: 6,
        cell: 2,
        z: Array.from({ length: 72 }, (_, k) => (k < 12 || k >= 60 ? 2 : 0.01 * (12 - (k % 12)))),
      },
      roughness: 0.03,
      downstream: { kind: "normal", slope: 0.003 },
    };
    const sources: unknown[] = [...DEMO_REACHES, small, small];
    return (random) => {
      const source = pick(sources, random);
      const text =
        random() < 0.3 ? damaged(JSON.stringify(source), random) : JSON.stringify(damagedData(source, random));
      return refusable(() => {
        const reach = readReach(text);
        const grid = rasteriseReach(reach);
        // What is small enough is solved, whatever it has become.
        if (grid.nx * grid.ny < 400) {
          const field = solveSteady(grid, { discharge: pick([0.1, 5, 300], random), downstream: reach.downstream });
          if (!field.depth.every(Number.isFinite) || !field.u.every(Number.isFinite))
            return "a field that is not finite";
        }
        return undefined;
      });
    };
  },
};

const beds: Part = {
  name: "random beds",
  share: 0.002,
  trial: () => {
    const made = unseenBeds(2);
    return (random, k) => {
      const { name, grid, downstream, flows } = made[k % made.length]!;
      const rough = { ...grid, z: grid.z.map((height) => height + (random() - 0.5) * pick([0.02, 0.2, 2], random)) };
      return refusable(() => {
        const field = solveSteady(rough, { discharge: pick(flows, random), downstream });
        const fastest = field.u.reduce((most, u, n) => Math.max(most, Math.hypot(u, field.v[n]!)), 0);
        if (!(fastest < 30)) return `${name}: ${fastest} m/s`;
        return field.verdict !== "not-converged" && field.massError > 0.006
          ? `${name}: mass error ${field.massError}`
          : undefined;
      });
    };
  },
};

const commands: Part = {
  name: "commands",
  share: 0.002,
  trial: () => {
    const folder = mkdtempSync(join(tmpdir(), "attack-"));
    process.on("exit", () => rmSync(folder, { recursive: true, force: true }));
    const heron = join(import.meta.dirname, "../../cli/heron.mjs");
    const KINDS = [
      ["gauge", CSV],
      ["soundings", SOUNDED[1]!],
      ["rating", PAIRS],
      ["rig", JSON.stringify(RIG)],
      ["rates", "zip"],
    ] as const;
    const MORE = [
      ["--at", "x"],
      ["--toString"],
      ["--backtest"],
      ["--zone", "Nowhere/No"],
      ["--cell", "1e308"],
      ["--", "-"],
      ["--help"],
      [],
    ];
    return (random, k) => {
      const [name, text] = pick(KINDS, random);
      const path = join(folder, `f${k}`);
      writeFileSync(path, random() < 0.5 ? damaged(text, random) : damagedBytes(strToU8(text), random));
      const { status, stdout, stderr } = spawnSync("node", [heron, name, path, ...pick(MORE, random)], {
        encoding: "utf8",
        timeout: 20_000,
      });
      rmSync(path);
      if (status === 0) taken.count++;
      if (status !== 0 && status !== 2) return `${name}: exit ${status}`;
      if (/\n\s+at .*\.[mc]?[jt]s/.test(stderr)) return `${name}: a stack trace`;
      if (status === 2 && (stdout !== "" || stderr.trim().split("\n").length !== 1 || stderr.length > 3000))
        return `${name}: not one line of error`;
      return undefined;
    };
  },
};

const writes: Part = { name: "failed writes", share: 0.06, trial: () => failedWrite };

export const PARTS: readonly Part[] = [
  gauges,
  soundings,
  pairs,
  documents,
  reaches,
  archives,
  merges,
  writes,
  beds,
  commands,
  bankSequences,
  editSequences,
  sentences,
];
