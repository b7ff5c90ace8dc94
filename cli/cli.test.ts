import { execFileSync, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Papa from "papaparse";
import { readArchive, writeArchive } from "../src/core/formats/archive";
import { demoBook } from "../src/demo/book";
import { DEMO_REACHES } from "../src/demo/river";
import { gaugeCsv } from "../src/standins/gauge";
import { madeRiver } from "../src/testing/rivers";
import { recordSince } from "../src/testing/book-samples";
import { madeHeights } from "../src/testing/made-heights";

const heron = join(__dirname, "heron.mjs");
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), "heron-"));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const file = (name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const run = (...args: string[]) =>
  JSON.parse(execFileSync("node", [heron, ...args], { encoding: "utf8" })) as Record<string, unknown>;
const refuse = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync("node", [heron, ...args], { encoding: "utf8" });
  expect(status).toBe(2);
  expect(stdout).toBe("");
  expect(stderr.trim().split("\n")).toHaveLength(1);
  return (
    JSON.parse(stderr) as { error: { code: string; message: string; file?: string; line?: number; path?: string } }
  ).error;
};

const now = Date.UTC(2026, 9, 1, 12);
/** The demo's log with half a year of record: each command reads all of it. */
const demoLog = (at: number) => {
  const book = demoBook(at);
  return { ...book, series: book.series.map((one) => recordSince(at - 180 * 86_400_000, one)) };
};
const channel = () => {
  const [nx, ny] = [80, 22];
  const z = Array.from(
    { length: nx * ny },
    (_, k) =>
      0.003 * (nx - (k % nx)) +
      (Math.floor(k / nx) < 1 || Math.floor(k / nx) > ny - 2 ? 3 : 0) +
      (k % nx >= 24 && k % nx <= 25 && Math.floor(k / nx) < 8 ? 4 : 0),
  );
  return {
    schema: "low-heron/reach@1",
    id: "w",
    name: "Wall",
    bed: { kind: "grid", nx, ny, cell: 1, z },
    roughness: 0.03,
    downstream: { kind: "normal", slope: 0.003 },
  };
};

test("gauge: the contract's fields, SI", () => {
  const out = run(
    "gauge",
    file("g.csv", gaugeCsv(now - 90 * 86_400_000, now)),
    "--at",
    "2026-10-01T12:00:00Z",
  ) as unknown as {
    series: { parameter: string; unit: string; count: number }[];
    now: Record<string, unknown>;
    recession: { lambdaPerDay: number; events: number };
  };
  expect(out.series.map((one) => [one.parameter, one.unit])).toEqual([
    ["discharge", "m3/s"],
    ["stage", "m"],
    ["waterTemperature", "degC"],
    ["turbidity", "NTU"],
    ["airPressure", "hPa"],
    ["rain", "mm"],
  ]);
  expect(Object.keys(out.now)).toEqual(
    expect.arrayContaining([
      "at",
      "discharge",
      "stage",
      "waterTemperature",
      "turbidity",
      "visibleDepth",
      "exceedance",
      "trend",
      "ratePerHour",
    ]),
  );
  expect(out.recession.lambdaPerDay).toBeGreaterThan(0);
});

test("gauge: rain that is forecast moves the flow and closes the window; a file without rain is refused", () => {
  const { discharge, rain } = madeRiver("flashy", 501, 1);
  const iso = (time: number) => new Date(time).toISOString();
  const rows = (name: string, values: ArrayLike<number>, times: ArrayLike<number>) =>
    `time,${name}\n${Array.from(times, (time, k) => `${iso(time)},${Number.isNaN(values[k]!) ? "" : values[k]}`).join("\n")}\n`;
  const flow = file("made-flow.csv", rows("discharge (m3/s)", discharge.values, discharge.times));
  const end = discharge.times.at(-1)!;
  const rainFile = (name: string, mm: number) =>
    file(
      name,
      rows(
        "rain (mm)",
        [...rain, ...Array.from({ length: 48 }, (_, h) => (h >= 6 && h < 12 ? mm / 6 : 0))],
        [...discharge.times, ...Array.from({ length: 48 }, (_, h) => end + (h + 1) * 3_600_000)],
      ),
    );
  type Out = {
    verdict: string;
    regime: string;
    window: { from: string; to: string; probability: number } | null;
    forecast: { at: string; p10: number; p50: number; p90: number }[];
  };
  const [dry, wet] = [0, 60].map(
    (mm) => run("gauge", flow, "--hours", "48", "--rain", rainFile(`rain-${mm}.csv`, mm)) as unknown as Out,
  ) as [Out, Out];
  expect(wet.forecast).toHaveLength(48);
  for (const { p10, p50, p90 } of wet.forecast) expect(p10 <= p50 && p50 <= p90).toBe(true);
  expect(wet.forecast[11]!.p50).toBeGreaterThan(3 * dry.forecast[11]!.p50);
  expect(dry.verdict).toBe(wet.verdict);
  expect(dry.window!.probability).toBeGreaterThan(0.5);
  expect(Date.parse(dry.window!.to)).toBeGreaterThan(Date.parse(dry.window!.from));
  // Nobody is sent there while the spate comes up.
  const rise = end + 9 * 3_600_000;
  const holds = ({ window }: Out) => Date.parse(window!.from) <= rise && Date.parse(window!.to) > rise;
  expect([holds(dry), holds(wet)]).toEqual([true, false]);
  expect(refuse("gauge", flow, "--rain", flow)).toMatchObject({ code: "no-rain", file: flow });
});

