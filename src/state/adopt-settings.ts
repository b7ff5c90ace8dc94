import type { Card } from "../core/drills/schedule";
import { database } from "../store/database";
import { adoptPreferences, type Preferences } from "../store/preferences";
import { parsedSettings, SETTINGS_NAME } from "./settings-store";

const objectOf = (value: unknown): Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};
const isNumber = (value: unknown): value is number => typeof value === "number" && Number.isFinite(value);
const isCard = (value: unknown): value is Card =>
  ["box", "due", "tries", "best"].every((field) => isNumber(objectOf(value)[field]));

/** What settings of an earlier version held that are records of the log from here on. */
export function preferencesIn(state: unknown): Preferences {
  const { drills, travel, liked, learnFrom } = objectOf(state);
  const from = objectOf(learnFrom);
  const on = Array.isArray(liked) ? liked.filter((one): one is string => typeof one === "string") : [];
  const species = [...new Set([...on, ...Object.keys(from)])];
  return {
    drills: Object.fromEntries(Object.entries(objectOf(drills)).filter((one): one is [string, Card] => isCard(one[1]))),
    travel: Object.fromEntries(
      Object.entries(objectOf(travel)).filter(
        (one): one is [string, number] => isNumber(one[1]) && one[1] >= 0 && one[1] <= 6000,
      ),
    ),
    likings: Object.fromEntries(
      species.map((id) => {
        const since = from[id];
        return [id, { on: on.includes(id), from: typeof since === "string" ? since : null }];
      }),
    ),
  };
}

const FIELDS = ["drills", "travel", "liked", "learnFrom"];

/** Moves them into the log, once; they leave the settings only when they are there. */
export async function adoptOldSettings(): Promise<void> {
  const text = localStorage.getItem(SETTINGS_NAME);
  if (text === null) return;
  const state = objectOf(parsedSettings(text));
  if (!FIELDS.some((field) => field in state)) return;
  await adoptPreferences(database(), preferencesIn(state));
  const now = objectOf(parsedSettings(localStorage.getItem(SETTINGS_NAME)));
  const left = Object.fromEntries(Object.entries(now).filter(([field]) => !FIELDS.includes(field)));
  localStorage.setItem(SETTINGS_NAME, JSON.stringify({ state: left, version: 0 }));
}
