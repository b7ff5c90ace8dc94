"use client";
import { useMemo, useState } from "react";
import type { Catch } from "../../core/book/records";
import type { FlowBand } from "../../core/fish/flow-band";
import type { Field } from "../../core/flow/grid";
import { seasonLevels } from "../../core/gauge/exceedance";
import { lastInstant, seriesOf } from "../../core/gauge/summary";
import type { Approach } from "../../scenario/approach";
import { roundFlow } from "../../scenario/field";
import type { Robustness } from "../../scenario/robustness";
import type { Stage } from "../../state/query";
import { type FishAgainstModel, useAgreement } from "../../state/scenario/use-agreement";
import { settledReading, useApproach } from "../../state/scenario/use-approach";
import { useBands } from "../../state/scenario/use-bands";
import { useEdges } from "../../state/scenario/use-edges";
import { type Precomputed, usePrecomputed } from "../../state/scenario/use-precomputed";
import { useRobustness } from "../../state/scenario/use-robustness";
import { type ScenarioView, useScenario } from "../../state/scenario/use-scenario";
import { useSettings } from "../../state/settings";
import { type BookView, useBook } from "../../state/use-book";
import { useFishes } from "../../state/use-fishes";
import { useOutlook } from "../../state/use-outlook";
import { type Place, useProbe } from "./probe";
import type { Line } from "./section-line";
import { type BedEditor, useBedEditor } from "./use-bed-editor";

/** Range of the flow slider and the season's middle half, m3/s. */
export interface FlowScale {
  range: [number, number];
  /** Of the river itself, without the flow looked at: precomputed flows hang on it. */
  own: [number, number];
  band: [number, number] | null;
}

/** Everything that the Reach station shows. */
export interface ReachView {
  scenario: ScenarioView;
  scale: FlowScale;
  precomputed: Precomputed;
  approach: Stage<Approach>;
  /** How often each lie and seam is there when what is not known is moved; undefined while that is worked out. */
  robustness: Robustness | undefined;
  /** The flows at which the chosen lie fishes. */
  band: FlowBand | undefined;
  edges: readonly Field[];
  book: BookView;
  /** Fish of this reach, and how they stand to the model. */
  fishHere: readonly Catch[];
  against: FishAgainstModel;
  editor: BedEditor | undefined;
  probe: { place: Place | undefined; put: (place: Place | undefined) => void };
  /** The line of a section laid by hand. */
  line: { line: Line | undefined; lay: (line: Line | undefined) => void };
}

export function useReachView(): ReachView {
  const scenario = useScenario();
  const { layer } = useSettings();
  const { river, field, reading, lie, conditions, request, isNow } = scenario;
  const reach = river.reach?.reach;
  const fishes = useFishes();
  const book = useBook();
  const scale = useFlowScale(scenario);
  const flow = roundFlow(conditions.discharge);
  const settled = settledReading(scenario);
  const approach = useApproach(scenario);
  const last = river.gauge ? (lastInstant(river.gauge) ?? undefined) : undefined;
  const outlook = useOutlook(river.gauge, last, river.atReach);
  const robustness = useRobustness(reach, settled, request, outlook, isNow);
  const precomputed = usePrecomputed(reach, scale.own, flow, !field.settled || reading.pending || robustness.pending);
  const bands = useBands(reach, precomputed, request, settled?.lies, settled?.of.field.discharge);
  const fishHere = useMemo(() => {
    const sessions = new Set(book.sessions.filter((one) => one.reach === reach?.id).map((one) => one.id));
    return book.catches.filter((one) => sessions.has(one.session));
  }, [book.sessions, book.catches, reach?.id]);
  const against = useAgreement(reach, fishHere, fishes.of, precomputed);
  const [laid, setLaid] = useState<{ reach: string; line: Line } | undefined>();
  const at = settled?.lies.findIndex((one) => one.number === lie?.number) ?? -1;
  return {
    scenario,
    scale,
    precomputed,
    approach,
    robustness: robustness.value,
    band: at < 0 ? undefined : bands.value?.[at],
    edges: useEdges(reach, flow, layer === "depths"),
    book,
    fishHere,
    against,
    editor: useBedEditor(river.reach),
    probe: useProbe(reach?.id),
    line: {
      line: laid && laid.reach === reach?.id ? laid.line : undefined,
      lay: (line) => setLaid(line && reach ? { reach: reach.id, line } : undefined),
    },
  };
}

/** Where no gauge tells, m3/s. */
const USUAL_RANGE = { low: 0.5, high: 40, band: null };

function useFlowScale({ river, conditions }: ScenarioView): FlowScale {
  const discharge = river.gauge && seriesOf(river.gauge, "discharge");
  const at = river.now?.at;
  const flow = conditions.discharge;
  const own = useMemo(() => {
    if (!discharge || !at) return USUAL_RANGE;
    const flows = discharge.values.filter((q) => q > 0).sort();
    const levels = seasonLevels(discharge, Date.parse(at));
    return {
      low: (flows[0] ?? USUAL_RANGE.low) * 0.8,
      high: flows[Math.floor(flows.length * 0.995)] ?? USUAL_RANGE.high,
      band: levels ? ([levels[1]!, levels[3]!] as [number, number]) : null,
    };
  }, [discharge, at]);
  return useMemo(
    () => ({
      range: [Math.min(own.low, flow), Math.max(own.high, flow, own.low * 4)],
      own: [own.low, own.high],
      band: own.band,
    }),
    [own, flow],
  );
}
