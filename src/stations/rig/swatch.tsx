import type { Colour } from "../../core/tactics/lure";

const LOOK: Record<Colour, { fill: string; mark: string }> = {
  black: { fill: "#1a1a1a", mark: "" },
  brown: { fill: "#6b4a2b", mark: "M0 0L12 12" },
  green: { fill: "#4c6b3a", mark: "M0 12L12 0" },
  pink: { fill: "#d98a9a", mark: "M6 0V12" },
  chartreuse: { fill: "#c3d52f", mark: "M0 6H12" },
  orange: { fill: "#d96f1e", mark: "M6 0V12M0 6H12" },
  natural: { fill: "#b7ab8c", mark: "M2 9Q6 3 10 9" },
  white: { fill: "#ffffff", mark: "M3 6H9" },
  translucent: { fill: "#e9ecdf", mark: "M2 2L10 10M2 10L10 2" },
  "two-tone": { fill: "#8d8a78", mark: "M0 5H12M0 4H12M0 3H12M0 2H12M0 1H12" },
  red: { fill: "#b3332c", mark: "M0 4H12M0 8H12" },
  gold: { fill: "#c9a23a", mark: "M2 6A4 4 0 0 1 10 6" },
  silver: { fill: "#c8cdd0", mark: "M2 6A4 4 0 0 0 10 6" },
  crayfish: { fill: "#8a4f35", mark: "M3 2V7M9 2V7M3 10H9" },
  "bait-fish": { fill: "#aebfc4", mark: "M1 6Q6 1 11 6Q6 11 1 6" },
};

/** A pattern beside the word: the word says it, the swatch repeats it. */
export function Swatch({ colour }: { colour: Colour }) {
  const { fill, mark } = LOOK[colour];
  return (
    <svg width={19} height={19} viewBox="0 0 12 12" aria-hidden className="shrink-0">
      <rect width={12} height={12} rx={2} fill={fill} stroke="var(--ink)" strokeWidth={0.8} />
      <path d={mark} stroke={colour === "black" ? "#fff" : "#1a1a1a"} strokeWidth={1} fill="none" />
    </svg>
  );
}