test("gauge: several files are one record", () => {
  const [a, b] = [
    file("a.csv", gaugeCsv(now - 60 * 3_600_000, now - 20 * 3_600_000)),
    file("b.csv", `${gaugeCsv(now - 30 * 3_600_000, now)}nonsense,1,1,1,1\n`),
  ];
  const out = run("gauge", a, b) as unknown as {
    series: { count: number }[];
    rejected: { line: number; file: string }[];
  };
  expect(out.series[0]!.count).toBe(61);
  expect(out.rejected).toEqual([expect.objectContaining({ line: 33, file: b })]);
});

test("gauge: --backtest tells the forecast's track record; WaterML 2.0 by name or by itself", () => {
  const path = file("long.csv", gaugeCsv(now - 500 * 24 * 3_600_000, now));
  const out = run("gauge", path, "--backtest") as unknown as {
    backtest: { hours: number; medianError: number; persistenceError: number; coverage80: number; cases: number }[];
    regime: string;
    forecast: { at: string; p10: number; p50: number; p90: number }[];
  };
  expect(out.regime).toBe("rain-fed");
  expect(out.forecast.map(({ at }) => Date.parse(at) - now)).toEqual(
    Array.from({ length: 72 }, (_, h) => (h + 1) * 3_600_000),
  );
  for (const { p10, p50, p90 } of out.forecast) expect(p10 <= p50 && p50 <= p90).toBe(true);
  expect(out.backtest.map((one) => one.hours)).toEqual([3, 6, 12, 24, 48, 72, 120]);
  // Five days ahead sixteen months of record are too few to be nearer than no change; three years are not.
  for (const one of out.backtest.filter(({ hours }) => hours <= 72))
    expect(one.medianError).toBeLessThan(one.persistenceError);
  const xml = file(
    "a.xml",
    `<om:OM_Observation xmlns:om="o" xmlns:w="w" xmlns:xlink="x"><om:observedProperty xlink:title="Discharge"/><om:result><w:MeasurementTimeseries><w:defaultPointMetadata><w:DefaultTVPMeasurementMetadata><w:uom code="m3/s"/></w:DefaultTVPMeasurementMetadata></w:defaultPointMetadata><w:point><w:MeasurementTVP><w:time>2026-01-01T00:00:00Z</w:time><w:value>4.5</w:value></w:MeasurementTVP></w:point></w:MeasurementTimeseries></om:result></om:OM_Observation>`,
  );
  for (const format of ["auto", "waterml2"])
    expect((run("gauge", xml, "--format", format) as { now: { discharge: number } }).now.discharge).toBe(4.5);
  expect(refuse("gauge", xml, "--format", "rdb").code).toBe("no-datetime-column");
});

test("flow: on a template, on soundings, on cross-sections, and with no friction at all; a flow over the banks is refused", () => {
  const bed = (kind: Record<string, unknown>, roughness = 0.03) =>
    file(`${String(kind.kind)}.json`, JSON.stringify({ ...channel(), bed: kind, roughness }));
  const valley = (x: number, y: number) => 3 - 0.003 * x + 0.06 * (y - 8) ** 2;
  const points = Array.from({ length: 31 * 17 }, (_, k) => ({
    x: (k % 31) * 2,
    y: Math.floor(k / 31),
    z: valley((k % 31) * 2, Math.floor(k / 31)),
  }));
  const sections = [0, 20, 40, 60].map((x) => ({
    x,
    points: Array.from({ length: 17 }, (_, y) => ({ y, z: valley(x, y) })),
  }));
  const [sounded, levelled] = [bed({ kind: "soundings", points }), bed({ kind: "sections", sections })].map(
    (path) =>
      run("flow", path, "--discharge", "5", "--cell", "1") as unknown as {
        massError: number;
        maxDepth: number;
        wetCells: number;
      },
  );
  for (const out of [sounded!, levelled!]) expect(out.massError).toBeLessThan(0.005);
  // The same valley twice: the same river.
  expect(sounded!.maxDepth / levelled!.maxDepth).toBeCloseTo(1, 1);
  const template = { kind: "template", template: "two-channels", length: 60, width: 14, poolDepth: 1.2, slope: 0.003 };
  expect(
    (run("flow", bed(template), "--discharge", "4", "--cell", "1") as { wetCells: number }).wetCells,
  ).toBeGreaterThan(200);
  expect(
    (run("flow", bed({ ...template, template: "bend" }, 0), "--discharge", "4", "--cell", "1") as { maxSpeed: number })
      .maxSpeed,
  ).toBeGreaterThan(0.5);
  expect(refuse("flow", bed({ kind: "soundings", points }), "--discharge", "5000", "--cell", "1")).toMatchObject({
    code: "overtops",
    path: "discharge",
  });
  expect(refuse("flow", bed({ kind: "soundings", points: points.slice(0, 2) }), "--discharge", "5").path).toBe(
    "bed.points",
  );
});

