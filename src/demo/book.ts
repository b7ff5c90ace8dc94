import { type Book, emptyBook } from "../core/book/log-contents";
import type { EffortInterval, LieKind, ReadLie, RuleRecord } from "../core/book/bank-records";
import type { Catch, FieldReading, RiverState, SeriesRecord, Session, WaterRecord } from "../core/book/records";
import { riverState } from "../core/book/river-state";
import { readGaugeCsv } from "../core/formats/gauge-csv";
import { DAY, HOUR, readingAt } from "../core/gauge/series";
import type { GaugeRecord } from "../core/gauge/summary";
import { CLOUDS, WINDS } from "../core/gauge/weather";
import { gaugeCsv } from "../standins/gauge";
import { poisson, stream } from "../core/quantity/seeded";
import { DEMO_REACHES } from "./river";
import { DEMO_STATION } from "./station";

/**
 * Two years of record and a made-up season of sessions, blanks among them, up to `now` (ms). The same for the same
 * instant.
 */
const YEARS = 4;
const SESSIONS = 42;
/**
 * Where the made-up fish took: in words, and about where on the plan, m; the angler marked most of them, not to the
 * metre.
 */
const LIES: Record<string, readonly (readonly [string, number, number])[]> = {
  "demo-kiln-glide": [
    ["Cushion above the split stone", 57.5, 18.8],
    ["Slack below the flat stone", 72, 15],
    ["Beside the log jam", 83, 20.5],
    ["Deep of the pool", 92, 19.5],
  ],
  "demo-alder-bend": [
    ["Beside the alder jam", 53.5, 13],
    ["Beside the sunk stone", 63.5, 20],
    ["Right-hand seam edge", 55, 21.5],
  ],
};
/** Sorts of those places, as a reading would have them. */
const KINDS: Record<string, LieKind> = {
  "Cushion above the split stone": "above",
  "Slack below the flat stone": "below",
  "Beside the log jam": "beside",
  "Deep of the pool": "deep",
  "Beside the alder jam": "beside",
  "Beside the sunk stone": "beside",
  "Right-hand seam edge": "seam-edge",
};
const MARKED = 0.7;
const SCATTER = 3;
const LURES = ["small jig, black", "small jig, brown", "natural bait", "worm", "small jig, green"];

/** The made-up truth behind the season: fish an hour peaks near 6 m3/s and falls off both ways. */
const trueRate = (discharge: number): number => 0.75 * Math.exp(-0.5 * (Math.log(discharge / 6) / 0.55) ** 2) + 0.04;

export function demoGauge(now: number): GaugeRecord {
  const to = Math.floor(now / HOUR) * HOUR;
  const { series } = readGaugeCsv(gaugeCsv(to - YEARS * 365 * DAY, to));
  return { station: { id: DEMO_STATION.id, name: DEMO_STATION.name }, series };
}

export function demoBook(now: number): Book {
  const gauge = demoGauge(now);
  const mark = { updatedAt: new Date(now).toISOString(), demo: true };
  const { sessions, catches } = demoSessions(now, gauge, mark);
  return {
    ...emptyBook(),
    stations: [{ schema: "low-heron/station@1", ...DEMO_STATION, ...mark, source: "stand-in" }],
    series: demoSeries(gauge, mark),
    reaches: DEMO_REACHES.map((reach) => ({
      schema: "low-heron/reach-record@1",
      id: reach.id,
      ...mark,
      station: DEMO_STATION.id,
      reach,
    })),
    sessions,
    catches,
    stretches: sessions.flatMap((session, k) => demoStretches(session, k, catches, gauge, mark)),
    waters: [demoWater(mark)],
    readings: demoReadings(sessions, gauge, mark),
    rules: [demoRule(mark)],
  };
}

interface Mark {
  updatedAt: string;
  demo: boolean;
}

function demoSessions(now: number, gauge: GaugeRecord, mark: Mark): { sessions: Session[]; catches: Catch[] } {
  const next = stream(41);
  const spots = stream(97);
  const sky = stream(53);
  const sessions: Session[] = [];
  const catches: Catch[] = [];
  for (let k = 0; k < SESSIONS; k++) {
    const day = Math.floor((now - (236 - k * 5.6 + 2.5 * next()) * DAY) / DAY) * DAY;
    const start = day + (6 + Math.floor(next() * 12)) * HOUR + Math.floor(next() * 4) * 15 * 60_000;
    const hours = 1 + Math.round(next() * 10) / 4;
    const reach = next() < 0.65 ? "demo-kiln-glide" : "demo-alder-bend";
    const river = riverState(gauge, start);
    if (start + hours * HOUR > now || river.discharge === null || river.discharge > 28) continue;
    const id = `demo-session-${String(k + 1).padStart(2, "0")}`;
    sessions.push({
      schema: "low-heron/session@1",
      id,
      ...mark,
      reach,
      start: new Date(start).toISOString(),
      end: new Date(start + hours * HOUR).toISOString(),
      rods: 1,
      species: "brown-trout",
      notes: "",
      river,
      sky: { cloud: CLOUDS[Math.floor(sky() * CLOUDS.length)]!, wind: WINDS[Math.floor(sky() * 3)]! },
    });
    const count = poisson(trueRate(river.discharge) * hours, next);
    for (let fish = 0; fish < count; fish++)
      catches.push(
        demoCatch({ id: `${id}-fish-${fish + 1}`, session: id, ...mark }, reach, start + next() * hours * HOUR, gauge, {
          next,
          spots,
        }),
      );
  }
  return { sessions, catches };
}

