import { ChartColumn, type LucideIcon, NotebookPen, Ruler, Spline, Sunrise, Timer, Waves } from "lucide-react";

/** The stations of the day that exist so far, in working order; number keys follow it. */
export const STATIONS: readonly { path: string; name: string; icon: LucideIcon }[] = [
  { path: "/today", name: "Today", icon: Sunrise },
  { path: "/water", name: "Water", icon: Waves },
  { path: "/reach", name: "Reach", icon: Spline },
  { path: "/rig", name: "Rig", icon: Ruler },
  { path: "/session", name: "Session", icon: Timer },
  { path: "/log", name: "Log", icon: NotebookPen },
  { path: "/learn", name: "Learn", icon: ChartColumn },
];
