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
};

/** A pattern beside the word: the word says it, the swatch repeats it. */
export function Swatch({ colour }: { colour: Colour }) {
  const { fill, mark } = LOOK[colour];
  return (
    <svg width={22} height={22} viewBox="0 0 12 12" aria-hidden className="shrink-0">
      <rect width={12} height={12} rx={2} fill={fill} stroke="var(--ink)" strokeWidth={0.8} />
      <path d={mark} stroke={colour === "black" ? "#fff" : "#1a1a1a"} strokeWidth={1} fill="none" />
    </svg>
  );
}