test("rating: the contract's fields", () => {
  const path = file(
    "pairs.csv",
    `stage,discharge\n${[0.3, 0.5, 0.7, 1, 1.4].map((stage) => `${stage},${9 * (stage - 0.1) ** 1.8}`).join("\n")}\n`,
  );
  const out = run("rating", path) as unknown as Record<string, number>;
  expect(out.C).toBeCloseTo(9, 2);
  expect(out.h0).toBeCloseTo(0.1, 3);
  expect(out.b).toBeCloseTo(1.8, 3);
  expect(out).toMatchObject({ count: 5, rejected: [] });
  expect(out.maxGauged).toBeCloseTo(9 * 1.3 ** 1.8, 9);
  expect(refuse("rating", file("two.csv", "stage,discharge\n1,2\n2,4\n")).code).toBe("too-few-pairs");
});

test("flow and read: a wall turns the water back; the field file serves read again; lies have their reasons", () => {
  const reach = file("reach.json", JSON.stringify(channel()));
  const field = join(folder, "field.json");
  const out = run("flow", reach, "--discharge", "14", "--field", field) as unknown as {
    nx: number;
    ny: number;
    cell: number;
    converged: boolean;
    massError: number;
    iterations: number;
  };
  expect(out).toMatchObject({ nx: 80, ny: 22, cell: 1, converged: true });
  expect(out.massError).toBeLessThan(0.005);
  const written = JSON.parse(readFileSync(field, "utf8")) as {
    depth: (number | null)[];
    u: (number | null)[];
    origin: unknown;
  };
  expect(written.depth).toHaveLength(80 * 22);
  expect(written.depth.some((h) => h === null)).toBe(true);
  expect(written.u.filter((u) => u !== null && u < -0.05).length).toBeGreaterThan(20);
  const read = run("read", reach, "--discharge", "14", "--species", "brown-trout", "--field", field) as unknown as {
    lies: { rank: number; reasons: string[] }[];
    seams: { slowSide: string }[];
    wading: { safe: number };
  };
  expect(read.seams[0]!.slowSide).toBe("left");
  expect(read.lies[0]!.reasons.length).toBeGreaterThan(3);
  const bass = run("read", reach, "--species", "smallmouth-bass", "--field", field) as unknown as {
    lies: { score: number; factors: Record<string, number> }[];
  };
  expect(Object.values(bass.lies[0]!.factors).reduce((product, factor) => product * factor, 1)).toBeCloseTo(
    bass.lies[0]!.score,
    6,
  );
  expect(refuse("read", reach, "--discharge", "3", "--species", "brown-trout", "--field", field).code).toBe(
    "other-discharge",
  );
  // The rest of the reading: structure, the time of the year, where to stand and anchor, how long.
  const staged = run(
    "read",
    reach,
    "--species",
    "smallmouth-bass",
    "--season",
    "staging",
    "--style",
    "wait",
    "--field",
    field,
  ) as unknown as {
    season: { phase: string };
    structure: Record<string, unknown[]>;
    eddies: { outline: unknown[]; turns: string }[];
    lies: { score: number; hold: { name: string; place: number } }[];
    stands: { school: string; casts: { landing: { point: number[] } }[] }[];
    timing: { minutes: number; casts: number };
  };
  expect(staged.season.phase).toBe("staging");
  expect(staged.lies[0]!.score).not.toBeCloseTo(bass.lies[0]!.score, 3);
  expect(staged.lies[0]!.hold).toMatchObject({ name: "A", place: 1 });
  expect(staged.eddies[0]!.turns).toMatch(/clockwise/);
  expect(Object.keys(staged.structure).sort()).toEqual(["bottoms", "corners", "foam", "ledges", "pools", "wakes"]);
  for (const { casts } of staged.stands) expect(casts[0]!.landing.point).toHaveLength(2);
  expect(staged.timing.minutes).toBeGreaterThan(30);
  expect(refuse("read", reach, "--species", "king-salmon", "--season", "staging", "--field", field)).toMatchObject({
    code: "unknown-season",
    path: "--season",
  });
  expect(refuse("read", reach, "--species", "king-salmon", "--style", "hurry", "--field", field)).toMatchObject({
    code: "bad-choice",
    path: "--style",
  });
}, 90_000);

