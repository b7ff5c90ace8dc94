"use client";
import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { ColumnMatch } from "../core/formats/gauge-csv";
import { MARKED_HEIGHT } from "../core/gauge/clarity";
import type { Light } from "../core/fish/foraging";
import type { Fall } from "../core/approach/landing";
import type { Phase } from "../core/fish/species";
import type { School } from "../core/approach/stands";
import type { Style } from "../core/tactics/time";
import type { UnitSystem } from "../core/quantity/units";

/** What this angler prefers and is looking at; kept in this browser, apart from the book. */
interface Settings {
  system: UnitSystem;
  reach: string | null;
  /** Gauge that Water looks at; null means the chosen reach's own. */
  station: string | null;
  species: string;
  /** Flow that the Reach and Rig stations look at, m3/s; null means the river's own flow now. */
  flow: number | null;
  /** Rank of the chosen lie. */
  lie: number;
  /** Light the reach is read in; auto is the light now, or daylight when it is dark. */
  light: "auto" | Light;
  showWading: boolean;
  /** Depth lines, and the water's edge at other flows. */
  showDepths: boolean;
  /** Foam lines, breaks, ledges, corners and pools on the plan. */
  showStructure: boolean;
  /** How a lie is worked: from below it, from above, or from a boat at anchor. */
  school: School | "from-boat";
  /** How the lure falls, and whether this angler roves or waits. */
  fall: Fall;
  style: Style;
  /** Time of the fish's year: by temperature and date, as in the rest of the year, or as the angler says. */
  season: "auto" | "usual" | Phase;
  /** The angler's own height, m, for body marks. */
  height: number;
  /** How columns of a kind of file were matched by hand, by its header. */
  columns: Record<string, ColumnMatch[]>;
  /** The made-up river was sent away: do not bring it back by itself. */
  demoRemoved: boolean;
  set: (change: Partial<Omit<Settings, "set">>) => void;
}

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      system: "metric",
      reach: null,
      station: null,
      species: "brown-trout",
      flow: null,
      lie: 1,
      light: "auto",
      showWading: false,
      showDepths: false,
      school: "from-below",
      showStructure: false,
      fall: "jig",
      style: "rove",
      season: "auto",
      height: MARKED_HEIGHT,
      columns: {},
      demoRemoved: false,
      set: (change) => set(change),
    }),
    {
      name: "low-heron-settings",
      partialize: ({
        system,
        reach,
        station,
        species,
        light,
        showWading,
        showDepths,
        showStructure,
        school,
        fall,
        style,
        season,
        height,
        columns,
        demoRemoved,
      }) => ({
        system,
        reach,
        station,
        species,
        light,
        showWading,
        showDepths,
        showStructure,
        school,
        fall,
        style,
        season,
        height,
        columns,
        demoRemoved,
      }),
    },
  ),
);
