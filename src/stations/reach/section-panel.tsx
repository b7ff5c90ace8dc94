"use client";
import type { Numbered } from "../../scenario/lie-identity";
import type { Lie } from "../../core/fish/read";
import type { Field } from "../../core/flow/grid";
import { act } from "../../state/act";
import type { NumberedReading } from "../../state/scenario/use-reading";
import { useSettings } from "../../state/settings";
import { database } from "../../store/database";
import { patchReach } from "../../store/reaches";
import { Panel } from "../../widgets/panel";
import { ApproachPanel } from "./approach";
import { SectionAtLie, SectionOnLine } from "./section";
import type { Line } from "./section-line";
import type { ReachView } from "./use-reach-view";

/** Across the river at the lie, or along a line laid by hand; the water in words; and how to come to the lie. */
export function SectionPanel({
  view,
  reading,
  lie,
}: {
  view: ReachView;
  reading: NumberedReading;
  lie: Numbered<Lie>;
}) {
  const system = useSettings((settings) => settings.system);
  const { line, probe, scenario, approach } = view;
  const { river, conditions } = scenario;
  const { field } = reading.of;
  const reach = river.reach!.reach;
  const laid = line.line;
  const toggle = () => line.lay(laid ? undefined : lineNear(field, probe.place ?? [lie.x, lie.y]));
  return (
    <Panel
      title={laid ? "Along the line" : `Across the river at lie ${lie.number}`}
      aside={
        <button type="button" className="-my-3 min-h-11 text-sm underline" onClick={toggle}>
          {laid ? `at lie ${lie.number} again` : "Draw a section"}
        </button>
      }
    >
      {laid ? (
        <SectionOnLine field={field} line={laid} visibleDepth={conditions.visibleDepth} system={system} />
      ) : (
        <SectionAtLie field={field} lie={lie} visibleDepth={conditions.visibleDepth} system={system} />
      )}
      <p className="mt-1 text-sm text-soft">
        {laid ? "Drag its ends on the plan or use the arrow keys. " : "Looking downstream. "}Dotted: how deep you can
        see. Depth is exaggerated.
      </p>
      <ApproachPanel
        lie={lie.number}
        wading={reading.wading}
        approach={approach}
        sunKnown={reach.bearing !== undefined && river.place !== undefined}
        bearing={reach.bearing}
        onBearing={(bearing) => {
          act(() => patchReach(database(), reach.id, { bearing }));
        }}
      />
    </Panel>
  );
}

/** Dry ground at both ends of a new line, m. */
const ASHORE = 1.5;

/** A line across the river at a place, from bank to bank. */
function lineNear({ nx, ny, cell, depth }: Field, [x]: readonly [number, number]): Line {
  const i = Math.min(nx - 1, Math.floor(x / cell));
  const wet = Array.from({ length: ny }, (_, j) => j).filter((j) => depth[j * nx + i]! > 0);
  const held = (y: number) => Math.min((ny - 0.5) * cell, Math.max(0.5 * cell, y));
  return [
    [x, held((wet[0] ?? 0) * cell - ASHORE)],
    [x, held(((wet.at(-1) ?? ny) + 1) * cell + ASHORE)],
  ];
}
