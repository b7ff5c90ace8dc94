"use client";
import { useCallback } from "react";
import type { Choice, Chosen } from "../core/rig/choice-names";
import { type Learned, UNLEARNED } from "../core/rig/learned";
import type { Method } from "../core/tactics/methods";
import { useSettings } from "./settings";

/** What was chosen for a method, and how to change it; nothing chosen is automatic. */
export function useChosen(method: Method): {
  chosen: Chosen;
  choose: (choice: Choice, value: string | undefined) => void;
} {
  const { choices, set } = useSettings();
  const chosen = choices[method] ?? {};
  const choose = useCallback(
    (choice: Choice, value: string | undefined) => {
      const { choices: now } = useSettings.getState();
      const { [choice]: _, ...others } = now[method] ?? {};
      set({ choices: { ...now, [method]: value === undefined ? others : { ...others, [choice]: value } } });
    },
    [method, set],
  );
  return { chosen, choose };
}

/** What the bank has taught of a method's rig, and how to change it; undefined forgets it. */
export function useLearned(method: Method): {
  learned: Learned;
  learn: (change: ((learned: Learned) => Learned) | undefined) => void;
} {
  const { learned, set } = useSettings();
  const learn = useCallback(
    (change: ((now: Learned) => Learned) | undefined) => {
      const { [method]: own = UNLEARNED, ...others } = useSettings.getState().learned;
      set({ learned: change ? { ...others, [method]: change(own) } : others });
    },
    [method, set],
  );
  return { learned: learned[method] ?? UNLEARNED, learn };
}
