"use client";
import { useState } from "react";
import { isGuessed } from "../../core/flow/guessed-bed";
import type { WantedDepths } from "../../core/trace/wanted-depths";
import { keyOf } from "../../scenario/key";
import { layOptions } from "../../state/lay-options";
import { type Stage, useStage, valueOf } from "../../state/query";
import { land } from "../../workers/land";
import type { ReachView } from "./use-reach-view";

/** What a lie counts that is there whatever is moved, beside 1 for one that never is. Own choice. */
const SURE = 0.1;

export interface WantedDepthsView {
  /** The bed was guessed where no depth was taken. */
  possible: boolean;
  asking: boolean;
  ask: (wanted: boolean) => void;
  /** Nothing stands out at this flow. */
  noLies: boolean;
  stage: Stage<WantedDepths>;
}

/** Where depths would make the lies of a drawn reach surer, on request. */
export function useWantedDepths({ scenario, robustness }: ReachView): WantedDepthsView {
  const { river, field, reading } = scenario;
  const record = river.reach;
  const [asked, ask] = useState<string | undefined>();
  const settled = field.settled && !reading.pending && !reading.earlier ? reading.value : undefined;
  const traced = isGuessed(record?.reach) ? record?.traced : undefined;
  const lies = settled?.lies.map(({ x, y }, k) => {
    const holds = robustness?.lies[k];
    return { x, y, weight: holds ? SURE + 1 - holds.found / holds.of : 1 };
  });
  const asking = traced !== undefined && asked === record?.id;
  const stage = useStage(
    "wanted-depths",
    asking && lies && lies.length > 0 && keyOf("wanted-depths", settled!.of.key, record!.updatedAt, lies),
    async () => {
      const { nx, ny, cell } = settled!.of.field;
      const wading = { nx, ny, cell, classes: settled!.wading.classes };
      return valueOf(
        await land.ask(async (api) => api.wanted(traced!.drawing, layOptions(traced!), { lies: lies!, wading })),
      );
    },
    record?.id,
  );
  return {
    possible: traced !== undefined,
    asking,
    ask: (on) => ask(on ? record?.id : undefined),
    noLies: lies?.length === 0,
    stage,
  };
}
