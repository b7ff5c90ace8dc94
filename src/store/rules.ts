import type { RuleRecord } from "../core/book/bank-records";
import { add, differing, patch, setDeleted, type Undo } from "./change";
import type { Database } from "./database";
import { newId } from "./identity";

/** What is entered of a rule. */
export type RuleDraft = Omit<RuleRecord, "schema" | "id" | "updatedAt" | "deleted" | "demo">;

export const addRule = (db: Database, draft: RuleDraft): Promise<Undo> =>
  add(db, db.rules, {
    schema: "low-heron/rule@1",
    id: newId(),
    updatedAt: new Date().toISOString(),
    ...draft,
  });

/** Says anew what a rule is; entered anew with it, so that it is no longer old. */
export function changeRule(db: Database, stood: RuleRecord, draft: RuleDraft): Promise<Undo> {
  const { schema, id, updatedAt, deleted, demo, ...before } = stood;
  return patch<RuleRecord>(db, db.rules, id, differing<RuleDraft>(before, draft));
}

export const removeRule = (db: Database, id: string): Promise<Undo> => setDeleted(db, db.rules, id, true);
