"use client";
import { useEffect, useState } from "react";
import type { Track } from "../../core/gauge/backtest";
import type { Outlook } from "../../core/gauge/outlook";
import type { GaugeRecord } from "../../core/gauge/summary";
import { waterWorker } from "../../store/water-client";

/** What is worked out of a station's record, or of the record as it is at `reach`, in the worker: the outlook first, then the slower track record. The last one stays until the next is there. */
export function useOutlook(gauge: GaugeRecord | undefined, at: number | undefined, reach: string | undefined): { outlook: Outlook | undefined; track: Track[] | undefined } {
  const [state, setState] = useState<{ of: string; outlook?: Outlook; track?: Track[] }>({ of: "" });
  const id = `${gauge?.station.id} ${reach ?? ""}`;
  const station = gauge?.station.id;
  useEffect(() => {
    // The record itself stays in the worker's own reach; `gauge` is looked at only to know when it has changed.
    if (!gauge || station === undefined || at === undefined) return;
    let gone = false;
    const target = reach === undefined ? { station } : { reach };
    void (async () => {
      const outlook = await waterWorker().outlook(target, at);
      if (gone || !outlook) return;
      setState((before) => ({ of: id, outlook, track: before.of === id ? before.track : undefined }));
      const track = await waterWorker().track(target);
      if (!gone) setState({ of: id, outlook, track });
    })();
    return () => {
      gone = true;
    };
  }, [gauge, at, id, station, reach]);
  return state.of === id ? { outlook: state.outlook, track: state.track } : { outlook: undefined, track: undefined };
}
