"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Track } from "../../core/gauge/backtest";
import type { Outlook } from "../../core/gauge/outlook";
import { type GaugeRecord, seriesOf } from "../../core/gauge/summary";
import { waterWorker } from "../../store/water-client";
import type { RecordOf } from "../../store/water.worker";

/**
 * What is worked out of a station's record, or of the record as it is at `reach`, in the worker: the outlook first,
 * then the slower track record. The last one stays until the next is there.
 */
export function useOutlook(
  gauge: GaugeRecord | undefined,
  at: number | undefined,
  reach: string | undefined,
): { outlook: Outlook | undefined; track: Track[] | undefined } {
  const station = gauge?.station.id;
  const target = useMemo(
    () => (station === undefined ? undefined : reach === undefined ? { station } : { reach }),
    [station, reach],
  );
  const outlook = useWorked(gauge && at !== undefined ? target : undefined, gauge, at, async (of) =>
    at === undefined ? null : waterWorker().outlook(of, at),
  );
  // The track record hangs on the discharge alone: a new reading by hand, or of the temperature, does not try the
  // forecast again.
  const discharge = gauge && seriesOf(gauge, "discharge");
  const track = useWorked(outlook ? target : undefined, discharge, undefined, (of) => waterWorker().track(of));
  return { outlook: outlook ?? undefined, track: track ?? undefined };
}

/**
 * What the worker makes of a record; done anew when `input` or `at` is another, and kept for its target until then. The
 * records themselves stay on the worker's side.
 */
function useWorked<T>(
  target: RecordOf | undefined,
  input: unknown,
  at: number | undefined,
  work: (of: RecordOf) => Promise<T | null>,
): T | null | undefined {
  const [state, setState] = useState<{ of: RecordOf; value: T | null } | undefined>();
  const workRef = useRef(work);
  useEffect(() => {
    workRef.current = work;
  });
  useEffect(() => {
    if (!target) return;
    let gone = false;
    void workRef.current(target).then((value) => {
      if (!gone) setState({ of: target, value });
    });
    return () => {
      gone = true;
    };
  }, [target, input, at]);
  return state?.of === target ? state?.value : undefined;
}
