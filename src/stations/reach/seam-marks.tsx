"use client";
import type { Seam } from "../../core/water/seams";

/** A seam: a double thread of stitches, tighter where the seam is sharper, fainter the less sure it is. */
export function Stitches({ seam, scale, sure }: { seam: Seam; scale: number; sure: number }) {
  const d = `M${seam.points.map(([x, y]) => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`).join("L")}`;
  const stitch = Math.max(3, Math.min(11, 4 / Math.max(0.3, seam.sharpness)));
  return (
    <g fill="none" strokeLinejoin="round" opacity={sure}>
      <path d={d} stroke="var(--water-slow)" strokeWidth={5.5} strokeOpacity={0.85} />
      <path
        d={d}
        stroke="var(--water-fast)"
        strokeWidth={2.4}
        strokeDasharray={`${stitch} ${stitch * 0.7}`}
        data-thread
      />
    </g>
  );
}

/** An eddy. */
export function Curl({ x, y, size }: { x: number; y: number; size: number }) {
  return (
    <path
      transform={`translate(${x} ${y}) scale(${Math.max(0.7, size)})`}
      d="M-11 2C-10 -8 6 -11 10 -3C13 5 3 10 -2 6C-6 3 -3 -3 2 -2"
      fill="none"
      stroke="var(--water-fast)"
      strokeOpacity={0.85}
      strokeWidth={1.8}
      strokeLinecap="round"
    />
  );
}