test("rig: a float from JSON on the line, and rates from an archive", async () => {
  const rig = run(
    "rig",
    JSON.stringify({
      method: "float",
      species: "brown-trout",
      water: { depth: 1.2, meanSpeed: 0.4, bedRoughness: 0.15, visibleDepth: 1, temperature: 10 },
    }),
  ) as unknown as {
    setting: number;
    shot: { size: string; count: number; below: number }[];
    lure: { colours: string[] };
  };
  expect(rig.setting).toBeGreaterThan(0.7);
  expect(rig.shot[0]).toEqual(
    expect.objectContaining({ size: expect.any(String), count: expect.any(Number), below: expect.any(Number) }),
  );
  const archive = await writeArchive(demoBook(now), new Date(now).toISOString(), (bytes) =>
    Promise.resolve(createHash("sha256").update(bytes).digest("hex")),
  );
  const rates = run("rates", file("book.zip", archive), "--by", "flow") as unknown as {
    classes: { label: string; hours: number; events: number }[];
    total: { hours: number; events: number };
  };
  expect(rates.classes.reduce((sum, one) => sum + one.events, 0)).toBe(rates.total.events);
});

test("sink, and a rig for every way of fishing, by the names of the contract", () => {
  const sunk = run(
    "sink",
    JSON.stringify({ massGrams: 7, material: "lead", depth: 3, meanSpeed: 0.6, bedRoughness: 0 }),
  ) as unknown as { terminalSpeed: number; seconds: number; swept: number; profile: { t: number }[] };
  expect(sunk.swept).toBeCloseTo(0.6 * sunk.seconds, 9);
  expect(sunk.seconds).toBeCloseTo(3 / sunk.terminalSpeed, 9);
  expect(sunk.profile.length).toBeGreaterThan(5);
  const fields: Record<string, string[]> = {
    float: ["setting", "baitHeight", "shotHeight", "lift", "holdBack", "lead", "shot"],
    jig: ["head", "seconds", "swept", "touches", "ladder"],
    spoon: ["head", "seconds", "swept", "touches", "ladder"],
    drift: ["grams", "hookDistance", "leader", "touchFraction"],
    sinker: ["grams", "hookDistance", "leader", "touchFraction"],
    "drop-shot": ["grams", "hookDistance", "leader", "touchFraction"],
    plug: ["depthReached", "touches", "lineOut", "feasible"],
    spinner: ["up", "down", "advice"],
  };
  for (const [method, names] of Object.entries(fields)) {
    const rig = run(
      "rig",
      JSON.stringify({
        method,
        species: "walleye",
        water: { depth: 2, meanSpeed: 0.5, bedRoughness: 0.15, visibleDepth: 1, temperature: 10 },
      }),
    ) as Record<string, unknown>;
    for (const name of [...names, "lure", "reasons", "cautions"]) expect(rig).toHaveProperty(name);
  }
  expect(refuse("rig", '{"method":"trolling","species":"walleye","water":{}}')).toMatchObject({ code: "bad-rig" });
  expect(refuse("sink", '{"massGrams":-1}')).toMatchObject({ code: "bad-sink", path: "massGrams" });
  expect(refuse("sink", "{")).toMatchObject({ code: "request-not-json" });
}, 60_000);

test("drift: a path through a reach, near its lies; a solved cast beats one at the lie itself", () => {
  const reach = file("kiln.json", JSON.stringify(DEMO_REACHES[0]));
  const ask = (request: object) =>
    run("drift", reach, JSON.stringify({ discharge: 6.8, cell: 1, ...request })) as unknown as {
      path: { t: number; x: number; y: number; z: number; bed: number }[];
      contacts: number;
      secondsInZone: { lie: number; seconds: number }[];
      landing: [number, number];
      setting: number;
      seconds: number;
      atLie: number;
    };
  const rig = { method: "float", species: "brown-trout" };
  const solved = ask({ solve: true, rig });
  expect(solved.seconds).toBeGreaterThan(2 * solved.atLie);
  expect(solved.secondsInZone[0]).toEqual({ lie: 1, seconds: solved.seconds });
  expect(solved.setting).toBeGreaterThan(0.2);
  const played = ask({ landing: solved.landing, rig: { ...rig, style: { setting: solved.setting } } });
  expect(played.path[0]!.t).toBe(0);
  for (const { z, bed } of played.path) expect(z).toBeGreaterThanOrEqual(bed - 1e-9);
  expect(played.secondsInZone[0]!.seconds).toBeGreaterThan(0);
  expect(refuse("drift", reach, JSON.stringify({ discharge: 6.8, rig }))).toMatchObject({
    code: "bad-drift",
    path: "landing",
  });
  expect(refuse("drift", reach, JSON.stringify({ discharge: 6.8, landing: [1, 0.5], rig }))).toMatchObject({
    code: "landing-dry",
  });
}, 90_000);

