"use client";
import type { UnitSystem } from "../../words/quantity";
import { scaleLog } from "d3-scale";
import * as Slider from "radix-ui/slider";
import { type PointerEvent, type ReactNode, useEffect } from "react";
import { CommitField } from "../../widgets/commit-field";
import { messageText } from "../../words/messages";
import { entryUnit, figureText, show, showText } from "../../words/quantity";
import type { FlowScale } from "./use-reach-view";
import { findUnit, fromSI, parseQuantity, toSI } from "../../core/quantity/units";

/** A flow as it was typed, m3/s, within what can be looked at; or what is wrong with it. */
function typed(text: string, [low, high]: readonly [number, number], system: UnitSystem) {
  const parsed = parseQuantity(text, "discharge", entryUnit("discharge", system));
  if (!parsed.ok) return { ok: false as const, fault: messageText(parsed.message) };
  if (parsed.value >= low && parsed.value <= high) return { ok: true as const, value: parsed.value };
  return {
    ok: false as const,
    fault: `From ${showText(low, "discharge", system)} to ${showText(high, "discharge", system)}.`,
  };
}

/** By finger only the thumb moves the flow: a scroll may begin on the track. */
function thumbOnly(event: PointerEvent): void {
  if (event.pointerType === "touch" && !(event.target as Element).closest("[role=slider]")) event.preventDefault();
}

/** The flow to look at, on a log scale: the season's usual band behind it, dots where the flow is solved already. */
export function FlowSlider({
  flow,
  scale: { range, band },
  solved,
  precomputed,
  now,
  at: { season, solving } = { solving: false },
  system,
  onChange,
  onNow,
  children,
}: {
  flow: number;
  scale: Pick<FlowScale, "range" | "band">;
  solved: readonly number[];
  precomputed: readonly { discharge: number; solved: boolean }[];
  now: number | null;
  /** How the flow of now stands to the season's, where it is looked at; and whether it is being solved. */
  at?: { season?: string; solving: boolean };
  system: UnitSystem;
  onChange: (flow: number) => void;
  onNow: () => void;
  /** What stands beside the figure: how settled the picture is. */
  children?: ReactNode;
}) {
  const [low, high] = range;
  const along = scaleLog().domain([low, high]).clamp(true);
  const place = (q: number) => along(q);
  const flowAt = (t: number) => along.invert(t);
  const waiting = precomputed.filter((one) => !one.solved).length;
  const shown = show(flow, "discharge", system);
  const step = (factor: number) => onChange(Number(Math.min(high, Math.max(low, flow * factor)).toPrecision(3)));

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.target as HTMLElement).closest("input, textarea, [role=dialog]") || event.ctrlKey || event.metaKey)
        return;
      if (event.key === "[") step(1 / 1.1);
      if (event.key === "]") step(1.1);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });

  return (
    <div className="pt-1">
      <div className="flex flex-wrap items-center gap-x-5">
        <CommitField
          key={system}
          label="Flow to show"
          className="flex flex-wrap items-center gap-x-2 [&_input]:w-32 [&_input]:text-lg [&_input]:font-semibold [&_label]:mb-0 [&_label]:text-base [&_label]:text-ink"
          shown={shown.text}
          read={(text) => typed(text, range, system)}
          onKeep={onChange}
        />
        {now !== null && Math.abs(now / flow - 1) > 0.005 && (
          <button type="button" className="min-h-11 text-sm underline" onClick={onNow}>
            show the flow now, {show(now, "discharge", system).text}
          </button>
        )}
        {children}
        {/* While it is solved that stands there alone, so that its stop does not move about. */}
        <p className={`ml-auto hidden text-sm text-soft ${solving ? "" : "md:block"}`}>
          {[
            season,
            band && "shaded: usual",
            `dots: worked out${waiting ? ` (${precomputed.length - waiting} of ${precomputed.length})` : ""}`,
          ]
            .filter(Boolean)
            .join(" · ")}
        </p>
      </div>
      <div className="relative mt-1 h-12">
        {band && (
          <div
            aria-hidden
            data-slid="band"
            className="absolute top-1 h-4 bg-reed-soft"
            style={{ left: `${place(band[0]) * 100}%`, right: `${(1 - place(band[1])) * 100}%` }}
          />
        )}
        <Slider.Root
          className="absolute inset-x-0 top-0 flex h-6 touch-pan-y items-center"
          min={0}
          max={1000}
          step={1}
          onPointerDown={thumbOnly}
          onPointerMove={thumbOnly}
          onPointerUp={thumbOnly}
          value={[Math.round(place(flow) * 1000)]}
          onValueChange={([value]) => onChange(Number(flowAt(value! / 1000).toPrecision(3)))}
        >
          <Slider.Track data-slid="track" className="relative h-[2px] w-full bg-ink" />
          <Slider.Thumb
            aria-label="Flow shown"
            aria-valuetext={shown.text}
            data-slid="thumb"
            className="tap relative z-10 block size-6 cursor-grab touch-none rounded-full border-4 border-paper bg-ochre shadow"
          />
        </Slider.Root>
        {solved
          .filter((q) => q >= low && q <= high)
          .map((q) => (
            <span
              key={q}
              aria-hidden
              className="pointer-events-none absolute top-[8px] size-[8px] -translate-x-1/2 rounded-full bg-ink"
              style={{ left: `${place(q) * 100}%` }}
            />
          ))}
        {precomputed
          .filter((one) => !one.solved && one.discharge >= low && one.discharge <= high)
          .map(({ discharge }) => (
            <span
              key={discharge}
              aria-hidden
              className="pointer-events-none absolute top-[8px] size-[8px] -translate-x-1/2 rounded-full border-2 border-soft bg-paper"
              style={{ left: `${place(discharge) * 100}%` }}
            />
          ))}
        {ticks(low, high, system).map(({ q, label }) => (
          <span
            key={label}
            aria-hidden
            className="absolute top-6 -translate-x-1/2 text-sm whitespace-nowrap text-soft"
            style={{ left: `${place(q) * 100}%` }}
          >
            {label}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Round flows of the 1-2-5 scale within the range, in the shown unit. */
function ticks(low: number, high: number, system: UnitSystem): { q: number; label: string }[] {
  const unit = findUnit(entryUnit("discharge", system))!;
  const shown = scaleLog().domain([fromSI(low, unit) * 1.02, fromSI(high, unit) * 0.98]);
  return shown
    .ticks()
    .filter((value) => /^[125]0*$/.test(String(Number(value.toPrecision(2))).replace(/^0?\.0*/, "")))
    .map((value) => ({ q: toSI(value, unit), label: figureText(value, value < 1 ? 1 : 0) }));
}
