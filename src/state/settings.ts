"use client";
import { z } from "zod";
import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { ColumnMatch } from "../core/formats/gauge-csv";
import { PHASES } from "../core/fish/species-schema";
import { MARKED_HEIGHT } from "../core/gauge/clarity";

/**
 * What this angler prefers and is looking at; kept in this browser, apart from the book. Each field falls back by
 * itself to what a new browser has when what was kept cannot be read.
 */
const keptSchema = z.object({
  system: z.enum(["metric", "us"]).catch("metric"),
  reach: z.string().nullable().catch(null),
  /** Gauge that Water looks at; null means the chosen reach's own. */
  station: z.string().nullable().catch(null),
  species: z.string().catch("brown-trout"),
  /** Light the reach is read in; auto is the light now, or daylight when it is dark. */
  light: z.enum(["auto", "day", "twilight", "night"]).catch("auto"),
  showWading: z.boolean().catch(false),
  /** Depth lines, and the water's edge at other flows. */
  showDepths: z.boolean().catch(false),
  /** Foam lines, breaks, ledges, corners and pools on the plan. */
  showStructure: z.boolean().catch(false),
  /** How a lie is worked: from below it, from above, or from a boat at anchor. */
  school: z.enum(["from-below", "from-above", "from-boat"]).catch("from-below"),
  /** How the lure falls, and whether this angler roves or waits. */
  fall: z.enum(["light", "jig", "heavy"]).catch("jig"),
  style: z.enum(["rove", "wait"]).catch("rove"),
  /** Time of the fish's year: by temperature and date, as in the rest of the year, or as the angler says. */
  season: z.enum(["auto", "usual", ...PHASES]).catch("auto"),
  /** The angler's own height, m, for body marks. */
  height: z.number().min(1).max(2.3).catch(MARKED_HEIGHT),
  /** How columns of a kind of file were matched by hand, by its header. */
  columns: z
    .record(z.string(), z.array(z.custom<ColumnMatch>((one) => typeof one === "object" && one !== null)))
    .catch({}),
  /** The made-up river in the book: when it was loaded, by this device's clock, and its reaches. */
  demo: z
    .object({ loadedAt: z.number(), reaches: z.array(z.string()) })
    .nullable()
    .catch(null),
  /** The made-up river was sent away: do not bring it back by itself. */
  demoRemoved: z.boolean().catch(false),
  /** The last clap of thunder that the angler heard, ms by the application's clock. */
  thunderAt: z.number().nullable().catch(null),
});
export type Kept = z.infer<typeof keptSchema>;

/** What is looked at just now; forgotten with the page. */
interface Looked {
  /** Flow that the Reach and Rig stations look at, m3/s; null means the river's own flow now. */
  flow: number | null;
  /** Where the chosen lie is, m; null: the first. */
  lie: { x: number; y: number } | null;
}

export type Settings = Kept & Looked & { set: (change: Partial<Kept & Looked>) => void };

const fresh = keptSchema.parse({});

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      ...fresh,
      flow: null,
      lie: null,
      set: (change) => set(change),
    }),
    {
      name: "low-heron-settings",
      partialize: (settings): Kept => keptSchema.parse(settings),
      merge: (kept, current) => ({
        ...current,
        ...keptSchema.parse(typeof kept === "object" && kept !== null ? kept : {}),
      }),
    },
  ),
);