test("fish and rules: weights against the standard, keep or release with the rule that decided, in words", () => {
  const fish = run("fish", '{"species":"walleye","length":0.5,"weight":1.2,"girth":0.25}') as unknown as {
    standardWeight: number;
    relativeWeight: number;
    girthWeight: number;
    source: string;
  };
  expect(fish.relativeWeight).toBeCloseTo((100 * 1.2) / fish.standardWeight, 9);
  expect(fish.girthWeight).toBeGreaterThan(0.5);
  expect(fish.source.length).toBeGreaterThan(5);
  const ask = (fin: string) =>
    run(
      "rules",
      JSON.stringify({
        rules: [{ species: "steelhead", clippedOnly: true, bag: 2 }],
        fish: { species: "steelhead", length: 0.7, fin },
        kept: 0,
        at: "2026-11-03T09:00:00Z",
      }),
    ) as unknown as { answer: string; rule: string | null; words: string };
  expect(ask("clipped")).toMatchObject({ answer: "keep", rule: null });
  expect(ask("partial")).toMatchObject({ answer: "release", rule: "clippedOnly" });
  expect(ask("partial").words).toContain("Local rules come first");
  expect(refuse("fish", '{"species":"walleye","length":-1}')).toMatchObject({ code: "bad-fish", path: "length" });
  expect(refuse("rules", "{}")).toMatchObject({ code: "bad-rules" });
}, 30_000);

test("bad input: exit 2, one line of JSON, located, nothing on standard output", () => {
  expect(refuse("gauge", file("empty.csv", "")).code).toBe("empty-file");
  expect(refuse("gauge", file("bin.csv", Uint8Array.from([80, 75, 3, 4, 0, 0, 1])))).toMatchObject({
    code: "binary-file",
    line: 1,
  });
  expect(refuse("gauge", join(folder, "none.csv")).code).toBe("unreadable");
  const { downstream, ...open } = channel();
  void downstream;
  expect(refuse("flow", file("open.json", JSON.stringify(open)), "--discharge", "5")).toMatchObject({
    code: "no-outlet",
    path: "downstream",
  });
  expect(refuse("flow", file("ok.json", JSON.stringify(channel())), "--discharge", "-5").code).toBe("bad-discharge");
  expect(refuse("flow", file("ok.json", JSON.stringify(channel()))).code).toBe("missing-option");
  expect(refuse("flow", file("ok.json", JSON.stringify(channel())), "--discharge", "5", "--colour", "red").code).toBe(
    "unknown-option",
  );
  expect(refuse("dance").code).toBe("unknown-command");
  expect(refuse("rates", file("not.zip", "hello")).code).toBe("not-an-archive");
}, 60_000);

