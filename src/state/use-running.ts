"use client";
import { useLiveAnswer } from "./live-answer";
import type { Session } from "../core/book/records";
import { database } from "../store/database";
import { runningSession } from "../store/running";

/** The running session, or null without one; undefined until the book has told. */
export const useRunning = (): Session | null | undefined =>
  useLiveAnswer(async () => (await runningSession(database())) ?? null, []);
