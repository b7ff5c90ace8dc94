"use client";
import { useTheme } from "next-themes";
import { useEffect, useState } from "react";

const NAMES = {
  paper: "--paper",
  paperDeep: "--paper-deep",
  line: "--line",
  ink: "--ink",
  inkSoft: "--ink-soft",
  ochre: "--ochre",
  reed: "--reed",
  reedSoft: "--reed-soft",
  clay: "--clay",
  stone: "--stone",
  waterSlow: "--water-slow",
  waterFast: "--water-fast",
} as const;
export type Colours = Record<keyof typeof NAMES, string>;

const DAY: Colours = {
  paper: "#f4f0e6",
  paperDeep: "#ebe4d2",
  line: "#d6ccb4",
  ink: "#1f2d36",
  inkSoft: "#4b5b64",
  ochre: "#a4560a",
  reed: "#5d7039",
  reedSoft: "#cfd3ab",
  clay: "#8a4a30",
  stone: "#7a6a58",
  waterSlow: "#22384a",
  waterFast: "#eef0e8",
};

/** The theme's colours as canvas and charts need them. */
export function useColours(): Colours {
  const { theme } = useTheme();
  const [colours, setColours] = useState<Colours>(DAY);
  useEffect(() => {
    // The theme's attribute is on the document by the next frame.
    const frame = requestAnimationFrame(() => {
      const style = getComputedStyle(document.documentElement);
      setColours(
        Object.fromEntries(
          Object.entries(NAMES).map(([name, variable]) => [name, style.getPropertyValue(variable).trim()]),
        ) as Colours,
      );
    });
    return () => cancelAnimationFrame(frame);
  }, [theme]);
  return colours;
}

/** "#rrggbb", or "#rgb" as style sheets are shortened, as three numbers. */
export function rgb(hex: string): [number, number, number] {
  const long = hex.length === 4 ? `#${[...hex.slice(1)].map((digit) => digit + digit).join("")}` : hex;
  return [1, 3, 5].map((at) => parseInt(long.slice(at, at + 2), 16)) as [number, number, number];
}