describe("under stress", () => {
  test("a reader that goes away ends the command quietly", async () => {
    const path = file("pipe.csv", gaugeCsv(now - 30 * 86_400_000, now));
    const { status, stderr } = spawnSync("sh", ["-c", `node "${heron}" gauge "${path}" | head -c 5 >/dev/null`], {
      encoding: "utf8",
    });
    expect([status, stderr]).toEqual([0, ""]);
  });

  test("options that every object has are no options; names are not repeated without end", () => {
    const path = file("a.csv", "time,stage (m)\n2026-01-01T00:00Z,1\n");
    for (const name of ["toString", "__proto__", "constructor", "hasOwnProperty"])
      expect(refuse("gauge", path, `--${name}`).code).toBe("unknown-option");
    for (const args of [
      ["x".repeat(5000)],
      ["gauge", "x".repeat(5000)],
      ["gauge", path, `--${"y".repeat(5000)}`],
      ["gauge", path, "--zone", "z".repeat(5000)],
      ["gauge", path, "--format", "f".repeat(5000)],
      ["gauge", path, "--at", "t".repeat(5000)],
      ["read", path, "--discharge", "q".repeat(5000), "--species", "s".repeat(5000)],
      ["read", file("r.json", JSON.stringify(channel())), "--discharge", "5", "--species", "s".repeat(5000)],
      [
        "read",
        file("r.json", JSON.stringify(channel())),
        "--discharge",
        "5",
        "--species",
        "chub",
        "--season",
        "s".repeat(5000),
      ],
      ["flow", file("k.json", JSON.stringify({ ...channel(), bed: { kind: "k".repeat(5000) } })), "--discharge", "5"],
      [
        "flow",
        file("o.json", JSON.stringify({ ...channel(), features: [{ kind: "pier", ["o".repeat(5000)]: 1 }] })),
        "--discharge",
        "5",
      ],
      ["rates", file("n.zip", "n".repeat(5000)), "--by", "b".repeat(5000)],
    ])
      expect(JSON.stringify(refuse(...args)).length).toBeLessThan(1500);
  });

  test("standard input is bounded: what is over it is not held", () => {
    const { status, stderr } = spawnSync("sh", ["-c", `head -c 200000000 /dev/zero | node "${heron}" gauge -`], {
      encoding: "utf8",
    });
    expect(status).toBe(2);
    expect(JSON.parse(stderr)).toMatchObject({ error: { code: "input-too-large" } });
  });

  test("lines add up in JSON: read, gaps and rejected", () => {
    const out = run("gauge", file("b.csv", "time,stage (m)\n2026-01-01T00:00Z,1\n2026-01-01T01:00Z,Ice\nx,2\n"));
    expect(out.lines).toEqual({ read: 1, gaps: 1, rejected: 1 });
  });

  test("water that has not settled is said on standard error too", () => {
    // A steep smooth chute with a pool under it: it keeps pulsing.
    const [nx, ny] = [40, 12];
    const z = Array.from({ length: nx * ny }, (_, k) => {
      const [i, j] = [k % nx, Math.floor(k / nx)];
      return Math.max(0, 12 - 0.6 * i) + (j < 1 || j > 10 ? 6 : 0);
    });
    const chute = {
      ...channel(),
      bed: { kind: "grid", nx, ny, cell: 1, z },
      roughness: 0,
      downstream: { kind: "stage", value: 1 },
    };
    const path = file("chute.json", JSON.stringify(chute));
    const { status, stdout, stderr } = spawnSync("node", [heron, "flow", path, "--discharge", "5"], {
      encoding: "utf8",
    });
    expect([status, (JSON.parse(stdout) as { verdict: string }).verdict]).toEqual([0, "not-converged"]);
    expect(stderr).toMatch(/^not-converged/);
  });

  test("a field of another reach is refused", () => {
    const own = file("own.json", JSON.stringify(channel()));
    const field = join(folder, "own-field.json");
    run("flow", own, "--discharge", "5", "--cell", "2", "--field", field);
    expect(run("read", own, "--field", field, "--species", "chub").discharge).toBe(5);
    const moved = channel();
    moved.bed.z = moved.bed.z.map((height, k) => height + (k % 80 === 40 ? 0.3 : 0));
    for (const other of [moved, { ...channel(), bed: { ...channel().bed, cell: 0.5 } }])
      expect(
        refuse("read", file("other.json", JSON.stringify(other)), "--field", field, "--species", "chub").code,
      ).toBe("other-field");
  });
});

test("convert: an archive as its fish, its places and itself again; a gauge file as one that is read the same; the rest refused", async () => {
  const digest = (bytes: Uint8Array) => Promise.resolve(createHash("sha256").update(bytes).digest("hex"));
  const book = demoLog(now);
  const archive = file("book.zip", await writeArchive(book, "2026-10-01T12:00:00Z", digest));
  const whole = (...args: string[]) => execFileSync("node", [heron, "convert", ...args]);
  const rows = Papa.parse(whole(archive, "--to", "csv").toString("utf8"), { header: true, skipEmptyLines: true });
  expect(rows.data).toHaveLength(book.catches.length);
  const places = JSON.parse(whole(archive, "--to", "geojson").toString("utf8")) as { features: unknown[] };
  const reached = book.reaches.every(({ reach }) => reach.bearing !== undefined);
  expect(places.features).toHaveLength(reached ? book.catches.filter(({ place }) => place).length : 0);
  expect(whole(archive, "--to", "gpx").toString("utf8")).toContain("http://www.topografix.com/GPX/1/1");
  const out = join(folder, "again.zip");
  expect(run("convert", archive, "--to", "archive", "--out", out)).toMatchObject({ out });
  expect((await readArchive(readFileSync(out), digest)).book).toEqual(book);

  const gauge = file("g.csv", gaugeCsv(now - 20 * 86_400_000, now));
  const again = file("h.csv", whole(gauge, "--to", "csv"));
  const told = (path: string) => run("gauge", path, "--at", "2026-10-01T12:00:00Z").series;
  expect(told(again)).toEqual(told(gauge));
  expect(refuse("convert", gauge, "--to", "gpx")).toMatchObject({ code: "cannot-convert" });
  expect(refuse("convert", archive, "--to", "pdf")).toMatchObject({ code: "bad-choice", path: "--to" });
  expect(refuse("convert", archive)).toMatchObject({ code: "missing-option" });
}, 60_000);

