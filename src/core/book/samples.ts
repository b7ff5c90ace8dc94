import type { Catch, Session } from "./records";

/** Plain records for tests. */

const AT = "2026-05-01T00:00:00.000Z";

export const sampleSession = (id: string, change: Partial<Session> = {}): Session => ({
  schema: "low-heron/session@1",
  id,
  updatedAt: AT,
  reach: "reach",
  start: AT,
  end: null,
  rods: 1,
  species: "brown-trout",
  notes: "",
  river: null,
  ...change,
});

export const sampleCatch = (id: string, session: string, change: Partial<Catch> = {}): Catch => ({
  schema: "low-heron/catch@1",
  id,
  updatedAt: AT,
  session,
  at: AT,
  species: "brown-trout",
  length: null,
  lie: "",
  lure: "",
  notes: "",
  river: null,
  ...change,
});
