"use client";

/** What stands in or over the water, as seen from above. */
export function Features({ features, scale }: { features: readonly Feature[]; scale: number }) {
  return (
    <g aria-hidden>
      {features.map((feature, k) => (
        <FeatureShape key={k} feature={feature} scale={scale} />
      ))}
    </g>
  );
}

/** One feature, placed on the plan. */
export function FeatureShape({ feature, scale }: { feature: Feature; scale: number }) {
  if (feature.kind === "wall")
    return (
      <rect
        x={(feature.x - feature.thickness / 2) * scale}
        y={Math.min(feature.from, feature.to) * scale}
        width={feature.thickness * scale}
        height={Math.abs(feature.to - feature.from) * scale}
        fill="var(--stone)"
      />
    );
  if (feature.kind === "boulder" || feature.kind === "pier") {
    const r = (feature.diameter / 2) * scale * (feature.kind === "boulder" ? 0.86 : 1);
    return (
      <g transform={`translate(${feature.x * scale} ${feature.y * scale})`}>
        <circle r={r} fill="var(--stone)" stroke="var(--paper)" strokeOpacity={0.5} strokeWidth={1} />
        {feature.kind === "pier" && (
          <path d={`M${-r * 0.5} 0H${r * 0.5}M0 ${-r * 0.5}V${r * 0.5}`} stroke="var(--paper)" strokeWidth={1.5} />
        )}
      </g>
    );
  }
  const [length, width] = [feature.length * scale, feature.width * scale];
  return (
    <g transform={`translate(${feature.x * scale} ${feature.y * scale}) rotate(${feature.angle})`}>
      {lain(feature, length, width)}
    </g>
  );
}

function lain(feature: Exclude<Feature, { kind: "boulder" | "pier" | "wall" }>, length: number, width: number) {
  const box = { x: -length / 2, y: -width / 2, width: length, height: width };
  switch (feature.kind) {
    case "log":
      return (
        <path
          d={`M${-length / 2} 0H${length / 2}`}
          stroke="var(--stone)"
          strokeWidth={Math.max(3, width * 0.8)}
          strokeLinecap="round"
        />
      );
    case "log-jam":
      return (
        <g stroke="var(--stone)" strokeLinecap="round">
          <rect {...box} rx={5} fill="var(--water-slow)" stroke="none" />
          {[-0.32, 0, 0.32].map((across, n) => (
            <path
              key={across}
              d={`M${-length / 2 + 0.02 * n * length} ${across * width}L${length / 2 - 0.03 * n * length} ${(across + 0.12 * (n - 1)) * width}`}
              strokeWidth={Math.max(3, width * 0.26)}
            />
          ))}
        </g>
      );
    case "patch":
      return (
        <rect
          {...box}
          rx={4}
          fill={`url(#ground-${feature.substrate === "weed" || feature.substrate === "wood" ? "weed" : "grain"})`}
          stroke="var(--reed)"
          strokeWidth={1.2}
          strokeDasharray="2 3"
        />
      );
    case "undercut":
      return (
        <rect
          {...box}
          rx={3}
          fill="var(--water-slow)"
          fillOpacity={0.55}
          stroke="var(--paper)"
          strokeWidth={1.4}
          strokeDasharray="6 3"
        />
      );
    case "overhang":
      return (
        <rect
          {...box}
          rx={Math.min(length, width) / 2}
          fill="var(--reed)"
          fillOpacity={0.4}
          stroke="var(--reed)"
          strokeWidth={1.4}
          strokeDasharray="1 4"
          strokeLinecap="round"
        />
      );
  }
}

/** Fill patterns of patches. */
export function GroundPatterns() {
  return (
    <>
      <pattern id="ground-weed" width="9" height="9" patternUnits="userSpaceOnUse">
        <path d="M2 8C1 5 4 4 3 1M7 8C6 6 8 4 7 2" fill="none" stroke="var(--reed)" strokeWidth="1.6" />
      </pattern>
      <pattern id="ground-grain" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="1" fill="var(--paper)" fillOpacity="0.6" />
        <circle cx="5.5" cy="5" r="1.3" fill="none" stroke="var(--paper)" strokeOpacity="0.6" strokeWidth="0.8" />
      </pattern>
    </>
  );
}
import type { Feature } from "../../core/flow/reach-schema";