describe("plan and signals", () => {
  const hour = Date.UTC(2026, 4, 14, 14, 40);
  const DAY = 86_400_000;
  let [archive, closed] = ["", ""];
  beforeAll(async () => {
    // One reach of it, so that it is quick.
    const book = demoLog(hour);
    const reaches = book.reaches.slice(0, 1);
    const sessions = book.sessions.filter((one) => one.reach === reaches[0]!.id);
    const own = <T extends { session: string }>(part: readonly T[]) =>
      part.filter((one) => sessions.some(({ id }) => id === one.session));
    const small = { ...book, reaches, sessions, catches: own(book.catches), stretches: own(book.stretches) };
    const write = async (name: string, rules: typeof book.rules) =>
      file(
        name,
        await writeArchive({ ...small, rules }, new Date(hour).toISOString(), (bytes) =>
          Promise.resolve(createHash("sha256").update(bytes).digest("hex")),
        ),
      );
    archive = await write("plan.zip", book.rules);
    closed = await write("closed.zip", [{ ...book.rules[0]!, open: { from: "06-01", to: "09-30" } }]);
  });
  const asked = [
    "--from",
    "2026-05-14T15:00Z",
    "--to",
    "2026-05-15T21:00Z",
    "--species",
    "brown-trout",
    "--cell",
    "1.5",
  ];

  test("plan: windows in order of score within the span, with flow, band, lies and reasons; a later record is not known", () => {
    const gauge = file("plan.csv", gaugeCsv(hour - 30 * DAY, hour));
    const plan = run("plan", archive, gauge, ...asked) as unknown as {
      windows: {
        rank: number;
        reach: string;
        from: string;
        to: string;
        score: number;
        discharge: number;
        low: number;
        high: number;
        lies: { rank: number; x: number; y: number; score: number }[];
        reasons: string[];
      }[];
      removed: { reach: string; reason: string }[];
    };
    expect(plan.windows.map((one) => one.rank)).toEqual(plan.windows.map((_, k) => k + 1));
    expect(plan.windows.length).toBeGreaterThan(0);
    for (const one of plan.windows) {
      expect(one.reach).toBe(demoBook(hour).reaches[0]!.id);
      expect(Date.parse(one.from)).toBeGreaterThanOrEqual(Date.parse("2026-05-14T15:00Z"));
      expect(Date.parse(one.to)).toBeLessThanOrEqual(Date.parse("2026-05-15T21:30Z"));
      expect(one.low).toBeLessThanOrEqual(one.discharge);
      expect(one.high).toBeGreaterThanOrEqual(one.discharge);
      expect(one.lies.length).toBeGreaterThan(0);
      expect(one.reasons.join()).toMatch(/m³\/s/);
    }
    // Readings after --from change nothing.
    const later = file("later.csv", gaugeCsv(hour - 30 * DAY, hour + 20 * DAY));
    const same = run("plan", archive, later, ...asked) as unknown as typeof plan;
    expect(same.windows[0]!.from.slice(0, 10)).toBe(plan.windows[0]!.from.slice(0, 10));
    expect(same.windows[0]!.discharge).toBeCloseTo(plan.windows[0]!.discharge, 0);
  });

  test("plan: with a weather file the windows tell their air, a gale leaves nowhere, and a file that is none is refused", () => {
    const csv = (wind: number) =>
      `time,wind (m/s),wind direction,cloud (%)\n${Array.from(
        { length: 40 },
        (_, k) => `${new Date(Date.UTC(2026, 4, 14, 12 + k)).toISOString()},${wind},SW,90`,
      ).join("\n")}\n`;
    const breeze = run("plan", archive, ...asked, "--weather", file("breeze.csv", csv(7)));
    const [first] = breeze.windows as { weather: object; reasons: string[] }[];
    expect(first!.weather).toMatchObject({ wind: 7, windFrom: 225, cloud: 0.9, rain: null });
    expect(first!.reasons.join()).toMatch(/Fresh breeze, 7.0 m\/s from the south-west/);
    const gale = run("plan", archive, ...asked, "--weather", file("gale.csv", csv(14)));
    expect(gale.windows).toEqual([]);
    expect(gale.removed).toMatchObject([{ reason: expect.stringMatching(/white caps/) as string }]);
    expect(refuse("plan", archive, ...asked, "--weather", file("none.csv", "time,humidity\n1,2\n"))).toMatchObject({
      code: "no-weather-column",
      line: 1,
    });
  });

  test("plan: a closed season removes, and says so", () => {
    const plan = run("plan", closed, ...asked);
    expect(plan.windows).toEqual([]);
    expect(plan.removed).toMatchObject([{ reason: expect.stringMatching(/closed season/) as string }]);
  });

  test("plan: what it cannot work with is refused by name", () => {
    const [, , , , ...species] = asked;
    expect(refuse("plan").code).toBe("missing-argument");
    expect(refuse("plan", archive, ...species).path).toBe("--from");
    expect(refuse("plan", archive, "--from", "2026-05-15", "--to", "2026-05-14", ...species).code).toBe(
      "span-upside-down",
    );
    expect(refuse("plan", archive, "--from", "2026-05-01", "--to", "2026-06-14", ...species).code).toBe(
      "span-too-long",
    );
  });

  test("rates by lure and hour add up to the same; signals say of every property what the log supports", () => {
    const by = (kind: string) =>
      run("rates", archive, "--by", kind) as unknown as {
        classes: { hours: number; events: number }[];
        total: { hours: number; events: number };
      };
    const flow = by("flow").total;
    for (const kind of ["hour", "lie", "lure"]) {
      const { classes, total } = by(kind);
      expect(total.events).toBe(flow.events);
      expect(total.hours).toBeCloseTo(flow.hours, 6);
      expect(classes.reduce((sum, one) => sum + one.hours, 0)).toBeCloseTo(total.hours, 6);
    }
    const { signals } = run("rates", archive, "--signals") as unknown as {
      signals: { kind: string; verdict: string }[];
    };
    expect(signals.map(({ kind }) => kind)).toContain("barometer");
    for (const { verdict } of signals) expect(["supported", "no-sign", "too-few"]).toContain(verdict);
    expect(refuse("rates", archive, "--by", "lure", "--zone", "Nowhere/At all").code).toBe("unknown-zone");
  });
});