const demoSeries = (gauge: GaugeRecord, mark: Mark): SeriesRecord[] =>
  gauge.series.map((one) => ({
    schema: "low-heron/series@2",
    id: `${DEMO_STATION.id}-${one.parameter}`,
    ...mark,
    station: DEMO_STATION.id,
    parameter: one.parameter,
    unit: one.unit,
    times: Array.from(one.times),
    values: Array.from(one.values, (value) => (Number.isNaN(value) ? null : value)),
    stamps: [mark.updatedAt],
    marks: Array.from(one.times, () => 0),
  }));

const demoWater = (mark: Mark): WaterRecord => ({
  schema: "low-heron/water@1",
  id: DEMO_STATION.id,
  ...mark,
  altitude: 110,
  damNote: "",
  fullPool: null,
  beachSlope: null,
  constituents: [],
  gaugings: [],
  bands: [
    { spot: "Kiln Glide, seam below the flat stone", measure: "discharge", low: 4, high: 11 },
    { spot: "Alder Bend, beside the jam", measure: "discharge", low: 2.5, high: 7 },
  ],
});

const demoRule = (mark: Mark): RuleRecord => ({
  schema: "low-heron/rule@1",
  id: "demo-rule-1",
  ...mark,
  reach: "demo-kiln-glide",
  bank: "both",
  species: "brown-trout",
  open: { from: "03-15", to: "10-31" },
  minLength: 0.28,
  bag: 2,
  rods: 1,
  hooks: "one barbless hook",
  bait: "no live fish",
  notes: "",
  entered: mark.updatedAt,
  expires: null,
});

/** From this session on the made-up angler kept it in stretches. */
const KEPT_FROM = 8;

/** What a reading may have said of a place: the first of a reach is its best. */
function demoRead(reach: string, lie: string, next: () => number): ReadLie {
  const rank = 1 + LIES[reach]!.findIndex(([name]) => name === lie);
  const depth = 0.6 + Math.round(80 * next()) / 100;
  return { kind: KINDS[lie]!, rank, share: (10 - rank + 1) / 10, depth, speed: 0.1 + Math.round(40 * next()) / 100 };
}

/**
 * What was fished when: up to each fish half of the time somewhere else, then where and with what it took; after the
 * last, and on a blank, the next place.
 */
function demoStretches(
  session: Session,
  index: number,
  catches: readonly Catch[],
  gauge: GaugeRecord,
  mark: Mark,
): EffortInterval[] {
  if (index < KEPT_FROM) return [];
  const next = stream(700 + index);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const anywhere = () => ({ lie: pick(LIES[session.reach]!)[0], lure: pick(LURES) });
  const fish = catches.filter((one) => one.session === session.id).sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const [start, end] = [Date.parse(session.start), Date.parse(session.end!)];
  const parts: { from: number; lie: string; lure: string }[] = [];
  let from = start;
  for (const one of fish) {
    const at = Date.parse(one.at);
    parts.push({ from, ...anywhere() }, { from: (from + at) / 2, lie: one.lie, lure: one.lure });
    from = at;
  }
  parts.push({ from, ...anywhere() });
  const whole = parts.map((part) => ({ ...part, from: Math.round(part.from / 60_000) * 60_000 }));
  return whole.flatMap(({ from: begun, lie, lure }, k): EffortInterval[] => {
    const until = whole[k + 1]?.from ?? end;
    if (until <= begun) return [];
    const [, x, y] = LIES[session.reach]!.find(([name]) => name === lie)!;
    const [kind = "", colour = ""] = lure.split(", ");
    return [
      {
        schema: "low-heron/stretch@1",
        id: `${session.id}-stretch-${k + 1}`,
        ...mark,
        session: session.id,
        rod: 1,
        angler: "",
        start: new Date(begun).toISOString(),
        end: new Date(until).toISOString(),
        lie,
        place: { x, y },
        read: demoRead(session.reach, lie, next),
        method: kind === "small jig" ? "jig" : "float",
        lure: kind,
        colour,
        piece: "",
        depth: 0.8 + Math.round(next() * 8) / 10,
        fixed: false,
        river: riverState(gauge, begun),
        casts: [],
      },
    ];
  });
}

/**
 * Now and then the made-up angler looks how deep the bed is seen: this water is a little clearer at the same turbidity
 * than the rule of thumb has it.
 */
function demoReadings(sessions: readonly Session[], gauge: GaugeRecord, mark: Mark): FieldReading[] {
  const turbidity = gauge.series.find((one) => one.parameter === "turbidity");
  return sessions
    .filter((_, k) => k % 6 === 3)
    .flatMap((session, k): FieldReading[] => {
      const reading = readingAt(turbidity, Date.parse(session.start));
      if (reading === null) return [];
      return [
        {
          schema: "low-heron/reading@1",
          id: `demo-reading-${k + 1}`,
          ...mark,
          station: DEMO_STATION.id,
          reach: null,
          at: session.start,
          kind: "clarity",
          value: Math.round(39 * reading ** -0.7) / 10,
          error: null,
          how: "depth where you lost sight of the bottom",
        },
      ];
    });
}

function demoCatch(
  own: { id: string; session: string } & Mark,
  reach: string,
  at: number,
  gauge: GaugeRecord,
  { next, spots }: { next: () => number; spots: () => number },
): Catch {
  const river: RiverState = riverState(gauge, at);
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const length = Math.round(18 + 26 * next() * next() + 6 * next()) / 100;
  const [lie, x, y] = pick(LIES[reach]!);
  const place =
    spots() < MARKED
      ? {
          x: Math.round(10 * (x + SCATTER * (spots() - 0.5))) / 10,
          y: Math.round(10 * (y + SCATTER * (spots() - 0.5))) / 10,
        }
      : null;
  return {
    schema: "low-heron/catch@1",
    ...own,
    at: new Date(at).toISOString(),
    species: "brown-trout",
    length,
    lie,
    lure: pick(LURES),
    notes: "",
    river,
    place,
  };
}
