"use client";
import { database } from "../store/database";
import { NO_PREFERENCES, type Preferences, readPreferences } from "../store/preferences";
import { useLiveAnswer } from "./live-answer";

/** Drill scores, travel times and likings of the log; none until they are known. */
export const usePreferences = (): Preferences => useLiveAnswer(() => readPreferences(database()), []) ?? NO_PREFERENCES;