test("trace: an outline with depths becomes a reach that is solved; swapped banks and a missing slope are told", () => {
  const place = (x: number, y: number) => [10 + x / 69_000, 51 + y / 111_250];
  const line = (kind: string, y: number) => ({
    type: "Feature",
    geometry: { type: "LineString", coordinates: [0, 30, 60].map((x) => place(x, y)) },
    properties: { kind },
  });
  const outline = (left: number, right: number, properties = {}) =>
    file(
      `outline-${left}-${Object.keys(properties).length}.geojson`,
      JSON.stringify({
        type: "FeatureCollection",
        properties,
        features: [line("left-bank", left), line("right-bank", right)],
      }),
    );
  const depths = file(
    "depths.csv",
    `longitude,latitude,depth\n${place(30, 5).join()},0.9\n${place(40, 5).join()},deep\n${place(40, 15).join()},1\n`,
  );
  const reach = run("trace", outline(10, 0, { slope: 0.003 }), "--discharge", "2", "--depths", depths, "--cell", "1");
  expect(reach).toMatchObject({
    schema: "low-heron/reach@1",
    traced: { depths: 1, outside: 1, heading: expect.closeTo(90, 0) },
  });
  expect((reach as { traced: { rejected: { line: number }[] } }).traced.rejected.map(({ line }) => line)).toEqual([3]);
  const solved = run("flow", file("traced.json", JSON.stringify(reach)), "--discharge", "2");
  expect(solved).toMatchObject({ converged: true });
  expect(refuse("trace", outline(10, 0), "--discharge", "2").code).toBe("no-slope");
  expect(refuse("trace", outline(0, 10, { slope: 0.003 }), "--discharge", "2").code).toBe("banks-cross");
});

test("dem: a reach is cut out of ground heights in two tiles; a bad box, a cut grid and rough ground are told", () => {
  const { grid, river } = madeHeights(4);
  const { nx, ny, cell, z } = grid;
  const tile = (from: number, to: number) =>
    `ncols ${to - from}\nnrows ${ny}\nxllcorner ${500000 + from * cell}\nyllcorner 5761000\ncellsize ${cell}\n${Array.from(
      { length: ny },
      (_, j) => Array.from(z.subarray(j * nx + from, j * nx + to), (one) => one.toFixed(3)).join(" "),
    ).join("\n")}\n`;
  const half = Math.floor(nx / 2);
  const [west, east] = [file("west.asc", tile(0, half)), file("east.asc", tile(half, nx))];
  const reach = run("dem", east, west, "--discharge", "4.5", "--cell", "1") as {
    bed: { kind: string };
    traced: { width: number };
    heights: { tiles: number; slope: number; share: number };
  };
  expect(reach.bed.kind).toBe("grid");
  expect(reach.heights.tiles).toBe(2);
  expect(reach.heights.slope / river.slope).toBeGreaterThan(0.85);
  expect(reach.heights.slope / river.slope).toBeLessThan(1.15);
  expect(reach.traced.width / river.channel.meanWidth).toBeGreaterThan(0.85);
  expect(refuse("dem", west, "--discharge", "4.5", "--box", "1,2,3").code).toBe("not-a-box");
  expect(refuse("dem", file("cut.asc", tile(0, half).slice(0, 200)), "--discharge", "1").code).toBe("not-a-grid");
  expect(refuse("dem", "--discharge", "1").code).toBe("missing-argument");
});
