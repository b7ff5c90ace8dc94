"use client";
import type { LiePlace } from "../core/fish/lie-place";
import { create } from "zustand";
import { createJSONStorage, persist } from "zustand/middleware";
import type { ColumnMatch } from "../core/formats/gauge-csv";
import { PHASES } from "../core/fish/phases";
import { MARKED_HEIGHT } from "../core/gauge/clarity";
import { CHOICES, type Chosen } from "../core/rig/choice-names";
import type { Learned } from "../core/rig/learned";
import { SHOTTINGS } from "../core/rig/shotting";
import { COLOUR_SCHOOLS, PREY, SNAGS } from "../core/tactics/lure-kinds";
import { type Method, METHODS } from "../core/tactics/methods";
import { FEEDINGS } from "../core/tactics/feeding";
import { expectedOf } from "./expected-sky";
import { say } from "./notices";
import { SETTINGS_NAME, sharedSettings } from "./settings-store";

/** Fields as they were kept, or what a new browser has where that cannot be read. */
const oneOf =
  <const T extends string>(known: readonly T[], otherwise: NoInfer<T>) =>
  (kept: unknown): T =>
    known.find((one) => one === kept) ?? otherwise;
const flag = (kept: unknown): boolean => kept === true;
const idOrNone = (kept: unknown): string | null => (typeof kept === "string" ? kept : null);
const numberOrNone = (kept: unknown): number | null =>
  typeof kept === "number" && Number.isFinite(kept) ? kept : null;
const isObject = (kept: unknown): kept is Record<string, unknown> => typeof kept === "object" && kept !== null;

/** What is kept for each method. */
const byMethod = <T>(kept: unknown, read: (one: Record<string, unknown>) => T): Partial<Record<Method, T>> =>
  isObject(kept)
    ? (Object.fromEntries(
        METHODS.flatMap((method) => (isObject(kept[method]) ? [[method, read(kept[method])]] : [])),
      ) as Partial<Record<Method, T>>)
    : {};

/** Countries that measure in feet and pounds (Unicode CLDR, measurement system US). */
const CUSTOMARY = /[-_](US|LR|MM)\b/i;
const systemOfLocale = (): "metric" | "us" =>
  typeof navigator !== "undefined" && CUSTOMARY.test(navigator.language) ? "us" : "metric";

/**
 * What this angler prefers and is looking at; kept in this browser, apart from the book. Each field falls back by
 * itself. Read by hand, since every page reads it before anything else and schemas come with the first write.
 */
