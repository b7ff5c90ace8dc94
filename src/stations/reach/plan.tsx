"use client";
import { type KeyboardEvent, type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import type { Catch } from "../../core/book/records";
import type { Field } from "../../core/flow/grid";
import type { Reach } from "../../core/flow/reach";
import type { BoatStand } from "../../core/approach/boat";
import type { Reading } from "../../core/fish/read";
import type { Seam } from "../../core/water/seams";
import type { Stand } from "../../core/approach/stands";
import type { Wading } from "../../core/water/wading";
import { showText } from "../../core/quantity/show";
import type { UnitSystem } from "../../core/quantity/units";
import { Maximize2, Minus, Plus } from "lucide-react";
import { useColours } from "../../ui/colours";
import { ApproachMarks, BoatMarks } from "./approach";
import { contourPath, DepthLines, GhostEdges, heightOverWater } from "./contours";
import { Features, GroundPatterns } from "./features";
import { FishMarks } from "./fish-panel";
import { Foam } from "./foam";
import { Footprint } from "./footprint";
import { Handles } from "./handles";
import { type Place, probeKeys, ProbeMark } from "./probe";
import { ReadingMarks } from "./readings";
import { type Line, SectionLine } from "./section-line";
import { StructureMarks } from "./structure-marks";
import { TemplateHandles } from "./template-handles";
import type { ObjectEditor } from "./use-objects";
import { useZoom } from "./use-zoom";
import { WaterCanvas } from "./water-canvas";

/** The river from above. Flow runs to the right; the left bank is on top, as it is to someone looking down-current. */
export function Plan({
  field,
  reach,
  reading,
  chosen,
  onChoose,
  showWading,
  showDepths,
  showStructure,
  edges,
  editor,
  probe,
  onProbe,
  line,
  onLine,
  stand,
  boat,
  fish,
  territory,
  system,
}: {
  field: Field;
  reach: Reach;
  reading: Reading | undefined;
  chosen: number | undefined;
  onChoose: (rank: number) => void;
  showWading: boolean;
  /** Depth lines, and the water's edge of these fields at other flows. */
  showDepths: boolean;
  edges: readonly Field[];
  /** The line of a section laid by hand. */
  line: Line | undefined;
  onLine: (line: Line) => void;
  showStructure: boolean;
  /** Where to stand, or to anchor, for the chosen lie. */
  stand: Stand | undefined;
  boat: BoatStand | undefined;
  /** Fish of this reach; those with a place are drawn. */
  fish: readonly Catch[];
  /** While the bed is being shaped: the objects can be taken hold of. */
  editor?: ObjectEditor;
  probe: Place | undefined;
  onProbe: (place: Place | undefined) => void;
  system: UnitSystem;
  /** What the chosen fish keeps clear of the next, m across. */
  territory: number;
}) {
  const colours = useColours();
  const outer = useRef<HTMLDivElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const zoom = useZoom(box);
  const [width, setWidth] = useState(0);
  const [length, breadth] = [field.nx * field.cell, field.ny * field.cell];
  useEffect(() => {
    const element = outer.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => setWidth(entry!.contentRect.width));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  // A phone shows part of the reach and scrolls; a desk shows it whole.
  const whole = Math.max(width / length, 6);
  const scale = whole * zoom.factor;
  const onKey = (event: KeyboardEvent) => {
    if (event.key === "+" || event.key === "=") zoom.inward?.();
    else if (event.key === "-") zoom.outward?.();
    else if (event.key === "0") zoom.whole();
    else probeKeys(event, probe, field, onProbe);
  };
  const chosenLie = reading?.lies.find((lie) => lie.rank === chosen);
  useEffect(() => {
    const element = box.current;
    if (element && chosenLie && element.scrollWidth > element.clientWidth + 4)
      element.scrollTo({ left: chosenLie.x * scale - element.clientWidth / 2, behavior: "smooth" });
  }, [chosenLie, scale]);
  return (
    <div ref={outer} className="relative">
      <div
        ref={box}
        className="overflow-auto"
        style={{ maxHeight: zoom.factor > 1 ? Math.max(360, breadth * whole * 1.4) : undefined }}
        tabIndex={0}
        role="group"
        onKeyDown={onKey}
        aria-label={`The reach from above, ${showText(length, "distance", system)} long; the list of lies below says the same in words; arrow keys move a probe, plus and minus zoom`}
      >
        {width > 0 && (
          <div className="relative" style={{ width: length * scale, height: breadth * scale }}>
            <Banks field={field} scale={scale} />
            <WaterCanvas field={field} scale={scale} colours={colours} />
            <Foam field={field} scale={scale} colours={colours} />
            <svg
              width={length * scale}
              height={breadth * scale}
              className="absolute inset-0"
              onClick={(event) => {
                if (editor || zoom.panned() || (event.target as Element).closest("[role=button]")) return;
                const frame = event.currentTarget.getBoundingClientRect();
                onProbe([(event.clientX - frame.left) / scale, (event.clientY - frame.top) / scale]);
              }}
            >
              <Patterns />
              {showWading && reading && <WadingCells wading={reading.wading} field={field} scale={scale} />}
              {showDepths && <DepthLines field={field} scale={scale} system={system} />}
              {showDepths && <GhostEdges fields={edges} scale={scale} system={system} />}
              {!editor && <Features features={reach.features ?? []} scale={scale} />}
              {reading?.eddies.slice(0, 6).map((eddy, k) => (
                <Curl key={k} x={eddy.x * scale} y={eddy.y * scale} size={Math.min(1.6, Math.sqrt(eddy.area) / 4)} />
              ))}
              {reading?.seams.map((seam, k) => (
                <Stitches key={k} seam={seam} scale={scale} />
              ))}
              {showStructure && reading && (
                <StructureMarks
                  structure={reading.structure}
                  eddies={reading.eddies}
                  lies={reading.lies}
                  scale={scale}
                />
              )}
              {editor?.template && (
                <TemplateHandles template={editor.template} scale={scale} system={system} editor={editor} />
              )}
              {editor && <ReadingMarks readings={editor.readings} scale={scale} />}
              {editor && <Handles editor={editor} scale={scale} size={[length, breadth]} system={system} />}
              {!editor && stand && <ApproachMarks stand={stand} scale={scale} />}
              {!editor && boat && chosenLie && <BoatMarks boat={boat} lie={chosenLie} scale={scale} />}
              {!editor && chosenLie && (
                <circle
                  cx={chosenLie.x * scale}
                  cy={chosenLie.y * scale}
                  r={(territory * scale) / 2}
                  fill="none"
                  stroke="var(--ochre)"
                  strokeWidth={1.4}
                  strokeDasharray="4 4"
                  aria-hidden
                />
              )}
              {!editor && <FishMarks catches={fish} discharge={field.discharge} all={showStructure} scale={scale} />}
              {!editor &&
                reading &&
                [...reading.lies].reverse().map((lie) => (
                  <g
                    key={lie.rank}
                    transform={`translate(${lie.x * scale} ${lie.y * scale})`}
                    role="button"
                    tabIndex={0}
                    aria-label={`Lie ${lie.rank}, ${lie.kind}: ${lie.place}`}
                    aria-pressed={lie.rank === chosen}
                    className="cursor-pointer"
                    onClick={() => onChoose(lie.rank)}
                    onKeyDown={(event) =>
                      (event.key === "Enter" || event.key === " ") && (event.preventDefault(), onChoose(lie.rank))
                    }
                  >
                    <circle r={22} fill="transparent" />
                    <Footprint
                      rank={lie.rank}
                      kind={lie.kind}
                      size={lie.rank === chosen ? 1.15 : lie.rank <= 3 ? 1 : 0.84}
                      chosen={lie.rank === chosen}
                      upCurrent={lie.upCurrent}
                    />
                  </g>
                ))}
              {line && !editor && (
                <SectionLine line={line} scale={scale} size={[length, breadth]} system={system} onChange={onLine} />
              )}
              {probe && !editor && <ProbeMark place={probe} scale={scale} />}
              <g transform={`translate(12 18)`} fill="var(--ink-soft)" fontSize={13}>
                <text>left bank</text>
              </g>
              <text x={12} y={breadth * scale - 10} fill="var(--ink-soft)" fontSize={13}>
                flow →
              </text>
              <ScaleBar x={length * scale - 16} y={breadth * scale - 12} scale={scale} system={system} />
            </svg>
          </div>
        )}
      </div>
      <div className="absolute top-2 right-3 flex gap-1">
        <ZoomButton label="Nearer" onPress={zoom.inward}>
          <Plus size={18} aria-hidden />
        </ZoomButton>
        <ZoomButton label="Farther" onPress={zoom.outward}>
          <Minus size={18} aria-hidden />
        </ZoomButton>
        {zoom.factor > 1 && (
          <ZoomButton label="The whole reach" onPress={zoom.whole}>
            <Maximize2 size={16} aria-hidden />
          </ZoomButton>
        )}
      </div>
    </div>
  );
}

function ZoomButton({
  label,
  onPress,
  children,
}: {
  label: string;
  onPress: (() => void) | undefined;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={!onPress}
      onClick={onPress}
      className="grid size-10 place-items-center rounded-md border border-line bg-paper/90 hover:bg-deep disabled:opacity-40"
    >
      {children}
    </button>
  );
}

function Patterns() {
  return (
    <defs>
      <GroundPatterns />
      <pattern id="wade-careful" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle
          cx="3.5"
          cy="3.5"
          r="1.5"
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeOpacity="0.6"
          strokeWidth="0.7"
        />
      </pattern>
      <pattern id="wade-strong" width="5" height="5" patternUnits="userSpaceOnUse">
        <circle
          cx="2.5"
          cy="2.5"
          r="1.7"
          fill="var(--ochre)"
          stroke="var(--paper)"
          strokeOpacity="0.6"
          strokeWidth="0.6"
        />
      </pattern>
      <pattern id="wade-out" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M2 0V7" stroke="var(--paper)" strokeWidth="3.4" strokeOpacity="0.55" />
        <path d="M2 0V7" stroke="var(--clay)" strokeWidth="2" />
      </pattern>
    </defs>
  );
}

/** Land by its height: a few quiet contour lines above the water. */
function Banks({ field, scale }: { field: Field; scale: number }) {
  const lines = useMemo(() => {
    const height = heightOverWater(field);
    const { nx, ny, cell } = field;
    return [0.25, 0.7, 1.2].map((level) => contourPath(height, nx, ny, cell * scale, level));
  }, [field, scale]);
  const [width, heightPx] = [field.nx * field.cell * scale, field.ny * field.cell * scale];
  return (
    <svg width={width} height={heightPx} aria-hidden className="absolute inset-0">
      {lines.map((d, k) => (
        <path key={k} d={d} fill="none" stroke="var(--line)" strokeWidth={1.2} strokeOpacity={1 - 0.25 * k} />
      ))}
    </svg>
  );
}

/** A seam: a double thread of stitches, tighter where the seam is sharper. */
function Stitches({ seam, scale }: { seam: Seam; scale: number }) {
  const d = `M${seam.points.map(([x, y]) => `${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}`).join("L")}`;
  const stitch = Math.max(3, Math.min(11, 4 / Math.max(0.3, seam.sharpness)));
  return (
    <g fill="none" strokeLinejoin="round">
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

function Curl({ x, y, size }: { x: number; y: number; size: number }) {
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

/** Wading: easy water is left clear; dots for care, close dots for strong water, hatching for stay out. */
function WadingCells({ wading, field, scale }: { wading: Wading; field: Field; scale: number }) {
  const paths = useMemo(() => {
    const { nx, ny, cell } = field;
    const d = ["", "", "", "", ""];
    const s = cell * scale;
    for (let j = 0; j < ny; j++) {
      for (let i = 0; i < nx;) {
        const kind = wading.classes[j * nx + i]!;
        let end = i + 1;
        while (end < nx && wading.classes[j * nx + end] === kind) end++;
        if (kind >= 2)
          d[kind] +=
            `M${(i * s).toFixed(1)} ${(j * s).toFixed(1)}h${((end - i) * s).toFixed(1)}v${s.toFixed(1)}h${(-(end - i) * s).toFixed(1)}z`;
        i = end;
      }
    }
    return d;
  }, [wading, field, scale]);
  return (
    <g aria-hidden>
      <path d={paths[2]} fill="url(#wade-careful)" />
      <path d={paths[3]} fill="url(#wade-strong)" />
      <path d={paths[4]} fill="url(#wade-out)" />
    </g>
  );
}

function ScaleBar({ x, y, scale, system }: { x: number; y: number; scale: number; system: UnitSystem }) {
  const metres = system === "us" ? 30 * 0.3048 : 10;
  return (
    <g stroke="var(--ink)" strokeWidth={1.5} aria-hidden>
      <path d={`M${x - metres * scale} ${y}H${x}`} />
      <text
        x={x - (metres * scale) / 2}
        y={y - 6}
        textAnchor="middle"
        fontSize={13}
        stroke="none"
        fill="var(--ink-soft)"
      >
        {system === "us" ? "30 ft" : "10 m"}
      </text>
    </g>
  );
}
