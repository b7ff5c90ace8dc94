"use client";
import { useLiveAnswer } from "./live-answer";
import { useEffect, useRef } from "react";
import type { Observation, RuleRecord, EffortInterval } from "../core/book/bank-records";
import type { Catch, Session } from "../core/book/records";
import { database } from "../store/database";
import { runningSession } from "../store/running";
import { settleStretches } from "../store/effort-intervals";
import { act } from "./act";
import { clockNow } from "./clock";

/** The session that runs, with what has been put into it. */
export interface Bank {
  session: Session;
  stretches: EffortInterval[];
  /** Those that are being fished, by rod. */
  open: EffortInterval[];
  observations: Observation[];
  catches: Catch[];
  rules: RuleRecord[];
}

const alive = <T extends { deleted?: boolean }>(records: readonly T[]): T[] => records.filter((one) => !one.deleted);

/** The running session live, with everything of it. */
export function useBank(): Bank | null | undefined {
  return useLiveAnswer(async (): Promise<Bank | null> => {
    const db = database();
    const session = await runningSession(db);
    if (!session) return null;
    const of = { session: session.id };
    const stretches = alive(await db.stretches.where(of).toArray());
    return {
      session,
      stretches,
      open: stretches.filter((one) => one.end === null).sort((a, b) => a.rod - b.rod),
      observations: alive(await db.observations.where(of).toArray()),
      catches: alive(await db.catches.where(of).toArray()).sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
      rules: alive(await db.rules.toArray()),
    };
  }, []);
}

/** Cuts what is fished as the river becomes another: each minute, and when the page comes back. */
export function useSettled(session: Session | undefined, minute: number): void {
  const [id, reach] = [session?.id, session?.reach];
  const busy = useRef(false);
  useEffect(() => {
    if (id === undefined || reach === undefined || busy.current) return;
    busy.current = true;
    act(() =>
      settleStretches(database(), { id, reach }, clockNow()).finally(() => {
        busy.current = false;
      }),
    );
  }, [id, reach, minute]);
}

/** Keeps the screen lit while a session runs, where the browser allows it. */
export function useLitScreen(on: boolean): void {
  useEffect(() => {
    if (!on || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").then(
        (got) => {
          lock = got;
          if (over) got.release().catch(() => undefined);
        },
        // A low battery, or not allowed: the screen goes dark as it always does.
        () => undefined,
      );
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", ask);
      lock?.release().catch(() => undefined);
    };
  }, [on]);
}

/** A short buzz, where the device can. */
export const buzz = (pattern: number | number[] = 30): void => {
  navigator.vibrate?.(pattern);
};