const FIELDS = {
  /** Units: as chosen, else by the reader's own country, until a gauge says otherwise. */
  system: (kept: unknown): "metric" | "us" => (kept === "metric" || kept === "us" ? kept : systemOfLocale()),
  systemChosen: flag,
  reach: idOrNone,
  /** Gauge that Water looks at; null means the chosen reach's own. */
  station: idOrNone,
  species: (kept: unknown): string => idOrNone(kept) ?? "brown-trout",
  /** Light the reach is read in; auto is the light now, or daylight when it is dark. */
  light: oneOf(["auto", "day", "twilight", "night"], "auto"),
  /**
   * What lies over the water on the plan, one at a time since over one another they cannot be read: wading; depth lines
   * and the water's edge at other flows; foam lines, breaks, ledges, corners and pools.
   */
  layer: oneOf(["none", "wading", "depths", "structure"], "none"),
  /** How a lie is worked: from below it, from above, or from a boat at anchor. */
  school: oneOf(["from-below", "from-above", "from-boat"], "from-below"),
  /** How the lure falls, and whether this angler roves or waits. */
  fall: oneOf(["light", "jig", "heavy"], "jig"),
  style: oneOf(["rove", "wait"], "rove"),
  /** A place is fed before it is fished, after it has given a fish, or not at all. */
  feeding: oneOf(FEEDINGS, "none"),
  /** The way of fishing that was chosen; null: what the figures put first. */
  method: oneOf(["auto", ...METHODS], "auto"),
  /** What the angler sees of the water: wind, m/s; snags, weed, and what the fish eat, by length, m. */
  wind: (kept: unknown): number => Math.min(40, Math.max(0, numberOrNone(kept) ?? 0)),
  snags: oneOf(["auto", ...SNAGS], "auto"),
  weed: flag,
  prey: oneOf(PREY, "none"),
  preyLength: (kept: unknown): number | null => {
    const length = numberOrNone(kept);
    return length !== null && length >= 0.005 && length <= 0.4 ? length : null;
  },
  /** How it is fished today: a hard day, bites that come short, a live bait, two jigs. */
  tough: flag,
  short: flag,
  liveBait: flag,
  tandem: flag,
  colours: oneOf(COLOUR_SCHOOLS, "dark-first"),
  /** How a lure is let down, and how shot is spread. */
  letDown: oneOf(["slack", "semi-slack", "tight"], "semi-slack"),
  shotting: oneOf(["auto", ...SHOTTINGS], "auto"),
  /** Pike or other toothy fish are about. */
  teeth: flag,
  /** What was chosen for each method, and what the bank has taught of its rig. */
  choices: (kept: unknown): Partial<Record<Method, Chosen>> =>
    byMethod(kept, (one) =>
      Object.fromEntries(
        CHOICES.flatMap((choice) => (typeof one[choice] === "string" ? [[choice, one[choice].slice(0, 40)]] : [])),
      ),
    ),
  learned: (kept: unknown): Partial<Record<Method, Learned>> =>
    byMethod(kept, ({ pull, dragArea }) => ({
      pull: Math.min(5, Math.max(0.2, numberOrNone(pull) ?? 1)),
      ...(typeof dragArea === "number" && dragArea > 0 && dragArea <= 0.05 && { dragArea }),
    })),
  /** Time of the fish's year: by temperature and date, as in the rest of the year, or as the angler says. */
  season: oneOf(["auto", "usual", ...PHASES], "auto"),
  /** What is worked out before anybody asks: other flows and how sure each lie is; or nothing, to save the battery. */
  ahead: oneOf(["all", "none"], "all"),
  /** Sky and wind as the angler expects them, said on a day: they hold for that day alone. */
  expected: expectedOf,
  farthest: (kept: unknown): number | null => {
    const minutes = numberOrNone(kept);
    return minutes !== null && minutes > 0 && minutes <= 6000 ? minutes : null;
  },
  /** The angler's own height, m, for body marks. */
  height: (kept: unknown): number => {
    const height = numberOrNone(kept) ?? MARKED_HEIGHT;
    return height >= 1 && height <= 2.3 ? height : MARKED_HEIGHT;
  },
  /** How columns of a kind of file were matched by hand, by its header. */
  columns: (kept: unknown): Record<string, ColumnMatch[]> =>
    isObject(kept) && Object.values(kept).every((one) => Array.isArray(one) && one.every(isObject))
      ? (kept as Record<string, ColumnMatch[]>)
      : {},
  /** The demo river in the book: when it was loaded, by this device's clock, and its reaches. */
  demo: (kept: unknown): { loadedAt: number; reaches: string[] } | null => {
    if (!isObject(kept)) return null;
    const [loadedAt, { reaches }] = [numberOrNone(kept.loadedAt), kept];
    const sound = Array.isArray(reaches) && reaches.every((one): one is string => typeof one === "string");
    return loadedAt !== null && sound ? { loadedAt, reaches } : null;
  },
  /** The demo river was sent away: do not bring it back by itself. */
  demoRemoved: flag,
  /** When the book was last saved to a file, and when a copy was reminded of, ms of this device. */
  savedAt: numberOrNone,
  remindedAt: numberOrNone,
  /** Cautions that stand all day and were hidden, on a day by the water's clock. */
  hiddenCautions: (kept: unknown): { day: string; kinds: string[] } =>
    isObject(kept) && typeof kept.day === "string" && Array.isArray(kept.kinds)
      ? { day: kept.day, kinds: kept.kinds.filter((one): one is string => typeof one === "string").slice(0, 20) }
      : { day: "", kinds: [] },
  /** The last clap of thunder that the angler heard, ms by the application's clock. */
  thunderAt: numberOrNone,
};
export type Kept = { [Field in keyof typeof FIELDS]: ReturnType<(typeof FIELDS)[Field]> };

const keptOf = (kept: unknown): Kept =>
  Object.fromEntries(
    Object.entries(FIELDS).map(([field, read]) => [field, read(isObject(kept) ? kept[field] : undefined)]),
  ) as unknown as Kept;

/** What is looked at just now; forgotten with the page. */
interface Looked {
  /** Flow that the Reach and Rig stations look at, m3/s; null means the river's own flow now. */
  flow: number | null;
  /** Where the chosen lie is, m; null: the first. */
  lie: { x: number; y: number } | null;
  /** The window of a plan that is looked at, whole: its reach, hours, flow, clarity and warmth. */
  planned: PlannedHours | null;
}

/** A window of a plan: ms and SI; null where the forecast does not say. */
interface PlannedHours {
  reach: string;
  from: number;
  to: number;
  discharge: number;
  visibleDepth: number | null;
  temperature: number | null;
  /** Where it starts, as the plan named it. */
  place: LiePlace;
}

/** The plan that the stations show: while its reach and its flow are the ones that are looked at. */
export const activePlan = ({ planned, reach, flow }: Pick<Settings, "planned" | "reach" | "flow">) =>
  planned && planned.reach === reach && planned.discharge === flow ? planned : undefined;

export type Settings = Kept & Looked & { set: (change: Partial<Kept & Looked>) => void };

/** What a tab looks at: another tab may look at something else. */
const OWN_TO_TAB: readonly (keyof Kept)[] = ["reach", "station", "species", "light", "layer", "method"];

const keeping = sharedSettings(
  () => localStorage,
  () => say("This browser doesn’t save settings. They last until you close this page."),
);

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      ...keptOf(undefined),
      flow: null,
      lie: null,
      planned: null,
      set: (change) => set(change),
    }),
    {
      name: SETTINGS_NAME,
      storage: createJSONStorage(() => keeping),
      partialize: (settings): Kept => keptOf(settings),
      merge: (kept, current) => ({ ...current, ...keptOf(kept) }),
    },
  ),
);

/** Settings of a backup, as far as they are known here: what this browser looks at stays. */
export function applySettings(values: unknown): void {
  const kept = keptOf(values) as Record<string, unknown>;
  const given = isObject(values) ? values : {};
  const stays = new Set<string>([...OWN_TO_TAB, "demo", "demoRemoved", "savedAt", "remindedAt", "thunderAt"]);
  const fields = Object.keys(kept).filter((field) => field in given && !stays.has(field));
  useSettings.setState(Object.fromEntries(fields.map((field) => [field, kept[field]])));
}

/** The settings that a backup holds. */
export const settingsForBackup = (): string => JSON.stringify(keptOf(useSettings.getState()));

/** What another tab has set holds here too, at once; each tab looks at what it looks at. */
export function followOtherTabs(): () => void {
  const onStorage = ({ key, newValue }: StorageEvent) => {
    if (key !== SETTINGS_NAME || newValue === null) return;
    keeping.getItem(SETTINGS_NAME);
    const kept = keptOf((JSON.parse(newValue) as { state?: unknown }).state) as Record<string, unknown>;
    for (const field of OWN_TO_TAB) delete kept[field];
    useSettings.setState(kept);
  };
  window.addEventListener("storage", onStorage);
  return () => window.removeEventListener("storage", onStorage);
}
